package wake.store;

import static wake.store.tables.Tables.ATTEMPT;
import static wake.store.tables.Tables.MARK;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.ResultQuery;
import org.jooq.exception.DataAccessException;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import wake.log.Granularity;
import wake.log.Mark;
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
            Granularity depth,
            String tag,
            String text,
            double uncertaintyS) {
        /** A mark at a clock time, of no recording. */
        public static StoredMark onTheClock(UUID id, UUID attemptId, Mark mark) {
            return new StoredMark(
                    id,
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

        /** When it was made. */
        public Moment moment() {
            return recordingId == null ? new OnTheClock(atMs) : new OnRecording(recordingId, atMs);
        }
    }

    /** When a mark was made. */
    public sealed interface Moment {}

    /** Typed against the workout clock. */
    public record OnTheClock(long clockMs) implements Moment {}

    /** Seen on a recording; the clock it stands for follows from where "go" lies on it. */
    public record OnRecording(UUID recordingId, long mediaMs) implements Moment {}

    MarkStore(DSLContext db) {
        this.db = db;
    }

    /** The marks of an attempt, in the order they were made. */
    public List<StoredMark> of(UUID attemptId) {
        return select(MARK.ATTEMPT_ID.eq(attemptId));
    }

    /**
     * Marks are taken from the result as it comes: a reading asks for those of forty attempts, and a record for each of eight thousand
     * marks costs half as much again.
     */
    private List<StoredMark> select(Condition which) {
        ResultQuery<?> marks = db.select(
                        MARK.ID,
                        MARK.ATTEMPT_ID,
                        MARK.RECORDING_ID,
                        MARK.KIND,
                        MARK.AT_MS,
                        MARK.REPS,
                        MARK.DEPTH,
                        MARK.TAG,
                        MARK.NOTE,
                        MARK.UNCERTAINTY_S)
                .from(MARK)
                .where(which)
                .orderBy(MARK.SEQ);
        List<StoredMark> all = new ArrayList<>();
        try (ResultSet row = marks.fetchResultSet()) {
            while (row.next()) {
                all.add(new StoredMark(
                        row.getObject(1, UUID.class),
                        row.getObject(2, UUID.class),
                        row.getObject(3, UUID.class),
                        MarkKind.valueOf(row.getString(4)),
                        row.getLong(5),
                        row.getInt(6),
                        Granularity.valueOf(row.getString(7)),
                        row.getString(8),
                        row.getString(9),
                        row.getDouble(10)));
            }
        } catch (SQLException failed) {
            throw new DataAccessException("The marks cannot be read", failed);
        }
        return all;
    }

    /** Whether an attempt has any marks. */
    public boolean any(UUID attemptId) {
        return db.fetchExists(MARK, MARK.ATTEMPT_ID.eq(attemptId));
    }

    /** How many marks lie on a recording. */
    public int on(UUID recordingId) {
        return db.fetchCount(MARK, MARK.RECORDING_ID.eq(recordingId));
    }

    /** How many marks of one attempt lie on a recording. */
    public int on(UUID recordingId, UUID attemptId) {
        return db.fetchCount(MARK, MARK.RECORDING_ID.eq(recordingId).and(MARK.ATTEMPT_ID.eq(attemptId)));
    }

    public Optional<StoredMark> find(UUID id) {
        return select(MARK.ID.eq(id)).stream().findFirst();
    }

    /** The same of several marks, by id. */
    public Map<UUID, StoredMark> find(Collection<UUID> ids) {
        return ids.isEmpty()
                ? Map.of()
                : select(MARK.ID.in(ids)).stream().collect(Collectors.toMap(StoredMark::id, Function.identity()));
    }

    /** How often the log of each of an athlete's attempts has changed; no marks, no entry. */
    public Map<UUID, Long> versions(UUID athleteId) {
        return db.select(ATTEMPT.ID, ATTEMPT.LOG_VERSION)
                .from(ATTEMPT)
                .where(ATTEMPT.ATHLETE_ID.eq(athleteId))
                .andExists(DSL.selectOne().from(MARK).where(MARK.ATTEMPT_ID.eq(ATTEMPT.ID)))
                .fetchMap(ATTEMPT.ID, ATTEMPT.LOG_VERSION);
    }

    /** Adds a mark, or corrects the one with that id; its place in the order stays. */
    public void put(StoredMark mark) {
        Map<Field<?>, @Nullable Object> seen = new HashMap<>();
        seen.put(MARK.RECORDING_ID, mark.recordingId());
        seen.put(MARK.KIND, mark.kind().name());
        seen.put(MARK.AT_MS, mark.atMs());
        seen.put(MARK.REPS, mark.reps());
        seen.put(MARK.DEPTH, mark.depth().name());
        seen.put(MARK.TAG, mark.tag());
        seen.put(MARK.NOTE, mark.text());
        seen.put(MARK.UNCERTAINTY_S, mark.uncertaintyS());
        Map<Field<?>, @Nullable Object> whole = new HashMap<>(seen);
        begun(mark.attemptId());
        whole.put(MARK.ID, mark.id());
        whole.put(MARK.ATTEMPT_ID, mark.attemptId());
        db.insertInto(MARK).set(whole).onConflict(MARK.ID).doUpdate().set(seen).execute();
        AttemptStore.logChanged(db, mark.attemptId());
    }

    /** Which of some ids are taken by marks there are. */
    public Set<UUID> taken(Collection<UUID> ids) {
        return ids.isEmpty()
                ? Set.of()
                : db.select(MARK.ID).from(MARK).where(MARK.ID.in(ids)).fetchSet(MARK.ID);
    }

    /** Adds marks that are not there yet to an attempt, all at once. */
    public void addAll(UUID attemptId, List<StoredMark> marks) {
        if (marks.isEmpty()) {
            return;
        }
        begun(attemptId);
        db.batchInsert(marks.stream().map(mark -> record(attemptId, mark)).toList())
                .execute();
        AttemptStore.logChanged(db, attemptId);
    }

    /**
     * Marks that were there before: those there are become so, the others return.
     *
     * @param places the place in the order each had; those without one come last
     */
    public void putAll(UUID attemptId, List<StoredMark> marks, Map<UUID, Long> places) {
        Set<UUID> there = taken(marks.stream().map(StoredMark::id).toList());
        List<MarkRecord> returning = new ArrayList<>();
        for (StoredMark mark : marks) {
            Long place = places.get(mark.id());
            if (there.contains(mark.id())) {
                put(mark);
            } else {
                MarkRecord row = record(attemptId, mark);
                if (place != null) {
                    row.setSeq(place);
                }
                returning.add(row);
            }
        }
        if (!returning.isEmpty()) {
            begun(attemptId);
            db.batchInsert(returning).execute();
            AttemptStore.logChanged(db, attemptId);
        }
    }

    /** The first mark of an attempt holds on to the plan it is done with. */
    private void begun(UUID attemptId) {
        if (!any(attemptId)) {
            PlanStore.doneWithCurrent(db, attemptId);
        }
    }

    private MarkRecord record(UUID attemptId, StoredMark mark) {
        MarkRecord row = db.newRecord(MARK);
        row.setId(mark.id());
        row.setAttemptId(attemptId);
        row.setRecordingId(mark.recordingId());
        row.setKind(mark.kind().name());
        row.setAtMs(mark.atMs());
        row.setReps(mark.reps());
        row.setDepth(mark.depth().name());
        row.setTag(mark.tag());
        row.setNote(mark.text());
        row.setUncertaintyS(mark.uncertaintyS());
        return row;
    }

    /**
     * Takes marks away, all at once.
     *
     * @return the place in the order of each that was there
     */
    public Map<UUID, Long> removeAll(UUID attemptId, Collection<UUID> ids) {
        if (ids.isEmpty()) {
            return Map.of();
        }
        Condition which = MARK.ATTEMPT_ID.eq(attemptId).and(MARK.ID.in(ids));
        Map<UUID, Long> places =
                db.select(MARK.ID, MARK.SEQ).from(MARK).where(which).fetchMap(MARK.ID, MARK.SEQ);
        db.deleteFrom(MARK).where(which).execute();
        AttemptStore.logChanged(db, attemptId);
        return places;
    }

    /**
     * Takes a mark away.
     *
     * @return its place in the order; null where there was none
     */
    public @Nullable Long remove(UUID attemptId, UUID id) {
        Long place = db.select(MARK.SEQ)
                .from(MARK)
                .where(MARK.ID.eq(id), MARK.ATTEMPT_ID.eq(attemptId))
                .fetchOne(MARK.SEQ);
        db.deleteFrom(MARK).where(MARK.ID.eq(id), MARK.ATTEMPT_ID.eq(attemptId)).execute();
        AttemptStore.logChanged(db, attemptId);
        return place;
    }
}
