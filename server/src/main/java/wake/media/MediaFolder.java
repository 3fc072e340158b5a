package wake.media;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import wake.WakeProperties;
import wake.store.backups.Durable;

/** The folder with the recordings' files, each named by its recording's id. Files appear whole or not at all, and links are not followed. */
@Component
public class MediaFolder {
    private static final Logger LOG = LoggerFactory.getLogger(MediaFolder.class);
    private static final String COMING = ".coming";

    private final Path folder;

    /** A file taken in: its type as found in its first bytes, and its size. */
    public record Stored(String mediaType, long sizeBytes) {}

    MediaFolder(WakeProperties properties) {
        this.folder = properties.media();
    }

    public Path file(UUID id) {
        return folder.resolve(id.toString());
    }

    /** Whether a recording's file is there, as a file of its own. */
    public boolean has(UUID id) {
        return Files.isRegularFile(file(id), LinkOption.NOFOLLOW_LINKS);
    }

    /** Where the times of a recording's frames are kept. */
    Path frames(UUID id) {
        return folder.resolve(id + ".frames");
    }

    Path place(String name) {
        return folder.resolve(name);
    }

    void make() throws IOException {
        Files.createDirectories(folder);
        Durable.ownerOnly(folder);
    }

    long usableBytes() {
        return folder.toFile().getUsableSpace();
    }

    /** Ids of the transfers under way. */
    List<UUID> coming() throws IOException {
        List<UUID> ids = new ArrayList<>();
        for (Path file : all()) {
            String name = file.getFileName().toString();
            if (name.endsWith(COMING)) {
                id(name.substring(0, name.length() - COMING.length())).ifPresent(ids::add);
            }
        }
        return ids;
    }

    private static Optional<UUID> id(String name) {
        try {
            return Optional.of(UUID.fromString(name));
        } catch (IllegalArgumentException other) {
            return Optional.empty();
        }
    }

    private List<Path> all() throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.toList();
        }
    }

    /** Puts a finished file in its place, its bytes on the disk first; the file keeps its first name too where the disk can do that. */
    void keep(Path file, UUID id) throws IOException {
        Path second = folder.resolve(id + ".keeping");
        Files.deleteIfExists(second);
        try {
            Files.createLink(second, file);
        } catch (UnsupportedOperationException | IOException notHere) {
            LOG.debug("No second names here", notHere);
            Files.copy(file, second);
        }
        Durable.move(second, file(id));
    }

    /** Deletes a recording's file for good. */
    public void delete(UUID id) throws IOException {
        Durable.delete(file(id));
        Durable.delete(frames(id));
    }

    /**
     * Clears away what nobody needs: pieces of transfers untouched since a moment, halves of conversions, and files that belong to no recording.
     *
     * @param known ids of all recordings there are, those in the bin too
     * @return how many files went
     */
    public int sweep(Set<UUID> known, Instant untouchedSince) throws IOException {
        int gone = 0;
        for (Path file : all()) {
            String name = file.getFileName().toString();
            int dot = name.indexOf('.');
            String ending = dot < 0 ? "" : name.substring(dot);
            boolean old = Files.getLastModifiedTime(file, LinkOption.NOFOLLOW_LINKS)
                    .toInstant()
                    .isBefore(untouchedSince);
            Optional<UUID> of = id(dot < 0 ? name : name.substring(0, dot));
            boolean needed = of.filter(known::contains).isPresent() && (ending.isEmpty() || ending.equals(".frames"));
            if (of.isPresent() && old && !needed) {
                Durable.delete(file);
                gone++;
            }
        }
        return gone;
    }
}
