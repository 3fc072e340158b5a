package wake.api.retest;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import wake.api.retest.ScoreViews.GainView;
import wake.log.AttemptLog;
import wake.log.PaceWords;
import wake.projection.Evidence;
import wake.projection.Possible;
import wake.projection.Projection.Call;
import wake.review.ChangeJson;
import wake.review.ChangeJson.Kind;
import wake.units.ClockTime;
import wake.units.Digits;
import wake.workout.Segment;

/** One change of a call as the interface shows it. */
final class CallViews {
    private static final double MILLIS = 1000;
    /** How far below what is shown or chosen a cadence can be dragged. */
    private static final double LEAST_SHARE = 0.6;

    private CallViews() {}

    /**
     * A change, on or off, with what it is worth alone.
     *
     * @param place where in the attempt it works, in words
     * @param dial how its target is set; absent where it has none
     * @param low what one replay in ten gains at most; absent where too little is known
     * @param high what one in ten gains more than
     * @param breakEven where its effect is not arithmetic, what would have to come of it
     * @param reason why it has nothing to work on; absent where it has
     */
    record CallView(
            ChangeJson change,
            boolean on,
            String title,
            String place,
            @Nullable DialView dial,
            GainView gain,
            GainView onEvidence,
            @Nullable GainView low,
            @Nullable GainView high,
            Evidence evidence,
            String evidenceWords,
            List<String> breakEven,
            @Nullable String reason) {}

    /**
     * How a target is set, in the unit of the change.
     *
     * @param unit "s", "s per rep", "%"
     * @param says the target in the words of the movement; empty where the figure says it
     * @param shown targets that were shown, to choose from
     */
    record DialView(
            double value,
            double least,
            double most,
            double step,
            int digits,
            String unit,
            String says,
            List<ShownView> shown) {}

    /** A target that was shown: "round 2". */
    record ShownView(String words, double value) {}

    static CallView of(ChangeJson chosen, Call call, AttemptLog log) {
        return new CallView(
                chosen,
                chosen.on(),
                title(chosen),
                place(call, chosen, log),
                dial(chosen, call, log).orElse(null),
                ScoreViews.gain(call.gain()),
                ScoreViews.gain(call.onEvidence()),
                call.range().map(range -> ScoreViews.gain(range.low())).orElse(null),
                call.range().map(range -> ScoreViews.gain(range.high())).orElse(null),
                call.evidence(),
                call.evidence().words(),
                call.breakEven(),
                call.reason().orElse(null));
    }

    /** What a change is called, whatever its target. */
    static String title(ChangeJson change) {
        String movement = change.movement();
        boolean all = movement.isEmpty();
        Long at = change.atMs();
        String clock = at == null ? "" : ClockTime.of(Math.max(0, at)).toSeconds();
        return switch (change.kind()) {
            case CAP_TRANSITIONS -> all ? "Get to the next movement sooner" : "Get to the " + movement + " sooner";
            case CAP_RESTS -> all ? "Keep the rests short" : "Keep the rests in the " + movement + " short";
            case HOLD_RESTS ->
                all ? "Rest no longer than in the first rounds" : "Rest in the " + movement + " as in the first rounds";
            case SKIP_PAUSE -> "Without the long pause at " + clock;
            case HOLD_CADENCE -> "Hold the cadence of the " + movement;
            case ERG_PACE -> "One pace on the " + movement;
            case CHANGE_SETS -> "Other sets of " + movement;
            case BREAK_ONE_EARLY -> "Break the " + movement + " one rep earlier";
            case DROP_FAULTS -> all ? "No faults" : "No faults in the " + movement;
            case SPREAD_EVENLY -> "Pull the start back, spread evenly";
            case FINISH_KICK -> "Push the finish, from " + clock + " on";
        };
    }

