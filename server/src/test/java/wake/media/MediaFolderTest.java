package wake.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wake.WakeProperties;

class MediaFolderTest {
    /** RFC 8794, 11.2.1: an EBML header starts with 1A 45 DF A3. */
    private static final byte[] WEBM = padded(new byte[] {0x1a, 0x45, (byte) 0xdf, (byte) 0xa3});

    /** ISO/IEC 14496-12, 4.3: a file type box says "ftyp" after its length. */
    private static final byte[] MP4 = padded("\0\0\0\u0018ftypisom".getBytes(StandardCharsets.US_ASCII));

    @TempDir
    Path data;

    private final UUID id = UUID.randomUUID();

    private MediaFolder folder() {
        return new MediaFolder(new WakeProperties(data, false, false));
    }

    private static byte[] padded(byte[] head) {
        return Arrays.copyOf(head, 4000);
    }

    @Test
    void theKindIsToldFromTheFirstBytes() throws IOException {
        assertThat(folder().take(id, new ByteArrayInputStream(WEBM), WEBM.length))
                .isEqualTo(new MediaFolder.Stored("video/webm", WEBM.length));
        assertThat(folder().take(id, new ByteArrayInputStream(MP4), -1).mediaType())
                .isEqualTo("video/mp4");
        assertThat(Files.readAllBytes(folder().file(id))).isEqualTo(MP4);
    }

    @Test
    void whatIsNoVideoLeavesNothingBehind() throws IOException {
        assertThatThrownBy(() -> folder().take(id, new ByteArrayInputStream(new byte[0]), 0))
                .isInstanceOf(NotAVideo.class)
                .hasMessageContaining("empty");
        assertThatThrownBy(() -> folder().take(id, new ByteArrayInputStream(padded(new byte[] {1, 2, 3})), -1))
                .isInstanceOf(NotAVideo.class)
                .hasMessageContaining("WebM and MP4");
        assertThatNothingIsKept();
    }

    @Test
    void aTransferThatBreaksOffLeavesNothingBehind() throws IOException {
        InputStream breaking = new InputStream() {
            private int given;

            @Override
            public int read() throws IOException {
                if (given == 2000) {
                    throw new IOException("connection reset");
                }
                return WEBM[given++] & 0xff;
            }
        };
        assertThatThrownBy(() -> folder().take(id, breaking, WEBM.length)).hasMessageContaining("connection reset");
        assertThatThrownBy(() -> folder().take(id, new ByteArrayInputStream(WEBM), WEBM.length + 5))
                .hasMessageContaining("Only 4000 of 4005 bytes");
        assertThatNothingIsKept();
    }

    @Test
    void aFileLargerThanTheDiskIsRefusedBeforeItIsSent() {
        assertThatThrownBy(() -> folder().take(id, new ByteArrayInputStream(WEBM), Long.MAX_VALUE / 2))
                .isInstanceOf(NotAVideo.class)
                .hasMessageContaining("not enough space");
    }

    private void assertThatNothingIsKept() throws IOException {
        try (Stream<Path> files = Files.list(data.resolve("media"))) {
            assertThat(files).isEmpty();
        }
    }
}
