package wake.api.security;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import tools.jackson.databind.json.JsonMapper;

/** Problem documents written before a request has come to any API. */
final class Refusals {
    private static final JsonMapper JSON = new JsonMapper();

    private Refusals() {}

    private record Problem(int status, String title, String detail) {}

    static void write(HttpServletResponse response, HttpStatus status, String detail) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        JSON.writeValue(response.getOutputStream(), new Problem(status.value(), status.getReasonPhrase(), detail));
    }
}
