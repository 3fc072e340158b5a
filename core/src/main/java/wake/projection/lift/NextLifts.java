package wake.projection.lift;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
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
    /** The reach lift is 2.5–5 % above what must be made. Common practice, no source. */
    private static final double WISH_STEP = 1.04;

    /** Percent of the max a window is opened with; common practice, no source. */
    private static final double OPENER_PERCENT = 60;
    /** No lift beyond this is looked at; an assumption. */
    private static final double MOST_PERCENT = 125;

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
        PlateRack rack = planned.map(LiftPlan::rack).orElse(usualRack);
        Quantity max = max(reading, planned);
        long length = lengthMs(reading, planned);
        LiftPlan times = UsualTimetable.asManyAsFit(
                reading.window(),
                max,
                Math.clamp(reading.rows().size(), 1, LiftPlan.MOST_LIFTS),
                OptionalLong.of(length),
                pauseMs,
                rack);
        int reps = LiftPiece.repsOf(reading.window().complex());
        Optional<Quantity> best = reading.best().flatMap(row -> row.lift().load());
        Quantity must = must(rack, max, reps, chances, best);
        Quantity reach = reach(rack, must, best);
        Quantity opener = rack.roundedDown(share(max, OPENER_PERCENT)).load();
        List<Attempt> lifts = new ArrayList<>();
        List<Attempt> old = times.lifts();
        int prep = Math.max(0, old.size() - 2);
        for (int i = 0; i < old.size(); i++) {
            Attempt at = old.get(i);
            Quantity load = switch (at.role()) {
                case PREP -> between(rack, opener, must, (double) i / prep);
                case MUST_HIT -> must;
                case WISH -> reach;
            };
            lifts.add(at.loaded(load));
        }
        return times.withLifts(lifts);
    }

    /** The heaviest load of which so many are made that it may be planned on, and that was shown where anything was. */
    private static Quantity must(PlateRack rack, Quantity max, int reps, Chances chances, Optional<Quantity> best) {
        double percent = chances.middle() + chances.spread() * Math.log(1 / MUST - 1);
        Quantity likely = share(max, Math.max(30, percent - (reps > 1 ? Chances.COMPLEX : 0)));
        Quantity capped = best.filter(shown -> LiftProjection.kilograms(shown) < LiftProjection.kilograms(likely))
                .orElse(likely);
        return rack.roundedDown(capped).load();
    }

    /** A small step above what must be made; where the best is not beaten by that, the smallest step above the best. */
    private static Quantity reach(PlateRack rack, Quantity must, Optional<Quantity> best) {
        Quantity reach = rack.roundedDown(share(must, 100 * WISH_STEP)).load();
        Quantity beaten = best.filter(shown -> LiftProjection.kilograms(shown) >= LiftProjection.kilograms(reach))
                .orElse(must);
        return LiftProjection.kilograms(reach) > LiftProjection.kilograms(beaten)
                ? reach
                : rack.heavier(beaten).map(PlateRack.Loading::load).orElse(reach);
    }

    private static Quantity between(PlateRack rack, Quantity from, Quantity to, double share) {
        double unit = from.in(to.unit()) + share * (to.doubleValue() - from.in(to.unit()));
        return rack.roundedDown(new Quantity(BigDecimal.valueOf(unit), to.unit()))
                .load();
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
