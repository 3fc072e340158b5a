package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.course;

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
import wake.log.Depth;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.plan.Budget;
import wake.plan.Forecast;
import wake.plan.Plan;
import wake.words.ReviewWords;
import wake.workout.Course;

/** Whatever the format, the bell is no loss, the clock closes, and nothing is said below what was told. */
class BellTest {
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
        long end = Math.min(marks.getLast().atMs(), walk.course().capMs().orElse(Long.MAX_VALUE));
        return PlanWalk.until(marks, 1 + new SplittableRandom(seed).nextLong(end));
    }

    private static Forecast far(Course course, Plan plan) {
        return Forecast.of(course, plan, 60);
    }

    /** An athlete exactly on plan, stopped at any moment, reads 0.0 everywhere. */
    @ParameterizedTest
    @MethodSource("everyFormat")
    void onPlanCutOffAnywhereReadsNothing(String notation, long seed) {
        Course course = course(notation);
        Plan plan = PlanWalk.plan(course, seed);
        AttemptLog log = AttemptLog.of(course, cut(new PlanWalk(course, plan), seed));
        Reading reading = Reading.of(log, Yardstick.plan(far(course, plan)));
        for (SegmentDelta delta : reading.deltas()) {
            delta.byCause().forEach((cause, ms) -> {
                if (cause != Cause.UNFINISHED) {
                    assertThat(ms).as(cause + " in " + delta.stretch().place()).isBetween(-49L, 49L);
                }
            });
        }
        assertThat(reading.findings()).isEmpty();
    }

    /** What a plan scores by the bell is what an athlete exactly on it has done by then, to the rep; and its budget ends with the bell. */
    @ParameterizedTest
    @MethodSource("everyFormat")
    void aPlanScoresWhatItIsWalkedTo(String notation, long seed) {
        Course course = course(notation);
        Plan plan = PlanWalk.plan(course, seed);
        PlanWalk walk = new PlanWalk(course, plan);
        List<Mark> marks = walk.marks();
        long bell =
                course.isOpen() ? course.capMs().orElseThrow() : marks.getLast().atMs();
        AttemptLog log = AttemptLog.of(course, course.isOpen() ? PlanWalk.until(marks, bell) : marks);
        if (course.isOpen()) {
            assertThat(walk.forecast().score().words()).isEqualTo(log.score().words());
            Budget budget = Budget.of(course, walk.forecast());
            assertThat(budget.workMs() + budget.pauseMs()).isEqualTo(bell);
            assertThat(budget.sections().stream().mapToLong(Budget.Section::ms).sum())
                    .isEqualTo(bell);
        } else if (log.over() && log.clockMs() == walk.forecast().finishMs()) {
            assertThat(walk.forecast().score().clockMs()).isEqualTo(log.clockMs());
        }
    }

    /** Closure of the causes, of where the clock went, and of the split itself; at every depth. */
    @ParameterizedTest
    @MethodSource("everyFormatSome")
    void everySecondIsInOneColumn(String notation, long seed) {
        Course course = course(notation);
        Plan plan = PlanWalk.plan(course, seed);
        List<Mark> seen = cut(new PlanWalk(course, plan), seed);
        for (List<Mark> marks : List.of(seen, PlanWalk.ends(course, seen))) {
            AttemptLog log = AttemptLog.of(course, marks);
            for (Yardstick yardstick : List.of(Yardstick.plan(far(course, plan)), Yardstick.ownBest(log))) {
                Reading reading = Reading.of(log, yardstick);
                long allowed = reading.deltas().stream()
                        .mapToLong(SegmentDelta::allowedMs)
                        .sum();
                long causes = reading.ledger().totals().values().stream()
                        .mapToLong(Long::longValue)
                        .sum();
                assertThat(allowed + causes).isEqualTo(log.clockMs());
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
        Course course = course(notation);
        Plan plan = PlanWalk.plan(course, seed);
        List<Mark> ends = beforeEveryBell(course, PlanWalk.ends(course, new PlanWalk(course, plan).marks()));
        SplittableRandom random = new SplittableRandom(seed);
        AttemptLog one = AttemptLog.of(course, roundsOnly(course, ends, random));
        AttemptLog two = AttemptLog.of(course, roundsOnly(course, ends, random));
        for (boolean own : List.of(true, false)) {
            Reading first = Reading.of(one, own ? Yardstick.ownBest(one) : Yardstick.plan(far(course, plan)));
            Reading second = Reading.of(two, own ? Yardstick.ownBest(two) : Yardstick.plan(far(course, plan)));
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

    /** What comes before any bell, up to the end of a round: so that no end is placed beyond one. */
    private static List<Mark> beforeEveryBell(Course course, List<Mark> ends) {
        int last = 0;
        for (int i = 0;
                i < ends.size() && ends.get(i).atMs() <= course.bellMs(0).orElse(Long.MAX_VALUE);
                i++) {
            boolean border = course.has(i + 1)
                    ? !course.segment(i).lap().equals(course.segment(i + 1).lap())
                    : true;
            last = border ? i + 1 : last;
        }
        return ends.subList(0, last);
    }

    /** The end of each round as it was; those inside it anywhere before. */
    private static List<Mark> roundsOnly(Course course, List<Mark> ends, SplittableRandom random) {
        List<Mark> marks = new ArrayList<>();
        long from = 0;
        int start = 0;
        for (int i = 0; i < ends.size(); i++) {
            boolean inside = i + 1 < ends.size()
                    && course.segment(i).inRounds()
                    && course.segment(i).lap().equals(course.segment(i + 1).lap());
            if (inside) {
                continue;
            }
            long to = ends.get(i).atMs();
            from = Math.max(from, course.startsAtMs(start).orElse(0));
            long[] placed = random.longs(i - start, from, to + 1).sorted().toArray();
            for (long at : placed) {
                marks.add(Mark.of(MarkKind.DONE, at).withDepth(Depth.ROUND));
            }
            marks.add(Mark.of(MarkKind.DONE, to).withDepth(Depth.SEGMENT));
            from = to;
            start = i + 1;
        }
        return marks;
    }
}
