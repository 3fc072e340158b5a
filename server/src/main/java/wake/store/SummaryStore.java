package wake.store;

import static wake.store.tables.Tables.ATHLETE;
import static wake.store.tables.Tables.ATTEMPT;
import static wake.store.tables.Tables.ATTEMPT_SAID;
import static wake.store.tables.Tables.ATTEMPT_SUMMARY;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Records;
import org.jooq.SortField;
import org.jooq.Table;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import wake.store.tables.enums.AttemptSummaryPlace;

/** What lists say of attempts, kept for the version of the attempt it was worked out from. */
@Component
public class SummaryStore {
    /** So many characters what an attempt shows may have. */
    public static final int LONGEST_FACTS = 200_000;
    /** So many what a field knows of it. */
    public static final int LONGEST_ENTRY = 400_000;

    private static final char ESCAPE = '!';

    /** Attempts that have a summary, with it and their athlete. */
    private static final Table<?> SUMMED_UP = ATTEMPT_SUMMARY
            .join(ATTEMPT)
            .on(ATTEMPT.ID.eq(ATTEMPT_SUMMARY.ATTEMPT_ID))
            .join(ATHLETE)
            .on(ATHLETE.ID.eq(ATTEMPT.ATHLETE_ID));

    private final DSLContext db;

    /** What an attempt waits for. */
    public enum Place {
        /** Recorded, and not logged to its end. */
        TO_REVIEW,
        /** Entered or planned; nothing recorded yet. */
        PLANNED,
        /** A retest with a projection, not done yet. */
        RETEST_DUE,
        /** Logged to its end. */
        REVIEWED,
        /** A retest with a projection, done. */
        CHECKED
    }

    /** An attempt with its summary, as JSON. */
    public record Listed(
            UUID id,
            UUID athleteId,
            String athlete,
            String title,
            String division,
            LocalDate doneOn,
            @Nullable UUID retestOf,
            Place place,
            String document) {}

    /** In which order a list stands. */
    public enum Order {
        LATEST,
        EARLIEST,
        ATHLETE,
        WORKOUT
    }

    /**
     * Which attempts a list holds.
     *
     * @param words each has to be in the athlete's name or the title
     */
    public record Wanted(
            List<String> words,
            Optional<UUID> athlete,
            Optional<Place> place,
            Optional<LocalDate> from,
            Optional<LocalDate> to) {
        public static Wanted at(Place place) {
            return new Wanted(List.of(), Optional.empty(), Optional.of(place), Optional.empty(), Optional.empty());
        }
    }

    SummaryStore(DSLContext db) {
        this.db = db;
    }

    /** Attempts whose summary is missing, or of another version of them or of the rules; the latest first. */
    public List<UUID> stale(String rules, int atMost) {
        return db.select(ATTEMPT.ID)
                .from(ATTEMPT)
                .join(ATHLETE)
                .on(ATHLETE.ID.eq(ATTEMPT.ATHLETE_ID))
                .leftJoin(ATTEMPT_SUMMARY)
                .on(ATTEMPT_SUMMARY.ATTEMPT_ID.eq(ATTEMPT.ID))
                .where(AttemptStore.NOT_IN_THE_BIN, isStale(rules))
                .orderBy(ATTEMPT.DONE_ON.desc(), ATTEMPT.CREATED_AT.desc())
                .limit(atMost)
                .fetch(ATTEMPT.ID);
    }

    /** Changes whenever a summary may have gone out of date: every change of an attempt counts its version up. */
    public String state() {
        return db.select(DSL.count(), DSL.sum(ATTEMPT.LOG_VERSION))
                        .from(ATTEMPT)
                        .fetchSingle()
                        .toString()
                + db.select(DSL.count(), DSL.min(ATTEMPT_SUMMARY.RULES), DSL.max(ATTEMPT_SUMMARY.RULES))
                        .from(ATTEMPT_SUMMARY)
                        .fetchSingle()
                        .toString();
    }

