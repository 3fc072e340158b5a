package wake.movement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import wake.units.ErgPower;
import wake.units.Unit;

/** Pace, power and calories on the machines they belong to. Figures as published by the maker of the common rower, from memory. */
class AirErgTest {
    private static final Catalogue CATALOGUE = CatalogueFile.shipped();

    private static Movement movement(String name) {
        return CATALOGUE.find(name).orElseThrow();
    }

    @Test
    void aPaceIsPowerOnTheRowerAndTheSkierOnly() {
        double twoMinutes = 120 / 500.0;
        assertThat(AirErg.power(movement("row"), Unit.METRE, twoMinutes)
                        .orElseThrow()
                        .watts())
                .isCloseTo(202.5, within(0.1));
        assertThat(AirErg.power(movement("ski"), Unit.METRE, twoMinutes)).isPresent();
        assertThat(AirErg.power(movement("run"), Unit.METRE, twoMinutes)).isEmpty();
        assertThat(AirErg.power(movement("burpee"), Unit.REP, 3)).isEmpty();
    }

    @Test
    void lengthsInOtherUnitsAndCaloriesGiveTheSamePower() {
        double perKilometre = 240;
        assertThat(AirErg.power(movement("row"), Unit.KILOMETRE, perKilometre)
                        .orElseThrow()
                        .watts())
                .isCloseTo(202.5, within(0.1));
        double perCalorie = ErgPower.ofSecondsPer500m(120).secondsPerCalorie();
        assertThat(AirErg.power(movement("row"), Unit.CALORIE, perCalorie)
                        .orElseThrow()
                        .watts())
                .isCloseTo(202.5, within(0.1));
    }

    @Test
    void whatIsSlowerThanIdleOrNoPaceAtAllHasNoPower() {
        assertThat(AirErg.power(movement("row"), Unit.CALORIE, 12.5)).isEmpty();
        assertThat(AirErg.power(movement("row"), Unit.METRE, 0)).isEmpty();
        assertThat(AirErg.power(movement("row"), Unit.METRE, Double.NaN)).isEmpty();
    }
}
