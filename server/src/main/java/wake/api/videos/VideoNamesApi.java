package wake.api.videos;

import com.fasterxml.jackson.annotation.JsonAlias;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.exchange.VideoName;
import wake.media.MediaFolder;
import wake.review.Movements;
import wake.store.AthleteStore;
import wake.store.AthleteStore.Athlete;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.RecordingStore;
import wake.store.RecordingStore.Recording;
import wake.store.WorkoutStore;
import wake.store.WorkoutStore.StoredWorkout;
import wake.workout.NotationReader;

/** What the names of videos tell, and which of them are here already. */
@RestController
@RequestMapping("/api/films")
class VideoNamesApi {
    private final AthleteStore athletes;
    private final WorkoutStore workouts;
    private final AttemptStore attempts;
    private final RecordingStore recordings;
    private final Movements movements;
    private final MediaFolder media;

    record NamesRequest(
            @NotNull @Size(max = 500, message = "must be 500 at most") @JsonAlias("films")
            List<@Valid VideoNameRequest> videos) {}

    /**
     * A video.
     *
     * @param athleteId who it shows, where that was given by hand; likewise the workout and the day
     */
    record VideoNameRequest(
            @NotBlank @Size(max = 400) String name,
            @Min(0) long sizeBytes,
            @Nullable UUID athleteId,
            @Nullable UUID workoutId,
            @Nullable LocalDate doneOn) {}

    /**
     * What a name tells.
     *
     * @param divisions those of the workout
     * @param attemptId the attempt there is for it; absent when there is none yet
     * @param recordingId its recording of this video, where there is one; maybe without its file
     * @param here whether that attempt has this video already
     * @param problem what is missing; empty when nothing is
     */
    record VideoNameView(
            String name,
            @Nullable UUID athleteId,
            @Nullable UUID workoutId,
            List<String> divisions,
            @Nullable LocalDate doneOn,
            @Nullable UUID attemptId,
            @Nullable UUID recordingId,
            boolean here,
            String problem) {}

    VideoNamesApi(
            AthleteStore athletes,
            WorkoutStore workouts,
            AttemptStore attempts,
            RecordingStore recordings,
            Movements movements,
            MediaFolder media) {
        this.media = media;
        this.athletes = athletes;
        this.workouts = workouts;
        this.attempts = attempts;
        this.recordings = recordings;
        this.movements = movements;
    }

    /** Reads the names of videos: whose, at what, on which day. Keeps nothing. */
    @PostMapping("/names")
    List<VideoNameView> names(@Valid @RequestBody NamesRequest request) {
        List<Athlete> roster = athletes.all();
        List<StoredWorkout> library =
                workouts.all().stream().filter(one -> !one.archived()).toList();
        List<String> who = roster.stream().map(Athlete::name).toList();
        List<String> what = library.stream().map(StoredWorkout::title).toList();
        return request.videos().stream()
                .map(video -> {
                    VideoName known = VideoName.read(video.name(), who, what);
                    UUID athlete = video.athleteId() != null
                            ? video.athleteId()
                            : known.athlete().isPresent()
                                    ? roster.get(known.athlete().getAsInt()).id()
                                    : null;
                    UUID workout = video.workoutId() != null
                            ? video.workoutId()
                            : known.workout().isPresent()
                                    ? library.get(known.workout().getAsInt()).id()
                                    : null;
                    LocalDate day =
                            video.doneOn() != null ? video.doneOn() : known.on().orElse(null);
                    boolean whole = athlete != null && workout != null && day != null;
                    return view(video, athlete, workout, day, whole ? "" : known.problem());
                })
                .toList();
    }

    private VideoNameView view(
            VideoNameRequest video,
            @Nullable UUID athlete,
            @Nullable UUID workout,
            @Nullable LocalDate day,
            String problem) {
        Optional<Attempt> attempt = athlete == null || workout == null || day == null
                ? Optional.empty()
                : attempts.of(athlete).stream()
                        .filter(one ->
                                one.workoutId().equals(workout) && one.doneOn().equals(day) && one.part() == 0)
                        .findFirst();
        Optional<Recording> same = attempt.stream()
                .flatMap(one -> recordings.of(List.of(one.id()), one.id()).stream())
                .filter(one ->
                        one.sizeBytes() == video.sizeBytes() && one.label().equals(label(video.name())))
                .findFirst();
        return new VideoNameView(
                video.name(),
                athlete,
                workout,
                workout == null ? List.of() : divisions(workout),
                day,
                attempt.map(Attempt::id).orElse(null),
                same.map(Recording::id).orElse(null),
                same.filter(one -> media.has(one.id())).isPresent(),
                problem);
    }

    /** As videos are labelled when they are sent: by their name alone. */
    private static String label(String name) {
        String bare = name.replaceFirst("^.*[/\\\\]", "");
        return bare.length() > 200 ? bare.substring(0, 200) : bare;
    }

    private List<String> divisions(UUID workout) {
        return workouts.find(workout)
                .flatMap(found -> NotationReader.read(found.notation(), movements.catalogue())
                        .workout())
                .map(read -> read.divisions())
                .orElse(List.of());
    }
}
