package wake.media;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import wake.WakeProperties;
import wake.media.MediaFolder.Stored;

/**
 * Large files that come in piece by piece. What has arrived is on the disk, so that a transfer goes on where it broke off, also after the
 * server was killed.
 */
@Component
public class Uploads {
    private static final long SPARE_BYTES = 200L << 20;
    private static final int MEGABYTE_BITS = 20;

    private final Path folder;
    private final MediaFolder media;
    private final Converter converter;
    private final JsonMapper json;

    /** What is coming: its name and size. */
    public record Announced(String label, long sizeBytes) {}

    /** How far a file is: bytes that have arrived, and of its conversion, if it needs one, the share done. */
    public record State(Announced announced, long receivedBytes, Optional<Converter.Progress> conversion) {
        public boolean isWhole() {
            return receivedBytes == announced.sizeBytes();
        }
    }

    Uploads(WakeProperties properties, MediaFolder media, Converter converter, JsonMapper json) {
        this.folder = properties.media();
        this.media = media;
        this.converter = converter;
        this.json = json;
    }

    private Path part(UUID id) {
        return folder.resolve(id + ".part");
    }

    private Path note(UUID id) {
        return folder.resolve(id + ".coming");
    }

    /**
     * Announces a file, or finds the one announced before under that id.
     *
     * @throws NotAVideo when it is empty, or the disk has not enough space for it
     */
    public State begin(UUID id, Announced announced) throws IOException {
        Optional<State> known = find(id);
        if (known.isPresent() && known.get().announced().sizeBytes() == announced.sizeBytes()) {
            return known.get();
        }
        if (announced.sizeBytes() <= 0) {
            throw new NotAVideo("The file is empty. Copy it from the camera again and retry.");
        }
        Files.createDirectories(folder);
        long free = folder.toFile().getUsableSpace();
        if (announced.sizeBytes() > free - SPARE_BYTES) {
            throw new NotAVideo(
                    "The disk has %,d MB free; this file has %,d MB, and %,d MB are kept free. Make room and try again."
                            .formatted(
                                    free >> MEGABYTE_BITS,
                                    announced.sizeBytes() >> MEGABYTE_BITS,
                                    SPARE_BYTES >> MEGABYTE_BITS));
        }
        Files.deleteIfExists(part(id));
        Files.createFile(part(id));
        Files.write(note(id), json.writeValueAsBytes(announced));
        return new State(announced, 0, Optional.empty());
    }

    public Optional<State> find(UUID id) throws IOException {
        if (!Files.exists(note(id)) || !Files.exists(part(id))) {
            return Optional.empty();
        }
        Announced announced = json.readValue(Files.readAllBytes(note(id)), Announced.class);
        return Optional.of(new State(announced, Files.size(part(id)), converter.progress(id)));
    }

    /**
     * Takes the next bytes. What arrives before the sender breaks off is kept.
     *
     * @param offset where they belong: where the last ones ended
     * @return how many have arrived in all; when that is not where these ended, the sender goes on from there
     */
    public long append(UUID id, long offset, InputStream bytes) throws IOException {
        State state = find(id).orElseThrow(() -> new NotAVideo("Nothing was announced under that id."));
        if (offset != state.receivedBytes()) {
            return state.receivedBytes();
        }
        long left = state.announced().sizeBytes() - offset;
        try (var out = Files.newOutputStream(part(id), StandardOpenOption.APPEND)) {
            byte[] buffer = new byte[1 << 16];
            int read = bytes.read(buffer);
            while (read >= 0 && left > 0) {
                int take = (int) Math.min(read, left);
                out.write(buffer, 0, take);
                left -= take;
                read = bytes.read(buffer);
            }
        }
        return state.announced().sizeBytes() - left;
    }

    /**
     * Makes the whole file a recording's: at once when browsers play it, else after converting it.
     *
     * @param whenStored told once it is in its place, maybe on another thread
     * @throws NotAVideo when it is none, or has to be converted and ffmpeg is not there; what has arrived is kept in that case
     */
    public void finish(UUID id, Consumer<Stored> whenStored) throws IOException {
        Path file = part(id);
        VideoKind kind;
        try {
            kind = VideoKind.of(file);
        } catch (NotAVideo none) {
            cancel(id);
            throw none;
        }
        if (kind.plays()) {
            settle(id, file, kind.mediaType(), whenStored);
            return;
        }
        if (!Ffmpeg.isInstalled()) {
            throw new NotAVideo(
                    "This is " + kind.words()
                            + ", which browsers cannot play. Install ffmpeg (on Debian: apt-get install ffmpeg) and try again: what has arrived is kept. "
                            + "Or convert it yourself: ffmpeg -i in.mov -c:v libx264 out.mp4. Phones can be set to record H.264 (\"most compatible\").");
        }
        Path converted = folder.resolve(id + ".converted");
        converter.begin(id, file, converted, made -> {
            try {
                settle(id, made, "video/mp4", whenStored);
            } catch (IOException broken) {
                throw new java.io.UncheckedIOException(broken);
            }
        });
    }

    private void settle(UUID id, Path file, String mediaType, Consumer<Stored> whenStored) throws IOException {
        long size = Files.size(file);
        Files.move(file, media.file(id), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        whenStored.accept(new Stored(mediaType, size));
        Files.deleteIfExists(note(id));
        Files.deleteIfExists(part(id));
    }

    /** Lets go of what has arrived. */
    public void cancel(UUID id) throws IOException {
        converter.cancel(id);
        Files.deleteIfExists(note(id));
        Files.deleteIfExists(part(id));
    }
}
