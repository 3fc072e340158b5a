package wake.plan.lift;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import wake.plan.lift.LiftPlan.Attempt;
import wake.plan.lift.LiftPlan.Role;
import wake.plan.lift.LiftPlan.Want;
import wake.plan.lift.Timetable.Row;
import wake.units.ClockTime;
import wake.units.Messages;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/** What a coach would question in a timetable, each with its reason and, where there is one, what would mend it. */
public final class LiftChecks {
    /** The share at which a lift must be made after a conditioning part: a single, a complex. Common practice, no source. */
    private static final double SINGLE_FROM = 85;

    private static final double SINGLE_TO = 95;
    private static final double COMPLEX_FROM = 75;
    private static final double COMPLEX_TO = 81;
    /** A reach lift is 2.5–5 % above what must be made, not 10 %. Common practice, no source. */
    private static final double WISH_AT_MOST = 10;

    private static final double WISH_STEP = 1.05;

    private LiftChecks() {}

    /** The rules. */
    public enum Kind {
        SHORT_REST,
        PAST_THE_BELL,
        IN_THE_FINAL_SECONDS,
        NEXT_PART_CLOSE,
        WISH_TOO_FAR,
        ABOVE_THE_MAX,
        NOT_ON_THIS_RACK,
        AFTER_ANOTHER_PART,
        LIGHTER_THAN_BEFORE
    }

    /**
     * Something to question.
     *
     * @param kind which rule
     * @param lift which lift, from 0; empty when it concerns them all
     * @param sentence the reason with its number
     * @param fix what would mend it, in a few words
     * @param mended the plan with it done
     */
    public record Check(Kind kind, OptionalInt lift, String sentence, Optional<String> fix, Optional<LiftPlan> mended) {
        /** The same for the same thing in any version of the plan, so that it stays set aside. */
        public String key() {
            return "LIFT_" + kind + (lift.isPresent() ? ":" + lift.getAsInt() : "");
        }
    }

    /** The rule beside a lift that must be made where a conditioning part came before on the same clock. */
    public static String fatigueRule(Format.Lift window) {
        return LiftPiece.repsOf(window.complex()) == 1
                ? Messages.of("typical after a conditioning part: a single at %.0f–%.0f%%", SINGLE_FROM, SINGLE_TO)
                : Messages.of("typical after a conditioning part: a complex at %.0f–%.0f%%", COMPLEX_FROM, COMPLEX_TO);
    }

    /**
     * All there is to question.
     *
     * @param afterAnotherPart whether another part of the same clock comes before the window
     */
    public static List<Check> of(LiftPlan plan, Timetable table, Format.Lift window, boolean afterAnotherPart) {
        List<Check> checks = new ArrayList<>();
        for (int i = 0; i < table.rows().size(); i++) {
            Row row = table.rows().get(i);
            rest(row, i, plan).ifPresent(checks::add);
            buzzer(row, i, window).ifPresent(checks::add);
            load(row, i, plan).ifPresent(checks::add);
            order(table, i).ifPresent(checks::add);
        }
        reach(plan, table).ifPresent(checks::add);
        if (afterAnotherPart) {
            fatigue(plan, table, window).ifPresent(checks::add);
        }
        table.toNextPartMs().stream()
                .filter(left -> left < UsualTimetable.BEFORE_NEXT_PART_MS)
                .mapToObj(left -> check(
                        Kind.NEXT_PART_CLOSE,
                        OptionalInt.empty(),
                        Messages.of(
                                "%s from the last lift to the next part. Leave at least 0:30",
                                ClockTime.of(Math.max(0, left)).toSeconds())))
                .forEach(checks::add);
        return checks;
    }

    private static Check check(Kind kind, OptionalInt lift, String sentence) {
        return new Check(kind, lift, sentence, Optional.empty(), Optional.empty());
    }

    private static Optional<Check> rest(Row row, int at, LiftPlan plan) {
        boolean isShort = at > 0 && row.restMs() < Timetable.SHORTEST_REST_MS;
        if (!isShort) {
            return Optional.empty();
        }
        String sentence = Messages.of(
                "%d s before lift %d, and changing plates takes about %d s. Fewer lifts leave more rest",
                row.restMs() / 1000, at + 1, UsualTimetable.CHANGE_MS / 1000);
        boolean canGo =
                row.attempt().role() == Role.PREP || plan.lifts().get(at - 1).role() == Role.PREP;
        int out = row.attempt().role() == Role.PREP ? at : at - 1;
        return Optional.of(
                canGo && plan.lifts().size() > 1
                        ? new Check(
                                Kind.SHORT_REST,
                                OptionalInt.of(at),
                                sentence,
                                Optional.of("remove lift " + (out + 1)),
                                Optional.of(without(plan, out)))
                        : check(Kind.SHORT_REST, OptionalInt.of(at), sentence));
    }

