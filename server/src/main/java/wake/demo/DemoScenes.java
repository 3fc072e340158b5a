package wake.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import wake.plan.Draft;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.SetScheme;
import wake.simulation.AthleteModel;
import wake.store.AthleteStore.Athlete;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/** Who trains at Breakwater Barn, what they did lately, and how far its coach has come with the reviews. All made up. */
final class DemoScenes {
    static final List<Athlete> ATHLETES = List.of(
            athlete(
                    "Maren Tidewell",
                    "Limiter: pressing.",
                    "max clean 85 kg\nmax push press 62.5 kg\nunbroken push press 14\nunbroken toes-to-bar 20\ntest row 300 m: 1:04 1:05 1:05 1:06 1:06 1:07\nlimiter push press"),
            athlete(
                    "Odd Skagerby",
                    "Strong on the rower, slow between stations.",
                    "max power clean 105 kg\nmax clean 120 kg\ntest row 500 m: 1:36 1:37 1:37 1:38"),
            athlete(
                    "Pia Lagoonsdotter",
                    "Grip goes first.",
                    "unbroken toes-to-bar 14\nbest run 1 mi 6:50\nlimiter toes-to-bar"),
            athlete("Jory Kelpman", "New to filming. Left shoulder was sore in spring, cleared since.", ""),
            athlete(
                    "Tamsin Brack",
                    "Grinder: even rounds, little speed.",
                    "max power clean 70 kg\nmax push jerk 65 kg\nbest row 2000 m 7:52"));

    /** A note the coach pinned to a moment: how far into the attempt, and what. */
    record DemoCue(String scene, double share, String tag, String text) {}

    static final List<DemoCue> CUES = List.of(
            new DemoCue("maren groundswell", 0.16, "effort", "6"),
            new DemoCue("maren groundswell", 0.42, "effort", "7"),
            new DemoCue("maren groundswell", 0.55, "breath", "looks at the clock before every second set"),
            new DemoCue("maren groundswell", 0.66, "effort", "8"),
            new DemoCue("maren groundswell", 0.83, "set-up", "chalks up twice"),
            new DemoCue("maren groundswell", 0.93, "effort", "9"),
            new DemoCue("maren two basins", 0.30, "good", "stays tall in the front rack"));

    /** From which share of an attempt on a movement was done with another technique. */
    static final List<DemoCue> VARIANTS = List.of(
            new DemoCue("maren two basins", 0.001, "", "jump-back"),
            new DemoCue("maren two basins", 0.147, "", "step-back"));

    /** How closely the coach looked, where it was not rep by rep. */
    enum Seen {
        REPS,
        SETS,
        /** Round times jotted at the rig, without a recording. */
        ROUNDS
    }

    static Seen seen(Scene scene) {
        return switch (scene.name()) {
            case "pia there and back" -> Seen.SETS;
            case "jory skerry" -> Seen.ROUNDS;
            default -> Seen.REPS;
        };
    }

    static final List<String> WORKOUTS = List.of(
            "lock-gate",
            "long-reach",
            "skiff-sprint",
            "groundswell",
            "spring-tide",
            "slack-water",
            "bell-buoy",
            "crest-and-trough",
            "ebb-ladder",
            "two-basins",
            "there-and-back",
            "skerry",
            "long-tack",
            "slipway",
            "mole-head",
            "sluice",
            "sounding-line",
            "two-oars",
            DemoHeat.WORKOUT,
            DemoSeason.WORKOUT);

    private DemoScenes() {}

    /**
     * One attempt of the demo.
     *
     * @param loggedShare how much of it is logged, from 0 to 1
     * @param plannedCadence seconds per unit the plan asks for, where it differs from the usual
     * @param plannedSets set schemes the plan asks for
     */
    record Scene(
            String name,
            int athlete,
            String workout,
            String division,
            int daysAgo,
            long seed,
            AthleteModel model,
            double loggedShare,
            boolean planned,
            Map<String, Double> plannedCadence,
            Map<String, String> plannedSets,
            boolean asVideo,
            Optional<String> retestOf) {
        /** A retest of another scene's attempt, so many days ago; negative for days ahead. */
        static Scene retest(Scene first, String name, int daysAgo, long seed, AthleteModel model, double loggedShare) {
            return new Scene(
                    name,
                    first.athlete(),
                    first.workout(),
                    first.division(),
                    daysAgo,
                    seed,
                    model,
                    loggedShare,
                    false,
                    Map.of(),
                    Map.of(),
                    false,
                    Optional.of(first.name()));
        }
    }

