package wake.demo;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicReference;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import wake.WakeProperties;
import wake.demo.DemoScenes.Seen;
import wake.log.MarkKind;
import wake.media.MediaFolder.Stored;
import wake.media.Uploads;
import wake.media.Uploads.Announced;
import wake.plan.Plan;
import wake.review.Documents;
import wake.review.Documents.KeptPlan;
import wake.review.Documents.Simulation;
import wake.review.Movements;
import wake.review.PlanJson;
import wake.review.Retests;
import wake.review.Reviews;
import wake.simulation.AthleteModel;
import wake.simulation.RecordingScript;
import wake.simulation.SimulatedAttempt;
import wake.simulation.SimulatedLifts;
import wake.store.AthleteStore;
import wake.store.AthleteStore.Athlete;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.HeatStore;
import wake.store.MarkStore;
import wake.store.MarkStore.StoredMark;
import wake.store.PlanStore;
import wake.store.RecordingStore;
import wake.store.RecordingStore.Recording;
import wake.store.StrengthStore;
import wake.store.StrengthStore.StrengthDay;
import wake.store.WorkoutStore;
import wake.store.WorkoutStore.StoredWorkout;
import wake.workout.ExpandedWorkout;
import wake.workout.NotationReader;
import wake.workout.Workout;

/** Fills an empty data folder with Breakwater Barn, a made-up gym, where the demo is asked for. Its athletes are simulated; nothing in it is real. */
@Component
@Order(0)
class DemoGym implements ApplicationRunner {
    private static final String CLIP = "skiff-sprint.webm";

    private static final Logger LOG = LoggerFactory.getLogger(DemoGym.class);

    private final AthleteStore athletes;
    private final WorkoutStore workouts;
    private final AttemptStore attempts;
    private final RecordingStore recordings;
    private final MarkStore marks;
    private final PlanStore plans;
    private final Uploads uploads;
    private final Documents documents;
    private final Reviews reviews;
    private final Retests retests;
    private final Movements movements;
    private final HeatStore heats;
    private final StrengthStore strength;
    private final DemoSeason season;
    private final Clock clock;
    private final boolean wanted;

    DemoGym(
            AthleteStore athletes,
            WorkoutStore workouts,
            AttemptStore attempts,
            RecordingStore recordings,
            MarkStore marks,
            PlanStore plans,
            Uploads uploads,
            Documents documents,
            Reviews reviews,
            Retests retests,
            Movements movements,
            HeatStore heats,
            StrengthStore strength,
            DemoSeason season,
            Clock clock,
            WakeProperties properties) {
        this.wanted = properties.demo();
        this.season = season;
        this.heats = heats;
        this.strength = strength;
        this.athletes = athletes;
        this.workouts = workouts;
        this.attempts = attempts;
        this.recordings = recordings;
        this.marks = marks;
        this.plans = plans;
        this.uploads = uploads;
        this.documents = documents;
        this.reviews = reviews;
        this.retests = retests;
        this.movements = movements;
        this.clock = clock;
    }

    @Override
    @Transactional
    public void run(ApplicationArguments arguments) throws IOException {
        if (!wanted || !athletes.all().isEmpty()) {
            return;
        }
        LOG.info("Filling the demo gym");
        DemoScenes.ATHLETES.forEach(athletes::put);
        athletes.put(DemoSeason.athlete(LocalDate.now(clock)));
        DemoLifts.STRENGTH.forEach((daysAgo, text) -> strength.put(
                DemoScenes.ATHLETES.get(DemoLifts.ATHLETE).id(),
                new StrengthDay(LocalDate.now(clock).minusDays(daysAgo), text)));
        for (String file : DemoScenes.WORKOUTS) {
            String notation = resource("workouts/" + file + ".txt");
            Workout workout =
                    NotationReader.read(notation, movements.catalogue()).orThrow();
            workouts.put(new StoredWorkout(id("workout " + file), workout.title(), notation, false));
        }
        for (DemoScenes.Scene scene : DemoScenes.SCENES) {
            stage(scene);
        }
        String due = DemoScenes.DUE_AFTER;
        setRetest(due, id("attempt " + due + " retest"), LocalDate.now(clock).plusDays(DemoScenes.DUE_IN_DAYS));
        liftWindow();
        heat();
        field();
        season.stage(LocalDate.now(clock), movements.catalogue());
    }

