package wake.words;

import java.util.Optional;
import wake.log.Score;
import wake.projection.GoalSeek;
import wake.projection.KindRecord;
import wake.projection.Outcome;
import wake.projection.Projection;
import wake.projection.ProjectionRecord;
import wake.projection.SolvedTarget;
import wake.units.Digits;
import wake.units.Messages;
import wake.workout.ExpandedWorkout;

/** A retest in sentences: what a goal takes, and projected vs actual. */
public final class RetestWords {
    private static final long WORTH_SAYING_MS = 1000;

    private RetestWords() {}

    /** What it takes to reach a goal with what was done before. */
    public static String goal(GoalSeek seek) {
        String goal = seek.goal().brief(Digits.WHOLE);
        if (seek.steps().isEmpty() && seek.reached()) {
            return goal + " is already reached.";
        }
        if (seek.reached()) {
            int steps = seek.steps().size();
            return "Proven route to " + goal + ": " + (steps == 1 ? "1 change" : steps + " changes") + ".";
        }
        return "Not proven: " + seek.missing().orElse("something") + " short of " + goal
                + (seek.reachedIfAllLand()
                        ? ". Only the best case gets there."
                        : ", and the best case does not get there either.");
    }

    /** What is promised, in the same words wherever it is handed over: "Projected 10:28 (was 11:04): 36 s faster, likely 10:10–10:45 (8 in 10).". */
    public static String promised(Projection projection) {
        String likely = projection
                .range()
                .map(range -> ", likely " + range.words() + " (8 in 10)")
                .orElse("");
        return "Projected " + projection.middle().brief(Digits.WHOLE) + " (was "
                + projection.before().brief(Digits.WHOLE) + "): "
                + Outcome.difference(projection.before(), projection.middle(), Digits.WHOLE) + likely + ".";
    }

    /** The target with which one change alone reaches a goal. */
    public static String solved(SolvedTarget solved, Score goal, ExpandedWorkout expanded) {
        String what = new ChangeWords(expanded).text(solved.change());
        return solved.reached()
                ? "To reach " + goal.brief(Digits.WHOLE) + ": " + what + "."
                : "This change alone cannot reach " + goal.brief(Digits.WHOLE) + ". At its limit (" + what + "): "
                        + solved.score().brief(Digits.WHOLE) + ".";
    }

    /** How the projections checked so far came out. */
    public static String record(ProjectionRecord record) {
        String projections = record.projections() == 1 ? "1 checked" : record.projections() + " checked";
        String hits = record.ranged() == 0
                ? ""
                : Messages.of(", %d of %d inside the likely range", record.hits(), record.ranged());
        String bias = Math.abs(record.biasPercent()) < 0.05
                ? ", no bias"
                : Messages.of(
                        "; results %.1f%% %s than projected on average",
                        Math.abs(record.biasPercent()), record.biasPercent() > 0 ? "worse" : "better");
        return projections + hits + bias + ".";
    }

    /** How changes of one kind came out: "Cap rests (3×): 28 s projected, 19 s saved". */
    public static String kind(KindRecord kind) {
        String times = kind.changes() == 1 ? "" : " (" + kind.changes() + "×)";
        String actual = Digits.WHOLE.span(Math.abs(kind.actualMs())) + (kind.actualMs() < 0 ? " lost" : " saved");
        return kind.last().map(ChangeWords::title).orElse("") + times + ": " + Digits.WHOLE.span(kind.projectedMs())
                + " projected, " + actual;
    }

    /**
     * Projected vs actual, in a sentence.
     *
     * @param before the score of the attempt
     * @param actual that of its retest
     * @param projected what was projected, where it was saved
     * @param inRange whether the retest was inside the likely range, where there was one
     */
    public static String actual(
            Score before, Score actual, Optional<Score> projected, Optional<Boolean> inRange, Digits digits) {
        String said = "Retest " + actual.words(digits) + ", " + Outcome.difference(before, actual, digits);
        if (projected.isEmpty()) {
            return said + ". No projection was saved before it.";
        }
        String range = inRange.map(inside -> inside ? ", inside the likely range" : ", outside the likely range")
                .orElse("");
        return said + ". Projected " + projected.get().brief(Digits.WHOLE) + range + ".";
    }

    /** What less rest cost the work nothing was to change in; empty where too little was projected to be worth a word. */
    public static Optional<String> fatigue(Outcome.FatigueCheck back) {
        if (Math.abs(back.projectedMs()) < WORTH_SAYING_MS) {
            return Optional.empty();
        }
        String took = Math.abs(back.actualMs()) < WORTH_SAYING_MS
                ? "kept its pace"
                : "got " + Digits.WHOLE.span(Math.abs(back.actualMs())) + (back.actualMs() > 0 ? " slower" : " faster");
        return Optional.of("Fatigue cost: " + Digits.WHOLE.span(back.projectedMs()) + " projected. The unchanged work "
                + took + ".");
    }

    /** What became of one change. */
    public static String verdict(Outcome.Verdict verdict) {
        return switch (verdict) {
            case NOT_BROKEN_DOWN -> "not broken down in the log";
            case WITHIN_VARIATION -> "within normal variation";
            case NO_WORSE -> "no worse than projected";
            case COST_MORE -> "cost more than projected";
            case MISSED -> "missed";
            case IN_PART -> "partly";
            case AS_PROJECTED -> "as projected";
            case BETTER -> "better than projected";
        };
    }
}
