package wake.units;

import java.util.List;
import java.util.Locale;

/** Sentences with figures in them, the same on every machine whatever its language. */
public final class Messages {
    private Messages() {}

    /** Words as they begin a sentence. */
    public static String capital(String words) {
        return words.isEmpty() ? words : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    /** Words as a sentence: with a capital, and a full stop where they end without one. */
    public static String sentence(String words) {
        String capital = capital(words);
        return capital.matches("(?s).*[.?!]") ? capital : capital + ".";
    }

    /** "1", "1 and 2", "1, 2 and 4". */
    public static String listed(List<String> words) {
        return words.size() < 2
                ? String.join("", words)
                : String.join(", ", words.subList(0, words.size() - 1)) + " and " + words.getLast();
    }

    /** A number with one decimal, or none where it is whole: "7", "7.5". */
    public static String number(double value) {
        return of(value == Math.rint(value) ? "%.0f" : "%.1f", value);
    }

    /** A number with so many decimals, and a minus that is one: "0.35", "−0.10". */
    public static String decimals(double value, int decimals) {
        String figure = of("%." + decimals + "f", Math.abs(value));
        boolean zero = figure.chars().allMatch(one -> one == '0' || one == '.');
        return value < 0 && !zero ? "−" + figure : figure;
    }

    /** Like {@link String#format(String, Object...)}, with points for decimals. */
    public static String of(String pattern, Object... values) {
        return String.format(Locale.ROOT, pattern, values);
    }
}
