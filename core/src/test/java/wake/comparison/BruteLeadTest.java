package wake.comparison;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.PlanWalk;
import wake.Samples;
import wake.Shelf;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.simulation.AthleteModel;
import wake.simulation.SimulatedAttempt;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;
import wake.workout.Workout;

/** Leads and overtakes against a walk of both logs, millisecond by millisecond, in every format. */
class BruteLeadTest {
    private static final int PAIRS = Integer.getInteger("wake.pairs", 250);

    /** Divisions that differ in amounts as well as in loads. */
    private static final String TWO_AMOUNTS = """
            # Weir Race
            divisions: long / short
            for time, cap 9:00
              3 rounds:
                14 / 10 cal row
                9 burpee
                7 / 6 wall walk
            """;

    private static final List<String> TEXTS = new ArrayList<>(Shelf.ALL);

    static {
        TEXTS.addAll(List.of(
                Samples.LOCK_GATE,
                Samples.SKIFF,
                Samples.LONG_REACH,
                Samples.BELL_BUOY,
                Samples.STAGES,
                TWO_AMOUNTS,
                TWO_AMOUNTS));
    }

    /** Two attempts at one text, and what is true of them. */
    private record Pair(
            String text, ExpandedWorkout one, List<Mark> marks, ExpandedWorkout other, List<Mark> otherMarks) {
        Side side() {
            return new Side("Ida", text, AttemptLog.of(one, marks));
        }

        Side otherSide() {
            return new Side("Runa", text, AttemptLog.of(other, otherMarks));
        }
    }

    private static Pair pair(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        String text = TEXTS.get(random.nextInt(TEXTS.size()));
        Workout workout = Samples.workout(text);
        int divisions = Math.max(1, workout.divisions().size());
        ExpandedWorkout one = ExpandedWorkout.of(workout, random.nextInt(divisions), Samples.CATALOGUE);
        ExpandedWorkout other = ExpandedWorkout.of(workout, random.nextInt(divisions), Samples.CATALOGUE);
        return new Pair(text, one, truth(one, random), other, truth(other, random));
    }

    /** Every rep of a simulated attempt; one in four is given up somewhere. */
    private static List<Mark> truth(ExpandedWorkout expanded, SplittableRandom random) {
        AthleteModel athlete = new AthleteModel(
                Map.of(),
                random.nextDouble() * 0.5,
                0.1,
                1500 + random.nextInt(6000),
                2000 + random.nextInt(9000),
                random.nextDouble(),
                Map.of("thruster", 3 + random.nextInt(6), "burpee", 3 + random.nextInt(9), "pull-up", 4),
                random.nextDouble() * 0.05);
        SimulatedAttempt attempt = SimulatedAttempt.run(expanded, athlete, random.nextLong());
        return random.nextInt(4) == 0
                ? PlanWalk.until(attempt.truth(), 1 + random.nextLong(attempt.clockMs()))
                : attempt.truth();
    }

    /** Where an athlete is at a millisecond, from the marks alone: how many segments done, how many reps of the next. */
    private static final class Walker {
        private final ExpandedWorkout expanded;
        private final List<Mark> marks;
        private final List<Long> ends = new ArrayList<>();
        private int at;
        private int done;
        private int reps;

        Walker(ExpandedWorkout expanded, List<Mark> marks) {
            this.expanded = expanded;
            this.marks = marks;
        }

        /** Whether anything was done since. */
        boolean to(long ms) {
            if (at >= marks.size() || marks.get(at).atMs() > ms) {
                return false;
            }
            while (at < marks.size() && marks.get(at).atMs() <= ms) {
                Mark mark = marks.get(at);
                at++;
                if (mark.kind() == MarkKind.REP) {
                    reps++;
                }
                boolean all = mark.kind() == MarkKind.DONE
                        || mark.kind() == MarkKind.REP && expanded.has(done) && reps >= need();
                if (all) {
                    done++;
                    reps = 0;
                    ends.add(mark.atMs());
                }
            }
            return true;
        }

