package wake.api.retest;

import java.util.List;
import org.jspecify.annotations.Nullable;
import wake.api.retest.ScoreViews.GainView;
import wake.projection.Change;
import wake.projection.EvidenceLevel;
import wake.projection.Projection.ProjectedChange;
import wake.projection.Replay;
import wake.projection.SliderRange;
import wake.projection.Targets;
import wake.review.ChangeJson;
import wake.review.ChangeJson.WhereJson;
import wake.words.ChangeWords;
import wake.words.ConditionWords;

/** One change of a projection as the interface shows it. */
final class ChangeViews {
    private ChangeViews() {}

    /**
     * A change, on or off, with what it is worth alone.
     *
     * @param words what it changes and to what
     * @param place where in the attempt it works, in words
     * @param places where else it could be meant, the widest first; none where it has its place
     * @param slider how its target is set; absent where it has none
     * @param gain when it lands and it costs no fatigue
     * @param expected what is to be expected of it
     * @param shareMs what it contributes to all chosen ones together; absent where it is not chosen
     * @param low what one replay in ten gains at most; absent where too little is known
     * @param high what one in ten gains more than
     * @param breakEven where its effect is not arithmetic, what would have to come of it
     * @param reason why it has nothing to work on; absent where it has
     */
    record ProjectedChangeView(
            ChangeJson change,
            boolean on,
            String title,
            String words,
            String place,
            List<PlaceView> places,
            @Nullable SliderView slider,
            GainView gain,
            GainView expected,
            GainView proven,
            @Nullable Long shareMs,
            @Nullable GainView low,
            @Nullable GainView high,
            EvidenceLevel evidence,
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
    record SliderView(
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

    static ProjectedChangeView of(ChangeJson chosen, ProjectedChange projection, Replay replay) {
        Change change = projection.change();
        return new ProjectedChangeView(
                chosen,
                chosen.on(),
                ChangeWords.title(change),
                new ChangeWords(replay.log().expanded()).text(change),
                place(projection, replay),
                places(change, replay),
                change.slider(replay, projection.fromMs())
                        .map(slider -> slider(change, slider))
                        .orElse(null),
                ScoreViews.gain(projection.gain()),
                ScoreViews.gain(projection.expected()),
                ScoreViews.gain(projection.proven()),
                projection.share().isPresent() ? projection.share().getAsLong() : null,
                projection.range().map(range -> ScoreViews.gain(range.low())).orElse(null),
                projection.range().map(range -> ScoreViews.gain(range.high())).orElse(null),
                projection.evidence(),
                projection.evidence().words(),
                projection.breakEven().stream().map(ConditionWords::of).toList(),
                projection.reason().orElse(null));
    }

    private static String place(ProjectedChange projection, Replay replay) {
        if (projection.reason().isPresent()) {
            return projection.reason().get();
        }
        String beyond = projection.beyond() == 0 ? "" : ", plus " + projection.beyond() + " simulated past the buzzer";
        if (projection.touched() == 0) {
            return "nothing in this attempt is slower" + beyond;
        }
        String slowest = projection.change().slowest(projection.fromMs(), replay);
        return touched(projection) + (slowest.isEmpty() ? "" : ", " + slowest) + beyond;
    }

    private static String touched(ProjectedChange projection) {
        String what = switch (projection.change().kind().code()) {
            case "CAP_RESTS", "HOLD_RESTS" -> "rest";
            case "CAP_TRANSITIONS" -> "transition";
            default -> "split";
        };
        return projection.touched() == 1 ? "1 " + what : projection.touched() + " " + what + "s";
    }

    private static List<PlaceView> places(Change change, Replay replay) {
        return change.places(replay).stream()
                .map(scope -> new PlaceView(scope.words(), WhereJson.of(scope), scope.equals(change.scope())))
                .toList();
    }

    private static SliderView slider(Change change, SliderRange slider) {
        Targets targets = change.written().aims();
        return new SliderView(
                targets.first(),
                targets.written(slider.digits()),
                slider.least(),
                slider.most(),
                slider.step(),
                slider.digits(),
                slider.unit(),
                slider.says(),
                slider.shown().stream()
                        .map(one -> new ShownView(one.words(), one.value()))
                        .toList());
    }
}
