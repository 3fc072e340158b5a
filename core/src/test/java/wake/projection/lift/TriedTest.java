package wake.projection.lift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import wake.movement.CatalogueFile;
import wake.strength.StrengthReader;
import wake.strength.StrengthWork;

/** What sets that were not for time say of a single: the mean of Epley (1985), w(1 + r/30), and Brzycki (1993), 36w/(37 − r), by hand. */
class TriedTest {
    private static List<Tried> in(String text) {
        StrengthWork work =
                StrengthReader.read(text, CatalogueFile.shipped()).works().getFirst();
        return Tried.in(work);
    }

    @Test
    void aSetIsAsHardAsTheSingleItPointsTo() {
        List<Tried> tried = in("back squat: 3 @ 100 kg, 1 @ 110 kg");
        // (110 + 105.88)/2
        assertThat(tried.getFirst().askedKg()).isCloseTo(107.94, within(0.01));
        assertThat(tried.getLast().askedKg()).isEqualTo(110);
        assertThat(tried).allMatch(Tried::made);
    }

    @Test
    void aMissedRepIsOneRepHarder() {
        List<Tried> tried = in("back squat: 2/3 @ 105 kg");
        assertThat(tried).hasSize(2);
        // Two reps made: (112 + 108)/2; the third missed: (115.5 + 111.18)/2.
        assertThat(tried.getFirst().askedKg()).isCloseTo(110, within(0.01));
        assertThat(tried.getLast().askedKg()).isCloseTo(113.34, within(0.01));
        assertThat(tried.getLast().made()).isFalse();
    }

    @Test
    void whatSaysNothingOfASingleIsLeftOut() {
        assertThat(in("back squat 3 x 20 @ 60 kg: 20 @ 60 kg")).isEmpty();
        assertThat(in("front-rack hold: 30 s @ 100 kg")).isEmpty();
        assertThat(in("push-up: 12")).isEmpty();
        assertThat(in("back squat 3 x 3 tempo 51X1: 2/3 @ 90 kg")).hasSize(1).allMatch(Tried::made);
    }
}
