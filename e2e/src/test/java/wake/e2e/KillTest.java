package wake.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import org.flywaydb.core.Flyway;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import tools.jackson.databind.JsonNode;
import wake.e2e.Asks.Answer;

/**
 * Kills Wake at random moments: while it starts, renews an old folder, logs, takes in a video, converts it, plans, and puts a backup back. After
 * each kill it starts again; what was being asked is asked once more under the same id, as the interface does; then everything that was
 * acknowledged is there, once and whole. {@code -Dwake.kills=1000} kills that often.
 */
@Execution(ExecutionMode.CONCURRENT)
class KillTest {
    private static final String NOTATION = "# Neap\nfor time\n  2000 burpee\n";

    @TempDir
    Path folder;

    private final Random random = new Random(Long.getLong("wake.kills.seed", 4));
    private WakeProcess wake;
    private Asks asks;

    /** What must be there. */
    private static final class Known {
        List<UUID> marks = new ArrayList<>();
        Map<UUID, byte[]> videos = new TreeMap<>();
        int plans;

        Known copy() {
            Known copy = new Known();
            copy.marks = new ArrayList<>(marks);
            copy.videos = new TreeMap<>(videos);
            copy.plans = plans;
            return copy;
        }
    }

    private final UUID attempt = new UUID(7, 7);
    private Known known = new Known();
    private byte @Nullable [] backup;
    private Known backedUp = new Known();
    /** What was being asked when it was killed: to be asked again, and what holds once it is answered. */
    private @Nullable Asked pending;

    private final Map<String, Integer> killedWhile = new TreeMap<>();
    private static byte @Nullable [] film;

    private record Asked(String what, Ask again, Runnable then) {}

    private interface Ask {
        /** Whether it was answered; false when nobody answered. */
        boolean ask();
    }

    @Test
    void nothingAcknowledgedIsLostDoubledOrHalf() throws Exception {
        int kills = Integer.getInteger("wake.kills", 2);
        int folders = 0;
        Path data = newFolder(folders++);
        for (int kill = 0; kill < kills; kill++) {
            if (kill % 12 == 11) {
                data = newFolder(folders++);
            }
            // The file is written anew so often that kills come in the middle of that, too.
            wake = WakeProcess.of(
                    data, "-Dwake.tidy-after=PT1S", "-Dwake.compact-above=400000", "-Dwake.compact-every=PT0.5S");
            asks = new Asks(wake);
            wake.begin();
            boolean early = random.nextInt(5) < 2;
            if (early) {
                Thread.sleep(300 + random.nextInt(7000));
                killedWhile.merge(wake.answers() ? "just started" : "starting", 1, Integer::sum);
                wake.kill();
            } else {
                wake.expectReady();
                check(data);
                workUntilKilled();
            }
            if ((kill + 1) % 50 == 0) {
                System.out.println((kill + 1) + " kills: " + killedWhile);
            }
        }
        wake = WakeProcess.start(data, false);
        asks = new Asks(wake);
        check(data);
        wake.close();
        System.out.println("Killed while " + killedWhile);
    }

    /** Every other one is a folder of an older Wake, to be renewed at its first start. */
    private Path newFolder(int number) throws SQLException, IOException {
        Path data = Files.createDirectories(folder.resolve("data" + number));
        known = new Known();
        pending = null;
        backup = null;
        if (number % 2 == 1) {
            String url = "jdbc:h2:file:" + data.resolve("wake");
            Flyway.configure().dataSource(url, "sa", "").target("8").load().migrate();
            try (Connection db = DriverManager.getConnection(url, "sa", "")) {
                for (int i = 0; i < 300; i++) {
                    db.createStatement()
                            .execute(
                                    "insert into athlete (id, name, note, created_at) values (random_uuid(), 'Ina Sandbar "
                                            + i + "', '" + "x".repeat(500) + "', current_timestamp)");
                }
            }
        }
        return data;
    }

