package wake.api.heats;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
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
import wake.review.LogService;
import wake.review.Movements;
import wake.review.SheetMarks;
import wake.store.AthleteStore;
import wake.store.AthleteStore.Athlete;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.HeatStore;
import wake.store.WorkoutStore;
import wake.store.WorkoutStore.StoredWorkout;
import wake.workout.NotationReader;
import wake.workout.Workout;

/** Heats: several athletes at one workout at once, entered on one sheet, with their scores where they are known. */
@RestController
@RequestMapping("/api/heats")
class HeatsApi {
    private static final int LONGEST_SHEET = 10_000;

    private final HeatStore heats;
    private final AttemptStore attempts;
    private final AthleteStore athletes;
    private final WorkoutStore workouts;
    private final Movements movements;
    private final LogService book;

    /**
     * A heat as it is typed.
     *
     * @param division of whoever names none
     * @param part which part was done; unset for all of them, one after the other
     * @param text an athlete a line: {@code 1 mar} or {@code 2 jory k, men 5+17}; {@code + Name} for somebody new
     */
    record HeatSheetRequest(
            @NotNull UUID workoutId,
            @NotNull @Size(max = 60) String division,

            @Nullable @Min(value = 0, message = "must not be negative")
            Integer part,

            @NotNull @Size(max = LONGEST_SHEET, message = "must be 10,000 characters at most")
            String text) {}

    record HeatRequest(
            @NotNull UUID workoutId,
            @NotNull @Size(max = 60) String division,
            @NotNull LocalDate doneOn,

            @Nullable @Min(value = 0, message = "must not be negative")
            Integer part,

            @NotNull @Size(max = LONGEST_SHEET, message = "must be 10,000 characters at most")
            String text) {}

    /**
     * Who was read, and what could not be.
     *
     * @param example what a score of these parts might be, as it is written
     */
    record HeatReadView(List<HeatRowView> rows, List<HeatErrorView> errors, String example) {}

    /**
     * One of a heat.
     *
     * @param known whether the athlete is on the roster already
     * @param scores in words, one for each part; "" where none is written
     * @param attemptIds one for each part, once it is entered
     */
    record HeatRowView(
            int line,
            @Nullable Integer lane,
            String athlete,
            boolean known,
            String division,
            List<String> scores,
            List<UUID> attemptIds) {}

    record HeatErrorView(int line, String message) {}

    HeatsApi(
            HeatStore heats,
            AttemptStore attempts,
            AthleteStore athletes,
            WorkoutStore workouts,
            Movements movements,
            LogService book) {
        this.heats = heats;
        this.attempts = attempts;
        this.athletes = athletes;
        this.workouts = workouts;
        this.movements = movements;
        this.book = book;
    }

    /** Reads a sheet; nothing is kept. */
    @PostMapping("/read")
    HeatReadView read(@Valid @RequestBody HeatSheetRequest request) {
        Workout workout = read(workout(request.workoutId()));
        List<Integer> parts = parts(workout, request.part());
        HeatSheet.Read read = sheet(request.text(), workout, parts, request.division(), athletes.all());
        return new HeatReadView(
                read.rows().stream().map(row -> view(row, List.of())).toList(),
                errors(read),
                HeatSheet.example(workout, movements.catalogue(), parts));
    }

    /**
     * Enters a heat under an id of the caller's making: an attempt for each athlete and part, with its score where the sheet has one, and athletes
     * where they are new. Asked again it changes nothing.
     */
    @PutMapping("/{id}")
    @Transactional
    public HeatReadView enter(@PathVariable UUID id, @Valid @RequestBody HeatRequest request) {
        StoredWorkout stored = workout(request.workoutId());
        Workout workout = read(stored);
        List<Integer> parts = parts(workout, request.part());
        LocalDate day = DayNames.sensible("doneOn", request.doneOn());
        List<Athlete> roster = athletes.all();
        if (!heats.of(id).isEmpty()) {
            return new HeatReadView(entered(id, parts), List.of(), "");
        }
        HeatSheet.Read read = sheet(request.text(), workout, parts, request.division(), roster);
        if (!read.errors().isEmpty()) {
            HeatSheet.Error first = read.errors().getFirst();
            throw new InvalidRequest("text", "Line " + first.line() + ": " + first.message());
        }
        if (read.rows().isEmpty()) {
            throw new InvalidRequest("text", "Add at least one athlete.");
        }
        return new HeatReadView(
                read.rows().stream()
                        .map(row -> view(row, enter(id, row, roster, stored, day)))
                        .toList(),
                List.of(),
                "");
    }

    /** What was entered before: each athlete with the attempts in the order of the parts. */
    private List<HeatRowView> entered(UUID id, List<Integer> parts) {
        Map<String, HeatRowView> rows = new LinkedHashMap<>();
        for (int i = 0; i < parts.size(); i++) {
            for (HeatStore.InHeat one : heats.of(heat(id, i))) {
                rows.computeIfAbsent(
                                one.athlete(),
                                name -> new HeatRowView(0, one.lane(), name, true, "", List.of(), new ArrayList<>()))
                        .attemptIds()
                        .add(one.attemptId());
            }
        }
        return List.copyOf(rows.values());
    }

    private List<UUID> enter(UUID id, HeatSheet.Row row, List<Athlete> roster, StoredWorkout workout, LocalDate day) {
        Athlete athlete = row.athlete().isPresent() ? roster.get(row.athlete().getAsInt()) : added(id, row);
        List<UUID> entered = new ArrayList<>();
        for (int i = 0; i < row.results().size(); i++) {
            HeatSheet.Result result = row.results().get(i);
            UUID heat = heat(id, i);
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
                    result.part(),
                    1));
            heats.put(heat, attemptId, row.lane().isPresent() ? row.lane().getAsInt() : null);
            if (!result.marks().isEmpty()) {
                book.putAll(attemptId, List.of(), SheetMarks.stored(attemptId, result.marks(), "times"));
            }
            entered.add(attemptId);
        }
        return entered;
    }

    /** The heat of one of the parts entered together: who is filmed at the first is not filmed at the others. */
    private static UUID heat(UUID id, int place) {
        return place == 0 ? id : of(id, "part " + place);
    }

    private static List<Integer> parts(Workout workout, @Nullable Integer part) {
        int all = workout.parts().size();
        if (part != null && part >= all) {
            throw new InvalidRequest("part", "This workout has " + all + (all == 1 ? " part." : " parts."));
        }
        return part != null ? List.of(part) : IntStream.range(0, all).boxed().toList();
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

    private HeatSheet.Read sheet(
            String text, Workout workout, List<Integer> parts, String division, List<Athlete> roster) {
        List<String> divisions = workout.divisions();
        String usual = divisions.contains(division)
                ? division
                : divisions.stream().findFirst().orElse("");
        List<String> names = roster.stream().map(Athlete::name).toList();
        return HeatSheet.read(text, names, workout, movements.catalogue(), parts, usual);
    }

    private static HeatRowView view(HeatSheet.Row row, List<UUID> attemptIds) {
        return new HeatRowView(
                row.line(),
                row.lane().isPresent() ? row.lane().getAsInt() : null,
                row.name(),
                row.athlete().isPresent(),
                row.division(),
                row.results().stream().map(HeatSheet.Result::score).toList(),
                attemptIds);
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
