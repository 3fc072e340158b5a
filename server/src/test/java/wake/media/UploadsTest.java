package wake.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;
import wake.WakeProperties;
import wake.media.MediaFolder.Stored;
import wake.media.Uploads.Announced;

/** Transfers that break off, and files that are not what browsers play. */
class UploadsTest {
    private static final byte[] CLIP = clip("avc1");

    @TempDir
    private Path data;

    private final Converter converter = new Converter();
    private final UUID id = UUID.randomUUID();
    private Uploads uploads;
    private MediaFolder media;

    @BeforeEach
    void open() {
        WakeProperties properties = WakeProperties.of(data);
        media = new MediaFolder(properties);
        uploads = new Uploads(media, converter, JsonMapper.shared());
    }

    /** A file type box and a sample description, as ISO/IEC 14496-12 lays them out (4.2, 4.3, 8.5.2). */
    static byte[] clip(String codec) {
        byte[] description = box("stsd", concat(new byte[8], box(codec, new byte[24])));
        byte[] track = box("trak", box("mdia", box("minf", box("stbl", description))));
        return concat(box("ftyp", "isom0000isom".getBytes(StandardCharsets.US_ASCII)), box("moov", track));
    }

    private static byte[] box(String type, byte[] body) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream out = new DataOutputStream(bytes)) {
            out.writeInt(8 + body.length);
            out.write(type.getBytes(StandardCharsets.US_ASCII));
            out.write(body);
        } catch (IOException impossible) {
            throw new java.io.UncheckedIOException(impossible);
        }
        return bytes.toByteArray();
    }

    private static byte[] concat(byte[] one, byte[] other) {
        byte[] both = java.util.Arrays.copyOf(one, one.length + other.length);
        System.arraycopy(other, 0, both, one.length, other.length);
        return both;
    }

    private static InputStream bytes(int from, int to) {
        return new ByteArrayInputStream(CLIP, from, to - from);
    }

    @Test
    void aTransferGoesOnWhereItBrokeOffAlsoAfterARestart() throws IOException {
        uploads.begin(id, new Announced("clip.mp4", CLIP.length));
        assertThat(uploads.append(id, 0, bytes(0, 30))).isEqualTo(30);
        assertThat(uploads.append(id, 10, bytes(10, 40)))
                .as("a piece that does not follow is not taken")
                .isEqualTo(30);
        open();
        assertThat(uploads.begin(id, new Announced("clip.mp4", CLIP.length)).receivedBytes())
                .isEqualTo(30);
        uploads.append(id, 30, bytes(30, CLIP.length));
        CompletableFuture<Stored> stored = new CompletableFuture<>();
        uploads.finish(id, stored::complete);
        assertThat(stored.join()).isEqualTo(new Stored("video/mp4", CLIP.length));
        assertThat(Files.readAllBytes(media.file(id))).isEqualTo(CLIP);
        assertThat(uploads.find(id)).isEmpty();
    }

    @Test
    void whatArrivesBeforeTheSenderBreaksOffIsKept() throws IOException {
        uploads.begin(id, new Announced("clip.mp4", CLIP.length));
        InputStream broken = new InputStream() {
            private int sent;

            @Override
            public int read() throws IOException {
                if (sent == 20) {
                    throw new IOException("connection reset");
                }
                return CLIP[sent++] & 0xff;
            }

            @Override
            public int read(byte[] into, int at, int length) throws IOException {
                into[at] = (byte) read();
                return 1;
            }
        };
        assertThatThrownBy(() -> uploads.append(id, 0, broken)).hasMessage("connection reset");
        assertThat(uploads.find(id).orElseThrow().receivedBytes()).isEqualTo(20);
    }

    @Test
    void aFileTooLargeForTheDiskIsRefusedBeforeItIsSent() {
        assertThatThrownBy(() -> uploads.begin(id, new Announced("huge.mp4", Long.MAX_VALUE / 2)))
                .isInstanceOf(NotAVideo.class)
                .hasMessageContaining("MB free");
        assertThatThrownBy(() -> uploads.begin(id, new Announced("none.mp4", 0)))
                .hasMessageContaining("empty");
    }

    @Test
    void cancellingLeavesNothing() throws IOException {
        uploads.begin(id, new Announced("clip.mp4", CLIP.length));
        uploads.append(id, 0, bytes(0, 30));
        uploads.cancel(id);
        try (var left = Files.list(data.resolve("media"))) {
            assertThat(left).isEmpty();
        }
    }

    @Test
    void theCodingIsReadFromTheFile() throws IOException {
        Path file = data.resolve("some");
        Files.write(file, clip("hvc1"));
        assertThat(VideoKind.of(file).plays()).isFalse();
        assertThat(VideoKind.of(file).words()).isEqualTo("HEVC video (hvc1)");
        Files.write(file, CLIP);
        assertThat(VideoKind.of(file).plays()).isTrue();
        Files.write(file, "RIFF0000AVI LIST".getBytes(StandardCharsets.US_ASCII));
        assertThat(VideoKind.of(file).plays()).isFalse();
        Files.write(file, "just some text, no video".getBytes(StandardCharsets.US_ASCII));
        assertThatThrownBy(() -> VideoKind.of(file)).isInstanceOf(NotAVideo.class);
        Files.write(file, new byte[] {0x1a, 0x45, (byte) 0xdf, (byte) 0xa3, 0, 0});
        assertThat(VideoKind.of(file).mediaType()).isEqualTo("video/webm");
    }

    /** A real file that browsers do not play, made and checked by ffmpeg itself; skipped where that is not installed. */
    @Test
    void whatBrowsersDoNotPlayIsConvertedWithItsFramesAtTheirTimes() throws Exception {
        assumeThat(Ffmpeg.isInstalled()).isTrue();
        Path avi = data.resolve("made.avi");
        run(
                "ffmpeg",
                "-v",
                "error",
                "-f",
                "lavfi",
                "-i",
                "testsrc=duration=2:size=160x90:rate=15",
                "-c:v",
                "mpeg4",
                avi.toString());
        byte[] made = Files.readAllBytes(avi);
        uploads.begin(id, new Announced("made.avi", made.length));
        uploads.append(id, 0, new ByteArrayInputStream(made));
        CompletableFuture<Stored> stored = new CompletableFuture<>();
        uploads.finish(id, stored::complete);
        assertThat(stored.orTimeout(60, TimeUnit.SECONDS).join().mediaType()).isEqualTo("video/mp4");
        assertThat(VideoKind.of(media.file(id)).codec()).contains("avc1");
        String frames = run(
                "ffprobe",
                "-v",
                "error",
                "-count_frames",
                "-show_entries",
                "stream=nb_read_frames",
                "-of",
                "csv=p=0",
                media.file(id).toString());
        assertThat(frames).isEqualTo("30");
    }

    @Test
    void aDamagedFileSaysSo() throws Exception {
        assumeThat(Ffmpeg.isInstalled()).isTrue();
        byte[] damaged = clip("hvc1");
        uploads.begin(id, new Announced("damaged.mov", damaged.length));
        uploads.append(id, 0, new ByteArrayInputStream(damaged));
        uploads.finish(id, stored -> {});
        long end = System.nanoTime() + Duration.ofSeconds(30).toNanos();
        while (!uploads.find(id).orElseThrow().conversion().orElseThrow().done() && System.nanoTime() < end) {
            Thread.sleep(50);
        }
        assertThat(uploads.find(id).orElseThrow().conversion().orElseThrow().failure())
                .contains("ffmpeg could not convert");
    }

    private static String run(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        String text = new String(process.getInputStream().readAllBytes(), StandardCharsets.US_ASCII).strip();
        assertThat(process.waitFor()).isZero();
        return text;
    }

    /** Looked at again and again while it is being finished, a transfer is there or gone, and nothing in between. */
    @Test
    void aTransferMayEndWhileItIsLookedAt() throws Exception {
        for (int round = 0; round < 60; round++) {
            UUID one = UUID.randomUUID();
            uploads.begin(one, new Uploads.Announced("clip", CLIP.length));
            uploads.append(one, 0, bytes(0, CLIP.length));
            Thread finishing = Thread.ofPlatform().start(() -> {
                try {
                    uploads.finish(one, stored -> {});
                } catch (IOException broken) {
                    throw new java.io.UncheckedIOException(broken);
                }
            });
            while (uploads.find(one).isPresent()) {
                Thread.onSpinWait();
            }
            finishing.join();
            assertThat(media.has(one)).isTrue();
        }
    }
}
