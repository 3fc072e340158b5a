package wake.words;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wake.plan.TwoPlans;
import wake.plan.TwoPlans.Row;
import wake.units.Digits;
import wake.units.Messages;

/** Two plans beside each other, in a sentence or two. */
public record TwoPlansWords(TwoPlans plans) {
    /** Where the other differs, and its break-even, in a sentence or two. */
    public String text() {
        List<Row> slower = plans.lines().stream()
                .filter(row -> row.slowerMs() >= TwoPlans.SAME_MS)
                .toList();
        List<Row> quicker = plans.lines().stream()
                .filter(row -> row.slowerMs() <= -TwoPlans.SAME_MS)
                .toList();
        if (slower.isEmpty() && quicker.isEmpty()) {
            return "The two plans are the same everywhere.";
        }
        String where = Stream.of(said("slower in", slower), said("faster in", quicker))
                .filter(words -> !words.isEmpty())
                .collect(Collectors.joining("; "));
        return "The other is " + where + ". " + breakEven(slower, quicker);
    }

    private static String said(String how, List<Row> rows) {
        return rows.isEmpty()
                ? ""
                : how + " "
                        + rows.stream()
                                .map(row -> row.label() + " by " + Digits.TENTHS.span(Math.abs(row.slowerMs())))
                                .collect(Collectors.joining(", "));
    }

    private String breakEven(List<Row> slower, List<Row> quicker) {
        long all = plans.slowerMs();
        if (Math.abs(all) < TwoPlans.SAME_MS) {
            return "They take the same in total.";
        }
        List<Row> carry = all > 0
                ? plans.lines().stream().filter(row -> !slower.contains(row)).toList()
                : quicker;
        long carried = carry.stream().mapToLong(Row::besideMs).sum();
        String span = Digits.TENTHS.span(Math.abs(all));
        if (carried <= Math.abs(all)) {
            return all > 0 ? span + " slower in total." : span + " faster in total.";
        }
        String names = carry.stream().map(Row::label).collect(Collectors.joining(", "));
        double percent = 100.0 * Math.abs(all) / carried;
        return all > 0
                ? Messages.of(
                        "%s slower in total. Worth it if %s gets %.1f%% faster than planned.", span, names, percent)
                : Messages.of(
                        "%s faster in total. Not worth it if %s gets %.1f%% slower than planned.",
                        span, names, percent);
    }
}
