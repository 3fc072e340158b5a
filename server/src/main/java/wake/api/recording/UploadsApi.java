package wake.api.recording;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.InvalidRequest;
import wake.media.Converter.Progress;
import wake.media.MediaFolder;
import wake.media.Uploads;
import wake.media.Uploads.Announced;
import wake.media.Uploads.State;
import wake.review.NotFound;
import wake.store.AttemptStore;
import wake.store.HeatStore;
import wake.store.RecordingStore;
import wake.store.RecordingStore.Kind;
import wake.store.RecordingStore.Recording;
import wake.units.Messages;

/** Recordings that come in piece by piece: announce, send pieces, finish; a transfer that broke off goes on where it stopped. */
@RestController
@RequestMapping("/api/attempts/{attemptId}/recordings/{id}/upload")
class UploadsApi {
    private static final long LARGEST = 64L << 30;

    private final Uploads uploads;
    private final MediaFolder media;
    private final RecordingStore recordings;
    private final AttemptStore attempts;
    private final HeatStore heats;

    record UploadRequest(
            @NotNull @Size(max = 200, message = "must be 200 characters at most")
            String label,

            @Min(value = 0, message = "must not be negative") @Max(value = LARGEST, message = "must be 64 GB at most")
            long sizeBytes) {}

    /** Where a transfer stands. */
    enum Stage {
        COMING,
        WHOLE,
        CONVERTING,
        FAILED,
        STORED
    }

    /**
     * How far a file is.
     *
     * @param convertedShare of a conversion, from 0 to 1; absent without one
     * @param failure why a conversion failed
     */
    record UploadView(
            Stage stage,
            long receivedBytes,
            long sizeBytes,
            @Nullable Double convertedShare,
            @Nullable String failure) {}

    UploadsApi(Uploads uploads, MediaFolder media, RecordingStore recordings, AttemptStore attempts, HeatStore heats) {
        this.media = media;
        this.heats = heats;
        this.uploads = uploads;
        this.recordings = recordings;
        this.attempts = attempts;
    }

    /** Announces a file; says how much of it has arrived already. */
    @PutMapping
    UploadView begin(@PathVariable UUID attemptId, @PathVariable UUID id, @Valid @RequestBody UploadRequest request)
            throws IOException {
        checkAttempt(attemptId);
        belongs(attemptId, id);
        if (!here(id)) {
            uploads.begin(id, new Announced(request.label(), request.sizeBytes()));
        }
        return upload(attemptId, id);
    }

    @GetMapping
    UploadView upload(@PathVariable UUID attemptId, @PathVariable UUID id) throws IOException {
        checkAttempt(attemptId);
        Optional<UploadView> stored = stored(id);
        if (stored.isPresent()) {
            return stored.get();
        }
        // A conversion may end between the two looks: its row is there before its transfer goes.
        return uploads.find(id)
                .map(UploadsApi::view)
                .or(() -> stored(id))
                .orElseThrow(() -> new NotFound("transfer", id));
    }

    /** A recording that came without its file, as with JSON from elsewhere, is waiting for it; every other is here. */
    private boolean here(UUID id) {
        return recordings
                .find(id)
                .filter(one -> one.kind() != Kind.VIDEO || media.has(id))
                .isPresent();
    }

    private void belongs(UUID attemptId, UUID id) {
        boolean other = recordings.find(id).isPresent()
                && recordings.of(List.of(attemptId), attemptId).stream()
                        .noneMatch(one -> one.id().equals(id));
        if (other) {
            throw new InvalidRequest("id", "That video belongs to another attempt.");
        }
    }

    private Optional<UploadView> stored(UUID id) {
        return recordings
                .find(id)
                .filter(recording -> here(id))
                .map(recording ->
                        new UploadView(Stage.STORED, recording.sizeBytes(), recording.sizeBytes(), null, null));
    }

    /** Takes the next piece. The answer says how much has arrived, and so where to go on. */
    @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    UploadView piece(
            @PathVariable UUID attemptId, @PathVariable UUID id, @RequestParam long offset, HttpServletRequest request)
            throws IOException {
        checkAttempt(attemptId);
        uploads.append(id, offset, request.getInputStream());
        return upload(attemptId, id);
    }

    /** Makes the whole file a recording of the attempt; what browsers cannot play is converted first. */
    @PostMapping("/finish")
    UploadView finish(@PathVariable UUID attemptId, @PathVariable UUID id) throws IOException {
        checkAttempt(attemptId);
        belongs(attemptId, id);
        if (here(id)) {
            return upload(attemptId, id);
        }
        State state = uploads.find(id).orElseThrow(() -> new NotFound("transfer", id));
        if (!state.isWhole()) {
            throw new InvalidRequest(
                    "file",
                    Messages.of(
                            "Only %,d of %,d bytes have arrived. Send the rest.",
                            state.receivedBytes(), state.announced().sizeBytes()));
        }
        String label = state.announced().label().isBlank()
                ? "recording"
                : state.announced().label();
        uploads.finish(id, stored -> {
            recordings.add(Recording.video(id, attemptId, label, stored.mediaType(), stored.sizeBytes()));
            // Who went at once is on one video.
            heats.mates(attemptId).forEach(mate -> recordings.use(id, mate.attemptId()));
        });
        return upload(attemptId, id);
    }

    /** Gives a transfer or conversion up; nothing of it stays. */
    @DeleteMapping
    void cancel(@PathVariable UUID attemptId, @PathVariable UUID id) throws IOException {
        checkAttempt(attemptId);
        uploads.cancel(id);
    }

    private static UploadView view(State state) {
        Progress conversion = state.conversion().orElse(null);
        Stage stage = conversion == null
                ? (state.isWhole() ? Stage.WHOLE : Stage.COMING)
                : conversion.failure().isEmpty() ? Stage.CONVERTING : Stage.FAILED;
        return new UploadView(
                stage,
                state.receivedBytes(),
                state.announced().sizeBytes(),
                conversion == null ? null : conversion.share(),
                conversion == null || conversion.failure().isEmpty() ? null : conversion.failure());
    }

    /** Asked with every piece, so the attempt itself is not read. */
    private void checkAttempt(UUID id) {
        if (attempts.find(id).isEmpty()) {
            throw new NotFound("attempt", id);
        }
    }
}
