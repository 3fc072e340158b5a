package wake.plan.check;

import java.util.Optional;
import java.util.OptionalInt;
import wake.plan.Plan;

/**
 * Something in a plan that an experienced coach would question.
 *
 * @param kind which rule
 * @param lineIndex the movement line it concerns; empty when it concerns the whole
 * @param sentence the reason with its number, in plain words
 * @param fix what would mend it; empty where only the coach can say
 */
public record PlanCheck(Kind kind, OptionalInt lineIndex, String sentence, Optional<Fix> fix) {
    /** The rules. */
    public enum Kind {
        BREAK_AT_BOUNDARY,
        SET_TOO_LARGE,
        REST_NOT_BEFORE_LIMITER,
        ROUNDS_OFF_THEIR_MARKS,
        THIN_INTERVAL_REST,
        THIN_STAGE_MARGIN,
        ABOVE_THE_MAX,
        NO_TIME_FOR_MISSES,
        ERG_TOO_FAST,
        NEIGHBOURS_LOAD_THE_SAME,
        MANY_DROPS
    }

    /**
     * What mends it with one key.
     *
     * @param words what it does: "11-1, straight into the hang power clean"
     * @param plan the plan with it done
     */
    public record Fix(String words, Plan plan) {}

    /** The same for the same thing in any version of the plan, so that it stays set aside. */
    public String key() {
        return kind + (lineIndex.isPresent() ? ":" + lineIndex.getAsInt() : "");
    }

    static PlanCheck of(Kind kind, int lineIndex, String sentence) {
        return new PlanCheck(kind, OptionalInt.of(lineIndex), sentence, Optional.empty());
    }

    PlanCheck mendedBy(String words, Plan plan) {
        return new PlanCheck(kind, lineIndex, sentence, Optional.of(new Fix(words, plan)));
    }
}
