package wake.media;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import wake.media.MediaFolder.Stored;
import wake.store.backups.Durable;
import wake.units.Messages;

/**
 * Large files that come in piece by piece. What has arrived is on the disk, so that a transfer goes on where it broke off, also after the
 * server was killed. One piece of a file is written at a time; a file is in its place for good before its note goes, so that finishing can be
 * asked for again after a kill at any moment.
 */
@Component
public class Uploads {
    private static final int LOCKS = 1024;
    private static final long SPARE_BYTES = 200L << 20;
    private static final int MEGABYTE_BITS = 20;
    private static final int BUFFER = 1 << 16;

    private final MediaFolder media;
    private final Converter converter;
    private final JsonMapper json;
    /** One for each transfer, nearly always: there are so many, and never more. */
    private final ReentrantLock[] locks =
            Stream.generate(ReentrantLock::new).limit(LOCKS).toArray(ReentrantLock[]::new);

    /** What is coming: its name and size. */
    public record Announced(String label, long sizeBytes) {}

    /** How far a file is: bytes that have arrived, and of its conversion, if it needs one, the share done. */
    public record State(Announced announced, long receivedBytes, Optional<Converter.Progress> conversion) {
        public boolean isWhole() {
            return receivedBytes == announced.sizeBytes();
        }
    }

    Uploads(MediaFolder media, Converter converter, JsonMapper json) {
        this.media = media;
        this.converter = converter;
        this.json = json;
    }

    private Path part(UUID id) {
        return media.place(id + ".part");
    }

    private Path note(UUID id) {
        return media.place(id + ".coming");
    }

    private ReentrantLock lock(UUID id) {
        return locks[Math.floorMod(id.hashCode(), LOCKS)];
    }

    /**
     * Announces a file, or finds the one announced before under that id.
     *
     * @throws NotAVideo when it is empty, or the disk has not enough space for it beside what else is coming in
     */
    public State begin(UUID id, Announced announced) throws IOException {
        ReentrantLock lock = lock(id);
        lock.lock();
        try {
            Optional<State> known = find(id);
            if (known.isPresent() && known.get().announced().sizeBytes() == announced.sizeBytes()) {
                return known.get();
            }
            if (announced.sizeBytes() <= 0) {
                throw new NotAVideo("The file is empty. Copy it from the camera again and retry.");
            }
            media.make();
            checkSpace(id, announced.sizeBytes());
            Files.deleteIfExists(part(id));
            Files.createFile(part(id));
            Durable.ownerOnly(part(id));
            Durable.write(note(id), json.writeValueAsBytes(announced));
            return new State(announced, 0, Optional.empty());
        } finally {
            lock.unlock();
        }
    }

    private void checkSpace(UUID id, long bytes) throws IOException {
        long free = media.usableBytes();
        long promised = promisedBeside(id);
        if (bytes > free - promised - SPARE_BYTES) {
            throw new NotAVideo(Messages.of(
                    "The disk has %,d MB free%s; this file has %,d MB, and %,d MB must stay free. Make room and try again.",
                    free >> MEGABYTE_BITS,
                    promised == 0
                            ? ""
                            : Messages.of(
                                    ", of which other transfers under way will take %,d MB", promised >> MEGABYTE_BITS),
                    bytes >> MEGABYTE_BITS,
                    SPARE_BYTES >> MEGABYTE_BITS));
        }
    }

    /** What other transfers have yet to bring. */
    private long promisedBeside(UUID id) throws IOException {
        long promised = 0;
        for (UUID other : media.coming()) {
            if (!other.equals(id)) {
                promised += find(other)
                        .map(state -> state.announced().sizeBytes() - state.receivedBytes())
                        .orElse(0L);
            }
        }
        return promised;
    }

    public Optional<State> find(UUID id) throws IOException {
        if (!Files.exists(note(id)) || !Files.exists(part(id))) {
            return Optional.empty();
        }
        try {
            Announced announced = json.readValue(Files.readAllBytes(note(id)), Announced.class);
            return Optional.of(new State(announced, Files.size(part(id)), converter.progress(id)));
        } catch (JacksonException | NoSuchFileException gone) {
            // Cut short as it was written, or finished between looking and reading.
            return Optional.empty();
        }
    }

