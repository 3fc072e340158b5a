package wake.store;

import static wake.store.tables.Tables.ATHLETE;
import static wake.store.tables.Tables.ATTEMPT;
import static wake.store.tables.Tables.LOG_CHANGE;
import static wake.store.tables.Tables.MARK;
import static wake.store.tables.Tables.RECORDING;
import static wake.store.tables.Tables.RECORDING_GO;
import static wake.store.tables.Tables.RECORDING_USE;
import static wake.store.tables.Tables.WORKOUT;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record1;
import org.jooq.Select;
import org.jooq.Table;
import org.jooq.TableField;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The bin: what was deleted lies in it for a while and can be brought back; after that, or when asked, it goes for good. */
@Component
public class BinStore {
    private final DSLContext db;
    private final Clock clock;

    /** What can be deleted. */
    public enum Kind {
        ATHLETE,
        WORKOUT,
        ATTEMPT,
        RECORDING
    }

    /**
     * Something in the bin.
     *
     * @param what it is, in words
     * @param attempts how many attempts lie in it with it, or still use it
     */
    public record Entry(Kind kind, UUID id, String what, OffsetDateTime deletedAt, int attempts) {}

    BinStore(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    private record Place(Table<?> table, TableField<?, UUID> id, TableField<?, OffsetDateTime> deletedAt) {}

    private static Place place(Kind kind) {
        return switch (kind) {
            case ATHLETE -> new Place(ATHLETE, ATHLETE.ID, ATHLETE.DELETED_AT);
            case WORKOUT -> new Place(WORKOUT, WORKOUT.ID, WORKOUT.DELETED_AT);
            case ATTEMPT -> new Place(ATTEMPT, ATTEMPT.ID, ATTEMPT.DELETED_AT);
            case RECORDING -> new Place(RECORDING, RECORDING.ID, RECORDING.DELETED_AT);
        };
    }

    /** Puts something into the bin; false when there is no such thing. What lies in it already stays as it is. */
    public boolean delete(Kind kind, UUID id) {
        Place place = place(kind);
        db.update(place.table())
                .set(place.deletedAt(), OffsetDateTime.now(clock))
                .where(place.id().eq(id), place.deletedAt().isNull())
                .execute();
        noteDay(kind, id);
        return db.fetchExists(place.table(), place.id().eq(id));
    }

    /** Whether something lies in the bin. */
    public boolean holds(Kind kind, UUID id) {
        Place place = place(kind);
        return db.fetchExists(
                place.table(), place.id().eq(id).and(place.deletedAt().isNotNull()));
    }

    /** Takes something out of the bin again; false when it is gone for good. */
    public boolean restore(Kind kind, UUID id) {
        Place place = place(kind);
        boolean there = db.update(place.table())
                        .setNull(place.deletedAt())
                        .where(place.id().eq(id))
                        .execute()
                == 1;
        noteDay(kind, id);
        return there;
    }

    private void noteDay(Kind kind, UUID id) {
        if (kind == Kind.ATTEMPT) {
            AttemptStore.logChanged(db, id);
        }
        if (kind == Kind.RECORDING) {
            db.select(RECORDING.ATTEMPT_ID)
                    .from(RECORDING)
                    .where(RECORDING.ID.eq(id))
                    .union(DSL.select(RECORDING_USE.ATTEMPT_ID)
                            .from(RECORDING_USE)
                            .where(RECORDING_USE.RECORDING_ID.eq(id)))
                    .fetch(RECORDING.ATTEMPT_ID)
                    .forEach(attempt -> AttemptStore.dayChanged(db, attempt));
        }
    }

    /** All that lies in the bin, the latest first. */
    public List<Entry> all() {
        List<Entry> entries = new ArrayList<>();
        db.select(ATHLETE.ID, ATHLETE.NAME, ATHLETE.DELETED_AT, count(ATTEMPT.ATHLETE_ID, ATHLETE.ID))
                .from(ATHLETE)
                .where(ATHLETE.DELETED_AT.isNotNull())
                .forEach(row ->
                        entries.add(new Entry(Kind.ATHLETE, row.value1(), row.value2(), row.value3(), row.value4())));
        db.select(WORKOUT.ID, WORKOUT.TITLE, WORKOUT.DELETED_AT, count(ATTEMPT.WORKOUT_ID, WORKOUT.ID))
                .from(WORKOUT)
                .where(WORKOUT.DELETED_AT.isNotNull())
                .forEach(row ->
                        entries.add(new Entry(Kind.WORKOUT, row.value1(), row.value2(), row.value3(), row.value4())));
        db.select(ATTEMPT.ID, ATHLETE.NAME, WORKOUT.TITLE, ATTEMPT.DONE_ON, ATTEMPT.DELETED_AT)
                .from(ATTEMPT)
                .join(ATHLETE)
                .on(ATHLETE.ID.eq(ATTEMPT.ATHLETE_ID))
                .join(WORKOUT)
                .on(WORKOUT.ID.eq(ATTEMPT.WORKOUT_ID))
                .where(ATTEMPT.DELETED_AT.isNotNull())
                .forEach(row -> entries.add(new Entry(
                        Kind.ATTEMPT,
                        row.value1(),
                        row.value2() + ", " + row.value3() + ", " + row.value4(),
                        row.value5(),
                        1)));
        db.select(RECORDING.ID, RECORDING.LABEL, ATHLETE.NAME, RECORDING.DELETED_AT)
                .from(RECORDING)
                .join(ATTEMPT)
                .on(ATTEMPT.ID.eq(RECORDING.ATTEMPT_ID))
                .join(ATHLETE)
                .on(ATHLETE.ID.eq(ATTEMPT.ATHLETE_ID))
                .where(RECORDING.DELETED_AT.isNotNull())
                .forEach(row -> entries.add(new Entry(
                        Kind.RECORDING, row.value1(), row.value2() + ", of " + row.value3(), row.value4(), 1)));
        entries.sort(Comparator.comparing(Entry::deletedAt).reversed());
        return entries;
    }

    private static Field<Integer> count(TableField<?, UUID> of, TableField<?, UUID> with) {
        return DSL.field(DSL.selectCount().from(ATTEMPT).where(of.eq(with)));
    }

    /**
     * Removes something that lies in the bin for good. A workout that attempts still use stays.
     *
     * @return the recordings whose files have to go, once this is committed; null when it stays
     */
    @Transactional
    public @Nullable List<UUID> purge(Kind kind, UUID id) {
        Place place = place(kind);
        if (!db.fetchExists(
                place.table(), place.id().eq(id).and(place.deletedAt().isNotNull()))) {
            return List.of();
        }
        return switch (kind) {
            case WORKOUT -> workout(id);
            case RECORDING -> recordings(RECORDING.ID.eq(id));
            case ATTEMPT -> attempts(ATTEMPT.ID.eq(id));
            case ATHLETE -> {
                List<UUID> files = attempts(ATTEMPT.ATHLETE_ID.eq(id));
                db.deleteFrom(ATHLETE).where(ATHLETE.ID.eq(id)).execute();
                yield files;
            }
        };
    }

    private @Nullable List<UUID> workout(UUID id) {
        if (db.fetchExists(ATTEMPT, ATTEMPT.WORKOUT_ID.eq(id))) {
            return null;
        }
        db.deleteFrom(WORKOUT).where(WORKOUT.ID.eq(id)).execute();
        return List.of();
    }

    private List<UUID> attempts(Condition which) {
        Select<Record1<UUID>> some = DSL.select(ATTEMPT.ID).from(ATTEMPT).where(which);
        handOver(some);
        List<UUID> files = recordings(RECORDING.ATTEMPT_ID.in(some));
        db.deleteFrom(MARK).where(MARK.ATTEMPT_ID.in(some)).execute();
        db.update(ATTEMPT)
                .setNull(ATTEMPT.RETEST_OF)
                .where(ATTEMPT.RETEST_OF.in(some))
                .execute();
        db.deleteFrom(ATTEMPT).where(which).execute();
        return files;
    }

    /** Videos that others are on too go to one of them. */
    private void handOver(Select<Record1<UUID>> some) {
        db.select(RECORDING_USE.RECORDING_ID, DSL.min(RECORDING_USE.ATTEMPT_ID.cast(String.class)))
                .from(RECORDING_USE)
                .join(RECORDING)
                .on(RECORDING.ID.eq(RECORDING_USE.RECORDING_ID))
                .where(RECORDING.ATTEMPT_ID.in(some), RECORDING_USE.ATTEMPT_ID.notIn(some))
                .groupBy(RECORDING_USE.RECORDING_ID)
                .fetch()
                .forEach(row -> {
                    UUID heir = UUID.fromString(row.value2());
                    db.update(RECORDING)
                            .set(RECORDING.ATTEMPT_ID, heir)
                            .where(RECORDING.ID.eq(row.value1()))
                            .execute();
                    db.deleteFrom(RECORDING_USE)
                            .where(RECORDING_USE.RECORDING_ID.eq(row.value1()), RECORDING_USE.ATTEMPT_ID.eq(heir))
                            .execute();
                    AttemptStore.dayChanged(db, heir);
                });
    }

    /** Marks on a recording that goes keep their clock; those that never had one go with it. */
    private List<UUID> recordings(Condition which) {
        List<UUID> ids = db.select(RECORDING.ID).from(RECORDING).where(which).fetch(RECORDING.ID);
        List<UUID> logs = db.selectDistinct(MARK.ATTEMPT_ID)
                .from(MARK)
                .where(MARK.RECORDING_ID.in(ids))
                .fetch(MARK.ATTEMPT_ID);
        for (var go : db.selectFrom(RECORDING_GO)
                .where(RECORDING_GO.RECORDING_ID.in(ids))
                .fetch()) {
            db.update(MARK)
                    .set(MARK.AT_MS, MARK.AT_MS.minus(go.getGoMs()))
                    .setNull(MARK.RECORDING_ID)
                    .where(MARK.RECORDING_ID.eq(go.getRecordingId()), MARK.ATTEMPT_ID.eq(go.getAttemptId()))
                    .execute();
        }
        db.deleteFrom(MARK).where(MARK.RECORDING_ID.in(ids)).execute();
        // What was done before speaks of a recording there is no more.
        db.deleteFrom(LOG_CHANGE).where(LOG_CHANGE.ATTEMPT_ID.in(logs)).execute();
        logs.forEach(attempt -> AttemptStore.logChanged(db, attempt));
        db.deleteFrom(RECORDING).where(RECORDING.ID.in(ids)).execute();
        return ids;
    }
}
