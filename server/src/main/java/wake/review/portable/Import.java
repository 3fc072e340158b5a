package wake.review.portable;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.locks.ReentrantLock;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import wake.log.Granularity;
import wake.movement.Movement;
import wake.review.Documents;
import wake.review.Movements;
import wake.review.portable.Portable.AttemptPart;
import wake.review.portable.Portable.KeptPart;
import wake.review.portable.Portable.MarkPart;
import wake.review.portable.Portable.RecordingPart;
import wake.store.AthleteStore;
import wake.store.AthleteStore.Athlete;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.Document;
import wake.store.HeatStore;
import wake.store.MarkStore;
import wake.store.MarkStore.StoredMark;
import wake.store.PlanStore;
import wake.store.RecordingStore;
import wake.store.RecordingStore.Recording;
import wake.store.RetestStore;
import wake.store.SettingStore;
import wake.store.StrengthStore;
import wake.store.TraceStore;
import wake.store.TraceStore.StoredTrace;
import wake.store.WorkoutStore;
import wake.store.WorkoutStore.StoredWorkout;

/** Takes in what {@link Export} writes: all of it or nothing. What is here already, by its id, stays as it is. */
@Component
public class Import {
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
    private final StrengthStore strength;
    private final ImportCheck check;
    private final Documents documents;
    private final Movements movements;
    private final TransactionTemplate transaction;
    private final JsonMapper json;
    private final ReentrantLock oneAtATime = new ReentrantLock(true);

    /**
     * What was taken in.
     *
     * @param known how many athletes, workouts and attempts were here already
     * @param videos how many videos came without their files
     */
    public record Taken(int athletes, int workouts, int attempts, int known, int videos) {}

    Import(
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
            StrengthStore strength,
            ImportCheck check,
            Documents documents,
            Movements movements,
            TransactionTemplate transaction,
            JsonMapper json) {
        this.transaction = transaction;
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
        this.strength = strength;
        this.check = check;
        this.documents = documents;
        this.movements = movements;
        this.json = json;
    }

    /**
     * Takes in a file, one at a time: it is read and held against the schema, and against what is here, before any of it is kept.
     *
     * @throws NotTakenIn naming the lines that do not fit; nothing is kept then
     */
    public Taken takeIn(byte[] written) {
        oneAtATime.lock();
        try {
            Portable file = PortableReader.read(written, json);
            List<Movement> own = movementsOf(file, written);
            check.check(file, movements.with(own)).orThrow(written, json);
            Taken taken = Objects.requireNonNull(transaction.execute(status -> keep(file, own)));
            movements.readAgain();
            return taken;
        } finally {
            oneAtATime.unlock();
        }
    }

    private Taken keep(Portable file, List<Movement> own) {
        own.forEach(movements::keep);
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
            strength(one);
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

    /** Days that are here already stay as they are. */
    private void strength(Portable.AthletePart athlete) {
        List<Portable.StrengthPart> days = athlete.strength();
        if (days != null) {
            days.stream()
                    .filter(day -> strength.find(athlete.id(), day.doneOn()).isEmpty())
                    .forEach(
                            day -> strength.put(athlete.id(), new StrengthStore.StrengthDay(day.doneOn(), day.text())));
        }
    }

    /** Own movements of the file that are not here yet: the texts of workouts may need them. */
    private List<Movement> movementsOf(Portable file, byte[] written) {
        Set<String> names = new HashSet<>();
        movements.own().forEach(one -> names.add(one.name()));
        List<Movement> fresh = new ArrayList<>();
        Found found = new Found();
        for (int i = 0; i < file.movements().size(); i++) {
            Document document = new Document(1, file.movements().get(i).toString());
            found.unlessRead("/movements/" + i, "this is not a movement", () -> {
                Movement movement = documents.movement(document);
                if (names.add(movement.name())) {
                    movements.with(List.of(movement));
                    fresh.add(movement);
                }
                return movement;
            });
        }
        found.orThrow(written, json);
        return fresh;
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
        KeptPart doneWith = one.planDoneWith();
        if (doneWith != null) {
            plans.put(id, doneWith.kept(), "Imported");
            plans.doneWithCurrent(id);
        }
        KeptPart plan = one.plan();
        if (plan != null) {
            plans.put(id, plan.kept(), "Imported");
        }
        KeptPart chosen = one.chosen();
        if (chosen != null) {
            retests.put(id, chosen.kept());
        }
        KeptPart called = one.called();
        if (called != null) {
            retests.putProjected(id, called.kept());
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
                mark.depth() == null ? Granularity.SET : mark.depth(),
                mark.tag() == null ? "" : mark.tag(),
                mark.text() == null ? "" : mark.text(),
                mark.uncertaintyS());
    }

    /** The schema, as it is published. */
    public static String schema() {
        return SchemaCheck.text();
    }
}
