package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static wake.Samples.expanded;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.athlete.Demonstrated;
import wake.athlete.Figures;
import wake.workout.ExpandedWorkout;

/** Common practice, no source: the failing movement is split around the others, which keep their order. */
class FallbackTest {
    private static final ExpandedWorkout EXPANDED = expanded(
            "# A\nfor time\n  1500 m run\n  20 rounds:\n    5 ring row\n    10 v-up\n    15 sit-up\n  1500 m run\n");

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2 | 5s      | 5 ring row, 5 v-up, 15 sit-up, 5 v-up",
                "1 | 3-2     | 3 ring row, 10 v-up, 2 ring row, 15 sit-up",
                "1 | 2-2-1   | 2 ring row, 10 v-up, 2 ring row, 15 sit-up, 1 ring row",
                "3 | 8-7     | 5 ring row, 8 sit-up, 10 v-up, 7 sit-up",
                "3 | 5s      | 5 sit-up, 5 ring row, 5 sit-up, 10 v-up, 5 sit-up",
                "1 | singles | 1 ring row, 10 v-up, 1 ring row, 15 sit-up, 1 ring row, 1 ring row, 1 ring row",
            })
    void theOthersKeepTheirOrderAndMilesStayOutsideTheRounds(int line, String portions, String order) {
        assertThat(new Fallback(3, List.of(failing(line, portions))).order(EXPANDED))
                .isEqualTo(order);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1 | 3-2 | 2 | 5s  | 3 ring row, 5 v-up, 2 ring row, 5 v-up, 15 sit-up",
                "2 | 5s  | 3 | 8-7 | 5 ring row, 5 v-up, 8 sit-up, 5 v-up, 7 sit-up",
                "2 | 5s  | 1 | 3-2 | 3 ring row, 5 v-up, 2 ring row, 15 sit-up, 5 v-up",
            })
    void twoThatFailAtOnceAreCutAroundEachOther(int line, String portions, int other, String its, String order) {
        Fallback both = new Fallback(3, List.of(failing(line, portions), failing(other, its)));
        assertThat(both.order(EXPANDED)).isEqualTo(order);
    }

    /** Both are cut: portions of 5 s with a way back of 3 s each. By hand: 2 ways back of the ring row, 1 of the v-up, each of 18 rounds. */
    @Test
    void eachOfTheTwoCostsItsReturns() {
        Plan plan = Draft.of(EXPANDED, Figures.NONE, Demonstrated.NOTHING).plan();
        Plan unbroken = plan.withLines(plan.lines().stream()
                .map(line -> line.withEvery(line.every().withSets(SetScheme.UNBROKEN)))
                .toList());
        Fallback both = new Fallback(3, List.of(failing(1, "2-2-1"), failing(2, "5s")));
        Plan fallen = new Plan(unbroken.lines(), PacingStrategy.EVEN, OptionalLong.empty(), Optional.of(both), Map.of())
                .fallenBack(EXPANDED);
        assertThat(Forecast.of(EXPANDED, fallen).finishMs()
                        - Forecast.of(EXPANDED, unbroken).finishMs())
                .isEqualTo(18 * 3 * 3000);
    }

    @Test
    void whatCannotFailTogetherIsRefused() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Fallback(3, List.of(failing(1, "3-2"), failing(1, "2-3"))))
                .withMessageContaining("two different movements");
        Fallback withTheMile = new Fallback(3, List.of(failing(1, "3-2"), failing(0, "5s")));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> withTheMile.order(EXPANDED))
                .withMessageContaining("Round 3 does not have the second movement");
    }

    private static Fallback.Failing failing(int line, String portions) {
        return new Fallback.Failing(line, SetScheme.parse(portions), 3000);
    }
}
