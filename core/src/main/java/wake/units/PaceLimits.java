package wake.units;

import java.util.Locale;
import java.util.Optional;

/**
 * How fast and how slow work can go, by what is counted: a mile is not a slow rep. Wide on purpose (common practice, no source):
 * what lies outside is a slip of the pen.
 */
public final class PaceLimits {
    private PaceLimits() {}

    /** What is wrong with a pace in seconds per unit; empty where it can be meant. */
    public static Optional<String> problem(Unit unit, double secondsPerUnit) {
        double fastest = fastest(unit);
        double slowest = slowest(unit);
        if (secondsPerUnit >= fastest && secondsPerUnit <= slowest) {
            return Optional.empty();
        }
        return Optional.of(String.format(
                Locale.ROOT,
                "A pace is %s to %s s/%s, not %s",
                plain(fastest),
                plain(slowest),
                unit.symbol(),
                plain(secondsPerUnit)));
    }

    private static double fastest(Unit unit) {
        return switch (unit.dimension()) {
            case COUNT -> 0.1;
            case ENERGY -> 0.2;
            // Faster than anybody has run a hundred metres, on wheels as well.
            case LENGTH -> 0.04 * unit.to(Unit.METRE, 1);
            case TIME, MASS, SHARE -> 0.01;
        };
    }

    private static double slowest(Unit unit) {
        return switch (unit.dimension()) {
            case COUNT -> 900;
            case ENERGY -> 120;
            // A handstand walk with a fall at every metre.
            case LENGTH -> 60 * unit.to(Unit.METRE, 1);
            case TIME, MASS, SHARE -> 60;
        };
    }

    private static String plain(double seconds) {
        return seconds >= 10 ? String.format(Locale.ROOT, "%.0f", seconds) : Double.toString(seconds);
    }
}
