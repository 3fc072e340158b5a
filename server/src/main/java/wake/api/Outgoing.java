package wake.api;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Semaphore;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import wake.store.backups.DataFolder;
import wake.store.backups.Durable;

/**
 * Files that take the database to write. Each is written whole before a byte of it goes out, so that what fails is said with a code and whoever
 * fetches slowly, or stops half-way, holds nothing that others need.
 */
@Component
public class Outgoing {
    /** So many are written at once: the others of the database's connections stay free for who is at work. */
    private static final int AT_ONCE = 2;

    private final DataFolder folder;
    private final Semaphore free = new Semaphore(AT_ONCE, true);

    /** Something that writes a file. */
    public interface Writing {
        void to(Path file) throws IOException;
    }

    /** Something that sends a written file on with more behind it. */
    public interface Sending {
        void from(Path file, OutputStream out) throws IOException;
    }

    Outgoing(DataFolder folder) {
        this.folder = folder;
    }

    /** Answers with a file as it is written. */
    public ResponseEntity<StreamingResponseBody> answer(String name, MediaType type, Writing writing)
            throws IOException {
        return answer(name, type, writing, Files::copy);
    }

    /** Answers with what is made of a written file while it goes out, without the database. */
    public ResponseEntity<StreamingResponseBody> answer(String name, MediaType type, Writing writing, Sending sending)
            throws IOException {
        Path file = written(writing);
        return ResponseEntity.ok()
                .contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, Downloads.attachment(name))
                .body(out -> {
                    try {
                        sending.from(file, out);
                    } finally {
                        Files.deleteIfExists(file);
                    }
                });
    }

    private Path written(Writing writing) throws IOException {
        Files.createDirectories(folder.outgoing());
        Durable.ownerOnly(folder.outgoing());
        Path file = Files.createTempFile(folder.outgoing(), "", ".part");
        free.acquireUninterruptibly();
        try {
            writing.to(file);
            return file;
        } catch (IOException | RuntimeException failed) {
            Files.deleteIfExists(file);
            throw failed;
        } finally {
            free.release();
        }
    }
}
