package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.expanded;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import wake.PlanWalk;
import wake.Shelf;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.plan.Budget;
import wake.plan.Forecast;
import wake.plan.Plan;
import wake.words.ReviewWords;
import wake.workout.ExpandedWorkout;

/** Whatever the format, the buzzer is no loss, the clock closes, and nothing is said below what was given. */
class BuzzerTest {
    static Stream<Arguments> everyFormat() {
        return Shelf.all()
                .flatMap(notation -> LongStream.rangeClosed(1, 200).mapToObj(seed -> Arguments.of(notation, seed)));
    }

    static Stream<Arguments> everyFormatSome() {
        return Shelf.all()
                .flatMap(notation -> LongStream.rangeClosed(1, 60).mapToObj(seed -> Arguments.of(notation, seed)));
    }

    private static List<Mark> cut(PlanWalk walk, long seed) {
        List<Mark> marks = walk.marks();
        long end = Math.min(marks.getLast().atMs(), walk.expanded().capMs().orElse(Long.MAX_VALUE));
        return PlanWalk.until(marks, 1 + new SplittableRandom(seed).nextLong(end));
    }

    private static Forecast far(ExpandedWorkout expanded, Plan plan) {
        return Forecast.of(expanded, plan, 60);
    }

    /** An athlete exactly on plan, stopped at any moment, reads 0.0 everywhere. */
    @ParameterizedTest
    @MethodSource("everyFormat")
    void onPlanCutOffAnywhereReadsNothing(String notation, long seed) {
        ExpandedWorkout expanded = expanded(notation);
        Plan plan = PlanWalk.plan(expanded, seed);
        AttemptLog log = AttemptLog.of(expanded, cut(new PlanWalk(expanded, plan), seed));
        Reading reading = Reading.of(log, Baseline.plan(far(expanded, plan)));
        for (SegmentDelta delta : reading.deltas()) {
            delta.byCause().forEach((cause, ms) -> {
                if (cause != Cause.UNFINISHED) {
                    assertThat(ms).as(cause + " in " + delta.stretch().place()).isBetween(-49L, 49L);
                }
            });
        }
        assertThat(reading.findings()).isEmpty();
    }

    /** What a plan scores by the buzzer is what an athlete exactly on it has done by then, to the rep; and its budget ends with the buzzer. */
    @ParameterizedTest
    @MethodSource("everyFormat")
    void aPlanScoresWhatItIsWalkedTo(String notation, long seed) {
        ExpandedWorkout expanded = expanded(notation);
        Plan plan = PlanWalk.plan(expanded, seed);
        PlanWalk walk = new PlanWalk(expanded, plan);
        List<Mark> marks = walk.marks();
        long buzzer = expanded.isOpen()
                ? expanded.capMs().orElseThrow()
                : marks.getLast().atMs();
        AttemptLog log = AttemptLog.of(expanded, expanded.isOpen() ? PlanWalk.until(marks, buzzer) : marks);
        if (expanded.isOpen()) {
            assertThat(walk.forecast().score().words()).isEqualTo(log.score().words());
            Budget budget = Budget.of(expanded, walk.forecast());
            assertThat(budget.workMs() + budget.pauseMs()).isEqualTo(buzzer);
            assertThat(budget.sections().stream().mapToLong(Budget.Section::ms).sum())
                    .isEqualTo(buzzer);
        } else if (log.over() && log.clockMs() == walk.forecast().finishMs()) {
            assertThat(walk.forecast().score().clockMs()).isEqualTo(log.clockMs());
        }
    }

