package wake.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import wake.e2e.Asks.Answer;

/** What a coach asks of Wake, picked at random, and what must be there once it was answered. */
final class AskedWork {
    static final UUID ATTEMPT = new UUID(7, 7);
    private static final String NOTATION = "# Neap\nfor time\n  2000 burpee\n";

    private final Random random;
    private final Path folder;
    private Asks asks;
    private Known known = new Known();
    private byte @Nullable [] backup;
    private Known backedUp = new Known();
    private boolean diskMayBeFull;

    /** What must be there. */
    static final class Known {
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

    /** What is asked, how to ask it (again), and what holds once it is answered. */
    record Asked(String what, Ask again, Runnable then) {}

    interface Ask {
        /** Whether it was answered; false when nobody answered. */
        boolean ask();
    }

    AskedWork(Random random, Path folder) {
        this.random = random;
        this.folder = folder;
    }

    /** Whom it asks from now on. */
    void asks(Asks running) {
        asks = running;
    }

    Known known() {
        return known;
    }

    /** The attempt all of it is about. */
    void enter() {
        UUID athlete = new UUID(7, 1);
        UUID workout = new UUID(7, 2);
        asks.put("/api/athletes/" + athlete, "{\"name\":\"Ola Skerry\"}");
        asks.put("/api/workouts/" + workout, "{\"notation\":\"" + NOTATION.replace("\n", "\\n") + "\"}");
        Answer entered = asks.put("/api/attempts/" + ATTEMPT, """
                {"athleteId":"%s","workoutId":"%s","division":"","doneOn":"2026-11-20","part":0,"cutInto":1}""".formatted(athlete, workout));
        assertThat(entered.status()).as(entered.text()).isEqualTo(200);
    }

    /** The next thing to be asked. */
    Asked next() {
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
            byte[] clip = Clips.noise(random);
            return video("taking in a video", clip, clip);
        }
        byte[] video = pick < 92 ? Clips.video(folder) : null;
        if (video != null) {
            return video("converting a video", video, new byte[0]);
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

    /** Putting the latest backup back; null while there is none. */
    @Nullable
    Asked restoring() {
        return backup == null ? null : restore(backup);
    }

    private static Asked asked(String what, Ask again, Runnable then) {
        return new Asked(what, again, then);
    }

    private String at(String path) {
        return "/api/attempts/" + ATTEMPT + path;
    }

    /** Whether the disk may be full: then what cannot be kept is refused, and asked again when there is room. */
    void expectRefusals(boolean full) {
        diskMayBeFull = full;
    }

    /** Refused is a fault here, but where the disk is full; not answered is what a kill does. */
    private boolean ok(Answer answer) {
        boolean full = diskMayBeFull
                && (answer.status() == 503
                        || answer.status() == 507
                        || answer.status() == 422 && answer.text().contains("must stay free"));
        if (answer.status() == 0 || full) {
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
                        List<UUID> marks = new ArrayList<>();
                        now.json()
                                .at("/log/marks")
                                .forEach(mark ->
                                        marks.add(UUID.fromString(mark.at("/id").asString())));
                        int plans = asks.get(at("/plan")).json().at("/version").asInt();
                        boolean old = marks.equals(before.marks) && plans == before.plans;
                        boolean fresh = marks.equals(after.marks) && plans == after.plans;
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
}
