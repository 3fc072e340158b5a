package wake.projection.lift;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalLong;
import wake.log.Lift;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.LiftPlan.Attempt;
import wake.plan.lift.PlateRack;
import wake.plan.lift.UsualTimetable;
import wake.reading.lift.LiftReading;
import wake.reading.lift.LiftRow;
import wake.statistics.Statistics;
import wake.units.InvalidInput;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format.LiftPiece;

/**
 * The next timetable, from how the last window went: as many lifts, the one that must be made at a load that is likely and was shown, the wish a
 * small step above the best, the others evenly up to it.
 */
public final class NextLifts {
    /** A lift that must be made is one of which so many are. An assumption. */
    private static final double MUST = 0.85;

    private static final double EVEN = 0.5;
    /** The reach lift is up to 5 % above what must be made. Common practice, no source. */
    private static final double WISH_STEP = 1.05;
    /** So much lighter than a load that was missed is lighter. */
    private static final double LIGHTER_KG = 0.01;

    /** Percent of the max a window is opened with; common practice, no source. */
    private static final double OPENER_PERCENT = 60;
    /** No lift beyond this is looked at; an assumption. */
    private static final double MOST_PERCENT = 125;

    /** Bars of common racks; common practice, no source. */
    private static final int POUND_BAR = 45;

    private static final int KILOGRAM_BAR = 20;

    private NextLifts() {}

    /**
     * The next lifts.
     *
     * @param reading how the last window went; at least one lift with a load
     * @param planned the timetable of that window, for its bar and plates
     * @param pauseMs the rest between this part and the next
     * @param usualRack bar and plates, where nothing was planned
     * @throws InvalidInput when no lift has a load
     */
    public static LiftPlan of(
            LiftReading reading,
            Optional<LiftPlan> planned,
            Chances chances,
            OptionalLong pauseMs,
            PlateRack usualRack) {
        PlateRack rack = planned.map(LiftPlan::rack).orElseGet(() -> inUnitOf(reading, usualRack));
        Quantity max = max(reading, planned);
        long length = lengthMs(reading, planned);
        LiftPlan times = UsualTimetable.asManyAsFit(
                reading.window(),
                max,
                Math.clamp(reading.rows().size(), 1, LiftPlan.MOST_LIFTS),
                OptionalLong.of(length),
                pauseMs,
                rack);
        List<LiftPiece> complex = reading.window().complex();
        Optional<Quantity> best = reading.best().flatMap(row -> row.lift().load());
        Quantity must = must(rack, chances, complex, best);
        Quantity reach = reach(rack, chances, complex, must, best, lightestMissed(reading));
        Quantity opener = rack.plain(share(max, OPENER_PERCENT)).load();
        List<Attempt> lifts = new ArrayList<>();
        List<Attempt> old = times.lifts();
        int prep = Math.max(0, old.size() - 2);
        Optional<Quantity> last = Optional.empty();
        for (int i = 0; i < old.size(); i++) {
            Attempt at = old.get(i);
            Quantity load = switch (at.role()) {
                case PREP ->
                    rack.buildUp(between(opener, must, (double) i / prep), last, Optional.of(must))
                            .load();
                case MUST_HIT -> must;
                case WISH -> reach;
            };
            lifts.add(at.loaded(load));
            last = Optional.of(load);
        }
        return times.withLifts(lifts);
    }

    /** The usual rack, or a common one in the unit the lifts were logged in. */
    private static PlateRack inUnitOf(LiftReading reading, PlateRack usual) {
        Unit unit = reading.rows().stream()
                .flatMap(row -> row.lift().load().stream())
                .map(Quantity::unit)
                .reduce((first, last) -> last)
                .orElse(usual.bar().unit());
        return unit == usual.bar().unit()
                ? usual
                : unit == Unit.POUND ? PlateRack.pounds(POUND_BAR) : PlateRack.kilograms(KILOGRAM_BAR);
    }

