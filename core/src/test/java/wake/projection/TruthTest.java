package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Calls against simulated athletes whose truth is known; the figures stand in docs/truth-trial.md. */
class TruthTest {
    private static final int WRITTEN = 200;
    private static final int ATHLETES = Integer.getInteger("wake.athletes", WRITTEN);

    static Stream<String> formats() {
        return TruthTrial.FORMATS.keySet().stream();
    }

    @ParameterizedTest
    @MethodSource("formats")
    void projectionsComeTrue(String format) {
        TruthTrial.Row row = TruthTrial.run(format, ATHLETES);
        // What an athlete scatters by from one day to the next no call can beat: about 1 % of the clock here.
        assertThat(row.medianErrorPercent()).isLessThan(row.clock() ? 1.25 : 2);
        assertThat(Math.abs(row.biasPercent())).isLessThan(0.3);
        assertThat(row.insidePercent()).isBetween(75.0, 87.0);
        if (ATHLETES == WRITTEN) {
            assertThat(Path.of("../docs/truth-trial.md")).content().contains(row.written());
        }
    }
}
