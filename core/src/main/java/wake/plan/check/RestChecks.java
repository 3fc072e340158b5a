package wake.plan.check;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import wake.plan.Budget.StageMargin;
import wake.plan.Plan.LinePacing;
import wake.plan.PlannedSegment;
import wake.plan.check.PlanCheck.Kind;
import wake.units.ClockTime;
import wake.units.Digits;
import wake.units.Say;

/** Where the pauses lie, and how much the clock leaves. */
final class RestChecks {
    /** An interval round or a staged cap with less than this in hand will not hold. */
    private static final long THIN_MS = 10_000;

    private RestChecks() {}

    /** The longest pause of a round belongs just before the limiter. */
    static List<PlanCheck> limiter(Desk desk) {
        Optional<PlannedSegment> limiter = desk.figures()
                .limiter()
                .flatMap(name -> desk.firstOfEachLine().stream()
                        .filter(planned -> desk.name(planned).equals(name))
                        .findFirst());
        if (limiter.isEmpty()) {
            return List.of();
        }
        List<LinePacing> lines = desk.plan().lines();
        int at = limiter.get().segment().lineIndex();
        LinePacing own = desk.plan().line(at);
        LinePacing longest = lines.stream()
                .max(Comparator.comparingLong(line -> line.every().transitionMs()))
                .orElseThrow();
        if (lines.size() < 2 || own.every().transitionMs() >= longest.every().transitionMs()) {
            return List.of();
        }
        String other = desk.firstOfEachLine().stream()
                .filter(planned -> planned.segment().lineIndex() == longest.lineIndex())
                .map(desk::name)
                .findFirst()
                .orElse("another movement");
        return List.of(PlanCheck.of(
                        Kind.REST_NOT_BEFORE_LIMITER,
                        at,
                        Say.of(
                                "The longest transition is into %s, but the limiter is %s",
                                other, desk.name(limiter.get())))
                .mendedBy(
                        "swap the two",
                        desk.plan()
                                .withLine(own.withEvery(own.every()
                                        .withTransition(longest.every().transitionMs())))
                                .withLine(longest.withEvery(longest.every()
                                        .withTransition(own.every().transitionMs())))));
    }

    static List<PlanCheck> intervals(Desk desk) {
        long least = desk.budget().shortestIntervalRestMs().orElse(Long.MAX_VALUE);
        if (least >= THIN_MS) {
            return List.of();
        }
        String left = least < 0
                ? "The hardest interval is " + Digits.TENTHS.span(-least) + " too long"
                : "The hardest interval leaves " + Digits.TENTHS.span(least) + " of rest. Under 10 s is at risk";
        return List.of(new PlanCheck(Kind.THIN_INTERVAL_REST, OptionalInt.empty(), left, Optional.empty()));
    }

    /** Each stage holds more work in the same time: ten seconds in hand are gone by the next. */
    static List<PlanCheck> stages(Desk desk) {
        return desk.budget().stages().stream()
                .filter(stage -> stage.marginMs() < THIN_MS)
                .findFirst()
                .map(stage ->
                        new PlanCheck(Kind.THIN_STAGE_MARGIN, OptionalInt.empty(), margin(stage), Optional.empty()))
                .stream()
                .toList();
    }

    private static String margin(StageMargin stage) {
        String cap = ClockTime.of(stage.byMs()).toSeconds();
        return stage.marginMs() < 0
                ? Say.capital(stage.after()) + " is planned " + Digits.TENTHS.span(-stage.marginMs())
                        + " after its cut-off of " + cap
                : Say.capital(stage.after()) + " makes its cut-off of " + cap + " by only "
                        + Digits.TENTHS.span(stage.marginMs()) + ". Under 10 s the next one is at risk";
    }
}
