package wake.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.nio.file.Path;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.exception.IntegrityConstraintViolationException;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wake.log.Granularity;
import wake.log.MarkKind;
import wake.store.AthleteStore.Athlete;
import wake.store.AttemptStore.Attempt;
import wake.store.MarkStore.StoredMark;
import wake.store.RecordingStore.Recording;
import wake.store.WorkoutStore.StoredWorkout;

/** The stores over a real H2 file, closed and opened again between writing and reading. */
class StoresTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-11-25T08:00:00Z"), ZoneOffset.UTC);

    @TempDir
    Path folder;

    private final UUID attemptId = UUID.randomUUID();
    private final UUID recordingId = UUID.randomUUID();

    @BeforeEach
    void migrate() {
        Flyway.configure().dataSource(url(), "sa", "").load().migrate();
        open(db -> {
            UUID athlete = UUID.randomUUID();
            UUID workout = UUID.randomUUID();
            new AthleteStore(db, CLOCK).put(new Athlete(athlete, "Ina Sandbar", "", "", "", false));
            new WorkoutStore(db, CLOCK).put(new StoredWorkout(workout, "Ebb Ladder", "# Ebb Ladder\n", false));
            new AttemptStore(db, CLOCK)
                    .add(new Attempt(
                            attemptId,
                            athlete,
                            "",
                            workout,
                            "women",
                            LocalDate.of(2026, 11, 20),
                            "# Ebb\n",
                            null,
                            0,
                            1));
            new RecordingStore(db, CLOCK).add(recording());
            return null;
        });
    }

    @Test
    void anAttemptComesBackWithItsAthleteAndTheWorkoutAsItStood() {
        open(db -> {
            UUID workout = new WorkoutStore(db, CLOCK).all().getFirst().id();
            new WorkoutStore(db, CLOCK).put(new StoredWorkout(workout, "Ebb Ladder II", "# Ebb Ladder II\n", true));
            return null;
        });
        Attempt attempt =
                open(db -> new AttemptStore(db, CLOCK).find(attemptId)).orElseThrow();
        assertThat(attempt.athlete()).isEqualTo("Ina Sandbar");
        assertThat(attempt.notation()).isEqualTo("# Ebb\n");
        assertThat(attempt.doneOn()).isEqualTo(LocalDate.of(2026, 11, 20));
    }

    @Test
    void marksComeBackInTheOrderTheyWereMadeAndACorrectionKeepsItsPlace() {
        StoredMark first = mark(MarkKind.BEGIN, 900);
        StoredMark second = mark(MarkKind.DONE, 20_000);
        open(db -> {
            MarkStore marks = new MarkStore(db);
            marks.put(first);
            marks.put(second);
            marks.put(new StoredMark(
                    first.id(), attemptId, recordingId, MarkKind.BEGIN, 950, 0, Granularity.SET, "", "", 0.01));
            return null;
        });
        assertThat(marks()).extracting(StoredMark::atMs).containsExactly(950L, 20_000L);
    }

    @Test
    void aMarkOfAnUnknownAttemptIsRefusedByTheDatabase() {
        StoredMark stray = new StoredMark(
                UUID.randomUUID(), UUID.randomUUID(), null, MarkKind.REP, 1, 0, Granularity.SET, "", "", 0.1);
        assertThatThrownBy(() -> open(db -> {
                    new MarkStore(db).put(stray);
                    return null;
                }))
                .isInstanceOf(IntegrityConstraintViolationException.class);
    }

    @Test
    void aRepeatedRequestAddsNothingTwice() {
        open(db -> {
            new RecordingStore(db, CLOCK).add(recording());
            MarkStore marks = new MarkStore(db);
            StoredMark mark = mark(MarkKind.REP, 5);
            marks.put(mark);
            marks.put(mark);
            return null;
        });
        assertThat(recordings()).hasSize(1);
        assertThat(marks()).hasSize(1);
    }

    @Test
    void goIsSetAndForgotten() {
        open(db -> {
            new RecordingStore(db, CLOCK).go(recordingId, attemptId, 5000, 0.01);
            return null;
        });
        assertThat(recordings().getFirst().goMs()).isEqualTo(5000);
        open(db -> {
            new RecordingStore(db, CLOCK).forgetGo(recordingId, attemptId);
            return null;
        });
        assertThat(recordings().getFirst().goMs()).isNull();
    }

    @Test
    void partsOfADayShareTheirRecordingsEachWithAGoOfItsOwn() {
        UUID partB = UUID.randomUUID();
        open(db -> {
            AttemptStore attempts = new AttemptStore(db, CLOCK);
            Attempt first = attempts.find(attemptId).orElseThrow();
            attempts.add(new Attempt(
                    partB,
                    first.athleteId(),
                    "",
                    first.workoutId(),
                    first.division(),
                    first.doneOn(),
                    first.notation(),
                    null,
                    1,
                    1));
            RecordingStore cameras = new RecordingStore(db, CLOCK);
            cameras.go(recordingId, attemptId, 5000, 0.01);
            cameras.go(recordingId, partB, 605_000, 0.01);
            return null;
        });
        List<Attempt> day = open(db -> {
            AttemptStore attempts = new AttemptStore(db, CLOCK);
            return attempts.day(attempts.find(partB).orElseThrow());
        });
        assertThat(day).extracting(Attempt::part).containsExactly(0, 1);
        List<Recording> forB = open(db -> new RecordingStore(db, CLOCK).of(List.of(attemptId, partB), partB));
        assertThat(forB)
                .singleElement()
                .satisfies(camera -> assertThat(camera.goMs()).isEqualTo(605_000));
        assertThat(recordings().getFirst().goMs()).isEqualTo(5000);
    }

    @Test
    void everyVersionOfAPlanIsKeptAndTheNewestIsInForce() {
        open(db -> {
            new PlanStore(db, CLOCK).put(attemptId, new Document(1, "[1]"), "Kept");
            new PlanStore(db, CLOCK).put(attemptId, new Document(2, "[2]"), "Goal 8:45");
            return null;
        });
        assertThat(plan()).contains(new Document(2, "[2]"));
        open(db -> {
            new PlanStore(db, CLOCK).remove(attemptId, "Reset to draft plan");
            return null;
        });
        assertThat(plan()).isEmpty();
        Optional<Document> first = open(db -> new PlanStore(db, CLOCK).find(attemptId, 1));
        assertThat(first).contains(new Document(1, "[1]"));
        List<PlanStore.Version> versions = open(db -> new PlanStore(db, CLOCK).versions(attemptId));
        assertThat(versions)
                .extracting(PlanStore.Version::version, PlanStore.Version::madeBy, PlanStore.Version::draft)
                .containsExactly(
                        tuple(3, "Reset to draft plan", true), tuple(2, "Goal 8:45", false), tuple(1, "Kept", false));
    }

    @Test
    void retestChoicesAreReplacedWhole() {
        open(db -> {
            new RetestStore(db, CLOCK).put(attemptId, new Document(1, "[3]"));
            new RetestStore(db, CLOCK).put(attemptId, new Document(1, "[4]"));
            return null;
        });
        assertThat(retest()).contains(new Document(1, "[4]"));
    }

    private List<StoredMark> marks() {
        return open(db -> new MarkStore(db).of(attemptId));
    }

    private List<Recording> recordings() {
        return open(db -> new RecordingStore(db, CLOCK).of(List.of(attemptId), attemptId));
    }

    private Optional<Document> plan() {
        return open(db -> new PlanStore(db, CLOCK).find(attemptId));
    }

    private Optional<Document> retest() {
        return open(db -> new RetestStore(db, CLOCK).find(attemptId));
    }

    private Recording recording() {
        return new Recording(
                recordingId,
                attemptId,
                RecordingStore.Kind.VIDEO,
                "a.webm",
                "video/webm",
                10,
                60_000L,
                null,
                null,
                false);
    }

    private StoredMark mark(MarkKind kind, long atMs) {
        return new StoredMark(UUID.randomUUID(), attemptId, recordingId, kind, atMs, 0, Granularity.SET, "", "", 0.1);
    }

    private String url() {
        return "jdbc:h2:file:" + folder.resolve("wake") + ";WRITE_DELAY=0";
    }

    private interface Work<T> {
        T in(DSLContext db);
    }

    private <T> T open(Work<T> work) {
        try (var connection = DriverManager.getConnection(url(), "sa", "")) {
            return work.in(DSL.using(connection, SQLDialect.H2));
        } catch (SQLException broken) {
            throw new IllegalStateException(broken);
        }
    }
}
