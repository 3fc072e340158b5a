package wake.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.ToLongFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import wake.e2e.Asks.Answer;

/**
 * The whole job done over and over on a fresh folder, its connections retired every thirty seconds (the pool retires none sooner) as they are
 * every half hour in use. Eight seconds beside the other tests; {@code -Dwake.soak=3600} goes on for an hour.
 */
@Execution(ExecutionMode.CONCURRENT)
class SoakTest {
    private static final int LOOKED_AT_EVERY = 20;

    @TempDir
    Path folder;

    @Test
    void noRequestFails() throws Exception {
        int jobs = 0;
        List<Size> sizes = new ArrayList<>();
        try (WakeProcess wake = WakeProcess.start(
                folder.resolve("data"),
                false,
                "-Dspring.datasource.hikari.max-lifetime=30000",
                "-Dwake.tidy-after=PT5S")) {
            Asks asks = new Asks(wake);
            // Counted from here: on a busy machine the start takes long.
            Instant end = Instant.now().plus(Duration.ofSeconds(Integer.getInteger("wake.soak", 8)));
            while (Instant.now().isBefore(end)) {
                job(asks, jobs++);
                Thread.sleep(500);
                if (jobs % LOOKED_AT_EVERY == 0) {
                    sizes.add(Size.of(wake));
                }
            }
        }
        System.out.println("Soak: the job done " + jobs + " times; " + sizes);
        stayedFlat(sizes);
        assertThat(jobs).isPositive();
    }

    /** What it takes up: live objects, open files, the database file, threads. */
    private record Size(long heapKb, long handles, long fileKb, long threads) {
        static Size of(WakeProcess wake) throws IOException, InterruptedException {
            Path process = Path.of("/proc", Long.toString(wake.pid()));
            String live = jcmd(wake, "GC.class_histogram");
            String total = live.substring(live.lastIndexOf("Total"));
            try (var handles = Files.list(process.resolve("fd"));
                    var threads = Files.list(process.resolve("task"))) {
                return new Size(
                        Long.parseLong(total.strip().split("\\s+")[2]) / 1024,
                        handles.count(),
                        Files.size(wake.data().resolve("wake.mv.db")) / 1024,
                        threads.count());
            }
        }

        /** The histogram counts what is left after a full collection. */
        private static String jcmd(WakeProcess wake, String what) throws IOException, InterruptedException {
            Process asked = new ProcessBuilder(
                            Path.of(System.getProperty("java.home"), "bin", "jcmd")
                                    .toString(),
                            Long.toString(wake.pid()),
                            what)
                    .start();
            String said = new String(asked.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(asked.waitFor()).isZero();
            return said;
        }
    }

    /** The last quarter takes up no more than the second, but for what comes and goes. */
    private static void stayedFlat(List<Size> sizes) {
        int quarter = sizes.size() / 4;
        if (quarter < 2) {
            return;
        }
        List<Size> then = sizes.subList(quarter, 2 * quarter);
        List<Size> now = sizes.subList(3 * quarter, sizes.size());
        assertThat(median(now, Size::heapKb)).isLessThan(median(then, Size::heapKb) * 5 / 4);
        assertThat(median(now, Size::handles)).isLessThan(median(then, Size::handles) + 12);
        assertThat(median(now, Size::threads)).isLessThan(median(then, Size::threads) + 12);
        assertThat(median(now, Size::fileKb)).isLessThan(median(then, Size::fileKb) * 2 + 4096);
    }

    private static long median(List<Size> sizes, ToLongFunction<Size> of) {
        return sizes.stream().mapToLong(of).sorted().toArray()[sizes.size() / 2];
    }

    private static Answer ok(Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer;
    }

    private static void job(Asks asks, int number) {
        UUID athlete = UUID.randomUUID();
        UUID workout = UUID.randomUUID();
        UUID attempt = UUID.randomUUID();
        UUID recording = UUID.randomUUID();
        String at = "/api/attempts/" + attempt;
        ok(asks.put("/api/athletes/" + athlete, "{\"name\":\"Ina Sandbar " + number + "\"}"));
        ok(
                asks.put(
                        "/api/workouts/" + workout,
                        "{\"notation\":\"# Neap\\nfor time\\n  2 rounds:\\n    3 burpee\\n    4 kettlebell swing @ 16 kg\\n\"}"));
        ok(asks.put(at, """
                {"athleteId":"%s","workoutId":"%s","division":"","doneOn":"2026-11-20","part":0,"cutInto":1}""".formatted(athlete, workout)));
        ok(asks.put(at + "/recordings/" + recording + "/simulated", "{\"seed\":7}"));
        ok(asks.put(at + "/recordings/" + recording + "/go", "{\"atMs\":5000,\"made\":\"STEPPED\",\"step\":0.033}"));
        for (int rep = 1; rep <= 14; rep++) {
            ok(asks.put(at + "/marks/" + UUID.randomUUID(), """
                    {"recordingId":"%s","kind":"REP","atMs":%d,"reps":0,"depth":"SET","tag":"","text":"","made":"TAPPED","step":1}""".formatted(recording, 5000 + 1500L * rep)));
        }
        ok(asks.post(at + "/marks/undo/" + UUID.randomUUID(), ""));
        ok(asks.post(at + "/marks/redo/" + UUID.randomUUID(), ""));
        ok(asks.put(at + "/plan", ok(asks.get(at + "/plan")).json().at("/plan").toString()));
        ok(asks.get(at + "/reading"));
        ok(asks.put(
                at + "/retest",
                ok(asks.get(at + "/retest")).json().at("/chosen").toString()));
        ok(asks.post(at + "/retest/set", "{\"id\":\"%s\",\"doneOn\":\"2026-12-01\"}".formatted(UUID.randomUUID())));
        // It all goes again, so that an hour is as long at its end as at its beginning.
        ok(asks.post("/api/bin/ATHLETE/" + athlete, ""));
        ok(asks.delete("/api/bin/ATHLETE/" + athlete));
        ok(asks.post("/api/bin/WORKOUT/" + workout, ""));
        ok(asks.delete("/api/bin/WORKOUT/" + workout));
        ok(asks.get("/api/today"));
    }
}
