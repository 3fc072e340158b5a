package wake.words;

import java.util.Optional;
import wake.log.Lift;
import wake.projection.lift.LiftProjection;
import wake.reading.lift.LiftReading;
import wake.reading.lift.LiftRow;
import wake.units.Messages;
import wake.units.Quantity;

/** A projection for a lift window in sentences. */
public final class LiftProjectionWords {
    private static final double SURE = 0.995;

    private LiftProjectionWords() {}

    /** The projection in one sentence. */
    public static String headline(LiftProjection projection) {
        String middle = projection.middle().map(Quantity::toString).orElse("no lift made");
        String range = projection.low().equals(projection.high())
                ? ""
                : " (8 in 10: " + projection.low().map(Quantity::toString).orElse("none") + " to "
                        + projection.high().map(Quantity::toString).orElse("none") + ")";
        return "Projected: " + middle + range
                + projection
                        .terms()
                        .before()
                        .map(best -> ". " + chance(projection.beats()) + " chance to beat " + best)
                        .orElse("")
                + ".";
    }

    /** A chance as it is said: never certain. */
    public static String chance(double chance) {
        return chance > SURE ? "over 99%" : chance < 1 - SURE ? "under 1%" : Messages.of("%.0f%%", 100 * chance);
    }

    /** What the last window shows of a load. */
    public static String evidence(Quantity load, LiftReading reading) {
        double kilograms = LiftProjection.kilograms(load);
        boolean made = reading.rows().stream()
                .anyMatch(row -> row.lift().made() && row.lift().scores() && kilograms(row) >= kilograms - 1e-9);
        boolean missed = reading.rows().stream()
                .anyMatch(row ->
                        row.lift().outcome() == Lift.Outcome.MISSED && Math.abs(kilograms(row) - kilograms) < 0.05);
        Optional<LiftRow> best = reading.best();
        if (made) {
            return missed ? "made and missed here" : "made this or heavier here";
        }
        String above = best.map(row -> Messages.of(", %.1f%% above best", 100 * (kilograms / kilograms(row) - 1)))
                .orElse("");
        return (missed ? "missed here" : "new") + above;
    }

    private static double kilograms(LiftRow row) {
        return row.lift().load().map(LiftProjection::kilograms).orElse(0.0);
    }

    /**
     * Projected vs actual, in a sentence.
     *
     * @param low one in ten was to bring less; empty for no lift made
     */
    public static String actual(
            Optional<Quantity> middle,
            Optional<Quantity> low,
            Optional<Quantity> high,
            Optional<Quantity> before,
            Optional<Quantity> actual) {
        double kilograms = kilograms(actual);
        boolean inside = kilograms >= kilograms(low) - 1e-9 && kilograms <= kilograms(high) + 1e-9;
        String range = inside
                ? "inside the likely range"
                : kilograms > kilograms(high) ? "above the likely range" : "below the likely range";
        double change = kilograms - kilograms(before);
        String first = before.isEmpty()
                ? ""
                : Math.abs(change) < 0.005
                        ? ", same as before"
                        : Messages.of(", %.1f kg %s than before", Math.abs(change), change > 0 ? "more" : "less");
        return "Projected " + words(middle) + ", made " + words(actual) + ": " + range + " (" + words(low) + " to "
                + words(high) + ")" + first + ".";
    }

    private static double kilograms(Optional<Quantity> load) {
        return load.map(LiftProjection::kilograms).orElse(0.0);
    }

    private static String words(Optional<Quantity> load) {
        return load.map(Quantity::toString).orElse("no lift made");
    }
}
