package wake.review.portable;

import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import wake.review.portable.NotTakenIn.Problem;
import wake.units.InvalidInput;

/** Reads the text of a file that Wake has written, held against the schema. */
final class PortableReader {
    private PortableReader() {}

    /** @throws NotTakenIn naming the lines that do not fit */
    static Portable read(String text, JsonMapper json) {
        JsonNode tree;
        try {
            tree = json.readTree(text);
        } catch (JacksonException broken) {
            long line = broken.getLocation() == null ? 0 : broken.getLocation().getLineNr();
            throw new NotTakenIn(line, "this is no whole JSON: " + Found.firstLine(broken.getOriginalMessage()));
        }
        if (!tree.isObject() || !tree.path("format").asString("").equals(Portable.FORMAT)) {
            throw new NotTakenIn(1, "expected a file that Wake has written, with \"format\": \"wake\"");
        }
        if (tree.path("version").asInt(0) != Portable.VERSION) {
            throw new NotTakenIn(
                    1,
                    "expected version " + Portable.VERSION + ", got "
                            + tree.path("version").asInt(0) + ": it was written by a newer Wake");
        }
        List<Problem> problems = SchemaCheck.problems(text, json);
        if (!problems.isEmpty()) {
            throw new NotTakenIn(problems);
        }
        try {
            return json.treeToValue(tree, Portable.class);
        } catch (JacksonException | InvalidInput unfit) {
            throw new NotTakenIn(0, Found.firstLine(String.valueOf(unfit.getMessage())));
        }
    }
}
