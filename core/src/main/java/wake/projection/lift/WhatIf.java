package wake.projection.lift;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.LiftPlan.Attempt;
import wake.plan.lift.LiftPlan.Role;
import wake.plan.lift.PlateRack;
import wake.projection.FatigueCost;
import wake.projection.lift.LiftProjection.Terms;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.units.Messages;
import wake.units.Quantity;
import wake.workout.Format;

/**
 * One thing a timetable could have otherwise, with what that does to the chance of beating the best.
 *
 * @param words what would be done
 * @param plan the timetable with it done
 * @param beats how likely the best is beaten then, 0 to 1
 * @param expectedKg the score to be expected then, kilograms
 */
public record WhatIf(String words, LiftPlan plan, double beats, double expectedKg) {
    private static final double SAME = 0.005;
    private static final double SAME_KG = 0.05;
    private static final long APART_MS = 60_000;
    /** In so long a rest the larger half of what a rest gives has come; an assumption. */
    private static final double MOST_REST_S = 120;

    /** The options worth looking at, those that help most first. */
    public static List<WhatIf> of(LiftPlan plan, Terms terms) {
        LiftProjection now = LiftProjection.of(plan, terms);
        int last = plan.lifts().size() - 1;
        Map<String, Optional<LiftPlan>> options = new LinkedHashMap<>();
        options.put("bigger first jump: drop lift 2, add its time to rest", biggerFirstJump(plan, terms.window()));
        options.put("build-up lifts one minute apart, all the rest before the last", moreRest(plan, terms.window()));
        lighterWish(plan, terms.before())
                .ifPresent(other -> options.put(
                        "last lift at " + load(other, last) + ", the smallest that beats the best",
                        Optional.of(other)));
        options.put("reach before target", heavierFirst(plan));
        List<WhatIf> all = new ArrayList<>();
        options.forEach((words, option) -> option.ifPresent(other -> {
            LiftProjection projection = LiftProjection.of(other, terms);
            all.add(new WhatIf(words, other, projection.beats(), projection.expectedKg()));
        }));
        return all.stream()
                .filter(one -> Math.abs(one.beats() - now.beats()) >= SAME
                        || Math.abs(one.expectedKg() - now.expectedKg()) >= SAME_KG)
                .sorted(Comparator.comparingDouble(WhatIf::beats)
                        .thenComparingDouble(WhatIf::expectedKg)
                        .reversed())
                .toList();
    }

    private static String load(LiftPlan plan, int at) {
        return plan.rack().roundedDown(plan.wanted(plan.lifts().get(at))).load().toString();
    }

    /** The second lift goes; what it took is spread over the rests of the later ones. */
    private static Optional<LiftPlan> biggerFirstJump(LiftPlan plan, Format.Lift window) {
        if (plan.lifts().size() < 4 || plan.lifts().get(1).role() != Role.PREP) {
            return Optional.empty();
        }
        List<Attempt> lifts = new ArrayList<>(plan.lifts());
        lifts.remove(1);
        long first = lifts.getFirst().startMs();
        long last = lifts.getLast().startMs();
        for (int i = 1; i < lifts.size() - 1; i++) {
            lifts.set(i, lifts.get(i).at((first + (last - first) * i / (lifts.size() - 1)) / 1000 * 1000));
        }
        return fitting(plan.withLifts(lifts), window);
    }

    /** All lifts but the last as early as the plates allow. */
    private static Optional<LiftPlan> moreRest(LiftPlan plan, Format.Lift window) {
        if (plan.lifts().size() < 2) {
            return Optional.empty();
        }
        List<Attempt> lifts = new ArrayList<>(plan.lifts());
        long free = lifts.getFirst().endMs();
        for (int i = 1; i < lifts.size() - 1; i++) {
            long start = Math.min(lifts.get(i).startMs(), (free + APART_MS + 999) / 1000 * 1000);
            lifts.set(i, lifts.get(i).at(start));
            free = lifts.get(i).endMs();
        }
        return fitting(plan.withLifts(lifts), window);
    }

    private static Optional<LiftPlan> lighterWish(LiftPlan plan, Optional<Quantity> before) {
        int last = plan.lifts().size() - 1;
        Optional<Quantity> smallest =
                before.flatMap(best -> plan.rack().heavier(best)).map(PlateRack.Loading::load);
        return smallest.filter(load -> !load.toString().equals(load(plan, last)))
                .map(load -> plan.withLift(last, plan.lifts().get(last).loaded(load)));
    }

    /** The last two the other way round. */
    private static Optional<LiftPlan> heavierFirst(LiftPlan plan) {
        int last = plan.lifts().size() - 1;
        boolean asUsual = last > 0
                && plan.lifts().get(last).role() == Role.WISH
                && plan.lifts().get(last - 1).role() == Role.MUST_HIT;
        if (!asUsual) {
            return Optional.empty();
        }
        List<Attempt> lifts = new ArrayList<>(plan.lifts());
        Attempt must = lifts.get(last - 1);
        Attempt reach = lifts.get(last);
        lifts.set(last - 1, new Attempt(reach.role(), reach.want(), must.startMs(), must.lengthMs(), reach.pieces()));
        lifts.set(last, new Attempt(must.role(), must.want(), reach.startMs(), reach.lengthMs(), must.pieces()));
        return Optional.of(plan.withLifts(lifts));
    }

    private static Optional<LiftPlan> fitting(LiftPlan plan, Format.Lift window) {
        try {
            return Optional.of(plan.checkedFor(window));
        } catch (InvalidInput unfit) {
            return Optional.empty();
        }
    }

    /**
     * What ending the lifts sooner or later does to the part that follows: of each second more of rest, up to two minutes, so much comes back as
     * faster work. Empty where nothing follows or nothing changes.
     *
     * @param wasMs from the last lift to the next part, as it was
     * @param isMs as it would be
     */
    public static Optional<String> nextPart(OptionalLong wasMs, OptionalLong isMs, FatigueCost fatigueCost) {
        if (wasMs.isEmpty() || isMs.isEmpty() || Math.abs(isMs.getAsLong() - wasMs.getAsLong()) < 1000) {
            return Optional.empty();
        }
        double was = Math.clamp(wasMs.getAsLong() / 1000.0, 0, MOST_REST_S);
        double is = Math.clamp(isMs.getAsLong() / 1000.0, 0, MOST_REST_S);
        double seconds = fatigueCost.rests() * (is - was);
        long change = isMs.getAsLong() - wasMs.getAsLong();
        String rest = "The next part begins "
                + ClockTime.of(Math.max(0, isMs.getAsLong())).toSeconds() + " after the last lift, " + span(change)
                + (change > 0 ? " more" : " less") + " rest than before";
        return Optional.of(
                Math.abs(seconds) < 0.5
                        ? rest + ". Beyond two minutes, more rest is not counted."
                        : rest
                                + Messages.of(
                                        ". At %.1f s for each second (assumed), about %.0f s %s in it.",
                                        fatigueCost.rests(), Math.abs(seconds), seconds > 0 ? "saved" : "lost"));
    }

    private static String span(long ms) {
        return Math.abs(ms) < 60_000
                ? Math.abs(ms) / 1000 + " s"
                : ClockTime.of(Math.abs(ms)).toSeconds();
    }
}
