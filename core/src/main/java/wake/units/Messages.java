package wake.units;

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

    /** Like {@link String#format(String, Object...)}, with points for decimals. */
    public static String of(String pattern, Object... values) {
        return String.format(Locale.ROOT, pattern, values);
    }
}
