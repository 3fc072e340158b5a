package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import wake.projection.Outcome.Back;
import wake.projection.Outcome.Came;

/** What checked calls teach, against weighted means worked out by hand. */
class LearnedTest {
    private static final long TEN_MINUTES = 600_000;
    private static final Change RESTS = new CapRests(4000);

    /** A call of 20 s of which 8 s should come back. */
    private static Lesson lesson(long cameMs, long slowerMs) {
        Outcome outcome =
                new Outcome(List.of(new Came(RESTS, 20_000, cameMs)), List.of(), cameMs, 10, new Back(8000, slowerMs));
        return new Lesson(outcome, List.of(Evidence.SHOWN), TEN_MINUTES);
    }

    private static Learned of(List<Lesson> own) {
        return Learned.of(own, List.of(), OptionalDouble.empty(), 0);
    }

    @Test
    void withoutCallsItIsTheAssumption() {
        assertThat(of(List.of())).isEqualTo(Learned.NOTHING);
        assertThat(Learned.NOTHING.says()).contains("assumed values");
    }

    /**
     * The assumption is 1 with a variance of 0.25, so it knows 4. A call of which 16 s instead of 8 came back says 2, with a variance of
     * (√2 · 1 % · 600 s / 8 s)² = 1.125, so it knows 0.889: (4 · 1 + 0.889 · 2) / 4.889 = 1.182.
     */
    @Test
    void aCallMovesTheAssumptionByHowMuchItKnows() {
        Learned learned = of(List.of(lesson(20_000, 16_000)));
        assertThat(learned.back().rests() / GiveBack.USUAL.rests()).isCloseTo(1.182, within(0.001));
        assertThat(learned.back().ways() / GiveBack.USUAL.ways()).isCloseTo(1.182, within(0.001));
        assertThat(learned.evidenceShare()).isCloseTo(0.889 / 4.889, within(0.001));
        assertThat(learned.back().unsure()).isCloseTo(1 / Math.sqrt(4.889), within(0.001));
        assertThat(learned.says()).startsWith("based on 1 checked retest (18%)");
    }

    /** What was not saved cannot come back: with half of the call come, 4 s were due. */
    @Test
    void whatDidNotComeIsNotOwed() {
        Learned as = of(List.of(lesson(10_000, 4000)));
        assertThat(as.back().rests()).isCloseTo(GiveBack.USUAL.rests(), within(1e-9));
    }

    @Test
    void manyCallsSayMoreThanTheAssumption() {
        Learned learned = of(Collections.nCopies(40, lesson(20_000, 0)));
        assertThat(learned.back().rests()).isLessThan(0.1 * GiveBack.USUAL.rests() + 0.01);
        assertThat(learned.evidenceShare()).isGreaterThan(0.85);
    }

    /** Ten of the gym move where one begins, but only the athlete's own make it surer. */
    @Test
    void theGymIsAnAssumptionToo() {
        List<Lesson> gym = new ArrayList<>(Collections.nCopies(10, lesson(20_000, 16_000)));
        Learned learned = Learned.of(List.of(), gym, OptionalDouble.empty(), 0);
        assertThat(learned.back().rests()).isGreaterThan(1.5 * GiveBack.USUAL.rests());
        assertThat(learned.back().unsure()).isCloseTo(GiveBack.USUAL.unsure(), within(1e-9));
        assertThat(learned.evidenceShare()).isZero();
    }

    /** Credit for "shown": four changes' worth of 75 %, and one of which half came: (4 · 0.75 + 0.5) / 5 = 0.70. */
    @Test
    void creditsFollowWhatCame() {
        Learned learned = of(List.of(lesson(10_000, 0)));
        assertThat(learned.credits().of(Evidence.SHOWN)).isEqualTo(0.70);
        assertThat(learned.credits().of(Evidence.ELSEWHERE)).isEqualTo(Credits.USUAL.of(Evidence.ELSEWHERE));
    }

    /** Three pairs at 2 % against an assumption worth three at 1 %: √((3 · 1 + 3 · 4) / 6) = 1.58 %. */
    @Test
    void theFormOfTheDayComesFromPairs() {
        Learned two = Learned.of(List.of(), List.of(), OptionalDouble.of(2), 2);
        Learned three = Learned.of(List.of(), List.of(), OptionalDouble.of(2), 3);
        assertThat(two.back().form()).isEqualTo(GiveBack.USUAL.form());
        assertThat(three.back().form()).isCloseTo(0.0158, within(0.0001));
    }

    @Test
    void kindsAreSummedUp() {
        assertThat(KindRecord.of(List.of(lesson(10_000, 0), lesson(20_000, 0))))
                .containsExactly(new KindRecord("CAP_RESTS", Optional.of(RESTS), 2, 40_000, 30_000));
    }
}
