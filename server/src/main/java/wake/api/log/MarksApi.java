package wake.api.log;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.InvalidRequest;
import wake.api.log.LogViews.LogView;
import wake.exchange.CaptionFile;
import wake.exchange.MarkSheet;
import wake.log.Granularity;
import wake.log.Lift;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.review.LogService;
import wake.review.OpenAttempt;
import wake.review.Reviews;
import wake.review.SheetMarks;
import wake.store.Exclusively;
import wake.store.MarkStore;
import wake.store.MarkStore.StoredMark;
import wake.store.RecordingStore.Recording;
import wake.store.RequestStore;

/** Marks. Each answer is the whole log after it; when it arrives, the mark is on disk. */
@RestController
@RequestMapping("/api/attempts/{attemptId}/marks")
class MarksApi {
    /** How far past the known length of a recording a mark may lie: players disagree on the last frames. */
    private static final long END_TOLERANCE_MS = 250;

    private static final Pattern LIFT_TAG = Pattern.compile("(open|on \\d{1,3})?");
    private static final Pattern BARE_LOAD = Pattern.compile("^(\\d+(?:[.]\\d+)?)(?=\\s*(?:,|$))");

    private final MarkStore marks;
    private final LogService book;
    private final Reviews reviews;
    private final RequestStore requests;
    private final Exclusively exclusively;

    record MarkRequest(
            @Nullable UUID recordingId,
            @NotNull MarkKind kind,

            @Min(value = -3_600_000, message = "must be a time on the clock")
            @Max(value = 86_400_000, message = "must be within a day")
            long atMs,

            @Min(value = 0, message = "must not be negative") @Max(value = 10_000, message = "must be 10000 at most")
            int reps,

            @NotNull Granularity depth,
            @NotNull @Size(max = 40) String tag,
            @NotNull @Size(max = 2000) String text,
            @Nullable Made made,
            @DecimalMin("0") @Max(60) double step,
            @Nullable Long wasAtMs) {}

    MarksApi(MarkStore marks, LogService book, Reviews reviews, RequestStore requests, Exclusively exclusively) {
        this.exclusively = exclusively;
        this.marks = marks;
        this.book = book;
        this.reviews = reviews;
        this.requests = requests;
    }

    /** Makes a mark under an id of the caller's making, or corrects the one with that id. Refused if it makes no sense. */
    @PutMapping("/{id}")
    LogView putMark(@PathVariable UUID attemptId, @PathVariable UUID id, @Valid @RequestBody MarkRequest request) {
        return put(attemptId, List.of(new IdentifiedMark(id, request)));
    }

    /**
     * Marks in the order they were made.
     *
     * @param id of the caller's making
     */
    record IdentifiedMark(@NotNull UUID id, @NotNull @Valid MarkRequest mark) {}

    record MarksRequest(@NotNull @Size(min = 1, max = 200) List<@NotNull @Valid IdentifiedMark> marks) {}

    /** The same for several marks, each a change of its own to undo. All of them are saved, or none when one makes no sense. */
    @PutMapping
    LogView putMarks(@PathVariable UUID attemptId, @Valid @RequestBody MarksRequest request) {
        return put(attemptId, request.marks());
    }

    private LogView put(UUID attemptId, List<IdentifiedMark> made) {
        return exclusively.on(attemptId, () -> {
            List<Recording> cameras = reviews.cameras(attemptId);
            made.forEach(one -> book.put(checked(attemptId, one.id(), one.mark(), cameras)));
            OpenAttempt after = reviews.open(attemptId);
            made.stream()
                    .flatMap(one -> LogViews.rejected(after.log(), one.id()).stream())
                    .findFirst()
                    .ifPresent(reason -> {
                        throw new InvalidRequest("kind", reason);
                    });
            return LogViews.of(after, book);
        });
    }

    private StoredMark checked(UUID attemptId, UUID id, MarkRequest request, List<Recording> cameras) {
        String text = request.kind() == MarkKind.LIFT ? lift(attemptId, request) : request.text();
        if (request.kind() == MarkKind.VARIANT && request.text().isBlank()) {
            throw new InvalidRequest("text", "Name the technique, like step-back.");
        }
        if (request.reps() > 0 && !request.kind().tellsReps()) {
            throw new InvalidRequest("reps", "\"" + request.kind().words() + "\" has no reps.");
        }
        if (request.recordingId() != null) {
            checkRecording(cameras, request.recordingId(), request.atMs());
        }
        Optional<StoredMark> existing = marks.find(id);
        if (existing.isPresent() && !existing.get().attemptId().equals(attemptId)) {
            throw new InvalidRequest("id", "This id belongs to a mark of another attempt.");
        }
        checkNotMoved(request, existing);
        return new StoredMark(
                id,
                attemptId,
                request.recordingId(),
                request.kind(),
                request.atMs(),
                request.reps(),
                request.depth(),
                request.tag(),
                text,
                uncertaintyS(request, existing));
    }

