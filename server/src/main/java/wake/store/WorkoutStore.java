package wake.store;

import static wake.store.tables.Tables.WORKOUT;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;

/** The library of workouts, kept as the text the coach wrote. */
@Component
public class WorkoutStore {
    private final DSLContext db;
    private final Clock clock;

    /** A workout; the title is the one its notation says. An archived one is kept for its attempts, out of the way. */
    public record StoredWorkout(UUID id, String title, String notation, boolean archived) {}

    WorkoutStore(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    public List<StoredWorkout> all() {
        return db.select(WORKOUT.ID, WORKOUT.TITLE, WORKOUT.NOTATION, WORKOUT.ARCHIVED)
                .from(WORKOUT)
                .where(WORKOUT.DELETED_AT.isNull())
                .orderBy(WORKOUT.TITLE, WORKOUT.CREATED_AT)
                .fetch(row -> new StoredWorkout(row.value1(), row.value2(), row.value3(), row.value4()));
    }

    public Optional<StoredWorkout> find(UUID id) {
        return db.select(WORKOUT.ID, WORKOUT.TITLE, WORKOUT.NOTATION, WORKOUT.ARCHIVED)
                .from(WORKOUT)
                .where(WORKOUT.ID.eq(id), WORKOUT.DELETED_AT.isNull())
                .fetchOptional(row -> new StoredWorkout(row.value1(), row.value2(), row.value3(), row.value4()));
    }

    /** Adds a workout, or changes the one with that id. */
    public void put(StoredWorkout workout) {
        OffsetDateTime now = OffsetDateTime.now(clock);
        db.insertInto(WORKOUT)
                .set(WORKOUT.ID, workout.id())
                .set(WORKOUT.TITLE, workout.title())
                .set(WORKOUT.NOTATION, workout.notation())
                .set(WORKOUT.ARCHIVED, workout.archived())
                .set(WORKOUT.CREATED_AT, now)
                .set(WORKOUT.CHANGED_AT, now)
                .onConflict(WORKOUT.ID)
                .doUpdate()
                .set(WORKOUT.TITLE, workout.title())
                .set(WORKOUT.NOTATION, workout.notation())
                .set(WORKOUT.ARCHIVED, workout.archived())
                .set(WORKOUT.CHANGED_AT, now)
                .execute();
    }
}
