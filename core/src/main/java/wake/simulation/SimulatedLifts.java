package wake.simulation;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.SplittableRandom;
import java.util.UUID;
import wake.log.Granularity;
import wake.log.Lift;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.LiftPlan.Attempt;
import wake.plan.lift.PlateRack;
import wake.plan.lift.Timetable;
import wake.plan.lift.UsualTimetable;
import wake.units.Quantity;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/**
 * A simulated lifter in a window. The truth is known: when each bar left the floor, every rep, which one was missed, when the bar was down. The same
 * seed gives the same lifts.
 */
public final class SimulatedLifts {
    /** Half of the lifts at this share of the max are made, a complex at so much less; an invented lifter. */
    private static final double MIDDLE = 101;

    private static final double COMPLEX = 12;
    private static final double SPREAD = 3;
    private static final long DOWN_MS = 1200;
    private static final int USUAL_LIFTS = 5;

    private final Format.Lift window;
    private final LiftPlan plan;
    private final SplittableRandom random;
    private final List<Mark> truth = new ArrayList<>();

    private SimulatedLifts(Format.Lift window, LiftPlan plan, long seed) {
        this.window = window;
        this.plan = plan;
        random = new SplittableRandom(seed);
    }

    /**
     * Lifts as planned, or nearly.
     *
     * @throws IllegalArgumentException when the expanded workout is no lift window
     */
    public static SimulatedAttempt run(ExpandedWorkout expanded, LiftPlan plan, long seed) {
        if (!(expanded.format() instanceof Format.Lift window)) {
            throw new IllegalArgumentException("This part is not a max-lift window");
        }
        return new SimulatedLifts(window, plan, seed).run(expanded);
    }

    /** A timetable for who has none: five lifts of an invented max, fewer where they do not fit. */
    public static LiftPlan usual(Format.Lift window, Quantity max, PlateRack rack) {
        return UsualTimetable.asManyAsFit(window, max, USUAL_LIFTS, OptionalLong.empty(), OptionalLong.empty(), rack);
    }

    private SimulatedAttempt run(ExpandedWorkout expanded) {
        long free = 0;
        for (Timetable.Row row :
                Timetable.of(plan, window, OptionalLong.empty()).rows()) {
            Attempt lift = row.attempt();
            long late = Math.round(4000 * (random.nextDouble() + random.nextDouble() - 0.6));
            long start = Math.max(Math.max(200, lift.startMs() + late), free + 2000);
            if (start >= window.windowMs()) {
                break;
            }
            see(MarkKind.LIFT, start, Lift.OPEN, text(row, lift));
            free = lift(row, lift, start);
        }
        truth.add(new Mark(
                new UUID(3, truth.size()),
                MarkKind.STOP,
                Math.max(window.windowMs(), free),
                0,
                Granularity.SET,
                "",
                "",
                0));
        return new SimulatedAttempt(expanded, truth, Math.max(window.windowMs(), free));
    }

    private static String text(Timetable.Row row, Attempt lift) {
        return new Lift.LiftText(row.loading().load(), lift.pieces()).toString();
    }

    /** The reps of a lift, made or one missed; gives when the bar is down. */
    private long lift(Timetable.Row row, Attempt lift, long start) {
        List<LiftPiece> pieces = lift.pieces(window.complex());
        int reps = LiftPiece.repsOf(pieces);
        double asked = row.percent() + (reps > 1 ? COMPLEX : 0);
        boolean made = random.nextDouble() < 1 / (1 + Math.exp((asked - MIDDLE) / SPREAD));
        int missed = made ? 0 : Math.max(1, reps - random.nextInt((reps + 1) / 2));
        // Heavier bars go up more slowly.
        double each = (lift.lengthMs() - DOWN_MS) / (double) reps * (0.85 + 0.2 * Math.max(0, asked - 70) / 30);
        double at = start;
        for (int rep = 1; rep <= reps; rep++) {
            at += Math.max(400, each * (0.9 + 0.2 * random.nextDouble()));
            if (rep == missed) {
                see(MarkKind.MISS, Math.round(at), "", "");
                return Math.round(at);
            }
            see(MarkKind.REP, Math.round(at), "", "");
        }
        long down = Math.round(at) + DOWN_MS;
        see(MarkKind.OFF, down, "", "");
        return down;
    }

    private void see(MarkKind kind, long at, String tag, String text) {
        truth.add(new Mark(new UUID(3, truth.size()), kind, at, 0, Granularity.SET, tag, text, 0));
    }
}
