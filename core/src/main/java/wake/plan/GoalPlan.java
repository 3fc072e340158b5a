package wake.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import wake.athlete.Demonstrated;
import wake.plan.Plan.LinePacing;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.units.Messages;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/**
 * Makes a plan hit a goal exactly: what it is over or under the goal is shared between pauses (transitions and rests) and
 * pace, by a common factor on all that can move. Locked lines and allowances for misses stay. No pace goes under the
 * catalogue's fastest usual cadence less a fifth (an assumption), unless the athlete has shown faster.
 */
public final class GoalPlan {
    /** No rate is planned faster than this share of the usual one; an assumption. */
    private static final double FASTER_THAN_USUAL = 0.8;
    /** A plan within two milliseconds of its goal is there. */
    private static final long HAIR_MS = 2;

    private static final int MOST_LOOKS = 60;

    private final ExpandedWorkout expanded;
    private final Plan plan;
    private final Goal goal;
    private final Map<Integer, Double> floors = new HashMap<>();

    private GoalPlan(ExpandedWorkout expanded, Plan plan, Goal goal, Demonstrated demonstrated) {
        this.expanded = expanded;
        this.plan = plan.withStrategy(PacingStrategy.EVEN);
        this.goal = goal;
        for (Segment segment : expanded.segments()) {
            double floor = FASTER_THAN_USUAL
                    * Draft.fastSecondsPerUnit(
                            segment.movement(), segment.amount().unit());
            double best = demonstrated
                    .pace(segment)
                    .map(Demonstrated.Pace::bestSecondsPerUnit)
                    .orElse(floor);
            floors.put(segment.lineIndex(), Math.min(floor, best));
        }
    }

    /**
     * The plan that hits the goal; one with a time for each section hits each of them.
     *
     * @param pauseShare how much of the difference the pauses take, from 0 to 1; empty for their share of the time
     * @throws InvalidInput when the goal cannot be planned, with the least that can
     */
    public static Plan of(
            ExpandedWorkout expanded, Plan plan, Goal goal, Optional<Double> pauseShare, Demonstrated demonstrated) {
        if (plan.roundEveryMs().isPresent() && goal.from() == 0) {
            return onMarks(expanded, plan, goal, pauseShare, demonstrated);
        }
        if (!plan.finish().isNone()) {
            return finishing(expanded, plan, goal, pauseShare, demonstrated);
        }
        Plan aimed = plan;
        for (Goal part : goal.parts(expanded)) {
            Plan alone = goal.sectionsMs().isEmpty() ? aimed : locked(aimed, lines(expanded, part));
            Plan solved = new GoalPlan(expanded, alone, part, demonstrated).solve(pauseShare);
            aimed = asLocked(solved, plan);
        }
        return aimed.dressedAs(plan);
    }

    /**
     * The same with only the lines of the goal's own work moved, the others as they are: what one round, done to warm up, says of the rounds
     * like it.
     */
    static Plan ofItsOwnLines(ExpandedWorkout expanded, Plan plan, Goal goal) {
        Plan alone = locked(plan, lines(expanded, goal));
        Plan solved = new GoalPlan(expanded, alone, goal, Demonstrated.NOTHING).solve(Optional.empty());
        return asLocked(solved, plan).dressedAs(plan);
    }