    /**
     * Takes the next bytes. What arrives before the sender breaks off is kept. While one piece is being written another one of the same file is
     * left aside, so that a piece sent twice is written once.
     *
     * @param offset where they belong: where the last ones ended
     * @return how many have arrived in all; when that is not where these ended, the sender goes on from there
     */
    public long append(UUID id, long offset, InputStream bytes) throws IOException {
        ReentrantLock lock = lock(id);
        if (!lock.tryLock()) {
            return arrived(id);
        }
        try {
            State state = find(id).orElseThrow(() -> new NotAVideo("No upload was started under that id."));
            if (offset != state.receivedBytes()) {
                return state.receivedBytes();
            }
            return write(id, offset, state.announced().sizeBytes(), bytes);
        } finally {
            lock.unlock();
        }
    }

    private long arrived(UUID id) throws IOException {
        return find(id).orElseThrow(() -> new NotAVideo("No upload was started under that id."))
                .receivedBytes();
    }

    private long write(UUID id, long offset, long size, InputStream bytes) throws IOException {
        long at = offset;
        try (FileChannel out = FileChannel.open(part(id), StandardOpenOption.WRITE)) {
            byte[] buffer = new byte[BUFFER];
            int read = bytes.read(buffer);
            while (read >= 0 && at < size) {
                int take = (int) Math.min(read, size - at);
                ByteBuffer piece = ByteBuffer.wrap(buffer, 0, take);
                while (piece.hasRemaining()) {
                    at += out.write(piece, at);
                }
                read = bytes.read(buffer);
            }
        }
        return at;
    }

    /**
     * Makes the whole file a recording's: at once when browsers play it, else after converting it.
     *
     * @param whenStored told once it is in its place, maybe on another thread; may be told again after a kill
     * @throws NotAVideo when it is none, or has to be converted and ffmpeg is not there; what has arrived is kept in that case
     */
    public void finish(UUID id, Consumer<Stored> whenStored) throws IOException {
        ReentrantLock lock = lock(id);
        lock.lock();
        try {
            if (find(id).isEmpty()) {
                return;
            }
            VideoKind kind = kind(id);
            if (kind.plays()) {
                settle(id, part(id), kind.mediaType(), whenStored);
            } else {
                convert(id, kind, whenStored);
            }
        } finally {
            lock.unlock();
        }
    }

    private VideoKind kind(UUID id) throws IOException {
        try {
            return VideoKind.of(part(id));
        } catch (NotAVideo none) {
            cancel(id);
            throw none;
        }
    }

    private void convert(UUID id, VideoKind kind, Consumer<Stored> whenStored) {
        if (!Ffmpeg.isInstalled()) {
            throw new NotAVideo(
                    "This is " + kind.words()
                            + ", which browsers cannot play. Install ffmpeg (on Debian: apt-get install ffmpeg) and try again: what has arrived is saved. "
                            + "Or convert it yourself: ffmpeg -i in.mov -c:v libx264 out.mp4. Phones can be set to record H.264 (\"most compatible\").");
        }
        converter.begin(id, part(id), media.place(id + ".converted"), made -> {
            ReentrantLock lock = lock(id);
            lock.lock();
            try {
                settle(id, made, "video/mp4", whenStored);
            } catch (IOException broken) {
                throw new java.io.UncheckedIOException(broken);
            } finally {
                lock.unlock();
            }
        });
    }

    /**
     * The bytes get a second name in their place, then the row is written, and only then the first name goes: killed in between, the transfer is
     * still whole and finishing it is asked for again.
     */
    private void settle(UUID id, Path file, String mediaType, Consumer<Stored> whenStored) throws IOException {
        long size = Files.size(file);
        media.keep(file, id);
        whenStored.accept(new Stored(mediaType, size));
        forget(id);
    }

    /** Lets go of what has arrived. */
    public void cancel(UUID id) throws IOException {
        converter.cancel(id);
        ReentrantLock lock = lock(id);
        lock.lock();
        try {
            forget(id);
        } finally {
            lock.unlock();
        }
    }

    private void forget(UUID id) throws IOException {
        Durable.delete(note(id));
        Durable.delete(part(id));
    }
}
