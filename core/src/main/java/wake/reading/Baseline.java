package wake.reading;

import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import wake.log.AttemptLog;
import wake.log.Stretch;
import wake.plan.Deadline;
import wake.plan.Forecast;
import wake.workout.Segment;

/** What an attempt is read against. */
public interface Baseline {
    /** Where a baseline comes from. */
    enum Kind {
        PLAN("plan"),
        /** The plan as it was edited after the attempt. */
        EDITED_PLAN("edited plan"),
        FALLBACK("Plan B"),
        BEST_SPLITS("best splits"),
        ATTEMPT("the other attempt");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** Whether it was written beforehand. */
        public boolean isPlan() {
            return this == PLAN || this == EDITED_PLAN || this == FALLBACK;
        }
    }

    Kind kind();

    /** How it is called in a sentence: "plan", "Maren's of 3 Nov". */
    String words();

    /** What it scores in reps by the buzzer, where that says something. */
    OptionalInt done();

    /** Places of segments whose end it does not show. */
    Set<Integer> unseenEnds();

    /** What it allows for the work that was done in a stretch. */
    Expected allow(Stretch stretch);

    /** The sets it has for a segment; empty where it says nothing about them. */
    List<Integer> sets(Segment segment);

    /** What of this attempt could not be matched to it, in words; empty when all could. */
    List<String> unmatched();

    /** What was due by a clock, and from where on it could no longer be made at the pace of the baseline; only a plan tells. */
    default List<OutOfReach> outOfReach(AttemptLog log) {
        return List.of();
    }

    static Baseline plan(Forecast forecast) {
        return plan(forecast, List.of());
    }

    /**
     * The plan.
     *
     * @param due what had to be done by a clock
     */
    static Baseline plan(Forecast forecast, List<Deadline> due) {
        return plan(Kind.PLAN, forecast, due);
    }

    /** The same, or as it was edited later. */
    static Baseline plan(Kind kind, Forecast forecast, List<Deadline> due) {
        return new PlanBaseline(kind, forecast, due);
    }

    /** The plan with what was written beforehand for the movement that fails. */
    static Baseline fallback(Forecast forecast) {
        return new PlanBaseline(Kind.FALLBACK, forecast, List.of());
    }

    /** The attempt's own best figures of like work. */
    static Baseline bestSplits(AttemptLog log) {
        return new BestSplits(log);
    }

    /**
     * Another attempt at the same workout, the athlete's own or another's, maybe at another version of its text.
     *
     * @param words how it is called: "Maren's of 3 Nov"
     * @param log the attempt that is read
     */
    static Baseline attempt(AttemptLog other, String words, AttemptLog log) {
        return new AttemptBaseline(other, words, log);
    }
}
