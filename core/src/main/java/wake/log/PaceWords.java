package wake.log;

import java.util.Locale;
import wake.movement.AirErg;
import wake.units.ClockTime;
import wake.units.Unit;
import wake.workout.Segment;

/** A cadence in the words coaches use for that kind of work: per rep, per calorie and per hour, per 500 m, per kilometre. */
public final class PaceWords {
    private static final double SECONDS_PER_HOUR = 3600;

    private PaceWords() {}

    /** Says seconds per unit of a segment's amount. */
    public static String of(Segment segment, double secondsPerUnit) {
        Unit unit = segment.amount().unit();
        return switch (unit.dimension()) {
            case ENERGY ->
                String.format(
                        Locale.ROOT,
                        "%.2f s per cal, %,d cal/h",
                        secondsPerUnit,
                        Math.round(SECONDS_PER_HOUR / secondsPerUnit));
            case LENGTH -> perDistance(segment.movement().name(), secondsPerUnit * Unit.METRE.to(unit, 1));
            case COUNT ->
                String.format(Locale.ROOT, "%.2f s a rep, %.0f a minute", secondsPerUnit, 60 / secondsPerUnit);
            case TIME, MASS, SHARE -> String.format(Locale.ROOT, "%.2f s per %s", secondsPerUnit, unit.symbol());
        };
    }

    /** The distance a pace is said for: 500 m on the machines that show it so, else a kilometre. */
    private static int metresOf(String movement) {
        return AirErg.is(movement) ? 500 : 1000;
    }

    /** "1:52.0 per 500 m", "4:40.0 per km". */
    public static String perDistance(String movement, double secondsPerMetre) {
        int metres = metresOf(movement);
        ClockTime pace = ClockTime.of(Math.round(1000 * secondsPerMetre * metres));
        return pace.toTenths() + (metres == 500 ? " per 500 m" : " per km");
    }
}
