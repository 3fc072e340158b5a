package wake.exchange;

import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;

/** Who, or what, of a list is meant by a name that may be cut short. */
final class NameMatch {
    private NameMatch() {}

    /** Those called so in full; else all whose words begin like the words written, in their order. Gives places in the list. */
    static List<Integer> meant(String written, List<String> names) {
        List<Integer> whole = IntStream.range(0, names.size())
                .filter(i -> names.get(i).equalsIgnoreCase(written))
                .boxed()
                .toList();
        if (!whole.isEmpty() || written.isEmpty()) {
            return whole;
        }
        String[] words = written.toLowerCase(Locale.ROOT).split("\\s+");
        return IntStream.range(0, names.size())
                .filter(i -> begin(words, names.get(i).toLowerCase(Locale.ROOT).split("\\s+")))
                .boxed()
                .toList();
    }

    private static boolean begin(String[] words, String[] name) {
        int at = 0;
        for (String part : name) {
            if (at < words.length && part.startsWith(words[at])) {
                at++;
            }
        }
        return at == words.length;
    }
}
