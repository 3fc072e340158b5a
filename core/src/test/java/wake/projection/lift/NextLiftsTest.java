package wake.projection.lift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.athlete.FiguresReader;
import wake.exchange.TimeSheet;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.log.AttemptLog;
import wake.plan.Draft;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.LimitingMax;
import wake.plan.lift.PlateRack;
import wake.reading.lift.LiftReading;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;

/** Common practice, no source: what must be made is likely and was shown, the wish a small step above the best. */
class NextLiftsTest {
    private static LiftReading read(String notation, String lifts, String figures) {
        ExpandedWorkout expanded = Samples.expanded(notation);
        AttemptLog log = AttemptLog.of(
                expanded,
                TimeSheet.read(lifts, Each.MOVEMENT, Times.EITHER, expanded, Draft.of(expanded))
                        .marks());
        Format.Lift window = (Format.Lift) expanded.format();
        return LiftReading.of(
                log,
                LimitingMax.of(
                        window.complex(),
                        FiguresReader.read(figures, Samples.CATALOGUE).figures(),
                        Samples.CATALOGUE),
                Optional.empty());
    }

    private static List<String> loads(LiftPlan plan) {
        return plan.lifts().stream().map(lift -> plan.wanted(lift).toString()).toList();
    }

    private static LiftPlan next(LiftReading reading) {
        return NextLifts.of(
                reading,
                Optional.empty(),
                Chances.of(reading.max(), List.of(new Tried.Day(0, Tried.in(reading)))),
                OptionalLong.empty(),
                PlateRack.kilograms(20));
    }

    @Test
    void theWishBeatsTheBestByASmallStep() {
        LiftReading reading = read(
                "# A\nlift 7:00, best of 1 clean\n",
                "0:48 60\n2:06 70\n3:24 80 9s\n4:42 90 9s\n5:58 95 miss",
                "max clean 100 kg");
        LiftPlan next = next(reading);
        assertThat(loads(next)).hasSize(5).first().isEqualTo("60 kg");
        assertThat(loads(next).get(3)).as("made 85 of 100 times").isEqualTo("89 kg");
        assertThat(loads(next).get(4)).as("above the best, below the miss").isEqualTo("94 kg");
        assertThat(next.complexMs()).as("as long as they took").isEqualTo(9000);
        next.checkedFor(reading.window());
    }

    @Test
    void withoutAMaxTheHeaviestLiftStandsForIt() {
        LiftReading reading = read("# A\nlift 3:00, best of 3 clean\n", "0:30 60\n1:40 80", "");
        LiftPlan next = next(reading);
        assertThat(next.max()).hasToString("80 kg");
        assertThat(loads(next).getLast()).as("80 kg is beaten, by 5 % at most").isEqualTo("84 kg");
        LiftReading nothing = read("# A\nlift 3:00, best of 3 clean\n", "", "");
        assertThatThrownBy(() -> NextLifts.of(
                        nothing, Optional.empty(), Chances.known(80, 3), OptionalLong.empty(), PlateRack.kilograms(20)))
                .hasMessageContaining("No lift has a load");
    }

    /** After 80 made and 84 missed twice the next bar is one between; missed at the smallest step above the best, it is that step again. */
    @ParameterizedTest
    @CsvSource({
        "max clean 85 kg, 84, 81, 83",
        "max clean 95 kg, 84, 81, 83",
        "'', 84, 81, 83",
        "max clean 85 kg, 80.5, 81, 81",
        "max clean 70 kg, 84, 81, 83"
    })
    void theNextBarIsAboveTheBestAndBelowTheMisses(String figures, double missed, double least, double most) {
        LiftReading reading = read(
                "# A\nlift 8:00, best of 1 clean\n",
                "1:00 60\n2:30 70\n4:00 80\n5:30 %1$s miss\n7:15 %1$s miss".formatted(missed),
                figures);
        LiftPlan next = next(reading);
        double reach = next.wanted(next.lifts().getLast()).doubleValue();
        assertThat(reach).isBetween(least, most);
        assertThat(next.wanted(next.lifts().get(3)).doubleValue()).isLessThanOrEqualTo(80);
        LiftProjection projection = LiftProjection.of(
                next,
                new LiftProjection.Terms(
                        reading.window(),
                        OptionalLong.empty(),
                        Chances.of(reading.max(), List.of(new Tried.Day(0, Tried.in(reading)))),
                        Optional.empty()));
        assertThat(projection.rows().getLast().chance()).isBetween(0.15, 0.75);
    }

    @Test
    void theNextLiftsAreInTheUnitOfTheLastOnes() {
        LiftPlan next = next(read(
                "# A\nlift 6:00, best of 1 clean\n", "1:00 135 lb\n2:30 155 lb\n4:00 175 lb miss", "max clean 80 kg"));
        assertThat(loads(next)).allMatch(load -> load.endsWith(" lb"));
        assertThat(next.rack().bar()).hasToString("45 lb");
    }
}
