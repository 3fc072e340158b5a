package wake.api;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Files that are made when they are asked for. */
public final class Downloads {
    private Downloads() {}

    /** A text file to be kept, under a name that no folder refuses. */
    public static ResponseEntity<String> file(String name, String mediaType, String text) {
        ContentDisposition attachment = ContentDisposition.attachment()
                .filename(name.replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]", "-"), StandardCharsets.UTF_8)
                .build();
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(mediaType + ";charset=UTF-8"))
                .header(HttpHeaders.CONTENT_DISPOSITION, attachment.toString())
                .header("X-Content-Type-Options", "nosniff")
                .body(text);
    }
}
