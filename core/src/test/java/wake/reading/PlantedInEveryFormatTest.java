package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.expanded;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.PlanWalk;
import wake.Shelf;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.plan.Draft;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.PlannedSegment;
import wake.plan.SetScheme;
import wake.workout.ExpandedWorkout;

/** One cause planted where bars rise, nothing comes twice, or the clock opens every round: read against itself, it comes first. */
class PlantedInEveryFormatTest {
    /** Walks a plan with a little scatter and something planted. */
    private static class Walk extends PlanWalk {
        final SplittableRandom random;
        double planted;

        Walk(ExpandedWorkout expanded, Plan plan, long seed) {
            super(expanded, plan);
            random = new SplittableRandom(seed);
        }

        double slower(PlannedSegment planned, int rep) {
            return 0;
        }

        @Override
        protected double repMs(PlannedSegment planned, int rep) {
            double per = super.repMs(planned, rep);
            double more = slower(planned, rep) * per;
            planted += more;
            return per + more + random.nextLong(-25, 26);
        }

        Finding first(List<Mark> marks) {
            AttemptLog log = AttemptLog.of(expanded(), marks);
            return Reading.of(log, Baseline.bestSplits(log)).findings().getFirst();
        }
    }

    private static boolean isIn(PlannedSegment planned, int line, int round) {
        return planned.segment().lineIndex() == line && planned.segment().lap().number() == round;
    }

    @ParameterizedTest
    @MethodSource("wake.reading.PlantedCauseTest#seeds")
    void burpeesThatSlowWhileTheBarRises(long seed) {
        ExpandedWorkout expanded = expanded(Shelf.RISING_BAR);
        Walk walk = new Walk(expanded, Draft.of(expanded), seed) {
            @Override
            double slower(PlannedSegment planned, int rep) {
                return isIn(planned, 1, 3) ? 0.3 : 0;
            }
        };
        Finding finding = walk.first(walk.marks());
        assertThat(finding.movement()).isEqualTo("burpee");
        assertThat(finding.cause()).isEqualTo(Cause.PACE);
        assertThat(finding.lostMs()).isCloseTo(Math.round(walk.planted), within(Math.round(0.15 * walk.planted)));
    }

    @ParameterizedTest
    @MethodSource("wake.reading.PlantedCauseTest#seeds")
    void setsThatSlowInsideAChipper(long seed) {
        ExpandedWorkout expanded =
                expanded("# A\nfor time\n  30 cal row\n  50 wall-ball shot @ 9 kg\n  20 toes-to-bar\n");
        Pacing balls = new Pacing(3000, SetScheme.parse("10s"), 2, 5000);
        Plan plan = new Plan(List.of(
                new LinePacing(0, new Pacing(0, SetScheme.UNBROKEN, 2.5, 0), Map.of()),
                new LinePacing(1, balls, Map.of()),
                new LinePacing(2, new Pacing(3000, SetScheme.UNBROKEN, 2, 0), Map.of())));
        Walk walk = new Walk(expanded, plan, seed) {
            @Override
            double slower(PlannedSegment planned, int rep) {
                return planned.segment().lineIndex() == 1 && rep >= 30 ? 0.25 : 0;
            }
        };
        Finding finding = walk.first(walk.marks());
        assertThat(finding.movement()).isEqualTo("wall-ball shot");
        assertThat(finding.cause()).isEqualTo(Cause.PACE);
        assertThat(finding.lostMs()).isCloseTo(Math.round(walk.planted), within(Math.round(0.15 * walk.planted)));
    }

    @ParameterizedTest
    @MethodSource("wake.reading.PlantedCauseTest#seeds")
    void aLongWayInOneInterval(long seed) {
        ExpandedWorkout expanded = expanded(Shelf.INTERVALS);
        Walk walk = new Walk(expanded, Draft.of(expanded), seed) {
            @Override
            protected double transitionMs(PlannedSegment planned) {
                boolean here = isIn(planned, 1, 4);
                planted += here ? 12_000 : 0;
                return super.transitionMs(planned) + (here ? 12_000 : 0);
            }
        };
        // The wait shortens by what was lost: the plan's own wait would put the next interval late.
        List<Mark> marks = new ArrayList<>();
        for (Mark mark : walk.marks()) {
            marks.add(mark.atMs() >= 480_000 + 12_000 ? mark.withAt(mark.atMs() - 12_000) : mark);
        }
        Finding finding = walk.first(marks);
        assertThat(finding.movement()).isEqualTo("kettlebell swing");
        assertThat(finding.cause()).isEqualTo(Cause.TRANSITION);
        assertThat(finding.moments().getFirst().label()).startsWith("round 4");
        assertThat(finding.lostMs()).isCloseTo(Math.round(walk.planted), within(1000L));
    }

    /** Watched by sets: nobody tapped a turn of the rope. */
    @ParameterizedTest
    @MethodSource("wake.reading.PlantedCauseTest#seeds")
    void aTripWatchedBySets(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        ExpandedWorkout expanded = expanded("# A\nfor time\n  4 rounds:\n    40 double under\n    10 burpee\n");
        int tripped = 1 + random.nextInt(4);
        List<Mark> marks = new ArrayList<>();
        long clock = 0;
        for (int round = 1; round <= 4; round++) {
            clock += round == 1 ? 0 : 3000 + random.nextLong(-100, 101);
            marks.add(Mark.of(MarkKind.BEGIN, clock));
            if (round == tripped) {
                marks.add(Mark.of(MarkKind.TRIP, clock + 7000));
                clock += 8000;
            }
            clock += 20_000 + random.nextLong(-150, 151);
            marks.add(Mark.of(MarkKind.DONE, clock));
            clock += 3000 + random.nextLong(-100, 101);
            marks.add(Mark.of(MarkKind.BEGIN, clock));
            clock += 30_000 + random.nextLong(-150, 151);
            marks.add(Mark.of(MarkKind.DONE, clock));
        }
        AttemptLog log = AttemptLog.of(expanded, marks);
        Finding finding = Reading.of(log, Baseline.bestSplits(log)).findings().getFirst();
        assertThat(finding.cause()).isEqualTo(Cause.FAULT);
        assertThat(finding.movement()).isEqualTo("double under");
        assertThat(finding.lostMs()).isCloseTo(8000, within(800L));
    }
}
