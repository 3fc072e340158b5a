package wake.movement;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.apache.commons.text.similarity.LevenshteinDistance;
import wake.units.InvalidInput;
import wake.units.Unit;

/** The movements Wake knows, found by name or alias, in singular or plural, with or without hyphens. */
public final class Catalogue {
    private static final int NEAR_MISS = 2;
    /** Names shorter than this are all near each other, longer ones are texts. */
    private static final int SHORTEST = 4;

    private static final int LONGEST = 40;

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
            throw new InvalidInput("\"" + written + "\" names both " + known.name() + " and " + movement.name());
        }
    }

    public List<Movement> all() {
        return movements;
    }

    public Optional<Movement> find(String written) {
        return Optional.ofNullable(byKey.get(key(written)));
    }

    /**
     * The movement a written one that is not known is a kind of: "tempo front squat" of front squat, "burpee over keg" of burpee.
     *
     * @param unit what it is counted in
     */
    public Optional<Movement> kinOf(String written, Unit unit) {
        return kin(written, unit).map(Kin::movement);
    }

    private Optional<Kin> kin(String written, Unit unit) {
        return find(written).isPresent()
                ? Optional.empty()
                : Kin.of(written.toLowerCase(Locale.ROOT), words -> find(String.join(" ", words)))
                        .filter(kin -> isCountedLike(kin.movement(), unit));
    }

    /** A movement as it is written: the known one, else one that moves like its kin, else a wide guess. */
    public Movement resolve(String written, Unit unit) {
        return find(written)
                .or(() -> kin(written, unit).map(kin -> kin.movement().kindOf(written, kin.takesItsMax())))
                .orElseGet(() -> Movement.custom(written, unit));
    }

    /** A machine or a run is only what is counted like one: a "seal row" in reps is none. */
    private static boolean isCountedLike(Movement kin, Unit unit) {
        return kin.unit().dimension() == unit.dimension() || unit == Unit.REP && kin.modality() != Modality.CYCLIC;
    }

    /**
     * The name of a movement as it is kept: the catalogue's; what it does not know, as a variant, is taken as written.
     *
     * @throws InvalidInput where it is a slip of the pen, with what was probably meant
     */
    public String named(String written) {
        nearMiss(written).ifPresent(near -> {
            throw new InvalidInput("no movement \"" + written + "\"; did you mean " + near + "?");
        });
        return find(written).map(Movement::name).orElse(written.strip());
    }

    /** A movement, the lifts it is a part or a harder form of, those these are of, and so on; each once. */
    public List<List<String>> levels(String movement) {
        List<List<String>> levels = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        List<String> level = List.of(find(movement).map(Movement::name).orElse(movement));
        while (!level.isEmpty()) {
            levels.add(level);
            seen.addAll(level);
            level = level.stream()
                    .flatMap(lift -> resolve(lift, Unit.REP).of().stream())
                    .filter(lift -> !seen.contains(lift))
                    .distinct()
                    .toList();
        }
        return levels;
    }

    /** What is known of a movement, else the smallest of what is known of the nearest lifts it is a part or a harder form of. */
    public <T> Optional<T> nearest(String movement, Function<String, Optional<T>> known, Comparator<T> order) {
        return levels(movement).stream()
                .flatMap(level -> level.stream().flatMap(lift -> known.apply(lift).stream()).min(order).stream())
                .findFirst();
    }

    /** The nearest known name, when the written one is at most two slips away from it and not yet known: a slip of the pen, no variant. */
    public Optional<String> nearMiss(String written) {
        String key = key(written);
        if (key.length() < SHORTEST || key.length() > LONGEST || byKey.containsKey(key)) {
            return Optional.empty();
        }
        return nearest(key);
    }

    private Optional<String> nearest(String key) {
        return byKey.entrySet().stream()
                .map(entry -> Map.entry(entry.getValue().name(), slips(key, entry.getKey())))
                .filter(entry -> entry.getValue() <= NEAR_MISS)
                .min(Comparator.comparingInt(Map.Entry::getValue))
                .map(Map.Entry::getKey);
    }

    /** A name as it is looked up: in lower case and the singular, with blanks for hyphens. */
    static String key(String written) {
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
