package wake.comparison;

import java.util.Comparator;
import java.util.List;
import wake.log.Cause;

/**
 * Where one of the two was faster, and by what.
 *
 * @param line the line of the workout; empty where it goes over whole rounds
 * @param cause by what
 * @param ms what the first saved by it; below 0 where the other did
 */
public record Edge(String line, Cause cause, long ms) {
    /** All beyond the timing error, the largest first. */
    static List<Edge> of(List<LineDifference> lines) {
        return lines.stream()
                .flatMap(line -> line.gains().entrySet().stream()
                        .filter(entry -> Math.abs(entry.getValue()) > line.readingErrorMs())
                        .map(entry -> new Edge(
                                line.line().equals(Leg.WHOLE) ? "" : line.line(), entry.getKey(), entry.getValue())))
                .sorted(Comparator.comparingLong((Edge edge) -> -Math.abs(edge.ms())))
                .toList();
    }
}
