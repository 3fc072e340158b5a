package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.expanded;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.plan.Forecast;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.PlannedSegment;
import wake.plan.SetScheme;
import wake.units.Digits;
import wake.words.DerivationWords;
import wake.words.ReviewWords;
import wake.workout.ExpandedWorkout;

/** Attempts that go as planned but for one planted cause: the first finding names it, and its seconds within a tenth. */
class PlantedCauseTest {
    private static final ExpandedWorkout EXPANDED =
            expanded("# A\nfor time\n  6 rounds:\n    10 burpee\n    15 thruster @ 30 kg\n    12 box jump\n");
    private static final Forecast PLAN = Forecast.of(
            EXPANDED,
            new Plan(List.of(
                    new LinePacing(0, new Pacing(3000, SetScheme.UNBROKEN, 3, 0), Map.of()),
                    new LinePacing(1, new Pacing(3000, SetScheme.parse("8-7"), 2, 5000), Map.of()),
                    new LinePacing(2, new Pacing(3000, SetScheme.UNBROKEN, 2.5, 0), Map.of()))));

    static Stream<Long> seeds() {
        return LongStream.rangeClosed(1, 200).boxed();
    }

    /** Walks the plan with a little scatter and lets something be planted into it; every rep is tapped. */
    private abstract static class Walk {
        final List<Mark> marks = new ArrayList<>();
        final SplittableRandom random;
        long planted;
        long clock;

        Walk(long seed) {
            random = new SplittableRandom(seed);
        }

        long restMs(int round, long planned) {
            return planned;
        }

        long transitionMs(PlannedSegment segment) {
            return segment.transitionMs();
        }

        double repMs(int round, double planned) {
            return planned;
        }

        boolean trip(PlannedSegment segment, int rep) {
            return false;
        }

        AttemptLog log() {
            for (PlannedSegment segment : PLAN.segments()) {
                walk(segment);
            }
            return AttemptLog.of(EXPANDED, marks);
        }

        private void walk(PlannedSegment segment) {
            int round = segment.segment().lap().number();
            double perRep = segment.workMs() / (double) segment.segment().steps();
            clock += scattered(transitionMs(segment), 60);
            see(MarkKind.BEGIN);
            int rep = 0;
            for (int set = 0; set < segment.sets().size(); set++) {
                if (set > 0) {
                    see(MarkKind.OFF);
                    clock += scattered(restMs(round, segment.restMs()), 60);
                    see(MarkKind.ON);
                }
                for (int i = 0; i < segment.sets().get(set); i++) {
                    rep++;
                    if (trip(segment, rep)) {
                        clock += 800;
                        see(MarkKind.TRIP);
                        clock += 5200;
                        planted += 6000;
                    }
                    clock += scattered(repMs(round, perRep), 25);
                    see(MarkKind.REP);
                }
            }
        }

        long scattered(double ms, long by) {
            return Math.round(ms + random.nextLong(-by, by + 1));
        }

        private void see(MarkKind kind) {
            marks.add(Mark.of(kind, clock));
        }
    }

    private static Finding first(Walk walk) {
        Reading reading = Reading.of(walk.log(), Baseline.plan(PLAN));
        Finding finding = reading.findings().getFirst();
        assertThat(finding.lostMs())
                .as(ReviewWords.finding(finding, Digits.TENTHS))
                .isCloseTo(walk.planted, within(walk.planted / 10));
        assertThat(DerivationWords.of(finding, Digits.TENTHS)).hasSizeGreaterThan(2);
        return finding;
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void restsThatGrow(long seed) {
        Finding finding = first(new Walk(seed) {
            @Override
            long restMs(int round, long planned) {
                planted += 1500L * (round - 1);
                return planned + 1500L * (round - 1);
            }
        });
        assertThat(finding.movement()).isEqualTo("thruster");
        assertThat(finding.cause()).isEqualTo(Cause.REST);
        assertThat(finding.moments().getFirst().label()).startsWith("round 6");
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aSlowFirstTransition(long seed) {
        Finding finding = first(new Walk(seed) {
            @Override
            long transitionMs(PlannedSegment segment) {
                boolean first = segment.segment().index() == 1;
                planted += first ? 9000 : 0;
                return segment.transitionMs() + (first ? 9000 : 0);
            }
        });
        assertThat(finding.cause()).isEqualTo(Cause.TRANSITION);
        assertThat(ReviewWords.finding(finding, Digits.TENTHS))
                .startsWith("Transition")
                .contains("in round 1");
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aFastStart(long seed) {
        Finding finding = first(new Walk(seed) {
            @Override
            double repMs(int round, double planned) {
                planted += round > 1 ? Math.round(0.06 * planned) : 0;
                return planned * (round == 1 ? 0.9 : 1.06);
            }
        });
        assertThat(finding.kind()).isEqualTo(Finding.Kind.FAST_START);
        assertThat(ReviewWords.finding(finding, Digits.TENTHS))
                .matches("Fast start: round 1 was (8[.]|9[.]).* faster than planned.*");
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void twoTrips(long seed) {
        Finding finding = first(new Walk(seed) {
            @Override
            boolean trip(PlannedSegment segment, int rep) {
                int round = segment.segment().lap().number();
                return segment.segment().lineIndex() == 2 && rep == 7 && (round == 2 || round == 5);
            }
        });
        assertThat(finding.cause()).isEqualTo(Cause.FAULT);
        assertThat(finding.movement()).isEqualTo("box jump");
        assertThat(finding.moments()).hasSize(2);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void oneSlowRound(long seed) {
        Finding finding = first(new Walk(seed) {
            @Override
            double repMs(int round, double planned) {
                planted += round == 4 ? Math.round(0.2 * planned) : 0;
                return planned * (round == 4 ? 1.2 : 1);
            }
        });
        assertThat(finding.kind()).isEqualTo(Finding.Kind.SLOW_ROUND);
        assertThat(ReviewWords.finding(finding, Digits.TENTHS)).startsWith("Round 4 was ");
    }
}
