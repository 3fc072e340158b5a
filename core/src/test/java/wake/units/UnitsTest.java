package wake.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class UnitsTest {
    /** NIST Special Publication 811 (2008), appendix B.8, exact factors. */
    @ParameterizedTest
    @CsvSource({
        "POUND, KILOGRAM, 1, 0.45359237",
        "FOOT, METRE, 1, 0.3048",
        "INCH, CENTIMETRE, 1, 2.54",
        "MILE, METRE, 1, 1609.344",
        "MILE, FOOT, 1, 5280",
        "FOOT, INCH, 1, 12"
    })
    void unitsConvertByTheExactFactors(Unit from, Unit to, double value, double expected) {
        assertThat(from.to(to, value)).isCloseTo(expected, within(1e-9));
        assertThat(to.to(from, expected)).isCloseTo(value, within(1e-9));
    }

    @Test
    void unitsOfDifferentThingsDoNotConvert() {
        assertThatThrownBy(() -> Unit.KILOGRAM.to(Unit.METRE, 1)).hasMessageContaining("kg into m");
    }

    @Test
    void aQuantityKeepsTheNumberAsWritten() {
        assertThat(new Quantity(new BigDecimal("47.50"), Unit.KILOGRAM)).hasToString("47.5 kg");
        assertThat(Quantity.of(100, Unit.POUND).in(Unit.KILOGRAM)).isCloseTo(45.359237, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"0:00, 0", "9:42, 582000", "9:42.3, 582300", "14:00.25, 840250", "1:02:03, 3723000", "75:00, 4500000"})
    void clockTimesAreReadAsCoachesWriteThem(String written, long ms) {
        assertThat(ClockTime.parse(written).ms()).isEqualTo(ms);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "9", "9:4", "9:60", "1:60:00", "nine", "-1:00", "9:42.", "9:42.1234", "9:008:50", "1:2:03"})
    void whatIsNoTimeIsRefused(String written) {
        assertThatThrownBy(() -> ClockTime.parse(written)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void clockTimesPrintHoursOnlyWhenNeeded() {
        assertThat(ClockTime.of(582_349).toTenths()).isEqualTo("9:42.3");
        assertThat(ClockTime.of(59_960).toTenths()).isEqualTo("1:00.0");
        assertThat(ClockTime.of(3_723_000).toSeconds()).isEqualTo("1:02:03");
    }

    /** Published by the maker of the common air-resistance rower, from memory: 2:00 / 500 m = 202.5 W, about 997 cal/h. */
    @Test
    void twoMinutesPer500mIs202Watts() {
        ErgPower power = ErgPower.ofSecondsPer500m(120);
        assertThat(power.watts()).isCloseTo(202.5, within(0.1));
        assertThat(power.caloriesPerHour()).isCloseTo(997, within(1.0));
    }

    /** Same source: 1:30 = 480.1 W, 1:45 = 302.3 W, 2:30 = 103.7 W. */
    @ParameterizedTest
    @CsvSource({"90, 480.1", "105, 302.3", "150, 103.7"})
    void paceAndPowerGoTogether(double seconds, double watts) {
        assertThat(ErgPower.ofSecondsPer500m(seconds).watts()).isCloseTo(watts, within(0.1));
        assertThat(new ErgPower(watts).secondsPer500m()).isCloseTo(seconds, within(0.1));
    }

    /** Common practice, no source: a strong calorie row is 1,400 to 1,450 cal per hour, which 75 cal in about 3:10 agrees with. */
    @Test
    void aStrongCalorieRowHasAPlausiblePace() {
        double perHour = 75 / 190.0 * 3600;
        assertThat(perHour).isBetween(1400.0, 1450.0);
        assertThat(ErgPower.ofCaloriesPerHour(perHour).secondsPer500m()).isBetween(100.0, 106.0);
    }

    /** The same formula the other way about: 997 cal/h is a calorie every 3.61 s. */
    @Test
    void secondsPerCalorieAndPerMetreGoTogether() {
        ErgPower power = ErgPower.ofSecondsPerMetre(120 / 500.0);
        assertThat(power.secondsPerCalorie()).isCloseTo(3600 / 997.0, within(0.01));
        assertThat(ErgPower.ofSecondsPerCalorie(power.secondsPerCalorie())
                        .orElseThrow()
                        .secondsPerMetre())
                .isCloseTo(0.24, within(1e-9));
        assertThat(ErgPower.ofSecondsPerCalorie(12)).as("300 cal/h, idle").isEmpty();
    }

    @Test
    void secondsStandInSentencesWithOneDecimal() {
        assertThat(Digits.TENTHS.span(4449)).isEqualTo("4.4 s");
        assertThat(Digits.TENTHS.span(61_000)).isEqualTo("1:01");
        assertThat(Digits.TENTHS.signed(-250)).isEqualTo("−0.3 s");
        assertThat(Digits.TENTHS.signed(0)).isEqualTo("+0.0 s");
    }

    @Test
    void thereIsNoPowerBelowTheRestingCalories() {
        assertThatThrownBy(() -> ErgPower.ofCaloriesPerHour(300)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aSpanIsSaidOneWayEverywhere() {
        assertThat(Digits.TENTHS.span(4210)).isEqualTo("4.2 s");
        assertThat(Digits.TENTHS.span(26_000)).isEqualTo("26.0 s");
        assertThat(Digits.TENTHS.span(59_940)).isEqualTo("59.9 s");
        assertThat(Digits.TENTHS.span(59_960)).isEqualTo("1:00");
        assertThat(Digits.TENTHS.span(88_800)).isEqualTo("1:29");
        assertThat(Digits.TENTHS.signed(-88_800)).isEqualTo("−1:29");
        assertThat(Digits.TENTHS.signed(300)).isEqualTo("+0.3 s");
        assertThat(Digits.WHOLE.span(4400)).isEqualTo("4 s");
        assertThat(Digits.WHOLE.span(59_600)).isEqualTo("1:00");
        assertThat(Digits.WHOLE.signed(-88_800)).isEqualTo("−1:29");
        assertThat(Digits.WHOLE.clock(582_500)).isEqualTo("9:43");
        assertThat(Digits.WHOLE.nothing(-499)).isTrue();
    }

    /** A mile in seven minutes, a rep in three seconds, a calorie in three; common practice, no source. */
    @Test
    void whatIsCountedSaysHowSlowItCanBe() {
        assertThat(PaceLimits.problem(Unit.MILE, 420)).isEmpty();
        assertThat(PaceLimits.problem(Unit.REP, 3)).isEmpty();
        assertThat(PaceLimits.problem(Unit.CALORIE, 3)).isEmpty();
        assertThat(PaceLimits.problem(Unit.CALORIE, 420)).contains("A pace is 0.2 to 120 s/cal, not 420");
        assertThat(PaceLimits.problem(Unit.REP, 0.01)).contains("A pace is 0.1 to 900 s/rep, not 0.01");
        assertThat(PaceLimits.problem(Unit.METRE, 420)).isPresent();
        assertThat(PaceLimits.problem(Unit.MILE, Double.NaN)).isPresent();
    }
}
