package wake.log;

import java.util.Locale;
import java.util.Set;
import wake.units.ClockTime;
import wake.units.Unit;
import wake.workout.Segment;

/** A cadence in the words coaches use for that kind of work: per rep, per calorie and per hour, per 500 m, per kilometre. */
public final class PaceWords {
    private static final Set<String> PER_500_M = Set.of("row", "ski");
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
            case TIME, MASS -> String.format(Locale.ROOT, "%.2f s per %s", secondsPerUnit, unit.symbol());
        };
    }

    private static String perDistance(String movement, double secondsPerMetre) {
        int metres = PER_500_M.contains(movement) ? 500 : 1000;
        ClockTime pace = ClockTime.of(Math.round(1000 * secondsPerMetre * metres));
        return pace.toTenths() + (metres == 500 ? " per 500 m" : " per km");
    }
}
