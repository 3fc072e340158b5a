package wake.api.recording;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpRange;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.InvalidRequest;
import wake.api.attempt.AttemptsApi.RecordingView;
import wake.api.log.LogViews;
import wake.api.log.LogViews.LogView;
import wake.api.log.Made;
import wake.media.FrameTimes;
import wake.media.MediaFolder;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.PlateRack;
import wake.review.Documents;
import wake.review.Documents.KeptPlan;
import wake.review.Documents.Simulation;
import wake.review.LogService;
import wake.review.NotFound;
import wake.review.OpenAttempt;
import wake.review.PlanJson.LiftJson;
import wake.review.Reviews;
import wake.simulation.AthleteModel;
import wake.simulation.RecordingScript;
import wake.simulation.SimulatedAttempt;
import wake.simulation.SimulatedLifts;
import wake.store.AttemptStore;
import wake.store.Exclusively;
import wake.store.HeatStore;
import wake.store.MarkStore;
import wake.store.RecordingStore;
import wake.store.RecordingStore.Go;
import wake.store.RecordingStore.Recording;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;
import wake.workout.RunningClock;

/** Recordings: taking them in, playing them, and where "go" lies on them. */
@RestController
@RequestMapping("/api")
class RecordingsApi {
    /** What a simulated lifter of whom nothing is known could lift; invented. */
    private static final int SIMULATED_MAX_KG = 80;

    private static final int BAR_KG = 20;

    private final RecordingStore recordings;
    private final LogService book;
    private final MediaFolder media;
    private final FrameTimes frameTimes;
    private final Reviews reviews;
    private final Documents documents;
    private final AttemptStore attempts;
    private final MarkStore marks;
    private final HeatStore heats;
    private final Exclusively exclusively;

    record GoRequest(
            @Min(value = -86_400_000, message = "must be within a day")
            @Max(value = 86_400_000, message = "must be within a day")
            long atMs,

            @NotNull Made made,
            @DecimalMin("0") @Max(60) double step) {}

    record DurationRequest(@Min(1) @Max(86_400_000) long durationMs) {}

    /**
     * A simulated recording to make.
     *
     * @param largestSet by movement, after how many reps the athlete breaks; unbroken where it says nothing
     */
    record SimulationRequest(
            long seed, @Nullable @Size(max = 50) Map<@Size(max = 120) String, @Min(1) Integer> largestSet) {
        AthleteModel athlete() {
            AthleteModel plain = AthleteModel.plain();
            return largestSet == null ? plain : plain.breakingAfter(largestSet);
        }
    }

    RecordingsApi(
            RecordingStore recordings,
            LogService book,
            MediaFolder media,
            FrameTimes frameTimes,
            Reviews reviews,
            Documents documents,
            AttemptStore attempts,
            MarkStore marks,
            HeatStore heats,
            Exclusively exclusively) {
        this.exclusively = exclusively;
        this.heats = heats;
        this.recordings = recordings;
        this.book = book;
        this.media = media;
        this.frameTimes = frameTimes;
        this.reviews = reviews;
        this.documents = documents;
        this.attempts = attempts;
        this.marks = marks;
    }

    /** Adds a simulated recording: a simulated athlete does this attempt's workout. Those of its heat have it too, as they have a video. */
    @PutMapping("/attempts/{attemptId}/recordings/{id}/simulated")
    RecordingView simulate(
            @PathVariable UUID attemptId, @PathVariable UUID id, @Valid @RequestBody SimulationRequest request) {
        OpenAttempt open = reviews.open(attemptId);
        Simulation simulation = new Simulation(request.seed(), request.athlete(), lifts(open));
        RecordingScript script = script(open, simulation);
        recordings.add(Recording.simulated(id, attemptId, script.durationMs(), documents.simulation(simulation)));
        heats.mates(attemptId).forEach(mate -> recordings.use(id, mate.attemptId()));
        return view(id);
    }

    /** What a simulated recording shows. */
    @GetMapping("/recordings/{id}/script")
    RecordingScript script(@PathVariable UUID id) {
        Recording recording = find(id);
        String written = recording.simulation();
        if (written == null) {
            throw new InvalidRequest("id", "This is a real video, so it has no practice script.");
        }
        return script(reviews.open(recording.attemptId()), documents.simulation(written));
    }

