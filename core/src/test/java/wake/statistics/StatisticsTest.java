package wake.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.google.common.math.Quantiles;
import com.google.common.math.Stats;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Against Guava's statistics, which share no code with the library in use, and against worked examples. */
class StatisticsTest {
    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void figuresAgreeWithAGeneralLibrary(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        double[] values = random.doubles(3 + random.nextInt(20), 20, 90).toArray();
        Stats reference = Stats.of(values);
        double median = Quantiles.median().compute(values);
        assertThat(Statistics.lowerQuartile(values))
                .isCloseTo(Quantiles.percentiles().index(25).compute(values), within(1e-9));
        assertThat(Statistics.median(values)).isCloseTo(median, within(1e-9));
        assertThat(Statistics.coefficientOfVariation(values))
                .isCloseTo(reference.sampleStandardDeviation() / reference.mean(), within(1e-9));
        assertThat(Statistics.percentageDecrement(values))
                .isCloseTo(100 * (reference.sum() / (values.length * reference.min()) - 1), within(1e-9));
        double[] away = java.util.Arrays.stream(values)
                .map(value -> Math.abs(value - median))
                .toArray();
        assertThat(Statistics.medianAbsoluteDeviation(values))
                .isCloseTo(Quantiles.median().compute(away), within(1e-9));
        assertThat(Statistics.theilSenSlope(values))
                .isCloseTo(Quantiles.median().compute(slopes(values)), within(1e-9));
    }

    private static List<Double> slopes(double[] values) {
        List<Double> slopes = new ArrayList<>();
        for (int later = 1; later < values.length; later++) {
            for (int before = 0; before < later; before++) {
                slopes.add((values[later] - values[before]) / (later - before));
            }
        }
        return slopes;
    }

    /** The definition of type 7 (Hyndman & Fan 1996) by hand: position 1 + (n − 1)/4; of 1 … 10 that is 3.25. */
    @Test
    void theLowerQuartileIsOfTypeSeven() {
        assertThat(Statistics.lowerQuartile(new double[] {1, 2, 3, 4, 5, 6, 7, 8, 9, 10}))
                .isEqualTo(3.25);
        assertThat(Statistics.lowerQuartile(new double[] {4, 8, 12})).isEqualTo(6);
    }

    /** Hand-worked from the definition of Fitzsimons et al. (1993): ideal 6 × 7.0 = 42.0, total 43.5, 3.571 %. */
    @Test
    void percentageDecrementFollowsItsDefinition() {
        double[] sprints = {7.0, 7.1, 7.2, 7.3, 7.4, 7.5};
        assertThat(Statistics.percentageDecrement(sprints)).isCloseTo(3.5714, within(1e-4));
        assertThat(Statistics.percentageDecrement(new double[] {60, 60, 60})).isZero();
    }

    /** Theil (1950), Sen (1968): a line gives its slope, and one wild value does not move it. */
    @Test
    void theilSenIsTheMedianOfPairwiseSlopes() {
        assertThat(Statistics.theilSenSlope(new double[] {60, 62, 64, 66, 68})).isEqualTo(2);
        assertThat(Statistics.theilSenSlope(new double[] {60, 62, 64, 120, 68})).isEqualTo(2);
        assertThat(Statistics.theilSenSlope(new double[] {10, 11, 13})).isEqualTo(1.5);
    }

    /** A line with scatter and a few wild values keeps its slope however long it is. */
    @Test
    void theSlopeOfVeryManyIsThatOfTheirHalves() {
        SplittableRandom random = new SplittableRandom(7);
        double[] values = new double[20_000];
        java.util.Arrays.setAll(values, i -> 50 + 0.02 * i + random.nextDouble(-1, 1) + (i % 97 == 0 ? 500 : 0));
        assertThat(Statistics.theilSenSlope(values)).isCloseTo(0.02, within(1e-4));
    }

    /** By hand: of 60, 61, 60, 62, 61, 75 the median is 61, the MAD 1, the limit 61 + 4.4478; two seconds at least. */
    @Test
    void whatStandsOutIsFarOverTheMedian() {
        Outlying rule = Outlying.among(new double[] {60_000, 61_000, 60_000, 62_000, 61_000, 75_000})
                .orElseThrow();
        assertThat(rule.limit()).isCloseTo(65_447.8, within(0.1));
        assertThat(rule.is(75_000)).isTrue();
        assertThat(Outlying.among(new double[] {100, 100, 100, 1900})
                        .orElseThrow()
                        .is(1900))
                .isFalse();
        assertThat(Outlying.among(new double[] {1, 2, 9000})).isEmpty();
    }

    /** The definition: the middle of all in order, or halfway between the middle two, of few and of many. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 99, 100, 101, 102, 400, 1771})
    void theMedianIsTheMiddleOfAllInOrder(int count) {
        double[] values = new SplittableRandom(count).doubles(count, -50, 50).toArray();
        double[] sorted = values.clone();
        Arrays.sort(sorted);

        assertThat(Statistics.median(values))
                .isCloseTo((sorted[(count - 1) / 2] + sorted[count / 2]) / 2, within(1e-12));
    }
}
