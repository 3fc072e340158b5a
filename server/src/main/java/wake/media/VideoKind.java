package wake.media;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.apache.tika.Tika;

/**
 * What a video file is, recognised by its bytes.
 *
 * @param mediaType its media type; of a container browsers do not read, {@code video/unknown}
 * @param codec the picture's coding, as its four-letter code in MP4 files; empty where that is not logged
 */
public record VideoKind(String mediaType, Optional<String> codec) {
    private static final Tika TIKA = new Tika();
    private static final Set<String> MATROSKA = Set.of("video/webm", "video/x-matroska", "application/x-matroska");
    private static final Set<String> BOXED =
            Set.of("video/mp4", "video/quicktime", "video/x-m4v", "application/mp4", "video/3gpp", "video/3gpp2");
    private static final Set<String> CONVERTED = Set.of("video/x-msvideo", "video/mpeg", "video/x-flv", "video/mp2t");
    private static final int DEEPEST = 8;
    private static final int MOST_BOXES = 10_000;
    /** Codings Chromium and Firefox play everywhere: H.264, VP8, VP9, AV1 (codes registered for ISO/IEC 14496-12 files). */
    private static final Set<String> PLAYED = Set.of("avc1", "avc3", "vp08", "vp09", "av01");

    private static final Set<String> ON_THE_WAY_TO_THE_CODEC = Set.of("moov", "trak", "mdia", "minf", "stbl");

    /** Whether browsers play it as it is. */
    public boolean plays() {
        return !mediaType.equals("video/unknown") && codec.map(PLAYED::contains).orElse(true);
    }

    /** What it is, for people: "HEVC (hvc1)", "an AVI file". */
    public String words() {
        String code = codec.orElse("");
        return switch (code.toLowerCase(Locale.ROOT)) {
            case "hvc1", "hev1" -> "HEVC video (" + code + ")";
            case "" -> "video of a kind browsers do not read";
            default -> "video coded as " + code;
        };
    }

    /**
     * Looks into a file: its kind is recognised by its first bytes; MP4 and MOV say their coding in the sample description (ISO/IEC 14496-12,
     * 8.5.2).
     *
     * @throws NotAVideo when it is empty, or nothing that could be a video
     */
    public static VideoKind of(Path file) throws IOException {
        try (RandomAccessFile in = new RandomAccessFile(file.toFile(), "r")) {
            if (in.length() == 0) {
                throw new NotAVideo("The file is empty. Copy it from the camera again and retry.");
            }
            String type = TIKA.detect(file);
            if (MATROSKA.contains(type)) {
                return new VideoKind("video/webm", Optional.empty());
            }
            if (BOXED.contains(type)) {
                return new VideoKind("video/mp4", codec(in, 0, in.length(), new int[1], 0));
            }
            if (CONVERTED.contains(type)) {
                return new VideoKind("video/unknown", Optional.empty());
            }
        }
        throw new NotAVideo("Not a supported video. Use MP4, MOV or WebM (AVI, MPEG and FLV are converted).");
    }

    /** The code of the first sample description that is a picture's. */
    private static Optional<String> codec(RandomAccessFile in, long from, long to, int[] seen, int depth)
            throws IOException {
        long at = from;
        while (at + 8 <= to && seen[0]++ < MOST_BOXES && depth < DEEPEST) {
            in.seek(at);
            long size = in.readInt() & 0xffffffffL;
            String type = code(in);
            long body = at + 8;
            if (size == 1) {
                size = in.readLong();
                body = at + 16;
            }
            long end = size == 0 ? to : at + size;
            if (size != 0 && size < 8 || end > to) {
                return Optional.empty();
            }
            Optional<String> found = Optional.empty();
            if (ON_THE_WAY_TO_THE_CODEC.contains(type)) {
                found = codec(in, body, end, seen, depth + 1);
            } else if (type.equals("stsd") && body + 16 <= end) {
                in.seek(body + 12);
                found = Optional.of(code(in)).filter(code -> !code.startsWith("mp4a") && !code.equals("sowt"));
            }
            if (found.isPresent()) {
                return found;
            }
            at = end;
        }
        return Optional.empty();
    }

    private static String code(RandomAccessFile in) throws IOException {
        byte[] code = new byte[4];
        in.readFully(code);
        return new String(code, StandardCharsets.ISO_8859_1);
    }
}
