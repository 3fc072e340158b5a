package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Score;

/**
 * Replays of made-up attempts against a walk written apart, straight from the figures they were made of: segment by segment, rep by rep,
 * no shortcuts. To the millisecond and the rep.
 */
class BruteReplayTest {
    private static final int SEEDS = 2000;
    private static final List<String> MOVEMENTS = List.of("burpee", "cal row", "thruster", "wall-ball shot");

    enum Shape {
        FOR_TIME,
        CAPPED,
        GATED,
        INTERVALS,
        AMRAP
    }

    private record Turn(
            int round, String movement, long transitionMs, List<long[]> sets, List<Long> tails, List<Long> rests) {
        int reps() {
            return sets.stream().mapToInt(set -> set.length).sum();
        }

        long activeMs() {
            long sum = tails.stream().mapToLong(Long::longValue).sum()
                    + rests.stream().mapToLong(Long::longValue).sum();
            for (long[] set : sets) {
                for (long rep : set) {
                    sum += rep;
                }
            }
            return transitionMs + sum;
        }
    }

    /** What is changed: no way or rest longer, no set slower a rep, and the row at one pace. */
    private record Wanted(long transitionMs, long restMs, Map<String, Double> cadence, double rowS) {
        static final Wanted NOTHING = new Wanted(Long.MAX_VALUE, Long.MAX_VALUE, Map.of(), 0);
    }

    private record Outcome(long clockMs, int done, boolean finished) {}

    @ParameterizedTest
    @EnumSource
    void agreesWithAWalkWrittenApart(Shape shape) {
        for (long seed = 1; seed <= SEEDS; seed++) {
            agrees(shape, new SplittableRandom(31 * seed + shape.ordinal()));
        }
    }

    private static void agrees(Shape shape, SplittableRandom random) {
        int rounds = 1 + random.nextInt(4);
        List<String> lines = MOVEMENTS.subList(0, 2 + random.nextInt(3));
        int[] reps = lines.stream().mapToInt(line -> 2 + random.nextInt(9)).toArray();
        List<Turn> turns = turns(rounds, lines, reps, random);
        long every = (turns.stream().mapToLong(Turn::activeMs).sum() + 5000L * random.nextInt(4)) / rounds / 1000 * 1000
                + 1000;
        Walk walk = new Walk(turns, shape == Shape.INTERVALS ? every : 0);
        Outcome finish = walk.walk(Wanted.NOTHING, Long.MAX_VALUE, 0, Long.MAX_VALUE);
        long cap = (finish.clockMs() / 1000 + 1 + random.nextInt(40)) * 1000;
        int gated = 1 + random.nextInt(rounds);
        long cutOff = (walk.roundEnds()[gated - 1] / 1000 + 1 + random.nextInt(15)) * 1000;
        StringBuilder notation = new StringBuilder("# A\n");
        notation.append(
                switch (shape) {
                    case FOR_TIME -> "for time\n";
                    case CAPPED, GATED -> "for time, cap " + clock(cap) + "\n";
                    case INTERVALS -> "every " + clock(every) + " x " + rounds + "\n";
                    case AMRAP -> "amrap " + clock(cap) + "\n";
                });
        String indent = shape == Shape.INTERVALS || shape == Shape.AMRAP ? "  " : "    ";
        if (indent.length() == 4) {
            notation.append("  ").append(rounds).append(rounds == 1 ? " round:\n" : " rounds:\n");
        }
        for (int i = 0; i < lines.size(); i++) {
            notation.append(indent)
                    .append(reps[i])
                    .append(' ')
                    .append(lines.get(i))
                    .append('\n');
        }
        boolean cutOffs = shape == Shape.GATED && rounds > 1;
        if (cutOffs) {
            notation.append("  by ")
                    .append(clock(cutOff))
                    .append(" after round ")
                    .append(gated)
                    .append('\n');
        }
        long buzzer = switch (shape) {
            case FOR_TIME -> Long.MAX_VALUE;
            case CAPPED, GATED, AMRAP -> cap;
            case INTERVALS -> every * rounds;
        };
        // Intervals that ran over their end are no attempt; nor is one that ends at its buzzer here.
        if (finish.clockMs() > buzzer) {
            return;
        }
        AttemptLog log = AttemptLog.of(Samples.expanded(notation.toString()), walk.marks());
        Wanted wanted = wanted(shape == Shape.AMRAP, lines, random);
        Outcome expected = walk.walk(wanted, buzzer, cutOffs ? gated : 0, cutOff);
        Score score = Replay.of(log).score(changes(wanted));
        assertThat(score.done()).as("%s%s", notation, wanted).isEqualTo(expected.done());
        if (shape != Shape.AMRAP || !expected.finished()) {
            assertThat(score.clockMs()).as("%s%s", notation, wanted).isEqualTo(expected.clockMs());
        }
        if (shape != Shape.AMRAP && shape != Shape.INTERVALS) {
            assertThat(score instanceof Score.Finished)
                    .as("%s%s", notation, wanted)
                    .isEqualTo(expected.finished());
        }
        assertThat(Replay.of(log).score(List.of())).isEqualTo(log.score());
    }

