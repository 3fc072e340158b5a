package wake.api.workouts;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.Conflict;
import wake.api.InTheBin;
import wake.api.InvalidRequest;
import wake.api.workouts.WorkoutViews.WorkoutCheck;
import wake.api.workouts.WorkoutViews.WorkoutView;
import wake.review.Movements;
import wake.review.NotFound;
import wake.store.AttemptStore;
import wake.store.BinStore;
import wake.store.WorkoutStore;
import wake.store.WorkoutStore.StoredWorkout;
import wake.workout.NotationReader;
import wake.workout.Workout;

/** The library of workouts, as notation. */
@RestController
@RequestMapping("/api/workouts")
class WorkoutsApi {
    private final WorkoutStore workouts;
    private final AttemptStore attempts;
    private final Movements movements;
    private final BinStore bin;

    private static final String FILE_KIND = "wake-workouts";

    record NotationRequest(@NotNull String notation) {}

    record ArchivedRequest(boolean archived) {}

    /** Workouts as a file holds them. */
    record WorkoutFile(
            @NotNull String kind,
            int version,
            @NotNull @Size(max = 5000) List<@Valid FiledWorkout> workouts) {}

    /** A workout in a file: its notation is all there is to it. */
    record FiledWorkout(@NotNull UUID id, @NotNull String notation, boolean archived) {}

    /** The outcome of taking in a file. */
    record ImportResult(int added, List<String> refused) {}

    WorkoutsApi(WorkoutStore workouts, AttemptStore attempts, Movements movements, BinStore bin) {
        this.bin = bin;
        this.workouts = workouts;
        this.attempts = attempts;
        this.movements = movements;
    }

    @GetMapping
    List<WorkoutView> workouts() {
        Map<UUID, Integer> counts = attempts.countByWorkout();
        return workouts.all().stream().map(stored -> view(stored, counts)).toList();
    }

    @GetMapping("/{id}")
    WorkoutView workout(@PathVariable UUID id) {
        return view(workouts.find(id).orElseThrow(() -> new NotFound("workout", id)), attempts.countByWorkout());
    }

    /** Says what a notation text means, or everything that is wrong with it; keeps nothing. */
    @PostMapping("/check")
    WorkoutCheck check(@Valid @RequestBody NotationRequest request) {
        return WorkoutViews.check(request.notation(), movements.catalogue());
    }

    /** Adds a workout under an id of the caller's making, or changes the one with that id. Attempts keep the old text. */
    @PutMapping("/{id}")
    WorkoutView putWorkout(@PathVariable UUID id, @Valid @RequestBody NotationRequest request) {
        InTheBin.refuse(bin, BinStore.Kind.WORKOUT, id);
        boolean archived = workouts.find(id).map(StoredWorkout::archived).orElse(false);
        workouts.put(stored(id, request.notation(), archived));
        return workout(id);
    }

    /** Puts a workout out of the way, or back. Its attempts stay as they are. */
    @PutMapping("/{id}/archived")
    WorkoutView archive(@PathVariable UUID id, @RequestBody ArchivedRequest request) {
        StoredWorkout workout = workouts.find(id).orElseThrow(() -> new NotFound("workout", id));
        workouts.put(new StoredWorkout(id, workout.title(), workout.notation(), request.archived()));
        return workout(id);
    }

    /** All workouts as one document; its schema is /schemas/workouts.schema.json. */
    @GetMapping("/export")
    WorkoutFile export() {
        return new WorkoutFile(
                FILE_KIND,
                1,
                workouts.all().stream()
                        .map(stored -> new FiledWorkout(stored.id(), stored.notation(), stored.archived()))
                        .toList());
    }

    /** Takes in a document of workouts. Those that fit are added, or replace the one with the same id; the rest are named. */
    @PostMapping("/import")
    ImportResult importFile(@Valid @RequestBody WorkoutFile file) {
        if (!file.kind().equals(FILE_KIND) || file.version() != 1) {
            throw new InvalidRequest(
                    "kind",
                    "Use a file of kind \"" + FILE_KIND + "\", version 1, not \"" + file.kind() + "\", version "
                            + file.version() + ".");
        }
        List<String> refused = new ArrayList<>();
        for (int i = 0; i < file.workouts().size(); i++) {
            FiledWorkout filed = file.workouts().get(i);
            try {
                InTheBin.refuse(bin, BinStore.Kind.WORKOUT, filed.id());
                workouts.put(stored(filed.id(), filed.notation(), filed.archived()));
            } catch (InvalidRequest | Conflict unfit) {
                refused.add("Workout " + (i + 1) + ": " + unfit.getMessage());
            }
        }
        return new ImportResult(file.workouts().size() - refused.size(), refused);
    }

    private StoredWorkout stored(UUID id, String notation, boolean archived) {
        Workout workout = InvalidRequest.orElse(
                "notation",
                () -> NotationReader.read(notation, movements.catalogue()).orThrow());
        return new StoredWorkout(id, workout.title(), notation, archived);
    }

    private WorkoutView view(StoredWorkout stored, Map<UUID, Integer> counts) {
        Workout workout =
                NotationReader.read(stored.notation(), movements.catalogue()).orThrow();
        return new WorkoutView(
                stored.id(),
                stored.title(),
                stored.notation(),
                workout.divisions(),
                WorkoutViews.parts(workout),
                workout.parts().stream().map(part -> part.format().written()).collect(Collectors.joining(" · ")),
                stored.archived(),
                counts.getOrDefault(stored.id(), 0));
    }
}
