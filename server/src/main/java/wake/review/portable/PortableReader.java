package wake.review.portable;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonToken;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import wake.review.portable.NotTakenIn.Problem;
import wake.review.portable.Portable.AthletePart;
import wake.review.portable.Portable.AttemptPart;
import wake.review.portable.Portable.WorkoutPart;
import wake.units.InvalidInput;

/**
 * Reads a file that Wake has written, part after part as they come, each held against the schema: no more of the file than one part is ever
 * there as a tree, and what is not to be taken in is refused before the rest is looked at.
 */
final class PortableReader {
    /** The longest file that is read, bytes; the server reads no longer body. */
    private static final long LONGEST = 40L << 20;
    /** More than a file of that length has that says something: a mark has eighteen. */
    private static final long MOST_TOKENS = 5_000_000;
    /** The same of one part: an attempt of forty thousand marks. */
    private static final long MOST_TOKENS_IN_A_PART = 800_000;

    private static final int DEEPEST = 60;
    private static final int LONGEST_TEXT = 1_100_000;

    /** From so many on the first thing that does not fit a part is enough. */
    private static final long LARGE_PART = 50_000;

    /** Refuses what is longer, deeper or more than any file that says something. */
    private static final JsonMapper LIMITED = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxDocumentLength(LONGEST)
                            .maxNestingDepth(DEEPEST)
                            .maxStringLength(LONGEST_TEXT)
                            .maxTokenCount(MOST_TOKENS)
                            .build())
                    .build())
            // A part is read while the rest of the file stands behind it.
            .disable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    private final JsonMapper json;
    private final byte[] file;
    private final List<JsonNode> movements = new ArrayList<>();
    private final List<AthletePart> athletes = new ArrayList<>();
    private final List<WorkoutPart> workouts = new ArrayList<>();
    private final List<AttemptPart> attempts = new ArrayList<>();
    private final Map<String, JsonNode> settings = new HashMap<>();
    private final Map<String, String> unfit = new HashMap<>();

    private PortableReader(byte[] file, JsonMapper json) {
        this.file = file;
        this.json = json;
    }

    /**
     * Reads a file.
     *
     * @param file JSON in UTF-8, with a byte order mark or without
     * @throws NotTakenIn naming the lines that do not fit
     */
    static Portable read(byte[] file, JsonMapper json) {
        return new PortableReader(file, json).read();
    }

    private Portable read() {
        try (CountingParser parser = new CountingParser(LIMITED.createParser(file))) {
            return whole(parser);
        } catch (StreamConstraintsException tooMuch) {
            throw new NotTakenIn(line(tooMuch), "this is more than Wake can import at once");
        } catch (JacksonException broken) {
            throw new NotTakenIn(line(broken), "this is not complete JSON from here on");
        }
    }

    private static long line(JacksonException broken) {
        return broken.getLocation() == null ? 0 : broken.getLocation().getLineNr();
    }

    private Portable whole(CountingParser parser) {
        Set<String> missing = new TreeSet<>(SchemaCheck.REQUIRED);
        String format = "";
        @Nullable Integer version = null;
        if (parser.nextToken() != JsonToken.START_OBJECT) {
            throw foreign();
        }
        while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
            String name = parser.currentName();
            JsonToken begins = parser.nextToken();
            missing.remove(name);
            if (name.equals("format") && begins == JsonToken.VALUE_STRING) {
                format = parser.getString();
            } else if (name.equals("version") && begins == JsonToken.VALUE_NUMBER_INT) {
                version = parser.getValueAsInt();
            } else if (name.equals("settings")) {
                settings(parser);
            } else if (SchemaCheck.lists().containsKey(name) && begins == JsonToken.START_ARRAY) {
                list(name, parser);
            } else {
                throw new NotTakenIn(parser.currentTokenLocation().getLineNr(), name + ": this does not belong here");
            }
        }
        if (!format.equals(Portable.FORMAT)) {
            throw foreign();
        }
        if (parser.nextToken() != null) {
            throw new NotTakenIn(parser.currentTokenLocation().getLineNr(), "remove what follows the end");
        }
        if (version == null || version != Portable.VERSION) {
            throw new NotTakenIn(
                    1,
                    "version must be " + Portable.VERSION + ", not " + (version == null ? "none" : version)
                            + ": it was written by a newer Wake");
        }
        if (!missing.isEmpty()) {
            throw new NotTakenIn(1, "missing: " + String.join(", ", missing));
        }
        tell();
        return new Portable(format, version, movements, settings, athletes, workouts, attempts);
    }

    private static NotTakenIn foreign() {
        return new NotTakenIn(1, "this is not a Wake export: \"format\" must be \"wake\"");
    }

    private void settings(CountingParser parser) {
        JsonNode node = part(parser, "/settings", SchemaCheck.SETTINGS);
        node.properties().forEach(one -> settings.put(one.getKey(), one.getValue()));
    }

    private void list(String name, CountingParser parser) {
        int most = SchemaCheck.most(name);
        SchemaCheck check = Objects.requireNonNull(SchemaCheck.lists().get(name));
        for (int i = 0; parser.nextToken() != JsonToken.END_ARRAY; i++) {
            String at = "/" + name + "/" + i;
            if (i == most) {
                note(at, Map.of("", "at most " + most + " of them"));
                tell();
            }
            int before = unfit.size();
            JsonNode node = part(parser, at, check);
            if (unfit.size() == before) {
                keep(name, at, node);
            }
            if (unfit.size() >= Found.MOST_PROBLEMS) {
                tell();
            }
        }
    }

    /** A part as a tree, and what of it does not fit. */
    private JsonNode part(CountingParser parser, String at, SchemaCheck check) {
        parser.allow(MOST_TOKENS_IN_A_PART);
        JsonNode node = LIMITED.readTree(parser);
        note(at, check.problems(node, parser.read() > LARGE_PART));
        return node;
    }

    private void keep(String name, String at, JsonNode node) {
        try {
            switch (name) {
                case "movements" -> movements.add(node);
                case "athletes" -> athletes.add(json.treeToValue(node, AthletePart.class));
                case "workouts" -> workouts.add(json.treeToValue(node, WorkoutPart.class));
                default -> attempts.add(json.treeToValue(node, AttemptPart.class));
            }
        } catch (InvalidInput unread) {
            note(at, Map.of("", String.valueOf(unread.getMessage())));
        } catch (JacksonException unread) {
            note(at, Map.of("", "this is not a valid value"));
        }
    }

    private void note(String at, Map<String, String> problems) {
        problems.forEach((where, what) -> {
            if (unfit.size() < Found.MOST_PROBLEMS) {
                unfit.put(at + where, what);
            }
        });
    }

    private void tell() {
        if (!unfit.isEmpty()) {
            Map<String, Long> lines = SchemaCheck.lines(file, unfit.keySet(), json);
            throw new NotTakenIn(unfit.entrySet().stream()
                    .map(one -> new Problem(lines.getOrDefault(one.getKey(), 0L), place(one.getKey()) + one.getValue()))
                    .sorted(java.util.Comparator.comparingLong(Problem::line))
                    .toList());
        }
    }

    private static String place(String pointer) {
        return pointer.substring(1).replace('/', ' ') + ": ";
    }
}
