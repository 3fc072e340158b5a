package wake.api;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.WorkoutViews.WorkoutCheck;
import wake.api.WorkoutViews.WorkoutView;
import wake.movement.Catalogue;
import wake.store.AttemptStore;
import wake.store.WorkoutStore;
import wake.store.WorkoutStore.StoredWorkout;
import wake.workout.NotationReader;
import wake.workout.NotationWriter;
import wake.workout.Workout;

/** The library of workouts, as notation. */
@RestController
@RequestMapping("/api/workouts")
class WorkoutsApi {
    private final WorkoutStore workouts;
    private final AttemptStore attempts;
    private final Catalogue catalogue;

    record NotationRequest(@NotNull String notation) {}

    WorkoutsApi(WorkoutStore workouts, AttemptStore attempts, Catalogue catalogue) {
        this.workouts = workouts;
        this.attempts = attempts;
        this.catalogue = catalogue;
    }

    @GetMapping
    List<WorkoutView> workouts() {
        return workouts.all().stream().map(this::view).toList();
    }

    @GetMapping("/{id}")
    WorkoutView workout(@PathVariable UUID id) {
        return view(workouts.find(id).orElseThrow(() -> new Unknown("workout", id)));
    }

    /** Says what a notation text means, or everything that is wrong with it; keeps nothing. */
    @PostMapping("/check")
    WorkoutCheck check(@Valid @RequestBody NotationRequest request) {
        return WorkoutViews.check(request.notation(), catalogue);
    }

    /** Adds a workout under an id of the caller's making, or changes the one with that id. Attempts keep the old text. */
    @PutMapping("/{id}")
    WorkoutView putWorkout(@PathVariable UUID id, @Valid @RequestBody NotationRequest request) {
        Workout workout = Refused.orElse(
                "notation",
                () -> NotationReader.read(request.notation(), catalogue).orThrow());
        workouts.put(new StoredWorkout(id, workout.title(), request.notation()));
        return workout(id);
    }

    private WorkoutView view(StoredWorkout stored) {
        Workout workout = NotationReader.read(stored.notation(), catalogue).orThrow();
        long count = attempts.all().stream()
                .filter(attempt -> attempt.workoutId().equals(stored.id()))
                .count();
        return new WorkoutView(
                stored.id(),
                stored.title(),
                stored.notation(),
                workout.divisions(),
                NotationWriter.written(workout.part().format()),
                (int) count);
    }
}
