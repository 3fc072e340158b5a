package wake.api.plan;

import static wake.api.Boxed.boxed;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import wake.api.log.LogViews.TieBreakView;
import wake.api.plan.PlanLineViews.LineView;
import wake.athlete.Figures;
import wake.log.Score;
import wake.plan.Budget;
import wake.plan.Demand;
import wake.plan.Forecast;
import wake.plan.GoalPlan;
import wake.plan.LatestClocks;
import wake.plan.PacingStrategy;
import wake.plan.Plan;
import wake.plan.PlannedSegment;
import wake.plan.Rescale.Known;
import wake.plan.SetScheme;
import wake.plan.WallRow;
import wake.plan.check.PlanCheck;
import wake.plan.check.PlanChecks;
import wake.plan.lift.LiftChecks;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.LimitingMax;
import wake.plan.lift.Timetable;
import wake.review.Documents.KeptPlan;
import wake.review.OpenAttempt;
import wake.review.PlanJson;
import wake.words.PlanWords;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.Segment;

/** A plan as the interface shows it. */
final class PlanViews {
    private PlanViews() {}

    /**
     * A plan, and all that follows from it.
     *
     * @param version the one in force, to be named with the next; 0 before there was any
     * @param maxes what percentages of a lift window can be of, the one that limits the lift first; empty where no max is on file
     * @param maxWords what they are of in this plan; null while there is no lift plan
     */
    record PlanView(
            int version,
            boolean assumed,
            String answer,
            String score,
            boolean overCap,
            long finishMs,
            @Nullable Long overGoalMs,
            PlanJson plan,
            List<LineView> lines,
            List<PlannedView> segments,
            List<WallRowView> wall,
            List<StrategyView> strategies,
            List<PushView> pushes,
            BudgetView budget,
            List<CheckView> checks,
            @Nullable String fallbackOrder,
            @Nullable Long fallbackCostMs,
            boolean liftWindow,
            List<MaxChoiceView> maxes,
            @Nullable String maxWords,
            LiftWindowViews.@Nullable TimetableView timetable) {}

    /** A max on file, to take percentages of. */
    record MaxChoiceView(String load, String words) {}

    /**
     * What a plan allows for one segment.
     *
     * @param round the round it belongs to: "round 2 of thruster and burpee"
     * @param latestMs the latest clock at its end from which all that is due after it can still be made at this pace
     */
    record PlannedView(
            int segmentIndex,
            int lineIndex,
            @Nullable String round,
            String label,
            long transitionMs,
            long workMs,
            long pickUpsMs,
            long restMs,
            long missesMs,
            String sets,
            long endMs,
            @Nullable Long latestMs) {}

    /** A row of the page for the wall: a round, or what stands outside rounds. */
    record WallRowView(
            String round,
            String says,
            @Nullable Long startMs,
            long endMs,
            @Nullable Long latestMs,
            List<String> cutOffs) {}

    /** How a pacing strategy would spend the same total. */
    record StrategyView(
            PacingStrategy strategy, String words, boolean chosen, String score, List<StretchView> rounds) {}

    /** A round, or a segment where there are no rounds. */
    record StretchView(String label, String block, boolean round, long ms, long endMs) {}

    /**
     * A push of a designed finish.
     *
     * @param toGoMs how much of the clock is left when it comes
     * @param atMs the clock there
     * @param place what is done there; null where it would lie before "go"
     */
    record PushView(
            long toGoMs,
            double percent,
            long atMs,
            @Nullable String place) {}

    /** What it adds up to. */
    record BudgetView(
            List<SectionView> sections,
            long workMs,
            long pauseMs,
            String workToRest,
            int drops,
            double kilograms,
            double metres,
            List<CutOffMarginView> cutOffs,
            @Nullable TieBreakView tieBreak,
            @Nullable Long intervalRestMs) {}

    /** A block of the workout with its share. */
    record SectionView(String label, int rounds, long ms, long perRoundMs) {}

