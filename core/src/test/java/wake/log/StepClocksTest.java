package wake.log;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.log;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import wake.log.StepClocks.How;

/** By hand: what was tapped or ends a counted set is known, the rest is spread over its set. */
class StepClocksTest {
    private static final String TEN = "# A\nfor time\n  10 burpee\n  5 thruster @ 40 kg";

    private static StepClocks first(String jotted) {
        return StepClocks.of(log(TEN, jotted).splits().getFirst());
    }

    private static Long[] clocks(StepClocks clocks) {
        return IntStream.rangeClosed(1, clocks.count()).mapToObj(clocks::ms).toArray(Long[]::new);
    }

    @Test
    void countedSetsAreSpreadInsideTheirOwnTime() {
        StepClocks clocks = first("A 1, O 9 x4, N 14, D 26");

        assertThat(clocks(clocks))
                .containsExactly(3000L, 5000L, 7000L, 9000L, 16000L, 18000L, 20000L, 22000L, 24000L, 26000L);
        assertThat(clocks.through(0)).isEqualTo(4);
        assertThat(clocks.through(1)).isEqualTo(10);
        assertThat(clocks.known(3)).isEqualTo(How.SPREAD);
        assertThat(clocks.known(4)).isEqualTo(How.END_OF_SET);
        assertThat(clocks.known(10)).isEqualTo(How.END);
    }

    /** Three seconds of work and six: of ten reps nobody counted, three in the first. */
    @Test
    void setsNobodyCountedShareTheRepsByTheirTime() {
        StepClocks clocks = first("A 1, O 4, N 8, D 14");

        assertThat(clocks.through(0)).isEqualTo(3);
        assertThat(clocks(clocks)).startsWith(2000L, 3000L, 4000L).endsWith(14000L);
        assertThat(clocks.known(3)).isEqualTo(How.SPREAD);
    }

    @Test
    void ofASetTappedInPartTheTapsAreKept() {
        StepClocks clocks = first("A 1, F 2, F 5, O 9 x4, N 14, D 26");

        assertThat(clocks(clocks)).startsWith(2000L, 5000L, 7000L, 9000L);
        assertThat(clocks.known(2)).isEqualTo(How.TAPPED);
        assertThat(clocks.known(3)).isEqualTo(How.SPREAD);
    }

    @Test
    void ofEndsAloneAllIsSpread() {
        StepClocks clocks = first("D 20 seg, D 30 seg");

        assertThat(clocks(clocks)).startsWith(2000L, 4000L).endsWith(20000L);
        assertThat(clocks.known(9)).isEqualTo(How.SPREAD);
        assertThat(clocks.known(10)).isEqualTo(How.END);
    }
}