    /** How many summaries have yet to be worked out. */
    public int staleCount(String rules) {
        return db.fetchCount(db.selectOne()
                .from(ATTEMPT)
                .join(ATHLETE)
                .on(ATHLETE.ID.eq(ATTEMPT.ATHLETE_ID))
                .leftJoin(ATTEMPT_SUMMARY)
                .on(ATTEMPT_SUMMARY.ATTEMPT_ID.eq(ATTEMPT.ID))
                .where(AttemptStore.NOT_IN_THE_BIN, isStale(rules)));
    }

    private static Condition isStale(String rules) {
        return ATTEMPT_SUMMARY
                .ATTEMPT_ID
                .isNull()
                .or(ATTEMPT_SUMMARY.LOG_VERSION.ne(ATTEMPT.LOG_VERSION))
                .or(ATTEMPT_SUMMARY.RULES.ne(rules));
    }

    /** How often an attempt has been changed; to be read before its summary is worked out. */
    public long version(UUID attemptId) {
        return db.select(ATTEMPT.LOG_VERSION)
                .from(ATTEMPT)
                .where(ATTEMPT.ID.eq(attemptId))
                .fetchOptional(ATTEMPT.LOG_VERSION)
                .orElse(0L);
    }

    /**
     * A summary, worked out from a version of the attempt.
     *
     * @param document as JSON
     * @param facts what the attempt shows of its athlete, as JSON; empty for nothing
     * @param entry what a field knows of it, as JSON; empty before it has a score
     */
    public record Made(
            UUID attemptId,
            long version,
            Place place,
            String title,
            LocalDate doneOn,
            String document,
            String facts,
            String entry) {}

    /** Keeps summaries worked out by some rules, all at once. */
    public void putAll(String rules, List<Made> made) {
        db.transaction(all -> made.forEach(one -> put(all.dsl(), rules, one)));
    }

    private static void put(DSLContext db, String rules, Made one) {
        db.mergeInto(ATTEMPT_SUMMARY)
                .columns(
                        ATTEMPT_SUMMARY.ATTEMPT_ID,
                        ATTEMPT_SUMMARY.LOG_VERSION,
                        ATTEMPT_SUMMARY.RULES,
                        ATTEMPT_SUMMARY.PLACE,
                        ATTEMPT_SUMMARY.TITLE,
                        ATTEMPT_SUMMARY.DONE_ON)
                .key(ATTEMPT_SUMMARY.ATTEMPT_ID)
                .values(
                        one.attemptId(),
                        one.version(),
                        rules,
                        AttemptSummaryPlace.valueOf(one.place().name()),
                        one.title(),
                        one.doneOn())
                .execute();
        db.mergeInto(ATTEMPT_SAID)
                .columns(ATTEMPT_SAID.ATTEMPT_ID, ATTEMPT_SAID.DOCUMENT, ATTEMPT_SAID.FACTS, ATTEMPT_SAID.ENTRY)
                .key(ATTEMPT_SAID.ATTEMPT_ID)
                .values(one.attemptId(), one.document(), one.facts(), one.entry())
                .execute();
    }

    /** How many attempts wait for what. */
    public Map<Place, Integer> counts() {
        Map<Place, Integer> counts = new EnumMap<>(Place.class);
        db.select(ATTEMPT_SUMMARY.PLACE, DSL.count())
                .from(SUMMED_UP)
                .where(AttemptStore.NOT_IN_THE_BIN)
                .groupBy(ATTEMPT_SUMMARY.PLACE)
                .forEach(row -> counts.put(Place.valueOf(row.value1().name()), row.value2()));
        return counts;
    }

    /** The attempts of a list, in its order: looked through once, without what is said of each. */
    public List<UUID> ids(Wanted wanted, Order order) {
        return ids(wanted, order, Integer.MAX_VALUE);
    }

    /** So many of them, the first. */
    public List<UUID> ids(Wanted wanted, Order order, int atMost) {
        return db.select(ATTEMPT.ID)
                .from(SUMMED_UP)
                .where(conditions(wanted))
                .orderBy(sorted(wanted, order))
                .limit(atMost)
                .fetch(ATTEMPT.ID);
    }

