package wake.api.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import wake.plan.Demand;
import wake.plan.Forecast;
import wake.plan.PaceUnit;
import wake.plan.PaceWriter;
import wake.plan.PacedWork;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.PlannedSegment;
import wake.review.OpenAttempt;
import wake.workout.ExpandedWorkout;
import wake.workout.Lap;
import wake.workout.Segment;

/** The movement lines of a plan as the interface shows them. */
final class PlanLineViews {
    private PlanLineViews() {}

    /**
     * What belongs to a line of pacing.
     *
     * @param raised whether its load has to be brought up for every set
     * @param written the pace as its box shows it, in what it was said in; the mean where it changes inside the piece
     * @param within how it changes inside the piece; null where it does not
     * @param pace what else it is read as: a rate, or the time of the piece
     * @param basis of a draft, where it comes from
     * @param demand how it stands to what the athlete has shown
     * @param asksMore whether it is more than shown before
     * @param touched the figures that are not those of a draft: the coach's own
     * @param rounds the rounds in which it occurs, with what each asks
     */
    record LineView(
            int lineIndex,
            String movement,
            String unit,
            boolean counted,
            boolean raised,
            String written,
            @Nullable String within,
            String pace,
            @Nullable String basis,
            @Nullable String demand,
            boolean asksMore,
            Set<Pacing.Figure> touched,
            List<RoundLineView> rounds) {}

    /**
     * A line in one round.
     *
     * @param amount how much it asks for, and whether the partner does it
     * @param written the pace as its box shows it
     */
    record RoundLineView(int round, String amount, String written, boolean differs) {}

    /** The lines of a plan, with what the athlete has shown of each. */
    static List<LineView> of(OpenAttempt open, Plan plan, Plan draft, Forecast forecast, List<Demand> demands) {
        Map<Integer, Demand> byLine = new HashMap<>();
        demands.forEach(demand -> byLine.put(demand.lineIndex(), demand));
        List<LineView> lines = new ArrayList<>();
        for (Plan.LinePacing line : plan.lines()) {
            List<Segment> segments = open.expanded().segments().stream()
                    .filter(segment -> segment.lineIndex() == line.lineIndex())
                    .toList();
            Segment first = segments.getFirst();
            PacedWork work = PacedWork.of(open.expanded(), first);
            Demand demand = byLine.get(line.lineIndex());
            Demand.Verdict verdict = demand == null ? Demand.Verdict.USUAL : demand.verdict();
            lines.add(new LineView(
                    line.lineIndex(),
                    first.movement().name(),
                    first.amount().unit().symbol(),
                    first.countable().isPresent(),
                    first.isRaised(),
                    PaceWriter.write(line.every().secondsPerUnit(), line.every().paceIn(), work),
                    line.every().effort().steps().isEmpty() ? null : PaceWriter.write(line.every(), work),
                    PaceWriter.otherwise(line.every(), work),
                    open.draft().bases().get(line.lineIndex()),
                    demand == null ? null : words(demand, line.every().paceIn(), work),
                    verdict == Demand.Verdict.FASTER_THAN_EVER || verdict == Demand.Verdict.FASTER_THAN_USUAL,
                    line.every().unlike(draft.line(line.lineIndex()).every()),
                    rounds(line, open.expanded(), segments, forecast)));
        }
        return lines;
    }

    /** The line in every round there is: of an open part in each that the plan comes to. */
    private static List<RoundLineView> rounds(
            Plan.LinePacing line, ExpandedWorkout expanded, List<Segment> written, Forecast forecast) {
        Map<List<Lap>, List<Segment>> byRound = Stream.concat(
                        written.stream(), forecast.segments().stream().map(PlannedSegment::segment))
                .filter(segment -> segment.lineIndex() == line.lineIndex() && segment.inRounds())
                .distinct()
                .collect(Collectors.groupingBy(Segment::around, LinkedHashMap::new, Collectors.toList()));
        Set<Integer> seen = new HashSet<>();
        return byRound.values().stream()
                .filter(round -> seen.add(round.getFirst().lap().number()))
                .map(round -> round(expanded, round.getFirst(), line))
                .toList();
    }

    private static RoundLineView round(ExpandedWorkout expanded, Segment segment, Plan.LinePacing line) {
        Pacing pacing = line.in(segment.lap().number());
        return new RoundLineView(
                segment.lap().number(),
                segment.amount() + (segment.isPartners() ? " (partner)" : ""),
                PaceWriter.write(pacing, PacedWork.of(expanded, segment)),
                !pacing.looksLike(line.every()));
    }

    private static @Nullable String words(Demand demand, PaceUnit in, PacedWork work) {
        return demand.demonstrated()
                .map(pace -> switch (demand.verdict()) {
                    case USUAL -> "usual " + PaceWriter.said(pace.medianSecondsPerUnit(), in, work);
                    case FASTER_THAN_USUAL ->
                        "faster than usual " + PaceWriter.said(pace.medianSecondsPerUnit(), in, work) + " (best "
                                + PaceWriter.said(pace.bestSecondsPerUnit(), in, work) + ")";
                    case FASTER_THAN_EVER ->
                        "faster than this athlete's best, " + PaceWriter.said(pace.bestSecondsPerUnit(), in, work);
                    case NOT_YET_SHOWN -> "";
                })
                .orElse(null);
    }
}