    /** The load of a lift, and what was lifted, as it is kept; a number alone is in the unit of the lift before. */
    private String lift(UUID attemptId, MarkRequest request) {
        if (!LIFT_TAG.matcher(request.tag()).matches()) {
            throw new InvalidRequest("tag", "Use \"open\", \"on 2\" for the rep a lift was missed on, or nothing.");
        }
        String written = request.text().strip();
        return Lift.LiftText.of(written)
                .or(() -> Lift.LiftText.of(BARE_LOAD
                        .matcher(written)
                        .replaceFirst("$1 "
                                + LiftLogViews.unit(reviews.open(attemptId)).symbol())))
                .map(Lift.LiftText::toString)
                .orElseThrow(() -> new InvalidRequest(
                        "text", "Write the load, like 85 kg, and what was lifted after a comma, like 1 clean."));
    }

    /** Marks as comma-separated values: {@code at} and {@code kind}, and {@code reps}, {@code depth}, {@code tag}, {@code text}. */
    record SheetRequest(
            @NotNull @Size(max = 2_000_000) String csv,
            @Nullable UUID id) {}

    /**
     * Takes in a sheet of marks at clock times. All of it is kept, or nothing when one does not fit. Under an id of the caller's making the
     * same request again does nothing more.
     */
    @PostMapping("/sheet")
    LogView sheet(@PathVariable UUID attemptId, @Valid @RequestBody SheetRequest request) {
        reviews.open(attemptId);
        List<Mark> marks = InvalidRequest.orElse("csv", () -> MarkSheet.read(request.csv()));
        return exclusively.on(attemptId, () -> takeIn(attemptId, request.id(), marks, "csv"));
    }

    /**
     * Captions to take in.
     *
     * @param vtt WebVTT
     * @param recordingId the recording whose times they are in; of the clock without one
     */
    record CaptionsRequest(
            @NotNull @Size(max = 2_000_000) String vtt,
            @Nullable UUID recordingId,
            @Nullable UUID id) {}

    /**
     * Takes in captions as notes, each at the time it appears; those that are in the log already are left out, and so are running counts.
     * All of it is kept, or nothing when one does not fit.
     */
    @PostMapping("/captions")
    LogView captions(@PathVariable UUID attemptId, @Valid @RequestBody CaptionsRequest request) {
        reviews.open(attemptId);
        List<Mark> written = InvalidRequest.orElse("vtt", () -> CaptionFile.notes(request.vtt()));
        return exclusively.on(attemptId, () -> takeIn(attemptId, request, written));
    }

    private LogView takeIn(UUID attemptId, CaptionsRequest request, List<Mark> written) {
        OpenAttempt open = reviews.open(attemptId);
        long goMs = Optional.ofNullable(request.recordingId())
                .map(wanted -> open.recordings().stream()
                        .filter(one -> one.id().equals(wanted) && one.goMs() != null)
                        .findFirst()
                        .map(one -> Objects.requireNonNull(one.goMs()))
                        .orElseThrow(
                                () -> new InvalidRequest("recordingId", "Mark the start on that video first (G).")))
                .orElse(0L);
        List<Mark> notes = written.stream()
                .map(note -> note.withAt(note.atMs() - goMs))
                .filter(note -> open.log().notes().stream().noneMatch(known -> sameNote(known, note)))
                .toList();
        return takeIn(attemptId, request.id(), notes, "vtt");
    }

    private static boolean sameNote(Mark known, Mark note) {
        return known.atMs() == note.atMs()
                && known.tag().strip().equals(note.tag())
                && known.text().strip().equals(note.text());
    }

