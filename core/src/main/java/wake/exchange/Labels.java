package wake.exchange;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** Labels as Wake writes them ("round 2, 6 burpee"; before that "round 2 · 6 burpee"), taken off the front of a jotted line, so that no figure in one is read as a time. */
final class Labels {
    private Labels() {}

    /** A line without the longest of some labels at its front, whatever their case and blanks; as it is where none stands there. */
    static String strip(String line, List<String> labels) {
        return labels.stream()
                .filter(label -> !label.isEmpty())
                .flatMap(label -> Stream.of(label, label.replaceFirst(", ", " · ")))
                .sorted(Comparator.comparingInt(String::length).reversed())
                .mapToInt(label -> behind(line, label))
                .filter(end -> end > 0)
                .mapToObj(line::substring)
                .findFirst()
                .orElse(line);
    }

    /** The place behind a label at the front of a line; 0 where it does not stand there, or runs on. */
    private static int behind(String line, String label) {
        int at = 0;
        for (String word : label.toLowerCase(Locale.ROOT).split("\\s+")) {
            while (at < line.length() && Character.isWhitespace(line.charAt(at))) {
                at++;
            }
            if (!line.regionMatches(true, at, word, 0, word.length())) {
                return 0;
            }
            at += word.length();
        }
        boolean runsOn = at < line.length() && Character.isLetterOrDigit(line.charAt(at));
        return runsOn ? 0 : at;
    }
}
