package wake.review;

import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import wake.plan.lift.PlateRack;
import wake.projection.Credits;
import wake.projection.Evidence;
import wake.store.SettingStore;
import wake.units.InvalidInput;

/** What the coach has chosen for the whole gym: the bar and its plates, and what evidence counts before anything is learned. */
@Component
public class Choices {
    private static final String GYM = "gym";
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
    public record GymJson(String bar, String plates, Map<Evidence, Double> credits) {
        static final GymJson USUAL =
                new GymJson(BAR_KG + " kg", PlateRack.kilograms(BAR_KG).written(), Credits.USUAL.shares());

        /** @throws InvalidInput saying what does not fit */
        public PlateRack rack() {
            return PlanJson.rack(bar, plates);
        }

        /** @throws InvalidInput saying what does not fit */
        public Credits assumed() {
            return new Credits(credits);
        }
    }

    Choices(SettingStore settings, JsonMapper json) {
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
