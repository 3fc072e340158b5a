package wake.store;

import static wake.store.tables.Tables.RETEST_CALL;

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
}
