package wake.comparison;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wake.log.Cause;

/**
 * A line of the workout over all legs: what it took each, and what the first won in it by cause.
 *
 * @param oneMs what its legs took the first
 * @param otherMs what they took the other
 * @param gains what the first won (above 0) or lost on the other, by cause
 * @param readingErrorMs below it a figure of this line may be nothing but reading error: that of its legs, in squares
 */
public record LineDifference(
        String line, long oneMs, long otherMs, Map<Cause, Long> gains, long readingErrorMs, int legs) {
    public LineDifference {
        gains = new EnumMap<>(gains);
    }

    public long gainMs() {
        return otherMs - oneMs;
    }

    static List<LineDifference> of(List<Leg> legs) {
        Map<String, List<Leg>> byLine = new LinkedHashMap<>();
        legs.forEach(leg ->
                byLine.computeIfAbsent(leg.name(), line -> new ArrayList<>()).add(leg));
        List<LineDifference> lines = new ArrayList<>();
        byLine.forEach((line, its) -> lines.add(of(line, its)));
        return lines;
    }

    private static LineDifference of(String line, List<Leg> legs) {
        Map<Cause, Long> gains = new EnumMap<>(Cause.class);
        double squares = 0;
        for (Leg leg : legs) {
            leg.gains().forEach((cause, ms) -> gains.merge(cause, ms, Long::sum));
            squares += Math.pow(leg.readingErrorMs(), 2);
        }
        return new LineDifference(
                line,
                legs.stream().mapToLong(leg -> leg.one().elapsedMs()).sum(),
                legs.stream().mapToLong(leg -> leg.other().elapsedMs()).sum(),
                gains,
                Math.round(Math.sqrt(squares)),
                legs.size());
    }
}
