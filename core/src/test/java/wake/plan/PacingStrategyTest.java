package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static wake.Samples.BELL_BUOY;
import static wake.Samples.LOCK_GATE;
import static wake.Samples.LONG_REACH;
import static wake.Samples.SLACK_WATER;
import static wake.Samples.expanded;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wake.log.Score;
import wake.workout.ExpandedWorkout;

class PacingStrategyTest {
    private static final String FIVE_ROUNDS = "# A\nfor time\n  5 rounds:\n    15 thruster @ 30 kg\n    15 burpee\n";

    private static List<Long> rounds(Forecast forecast) {
        List<Long> rounds = new ArrayList<>();
        for (PlannedSegment planned : forecast.segments()) {
            int round = planned.segment().lap().number();
            while (rounds.size() < round) {
                rounds.add(0L);
            }
            rounds.set(round - 1, rounds.get(round - 1) + planned.totalMs());
        }
        return rounds;
    }

    /** Strategies differ in how they spend a total, never in the total. */
    @ParameterizedTest
    @ValueSource(strings = {LOCK_GATE, LONG_REACH, FIVE_ROUNDS})
    void everyStrategyFinishesAtTheSameClock(String notation) {
        ExpandedWorkout expanded = expanded(notation);
        Plan draft = Draft.of(expanded);
        long finish = Forecast.of(expanded, draft).finishMs();
        Map<PacingStrategy, Forecast> schools = Forecast.byStrategy(expanded, draft);
        assertThat(schools).containsKeys(PacingStrategy.EVEN, PacingStrategy.KICK, PacingStrategy.BANK);
        schools.forEach((strategy, forecast) -> {
            assertThat(forecast.finishMs()).as(strategy.words()).isEqualTo(finish);
            assertThat(Forecast.of(expanded, draft.withStrategy(strategy))).isEqualTo(forecast);
        });
    }

    @Test
    void theShapesAreWhatTheirNamesSay() {
        ExpandedWorkout expanded = expanded(FIVE_ROUNDS);
        Map<PacingStrategy, Forecast> schools = Forecast.byStrategy(expanded, Draft.of(expanded));
        List<Long> bank = rounds(schools.get(PacingStrategy.BANK));
        List<Long> kick = rounds(schools.get(PacingStrategy.KICK));
        assertThat(bank.subList(1, 5)).isSorted();
        assertThat(bank.getFirst()).isLessThan(bank.get(4));
        assertThat(kick.get(4)).isLessThan(kick.get(1));
        assertThat(kick.get(1)).isBetween(kick.get(2) - 2, kick.get(2) + 2);
    }

    /** Common practice, no source: rounds on their mark, the work in less and 10–15 s of rest. */
    @Test
    void intervalRoundsStartOnTheirMarksAndRest() {
        ExpandedWorkout expanded = expanded(FIVE_ROUNDS);
        Forecast interval = Forecast.byStrategy(expanded, Draft.of(expanded)).get(PacingStrategy.INTERVAL);
        List<Long> starts = new ArrayList<>();
        List<Long> ends = interval.endsMs();
        for (int i = 2; i < 10; i += 2) {
            starts.add(ends.get(i - 1));
            assertThat(interval.segments().get(i).transitionMs()).isBetween(10_000L, 16_000L);
        }
        long gap = starts.get(1) - starts.get(0);
        assertThat(starts.get(2) - starts.get(1)).isBetween(gap - 2, gap + 2);
        assertThat(starts.get(3) - starts.get(2)).isBetween(gap - 2, gap + 2);
    }

    @Test
    void roundsCanStartOnTheCoachsOwnMarks() {
        ExpandedWorkout expanded = expanded(FIVE_ROUNDS);
        Plan draft = Draft.of(expanded);
        long round = rounds(Forecast.of(expanded, draft)).getLast();
        long every = round + 9000;
        Plan marked =
                new Plan(draft.lines(), PacingStrategy.EVEN, OptionalLong.of(every), draft.fallback(), draft.ignored());
        Forecast forecast = Forecast.of(expanded, marked);
        long begin = forecast.endsMs().get(1) + forecast.segments().get(2).transitionMs();
        assertThat(begin).isEqualTo(every);
        assertThat(Forecast.byStrategy(expanded, marked)).containsOnlyKeys(PacingStrategy.EVEN);
        Plan tooTight =
                new Plan(draft.lines(), PacingStrategy.EVEN, OptionalLong.of(20_000), draft.fallback(), Map.of());
        assertThat(Forecast.of(expanded, tooTight).finishMs())
                .isEqualTo(Forecast.of(expanded, draft).finishMs());
    }

