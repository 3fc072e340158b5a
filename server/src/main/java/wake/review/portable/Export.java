package wake.review.portable;

import java.io.OutputStream;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import wake.log.Granularity;
import wake.review.AttemptLogs;
import wake.review.NotFound;
import wake.review.Reviews;
import wake.review.portable.Portable.AthletePart;
import wake.review.portable.Portable.AttemptPart;
import wake.review.portable.Portable.GoPart;
import wake.review.portable.Portable.HeatPart;
import wake.review.portable.Portable.KeptPart;
import wake.review.portable.Portable.MarkPart;
import wake.review.portable.Portable.RecordingPart;
import wake.review.portable.Portable.StrengthPart;
import wake.review.portable.Portable.TracePart;
import wake.review.portable.Portable.WorkoutPart;
import wake.store.AthleteStore;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.Document;
import wake.store.HeatStore;
import wake.store.MarkStore;
import wake.store.MarkStore.StoredMark;
import wake.store.MovementStore;
import wake.store.PlanStore;
import wake.store.RecordingStore;
import wake.store.RecordingStore.Recording;
import wake.store.RetestStore;
import wake.store.SettingStore;
import wake.store.StrengthStore;
import wake.store.TraceStore;
import wake.store.WorkoutStore;
import wake.store.WorkoutStore.StoredWorkout;

/** Writes attempts, athletes, or everything, attempt by attempt, so that a season fits as well as a day. What lies in the bin stays. */
@Component
public class Export {
    private final AthleteStore athletes;
    private final WorkoutStore workouts;
    private final AttemptStore attempts;
    private final RecordingStore recordings;
    private final MarkStore marks;
    private final PlanStore plans;
    private final RetestStore retests;
    private final TraceStore traces;
    private final HeatStore heats;
    private final MovementStore ownMovements;
    private final SettingStore settings;
    private final StrengthStore strength;
    private final Reviews reviews;
    private final JsonMapper json;

    Export(
            AthleteStore athletes,
            WorkoutStore workouts,
            AttemptStore attempts,
            RecordingStore recordings,
            MarkStore marks,
            PlanStore plans,
            RetestStore retests,
            TraceStore traces,
            HeatStore heats,
            MovementStore ownMovements,
            SettingStore settings,
            StrengthStore strength,
            Reviews reviews,
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
        this.ownMovements = ownMovements;
        this.settings = settings;
        this.strength = strength;
        this.reviews = reviews;
        this.json = json.rebuild().enable(SerializationFeature.INDENT_OUTPUT).build();
    }

    /** An attempt, with the other parts of its day: they share their recordings. */
    @Transactional(readOnly = true)
    public void attempt(UUID id, OutputStream out) {
        Attempt attempt = attempts.find(id).orElseThrow(() -> new NotFound("attempt", id));
        write(attempts.day(attempt), List.of(), false, out);
    }

    /** An athlete with all attempts. */
    @Transactional(readOnly = true)
    public void athlete(UUID id, OutputStream out) {
        if (athletes.find(id).isEmpty()) {
            throw new NotFound("athlete", id);
        }
        write(attempts.of(id), List.of(id), false, out);
    }

    /** Everything. */
    @Transactional(readOnly = true)
    public void everything(OutputStream out) {
        write(
                attempts.all(),
                athletes.all().stream().map(AthleteStore.Athlete::id).toList(),
                true,
                out);
    }

    private void write(List<Attempt> latestFirst, Collection<UUID> alsoAthletes, boolean all, OutputStream out) {
        List<Attempt> some = inOrder(latestFirst);
        Set<UUID> included = new HashSet<>();
        some.forEach(one -> included.add(one.id()));
        Set<UUID> who = new HashSet<>(alsoAthletes);
        Set<UUID> what = new HashSet<>();
        some.forEach(one -> {
            who.add(one.athleteId());
            what.add(one.workoutId());
        });
        List<StoredWorkout> library = workouts.all().stream()
                .filter(one -> all || what.contains(one.id()))
                .sorted(Comparator.comparing(StoredWorkout::id))
                .toList();
        try (JsonGenerator to = json.createGenerator(out)) {
            to.writeStartObject();
            to.writeStringProperty("format", Portable.FORMAT);
            to.writeNumberProperty("version", Portable.VERSION);
            to.writePOJOProperty(
                    "movements",
                    ownMovements.all().stream()
                            .map(one -> json.readTree(one.json()))
                            .toList());
            if (all) {
                to.writePOJOProperty("settings", settings());
            }
            to.writePOJOProperty(
                    "athletes",
                    athletes.all().stream()
                            .filter(one -> who.contains(one.id()))
                            .map(one -> new AthletePart(
                                    one.id(),
                                    one.name(),
                                    one.note(),
                                    one.figures(),
                                    one.pain(),
                                    one.recoversSlowly(),
                                    alsoAthletes.contains(one.id()) ? strength(one.id()) : null))
                            .toList());
            to.writePOJOProperty(
                    "workouts",
                    library.stream()
                            .map(one -> new WorkoutPart(one.id(), one.title(), one.notation(), one.archived()))
                            .toList());
            to.writeArrayPropertyStart("attempts");
            some.forEach(one -> to.writePOJO(part(one, included)));
            to.writeEndArray();
            to.writeEndObject();
        }
    }

