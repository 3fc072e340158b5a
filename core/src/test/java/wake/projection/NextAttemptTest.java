package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.exchange.TimeSheet;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.log.ScoreReader;
import wake.plan.Draft;
import wake.projection.NextAttempt.Stop;

/** The next attempt place by place, on attempts whose arithmetic can be done by hand. */
class NextAttemptTest {
    private static final String NOTATION =
            "# A\nfor time, cap 3:00\n  3 rounds:\n    4 burpee\n    6 thruster @ 30 kg\n  by 1:20 after round 2\n";

    /** Transitions 2, 6, 2, 2, 8, 2; rests 4, 10, 10; burpees 3.0, 3.0, 3.5 s; thrusters 2.0 s. */
    private static final AttemptLog LOG = Samples.log(
            NOTATION,
            "A 2, D 14, A 20, O 26 x3, N 30, D 36, A 38, D 50, A 52, O 58 x3, N 68, D 74,"
                    + "A 82, D 96, A 98, O 104 x3, N 114, D 120");

    private static List<Stop> stops(String goal, Change... changes) {
        Score score = goal.isEmpty() ? LOG.score() : ScoreReader.read(goal, LOG.expanded());
        return NextAttempt.of(LOG, List.of(changes), FatigueCost.NONE, score).stops();
    }

    @Test
    void unchangedItIsTheAttemptAgain() {
        assertThat(stops(""))
                .extracting(Stop::endMs)
                .containsExactly(14_000L, 36_000L, 50_000L, 74_000L, 96_000L, 120_000L);
        assertThat(stops("")).extracting(Stop::changed).containsOnly(false);
        assertThat(stops("").get(1).sets()).containsExactly(3, 3);
        assertThat(stops("").get(1).restMs()).isEqualTo(4000);
        assertThat(stops("").get(1).transitionMs()).isEqualTo(6000);
        assertThat(stops("").get(4).secondsPerUnit().getAsDouble()).isEqualTo(3.5);
    }

    @Test
    void aChangeShowsWhereItActs() {
        List<Stop> stops = stops("", new CapRests(Scope.of("thruster").fromRound(2), Targets.of(4)));
        assertThat(stops).extracting(Stop::changed).containsExactly(false, false, false, true, false, true);
        assertThat(stops.getLast().endMs()).isEqualTo(108_000);
    }

    /**
     * With rests of 4 s from round 2 on: 14, 36, 50, 68, 90, 108 s. The cut-off after round 2 at 80 leaves 12 s; the goal of 2:10 = 130 s
     * leaves 22 s after it.
     */
    @Test
    void theLatestClocksLeaveWhatTheTightestEndAfterThemLeaves() {
        List<Stop> stops = stops("2:10", new CapRests(Scope.of("thruster").fromRound(2), Targets.of(4)));
        assertThat(stops)
                .extracting(Stop::latestMs)
                .extracting(OptionalLong::getAsLong)
                .containsExactly(26_000L, 48_000L, 62_000L, 80_000L, 112_000L, 130_000L);
    }

    /** At this pace 1:30 cannot be made: nothing is said of a latest clock for it. */
    @Test
    void noLatestClockForWhatCannotBeMade() {
        assertThat(stops("1:30")).allSatisfy(stop -> assertThat(stop.latestMs()).isEmpty());
    }

    /** Of rounds that were jotted only their ends are told, and nothing of what lies inside them. */
    @Test
    void nothingIsSaidBelowWhatWasLogged() {
        var expanded = LOG.expanded();
        AttemptLog rounds = AttemptLog.of(
                expanded,
                TimeSheet.read(
                                "0:36\n0:38\n0:46",
                                TimeSheet.Each.ROUND,
                                TimeSheet.Times.SPLITS,
                                expanded,
                                Draft.of(expanded))
                        .marks());
        List<Stop> stops = NextAttempt.of(rounds, List.of(), FatigueCost.NONE, rounds.score())
                .stops();
        assertThat(stops).extracting(Stop::endMs).containsExactly(36_000L, 74_000L, 120_000L);
        assertThat(stops).allSatisfy(stop -> {
            assertThat(stop.whole()).isTrue();
            assertThat(stop.separated()).isFalse();
            assertThat(stop.sets()).isEmpty();
        });
    }

    /** Its last clock is that of the projection: the replay with the changes when the body takes its share back. */
    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void itEndsWhereTheProjectionEnds(long seed) {
        AttemptLog log = AttemptLog.of(
                Samples.simulated(seed).expanded(), Samples.simulated(seed).truth());
        List<Change> changes = Suggestions.of(log);
        Score projected = Replay.of(log).with(changes).withFatigue(FatigueCost.USUAL);
        List<Stop> stops =
                NextAttempt.of(log, changes, FatigueCost.USUAL, log.score()).stops();
        if (projected instanceof Score.Finished) {
            assertThat(stops.getLast().endMs()).isEqualTo(projected.clockMs());
        }
        assertThat(stops).extracting(Stop::endMs).isSorted();
    }
}
