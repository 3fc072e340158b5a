package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.tuple;

import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.log.AttemptLog;
import wake.reading.MaxReps.Minute;
import wake.reading.MaxReps.Pause;

/** As many of one movement as there was time for, by hand. */
class MaxRepsTest {
    private static final String WINDLASS = "# Windlass\namrap 3:00\n  300 m run\n  max wall walk\n";

    /** A run of 60 s, then walks of 10, 10, 10, 18, 10, 12, 20 and 12 s: 8 in 102 s, and 18 s to the buzzer. */
    private static AttemptLog log() {
        return Samples.log(
                WINDLASS,
                "D 60 seg, D 70 seg, D 80 seg, D 90 seg, D 108 seg, D 118 seg, D 130 seg, D 150 seg, D 162 seg, X 180");
    }

    @Test
    void onlyTheMovementThatGoesOnCounts() {
        assertThat(log().scoreWords()).isEqualTo("8 reps");
        AttemptLog said = Samples.log(WINDLASS.replace("run", "run, counts 3"), "D 60 seg, D 70 seg, X 180");
        assertThat(said.score().toString()).contains("done=4");
    }

    @Test
    void itIsShownMinuteByMinuteWithItsCycleAndItsPauses() {
        MaxReps most = MaxReps.of(log()).orElseThrow();
        assertThat(most.movement()).isEqualTo("wall walk");
        assertThat(most.fromMs()).isEqualTo(60_000);
        assertThat(most.untilMs()).isEqualTo(180_000);
        assertThat(most.done()).isEqualTo(8);
        assertThat(most.minutes()).containsExactly(new Minute(60_000, 120_000, 5), new Minute(120_000, 180_000, 3));
        // 102 s / 8 = 12.75 s; the median of the eight is 11 s, and MAD 1 s: what is over 15.4 s stands out.
        assertThat(most.cycleMs()).isEqualTo(OptionalLong.of(12_750));
        assertThat(most.usualMs()).isEqualTo(OptionalLong.of(11_000));
        assertThat(most.pauses()).containsExactly(new Pause(90_000, 108_000, 7000), new Pause(130_000, 150_000, 9000));
        assertThat(most.runs()).containsExactly(3, 3, 2);
        assertThat(most.pausedMs()).isEqualTo(16_000);
        // 120 s at 11 s each.
        assertThat(most.withoutPauses()).contains(10);
    }

    /** Ten in the two minutes are one every 12.0 s, 0.75 s faster; thirty one every 4.0 s, far faster than any. By hand. */
    @Test
    void aTargetSaysItsCycle() {
        MaxReps most = MaxReps.of(log()).orElseThrow();
        assertThat(most.nextTarget()).isEqualTo(10);
        assertThat(most.target(10)).isEqualTo(new MaxReps.Target(10, 12_000, OptionalLong.of(750), Optional.of(true)));
        assertThat(most.target(30)).isEqualTo(new MaxReps.Target(30, 4000, OptionalLong.of(8750), Optional.of(false)));
        assertThatIllegalArgumentException().isThrownBy(() -> most.target(0)).withMessageContaining("1 to 10000");
    }

    @Test
    void whatIsNotSuchAWindowSaysNothing() {
        assertThat(MaxReps.of(Samples.log("# A\namrap 3:00\n  5 burpee\n", "D 20 seg, X 180")))
                .isEmpty();
        assertThat(MaxReps.of(AttemptLog.of(Samples.expanded(WINDLASS), List.of())))
                .isEmpty();
        MaxReps alone =
                MaxReps.of(Samples.log(WINDLASS, "D 60 seg, D 72 seg, X 180")).orElseThrow();
        assertThat(alone.usualMs()).isEmpty();
        assertThat(alone.runs()).isEmpty();
        assertThat(alone.withoutPauses()).isEmpty();
        assertThat(alone.minutes())
                .extracting(Minute::fromMs, Minute::done)
                .containsExactly(tuple(60_000L, 1), tuple(120_000L, 0));
    }

    /** One movement over time: no rounds, no transition to the same movement, and no rep that was the best. */
    @Test
    void aReviewOfItSpeaksOfRepsAndGaps() {
        Reading reading = Reading.of(log(), Baseline.bestSplits(log()));
        assertThat(reading.blocks()).isEmpty();
        assertThat(reading.findings()).isEmpty();
        assertThat(reading.outliers()).isEmpty();
        assertThat(reading.clock().byRound())
                .extracting(ClockBudget.Entry::name)
                .containsExactly("run", "wall walk");
        assertThat(wake.words.ReviewWords.headline(reading))
                .isEqualTo("8 wall walk in 2:00, 5 in the first minute. Longest gap: 20.0 s at 2:10.");
    }

    /** Times typed to the second may leave none between them: no rep is lost by it, and nothing is divided by it. */
    @Test
    void repsWithoutTimeBetweenThemAreCountedToo() {
        AttemptLog none = Samples.log(WINDLASS, "D 60 seg, D 60 seg, D 60 seg, X 60");
        MaxReps most = MaxReps.of(none).orElseThrow();
        assertThat(most.minutes()).containsExactly(new Minute(60_000, 60_000, 2));
        assertThat(most.target(5).cycleMs()).isZero();
        assertThat(wake.words.ReviewWords.headline(Reading.of(none, Baseline.bestSplits(none))))
                .isEqualTo("2 wall walk, all logged at 1:00, with no time between them.");

        MaxReps paused = MaxReps.of(
                        Samples.log(
                                WINDLASS,
                                "D 60 seg, D 60 seg, D 60 seg, D 60 seg, D 60 seg, D 60 seg, D 60 seg, D 60 seg, D 90 seg, X 180"))
                .orElseThrow();
        assertThat(paused.minutes()).containsExactly(new Minute(60_000, 120_000, 8), new Minute(120_000, 180_000, 0));
        assertThat(paused.usualMs()).hasValue(0);
        assertThat(paused.pauses()).isNotEmpty();
        assertThat(paused.withoutPauses()).isEmpty();
    }
}
