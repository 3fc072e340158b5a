package wake.api.log;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.util.UUID;
import wake.log.Mark;
import wake.store.MarkStore.StoredMark;

/** Marks that come from a sheet rather than from a recording. */
final class SheetMarks {
    private SheetMarks() {}

    /**
     * A mark at a clock time, under an id that is always the same for the same attempt and name, so that the same sheet sent twice
     * does no harm.
     */
    static StoredMark stored(UUID attemptId, Mark mark, String name) {
        return new StoredMark(
                UUID.nameUUIDFromBytes((attemptId + " " + name).getBytes(UTF_8)),
                attemptId,
                null,
                mark.kind(),
                mark.atMs(),
                mark.reps(),
                mark.depth(),
                mark.tag(),
                mark.text(),
                mark.uncertaintyS());
    }
}
