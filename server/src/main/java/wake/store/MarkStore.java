package wake.store;

import static wake.store.tables.Tables.ATTEMPT;
import static wake.store.tables.Tables.MARK;
import static wake.store.tables.Tables.RECORDING_GO;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import wake.log.Depth;
import wake.log.MarkKind;
import wake.store.tables.tables.records.MarkRecord;

/** Marks, one row each, in the order they were made. */
@Component
public class MarkStore {
    private final DSLContext db;

    /**
     * A mark as it was made.
     *
     * @param recordingId the recording it was seen on; none when typed against the clock
     * @param atMs media time when a recording is named, else clock time
     */
    public record StoredMark(
            UUID id,
            UUID attemptId,
            @Nullable UUID recordingId,
            MarkKind kind,
            long atMs,
            int reps,
            Depth depth,
            String tag,
            String text,
            double uncertaintyS) {}

    MarkStore(DSLContext db) {
        this.db = db;
    }

    public List<StoredMark> of(UUID attemptId) {
        return db.selectFrom(MARK)
                .where(MARK.ATTEMPT_ID.eq(attemptId))
                .orderBy(MARK.SEQ)
                .fetch(MarkStore::mark);
    }

    /** Whether an attempt has any marks. */
    public boolean any(UUID attemptId) {
        return db.fetchExists(MARK, MARK.ATTEMPT_ID.eq(attemptId));
    }

    public Optional<StoredMark> find(UUID id) {
        return db.selectFrom(MARK).where(MARK.ID.eq(id)).fetchOptional(MarkStore::mark);
    }

    /** A figure for each of an athlete's attempts that changes with its marks and with where "go" is; no marks, no entry. */
    public Map<UUID, Long> fingerprints(UUID athleteId) {
        Map<UUID, Long> prints = new HashMap<>();
        db.select(MARK.ATTEMPT_ID, DSL.count(), DSL.max(MARK.SEQ), DSL.sum(MARK.AT_MS), DSL.sum(MARK.REPS))
                .from(MARK)
                .join(ATTEMPT)
                .on(ATTEMPT.ID.eq(MARK.ATTEMPT_ID))
                .where(ATTEMPT.ATHLETE_ID.eq(athleteId))
                .groupBy(MARK.ATTEMPT_ID)
                .forEach(row -> prints.put(
                        row.value1(), (long) Objects.hash(row.value2(), row.value3(), row.value4(), row.value5())));
        db.select(RECORDING_GO.ATTEMPT_ID, DSL.sum(RECORDING_GO.GO_MS))
                .from(RECORDING_GO)
                .join(ATTEMPT)
                .on(ATTEMPT.ID.eq(RECORDING_GO.ATTEMPT_ID))
                .where(ATTEMPT.ATHLETE_ID.eq(athleteId))
                .groupBy(RECORDING_GO.ATTEMPT_ID)
                .forEach(row -> prints.computeIfPresent(
                        row.value1(), (id, print) -> 31 * print + row.value2().longValue()));
        return prints;
    }

    private static StoredMark mark(MarkRecord row) {
        return new StoredMark(
                row.getId(),
                row.getAttemptId(),
                row.getRecordingId(),
                MarkKind.valueOf(row.getKind()),
                row.getAtMs(),
                row.getReps(),
                Depth.valueOf(row.getDepth()),
                row.getTag(),
                row.getNote(),
                row.getUncertaintyS());
    }

    /** Adds a mark, or corrects the one with that id; its place in the order stays. */
    public void put(StoredMark mark) {
        var seen = Map.<Field<?>, Object>of(
                MARK.KIND, mark.kind().name(),
                MARK.AT_MS, mark.atMs(),
                MARK.REPS, mark.reps(),
                MARK.DEPTH, mark.depth().name(),
                MARK.TAG, mark.tag(),
                MARK.NOTE, mark.text(),
                MARK.UNCERTAINTY_S, mark.uncertaintyS());
        db.insertInto(MARK)
                .set(MARK.ID, mark.id())
                .set(MARK.ATTEMPT_ID, mark.attemptId())
                .set(MARK.RECORDING_ID, mark.recordingId())
                .set(seen)
                .onConflict(MARK.ID)
                .doUpdate()
                .set(seen)
                .execute();
    }

    public void remove(UUID attemptId, UUID id) {
        db.deleteFrom(MARK).where(MARK.ID.eq(id), MARK.ATTEMPT_ID.eq(attemptId)).execute();
    }
}
