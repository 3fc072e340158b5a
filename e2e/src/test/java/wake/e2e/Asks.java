package wake.e2e;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.time.Duration;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Speaks HTTP to a Wake in another process, which may be killed while it answers. */
final class Asks {
    private static final JsonMapper JSON = new JsonMapper();
    private static final Duration LONGEST = Duration.ofSeconds(60);

    private final HttpClient http = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(Duration.ofSeconds(5))
            .build();
    private final WakeProcess wake;

    /** An answer; none came at all when the status is 0. */
    record Answer(int status, byte[] body, long ms) {
        JsonNode json() {
            return JSON.readTree(body);
        }

        String text() {
            return new String(body, java.nio.charset.StandardCharsets.UTF_8);
        }
    }

    Asks(WakeProcess wake) {
        this.wake = wake;
    }

    Answer get(String path) {
        return send(request(path).GET());
    }

    Answer put(String path, String json) {
        return send(request(path).header("content-type", "application/json").PUT(BodyPublishers.ofString(json)));
    }

    Answer post(String path, String json) {
        return send(request(path).header("content-type", "application/json").POST(BodyPublishers.ofString(json)));
    }

    Answer post(String path, byte[] bytes) {
        return send(request(path)
                .header("content-type", "application/octet-stream")
                .POST(BodyPublishers.ofByteArray(bytes)));
    }

    Answer delete(String path) {
        return send(request(path).DELETE());
    }

    HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(wake.url(path))).timeout(LONGEST);
    }

    Answer send(HttpRequest.Builder request) {
        long begun = System.nanoTime();
        try {
            HttpResponse<byte[]> answer = http.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
            return new Answer(answer.statusCode(), answer.body(), (System.nanoTime() - begun) / 1_000_000);
        } catch (IOException gone) {
            return new Answer(0, new byte[0], (System.nanoTime() - begun) / 1_000_000);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return new Answer(0, new byte[0], 0);
        }
    }
}
