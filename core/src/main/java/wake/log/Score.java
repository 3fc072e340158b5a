package wake.log;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import wake.units.ClockTime;
import wake.units.Digits;
import wake.units.Quantity;
import wake.units.Unit;

/** What an attempt scored. */
public sealed interface Score {
    /** The score as text: "9:42", "136 reps (CAP + 12)", "7 rounds + 12"; a clock in whole seconds, as scores are kept. */
    String words(Digits digits);

    /** The same in a sentence with others of its kind, where nobody counts the rounds as well: "136 reps". */
    default String brief(Digits digits) {
        return words(digits);
    }

    /** The same to the tenth. */
    default String words() {
        return words(Digits.TENTHS);
    }

    /** Reps, calories and completed distances done. */
    int done();

    /** The clock it was scored at, milliseconds. */
    long clockMs();

    /** All work done; the clock is the score. */
    record Finished(long clockMs, int done) implements Score {
        @Override
        public String words(Digits digits) {
            return ClockTime.of(clockMs).toSeconds();
        }
    }

    /** The cap came first: what was done counts, what is missing stands beside it. */
    record Capped(long clockMs, int done, int missing) implements Score {
        @Override
        public String words(Digits digits) {
            return reps(done) + " (CAP + " + missing + ")";
        }

        @Override
        public String brief(Digits digits) {
            return reps(done);
        }
    }

    /** Given up before cap and finish, or logged only so far. */
    record Partial(long clockMs, int done, int missing) implements Score {
        @Override
        public String words(Digits digits) {
            return reps(done) + " at " + ClockTime.of(clockMs).toSeconds();
        }
    }

    /**
     * Whole rounds, and what was done of the next; a buy-in counts towards {@code done} and, before any round, as reps.
     *
     * @param inReps whether it is scored by all its reps: they come first then, the rounds beside them
     */
    record Rounds(long clockMs, int rounds, int extra, int done, boolean inReps) implements Score {
        @Override
        public String words(Digits digits) {
            if (rounds == 0 || inReps && rounds == done) {
                return reps(done);
            }
            String inRounds = rounds + (rounds == 1 ? " round + " : " rounds + ") + extra;
            return inReps ? reps(done) + " (" + inRounds + ")" : inRounds;
        }

        @Override
        public String brief(Digits digits) {
            return inReps ? reps(done) : words(digits);
        }
    }

    /** All reps of interval work. */
    record Reps(long clockMs, int done) implements Score {
        @Override
        public String words(Digits digits) {
            return reps(done);
        }
    }

    /** The heaviest lift that counted. */
    record Load(Optional<Quantity> best, long clockMs) implements Score {
        @Override
        public String words(Digits digits) {
            return best.map(Quantity::toString).orElse("no lift made");
        }

        @Override
        public int done() {
            return 0;
        }
    }

    private static String reps(int reps) {
        return reps == 1 ? "1 rep" : reps + " reps";
    }

    /**
     * Compares two scores of the same part.
     *
     * @return above zero when the first is better, below when it is worse, 0 when equal
     */
    static int compare(Score one, Score other) {
        if (one instanceof Load a && other instanceof Load b) {
            return Double.compare(kilograms(a), kilograms(b));
        }
        if (one instanceof Finished a && other instanceof Finished b) {
            return Long.compare(b.clockMs(), a.clockMs());
        }
        boolean oneFinished = one instanceof Finished;
        return oneFinished != other instanceof Finished
                ? (oneFinished ? 1 : -1)
                : Integer.compare(one.done(), other.done());
    }

    /**
     * By how much two scores of the same part differ: seconds between two finishes, kilograms between two loads, else reps;
     * never negative.
     */
    static String margin(Score one, Score other) {
        return margin(one, other, Digits.TENTHS);
    }

    /** The same, the seconds as exactly as they are known. */
    static String margin(Score one, Score other, Digits digits) {
        if (one instanceof Load a && other instanceof Load b) {
            return new BigDecimal(Math.abs(kilograms(a) - kilograms(b)))
                            .setScale(1, RoundingMode.HALF_UP)
                            .toPlainString()
                    + " kg";
        }
        if (one instanceof Finished a && other instanceof Finished b) {
            return digits.span(Math.abs(a.clockMs() - b.clockMs()));
        }
        int reps = Math.abs(one.done() - other.done());
        return reps(reps);
    }

    /** The load in kilograms; 0 where no lift was made. */
    static double kilograms(Load load) {
        return load.best().map(best -> best.in(Unit.KILOGRAM)).orElse(0.0);
    }
}