    private @Nullable List<StrengthPart> strength(UUID athleteId) {
        List<StrengthPart> all = strength.of(athleteId).reversed().stream()
                .map(day -> new StrengthPart(day.doneOn(), day.text()))
                .toList();
        return all.isEmpty() ? null : all;
    }

    private Map<String, JsonNode> settings() {
        Map<String, JsonNode> kept = new LinkedHashMap<>();
        settings.all().forEach((name, document) -> kept.put(name, json.readTree(document)));
        return kept;
    }

    /** By day, and each after the one it retests. */
    private static List<Attempt> inOrder(List<Attempt> some) {
        return some.stream()
                .sorted(Comparator.comparing(Attempt::doneOn)
                        .thenComparing(one -> one.retestOf() != null)
                        .thenComparing(Attempt::id))
                .toList();
    }

    private AttemptPart part(Attempt attempt, Set<UUID> included) {
        UUID id = attempt.id();
        List<Recording> films = reviews.cameras(id);
        Map<UUID, Recording> known = new LinkedHashMap<>();
        films.stream()
                .filter(film -> !film.removed() && included.contains(film.attemptId()))
                .forEach(film -> known.put(film.id(), film));
        UUID retestOf = attempt.retestOf();
        return new AttemptPart(
                id,
                attempt.athleteId(),
                attempt.workoutId(),
                attempt.part(),
                attempt.division(),
                attempt.doneOn(),
                attempt.notation(),
                retestOf != null && included.contains(retestOf) ? retestOf : null,
                attempt.cutInto(),
                attempts.note(id),
                attempts.cardSentence(id),
                heats.heat(id)
                        .map(heat -> new HeatPart(heat, heats.lane(id).orElse(null)))
                        .orElse(null),
                known.values().stream()
                        .filter(film -> film.attemptId().equals(id))
                        .map(this::recording)
                        .toList(),
                recordings.usedBy(id).stream()
                        .filter(known::containsKey)
                        .sorted()
                        .toList(),
                go(id, known.keySet()),
                marks(id, films, known.keySet()),
                kept(plans.doneWith(id).map(PlanStore.DoneWith::document)),
                kept(plans.find(id)),
                kept(retests.find(id)),
                kept(retests.findProjected(id)),
                traces.of(id).stream()
                        .map(one -> new TracePart(one.id(), one.label(), one.offsetMs(), one.sheet()))
                        .toList());
    }

    private RecordingPart recording(Recording film) {
        String simulation = film.simulation();
        return new RecordingPart(
                film.id(),
                film.kind() == RecordingStore.Kind.VIDEO ? "video" : "simulated",
                film.label(),
                film.mediaType(),
                film.sizeBytes(),
                film.durationMs(),
                simulation == null ? null : json.readTree(simulation));
    }

    private List<GoPart> go(UUID id, Set<UUID> films) {
        List<GoPart> all = new ArrayList<>();
        for (UUID film : films) {
            recordings.goOf(film, id).ifPresent(go -> all.add(new GoPart(film, go.atMs(), go.uncertaintyS())));
        }
        return all;
    }

    /** Marks on a video that does not come along stand at their clock. */
    private List<MarkPart> marks(UUID id, List<Recording> films, Set<UUID> known) {
        List<MarkPart> all = new ArrayList<>();
        for (StoredMark mark : marks.of(id)) {
            UUID film = mark.recordingId();
            if (film == null || known.contains(film)) {
                all.add(mark(mark, film, mark.atMs()));
            } else {
                AttemptLogs.clockMs(
                                mark,
                                films.stream()
                                        .filter(one -> one.id().equals(film))
                                        .findFirst())
                        .ifPresent(at -> all.add(mark(mark, null, at)));
            }
        }
        return all;
    }

    private static MarkPart mark(StoredMark mark, @Nullable UUID film, long atMs) {
        return new MarkPart(
                mark.id(),
                film,
                mark.kind(),
                atMs,
                mark.reps() == 0 ? null : mark.reps(),
                mark.depth() == Granularity.SET ? null : mark.depth(),
                mark.tag().isEmpty() ? null : mark.tag(),
                mark.text().isEmpty() ? null : mark.text(),
                mark.uncertaintyS());
    }

    private @Nullable KeptPart kept(Optional<Document> document) {
        return document.map(one -> new KeptPart(one.schemaVersion(), json.readTree(one.json())))
                .orElse(null);
    }
}
