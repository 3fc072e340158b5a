package wake.review.portable;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import wake.exchange.TraceFile;
import wake.log.Depth;
import wake.movement.Catalogue;
import wake.movement.Movement;
import wake.review.Documents;
import wake.review.Movements;
import wake.review.portable.NotTakenIn.Problem;
import wake.review.portable.Portable.AttemptPart;
import wake.review.portable.Portable.KeptPart;
import wake.review.portable.Portable.MarkPart;
import wake.review.portable.Portable.RecordingPart;
import wake.store.AthleteStore;
import wake.store.AthleteStore.Athlete;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.BinStore;
import wake.store.Document;
import wake.store.HeatStore;
import wake.store.MarkStore;
import wake.store.MarkStore.StoredMark;
import wake.store.PlanStore;
import wake.store.RecordingStore;
import wake.store.RecordingStore.Recording;
import wake.store.RetestStore;
import wake.store.SettingStore;
import wake.store.TraceStore;
import wake.store.TraceStore.StoredTrace;
import wake.store.WorkoutStore;
import wake.store.WorkoutStore.StoredWorkout;
import wake.workout.Course;
import wake.workout.NotationReader;
import wake.workout.Workout;

/** Takes in what {@link Takeout} writes: all of it or nothing. What is here already, by its id, stays as it is. */
@Component
public class Intake {
    private static final LocalDate EARLIEST = LocalDate.of(1970, 1, 1);
    private static final LocalDate LATEST = LocalDate.of(2200, 1, 1);
    private static final int MOST_PROBLEMS = 20;

    private final AthleteStore athletes;
    private final WorkoutStore workouts;
    private final AttemptStore attempts;
    private final RecordingStore recordings;
    private final MarkStore marks;
    private final PlanStore plans;
    private final RetestStore retests;
    private final TraceStore traces;
    private final HeatStore heats;
    private final SettingStore settings;
    private final BinStore bin;
    private final Documents documents;
    private final Movements movements;
    private final JsonMapper json;

    /**
     * What was taken in.
     *
     * @param known how many athletes, workouts and attempts were here already
     * @param videos how many videos came without their files
     */
    public record Taken(int athletes, int workouts, int attempts, int known, int videos) {}

    Intake(
            AthleteStore athletes,
            WorkoutStore workouts,
            AttemptStore attempts,
            RecordingStore recordings,
            MarkStore marks,
            PlanStore plans,
            RetestStore retests,
            TraceStore traces,
            HeatStore heats,
            SettingStore settings,
            BinStore bin,
            Documents documents,
            Movements movements,
            JsonMapper json) {
        this.athletes = athletes;
        this.workouts = workouts;
        this.attempts = attempts;
        this.recordings = recordings;
        this.marks = marks;
        this.plans = plans;
        this.retests = retests;
        this.traces = traces;
        this.heats = heats;
        this.settings = settings;
        this.bin = bin;
        this.documents = documents;
        this.movements = movements;
        this.json = json;
    }

    /**
     * Takes in a document. Where it is refused, own movements have to be read again afterwards: the file's are put into the catalogue before
     * the rest is looked at, and only their rows are taken back.
     *
     * @throws NotTakenIn naming the lines that do not fit; nothing is kept then
     */
    @Transactional
    public Taken takeIn(String text) {
        return keep(read(text), text);
    }

    private Portable read(String text) {
        JsonNode tree;
        try {
            tree = json.readTree(text);
        } catch (JacksonException broken) {
            long line = broken.getLocation() == null ? 0 : broken.getLocation().getLineNr();
            throw new NotTakenIn(line, "this is no whole JSON: " + firstLine(broken.getOriginalMessage()));
        }
        if (!tree.isObject() || !tree.path("format").asString("").equals(Portable.FORMAT)) {
            throw new NotTakenIn(1, "expected a file that Wake has written, with \"format\": \"wake\"");
        }
        if (tree.path("version").asInt(0) != Portable.VERSION) {
            throw new NotTakenIn(
                    1,
                    "expected version " + Portable.VERSION + ", got "
                            + tree.path("version").asInt(0) + ": it was written by a newer Wake");
        }
        List<Problem> problems = SchemaCheck.problems(text, json);
        if (!problems.isEmpty()) {
            throw new NotTakenIn(problems);
        }
        try {
            return json.treeToValue(tree, Portable.class);
        } catch (JacksonException | IllegalArgumentException unfit) {
            throw new NotTakenIn(0, firstLine(String.valueOf(unfit.getMessage())));
        }
    }

