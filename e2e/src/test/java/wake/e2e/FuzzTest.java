package wake.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.net.http.HttpRequest.BodyPublishers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;
import wake.e2e.Asks.Answer;

/**
 * Asks every operation of the served description for nonsense: random, huge, empty, nested, of other things' ids. Nothing is answered by 5xx
 * or late, and the memory of a small machine is enough. {@code -Dwake.requests=100000} asks that often.
 */
@Execution(ExecutionMode.CONCURRENT)
class FuzzTest {
    /** More of the processors' time than any request may take; what a busy machine adds is no part of it. */
    private static final Duration LATE = Duration.ofSeconds(2);
    /** Asked so often, it is warm: what it takes to compile is no part of it any more. */
    private static final int WARM = 500;

    private static final int MOST_READ = 9 << 20;
    /** Long ones take their time; an ordinary run has few of them. */
    private static final int LONGEST_WORD = Integer.getInteger("wake.requests", 0) > 1000 ? 300_000 : 30_000;

    private static final JsonMapper JSON = new JsonMapper();
    private static final JsonNodeFactory MAKE = JsonNodeFactory.instance;
    private static final List<String> WORDS = List.of(
            "",
            " ",
            "null",
            "-1",
            "0",
            "1e309",
            "NaN",
            "2026-11-26",
            "99999-12-31",
            "+999999999-12-31",
            "12:61",
            "7+12",
            "999+9999",
            "85 kg",
            "\u0000",
            "\ud800",
            "' or 1=1 --",
            "../../etc/passwd",
            "<script>",
            "%s%n",
            "# A\nfor time\n  5 burpee",
            "unbroken",
            "8-7-5",
            "1:00",
            "true",
            "burpee",
            "at,kind\n0:10,rep",
            "🌊");

    /** What readers choke on when there is much of it. */
    private static final List<String> NASTY = List.of(
            "<v ",
            "<c.",
            "1-",
            "1+",
            "(",
            "\"",
            ",",
            "\n",
            " ",
            "[",
            "{\"a\":",
            "0:01,cue,\"",
            "<a ",
            "1 burpee\n",
            "2 rounds:\n",
            "1:00 ",
            "WEBVTT\n\n00:00.000 --> 00:01.000\n<v ",
            "a\n");

    @TempDir
    Path folder;

    private final Random random = new Random(Long.getLong("wake.requests.seed", 11));
    private final List<String> ids = new ArrayList<>();
    private JsonNode description;

    private record Operation(String method, String path, JsonNode about) {}

    @Test
    void nonsenseIsRefusedAndNothingElse() throws Exception {
        int requests = Integer.getInteger("wake.requests", 150);
        Map<String, Integer> statuses = new TreeMap<>();
        List<String> faults = new ArrayList<>();
        Duration slowest = Duration.ZERO;
        try (WakeProcess wake =
                WakeProcess.start(folder.resolve("data"), true, "-Xmx256m", "-Dlogging.level.wake=warn")) {
            Asks asks = new Asks(wake);
            Answer described = asks.get("/api/openapi");
            assertThat(described.status()).as("of the description").isEqualTo(200);
            description = described.json();
            List<Operation> operations = operations();
            for (int i = 0; i < requests && faults.size() < 20; i++) {
                if (i % 500 == 0) {
                    learnIds(asks);
                }
                Operation operation = operations.get(random.nextInt(operations.size()));
                String path = path(operation);
                String body = operation.about().has("requestBody") ? body(operation) : "";
                var request = asks.request(path)
                        .method(
                                operation.method(),
                                body.isEmpty() ? BodyPublishers.noBody() : BodyPublishers.ofString(body));
                request.header("content-type", random.nextInt(40) == 0 ? "text/plain" : type(operation));
                Duration before = wake.processorTime();
                Answer answer = asks.send(request);
                Duration took = i < WARM ? Duration.ZERO : wake.processorTime().minus(before);
                statuses.merge(answer.status() / 100 + "xx", 1, Integer::sum);
                slowest = took.compareTo(slowest) > 0 ? took : slowest;
                // What is larger than anything read is refused while it is still being sent: nobody is left to hear the
                // answer.
                boolean dropped = answer.status() == 0 && body.length() < MOST_READ;
                if (answer.status() >= 500 || dropped || took.compareTo(LATE) > 0) {
                    faults.add(answer.status() + " after " + took + ": " + operation.method() + " " + path + " "
                            + cut(body) + " -> " + cut(answer.text()));
                }
            }
            assertThat(asks.get("/api/today").status()).isEqualTo(200);
        }
        System.out.println("Fuzz: " + statuses + ", slowest " + slowest);
        assertThat(faults).isEmpty();
    }

    private static String cut(String text) {
        return text.length() < 600 ? text : text.substring(0, 600) + "… (" + text.length() + ")";
    }

    private List<Operation> operations() {
        List<Operation> all = new ArrayList<>();
        description
                .at("/paths")
                .properties()
                .forEach(path -> path.getValue()
                        .properties()
                        .forEach(one -> all.add(new Operation(
                                one.getKey().toUpperCase(java.util.Locale.ROOT), path.getKey(), one.getValue()))));
        return all;
    }

    private void learnIds(Asks asks) {
        ids.clear();
        for (String list : List.of("/api/today", "/api/athletes", "/api/workouts")) {
            collect(asks.get(list).json());
        }
        asks.get("/api/bin")
                .json()
                .forEach(entry -> asks.post(
                        "/api/bin/" + entry.at("/kind").asString() + "/"
                                + entry.at("/id").asString() + "/restore",
                        ""));
        while (ids.size() > 300) {
            ids.remove(random.nextInt(ids.size()));
        }
        ids.add(UUID.randomUUID().toString());
    }

