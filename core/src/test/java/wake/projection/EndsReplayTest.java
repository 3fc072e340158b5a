package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Score;

/** Every end is an end in every replay: the cap, each gate, the last interval's end, whether or not the attempt had reached it. By hand. */
class EndsReplayTest {
    private static final String BODY = "  2 rounds:\n    5 cal row\n    5 burpee\n";
    /** Row 2 s a calorie, burpees 3 s each, ways of 2 s. */
    private static final String DONE = "A 0, D 10, A 12, D 27, A 29, D 39, A 41, D 56";

    private static Score rowing(String opening, String jotted, double secondsPerCalorie) {
        AttemptLog log = Samples.log("# A\n" + opening + "\n" + BODY, jotted);
        return Replay.of(log).score(List.of(new ErgPace("row", secondsPerCalorie)));
    }

    @Test
    void aChangeThatTakesAFinishPastTheCapIsScoredAtTheCap() {
        assertThat(rowing("for time, cap 1:00", DONE, 2)).isEqualTo(new Score.Finished(56_000, 20));
        // 15 + 2 + 15 + 2 + 15 + 2 = 51 s; then burpees at 54, 57 and 60 s.
        assertThat(rowing("for time, cap 1:00", DONE, 3)).isEqualTo(new Score.Capped(60_000, 18, 2));
        assertThat(rowing("for time", DONE, 3)).isEqualTo(new Score.Finished(66_000, 20));
    }

    @Test
    void aChangeThatMissesAGateIsScoredAtTheGate() {
        String gated = BODY + "  by 0:30 after round 1\n";
        AttemptLog log = Samples.log("# A\nfor time, cap 2:00\n" + gated, DONE);
        Projection slower = Projection.of(log, List.of(new ErgPace("row", 3)));
        // Burpees at 20, 23, 26 and 29 s; the fifth would be at 32.
        assertThat(slower.together()).isEqualTo(new Score.Capped(30_000, 9, 11));
        assertThat(slower.gain().rank()).isNegative();
    }

    @Test
    void intervalsEndWithTheLastOfThem() {
        String opening = "every 1:00 x 2";
        AttemptLog log = Samples.log(
                "# A\n" + opening + "\n  5 cal row\n  5 burpee\n", "A 0, D 10, A 12, D 27, A 60, D 70, A 72, D 87");
        // 45 s of row: the first interval ends at 62, the second row at 107; burpees at 112, 115 and 118 s.
        assertThat(Replay.of(log).score(List.of(new ErgPace("row", 9)))).isEqualTo(new Score.Reps(120_000, 18));
    }

    @Test
    void whatWasGivenUpBeforeTheCapEndsAtTheCapAsWell() {
        String givenUp = "A 0, D 10, A 12, D 27, A 29, D 39, X 45";
        assertThat(rowing("for time, cap 1:00", givenUp, 2)).isEqualTo(new Score.Partial(45_000, 15, 5));
        assertThat(rowing("for time, cap 1:00", givenUp, 8)).isEqualTo(new Score.Capped(60_000, 10, 10));
    }
}
