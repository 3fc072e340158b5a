package wake.simulation;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.log.MarkKind;
import wake.simulation.RecordingScript.Scene;

class SimulationTest {
    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void theSameSeedGivesTheSameAttempt(long seed) {
        assertThat(Samples.simulated(seed).truth())
                .isEqualTo(Samples.simulated(seed).truth());
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void theRecordingShowsEveryMomentOnce(long seed) {
        SimulatedAttempt attempt = Samples.simulated(seed);
        RecordingScript script = RecordingScript.of(attempt);
        long at = 0;
        for (Scene scene : script.scenes()) {
            assertThat(scene.fromMs()).isEqualTo(at);
            assertThat(scene.repEndsMs()).allMatch(end -> end > scene.fromMs() && end <= scene.toMs());
            at = scene.toMs();
        }
        assertThat(at).isEqualTo(script.durationMs());
        assertThat(script.beepsMs()).last().isEqualTo(script.goMs());
        long shown = script.scenes().stream()
                .mapToLong(scene -> scene.repEndsMs().size())
                .sum();
        assertThat(shown)
                .isEqualTo(attempt.truth().stream()
                        .filter(mark -> mark.kind() == MarkKind.REP)
                        .count());
    }
}
