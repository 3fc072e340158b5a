package wake.api.retest;

import static wake.api.retest.ScoreViews.gain;
import static wake.api.retest.ScoreViews.projected;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import wake.api.InvalidRequest;
import wake.api.retest.ChangeViews.ProjectedChangeView;
import wake.api.retest.ScoreViews.GainView;
import wake.api.retest.ScoreViews.ScoreView;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.log.ScoreReader;
import wake.projection.AvailableChanges;
import wake.projection.Calibration;
import wake.projection.Change;
import wake.projection.EvidenceLevel;
import wake.projection.EvidenceWeights;
import wake.projection.FatigueCost;
import wake.projection.GoalSeek;
import wake.projection.Projection;
import wake.projection.Projection.Terms;
import wake.projection.Range;
import wake.projection.Ranking;
import wake.projection.Replay;
import wake.review.ChangeJson;
import wake.review.RetestJson;
import wake.units.Digits;
import wake.words.ChangeWords;
import wake.words.RetestWords;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/** A projection as the interface shows it. */
public final class ProjectionViews {
    private ProjectionViews() {}

    /**
     * What a retest would score with the chosen changes.
     *
     * @param bestCase when everything chosen works and it costs no fatigue: the most there is
     * @param middle what is to be expected: the middle of the range
     * @param promised the same in the sentence that is handed over, with its gain and its range
     * @param gain what all of it wins free
     * @param expected what is to be expected of that
     * @param back the fatigue cost
     * @param noRange why there is no range; absent where there is one
     * @param more changes that could be added
     * @param goal the way to the goal, where one was set
     * @param notYet why there is no projection; absent where there is one
     */
    public record ProjectionView(
            ScoreView before,
            ScoreView bestCase,
            ScoreView middle,
            String promised,
            ScoreView proven,
            GainView gain,
            GainView expected,
            BackView back,
            @Nullable RangeView range,
            @Nullable String noRange,
            List<ProjectedChangeView> changes,
            List<MoreView> more,
            List<CreditView> credits,
            @Nullable GoalView goal,
            List<String> cautions,
            @Nullable String notYet) {}

    /** One replay in ten ends worse than {@code p10}, one in ten better than {@code p90}; {@code p50} is what is projected. */
    public record RangeView(ScoreView p10, ScoreView p50, ScoreView p90, int replays, String words) {}

    /**
     * The fatigue cost.
     *
     * @param ways of a second saved in transitions, percent that comes back
     * @param rests of one saved between sets
     * @param pace of one saved by a faster pace
     * @param form day-to-day form, percent of the clock
     * @param says on what that rests
     */
    public record BackView(double ways, double rests, double pace, double form, String says) {}

    /** A change that could be added, with a target to start from. */
    public record MoreView(String words, ChangeJson change) {}

    /** What evidence is worth, percent. */
    public record CreditView(EvidenceLevel evidence, String words, double percent) {}

    /**
     * The cheapest way to the goal.
     *
     * @param goal the score to reach
     * @param says whether it is reached and what is missing
     * @param place the place all chosen changes would take among the scores given; absent without any
     * @param placeOnEvidence the same by the proven score
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

    /**
     * One change on the way to the goal.
     *
     * @param change its place among those chosen from
     * @param target the target that is enough
     */
    public record StepView(
            int change,
            double target,
            String words,
            GainView gain,
            String after,
            EvidenceLevel evidence,
            String reason) {}

    public static ProjectionView of(AttemptLog log, RetestJson chosen, Terms terms, Calibration calibration) {
        Projection all = Projection.of(log, chosen.all(), chosen.on(), terms);
        Replay replay = Replay.of(log);
        List<ProjectedChangeView> changes = new ArrayList<>();
        for (int i = 0; i < chosen.changes().size(); i++) {
            changes.add(ChangeViews.of(
                    chosen.changes().get(i), all.projectedChanges().get(i), replay));
        }
        Optional<Range> range = all.range();
        return new ProjectionView(
                ScoreViews.score(all.before(), log.digits()),
                projected(all.bestCase()),
                projected(all.middle()),
                RetestWords.promised(all),
                projected(all.proven()),
                gain(all.gain()),
                gain(all.expected()),
                back(terms.fatigueCost(), chosen, calibration, replay),
                range.map(ProjectionViews::range).orElse(null),
                range.isPresent() ? null : Projection.NO_RANGE,
                changes,
                more(log, chosen),
                credits(terms.credits()),
                goal(log, chosen, all, terms),
                cautions(log),
                log.over() ? null : "Finish the log, or mark where the athlete stopped, to get a projection.");
    }

