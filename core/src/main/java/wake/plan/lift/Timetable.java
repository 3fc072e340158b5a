package wake.plan.lift;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import wake.plan.lift.LiftPlan.Attempt;
import wake.plan.lift.PlateRack.Loading;
import wake.units.ClockTime;
import wake.units.Quantity;
import wake.workout.Format;

/**
 * A lift plan worked out: loads the rack can make, when each lift starts, the rest before it, the plates to change.
 *
 * @param rows the lifts in order
 * @param latestStartMs the last moment the bar may leave the floor, if all of the lift is to be calm
 * @param toNextPartMs from the end of the last lift to the start of the next part; empty when there is none
 */
public record Timetable(List<Row> rows, long latestStartMs, OptionalLong toNextPartMs) {
    public Timetable {
        rows = List.copyOf(rows);
    }

    /**
     * One lift.
     *
     * @param attempt what was planned
     * @param wanted the exact share of the max
     * @param loading the nearest load the rack can make
     * @param restMs standing still before it
     * @param change plates to change before it, at each side
     */
    public record Row(Attempt attempt, Quantity wanted, Loading loading, long restMs, PlateChange change) {}

    /** The window in a sentence: "Five lifts from 39 kg to 53 kg; the last leaves the floor at 7:45." */
    public String answer() {
        Row last = rows.getLast();
        String leaves = ClockTime.of(last.attempt().startMs()).toSeconds();
        return rows.size() == 1
                ? "One lift, " + last.loading().load() + ", leaving the floor at " + leaves + "."
                : rows.size() + " lifts from " + rows.getFirst().loading().load() + " to "
                        + last.loading().load() + "; the last leaves the floor at " + leaves + ".";
    }

    /**
     * Works a plan out.
     *
     * @param pauseMs the rest between this part and the next; empty when there is no next
     */
    public static Timetable of(LiftPlan plan, Format.Lift window, OptionalLong pauseMs) {
        List<Row> rows = new ArrayList<>();
        long free = 0;
        List<BigDecimal> onTheBar = List.of();
        for (Attempt attempt : plan.lifts()) {
            Quantity wanted = new Quantity(
                    plan.max().value().multiply(BigDecimal.valueOf(attempt.percent() / 100)),
                    plan.max().unit());
            Loading loading = plan.rack().nearest(wanted);
            rows.add(new Row(
                    attempt, wanted, loading, attempt.startMs() - free, PlateChange.between(onTheBar, loading)));
            free = attempt.startMs() + plan.complexMs();
            onTheBar = loading.side();
        }
        long end = free;
        return new Timetable(
                rows,
                window.windowMs() - LiftPlan.FINAL_MS,
                pauseMs.isPresent()
                        ? OptionalLong.of(window.windowMs() + pauseMs.getAsLong() - end)
                        : OptionalLong.empty());
    }
}
