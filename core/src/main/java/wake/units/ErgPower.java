package wake.units;

import java.util.Optional;

/**
 * Power on an air-resistance rower or skier, and the pace and calories per hour that go with it.
 *
 * <p>Source: the formulas published by the maker of the common air-resistance rower (from memory):
 * P = 2.80 / (seconds per metre)³ watts; calories per hour = 4 · 0.8604 · P + 300. They hold for that kind of machine only,
 * not for running or bikes.
 *
 * @param watts mechanical power, above zero
 */
public record ErgPower(double watts) {
    private static final double DRAG = 2.80;
    private static final double CALORIES_PER_WATT_HOUR = 4 * 0.8604;
    private static final double RESTING_CALORIES_PER_HOUR = 300;
    private static final double SECONDS_PER_HOUR = 3600;

    /** @throws InvalidInput where it is not above 0 W */
    public ErgPower {
        if (!(watts > 0) || Double.isInfinite(watts)) {
            throw new InvalidInput("Power is above 0 W, not " + watts);
        }
    }

    /** Power that holds a pace given as seconds per 500 m. */
    public static ErgPower ofSecondsPer500m(double seconds) {
        double secondsPerMetre = seconds / 500;
        return new ErgPower(DRAG / (secondsPerMetre * secondsPerMetre * secondsPerMetre));
    }

    public static ErgPower ofSecondsPerMetre(double seconds) {
        return ofSecondsPer500m(500 * seconds);
    }

    /** Power that makes a calorie in so many seconds; empty where the machine counts as many at rest. */
    public static Optional<ErgPower> ofSecondsPerCalorie(double seconds) {
        double perHour = SECONDS_PER_HOUR / seconds;
        return perHour > RESTING_CALORIES_PER_HOUR ? Optional.of(ofCaloriesPerHour(perHour)) : Optional.empty();
    }

    /** Power that makes so many calories per hour; defined above 300 cal/h only. */
    public static ErgPower ofCaloriesPerHour(double calories) {
        return new ErgPower((calories - RESTING_CALORIES_PER_HOUR) / CALORIES_PER_WATT_HOUR);
    }

    public double secondsPer500m() {
        return 500 * Math.cbrt(DRAG / watts);
    }

    public double secondsPerMetre() {
        return secondsPer500m() / 500;
    }

    public double secondsPerCalorie() {
        return SECONDS_PER_HOUR / caloriesPerHour();
    }

    public double caloriesPerHour() {
        return CALORIES_PER_WATT_HOUR * watts + RESTING_CALORIES_PER_HOUR;
    }
}
