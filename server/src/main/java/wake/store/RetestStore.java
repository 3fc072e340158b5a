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
                .where(RETEST_CALL.ATTEMPT_ID.eq(attemptId))
                .fetchOptional(row -> new Document(row.value1(), row.value2()));
    }

    public void put(UUID attemptId, Document document) {
        OffsetDateTime now = OffsetDateTime.now(clock);
        db.mergeInto(RETEST_CALL)
                .columns(
                        RETEST_CALL.ATTEMPT_ID,
                        RETEST_CALL.SCHEMA_VERSION,
                        RETEST_CALL.DOCUMENT,
                        RETEST_CALL.CHANGED_AT)
                .key(RETEST_CALL.ATTEMPT_ID)
                .values(attemptId, document.schemaVersion(), document.json(), now)
                .execute();
    }

    /** Forgets what was chosen. */
    public void remove(UUID attemptId) {
        db.deleteFrom(RETEST_CALL).where(RETEST_CALL.ATTEMPT_ID.eq(attemptId)).execute();
    }

    /** The call a retest was set by. */
    public Optional<Document> findCalled(UUID retestId) {
        return db.select(RETEST_CALLED.SCHEMA_VERSION, RETEST_CALLED.DOCUMENT)
                .from(RETEST_CALLED)
                .where(RETEST_CALLED.ATTEMPT_ID.eq(retestId))
                .fetchOptional(row -> new Document(row.value1(), row.value2()));
    }

    /** Keeps the call a retest is set by; one kept already stays as it was, so that a repeated request does no harm. */
    public void putCalled(UUID retestId, Document document) {
        db.insertInto(RETEST_CALLED)
                .set(RETEST_CALLED.ATTEMPT_ID, retestId)
                .set(RETEST_CALLED.SCHEMA_VERSION, document.schemaVersion())
                .set(RETEST_CALLED.DOCUMENT, document.json())
                .set(RETEST_CALLED.CALLED_AT, OffsetDateTime.now(clock))
                .onConflictDoNothing()
                .execute();
    }
}
