package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.projection.RangeTrial.Row;
import wake.projection.RangeTrial.Trial;

/**
 * Calls against a body that answers, and against one that does not. An ordinary run takes few athletes and has wide bounds;
 * {@code -Dwake.athletes=500} makes the table in docs/truth-trial.md, and holds it to narrow ones.
 */
class RangeTrialTest {
    private static final int WRITTEN = 500;
    private static final int ATHLETES = Integer.getInteger("wake.athletes", 24);
    private static final boolean MANY = ATHLETES >= WRITTEN;

    static Stream<Trial> trials() {
        return RangeTrial.FORMATS.keySet().stream()
                .flatMap(format -> Stream.of(1, 3)
                        .flatMap(
                                changes -> Stream.of(true, false).map(answers -> new Trial(format, changes, answers))));
    }

    @ParameterizedTest
    @MethodSource("trials")
    void projectionsComeTrue(Trial trial) {
        Row row = RangeTrial.run(trial, ATHLETES, MANY ? 500 : 200);
        if (!trial.answers()) {
            assertThat(Math.abs(row.biasPercent())).as(row.written()).isLessThan(MANY ? 0.1 : 0.6);
            return;
        }
        double most = (row.clock() ? 0.3 : 0.5) * (MANY ? 1 : row.clock() ? 3 : 5);
        assertThat(Math.abs(row.biasPercent())).as(row.written()).isLessThan(most);
        assertThat(row.insidePercent()).as(row.written()).isBetween(MANY ? 75.0 : 55.0, MANY ? 85.5 : 100.0);
        assertThat(row.medianErrorPercent()).as(row.written()).isLessThan((MANY ? 1.2 : 1.8) * row.repeatPercent());
        if (MANY) {
            assertThat(Path.of("../docs/truth-trial.md")).content().contains(row.written());
        }
    }
}
