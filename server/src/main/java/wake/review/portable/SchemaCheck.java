package wake.review.portable;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
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
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.json.JsonMapper;
import wake.review.portable.NotTakenIn.Problem;

/** Holds a text against the published schema, and tells where in the text it does not fit. */
final class SchemaCheck {
    private static final String PLACE = "/schema/wake-1.schema.json";
    private static final int MOST_PROBLEMS = 20;
    private static final Schema SCHEMA = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(text());

    private SchemaCheck() {}

    /** The schema, as it is published. */
    static String text() {
        try (InputStream in = Objects.requireNonNull(SchemaCheck.class.getResourceAsStream(PLACE))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /** What does not fit, by line; empty when all does. */
    static List<Problem> problems(String json, JsonMapper mapper) {
        List<Error> errors = SCHEMA.validate(json, InputFormat.JSON);
        if (errors.isEmpty()) {
            return List.of();
        }
        Map<String, String> said = new LinkedHashMap<>();
        for (Error error : errors.stream().limit(MOST_PROBLEMS).toList()) {
            String where = String.valueOf(error.getInstanceLocation());
            said.merge(where, String.valueOf(error.getMessage()), (one, other) -> one + "; " + other);
        }
        Map<String, Long> lines = lines(json, said.keySet(), mapper);
        return said.entrySet().stream()
                .map(one -> new Problem(lines.getOrDefault(one.getKey(), 0L), place(one.getKey()) + one.getValue()))
                .toList();
    }

    private static String place(String pointer) {
        return pointer.isEmpty() ? "" : pointer.substring(1).replace('/', ' ') + ": ";
    }

    /** The lines on which some places of a text begin. */
    static Map<String, Long> lines(String json, java.util.Set<String> pointers, JsonMapper mapper) {
        Map<String, Long> lines = new HashMap<>();
        try (JsonParser parser = mapper.createParser(json)) {
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
