package wake.store;

import static wake.store.tables.Tables.LOG_CHANGE;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import wake.store.tables.tables.records.LogChangeRecord;

/** What was done to the logs of attempts, in order, with what has been undone. */
@Component
public class HistoryStore {
    /** How far back undo reaches, in changes of all attempts together. */
    private static final int KEPT = 20_000;

    private static final int PRUNED_EVERY = 500;

    private final DSLContext db;

    /** What a change was done to. */
    public enum What {
        MARK("mark"),
        GO("go");

        private final String column;

        What(String column) {
            this.column = column;
        }
    }

    /**
     * A change of a log.
     *
     * @param target the mark, or the recording whose "go" it is
     * @param before how it was, as a document; null when it was not there
     * @param after how it is, as a document; null when it is gone
     * @param batch what it is one with; null when it stands alone
     * @param place where a mark stood among the others before it went; null while it has not
     */
    public record Change(
            long seq,
            What what,
            UUID target,
            @Nullable String before,
            @Nullable String after,
            @Nullable UUID batch,
            @Nullable Long place) {}

    /** The same, before it has a place in the order. */
    public record NewChange(
            What what,
            UUID target,
            @Nullable String before,
            @Nullable String after,
            @Nullable UUID batch,
            @Nullable Long place) {}

    HistoryStore(DSLContext db) {
        this.db = db;
    }

    /** Notes a change that stands alone. What was undone before it cannot be redone any more. */
    public void add(UUID attemptId, What what, UUID target, @Nullable String before, @Nullable String after) {
        add(attemptId, new NewChange(what, target, before, after, null, null));
    }

    /** Notes a change. What was undone before it cannot be redone any more. */
    public void add(UUID attemptId, NewChange change) {
        forgetUndone(attemptId);
        LogChangeRecord row = row(attemptId, change);
        row.insert();
        if (row.getSeq() % PRUNED_EVERY == 0) {
            prune(attemptId, row.getSeq());
        }
    }

    /** Notes changes in their order, all at once. What was undone before them cannot be redone any more. */
    public void addAll(UUID attemptId, List<NewChange> changes) {
        if (changes.isEmpty()) {
            return;
        }
        forgetUndone(attemptId);
        db.batchInsert(changes.stream().map(change -> row(attemptId, change)).toList())
                .execute();
        undoable(attemptId).ifPresent(last -> prune(attemptId, last.seq()));
    }

    private void forgetUndone(UUID attemptId) {
        db.deleteFrom(LOG_CHANGE)
                .where(LOG_CHANGE.ATTEMPT_ID.eq(attemptId), LOG_CHANGE.UNDONE.isTrue())
                .execute();
    }

    private void prune(UUID attemptId, long last) {
        Condition old = LOG_CHANGE.ATTEMPT_ID.eq(attemptId).and(LOG_CHANGE.SEQ.lt(last - KEPT));
        // What is one change is undone as one: it goes whole, or not yet.
        Condition reachesOn = LOG_CHANGE.BATCH.in(DSL.select(LOG_CHANGE.BATCH)
                .from(LOG_CHANGE)
                .where(
                        LOG_CHANGE.ATTEMPT_ID.eq(attemptId),
                        LOG_CHANGE.SEQ.ge(last - KEPT),
                        LOG_CHANGE.BATCH.isNotNull()));
        db.deleteFrom(LOG_CHANGE)
                .where(old.and(LOG_CHANGE.BATCH.isNull().or(DSL.not(reachesOn))))
                .execute();
    }

    private LogChangeRecord row(UUID attemptId, NewChange change) {
        LogChangeRecord row = db.newRecord(LOG_CHANGE);
        row.setAttemptId(attemptId);
        row.setWhat(change.what().column);
        row.setTarget(change.target());
        row.setBeforeIt(change.before());
        row.setAfterIt(change.after());
        row.setBatch(change.batch());
        row.setMarkSeq(change.place());
        return row;
    }

    /** Lets a change lead to another state. */
    public void amend(UUID attemptId, long seq, String after) {
        db.update(LOG_CHANGE)
                .set(LOG_CHANGE.AFTER_IT, after)
                .where(LOG_CHANGE.ATTEMPT_ID.eq(attemptId), LOG_CHANGE.SEQ.eq(seq))
                .execute();
    }

    /** The change that undo would take back. */
    public Optional<Change> undoable(UUID attemptId) {
        return db.selectFrom(LOG_CHANGE)
                .where(LOG_CHANGE.ATTEMPT_ID.eq(attemptId), LOG_CHANGE.UNDONE.isFalse())
                .orderBy(LOG_CHANGE.ATTEMPT_ID, LOG_CHANGE.UNDONE, LOG_CHANGE.SEQ.desc())
                .limit(1)
                .fetchOptional(HistoryStore::change);
    }

    /** The change that redo would bring back. */
    public Optional<Change> redoable(UUID attemptId) {
        return db.selectFrom(LOG_CHANGE)
                .where(LOG_CHANGE.ATTEMPT_ID.eq(attemptId), LOG_CHANGE.UNDONE.isTrue())
                .orderBy(LOG_CHANGE.SEQ.asc())
                .limit(1)
                .fetchOptional(HistoryStore::change);
    }

    /** How many changes are one with a batch. */
    public int size(UUID attemptId, UUID batch) {
        return db.fetchCount(LOG_CHANGE, LOG_CHANGE.ATTEMPT_ID.eq(attemptId).and(LOG_CHANGE.BATCH.eq(batch)));
    }

    /**
     * A change with those that are one with it, in their order.
     *
     * @param undone whether it is undone, as all of them are then
     */
    public List<Change> with(UUID attemptId, Change change, boolean undone) {
        return change.batch() == null
                ? List.of(change)
                : db.selectFrom(LOG_CHANGE)
                        .where(
                                LOG_CHANGE.ATTEMPT_ID.eq(attemptId),
                                LOG_CHANGE.BATCH.eq(change.batch()),
                                LOG_CHANGE.UNDONE.eq(undone))
                        .orderBy(LOG_CHANGE.SEQ)
                        .fetch(HistoryStore::change);
    }

    /** Notes where the marks of some changes stood before they went, by mark. */
    public void stood(UUID attemptId, List<Change> changes, Map<UUID, Long> places) {
        db.batch(changes.stream()
                        .map(change -> db.update(LOG_CHANGE)
                                .set(LOG_CHANGE.MARK_SEQ, places.get(change.target()))
                                .where(LOG_CHANGE.ATTEMPT_ID.eq(attemptId), LOG_CHANGE.SEQ.eq(change.seq())))
                        .toList())
                .execute();
    }

    /** Notes that changes are undone, or are no more. */
    public void moved(UUID attemptId, List<Change> changes, boolean undone) {
        db.update(LOG_CHANGE)
                .set(LOG_CHANGE.UNDONE, undone)
                .where(
                        LOG_CHANGE.ATTEMPT_ID.eq(attemptId),
                        LOG_CHANGE.SEQ.in(changes.stream().map(Change::seq).toList()))
                .execute();
    }

    private static Change change(Record row) {
        return new Change(
                row.get(LOG_CHANGE.SEQ),
                row.get(LOG_CHANGE.WHAT).equals(What.GO.column) ? What.GO : What.MARK,
                row.get(LOG_CHANGE.TARGET),
                row.get(LOG_CHANGE.BEFORE_IT),
                row.get(LOG_CHANGE.AFTER_IT),
                row.get(LOG_CHANGE.BATCH),
                row.get(LOG_CHANGE.MARK_SEQ));
    }
}
