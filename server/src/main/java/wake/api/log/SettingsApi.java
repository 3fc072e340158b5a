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
import wake.api.InvalidRequest;
import wake.plan.lift.PlateRack;
import wake.projection.EvidenceLevel;
import wake.projection.EvidenceWeights;
import wake.review.GymSettings;
import wake.review.GymSettings.GymJson;
import wake.review.GymSettings.LogJson;

/** Choices of the coach: which key does what, the phrases they use for notes, the bar and its plates, what evidence counts. */
@RestController
@RequestMapping("/api/settings")
class SettingsApi {
    private final GymSettings choices;

    /**
     * What the log step is set to.
     *
     * @param keys key by action; actions that are not in it have their usual key
     * @param phrases quick notes, at most nine
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

    record CreditChoiceView(EvidenceLevel evidence, String words, double percent, double usualPercent) {}

    /** A common rack, by its unit. */
    record RackView(String unit, String bar, String plates) {}

    record GymRequest(
            @NotBlank @Size(max = 20) String bar,
            @NotBlank @Size(max = 400) String plates,
            @NotNull @Size(max = 10) Map<EvidenceLevel, @NotNull Double> creditPercents) {}

    SettingsApi(GymSettings choices) {
        this.choices = choices;
    }

    @GetMapping("/log")
    LogSettings log() {
        LogJson kept = choices.log();
        return new LogSettings(kept.keys(), kept.phrases());
    }

    @PutMapping("/log")
    LogSettings putLog(@Valid @RequestBody LogSettings wanted) {
        choices.put(InvalidRequest.orElse("keys", new LogJson(wanted.keys(), wanted.phrases())::checked));
        return log();
    }

    @GetMapping("/gym")
    GymView gym() {
        GymJson gym = choices.gym();
        return new GymView(
                gym.bar(),
                gym.plates(),
                Arrays.stream(EvidenceLevel.values())
                        .map(one -> new CreditChoiceView(
                                one, one.words(), 100 * gym.assumed().of(one), 100 * EvidenceWeights.USUAL.of(one)))
                        .toList(),
                List.of(
                        new RackView("kg", "20 kg", PlateRack.kilograms(20).written()),
                        new RackView("lb", "45 lb", PlateRack.pounds(45).written())));
    }

    @PutMapping("/gym")
    GymView putGym(@Valid @RequestBody GymRequest wanted) {
        Map<EvidenceLevel, Double> shares = new EnumMap<>(EvidenceLevel.class);
        wanted.creditPercents().forEach((evidence, percent) -> shares.put(evidence, percent / 100));
        GymJson gym = new GymJson(wanted.bar().strip(), wanted.plates().strip(), shares);
        InvalidRequest.orElse("bar", gym::rack);
        InvalidRequest.orElse("creditPercents", gym::assumed);
        choices.put(gym);
        return gym();
    }
}
