package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.log;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wake.log.AttemptLog;

/** A clean every 5.0 s, the first of a set 2.9 s after it begins: however the sets are cut and logged, that is steady. */
class RepRhythmTest {
    private static final int[] SETS = {2, 2, 2, 5, 5, 5};

    private static AttemptLog cleans(boolean tapped, int rounds) {
        StringBuilder jotted = new StringBuilder();
        double clock = 0;
        for (int round = 0; round < rounds; round++) {
            for (int i = 0; i < SETS.length; i++) {
                jotted.append(i == 0 ? "A " : "N ").append(clock).append(", ");
                for (int rep = 0; rep < SETS[i]; rep++) {
                    clock += rep == 0 ? 2.9 : 5;
                    jotted.append(tapped ? "F " + clock + ", " : "");
                }
                boolean last = i == SETS.length - 1;
                if (!last) {
                    jotted.append("O ")
                            .append(clock)
                            .append(" x")
                            .append(SETS[i])
                            .append(", ");
                } else if (!tapped) {
                    jotted.append("D ").append(clock).append(", ");
                }
                clock += 4;
            }
        }
        String notation = "# A\nfor time\n  " + rounds + " rounds:\n    21 power clean @ 60 kg\n";
        return log(notation, jotted.substring(0, jotted.length() - 2));
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void smallSetsAndLargeOnesAtOneCycleAreSteady(boolean tapped) {
        for (int rounds : new int[] {2, 4}) {
            AttemptLog log = cleans(tapped, rounds);
            Reading reading = Reading.of(log, Baseline.bestSplits(log));
            assertThat(reading.findings()).isEmpty();
            MovementReading.Row row = reading.movements().getFirst().rows().getFirst();
            assertThat(row.growthPercent().orElseThrow()).isCloseTo(0, within(0.1));
            assertThat(row.sets())
                    .allSatisfy(set ->
                            assertThat(set.secondsPerUnit().orElseThrow()).isCloseTo(5, within(0.01)));
        }
    }
}
