package wake.movement;

import java.util.Map;
import java.util.Optional;

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
        return Optional.ofNullable(OTHER.get(Catalogue.key(written)));
    }
}
