package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.projection.Projection.Terms;

/** Ranges: never of no width, never wider than the athlete is, with what is quoted inside them. */
class RangeTest {
    private static final FatigueCost NO_FORM = new FatigueCost(0.2, 0.4, 0.3, 0.5, 0);

    private static Terms terms(FatigueCost fatigueCost) {
        return new Terms(List.of(), EvidenceWeights.USUAL, fatigueCost, 1000, 400);
    }

    /** Five rounds of 25 push-ups, always 10-5-5-3-2: reps of about 1.5 s, rests of about 5 s, each a few per cent off. */
    private static AttemptLog sameSchemeEveryRound() {
        SplittableRandom random = new SplittableRandom(7);
        StringBuilder marks = new StringBuilder();
        double clock = 0;
        for (int round = 0; round < 5; round++) {
            clock += 3 + 0.3 * random.nextGaussian();
            marks.append(String.format(Locale.ROOT, "A %.2f, ", clock));
            int[] sets = {10, 5, 5, 3, 2};
            for (int set = 0; set < sets.length; set++) {
                clock += sets[set] * (1.5 + 0.04 * random.nextGaussian());
                if (set < sets.length - 1) {
                    marks.append(String.format(Locale.ROOT, "O %.2f x%d, ", clock, sets[set]));
                    clock += 5 + 0.4 * random.nextGaussian();
                    marks.append(String.format(Locale.ROOT, "N %.2f, ", clock));
                }
            }
            marks.append(String.format(Locale.ROOT, "D %.2f%s", clock, round == 4 ? "" : ", "));
        }
        return Samples.log("# A\nfor time\n  5 rounds:\n    25 push-up\n", marks.toString());
    }

    /**
     * The sets fall the same way each time, so only times scatter: 20 rests by 0.4 s and 25 sets by 0.04 s a rep, both days; that is
     * ± √2 · √(20 · 0.16 + 5 · 0.0016 · 163 + …) ≈ 2.9 s, and P10–P90 about 2.56 of those: 7.4 s, 2.6 % of 4:40.
     */
    @Test
    void whoBreaksTheSameWayEachRoundIsNotDrawnBreakingOtherwise() {
        Range range = Projection.of(sameSchemeEveryRound(), List.of(), terms(NO_FORM))
                .range()
                .orElseThrow();
        double width = (range.p10().clockMs() - range.p90().clockMs())
                / (double) range.p50().clockMs();
        assertThat(width).isBetween(0.01, 0.045);
    }

    /** The same to the millisecond each time: the day's form of 1 %, both ways and on both days, is left: 2 · 1.2816 · √2 · 1 % = 3.6 %. */
    @Test
    void straightDataHasARangeToo() {
        AttemptLog log = Samples.log(
                "# A\nfor time\n  5 rounds:\n    4 burpee\n    6 thruster @ 30 kg\n",
                "A 0, D 12, A 14, D 26, A 28, D 40, A 42, D 54, A 56, D 68, A 70, D 82, A 84, D 96, A 98, D 110, A 112, D 124,"
                        + " A 126, D 138");
        Range range =
                Projection.of(log, List.of(), terms(FatigueCost.USUAL)).range().orElseThrow();
        double width = (range.p10().clockMs() - range.p90().clockMs()) / 138_000.0;
        assertThat(width).isBetween(0.030, 0.042);
    }

    /** A drink on one way of a chipper, whose ways come once or twice each: an event of its own, no scatter of the other ways. */
    @Test
    void aDrinkDoesNotWidenTheRange() {
        String chipper =
                "# A\nfor time\n  20 burpee\n  2 rounds:\n    10 thruster @ 30 kg\n    10 box jump over @ 50 cm\n  20 sit-up\n";
        double dry = width(chipper, 3.4);
        double drunk = width(chipper, 22);
        assertThat(drunk).isBetween(0.6 * dry, 1.3 * dry);
    }

    /** The way before the second thrusters takes so long, the others about three seconds. */
    private static double width(String workout, double way) {
        SplittableRandom random = new SplittableRandom(11);
        StringBuilder marks = new StringBuilder();
        double[] ways = {0, 3.1, 2.8, way, 3.3, 3.0};
        int[] reps = {20, 10, 10, 10, 10, 20};
        double clock = 0;
        for (int segment = 0; segment < ways.length; segment++) {
            clock += ways[segment];
            marks.append(String.format(Locale.ROOT, "%sA %.2f", segment == 0 ? "" : ", ", clock));
            for (int rep = 0; rep < reps[segment]; rep++) {
                clock += 2 + 0.1 * random.nextGaussian();
                marks.append(String.format(Locale.ROOT, ", F %.2f", clock));
            }
        }
        Projection projection = Projection.of(Samples.log(workout, marks.toString()), List.of(), terms(NO_FORM));
        Range range = projection.range().orElseThrow();
        return range.p10().clockMs() - range.p90().clockMs();
    }

    /** Fourteen reps in a minute: 1 % is less than a rep, and a range is a rep either way. */
    @Test
    void fewRepsAreNotKnownToTheRep() {
        AttemptLog log = Samples.log(
                "# A\namrap 1:00\n  2 burpee\n  2 thruster @ 30 kg\n",
                "A 0, D 8, A 10, D 16, A 18, D 26, A 28, D 34, A 36, D 44, A 46, D 52, A 54, F 58, X 60");
        Range range = Projection.of(log, List.of(), terms(new FatigueCost(0, 0, 0, 0, 0)))
                .range()
                .orElseThrow();
        assertThat(range.p10().done()).isLessThan(range.p50().done());
        assertThat(range.p90().done()).isGreaterThan(range.p50().done());
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void whatIsQuotedLiesInsideItsRange(long seed) {
        AttemptLog log = AttemptLog.of(
                Samples.simulated(seed).expanded(), Samples.simulated(seed).truth());
        List<Change> changes = Suggestions.of(log);
        Projection projection = Projection.of(log, changes, terms(FatigueCost.USUAL));
        projection.range().ifPresent(range -> {
            assertThat(Score.compare(projection.middle(), range.p10())).isNotNegative();
            assertThat(Score.compare(range.p90(), projection.middle())).isNotNegative();
            assertThat(Score.compare(range.p10(), range.p90())).isNegative();
        });
        for (Projection.ProjectedChange one : projection.projectedChanges()) {
            one.range().ifPresent(range -> {
                assertThat(one.expected().rank())
                        .isBetween(range.low().rank(), range.high().rank());
            });
        }
        // Free is the most there is: no answer of the body makes it better.
        assertThat(Score.compare(projection.bestCase(), projection.withFatigue()))
                .isNotNegative();
    }
}
