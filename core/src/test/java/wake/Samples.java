package wake;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import wake.log.AttemptLog;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.movement.Catalogue;
import wake.movement.CatalogueFile;
import wake.simulation.AthleteModel;
import wake.simulation.SimulatedAttempt;
import wake.workout.ExpandedWorkout;
import wake.workout.NotationReader;
import wake.workout.Workout;

/** Workouts and attempts in a few words, for tests; all invented. */
public final class Samples {
    public static final Catalogue CATALOGUE = CatalogueFile.shipped();

    public static final String LOCK_GATE = """
            # Lock Gate
            divisions: women / men
            for time, cap 14:00
              5 rounds:
                8+8 cal row
                10-8-6-4-2 power clean @ 30-40-47.5-55-60 / 40-50-60-70-80 kg
            """;

    public static final String SKIFF = """
            # Skiff Sprint
            for time
              2 rounds:
                6 burpee
                8 kettlebell swing @ 16 kg
            """;

    public static final String LONG_REACH = """
            # Long Reach
            for time, cap 12:00
              400 m run
              30 toes-to-bar
              3 rounds:
                9 thruster @ 40 kg
                12 box jump over @ 50 cm
              20 wall-ball shot @ 9 kg
            """;

    public static final String SLACK_WATER = """
            # Slack Water
            amrap 6:00
              buy-in: 20 cal ski
              repeat:
                2 wall walk
                4+4 goblet squat @ 24 kg
            """;

    public static final String BELL_BUOY = """
            # Bell Buoy
            every 1:00 x 5
              6 burpee
              8 kettlebell swing @ 24 kg
            """;

    public static final String STAGES = """
            # High Water
            for time, cap 9:00
              5 rounds:
                9 thruster @ 40 kg
                6+2 burpee
              by 3:00 after round 2
              by 6:00 after round 4
            """;

    private static final Map<String, MarkKind> KEYS = Map.ofEntries(
            Map.entry("A", MarkKind.BEGIN),
            Map.entry("F", MarkKind.REP),
            Map.entry("O", MarkKind.OFF),
            Map.entry("N", MarkKind.ON),
            Map.entry("D", MarkKind.DONE),
            Map.entry("R", MarkKind.NO_REP),
            Map.entry("E", MarkKind.MISS),
            Map.entry("W", MarkKind.TRIP),
            Map.entry("B", MarkKind.BLIND),
            Map.entry("V", MarkKind.SEEN),
            Map.entry("C", MarkKind.CUE),
            Map.entry("X", MarkKind.STOP));

    private Samples() {}

    public static Workout workout(String notation) {
        return NotationReader.read(notation, CATALOGUE).orThrow();
    }

    public static ExpandedWorkout expanded(String notation) {
        return ExpandedWorkout.of(workout(notation), 0, CATALOGUE);
    }

    /**
     * Marks as a coach would jot them: {@code "A 1.0, F 3.2, O 5 x4, N 9, D 12 seg"}: a key, seconds, a set's reps, the
     * depth.
     */
    public static List<Mark> marks(String jotted) {
        List<Mark> marks = new ArrayList<>();
        for (String one : jotted.split(",")) {
            String[] words = one.strip().split(" +");
            Mark mark = Mark.of(KEYS.get(words[0]), Math.round(1000 * Double.parseDouble(words[1])));
            for (int i = 2; i < words.length; i++) {
                mark = words[i].equals("seg")
                        ? mark.withDepth(Granularity.SEGMENT)
                        : mark.withReps(Integer.parseInt(words[i].substring(1)));
            }
            marks.add(mark);
        }
        return marks;
    }

    public static AttemptLog log(String notation, String jotted) {
        return AttemptLog.of(expanded(notation), marks(jotted));
    }

    /** Seeds for property tests. */
    public static Stream<Long> seeds() {
        return Stream.iterate(1L, seed -> seed + 1).limit(80);
    }

    /** A simulated attempt at one of the workouts above, with breaks and faults. */
    public static SimulatedAttempt simulated(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        String notation = List.of(LOCK_GATE, SKIFF, LONG_REACH, SLACK_WATER, BELL_BUOY, STAGES)
                .get(random.nextInt(6));
        AthleteModel athlete = new AthleteModel(
                Map.of(),
                random.nextDouble() * 0.8,
                0.08,
                1500 + random.nextInt(9000),
                2000 + random.nextInt(20000),
                random.nextDouble() * 2,
                Map.of("toes-to-bar", 4 + random.nextInt(8), "thruster", 5, "power clean", 1 + random.nextInt(5)),
                random.nextDouble() * 0.1);
        return SimulatedAttempt.run(expanded(notation), athlete, seed);
    }

    /** A simulated attempt at a workout by an athlete who breaks, rests and slows. */
    public static SimulatedAttempt simulated(String notation, long seed) {
        AthleteModel athlete = new AthleteModel(
                Map.of(), 0.2, 0.08, 3000, 6000, 0.5, Map.of("toes-to-bar", 6, "thruster", 5, "power clean", 3), 0.02);
        return SimulatedAttempt.run(expanded(notation), athlete, seed);
    }

    /** What a coach watching less closely would have marked of the truth: some segments by sets, some by their ends only. */
    public static List<Mark> blurred(SimulatedAttempt attempt, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Mark> seen = new ArrayList<>();
        int segment = 0;
        int counted = 0;
        int inSet = 0;
        int depth = random.nextInt(4);
        for (Mark mark : attempt.truth()) {
            boolean rep = mark.kind() == MarkKind.REP;
            counted += rep ? 1 : 0;
            inSet += rep ? 1 : 0;
            boolean done = mark.kind() == MarkKind.DONE
                    || (rep && counted == attempt.expanded().segment(segment).steps());
            if (done) {
                Mark end = Mark.of(MarkKind.DONE, mark.atMs());
                seen.add(depth == 3 ? mark : depth == 2 ? end : end.withDepth(Granularity.SEGMENT));
                segment++;
                counted = 0;
                inSet = 0;
                depth = random.nextInt(4);
            } else if (mark.kind() == MarkKind.BEGIN) {
                if (depth != 0) {
                    seen.add(mark);
                }
            } else if (mark.kind() == MarkKind.OFF && depth == 2) {
                seen.add(mark.withReps(inSet));
                inSet = 0;
            } else if ((depth == 2 && mark.kind() == MarkKind.ON) || depth == 3 || mark.kind() == MarkKind.STOP) {
                seen.add(mark);
            }
        }
        return seen;
    }
}
