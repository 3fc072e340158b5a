package wake.workout;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import wake.units.Unit;

/**
 * One line in the order, the words and the signs of the notation: "burpee x 10", "12 box jump (60/50 cm)", "15 min cap", "2-4-6-… thruster". How boards are
 * written is common practice, no source. A line that is in the notation already, or in no way known here, stays as it is.
 */
final class BoardWords {
    private static final String NUMBER = "\\d+(?:\\.\\d+)?";
    private static final String SERIES = "\\d[\\d.+-]*";
    private static final String LOAD_UNIT = "(?:kg|lb|cm|in|%(?:\\s*of\\s+(?:the\\s+)?max)?)";
    private static final String AMOUNT_UNIT = "(?:cal|km|mi|m|ft|s|reps?)";
    private static final String LOAD = "(?:\\d+\\s*x\\s*)?" + NUMBER + "(?:\\s*" + LOAD_UNIT + ")?(?:\\s*/\\s*" + NUMBER
            + "(?:\\s*" + LOAD_UNIT + ")?)*\\s*" + LOAD_UNIT;
    /** A time on the clock, or in minutes. */
    static final String TIME = "(\\d{1,3}(?::\\d\\d)?)(?:\\s*-?\\s*min\\w*)?";

    /** The round, and the clock it is done by. */
    static final String CUT_OFF = "(?:must\\s+)?(?:(?:finish|complete)\\s+)?rounds?\\s+(\\d{1,3})\\s+"
            + "(?:(?:done|finished|complete)\\s+)?by\\s+(\\d{1,3}:\\d\\d)";

    static final String TIE_BREAK = "(?:tie\\s*-?\\s*break|tb)";

    private static final String SIDES = "(alternating|each side|per side)";

    private static final Pattern IN_BRACKETS = pattern("\\s*\\(\\s*@?\\s*(" + LOAD + ")\\s*\\)");
    private static final Pattern RUNGS =
            pattern("(\\d{1,4}(?:\\s*-\\s*\\d{1,4})+)\\s*-?\\s*(?:,\\s*)?(?:\\.{2,}|…|etc\\b\\.?|and so on)\\s*(.*)");
    /** Loads of two divisions in parentheses, without the unit that would say what they are. */
    private static final Pattern WITHOUT_UNIT = pattern(".*\\(\\s*" + NUMBER + "(?:\\s*/\\s*" + NUMBER + ")+\\s*\\).*");
    /** An erg or a run counts calories or metres where nothing is said. */
    private static final Pattern COUNTS_NO_REPS = pattern(".*\\b(?:row|ski|bike|run|swim)\\b.*");

    private static final Pattern APART =
            pattern("(" + SERIES + ")(?:\\s*(" + AMOUNT_UNIT + "))?\\s+([a-z][^@/,(\\d]*?)\\s*/\\s*(" + SERIES
                    + ")(?:\\s*(" + AMOUNT_UNIT + "))?\\s+([a-z][^@/,(\\d]*)([@,(].*)?");

    /**
     * What people write, and the notation for it.
     *
     * @param words with "$1" and so on for what the groups caught
     */
    private record Rule(Pattern pattern, String words) {
        Rule(String pattern, String words) {
            this(BoardWords.pattern(pattern), words);
        }

        String of(String text) {
            return pattern.matcher(text).replaceAll(words);
        }
    }

    private static final List<Rule> UNITS = List.of(
            new Rule("(?<=\\d)\\s*miles?\\b", " mi"),
            new Rule("(?<=\\d)\\s*met(?:er|re)s?\\b", " m"),
            new Rule("(?<=\\d)\\s*(?:feet|foot)\\b", " ft"),
            new Rule("(?<=\\d)\\s*cal(?:s|ories)\\b", " cal"),
            new Rule("(?<=\\d)\\s*(?:kgs|kilos?)\\b", " kg"),
            new Rule("(?<=\\d)\\s*(?:lbs|pounds?)\\b", " lb"),
            new Rule("(?<=\\d)\\s*\"", " in"),
            new Rule("(?<=[(@,]|[(@,]\\s)(\\d{1,2})\\s*x\\s*(?=\\d)", "$1x"));

