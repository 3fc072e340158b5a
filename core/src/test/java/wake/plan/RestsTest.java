package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static wake.Samples.expanded;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.plan.Plan.LinePacing;
import wake.workout.ExpandedWorkout;

class RestsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "5               | 5        | 5000 5000 5000",
                "5-20-8          | 5-20-8   | 5000 20000 8000",
                "4.5 - 6 s       | 4.5-6    | 4500 6000 6000",
                "5, 20 after 2   | 5-20-5   | 5000 20000 5000",
                "5 s, 20 s after set 1 | 20-5 | 20000 5000 5000",
                "0               | 0        | 0 0 0",
            })
    void restsAreReadAsCoachesWriteThemAndTheLastGoesOn(String text, String written, String between) {
        Rests rests = Rests.parse(text);
        assertThat(rests.written()).isEqualTo(written);
        assertThat(Rests.parse(written)).isEqualTo(rests);
        assertThat(rests.between(4)).extracting(String::valueOf).containsExactly(between.split(" "));
        assertThat(rests.between(1)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "soon", "-5", "5-", "5--8", "5, after 2", "5, 20 after 0", "4000", "5-1e9"})
    void whatIsNoRestIsRefused(String text) {
        assertThatIllegalArgumentException().isThrownBy(() -> Rests.parse(text)).withMessageContaining("rest");
    }

    /** By hand: 10 burpees in 4-3-3 at 3 s, with 4 s and 9 s between: 43 s. */
    @Test
    void eachBreakStandsInItsPlace() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  10 burpee\n");
        Pacing pacing = new Pacing(0, SetScheme.parse("4-3-3"), 3, 0).withRests(Rests.parse("4-9"));
        Forecast forecast = Forecast.of(expanded, new Plan(List.of(new LinePacing(0, pacing, Map.of()))));
        assertThat(forecast.finishMs()).isEqualTo(43_000);
        assertThat(forecast.segments().getFirst().restsMs()).containsExactly(4000L, 9000L);
        // Half a set in, the first break only has been taken.
        assertThat(forecast.segments().getFirst().upTo(5).restMs()).isEqualTo(4000);
    }
}
