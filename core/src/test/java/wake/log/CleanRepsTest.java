package wake.log;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.log;

import org.junit.jupiter.api.Test;
import wake.log.SegmentSplit.CleanReps;

/** A fault costs its own time: the reps around it keep their rate. */
class CleanRepsTest {
    private static CleanReps first(AttemptLog log) {
        SegmentSplit split = log.done().getFirst();
        return split.cleanReps(split.sets().getFirst()).orElseThrow();
    }

    /** Reps every 2 s, one missed at 5.0 that took until 9: four of five in 2 s each. */
    @Test
    void tappedRepsLeaveTheGapOfAFaultOut() {
        AttemptLog log = log("# A\nfor time\n  5 power clean @ 60 kg\n", "A 0, F 2, F 4, E 5, F 9, F 11, F 13");
        assertThat(first(log)).isEqualTo(new CleanReps(8000, 4));
    }

    /** Watched by sets: 10 clean ones in 20 s, then 10 in 26 s with a no-rep: 6 s are the fault's. */
    @Test
    void aSetNobodyTappedGivesUpWhatItsFaultCost() {
        AttemptLog log = log("# A\nfor time\n  20 thruster @ 30 kg\n", "A 0, O 20 x10, N 30, R 40, D 56");
        SegmentSplit split = log.done().getFirst();
        assertThat(split.cleanReps(split.sets().getLast())).contains(new CleanReps(20_000, 10));
    }

    /** The buzzer falls into a rep: nobody knows how much of the 31 s the 8 took. */
    @Test
    void whatTheBuzzerCutOffHasNoRateButTappedReps() {
        AttemptLog counted = log("# A\namrap 1:00\n  30 burpee\n", "A 0, O 26 x10, N 29, X 60 x18");
        SegmentSplit split = counted.done().getFirst();
        assertThat(split.cleanReps(split.sets().getFirst())).contains(new CleanReps(26_000, 10));
        assertThat(split.cleanReps(split.sets().getLast())).isEmpty();
        AttemptLog tapped = log("# A\namrap 0:10\n  30 burpee\n", "A 0, F 2, F 4, F 6, X 10");
        assertThat(first(tapped)).isEqualTo(new CleanReps(6000, 3));
    }
}