    @Test
    void strategiesLeaveTheScoreOfAnAmrapAndIntervalWorkAlone() {
        ExpandedWorkout open = expanded(SLACK_WATER);
        Plan draft = Draft.of(open);
        Score.Rounds even = (Score.Rounds) Forecast.of(open, draft).score();
        Forecast.byStrategy(open, draft)
                .forEach((strategy, forecast) -> assertThat(((Score.Rounds) forecast.score()).rounds())
                        .as(strategy.words())
                        .isEqualTo(even.rounds()));
        ExpandedWorkout minutes = expanded(BELL_BUOY);
        assertThat(Forecast.byStrategy(minutes, Draft.of(minutes))).containsOnlyKeys(PacingStrategy.EVEN);
        ExpandedWorkout single = expanded("# A\nfor time\n  50 burpee\n");
        assertThat(Forecast.byStrategy(single, Draft.of(single))).containsOnlyKeys(PacingStrategy.EVEN);
    }

    /** By hand: five burpees of 3 s and a way of 5 s, whatever rest is prescribed between the rounds; the first has no way. */
    @Test
    void aRoundIsTimedWithoutThePrescribedRest() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  3 rounds:\n    5 burpee\n    rest 1:00\n");
        Plan plan = new Plan(List.of(new Plan.LinePacing(0, new Pacing(5000, SetScheme.UNBROKEN, 3, 0), Map.of())));
        assertThat(Forecast.of(expanded, plan).stretches(expanded))
                .extracting(Forecast.Stretch::ms, Forecast.Stretch::endMs)
                .containsExactly(tuple(15_000L, 15_000L), tuple(20_000L, 95_000L), tuple(20_000L, 175_000L));
    }

    @Test
    void theLongerRestStandsWhereItIsPutAndMissesAreAllowedFor() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  40 thruster @ 40 kg\n");
        Pacing pacing = new Pacing(
                0, SetScheme.parse("10s"), 2, PaceSteps.EVEN, Rests.of(5000, 2, 20_000), 0, 6000, PaceUnit.USUAL);
        Plan plan = new Plan(List.of(new Plan.LinePacing(0, pacing, Map.of())));
        Forecast forecast = Forecast.of(expanded, plan);
        assertThat(forecast.segments().getFirst().restMs()).isEqualTo(30_000);
        assertThat(forecast.finishMs()).isEqualTo(80_000 + 30_000 + 6000);
        assertThat(pacing.rests().between(2))
                .as("no second break, no longer rest")
                .containsExactly(5000L);
    }

    @Test
    void aFallbackSplitsTheFailingMovementFromItsRoundOn() {
        ExpandedWorkout expanded = expanded(
                "# A\nfor time\n  4 rounds:\n    12 toes-to-bar\n    10 wall-ball shot @ 9 kg\n    20 double under\n");
        Plan draft = Draft.of(expanded);
        Fallback fallback = new Fallback(3, List.of(new Fallback.Failing(0, SetScheme.parse("6s"), 4000)));
        Plan withFallback = new Plan(
                draft.lines(), PacingStrategy.EVEN, OptionalLong.empty(), java.util.Optional.of(fallback), Map.of());
        assertThat(fallback.order(expanded))
                .isEqualTo("6 toes-to-bar, 10 wall-ball shot @ 9 kg, 6 toes-to-bar, 20 double under");
        long more = Forecast.of(expanded, withFallback.fallenBack(expanded)).finishMs()
                - Forecast.of(expanded, withFallback).finishMs();
        assertThat(more).as("one way back in each of rounds 3 and 4").isEqualTo(2 * 4000);
        assertThat(withFallback.fallenBack(expanded).line(0).in(2))
                .isEqualTo(draft.line(0).every());
    }
}
