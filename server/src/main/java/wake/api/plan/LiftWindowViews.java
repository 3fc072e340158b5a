package wake.api.plan;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import wake.plan.lift.LiftChecks;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.Timetable;
import wake.review.Documents.KeptPlan;
import wake.review.OpenAttempt;
import wake.units.Messages;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/** A lift window as the interface shows it. */
public final class LiftWindowViews {
    private LiftWindowViews() {}

    /**
     * A lift window worked out.
     *
     * @param maxKg what percentages are of, to be drawn
     * @param fatigueRule what is usual beside the lift that must be made, where another part comes before on the same clock
     */
    public record TimetableView(
            List<LiftRowView> rows,
            long windowMs,
            double maxKg,
            long latestStartMs,
            @Nullable Long toNextPartMs,
            @Nullable String fatigueRule) {}

    /**
     * One lift.
     *
     * @param pieces what is lifted
     * @param load on the bar
     * @param loadKg the same in kilograms, to be drawn
     * @param wanted the load wished for, where the bar has less
     * @param percent of the max, on the bar
     * @param jump from the load before
     * @param side plates on each side
     * @param change plates to change before it
     * @param heavier the next heavier load the plates make
     * @param restMs from the end of the lift before, or from "go"
     * @param latestMs the last moment it may start if those after it are to be made with short rests
     */
    public record LiftRowView(
            LiftPlan.Role role,
            String pieces,
            boolean isComplex,
            String load,
            double loadKg,
            @Nullable String wanted,
            String percent,
            String jump,
            long startMs,
            long lengthMs,
            long restMs,
            long latestMs,
            String side,
            String change,
            @Nullable String heavier) {}

    public static TimetableView of(Timetable table, Quantity max, Format.Lift window, boolean afterAnother) {
        return new TimetableView(
                table.rows().stream().map(row -> of(row, window)).toList(),
                window.windowMs(),
                max.in(Unit.KILOGRAM),
                table.latestStartMs(),
                table.toNextPartMs().isPresent() ? table.toNextPartMs().getAsLong() : null,
                afterAnother ? LiftChecks.fatigueRule(window) : null);
    }

    static TimetableView of(Timetable table, OpenAttempt open) {
        Quantity max = open.plan().flatMap(KeptPlan::lift).map(LiftPlan::max).orElseThrow();
        return of(table, max, (Format.Lift) open.expanded().format(), open.afterAnother());
    }

    private static LiftRowView of(Timetable.Row row, Format.Lift window) {
        Quantity load = row.loading().load();
        double missing = row.wanted().in(load.unit()) - load.doubleValue();
        return new LiftRowView(
                row.attempt().role(),
                LiftPiece.written(row.attempt().pieces(window.complex())),
                row.attempt().pieces().isEmpty(),
                load.toString(),
                load.in(Unit.KILOGRAM),
                Math.abs(missing) < 0.05
                        ? null
                        : Messages.of(
                                "%.1f %s",
                                row.wanted().in(load.unit()), load.unit().symbol()),
                Messages.of("%.0f%%", row.percent()),
                row.jump().map(LiftWindowViews::signed).orElse(""),
                row.attempt().startMs(),
                row.attempt().lengthMs(),
                row.restMs(),
                row.latestStartMs(),
                row.loading().sideWords(),
                row.change().words(),
                row.heavier().map(Quantity::toString).orElse(null));
    }

    private static String signed(BigDecimal jump) {
        return (jump.signum() < 0 ? "−" : "+") + plain(jump.abs());
    }

    private static String plain(BigDecimal number) {
        return number.signum() == 0 ? "0" : number.stripTrailingZeros().toPlainString();
    }
}