    /** A cut-off with its margin. */
    record CutOffMarginView(String after, long byMs, long clockMs, long marginMs) {}

    /** Something to question, with its fix; set aside when there is a note. */
    record CheckView(
            String key,
            String kind,
            @Nullable Integer lineIndex,
            String sentence,
            @Nullable String fix,
            @Nullable PlanJson mended,
            @Nullable String setAside) {}

    /** A plan as the interface shows it, beside what a draft would say. */
    static PlanView of(OpenAttempt open, Plan draft, Known known, List<LimitingMax> maxes, int version) {
        ExpandedWorkout expanded = open.expanded();
        Plan plan = open.planOrDraft();
        Forecast forecast = Forecast.of(expanded, plan);
        Budget budget = Budget.of(expanded, forecast);
        Optional<KeptPlan> kept = open.plan();
        Optional<PlanWords.Margin> margin = margin(open);
        Optional<Timetable> timetable = open.timetable();
        boolean lift = expanded.format() instanceof Format.Lift;
        LatestClocks latest = LatestClocks.of(open.forecast(), open.due());
        return new PlanView(
                version,
                kept.isEmpty(),
                timetable
                        .map(Timetable::answer)
                        .orElseGet(() -> PlanWords.headline(expanded, forecast, budget, margin)),
                forecast.score().words(),
                forecast.score() instanceof Score.Capped,
                forecast.finishMs(),
                margin.map(PlanWords.Margin::overMs).orElse(null),
                json(open, plan),
                PlanLineViews.of(open, plan, draft, forecast, Demand.of(expanded, forecast, known.demonstrated())),
                segments(latest, forecast),
                wall(expanded, plan, forecast, latest),
                strategies(expanded, plan),
                pushes(forecast, expanded, plan),
                budget(budget),
                checks(open, plan, known.figures(), timetable),
                plan.fallback().map(fallback -> fallback.order(expanded)).orElse(null),
                plan.fallback()
                        .map(fallback ->
                                Forecast.of(expanded, plan.fallenBack(expanded)).finishMs() - forecast.finishMs())
                        .orElse(null),
                lift,
                maxes.stream().map(PlanViews::max).toList(),
                kept.flatMap(KeptPlan::lift)
                        .flatMap(planned ->
                                LimitingMax.planned(planned.max(), maxes).words())
                        .orElse(null),
                timetable.map(table -> LiftWindowViews.of(table, open)).orElse(null));
    }

    private static MaxChoiceView max(LimitingMax one) {
        return new MaxChoiceView(one.max().orElseThrow().toString(), one.words().orElseThrow());
    }

    private static PlanJson json(OpenAttempt open, Plan plan) {
        return PlanJson.of(
                plan, open.plan().map(KeptPlan::goal).orElse(null), open.plan().flatMap(KeptPlan::lift));
    }

    private static Optional<PlanWords.Margin> margin(OpenAttempt open) {
        return open.goal()
                .map(goal ->
                        new PlanWords.Margin(goal.words(), GoalPlan.overMs(open.expanded(), open.planOrDraft(), goal)));
    }

    private static List<PlannedView> segments(LatestClocks latest, Forecast forecast) {
        List<PlannedView> segments = new ArrayList<>();
        List<Long> ends = forecast.endsMs();
        for (int i = 0; i < ends.size(); i++) {
            PlannedSegment planned = forecast.segments().get(i);
            segments.add(new PlannedView(
                    planned.segment().index(),
                    planned.segment().lineIndex(),
                    planned.segment().inRounds() ? planned.segment().lap().words() : null,
                    planned.segment().label(),
                    planned.transitionMs(),
                    planned.workMs(),
                    planned.pickUpsMs(),
                    planned.restMs(),
                    planned.missesMs(),
                    SetScheme.dashed(planned.sets()),
                    ends.get(i),
                    boxed(latest.after(i + 1))));
        }
        return segments;
    }

