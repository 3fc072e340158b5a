package wake.projection;

import java.util.Locale;

/** Something a retest would do differently. It only ever takes time away: what is quicker already stays. */
public sealed interface Change {
    /** What it changes and to what, as a coach would write it. */
    String words();

    /** Whether it touches a piece. */
    boolean touches(Piece piece);

    /** The time a touched piece takes with the change. */
    long newMs(Piece piece);

    /** No transition longer than this; the way to the first movement is left alone. */
    record CapTransitions(long targetMs) implements Change {
        public CapTransitions {
            requirePause(targetMs);
        }

        @Override
        public String words() {
            return "No transition over " + tenths(targetMs) + " s";
        }

        @Override
        public boolean touches(Piece piece) {
            return piece.kind() == Piece.Kind.TRANSITION && piece.segment().index() > 0;
        }

        @Override
        public long newMs(Piece piece) {
            return Math.min(piece.ms(), targetMs);
        }
    }

    /** No rest inside a set of reps longer than this. */
    record CapRests(long targetMs) implements Change {
        public CapRests {
            requirePause(targetMs);
        }

        @Override
        public String words() {
            return "No rest over " + tenths(targetMs) + " s";
        }

        @Override
        public boolean touches(Piece piece) {
            return piece.kind() == Piece.Kind.REST;
        }

        @Override
        public long newMs(Piece piece) {
            return Math.min(piece.ms(), targetMs);
        }
    }

    /** A movement never slower than so many seconds per rep or unit; the cost of faults stays. */
    record HoldCadence(String movement, double secondsPerUnit) implements Change {
        public HoldCadence {
            if (!(secondsPerUnit > 0) || secondsPerUnit > 600) {
                throw new IllegalArgumentException(
                        "Expected above 0 and up to 600 s per rep or unit, got " + secondsPerUnit);
            }
        }

        @Override
        public String words() {
            return String.format(Locale.ROOT, "%s never slower than %.2f s", movement, secondsPerUnit);
        }

        @Override
        public boolean touches(Piece piece) {
            return piece.kind() == Piece.Kind.WORK
                    && piece.units() > 0
                    && piece.segment().movement().name().equals(movement);
        }

        @Override
        public long newMs(Piece piece) {
            double current = piece.secondsPerUnit();
            return current <= secondsPerUnit
                    ? piece.ms()
                    : piece.fixedMs() + Math.round((piece.ms() - piece.fixedMs()) * (secondsPerUnit / current));
        }
    }

    private static void requirePause(long targetMs) {
        if (targetMs < 0 || targetMs > 600_000) {
            throw new IllegalArgumentException("Expected from 0 to 600 s, got " + targetMs / 1000.0);
        }
    }

    private static String tenths(long ms) {
        return String.format(Locale.ROOT, "%.1f", ms / 1000.0);
    }
}