    private static String firstLine(String message) {
        return message.lines().findFirst().orElse("");
    }

    /** What went wrong where, by pointer, until all has been looked at. */
    private static final class Found {
        private final Map<String, String> byPointer = new LinkedHashMap<>();

        void unless(boolean fits, String pointer, String what) {
            if (!fits && byPointer.size() < MOST_PROBLEMS) {
                byPointer.putIfAbsent(pointer, what);
            }
        }

        void orThrow(String text, JsonMapper json) {
            if (!byPointer.isEmpty()) {
                Map<String, Long> lines = SchemaCheck.lines(text, byPointer.keySet(), json);
                throw new NotTakenIn(byPointer.entrySet().stream()
                        .map(one -> new Problem(lines.getOrDefault(one.getKey(), 0L), one.getValue()))
                        .toList());
            }
        }
    }

    private Taken keep(Portable file, String text) {
        movementsOf(file, text);
        Found found = new Found();
        checkIds(file, found);
        Set<UUID> films = recordings.ids();
        file.attempts().stream()
                .filter(other -> attempts.find(other.id()).isEmpty())
                .forEach(other -> other.recordings().forEach(film -> films.add(film.id())));
        for (int i = 0; i < file.attempts().size(); i++) {
            check(file, i, films, found);
        }
        found.orThrow(text, json);
        int known = 0;
        int newAthletes = 0;
        for (Portable.AthletePart one : file.athletes()) {
            if (athletes.find(one.id()).isPresent()) {
                known++;
            } else {
                athletes.put(
                        new Athlete(one.id(), one.name(), one.note(), one.figures(), one.pain(), one.recoversSlowly()));
                newAthletes++;
            }
        }
        int newWorkouts = 0;
        for (Portable.WorkoutPart one : file.workouts()) {
            if (workouts.find(one.id()).isPresent()) {
                known++;
            } else {
                workouts.put(new StoredWorkout(one.id(), one.title(), one.notation(), one.archived()));
                newWorkouts++;
            }
        }
        List<AttemptPart> fresh = file.attempts().stream()
                .filter(one -> attempts.find(one.id()).isEmpty())
                .toList();
        fresh.forEach(one -> attempts.add(attempt(one)));
        fresh.forEach(one -> one.recordings().forEach(film -> recordings.add(recording(one.id(), film))));
        fresh.forEach(this::rest);
        Map<String, JsonNode> chosen = file.settings();
        if (chosen != null) {
            chosen.forEach((name, document) -> {
                if (settings.find(name).isEmpty()) {
                    settings.put(name, document.toString());
                }
            });
        }
        int videos = (int) fresh.stream()
                .flatMap(one -> one.recordings().stream())
                .filter(film -> film.kind().equals("video"))
                .count();
        return new Taken(
                newAthletes, newWorkouts, fresh.size(), known + file.attempts().size() - fresh.size(), videos);
    }

    /** Own movements come first: the texts of workouts may need them. */
    private void movementsOf(Portable file, String text) {
        Set<String> own = new HashSet<>();
        movements.own().forEach(one -> own.add(one.name()));
        Found found = new Found();
        for (int i = 0; i < file.movements().size(); i++) {
            try {
                Movement movement = documents.movement(
                        new Document(1, file.movements().get(i).toString()));
                if (!own.contains(movement.name())) {
                    movements.put(movement);
                }
            } catch (RuntimeException unfit) {
                found.unless(false, "/movements/" + i, "this is no movement: " + firstLine(message(unfit)));
            }
        }
        found.orThrow(text, json);
    }

    private static String message(RuntimeException unfit) {
        return String.valueOf(unfit.getMessage());
    }

