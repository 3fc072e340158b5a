package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.expanded;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.log.Score;
import wake.plan.Plan.LinePacing;
import wake.workout.ExpandedWorkout;

/** Forecasts of the formats that do not simply end when all is done. */
class ForecastFormatsTest {
    private static LinePacing line(int index, long transitionMs, double secondsPerUnit) {
        return new LinePacing(index, new Pacing(transitionMs, SetScheme.UNBROKEN, secondsPerUnit, 0), Map.of());
    }

    /** Common practice, no source: a warm-up round of 2:00 in a 14:00 AMRAP forecasts seven rounds. */
    @Test
    void aRoundOfTwoMinutesMakesSevenRoundsInFourteen() {
        ExpandedWorkout expanded = expanded("# A\namrap 14:00\n  10 burpee\n  20 thruster\n");
        Forecast forecast = Forecast.of(expanded, new Plan(List.of(line(0, 5000, 4), line(1, 5000, 3.5))));
        assertThat(forecast.segments().get(2).totalMs()
                        + forecast.segments().get(3).totalMs())
                .isEqualTo(120_000);
        assertThat(forecast.score()).isEqualTo(new Score.Rounds(840_000, 7, 0, 210, false));
        assertThat(forecast.score().words()).isEqualTo("7 rounds + 0");
    }

    @Test
    void anAmrapForecastGoesOnAsFarAsItIsAskedTo() {
        ExpandedWorkout expanded = expanded("# A\namrap 1:00\n  10 burpee\n");
        Plan plan = new Plan(List.of(line(0, 0, 3)));
        assertThat(Forecast.of(expanded, plan).segments()).hasSize(3);
        assertThat(Forecast.of(expanded, plan, 40).segments()).hasSize(40);
        assertThat(Forecast.of(expanded, plan, 40).score())
                .isEqualTo(Forecast.of(expanded, plan).score());
    }

    /** Common practice, no source: interval rounds leave 10 to 15 s after 45 to 50 s of work. */
    @Test
    void whatIsLeftOfAnIntervalIsItsRest() {
        ExpandedWorkout expanded = expanded("# A\nevery 1:00 x 4\n  12 burpee\n");
        Forecast forecast = Forecast.of(expanded, new Plan(List.of(line(0, 0, 4))));
        assertThat(forecast.segments())
                .extracting(PlannedSegment::waitMs)
                .containsExactly(0L, 12_000L, 12_000L, 12_000L);
        assertThat(forecast.finishMs()).isEqualTo(180_000 + 48_000);
        assertThat(forecast.score()).isEqualTo(new Score.Reps(228_000, 48));
    }

    @Test
    void anIntervalThatIsOverrunLeavesNoRest() {
        ExpandedWorkout expanded = expanded("# A\nevery 0:30 x 3\n  12 burpee\n");
        Forecast forecast = Forecast.of(expanded, new Plan(List.of(line(0, 0, 3))));
        assertThat(forecast.segments()).extracting(PlannedSegment::waitMs).containsOnly(0L);
        assertThat(forecast.score()).isEqualTo(new Score.Reps(90_000, 12 + 12 + 6));
    }

    @Test
    void aCutOffStopsThePlanWhereItWouldStopTheAthlete() {
        ExpandedWorkout expanded =
                expanded("# A\nfor time, cap 10:00\n  3 rounds:\n    20 burpee\n  by 1:30 after round 2\n");
        Forecast slow = Forecast.of(expanded, new Plan(List.of(line(0, 0, 3))));
        assertThat(slow.score()).isEqualTo(new Score.Capped(90_000, 30, 30));
        Forecast quick = Forecast.of(expanded, new Plan(List.of(line(0, 0, 2))));
        assertThat(quick.score()).isEqualTo(new Score.Finished(120_000, 60));
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void aForecastIsTheSumOfItsPartsWhateverTheFormat(long seed) {
        ExpandedWorkout expanded = Samples.simulated(seed).expanded();
        Forecast forecast = Forecast.of(expanded, Draft.of(expanded));
        long clock = 0;
        for (PlannedSegment segment : forecast.segments()) {
            long opens = expanded.startsAtMs(segment.segment().index()).orElse(clock);
            assertThat(segment.waitMs()).isEqualTo(Math.max(0, opens - clock));
            clock += segment.waitMs() + segment.transitionMs() + segment.workMs() + segment.restMs();
        }
        assertThat(forecast.finishMs()).isEqualTo(clock);
        assertThat(forecast.score().clockMs()).isLessThanOrEqualTo(clock);
    }
}
