package wake.media;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.UUID;
import org.springframework.stereotype.Component;
import wake.WakeProperties;

/** The folder with the recordings' files, each named by its recording's id. Files appear whole or not at all. */
@Component
public class MediaFolder {
    private static final int ENOUGH_TO_TELL = 64;
    private static final long SPARE_BYTES = 200L << 20;

    private final Path folder;

    /** A file taken in: its type as found in its first bytes, and its size. */
    public record Stored(String mediaType, long sizeBytes) {}

    MediaFolder(WakeProperties properties) {
        this.folder = properties.media();
    }

    public Path file(UUID id) {
        return folder.resolve(id.toString());
    }

    /**
     * Streams a file in.
     *
     * @param announcedBytes the size the sender says it has; negative when it does not
     * @throws NotAVideo when it is empty, or not a kind of video browsers play
     * @throws IOException when the disk cannot take it or the sender breaks off; nothing is kept then
     */
    public Stored take(UUID id, InputStream bytes, long announcedBytes) throws IOException {
        Files.createDirectories(folder);
        if (announcedBytes > 0 && announcedBytes + SPARE_BYTES > folder.toFile().getUsableSpace()) {
            throw new NotAVideo("The disk has not enough space for this file (" + (announcedBytes >> 20) + " MB).");
        }
        Path part = folder.resolve(id + ".part");
        try (BufferedInputStream in = new BufferedInputStream(bytes)) {
            String mediaType = mediaType(in);
            Files.copy(in, part, StandardCopyOption.REPLACE_EXISTING);
            long size = Files.size(part);
            if (announcedBytes > 0 && size != announcedBytes) {
                throw new IOException("Only " + size + " of " + announcedBytes + " bytes arrived");
            }
            Files.move(part, file(id), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            return new Stored(mediaType, size);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /** WebM starts with an EBML header (RFC 8794, 11.2.1); MP4 with a file type box (ISO/IEC 14496-12, 4.3). */
    private static String mediaType(BufferedInputStream in) throws IOException {
        in.mark(ENOUGH_TO_TELL);
        byte[] head = in.readNBytes(ENOUGH_TO_TELL);
        in.reset();
        if (head.length == 0) {
            throw new NotAVideo("The file is empty. Copy it from the camera again and retry.");
        }
        boolean ebml = head.length > 4
                && (head[0] & 0xff) == 0x1a
                && (head[1] & 0xff) == 0x45
                && (head[2] & 0xff) == 0xdf
                && (head[3] & 0xff) == 0xa3;
        if (ebml) {
            return "video/webm";
        }
        boolean boxed = head.length > 12 && new String(head, 4, 4, StandardCharsets.US_ASCII).equals("ftyp");
        if (boxed) {
            return "video/mp4";
        }
        throw new NotAVideo("This is not a video Wake can play. It takes WebM and MP4 files.");
    }
}
