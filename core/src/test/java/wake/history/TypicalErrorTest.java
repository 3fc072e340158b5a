package wake.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.hipparchus.stat.descriptive.StreamingStatistics;
import org.junit.jupiter.api.Test;

class TypicalErrorTest {
    /** s_diff / √2 (Hopkins 2000): differences 2, −1, 2, −3 have mean 0 and standard deviation √(18/3) = √6, so √6/√2 = √3. */
    @Test
    void itIsTheScatterOfTheDifferencesOverTheRootOfTwo() {
        assertThat(TypicalError.of(new double[] {10, 12, 11, 13, 10})).isPresent();
        assertThat(TypicalError.of(new double[] {10, 12, 11, 13, 10}).getAsDouble())
                .isCloseTo(Math.sqrt(3), within(1e-12));
    }

    /** What gets better by the same each time is no noise (Hopkins 2000: the change in the mean does not count towards it). */
    @Test
    void aSteadyGainIsNoNoise() {
        assertThat(TypicalError.of(new double[] {9, 8, 7, 6, 5}).getAsDouble()).isCloseTo(0, within(1e-12));
    }

    /** Hopkins 2000: from logarithms, 100 · (e^s − 1), s by a statistics library over the differences of the logarithms. */
    @Test
    void ofSharesItComesFromLogarithms() {
        double[] values = {3.1, 2.9, 3.0, 2.7, 2.8};
        StreamingStatistics differences = new StreamingStatistics();
        for (int i = 1; i < values.length; i++) {
            differences.addValue(Math.log(values[i] / values[i - 1]));
        }
        double expected = 100 * (Math.exp(differences.getStandardDeviation() / Math.sqrt(2)) - 1);
        assertThat(TypicalError.percent(values).getAsDouble()).isCloseTo(expected, within(1e-9));
    }

    @Test
    void threeAttemptsTellNothingOfNoise() {
        assertThat(TypicalError.of(new double[] {1, 2, 3})).isEmpty();
    }
}