    private void check(Path data) throws IOException {
        boolean old = data.getFileName().toString().matches("data\\d*[13579]");
        if (old) {
            assertThat(asks.get("/api/athletes").json().size()).as(wake.said()).isGreaterThanOrEqualTo(300);
        }
        enter();
        settle();
        JsonNode open = asks.get("/api/attempts/" + attempt).json();
        List<UUID> marks = new ArrayList<>();
        open.at("/log/marks")
                .forEach(mark -> marks.add(UUID.fromString(mark.at("/id").asString())));
        assertThat(marks).containsExactlyElementsOf(known.marks);
        assertThat(asks.get("/api/attempts/" + attempt + "/plan")
                        .json()
                        .at("/version")
                        .asInt())
                .isEqualTo(known.plans);
        for (var video : known.videos.entrySet()) {
            byte[] kept =
                    asks.get("/api/recordings/" + video.getKey() + "/media").body();
            assertThat(kept.length).isPositive();
            if (video.getValue().length > 0) {
                assertThat(Arrays.equals(kept, video.getValue()))
                        .as("video " + video.getKey())
                        .isTrue();
            }
        }
        assertThat(open.at("/recordings").size()).isEqualTo(known.videos.size());
    }

    private void enter() {
        UUID athlete = new UUID(7, 1);
        UUID workout = new UUID(7, 2);
        asks.put("/api/athletes/" + athlete, "{\"name\":\"Ola Skerry\"}");
        asks.put("/api/workouts/" + workout, "{\"notation\":\"" + NOTATION.replace("\n", "\\n") + "\"}");
        Answer entered = asks.put("/api/attempts/" + attempt, """
                {"athleteId":"%s","workoutId":"%s","division":"","doneOn":"2026-11-20","part":0,"cutInto":1}""".formatted(athlete, workout));
        assertThat(entered.status()).as(entered.text()).isEqualTo(200);
    }

    private void settle() {
        Asked asked = pending;
        if (asked != null) {
            assertThat(asked.again().ask()).as(asked.what() + " asked again").isTrue();
            asked.then().run();
            pending = null;
        }
    }