    private static LiftPlan without(LiftPlan plan, int at) {
        List<Attempt> lifts = new ArrayList<>(plan.lifts());
        lifts.remove(at);
        return plan.withLifts(lifts);
    }

    private static Optional<Check> buzzer(Row row, int at, Format.Lift window) {
        long start = row.attempt().startMs();
        if (start > window.windowMs() - UsualTimetable.FINAL_MS) {
            return Optional.of(check(
                    Kind.IN_THE_FINAL_SECONDS,
                    OptionalInt.of(at),
                    Messages.of(
                            "lift %d starts %d s before time. A heavy lift in the last 15 s is seldom made",
                            at + 1, (window.windowMs() - start) / 1000)));
        }
        long past = row.attempt().endMs() - window.windowMs();
        return past > 0
                ? Optional.of(check(
                        Kind.PAST_THE_BELL,
                        OptionalInt.of(at),
                        Messages.of(
                                "lift %d is still up %d s after time. It counts if it left the floor before; the event's rules come first",
                                at + 1, (past + 999) / 1000)))
                : Optional.empty();
    }

    private static Optional<Check> load(Row row, int at, LiftPlan plan) {
        Quantity load = row.loading().load();
        if (row.attempt().want() instanceof Want.Load exactly
                && Math.abs(exactly.load().in(Unit.KILOGRAM) - load.in(Unit.KILOGRAM)) > 0.005) {
            return Optional.of(check(
                    Kind.NOT_ON_THIS_RACK,
                    OptionalInt.of(at),
                    Messages.of("lift %d: these plates make %s, not %s", at + 1, load, exactly.load())));
        }
        return row.attempt().role() != Role.WISH && row.percent() > 100
                ? Optional.of(check(
                        Kind.ABOVE_THE_MAX,
                        OptionalInt.of(at),
                        Messages.of(
                                "lift %d, %s, is %.0f%% of max (%s) but not marked as the reach",
                                at + 1, load, row.percent(), plan.max())))
                : Optional.empty();
    }

    private static Optional<Check> order(Timetable table, int at) {
        Row row = table.rows().get(at);
        return row.jump()
                .filter(jump -> jump.signum() < 0)
                .map(jump -> check(
                        Kind.LIGHTER_THAN_BEFORE,
                        OptionalInt.of(at),
                        Messages.of(
                                "lift %d is %s %s lighter than the one before, so it cannot improve the score once that is made",
                                at + 1,
                                jump.negate().stripTrailingZeros().toPlainString(),
                                row.loading().load().unit().symbol())));
    }

    private static Optional<Check> reach(LiftPlan plan, Timetable table) {
        OptionalInt must = last(plan, Role.MUST_HIT);
        OptionalInt reach = last(plan, Role.WISH);
        if (must.isEmpty() || reach.isEmpty()) {
            return Optional.empty();
        }
        Quantity made = table.rows().get(must.getAsInt()).loading().load();
        Quantity wished = table.rows().get(reach.getAsInt()).loading().load();
        double above = Timetable.percent(wished, made) - 100;
        if (above < WISH_AT_MOST) {
            return Optional.empty();
        }
        Quantity better = plan.rack()
                .roundedDown(new Quantity(made.value().multiply(BigDecimal.valueOf(WISH_STEP)), made.unit()))
                .load();
        Attempt old = plan.lifts().get(reach.getAsInt());
        return Optional.of(new Check(
                Kind.WISH_TOO_FAR,
                reach,
                Messages.of("the reach is %.0f%% above the target. 2.5–5%% is usual", above),
                Optional.of(better + " instead"),
                Optional.of(plan.withLift(reach.getAsInt(), old.loaded(better)))));
    }

    private static Optional<Check> fatigue(LiftPlan plan, Timetable table, Format.Lift window) {
        OptionalInt must = last(plan, Role.MUST_HIT);
        if (must.isEmpty()) {
            return Optional.empty();
        }
        boolean single = LiftPiece.repsOf(window.complex()) == 1;
        double percent = table.rows().get(must.getAsInt()).percent();
        return percent > (single ? SINGLE_TO : COMPLEX_TO) + 0.5
                ? Optional.of(check(
                        Kind.AFTER_ANOTHER_PART,
                        must,
                        Messages.of(
                                "lift %d, the target, is at %.0f%%; %s",
                                must.getAsInt() + 1, percent, fatigueRule(window))))
                : Optional.empty();
    }

    private static OptionalInt last(LiftPlan plan, Role role) {
        for (int i = plan.lifts().size() - 1; i >= 0; i--) {
            if (plan.lifts().get(i).role() == role) {
                return OptionalInt.of(i);
            }
        }
        return OptionalInt.empty();
    }
}
