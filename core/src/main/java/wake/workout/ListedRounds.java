package wake.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Lines of "for time" with one number for each round and no heading that says so are rounds: "10-8-6 thruster" over "10-8-6 pull-up". Only where nothing
 * opened a block before, so that they cannot be part of another.
 */
final class ListedRounds {
    private static final Pattern FOR_TIME = Pattern.compile("for time\\b.*", Pattern.CASE_INSENSITIVE);
    private static final Pattern LISTED =
            Pattern.compile("(\\d+(?:-\\d+)+)\\s+(?!rounds?\\b)[a-z].*", Pattern.CASE_INSENSITIVE);
    private static final int STEP = 2;

    private ListedRounds() {}

    /** The lines with the heading that is missing. */
    static List<NotationLine> headed(List<NotationLine> lines) {
        int from = IntStream.range(0, lines.size())
                .filter(i -> FOR_TIME.matcher(lines.get(i).text()).matches())
                .findFirst()
                .orElse(lines.size());
        int first = from + 1;
        while (first < lines.size() && rounds(lines.get(first)) == 0 && !opens(lines.get(first))) {
            first++;
        }
        int rounds = first < lines.size() ? rounds(lines.get(first)) : 0;
        int last = first;
        while (last < lines.size() && rounds > 0 && rounds(lines.get(last)) == rounds) {
            last++;
        }
        if (last - first < 2) {
            return lines;
        }
        NotationLine head = lines.get(first).saying(rounds + " rounds:").uncommented();
        List<NotationLine> with = lines.subList(first, last).stream()
                .map(line -> line.indentedTo(line.indent() + STEP))
                .collect(Collectors.toCollection(ArrayList::new));
        with.addFirst(head);
        with.addAll(0, lines.subList(0, first));
        with.addAll(lines.subList(last, lines.size()));
        return with;
    }

    /** For how many rounds a line has a number; 0 where it has one for all. */
    private static int rounds(NotationLine line) {
        Matcher listed = LISTED.matcher(line.text());
        return listed.matches() ? listed.group(1).split("-").length : 0;
    }

    private static boolean opens(NotationLine line) {
        return WhiteboardText.opens(line)
                || line.text().toLowerCase(Locale.ROOT).startsWith("part");
    }
}
