package wake.api.portable;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.ServerAt;
import wake.ServerAt.Answer;
import wake.log.Granularity;
import wake.log.MarkKind;
import wake.movement.CatalogueFile;
import wake.movement.Movement;
import wake.review.Movements;
import wake.simulation.AthleteModel;
import wake.simulation.SimulatedAttempt;
import wake.store.AthleteStore;
import wake.store.AttemptStore;
import wake.store.MarkStore;
import wake.store.RecordingStore;
import wake.store.WorkoutStore;
import wake.units.Unit;
import wake.workout.ExpandedWorkout;
import wake.workout.NotationReader;
import wake.workout.Workout;

/** Out of one Wake and into another: the whole demo gym, with random attempts beside it ({@code -Dwake.portable=500}: more of them). */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class PortableTest {
    private static final int RANDOM_ATTEMPTS = Integer.getInteger("wake.portable", 120);
    private static final List<String> WORKOUTS = List.of(
            "# Sluice\nfor time, cap 9:00\n  3 rounds:\n    9 thruster @ 40 kg\n    6+2 burpee\n",
            "# Cistern\namrap 4:00\n  5 burpee\n  7 kettlebell swing @ 24 kg\n",
            "# Culvert\nevery 1:00 x 4\n  6 burpee\n  8 air squat\n");

    private ServerAt from;
    private ServerAt into;
    /** One with nothing in it, for what is refused. */
    private ServerAt empty;

    private String written;

    @BeforeAll
    void fill(@TempDir Path folder) {
        from = ServerAt.folder(folder.resolve("from"), "--wake.demo=true");
        into = ServerAt.folder(folder.resolve("into"));
        empty = ServerAt.folder(folder.resolve("empty"));
        random();
        written = everything(from);
    }

    @AfterAll
    void close() {
        from.close();
        into.close();
        empty.close();
    }

    private static String everything(ServerAt wake) {
        Answer answer = wake.get("/api/data/everything.json");
        assertThat(answer.status()).isEqualTo(200);
        return new String(answer.raw().body(), StandardCharsets.UTF_8);
    }

    /** Marks of every kind and depth, on videos and on the clock, some of them nonsense where they stand. */
    private void random() {
        SplittableRandom random = new SplittableRandom(11);
        UUID athlete = UUID.randomUUID();
        from.bean(AthleteStore.class)
                .put(new AthleteStore.Athlete(
                        athlete, "Ivo \"Eddy\" Brakk\u00e5", "=1+1", "max clean 80 kg", "", true));
        for (String notation : WORKOUTS) {
            UUID workout = UUID.randomUUID();
            Workout read =
                    NotationReader.read(notation, CatalogueFile.shipped()).orThrow();
            from.bean(WorkoutStore.class).put(new WorkoutStore.StoredWorkout(workout, read.title(), notation, false));
            for (int i = 0; i < RANDOM_ATTEMPTS / WORKOUTS.size() + 1; i++) {
                attempt(random, athlete, workout, notation, read);
            }
        }
    }

    private void attempt(SplittableRandom random, UUID athlete, UUID workout, String notation, Workout read) {
        UUID id = new UUID(random.nextLong(), random.nextLong());
        LocalDate day = LocalDate.of(2020, 1, 1).plusDays(random.nextInt(2000));
        from.bean(AttemptStore.class)
                .add(new AttemptStore.Attempt(id, athlete, "", workout, "", day, notation, null, 0, 1));
        UUID video = random.nextBoolean() ? new UUID(random.nextLong(), random.nextLong()) : null;
        if (video != null) {
            RecordingStore recordings = from.bean(RecordingStore.class);
            recordings.add(RecordingStore.Recording.video(video, id, "film " + random.nextInt(9), "video/mp4", 1234));
            if (random.nextBoolean()) {
                recordings.go(video, id, random.nextInt(9000), random.nextDouble());
            }
        }
        AthleteModel model = new AthleteModel(Map.of(), 0.3, 0.1, 2500, 5000, 0.5, Map.of("thruster", 4), 0.05);
        SimulatedAttempt attempt =
                SimulatedAttempt.run(ExpandedWorkout.of(read, 0, CatalogueFile.shipped()), model, random.nextLong());
        List<MarkStore.StoredMark> marks = attempt.truth().stream()
                .filter(mark -> random.nextInt(3) == 0)
                .map(mark -> new MarkStore.StoredMark(
                        new UUID(random.nextLong(), random.nextLong()),
                        id,
                        random.nextInt(3) > 0 ? video : null,
                        random.nextInt(30) == 0 ? MarkKind.CUE : mark.kind(),
                        mark.atMs(),
                        mark.reps(),
                        random.nextInt(9) == 0 ? Granularity.SEGMENT : mark.depth(),
                        random.nextInt(9) == 0 ? "breath" : "",
                        random.nextInt(9) == 0 ? "\u00fc \"\\ \n </script>" : "",
                        random.nextDouble()))
                .toList();
        String plan = "/api/attempts/" + id + "/plan";
        boolean planned = random.nextInt(4) == 0;
        String drafted = planned ? from.get(plan).json().at("/plan").toString() : "";
        if (planned) {
            from.put(plan, drafted);
        }
        from.bean(MarkStore.class).addAll(id, marks);
        if (planned && random.nextBoolean()) {
            from.put(plan, drafted.replaceFirst("\"transitionMs\":\\d+", "\"transitionMs\":7654"));
        }
    }

    @Test
    void whatGoesOutFitsThePublishedSchema() {
        Answer schema = from.get("/api/schema/wake-1.json");
        var published = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(new String(schema.raw().body(), StandardCharsets.UTF_8));
        assertThat(published.validate(written, InputFormat.JSON)).isEmpty();
    }

    @Test
    void everythingOutAndInIsTheSame() {
        Answer taken = into.post("/api/data/import", written.getBytes(StandardCharsets.UTF_8));
        assertThat(taken.status()).as(taken.json().toString()).isEqualTo(200);
        assertThat(taken.number("/attempts")).isGreaterThan(RANDOM_ATTEMPTS);
        assertThat(written).contains("\"planDoneWith\"");
        assertThat(everything(into)).isEqualTo(written);
        // Once more, and nothing is doubled.
        Answer again = into.post("/api/data/import", written.getBytes(StandardCharsets.UTF_8));
        assertThat(again.number("/attempts")).isZero();
        assertThat(again.number("/known")).isGreaterThan(RANDOM_ATTEMPTS);
        assertThat(everything(into)).isEqualTo(written);
    }

    @Test
    void anAttemptAndAnAthleteOutAndInAreTheSame(@TempDir Path fresh) {
        String athlete = athlete(from, "Maren Tidewell");
        String attempt = from.get("/api/attempts?size=50&athlete=" + athlete).text("/rows/0/id");
        try (ServerAt wake = ServerAt.folder(fresh)) {
            String one = text(from, "/api/attempts/" + attempt + "/files/attempt.json");
            assertThat(wake.post("/api/data/import", one.getBytes(StandardCharsets.UTF_8))
                            .status())
                    .isEqualTo(200);
            assertThat(text(wake, "/api/attempts/" + attempt + "/files/attempt.json"))
                    .isEqualTo(one);
            assertThat(wake.get("/api/attempts/" + attempt + "/reading").text("/answer"))
                    .isEqualTo(from.get("/api/attempts/" + attempt + "/reading").text("/answer"));
            String all = text(from, "/api/athletes/" + athlete + "/athlete.json");
            Answer taken = wake.post("/api/data/import", all.getBytes(StandardCharsets.UTF_8));
            assertThat(taken.status()).as(taken.json().toString()).isEqualTo(200);
            assertThat(text(wake, "/api/athletes/" + athlete + "/athlete.json")).isEqualTo(all);
        }
    }

    private static String athlete(ServerAt wake, String name) {
        for (var one : wake.get("/api/athletes").json()) {
            if (one.at("/name").asString().equals(name)) {
                return one.at("/id").asString();
            }
        }
        throw new AssertionError("There is no " + name);
    }

    private static String text(ServerAt wake, String path) {
        return new String(wake.get(path).raw().body(), StandardCharsets.UTF_8);
    }

    /** Foreign, broken, half, of a newer kind: the line is named, and nothing is kept. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{}|Line 1: this is not a Wake export",
                "[1, 2]|Line 1: this is not a Wake export",
                "{;\"format\": \"wake\",;\"version\": 1,|Line 3: this is not complete JSON",
                "{\"format\": \"wake\", \"version\": 7}|version must be 1, not 7",
                "{\"format\":\"wake\",\"version\":1,\"athletes\":[],\"workouts\":[]}|missing: attempts",
                "{\"format\":\"wake\",\"version\":1,\"athletes\":[],\"workouts\":[],\"attempts\":[],\"more\":1}|more: this does not belong",
                "{\"format\":\"wake\",\"version\":1,\"athletes\":[],\"workouts\":[],\"attempts\":[]};[]|Line 2: remove what follows the end",
                "{;\"format\": \"wake\",;\"version\": 1,;\"athletes\": [;{\"id\": \"x\"}],;\"workouts\": [], \"attempts\": []}|Line 5: athletes 0"
            })
    void aFileThatDoesNotFitIsSaidByItsLine(String file, String reason) {
        long before = from.get("/api/athletes").json().size();
        Answer answer = from.post("/api/data/import", file.replace(';', '\n').getBytes(StandardCharsets.UTF_8));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.text("/detail")).contains(reason).endsWith("Nothing was imported.");
        assertThat(from.get("/api/athletes").json().size()).isEqualTo(before);
    }

    @Test
    void halfAFileAndATamperedOneKeepNothing(@TempDir Path fresh) {
        try (ServerAt wake = ServerAt.folder(fresh)) {
            String empty = everything(wake);
            String half = written.substring(0, written.length() / 2);
            assertThat(refusal(wake, half)).contains("not complete JSON");
            String stranger = written.replaceFirst(
                    "\"athleteId\" : \"[0-9a-f-]+\"", "\"athleteId\" : \"" + new UUID(1, 2) + "\"");
            assertThat(refusal(wake, stranger)).contains("there is no such athlete");
            String day = written.replaceFirst("\"doneOn\" : \"[0-9-]+\"", "\"doneOn\" : \"2026-99-99\"");
            assertThat(refusal(wake, day)).isNotEmpty();
            assertThat(everything(wake)).isEqualTo(empty);
        }
    }

    private static String refusal(ServerAt wake, String file) {
        Answer answer = wake.post("/api/data/import", file.getBytes(StandardCharsets.UTF_8));
        assertThat(answer.status()).isEqualTo(422);
        return answer.text("/detail");
    }

    /** Own movements are looked at first; of a file that is refused after that none may stay, not even in memory. */
    @Test
    void theMovementsOfARefusedFileAreNotKnownAfterwards(@TempDir Path fresh) {
        try (ServerAt wake = ServerAt.folder(fresh)) {
            var own = wake.bean(Movements.class);
            own.put(Movement.custom("tarn crawl", Unit.METRE));
            String file = everything(wake);
            own.remove("tarn crawl");
            String stranger =
                    file.replaceFirst("\"attempts\" : \\[ *\\]", "\"attempts\" : [" + anAttemptOfNobody() + "]");
            assertThat(stranger).contains("tarn crawl").isNotEqualTo(file);
            assertThat(refusal(wake, stranger)).contains("there is no such athlete");
            assertThat(own.catalogue().find("tarn crawl")).isEmpty();
            assertThat(own.own()).isEmpty();
        }
    }

    private static String anAttemptOfNobody() {
        return """
                {"id":"%1$s","athleteId":"%1$s","workoutId":"%1$s","part":0,"division":"","doneOn":"2026-01-01",
                 "notation":"# A\\nfor time\\n  5 burpee\\n","cutInto":1,"note":"","cardSentence":"","recordings":[],
                 "uses":[],"go":[],"marks":[],"traces":[]}""".formatted(new UUID(3, 4));
    }

    /** An attempt of a known athlete at a known workout, with something in it that its own request would be refused for. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "settings|{`gym`:{`bar`:`20 kg`,`plates`:`x`,`credits`:{}}}",
                "settings|{`gym`:{}}",
                "settings|{`log`:{`keys`:{`a`:`x`,`b`:`x`},`phrases`:[]}}",
                "settings|{`nothing`:{}}",
                "plan|{`schemaVersion`:1,`document`:[]}",
                "plan|{`schemaVersion`:2,`document`:[]}",
                "plan|{`schemaVersion`:2,`document`:{}}",
                "plan|{`schemaVersion`:2,`document`:{`lines`:[{}]}}",
                "plan|{`schemaVersion`:9,`document`:{`lines`:[]}}",
                "chosen|{`schemaVersion`:2,`document`:{}}",
                "chosen|{`schemaVersion`:2,`document`:{`changes`:[{`kind`:`nothing`,`movement`:``,`target`:1,`on`:true}]}}",
                "chosen|{`schemaVersion`:2,`document`:{`changes`:[],`place`:0}}",
                "chosen|{`schemaVersion`:2,`document`:{`changes`:[],`credits`:{`SHOWN`:7}}}",
                "called|{`schemaVersion`:1,`document`:{`changes`:[]}}",
                "called|{`schemaVersion`:1,`document`:{`changes`:[],`before`:{`kind`:`x`},`together`:null,`onEvidence`:null}}",
                "simulation|{`seed`:1,`athlete`:null}",
                "simulation|{`seed`:1,`athlete`:{`cadence`:{`burpee`:-1}}}",
                "simulation|{}",
                "movements|[{`name`:`burpee`}]",
                "movements|[{`name`:`tarn crawl`}]",
                "workouts|# No format",
                "title|Another name"
            })
    void whatItsOwnRequestWouldBeRefusedForIsNotTakenIn(String where, String what) {
        String before = everything(empty);
        String said = refusal(empty, oneAttempt(where, what.replace('`', '"')));
        assertThat(said)
                .startsWith("Line ")
                .endsWith("Nothing was imported.")
                .doesNotContain("stands twice")
                .doesNotContainPattern("java[.]|jackson|Exception|Json|`");
        assertThat(everything(empty)).isEqualTo(before);
    }

    /** A whole file with one thing otherwise than Wake would write it. */
    private static String oneAttempt(String where, String what) {
        String notation = where.equals("workouts") ? what : "# A\\nfor time\\n  5 burpee\\n";
        String video = where.equals("simulation")
                ? "[{\"id\":\"%s\",\"kind\":\"simulated\",\"label\":\"a\",\"mediaType\":\"application/json\",\"sizeBytes\":0,\"simulation\":%s}]"
                        .formatted(new UUID(5, 5), what)
                : "[]";
        String kept = Set.of("plan", "chosen", "called").contains(where) ? "\"%s\":%s,".formatted(where, what) : "";
        String beside = Set.of("settings", "movements").contains(where) ? "\"%s\":%s,".formatted(where, what) : "";
        return """
                {"format":"wake","version":1,%s
                 "athletes":[{"id":"%2$s","name":"Ina Sandbar","note":"","figures":"","pain":"","recoversSlowly":false}],
                 "workouts":[{"id":"%7$s","title":"%3$s","notation":"%4$s","archived":false}],
                 "attempts":[{"id":"%8$s","athleteId":"%2$s","workoutId":"%7$s","part":0,"division":"","doneOn":"2026-01-01",
                 "notation":"# A\\nfor time\\n  5 burpee\\n","cutInto":1,"note":"","cardSentence":"","recordings":%5$s,
                 "uses":[],"go":[],"marks":[],%6$s"traces":[]}]}""".formatted(
                        beside,
                        new UUID(3, 4),
                        where.equals("title") ? what : "A",
                        notation,
                        video,
                        kept,
                        new UUID(3, 5),
                        new UUID(3, 6));
    }

    @Test
    void whatThePublishedSchemaAllowsIsTakenInAlsoBehindAByteOrderMark(@TempDir Path fresh) {
        try (ServerAt wake = ServerAt.folder(fresh)) {
            byte[] marked = ("\uFEFF" + oneAttempt("", "")).getBytes(StandardCharsets.UTF_8);
            Answer taken = wake.post("/api/data/import", marked);
            assertThat(taken.status()).as(taken.json().toString()).isEqualTo(200);
            assertThat(taken.number("/attempts")).isEqualTo(1);
            assertThat(wake.get("/api/workouts").json()).hasSize(1);
        }
    }

    /** Megabytes of brackets: refused at once, with the room of one part, while others are answered. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "{\"format\":\"wake\",\"version\":1,\"athletes\":",
                "{\"format\":\"wake\",\"version\":1,\"attempts\":[{\"marks\":",
                "{\"format\":\"wake\",\"version\":1,\"settings\":{\"gym\":{\"a\":",
                "{\"format\":\"wake\",\"version\":1,\"movements\":[{\"name\":\"a\",\"b\":"
            })
    void megabytesOfNothingAreRefusedAtOnce(String before) {
        StringBuilder file = new StringBuilder(33 << 20).append(before).append('[');
        while (file.length() < (33 << 20) - 10) {
            file.append("[],");
        }
        byte[] nothing = file.append("[]]").toString().getBytes(StandardCharsets.UTF_8);
        Instant begun = Instant.now();
        Answer answer = empty.post("/api/data/import", nothing);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(Duration.between(begun, Instant.now())).isLessThan(Duration.ofSeconds(20));
        assertThat(answer.text("/detail")).hasSizeLessThan(20_000);
    }

    @Test
    void aFileThatIsNoTextOrTooLargeIsRefused() {
        assertThat(from.post("/api/data/import", new byte[] {(byte) 0xff, (byte) 0xfe, 1})
                        .text("/detail"))
                .contains("this is not complete JSON");
        assertThat(from.post("/api/data/import", new byte[34 << 20]).status()).isEqualTo(413);
    }
}
