package wake.api;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.store.AthleteStore;
import wake.store.AthleteStore.Athlete;

/** The roster. */
@RestController
@RequestMapping("/api/athletes")
class AthletesApi {
    private final AthleteStore athletes;

    record AthleteRequest(
            @NotBlank(message = "must be filled in") @Size(max = 120, message = "must be 120 characters at most")
            String name,

            @NotNull @Size(max = 2000, message = "must be 2000 characters at most")
            String note) {}

    AthletesApi(AthleteStore athletes) {
        this.athletes = athletes;
    }

    @GetMapping
    List<Athlete> athletes() {
        return athletes.all();
    }

    /** Adds an athlete under an id of the caller's making, or changes the one with that id. */
    @PutMapping("/{id}")
    Athlete putAthlete(@PathVariable UUID id, @Valid @RequestBody AthleteRequest request) {
        Athlete athlete = new Athlete(id, request.name().strip(), request.note());
        athletes.put(athlete);
        return athlete;
    }
}
