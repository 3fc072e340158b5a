package wake.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/**
 * A line of a heat sheet taken apart: {@code 3 bo, men 5+17}, or the columns of a table: lane, name, division, scores.
 *
 * @param lane the number before the name
 * @param who the name as written
 * @param division as written, empty where none is
 * @param scores as written, in order, a tie-break with the score it belongs to; "" for {@code -}, a part that has none yet
 */
record HeatLine(OptionalInt lane, String who, String division, List<String> scores) {
    private static final Pattern FIELDS = Pattern.compile("\\s*[,;\\t]\\s*");
    private static final Pattern LANE = Pattern.compile("(\\d{1,9})[.:)]?");
    private static final Pattern TIE_BREAK = Pattern.compile("(?i)(?:tb|tie-?break)\\b.*");
    private static final Pattern NONE = Pattern.compile("[-–—]");
    /** What a score begins with. */
    private static final Pattern SCORE = Pattern.compile("(?i)\\d.*|cap\\b.*|[-–—]$");

    HeatLine {
        scores = List.copyOf(scores);
    }

    /**
     * Takes a line apart.
     *
     * @param most how many scores it may have
     * @param isName whether some words are a name on the roster as they stand, whatever digits are in them
     * @param isDivision whether some words are a division of the workout, or the beginning of one
     */
    static HeatLine of(String line, int most, Predicate<String> isName, Predicate<String> isDivision) {
        List<String> fields = new ArrayList<>(Arrays.asList(FIELDS.split(line.strip(), -1)));
        OptionalInt lane = OptionalInt.empty();
        String[] first = fields.getFirst().split("\\s+", 2);
        var digits = LANE.matcher(first[0]);
        if (digits.matches() && !isName.test(fields.getFirst())) {
            lane = OptionalInt.of(Integer.parseInt(digits.group(1)));
            fields.set(0, first.length > 1 ? first[1].strip() : "");
            if (fields.size() > 1 && fields.getFirst().isEmpty()) {
                fields.removeFirst();
            }
        }
        String who = fields.removeFirst();
        String division = "";
        List<String> scores = new ArrayList<>();
        for (String field : fields) {
            String left = field;
            if (division.isEmpty() && !left.isEmpty()) {
                division = division(left, isDivision);
                left = left.substring(division.length()).strip();
            }
            take(left, scores);
        }
        boolean scored = scores.size() < most || !who.startsWith("+");
        int at = scored && !isName.test(who) ? scoreAfterName(who, isName) : -1;
        if (at > 0) {
            List<String> beside = new ArrayList<>();
            take(who.substring(at), beside);
            scores.addAll(0, beside);
            who = who.substring(0, at).strip();
        }
        return new HeatLine(lane, who, division, scores);
    }

    /** Where the score after a name begins: after one on the roster that has digits itself, else at the first. */
    private static int scoreAfterName(String field, Predicate<String> isName) {
        int first = scoreIn(field, 0);
        int at = first;
        while (at >= 0 && !isName.test(field.substring(0, at).strip())) {
            at = scoreIn(field, at + 1);
        }
        return at < 0 ? first : at;
    }

    private static void take(String field, List<String> scores) {
        if (field.isEmpty()) {
            return;
        }
        if (TIE_BREAK.matcher(field).matches() && !scores.isEmpty()) {
            scores.set(scores.size() - 1, scores.getLast() + " " + field);
        } else {
            scores.add(NONE.matcher(field).matches() ? "" : field);
        }
    }

    /** The division a field begins with: all of it, or the words before a score. */
    private static String division(String field, Predicate<String> isDivision) {
        for (int end = field.length(); end > 0; end = field.lastIndexOf(' ', end - 1)) {
            if (isDivision.test(field.substring(0, end).strip())) {
                return field.substring(0, end);
            }
        }
        int score = scoreIn(field, 0);
        String before = score < 0 ? field : field.substring(0, score).strip();
        return TIE_BREAK.matcher(before).matches() ? "" : before;
    }

    /** Where a score begins in a field from a place on, after whole words; -1 where none does. */
    private static int scoreIn(String field, int from) {
        for (int i = from; i < field.length(); i++) {
            boolean begins = i == 0 || Character.isWhitespace(field.charAt(i - 1));
            if (begins && SCORE.matcher(field.substring(i)).matches()) {
                return i;
            }
        }
        return -1;
    }
}
