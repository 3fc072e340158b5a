package wake.movement;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Names that more than one lift goes by, with the other one. Common practice, no source. */
public final class SharedNames {
    private static final Map<String, String> OTHER = Map.of(
            "snatch", "squat snatch",
            "hang snatch", "hang squat snatch",
            "hang clean", "hang squat clean",
            "jerk", "split jerk",
            "press", "bench press",
            "swing", "american kettlebell swing");

    private SharedNames() {}

    /** The lift a written name may mean as well as the one the catalogue takes it for; empty where it means one. */
    public static Optional<String> otherThan(String written) {
        String name = written.strip().toLowerCase(Locale.ROOT);
        return Stream.of(name, name.replaceAll("s$", ""), name.replaceAll("es$", ""))
                .filter(OTHER::containsKey)
                .findFirst()
                .map(OTHER::get);
    }
}