    private static List<WallRowView> wall(ExpandedWorkout expanded, Plan plan, Forecast forecast, LatestClocks latest) {
        return WallRow.of(expanded, plan, forecast, latest).stream()
                .map(row -> new WallRowView(
                        row.round(),
                        row.says(),
                        boxed(row.startMs()),
                        row.endMs(),
                        boxed(row.latestMs()),
                        row.cutOffs()))
                .toList();
    }

    private static List<PushView> pushes(Forecast forecast, ExpandedWorkout expanded, Plan plan) {
        return forecast.pushes(expanded, plan).stream()
                .map(pushed -> new PushView(
                        pushed.push().toGoMs(),
                        pushed.push().percent(),
                        pushed.atMs(),
                        pushed.place().map(Segment::place).orElse(null)))
                .toList();
    }

    private static List<StrategyView> strategies(ExpandedWorkout expanded, Plan plan) {
        if (plan.lines().isEmpty()) {
            return List.of();
        }
        List<StrategyView> strategies = new ArrayList<>();
        Forecast.byStrategy(expanded, plan)
                .forEach((strategy, forecast) -> strategies.add(new StrategyView(
                        strategy,
                        strategy.words(),
                        plan.strategy() == strategy,
                        forecast.score().words(),
                        forecast.stretches(expanded).stream()
                                .map(stretch -> new StretchView(
                                        stretch.label(),
                                        stretch.block(),
                                        stretch.round(),
                                        stretch.ms(),
                                        stretch.endMs()))
                                .toList())));
        return strategies;
    }

    private static BudgetView budget(Budget budget) {
        return new BudgetView(
                budget.sections().stream()
                        .map(section ->
                                new SectionView(section.label(), section.rounds(), section.ms(), section.perRoundMs()))
                        .toList(),
                budget.workMs(),
                budget.pauseMs(),
                budget.pauseMs() == 0
                        ? "all work"
                        : String.format(Locale.ROOT, "%.1f : 1", budget.workMs() / (double) budget.pauseMs()),
                budget.drops(),
                budget.kilograms(),
                budget.metres(),
                budget.cutOffs().stream()
                        .map(cutOff -> new CutOffMarginView(
                                cutOff.after(), cutOff.byMs(), cutOff.clockMs(), cutOff.marginMs()))
                        .toList(),
                budget.tieBreak().map(TieBreakView::of).orElse(null),
                boxed(budget.shortestIntervalRestMs()));
    }

    private static List<CheckView> checks(OpenAttempt open, Plan plan, Figures figures, Optional<Timetable> timetable) {
        List<CheckView> checks = new ArrayList<>();
        if (!plan.lines().isEmpty()) {
            PlanChecks.of(open.expanded(), plan, figures).forEach(check -> checks.add(check(open, plan, check)));
        }
        Optional<LiftPlan> lift = open.plan().flatMap(KeptPlan::lift);
        if (timetable.isPresent() && lift.isPresent() && open.expanded().format() instanceof Format.Lift window) {
            LiftChecks.of(lift.get(), timetable.get(), window, open.afterAnother())
                    .forEach(check -> checks.add(check(open, plan, check)));
        }
        return checks;
    }

    private static CheckView check(OpenAttempt open, Plan plan, PlanCheck check) {
        return new CheckView(
                check.key(),
                check.kind().name(),
                check.lineIndex().isPresent() ? check.lineIndex().getAsInt() : null,
                check.sentence(),
                check.fix().map(PlanCheck.Fix::words).orElse(null),
                check.fix().map(fix -> json(open, fix.plan())).orElse(null),
                plan.ignored().get(check.key()));
    }

    private static CheckView check(OpenAttempt open, Plan plan, LiftChecks.Check check) {
        return new CheckView(
                check.key(),
                check.kind().name(),
                null,
                check.sentence(),
                check.fix().orElse(null),
                check.mended()
                        .map(mended -> PlanJson.of(
                                plan, open.plan().map(KeptPlan::goal).orElse(null), Optional.of(mended)))
                        .orElse(null),
                plan.ignored().get(check.key()));
    }
}
