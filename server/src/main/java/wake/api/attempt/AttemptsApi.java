package wake.api.attempt;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.DayNames;
import wake.api.InvalidRequest;
import wake.api.log.LogViews;
import wake.api.log.LogViews.LogView;
import wake.api.workouts.WorkoutViews;
import wake.api.workouts.WorkoutViews.BoardLine;
import wake.log.ScoreReader;
import wake.plan.Goal;
import wake.review.LogService;
import wake.review.Movements;
import wake.review.NotFound;
import wake.review.OpenAttempt;
import wake.review.Reviews;
import wake.review.Unreadable;
import wake.store.AthleteStore;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.Exclusively;
import wake.store.HeatStore;
import wake.store.PlanStore;
import wake.store.RecordingStore;
import wake.store.WorkoutStore;
import wake.store.WorkoutStore.StoredWorkout;
import wake.units.InvalidInput;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.NotationReader;
import wake.workout.Workout;
import wake.workout.Workout.Part;

/** Attempts: entering one, and opening it for review. */
@RestController
@RequestMapping("/api/attempts")
public class AttemptsApi {
    private final AttemptStore attempts;
    private final AthleteStore athletes;
    private final WorkoutStore workouts;
    private final Reviews reviews;
    private final Movements movements;
    private final LogService book;
    private final PlanStore plans;
    private final RecordingStore recordings;
    private final HeatStore heats;
    private final Exclusively exclusively;

    public record AttemptRequest(
            @NotNull UUID athleteId,
            @NotNull UUID workoutId,
            @NotNull @Size(max = 200) String division,
            @NotNull LocalDate doneOn,
            @Nullable UUID retestOf,

            @Min(value = 0, message = "must not be negative")
            int part,

            @Min(value = 1, message = "must be at least 1") @Max(value = 100, message = "must be 100 at most")
            int cutInto) {}

    /**
     * Who did what and when, put right.
     *
     * @param workoutAsItIs whether the workout is taken as it stands now, not as it stood when the attempt was entered
     */
    record CorrectionRequest(
            @NotNull UUID athleteId,
            @NotNull UUID workoutId,
            @NotNull @Size(max = 200) String division,
            @NotNull LocalDate doneOn,

            @Min(value = 0, message = "must not be negative")
            int part,

            @Min(value = 1, message = "must be at least 1") @Max(value = 100, message = "must be 100 at most")
            int cutInto,

            boolean workoutAsItIs) {}

    /** The attempt at another part of the same day. */
    public record DayPart(
            int part, String name, String format, @Nullable UUID attemptId) {}

    /** An attempt opened for review. */
    public record AttemptView(
            UUID id,
            UUID athleteId,
            String athlete,
            UUID workoutId,
            String title,
            String division,
            int part,
            int cutInto,
            List<DayPart> parts,
            String format,
            boolean intervals,
            String goalExample,
            String scoreExample,
            @Nullable Long capMs,
            LocalDate doneOn,
            @Nullable Integer lane,
            @Nullable UUID retestOf,
            boolean planned,
            String note,
            List<BoardLine> lines,
            List<RecordingView> recordings,
            List<OnVideoView> onVideo,
            LogView log) {}

    /**
     * Another attempt that is on one of the videos.
     *
     * @param lane of its heat, where that was given; those of the heat come in its order
     * @param goMs where its "go" lies on the video, once marked
     */
    public record OnVideoView(
            UUID recordingId,
            UUID attemptId,
            String athlete,
            @Nullable Integer lane,
            @Nullable Long goMs) {}

    /**
     * A recording, as far as a player needs to know it.
     *
     * @param own whether it was added to this attempt, or to another part of its day; else it is another athlete's that shows this one too
     */
    public record RecordingView(
            UUID id,
            RecordingStore.Kind kind,
            String label,
            String mediaType,
            long sizeBytes,
            @Nullable Long durationMs,
            @Nullable Long goMs,
            boolean own) {
        public static RecordingView of(RecordingStore.Recording recording) {
            return of(recording, true);
        }

        static RecordingView of(RecordingStore.Recording recording, boolean own) {
            return new RecordingView(
                    recording.id(),
                    recording.kind(),
                    recording.label(),
                    recording.mediaType(),
                    recording.sizeBytes(),
                    recording.durationMs(),
                    recording.goMs(),
                    own);
        }
    }

