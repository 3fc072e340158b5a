package wake.words;

import java.util.List;
import java.util.Optional;
import wake.log.Lift;
import wake.projection.lift.Chances;
import wake.projection.lift.LiftProjection;
import wake.reading.lift.LiftReading;
import wake.reading.lift.LiftRow;
import wake.units.Messages;
import wake.units.Quantity;

/** A projection for a lift window in sentences. */
public final class LiftProjectionWords {
    private static final double SURE = 0.995;
    private static final double HALF = 0.5;
    /** Loads this close are one load. */
    private static final double SAME_KG = 0.05;

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

    /** What the last window shows of a load, and what speaks against it where that is made by fewer than half though it was made. */
    public static String evidence(LiftProjection.Row row, LiftReading reading, Chances chances) {
        double kilograms = LiftProjection.kilograms(row.planned().loading().load());
        List<LiftRow> tried = reading.rows().stream()
                .filter(one -> one.lift().scores()
                        && one.lift().load().isPresent()
                        && one.lift().outcome() != Lift.Outcome.UNKNOWN)
                .toList();
        List<LiftRow> here = tried.stream()
                .filter(one -> Math.abs(kilograms(one) - kilograms) < SAME_KG)
                .toList();
        boolean heavier = tried.stream().anyMatch(one -> one.lift().made() && kilograms(one) >= kilograms + SAME_KG);
        long made = here.stream().filter(one -> one.lift().made()).count();
        String shown = here.isEmpty() ? heavier ? "heavier made here" : "new" : tally(made, here.size());
        if (made == 0 && !heavier) {
            return shown
                    + reading.best()
                            .map(best -> Messages.of(", %.1f%% above best", 100 * (kilograms / kilograms(best) - 1)))
                            .orElse("");
        }
        return row.chance() >= HALF ? shown : shown + ", but " + against(row, tried, kilograms, chances);
    }

    private static String tally(long made, int tried) {
        if (made == tried || made == 0) {
            String times = tried == 1 ? "" : tried == 2 ? " twice" : " " + tried + " times";
            return (made == 0 ? "missed" : "made") + times + " here";
        }
        return "made " + made + " of " + tried + " here";
    }

    private static String against(LiftProjection.Row row, List<LiftRow> tried, double kilograms, Chances chances) {
        long missed = tried.stream()
                .filter(one -> !one.lift().made() && kilograms(one) <= kilograms + SAME_KG)
                .count();
        if (missed > 0) {
            return missed == 1 ? "missed once at or below it" : "missed " + missed + " times at or below it";
        }
        return chances.made(kilograms) >= HALF
                ? "as " + Messages.of("%.0f%%", 100 * (row.askedKg() / kilograms - 1))
                        + " harder: reps, short rest or heavy lifts before"
                : chances.from().isEmpty() ? "only once" : "above the " + chances.from();
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
