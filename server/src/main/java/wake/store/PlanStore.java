package wake.store;

import static wake.store.tables.Tables.ATTEMPT;
import static wake.store.tables.Tables.PLAN_VERSION;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import wake.store.tables.tables.PlanVersion;

/** Pacing plans, every version of them, as JSON documents with a schema version. */
@Component
public class PlanStore {
    /** Older versions than these are let go. */
    private static final int KEPT = 200;

    /** What made a version is said in so many characters at most; the rest is let go. */
    private static final int LONGEST_NOTE = 200;

    private static final PlanVersion LATER = PLAN_VERSION.as("later");

    private final DSLContext db;
    private final Clock clock;

    /**
     * A version of a plan.
     *
     * @param version from 1, rising
     * @param madeBy what made it, in words
     * @param draft whether it took the plan back to the draft
     */
    public record Version(int version, String madeBy, boolean draft, OffsetDateTime changedAt) {}

    PlanStore(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** The plan in force; empty while there is none but the draft. */
    public Optional<Document> find(UUID attemptId) {
        return db.select(PLAN_VERSION.SCHEMA_VERSION, PLAN_VERSION.DOCUMENT)
                .from(PLAN_VERSION)
                .where(PLAN_VERSION.ATTEMPT_ID.eq(attemptId))
                .orderBy(PLAN_VERSION.VERSION.desc())
                .limit(1)
                .fetchOptional()
                .filter(row -> row.value2() != null)
                .map(row -> new Document(row.value1(), row.value2()));
    }

    /** One version's document; empty when there is no such version, or it went back to the draft. */
    public Optional<Document> find(UUID attemptId, int version) {
        return db.select(PLAN_VERSION.SCHEMA_VERSION, PLAN_VERSION.DOCUMENT)
                .from(PLAN_VERSION)
                .where(PLAN_VERSION.ATTEMPT_ID.eq(attemptId), PLAN_VERSION.VERSION.eq(version))
                .fetchOptional()
                .filter(row -> row.value2() != null)
                .map(row -> new Document(row.value1(), row.value2()));
    }

    /** The version an attempt was begun with, where it is not the one in force: its number and its document. */
    public Optional<DoneWith> doneWith(UUID attemptId) {
        return db.select(PLAN_VERSION.VERSION, PLAN_VERSION.SCHEMA_VERSION, PLAN_VERSION.DOCUMENT)
                .from(PLAN_VERSION)
                .join(ATTEMPT)
                .on(ATTEMPT.ID.eq(PLAN_VERSION.ATTEMPT_ID), ATTEMPT.PLAN_DONE_WITH.eq(PLAN_VERSION.VERSION))
                .where(
                        PLAN_VERSION.ATTEMPT_ID.eq(attemptId),
                        PLAN_VERSION.DOCUMENT.isNotNull(),
                        PLAN_VERSION.VERSION.lt(
                                DSL.select(DSL.max(LATER.VERSION)).from(LATER).where(LATER.ATTEMPT_ID.eq(attemptId))))
                .fetchOptional()
                .map(row -> new DoneWith(row.value1(), new Document(row.value2(), row.value3())))
                .filter(with -> !find(attemptId).equals(Optional.of(with.document())));
    }

    /** A plan that an attempt was begun with. */
    public record DoneWith(int version, Document document) {}

    /** An attempt was done with the version in force from now on. */
    public void doneWithCurrent(UUID attemptId) {
        doneWithCurrent(db, attemptId);
        AttemptStore.logChanged(db, attemptId);
    }

    /** The same as its marks begin. */
    static void doneWithCurrent(DSLContext db, UUID attemptId) {
        db.update(ATTEMPT)
                .set(
                        ATTEMPT.PLAN_DONE_WITH,
                        DSL.select(DSL.max(PLAN_VERSION.VERSION))
                                .from(PLAN_VERSION)
                                .where(PLAN_VERSION.ATTEMPT_ID.eq(attemptId)))
                .where(ATTEMPT.ID.eq(attemptId))
                .execute();
    }

    /** The number of the version in force; 0 before there was any. */
    public int version(UUID attemptId) {
        Integer last = db.select(DSL.max(PLAN_VERSION.VERSION))
                .from(PLAN_VERSION)
                .where(PLAN_VERSION.ATTEMPT_ID.eq(attemptId))
                .fetchOne(0, Integer.class);
        return last == null ? 0 : last;
    }

    /** All versions, the newest first. */
    public List<Version> versions(UUID attemptId) {
        return db.select(PLAN_VERSION.VERSION, PLAN_VERSION.MADE_BY, PLAN_VERSION.DOCUMENT, PLAN_VERSION.CHANGED_AT)
                .from(PLAN_VERSION)
                .where(PLAN_VERSION.ATTEMPT_ID.eq(attemptId))
                .orderBy(PLAN_VERSION.VERSION.desc())
                .fetch(row -> new Version(row.value1(), row.value2(), row.value3() == null, row.value4()));
    }

    public void put(UUID attemptId, Document document, String madeBy) {
        add(attemptId, document.schemaVersion(), document.json(), madeBy);
    }

    /** Back to the draft; what was planned stays among the versions. */
    public void remove(UUID attemptId, String madeBy) {
        add(attemptId, 0, null, madeBy);
    }

    private void add(UUID attemptId, int schemaVersion, @Nullable String json, String madeBy) {
        int version = version(attemptId) + 1;
        db.insertInto(PLAN_VERSION)
                .set(PLAN_VERSION.ATTEMPT_ID, attemptId)
                .set(PLAN_VERSION.VERSION, version)
                .set(PLAN_VERSION.SCHEMA_VERSION, schemaVersion)
                .set(PLAN_VERSION.DOCUMENT, json)
                .set(PLAN_VERSION.MADE_BY, madeBy.substring(0, Math.min(madeBy.length(), LONGEST_NOTE)))
                .set(PLAN_VERSION.CHANGED_AT, OffsetDateTime.now(clock))
                .execute();
        db.deleteFrom(PLAN_VERSION)
                .where(
                        PLAN_VERSION.ATTEMPT_ID.eq(attemptId),
                        PLAN_VERSION.VERSION.le(version - KEPT),
                        DSL.notExists(DSL.selectOne()
                                .from(ATTEMPT)
                                .where(ATTEMPT.ID.eq(attemptId), ATTEMPT.PLAN_DONE_WITH.eq(PLAN_VERSION.VERSION))))
                .execute();
        AttemptStore.logChanged(db, attemptId);
    }
}
