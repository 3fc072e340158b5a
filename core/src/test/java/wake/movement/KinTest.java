package wake.movement;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.units.Unit;

/** What a movement that is in no catalogue is a kind of: how such names are made is common practice, no source. */
class KinTest {
    private final Catalogue catalogue = CatalogueFile.shipped();

    @ParameterizedTest
    @CsvSource({
        // Over, onto, to, with something: the movement stands before it, and what it is done over says nothing of it.
        "burpee over keg, burpee",
        "burpee over the parallette, burpee",
        "burpees onto the mat, burpee",
        "strict pull-up to high ring, strict pull-up",
        "pull-up with a towel, pull-up",
        "push-up on kettlebells, push-up",
        "sit-up with medicine ball, sit-up",
        "walking lunge around the cone, walking lunge",
        // A word before it: harder, slower, on one side.
        "tempo front squat, front squat",
        "lateral burpee over keg, burpee over bar",
        "slow sit-up, sit-up",
        "push-up left, push-up",
        "sit-up alternating, sit-up",
        "dumbbell sumo deadlift, sumo deadlift",
        "axle thruster, thruster",
        "nose-to-wall handstand hold, handstand hold",
    })
    void isFoundByWhatItIs(String written, String kin) {
        assertThat(catalogue.find(written)).isEmpty();
        assertThat(catalogue.kinOf(written, Unit.REP)).map(Movement::name).contains(kin);
        assertThat(catalogue.resolve(written, Unit.REP).usualSecondsPerUnit())
                .isEqualTo(catalogue.find(kin).orElseThrow().usualSecondsPerUnit());
    }

    /** Neither what it is done over, nor a machine whose name another movement shares. */
    @ParameterizedTest
    @ValueSource(strings = {"hobble over rower", "quay haul", "jog to bike", "seal row", "band run"})
    void isNothingThatOnlySharesAWord(String written) {
        assertThat(catalogue.resolve(written, Unit.REP).loads()).isEmpty();
    }

    /** In the unit that the machine counts it is the machine. */
    @Test
    void isTheMachineWhereItIsCountedAsOne() {
        assertThat(catalogue.resolve("single-arm row", Unit.CALORIE).loads()).contains(Loads.ENGINE);
        assertThat(catalogue.resolve("trail run", Unit.METRE).modality()).isEqualTo(Modality.CYCLIC);
    }

    /** 5 km at the run's usual pace, and a guess that is one a metre too: no length is a unit of its own. */
    @Test
    void goesAsFastInKilometresAndMiles() {
        double metre = catalogue.resolve("trail run", Unit.METRE).usualSecondsPerUnit();
        assertThat(catalogue.resolve("trail run", Unit.KILOMETRE).usualSecondsPerUnit())
                .isEqualTo(metre);
        assertThat(catalogue.resolve("quay haul", Unit.KILOMETRE).unit()).isEqualTo(Unit.METRE);
        assertThat(catalogue.resolve("quay haul", Unit.KILOMETRE).usualSecondsPerUnit())
                .isEqualTo(catalogue.resolve("quay haul", Unit.METRE).usualSecondsPerUnit());
    }

    /** It moves like its kin; the max of a bar is none of a dumbbell, of one arm or of one leg. */
    @ParameterizedTest
    @CsvSource({
        "tempo front squat, front squat",
        "axle bar deadlift, ''",
        "dumbbell sumo deadlift, ''",
        "sandbag front squat, ''",
        "single-arm bench press, ''",
        "kettlebell burpee, ''",
        "vest pull-up, ''",
        "burpee over keg, burpee",
        "slow dumbbell thruster, dumbbell thruster",
        "barbell thruster, thruster",
    })
    void takesAMaxOnlyFromTheSameImplement(String written, String of) {
        assertThat(String.join(", ", catalogue.resolve(written, Unit.REP).of())).isEqualTo(of);
    }
}
