package wake.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.athlete.FiguresReader;
import wake.exchange.TimeSheet;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.log.AttemptLog;
import wake.log.Lift;
import wake.plan.Draft;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.LiftPlan.Attempt;
import wake.plan.lift.LiftPlan.Role;
import wake.plan.lift.LiftPlan.Want;
import wake.plan.lift.LimitingMax;
import wake.plan.lift.PlateRack;
import wake.projection.lift.Chances;
import wake.projection.lift.LiftProjection;
import wake.projection.lift.LiftProjection.Terms;
import wake.projection.lift.Tried;
import wake.reading.lift.LiftReading;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;

/** What is said of a bar on the next timetable is what the last window showed of it. */
class LiftProjectionWordsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "80 kg|max clean 90 kg|1:00 80, 3:00 84 miss, 5:00 84 miss|made here",
                "84 kg|max clean 90 kg|1:00 80, 3:00 84 miss, 5:00 84 miss|missed twice here, 5.0% above best",
                "84 kg|max clean 90 kg|1:00 84, 3:00 84 miss, 5:00 84 miss|made 1 of 3 here",
                "70 kg|max clean 90 kg|1:00 80|heavier made here",
                "82 kg|max clean 90 kg|1:00 80|new, 2.5% above best",
                "82 kg|max clean 90 kg|1:00 80 miss|new",
                "84 kg|max clean 84 kg|1:00 84 miss, 3:00 84, 5:00 84 miss, 6:00 84 miss|made 1 of 4 here, but missed 3 times at or below it",
                "84 kg|max clean 70 kg|1:00 84|made here, but above the max clean 70 kg",
                "90 kg|max clean 70 kg|1:00 90|made here"
            })
    void aBarIsSaidToBeWhatItWas(String load, String figures, String lifts, String said) {
        ExpandedWorkout expanded = Samples.expanded("# A\nlift 8:00, best of 1 clean\n");
        AttemptLog log = AttemptLog.of(
                expanded,
                TimeSheet.read(lifts.replace(", ", "\n"), Each.MOVEMENT, Times.EITHER, expanded, Draft.of(expanded))
                        .marks());
        Format.Lift window = (Format.Lift) expanded.format();
        LiftReading reading = LiftReading.of(
                log,
                LimitingMax.of(
                        window.complex(),
                        FiguresReader.read(figures, Samples.CATALOGUE).figures(),
                        Samples.CATALOGUE),
                Optional.empty());
        Chances chances = Chances.of(reading.max(), List.of(new Tried.Day(0, Tried.in(reading))));
        LiftProjection projection = LiftProjection.of(
                new LiftPlan(
                        Quantity.of(100, Unit.KILOGRAM),
                        8000,
                        List.of(new Attempt(
                                Role.WISH, new Want.Load(Lift.load(load).orElseThrow()), 300_000, 8000, List.of())),
                        PlateRack.kilograms(20)),
                new Terms(window, OptionalLong.empty(), chances, Optional.empty()));
        assertThat(LiftProjectionWords.evidence(projection.rows().getFirst(), reading, chances))
                .isEqualTo(said);
    }
}
