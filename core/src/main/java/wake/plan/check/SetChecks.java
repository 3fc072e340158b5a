package wake.plan.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import wake.plan.Draft;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.PlannedSegment;
import wake.plan.SetScheme;
import wake.plan.check.PlanCheck.Kind;
import wake.units.Messages;

/** Where sets are broken, and how large they are. */
final class SetChecks {
    /** More breaks than this of one bar are worth a word; an assumption. */
    private static final int MANY_DROPS = 3;

    private SetChecks() {}

    /**
     * When the next movement starts where a rep of this one ends, with the same load, a break between the two costs a rep
     * that nobody counts: the load has to come up again. Broken one rep earlier, the last rep is the way up.
     */
    static List<PlanCheck> boundaries(CheckContext context) {
        List<PlanCheck> checks = new ArrayList<>();
        for (PlannedSegment planned : context.firstOfEachLine()) {
            Optional<PlannedSegment> after =
                    context.after(planned).filter(next -> planned.segment().handsOverTo(next.segment()));
            if (after.isEmpty()
                    || after.get().transitionMs() <= Pacing.HELD_MS
                    || planned.segment().steps() < 2) {
                continue;
            }
            PlannedSegment next = after.get();
            long pickUps = pickUps(context, planned.segment().lineIndex());
            String sentence = Messages.of(
                    "Dropping the bar after the last %s adds %s before %s (%s)",
                    context.name(planned),
                    pickUps == 1 ? "a pick-up" : pickUps + " pick-ups",
                    context.name(next),
                    taking(context, next, pickUps));
            checks.add(PlanCheck.of(Kind.BREAK_AT_BOUNDARY, planned.segment().lineIndex(), sentence)
                    .mendedBy(
                            Messages.of(
                                    "break at %s and go straight from the last %s into %s",
                                    oneEarlier(planned).written(), context.name(planned), context.name(next)),
                            brokenEarlier(context.plan(), planned, next)));
        }
        return checks;
    }

    /** What the pick-ups take: what the plan allows for them, else nothing that it allows for. */
    private static String taking(CheckContext context, PlannedSegment next, long pickUps) {
        long each = context.plan().pacing(next.segment()).pickUpMs();
        return each == 0
                ? "no time planned for it"
                : Messages.of("%.1f s each, %.0f s total", each / 1000.0, pickUps * each / 1000.0);
    }

    /** How often a line of the plan ends in a break before what it hands its load over to. */
    private static long pickUps(CheckContext context, int lineIndex) {
        List<PlannedSegment> planned = context.forecast().segments();
        return IntStream.range(1, planned.size())
                .filter(i -> planned.get(i - 1).segment().lineIndex() == lineIndex
                        && planned.get(i - 1)
                                .segment()
                                .handsOverTo(planned.get(i).segment())
                        && planned.get(i).transitionMs() > Pacing.HELD_MS)
                .count();
    }

    /** The planned sets with the last rep kept for the way up. */
    private static SetScheme oneEarlier(PlannedSegment planned) {
        List<Integer> sizes = new ArrayList<>(
                planned.sets().isEmpty() ? List.of(planned.segment().steps()) : planned.sets());
        int last = sizes.removeLast();
        if (last > 1) {
            sizes.add(last - 1);
        }
        sizes.add(1);
        return new SetScheme(sizes);
    }

    private static Plan brokenEarlier(Plan plan, PlannedSegment planned, PlannedSegment next) {
        LinePacing line = plan.line(planned.segment().lineIndex());
        LinePacing after = plan.line(next.segment().lineIndex());
        Pacing every = line.every().withSets(oneEarlier(planned));
        long rest = planned.sets().size() > 1
                ? Math.min(every.rests().usualMs(), next.transitionMs())
                : next.transitionMs();
        return plan.withLine(line.withEvery(every.withRest(rest)))
                .withLine(after.withEvery(after.every().withTransition(0)));
    }

    static List<PlanCheck> tooLarge(CheckContext context) {
        List<PlanCheck> checks = new ArrayList<>();
        for (PlannedSegment planned : context.firstOfEachLine()) {
            Optional<Integer> unbroken =
                    context.figures().unbroken(planned.segment().movement());
            int largest =
                    planned.sets().stream().mapToInt(Integer::intValue).max().orElse(0);
            if (unbroken.isEmpty() || largest <= Draft.most(unbroken.get())) {
                continue;
            }
            SetScheme smaller = SetScheme.atMost(
                    Draft.most(unbroken.get()), planned.segment().steps());
            LinePacing line = context.plan().line(planned.segment().lineIndex());
            checks.add(PlanCheck.of(
                            Kind.SET_TOO_LARGE,
                            line.lineIndex(),
                            Messages.of(
                                    "A set of %d is over %d%% of the athlete's best unbroken set (%d). Break at %d, before failure",
                                    largest,
                                    Math.round(100 * Draft.SET_SHARE),
                                    unbroken.get(),
                                    Draft.most(unbroken.get())))
                    .mendedBy(
                            smaller.written(),
                            context.plan().withLine(line.withEvery(line.every().withSets(smaller)))));
        }
        return checks;
    }

    /** More than three breaks a round put the load down, and pick it up, more often than it need be. */
    static List<PlanCheck> manyDrops(CheckContext context) {
        List<PlannedSegment> loaded = context.firstOfEachLine().stream()
                .filter(planned -> planned.segment().mass().isPresent()
                        && planned.segment().inRounds())
                .toList();
        int drops = loaded.stream()
                .mapToInt(planned -> Math.max(0, planned.sets().size() - 1))
                .sum();
        return loaded.size() < 2 || drops <= MANY_DROPS
                ? List.of()
                : List.of(PlanCheck.of(
                        Kind.MANY_DROPS,
                        loaded.getFirst().segment().lineIndex(),
                        drops + " breaks a round with the load. Aim for three at most"));
    }
}
