package wake.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import wake.log.SegmentSplit;
import wake.units.Digits;
import wake.units.Say;
import wake.workout.Lap;

/** How the figure of a finding was worked out: formula, values, source, a line each. */
final class Working {
    private static final String ERROR_SOURCE =
            "u of a time by how its mark was made; of a sum √Σu² (JCGM 100:2008, 5.1.2)";

    private final Digits digits;

    Working(Digits digits) {
        this.digits = digits;
    }

    List<String> byCause(List<SegmentDelta> involved, Cause cause, long lost, long error) {
        List<String> lines = new ArrayList<>();
        lines.add(formula(cause));
        for (SegmentDelta delta : involved) {
            long ms = delta.by(cause);
            if (ms != 0) {
                long actual = actual(delta.stretch(), cause);
                lines.add(Say.of(
                        "%s: %s − %s = %s",
                        delta.stretch().place(), digits.span(actual), digits.span(actual - ms), digits.signed(ms)));
            }
        }
        lines.add("Total " + digits.signed(lost));
        lines.add("Timing error 2u = " + Digits.TENTHS.span(error) + ": " + ERROR_SOURCE);
        return lines;
    }

    private static String formula(Cause cause) {
        return switch (cause) {
            case PACE -> "Pace loss = (work − faults) − planned work, per split";
            case REST -> "Rest loss = rest − planned rest, per split";
            case TRANSITION -> "Transition loss = (movement starts − end of the movement before) − planned transition";
            case FAULT ->
                "Fault loss = (next counted rep − the one before) − the median time per rep, less what is planned for failed reps";
            case INTERVAL_REST -> "Interval rest = what was left of the interval − what was planned";
            case UNSEPARATED -> "Unassigned = split − planned split, where only the end of the movement was logged";
            case UNLIKE -> "Different work = split − split in the other attempt, at another load or amount";
            case UNFINISHED -> "Unfinished = end of the attempt − the last unit that counts";
        };
    }

    private static long actual(Stretch stretch, Cause cause) {
        SegmentSplit split = stretch.first();
        return switch (cause) {
            case PACE -> split.workMs() - split.faultMs();
            case REST -> split.restMs();
            case TRANSITION -> split.transitionMs();
            case FAULT -> split.faultMs();
            case INTERVAL_REST -> split.waitMs();
            case UNSEPARATED, UNLIKE -> stretch.activeMs();
            case UNFINISHED -> stretch.unfinishedMs();
        };
    }

    List<String> fastStart(Map<Lap, List<SegmentDelta>> rounds, long won, long lost) {
        List<String> lines = new ArrayList<>();
        lines.add("Pace loss, round by round: Σ (work − faults − planned work)");
        rounds.forEach((lap, deltas) -> lines.add(lap.words() + ": "
                + digits.signed(
                        deltas.stream().mapToLong(delta -> delta.by(Cause.PACE)).sum())));
        lines.add("Faster in round 1: " + digits.span(won) + "; slower after it: " + digits.span(lost));
        lines.add("A start counts as fast from 3% and 2 s on (assumed)");
        return lines;
    }

    List<String> slowRound(Map<Lap, List<SegmentDelta>> rounds, Lap slow, long median) {
        List<String> lines = new ArrayList<>();
        lines.add("Each round − planned; a round counts as slow beyond median + 3 · 1.4826 · MAD");
        rounds.forEach((lap, deltas) -> lines.add(lap.words() + ": "
                + digits.signed(deltas.stream().mapToLong(SegmentDelta::lostMs).sum())
                + (lap.equals(slow) ? "  ←" : "")));
        lines.add("Median " + digits.signed(median));
        return lines;
    }
}
