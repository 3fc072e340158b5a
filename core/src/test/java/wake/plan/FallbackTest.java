package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.course;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.workout.Course;

/** Common practice, no source: the failing movement is split around the others, which keep their order. */
class FallbackTest {
    private static final Course COURSE = course(
            "# A\nfor time\n  1 mi run\n  20 rounds:\n    5 pull-up\n    10 push-up\n    15 air squat\n  1 mi run\n");

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2 | 5s      | 5 pull-up, 5 push-up, 15 air squat, 5 push-up",
                "1 | 3-2     | 3 pull-up, 10 push-up, 2 pull-up, 15 air squat",
                "1 | 2-2-1   | 2 pull-up, 10 push-up, 2 pull-up, 15 air squat, 1 pull-up",
                "3 | 8-7     | 5 pull-up, 8 air squat, 10 push-up, 7 air squat",
                "3 | 5s      | 5 air squat, 5 pull-up, 5 air squat, 10 push-up, 5 air squat",
                "1 | singles | 1 pull-up, 10 push-up, 1 pull-up, 15 air squat, 1 pull-up, 1 pull-up, 1 pull-up",
            })
    void theOthersKeepTheirOrderAndMilesStayOutsideTheRounds(int line, String portions, String order) {
        assertThat(new Fallback(line, 3, SetScheme.parse(portions), 3000).order(COURSE))
                .isEqualTo(order);
    }
}
