package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wake.log.AttemptLog;
import wake.log.Score;

/**
 * How far one change must go for a score, the others as they are: the weakest target that still reaches it when the body takes its
 * share back.
 *
 * @param change the change with that target, or with the strongest there is when the score is out of its reach
 * @param score what is then to be expected
 * @param reached whether that reaches the score asked for
 */
public record SolvedTarget(Change change, Score score, boolean reached) {
    /** How far beyond what a dial offers a target is looked for. */
    private static final double BEYOND = 4;

    /**
     * Looks for the target.
     *
     * @param chosen all the changes that count, among them {@code which}
     * @return empty for a change that has no target, or nothing to work on
     */
    public static Optional<SolvedTarget> of(
            AttemptLog log, List<? extends Change> chosen, Change which, Score goal, FatigueCost fatigueCost) {
        Replay replay = Replay.of(log);
        Optional<SliderRange> slider = which.slider(replay, slowest(replay, which));
        if (slider.isEmpty() || which.reason(replay).isPresent()) {
            return Optional.empty();
        }
        Search search = new Search(replay, List.copyOf(chosen), which, goal, fatigueCost, slider.get());
        return Optional.of(search.solve());
    }

    private static long slowest(Replay replay, Change change) {
        var on = change.on(replay);
        return replay.slices().stream()
                .filter(slice -> slice.observed() && on.apply(slice) != Effect.NONE)
                .mapToLong(slice -> Math.round(slice.figure(slice.coreMs())))
                .max()
                .orElse(0);
    }

    private record Search(
            Replay replay, List<Change> chosen, Change which, Score goal, FatigueCost fatigueCost, SliderRange slider) {
        SolvedTarget solve() {
            double low = slider.least();
            double high = slider.most() * (which.isBounded() ? 1 : BEYOND);
            boolean lessIsMore = Score.compare(score(low), score(high)) >= 0;
            double strong = lessIsMore ? low : high;
            double weak = lessIsMore ? high : low;
            if (Score.compare(score(strong), goal) < 0) {
                return new SolvedTarget(to(strong), score(strong), false);
            }
            double target = Halving.weakest(strong, weak, slider.step(), each -> Score.compare(score(each), goal) >= 0);
            return new SolvedTarget(to(target), score(target), Score.compare(score(target), goal) >= 0);
        }

        private Change to(double target) {
            return which.to(target);
        }

        private Score score(double target) {
            List<Change> all = new ArrayList<>(chosen);
            all.removeIf(which::equals);
            all.add(to(target));
            return replay.with(all).withFatigue(fatigueCost);
        }
    }
}