    private static final List<Rule> RULES = List.of(
            new Rule("(?<![\\w:])" + TIME + "\\s*(?:time\\s+)?cap\\b", "cap $1"),
            new Rule("\\bt\\.?c\\.?\\s*[:=]?\\s*(?=\\d)", "cap "),
            new Rule("^(\\d{1,3})\\s+rounds?$", "$1 rounds:"),
            new Rule("^" + TIE_BREAK + "\\b\\s*:?\\s*", "tie-break "),
            new Rule("^(tie-break after) (?:each|every)(?: full)? round$", "$1 each round"),
            new Rule("^buy[\\s-]*in\\b\\s*[:–-]?\\s*(?=[^\\s:])", "buy-in: "),
            new Rule("^cash[\\s-]*out\\b\\s*[:–-]?\\s*(?=[^\\s:])", "cash-out: "),
            new Rule("^" + CUT_OFF + "$", "by $2 after round $1"),
            new Rule("\\s*\\(\\s*" + SIDES + "\\s*\\)", ", $1"),
            new Rule(", per side\\b", ", each side"),
            new Rule(
                    "^([^@]*[a-z])\\s+((?:\\d+\\s*x\\s*)?" + NUMBER + "(?:\\s*/\\s*" + NUMBER + ")*\\s*(?:kg|lb|cm))$",
                    "$1 @ $2"),
            new Rule("^([^@]*?)\\s*(@.*?)\\s*,\\s*" + SIDES + "$", "$1, $3 $2"),
            new Rule(
                    "^(?!(?:for|amrap|every|emom|lift|max|rest|by|from|part|repeat|buy|cash|tie|score|cap|divisions|in|counts|each)\\b)"
                            + "([a-z][^\\d@(/:,]*?)\\s*(?:[x×]\\s*(" + SERIES + ")(?:\\s*(" + AMOUNT_UNIT + "))?|\\s("
                            + SERIES
                            + ")\\s*(" + AMOUNT_UNIT + "))\\b\\s*([@,(].*)?$",
                    "$2$4 $3$5 $1 $6"));

    private BoardWords() {}

    static Pattern pattern(String expression) {
        return Pattern.compile(expression, Pattern.CASE_INSENSITIVE);
    }

    /** Whether numbers for each division stand in parentheses and nothing says of what. */
    static boolean wantsAUnit(String text) {
        return WITHOUT_UNIT.matcher(text).matches();
    }

    /** The same in the notation's words. */
    static String of(String text) {
        String plain = all(UNITS, text);
        String words = apart(all(RULES, loadsBehindAt(plain))).strip();
        // What was only spaced otherwise stays to the letter.
        return isOnlySpaced(words, plain) ? plain : words.replaceAll("\\s{2,}", " ");
    }

    private static String all(List<Rule> rules, String text) {
        String words = text;
        for (Rule rule : rules) {
            words = rule.of(words);
        }
        return words;
    }

    /** Whether two texts are the same but for their spaces. */
    static boolean isOnlySpaced(String one, String other) {
        return one.replaceAll("\\s", "").equals(other.replaceAll("\\s", ""));
    }

    /** "(45/30 kg)" is a load, not a note. */
    private static String loadsBehindAt(String text) {
        Matcher matcher = IN_BRACKETS.matcher(text);
        boolean[] at = {matcher.replaceAll("").contains("@")};
        return matcher.reset().replaceAll(said -> {
            String before = at[0] ? ", " : " @ ";
            at[0] = true;
            return Matcher.quoteReplacement(before + said.group(1));
        });
    }

    /** "2 rope climb / 4 m sled pull": each division has an amount, a unit and a movement of its own. */
    private static String apart(String text) {
        Matcher apart = APART.matcher(text);
        if (!apart.matches()) {
            return text;
        }
        String one = apart.group(2);
        String other = apart.group(5);
        Predicate<String> isUnit = word -> Unit.ofSymbol(word.strip()).isPresent();
        boolean unsaid = one == null && COUNTS_NO_REPS.matcher(apart.group(3)).matches()
                || other == null && COUNTS_NO_REPS.matcher(apart.group(6)).matches();
        if (one == null && other == null || unsaid || isUnit.test(apart.group(3)) || isUnit.test(apart.group(6))) {
            return text;
        }
        String behind = apart.group(7) == null ? "" : apart.group(7);
        return apart.group(1) + " " + (one == null ? "rep" : one) + " / " + apart.group(4) + " "
                + (other == null ? "rep" : other) + " " + apart.group(3) + " / "
                + apart.group(6).strip() + " " + behind;
    }

    /**
     * The rungs of a ladder that goes on, and what stands behind them.
     *
     * @param step as "2+2"
     * @param behind empty where the rungs stand alone, over the lines they are for
     */
    record Ladder(String step, String behind) {}

    /** "2-4-6-…": empty where it is none, or where the steps differ, so that nobody can tell how it goes on. */
    static Optional<Ladder> ladder(String text) {
        Matcher rungs = RUNGS.matcher(text);
        if (!rungs.matches()) {
            return Optional.empty();
        }
        int[] all = Arrays.stream(rungs.group(1).split("-"))
                .mapToInt(one -> Integer.parseInt(one.strip()))
                .toArray();
        int step = all[1] - all[0];
        boolean even = IntStream.range(1, all.length).allMatch(i -> all[i] - all[i - 1] == step);
        return even && step > 0
                ? Optional.of(new Ladder(all[0] + "+" + step, rungs.group(2).strip()))
                : Optional.empty();
    }
}
