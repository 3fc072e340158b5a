package wake.store;

import static wake.store.tables.Tables.ATHLETE;
import static wake.store.tables.Tables.ATTEMPT;
import static wake.store.tables.Tables.MARK;
import static wake.store.tables.Tables.PLAN_VERSION;
import static wake.store.tables.Tables.RETEST_CALLED;

import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.SortField;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import wake.store.tables.tables.PlanVersion;

/** Attempts: one athlete doing one workout in one division on one day. */
@Component
public class AttemptStore {
    /** Neither an attempt nor its athlete lies in the bin; for queries that join both. */
    static final Condition NOT_IN_THE_BIN = ATTEMPT.DELETED_AT.isNull().and(ATHLETE.DELETED_AT.isNull());

    static final Condition IS_MARKED = DSL.exists(DSL.selectOne().from(MARK).where(MARK.ATTEMPT_ID.eq(ATTEMPT.ID)));

    /** Few are: they are looked up, and not looked for among all. */
    private static final Condition IS_CALLED =
            ATTEMPT.ID.in(DSL.select(RETEST_CALLED.ATTEMPT_ID).from(RETEST_CALLED));

    private static final PlanVersion LATER = PLAN_VERSION.as("later");

    /** The latest version of its plan is one, and not the way back to the draft. */
    private static final Condition IS_PLANNED = DSL.exists(DSL.selectOne()
            .from(PLAN_VERSION)
            .where(
                    PLAN_VERSION.ATTEMPT_ID.eq(ATTEMPT.ID),
                    PLAN_VERSION.DOCUMENT.isNotNull(),
                    DSL.notExists(DSL.selectOne()
                            .from(LATER)
                            .where(LATER.ATTEMPT_ID.eq(ATTEMPT.ID), LATER.VERSION.gt(PLAN_VERSION.VERSION)))));

    private final DSLContext db;
    private final Clock clock;

    /**
     * An attempt.
     *
     * @param notation the workout as it stood when the attempt was entered
     * @param retestOf the attempt this one repeats
     * @param part which part of the workout, from 0
     * @param cutInto into how many rounds the athlete cut what may be done in any order
     */
    public record Attempt(
            UUID id,
            UUID athleteId,
            String athlete,
            UUID workoutId,
            String division,
            LocalDate doneOn,
            String notation,
            @Nullable UUID retestOf,
            int part,
            int cutInto) {}

