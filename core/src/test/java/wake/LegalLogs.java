package wake;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.UUID;
import wake.log.AttemptLog;
import wake.log.Granularity;
import wake.log.Lift;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Phase;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.Segment;

/**
 * Random logs that a coach could make key by key: of every format and detail, with faults anywhere, several marks at one instant, sets of no length,
 * and an end anywhere. A mark that is refused is left out, as the application leaves it out, but for a few that stay as rejected ones.
 */
public final class LegalLogs {
    /** Formats and shapes beside those of {@link Shelf}. */
    private static final List<String> MORE = List.of("""
            # Cairn
            for time, cap 9:00
              3 rounds:
                6 cal row
                1-2-3 rounds:
                  3 deadlift @ 80 kg
                  2 hang power clean @ 80 kg
                  1 push jerk @ 80 kg
              6 cal row
            """, """
            # Sluice
            amrap 3:00
              200 m run
              max wall walk
            """, """
            # Winch
            amrap 2:00
              max burpee
            """, """
            # Slipway
            for time, cap 8:00
              3 rounds:
                200 m run
                8 thruster @ 35 kg
                rest 0:30
            """, """
            # Singles
            for time
              12 power clean @ 90 kg
              2 rounds:
                1 rope climb
                1 squat clean @ 100 kg
            """, """
            # Lanterns
            every 0:40 x 6, in turn
              8 cal row
              7 push-up
              20 double under
            """, """
            # Sounding Line
            for time, cap 6:00
              30 cal row, in 15 cal
              2 rounds:
                50 ft handstand walk, in 25 ft
                5 strict handstand push-up
              by 4:00
              300 m run
            """, """
            # Two Oars
            for time, cap 7:00, you go I go
              4 rounds:
                5 thruster @ 40 kg
                5 burpee
            """, """
            # Long Rope
            amrap 4:00, score reps
              buy-in: 30 double under
              repeat:
                3+3 wall-ball shot @ 9 kg
                6 cal ski
            """, """
            # Twice
            for time
              300 m row
              3 rounds:
                13-11-7 dumbbell snatch @ 22.5 kg
              tie-break after round 1
              300 m row
            """, """
            # Knots
            amrap 4:00
              6 burpee
              tie-break
              8 cal row
            """, """
            # Crest
            lift 6:00, best of 2 hang power clean + 1 push jerk
            """);

    /** Every workout logs are made of. */
    public static final List<String> WORKOUTS = all();

    private static final double SAME_INSTANT = 0.06;
    private static final double FAULT = 0.06;
    private static final double STAYS_REJECTED = 0.05;
    private static final int MOST_MARKS = 180;

    private LegalLogs() {}

    private static List<String> all() {
        List<String> all = new ArrayList<>(Shelf.ALL);
        all.addAll(List.of(
                Samples.LOCK_GATE,
                Samples.SKIFF,
                Samples.LONG_REACH,
                Samples.SLACK_WATER,
                Samples.BELL_BUOY,
                Samples.STAGES));
        all.addAll(MORE);
        return List.copyOf(all);
    }

    /** The log of a seed. */
    public static AttemptLog of(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        return of(WORKOUTS.get(random.nextInt(WORKOUTS.size())), random);
    }

    /** A log of one workout. */
    public static AttemptLog of(String notation, SplittableRandom random) {
        return AttemptLog.of(Samples.expanded(notation), marks(notation, random));
    }

    /** The marks of such a log. */
    public static List<Mark> marks(String notation, SplittableRandom random) {
        ExpandedWorkout expanded = Samples.expanded(notation);
        return expanded.format() instanceof Format.Lift
                ? new Lifter(expanded, random).marks()
                : new Coach(expanded, random).marks();
    }

    /** How closely a movement is watched. */
    private enum Watched {
        ENDS,
        STARTS_AND_ENDS,
        SETS,
        REPS
    }

