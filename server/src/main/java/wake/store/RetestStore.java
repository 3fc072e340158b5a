package wake.store;

import static wake.store.tables.Tables.RETEST_CALL;
import static wake.store.tables.Tables.RETEST_CALLED;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;

/** The changes chosen for a retest, one document per attempt. */
@Component
public class RetestStore {
    private final DSLContext db;
    private final Clock clock;

    RetestStore(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    public Optional<Document> find(UUID attemptId) {
        return db.select(RETEST_CALL.SCHEMA_VERSION, RETEST_CALL.DOCUMENT)
                .from(RETEST_CALL)
                .where(RETEST_CALL.ATTEMPT_ID.eq(attemptId), RETEST_CALL.DOCUMENT.ne(Document.NONE.json()))
                .fetchOptional(row -> new Document(row.value1(), row.value2()));
    }

    /** How often choices were made, 0 for never: tells one window that another was there. */
    public long version(UUID attemptId) {
        return db.select(RETEST_CALL.VERSION)
                .from(RETEST_CALL)
                .where(RETEST_CALL.ATTEMPT_ID.eq(attemptId))
                .fetchOptional(RETEST_CALL.VERSION)
                .orElse(0L);
    }

    /** Keeps what was chosen; gives how often that has been done. */
    public long put(UUID attemptId, Document document) {
        long next = version(attemptId) + 1;
        db.mergeInto(RETEST_CALL)
                .columns(
                        RETEST_CALL.ATTEMPT_ID,
                        RETEST_CALL.SCHEMA_VERSION,
                        RETEST_CALL.DOCUMENT,
                        RETEST_CALL.CHANGED_AT,
                        RETEST_CALL.VERSION)
                .key(RETEST_CALL.ATTEMPT_ID)
                .values(attemptId, document.schemaVersion(), document.json(), OffsetDateTime.now(clock), next)
                .execute();
        return next;
    }

    /** Forgets what was chosen. */
    public void remove(UUID attemptId) {
        put(attemptId, Document.NONE);
    }

    /** The projection a retest was set by. */
    public Optional<Document> findProjected(UUID retestId) {
        return db.select(RETEST_CALLED.SCHEMA_VERSION, RETEST_CALLED.DOCUMENT)
                .from(RETEST_CALLED)
                .where(RETEST_CALLED.ATTEMPT_ID.eq(retestId))
                .fetchOptional(row -> new Document(row.value1(), row.value2()));
    }

    /** Keeps the projection a retest is set by; one kept already stays as it was, so that a repeated request does no harm. */
    public void putProjected(UUID retestId, Document document) {
        db.insertInto(RETEST_CALLED)
                .set(RETEST_CALLED.ATTEMPT_ID, retestId)
                .set(RETEST_CALLED.SCHEMA_VERSION, document.schemaVersion())
                .set(RETEST_CALLED.DOCUMENT, document.json())
                .set(RETEST_CALLED.CALLED_AT, OffsetDateTime.now(clock))
                .onConflictDoNothing()
                .execute();
        AttemptStore.logChanged(db, retestId);
    }
}
