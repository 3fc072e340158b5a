package wake.store;

import static wake.store.tables.Tables.ATHLETE;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;

/** The roster. */
@Component
public class AthleteStore {
    private final DSLContext db;
    private final Clock clock;

    /**
     * An athlete.
     *
     * @param note what the coach keeps in mind about them
     * @param figures what was measured, a line each
     * @param pain what hurts now; empty when nothing does
     * @param recoversSlowly whether a retest needs a day more
     */
    public record Athlete(UUID id, String name, String note, String figures, String pain, boolean recoversSlowly) {}

    AthleteStore(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    public List<Athlete> all() {
        return db.select(ATHLETE.ID, ATHLETE.NAME, ATHLETE.NOTE, ATHLETE.FIGURES, ATHLETE.PAIN, ATHLETE.RECOVERS_SLOWLY)
                .from(ATHLETE)
                .where(ATHLETE.DELETED_AT.isNull())
                .orderBy(ATHLETE.NAME)
                .fetch(row -> new Athlete(
                        row.value1(), row.value2(), row.value3(), row.value4(), row.value5(), row.value6()));
    }

    public Optional<Athlete> find(UUID id) {
        return db.select(ATHLETE.ID, ATHLETE.NAME, ATHLETE.NOTE, ATHLETE.FIGURES, ATHLETE.PAIN, ATHLETE.RECOVERS_SLOWLY)
                .from(ATHLETE)
                .where(ATHLETE.ID.eq(id), ATHLETE.DELETED_AT.isNull())
                .fetchOptional(row -> new Athlete(
                        row.value1(), row.value2(), row.value3(), row.value4(), row.value5(), row.value6()));
    }

    /** Holds the athlete for the transaction, so that what one request leaves out is not what another one just wrote. */
    public void lock(UUID id) {
        db.select(ATHLETE.ID).from(ATHLETE).where(ATHLETE.ID.eq(id)).forUpdate().fetch();
    }

    /** Adds an athlete, or changes the one with that id. */
    public void put(Athlete athlete) {
        boolean otherFigures = db.select(ATHLETE.FIGURES)
                .from(ATHLETE)
                .where(ATHLETE.ID.eq(athlete.id()))
                .fetchOptional(ATHLETE.FIGURES)
                .filter(before -> !before.equals(athlete.figures()))
                .isPresent();
        if (otherFigures) {
            AttemptStore.athleteChanged(db, athlete.id());
        }
        db.insertInto(ATHLETE)
                .set(ATHLETE.ID, athlete.id())
                .set(ATHLETE.NAME, athlete.name())
                .set(ATHLETE.NOTE, athlete.note())
                .set(ATHLETE.FIGURES, athlete.figures())
                .set(ATHLETE.PAIN, athlete.pain())
                .set(ATHLETE.RECOVERS_SLOWLY, athlete.recoversSlowly())
                .set(ATHLETE.CREATED_AT, OffsetDateTime.now(clock))
                .onConflict(ATHLETE.ID)
                .doUpdate()
                .set(ATHLETE.NAME, athlete.name())
                .set(ATHLETE.NOTE, athlete.note())
                .set(ATHLETE.FIGURES, athlete.figures())
                .set(ATHLETE.PAIN, athlete.pain())
                .set(ATHLETE.RECOVERS_SLOWLY, athlete.recoversSlowly())
                .execute();
    }
}
