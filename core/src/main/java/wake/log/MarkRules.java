package wake.log;

import java.util.Optional;
import java.util.function.Supplier;
import wake.units.ClockTime;
import wake.units.Messages;

/** Which marks make sense at a point of the log. One rule each, with the reason a coach reads when a key is refused. */
final class MarkRules {
    private MarkRules() {}

    /** Why a mark of a kind makes no sense now; empty when it does. */
    static Optional<String> refusal(MarkKind kind, int reps, AttemptLog.Cursor now) {
        if (kind == MarkKind.CUE) {
            return Optional.empty();
        }
        if (kind == MarkKind.BLIND || kind == MarkKind.SEEN) {
            boolean blocked = now.blind();
            return kind == MarkKind.BLIND
                    ? refuseIf(blocked, () -> "The view is blocked already.")
                    : refuseIf(!blocked, () -> "The view is not blocked.");
        }
        // What left the floor before the buzzer is logged to its end, also after it.
        boolean ofTheLift = now.done() && now.lift().isPresent() && kind != MarkKind.LIFT && kind != MarkKind.STOP;
        if (ofTheLift
                && (now.phase() != Phase.STOPPED || now.lift().orElseThrow().open())) {
            return now.lift().orElseThrow().refusal(kind);
        }
        if (now.phase() == Phase.FINISHED) {
            return Optional.of(
                    "The attempt ended at " + ClockTime.of(now.clockMs()).toTenths() + ".");
        }
        if (now.phase() == Phase.STOPPED) {
            return Optional.of(
                    "The attempt was stopped at " + ClockTime.of(now.clockMs()).toTenths() + ".");
        }
        if (now.done()) {
            return refuseIf(
                    kind != MarkKind.LIFT && kind != MarkKind.STOP,
                    () -> "No lift has started yet: L adds a lift, X is time.");
        }
        SegmentTrace trace = now.trace();
        return switch (kind) {
            case VARIANT -> Optional.empty();
            case BEGIN ->
                refuseIf(
                        trace.phase() != Phase.MOVING_TO,
                        () -> Messages.capital(trace.segment.label()) + " already started. Press S for a break.");
            case REP ->
                trace.segment.tappable()
                        ? refuseIf(reps > 1, () -> "One rep at a time. For a whole set, press S and type its reps.")
                        : Optional.of(Messages.capital(unitPlural(trace)) + " aren't counted one by one. Press D when "
                                + trace.segment.label() + " is done.");
            case OFF ->
                trace.phase() == Phase.RESTING
                        ? Optional.of("Already resting. Press S when the athlete is back on.")
                        : tooMany(trace, reps);
            case ON -> refuseIf(trace.phase() != Phase.RESTING, () -> "Not resting. Press S at a break first.");
            case NO_REP, MISS, TRIP -> Optional.empty();
            case LIFT -> Optional.of("This workout has no max-lift window.");
            case DONE -> lastSet(trace, reps);
            case STOP -> atTheBuzzer(trace, reps);
            case CUE, BLIND, SEEN -> throw new IllegalStateException("answered above");
        };
    }

    private static Optional<String> tooMany(SegmentTrace trace, int reps) {
        int before = trace.phase() == Phase.WORKING
                ? trace.counted() - trace.sets.getLast().known()
                : trace.counted();
        int amount = trace.segment.countable().orElse(Integer.MAX_VALUE);
        return refuseIf(
                before + reps >= amount && reps > 0,
                () -> before + " + " + reps + " is all of " + trace.segment.label() + ". Press D for done.");
    }

    /** Reps logged with the end of a movement are those of its last set, and have to make up its amount. */
    private static Optional<String> lastSet(SegmentTrace trace, int reps) {
        boolean known = reps > 0
                && trace.sets.stream().noneMatch(set -> set.endMs != null && set.known() == 0 && !set.failed());
        int before = trace.phase() == Phase.WORKING
                ? trace.counted() - trace.sets.getLast().known()
                : trace.counted();
        int left = trace.segment.countable().orElse(0) - before;
        return refuseIf(
                known && reps != left,
                () -> before + " + " + reps + " is not all of " + trace.segment.label() + ": " + left + " left.");
    }

    /** Reps logged with the buzzer are all of the movement so far. */
    private static Optional<String> atTheBuzzer(SegmentTrace trace, int reps) {
        int amount = trace.segment.countable().orElse(0);
        if (reps == 0) {
            return Optional.empty();
        }
        if (amount == 0) {
            return Optional.of(Messages.capital(trace.segment.label()) + " counts only when complete.");
        }
        return reps < trace.counted()
                ? Optional.of(
                        trace.counted() + " of " + trace.segment.label() + " are counted already, not " + reps + ".")
                : refuseIf(reps >= amount, () -> reps + " is all of " + trace.segment.label() + ". Press D for done.");
    }

    private static String unitPlural(SegmentTrace trace) {
        return switch (trace.segment.amount().unit()) {
            case CALORIE -> "calories";
            case SECOND -> "seconds";
            default -> "metres";
        };
    }

    private static Optional<String> refuseIf(boolean condition, Supplier<String> reason) {
        return condition ? Optional.of(reason.get()) : Optional.empty();
    }
}
