package wake;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The application over a folder of its own, on a free port; tests speak HTTP to it. */
public class ServerAt implements AutoCloseable {
    protected static final JsonMapper JSON = new JsonMapper();
    private final ConfigurableApplicationContext context;

    ServerAt(ConfigurableApplicationContext context) {
        this.context = context;
    }

    /** Starts it. */
    public static ServerAt folder(Path data, String... settings) {
        return new ServerAt(start(data, settings));
    }

    static ConfigurableApplicationContext start(Path data, String... settings) {
        List<String> all = new ArrayList<>(List.of("--wake.data=" + data, "--server.port=0"));
        all.addAll(List.of(settings));
        return SpringApplication.run(WakeApplication.class, all.toArray(String[]::new));
    }

    @Override
    public void close() {
        context.close();
    }

    public int port() {
        return Integer.parseInt(context.getEnvironment().getProperty("local.server.port", "0"));
    }

    /** An answer: status, media type, body. */
    public record Answer(int status, String type, JsonNode json, HttpResponse<byte[]> raw) {
        public String text(String pointer) {
            return json.at(pointer).asString();
        }

        public long number(String pointer) {
            return json.at(pointer).asLong();
        }
    }

    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    public Answer get(String path) {
        return send(request(path).GET());
    }

    /** The answer of a list, once all that it is told from has been read. */
    public Answer getRead(String path) {
        Answer answer = get(path);
        for (int tries = 0; answer.json().at("/beingRead").asInt() > 0 && tries < 200; tries++) {
            try {
                Thread.sleep(100);
            } catch (InterruptedException stopped) {
                throw new IllegalStateException(stopped);
            }
            answer = get(path);
        }
        return answer;
    }

    public Answer delete(String path) {
        return send(request(path).DELETE());
    }

    public Answer put(String path, String json) {
        return send(request(path).header("content-type", "application/json").PUT(BodyPublishers.ofString(json)));
    }

    public Answer post(String path, String json) {
        return send(request(path).header("content-type", "application/json").POST(BodyPublishers.ofString(json)));
    }

    public Answer post(String path, byte[] bytes) {
        return send(request(path)
                .header("content-type", "application/octet-stream")
                .POST(BodyPublishers.ofByteArray(bytes)));
    }

    public Answer send(HttpRequest.Builder request) {
        try (HttpClient http = HttpClient.newHttpClient()) {
            HttpResponse<byte[]> response = http.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
            String type = response.headers().firstValue("content-type").orElse("");
            JsonNode json = type.contains("json") ? JSON.readTree(response.body()) : JSON.nullNode();
            return new Answer(response.statusCode(), type, json, response);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    public HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port() + path));
    }

    public static String json(Object document) {
        return JSON.writeValueAsString(document);
    }

    /** Enters an athlete, a workout and an attempt; gives the attempt's id. */
    public UUID attempt(String notation) {
        UUID athlete = UUID.randomUUID();
        UUID workout = UUID.randomUUID();
        UUID attempt = UUID.randomUUID();
        put("/api/athletes/" + athlete, "{\"name\":\"Ina Sandbar\",\"note\":\"\"}");
        put("/api/workouts/" + workout, JSON.writeValueAsString(java.util.Map.of("notation", notation)));
        Answer entered = put("/api/attempts/" + attempt, """
                {"athleteId":"%s","workoutId":"%s","division":"","doneOn":"2026-11-20","part":0,"cutInto":1}
                """.formatted(athlete, workout));
        if (entered.status() != 200) {
            throw new IllegalStateException(entered.json().toString());
        }
        return attempt;
    }

    /** A document but for one field. */
    public static JsonNode without(String field, JsonNode document) {
        ObjectNode copy = ((ObjectNode) document).deepCopy();
        copy.remove(field);
        return copy;
    }

    /** Makes a mark against the clock; gives the answer. */
    public Answer mark(UUID attempt, UUID id, String kind, long atMs) {
        return put("/api/attempts/" + attempt + "/marks/" + id, markJson(kind, atMs, ""));
    }

    public static String markJson(String kind, long atMs, String more) {
        return """
                {"kind":"%s","atMs":%d,"reps":0,"depth":"SET","tag":"","text":"","made":"STEPPED","step":0.0333%s}
                """.formatted(kind, atMs, more);
    }
}
