package wake.projection;

/**
 * What changes do to the time of one piece, faults apart: {@code min((time − less) · factor · spread, cap)}; the cost of faults is
 * added again unless they are left out.
 *
 * @param dropsFaults whether its faults do not happen
 * @param lessMs time taken off
 * @param factor then multiplied by, above zero
 * @param spread multiplied by as well, where it is not known how much of that the body gives: between 1 and this
 * @param capMs then held to at most; infinite for no cap
 */
record Effect(boolean dropsFaults, double lessMs, double factor, double spread, double capMs) {
    static final Effect NONE = new Effect(false, 0, 1, 1, Double.POSITIVE_INFINITY);
    static final Effect NO_FAULTS = new Effect(true, 0, 1, 1, Double.POSITIVE_INFINITY);

    static Effect atMost(double ms) {
        return new Effect(false, 0, 1, 1, ms);
    }

    static Effect times(double factor) {
        return new Effect(false, 0, factor, 1, Double.POSITIVE_INFINITY);
    }

    static Effect spread(double factor) {
        return new Effect(false, 0, 1, factor, Double.POSITIVE_INFINITY);
    }

    static Effect less(double ms) {
        return new Effect(false, ms, 1, 1, Double.POSITIVE_INFINITY);
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
                spread * other.spread,
                Math.min(capMs, other.capMs));
    }

    /** The time without faults that comes of a time without faults. */
    double onCore(double coreMs) {
        return onCore(coreMs, 1);
    }

    /** The same, with only a share of what is spread. */
    double onCore(double coreMs, double ofSpread) {
        return Math.min(Math.max(0, coreMs - lessMs) * factor * (1 + (spread - 1) * ofSpread), capMs);
    }

    /** Whether it changes nothing but faults. */
    boolean leavesCore() {
        return lessMs == 0 && factor == 1 && spread == 1 && capMs == Double.POSITIVE_INFINITY;
    }

    /** What a piece takes with it, in whole milliseconds. */
    long newMs(TimeSlice slice) {
        if (this == NONE) {
            return slice.ms();
        }
        return Math.round(onCore(slice.coreMs())) + slice.tailMs() + (dropsFaults ? 0 : slice.fixedMs());
    }
}
