package wake.review;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import wake.plan.lift.PlateRack;
import wake.projection.EvidenceLevel;
import wake.projection.EvidenceWeights;
import wake.store.SettingStore;
import wake.units.InvalidInput;

/** What the coach has chosen for the whole gym: the bar and its plates, and what evidence counts before anything is learned. */
@Component
public class GymSettings {
    private static final String GYM = "gym";
    private static final String LOG = "log";
    private static final int BAR_KG = 20;

    private final SettingStore settings;
    private final JsonMapper json;

    /**
     * The gym's choices, as they are kept.
     *
     * @param bar its weight: "20 kg"
     * @param plates with their pairs: "20x2 10x1"
     * @param credits the share of a gain that counts, by how well it is backed, 0 to 1
     */
    public record GymJson(String bar, String plates, Map<EvidenceLevel, Double> credits) {
        static final GymJson USUAL =
                new GymJson(BAR_KG + " kg", PlateRack.kilograms(BAR_KG).written(), EvidenceWeights.USUAL.shares());

        /** @throws InvalidInput saying what does not fit */
        GymJson checked() {
            if (bar == null || plates == null || credits == null) {
                throw new InvalidInput("Settings need a bar, its plates and how much counts as proven");
            }
            rack();
            assumed();
            return this;
        }

        /** @throws InvalidInput saying what does not fit */
        public PlateRack rack() {
            return PlanJson.rack(bar, plates);
        }

        /** @throws InvalidInput saying what does not fit */
        public EvidenceWeights assumed() {
            return new EvidenceWeights(credits);
        }
    }

    /**
     * What the log step is set to.
     *
     * @param keys key by action; actions that are not in it have their usual key
     * @param phrases quick notes, at most nine
     */
    public record LogJson(Map<String, String> keys, List<String> phrases) {
        static final LogJson USUAL = new LogJson(Map.of(), List.of());
        private static final int MOST_KEYS = 60;
        private static final int MOST_PHRASES = 9;
        private static final int LONGEST_ACTION = 40;
        private static final int LONGEST_KEY = 20;
        private static final int LONGEST_PHRASE = 120;

        /** @throws InvalidInput saying what does not fit */
        public LogJson checked() {
            if (keys == null || phrases == null || keys.size() > MOST_KEYS || phrases.size() > MOST_PHRASES) {
                throw new InvalidInput("At most " + MOST_KEYS + " keys and " + MOST_PHRASES + " phrases");
            }
            Set<String> taken = new HashSet<>();
            keys.forEach((action, key) -> {
                if (!isSaid(action, LONGEST_ACTION) || !isSaid(key, LONGEST_KEY)) {
                    throw new InvalidInput("Each key needs an action");
                }
                if (!taken.add(key)) {
                    throw new InvalidInput("The key " + key + " is used twice. Each key does one thing");
                }
            });
            if (!phrases.stream().allMatch(phrase -> isSaid(phrase, LONGEST_PHRASE))) {
                throw new InvalidInput("A phrase has 1 to " + LONGEST_PHRASE + " characters");
            }
            return this;
        }

        private static boolean isSaid(@Nullable String text, int longest) {
            return text != null && !text.isBlank() && text.length() <= longest;
        }
    }

    /** One of the coach's choices as it is kept: what it is called, and how it is read and held to what may be kept. */
    private record Choice(String name, Consumer<String> check) {}

    private List<Choice> all() {
        return List.of(
                new Choice(
                        GYM, document -> json.readValue(document, GymJson.class).checked()),
                new Choice(
                        LOG, document -> json.readValue(document, LogJson.class).checked()));
    }

    /**
     * Refuses what could not be read back.
     *
     * @throws InvalidInput saying what does not fit, or that there is no choice of that name
     */
    public void check(String name, String document) {
        all().stream()
                .filter(choice -> choice.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new InvalidInput("Wake has no setting of that name"))
                .check()
                .accept(document);
    }

    public LogJson log() {
        return settings.find(LOG)
                .map(document -> json.readValue(document, LogJson.class))
                .orElse(LogJson.USUAL);
    }

    public void put(LogJson log) {
        settings.put(LOG, json.writeValueAsString(log));
    }

    GymSettings(SettingStore settings, JsonMapper json) {
        this.settings = settings;
        this.json = json;
    }

    public GymJson gym() {
        return settings.find(GYM)
                .map(document -> json.readValue(document, GymJson.class))
                .orElse(GymJson.USUAL);
    }

    public void put(GymJson gym) {
        settings.put(GYM, json.writeValueAsString(gym));
    }
}
