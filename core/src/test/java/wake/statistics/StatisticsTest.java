package wake.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import org.apache.commons.math3.stat.descriptive.DescriptiveStatistics;
import org.apache.commons.math3.stat.descriptive.rank.Percentile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class StatisticsTest {
    /** Against commons-math3, a general statistics library that the core does not use. */
    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void figuresAgreeWithAGeneralLibrary(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        double[] values = random.doubles(3 + random.nextInt(20), 20, 90).toArray();
        var reference = new DescriptiveStatistics(values);
        assertThat(Statistics.lowerQuartile(values))
                .isCloseTo(
                        new Percentile()
                                .withEstimationType(Percentile.EstimationType.R_7)
                                .evaluate(values, 25),
                        within(1e-9));
        assertThat(Statistics.median(values)).isCloseTo(reference.getPercentile(50), within(1e-9));
        assertThat(Statistics.coefficientOfVariation(values))
                .isCloseTo(reference.getStandardDeviation() / reference.getMean(), within(1e-9));
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
}
