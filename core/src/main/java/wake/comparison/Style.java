package wake.comparison;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import wake.log.Cause;

/**
 * A line that took both about as long, each by a strength of its own.
 *
 * @param line the line and what it took each
 * @param one by what the first saved most
 * @param oneMs how much
 * @param other by what the other did
 * @param otherMs how much
 */
public record Style(LineDifference line, Cause one, long oneMs, Cause other, long otherMs) {
    /** From this share of the clock on a difference in style is worth a word; an assumption. */
    private static final double WORTH = 0.05;

    /** Two sums within this share of each other are the same; an assumption. */
    private static final double SAME = 0.03;

    static List<Style> of(List<LineDifference> lines) {
        return lines.stream().flatMap(line -> of(line).stream()).toList();
    }

    private static Optional<Style> of(LineDifference line) {
        long most = Math.max(line.oneMs(), line.otherMs());
        if (Math.abs(line.gainMs()) > Math.max(line.readingErrorMs(), Math.round(SAME * most))) {
            return Optional.empty();
        }
        long worth = Math.max(line.readingErrorMs(), Math.round(WORTH * most));
        return largest(line, worth, 1)
                .flatMap(one -> largest(line, worth, -1)
                        .map(other ->
                                new Style(line, one.getKey(), one.getValue(), other.getKey(), -other.getValue())));
    }

    private static Optional<Map.Entry<Cause, Long>> largest(LineDifference line, long worth, int sign) {
        return line.gains().entrySet().stream()
                .filter(entry -> sign * entry.getValue() > worth && isChosen(entry.getKey()))
                .max(Map.Entry.comparingByValue((a, b) -> Long.compare(sign * a, sign * b)));
    }

    /** Whether it is something an athlete can choose to do otherwise. */
    private static boolean isChosen(Cause cause) {
        return cause == Cause.PACE || cause == Cause.REST || cause == Cause.TRANSITION || cause == Cause.FAULT;
    }
}
