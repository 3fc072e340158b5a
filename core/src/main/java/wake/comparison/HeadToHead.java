package wake.comparison;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wake.log.Cause;
import wake.log.Phase;
import wake.units.Digits;

/**
 * Two attempts at one workout beside each other on the raw clock: who led when, where the lead changed, and by what. Neutral: nothing is
 * taken from a best, nothing scaled, nothing said below the coarser of the two logs.
 *
 * @param one how the first attempt is called
 * @param other how the other is
 * @param digits the precision of times that both logs have
 * @param borders the ends of places both show, in order
 * @param curve the lead in the expanded workout of the clock, for a picture
 * @param overtakes all changes of the lead, in order
 * @param leads who led from where on, in order; empty where they were never clearly apart
 * @param lastChange the last of the changes between those
 * @param minutes the lead in reps by minute
 * @param ending how they ended
 * @param comparable whether any split is logged in both
 * @param rounds the rounds both have whole
 * @param lines the lines of the workout, over all legs
 * @param gains all that the first won (above 0) or lost, by cause: adds up to the lead at the last border
 * @param edges where one of them was clearly faster, the largest first
 * @param styles lines that took both the same, each in another way
 * @param techniques movements that the two did with techniques of other names
 * @param differentWork work of other amounts or loads, once for each way it differs
 * @param onlyOne what only the first has
 * @param onlyOther what only the other has
 */
public record HeadToHead(
        String one,
        String other,
        Digits digits,
        List<Border> borders,
        List<LeadPoint> curve,
        List<Overtake> overtakes,
        List<LeadSpan> leads,
        Optional<Overtake> lastChange,
        List<MinuteLead> minutes,
        Ending ending,
        boolean comparable,
        List<RoundDifference> rounds,
        List<LineDifference> lines,
        Map<Cause, Long> gains,
        List<Edge> edges,
        List<Style> styles,
        List<TechniqueGap> techniques,
        List<DifferentWork> differentWork,
        List<String> onlyOne,
        List<String> onlyOther) {
    public HeadToHead {
        borders = List.copyOf(borders);
        curve = List.copyOf(curve);
        overtakes = List.copyOf(overtakes);
        leads = List.copyOf(leads);
        minutes = List.copyOf(minutes);
        rounds = List.copyOf(rounds);
        lines = List.copyOf(lines);
        gains = new EnumMap<>(gains);
        edges = List.copyOf(edges);
        styles = List.copyOf(styles);
        techniques = List.copyOf(techniques);
        differentWork = List.copyOf(differentWork);
        onlyOne = List.copyOf(onlyOne);
        onlyOther = List.copyOf(onlyOther);
    }

    /** Work that differs between the two: "12 cal row" and "9 cal row". */
    public record DifferentWork(String one, String other) {}

    public static HeadToHead of(Side one, Side other) {
        Digits digits = one.log().digits() == Digits.WHOLE || other.log().digits() == Digits.WHOLE
                ? Digits.WHOLE
                : Digits.TENTHS;
        Matching matching = Matching.of(one, other);
        List<Step> steps = Step.of(matching);
        Leads leads = Leads.shown(steps);
        List<Leads.Run> clear = leads.clearRuns();
        List<Leg> legs = Leg.of(one, other, matching);
        List<Border> borders = legs.stream().map(Border::of).toList();
        List<LineDifference> lines = LineDifference.of(legs);
        Map<Cause, Long> gains = new EnumMap<>(Cause.class);
        lines.forEach(line -> line.gains().forEach((cause, ms) -> gains.merge(cause, ms, Long::sum)));
        return new HeadToHead(
                one.name(),
                other.name(),
                digits,
                borders,
                LeadPoint.of(steps, Leads.drawn(steps)),
                leads.overtakes(),
                LeadSpan.of(steps, clear, borders),
                clear.size() < 2
                        ? Optional.empty()
                        : Optional.of(leads.overtake(clear.get(clear.size() - 2), clear.getLast())),
                MinuteLead.of(steps, Step.reached(matching, steps), end(one, other)),
                Ending.of(one, other, matching, digits),
                !steps.isEmpty(),
                RoundDifference.of(one, other, matching),
                lines,
                gains,
                Edge.of(lines),
                Style.of(lines),
                TechniqueGap.of(one, other),
                differentWork(matching),
                matching.onlyOne(),
                matching.onlyOther());
    }

    private static List<DifferentWork> differentWork(Matching matching) {
        return matching.pairs().stream()
                .filter(pair -> !pair.same())
                .map(pair -> new DifferentWork(
                        pair.one().segment().label(), pair.other().segment().label()))
                .distinct()
                .toList();
    }

    /** The first finish; the later end where either did not finish. */
    private static long end(Side one, Side other) {
        long a = one.log().clockMs();
        long b = other.log().clockMs();
        boolean finished = one.log().phase() == Phase.FINISHED && other.log().phase() == Phase.FINISHED;
        return finished ? Math.min(a, b) : Math.max(a, b);
    }

    /** The lead at the last border, which the causes add up to; 0 without one. */
    public long leadMs() {
        return borders.isEmpty() ? 0 : borders.getLast().leadMs();
    }
}
