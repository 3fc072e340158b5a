package wake.api.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.RunningServer;
import wake.ServerAt;
import wake.WakeProperties;
import wake.media.MediaFolder;

/** Who is let in. Headers after the Fetch Metadata and Content Security Policy specifications (W3C), codes after RFC 9110. */
@ExtendWith(RunningServer.class)
class SecurityTest {
    private static final String PASSPHRASE = "a long low tide";

    /** A request as bytes, for what an ordinary client does not send. */
    private static String raw(int port, String request) throws Exception {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            socket.setSoTimeout(20_000);
            OutputStream out = socket.getOutputStream();
            out.write(request.getBytes(StandardCharsets.US_ASCII));
            out.flush();
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "evil.example,421",
        "127.0.0.1.evil.example,421",
        "192.168.1.9,421",
        "localhost,200",
        "127.0.0.1,200",
        "[::1],200"
    })
    void onlyItsOwnNamesAreAnswered(String host, int status, RunningServer wake) throws Exception {
        String answer = raw(
                wake.port(),
                "GET /api/athletes HTTP/1.1\r\nHost: " + host + ":" + wake.port() + "\r\nConnection: close\r\n\r\n");
        assertThat(answer).startsWith("HTTP/1.1 " + status);
        assertThat(answer.contains("application/problem+json")).isEqualTo(status != 200);
    }

    @ParameterizedTest
    @CsvSource({
        "POST,/api/athletes/figures,Origin,http://evil.example,403",
        "POST,/api/athletes/figures,Origin,null,403",
        "POST,/api/athletes/figures,Sec-Fetch-Site,cross-site,403",
        "POST,/api/athletes/figures,Sec-Fetch-Site,same-site,403",
        "GET,/api/athletes,Sec-Fetch-Site,cross-site,403",
        "GET,/api/athletes,Sec-Fetch-Site,same-origin,200",
        "GET,/api/athletes,Sec-Fetch-Site,none,200",
        "GET,/,Sec-Fetch-Site,cross-site,200",
        "POST,/api/athletes/figures,Sec-Fetch-Site,same-origin,200"
    })
    void pagesOfOtherSitesNeitherWriteNorLookIn(
            String method, String path, String header, String value, int status, RunningServer wake) {
        var request = wake.request(path)
                .header(header, value)
                .header("content-type", "application/json")
                .method(
                        method,
                        method.equals("GET") ? BodyPublishers.noBody() : BodyPublishers.ofString("{\"figures\":\"\"}"));
        assertThat(wake.send(request).status()).isEqualTo(status);
    }

    @Test
    void anUndoOrAPlanOfBeforeCannotBeAskedForFromAnotherSite(RunningServer wake) {
        UUID attempt = wake.attempt("# A\nfor time\n  5 burpee\n");
        for (String path : List.of("/marks/undo/" + UUID.randomUUID(), "/plan/versions/0/restore")) {
            var request = wake.request("/api/attempts/" + attempt + path)
                    .header("Origin", "http://evil.example")
                    .POST(BodyPublishers.noBody());
            assertThat(wake.send(request).status()).isEqualTo(403);
        }
    }

    @Test
    void pagesAndAnswersSayWhatTheyMayBeUsedFor(RunningServer wake) {
        for (String path : List.of("/", "/api/today", "/athletes")) {
            var headers = wake.get(path).raw().headers();
            assertThat(headers.firstValue("content-security-policy"))
                    .hasValueSatisfying(policy -> assertThat(policy)
                            .contains(
                                    "default-src 'self'",
                                    "script-src 'self';",
                                    "frame-ancestors 'none'",
                                    "object-src 'none'"));
            assertThat(headers.firstValue("x-content-type-options")).hasValue("nosniff");
            assertThat(headers.firstValue("referrer-policy")).hasValue("same-origin");
            assertThat(headers.firstValue("cross-origin-resource-policy")).hasValue("same-origin");
        }
    }

    @Test
    void noMoreIsReadThanAnythingNeeds(RunningServer wake) throws Exception {
        byte[] large = new byte[12 << 20];
        java.util.Arrays.fill(large, (byte) ' ');
        var whole = wake.request("/api/workouts/check")
                .header("content-type", "application/json")
                .POST(BodyPublishers.ofByteArray(large));
        assertThat(wake.send(whole).status()).isEqualTo(413);
        var inPieces = wake.request("/api/workouts/check")
                .header("content-type", "application/json")
                .POST(BodyPublishers.ofInputStream(() -> new java.io.ByteArrayInputStream(large)));
        assertThat(wake.send(inPieces).status()).isEqualTo(413);
    }

    @Test
    void slowAndHalfOpenRequestsHoldUpNobody(RunningServer wake) throws Exception {
        List<Socket> open = new ArrayList<>();
        try {
            for (int i = 0; i < 400; i++) {
                Socket socket = new Socket("127.0.0.1", wake.port());
                String begun = i % 2 == 0
                        ? "GET /api/today HTTP/1.1\r\nHost: localhost\r\n"
                        : "POST /api/workouts/check HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 1000\r\n\r\n{";
                socket.getOutputStream().write(begun.getBytes(StandardCharsets.US_ASCII));
                open.add(socket);
            }
            try (HttpClient http = HttpClient.newHttpClient()) {
                HttpRequest request = HttpRequest.newBuilder(
                                URI.create("http://127.0.0.1:" + wake.port() + "/api/ready"))
                        .timeout(Duration.ofSeconds(15))
                        .build();
                assertThat(http.send(request, BodyHandlers.ofString()).statusCode())
                        .isEqualTo(200);
            }
        } finally {
            for (Socket socket : open) {
                socket.close();
            }
        }
    }

    @Test
    void errorsNameNoClasses(RunningServer wake) {
        UUID id = UUID.randomUUID();
        for (var answer : List.of(
                wake.put("/api/attempts/" + id, "{\"athleteId\":7}"),
                wake.put("/api/attempts/" + id, "{\"athleteId\":\"x\",\"doneOn\":\"2026-13-40\"}"),
                wake.put("/api/attempts/" + id + "/plan", "{\"lines\":[null]}"),
                wake.put("/api/attempts/" + id + "/plan", "[null]"),
                wake.post("/api/readings", "nonsense"),
                wake.get("/api/attempts/not-an-id"),
                wake.get("/api/attempts/" + id + "/plan/warm-up"),
                wake.post("/api/bin/NOTHING/" + id, ""),
                wake.get("/api/nothing/there"),
                wake.get("/error"))) {
            String body = new String(answer.raw().body(), StandardCharsets.UTF_8);
            assertThat(answer.status()).as(body).isBetween(400, 499);
            assertThat(body)
                    .doesNotContainPattern("java[.]|wake[.][a-z]+[.]|jackson|springframework|Exception|UUID|LocalDate");
        }
    }

    @Test
    void aLinkAmongTheRecordingsIsNotFollowed(RunningServer wake) throws Exception {
        Path media = wake.bean(WakeProperties.class).media();
        Files.createDirectories(media);
        UUID id = UUID.randomUUID();
        Path secret = Files.writeString(Files.createTempFile("secret", ""), "secret");
        Files.createSymbolicLink(media.resolve(id.toString()), secret);
        assertThat(wake.bean(MediaFolder.class).has(id)).isFalse();
        Files.delete(media.resolve(id.toString()));
    }

    @Test
    void aPartOfAVideoBeyondItsEndIsAnsweredWithoutABody(RunningServer wake) throws Exception {
        UUID attempt = wake.attempt("# A\nfor time\n  5 burpee\n");
        UUID recording = UUID.randomUUID();
        byte[] clip;
        try (var in = java.util.Objects.requireNonNull(getClass().getResourceAsStream("/demo/skiff-sprint.webm"))) {
            clip = in.readAllBytes();
        }
        String place = "/api/attempts/" + attempt + "/recordings/" + recording + "/upload";
        wake.put(place, "{\"label\":\"a.webm\",\"sizeBytes\":" + clip.length + "}");
        wake.post(place + "?offset=0", clip);
        assertThat(wake.post(place + "/finish", "").status()).isEqualTo(200);
        var beyond = wake.send(
                wake.request("/api/recordings/" + recording + "/media").header("range", "bytes=999999999-"));
        assertThat(beyond.status()).isEqualTo(416);
        assertThat(beyond.raw().body()).isEmpty();
        Path file = wake.bean(MediaFolder.class).file(recording);
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-------");
    }

    @Test
    void aFormLongerThanAnyPassphraseIsRefused(@TempDir Path data) throws Exception {
        try (ServerAt open = ServerAt.folder(data, "--wake.open-to=127.0.0.1", "--wake.passphrase=" + PASSPHRASE)) {
            byte[] form = ("who=coach&passphrase=" + "x".repeat(100_000)).getBytes(StandardCharsets.US_ASCII);
            var tooLong = open.send(open.request("/enter")
                    .header("content-type", "application/x-www-form-urlencoded")
                    .POST(BodyPublishers.ofByteArray(form)));
            assertThat(tooLong.status()).isEqualTo(413);
            assertThat(tooLong.text("/detail")).contains("64 kB");
            var unsaid = open.send(open.request("/enter")
                    .header("content-type", "application/x-www-form-urlencoded")
                    .POST(BodyPublishers.ofInputStream(() -> new java.io.ByteArrayInputStream(form))));
            assertThat(unsaid.status()).isEqualTo(411);
        }
    }

    @Test
    void whoHasNotEnteredHasNoSessionAndLeavingIsNotALinkToFollow(@TempDir Path data) throws Exception {
        try (ServerAt wake = ServerAt.folder(data, "--wake.open-to=127.0.0.1", "--wake.passphrase=" + PASSPHRASE);
                HttpClient http = HttpClient.newBuilder()
                        .cookieHandler(new java.net.CookieManager())
                        .build()) {
            for (String path : List.of("/", "/enter", "/api/athletes", "/api/ready", "/athletes/some")) {
                assertThat(wake.get(path).raw().headers().firstValue("set-cookie"))
                        .as(path)
                        .isEmpty();
            }
            assertThat(enter(http, wake, "a guess").headers().firstValue("set-cookie"))
                    .isEmpty();
            assertThat(enter(http, wake, PASSPHRASE).headers().firstValue("set-cookie"))
                    .isPresent();
            HttpRequest.Builder leave =
                    HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + wake.port() + "/leave"));
            HttpRequest inside = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + wake.port() + "/api/athletes"))
                    .build();
            http.send(leave.GET().build(), BodyHandlers.discarding());
            assertThat(http.send(inside, BodyHandlers.discarding()).statusCode())
                    .isEqualTo(200);
            http.send(leave.POST(BodyPublishers.noBody()).build(), BodyHandlers.discarding());
            assertThat(http.send(inside, BodyHandlers.discarding()).statusCode())
                    .isEqualTo(401);
        }
    }

    @Test
    void aPageElsewhereUsesUpNoTriesAndManyTriesAtOnceAreAsMany(@TempDir Path data) throws Exception {
        try (ServerAt wake = ServerAt.folder(data, "--wake.open-to=127.0.0.1", "--wake.passphrase=" + PASSPHRASE);
                HttpClient http = HttpClient.newHttpClient()) {
            for (int i = 0; i < 51; i++) {
                // As a browser says it: of another site, in an unsafe context by its origin alone, or by none.
                String[] said = i % 3 == 0
                        ? new String[] {"Sec-Fetch-Site", "cross-site"}
                        : new String[] {"Origin", i % 3 == 1 ? "http://evil.example" : "null"};
                var foreign = wake.request("/enter")
                        .header("content-type", "application/x-www-form-urlencoded")
                        .header(said[0], said[1])
                        .POST(BodyPublishers.ofString("who=coach&passphrase=guess"));
                assertThat(wake.send(foreign).status()).isEqualTo(403);
            }
            var own = wake.request("/enter")
                    .header("content-type", "application/x-www-form-urlencoded")
                    .header("Origin", "http://127.0.0.1:" + wake.port())
                    .POST(BodyPublishers.ofString("who=coach&passphrase=guess"));
            assertThat(wake.send(own).status()).isNotEqualTo(403);
            assertThat(enter(http, wake, PASSPHRASE).headers().firstValue("location"))
                    .hasValueSatisfying(to -> assertThat(to).doesNotContain("enter"));
            List<java.util.concurrent.CompletableFuture<Integer>> guesses = new ArrayList<>();
            for (int i = 0; i < 30; i++) {
                HttpRequest guess = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + wake.port() + "/enter"))
                        .header("content-type", "application/x-www-form-urlencoded")
                        .POST(BodyPublishers.ofString("who=coach&passphrase=guess" + i))
                        .build();
                guesses.add(http.sendAsync(guess, BodyHandlers.discarding()).thenApply(HttpResponse::statusCode));
            }
            assertThat(guesses)
                    .extracting(java.util.concurrent.CompletableFuture::join)
                    .filteredOn(status -> status == 302)
                    .hasSizeLessThanOrEqualTo(6);
        }
    }

    private static HttpResponse<String> enter(HttpClient http, ServerAt wake, String passphrase) throws Exception {
        HttpRequest request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + wake.port() + "/enter"))
                .header("content-type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString("who=coach&passphrase=" + passphrase.replace(' ', '+')))
                .build();
        return http.send(request, BodyHandlers.ofString());
    }

    @Test
    void openedToANetworkItAsksForThePassphraseAndGuessersWait(@TempDir Path data) throws Exception {
        try (ServerAt wake = ServerAt.folder(data, "--wake.open-to=127.0.0.1", "--wake.passphrase=" + PASSPHRASE);
                HttpClient http = HttpClient.newBuilder()
                        .cookieHandler(new java.net.CookieManager())
                        .build()) {
            assertThat(wake.get("/api/athletes").status()).isEqualTo(401);
            assertThat(wake.get("/").raw().statusCode()).isEqualTo(302);
            assertThat(wake.get("/enter").raw().statusCode()).isEqualTo(200);
            assertThat(enter(http, wake, "a guess")
                            .headers()
                            .firstValue("location")
                            .orElse(""))
                    .contains("wrong");
            assertThat(enter(http, wake, PASSPHRASE)
                            .headers()
                            .firstValue("location")
                            .orElse(""))
                    .doesNotContain("enter");
            HttpRequest inside = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + wake.port() + "/api/athletes"))
                    .build();
            HttpResponse<String> answer = http.send(inside, BodyHandlers.ofString());
            assertThat(answer.statusCode()).isEqualTo(200);

            String word = Files.readString(data.resolve("local word"));
            assertThat(wake.send(wake.request("/api/athletes").header("Authorization", "Bearer " + word))
                            .status())
                    .isEqualTo(200);
            assertThat(wake.send(wake.request("/api/athletes").header("Authorization", "Bearer " + word + "0"))
                            .status())
                    .isEqualTo(401);

            int last = 0;
            for (int i = 0; i < 8; i++) {
                last = enter(http, wake, "guess " + i).statusCode();
            }
            assertThat(last).isEqualTo(429);
            assertThat(http.send(inside, BodyHandlers.ofString()).statusCode()).isEqualTo(200);
        }
    }

    @Test
    void aShortPassphraseOpensNothing(@TempDir Path data) {
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> ServerAt.folder(data, "--wake.open-to=127.0.0.1", "--wake.passphrase=short"))
                .hasStackTraceContaining("at least 12 characters");
    }
}
