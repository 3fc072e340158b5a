package wake.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** A board, or a block of it, that stands on one line: "4 rounds for time: 9 burpee, 200 m run". Each movement gets a line of its own. */
final class OneLine {
    private static final Pattern HEADED = Pattern.compile("(\\S.*?)\\s*:\\s+(\\d.*)");
    private static final Pattern BLOCK = Pattern.compile("[\\d+-]+\\s+rounds?(?:\\s+of)?", Pattern.CASE_INSENSITIVE);
    private static final Pattern ONCE = Pattern.compile("(?:buy|cash)[\\s-]*(?:in|out)", Pattern.CASE_INSENSITIVE);
    /** A comma before an amount and a movement, rather than one before another load. */
    private static final Pattern BETWEEN = Pattern.compile(
            "\\s*,\\s*(?=\\d[\\d.+/-]*\\s*(?!(?:kgs?|lbs?|cm|in|inches|pounds?)\\b)(?:(?:cal|km|mi|m|ft|s)\\s+)?[a-z]{3,})",
            Pattern.CASE_INSENSITIVE);

    /** "30 burpee, tie-break": the tie-break is a line of its own. */
    private static final Pattern TIE_BEHIND =
            BoardWords.pattern("(\\d.*?\\S)\\s*[,(]\\s*" + BoardWords.TIE_BREAK + "(?:\\s+here)?\\s*\\)?");

    private static final int STEP = 2;

    private OneLine() {}

    /** The lines a line stands for; itself alone where it is one. */
    static Stream<NotationLine> split(NotationLine line) {
        if (line.text().length() > WhiteboardText.LONGEST) {
            return Stream.of(line);
        }
        Matcher tied = TIE_BEHIND.matcher(line.text());
        if (tied.matches()) {
            return Stream.of(
                    line.saying(tied.group(1)), line.saying("tie-break").uncommented());
        }
        Matcher headed = HEADED.matcher(line.text());
        if (!headed.matches()) {
            return Stream.of(line);
        }
        String head = headed.group(1);
        String[] movements = BETWEEN.split(headed.group(2));
        boolean block = BLOCK.matcher(head).matches()
                || movements.length > 1 && ONCE.matcher(head).matches();
        if (!block && !WhiteboardText.isTiming(line.saying(head))) {
            return Stream.of(line);
        }
        List<NotationLine> lines = new ArrayList<>(List.of(line.saying(block ? head + ":" : head)));
        for (String movement : movements) {
            NotationLine below = line.saying(movement).uncommented();
            lines.add(block ? below.indentedTo(line.indent() + STEP) : below);
        }
        return lines.stream();
    }
}
