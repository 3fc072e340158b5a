package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.Samples;
import wake.units.InvalidInput;
import wake.units.Unit;

class PaceReaderTest {
    /** Thirty of it, in lengths of ten. */
    private static PacedWork work(String name, Unit unit) {
        return new PacedWork(Samples.CATALOGUE.find(name).orElseThrow(), unit, 30, 10);
    }

    /**
     * The maker's formulas from memory, see ErgPower: 2:00 per 500 m is 202.5 W and 997 cal/h; a mile is 1,609.344 m (NIST
     * SP 811).
     */
    @ParameterizedTest
    @CsvSource({
        "2.4, thruster, REP, 2.4",
        "'2,4', thruster, REP, 2.4",
        "2.4 s, thruster, REP, 2.4",
        "25/min, thruster, REP, 2.4",
        "20 cal/min, air bike, CALORIE, 3",
        "1200 cal/h, row, CALORIE, 3",
        "997 cal/h, row, METRE, 0.24",
        "2:00/500m, row, METRE, 0.24",
        "2:00 / 500, row, CALORIE, 3.611",
        "202.5 W, row, CALORIE, 3.611",
        "202 W, ski, METRE, 0.24",
        "5:00/km, run, METRE, 0.3",
        "8:00/mi, run, METRE, 0.2983",
        "8:00/mi, run, MILE, 480",
        "4:10/km, run, KILOMETRE, 250",
        "20 a minute, air bike, CALORIE, 3",
        "20 per minute, thruster, REP, 3",
        "1:53.5, row, METRE, 0.227",
        "2:00, row, CALORIE, 3.611",
        "10:00 a mile, run, METRE, 0.3728",
        "5:00 per km, run, METRE, 0.3",
        "1200 cal per hour, row, CALORIE, 3",
        "90 s for the piece, air bike, CALORIE, 3",
        "1:30 in all, air bike, CALORIE, 3",
        "8 s a length, walking lunge, METRE, 0.8",
        "0.28 s, run, METRE, 0.28"
    })
    void everyWordForAPaceConverts(String text, String name, Unit unit, double seconds) {
        assertThat(PaceReader.read(text, work(name, unit), PaceUnit.USUAL).secondsPerUnit())
                .isCloseTo(seconds, within(seconds / 500));
    }

    @ParameterizedTest
    @CsvSource({
        "fast, thruster, REP, Write a pace",
        "0, thruster, REP, above 0",
        "0/min, thruster, REP, above 0",
        "2:00/500m, thruster, REP, Use seconds each or a rate",
        "250 W, run, METRE, rower and the skier only",
        "2:00/500m, air bike, CALORIE, rower and the skier only",
        "250 cal/h, row, METRE, above 300",
        "-3, row, CALORIE, Write a pace",
        "0.28, row, METRE, '0.28 s\" for each m'",
        "0 a length, walking lunge, METRE, above 0"
    })
    void whatIsNoPaceOfTheMovementIsRefused(String text, String name, Unit unit, String reason) {
        assertThatThrownBy(() -> PaceReader.read(text, work(name, unit), PaceUnit.USUAL))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(reason);
    }

    @ParameterizedTest
    @ValueSource(strings = {"1.2.3/km", ".../500m", "1.2.3 for all", "./mi"})
    void whatIsNoTimeIsSaidToBeNone(String text) {
        assertThatThrownBy(() -> PaceReader.read(text, work("run", Unit.METRE), PaceUnit.USUAL))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("is not a time. Use m:ss");
    }
}