    private LogView takeIn(UUID attemptId, @Nullable UUID requestId, List<Mark> marks, String field) {
        if (requestId != null && !requests.first(requestId, attemptId, "sheet")) {
            return view(attemptId);
        }
        List<StoredMark> made = SheetMarks.stored(attemptId, marks, "sheet");
        book.putAll(attemptId, List.of(), made);
        Set<UUID> ids = made.stream().map(StoredMark::id).collect(Collectors.toSet());
        OpenAttempt after = reviews.open(attemptId);
        after.log().rejected().stream()
                .filter(rejected -> ids.contains(rejected.mark().id()))
                .findFirst()
                .ifPresent(rejected -> {
                    throw new InvalidRequest(field, RejectedMarks.words(rejected));
                });
        return LogViews.of(after, book);
    }

    /** Takes a mark away; one that is gone already stays gone. */
    @DeleteMapping("/{id}")
    LogView removeMark(@PathVariable UUID attemptId, @PathVariable UUID id) {
        return exclusively.on(attemptId, () -> {
            book.remove(attemptId, id);
            return view(attemptId);
        });
    }

    /**
     * Makes one set of two: takes out the break a mark belongs to, and the return from it, as one change. A break that is gone
     * already stays gone.
     */
    @PostMapping("/{id}/join")
    LogView join(@PathVariable UUID attemptId, @PathVariable UUID id) {
        return exclusively.on(attemptId, () -> {
            OpenAttempt open = reviews.open(attemptId);
            if (open.marks().stream().anyMatch(mark -> mark.id().equals(id))) {
                List<UUID> gone = open.breakOf(id);
                if (gone.isEmpty()) {
                    throw new InvalidRequest("id", "That mark isn't a break or a \"back on\".");
                }
                book.putAll(attemptId, gone, List.of());
            }
            return view(attemptId);
        });
    }

    /**
     * Takes the last change of the log back. The id is the caller's: the same request again does nothing more.
     *
     * @param of the mark or recording the last change was about, as the caller saw it; refused when something else was done since
     */
    @PostMapping("/undo/{moveId}")
    LogView undo(@PathVariable UUID attemptId, @PathVariable UUID moveId, @RequestParam Optional<UUID> of) {
        return exclusively.on(attemptId, () -> {
            reviews.open(attemptId);
            if (!book.undo(attemptId, moveId, of.orElse(null))) {
                throw new InvalidRequest(
                        "of", "Something else was changed since, so nothing was undone. Check before you undo.");
            }
            return view(attemptId);
        });
    }

    /** Brings the last change taken back again. */
    @PostMapping("/redo/{moveId}")
    LogView redo(@PathVariable UUID attemptId, @PathVariable UUID moveId) {
        return exclusively.on(attemptId, () -> {
            reviews.open(attemptId);
            book.redo(attemptId, moveId);
            return view(attemptId);
        });
    }

    private LogView view(UUID attemptId) {
        return LogViews.of(reviews.open(attemptId), book);
    }

    /** A correction made from an older state of the mark is refused, so that two windows do not undo each other. */
    private static void checkNotMoved(MarkRequest request, Optional<StoredMark> existing) {
        Long was = request.wasAtMs();
        if (was == null) {
            return;
        }
        StoredMark now = existing.orElseThrow(
                () -> new InvalidRequest("wasAtMs", "This mark was deleted in another window. Nothing was changed."));
        if (now.atMs() != was && now.atMs() != request.atMs()) {
            throw new InvalidRequest("wasAtMs", "This mark was moved in another window. Check it before you edit it.");
        }
    }

    /** By how the time was taken; a correction that says nothing about it keeps the resolution the mark has. */
    private static double uncertaintyS(MarkRequest request, Optional<StoredMark> existing) {
        Made made = request.made();
        if (made != null) {
            return made.uncertaintyS(request.step());
        }
        return existing.map(StoredMark::uncertaintyS)
                .orElseThrow(() -> new InvalidRequest("made", "A new mark needs \"made\": how its time was taken."));
    }

    private static void checkRecording(List<Recording> cameras, UUID recordingId, long atMs) {
        Recording recording = cameras.stream()
                .filter(camera -> camera.id().equals(recordingId) && !camera.removed())
                .findFirst()
                .orElseThrow(() -> new InvalidRequest("recordingId", "This attempt has no such video."));
        if (recording.goMs() == null) {
            throw new InvalidRequest("recordingId", "Mark the start on this video first (G).");
        }
        Long duration = recording.durationMs();
        if (atMs < 0 || (duration != null && atMs > duration + END_TOLERANCE_MS)) {
            throw new InvalidRequest(
                    "atMs",
                    "The mark is outside the video, which is "
                            + wake.units.ClockTime.of(duration == null ? 0 : duration)
                                    .toTenths() + " long.");
        }
    }
}