    private static List<Turn> turns(int rounds, List<String> lines, int[] reps, SplittableRandom random) {
        List<Turn> turns = new ArrayList<>();
        for (int round = 1; round <= rounds; round++) {
            for (int line = 0; line < lines.size(); line++) {
                List<long[]> sets = new ArrayList<>();
                List<Long> tails = new ArrayList<>();
                List<Long> rests = new ArrayList<>();
                boolean counted = !lines.get(line).equals("cal row");
                if (!counted) {
                    // Nobody sees a calorie: they lie evenly, and the row is one set.
                    long whole = 5000 + random.nextInt(30_000);
                    long[] set = new long[reps[line]];
                    for (int i = 0; i < set.length; i++) {
                        set[i] = whole * (i + 1) / set.length - whole * i / set.length;
                    }
                    sets.add(set);
                    tails.add(0L);
                }
                for (int left = counted ? reps[line] : 0; left > 0; ) {
                    long[] set = new long[1 + random.nextInt(left)];
                    for (int i = 0; i < set.length; i++) {
                        set[i] = 1200 + random.nextInt(3000);
                    }
                    left -= set.length;
                    sets.add(set);
                    tails.add(left == 0 ? 0L : random.nextInt(600));
                    if (left > 0) {
                        rests.add(1000L + random.nextInt(14_000));
                    }
                }
                turns.add(new Turn(round, lines.get(line), random.nextInt(9000), sets, tails, rests));
            }
        }
        return turns;
    }

    private static Wanted wanted(boolean onlySlower, List<String> lines, SplittableRandom random) {
        double row =
                onlySlower ? 4.5 + random.nextDouble() * 3 : random.nextBoolean() ? 1 + random.nextDouble() * 5 : 0;
        return onlySlower
                ? new Wanted(Long.MAX_VALUE, Long.MAX_VALUE, Map.of(), row)
                : new Wanted(
                        random.nextBoolean() ? random.nextInt(9000) : Long.MAX_VALUE,
                        random.nextBoolean() ? random.nextInt(14_000) : Long.MAX_VALUE,
                        random.nextBoolean() ? Map.of(lines.getFirst(), 1 + random.nextDouble() * 3) : Map.of(),
                        row);
    }

    private static List<Change> changes(Wanted wanted) {
        List<Change> changes = new ArrayList<>();
        if (wanted.transitionMs() < Long.MAX_VALUE) {
            changes.add(new CapTransitions(wanted.transitionMs()));
        }
        if (wanted.restMs() < Long.MAX_VALUE) {
            changes.add(new CapRests(wanted.restMs()));
        }
        wanted.cadence().forEach((movement, seconds) -> changes.add(new HoldCadence(movement, seconds)));
        if (wanted.rowS() > 0) {
            changes.add(new ErgPace("row", wanted.rowS()));
        }
        return changes;
    }

    private static String clock(long ms) {
        return "%d:%02d".formatted(ms / 60_000, ms / 1000 % 60);
    }

    /** Goes through the turns one rep after the other. */
    private record Walk(List<Turn> turns, long everyMs) {
        Outcome walk(Wanted wanted, long buzzer, int gated, long cutOff) {
            long clock = 0;
            int done = 0;
            for (int i = 0; i < turns.size(); i++) {
                Turn turn = turns.get(i);
                boolean opens = i == 0 || turns.get(i - 1).round() < turn.round();
                if (everyMs > 0 && opens) {
                    clock = Math.max(clock, everyMs * (turn.round() - 1));
                }
                long end = turn.round() <= gated ? Math.min(cutOff, buzzer) : buzzer;
                clock += i == 0 ? turn.transitionMs() : Math.min(turn.transitionMs(), wanted.transitionMs());
                for (int s = 0; s < turn.sets().size(); s++) {
                    long[] set = turn.sets().get(s);
                    long core = 0;
                    for (long rep : set) {
                        core += rep;
                    }
                    long tail = turn.tails().get(s);
                    long took = setMs(wanted, turn, core, set.length) + tail;
                    long at = 0;
                    for (long rep : set) {
                        at += rep;
                        if (clock + at * took / (core + tail) > end) {
                            return new Outcome(end, done, false);
                        }
                        done++;
                    }
                    clock += took;
                    if (s < turn.rests().size()) {
                        clock += Math.min(turn.rests().get(s), wanted.restMs());
                    }
                }
            }
            return new Outcome(clock, done, true);
        }

        private static long setMs(Wanted wanted, Turn turn, long core, int reps) {
            double ms = core;
            if (turn.movement().equals("cal row") && wanted.rowS() > 0) {
                return Math.round(1000 * wanted.rowS() * reps);
            }
            Double held = wanted.cadence().get(turn.movement());
            return held == null ? core : Math.round(Math.min(ms, 1000 * held * reps));
        }

        long[] roundEnds() {
            long[] ends = new long[turns.getLast().round()];
            long clock = 0;
            for (Turn turn : turns) {
                clock += turn.activeMs();
                ends[turn.round() - 1] = clock;
            }
            return ends;
        }

        List<Mark> marks() {
            List<Mark> marks = new ArrayList<>();
            long clock = 0;
            for (int i = 0; i < turns.size(); i++) {
                Turn turn = turns.get(i);
                boolean opens = i == 0 || turns.get(i - 1).round() < turn.round();
                if (everyMs > 0 && opens) {
                    clock = Math.max(clock, everyMs * (turn.round() - 1));
                }
                clock += turn.transitionMs();
                marks.add(Mark.of(MarkKind.BEGIN, clock));
                for (int s = 0; s < turn.sets().size(); s++) {
                    if (s > 0) {
                        marks.add(Mark.of(MarkKind.ON, clock));
                    }
                    boolean counted = !turn.movement().equals("cal row");
                    for (long rep : turn.sets().get(s)) {
                        clock += rep;
                        if (counted) {
                            marks.add(Mark.of(MarkKind.REP, clock));
                        }
                    }
                    if (!counted) {
                        marks.add(Mark.of(MarkKind.DONE, clock));
                    }
                    clock += turn.tails().get(s);
                    if (s < turn.rests().size()) {
                        marks.add(Mark.of(MarkKind.OFF, clock));
                        clock += turn.rests().get(s);
                    }
                }
            }
            return marks;
        }
    }
}
