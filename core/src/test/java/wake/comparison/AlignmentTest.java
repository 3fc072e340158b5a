package wake.comparison;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.comparison.Alignment.Slot;
import wake.log.AttemptLog;
import wake.simulation.AthleteModel;
import wake.simulation.SimulatedAttempt;

class AlignmentTest {
    static LongStream seeds() {
        return LongStream.rangeClosed(1, 60);
    }

    @Test
    void everyPlaceIsAsWideAsTheSlowestNeeds() {
        String text = "# Quay\nfor time\n  3 burpee\n  2 wall walk\n";
        Alignment alignment = Alignment.of(List.of(
                new Side("Ida", text, Samples.log(text, "A 2, D 10 seg, D 30 seg")),
                new Side("Runa", text, Samples.log(text, "A 3, D 14 seg, D 29 seg")),
                new Side("Tove", text, Samples.log(text, "D 12 seg, X 40"))));
        assertThat(alignment.slots().stream().map(Slot::place)).containsExactly("3 burpee", "from there on");
        assertThat(alignment.slots().getFirst().lengthMs()).isEqualTo(14_000);
        assertThat(alignment.slots().getFirst().spans().getFirst().beginMs()).hasValue(2000);
        assertThat(alignment.slots().getLast().atMs()).isEqualTo(14_000);
        // Tove goes on for 28 s more, Ida for 20, Runa for 15.
        assertThat(alignment.slots().getLast().lengthMs()).isEqualTo(28_000);
    }

    /** Each attempt's stretches lie one after the other and make up its clock; each fits its slot, and one of them fills it. */
    @ParameterizedTest
    @MethodSource("seeds")
    void stretchesCloseToTheClock(long seed) {
        SimulatedAttempt one = Samples.simulated(seed);
        SimulatedAttempt other = SimulatedAttempt.run(one.expanded(), AthleteModel.plain(), seed);
        List<Side> sides = List.of(
                new Side("Ida", "t", AttemptLog.of(one.expanded(), Samples.blurred(one, seed))),
                new Side("Runa", "t", AttemptLog.of(one.expanded(), other.truth())));
        List<Slot> slots = Alignment.of(sides).slots();
        for (int side = 0; side < 2; side++) {
            long at = 0;
            for (Slot slot : slots) {
                assertThat(slot.spans().get(side).fromMs()).isEqualTo(at);
                assertThat(slot.spans().get(side).lengthMs()).isBetween(0L, slot.lengthMs());
                at = slot.spans().get(side).toMs();
            }
            assertThat(at).isEqualTo(sides.get(side).log().clockMs());
        }
        assertThat(slots).allMatch(slot -> slot.spans().stream().anyMatch(span -> span.lengthMs() == slot.lengthMs()));
    }
}
