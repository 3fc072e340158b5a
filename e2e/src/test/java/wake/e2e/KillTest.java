package wake.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.io.OutputStream;
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
import java.util.concurrent.atomic.AtomicReference;
import org.flywaydb.core.Flyway;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import tools.jackson.databind.JsonNode;
import wake.e2e.AskedWork.Asked;
import wake.store.backups.BackupFile;

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
            begin(data);
            boolean early = random.nextInt(5) < 2;
            if (early) {
                Thread.sleep(300 + random.nextInt(7000));
                killedWhile.merge(wake.answers() ? "just started" : "starting", 1, Integer::sum);
                wake.kill();
            } else {
                wake.expectReady();
                check(data);
                boolean restoring = random.nextInt(4) == 0;
                workUntilKilled(restoring ? 700 : 2500, restoring);
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

    /** Every third kill finds little room or none on the disk, which is there again at the next start. */
    @Test
    @EnabledIfSystemProperty(named = "wake.kills", matches = "\\d{2,}")
    void norOnADiskThatIsFull() throws Exception {
        Path disk = Files.createDirectories(folder.resolve("disk"));
        assumeTrue(
                run("mount", "-t", "tmpfs", "-o", "size=400m", "tmpfs", disk.toString()) == 0, "no disk can be made");
        try {
            Path data = disk.resolve("data");
            work = new AskedWork(random, folder);
            Path filling = disk.resolve("filling");
            for (int kill = 0; kill < Integer.getInteger("wake.kills", 0) / 3; kill++) {
                begin(data);
                wake.expectReady();
                check(data);
                work.expectRefusals(true);
                Thread filler = Thread.ofVirtual().start(() -> fill(disk, filling));
                workUntilKilled(2500, random.nextInt(6) == 0);
                filler.join();
                Files.deleteIfExists(filling);
                work.expectRefusals(false);
            }
            begin(data);
            wake.expectReady();
            check(data);
            wake.close();
            System.out.println("On a full disk killed while " + killedWhile);
        } finally {
            wake.kill();
            run("umount", "-l", disk.toString());
        }
    }

    /** After a moment, all of the disk but for some room. */
    private void fill(Path disk, Path filling) {
        try {
            Thread.sleep(random.nextInt(800));
            long left = random.nextInt(3) == 0 ? 0 : random.nextInt(12 << 20);
            long room = disk.toFile().getUsableSpace() - left;
            try (OutputStream out = Files.newOutputStream(filling)) {
                byte[] some = new byte[1 << 16];
                for (long written = 0; written < room; written += some.length) {
                    out.write(some);
                }
            }
        } catch (IOException full) {
            // As full as can be.
            return;
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static int run(String... command) throws IOException, InterruptedException {
        return new ProcessBuilder(command).redirectErrorStream(true).start().waitFor();
    }

    /** A start with the copy of the day at once, a file written anew so often that kills come in the middle of it, and now and then a clock of yesterday. */
    private void begin(Path data) {
        List<String> options = new ArrayList<>(
                List.of("-Dwake.tidy-after=PT0.2S", "-Dwake.compact-above=400000", "-Dwake.compact-every=PT0.5S"));
        if (random.nextInt(4) == 0) {
            options.add("-Dwake.clock-set-by=-P1D");
        }
        wake = WakeProcess.of(data, options.toArray(String[]::new));
        ask(wake);
        wake.begin();
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
        copiesAreWhole(data);
    }

    /** A copy is there whole, or not at all. */
    private static void copiesAreWhole(Path data) throws IOException {
        if (Files.isDirectory(data.resolve("copies"))) {
            try (var copies = Files.newDirectoryStream(data.resolve("copies"), "*.zip")) {
                for (Path copy : copies) {
                    BackupFile.checked(copy);
                }
            }
        }
    }

    private void settle() {
        Asked asked = pending;
        if (asked != null) {
            assertThat(asked.again().ask()).as(asked.what() + " asked again").isTrue();
            asked.then().run();
            pending = null;
        }
    }

    /** @param restoring whether it begins with putting a backup back */
    private void workUntilKilled(int withinMs, boolean restoring) throws Exception {
        AtomicBoolean killed = new AtomicBoolean();
        int after = 50 + random.nextInt(withinMs);
        AtomicReference<@Nullable Asked> first = new AtomicReference<>(restoring ? work.restoring() : null);
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
            Asked begins = first.getAndSet(null);
            Asked next = begins == null ? work.next() : begins;
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
