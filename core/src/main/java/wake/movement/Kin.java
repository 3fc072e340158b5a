package wake.movement;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a movement that is in no catalogue is a kind of, by how such names are made (common practice, no source): "tempo front squat" of front squat,
 * "burpee over keg" of burpee, as what it is done over says nothing of it.
 *
 * @param movement the known one that it moves like
 * @param takesItsMax whether a max of that one bounds it too: not where another implement is moved, or one limb does it
 */
record Kin(Movement movement, boolean takesItsMax) {
    private static final Set<String> BEFORE_AN_OBJECT = Set.of(
            "over", "onto", "to", "from", "with", "on", "in", "into", "off", "against", "across", "around", "under",
            "between", "through");
    private static final Set<String> SIDES = Set.of("left", "right", "alternating");
    private static final Map<String, String> SHORT =
            Map.of("db", "dumbbell", "kb", "kettlebell", "bb", "barbell", "med", "medicine", "banded", "band");
    private static final Set<String> IMPLEMENTS = Set.of(
            "dumbbell",
            "kettlebell",
            "sandbag",
            "barbell",
            "medicine",
            "ball",
            "plate",
            "band",
            "sled",
            "axle",
            "log",
            "keg",
            "stone",
            "bag",
            "pipe",
            "vest",
            "weighted",
            "chain",
            "assisted",
            "machine",
            "ring");
    private static final Set<String> ONE_LIMB = Set.of("single", "one");

    /**
     * The kin of a name.
     *
     * @param written the name in lower case
     * @param known finds a movement by its words
     */
    static Optional<Kin> of(String written, Function<List<String>, Optional<Movement>> known) {
        List<String> words = words(written);
        List<String> named = words(String.join(" ", beforeTheObject(written)));
        for (int from = 0; from < named.size(); from++) {
            List<String> last = named.subList(from, named.size());
            Optional<Movement> base = last.equals(words) ? Optional.empty() : known.apply(last);
            if (base.isPresent()) {
                return base.map(movement -> new Kin(movement, isBounded(words, named.size(), movement)));
            }
        }
        return Optional.empty();
    }

    private static List<String> words(String written) {
        return List.of(written.strip().split("[\\s_-]+"));
    }

    /** What names the movement: up to what it is done over, and without the side. A "chest-to-wall" is one word of it. */
    private static List<String> beforeTheObject(String written) {
        List<String> words = List.of(written.strip().split("\\s+"));
        int end = 1;
        while (end < words.size() && !BEFORE_AN_OBJECT.contains(words.get(end))) {
            end++;
        }
        while (end > 1 && SIDES.contains(words.get(end - 1))) {
            end--;
        }
        return words.subList(0, end);
    }

    /** Whether nothing else is moved than in the known one, and with as many limbs. */
    private static boolean isBounded(List<String> words, int end, Movement base) {
        int with = words.indexOf("with");
        Stream<String> held = with < 0 ? Stream.of() : words.subList(with, words.size()).stream();
        Set<String> written = implementsOf(Stream.concat(words.subList(0, end).stream(), held));
        List<String> name = List.of(base.name().split("[ -]"));
        Set<String> own = implementsOf(name.stream());
        if (own.isEmpty() && base.modality() == Modality.WEIGHTS) {
            own = Set.of("barbell");
        }
        boolean oneLimb =
                words.stream().anyMatch(ONE_LIMB::contains) && name.stream().noneMatch(ONE_LIMB::contains);
        return own.containsAll(written) && !oneLimb;
    }

    private static Set<String> implementsOf(Stream<String> words) {
        return words.map(word -> SHORT.getOrDefault(word, word))
                .filter(IMPLEMENTS::contains)
                .collect(Collectors.toUnmodifiableSet());
    }
}