    /** Closure of the causes, of where the clock went, and of the split itself; at every depth. */
    @ParameterizedTest
    @MethodSource("everyFormatSome")
    void everySecondIsInOneColumn(String notation, long seed) {
        ExpandedWorkout expanded = expanded(notation);
        Plan plan = PlanWalk.plan(expanded, seed);
        List<Mark> seen = cut(new PlanWalk(expanded, plan), seed);
        for (List<Mark> marks : List.of(seen, PlanWalk.ends(expanded, seen))) {
            AttemptLog log = AttemptLog.of(expanded, marks);
            for (Baseline baseline : List.of(Baseline.plan(far(expanded, plan)), Baseline.bestSplits(log))) {
                Reading reading = Reading.of(log, baseline);
                long expected = reading.deltas().stream()
                        .mapToLong(SegmentDelta::expectedMs)
                        .sum();
                long causes = reading.ledger().totals().values().stream()
                        .mapToLong(Long::longValue)
                        .sum();
                assertThat(expected + causes).isEqualTo(log.clockMs());
                assertThat(reading.clock().total().totalMs()).isEqualTo(log.clockMs());
                assertThat(reading.clock().byRound().stream()
                                .mapToLong(ClockBudget.Entry::totalMs)
                                .sum())
                        .isEqualTo(log.clockMs());
                assertThat(reading.findings()).noneMatch(finding -> finding.cause() == Cause.UNFINISHED);
                assertThat(reading.blocks())
                        .allSatisfy(block -> assertThat(block.splits())
                                .allSatisfy(
                                        round -> assertThat(round.lap().block()).isEqualTo(block.block())));
            }
        }
    }

    /** What was not noted does not matter: wherever the ends inside a round are put, the reading is the same. */
    @ParameterizedTest
    @MethodSource("everyFormatSome")
    void theReadingIsTheSameWhereverUnseenEndsArePlaced(String notation, long seed) {
        ExpandedWorkout expanded = expanded(notation);
        Plan plan = PlanWalk.plan(expanded, seed);
        List<Mark> ends = beforeEveryBell(expanded, PlanWalk.ends(expanded, new PlanWalk(expanded, plan).marks()));
        SplittableRandom random = new SplittableRandom(seed);
        AttemptLog one = AttemptLog.of(expanded, roundsOnly(expanded, ends, random));
        AttemptLog two = AttemptLog.of(expanded, roundsOnly(expanded, ends, random));
        for (boolean own : List.of(true, false)) {
            Reading first = Reading.of(one, own ? Baseline.bestSplits(one) : Baseline.plan(far(expanded, plan)));
            Reading second = Reading.of(two, own ? Baseline.bestSplits(two) : Baseline.plan(far(expanded, plan)));
            assertThat(ReviewWords.headline(first)).isEqualTo(ReviewWords.headline(second));
            assertThat(first.findings()).isEqualTo(second.findings());
            assertThat(first.ledger()).isEqualTo(second.ledger());
            assertThat(first.clock()).isEqualTo(second.clock());
            assertThat(first.pace()).isEqualTo(second.pace());
            assertThat(first.wake()).isEqualTo(second.wake());
            assertThat(first.limiter()).isEqualTo(second.limiter());
            assertThat(first.outliers()).isEqualTo(second.outliers());
        }
    }

    /** What comes before any buzzer, up to the end of a round: so that no end is placed beyond one. */
    private static List<Mark> beforeEveryBell(ExpandedWorkout expanded, List<Mark> ends) {
        int last = 0;
        for (int i = 0;
                i < ends.size() && ends.get(i).atMs() <= expanded.buzzerMs(0).orElse(Long.MAX_VALUE);
                i++) {
            boolean border = expanded.has(i + 1)
                    ? !expanded.segment(i).lap().equals(expanded.segment(i + 1).lap())
                    : true;
            last = border ? i + 1 : last;
        }
        return ends.subList(0, last);
    }

    /** The end of each round as it was; those inside it anywhere before. */
    private static List<Mark> roundsOnly(ExpandedWorkout expanded, List<Mark> ends, SplittableRandom random) {
        List<Mark> marks = new ArrayList<>();
        long from = 0;
        int start = 0;
        for (int i = 0; i < ends.size(); i++) {
            boolean inside = i + 1 < ends.size()
                    && expanded.segment(i).inRounds()
                    && expanded.segment(i).lap().equals(expanded.segment(i + 1).lap());
            if (inside) {
                continue;
            }
            long to = ends.get(i).atMs();
            from = Math.max(from, expanded.startsAtMs(start).orElse(0));
            long[] placed = random.longs(i - start, from, to + 1).sorted().toArray();
            for (long at : placed) {
                marks.add(Mark.of(MarkKind.DONE, at).withDepth(Granularity.ROUND));
            }
            marks.add(Mark.of(MarkKind.DONE, to).withDepth(Granularity.SEGMENT));
            from = to;
            start = i + 1;
        }
        return marks;
    }
}