    private static final List<Scene> FIRST = List.of(
            new Scene(
                    "maren groundswell",
                    0,
                    "groundswell",
                    "women",
                    2,
                    41,
                    new AthleteModel(
                            Map.of("row", 2.95, "toes-to-bar", 1.75, "push press", 2.0, "box jump over", 2.9),
                            0.16,
                            0.05,
                            3300,
                            5200,
                            2.4,
                            Map.of("push press", 6, "toes-to-bar", 8),
                            0.012),
                    1,
                    true,
                    Map.of("row", 2.95, "toes-to-bar", 1.8, "push press", 2.1, "box jump over", 2.9),
                    Map.of("push press", "7-5", "toes-to-bar", "8-7"),
                    false,
                    Optional.empty()),
            new Scene(
                    "odd lock gate",
                    1,
                    "lock-gate",
                    "men",
                    1,
                    7,
                    new AthleteModel(
                                    Map.of("row", 2.45, "power clean", 3.4),
                                    0.22,
                                    0.06,
                                    9000,
                                    6500,
                                    0.8,
                                    Map.of("power clean", 5),
                                    0.02)
                            .breakingAtFaults(0.6),
                    1,
                    true,
                    Map.of("row", 2.5, "power clean", 3.4),
                    Map.of("power clean", "5s"),
                    false,
                    Optional.empty()),
            new Scene(
                    "tamsin groundswell",
                    4,
                    "groundswell",
                    "women",
                    9,
                    58,
                    new AthleteModel(
                            Map.of("row", 3.05, "toes-to-bar", 1.95, "push press", 2.2, "box jump over", 2.7),
                            0.05,
                            0.04,
                            2600,
                            6500,
                            0.3,
                            Map.of("push press", 6, "toes-to-bar", 6),
                            0.004),
                    1,
                    false,
                    Map.of(),
                    Map.of(),
                    false,
                    Optional.empty()),
            new Scene(
                    "pia long reach",
                    2,
                    "long-reach",
                    "",
                    0,
                    19,
                    new AthleteModel(
                            Map.of("toes-to-bar", 1.8),
                            0.25,
                            0.06,
                            4200,
                            7500,
                            1.2,
                            Map.of("toes-to-bar", 9, "thruster", 6),
                            0.02),
                    0.46,
                    true,
                    Map.of("toes-to-bar", 1.9),
                    Map.of("toes-to-bar", "10s"),
                    false,
                    Optional.empty()),
            new Scene(
                    "tamsin spring tide",
                    4,
                    "spring-tide",
                    "women",
                    5,
                    23,
                    new AthleteModel(Map.of("thruster", 2.3), 0.12, 0.05, 3600, 8000, 0.9, Map.of("thruster", 8), 0.01),
                    1,
                    false,
                    Map.of(),
                    Map.of(),
                    false,
                    Optional.empty()),
            new Scene(
                    "jory slack water",
                    3,
                    "slack-water",
                    "men",
                    6,
                    31,
                    new AthleteModel(
                            Map.of("wall walk", 6.2, "goblet squat", 2.0),
                            0.3,
                            0.06,
                            4200,
                            6000,
                            1.0,
                            Map.of("goblet squat", 10),
                            0.01),
                    1,
                    false,
                    Map.of(),
                    Map.of(),
                    false,
                    Optional.empty()),
            new Scene(
                    "jory skiff sprint",
                    3,
                    "skiff-sprint",
                    "",
                    0,
                    5,
                    clipAthlete(),
                    0,
                    false,
                    Map.of(),
                    Map.of(),
                    true,
                    Optional.empty()),
            new Scene(
                    "tamsin skiff sprint",
                    4,
                    "skiff-sprint",
                    "",
                    0,
                    77,
                    AthleteModel.plain(),
                    0,
                    false,
                    Map.of(),
                    Map.of(),
                    false,
                    Optional.empty()));

    /** The retest whose projections came: the transitions shorter, the thrusters held. */
    private static final Scene CAME = Scene.retest(
            first("tamsin spring tide"),
            "tamsin spring tide retest",
            1,
            69,
            new AthleteModel(Map.of("thruster", 2.2), 0.1, 0.05, 2600, 8000, 0.9, Map.of("thruster", 8), 0.01),
            1);

    /** The retest in which the pauses were cut as projected and cost more fatigue than was assumed: the squats got slower. */
    private static final Scene DID_NOT_COME = Scene.retest(
            first("jory slack water"),
            "jory slack water retest",
            2,
            37,
            new AthleteModel(
                    Map.of("wall walk", 6.1, "goblet squat", 2.1),
                    0.42,
                    0.06,
                    3300,
                    5200,
                    0.7,
                    Map.of("goblet squat", 10),
                    0.006),
            1);

