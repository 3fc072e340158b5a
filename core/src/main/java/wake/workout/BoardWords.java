package wake.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Lines as people write them on a board, in the words of the notation: "4 rounds for time:", "12 min amrap", "time cap: 12 min",
 * "12-9-6-3 of". What is written in the notation already stays as it is, to the letter.
 */
final class BoardWords {
    private static final Pattern SCHEME =
            Pattern.compile("(\\d+(?:\\s*-\\s*\\d+)+)(?:\\s+reps?)?(?:\\s+of)?\\s*:?", Pattern.CASE_INSENSITIVE);
    private static final Pattern SCHEME_FOR_TIME = Pattern.compile(
            "(\\d+(?:\\s*-\\s*\\d+)+)(?:\\s+reps?)?\\s+for\\s+time(?:\\s+of)?\\s*:?", Pattern.CASE_INSENSITIVE);
    private static final Pattern ROUNDS_FOR_TIME = Pattern.compile(
            "(\\d{1,3})\\s+rounds?\\s+for\\s+time(?:\\s+of)?\\s*(?:,\\s*(?:time\\s+)?cap:?\\s*(\\S+)(?:\\s*min\\w*)?)?\\s*:?",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern ROUNDS_OF =
            Pattern.compile("([\\d+-]+)\\s+rounds?(?:\\s+of)?\\s*:?", Pattern.CASE_INSENSITIVE);
    private static final Pattern AMRAP = Pattern.compile(
            "(?:amrap\\s*:?\\s*(\\d{1,3}(?::\\d\\d)?)|(\\d{1,3}(?::\\d\\d)?)(?:\\s*-?\\s*min\\w*)?\\s+amrap)(?:\\s*-?\\s*min\\w*)?\\s*:?",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern EACH_MINUTE = Pattern.compile(
            "(?:emom\\s*:?\\s*(\\d{1,3})|every\\s+minute(?:\\s+on\\s+the\\s+minute)?\\s+for\\s+(\\d{1,3}))(?:\\s*min\\w*)?\\s*:?",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern EVERY = Pattern.compile(
            "every\\s+(\\d{1,3}(?::\\d\\d)?)(?:\\s*min\\w*)?\\s+(?:x\\s*(\\d{1,3})|for\\s+(\\d{1,3})\\s+(?:rounds|sets))\\s*:?",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern FOR_TIME = Pattern.compile(
            "for\\s+time\\s*(?:[,(]\\s*(?:time\\s+)?cap\\s*:?\\s*(\\d{1,3}(?::\\d\\d)?)(?:\\s*min\\w*)?\\)?)?\\s*:?",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern CAP = Pattern.compile(
            "\\(?\\s*(?:time\\s+)?cap\\s*:?\\s*(\\d{1,3}(?::\\d\\d)?)(?:\\s*min\\w*)?\\s*\\)?",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern HEADS =
            Pattern.compile("(?:divisions|part|for\\s+time|amrap|every|emom|lift|\\d).*", Pattern.CASE_INSENSITIVE);
    private static final String UNTITLED = "# Untitled";

    private BoardWords() {}

    static boolean isSchemeHead(String text) {
        return SCHEME.matcher(text).matches();
    }

    /** The scheme of a line that heads others with one number for each round, as "12-9-6-3"; the line has to be such a head. */
    static String scheme(String text) {
        Matcher matcher = SCHEME.matcher(text);
        return matcher.matches() ? matcher.group(1).replaceAll("\\s+", "") : text;
    }

    static List<NotationLine> of(List<NotationLine> lines) {
        List<NotationLine> worded = new ArrayList<>();
        boolean titled = false;
        boolean timed = false;
        for (NotationLine line : lines) {
            if (line.isRemark()) {
                worded.add(line);
            } else if (!titled) {
                titled = true;
                boolean named = line.text().startsWith("#");
                boolean heads = HEADS.matcher(line.text()).matches() && timing(line) != null
                        || line.text().toLowerCase(Locale.ROOT).startsWith("divisions:");
                if (named) {
                    worded.add(line);
                } else if (heads) {
                    worded.add(line.saying(UNTITLED).indentedTo(0));
                    timed = !line.text().toLowerCase(Locale.ROOT).startsWith("divisions:");
                    worded.addAll(timed ? timing(line) : List.of(line));
                } else {
                    worded.add(HEADS.matcher(line.text()).matches() ? line : line.saying("# " + line.text()));
                }
            } else {
                List<NotationLine> timing = timed ? null : timing(line);
                timed |= timing != null || isTiming(line.text());
                Matcher cap = CAP.matcher(line.text());
                if (timing != null) {
                    worded.addAll(timing);
                } else if (cap.matches() && capped(worded, cap.group(1))) {
                    timed = true;
                } else {
                    worded.add(block(line));
                }
            }
        }
        return worded;
    }

    private static boolean isTiming(String text) {
        return text.toLowerCase(Locale.ROOT).matches("(?:part\\b|for\\s+time|amrap|every|lift).*");
    }

    /** A line that says how a part is timed, in the notation's words; null where it is none that people write otherwise. */
    private static @org.jspecify.annotations.Nullable List<NotationLine> timing(NotationLine line) {
        String text = line.text();
        Matcher matcher = ROUNDS_FOR_TIME.matcher(text);
        if (matcher.matches()) {
            String cap = matcher.group(2) == null ? "" : ", cap " + clock(matcher.group(2));
            return List.of(line.saying("for time" + cap), line.saying(matcher.group(1) + " rounds:"));
        }
        matcher = SCHEME_FOR_TIME.matcher(text);
        if (matcher.matches()) {
            return List.of(line.saying("for time"), line.saying(scheme(matcher.group(1))));
        }
        matcher = AMRAP.matcher(text);
        if (matcher.matches()) {
            return List.of(
                    line.saying("amrap " + clock(matcher.group(1) != null ? matcher.group(1) : matcher.group(2))));
        }
        matcher = EACH_MINUTE.matcher(text);
        if (matcher.matches()) {
            return List.of(
                    line.saying("every 1:00 x " + (matcher.group(1) != null ? matcher.group(1) : matcher.group(2))));
        }
        matcher = EVERY.matcher(text);
        if (matcher.matches()) {
            return List.of(line.saying("every " + clock(matcher.group(1)) + " x "
                    + (matcher.group(2) != null ? matcher.group(2) : matcher.group(3))));
        }
        matcher = FOR_TIME.matcher(text);
        if (matcher.matches()) {
            String cap = matcher.group(1) == null ? "" : ", cap " + clock(matcher.group(1));
            return List.of(line.saying("for time" + cap));
        }
        return null;
    }

    /** "3 rounds of:" is "3 rounds:". */
    private static NotationLine block(NotationLine line) {
        Matcher rounds = ROUNDS_OF.matcher(line.text());
        if (rounds.matches() && line.text().toLowerCase(Locale.ROOT).contains(" of")) {
            return line.saying(rounds.group(1) + " rounds:");
        }
        return line;
    }

    /** Puts a cap on a line of its own behind the "for time" above it, where there is one without. */
    private static boolean capped(List<NotationLine> worded, String cap) {
        for (int i = worded.size() - 1; i >= 0; i--) {
            String text = worded.get(i).text();
            if (text.toLowerCase(Locale.ROOT).matches("(?:part\\s.*:\\s*)?for time")) {
                worded.set(i, worded.get(i).saying(text + ", cap " + clock(cap)));
                return true;
            }
        }
        return false;
    }

    private static String clock(String written) {
        return written.contains(":") ? written : written + ":00";
    }
}
