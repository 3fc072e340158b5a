package wake.plan.lift;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import wake.plan.lift.LiftPlan.Attempt;
import wake.plan.lift.PlateRack.Loading;
import wake.units.ClockTime;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;

/**
 * A lift plan worked out: loads the rack can make, when each lift starts, the rest before it, the plates to change.
 *
 * @param rows the lifts in order
 * @param latestStartMs the last moment the bar may leave the floor, if all of the lift is to be calm
 * @param toNextPartMs from the end of the last lift to the start of the next part; empty when there is none
 */
public record Timetable(List<Row> rows, long latestStartMs, OptionalLong toNextPartMs) {
    /** The least a lifter is given between two lifts where time has run short: plates, and a few breaths; an assumption. */
    static final long SHORTEST_REST_MS = 30_000;

    private static final BigDecimal HALF = new BigDecimal("0.5");

    public Timetable {
        rows = List.copyOf(rows);
    }

    /**
     * One lift.
     *
     * @param attempt what was planned
     * @param wanted the load wished for
     * @param loading what is on the bar: the heaviest the rack can make that is not above it
     * @param percent of the max, on the bar
     * @param jump from the load before; empty for the first
     * @param restMs from the end of the lift before, or from "go"
     * @param latestStartMs the last moment it may start if those after it are to be made with short rests
     * @param change plates to change before it, at each side
     * @param heavier the smallest load above it that the rack can make
     */
    public record Row(
            Attempt attempt,
            Quantity wanted,
            Loading loading,
            double percent,
            Optional<BigDecimal> jump,
            long restMs,
            long latestStartMs,
            PlateChange change,
            Optional<Quantity> heavier) {
        /** The load in the other unit, rounded down: whole pounds, half kilograms. Common practice in competition, no source. */
        public Quantity converted() {
            return other(loading.load());
        }
    }

    static Quantity other(Quantity load) {
        if (load.unit() == Unit.KILOGRAM) {
            return new Quantity(BigDecimal.valueOf(Math.floor(load.in(Unit.POUND) + 1e-9)), Unit.POUND);
        }
        BigDecimal halves = BigDecimal.valueOf(Math.floor(load.in(Unit.KILOGRAM) * 2 + 1e-9));
        return new Quantity(halves.multiply(HALF), Unit.KILOGRAM);
    }

    /** The window in a sentence: "Five lifts from 39 kg to 53 kg; the last leaves the floor at 7:45." */
    public String answer() {
        Row last = rows.getLast();
        String leaves = ClockTime.of(last.attempt().startMs()).toSeconds();
        return rows.size() == 1
                ? "1 lift, " + last.loading().load() + ", starts at " + leaves + "."
                : rows.size() + " lifts, " + rows.getFirst().loading().load() + " to "
                        + last.loading().load() + ". The last one starts at " + leaves + ".";
    }

    /**
     * Works a plan out.
     *
     * @param pauseMs the rest between this part and the next; empty when there is no next
     */
    public static Timetable of(LiftPlan plan, Format.Lift window, OptionalLong pauseMs) {
        List<Long> latest = latestStarts(plan, window, pauseMs);
        List<Row> rows = new ArrayList<>();
        long free = 0;
        Optional<Loading> before = Optional.empty();
        for (int i = 0; i < plan.lifts().size(); i++) {
            Attempt attempt = plan.lifts().get(i);
            Quantity wanted = plan.wanted(attempt);
            Loading loading = loading(plan, i, before);
            rows.add(new Row(
                    attempt,
                    wanted,
                    loading,
                    percent(loading.load(), plan.max()),
                    before.map(
                            last -> loading.load().value().subtract(last.load().value())),
                    attempt.startMs() - free,
                    latest.get(i),
                    PlateChange.between(before.map(Loading::side).orElse(List.of()), loading),
                    plan.rack().heavier(loading.load()).map(Loading::load)));
            free = attempt.endMs();
            before = Optional.of(loading);
        }
        return new Timetable(
                rows,
                window.windowMs() - UsualTimetable.FINAL_MS,
                pauseMs.isPresent()
                        ? OptionalLong.of(window.windowMs() + pauseMs.getAsLong() - free)
                        : OptionalLong.empty());
    }

    /** A build-up bar as it is soonest loaded, where that is above the bar before and below what is still to come; everything else rounded down. */
    private static Loading loading(LiftPlan plan, int at, Optional<Loading> before) {
        Attempt attempt = plan.lifts().get(at);
        Quantity wanted = plan.wanted(attempt);
        if (attempt.role() != LiftPlan.Role.PREP || !(attempt.want() instanceof LiftPlan.Want.OfMax)) {
            return plan.rack().roundedDown(wanted);
        }
        Optional<Quantity> next = plan.lifts().stream()
                .skip(at + 1L)
                .findFirst()
                .map(lift -> plan.rack().roundedDown(plan.wanted(lift)).load());
        return plan.rack().buildUp(wanted, before.map(Loading::load), next);
    }

    private static List<Long> latestStarts(LiftPlan plan, Format.Lift window, OptionalLong pauseMs) {
        List<Long> latest = new ArrayList<>();
        long before = Long.MAX_VALUE;
        for (Attempt attempt : plan.lifts().reversed()) {
            long buzzer = UsualTimetable.latestStart(window.windowMs(), attempt.lengthMs(), pauseMs);
            before = before == Long.MAX_VALUE
                    ? buzzer
                    : Math.min(buzzer, before - SHORTEST_REST_MS - attempt.lengthMs());
            latest.add(before);
        }
        return latest.reversed();
    }

    /** A load as a percentage of a max, in whichever units they are. */
    public static double percent(Quantity load, Quantity max) {
        return 100 * load.in(Unit.KILOGRAM) / max.in(Unit.KILOGRAM);
    }
}
