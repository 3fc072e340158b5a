package wake.exchange;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import wake.field.Entry;
import wake.field.Leaderboard.Row;

/** A leaderboard as comma-separated values (RFC 4180): the places, and the splits in seconds where the log has them. */
public final class LeaderboardSheet {
    private LeaderboardSheet() {}

    /** An attempt on it. */
    public record Line(String division, String athlete, LocalDate doneOn, Row row, Entry entry) {}

    /** Division by division, in the order given. */
    public static String of(List<Line> lines) {
        Set<String> labels = new LinkedHashSet<>();
        lines.forEach(
                line -> line.entry().bars().stream().filter(Entry.Bar::told).forEach(bar -> labels.add(bar.label())));
        List<Object> head = new ArrayList<>(List.of(
                "division",
                "place",
                "athlete",
                "date",
                "score",
                "tie_break",
                "behind_first",
                "behind_next",
                "percentile"));
        labels.forEach(label -> head.add(label + " (s)"));
        StringBuilder sheet = new StringBuilder(Cells.row(head.toArray()));
        for (Line line : lines) {
            Row row = line.row();
            List<Object> cells = new ArrayList<>(List.of(
                    line.division(),
                    row.place().isPresent() ? row.place().getAsInt() : "",
                    line.athlete(),
                    line.doneOn(),
                    line.entry().scoreWords(),
                    line.entry().tieBreakWords(),
                    row.behindFirst().orElse(""),
                    row.behindNext().orElse(""),
                    row.percentile().isPresent() ? Math.round(row.percentile().getAsDouble()) : ""));
            for (String label : labels) {
                cells.add(line.entry().bars().stream()
                        .filter(bar -> bar.told() && bar.label().equals(label))
                        .map(bar -> String.format(Locale.ROOT, "%.1f", bar.ms() / 1000.0))
                        .findFirst()
                        .orElse(""));
            }
            sheet.append(Cells.row(cells.toArray()));
        }
        return sheet.toString();
    }
}
