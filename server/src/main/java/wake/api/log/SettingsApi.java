package wake.api.log;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.Refused;
import wake.plan.lift.PlateRack;
import wake.projection.Credits;
import wake.projection.Evidence;
import wake.review.Choices;
import wake.review.Choices.GymJson;
import wake.review.Choices.LogJson;

/** Choices of the coach: which key does what, the phrases they use for cues, the bar and its plates, what evidence counts. */
@RestController
@RequestMapping("/api/settings")
class SettingsApi {
    private final Choices choices;

    /**
     * What the log step is set to.
     *
     * @param keys key by action; actions that are not in it have their usual key
     * @param phrases quick cues, at most nine
     */
    record LogSettings(
            @NotNull @Size(max = 60) Map<@Size(max = 40) String, @NotBlank @Size(max = 20) String> keys,

            @NotNull @Size(max = 9, message = "must be nine at most")
            List<@NotBlank @Size(max = 120) String> phrases) {}

    /**
     * The gym's choices.
     *
     * @param credits what evidence counts before anything is learned, percent
     * @param racks common racks to choose from
     */
    record GymView(String bar, String plates, List<CreditChoiceView> credits, List<RackView> racks) {}

    record CreditChoiceView(Evidence evidence, String words, double percent, double usualPercent) {}

    /** A common rack, by its unit. */
    record RackView(String unit, String bar, String plates) {}

    record GymRequest(
            @NotBlank @Size(max = 20) String bar,
            @NotBlank @Size(max = 400) String plates,
            @NotNull @Size(max = 10) Map<Evidence, @NotNull Double> creditPercents) {}

    SettingsApi(Choices choices) {
        this.choices = choices;
    }

    @GetMapping("/log")
    LogSettings log() {
        LogJson kept = choices.log();
        return new LogSettings(kept.keys(), kept.phrases());
    }

    @PutMapping("/log")
    LogSettings putLog(@Valid @RequestBody LogSettings wanted) {
        choices.put(Refused.orElse("keys", new LogJson(wanted.keys(), wanted.phrases())::checked));
        return log();
    }

    @GetMapping("/gym")
    GymView gym() {
        GymJson gym = choices.gym();
        return new GymView(
                gym.bar(),
                gym.plates(),
                Arrays.stream(Evidence.values())
                        .map(one -> new CreditChoiceView(
                                one, one.words(), 100 * gym.assumed().of(one), 100 * Credits.USUAL.of(one)))
                        .toList(),
                List.of(
                        new RackView("kg", "20 kg", PlateRack.kilograms(20).written()),
                        new RackView("lb", "45 lb", PlateRack.pounds(45).written())));
    }

    @PutMapping("/gym")
    GymView putGym(@Valid @RequestBody GymRequest wanted) {
        Map<Evidence, Double> shares = new EnumMap<>(Evidence.class);
        wanted.creditPercents().forEach((evidence, percent) -> shares.put(evidence, percent / 100));
        GymJson gym = new GymJson(wanted.bar().strip(), wanted.plates().strip(), shares);
        Refused.orElse("bar", gym::rack);
        Refused.orElse("creditPercents", gym::assumed);
        choices.put(gym);
        return gym();
    }
}
