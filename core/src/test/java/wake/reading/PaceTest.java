package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.log.AttemptLog;

class PaceTest {
    private static AttemptLog rounds(long... seconds) {
        long[] clock = {0};
        String jotted = IntStream.range(0, seconds.length)
                .mapToObj(i -> "D " + (clock[0] += seconds[i]) + " seg")
                .collect(Collectors.joining(", "));
        return Samples.log("# A\nfor time\n  " + seconds.length + " rounds:\n    10 burpee\n", jotted);
    }

    private static Pace shape(AttemptLog log) {
        return Pace.of(log.own(), Rounds.of(log));
    }

    /** The classes of Abbiss & Laursen (2008) on splits made to have them; 3 % is an assumption. */
    @ParameterizedTest
    @CsvSource({
        "60-60-60-60-60-60, EVEN",
        "60-61-60-61-60-61, EVEN",
        "55-56-60-62-66-68, POSITIVE",
        "58-70-70-70-70-70, POSITIVE",
        "68-66-62-60-56-55, NEGATIVE",
        "55-56-66-66-56-55, PARABOLIC",
        "66-65-55-55-65-66, VARIABLE"
    })
    void splitsHaveTheShapeOfTheirClass(String splits, Pace.Shape shape) {
        long[] seconds = java.util.Arrays.stream(splits.split("-"))
                .mapToLong(Long::parseLong)
                .toArray();
        assertThat(shape(rounds(seconds)).shape()).contains(shape);
    }

    /** Rounds that double in work and in time are even: work is compared, not rounds. */
    @Test
    void growingRoundsCompareByWork() {
        AttemptLog log =
                Samples.log("# A\nfor time\n  4 rounds:\n    5+5 burpee\n", "D 20 seg, D 60 seg, D 120 seg, D 200 seg");
        assertThat(shape(log).shape()).contains(Pace.Shape.EVEN);
        assertThat(shape(log).finish().orElseThrow()).isCloseTo(1, within(1e-9));
    }

    @Test
    void aKickShowsInTheLastSixthOfTheClock() {
        assertThat(shape(rounds(60, 60, 60, 60, 60, 60, 50)).finish().orElseThrow())
                .isGreaterThan(1.1);
        assertThat(shape(rounds(60, 60)).shape()).as("two rounds are no shape").isEmpty();
    }

    @Test
    void aRoundFarBeyondTheOthersIsNamedWithItsReason() {
        AttemptLog log = Samples.log(
                "# A\nfor time\n  6 rounds:\n    4 burpee\n",
                "A 0, F 3, F 6, F 9, F 12, A 13, F 16, F 19, F 22, F 25, A 26, F 29, F 32, W 34, F 45, F 48,"
                        + "A 49, F 52, F 55, F 58, F 61, A 62, F 65, F 68, F 71, F 74, A 75, F 78, F 81, F 84, F 87.5");
        Reading reading = Reading.of(log, Baseline.bestSplits(log));
        assertThat(reading.outliers()).singleElement().satisfies(outlier -> {
            assertThat(outlier.what()).isEqualTo("round 3");
            assertThat(outlier.overMs()).isBetween(9000L, 11_000L);
            assertThat(outlier.reason()).contains("trip");
        });
    }
}
