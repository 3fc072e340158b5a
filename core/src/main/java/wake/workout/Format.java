package wake.workout;

import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.Collectors;
import wake.units.ClockTime;

/** How a part is timed and scored. */
public sealed interface Format {
    /** The format as it is written on the whiteboard. */
    String written();

    /** The clock at which the buzzer goes whatever has been done; empty when nothing but the finish ends the part. */
    OptionalLong buzzerMs();

    /** Whether two share the work, one round the one and the next the other: "you go I go". */
    default boolean inPairs() {
        return false;
    }

    /** All the work as fast as possible; with a cap, the clock stops there and what is missing counts. */
    record ForTime(OptionalLong capMs, boolean inPairs) implements Format {
        public ForTime(OptionalLong capMs) {
            this(capMs, false);
        }

        @Override
        public String written() {
            return (capMs.isPresent() ? "for time, cap " + time(capMs.getAsLong()) : "for time") + pairs(inPairs);
        }

        @Override
        public OptionalLong buzzerMs() {
            return capMs;
        }
    }

    /**
     * As many rounds and reps as possible until the buzzer.
     *
     * @param scored in what it is scored, where that is said; else rounds that are alike count as rounds, and those of a ladder as reps
     */
    record Amrap(long durationMs, Optional<Scored> scored, boolean inPairs) implements Format {
        public Amrap(long durationMs) {
            this(durationMs, Optional.empty(), false);
        }

        public Amrap(long durationMs, Optional<Scored> scored) {
            this(durationMs, scored, false);
        }

        @Override
        public String written() {
            return "amrap " + time(durationMs)
                    + scored.map(by -> ", score " + by.word()).orElse("") + pairs(inPairs);
        }

        @Override
        public OptionalLong buzzerMs() {
            return OptionalLong.of(durationMs);
        }
    }

    private static String pairs(boolean inPairs) {
        return inPairs ? ", you go I go" : "";
    }

    /** In what work until the buzzer is scored. */
    enum Scored {
        ROUNDS("rounds"),
        REPS("reps");

        private final String word;

        Scored(String word) {
            this.word = word;
        }

        String word() {
            return word;
        }
    }

    /**
     * The same work at the start of every interval, what is left of it being rest.
     *
     * @param inTurn whether the lines take turns, one for each interval
     */
    record Every(long everyMs, int times, boolean inTurn) implements Format {
        @Override
        public String written() {
            return "every " + time(everyMs) + " x " + times + (inTurn ? ", in turn" : "");
        }

        @Override
        public OptionalLong buzzerMs() {
            return OptionalLong.of(everyMs * times);
        }
    }

    /** A window for the heaviest load; a complex is done without letting go. */
    record Lift(long windowMs, List<LiftPiece> complex) implements Format {
        public Lift {
            complex = List.copyOf(complex);
        }

        @Override
        public String written() {
            return "lift " + time(windowMs) + ", best of " + LiftPiece.written(complex);
        }

        @Override
        public OptionalLong buzzerMs() {
            return OptionalLong.of(windowMs);
        }
    }

    /** Some reps of a movement inside a complex. */
    record LiftPiece(int reps, String movement) {
        /** Reps of some pieces together. */
        public static int repsOf(List<LiftPiece> pieces) {
            return pieces.stream().mapToInt(LiftPiece::reps).sum();
        }

        /** Some pieces as they are written: "2 hang power clean + 1 push jerk". */
        public static String written(List<LiftPiece> pieces) {
            return pieces.stream().map(LiftPiece::written).collect(Collectors.joining(" + "));
        }

        String written() {
            return reps + " " + movement;
        }
    }

    private static String time(long ms) {
        return ClockTime.of(ms).toSeconds();
    }
}
