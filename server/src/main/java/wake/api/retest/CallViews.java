package wake.api.retest;

import java.util.List;
import org.jspecify.annotations.Nullable;
import wake.api.retest.ScoreViews.GainView;
import wake.projection.Change;
import wake.projection.Dial;
import wake.projection.Evidence;
import wake.projection.Projection.Call;
import wake.projection.Replay;
import wake.projection.Targets;
import wake.review.ChangeJson;
import wake.review.ChangeJson.WhereJson;
import wake.words.ChangeWords;
import wake.words.ConditionWords;

/** One change of a call as the interface shows it. */
final class CallViews {
    private CallViews() {}

    /**
     * A change, on or off, with what it is worth alone.
     *
     * @param words what it changes and to what
     * @param place where in the attempt it works, in words
     * @param places where else it could be meant, the widest first; none where it has its place
     * @param dial how its target is set; absent where it has none
     * @param gain when it lands and the body asks nothing for it
     * @param expected what is to be expected of it
     * @param shareMs what it contributes to all chosen ones together; absent where it is not chosen
     * @param low what one replay in ten gains at most; absent where too little is known
     * @param high what one in ten gains more than
     * @param breakEven where its effect is not arithmetic, what would have to come of it
     * @param reason why it has nothing to work on; absent where it has
     */
    record CallView(
            ChangeJson change,
            boolean on,
            String title,
            String words,
            String place,
            List<PlaceView> places,
            @Nullable DialView dial,
            GainView gain,
            GainView expected,
            GainView onEvidence,
            @Nullable Long shareMs,
            @Nullable GainView low,
            @Nullable GainView high,
            Evidence evidence,
            String evidenceWords,
            List<String> breakEven,
            @Nullable String reason) {}

    /** A place a change could be meant for. */
    record PlaceView(String words, @Nullable WhereJson where, boolean chosen) {}

    /**
     * How a target is set, in the unit of the change.
     *
     * @param value the target, or the first where they differ by place
     * @param written the target or targets as they are written
     * @param unit "s", "s per rep", "%"
     * @param says the target in the words of the movement; empty where the figure says it
     * @param shown targets that were shown, to choose from
     */
    record DialView(
            double value,
            String written,
            double least,
            double most,
            double step,
            int digits,
            String unit,
            String says,
            List<ShownView> shown) {}

    /** A target that was shown: "round 2". */
    record ShownView(String words, double value) {}

    static CallView of(ChangeJson chosen, Call call, Replay replay) {
        Change change = call.change();
        return new CallView(
                chosen,
                chosen.on(),
                ChangeWords.title(change),
                new ChangeWords(replay.log().course()).text(change),
                place(call, replay),
                places(change, replay),
                change.dial(replay, call.fromMs())
                        .map(dial -> dial(change, dial))
                        .orElse(null),
                ScoreViews.gain(call.gain()),
                ScoreViews.gain(call.expected()),
                ScoreViews.gain(call.onEvidence()),
                call.share().isPresent() ? call.share().getAsLong() : null,
                call.range().map(range -> ScoreViews.gain(range.low())).orElse(null),
                call.range().map(range -> ScoreViews.gain(range.high())).orElse(null),
                call.evidence(),
                call.evidence().words(),
                call.breakEven().stream().map(ConditionWords::of).toList(),
                call.reason().orElse(null));
    }

    private static String place(Call call, Replay replay) {
        if (call.reason().isPresent()) {
            return call.reason().get();
        }
        String beyond = call.beyond() == 0 ? "" : ", plus " + call.beyond() + " simulated past the buzzer";
        if (call.touched() == 0) {
            return "nothing in this attempt is slower" + beyond;
        }
        String slowest = call.change().slowest(call.fromMs(), replay);
        return touched(call) + (slowest.isEmpty() ? "" : ", " + slowest) + beyond;
    }

    private static String touched(Call call) {
        String what = switch (call.change().kind().code()) {
            case "CAP_RESTS", "HOLD_RESTS" -> "rest";
            case "CAP_TRANSITIONS" -> "transition";
            default -> "split";
        };
        return call.touched() == 1 ? "1 " + what : call.touched() + " " + what + "s";
    }

    private static List<PlaceView> places(Change change, Replay replay) {
        return change.places(replay).stream()
                .map(scope -> new PlaceView(scope.words(), WhereJson.of(scope), scope.equals(change.scope())))
                .toList();
    }

    private static DialView dial(Change change, Dial dial) {
        Targets targets = change.written().aims();
        return new DialView(
                targets.first(),
                targets.written(dial.digits()),
                dial.least(),
                dial.most(),
                dial.step(),
                dial.digits(),
                dial.unit(),
                dial.says(),
                dial.shown().stream()
                        .map(one -> new ShownView(one.words(), one.value()))
                        .toList());
    }
}