    AttemptStore(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** All attempts, the latest first. */
    public List<Attempt> all() {
        return select(DSL.noCondition());
    }

    /** An athlete's attempts, the latest first. */
    public List<Attempt> of(UUID athleteId) {
        return select(ATTEMPT.ATHLETE_ID.eq(athleteId));
    }

    /** An athlete's other attempts that have marks, so many of the latest. */
    public List<Attempt> othersMarked(Attempt attempt, int atMost) {
        return select(
                ATTEMPT.ATHLETE_ID
                        .eq(attempt.athleteId())
                        .and(ATTEMPT.ID.ne(attempt.id()))
                        .and(IS_MARKED),
                atMost,
                ATTEMPT.ATHLETE_ID);
    }

    /** Other attempts at the same part of the same workout that have a plan in force, so many of the latest. */
    public List<Attempt> alikePlanned(Attempt attempt, int atMost) {
        return select(comparable(attempt).and(IS_PLANNED), atMost, ATTEMPT.WORKOUT_ID, ATTEMPT.PART);
    }

    /** Other attempts at the same part of the same workout that have marks, so many of the latest. */
    public List<Attempt> alikeMarked(Attempt attempt, int atMost) {
        return select(comparable(attempt).and(IS_MARKED), atMost, ATTEMPT.WORKOUT_ID, ATTEMPT.PART);
    }

    /** All attempts at a part of a workout that have marks, the latest first. */
    public List<Attempt> atWorkout(UUID workoutId, int part) {
        return select(
                ATTEMPT.WORKOUT_ID.eq(workoutId).and(ATTEMPT.PART.eq(part)).and(IS_MARKED));
    }

    private static Condition comparable(Attempt attempt) {
        return ATTEMPT.WORKOUT_ID
                .eq(attempt.workoutId())
                .and(ATTEMPT.PART.eq(attempt.part()))
                .and(ATTEMPT.ID.ne(attempt.id()));
    }

    /** An athlete's marked retests that a projection was kept for, so many of the latest. */
    public List<Attempt> calledOf(UUID athleteId, int atMost) {
        return select(ATTEMPT.ATHLETE_ID.eq(athleteId).and(IS_MARKED).and(IS_CALLED), atMost);
    }

    /** Those of all others, done by a day. */
    public List<Attempt> calledOfOthers(UUID athleteId, LocalDate until, int atMost) {
        return select(
                ATTEMPT.ATHLETE_ID
                        .ne(athleteId)
                        .and(ATTEMPT.DONE_ON.le(until))
                        .and(IS_MARKED)
                        .and(IS_CALLED),
                atMost);
    }

    /** Attempts that retest one, the latest first. */
    public List<Attempt> retestsOf(UUID id) {
        return select(ATTEMPT.RETEST_OF.eq(id));
    }

    public Optional<Attempt> find(UUID id) {
        return select(ATTEMPT.ID.eq(id)).stream().findFirst();
    }

    /** How many attempts there are at each workout that has any. */
    public Map<UUID, Integer> countByWorkout() {
        return db.select(ATTEMPT.WORKOUT_ID, DSL.count())
                .from(ATTEMPT)
                .join(ATHLETE)
                .on(ATHLETE.ID.eq(ATTEMPT.ATHLETE_ID))
                .where(NOT_IN_THE_BIN)
                .groupBy(ATTEMPT.WORKOUT_ID)
                .fetchMap(ATTEMPT.WORKOUT_ID, DSL.count());
    }

    /** The attempts at all parts of the same workout by the same athlete on the same day, this one included, in order. */
    public List<Attempt> day(Attempt attempt) {
        return select(ATTEMPT.ATHLETE_ID
                        .eq(attempt.athleteId())
                        .and(ATTEMPT.WORKOUT_ID.eq(attempt.workoutId()))
                        .and(ATTEMPT.DONE_ON.eq(attempt.doneOn()))
                        .and(ATTEMPT.NOTATION.eq(attempt.notation())))
                .stream()
                .filter(other -> other.id().equals(attempt.id()) || other.part() != attempt.part())
                .sorted(java.util.Comparator.comparingInt(Attempt::part))
                .toList();
    }

    private List<Attempt> select(Condition which) {
        return select(which, Integer.MAX_VALUE);
    }

    /**
     * Attempts, so many of the latest.
     *
     * @param shared columns of which all have the same: named in the order, the index that begins with them is walked, and nothing sorted
     */
    private List<Attempt> select(Condition which, int atMost, Field<?>... shared) {
        List<SortField<?>> order = new ArrayList<>();
        for (Field<?> column : shared) {
            order.add(column.asc());
        }
        order.addAll(List.of(ATTEMPT.DONE_ON.desc(), ATTEMPT.CREATED_AT.desc()));
        return db.select(
                        ATTEMPT.ID,
                        ATTEMPT.ATHLETE_ID,
                        ATHLETE.NAME,
                        ATTEMPT.WORKOUT_ID,
                        ATTEMPT.DIVISION,
                        ATTEMPT.DONE_ON,
                        ATTEMPT.NOTATION,
                        ATTEMPT.RETEST_OF,
                        ATTEMPT.PART,
                        ATTEMPT.CUT_INTO)
                .from(ATTEMPT)
                .join(ATHLETE)
                .on(ATHLETE.ID.eq(ATTEMPT.ATHLETE_ID))
                .where(which, NOT_IN_THE_BIN)
                .orderBy(order)
                .limit(atMost)
                .fetch(row -> new Attempt(
                        row.value1(),
                        row.value2(),
                        row.value3(),
                        row.value4(),
                        row.value5(),
                        row.value6(),
                        row.value7(),
                        row.value8(),
                        row.value9(),
                        row.value10()));
    }

    /** Adds an attempt; one with that id already stays as it is, so that a repeated request does no harm. */
    public void add(Attempt attempt) {
        db.insertInto(ATTEMPT)
                .set(ATTEMPT.ID, attempt.id())
                .set(ATTEMPT.ATHLETE_ID, attempt.athleteId())
                .set(ATTEMPT.WORKOUT_ID, attempt.workoutId())
                .set(ATTEMPT.DIVISION, attempt.division())
                .set(ATTEMPT.DONE_ON, attempt.doneOn())
                .set(ATTEMPT.NOTATION, attempt.notation())
                .set(ATTEMPT.RETEST_OF, attempt.retestOf())
                .set(ATTEMPT.PART, attempt.part())
                .set(ATTEMPT.CUT_INTO, attempt.cutInto())
                .set(ATTEMPT.CREATED_AT, OffsetDateTime.now(clock))
                .onConflictDoNothing()
                .execute();
    }

    /** What the coach has to say of an attempt as a whole; empty when nothing. */
    public String note(UUID id) {
        return db.select(ATTEMPT.NOTE)
                .from(ATTEMPT)
                .where(ATTEMPT.ID.eq(id))
                .fetchOptional(ATTEMPT.NOTE)
                .orElse("");
    }

    public void putNote(UUID id, String text) {
        db.update(ATTEMPT).set(ATTEMPT.NOTE, text).where(ATTEMPT.ID.eq(id)).execute();
    }

    /** The coach's own words on the athlete's card; empty when none. */
    public String cardSentence(UUID id) {
        return db.select(ATTEMPT.CARD_SENTENCE)
                .from(ATTEMPT)
                .where(ATTEMPT.ID.eq(id))
                .fetchOptional(ATTEMPT.CARD_SENTENCE)
                .orElse("");
    }

    public void putCardSentence(UUID id, String words) {
        db.update(ATTEMPT)
                .set(ATTEMPT.CARD_SENTENCE, words)
                .where(ATTEMPT.ID.eq(id))
                .execute();
    }

    /** Corrects who, what and when; the log is read anew then. */
    public void correct(Attempt attempt) {
        db.update(ATTEMPT)
                .set(ATTEMPT.ATHLETE_ID, attempt.athleteId())
                .set(ATTEMPT.WORKOUT_ID, attempt.workoutId())
                .set(ATTEMPT.DIVISION, attempt.division())
                .set(ATTEMPT.DONE_ON, attempt.doneOn())
                .set(ATTEMPT.NOTATION, attempt.notation())
                .set(ATTEMPT.PART, attempt.part())
                .set(ATTEMPT.CUT_INTO, attempt.cutInto())
                .where(ATTEMPT.ID.eq(attempt.id()))
                .execute();
        logChanged(db, attempt.id());
    }

    /** Whose some attempts are, each athlete once, in an order that is always the same. */
    List<UUID> athletesOf(Collection<UUID> ids) {
        return db
                .selectDistinct(ATTEMPT.ATHLETE_ID)
                .from(ATTEMPT)
                .where(ATTEMPT.ID.in(ids))
                .fetch(ATTEMPT.ATHLETE_ID)
                .stream()
                .sorted()
                .toList();
    }

    /** Holds athletes for the transaction, and so whatever is changed of their attempts in turn. */
    void hold(List<UUID> athletes) {
        athletes.forEach(athlete -> db.select(ATHLETE.ID)
                .from(ATHLETE)
                .where(ATHLETE.ID.eq(athlete))
                .forUpdate()
                .fetch());
    }

    /**
     * Notes that an attempt has changed: its marks, where "go" lies, its plan, whether it lies in the bin. What is said of its retest is
     * measured by it, and what is still open in the attempt it retests is no more once it is done: both change with it.
     */
    static void logChanged(DSLContext db, UUID id) {
        var before = ATTEMPT.as("before");
        changed(
                db,
                ATTEMPT.ID
                        .eq(id)
                        .or(ATTEMPT.RETEST_OF.eq(id))
                        .or(ATTEMPT.ID.eq(
                                DSL.select(before.RETEST_OF).from(before).where(before.ID.eq(id)))));
    }

    /** Notes that what is known of an athlete has changed: what is said of all their attempts may rest on it. */
    static void athleteChanged(DSLContext db, UUID athleteId) {
        changed(db, ATTEMPT.ATHLETE_ID.eq(athleteId));
    }

    /** Notes that the recordings of an attempt's day have changed: its parts share them. */
    static void dayChanged(DSLContext db, UUID id) {
        db.select(ATTEMPT.ATHLETE_ID, ATTEMPT.WORKOUT_ID, ATTEMPT.DONE_ON)
                .from(ATTEMPT)
                .where(ATTEMPT.ID.eq(id))
                .fetchOptional()
                .ifPresent(day -> changed(
                        db,
                        ATTEMPT.ATHLETE_ID
                                .eq(day.value1())
                                .and(ATTEMPT.WORKOUT_ID.eq(day.value2()))
                                .and(ATTEMPT.DONE_ON.eq(day.value3()))));
    }

    private static void changed(DSLContext db, Condition which) {
        db.update(ATTEMPT)
                .set(ATTEMPT.LOG_VERSION, ATTEMPT.LOG_VERSION.plus(1))
                .where(which)
                .execute();
    }
}
