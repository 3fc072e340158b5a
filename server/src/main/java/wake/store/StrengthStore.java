package wake.store;

import static wake.store.tables.Tables.STRENGTH_DAY;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;

/** The strength work of athletes, a text for each day. */
@Component
public class StrengthStore {
    private final DSLContext db;

    /** What an athlete did on a day, as it was written. */
    public record StrengthDay(LocalDate doneOn, String text) {}

    StrengthStore(DSLContext db) {
        this.db = db;
    }

    /** All days of an athlete, the latest first. */
    public List<StrengthDay> of(UUID athleteId) {
        return db.select(STRENGTH_DAY.DONE_ON, STRENGTH_DAY.TEXT)
                .from(STRENGTH_DAY)
                .where(STRENGTH_DAY.ATHLETE_ID.eq(athleteId))
                .orderBy(STRENGTH_DAY.DONE_ON.desc())
                .fetch(row -> new StrengthDay(row.value1(), row.value2()));
    }

    public Optional<String> find(UUID athleteId, LocalDate doneOn) {
        return db.select(STRENGTH_DAY.TEXT)
                .from(STRENGTH_DAY)
                .where(STRENGTH_DAY.ATHLETE_ID.eq(athleteId), STRENGTH_DAY.DONE_ON.eq(doneOn))
                .fetchOptional(STRENGTH_DAY.TEXT);
    }

    /** Keeps the text of a day in place of the one before; an empty one takes the day away. */
    public void put(UUID athleteId, StrengthDay day) {
        if (day.text().isBlank()) {
            db.deleteFrom(STRENGTH_DAY)
                    .where(STRENGTH_DAY.ATHLETE_ID.eq(athleteId), STRENGTH_DAY.DONE_ON.eq(day.doneOn()))
                    .execute();
            return;
        }
        db.insertInto(STRENGTH_DAY)
                .set(STRENGTH_DAY.ATHLETE_ID, athleteId)
                .set(STRENGTH_DAY.DONE_ON, day.doneOn())
                .set(STRENGTH_DAY.TEXT, day.text())
                .onConflict(STRENGTH_DAY.ATHLETE_ID, STRENGTH_DAY.DONE_ON)
                .doUpdate()
                .set(STRENGTH_DAY.TEXT, day.text())
                .execute();
    }
}
