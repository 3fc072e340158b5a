package wake.log;

import wake.units.ClockTime;

/** What an attempt scored. */
public sealed interface Score {
    /** How the score is said: "9:42.3", "14:00 + 12 reps missing". */
    String words();

    /** Reps, calories and completed distances done. */
    int done();

    /** All work done; the clock is the score. */
    record Finished(long clockMs, int done) implements Score {
        @Override
        public String words() {
            return ClockTime.of(clockMs).toTenths();
        }
    }

    /** The cap came first; what is missing counts. */
    record Capped(long capMs, int done, int missing) implements Score {
        @Override
        public String words() {
            return ClockTime.of(capMs).toSeconds() + " + " + missing + " missing";
        }
    }

    /** Given up before cap and finish, or logged only so far. */
    record Partial(long clockMs, int done, int missing) implements Score {
        @Override
        public String words() {
            return done + " done at " + ClockTime.of(clockMs).toTenths();
        }
    }
}
