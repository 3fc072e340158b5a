package wake.reading;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The difference to the yardstick, movements down and causes across. Every margin adds up, to the millisecond.
 *
 * @param rows one for each movement, in the order they first come
 * @param totals all rows by cause
 */
public record Ledger(List<Row> rows, Map<Cause, Long> totals) {
    public Ledger {
        rows = List.copyOf(rows);
        totals = new EnumMap<>(totals);
    }

    /** One movement's losses (positive) and gains (negative), milliseconds. */
    public record Row(String movement, Map<Cause, Long> byCause) {
        public Row {
            byCause = new EnumMap<>(byCause);
        }

        public long totalMs() {
            return sum(byCause);
        }
    }

    public long totalMs() {
        return sum(totals);
    }

    static Ledger of(List<SegmentDelta> deltas) {
        Map<String, Map<Cause, Long>> byMovement = new LinkedHashMap<>();
        Map<Cause, Long> totals = zeroes();
        for (SegmentDelta delta : deltas) {
            Map<Cause, Long> row = byMovement.computeIfAbsent(
                    delta.split().segment().movement().name(), name -> zeroes());
            delta.byCause().forEach((cause, ms) -> {
                row.merge(cause, ms, Long::sum);
                totals.merge(cause, ms, Long::sum);
            });
        }
        List<Row> rows = new ArrayList<>();
        byMovement.forEach((movement, causes) -> rows.add(new Row(movement, causes)));
        return new Ledger(rows, totals);
    }

    private static Map<Cause, Long> zeroes() {
        Map<Cause, Long> zeroes = new EnumMap<>(Cause.class);
        for (Cause cause : Cause.values()) {
            zeroes.put(cause, 0L);
        }
        return zeroes;
    }

    private static long sum(Map<Cause, Long> byCause) {
        return byCause.values().stream().mapToLong(Long::longValue).sum();
    }
}
