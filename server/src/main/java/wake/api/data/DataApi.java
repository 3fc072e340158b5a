package wake.api.data;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicLong;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import wake.WakeProperties;
import wake.api.Conflict;
import wake.api.InvalidRequest;
import wake.api.Outgoing;
import wake.review.AttemptLogs;
import wake.review.Movements;
import wake.review.NotFound;
import wake.store.Backups;
import wake.store.backups.BackupFile;
import wake.store.backups.BackupFile.Contents;
import wake.store.backups.DataFolder;

/** Backup and restore of everything. */
@RestController
@RequestMapping("/api/data")
class DataApi {
    private final WakeProperties properties;
    private final DataFolder folder;
    private final Backups copies;
    private final Outgoing outgoing;
    private final Restoring restoring;
    private final AttemptLogs logs;
    private final Movements movements;
    private final Clock clock;

    /**
     * Where the data lies and how much there is.
     *
     * @param open whether others on the network may come in, with the passphrase
     * @param said what was put right when Wake was started; absent when nothing had to be
     */
    record DataView(
            String folder,
            long databaseBytes,
            long recordingsBytes,
            List<CopyView> copies,
            boolean open,
            @Nullable String said) {}

    /** A copy of the database made by Wake itself. */
    record CopyView(String name, Instant madeAt, long bytes) {}

    /** What a backup holds, before it is put back. */
    record ContentsView(
            UUID id,
            Instant madeAt,
            long athletes,
            long workouts,
            long attempts,
            long marks,
            long recordings,
            long recordingsBytes,
            boolean withFiles) {
        static ContentsView of(UUID id, Contents contents) {
            return new ContentsView(
                    id,
                    contents.madeAt(),
                    contents.rows("ATHLETE"),
                    contents.rows("WORKOUT"),
                    contents.rows("ATTEMPT"),
                    contents.rows("MARK"),
                    contents.rows("RECORDING"),
                    contents.mediaBytes(),
                    contents.recordings());
        }
    }

    /** How far putting back is: rows done, and whether it is over. */
    record RestoreView(boolean running, long rowsDone, long rows) {}

    DataApi(
            WakeProperties properties,
            DataFolder folder,
            Backups copies,
            Outgoing outgoing,
            Restoring restoring,
            AttemptLogs logs,
            Movements movements,
            Clock clock) {
        this.properties = properties;
        this.folder = folder;
        this.copies = copies;
        this.outgoing = outgoing;
        this.restoring = restoring;
        this.logs = logs;
        this.movements = movements;
        this.clock = clock;
    }

    @GetMapping
    DataView data() throws IOException {
        return new DataView(
                properties.data().toAbsolutePath().normalize().toString(),
                size(folder.database()),
                sizes(properties.media()),
                folder.copies().list().stream().map(DataApi::copy).toList(),
                properties.isOpen(),
                folder.said().orElse(null));
    }

    private static CopyView copy(Path file) {
        try {
            return new CopyView(
                    file.getFileName().toString(),
                    Files.getLastModifiedTime(file).toInstant(),
                    Files.size(file));
        } catch (IOException gone) {
            return new CopyView(file.getFileName().toString(), Instant.EPOCH, 0);
        }
    }

    private static long size(Path file) throws IOException {
        return Files.exists(file) ? Files.size(file) : 0;
    }

    private static long sizes(Path media) throws IOException {
        if (!Files.isDirectory(media)) {
            return 0;
        }
        try (var files = Files.list(media)) {
            long sum = 0;
            for (Path file : files.toList()) {
                sum += size(file);
            }
            return sum;
        }
    }

    /** Everything as one zip, written while Wake is in use; with the recordings' files or without. */
    @GetMapping(value = "/backup", produces = "application/zip")
    ResponseEntity<StreamingResponseBody> backup(@RequestParam(defaultValue = "false") boolean recordings)
            throws IOException {
        String name = "wake backup " + LocalDate.now(clock) + (recordings ? " with videos" : "") + ".zip";
        MediaType zip = MediaType.parseMediaType("application/zip");
        return recordings
                ? outgoing.answer(name, zip, copies::write, copies::withRecordings)
                : outgoing.answer(name, zip, copies::write);
    }

    /** Takes in a backup and says what is in it; nothing is changed before that is confirmed. */
    @PostMapping(value = "/restore", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    ContentsView offer(HttpServletRequest request) throws IOException {
        Restoring.Offer offer = restoring.offer();
        try (InputStream in = request.getInputStream()) {
            Files.copy(in, offer.file(), StandardCopyOption.REPLACE_EXISTING);
            return ContentsView.of(offer.id(), BackupFile.contents(offer.file()));
        } catch (IOException | RuntimeException unfit) {
            restoring.forget(offer.id());
            throw unfit;
        }
    }

    /** Offers one of the copies Wake made itself. */
    @PostMapping("/copies/{name}/restore")
    ContentsView offerCopy(@PathVariable String name) throws IOException {
        Path copy = folder.copies().list().stream()
                .filter(file -> file.getFileName().toString().equals(name))
                .findFirst()
                .orElseThrow(() -> new InvalidRequest("name", "There is no copy of that name."));
        Restoring.Offer offer = restoring.offer();
        Files.copy(copy, offer.file(), StandardCopyOption.REPLACE_EXISTING);
        return ContentsView.of(offer.id(), BackupFile.contents(offer.file()));
    }

    /** Puts back what was taken in: everything there is now is replaced, after a copy of it has been made. */
    @PostMapping("/restore/{id}")
    ContentsView restore(@PathVariable UUID id) throws IOException {
        Path file = restoring.file(id).orElseThrow(() -> new NotFound("backup taken in", id));
        Contents contents = BackupFile.contents(file);
        long rows = contents.tables().stream()
                .mapToLong(BackupFile.TableEntry::rows)
                .sum();
        if (!restoring.begin(rows)) {
            throw new Conflict("id", "Another backup is being restored.");
        }
        try {
            copies.putBack(file, restoring::done);
            logs.forget();
            movements.readAgain();
        } finally {
            restoring.end();
        }
        restoring.forget(id);
        return ContentsView.of(id, contents);
    }

    @GetMapping("/restore")
    RestoreView restoring() {
        Optional<AtomicLong> done = restoring.rowsDone();
        return new RestoreView(done.isPresent(), done.map(AtomicLong::get).orElse(0L), restoring.rows());
    }

    /** Leaves everything as it is. */
    @DeleteMapping("/restore/{id}")
    void leave(@PathVariable UUID id) throws IOException {
        restoring.forget(id);
    }
}