    private static RangeView range(Range range) {
        return new RangeView(
                projected(range.p10()), projected(range.p50()), projected(range.p90()), range.replays(), range.words());
    }

    private static BackView back(FatigueCost back, RetestJson chosen, Calibration calibration, Replay replay) {
        return new BackView(
                100 * back.transitions(),
                100 * back.rests(),
                100 * back.pace(),
                100 * back.form(),
                (chosen.back() == null ? calibration.says() : "as set here")
                        + (replay.worksUntilTheBell() ? "; a third more here, since this goes on until time" : ""));
    }

    private static List<MoreView> more(AttemptLog log, RetestJson chosen) {
        List<Change> all = chosen.all();
        return AvailableChanges.in(log).stream()
                .filter(change -> all.stream().noneMatch(one -> one.sameThing(change)))
                .map(change -> new MoreView(ChangeWords.title(change), ChangeJson.of(change, true)))
                .toList();
    }

    private static List<CreditView> credits(EvidenceWeights credits) {
        return Arrays.stream(EvidenceLevel.values())
                .map(evidence -> new CreditView(evidence, evidence.words(), 100 * credits.of(evidence)))
                .toList();
    }

    /** The goal as a score: the one written, else the one that takes the place among the others. */
    private static @Nullable GoalView goal(AttemptLog log, RetestJson chosen, Projection all, Terms terms) {
        String written = chosen.goal() == null ? "" : chosen.goal().strip();
        String list = chosen.others() == null ? "" : chosen.others();
        List<Score> others = InvalidRequest.orElse("others", () -> Ranking.read(list, log.expanded()));
        Integer place = chosen.place();
        Score goal;
        if (!written.isEmpty()) {
            goal = InvalidRequest.orElse("goal", () -> ScoreReader.read(written, log.expanded()));
        } else if (place != null && !others.isEmpty()) {
            goal = others.get(Math.clamp(place, 1, others.size()) - 1);
        } else {
            return null;
        }
        GoalSeek seek = GoalSeek.of(log, chosen.all(), goal, terms);
        boolean ranked = !others.isEmpty();
        return new GoalView(
                projected(goal),
                seek.reached(),
                seek.reachedIfAllLand(),
                RetestWords.goal(seek),
                seek.steps().stream().map(step -> step(step, log.expanded())).toList(),
                ranked ? Ranking.place(all.middle(), others) : null,
                ranked ? Ranking.place(all.proven(), others) : null,
                ranked ? Ranking.place(all.before(), others) : null,
                ranked ? others.size() : null);
    }

    private static StepView step(GoalSeek.Step step, ExpandedWorkout expanded) {
        return new StepView(
                step.place(),
                step.change().written().targets().getFirst(),
                new ChangeWords(expanded).text(step.change()),
                gain(step.gain()),
                step.after().brief(Digits.WHOLE),
                step.evidence(),
                step.reason());
    }

    /** The score aimed at: the one written, else the attempt's own. */
    public static Score goalOf(AttemptLog log, RetestJson chosen) {
        String written = chosen.goal() == null ? "" : chosen.goal().strip();
        return written.isEmpty()
                ? log.score()
                : InvalidRequest.orElse("goal", () -> ScoreReader.read(written, log.expanded()));
    }

    /** What to watch for when these movements are pushed harder. */
    public static List<String> cautions(AttemptLog log) {
        Set<String> cautions = new LinkedHashSet<>();
        for (Segment segment : log.expanded().segments()) {
            segment.movement()
                    .caution()
                    .ifPresent(caution -> cautions.add(segment.movement().name() + ": " + caution));
        }
        return List.copyOf(cautions);
    }
}
