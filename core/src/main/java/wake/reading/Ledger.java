package wake.reading;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wake.log.Cause;

/**
 * The difference to the baseline, the lines of the workout down and causes across. Every margin adds up, to the millisecond.
 *
 * @param rows one for each line, in the order they first come; rounds of which only the ends were noted have a row of their own
 * @param totals all rows by cause
 */
public record Ledger(List<Row> rows, Map<Cause, Long> totals) {
    public Ledger {
        rows = List.copyOf(rows);
        totals = new EnumMap<>(totals);
    }

    /** One line's losses (positive) and gains (negative), milliseconds. */
    public record Row(String movement, Map<Cause, Long> byCause) {
        public Row {
            byCause = new EnumMap<>(byCause);
        }

        /** What was lost in it; what was unfinished at the buzzer is not. */
        public long totalMs() {
            return lost(byCause);
        }
    }

    /** What was lost in all; what was unfinished at the buzzer is not. */
    public long totalMs() {
        return lost(totals);
    }

    static Ledger of(List<SegmentDelta> deltas) {
        Map<String, Map<Cause, Long>> byName = new LinkedHashMap<>();
        Map<Cause, Long> totals = zeroes();
        for (SegmentDelta delta : deltas) {
            Map<Cause, Long> row = byName.computeIfAbsent(delta.stretch().name(), name -> zeroes());
            delta.byCause().forEach((cause, ms) -> {
                row.merge(cause, ms, Long::sum);
                totals.merge(cause, ms, Long::sum);
            });
        }
        List<Row> rows = new ArrayList<>();
        byName.forEach((name, causes) -> rows.add(new Row(name, causes)));
        return new Ledger(rows, totals);
    }

    private static Map<Cause, Long> zeroes() {
        Map<Cause, Long> zeroes = new EnumMap<>(Cause.class);
        for (Cause cause : Cause.values()) {
            zeroes.put(cause, 0L);
        }
        return zeroes;
    }

    private static long lost(Map<Cause, Long> byCause) {
        return byCause.entrySet().stream()
                .filter(entry -> entry.getKey() != Cause.UNFINISHED)
                .mapToLong(Map.Entry::getValue)
                .sum();
    }
}
