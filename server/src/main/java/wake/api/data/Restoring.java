package wake.api.data;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import wake.api.Quiet;
import wake.store.backups.DataFolder;
import wake.store.backups.Durable;

/** A backup that is taken in or put back: while the latter goes on, nothing else is kept. */
@Component
class Restoring implements Quiet {
    private final DataFolder folder;
    private final AtomicReference<@Nullable AtomicLong> rowsDone = new AtomicReference<>();
    private volatile long rows;

    /** A file that was taken in. */
    record Offer(UUID id, Path file) {}

    Restoring(DataFolder folder) {
        this.folder = folder;
    }

    Offer offer() throws IOException {
        UUID id = UUID.randomUUID();
        Files.createDirectories(folder.offered());
        Durable.ownerOnly(folder.offered());
        return new Offer(id, place(id));
    }

    private Path place(UUID id) {
        return folder.offered().resolve(id + ".zip");
    }

    Optional<Path> file(UUID id) {
        return Optional.of(place(id)).filter(Files::isRegularFile);
    }

    void forget(UUID id) throws IOException {
        Files.deleteIfExists(place(id));
    }

    boolean begin(long all) {
        rows = all;
        return rowsDone.compareAndSet(null, new AtomicLong());
    }

    void done(long more) {
        AtomicLong count = rowsDone.get();
        if (count != null) {
            count.addAndGet(more);
        }
    }

    void end() {
        rowsDone.set(null);
    }

    Optional<AtomicLong> rowsDone() {
        return Optional.ofNullable(rowsDone.get());
    }

    long rows() {
        return rows;
    }

    @Override
    public Optional<String> why() {
        return rowsDone().map(count -> "A backup is being restored. This takes a moment.");
    }
}