    /** Presses keys, each only where it makes sense. */
    private static class Coach {
        final ExpandedWorkout expanded;
        final SplittableRandom random;
        final List<Mark> marks = new ArrayList<>();
        AttemptLog log;
        long clock;
        private final double uncertainty;
        private final boolean givesUp;
        private final int giveUpAt;

        Coach(ExpandedWorkout expanded, SplittableRandom random) {
            this.expanded = expanded;
            this.random = random;
            this.log = AttemptLog.of(expanded, marks);
            this.uncertainty = random.nextInt(3) == 0 ? 1 / Math.sqrt(12) : random.nextDouble() * 0.1;
            this.givesUp = random.nextInt(4) == 0;
            this.giveUpAt = random.nextInt(MOST_MARKS);
        }

        List<Mark> marks() {
            int style = random.nextInt(6);
            while (!log.over() && marks.size() < MOST_MARKS && !(givesUp && marks.size() >= giveUpAt)) {
                if (log.current().isEmpty()) {
                    break;
                }
                Watched watched = style < 4 ? Watched.values()[style] : Watched.values()[random.nextInt(4)];
                movement(log.current().get(), watched);
                if (expanded.capMs().isPresent() && clock >= expanded.capMs().getAsLong()) {
                    break;
                }
            }
            if (!log.over() && random.nextInt(8) > 0) {
                stop();
            }
            return marks;
        }

        private void stop() {
            long buzzer = expanded.capMs().orElse(Long.MAX_VALUE);
            int reps = random.nextInt(3) == 0 ? log.counted() + random.nextInt(4) : 0;
            long at = random.nextBoolean() && buzzer != Long.MAX_VALUE ? buzzer : Math.min(clock + gap(4000), buzzer);
            clock = Math.max(clock, at);
            if (!press(MarkKind.STOP, reps, Granularity.SET)) {
                press(MarkKind.STOP, 0, Granularity.SET);
            }
        }

        private void movement(Segment segment, Watched watched) {
            int before = marks.size();
            if (watched != Watched.ENDS && random.nextInt(5) > 0) {
                clock += gap(9000);
                press(MarkKind.BEGIN, 0, Granularity.SET);
            }
            int amount = segment.countable().orElse(0);
            if (watched == Watched.REPS || watched == Watched.SETS) {
                for (int tries = 0; tries < 60 && here(segment) && log.counted() < amount - 1; tries++) {
                    set(segment, watched, amount);
                }
            }
            if (here(segment)) {
                if (random.nextInt(4) == 0) {
                    aside();
                }
                clock += gap(watched == Watched.ENDS ? 60_000 : 8000);
                Granularity depth = watched == Watched.ENDS || watched == Watched.STARTS_AND_ENDS
                        ? random.nextInt(6) == 0 ? Granularity.ROUND : Granularity.SEGMENT
                        : Granularity.SET;
                int lastSet = random.nextInt(4) == 0 ? Math.max(0, amount - log.counted()) : 0;
                if (!press(MarkKind.DONE, lastSet, depth) && !press(MarkKind.DONE, 0, depth)) {
                    clock = Math.max(clock, expanded.capMs().orElse(clock));
                }
            }
            if (marks.size() == before) {
                clock += 1000;
            }
        }

        private boolean here(Segment segment) {
            return !log.over()
                    && log.current()
                            .map(Segment::index)
                            .filter(at -> at == segment.index())
                            .isPresent()
                    && marks.size() < MOST_MARKS
                    && clock < expanded.capMs().orElse(Long.MAX_VALUE);
        }