    /** What is said of attempts, in the order they are asked for. */
    public List<Listed> listed(List<UUID> ids) {
        Map<UUID, Listed> said = said(ids);
        return ids.stream().flatMap(id -> Stream.ofNullable(said.get(id))).toList();
    }

    private Map<UUID, Listed> said(List<UUID> ids) {
        return db.select(
                        ATTEMPT.ID,
                        ATTEMPT.ATHLETE_ID,
                        ATHLETE.NAME,
                        ATTEMPT_SUMMARY.TITLE,
                        ATTEMPT.DIVISION,
                        ATTEMPT.DONE_ON,
                        ATTEMPT.RETEST_OF,
                        ATTEMPT_SUMMARY.PLACE,
                        ATTEMPT_SAID.DOCUMENT)
                .from(SUMMED_UP)
                .join(ATTEMPT_SAID)
                .on(ATTEMPT_SAID.ATTEMPT_ID.eq(ATTEMPT.ID))
                .where(ATTEMPT.ID.in(ids))
                .fetchMap(
                        ATTEMPT.ID,
                        row -> new Listed(
                                row.value1(),
                                row.value2(),
                                row.value3(),
                                row.value4(),
                                row.value5(),
                                row.value6(),
                                row.value7(),
                                Place.valueOf(row.value8().name()),
                                row.value9()));
    }

    /**
     * What there is of an athlete.
     *
     * @param toReview how many attempts wait for a review
     * @param last the latest that was done
     * @param due the retest or planned attempt that comes first
     */
    public record OnRoster(UUID athleteId, int attempts, int toReview, Optional<UUID> last, Optional<UUID> due) {
        OnRoster with(UUID id, Place place) {
            boolean ahead = place == Place.PLANNED || place == Place.RETEST_DUE;
            return new OnRoster(
                    athleteId,
                    attempts + 1,
                    toReview + (place == Place.TO_REVIEW ? 1 : 0),
                    ahead ? last : Optional.of(id),
                    ahead ? due.or(() -> Optional.of(id)) : due);
        }
    }

    /** What there is of each athlete that has attempts with a summary. */
    public List<OnRoster> roster() {
        Map<UUID, OnRoster> roster = new LinkedHashMap<>();
        db.select(ATTEMPT.ATHLETE_ID, ATTEMPT.ID, ATTEMPT_SUMMARY.PLACE)
                .from(SUMMED_UP)
                .where(AttemptStore.NOT_IN_THE_BIN)
                .orderBy(ATTEMPT_SUMMARY.DONE_ON, ATTEMPT.CREATED_AT, ATTEMPT.ID)
                .forEach(row -> roster.merge(
                        row.value1(),
                        new OnRoster(row.value1(), 0, 0, Optional.empty(), Optional.empty())
                                .with(row.value2(), Place.valueOf(row.value3().name())),
                        (before, first) -> before.with(
                                row.value2(), Place.valueOf(row.value3().name()))));
        return List.copyOf(roster.values());
    }

    /** An attempt of an athlete, with its summary and what it shows, both as JSON. */
    public record Past(
            UUID id,
            UUID workoutId,
            int part,
            String title,
            String division,
            LocalDate doneOn,
            String notation,
            @Nullable UUID retestOf,
            String document,
            String facts) {}

    /** All of an athlete's attempts that have a summary, in order of date. */
    public List<Past> past(UUID athleteId) {
        return db.select(
                        ATTEMPT.ID,
                        ATTEMPT.WORKOUT_ID,
                        ATTEMPT.PART,
                        ATTEMPT_SUMMARY.TITLE,
                        ATTEMPT.DIVISION,
                        ATTEMPT.DONE_ON,
                        ATTEMPT.NOTATION,
                        ATTEMPT.RETEST_OF,
                        ATTEMPT_SAID.DOCUMENT,
                        ATTEMPT_SAID.FACTS)
                .from(ATTEMPT)
                .join(ATTEMPT_SUMMARY)
                .on(ATTEMPT_SUMMARY.ATTEMPT_ID.eq(ATTEMPT.ID))
                .join(ATTEMPT_SAID)
                .on(ATTEMPT_SAID.ATTEMPT_ID.eq(ATTEMPT.ID))
                .where(ATTEMPT.ATHLETE_ID.eq(athleteId), ATTEMPT.DELETED_AT.isNull())
                .orderBy(ATTEMPT.DONE_ON, ATTEMPT.CREATED_AT, ATTEMPT.ID)
                .fetch(Records.mapping(Past::new));
    }

