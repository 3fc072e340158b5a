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
import wake.e2e.AskedWork.Asked;

/**
 * Kills Wake at random moments: while it starts, renews an old folder, logs, takes in a video, converts it, plans, and puts a backup back. After
 * each kill it starts again; what was being asked is asked once more under the same id, as the interface does; then everything that was
 * acknowledged is there, once and whole. {@code -Dwake.kills=1000} kills that often.
 */
@Execution(ExecutionMode.CONCURRENT)
class KillTest {
    @TempDir
    Path folder;

    private final Random random = new Random(Long.getLong("wake.kills.seed", 4));
    private WakeProcess wake;
    private Asks asks;
    private AskedWork work;

    /** What was being asked when it was killed: to be asked again, and what holds once it is answered. */
    private @Nullable Asked pending;

    private final Map<String, Integer> killedWhile = new TreeMap<>();

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
            ask(wake);
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
        ask(wake);
        check(data);
        wake.close();
        System.out.println("Killed while " + killedWhile);
    }

    private void ask(WakeProcess running) {
        asks = new Asks(running);
        work.asks(asks);
    }

    /** Every other one is a folder of an older Wake, to be renewed at its first start. */
    private Path newFolder(int number) throws SQLException, IOException {
        Path data = Files.createDirectories(folder.resolve("data" + number));
        work = new AskedWork(random, folder);
        pending = null;
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
        work.enter();
        settle();
        JsonNode open = asks.get("/api/attempts/" + AskedWork.ATTEMPT).json();
        List<UUID> marks = new ArrayList<>();
        open.at("/log/marks")
                .forEach(mark -> marks.add(UUID.fromString(mark.at("/id").asString())));
        assertThat(marks).containsExactlyElementsOf(work.known().marks);
        assertThat(asks.get("/api/attempts/" + AskedWork.ATTEMPT + "/plan")
                        .json()
                        .at("/version")
                        .asInt())
                .isEqualTo(work.known().plans);
        for (var video : work.known().videos.entrySet()) {
            byte[] kept =
                    asks.get("/api/recordings/" + video.getKey() + "/media").body();
            assertThat(kept.length).isPositive();
            if (video.getValue().length > 0) {
                assertThat(Arrays.equals(kept, video.getValue()))
                        .as("video " + video.getKey())
                        .isTrue();
            }
        }
        assertThat(open.at("/recordings").size()).isEqualTo(work.known().videos.size());
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
            Asked next = work.next();
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
}