    private void workUntilKilled() throws Exception {
        AtomicBoolean killed = new AtomicBoolean();
        int after = 50 + random.nextInt(2500);
        Thread killer = Thread.ofVirtual().start(() -> {
            try {
                Thread.sleep(after);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
            wake.kill();
            killed.set(true);
        });
        while (!killed.get()) {
            Asked next = next();
            if (!next.again().ask()) {
                pending = next;
                killedWhile.merge(next.what(), 1, Integer::sum);
                break;
            }
            next.then().run();
        }
        killer.join();
        String left = conversions();
        for (int i = 0; i < 100 && !left.isBlank(); i++) {
            Thread.sleep(100);
            left = conversions();
        }
        assertThat(left).as("no conversion outlives Wake").isBlank();
    }

    /** The processes that convert a video of this folder; they are given a while to see that Wake has ended. */
    private String conversions() throws IOException {
        Process found = new ProcessBuilder("pgrep", "-f", folder + ".*converted").start();
        return new String(found.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }

    private Asked next() {
        int pick = random.nextInt(100);
        if (pick < 62) {
            return mark();
        }
        if (pick < 72 && !known.marks.isEmpty()) {
            UUID move = UUID.randomUUID();
            return asked("undoing", () -> ok(asks.post(at("/marks/undo/" + move), "")), () -> known.marks.removeLast());
        }
        if (pick < 80) {
            return plan();
        }
        if (pick < 88) {
            byte[] clip = new byte[200_000 + random.nextInt(200_000)];
            random.nextBytes(clip);
            System.arraycopy(WEBM, 0, clip, 0, WEBM.length);
            return video("taking in a video", clip, clip);
        }
        if (pick < 92 && film() != null) {
            return video("converting a video", film(), new byte[0]);
        }
        if (pick < 95) {
            return asked(
                    "backing up",
                    () -> {
                        Answer answer = asks.get("/api/data/backup?recordings=true");
                        if (answer.status() != 200) {
                            return false;
                        }
                        backup = answer.body();
                        backedUp = known.copy();
                        return true;
                    },
                    () -> {});
        }
        return backup == null ? mark() : restore(backup);
    }

    private static Asked asked(String what, Ask again, Runnable then) {
        return new Asked(what, again, then);
    }

    private String at(String path) {
        return "/api/attempts/" + attempt + path;
    }

    /** Refused is a fault here; not answered is what a kill does. */
    private static boolean ok(Answer answer) {
        if (answer.status() == 0) {
            return false;
        }
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return true;
    }

    private Asked mark() {
        UUID id = UUID.randomUUID();
        String body = """
                {"kind":"CUE","atMs":%d,"reps":0,"depth":"SET","tag":"","text":"seen","made":"TAPPED","step":1}""".formatted(1000L * known.marks.size());
        return asked("logging", () -> ok(asks.put(at("/marks/" + id), body)), () -> known.marks.add(id));
    }

    /** A plan made from a version: asked again after it was kept, it is a conflict, and then kept below the one in force. */
    private Asked plan() {
        int from = known.plans;
        String body = """
                {"lines":[{"lineIndex":0,"every":{"transitionMs":0,"sets":"unbroken","secondsPerUnit":3,"restMs":0},"rounds":{}}]}""";
        return asked(
                "planning",
                () -> {
                    Answer now = asks.get(at("/plan"));
                    if (now.status() == 0) {
                        return false;
                    }
                    return now.json().at("/version").asInt() > from || ok(asks.put(at("/plan?from=" + from), body));
                },
                () -> known.plans++);
    }

    private Asked video(String what, byte[] bytes, byte[] kept) {
        UUID id = UUID.randomUUID();
        return asked(what, () -> sent(at("/recordings/" + id + "/upload"), bytes), () -> known.videos.put(id, kept));
    }

    /** As the interface sends it: from where the last piece ended, until it is stored. */
    private boolean sent(String place, byte[] bytes) {
        Answer state = asks.put(place, "{\"label\":\"clip\",\"sizeBytes\":" + bytes.length + "}");
        for (int step = 0; step < 400 && ok(state); step++) {
            JsonNode view = state.json();
            int received = view.at("/receivedBytes").asInt();
            switch (view.at("/stage").asString()) {
                case "STORED" -> {
                    return true;
                }
                case "COMING" ->
                    state = asks.post(
                            place + "?offset=" + received,
                            Arrays.copyOfRange(bytes, received, Math.min(bytes.length, received + 60_000)));
                case "CONVERTING" -> {
                    pause();
                    state = asks.get(place);
                }
                default -> state = asks.post(place + "/finish", "");
            }
        }
        return false;
    }

    private static void pause() {
        try {
            Thread.sleep(50);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    /** Killed while it goes on, there is all of the old or all of the new. */
    private Asked restore(byte[] file) {
        Known before = known.copy();
        Known after = backedUp.copy();
        boolean[] first = {true};
        Known[] is = {after};
        return asked(
                "putting a backup back",
                () -> {
                    if (!first[0]) {
                        Answer now = asks.get(at(""));
                        int marks = now.status() == 200
                                ? now.json().at("/log/marks").size()
                                : -1;
                        int plans = asks.get(at("/plan")).json().at("/version").asInt();
                        boolean old = marks == before.marks.size() && plans == before.plans;
                        boolean fresh = marks == after.marks.size() && plans == after.plans;
                        assertThat(old || fresh)
                                .as("all of the old or all of the new")
                                .isTrue();
                        int videos = now.json().at("/recordings").size();
                        is[0] = fresh && videos == after.videos.size() ? after : before;
                        return true;
                    }
                    first[0] = false;
                    Answer offered = asks.post("/api/data/restore", file);
                    if (!ok(offered)) {
                        return false;
                    }
                    return ok(asks.post(
                            "/api/data/restore/" + offered.json().at("/id").asString(), ""));
                },
                () -> known = is[0].copy());
    }

    /** The first bytes of a WebM file (RFC 8794, 11.2.1), with its type written in. */
    private static final byte[] WEBM = {
        0x1a,
        0x45,
        (byte) 0xdf,
        (byte) 0xa3,
        (byte) 0x9f,
        0x42,
        (byte) 0x86,
        (byte) 0x81,
        0x01,
        0x42,
        (byte) 0xf7,
        (byte) 0x81,
        0x01,
        0x42,
        (byte) 0xf2,
        (byte) 0x81,
        0x04,
        0x42,
        (byte) 0xf3,
        (byte) 0x81,
        0x08,
        0x42,
        (byte) 0x82,
        (byte) 0x84,
        0x77,
        0x65,
        0x62,
        0x6d
    };

    /** A short film that has to be converted; none where ffmpeg is not installed. */
    private byte @Nullable [] film() {
        if (film == null) {
            try {
                Path file = folder.resolve("film.avi");
                Process made = new ProcessBuilder(
                                "ffmpeg",
                                "-v",
                                "error",
                                "-f",
                                "lavfi",
                                "-i",
                                "testsrc=size=320x240:rate=25:duration=4",
                                "-c:v",
                                "mpeg4",
                                file.toString())
                        .start();
                film = made.waitFor() == 0 ? Files.readAllBytes(file) : new byte[0];
            } catch (IOException notInstalled) {
                film = new byte[0];
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                film = new byte[0];
            }
        }
        return film.length == 0 ? null : film;
    }
}