    /** Two athletes in one video. Where the video is absent each has the simulated recording it is rendered from. */
    private void heat() throws IOException {
        StoredWorkout workout = workouts.find(id("workout " + DemoHeat.WORKOUT)).orElseThrow();
        Workout read =
                NotationReader.read(workout.notation(), movements.catalogue()).orThrow();
        ExpandedWorkout expanded = ExpandedWorkout.of(read, 0, movements.catalogue());
        ClassPathResource clip = new ClassPathResource("demo/" + DemoHeat.CLIP);
        UUID video = id("recording " + DemoHeat.WORKOUT);
        for (DemoHeat.Lane lane : DemoHeat.LANES) {
            Athlete athlete = DemoScenes.ATHLETES.get(lane.athlete());
            UUID attemptId = id("attempt " + lane.name());
            attempts.add(new Attempt(
                    attemptId,
                    athlete.id(),
                    athlete.name(),
                    workout.id(),
                    "",
                    LocalDate.now(clock).minusDays(DemoHeat.DAYS_AGO),
                    workout.notation(),
                    null,
                    0,
                    1));
            heats.put(id("heat " + DemoHeat.WORKOUT), attemptId, lane.lane());
            SimulatedAttempt attempt = SimulatedAttempt.run(expanded, lane.model(), lane.seed());
            RecordingScript script = RecordingScript.of(attempt);
            UUID recordingId = clip.exists() ? video : id("recording " + lane.name());
            if (!clip.exists()) {
                Simulation simulation = new Simulation(lane.seed(), lane.model());
                recordings.add(Recording.simulated(
                        recordingId, attemptId, script.durationMs(), documents.simulation(simulation)));
            } else if (recordings.find(video).isEmpty()) {
                Stored stored = take(video, clip, DemoHeat.CLIP);
                recordings.add(
                        Recording.video(video, attemptId, DemoHeat.CLIP, stored.mediaType(), stored.sizeBytes()));
            } else {
                recordings.use(video, attemptId);
            }
            recordings.putOutline(recordingId, attemptId, lane.outline());
            recordings.go(recordingId, attemptId, DemoHeat.GO_MS, 0.01);
            DemoCoach.marks(attempt, lane.name(), attemptId, recordingId, DemoHeat.GO_MS)
                    .forEach(marks::put);
        }
    }

    /** Guests at one of the workouts, of whom nobody kept a video. */
    private void field() {
        StoredWorkout workout =
                workouts.find(id("workout " + DemoField.WORKOUT)).orElseThrow();
        Workout read =
                NotationReader.read(workout.notation(), movements.catalogue()).orThrow();
        ExpandedWorkout expanded = ExpandedWorkout.of(read, read.division(DemoField.DIVISION), movements.catalogue());
        for (DemoField.Guest guest : DemoField.guests()) {
            Athlete athlete = guest.athlete();
            athletes.put(athlete);
            UUID attemptId = guest.id("attempt");
            attempts.add(new Attempt(
                    attemptId,
                    athlete.id(),
                    athlete.name(),
                    workout.id(),
                    DemoField.DIVISION,
                    LocalDate.now(clock).minusDays(DemoField.DAYS_AGO),
                    workout.notation(),
                    null,
                    0,
                    1));
            SimulatedAttempt attempt = SimulatedAttempt.run(expanded, guest.model(), guest.seed());
            List<StoredMark> seen = switch (guest.watched()) {
                case SETS -> DemoCoach.sets(attempt, athlete.name(), attemptId, null, 0);
                case ROUNDS -> DemoCoach.roundTimes(attempt, athlete.name(), attemptId);
                case SCORE -> DemoCoach.score(attempt, athlete.name(), attemptId);
            };
            marks.addAll(attemptId, seen);
        }
    }

    /** A lift window done some days ago, its last lift missed, and its retest of tomorrow: the next lifts timed and loaded by its projection. */
    private void liftWindow() {
        StoredWorkout workout = workouts.find(id("workout crest-and-trough")).orElseThrow();
        Athlete athlete = DemoScenes.ATHLETES.get(DemoLifts.ATHLETE);
        UUID attemptId = id("attempt " + DemoLifts.NAME);
        attempts.add(new Attempt(
                attemptId,
                athlete.id(),
                athlete.name(),
                workout.id(),
                DemoLifts.DIVISION,
                LocalDate.now(clock).minusDays(DemoLifts.DAYS_AGO),
                workout.notation(),
                null,
                0,
                1));
        Workout read =
                NotationReader.read(workout.notation(), movements.catalogue()).orThrow();
        ExpandedWorkout expanded = ExpandedWorkout.of(read, read.division(DemoLifts.DIVISION), movements.catalogue());
        plans.put(
                attemptId,
                documents.plan(new KeptPlan(new Plan(List.of()), null, Optional.of(DemoLifts.PLAN))),
                "Timetable");
        SimulatedAttempt attempt = SimulatedLifts.run(expanded, DemoLifts.PLAN, DemoLifts.SEED);
        RecordingScript script = RecordingScript.of(attempt);
        UUID recordingId = id("recording " + DemoLifts.NAME);
        Simulation simulation =
                new Simulation(DemoLifts.SEED, AthleteModel.plain(), PlanJson.LiftJson.of(DemoLifts.PLAN));
        recordings.add(
                Recording.simulated(recordingId, attemptId, script.durationMs(), documents.simulation(simulation)));
        recordings.go(recordingId, attemptId, script.goMs(), 0.01);
        DemoCoach.marks(attempt, DemoLifts.NAME, attemptId, recordingId, script.goMs())
                .forEach(marks::put);
        setRetest(
                DemoLifts.NAME,
                id("attempt tamsin crest and trough"),
                LocalDate.now(clock).plusDays(1));
    }

