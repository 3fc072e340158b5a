package wake.store;

import static wake.store.tables.Tables.PLAN;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;

/** Pacing plans, one per attempt, as JSON documents with a schema version. */
@Component
public class PlanStore {
    private final DSLContext db;
    private final Clock clock;

    PlanStore(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    public Optional<Document> find(UUID attemptId) {
        return db.select(PLAN.SCHEMA_VERSION, PLAN.DOCUMENT)
                .from(PLAN)
                .where(PLAN.ATTEMPT_ID.eq(attemptId))
                .fetchOptional(row -> new Document(row.value1(), row.value2()));
    }

    public void put(UUID attemptId, Document document) {
        OffsetDateTime now = OffsetDateTime.now(clock);
        db.mergeInto(PLAN)
                .columns(PLAN.ATTEMPT_ID, PLAN.SCHEMA_VERSION, PLAN.DOCUMENT, PLAN.CHANGED_AT)
                .key(PLAN.ATTEMPT_ID)
                .values(attemptId, document.schemaVersion(), document.json(), now)
                .execute();
    }

    public void remove(UUID attemptId) {
        db.deleteFrom(PLAN).where(PLAN.ATTEMPT_ID.eq(attemptId)).execute();
    }
}
