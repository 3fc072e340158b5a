package wake.store;

import static wake.store.tables.Tables.TRACE;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;
import wake.store.tables.tables.records.TraceRecord;

/** What machines and straps noted beside attempts, each as a sheet. */
@Component
public class TraceStore {
    /** So many characters a sheet may have. */
    public static final int LONGEST = 1_000_000;

    private final DSLContext db;
    private final Clock clock;

    /**
     * A trace.
     *
     * @param offsetMs the clock of the attempt at which it starts
     * @param sheet comma-separated values
     */
    public record StoredTrace(UUID id, UUID attemptId, String label, long offsetMs, String sheet) {}

    TraceStore(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    public List<StoredTrace> of(UUID attemptId) {
        return db.selectFrom(TRACE)
                .where(TRACE.ATTEMPT_ID.eq(attemptId))
                .orderBy(TRACE.CREATED_AT, TRACE.ID)
                .fetch(TraceStore::trace);
    }

    public Optional<StoredTrace> find(UUID id) {
        return db.selectFrom(TRACE).where(TRACE.ID.eq(id)).fetchOptional(TraceStore::trace);
    }

    private static StoredTrace trace(TraceRecord row) {
        return new StoredTrace(row.getId(), row.getAttemptId(), row.getLabel(), row.getOffsetMs(), row.getSheet());
    }

    /** Adds a trace; one with that id already stays as it is, so that a repeated request does no harm. */
    public void add(StoredTrace trace) {
        db.insertInto(TRACE)
                .set(TRACE.ID, trace.id())
                .set(TRACE.ATTEMPT_ID, trace.attemptId())
                .set(TRACE.LABEL, trace.label())
                .set(TRACE.OFFSET_MS, trace.offsetMs())
                .set(TRACE.SHEET, trace.sheet())
                .set(TRACE.CREATED_AT, OffsetDateTime.now(clock))
                .onConflictDoNothing()
                .execute();
    }

    public void move(UUID id, long offsetMs) {
        db.update(TRACE).set(TRACE.OFFSET_MS, offsetMs).where(TRACE.ID.eq(id)).execute();
    }

    public void remove(UUID id) {
        db.deleteFrom(TRACE).where(TRACE.ID.eq(id)).execute();
    }
}
