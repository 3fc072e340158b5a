package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.reading.BlameTrial.Detail;
import wake.reading.BlameTrial.Row;

/**
 * A steady attempt is blamed for nothing, and what was planted comes first: in every format, at every detail, compared with the attempt's own best splits. An
 * ordinary run takes few athletes; {@code -Dwake.blames=60} takes many.
 */
class BlameTrialTest {
    private static final int ATHLETES = Integer.getInteger("wake.blames", 8);
    private static final boolean MANY = ATHLETES >= 40;

    private static final Map<String, List<Row>> ROWS = new ConcurrentHashMap<>();

    private static List<Row> rows(String format) {
        return ROWS.computeIfAbsent(
                format,
                once -> Arrays.stream(Detail.values())
                        .map(detail -> BlameTrial.run(format, detail, ATHLETES))
                        .toList());
    }

    static Stream<String> formats() {
        return BlameTrial.FORMATS.keySet().stream();
    }

    @ParameterizedTest
    @MethodSource("formats")
    void whatWasPlantedComesFirst(String format) {
        for (Row row : rows(format)) {
            if (MANY) {
                System.out.println(row.written());
            }
            assertThat(row.blamed()).as(row.written()).isLessThanOrEqualTo((MANY ? 6 : 10) * row.steady() / 100);
            // Round splits hide the transition the first round has none of.
            int fewest = row.detail() == Detail.ROUNDS ? 75 : MANY ? 88 : 80;
            assertThat(100 * row.named()).as(row.written()).isGreaterThanOrEqualTo(fewest * row.asked());
        }
    }

    @Test
    void nineOfTenAreNamedAndOneInTwentyIsBlamed() {
        int steady = 0;
        int blamed = 0;
        Map<Detail, int[]> named = new EnumMap<>(Detail.class);
        for (String format : BlameTrial.FORMATS.keySet()) {
            for (Row row : rows(format)) {
                steady += row.steady();
                blamed += row.blamed();
                int[] sums = named.computeIfAbsent(row.detail(), first -> new int[2]);
                sums[0] += row.named();
                sums[1] += row.asked();
            }
        }
        assertThat(20 * blamed).isLessThanOrEqualTo(steady);
        named.forEach((detail, sums) -> assertThat(sums[0] / (double) sums[1])
                .as("%s: %s", detail, Arrays.toString(sums))
                .isGreaterThanOrEqualTo(detail == Detail.ROUNDS ? 0.85 : 0.9));
    }
}
