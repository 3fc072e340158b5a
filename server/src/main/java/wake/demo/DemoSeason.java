package wake.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import wake.exchange.TraceFile;
import wake.log.MarkKind;
import wake.movement.Catalogue;
import wake.review.Documents;
import wake.review.Documents.Simulation;
import wake.review.Retests;
import wake.review.Reviews;
import wake.simulation.AthleteModel;
import wake.simulation.RecordingScript;
import wake.simulation.SimulatedAttempt;
import wake.simulation.SimulatedMonitor;
import wake.store.AthleteStore.Athlete;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.MarkStore;
import wake.store.MarkStore.StoredMark;
import wake.store.RecordingStore;
import wake.store.RecordingStore.Recording;
import wake.store.TraceStore;
import wake.store.TraceStore.StoredTrace;
import wake.store.WorkoutStore;
import wake.store.WorkoutStore.StoredWorkout;
import wake.workout.ExpandedWorkout;
import wake.workout.NotationReader;

/** One athlete of the demo over a season: eight attempts, one projected, a monitor and a strap beside the last. All made up. */
@Component
class DemoSeason {
    static final String WORKOUT = "tide-mill";
    private static final String NAME = "Sunniva Marsh";
    private static final long EARLY_MS = 12_000;
    private static final long MONITOR_LATE_MS = 400;

    private final AttemptStore attempts;
    private final WorkoutStore workouts;
    private final RecordingStore recordings;
    private final MarkStore marks;
    private final TraceStore traces;
    private final Reviews reviews;
    private final Retests retests;
    private final Documents documents;

    /**
     * A day of the season.
     *
     * @param week how many weeks ago
     * @param workout which
     * @param division of it
     * @param gain how much faster than at the start, as a share
     * @param restMs between sets
     * @param burpee how they were done: another way in the second half
     * @param effort what was felt at a quarter, a half and three quarters
     */
    private record Day(
            int week,
            String workout,
            String division,
            double gain,
            int restMs,
            List<String> burpee,
            List<String> effort) {
        String name() {
            return "sunniva " + workout + " " + week;
        }

        AthleteModel model() {
            double pace = 1 - gain;
            return new AthleteModel(
                    Map.of(
                            "row", workout.equals(WORKOUT) ? 0.232 * pace : 3.1 * pace,
                            "thruster", 2.6 * pace,
                            "burpee", 3.5 * pace,
                            "toes-to-bar", 1.95 * pace,
                            "push press", 2.3 * pace,
                            "box jump over", 3.1 * pace),
                    0.14,
                    0.05,
                    3600 - Math.round(6000 * gain),
                    restMs,
                    1.1,
                    Map.of("thruster", gain > 0.06 ? 9 : 6, "push press", 6, "toes-to-bar", 6),
                    0.012);
        }
    }

    private static final List<Day> DAYS = List.of(
            new Day(13, WORKOUT, "", 0, 8200, List.of("step-back", "jump-back"), List.of("7", "8", "9")),
            new Day(11, WORKOUT, "", 0.01, 8600, List.of("step-back"), List.of("7", "8", "9.5")),
            new Day(10, "groundswell", "women", 0.01, 7400, List.of(), List.of("6", "8", "9")),
            new Day(8, WORKOUT, "", 0.035, 7300, List.of("step-back", "jump-back"), List.of("6", "8", "9")),
            new Day(6, WORKOUT, "", 0.03, 6800, List.of("jump-back"), List.of("7", "8", "9")),
            new Day(4, WORKOUT, "", 0.06, 6100, List.of("step-back", "jump-back"), List.of("6", "7", "9")),
            new Day(3, WORKOUT, "", 0.085, 4300, List.of("step-back"), List.of("6", "7", "8.5")),
            new Day(1, WORKOUT, "", 0.1, 3900, List.of("step-back"), List.of("6", "7", "8.5")));

    /** The day whose retest was projected. */
    private static final Day CALLED = DAYS.get(5);

    private static final Day RETEST = DAYS.get(6);

    DemoSeason(
            AttemptStore attempts,
            WorkoutStore workouts,
            RecordingStore recordings,
            MarkStore marks,
            TraceStore traces,
            Reviews reviews,
            Retests retests,
            Documents documents) {
        this.attempts = attempts;
        this.workouts = workouts;
        this.recordings = recordings;
        this.marks = marks;
        this.traces = traces;
        this.reviews = reviews;
        this.retests = retests;
        this.documents = documents;
    }