    private void stage(DemoScenes.Scene scene) throws IOException {
        StoredWorkout workout = workouts.find(id("workout " + scene.workout())).orElseThrow();
        Athlete athlete = DemoScenes.ATHLETES.get(scene.athlete());
        UUID attemptId = id("attempt " + scene.name());
        LocalDate day = LocalDate.now(clock).minusDays(scene.daysAgo());
        if (scene.retestOf().isPresent()) {
            setRetest(scene.retestOf().get(), attemptId, day);
        } else {
            attempts.add(new Attempt(
                    attemptId,
                    athlete.id(),
                    athlete.name(),
                    workout.id(),
                    scene.division(),
                    day,
                    workout.notation(),
                    null,
                    0,
                    1));
        }
        Workout read =
                NotationReader.read(workout.notation(), movements.catalogue()).orThrow();
        ExpandedWorkout expanded = ExpandedWorkout.of(read, read.division(scene.division()), movements.catalogue());
        plan(scene, expanded)
                .ifPresent(plan -> plans.put(
                        attemptId,
                        documents.plan(new KeptPlan(plan, DemoScenes.goal(scene), Optional.empty())),
                        "Kept"));
        if (DemoScenes.seen(scene) == Seen.ROUNDS) {
            SimulatedAttempt attempt = SimulatedAttempt.run(expanded, scene.model(), scene.seed());
            DemoCoach.roundTimes(attempt, scene.name(), attemptId).forEach(marks::put);
            return;
        }
        UUID recordingId = id("recording " + scene.name());
        Simulation simulation = new Simulation(scene.seed(), scene.model());
        SimulatedAttempt attempt = SimulatedAttempt.run(expanded, scene.model(), scene.seed());
        RecordingScript script = RecordingScript.of(attempt);
        recordings.add(recording(scene, attemptId, recordingId, simulation, script));
        if (scene.loggedShare() > 0) {
            recordings.go(recordingId, attemptId, script.goMs(), 0.01);
        }
        log(attempt, scene, attemptId, recordingId, script.goMs());
    }

    /** Sets a retest as a coach would have, with the changes that were proposed. */
    private void setRetest(String firstScene, UUID attemptId, LocalDate day) {
        retests.set(reviews.open(id("attempt " + firstScene)), attemptId, day);
    }

    private Optional<Plan> plan(DemoScenes.Scene scene, ExpandedWorkout expanded) {
        return scene.planned() ? Optional.of(DemoScenes.plan(scene, expanded).checkedFor(expanded)) : Optional.empty();
    }

    private Recording recording(
            DemoScenes.Scene scene, UUID attemptId, UUID recordingId, Simulation simulation, RecordingScript script)
            throws IOException {
        ClassPathResource clip = new ClassPathResource("demo/" + CLIP);
        // The clip is rendered from the simulated recording that stands here while there is no clip.
        if (!scene.asVideo() || !clip.exists()) {
            return Recording.simulated(recordingId, attemptId, script.durationMs(), documents.simulation(simulation));
        }
        Stored stored = take(recordingId, clip, CLIP);
        return Recording.video(recordingId, attemptId, CLIP, stored.mediaType(), stored.sizeBytes());
    }

    private Stored take(UUID recordingId, ClassPathResource clip, String name) throws IOException {
        AtomicReference<Stored> taken = new AtomicReference<>();
        try (InputStream bytes = clip.getInputStream()) {
            uploads.begin(recordingId, new Announced(name, clip.contentLength()));
            uploads.append(recordingId, 0, bytes);
            uploads.finish(recordingId, taken::set);
        }
        return Objects.requireNonNull(taken.get(), "The clip that ships plays as it is");
    }

    /** Logs a share of the attempt as a coach at the keys would have. */
    private void log(SimulatedAttempt attempt, DemoScenes.Scene scene, UUID attemptId, UUID recordingId, long goMs) {
        List<StoredMark> seen = DemoScenes.seen(scene) == Seen.SETS
                ? DemoCoach.sets(attempt, scene.name(), attemptId, recordingId, goMs)
                : DemoCoach.marks(attempt, scene.name(), attemptId, recordingId, goMs);
        seen.stream().limit(Math.round(seen.size() * scene.loggedShare())).forEach(marks::put);
        for (DemoScenes.DemoCue note : DemoScenes.CUES) {
            if (note.scene().equals(scene.name())) {
                long at = goMs + Math.round(note.share() * attempt.clockMs());
                marks.put(DemoCoach.note(MarkKind.CUE, attemptId, recordingId, at, note));
            }
        }
        for (DemoScenes.DemoCue variant : DemoScenes.VARIANTS) {
            if (variant.scene().equals(scene.name())) {
                long at = goMs + Math.round(variant.share() * attempt.clockMs());
                marks.put(DemoCoach.note(MarkKind.VARIANT, attemptId, recordingId, at, variant));
            }
        }
    }

    private static String resource(String name) throws IOException {
        try (InputStream stream = new ClassPathResource("demo/" + name).getInputStream()) {
            return new String(stream.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    /** The same id for the same thing, so that links into the demo stay good. */
    static UUID id(String name) {
        return UUID.nameUUIDFromBytes(("breakwater barn " + name).getBytes(StandardCharsets.UTF_8));
    }
}
