package wake.trace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.expanded;
import static wake.Samples.log;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.LongToDoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.log.AttemptLog;
import wake.simulation.SimulatedAttempt;
import wake.simulation.SimulatedMonitor;
import wake.trace.Trace.Sample;

class TraceReadingTest {
    private static final String ROWED = """
            # Two Hauls
            for time
              500 m row
              20 burpee
              500 m row
            """;

    private static final String LOGGED = "A 0.5, D 110.5, A 115, O 160 x10, N 200, D 245 x10, A 250, D 365";

    /** A machine that stands for thirty seconds, is rowed 500 m in 110 s, stands, and is rowed again in 115 s. */
    private static Trace rowed(LongToDoubleFunction heart) {
        List<Sample> samples = new ArrayList<>();
        double metres = 0;
        for (long second = 0; second <= 420; second++) {
            boolean first = second > 30 && second <= 140;
            boolean again = second > 279 && second <= 394;
            metres += first ? 500 / 110.0 : again ? 500 / 115.0 : 0;
            samples.add(new Sample(
                    1000 * second,
                    OptionalDouble.of(metres),
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    OptionalDouble.of(heart.applyAsDouble(second))));
        }
        return new Trace(samples);
    }

    @Test
    void piecesAreWhereTheMachineMoved() {
        List<WorkIntervals.Piece> pieces = WorkIntervals.of(rowed(second -> 150));
        assertThat(pieces).hasSize(2);
        assertThat(pieces.getFirst().fromMs()).isEqualTo(30_000);
        assertThat(pieces.getFirst().lengthMs()).isEqualTo(110_000);
        assertThat(pieces.getLast().metres()).isCloseTo(500, within(1e-6));
    }

    /** 300 m in 60 s, 20 s off the handle, 200 m in 50 s: by hand 110 s of work, which is what was logged without its rest. */
    @Test
    void aRestOnTheMachineIsNoWorkOfEither() {
        List<Sample> samples = new ArrayList<>();
        double metres = 0;
        for (long second = 0; second <= 140; second++) {
            metres += second > 0 && second <= 60 ? 5 : second > 80 && second <= 130 ? 4 : 0;
            samples.add(new Sample(
                    1000 * second,
                    OptionalDouble.of(metres),
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    OptionalDouble.empty()));
        }
        AttemptLog log = log("# A\nfor time\n  500 m row\n  5 burpee\n", "A 0, O 60, N 80, D 130, A 135, D 150");
        TraceReading reading = TraceReading.of(new Trace(samples), 0, log);
        assertThat(reading.pieces()).hasSize(1);
        assertThat(reading.pieces().getFirst().loggedMs()).isEqualTo(110_000);
        assertThat(reading.pieces().getFirst().tracedMs()).isEqualTo(110_000);
        assertThat(reading.pieces().getFirst().metres()).isCloseTo(500, within(1e-6));
        assertThat(reading.pieces().getFirst().agrees()).isTrue();
    }

    @Test
    void hungToTheFirstActionThePiecesAgreeWithTheLog() {
        AttemptLog log = log(ROWED, LOGGED);
        Trace trace = rowed(second -> 150);
        List<TraceReading.Match> matches = TraceReading.matches(trace, log);
        assertThat(matches).hasSize(3);
        assertThat(matches.get(1).offsetMs()).isEqualTo(500 - 30_000);
        TraceReading reading = TraceReading.of(trace, matches.get(1).offsetMs(), log);
        assertThat(reading.pieces()).hasSize(2);
        assertThat(reading.pieces()).allMatch(TraceReading.Checked::agrees);
        assertThat(reading.pieces().getLast().loggedMs()).isEqualTo(115_000);
    }

    /** Two clocks told to the second differ with u = √(2/12) s, 2u = 0.8 s (JCGM 100:2008): six seconds are more. */
    @Test
    void aPieceLoggedTooLongIsSaid() {
        AttemptLog log = log(ROWED, LOGGED.replace("D 110.5", "D 113.5"));
        TraceReading reading = TraceReading.of(rowed(second -> 150), -29_500, log);
        assertThat(reading.pieces().getFirst().agrees()).isFalse();
        assertThat(reading.pieces().getFirst().says()).contains("3.0 s apart (timing error 0.8 s)");
    }

    @Test
    void aMachineThatCoveredLessIsSaid() {
        AttemptLog log = log(ROWED.replace("500 m row", "550 m row"), LOGGED);
        TraceReading reading = TraceReading.of(rowed(second -> 150), -29_500, log);
        assertThat(reading.pieces().getFirst().says()).contains("It covered 500 m of 550 m");
    }

    /** The break is from 2:40 to 3:20: its first half minute, at a beat a second, is thirty beats. */
    @Test
    void theHeartComesDownInTheFirstHalfMinuteOfABreak() {
        Trace trace = rowed(second -> second <= 190 ? 170 : Math.max(100, 170 - (second - 190)));
        TraceReading reading = TraceReading.of(trace, -30_000, log(ROWED, LOGGED));
        assertThat(reading.rests()).hasSize(1);
        TraceReading.Rest rest = reading.rests().getFirst();
        assertThat(rest.atMs()).isEqualTo(160_000);
        assertThat(rest.forMs()).isEqualTo(30_000);
        assertThat(rest.from()).isEqualTo(170);
        assertThat(rest.drop()).isEqualTo(30);
    }

    @Test
    void nothingIsSaidOfWhatTheTraceDoesNotTell() {
        Trace half = new Trace(rowed(second -> 150).samples().subList(0, 100));
        TraceReading reading = TraceReading.of(half, -30_000, log(ROWED, LOGGED));
        assertThat(reading.borders()).isEmpty();
        assertThat(reading.rests()).isEmpty();
    }

    static List<String> onMachines() {
        return List.of(ROWED, Samples.LOCK_GATE, Samples.SLACK_WATER);
    }

    /** The stand-ins see the same attempt as the camera: their pieces are those of the truth, to the second they note. */
    @ParameterizedTest
    @MethodSource("onMachines")
    void aSimulatedMonitorAgreesWithTheTruth(String notation) {
        SimulatedAttempt attempt = Samples.simulated(notation, 5);
        Trace trace = SimulatedMonitor.of(attempt, 12_000, 5);
        AttemptLog log = AttemptLog.of(expanded(notation), attempt.truth());
        TraceReading reading = TraceReading.of(trace, -12_000, log);
        assertThat(reading.pieces()).isNotEmpty();
        assertThat(reading.pieces())
                .allSatisfy(piece -> assertThat(Math.abs(piece.loggedMs() - piece.tracedMs()))
                        .isLessThanOrEqualTo(2000));
        assertThat(reading.borders()).hasSizeGreaterThanOrEqualTo(log.splits().size() - 1);
        assertThat(reading.borders()).allMatch(border -> border.beats() > 60 && border.beats() < 210);
    }
}
