package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import wake.projection.Outcome.ChangeOutcome;
import wake.projection.Outcome.FatigueCheck;

/** What checked projections teach, against weighted means worked out by hand. */
class CalibrationTest {
    private static final long TEN_MINUTES = 600_000;
    private static final Change RESTS = new CapRests(4000);

    /** A call of 20 s of which 8 s should come back. */
    private static CalibrationPoint point(long actualMs, long slowerMs) {
        Outcome outcome = new Outcome(
                List.of(new ChangeOutcome(RESTS, 20_000, 0, actualMs)),
                List.of(),
                actualMs,
                10,
                new FatigueCheck(8000, slowerMs));
        return new CalibrationPoint(outcome, List.of(EvidenceLevel.SHOWN), TEN_MINUTES);
    }

    private static Calibration of(List<CalibrationPoint> own) {
        return Calibration.of(own, List.of(), OptionalDouble.empty(), 0);
    }

    @Test
    void withoutProjectionsItIsTheAssumption() {
        assertThat(of(List.of())).isEqualTo(Calibration.NOTHING);
        assertThat(Calibration.NOTHING.says()).contains("assumed values");
    }

    /**
     * The assumption is 1 with a variance of 0.25, so it knows 4. A call of which 16 s instead of 8 came back says 2, with a variance of
     * (√2 · 1 % · 600 s / 8 s)² = 1.125, so it knows 0.889: (4 · 1 + 0.889 · 2) / 4.889 = 1.182.
     */
    @Test
    void aProjectionMovesTheAssumptionByHowMuchItKnows() {
        Calibration calibration = of(List.of(point(20_000, 16_000)));
        assertThat(calibration.fatigueCost().rests() / FatigueCost.USUAL.rests())
                .isCloseTo(1.182, within(0.001));
        assertThat(calibration.fatigueCost().transitions() / FatigueCost.USUAL.transitions())
                .isCloseTo(1.182, within(0.001));
        assertThat(calibration.evidenceShare()).isCloseTo(0.889 / 4.889, within(0.001));
        assertThat(calibration.fatigueCost().unsure()).isCloseTo(1 / Math.sqrt(4.889), within(0.001));
        assertThat(calibration.says()).startsWith("based on 1 checked retest (18%)");
    }

    /** What was not saved cannot come back: with half of the projection come, 4 s were due. */
    @Test
    void whatDidNotComeIsNotOwed() {
        Calibration as = of(List.of(point(10_000, 4000)));
        assertThat(as.fatigueCost().rests()).isCloseTo(FatigueCost.USUAL.rests(), within(1e-9));
    }

    @Test
    void manyProjectionsSayMoreThanTheAssumption() {
        Calibration calibration = of(Collections.nCopies(40, point(20_000, 0)));
        assertThat(calibration.fatigueCost().rests()).isLessThan(0.1 * FatigueCost.USUAL.rests() + 0.01);
        assertThat(calibration.evidenceShare()).isGreaterThan(0.85);
    }

    /** Ten of the gym move where one begins, but only the athlete's own make it surer. */
    @Test
    void theGymIsAnAssumptionToo() {
        List<CalibrationPoint> gym = new ArrayList<>(Collections.nCopies(10, point(20_000, 16_000)));
        Calibration calibration = Calibration.of(List.of(), gym, OptionalDouble.empty(), 0);
        assertThat(calibration.fatigueCost().rests()).isGreaterThan(1.5 * FatigueCost.USUAL.rests());
        assertThat(calibration.fatigueCost().unsure()).isCloseTo(FatigueCost.USUAL.unsure(), within(1e-9));
        assertThat(calibration.evidenceShare()).isZero();
    }

    /** Credit for "shown": four changes' worth of 75 %, and one of which half came: (4 · 0.75 + 0.5) / 5 = 0.70. */
    @Test
    void evidenceWeightsFollowTheOutcome() {
        Calibration calibration = of(List.of(point(10_000, 0)));
        assertThat(calibration.credits().of(EvidenceLevel.SHOWN)).isEqualTo(0.70);
        assertThat(calibration.credits().of(EvidenceLevel.ELSEWHERE))
                .isEqualTo(EvidenceWeights.USUAL.of(EvidenceLevel.ELSEWHERE));
    }

    /** Three pairs at 2 % against an assumption worth three at 1 %: √((3 · 1 + 3 · 4) / 6) = 1.58 %. */
    @Test
    void theFormOfTheDayComesFromPairs() {
        Calibration two = Calibration.of(List.of(), List.of(), OptionalDouble.of(2), 2);
        Calibration three = Calibration.of(List.of(), List.of(), OptionalDouble.of(2), 3);
        assertThat(two.fatigueCost().form()).isEqualTo(FatigueCost.USUAL.form());
        assertThat(three.fatigueCost().form()).isCloseTo(0.0158, within(0.0001));
    }

    @Test
    void kindsAreSummedUp() {
        assertThat(KindRecord.of(List.of(point(10_000, 0), point(20_000, 0))))
                .containsExactly(new KindRecord("CAP_RESTS", Optional.of(RESTS), 2, 40_000, 30_000));
    }
}