    private void collect(JsonNode node) {
        if (node.isString() && node.asString().matches("[0-9a-f]{8}-.{27}")) {
            ids.add(node.asString());
        }
        node.forEach(this::collect);
    }

    private String id() {
        return random.nextInt(12) == 0 ? UUID.randomUUID().toString() : ids.get(random.nextInt(ids.size()));
    }

    private String word() {
        int pick = random.nextInt(60);
        if (pick == 0) {
            return "x".repeat(1 + random.nextInt(LONGEST_WORD));
        }
        if (pick < 3) {
            String nasty = NASTY.get(random.nextInt(NASTY.size()));
            return NASTY.get(random.nextInt(NASTY.size()))
                    + nasty.repeat(1 + random.nextInt(LONGEST_WORD / nasty.length()));
        }
        return WORDS.get(random.nextInt(WORDS.size()));
    }

    private String path(Operation operation) {
        StringBuilder query = new StringBuilder();
        String path = operation.path();
        for (JsonNode parameter : operation.about().at("/parameters")) {
            String name = parameter.at("/name").asString();
            JsonNode value = random.nextInt(8) == 0 ? MAKE.stringNode(word()) : of(parameter.at("/schema"), 0);
            String text = URLEncoder.encode(
                            value.isString() ? value.asString() : value.toString(), StandardCharsets.UTF_8)
                    .replace("+", "%20");
            // Cut between two characters, and not inside of one's code.
            String within = text.substring(0, Math.min(text.length(), 1500)).replaceFirst("%[0-9A-F]?$", "");
            if (parameter.at("/in").asString().equals("path")) {
                path = path.replace("{" + name + "}", within.isBlank() ? "x" : within);
            } else if (random.nextInt(4) > 0 || parameter.at("/required").asBoolean()) {
                query.append(query.isEmpty() ? '?' : '&')
                        .append(name)
                        .append('=')
                        .append(within);
            }
        }
        return path + query;
    }

    private static String type(Operation operation) {
        var types = operation.about().at("/requestBody/content").properties();
        return types.isEmpty() ? "application/json" : types.iterator().next().getKey();
    }

    private String body(Operation operation) {
        int pick = random.nextInt(20);
        if (pick == 0) {
            return WORDS.get(random.nextInt(WORDS.size()));
        }
        if (pick == 1) {
            return random.nextBoolean() ? "[null]" : "[".repeat(1 + random.nextInt(3000));
        }
        if (pick == 2) {
            return "{\"a\":".repeat(1 + random.nextInt(3000));
        }
        JsonNode schema = operation.about().at("/requestBody/content").properties().stream()
                .findFirst()
                .map(one -> one.getValue().at("/schema"))
                .orElse(MAKE.objectNode());
        return JSON.writeValueAsString(of(schema, 0));
    }

    /** Something of a schema, now and then something else. */
    private JsonNode of(JsonNode schema, int depth) {
        if (random.nextInt(25) == 0) {
            return odd(depth);
        }
        if (schema.has("$ref")) {
            return of(description.at(schema.at("/$ref").asString().substring(1)), depth);
        }
        if (schema.has("enum")) {
            JsonNode values = schema.at("/enum");
            return values.get(random.nextInt(values.size()));
        }
        if (schema.at("/format").asString("").equals("uuid")) {
            return MAKE.stringNode(id());
        }
        return switch (schema.at("/type").asString("object")) {
            case "string" ->
                MAKE.stringNode(
                        schema.at("/format").asString("").equals("date")
                                ? "2026-1" + random.nextInt(3) + "-2" + random.nextInt(9)
                                : word());
            case "integer" -> MAKE.numberNode(random.nextInt(6) == 0 ? random.nextLong() : random.nextInt(200) - 20);
            case "number" ->
                MAKE.numberNode(random.nextInt(6) == 0 ? random.nextGaussian() * 1e300 : random.nextDouble() * 20 - 2);
            case "boolean" -> MAKE.booleanNode(random.nextBoolean());
            case "array" -> {
                ArrayNode array = MAKE.arrayNode();
                int size = depth > 4 ? 0 : random.nextInt(50) == 0 ? 200 : random.nextInt(4);
                for (int i = 0; i < size; i++) {
                    array.add(of(schema.at("/items"), depth + 1));
                }
                yield array;
            }
            default -> object(schema, depth);
        };
    }

    private JsonNode object(JsonNode schema, int depth) {
        ObjectNode object = MAKE.objectNode();
        schema.at("/properties").properties().forEach(property -> {
            if (random.nextInt(10) > 0 && depth < 8) {
                object.set(property.getKey(), of(property.getValue(), depth + 1));
            }
        });
        if (schema.has("additionalProperties") && depth < 8) {
            object.set(random.nextBoolean() ? "0" : word(), of(schema.at("/additionalProperties"), depth + 1));
        }
        return object;
    }

    private JsonNode odd(int depth) {
        return switch (random.nextInt(6)) {
            case 0 -> MAKE.nullNode();
            case 1 -> MAKE.stringNode(word());
            case 2 -> MAKE.numberNode(random.nextLong());
            case 3 -> MAKE.arrayNode().add(MAKE.nullNode());
            case 4 -> depth > 6 ? MAKE.objectNode() : MAKE.objectNode().set("a", odd(depth + 1));
            default -> MAKE.booleanNode(true);
        };
    }
}