    AttemptsApi(
            AttemptStore attempts,
            AthleteStore athletes,
            WorkoutStore workouts,
            Reviews reviews,
            Movements movements,
            LogService book,
            PlanStore plans,
            RecordingStore recordings,
            HeatStore heats,
            Exclusively exclusively) {
        this.exclusively = exclusively;
        this.heats = heats;
        this.recordings = recordings;
        this.attempts = attempts;
        this.athletes = athletes;
        this.workouts = workouts;
        this.reviews = reviews;
        this.movements = movements;
        this.book = book;
        this.plans = plans;
    }

    @GetMapping("/{id}")
    AttemptView attempt(@PathVariable UUID id) {
        return view(reviews.open(id));
    }

    /** Enters an attempt under an id of the caller's making. The workout is kept as it stands now. */
    @PutMapping("/{id}")
    AttemptView putAttempt(@PathVariable UUID id, @Valid @RequestBody AttemptRequest request) {
        var athlete = athletes.find(request.athleteId())
                .orElseThrow(() -> new InvalidRequest("athleteId", "Athlete not found. It may have been deleted."));
        StoredWorkout workout = workouts.find(request.workoutId())
                .orElseThrow(() -> new InvalidRequest("workoutId", "Workout not found. It may have been deleted."));
        check(workout.notation(), request.division(), request.part(), request.cutInto());
        UUID retestOf = request.retestOf();
        if (retestOf != null && attempts.find(retestOf).isEmpty()) {
            throw new InvalidRequest("retestOf", "The attempt to retest was not found. It may have been deleted.");
        }
        attempts.add(new Attempt(
                id,
                athlete.id(),
                athlete.name(),
                workout.id(),
                request.division(),
                DayNames.sensible("doneOn", request.doneOn()),
                workout.notation(),
                request.retestOf(),
                request.part(),
                request.cutInto()));
        return attempt(id);
    }

    /**
     * Corrects who did what and when. The marks stay; the workout is taken as it stands now when another one is named, or when that is asked
     * for. A plan that does not fit any more goes back to the draft; it stays among its versions.
     */
    @PutMapping("/{id}/entry")
    AttemptView correct(@PathVariable UUID id, @Valid @RequestBody CorrectionRequest request) {
        return exclusively.on(id, () -> {
            Attempt now = attempts.find(id).orElseThrow(() -> new NotFound("attempt", id));
            if (athletes.find(request.athleteId()).isEmpty()) {
                throw new InvalidRequest("athleteId", "Athlete not found. It may have been deleted.");
            }
            boolean anew = request.workoutAsItIs() || !request.workoutId().equals(now.workoutId());
            String notation = anew ? notation(request.workoutId()) : now.notation();
            check(notation, request.division(), request.part(), request.cutInto());
            attempts.correct(new Attempt(
                    id,
                    request.athleteId(),
                    now.athlete(),
                    request.workoutId(),
                    request.division(),
                    DayNames.sensible("doneOn", request.doneOn()),
                    notation,
                    now.retestOf(),
                    request.part(),
                    request.cutInto()));
            planFits(id);
            return attempt(id);
        });
    }

    /** What the coach has to say of the attempt as a whole. */
    record NoteRequest(@NotNull @Size(max = 4000) String text) {}

    /** Keeps what is said of the attempt as a whole; an empty text takes it away. */
    @PutMapping("/{id}/note")
    AttemptView note(@PathVariable UUID id, @Valid @RequestBody NoteRequest request) {
        if (attempts.find(id).isEmpty()) {
            throw new NotFound("attempt", id);
        }
        attempts.putNote(id, request.text().strip());
        return attempt(id);
    }

