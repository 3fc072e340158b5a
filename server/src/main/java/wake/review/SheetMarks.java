package wake.review;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import wake.log.Mark;
import wake.store.MarkStore.StoredMark;

/** Marks that come from a sheet rather than from a recording. */
public final class SheetMarks {
    private SheetMarks() {}

    /**
     * The marks of a sheet, each under an id that follows from what it says, not from the row it stands in: the same sheet with a row more
     * adds one mark. Marks that are alike in every way are counted.
     */
    public static List<StoredMark> stored(UUID attemptId, List<Mark> sheet, String name) {
        Map<String, Integer> comparable = new HashMap<>();
        return sheet.stream()
                .map(mark -> {
                    String says = name + " " + mark.kind() + " " + mark.atMs() + " " + mark.tag() + " " + mark.text();
                    int count = comparable.merge(says, 1, Integer::sum);
                    return stored(attemptId, mark, says + " " + count);
                })
                .toList();
    }

    /**
     * A mark at a clock time, under an id that is always the same for the same attempt and name, so that the same sheet sent twice
     * does no harm.
     */
    private static StoredMark stored(UUID attemptId, Mark mark, String name) {
        return StoredMark.onTheClock(UUID.nameUUIDFromBytes((attemptId + " " + name).getBytes(UTF_8)), attemptId, mark);
    }
}
