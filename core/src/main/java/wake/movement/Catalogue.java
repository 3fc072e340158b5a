package wake.movement;

import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** The movements Wake knows, found by name or alias, in singular or plural, with or without hyphens. */
public final class Catalogue {
    private static final int NEAR_MISS = 2;

    private final List<Movement> movements;
    private final Map<String, Movement> byKey = new LinkedHashMap<>();

    public Catalogue(Collection<Movement> movements) {
        this.movements = List.copyOf(movements);
        for (Movement movement : this.movements) {
            register(movement.name(), movement);
            movement.aliases().forEach(alias -> register(alias, movement));
        }
    }

    private void register(String written, Movement movement) {
        Movement known = byKey.putIfAbsent(key(written), movement);
        if (known != null && known != movement) {
            throw new IllegalArgumentException(
                    "\"" + written + "\" names both " + known.name() + " and " + movement.name());
        }
    }

    public List<Movement> all() {
        return movements;
    }

    public Optional<Movement> find(String written) {
        return Optional.ofNullable(byKey.get(key(written)));
    }

    /** The nearest known name, when the written one is at most two slips away from it and not yet known. */
    public Optional<String> suggest(String written) {
        String key = key(written);
        if (key.length() < 4 || key.length() > 40 || byKey.containsKey(key)) {
            return Optional.empty();
        }
        return byKey.entrySet().stream()
                .map(entry -> Map.entry(entry.getValue().name(), slips(key, entry.getKey())))
                .filter(entry -> entry.getValue() <= NEAR_MISS)
                .min(Comparator.comparingInt(Map.Entry::getValue))
                .map(Map.Entry::getKey);
    }

    private static String key(String written) {
        String plain =
                written.toLowerCase(Locale.ROOT).replaceAll("[\\s_-]+", " ").strip();
        if (plain.endsWith("ches") || plain.endsWith("shes") || plain.endsWith("sses")) {
            return plain.substring(0, plain.length() - 2);
        }
        return plain.endsWith("s") && !plain.endsWith("ss") ? plain.substring(0, plain.length() - 1) : plain;
    }

    /** Edit distance by Levenshtein (1965): insertions, deletions and substitutions cost one each. */
    static int slips(String from, String to) {
        return LevenshteinDistance.getDefaultInstance().apply(from, to);
    }
}