    /** An attempt at a workout, with what is said of it and what a field knows of it, both as JSON. */
    public record InField(
            UUID id,
            UUID athleteId,
            String athlete,
            String division,
            LocalDate doneOn,
            String document,
            String entry) {}

    /** All attempts at a part of a workout that have marks and a summary, the latest first. */
    public List<InField> field(UUID workoutId, int part) {
        return db.select(
                        ATTEMPT.ID,
                        ATTEMPT.ATHLETE_ID,
                        ATHLETE.NAME,
                        ATTEMPT.DIVISION,
                        ATTEMPT.DONE_ON,
                        ATTEMPT_SAID.DOCUMENT,
                        ATTEMPT_SAID.ENTRY)
                .from(SUMMED_UP)
                .join(ATTEMPT_SAID)
                .on(ATTEMPT_SAID.ATTEMPT_ID.eq(ATTEMPT.ID))
                .where(
                        ATTEMPT.WORKOUT_ID.eq(workoutId),
                        ATTEMPT.PART.eq(part),
                        AttemptStore.NOT_IN_THE_BIN,
                        AttemptStore.IS_MARKED)
                .orderBy(ATTEMPT.DONE_ON.desc(), ATTEMPT.CREATED_AT.desc(), ATTEMPT.ID)
                .fetch(Records.mapping(InField::new));
    }

    private static List<Condition> conditions(Wanted wanted) {
        List<Condition> all = new ArrayList<>(List.of(AttemptStore.NOT_IN_THE_BIN));
        for (String word : wanted.words()) {
            // Written into the question: a pattern that is handed over with it is taken apart anew for every row.
            Field<String> anywhere = DSL.inline("%" + DSL.escape(word.toLowerCase(Locale.ROOT), ESCAPE) + "%");
            all.add(DSL.lower(ATHLETE.NAME)
                    .like(anywhere, ESCAPE)
                    .or(DSL.lower(ATTEMPT_SUMMARY.TITLE).like(anywhere, ESCAPE)));
        }
        wanted.athlete().map(ATTEMPT.ATHLETE_ID::eq).ifPresent(all::add);
        wanted.place()
                .map(place -> ATTEMPT_SUMMARY.PLACE.eq(AttemptSummaryPlace.valueOf(place.name())))
                .ifPresent(all::add);
        wanted.from().map(ATTEMPT_SUMMARY.DONE_ON::ge).ifPresent(all::add);
        wanted.to().map(ATTEMPT_SUMMARY.DONE_ON::le).ifPresent(all::add);
        return all;
    }

    /** Of one place, the place comes first: the index is walked, and nothing sorted. */
    private static List<SortField<?>> sorted(Wanted wanted, Order order) {
        List<SortField<?>> sorted = new ArrayList<>();
        if (wanted.place().isPresent()) {
            sorted.add(ATTEMPT_SUMMARY.PLACE.asc());
        }
        switch (order) {
            case ATHLETE -> sorted.add(ATHLETE.NAME.asc());
            case WORKOUT -> sorted.add(ATTEMPT_SUMMARY.TITLE.asc());
            case LATEST, EARLIEST -> {}
        }
        sorted.addAll(
                order == Order.EARLIEST
                        ? List.of(ATTEMPT_SUMMARY.DONE_ON.asc(), ATTEMPT.CREATED_AT.asc())
                        : List.of(ATTEMPT_SUMMARY.DONE_ON.desc(), ATTEMPT.CREATED_AT.desc()));
        sorted.add(ATTEMPT.ID.asc());
        return sorted;
    }
}
