package wake.media;

import java.nio.file.Path;
import java.util.UUID;
import org.springframework.stereotype.Component;
import wake.WakeProperties;

/** The folder with the recordings' files, each named by its recording's id. Files appear whole or not at all. */
@Component
public class MediaFolder {
    private final Path folder;

    /** A file taken in: its type as found in its first bytes, and its size. */
    public record Stored(String mediaType, long sizeBytes) {}

    MediaFolder(WakeProperties properties) {
        this.folder = properties.media();
    }

    public Path file(UUID id) {
        return folder.resolve(id.toString());
    }

    /** Where the times of a recording's frames are kept. */
    Path frames(UUID id) {
        return folder.resolve(id + ".frames");
    }
}