    /** Nothing may stand twice, lie in the bin, or belong to another attempt here. */
    private void checkIds(Portable file, Found found) {
        Set<UUID> seen = new HashSet<>();
        for (int i = 0; i < file.athletes().size(); i++) {
            UUID id = file.athletes().get(i).id();
            found.unless(seen.add(id), "/athletes/" + i + "/id", "this id stands twice in the file");
            found.unless(
                    !bin.holds(BinStore.Kind.ATHLETE, id), "/athletes/" + i + "/id", "this athlete is in the bin here");
        }
        for (int i = 0; i < file.workouts().size(); i++) {
            UUID id = file.workouts().get(i).id();
            found.unless(seen.add(id), "/workouts/" + i + "/id", "this id stands twice in the file");
            found.unless(
                    !bin.holds(BinStore.Kind.WORKOUT, id), "/workouts/" + i + "/id", "this workout is in the bin here");
        }
        Set<UUID> films = recordings.ids();
        for (int i = 0; i < file.attempts().size(); i++) {
            AttemptPart one = file.attempts().get(i);
            String at = "/attempts/" + i;
            found.unless(seen.add(one.id()), at + "/id", "this id stands twice in the file");
            found.unless(!bin.holds(BinStore.Kind.ATTEMPT, one.id()), at + "/id", "this attempt is in the bin here");
            if (attempts.find(one.id()).isPresent()) {
                continue;
            }
            Set<UUID> taken = marks.taken(one.marks().stream().map(MarkPart::id).toList());
            for (int k = 0; k < one.marks().size(); k++) {
                UUID id = one.marks().get(k).id();
                found.unless(
                        seen.add(id) && !taken.contains(id),
                        at + "/marks/" + k + "/id",
                        "this mark belongs to another attempt");
            }
            for (int k = 0; k < one.recordings().size(); k++) {
                UUID id = one.recordings().get(k).id();
                found.unless(
                        seen.add(id) && !films.contains(id),
                        at + "/recordings/" + k + "/id",
                        "this recording belongs to another attempt");
            }
            for (int k = 0; k < one.traces().size(); k++) {
                UUID id = one.traces().get(k).id();
                found.unless(
                        seen.add(id) && traces.find(id).isEmpty(),
                        at + "/traces/" + k + "/id",
                        "this trace belongs to another attempt");
            }
        }
    }

    private void check(Portable file, int index, Set<UUID> films, Found found) {
        AttemptPart one = file.attempts().get(index);
        if (attempts.find(one.id()).isPresent()) {
            return;
        }
        String at = "/attempts/" + index;
        found.unless(
                file.athletes().stream().anyMatch(who -> who.id().equals(one.athleteId()))
                        || athletes.find(one.athleteId()).isPresent(),
                at + "/athleteId",
                "there is no such athlete, in the file or here");
        found.unless(
                file.workouts().stream().anyMatch(what -> what.id().equals(one.workoutId()))
                        || workouts.find(one.workoutId()).isPresent(),
                at + "/workoutId",
                "there is no such workout, in the file or here");
        UUID first = one.retestOf();
        found.unless(
                first == null
                        || file.attempts().stream().anyMatch(other -> other.id().equals(first))
                        || attempts.find(first).isPresent(),
                at + "/retestOf",
                "there is no such attempt, in the file or here");
        found.unless(
                one.doneOn().isAfter(EARLIEST) && one.doneOn().isBefore(LATEST),
                at + "/doneOn",
                "this is no day somebody trained on");
        for (int k = 0; k < one.go().size(); k++) {
            found.unless(
                    films.contains(one.go().get(k).recordingId()),
                    at + "/go/" + k,
                    "there is no such recording in the file");
        }
        for (int k = 0; k < one.uses().size(); k++) {
            found.unless(
                    films.contains(one.uses().get(k)), at + "/uses/" + k, "there is no such recording in the file");
        }
        for (int k = 0; k < one.marks().size(); k++) {
            UUID film = one.marks().get(k).recordingId();
            found.unless(
                    film == null || films.contains(film), at + "/marks/" + k, "there is no such recording in the file");
        }
        course(one, at, found)
                .ifPresent(course -> said(found, at + "/plan", one.plan(), plan -> documents.plan(plan, course)));
        said(found, at + "/chosen", one.chosen(), documents::retest);
        said(found, at + "/called", one.called(), documents::called);
        for (int k = 0; k < one.recordings().size(); k++) {
            JsonNode simulation = one.recordings().get(k).simulation();
            if (simulation != null) {
                tried(
                        found,
                        at + "/recordings/" + k + "/simulation",
                        () -> documents.simulation(simulation.toString()));
            }
        }
        for (int k = 0; k < one.traces().size(); k++) {
            String sheet = one.traces().get(k).sheet();
            tried(found, at + "/traces/" + k + "/sheet", () -> TraceFile.read(sheet));
        }
    }

