package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.projection.NextAttempt.Stop;

/** A prescribed rest in replays: it moves with what comes before it, and is as long as it is. */
class ReplayRestTest {
    private static final String NOTATION =
            "# A\nfor time, cap 6:00\n  3 rounds:\n    10 burpee\n    12 thruster @ 30 kg\n    rest 1:00\n";

    /** Ways to the thrusters 6, 8 and 10 s; rests 60 s; ways to the burpees after them 3 s. */
    private static final AttemptLog LOG =
            Samples.log(NOTATION, "A 0, D 30, A 36, D 60, A 123, D 153, A 161, D 185, A 248, D 278, A 288, D 312");

    @Test
    void withoutChangesItIsTheAttemptAgain() {
        assertThat(Replay.of(LOG).score(List.of())).isEqualTo(LOG.score());
        assertThat(LOG.score()).isEqualTo(new Score.Finished(312_000, 66));
    }

    @Test
    void whatIsSavedBeforeARestIsSaved() {
        CapTransitions sooner = new CapTransitions(Scope.of("thruster"), Targets.of(4));
        assertThat(Replay.of(LOG).score(List.of(sooner))).isEqualTo(new Score.Finished(300_000, 66));
    }

    /** No rest is taken for a way, a rest of the athlete's, or scatter. */
    @Test
    void nothingIsWonOnTheRestItself() {
        CapTransitions none = new CapTransitions(Scope.of("burpee"), Targets.of(0));
        assertThat(Replay.of(LOG).score(List.of(none))).isEqualTo(new Score.Finished(306_000, 66));
    }

    @Test
    void theNextAttemptKeepsIt() {
        List<Stop> stops =
                NextAttempt.of(LOG, List.of(), FatigueCost.NONE, LOG.score()).stops();
        assertThat(stops.getLast().endMs()).isEqualTo(312_000);
        assertThat(stops.get(1).latestMs()).isEqualTo(OptionalLong.of(60_000));
    }
}
