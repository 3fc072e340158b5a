package wake.projection.lift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
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
        return NextLifts.of(reading, Optional.empty(), Chances.COMMON, OptionalLong.empty(), PlateRack.kilograms(20));
    }

    @Test
    void theWishBeatsTheBestByASmallStep() {
        LiftReading reading = read(
                "# A\nlift 7:00, best of 1 clean\n",
                "0:48 60\n2:06 70\n3:24 80 9s\n4:42 90 9s\n5:58 95 miss",
                "max clean 100 kg");
        LiftPlan next = next(reading);
        assertThat(loads(next)).hasSize(5).first().isEqualTo("60 kg");
        assertThat(loads(next).get(3)).as("no heavier than was shown").isEqualTo("90 kg");
        assertThat(loads(next).get(4)).as("4 % above it").isEqualTo("93 kg");
        assertThat(next.complexMs()).as("as long as they took").isEqualTo(9000);
        next.checkedFor(reading.window());
    }

    @Test
    void withoutAMaxTheHeaviestLiftStandsForIt() {
        LiftReading reading = read("# A\nlift 3:00, best of 3 clean\n", "0:30 60\n1:40 80", "");
        LiftPlan next = next(reading);
        assertThat(next.max()).hasToString("80 kg");
        assertThat(loads(next).getLast()).as("80 kg is beaten").isEqualTo("81 kg");
        assertThatThrownBy(() -> next(read("# A\nlift 3:00, best of 3 clean\n", "", "")))
                .hasMessageContaining("No lift has a load");
    }
}
