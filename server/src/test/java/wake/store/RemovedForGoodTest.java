package wake.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wake.ServerAt;

/** What is removed for good is in no file of Wake's but the copies, and docs/data.md says how long in those. */
class RemovedForGoodTest {
    private static final String SAID = "Knee since Michaelmas";

    @TempDir
    Path data;

    private boolean holds(String said) throws Exception {
        try (var files = Files.walk(data)) {
            for (Path file : files.filter(Files::isRegularFile)
                    .filter(file -> !file.startsWith(data.resolve("copies")))
                    .toList()) {
                if (new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1).contains(said)) {
                    return true;
                }
            }
        }
        return false;
    }

    @Test
    void theDatabaseFileIsWrittenAnewWithoutItAtOnce() throws Exception {
        UUID attempt;
        try (ServerAt wake = ServerAt.folder(data)) {
            attempt = wake.attempt("# Neap\nfor time\n  30 burpee\n");
            String athlete = wake.get("/api/attempts/" + attempt).text("/athleteId");
            wake.put("/api/athletes/" + athlete, "{\"name\":\"Ina Sandbar\",\"note\":\"" + SAID + "\"}");
            wake.put("/api/attempts/" + attempt + "/note", "{\"text\":\"" + SAID + "\"}");
            wake.put(
                    "/api/attempts/" + attempt + "/marks/" + UUID.randomUUID(),
                    ServerAt.markJson("CUE", 1000, "").replace("\"text\":\"\"", "\"text\":\"" + SAID + "\""));
            UUID other = wake.attempt("# Spring\nfor time\n  30 burpee\n");
            assertThat(holds(SAID)).isTrue();

            wake.post("/api/bin/ATHLETE/" + athlete, "");
            assertThat(holds(SAID)).as("in the bin it can be brought back").isTrue();
            assertThat(wake.delete("/api/bin/ATHLETE/" + athlete).status()).isEqualTo(200);
            Instant late = Instant.now().plus(Duration.ofSeconds(20));
            while (holds(SAID) && Instant.now().isBefore(late)) {
                assertThat(wake.mark(other, UUID.randomUUID(), "CUE", 1000).status())
                        .isEqualTo(200);
            }
            assertThat(holds(SAID)).isFalse();
            assertThat(wake.get("/api/attempts/" + other).status()).isEqualTo(200);
        }
    }

    @Test
    void whereThatWasCutShortItIsDoneAtTheNextStart() throws Exception {
        try (ServerAt wake = ServerAt.folder(data, "--wake.compact-every=PT1H")) {
            wake.attempt("# Neap\nfor time\n  30 burpee\n");
            wake.bean(Backups.class).removing();
        }
        assertThat(Files.readString(data.resolve("removed for good"))).doesNotContain("written anew");
        try (ServerAt wake = ServerAt.folder(data, "--wake.compact-every=PT0.2S")) {
            Instant late = Instant.now().plus(Duration.ofSeconds(20));
            while (!Files.readString(data.resolve("removed for good")).contains("written anew")
                    && Instant.now().isBefore(late)) {
                Thread.sleep(100);
            }
            assertThat(Files.readString(data.resolve("removed for good"))).contains("written anew");
            assertThat(wake.get("/api/athletes").json()).hasSize(1);
        }
    }
}
