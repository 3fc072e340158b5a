package wake.review.portable;

import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Holds a part of a file against what the published schema says of it, and tells where in the file something stands. */
final class SchemaCheck {
    private static final String PLACE = "/schema/wake-1.schema.json";
    private static final JsonNode WHOLE = new JsonMapper().readTree(text());
    /** Names of what a file may hold, and those it must. */
    static final Set<String> REQUIRED = Set.of("format", "version", "athletes", "workouts", "attempts");

    private static final Map<String, SchemaCheck> OF_A_PART = Map.of(
            "movements", of("/properties/movements/items"),
            "athletes", of("/$defs/athlete"),
            "workouts", of("/$defs/workout"),
            "attempts", of("/$defs/attempt"));
    static final SchemaCheck SETTINGS = of("/properties/settings");

    private final Schema schema;

    private SchemaCheck(Schema schema) {
        this.schema = schema;
    }

    /** The lists of a file, and the check of a part of each. */
    static Map<String, SchemaCheck> lists() {
        return OF_A_PART;
    }

    /** How many parts a list may have. */
    static int most(String list) {
        return WHOLE.at("/properties/" + list + "/maxItems").asInt();
    }

    private static SchemaCheck of(String pointer) {
        ObjectNode part = (ObjectNode) WHOLE.at(pointer).deepCopy();
        part.set("$defs", WHOLE.get("$defs"));
        return new SchemaCheck(SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(part));
    }

    /** The schema, as it is published. */
    static String text() {
        try (InputStream in = Objects.requireNonNull(SchemaCheck.class.getResourceAsStream(PLACE))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /**
     * What does not fit, by its pointer inside the part; empty when all does.
     *
     * @param first whether the first thing is enough: many at once would take more room than the part
     */
    Map<String, String> problems(JsonNode part, boolean first) {
        List<Error> errors = schema.validate(part, run -> run.executionConfig(config -> config.failFast(first)));
        Map<String, String> said = new LinkedHashMap<>();
        for (Error error : errors.stream().limit(Found.MOST_PROBLEMS).toList()) {
            said.merge(
                    String.valueOf(error.getInstanceLocation()),
                    String.valueOf(error.getMessage()),
                    (one, other) -> one + "; " + other);
        }
        return said;
    }

    /** The lines on which some places of a file begin, by pointer. */
    static Map<String, Long> lines(byte[] file, Set<String> pointers, JsonMapper mapper) {
        Map<String, Long> lines = new HashMap<>();
        try (JsonParser parser = mapper.createParser(file)) {
            while (parser.nextToken() != null && lines.size() < pointers.size()) {
                String at = parser.streamReadContext().pathAsPointer().toString();
                if (pointers.contains(at)) {
                    lines.putIfAbsent(at, (long) parser.currentTokenLocation().getLineNr());
                }
            }
        } catch (JacksonException broken) {
            return lines;
        }
        return lines;
    }
}
