package wake.projection;

/**
 * What changes do to the time of one piece, faults apart: {@code min((time − less) · factor, cap)}; the cost of faults is added
 * again unless they are left out.
 *
 * @param dropsFaults whether its faults do not happen
 * @param lessMs time taken off
 * @param factor then multiplied by, above zero
 * @param capMs then held to at most; infinite for no cap
 */
record Effect(boolean dropsFaults, double lessMs, double factor, double capMs) {
    static final Effect NONE = new Effect(false, 0, 1, Double.POSITIVE_INFINITY);
    static final Effect NO_FAULTS = new Effect(true, 0, 1, Double.POSITIVE_INFINITY);

    static Effect atMost(double ms) {
        return new Effect(false, 0, 1, ms);
    }

    static Effect times(double factor) {
        return new Effect(false, 0, factor, Double.POSITIVE_INFINITY);
    }

    static Effect less(double ms) {
        return new Effect(false, ms, 1, Double.POSITIVE_INFINITY);
    }

    /** Both effects, whichever was chosen first. */
    Effect and(Effect other) {
        if (this == NONE) {
            return other;
        }
        if (other == NONE) {
            return this;
        }
        return new Effect(
                dropsFaults || other.dropsFaults,
                lessMs + other.lessMs,
                factor * other.factor,
                Math.min(capMs, other.capMs));
    }

    /** The time without faults that comes of a time without faults. */
    double onCore(double coreMs) {
        return Math.min(Math.max(0, coreMs - lessMs) * factor, capMs);
    }

    /** What a piece takes with it, in whole milliseconds. */
    long newMs(Piece piece) {
        if (this == NONE) {
            return piece.ms();
        }
        return Math.round(onCore(piece.coreMs())) + piece.tailMs() + (dropsFaults ? 0 : piece.fixedMs());
    }
}
