package wake.api.retest;

import static wake.api.retest.ScoreViews.gain;
import static wake.api.retest.ScoreViews.score;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import wake.api.Refused;
import wake.api.retest.CallViews.CallView;
import wake.api.retest.ScoreViews.GainView;
import wake.api.retest.ScoreViews.ScoreView;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.log.ScoreReader;
import wake.projection.Evidence;
import wake.projection.GoalSeek;
import wake.projection.Possible;
import wake.projection.Projection;
import wake.projection.Projection.Terms;
import wake.projection.Range;
import wake.projection.Ranking;
import wake.review.ChangeJson;
import wake.review.RetestJson;
import wake.workout.Segment;

/** A projection as the interface shows it. */
public final class ProjectionViews {
    private ProjectionViews() {}

    /**
     * What a retest would score with the chosen changes.
     *
     * @param noRange why there is no range; absent where there is one
     * @param more changes that could be added
     * @param goal the way to the goal, where one was set
     * @param notYet why there is no call; absent where there is one
     */
    public record ProjectionView(
            ScoreView before,
            ScoreView together,
            ScoreView onEvidence,
            GainView gain,
            @Nullable RangeView range,
            @Nullable String noRange,
            List<CallView> calls,
            List<MoreView> more,
            List<CreditView> credits,
            @Nullable GoalView goal,
            List<String> cautions,
            @Nullable String notYet) {}

    /** One replay in ten ends worse than {@code p10}, half better than {@code p50}, one in ten better than {@code p90}. */
    public record RangeView(ScoreView p10, ScoreView p50, ScoreView p90, int replays) {}

    /** A change that could be added, with a target to start from. */
    public record MoreView(String words, ChangeJson change) {}

    /** What evidence is worth, percent. */
    public record CreditView(Evidence evidence, String words, double percent) {}

    /**
     * The cheapest way to the goal.
     *
     * @param goal the score to reach
     * @param says whether it is reached and what is missing
     * @param place the place all chosen changes would take among the scores given; absent without any
     * @param placeOnEvidence the same on evidence
     * @param placeNow the same of the attempt as it was
     */
    public record GoalView(
            ScoreView goal,
            boolean reached,
            boolean reachedIfAllLand,
            String says,
            List<StepView> steps,
            @Nullable Integer place,
            @Nullable Integer placeOnEvidence,
            @Nullable Integer placeNow,
            @Nullable Integer others) {}

    /** One change on the way to the goal. */
    public record StepView(int change, String words, GainView gain, String after, Evidence evidence, String reason) {}

    public static ProjectionView of(AttemptLog log, RetestJson chosen, Terms terms) {
        Projection all = Projection.of(log, chosen.all(), chosen.on(), terms);
        List<CallView> calls = new ArrayList<>();
        for (int i = 0; i < chosen.changes().size(); i++) {
            calls.add(CallViews.of(chosen.changes().get(i), all.calls().get(i), log));
        }
        Optional<Range> range = all.range();
        return new ProjectionView(
                score(all.before()),
                score(all.together()),
                score(all.onEvidence()),
                gain(all.gain()),
                range.map(ProjectionViews::range).orElse(null),
                range.isPresent() ? null : Projection.NO_RANGE,
                calls,
                more(log, chosen),
                credits(chosen),
                goal(log, chosen, all, terms),
                cautions(log),
                log.over() ? null : "The log ends before the attempt does: finish it, or mark the stop, for a call.");
    }

    private static RangeView range(Range range) {
        return new RangeView(score(range.p10()), score(range.p50()), score(range.p90()), range.replays());
    }

    private static List<MoreView> more(AttemptLog log, RetestJson chosen) {
        return Possible.in(log).stream()
                .map(change -> new MoreView(CallViews.title(ChangeJson.of(change, true)), ChangeJson.of(change, true)))
                .filter(more -> chosen.changes().stream().noneMatch(one -> one.sameThing(more.change())))
                .toList();
    }

    private static List<CreditView> credits(RetestJson chosen) {
        return Arrays.stream(Evidence.values())
                .map(evidence -> new CreditView(
                        evidence, evidence.words(), 100 * chosen.usedCredits().of(evidence)))
                .toList();
    }

    /** The goal as a score: the one written, else the one that takes the place among the others. */
    private static @Nullable GoalView goal(AttemptLog log, RetestJson chosen, Projection all, Terms terms) {
        String written = chosen.goal() == null ? "" : chosen.goal().strip();
        String list = chosen.others() == null ? "" : chosen.others();
        List<Score> others = Refused.orElse("others", () -> Ranking.read(list, log.course()));
        Integer place = chosen.place();
        Score goal;
        if (!written.isEmpty()) {
            goal = Refused.orElse("goal", () -> ScoreReader.read(written, log.course()));
        } else if (place != null && !others.isEmpty()) {
            goal = others.get(Math.clamp(place, 1, others.size()) - 1);
        } else {
            return null;
        }
        GoalSeek way = GoalSeek.of(log, chosen.all(), goal, terms);
        boolean ranked = !others.isEmpty();
        return new GoalView(
                score(goal),
                way.reached(),
                way.reachedIfAllLand(),
                says(way),
                way.steps().stream().map(ProjectionViews::step).toList(),
                ranked ? Ranking.place(all.together(), others) : null,
                ranked ? Ranking.place(all.onEvidence(), others) : null,
                ranked ? Ranking.place(all.before(), others) : null,
                ranked ? others.size() : null);
    }

    private static String says(GoalSeek way) {
        String goal = way.goal().words();
        if (way.steps().isEmpty() && way.reached()) {
            return goal + " is reached already.";
        }
        if (way.reached()) {
            int steps = way.steps().size();
            return goal + " on evidence, with " + (steps == 1 ? "one change" : steps + " changes") + ".";
        }
        return "Not on evidence: " + way.missing().orElse("something") + " short of " + goal
                + (way.reachedIfAllLand()
                        ? "; reached only if all of them land in full."
                        : ", and not if all of them land either.");
    }

    private static StepView step(GoalSeek.Step step) {
        return new StepView(
                step.place(),
                CallViews.title(ChangeJson.of(step.change(), true)),
                gain(step.gain()),
                step.after().words(),
                step.evidence(),
                step.reason());
    }

    /** What to watch for when these movements are pushed harder. */
    private static List<String> cautions(AttemptLog log) {
        Set<String> cautions = new LinkedHashSet<>();
        for (Segment segment : log.course().segments()) {
            segment.movement()
                    .caution()
                    .ifPresent(caution -> cautions.add(segment.movement().name() + ": " + caution));
        }
        return List.copyOf(cautions);
    }
}