        private void set(Segment segment, Watched watched, int amount) {
            int size = 1 + random.nextInt(Math.max(1, amount - log.counted()));
            if (log.phase() == Phase.RESTING && random.nextInt(6) > 0) {
                clock += gap(14_000);
                press(MarkKind.ON, 0, Granularity.SET);
            }
            for (int rep = 0; rep < size && here(segment); rep++) {
                clock += gap(3500);
                if (watched == Watched.REPS) {
                    press(MarkKind.REP, 0, Granularity.SET);
                }
                fault();
            }
            fault();
            if (here(segment) && log.counted() < amount) {
                clock += random.nextInt(3) == 0 ? 0 : gap(1500);
                int known = watched == Watched.SETS && random.nextInt(4) > 0 ? size : 0;
                if (!press(MarkKind.OFF, known, Granularity.SET)) {
                    press(MarkKind.OFF, 0, Granularity.SET);
                }
                fault();
                if (random.nextInt(12) == 0) {
                    aside();
                }
            }
        }

        private void fault() {
            if (random.nextDouble() < FAULT && !log.over()) {
                clock += gap(2500);
                MarkKind[] kinds = {MarkKind.NO_REP, MarkKind.MISS, MarkKind.TRIP};
                press(kinds[random.nextInt(3)], 0, Granularity.SET);
            }
        }

        /** What may come at any moment: the view, a technique, a note. */
        private void aside() {
            clock += gap(500);
            switch (random.nextInt(4)) {
                case 0 -> press(log.blind() ? MarkKind.SEEN : MarkKind.BLIND, 0, Granularity.SET);
                case 1 ->
                    add(mark(
                            MarkKind.VARIANT,
                            0,
                            Granularity.SET,
                            "",
                            random.nextBoolean() ? "step-back" : "jump-back"));
                case 2 -> add(mark(MarkKind.CUE, 0, Granularity.SET, "effort", Integer.toString(random.nextInt(11))));
                default -> add(mark(MarkKind.CUE, 0, Granularity.SET, "posture", "hips first"));
            }
        }

        long gap(long most) {
            return random.nextDouble() < SAME_INSTANT ? 0 : 1 + random.nextLong(most);
        }

        boolean press(MarkKind kind, int reps, Granularity depth) {
            return add(mark(kind, reps, depth, "", ""));
        }

        Mark mark(MarkKind kind, int reps, Granularity depth, String tag, String text) {
            return new Mark(new UUID(7, marks.size()), kind, clock, reps, depth, tag, text, uncertainty);
        }

        boolean add(Mark mark) {
            marks.add(mark);
            AttemptLog now = AttemptLog.of(expanded, marks);
            boolean taken = now.rejected().stream().noneMatch(odd -> odd.mark().equals(mark));
            if (!taken && random.nextDouble() >= STAYS_REJECTED) {
                marks.removeLast();
                return false;
            }
            log = now;
            return taken;
        }
    }

    /** Marks lifts, closely or only as made and missed. */
    private static final class Lifter extends Coach {
        Lifter(ExpandedWorkout expanded, SplittableRandom random) {
            super(expanded, random);
        }

        @Override
        List<Mark> marks() {
            int lifts = random.nextInt(8);
            for (int i = 0; i < lifts; i++) {
                clock += gap(90_000);
                boolean open = random.nextBoolean();
                String load = random.nextInt(5) == 0 ? "" : 40 + 2 * random.nextInt(40) + " kg";
                int made = open || random.nextInt(3) == 0 ? 0 : 1;
                add(mark(MarkKind.LIFT, made, Granularity.SET, open ? Lift.OPEN : "", load));
                for (int rep = 0; open && rep < random.nextInt(5); rep++) {
                    clock += gap(4000);
                    press(random.nextInt(6) == 0 ? MarkKind.MISS : MarkKind.REP, 0, Granularity.SET);
                }
                if (open && random.nextBoolean()) {
                    clock += gap(4000);
                    press(random.nextBoolean() ? MarkKind.DONE : MarkKind.OFF, 0, Granularity.SET);
                }
            }
            if (random.nextBoolean()) {
                clock = Math.max(clock, expanded.capMs().orElse(clock));
                press(MarkKind.STOP, 0, Granularity.SET);
            }
            return marks;
        }
    }
}
