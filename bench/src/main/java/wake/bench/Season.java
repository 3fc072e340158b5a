package wake.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.UUID;
import java.util.function.IntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Fills a running Wake with seasons of made-up attempts of two hundred marks each, through its own interface, and measures how soon it
 * answers: {@code bench/season.sh}.
 */
public final class Season {
    private static final int ATHLETES = 50;
    private static final int REPS = 13;
    private static final int ROUNDS = 5;
    private static final int ASKED = 200;
    private static final int LISTED = 40;
    private static final Pattern ATTEMPT = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");
    private static final String NOTATION = """
            # Ebb %d
            for time, cap 20:00
              5 rounds:
                13 thruster @ 40 kg
                13 toes-to-bar
                13 box jump over @ 50 cm
            """;

    private final HttpClient http = HttpClient.newHttpClient();
    private final String address;
    private final Random random = new Random(7);
    private final List<UUID> athletes = new ArrayList<>();
    private final List<UUID> workouts = new ArrayList<>();
    private final List<UUID> attempts = new ArrayList<>();

    private Season(String address) {
        this.address = address;
    }

    /** Address; then {@code fill} and how many attempts, or {@code measure}. */
    public static void main(String[] arguments) throws Exception {
        Season season = new Season(arguments[0]);
        if (arguments[1].equals("fill")) {
            season.fill(Integer.parseInt(arguments[2]));
            season.waitUntilRead();
        } else {
            season.measure();
        }
    }

    private void fill(int count) throws IOException, InterruptedException {
        for (int i = 0; i < ATHLETES; i++) {
            UUID id = UUID.randomUUID();
            athletes.add(id);
            put("/api/athletes/" + id, "{\"name\":\"Athlete %d\",\"note\":\"\"}".formatted(i + 1));
        }
        for (int i = 0; i < 20; i++) {
            UUID id = UUID.randomUUID();
            workouts.add(id);
            put("/api/workouts/" + id, "{\"notation\":" + quoted(NOTATION.formatted(i + 1)) + "}");
        }
        long start = System.nanoTime();
        for (int i = 0; i < count; i++) {
            UUID id = UUID.randomUUID();
            put("/api/attempts/" + id, """
                    {"athleteId":"%s","workoutId":"%s","division":"","doneOn":"%s","part":0,"cutInto":1}""".formatted(
                            athletes.get(i % ATHLETES),
                            workouts.get(random.nextInt(workouts.size())),
                            LocalDate.of(2023, 1, 1).plusDays(i * 1000L / count)));
            send("POST", "/api/attempts/" + id + "/marks/sheet", "{\"csv\":" + quoted(sheet()) + "}");
            if ((i + 1) % 1000 == 0) {
                System.out.printf(Locale.ROOT, "%d attempts, %.0f s%n", i + 1, (System.nanoTime() - start) / 1e9);
            }
        }
    }

    /** Every rep, a little slower each round, with a break now and then. */
    private String sheet() {
        StringBuilder csv = new StringBuilder("at,kind\n");
        double at = 0;
        for (int round = 0; round < ROUNDS; round++) {
            for (int line = 0; line < 3; line++) {
                at += 2 + 2 * random.nextDouble();
                row(csv, at, "BEGIN");
                for (int rep = 1; rep <= REPS; rep++) {
                    at += 1.6 + 0.1 * round + 0.3 * random.nextDouble();
                    row(csv, at, rep == REPS ? "DONE" : "REP");
                }
            }
        }
        return csv.toString();
    }

    private static void row(StringBuilder csv, double at, String kind) {
        long ms = Math.round(1000 * at);
        csv.append(String.format(Locale.ROOT, "%d:%02d.%03d,%s%n", ms / 60_000, ms / 1000 % 60, ms % 1000, kind));
    }

    private void waitUntilRead() throws IOException, InterruptedException {
        long start = System.nanoTime();
        while (!get("/api/today").contains("\"beingRead\":0")) {
            Thread.sleep(500);
        }
        System.out.printf(Locale.ROOT, "read for the lists after %.0f s%n", (System.nanoTime() - start) / 1e9);
    }

    private void measure() throws IOException, InterruptedException {
        waitUntilRead();
        for (int page = 1; page <= LISTED; page++) {
            Matcher id = ATTEMPT.matcher(get("/api/attempts?page=" + page));
            while (id.find()) {
                attempts.add(UUID.fromString(id.group(1)));
            }
        }
        Collections.shuffle(attempts, random);
        System.out.println("| what | p50, ms | p95, ms | kB |");
        System.out.println("|---|---|---|---|");
        measure("Today", i -> "/api/today");
        measure("the list, a page", i -> "/api/attempts?page=" + (1 + i));
        measure("the list, searched", i -> "/api/attempts?words=athlete%20" + (1 + i % ATHLETES));
        measure("opening an attempt", i -> "/api/attempts/" + one(i));
        measure("a reading", i -> "/api/attempts/" + one(i) + "/reading");
        measure("a retest", i -> "/api/attempts/" + one(i) + "/retest");
    }

    private UUID one(int i) {
        return attempts.get(i % attempts.size());
    }

    private void measure(String what, IntFunction<String> path) throws IOException, InterruptedException {
        double[] ms = new double[ASKED];
        long bytes = 0;
        for (int i = -20; i < ASKED; i++) {
            long start = System.nanoTime();
            String answer = get(path.apply(Math.abs(i)));
            if (i >= 0) {
                ms[i] = (System.nanoTime() - start) / 1e6;
                bytes = Math.max(bytes, answer.length());
            }
        }
        Arrays.sort(ms);
        System.out.printf(
                Locale.ROOT,
                "| %s | %.1f | %.1f | %.0f |%n",
                what,
                ms[ASKED / 2],
                ms[(int) (ASKED * 0.95)],
                bytes / 1e3);
    }

    private String get(String path) throws IOException, InterruptedException {
        return send("GET", path, "");
    }

    private void put(String path, String json) throws IOException, InterruptedException {
        send("PUT", path, json);
    }

    private String send(String method, String path, String json) throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address + path))
                .header("content-type", "application/json")
                .method(method, json.isEmpty() ? BodyPublishers.noBody() : BodyPublishers.ofString(json))
                .build();
        HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() >= 300) {
            throw new IOException(method + " " + path + ": " + answer.statusCode() + " " + answer.body());
        }
        return answer.body();
    }

    private static String quoted(String text) {
        return "\""
                + text.replace("\\", "\\\\")
                        .replace("\"", "\\\"")
                        .replace("\n", "\\n")
                        .replace("\r", "") + "\"";
    }
}