    static Athlete athlete(LocalDate today) {
        return new Athlete(
                DemoGym.id("athlete " + NAME),
                NAME,
                "Filmed every other week since the end of summer.",
                """
                goal: the autumn qualifier of the barn, top ten
                max thruster 57.5 kg on %s
                max push press 60 kg on %s
                unbroken toes-to-bar 11 on %s
                test row 500 m: 1:54 1:55 1:56 1:57 on %s
                technique burpee, step-back: 15 in 0:45 effort 6 on %s
                technique burpee, jump-back: 15 in 0:43 effort 8 on %s
                limiter thruster""".formatted(
                                today.minusWeeks(14),
                                today.minusWeeks(14),
                                today.minusWeeks(9),
                                today.minusWeeks(12),
                                today.minusWeeks(7),
                                today.minusWeeks(7)),
                "",
                false);
    }

    /** Enters and logs the season. */
    void stage(LocalDate today, Catalogue catalogue) {
        Athlete athlete = athlete(today);
        for (Day day : DAYS) {
            StoredWorkout workout =
                    workouts.find(DemoGym.id("workout " + day.workout())).orElseThrow();
            UUID id = DemoGym.id("attempt " + day.name());
            LocalDate on = today.minusWeeks(day.week());
            if (day.equals(RETEST)) {
                retests.set(reviews.open(DemoGym.id("attempt " + CALLED.name())), id, on);
            } else {
                attempts.add(new Attempt(
                        id, athlete.id(), NAME, workout.id(), day.division(), on, workout.notation(), null, 0, 1));
            }
            log(day, id, workout, catalogue);
        }
        attempts.putCardSentence(
                DemoGym.id("attempt " + DAYS.getLast().name()),
                "Your best Tide Mill yet, and the thrusters held in nines to the end. Next time the first row easy, and straight to the bar.");
    }

    private void log(Day day, UUID id, StoredWorkout workout, Catalogue catalogue) {
        var read = NotationReader.read(workout.notation(), catalogue).orThrow();
        ExpandedWorkout expanded = ExpandedWorkout.of(read, read.division(day.division()), catalogue);
        long seed = 300 + day.week();
        SimulatedAttempt attempt = SimulatedAttempt.run(expanded, day.model(), seed);
        RecordingScript script = RecordingScript.of(attempt);
        UUID video = DemoGym.id("recording " + day.name());
        recordings.add(Recording.simulated(
                video, id, script.durationMs(), documents.simulation(new Simulation(seed, day.model()))));
        recordings.go(video, id, script.goMs(), 0.01);
        List<StoredMark> seen = new ArrayList<>(DemoCoach.marks(attempt, day.name(), id, video, script.goMs()));
        for (int i = 0; i < day.effort().size(); i++) {
            long at =
                    script.goMs() + attempt.clockMs() * (i + 1) / (day.effort().size() + 1);
            seen.add(DemoCoach.note(
                    MarkKind.CUE,
                    id,
                    video,
                    at,
                    new DemoScenes.DemoCue(
                            day.name() + i, 0, "effort", day.effort().get(i))));
        }
        variants(day, id, video, script.goMs(), attempt, seen);
        marks.addAll(id, seen);
        if (day.equals(DAYS.getLast())) {
            traces.add(new StoredTrace(
                    DemoGym.id("trace " + day.name()),
                    id,
                    "Rower and strap",
                    -EARLY_MS + MONITOR_LATE_MS,
                    TraceFile.write(SimulatedMonitor.of(attempt, EARLY_MS, seed))));
        }
    }

    /** Named as the burpees of the first round begin, and of the third where they went over to another way. */
    private static void variants(
            Day day, UUID id, UUID video, long goMs, SimulatedAttempt attempt, List<StoredMark> seen) {
        List<Long> begins = new ArrayList<>();
        int segment = -1;
        for (var mark : attempt.truth()) {
            if (mark.kind() == MarkKind.BEGIN) {
                segment++;
                if (attempt.expanded().segment(segment).movement().name().equals("burpee")) {
                    begins.add(mark.atMs());
                }
            }
        }
        for (int i = 0; i < day.burpee().size() && begins.size() > 2 * i; i++) {
            seen.add(DemoCoach.note(
                    MarkKind.VARIANT,
                    id,
                    video,
                    goMs + begins.get(2 * i) + 1,
                    new DemoScenes.DemoCue(
                            day.name() + "way" + i, 0, "", day.burpee().get(i))));
        }
    }
}
