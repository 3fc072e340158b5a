package wake.api;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Files that are made when they are asked for. */
public final class Downloads {
    private Downloads() {}

    /** A text file to be kept. */
    public static ResponseEntity<String> file(String name, String mediaType, String text) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(mediaType + ";charset=UTF-8"))
                .header(HttpHeaders.CONTENT_DISPOSITION, attachment(name))
                .header("X-Content-Type-Options", "nosniff")
                .body(text);
    }

    /** The header of a file to be kept under a name, less what folders refuse in names. */
    public static String attachment(String name) {
        return ContentDisposition.attachment()
                .filename(name.replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]", "-"), StandardCharsets.UTF_8)
                .build()
                .toString();
    }
}