    /** The file of a recording; answers byte ranges. */
    @GetMapping("/recordings/{id}/media")
    ResponseEntity<Resource> media(
            @PathVariable UUID id, @Parameter(hidden = true) @RequestHeader(required = false) @Nullable String range)
            throws IOException {
        Recording recording = find(id);
        if (!media.has(id)) {
            throw new NotFound("file for a recording", id);
        }
        FileSystemResource file = new FileSystemResource(media.file(id));
        if (range != null && !lies(range, file)) {
            return ResponseEntity.status(HttpStatus.REQUESTED_RANGE_NOT_SATISFIABLE)
                    .header(HttpHeaders.CONTENT_RANGE, "bytes */" + file.contentLength())
                    .build();
        }
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(recording.mediaType()))
                .cacheControl(CacheControl.noCache())
                .body(file);
    }

    /** Whether a range lies in the file (RFC 9110, 14.1.2). */
    private static boolean lies(String range, Resource file) throws IOException {
        try {
            return !HttpRange.toResourceRegions(HttpRange.parseRanges(range), file)
                    .isEmpty();
        } catch (IllegalArgumentException beyond) {
            return false;
        }
    }

    /**
     * When each frame of a video is shown.
     *
     * @param timesMs media times, ascending; empty where they are unknown, as without ffprobe
     */
    record FramesView(List<Double> timesMs) {}

    /** The times of a video's frames, from the file itself. The first time for a long file takes seconds. */
    @GetMapping("/recordings/{id}/frames")
    FramesView frames(@PathVariable UUID id) throws IOException {
        Recording recording = find(id);
        return new FramesView(recording.kind() == RecordingStore.Kind.VIDEO ? frameTimes.of(id) : List.of());
    }

    /** Sets where "go" lies on a recording: every mark of this attempt on it gets its clock time from that. */
    @PutMapping("/attempts/{attemptId}/recordings/{id}/go")
    LogView go(@PathVariable UUID attemptId, @PathVariable UUID id, @Valid @RequestBody GoRequest request) {
        return exclusively.on(onVideoWith(attemptId), () -> {
            OpenAttempt open = reviews.open(attemptId);
            Long duration = find(id).durationMs();
            if (duration != null && request.atMs() > duration) {
                throw new InvalidRequest("atMs", "The start must be inside the video.");
            }
            Go go = new Go(request.atMs(), request.made().uncertaintyS(request.step()));
            book.go(attemptId, id, go);
            startedWith(attemptId, id, go);
            onOneClock(open, id, go);
            return LogViews.of(reviews.open(attemptId), book);
        });
    }

    /** An attempt and those of its heat: "go" of one may be that of all. */
    private List<UUID> onVideoWith(UUID attemptId) {
        return Stream.concat(
                        Stream.of(attemptId), heats.mates(attemptId).stream().map(HeatStore.InHeat::attemptId))
                .toList();
    }

    /**
     * Who went at once started at the same "go": those who have none get this one; those of whom nothing is marked yet follow the attempt the video
     * was added to.
     */
    private void startedWith(UUID attemptId, UUID id, Go go) {
        boolean leads = find(id).attemptId().equals(attemptId);
        Set<UUID> on = recordings.onVideo(List.of(id)).stream()
                .map(RecordingStore.OnVideo::attemptId)
                .collect(Collectors.toSet());
        for (HeatStore.InHeat mate : heats.mates(attemptId)) {
            boolean follows =
                    recordings.goOf(id, mate.attemptId()).isEmpty() || leads && marks.on(id, mate.attemptId()) == 0;
            if (follows && on.contains(mate.attemptId())) {
                book.go(mate.attemptId(), id, go);
            }
        }
    }

    /** The other parts of the day on one running clock have their "go" with this one, where they have none of their own yet. */
    private void onOneClock(OpenAttempt part, UUID id, Go go) {
        Long duration = find(id).durationMs();
        for (AttemptStore.Attempt other : part.day()) {
            OptionalLong later =
                    RunningClock.between(part.workout(), part.attempt().part(), other.part());
            long at = go.atMs() + later.orElse(0);
            boolean onVideo = at >= 0 && (duration == null || at < duration);
            if (later.isPresent() && onVideo && recordings.goOf(id, other.id()).isEmpty()) {
                book.go(other.id(), id, new Go(at, go.uncertaintyS()));
            }
        }
    }

    /** Forgets where "go" lies; the marks stay, and wait for it. */
    @DeleteMapping("/attempts/{attemptId}/recordings/{id}/go")
    LogView forgetGo(@PathVariable UUID attemptId, @PathVariable UUID id) {
        return exclusively.on(attemptId, () -> {
            reviews.open(attemptId);
            find(id);
            book.go(attemptId, id, null);
            return LogViews.of(reviews.open(attemptId), book);
        });
    }

    record RecordingRequest(
            @NotBlank(message = "must be filled in") @Size(max = 200, message = "must be 200 characters at most")
            String label,

            @NotNull UUID attemptId) {}

    /** Names a recording anew, or says that it is another attempt's; refused while marks lie on it that would lose their time. */
    @PutMapping("/recordings/{id}")
    RecordingView correct(@PathVariable UUID id, @Valid @RequestBody RecordingRequest request) {
        Recording recording = find(id);
        return exclusively.on(List.of(recording.attemptId(), request.attemptId()), () -> {
            if (!recording.attemptId().equals(request.attemptId())) {
                if (attempts.find(request.attemptId()).isEmpty()) {
                    throw new InvalidRequest("attemptId", "Attempt not found. It may have been deleted.");
                }
                int on = marks.on(id);
                if (on > 0) {
                    throw new InvalidRequest(
                            "attemptId",
                            marksLie(on) + " on this video. Remove them first, or edit the attempt itself.");
                }
            }
            recordings.correct(id, request.label().strip(), request.attemptId());
            return view(id);
        });
    }

    /** A video of another athlete at the same workout on the same day, that this attempt may be on too. */
    record OfferedView(UUID id, String label, String athlete) {}

    /** Videos of others that show this attempt too, maybe: of the same workout on the same day. */
    @GetMapping("/attempts/{attemptId}/recordings/offered")
    List<OfferedView> offered(@PathVariable UUID attemptId) {
        return recordings.offered(reviews.open(attemptId).attempt()).stream()
                .map(video -> new OfferedView(
                        video.recordingId(), find(video.recordingId()).label(), video.athlete()))
                .toList();
    }

    /** Says that an attempt is on another's video too; the file is kept once, "go" starts out as it is there. */
    @PutMapping("/attempts/{attemptId}/recordings/{id}/use")
    RecordingView use(@PathVariable UUID attemptId, @PathVariable UUID id) {
        return exclusively.on(attemptId, () -> {
            OpenAttempt open = reviews.open(attemptId);
            Recording video = find(id);
            if (open.recordings().stream().noneMatch(one -> one.id().equals(id))) {
                boolean offered = recordings.offered(open.attempt()).stream()
                        .anyMatch(one -> one.recordingId().equals(id));
                if (!offered) {
                    throw new InvalidRequest("id", "That video is of another workout or another day.");
                }
                recordings.use(id, attemptId);
                recordings
                        .goOf(id, video.attemptId())
                        .ifPresent(go -> recordings.go(id, attemptId, go.atMs(), go.uncertaintyS()));
            }
            return view(id);
        });
    }

    /** Says that an attempt is not on another's video after all; refused while its marks lie on it. */
    @DeleteMapping("/attempts/{attemptId}/recordings/{id}/use")
    RecordingView leave(@PathVariable UUID attemptId, @PathVariable UUID id) {
        return exclusively.on(attemptId, () -> {
            reviews.open(attemptId);
            find(id);
            int on = marks.on(id, attemptId);
            if (on > 0) {
                throw new InvalidRequest("id", marksLie(on) + " on this video. Remove them first.");
            }
            recordings.leave(id, attemptId);
            return view(id);
        });
    }

    /** Notes the length a player has read from the file. */
    @PutMapping("/recordings/{id}/duration")
    RecordingView duration(@PathVariable UUID id, @Valid @RequestBody DurationRequest request) {
        find(id);
        recordings.duration(id, request.durationMs());
        return view(id);
    }

    private static String marksLie(int on) {
        return on == 1 ? "1 mark is" : on + " marks are";
    }

    private RecordingView view(UUID id) {
        return RecordingView.of(find(id));
    }

    private Recording find(UUID id) {
        return recordings.findShown(id).orElseThrow(() -> new NotFound("recording", id));
    }

    /** What a simulated lifter tries: the timetable there is, else the usual one for what is known of the athlete. */
    private @Nullable LiftJson lifts(OpenAttempt open) {
        if (!(open.expanded().format() instanceof Format.Lift window)) {
            return null;
        }
        LiftPlan planned = open.plan()
                .flatMap(KeptPlan::lift)
                .orElseGet(() -> SimulatedLifts.usual(
                        window,
                        reviews.limitingMax(open).max().orElse(Quantity.of(SIMULATED_MAX_KG, Unit.KILOGRAM)),
                        PlateRack.kilograms(BAR_KG)));
        return LiftJson.of(planned);
    }

    private static RecordingScript script(OpenAttempt open, Simulation simulation) {
        if (open.expanded().format() instanceof Format.Lift) {
            LiftJson lifts = simulation.lifts();
            if (lifts == null) {
                throw new InvalidRequest("part", "This video was made for another part: it has no lifts.");
            }
            return RecordingScript.of(SimulatedLifts.run(open.expanded(), lifts.liftPlan(), simulation.seed()));
        }
        return RecordingScript.of(SimulatedAttempt.run(open.expanded(), simulation.athlete(), simulation.seed()));
    }
}
