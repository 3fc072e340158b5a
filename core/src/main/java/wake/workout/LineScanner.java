package wake.workout;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import wake.units.InvalidInput;

/** Reads one notation line from left to right; the first thing that does not fit ends the line with an error. */
final class LineScanner {
    /** Ends the reading of a line. */
    static final class Unfit extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final transient NotationError error;

        Unfit(NotationError error) {
            super(error.toString(), null, false, false);
            this.error = error;
        }

        NotationError error() {
            return error;
        }
    }

    private static final int MOST_DIGITS = 9;

    private final NotationLine line;
    private int at;

    LineScanner(NotationLine line) {
        this.line = line;
    }

    boolean atEnd() {
        skipBlanks();
        return at >= line.text().length();
    }

    void expectEnd(String expected) {
        if (!atEnd()) {
            throw unfit(expected);
        }
    }

    /** Takes a word or sign if it comes next; words must end where they end, whatever their case. */
    boolean take(String token) {
        skipBlanks();
        int end = at + token.length();
        if (!line.text().regionMatches(true, at, token, 0, token.length())) {
            return false;
        }
        boolean word = Character.isLetter(token.charAt(token.length() - 1));
        if (word && end < line.text().length() && Character.isLetter(line.text().charAt(end))) {
            return false;
        }
        at = end;
        return true;
    }

    void expect(String token, String expected) {
        if (!take(token)) {
            throw unfit(expected);
        }
    }

    boolean atDigit() {
        skipBlanks();
        return at < line.text().length() && Character.isDigit(line.text().charAt(at));
    }

    BigDecimal number(String expected) {
        skipBlanks();
        int start = at;
        while (at < line.text().length()
                && (isAsciiDigit(line.text().charAt(at)) || line.text().charAt(at) == '.')) {
            at++;
        }
        String digits = line.text().substring(start, at);
        if (!digits.matches("\\d{1," + MOST_DIGITS + "}(\\.\\d{1,3})?")) {
            at = start;
            throw unfit(expected);
        }
        return new BigDecimal(digits);
    }

    int wholeNumber(int least, int most, String expected) {
        skipBlanks();
        int start = at;
        BigDecimal number = number(expected);
        boolean fits = number.stripTrailingZeros().scale() <= 0
                && number.compareTo(BigDecimal.valueOf(least)) >= 0
                && number.compareTo(BigDecimal.valueOf(most)) <= 0;
        if (!fits) {
            at = start;
            throw unfit(expected);
        }
        return number.intValueExact();
    }

    /** How many of a load there are, as the 2 of {@code 2x22.5 kg}; 1 where it does not say. */
    int times() {
        skipBlanks();
        int start = at;
        if (atDigit()
                && at + 1 < line.text().length()
                && "x×".indexOf(line.text().charAt(at + 1)) >= 0) {
            at += 2;
            int times = line.text().charAt(start) - '0';
            if (times >= 1 && times <= 4) {
                return times;
            }
            at = start;
            throw unfit("one to four loads, like 2x22.5 kg");
        }
        return 1;
    }

    /** {@code 12}, {@code 10-8-6} or {@code 8+8}. */
    Series series(String expected) {
        BigDecimal first = number(expected);
        if (take("+")) {
            return new Series.Stepped(first, number("the step after the +, like 8+8"));
        }
        if (!take("-")) {
            return new Series.Fixed(first);
        }
        List<BigDecimal> values = new ArrayList<>(List.of(first));
        do {
            values.add(number("the next round's number after the -, like 10-8-6"));
        } while (take("-"));
        return new Series.Listed(values);
    }

    /** One value or one for each division, parted by {@code /}. */
    <T> PerDivision<T> perDivision(Supplier<T> one, int divisions) {
        int start = at;
        List<T> values = new ArrayList<>(List.of(one.get()));
        while (take("/")) {
            values.add(one.get());
        }
        if (values.size() > 1 && values.size() != divisions) {
            at = start;
            throw unfit(
                    divisions > 1
                            ? "one value, or one for each of the " + divisions + " divisions"
                            : "one value, or a line \"divisions: women / men\" above for more than one");
        }
        return new PerDivision<>(values);
    }

    /** The time after a keyword, in milliseconds. */
    long time(String expected) {
        skipBlanks();
        int start = at;
        while (at < line.text().length()
                && (isAsciiDigit(line.text().charAt(at)) || line.text().charAt(at) == ':')) {
            at++;
        }
        try {
            return wake.units.ClockTime.parse(line.text().substring(start, at)).ms();
        } catch (InvalidInput notATime) {
            at = start;
            throw unfit(expected);
        }
    }

    /** Everything up to one of the stop signs, trimmed. */
    String until(String stops) {
        skipBlanks();
        int start = at;
        while (at < line.text().length() && stops.indexOf(line.text().charAt(at)) < 0) {
            at++;
        }
        return line.text().substring(start, at).strip();
    }

    /** The next run of letters, without taking it. */
    Optional<String> peekWord() {
        skipBlanks();
        int end = at;
        while (end < line.text().length() && Character.isLetter(line.text().charAt(end))) {
            end++;
        }
        return end == at
                ? Optional.empty()
                : Optional.of(line.text().substring(at, end).toLowerCase(Locale.ROOT));
    }

    Unfit unfit(String expected) {
        skipBlanks();
        int end = at;
        while (end < line.text().length()
                && end - at < 24
                && !Character.isWhitespace(line.text().charAt(end))) {
            end++;
        }
        String found = end == at ? "the end of the line" : "\"" + line.text().substring(at, end) + "\"";
        return new Unfit(new NotationError(line.number(), line.column() + at, found, expected));
    }

    private void skipBlanks() {
        while (at < line.text().length() && Character.isWhitespace(line.text().charAt(at))) {
            at++;
        }
    }

    private static boolean isAsciiDigit(char c) {
        return c >= '0' && c <= '9';
    }
}
