package wake.api.log;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;
import wake.api.Refused;
import wake.store.SettingStore;

/** Choices of the coach: which key does what, and the phrases they use for cues. */
@RestController
@RequestMapping("/api/settings")
class SettingsApi {
    private static final String LOG = "log";

    private final SettingStore settings;
    private final JsonMapper json;

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

    SettingsApi(SettingStore settings, JsonMapper json) {
        this.settings = settings;
        this.json = json;
    }

    @GetMapping("/log")
    LogSettings log() {
        return settings.find(LOG)
                .map(document -> json.readValue(document, LogSettings.class))
                .orElse(new LogSettings(Map.of(), List.of()));
    }

    @PutMapping("/log")
    LogSettings putLog(@Valid @RequestBody LogSettings wanted) {
        Set<String> taken = new HashSet<>();
        wanted.keys().forEach((action, key) -> {
            if (!taken.add(key)) {
                throw new Refused("keys/" + action, "The key " + key + " does two things; each key does one.");
            }
        });
        settings.put(LOG, json.writeValueAsString(wanted));
        return log();
    }
}
