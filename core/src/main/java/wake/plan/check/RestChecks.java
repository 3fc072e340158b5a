package wake.plan.check;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import wake.plan.Budget.CutOffMargin;
import wake.plan.Plan.LinePacing;
import wake.plan.PlannedSegment;
import wake.plan.check.PlanCheck.Kind;
import wake.units.ClockTime;
import wake.units.Digits;
import wake.units.Messages;

/** Where the pauses lie, and how much the clock leaves. */
final class RestChecks {
    /** An interval round or a cut-off with less to spare than this will not hold; an assumption. */
    private static final long THIN_MS = 10_000;

    private RestChecks() {}

    /** The longest pause of a round belongs just before the limiter. */
    static List<PlanCheck> limiter(CheckContext context) {
        Optional<PlannedSegment> limiter = context.figures()
                .limiter()
                .flatMap(name -> context.firstOfEachLine().stream()
                        .filter(planned -> context.name(planned).equals(name))
                        .findFirst());
        if (limiter.isEmpty()) {
            return List.of();
        }
        List<LinePacing> lines = context.plan().lines();
        int at = limiter.get().segment().lineIndex();
        LinePacing own = context.plan().line(at);
        LinePacing longest = lines.stream()
                .max(Comparator.comparingLong(line -> line.every().transitionMs()))
                .orElseThrow();
        if (lines.size() < 2 || own.every().transitionMs() >= longest.every().transitionMs()) {
            return List.of();
        }
        String other = context.firstOfEachLine().stream()
                .filter(planned -> planned.segment().lineIndex() == longest.lineIndex())
                .map(context::name)
                .findFirst()
                .orElse("another movement");
        return List.of(PlanCheck.of(
                        Kind.REST_NOT_BEFORE_LIMITER,
                        at,
                        Messages.of(
                                "The longest transition is into %s, but the limiter is %s",
                                other, context.name(limiter.get())))
                .mendedBy(
                        "swap the two",
                        context.plan()
                                .withLine(own.withEvery(own.every()
                                        .withTransition(longest.every().transitionMs())))
                                .withLine(longest.withEvery(longest.every()
                                        .withTransition(own.every().transitionMs())))));
    }

    static List<PlanCheck> intervals(CheckContext context) {
        long least = context.budget().shortestIntervalRestMs().orElse(Long.MAX_VALUE);
        if (least >= THIN_MS) {
            return List.of();
        }
        String left = least < 0
                ? "The hardest interval is " + Digits.TENTHS.span(-least) + " too long"
                : "The hardest interval leaves " + Digits.TENTHS.span(least) + " of rest. Under 10 s is at risk";
        return List.of(new PlanCheck(Kind.THIN_INTERVAL_REST, OptionalInt.empty(), left, Optional.empty()));
    }

    /** Each stage holds more work in the same time: ten seconds in hand are gone by the next. */
    static List<PlanCheck> cutOffs(CheckContext context) {
        return context.budget().cutOffs().stream()
                .filter(cutOff -> cutOff.marginMs() < THIN_MS)
                .findFirst()
                .map(cutOff ->
                        new PlanCheck(Kind.THIN_STAGE_MARGIN, OptionalInt.empty(), margin(cutOff), Optional.empty()))
                .stream()
                .toList();
    }

    private static String margin(CutOffMargin cutOff) {
        String cap = ClockTime.of(cutOff.byMs()).toSeconds();
        return cutOff.marginMs() < 0
                ? Messages.capital(cutOff.after()) + " is planned " + Digits.TENTHS.span(-cutOff.marginMs())
                        + " after its cut-off of " + cap
                : Messages.capital(cutOff.after()) + " makes its cut-off of " + cap + " by only "
                        + Digits.TENTHS.span(cutOff.marginMs()) + ". Under 10 s the next one is at risk";
    }
}
