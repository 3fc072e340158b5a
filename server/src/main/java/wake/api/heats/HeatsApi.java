package wake.api.heats;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.DayNames;
import wake.api.InvalidRequest;
import wake.exchange.HeatSheet;
import wake.review.Movements;
import wake.store.AthleteStore;
import wake.store.AthleteStore.Athlete;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.HeatStore;
import wake.store.WorkoutStore;
import wake.store.WorkoutStore.StoredWorkout;
import wake.workout.NotationReader;
import wake.workout.Workout;

/** Heats: several athletes at one workout at once, entered on one sheet. */
@RestController
@RequestMapping("/api/heats")
class HeatsApi {
    private static final int LONGEST_SHEET = 10_000;

    private final HeatStore heats;
    private final AttemptStore attempts;
    private final AthleteStore athletes;
    private final WorkoutStore workouts;
    private final Movements movements;

    /**
     * A heat as it is typed.
     *
     * @param division of whoever names none
     * @param text an athlete a line: {@code 1 mar} or {@code 2 jory k, men}; {@code + Name} for somebody new
     */
    record HeatSheetRequest(
            @NotNull UUID workoutId,
            @NotNull @Size(max = 60) String division,

            @NotNull @Size(max = LONGEST_SHEET, message = "must be 10,000 characters at most")
            String text) {}

    record HeatRequest(
            @NotNull UUID workoutId,
            @NotNull @Size(max = 60) String division,
            @NotNull LocalDate doneOn,

            @Min(value = 0, message = "must not be negative")
            int part,

            @NotNull @Size(max = LONGEST_SHEET, message = "must be 10,000 characters at most")
            String text) {}

    /** Who was read, and what could not be. */
    record HeatReadView(List<HeatRowView> rows, List<HeatErrorView> errors) {}

    /**
     * One of a heat.
     *
     * @param attemptId once it is entered
     * @param known whether the athlete is on the roster already
     */
    record HeatRowView(
            int line,
            @Nullable Integer lane,
            String athlete,
            boolean known,
            String division,
            @Nullable UUID attemptId) {}

    record HeatErrorView(int line, String message) {}

    HeatsApi(
            HeatStore heats, AttemptStore attempts, AthleteStore athletes, WorkoutStore workouts, Movements movements) {
        this.heats = heats;
        this.attempts = attempts;
        this.athletes = athletes;
        this.workouts = workouts;
        this.movements = movements;
    }

    /** Reads a sheet; nothing is kept. */
    @PostMapping("/read")
    HeatReadView read(@Valid @RequestBody HeatSheetRequest request) {
        Workout workout = read(workout(request.workoutId()));
        HeatSheet.Read read = sheet(request.text(), workout, request.division(), athletes.all());
        return new HeatReadView(read.rows().stream().map(row -> view(row, null)).toList(), errors(read));
    }

    /** Enters a heat under an id of the caller's making: an attempt each, and athletes where they are new. Asked again it changes nothing. */
    @PutMapping("/{id}")
    @Transactional
    public HeatReadView enter(@PathVariable UUID id, @Valid @RequestBody HeatRequest request) {
        StoredWorkout stored = workout(request.workoutId());
        Workout workout = read(stored);
        if (request.part() >= workout.parts().size()) {
            throw new InvalidRequest(
                    "part", "This workout has " + workout.parts().size() + " parts.");
        }
        LocalDate day = DayNames.sensible("doneOn", request.doneOn());
        List<Athlete> roster = athletes.all();
        List<HeatStore.InHeat> entered = heats.of(id);
        if (!entered.isEmpty()) {
            return new HeatReadView(
                    entered.stream()
                            .map(one -> new HeatRowView(0, one.lane(), one.athlete(), true, "", one.attemptId()))
                            .toList(),
                    List.of());
        }
        HeatSheet.Read read = sheet(request.text(), workout, request.division(), roster);
        if (!read.errors().isEmpty()) {
            HeatSheet.Error first = read.errors().getFirst();
            throw new InvalidRequest("text", "Line " + first.line() + ": " + first.message());
        }
        if (read.rows().isEmpty()) {
            throw new InvalidRequest("text", "Add at least one athlete.");
        }
        return new HeatReadView(
                read.rows().stream()
                        .map(row -> view(row, enter(id, row, roster, stored, day, request.part())))
                        .toList(),
                List.of());
    }

    private UUID enter(
            UUID heat, HeatSheet.Row row, List<Athlete> roster, StoredWorkout workout, LocalDate day, int part) {
        Athlete athlete = row.athlete().isPresent() ? roster.get(row.athlete().getAsInt()) : added(heat, row);
        UUID attemptId = of(heat, "attempt " + row.line());
        attempts.add(new Attempt(
                attemptId,
                athlete.id(),
                athlete.name(),
                workout.id(),
                row.division(),
                day,
                workout.notation(),
                null,
                part,
                1));
        heats.put(heat, attemptId, row.lane().isPresent() ? row.lane().getAsInt() : null);
        return attemptId;
    }

    private Athlete added(UUID heat, HeatSheet.Row row) {
        Athlete athlete = new Athlete(of(heat, "athlete " + row.line()), row.name(), "", "", "", false);
        athletes.put(athlete);
        return athlete;
    }

    /** The same id for the same line of a heat, so that a request sent twice enters nobody twice. */
    private static UUID of(UUID heat, String what) {
        return UUID.nameUUIDFromBytes((heat + " " + what).getBytes(StandardCharsets.UTF_8));
    }

    private static HeatSheet.Read sheet(String text, Workout workout, String division, List<Athlete> roster) {
        List<String> divisions = workout.divisions();
        String usual = divisions.contains(division)
                ? division
                : divisions.stream().findFirst().orElse("");
        return HeatSheet.read(text, roster.stream().map(Athlete::name).toList(), divisions, usual);
    }

    private static HeatRowView view(HeatSheet.Row row, @Nullable UUID attemptId) {
        return new HeatRowView(
                row.line(),
                row.lane().isPresent() ? row.lane().getAsInt() : null,
                row.name(),
                row.athlete().isPresent(),
                row.division(),
                attemptId);
    }

    private static List<HeatErrorView> errors(HeatSheet.Read read) {
        return read.errors().stream()
                .map(error -> new HeatErrorView(error.line(), error.message()))
                .toList();
    }

    private StoredWorkout workout(UUID id) {
        return workouts.find(id)
                .orElseThrow(() -> new InvalidRequest("workoutId", "Workout not found. It may have been deleted."));
    }

    private Workout read(StoredWorkout workout) {
        return InvalidRequest.orElse(
                "workoutId",
                () -> NotationReader.read(workout.notation(), movements.catalogue())
                        .orThrow());
    }
}