    private Optional<Course> course(AttemptPart one, String at, Found found) {
        Catalogue catalogue = movements.catalogue();
        try {
            Workout workout = NotationReader.read(one.notation(), catalogue).orThrow();
            Workout.Part part = workout.parts().get(one.part());
            return Optional.of(Course.of(part, workout.division(one.division()), catalogue, one.cutInto()));
        } catch (RuntimeException unfit) {
            found.unless(false, at + "/notation", "this workout cannot be read: " + firstLine(message(unfit)));
            return Optional.empty();
        }
    }

    private static void said(Found found, String pointer, @Nullable KeptPart part, Function<Document, Object> read) {
        if (part != null) {
            tried(found, pointer, () -> read.apply(document(part)));
        }
    }

    private static void tried(Found found, String pointer, Supplier<Object> read) {
        try {
            Objects.requireNonNull(read.get());
        } catch (RuntimeException unfit) {
            found.unless(false, pointer, "this cannot be read: " + firstLine(message(unfit)));
        }
    }

    private static Document document(KeptPart part) {
        return new Document(part.schemaVersion(), part.document().toString());
    }

    private static Attempt attempt(AttemptPart one) {
        return new Attempt(
                one.id(),
                one.athleteId(),
                "",
                one.workoutId(),
                one.division(),
                one.doneOn(),
                one.notation(),
                one.retestOf(),
                one.part(),
                one.cutInto());
    }

    private static Recording recording(UUID attemptId, RecordingPart film) {
        JsonNode simulation = film.simulation();
        return new Recording(
                film.id(),
                attemptId,
                film.kind().equals("video") ? RecordingStore.Kind.VIDEO : RecordingStore.Kind.SIMULATED,
                film.label(),
                film.mediaType(),
                film.sizeBytes(),
                film.durationMs(),
                null,
                simulation == null ? null : simulation.toString(),
                false);
    }

    private void rest(AttemptPart one) {
        UUID id = one.id();
        attempts.putNote(id, one.note());
        attempts.putCardSentence(id, one.cardSentence());
        Portable.HeatPart heat = one.heat();
        if (heat != null) {
            heats.put(heat.id(), id, heat.lane());
        }
        one.uses().forEach(film -> recordings.use(film, id));
        one.go().forEach(go -> recordings.go(go.recordingId(), id, go.atMs(), go.uncertaintyS()));
        marks.addAll(id, one.marks().stream().map(mark -> mark(id, mark)).toList());
        KeptPart plan = one.plan();
        if (plan != null) {
            plans.put(id, document(plan), "Taken in");
        }
        KeptPart chosen = one.chosen();
        if (chosen != null) {
            retests.put(id, document(chosen));
        }
        KeptPart called = one.called();
        if (called != null) {
            retests.putCalled(id, document(called));
        }
        one.traces()
                .forEach(trace ->
                        traces.add(new StoredTrace(trace.id(), id, trace.label(), trace.offsetMs(), trace.sheet())));
    }

    private static StoredMark mark(UUID attemptId, MarkPart mark) {
        return new StoredMark(
                mark.id(),
                attemptId,
                mark.recordingId(),
                mark.kind(),
                mark.atMs(),
                mark.reps() == null ? 0 : mark.reps(),
                mark.depth() == null ? Depth.SET : mark.depth(),
                mark.tag() == null ? "" : mark.tag(),
                mark.text() == null ? "" : mark.text(),
                mark.uncertaintyS());
    }

    /** The schema, as it is published. */
    public static String schema() {
        return SchemaCheck.text();
    }
}