    /**
     * With rounds on marks the clock is that of the last mark and the work after it: what the work of all must come to without marks is
     * looked for, by halving, since later rounds never start sooner than their mark.
     */
    private static Plan onMarks(
            ExpandedWorkout expanded, Plan plan, Goal goal, Optional<Double> pauseShare, Demonstrated demonstrated) {
        if (!goal.sectionsMs().isEmpty()) {
            throw new InvalidInput(
                    "With rounds on the clock give one goal time: the clock sets when each section starts");
        }
        Plan flat = plan.withStrategy(PacingStrategy.EVEN);
        double low = 0;
        double high = 2.0 * goal.ms();
        Optional<Plan> best = Optional.empty();
        for (int look = 0; look < MOST_LOOKS; look++) {
            long middle = Math.round((low + high) / 2);
            Optional<Plan> tried = reached(expanded, flat, goal.in(middle), pauseShare, demonstrated)
                    .map(solved -> solved.dressedAs(plan));
            if (tried.isEmpty()) {
                low = middle;
                continue;
            }
            long over = overMs(expanded, tried.get(), goal);
            best = over <= 0 ? tried : best;
            if (over > 0) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return best.orElseThrow(() -> new InvalidInput(goal.words() + " can't be reached with a round every "
                + ClockTime.of(plan.roundEveryMs().orElseThrow()).toSeconds()
                + ": the last round starts too late. Start the rounds closer together, or as they come"));
    }

    private static Optional<Plan> reached(
            ExpandedWorkout expanded, Plan flat, Goal goal, Optional<Double> pauseShare, Demonstrated demonstrated) {
        try {
            return Optional.of(new GoalPlan(expanded, flat, goal, demonstrated).solve(pauseShare));
        } catch (InvalidInput outOfReach) {
            return Optional.empty();
        }
    }

    /** The goal with what the pushes of a designed finish save on top: what is planned for without them is looked for. */
    private static Plan finishing(
            ExpandedWorkout expanded, Plan plan, Goal goal, Optional<Double> pauseShare, Demonstrated demonstrated) {
        if (!goal.sectionsMs().isEmpty()) {
            throw new InvalidInput("Give one goal time: with a finish kick the last section ends earlier than planned");
        }
        long target = goal.ms();
        Plan aimed = plan;
        for (int look = 0; look < MOST_LOOKS; look++) {
            Plan flat = plan.withFinish(Finish.NONE);
            aimed = new GoalPlan(expanded, flat, goal.in(target), demonstrated)
                    .solve(pauseShare)
                    .withFinish(plan.finish());
            long over = overMs(expanded, aimed, goal);
            if (over == 0 || over < 0 && -over <= HAIR_MS && goal.extraSteps() > 0) {
                break;
            }
            target -= over;
        }
        return aimed;
    }

    /** The lines that a goal is about. */
    private static Set<Integer> lines(ExpandedWorkout expanded, Goal part) {
        return expanded.segments().subList(part.from(), part.from() + part.whole()).stream()
                .map(Segment::lineIndex)
                .collect(Collectors.toSet());
    }

    /** A plan in which only some lines may move. */
    private static Plan locked(Plan plan, Set<Integer> movable) {
        return plan.withLines(plan.lines().stream()
                .map(line -> movable.contains(line.lineIndex()) ? line : line.locked(true))
                .toList());
    }

    /** A plan with its lines locked as they are in another. */
    private static Plan asLocked(Plan plan, Plan as) {
        return plan.withLines(plan.lines().stream()
                .map(line -> line.locked(as.line(line.lineIndex()).locked()))
                .toList());
    }

    /** By how much a plan is over a goal, in milliseconds; below zero when it is under it. */
    public static long overMs(ExpandedWorkout expanded, Plan plan, Goal goal) {
        if (!plan.finish().isNone() || plan.roundEveryMs().isPresent() && goal.from() == 0) {
            Forecast forecast = Forecast.of(expanded, plan, goal.whole() + 1);
            long whole = goal.whole() == 0 ? 0 : forecast.endsMs().get(goal.whole() - 1);
            return whole
                    + (goal.extraSteps() == 0
                            ? 0
                            : forecast.segments()
                                    .get(goal.whole())
                                    .upTo(goal.extraSteps())
                                    .totalMs())
                    - goal.ms();
        }
        GoalPlan goals = new GoalPlan(expanded, plan, goal, Demonstrated.NOTHING);
        return Math.round(goals.tally(goals.plan).total()) - goal.ms();
    }

    private Plan solve(Optional<Double> pauseShare) {
        Tally now = tally(plan);
        double over = now.total() - target();
        double least = now.fixed + leastWork();
        if (over > 0 && least > goal.ms()) {
            throw new InvalidInput(Messages.of(
                    "Can't reach %s. With no rest, the fastest typical pace and locked rows as they are, this takes %s",
                    goal.words(), ClockTime.of((long) Math.ceil(least)).toTenths()));
        }
        if (now.pauses + now.work <= 0) {
            throw new InvalidInput("All rows are locked. Unlock at least one");
        }
        double share = now.pauses == 0 ? 0 : pauseShare.orElse(now.pauses / (now.pauses + now.work));
        double fromPauses = Math.min(now.pauses, Math.max(over - (now.work - leastWork()), share * over));
        Plan paused = mapped((line, pacing) ->
                now.pauses == 0 ? pacing : pacing.withPausesBy((now.pauses - fromPauses) / now.pauses));
        return paced(paused);
    }

    /** Where the goal ends inside a segment, a hair before it, so that rounding cannot cost the last rep. */
    private long target() {
        return goal.extraSteps() > 0 ? goal.ms() - HAIR_MS : goal.ms();
    }

    /** Time by what may move: pauses, work, and the rest. */
    private static final class Tally {
        double pauses;
        double work;
        double fixed;

        double total() {
            return pauses + work + fixed;
        }
    }

    private Tally tally(Plan of) {
        Tally tally = new Tally();
        for (int i = 0; i < goal.whole(); i++) {
            add(tally, of, expanded.segment(goal.from() + i), 1);
        }
        if (goal.extraSteps() > 0) {
            Segment last = expanded.segment(goal.from() + goal.whole());
            add(tally, of, last, goal.extraSteps() / (double) last.steps());
        }
        return tally;
    }

    private void add(Tally tally, Plan of, Segment segment, double share) {
        PlannedSegment planned = Forecast.planned(expanded, segment.index(), of, 0);
        double pauses = planned.transitionMs() + share * planned.restMs();
        double work = share * Forecast.workMs(expanded, segment, of);
        tally.fixed += share * (planned.missesMs() + planned.pickUpsMs())
                + (segment.index() == 0 ? 0 : segment.restBeforeMs());
        if (of.line(segment.lineIndex()).locked()) {
            tally.fixed += pauses + work;
        } else {
            tally.pauses += pauses;
            tally.work += work;
        }
    }

    private double leastWork() {
        Tally least =
                tally(mapped((line, pacing) -> pacing.withCadence(Math.min(pacing.secondsPerUnit(), floor(line)))));
        return least.work;
    }

    /** The pace that is left once the pauses are set: a common factor, found by halving where some lines meet their floor. */
    private Plan paced(Plan paused) {
        double low = 0;
        double high = 1;
        while (tally(by(paused, high)).total() < target() && high < 1000) {
            high *= 2;
        }
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            if (tally(by(paused, middle)).total() < target()) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return by(paused, low);
    }

    private Plan by(Plan paused, double factor) {
        return mapped(paused, (line, pacing) -> {
            double floor = Math.min(pacing.secondsPerUnit(), floor(line));
            return pacing.withCadence(Math.max(floor, Math.min(3600, pacing.secondsPerUnit() * factor)));
        });
    }

    private Plan mapped(BiFunction<LinePacing, Pacing, Pacing> edit) {
        return mapped(plan, edit);
    }

    private double floor(LinePacing line) {
        return floors.getOrDefault(line.lineIndex(), 0.0);
    }

    private static Plan mapped(Plan of, BiFunction<LinePacing, Pacing, Pacing> edit) {
        List<LinePacing> lines = of.lines().stream()
                .map(line -> line.locked() ? line : line.with(edit))
                .toList();
        return of.withLines(lines);
    }
}