    /** Takes the workout as it is written now: for an attempt whose own text cannot be read any more. */
    @PostMapping("/{id}/entry/renew")
    AttemptView renew(@PathVariable UUID id) {
        Attempt now = attempts.find(id).orElseThrow(() -> new NotFound("attempt", id));
        return correct(
                id,
                new CorrectionRequest(
                        now.athleteId(),
                        now.workoutId(),
                        now.division(),
                        now.doneOn(),
                        now.part(),
                        Math.clamp(now.cutInto(), 1, 100),
                        true));
    }

    private void planFits(UUID id) {
        try {
            reviews.open(id)
                    .plan()
                    .ifPresent(kept -> kept.plan().checkedFor(reviews.open(id).expanded()));
        } catch (InvalidInput | Unreadable unfit) {
            plans.remove(id, "Attempt edited");
        }
    }

    private String notation(UUID workoutId) {
        return workouts.find(workoutId)
                .orElseThrow(() -> new InvalidRequest("workoutId", "Workout not found. It may have been deleted."))
                .notation();
    }

    private void check(String notation, String division, int part, int cutInto) {
        Workout read = InvalidRequest.orElse(
                "workoutId",
                () -> NotationReader.read(notation, movements.catalogue()).orThrow());
        int place = InvalidRequest.orElse("division", () -> read.division(division));
        if (part >= read.parts().size()) {
            throw new InvalidRequest("part", "This workout has " + read.parts().size() + " parts.");
        }
        InvalidRequest.orElse(
                "cutInto", () -> ExpandedWorkout.of(read.partAt(part), place, movements.catalogue(), cutInto));
    }

    private AttemptView view(OpenAttempt open) {
        Attempt attempt = open.attempt();
        return new AttemptView(
                attempt.id(),
                attempt.athleteId(),
                attempt.athlete(),
                attempt.workoutId(),
                open.workout().title(),
                attempt.division(),
                attempt.part(),
                attempt.cutInto(),
                dayParts(open),
                open.part().format().written(),
                open.part().format() instanceof Format.Every,
                Goal.example(open.expanded()),
                ScoreReader.example(open.expanded()),
                open.expanded().capMs().isPresent() ? open.expanded().capMs().getAsLong() : null,
                attempt.doneOn(),
                heats.lane(attempt.id()).orElse(null),
                attempt.retestOf(),
                open.plan().isPresent(),
                attempts.note(attempt.id()),
                WorkoutViews.lines(open.part(), open.expanded(), movements.catalogue()),
                open.recordings().stream()
                        .filter(recording -> !recording.removed())
                        .map(recording -> RecordingView.of(
                                recording,
                                open.day().stream().anyMatch(part -> part.id().equals(recording.attemptId()))))
                        .toList(),
                onVideo(open),
                LogViews.of(open, book));
    }

    /** The other attempts on its videos, at the part of the workout that this one is at where they have it. */
    private List<OnVideoView> onVideo(OpenAttempt open) {
        List<UUID> videos =
                open.recordings().stream().map(RecordingStore.Recording::id).toList();
        Set<UUID> own = open.day().stream().map(Attempt::id).collect(Collectors.toSet());
        return recordings.onVideo(videos).stream()
                .filter(other -> !own.contains(other.attemptId()))
                .map(other -> new OnVideoView(
                        other.recordingId(),
                        other.attemptId(),
                        other.athlete(),
                        heats.lane(other.attemptId()).orElse(null),
                        recordings
                                .goOf(other.recordingId(), other.attemptId())
                                .map(RecordingStore.Go::atMs)
                                .orElse(null)))
                .sorted(Comparator.comparing(
                        (OnVideoView other) -> Objects.requireNonNullElse(other.lane(), Integer.MAX_VALUE)))
                .toList();
    }

    private static List<DayPart> dayParts(OpenAttempt open) {
        List<Part> parts = open.workout().parts();
        return IntStream.range(0, parts.size())
                .mapToObj(index -> new DayPart(
                        index,
                        parts.get(index).name(),
                        parts.get(index).format().written(),
                        open.day().stream()
                                .filter(other -> other.part() == index)
                                .findFirst()
                                .map(Attempt::id)
                                .orElse(null)))
                .toList();
    }
}