    private static String place(Call call, ChangeJson chosen, AttemptLog log) {
        if (call.reason().isPresent()) {
            return call.reason().get();
        }
        String beyond = call.beyond() == 0 ? "" : ", and " + places(call.beyond()) + " made up beyond the bell";
        if (call.touched() == 0) {
            return "nothing in this attempt is slower than that" + beyond;
        }
        String places = places(call.touched());
        boolean cadence = chosen.kind() == Kind.HOLD_CADENCE || chosen.kind() == Kind.ERG_PACE;
        boolean pause = chosen.kind() == Kind.CAP_TRANSITIONS || chosen.kind() == Kind.CAP_RESTS;
        if (cadence) {
            double slowest = call.fromMs() / MILLIS;
            return places + ", the slowest "
                    + first(chosen.movement(), log)
                            .map(segment -> PaceWords.of(segment, slowest))
                            .orElse(of("%.2f s", slowest))
                    + beyond;
        }
        return (pause ? places + ", the longest " + Digits.TENTHS.span(call.fromMs()) : places) + beyond;
    }

    private static String places(int count) {
        return count == 1 ? "one place" : count + " places";
    }

    private static String of(String format, Object... figures) {
        return String.format(Locale.ROOT, format, figures);
    }

    private static Optional<Segment> first(String movement, AttemptLog log) {
        return log.course().segments().stream()
                .filter(segment -> segment.movement().name().equals(movement))
                .findFirst();
    }

    private static Optional<DialView> dial(ChangeJson chosen, Call call, AttemptLog log) {
        double target = chosen.target();
        double slowest = call.fromMs() / MILLIS;
        return switch (chosen.kind()) {
            case CAP_TRANSITIONS, CAP_RESTS, SKIP_PAUSE ->
                Optional.of(
                        new DialView(target, 0, Math.max(1, Math.max(slowest, target)), 0.1, 1, "s", "", List.of()));
            case BREAK_ONE_EARLY ->
                Optional.of(new DialView(target, 0, Math.max(5, target), 0.1, 1, "s", "", List.of()));
            case HOLD_CADENCE, ERG_PACE -> cadence(chosen, slowest, log);
            case SPREAD_EVENLY ->
                Optional.of(new DialView(target, 1, 3, 0.5, 1, "cost of speed: 1 little, 3 much", "", List.of()));
            case FINISH_KICK -> Optional.of(new DialView(target, 0.5, 10, 0.5, 1, "%", "", List.of()));
            case CHANGE_SETS, HOLD_RESTS, DROP_FAULTS -> Optional.empty();
        };
    }

    private static Optional<DialView> cadence(ChangeJson chosen, double slowest, AttemptLog log) {
        return first(chosen.movement(), log).map(segment -> {
            double target = chosen.target();
            boolean fine = target < 1;
            double step = fine ? 0.001 : 0.01;
            Map<Integer, Double> rounds = Possible.cadenceByRound(log, chosen.movement());
            List<ShownView> shown = rounds.size() < 2
                    ? List.of()
                    : rounds.entrySet().stream()
                            .map(round ->
                                    new ShownView("round " + round.getKey(), Math.ceil(round.getValue() / step) * step))
                            .toList();
            String unit = "s per " + segment.amount().unit().symbol();
            double most = Math.max(slowest, target) * (chosen.kind() == Kind.ERG_PACE ? 1.1 : 1);
            return new DialView(
                    target,
                    Math.max(step, LEAST_SHARE * Math.min(target, slowest)),
                    most,
                    step,
                    fine ? 3 : 2,
                    unit,
                    afterTheFigure(PaceWords.of(segment, target), unit),
                    shown);
        });
    }

    /** A pace in words, to stand after its figure: without the figure where it begins with it. */
    private static String afterTheFigure(String pace, String unit) {
        int space = pace.indexOf(' ');
        boolean begins = pace.substring(0, Math.max(0, space)).matches("[\\d.]+");
        return begins ? pace.substring(space + 1) : unit + ", " + pace;
    }
}