        int need() {
            Segment segment = expanded.segment(done);
            return segment.countable().orElse(1);
        }

        boolean over() {
            return at >= marks.size();
        }
    }

    private record Passing(boolean one, long atMs) {}

    private static List<Passing> walked(Pair pair, Walker one, Walker other) {
        List<Passing> passings = new ArrayList<>();
        int leader = 0;
        for (long ms = 0; !one.over() || !other.over(); ms++) {
            boolean moved = one.to(ms) | other.to(ms);
            if (!moved) {
                continue;
            }
            int ahead = Integer.compare(one.done, other.done);
            boolean here = ahead == 0 && pair.one().has(one.done);
            if (here && one.need() == other.need()) {
                ahead = Integer.compare(one.reps, other.reps);
            }
            if (ahead != 0 && leader != 0 && ahead != leader) {
                passings.add(new Passing(ahead > 0, ms));
            }
            leader = ahead == 0 ? leader : ahead;
        }
        return passings;
    }

    @Test
    void leadsAndOvertakesAreThoseOfAWalkMillisecondByMillisecond() {
        int overtakes = 0;
        for (long seed = 1; seed <= PAIRS; seed++) {
            Pair pair = pair(seed);
            HeadToHead versus = HeadToHead.of(pair.side(), pair.otherSide());
            Walker one = new Walker(pair.one(), pair.marks());
            Walker other = new Walker(pair.other(), pair.otherMarks());
            List<Passing> walked = walked(pair, one, other);
            assertThat(versus.overtakes().stream().map(each -> new Passing(each.one(), each.atMs())))
                    .as(pair.text() + seed)
                    .isEqualTo(walked);
            List<Long> leads = new ArrayList<>();
            for (int i = 0; i < Math.min(one.ends.size(), other.ends.size()); i++) {
                leads.add(other.ends.get(i) - one.ends.get(i));
            }
            assertThat(versus.borders().stream().map(Border::leadMs))
                    .as(pair.text() + seed)
                    .isEqualTo(leads);
            overtakes += walked.size();
        }
        assertThat(overtakes).as("the walk has seen something").isGreaterThan(PAIRS / 2);
    }

    static LongStream seeds() {
        return LongStream.rangeClosed(1, 200);
    }

    /** However closely either was watched: the ends are the truth's, and the causes add up to the lead at each. */
    @ParameterizedTest
    @MethodSource("seeds")
    void causesAddUpAtEveryBorder(long seed) {
        SimulatedAttempt truth = Samples.simulated(seed);
        SimulatedAttempt second = SimulatedAttempt.run(truth.expanded(), AthleteModel.plain(), seed + 1);
        String text = "text " + seed;
        HeadToHead versus = HeadToHead.of(
                new Side("Ida", text, AttemptLog.of(truth.expanded(), Samples.blurred(truth, seed))),
                new Side("Runa", text, AttemptLog.of(truth.expanded(), Samples.blurred(second, seed + 7))));
        HeadToHead exact = HeadToHead.of(
                new Side("Ida", text, AttemptLog.of(truth.expanded(), truth.truth())),
                new Side("Runa", text, AttemptLog.of(truth.expanded(), second.truth())));
        assertThat(versus.borders().stream().map(Border::leadMs))
                .isEqualTo(exact.borders().stream().map(Border::leadMs).toList());
        long lead = 0;
        for (Border border : versus.borders()) {
            lead += border.gains().values().stream().mapToLong(Long::longValue).sum();
            assertThat(lead).as(border.place()).isEqualTo(border.leadMs());
        }
        assertThat(versus.lines().stream().mapToLong(LineDifference::gainMs).sum())
                .isEqualTo(versus.leadMs());
        assertThat(versus.gains().values().stream().mapToLong(Long::longValue).sum())
                .isEqualTo(versus.leadMs());
        assertThat(versus.curve()).isSortedAccordingTo(java.util.Comparator.comparingLong(LeadPoint::clockMs));
    }
}
