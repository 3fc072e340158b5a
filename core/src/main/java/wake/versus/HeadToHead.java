package wake.versus;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import wake.log.Phase;
import wake.reading.Cause;
import wake.units.Digits;

/**
 * Two attempts at one workout beside each other on the raw clock: who led when, where the lead changed, and by what. Neutral: nothing is
 * taken from a best, nothing scaled, nothing said below the coarser of the two logs.
 *
 * @param digits how far times are told by both
 * @param borders the ends of places both tell, in order
 * @param curve the lead in the course of the clock, for a picture
 * @param overtakes all changes of the lead, in order
 * @param minutes the lead in reps by minute
 * @param ending how they ended
 * @param rounds the rounds both have whole
 * @param lines the lines of the workout, over all legs
 * @param gains all that the first won (above 0) or lost, by cause: adds up to the lead at the last border
 * @param unlike places that ask other amounts or loads of the two, in words
 * @param unmatched what only one of them has, in words
 * @param answer who led, where the lead changed and by how much it ended, in one sentence
 * @param made what made the difference; empty where nothing of it can be told
 * @param styles the same cost in another way, a sentence each
 */
public record HeadToHead(
        Digits digits,
        List<Border> borders,
        List<LeadPoint> curve,
        List<Overtake> overtakes,
        List<MinuteLead> minutes,
        Ending ending,
        List<RoundDifference> rounds,
        List<LineDifference> lines,
        Map<Cause, Long> gains,
        List<String> unlike,
        List<String> unmatched,
        String answer,
        String made,
        List<String> styles) {
    public HeadToHead {
        borders = List.copyOf(borders);
        curve = List.copyOf(curve);
        overtakes = List.copyOf(overtakes);
        minutes = List.copyOf(minutes);
        rounds = List.copyOf(rounds);
        lines = List.copyOf(lines);
        gains = new EnumMap<>(gains);
        unlike = List.copyOf(unlike);
        unmatched = List.copyOf(unmatched);
        styles = List.copyOf(styles);
    }

    public static HeadToHead of(Side one, Side other) {
        Digits digits = one.log().digits() == Digits.WHOLE || other.log().digits() == Digits.WHOLE
                ? Digits.WHOLE
                : Digits.TENTHS;
        Matching matching = Matching.of(one, other);
        List<Step> steps = Step.of(matching);
        Leads leads = Leads.of(steps);
        List<Leg> legs = Leg.of(one, other, matching);
        List<Border> borders = legs.stream().map(Border::of).toList();
        List<LineDifference> lines = LineDifference.of(legs);
        Map<Cause, Long> gains = new EnumMap<>(Cause.class);
        lines.forEach(line -> line.gains().forEach((cause, ms) -> gains.merge(cause, ms, Long::sum)));
        Ending ending = Ending.of(one, other, matching, digits);
        VersusWords words = new VersusWords(one.name(), other.name(), digits);
        return new HeadToHead(
                digits,
                borders,
                LeadPoint.of(steps, leads),
                leads.overtakes(),
                MinuteLead.of(steps, end(one, other)),
                ending,
                RoundDifference.of(one, other, matching),
                lines,
                gains,
                words.unlike(matching),
                words.unmatched(matching),
                words.answer(steps, leads, borders, ending),
                words.made(lines, borders),
                words.styles(lines));
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