    /** Older ones, of the shapes a review has to read with care: rising bars, blocks, mirrors, intervals, a buzzer in mid-movement. */
    private static final List<Scene> SHAPES = List.of(
            shape(
                    "odd ebb ladder",
                    1,
                    "ebb-ladder",
                    12,
                    new AthleteModel(
                            Map.of(
                                    "power snatch @ 35 kg", 2.3,
                                    "power snatch @ 50 kg", 3.6,
                                    "power snatch @ 65 kg", 5.4,
                                    "power snatch @ 75 kg", 7.8,
                                    "burpee over bar", 3.2),
                            0.02,
                            0.04,
                            4200,
                            6000,
                            0.4,
                            Map.of(),
                            0)),
            shape(
                    "maren two basins",
                    0,
                    "two-basins",
                    13,
                    new AthleteModel(
                            Map.of("burpee", 3.1, "thruster", 2.2, "pull-up", 1.6, "push-up", 1.5),
                            0.14,
                            0.05,
                            3600,
                            5000,
                            0.8,
                            Map.of("push-up", 7),
                            0.01)),
            shape(
                    "pia there and back",
                    2,
                    "there-and-back",
                    15,
                    new AthleteModel(
                            Map.of("row", 3.0, "wall-ball shot", 2.0, "toes-to-bar", 1.8),
                            0.3,
                            0.05,
                            5200,
                            6000,
                            1.2,
                            Map.of("wall-ball shot", 14, "toes-to-bar", 7),
                            0)),
            shape("jory skerry", 3, "skerry", 16, new AthleteModel(Map.of(), 0.2, 0.05, 5000, 6000, 0.5, Map.of(), 0)),
            shape(
                    "tamsin bell buoy",
                    4,
                    "bell-buoy",
                    18,
                    new AthleteModel(
                            Map.of("air bike", 3.2, "burpee over bar", 3.6), 0.12, 0.05, 4200, 5000, 0.4, Map.of(), 0)),
            shape(
                    "pia long tack",
                    2,
                    "long-tack",
                    20,
                    new AthleteModel(
                            Map.of("box jump over", 2.8, "wall-ball shot", 2.2),
                            0.15,
                            0.05,
                            4000,
                            6500,
                            0.8,
                            Map.of("wall-ball shot", 15),
                            0)));

    static final List<Scene> SCENES = Stream.of(FIRST.stream(), Stream.of(CAME, DID_NOT_COME), SHAPES.stream())
            .flatMap(scenes -> scenes)
            .toList();

    private static Scene shape(String name, int athlete, String workout, int daysAgo, AthleteModel model) {
        return new Scene(
                name,
                athlete,
                workout,
                "",
                daysAgo,
                daysAgo,
                model,
                1,
                false,
                Map.of(),
                Map.of(),
                false,
                Optional.empty());
    }

    /** Whose retest is set and not done yet, and in how many days it is due. */
    static final String DUE_AFTER = "odd lock gate";

    static final int DUE_IN_DAYS = 2;

    private static Scene first(String name) {
        return FIRST.stream()
                .filter(scene -> scene.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** The athlete of the video clip that ships with the demo; the clip is rendered from this. */
    static AthleteModel clipAthlete() {
        return new AthleteModel(
                Map.of("burpee", 2.6, "kettlebell swing", 1.5), 0.12, 0.05, 2600, 3000, 0.3, Map.of(), 0.04);
    }

    private static Athlete athlete(String name, String note, String figures) {
        return new Athlete(DemoGym.id("athlete " + name), name, note, figures, "", false);
    }

    /** The score that was planned for; null where none was. */
    static @Nullable String goal(Scene scene) {
        return scene.name().equals("maren groundswell") ? "10:00" : null;
    }

    /** The plan the coach had written for a scene. */
    static Plan plan(Scene scene, ExpandedWorkout expanded) {
        Plan draft = Draft.of(expanded);
        List<LinePacing> lines = new ArrayList<>();
        for (Segment segment : expanded.firstOfEachLine()) {
            String movement = segment.movement().name();
            Pacing usual = draft.pacing(segment);
            Pacing pacing = new Pacing(
                    3000,
                    SetScheme.parse(scene.plannedSets().getOrDefault(movement, "unbroken")),
                    scene.plannedCadence().getOrDefault(movement, usual.secondsPerUnit()),
                    5000);
            lines.add(new LinePacing(segment.lineIndex(), pacing, Map.of()));
        }
        return new Plan(lines);
    }
}
