package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.simulation.SimulatedAttempt;
import wake.words.ReviewWords;

class AgainstAttemptTest {
    private static final String SHORT = "# A\nfor time\n  3 rounds:\n    4 burpee\n    6 thruster @ 30 kg\n";

    private static Reading against(AttemptLog log, AttemptLog other) {
        return Reading.of(log, Baseline.attempt(other, "the first attempt", log));
    }

    /** Whatever the two attempts: the causes add up to the difference of their clocks, to the millisecond. */
    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void theCausesAddUpToTheDifference(long seed) {
        SimulatedAttempt one = Samples.simulated(seed);
        SimulatedAttempt two = SimulatedAttempt.run(
                one.expanded(),
                new wake.simulation.AthleteModel(
                        java.util.Map.of(), 0.3, 0.08, 4000, 6000, 0.5, java.util.Map.of(), 0.03),
                seed + 1000);
        AttemptLog log = AttemptLog.of(one.expanded(), Samples.blurred(one, seed));
        AttemptLog other = AttemptLog.of(one.expanded(), Samples.blurred(two, seed + 7));
        Reading reading = against(log, other);
        long expected =
                reading.deltas().stream().mapToLong(SegmentDelta::expectedMs).sum();
        assertThat(reading.ledger().totalMs()).isEqualTo(log.clockMs() - unfinished(reading) - expected);
        for (SegmentDelta delta : reading.deltas()) {
            assertThat(delta.byCause().values().stream()
                            .mapToLong(Long::longValue)
                            .sum())
                    .isEqualTo(delta.lostMs() + delta.stretch().unfinishedMs());
        }
        if (log.splits().stream().allMatch(SegmentSplit::complete)) {
            assertThat(against(log, log).ledger().totals().values()).containsOnly(0L);
        }
    }

    private static long unfinished(Reading reading) {
        return reading.ledger().totals().getOrDefault(Cause.UNFINISHED, 0L);
    }

    @Test
    void whatOneAttemptDoesNotTellApartStaysUnseparated() {
        AttemptLog watched =
                Samples.log(SHORT, "A 0, D 12, A 15, D 27, A 29, D 41, A 43, D 55, A 57, D 69, A 71, D 83");
        AttemptLog ends = Samples.log(SHORT, "D 12 seg, D 25 seg, D 39 seg, D 53 seg, D 67 seg, D 80 seg");
        Reading reading = against(watched, ends);
        assertThat(reading.ledger().totals().get(Cause.UNSEPARATED)).isEqualTo(3000);
        assertThat(reading.ledger().totals().get(Cause.TRANSITION)).isZero();
        assertThat(ReviewWords.headline(reading)).startsWith("3.0 s slower than the first attempt");
    }

    @Test
    void anAmrapAlsoSaysTheReps() {
        String notation = "# A\namrap 1:00\n  5 burpee\n  5 thruster @ 30 kg\n";
        AttemptLog more = Samples.log(notation, "A 0, D 15, A 16, D 28, A 29, D 44, A 45, D 57, X 60");
        AttemptLog fewer = Samples.log(notation, "A 0, D 16, A 18, D 34, A 36, D 53, X 60");
        assertThat(ReviewWords.headline(against(fewer, more)))
                .contains("for the same work, 5 fewer reps at the buzzer");
        assertThat(ReviewWords.headline(against(more, fewer))).contains("5 more reps at the buzzer");
    }

    @Test
    void intervalsAndStagesSayWhatTheyLeft() {
        AttemptLog minutes = Samples.log("# A\nevery 1:00 x 3\n  10 burpee\n", "A 0, D 40, A 60, D 105, A 120, D 172");
        assertThat(Reading.of(minutes, Baseline.bestSplits(minutes)).margins().intervals())
                .extracting(Margins.Interval::restMs)
                .containsExactly(20_000L, 15_000L, 8000L);
        AttemptLog staged = Samples.log(
                "# A\nfor time, cap 5:00\n  3 rounds:\n    5 burpee\n  by 1:00 after round 2\n",
                "A 0, D 20, A 22, D 47, A 50, D 70");
        assertThat(Reading.of(staged, Baseline.bestSplits(staged)).margins().cutOffs())
                .singleElement()
                .satisfies(cutOff -> assertThat(cutOff.marginMs()).contains(13_000L));
    }

    /** Rests of a growing ladder compare by the work between them. */
    @Test
    void bestSplitsScaleRestsByTheWork() {
        AttemptLog log = Samples.log(
                "# A\nfor time\n  4 rounds:\n    4+4 thruster @ 30 kg\n",
                "A 0, O 4 x2, N 6, D 10, A 12, O 20 x4, N 24, D 32, A 34, O 46 x6, N 52, D 64, A 66, O 82 x8, N 90, D 106");
        assertThat(Reading.of(log, Baseline.bestSplits(log)).ledger().totals().get(Cause.REST))
                .isZero();
    }

    @Test
    void movementsSayTheirSetsAndHowTheyFaded() {
        AttemptLog log = Samples.log(
                "# A\nfor time\n  3 rounds:\n    10 thruster @ 30 kg\n",
                "A 0, O 12 x6, N 16, D 24, A 26, O 40 x6, N 44, D 54, A 56, O 72 x6, N 76, D 88");
        Reading reading = Reading.of(log, Baseline.bestSplits(log));
        MovementReading thrusters = reading.movements().getFirst();
        assertThat(thrusters.rows().getFirst().split().setsWritten()).isEqualTo("6-4");
        assertThat(thrusters.rows().getFirst().sets().getFirst().restAfterMs()).contains(4000L);
        assertThat(thrusters.rows().getFirst().sets().getFirst().secondsPerUnit())
                .hasValue(2.0);
        assertThat(thrusters.fadePercent().orElseThrow()).isBetween(35.0, 45.0);
        assertThat(thrusters.elapsedMs()).isEqualTo(88_000);
        assertThat(thrusters.unbroken()).contains(new MovementReading.Unbroken(0, 3));
    }
}
