package wake.store;

import static wake.store.tables.Tables.ATHLETE;
import static wake.store.tables.Tables.ATTEMPT;
import static wake.store.tables.Tables.HEAT_LANE;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Heats: attempts that went at once. */
@Component
public class HeatStore {
    private final DSLContext db;

    HeatStore(DSLContext db) {
        this.db = db;
    }

    /** One of a heat; {@code lane} unset where none was given. */
    public record InHeat(
            UUID attemptId, String athlete, @Nullable Integer lane) {}

    /** Puts an attempt into a heat; one that is in a heat already stays there. */
    public void put(UUID heatId, UUID attemptId, @Nullable Integer lane) {
        db.insertInto(HEAT_LANE)
                .set(HEAT_LANE.ATTEMPT_ID, attemptId)
                .set(HEAT_LANE.HEAT_ID, heatId)
                .set(HEAT_LANE.LANE, lane)
                .onConflictDoNothing()
                .execute();
    }

    /** Those of a heat that are not in the bin, by lane. */
    public List<InHeat> of(UUID heatId) {
        return db.select(ATTEMPT.ID, ATHLETE.NAME, HEAT_LANE.LANE)
                .from(HEAT_LANE)
                .join(ATTEMPT)
                .on(ATTEMPT.ID.eq(HEAT_LANE.ATTEMPT_ID))
                .join(ATHLETE)
                .on(ATHLETE.ID.eq(ATTEMPT.ATHLETE_ID))
                .where(HEAT_LANE.HEAT_ID.eq(heatId), AttemptStore.NOT_IN_THE_BIN)
                .orderBy(HEAT_LANE.LANE.asc().nullsLast(), ATTEMPT.CREATED_AT, ATHLETE.NAME)
                .fetch(row -> new InHeat(row.value1(), row.value2(), row.value3()));
    }

    /** The others of an attempt's heat; none where it was entered alone. */
    public List<InHeat> mates(UUID attemptId) {
        return heat(attemptId)
                .map(heat -> of(heat).stream()
                        .filter(one -> !one.attemptId().equals(attemptId))
                        .toList())
                .orElse(List.of());
    }

    /** The lane an attempt was in; empty where none was given. */
    public Optional<Integer> lane(UUID attemptId) {
        return db.select(HEAT_LANE.LANE)
                .from(HEAT_LANE)
                .where(HEAT_LANE.ATTEMPT_ID.eq(attemptId), HEAT_LANE.LANE.isNotNull())
                .fetchOptional(HEAT_LANE.LANE);
    }

    /** The heat an attempt went in, if it went in one. */
    public Optional<UUID> heat(UUID attemptId) {
        return db.select(HEAT_LANE.HEAT_ID)
                .from(HEAT_LANE)
                .where(HEAT_LANE.ATTEMPT_ID.eq(attemptId))
                .fetchOptional(HEAT_LANE.HEAT_ID);
    }
}