    /** The heaviest load that is likely enough to be planned on, and that was shown where anything was. */
    private static Quantity must(PlateRack rack, Chances chances, List<LiftPiece> complex, Optional<Quantity> best) {
        Quantity likely = kilograms(chances.askedWith(MUST) / Tried.asked(1, complex, Tried.FULL_REST_MS, 1), rack);
        Quantity capped = best.filter(shown -> LiftProjection.kilograms(shown) < LiftProjection.kilograms(likely))
                .orElse(likely);
        return rack.roundedDown(capped).load();
    }

    /**
     * The heaviest load with an even chance, a small step above what must be made or was made and below what was missed; the smallest step above the best
     * where none is.
     */
    private static Quantity reach(
            PlateRack rack,
            Chances chances,
            List<LiftPiece> complex,
            Quantity must,
            Optional<Quantity> best,
            OptionalDouble missedKg) {
        Quantity base = best.filter(shown -> LiftProjection.kilograms(shown) > LiftProjection.kilograms(must))
                .orElse(must);
        double even = chances.askedWith(EVEN) / Tried.asked(1, complex, Tried.FULL_REST_MS, 2);
        double most = Math.min(
                Math.min(even, WISH_STEP * LiftProjection.kilograms(base)),
                missedKg.orElse(Double.MAX_VALUE) - LIGHTER_KG);
        Quantity reach = rack.roundedDown(kilograms(most, rack)).load();
        return LiftProjection.kilograms(reach) > LiftProjection.kilograms(base) + 1e-9
                ? reach
                : rack.heavier(base).map(PlateRack.Loading::load).orElse(base);
    }

    /** The lightest complex that was only ever missed above the best. */
    private static OptionalDouble lightestMissed(LiftReading reading) {
        double best = reading.best().map(LiftReading::kilograms).orElse(0.0);
        return reading.rows().stream()
                .filter(row -> row.lift().scores()
                        && row.lift().outcome() == Lift.Outcome.MISSED
                        && row.lift().load().isPresent())
                .mapToDouble(LiftReading::kilograms)
                .filter(load -> load > best)
                .min();
    }

    private static Quantity kilograms(double kilograms, PlateRack rack) {
        Unit unit = rack.bar().unit();
        return new Quantity(BigDecimal.valueOf(Math.max(0, Unit.KILOGRAM.to(unit, kilograms))), unit);
    }

    private static Quantity between(Quantity from, Quantity to, double share) {
        double unit = from.in(to.unit()) + share * (to.doubleValue() - from.in(to.unit()));
        return new Quantity(BigDecimal.valueOf(unit), to.unit());
    }

    private static Quantity share(Quantity max, double percent) {
        return new Quantity(
                max.value().multiply(BigDecimal.valueOf(Math.min(MOST_PERCENT, percent) / 100)), max.unit());
    }

    /** The max known, else that of the plan; else the heaviest lifted, which is at least as much. */
    public static Quantity max(LiftReading reading, Optional<LiftPlan> planned) {
        return planned.map(LiftPlan::max)
                .or(() -> reading.max().max())
                .or(() -> reading.best().flatMap(row -> row.lift().load()))
                .or(() -> reading.rows().stream()
                        .flatMap(row -> row.lift().load().stream())
                        .max(Comparator.comparingDouble(load -> load.in(Unit.KILOGRAM))))
                .orElseThrow(() -> new InvalidInput("No lift has a load yet"));
    }

    /** As long as the complex took, where that was seen; else as planned, else as usual. */
    private static long lengthMs(LiftReading reading, Optional<LiftPlan> planned) {
        double[] seen = reading.rows().stream()
                .filter(row -> row.lift().scores() && row.lift().made())
                .map(LiftRow::lift)
                .flatMapToLong(lift -> lift.lengthMs().stream())
                .asDoubleStream()
                .toArray();
        return seen.length > 0
                ? Math.clamp(Math.round(Statistics.median(seen) / 1000) * 1000, 1000, 180_000)
                : planned.map(LiftPlan::complexMs)
                        .orElseGet(() -> UsualTimetable.usualMs(
                                LiftPiece.repsOf(reading.window().complex())));
    }
}
