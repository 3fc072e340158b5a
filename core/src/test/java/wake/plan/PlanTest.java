package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.LOCK_GATE;
import static wake.Samples.LONG_REACH;
import static wake.Samples.expanded;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.Samples;
import wake.log.Score;
import wake.plan.Plan.LinePacing;
import wake.units.Unit;
import wake.workout.ExpandedWorkout;

class PlanTest {
    @ParameterizedTest
    @CsvSource({
        "unbroken, 15, 15",
        "8-7, 15, 8-7",
        "5s, 12, 5-5-2",
        "singles, 3, 1-1-1",
        "12-10-8, 30, 12-10-8",
        "8-7, 6, 6",
        "5-4, 14, 5-4-4-1"
    })
    void setSchemesCutRepsAsWritten(String scheme, int reps, String sets) {
        assertThat(String.join(
                        "-",
                        SetScheme.parse(scheme).sets(reps).stream()
                                .map(String::valueOf)
                                .toList()))
                .isEqualTo(sets);
        assertThat(SetScheme.parse(SetScheme.parse(scheme).written())).isEqualTo(SetScheme.parse(scheme));
    }

    @ParameterizedTest
    @ValueSource(strings = {"0s", "5-", "-5", "fives", "8-0", "5 5", "99999"})
    void whatIsNoSetSchemeIsRefused(String text) {
        assertThatThrownBy(() -> SetScheme.parse(text)).hasMessageContaining("8-7");
    }

    @Test
    void theForecastIsTheExactSumOfItsParts() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  3 rounds:\n    15 thruster\n    10 burpee\n");
        Plan plan = new Plan(List.of(
                new LinePacing(0, new Pacing(3000, SetScheme.parse("8-7"), 2.333, 5000), Map.of()),
                new LinePacing(
                        1,
                        new Pacing(2000, SetScheme.UNBROKEN, 3, 5000),
                        Map.of(3, new Pacing(2000, SetScheme.UNBROKEN, 2.5, 5000)))));
        Forecast forecast = Forecast.of(expanded, plan);
        long round = 3000 + 34_995 + 5000 + 2000;
        assertThat(forecast.finishMs()).isEqualTo(3 * round - 3000 + 30_000 + 30_000 + 25_000);
        assertThat(forecast.score()).isEqualTo(new Score.Finished(forecast.finishMs(), 75));
    }

    /** Common practice, no source: twenty rounds in 24:00 are 72 s each. */
    @Test
    void twentyRoundsInTwentyFourMinutesAreSeventyTwoSecondsEach() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  20 rounds:\n    10 burpee\n    10 air squat\n");
        Plan plan = new Plan(List.of(
                new LinePacing(0, new Pacing(4000, SetScheme.UNBROKEN, 4, 0), Map.of()),
                new LinePacing(1, new Pacing(4000, SetScheme.UNBROKEN, 2.4, 0), Map.of())));
        long noWayToTheFirst = 4000;
        assertThat(Forecast.of(expanded, plan).finishMs()).isEqualTo(24 * 60_000 - noWayToTheFirst);
    }

    @Test
    void aPlanOverTheCapSaysWhatIsMissing() {
        ExpandedWorkout expanded = expanded("# A\nfor time, cap 1:00\n  10 burpee\n  20 thruster\n");
        Plan plan = new Plan(List.of(
                new LinePacing(0, new Pacing(0, SetScheme.UNBROKEN, 4, 0), Map.of()),
                new LinePacing(1, new Pacing(2000, SetScheme.UNBROKEN, 2, 0), Map.of())));
        assertThat(Forecast.of(expanded, plan).score()).isEqualTo(new Score.Capped(60_000, 19, 11));
    }

    @Test
    void theDraftCoversEveryLineAndSaysQuickTransitions() {
        for (String notation : List.of(LOCK_GATE, LONG_REACH)) {
            ExpandedWorkout expanded = expanded(notation);
            Plan draft = Draft.of(expanded).checkedFor(expanded);
            Forecast forecast = Forecast.of(expanded, draft);
            assertThat(forecast.segments().getFirst().transitionMs()).isZero();
            assertThat(forecast.segments().get(1).transitionMs()).isBetween(2000L, 4000L);
        }
    }

    /** The maker's formulas, see ErgPower: a row at 3.25 s per calorie is 1,108 cal/h, 234.7 W, 1:54.2 per 500 m. */
    @Test
    void aRowInMetresIsPlannedFromItsCaloriePace() {
        var row = Samples.CATALOGUE.find("row").orElseThrow();
        assertThat(500 * Draft.usualSecondsPerUnit(row, Unit.METRE)).isCloseTo(114.2, within(0.1));
        assertThat(Draft.usualSecondsPerUnit(row, Unit.SECOND)).isEqualTo(1);
    }

    @Test
    void impossiblePlansAreRefusedWithTheReason() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  9 thruster\n");
        assertThatThrownBy(() -> new Pacing(-1, SetScheme.UNBROKEN, 2, 0)).hasMessageContaining("transition");
        assertThatThrownBy(() -> new Pacing(0, SetScheme.UNBROKEN, 0, 0)).hasMessageContaining("above 0 s");
        assertThatThrownBy(() -> new Pacing(0, SetScheme.UNBROKEN, 2, -5)).hasMessageContaining("rest");
        Plan tooLarge = new Plan(List.of(new LinePacing(0, new Pacing(0, SetScheme.parse("12-8"), 2, 0), Map.of())));
        assertThatThrownBy(() -> tooLarge.checkedFor(expanded)).hasMessageContaining("Sets of 12 are more than the 9");
        assertThatThrownBy(() -> new Plan(List.of()).checkedFor(expanded)).hasMessageContaining("9 thruster");
    }
}
