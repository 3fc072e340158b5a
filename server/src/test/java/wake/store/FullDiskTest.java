package wake.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.util.UUID;
import org.h2.store.fs.FileBaseDefault;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wake.ServerAt;
import wake.ServerAt.Answer;

/** The disk runs full under the database, and has room again. */
class FullDiskTest {
    @TempDir
    Path data;

    /** A file system that has no room left while it is told so, under the name "brim:". */
    public static final class Brim extends FilePathWrapper {
        static volatile boolean full;

        @Override
        public String getScheme() {
            return "brim";
        }

        @Override
        public FileChannel open(String mode) throws IOException {
            FileChannel file = super.open(mode);
            return new FileBaseDefault() {
                @Override
                public long size() throws IOException {
                    return file.size();
                }

                @Override
                public int read(ByteBuffer into, long position) throws IOException {
                    return file.read(into, position);
                }

                @Override
                public int write(ByteBuffer from, long position) throws IOException {
                    if (full) {
                        throw new IOException("No space left on device");
                    }
                    return file.write(from, position);
                }

                @Override
                public void force(boolean metaData) throws IOException {
                    file.force(metaData);
                }

                @Override
                protected void implTruncate(long size) throws IOException {
                    file.truncate(size);
                }

                @Override
                public void implCloseChannel() throws IOException {
                    file.close();
                }

                @Override
                public java.nio.channels.FileLock tryLock(long position, long size, boolean shared) throws IOException {
                    return file.tryLock(position, size, shared);
                }
            };
        }
    }

    @Test
    void nothingIsTakenForRefusedNothingIsLostAndTheDatabaseOpensAgainByItself() throws Exception {
        FilePath.register(new Brim());
        Brim.full = false;
        try (ServerAt wake = ServerAt.folder(
                data,
                "--spring.datasource.url=jdbc:h2:brim:" + data.toAbsolutePath()
                        + "/wake;WRITE_DELAY=0;LOCK_TIMEOUT=10000")) {
            UUID attempt = wake.attempt("# A\nfor time\n  50 burpee\n");
            for (int rep = 1; rep <= 10; rep++) {
                assertThat(wake.mark(attempt, UUID.randomUUID(), "REP", 1000L * rep)
                                .status())
                        .isEqualTo(200);
            }
            UUID late = UUID.randomUUID();
            Brim.full = true;
            for (int i = 0; i < 5; i++) {
                Answer answer = wake.mark(attempt, late, "REP", 11_000);
                assertThat(answer.status()).as(answer.json().toString()).isEqualTo(507);
                assertThat(answer.text("/detail")).contains("The disk is full");
            }
            Brim.full = false;
            Answer kept = wake.mark(attempt, late, "REP", 11_000);
            for (int i = 0; i < 100 && kept.status() != 200; i++) {
                assertThat(kept.status()).isIn(503, 507);
                Thread.sleep(100);
                kept = wake.mark(attempt, late, "REP", 11_000);
            }
            assertThat(kept.status()).isEqualTo(200);
            assertThat(kept.json().at("/marks").size()).isEqualTo(11);
        } finally {
            Brim.full = false;
            FilePath.unregister(new Brim());
        }
    }
}
