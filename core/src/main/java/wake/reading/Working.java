package wake.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import wake.log.SegmentSplit;
import wake.units.Seconds;

/** How the figure of a finding was worked out: formula, values, source, a line each. */
final class Working {
    private static final String ERROR_SOURCE =
            "u of a time by how its mark was made; of a sum √Σu² (JCGM 100:2008, 5.1.2)";

    private Working() {}

    static List<String> byCause(List<SegmentDelta> involved, Cause cause, long lost, long error) {
        List<String> lines = new ArrayList<>();
        lines.add(formula(cause));
        for (SegmentDelta delta : involved) {
            long ms = delta.byCause().getOrDefault(cause, 0L);
            if (ms != 0) {
                long actual = actual(delta.split(), cause);
                lines.add("%s: %s − %s = %s"
                        .formatted(
                                delta.split().segment().place(),
                                Seconds.words(actual),
                                Seconds.words(actual - ms),
                                Seconds.signed(ms)));
            }
        }
        lines.add("In all " + Seconds.signed(lost));
        lines.add("Reading error 2u = " + Seconds.words(error) + ": " + ERROR_SOURCE);
        return lines;
    }

    private static String formula(Cause cause) {
        return switch (cause) {
            case PACE -> "Lost on pace = (work − cost of faults) − work allowed, for each segment";
            case REST -> "Lost in rests = rests taken − rests allowed, for each segment";
            case TRANSITION -> "Lost getting there = first action − end of the segment before, less what is allowed";
            case FAULT ->
                "Lost to faults = (next counted rep − the one before) − the typical interval, less what is allowed for misses";
            case INTERVAL_REST -> "Interval rest = what was left of the interval, less what was allowed";
            case UNSEPARATED ->
                "Unseparated = elapsed − allowed, where the marks do not tell work, rest and transition apart";
        };
    }

    private static long actual(SegmentSplit split, Cause cause) {
        return switch (cause) {
            case PACE -> split.workMs() - split.faultMs();
            case REST -> split.restMs();
            case TRANSITION -> split.transitionMs();
            case FAULT -> split.faultMs();
            case INTERVAL_REST -> split.waitMs();
            case UNSEPARATED -> split.elapsedMs();
        };
    }

    static List<String> fastStart(Map<Integer, List<SegmentDelta>> rounds, long won, long lost) {
        List<String> lines = new ArrayList<>();
        lines.add("Pace against what was allowed, round by round: Σ (work − cost of faults − work allowed)");
        rounds.forEach((number, deltas) -> lines.add("round " + number + ": "
                + Seconds.signed(deltas.stream()
                        .mapToLong(delta -> delta.byCause().getOrDefault(Cause.PACE, 0L))
                        .sum())));
        lines.add("Won in the first " + Seconds.words(won) + "; lost after it " + Seconds.words(lost));
        lines.add("A start is called fast from 3 % and two seconds on: an assumption");
        return lines;
    }

    static List<String> slowRound(Map<Integer, List<SegmentDelta>> rounds, int number, long median) {
        List<String> lines = new ArrayList<>();
        lines.add("Each round less what was allowed; a round counts as slow beyond median + 3 · 1.4826 · MAD");
        rounds.forEach((round, deltas) -> lines.add("round " + round + ": "
                + Seconds.signed(
                        deltas.stream().mapToLong(SegmentDelta::deltaMs).sum()) + (round == number ? "  ←" : "")));
        lines.add("Median " + Seconds.signed(median));
        return lines;
    }
}
