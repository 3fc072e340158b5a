package wake.projection;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import wake.log.Score;
import wake.statistics.Statistics;
import wake.workout.Comparability;
import wake.workout.Segment;

/** What an attempt has shown, gathered by where figures are like: what targets for a next time are taken from. */
final class Observed {
    /** So many alike show what can be asked of all of them. */
    static final int ENOUGH = 3;

    private final Replay replay;
    private final Score before;
    private @Nullable Optional<EarlierPush> push;

    Observed(Replay replay) {
        this.replay = replay;
        this.before = replay.log().score();
    }

    Replay replay() {
        return replay;
    }

    /** The push that was made: looked for when it is first asked for, as most ask for something else. */
    Optional<EarlierPush> push() {
        Optional<EarlierPush> known = push;
        if (known == null) {
            known = EarlierPush.made(replay);
            push = known;
        }
        return known;
    }

    long gain(Change change) {
        return Gain.between(before, replay.score(List.of(change))).rank();
    }

    List<String> movements() {
        return replay.slices().stream()
                .filter(slice -> slice.observed() && slice.kind() != TimeSlice.Kind.PARTNER)
                .map(slice -> slice.segment().movement().name())
                .distinct()
                .toList();
    }

    /** Where one figure may be asked of all: everywhere, or movement by movement, or each movement at each of its loads. */
    List<Scope> like() {
        return oneLoad("")
                ? List.of(Scope.EVERYWHERE)
                : movements().stream().flatMap(name -> like(name).stream()).toList();
    }

    /** The same for one movement. */
    List<Scope> like(String movement) {
        Scope whole = Scope.of(movement);
        if (oneLoad(movement)) {
            return List.of(whole);
        }
        return replay.slices().stream()
                .filter(slice -> slice.observed() && slice.isOf(movement) && slice.kind() != TimeSlice.Kind.PARTNER)
                .flatMap(slice -> slice.segment().mass().stream())
                .map(load -> whole.withLoad(load.toString()))
                .distinct()
                .toList();
    }

    private boolean oneLoad(String movement) {
        Map<String, Segment> first = new TreeMap<>();
        Scope scope = Scope.of(movement);
        return replay.slices().stream().filter(scope::has).allMatch(slice -> {
            Segment segment = slice.segment();
            Segment before = first.putIfAbsent(segment.movement().name(), segment);
            return before == null || Comparability.comparable(before, segment);
        });
    }

    /** The pauses of a kind that happened, milliseconds. */
    double[] pauses(TimeSlice.Kind kind, Scope scope) {
        return replay.slices().stream()
                .filter(slice -> slice.isSeenPause() && slice.kind() == kind && scope.has(slice))
                .mapToDouble(TimeSlice::ms)
                .toArray();
    }

    /** The work that was broken down. */
    List<TimeSlice> work(Scope scope) {
        return replay.slices().stream()
                .filter(slice -> slice.observed() && slice.isWork() && scope.has(slice))
                .toList();
    }

    /** A set marked at one instant has none. */
    double[] cadences(Scope scope) {
        return work(scope).stream()
                .filter(slice -> slice.coreMs() > 0)
                .mapToDouble(TimeSlice::secondsPerUnit)
                .toArray();
    }

    OptionalDouble meanCadence(String movement) {
        return Arrays.stream(cadences(Scope.of(movement))).average();
    }

    /** What was reached in a quarter of the places: often enough to be asked of the others; empty with fewer than three. */
    static OptionalDouble target(double[] figures) {
        return figures.length < ENOUGH ? OptionalDouble.empty() : OptionalDouble.of(Statistics.lowerQuartile(figures));
    }

    /** Up to the next half second: a target a coach can say. */
    static long halfSeconds(double ms) {
        return (long) Math.ceil(ms / 500) * 500;
    }

    /** How quick a movement was in each round in which it was logged, seconds per rep or unit. */
    List<SliderRange.Reached> cadenceByRound(Scope scope, double step) {
        Map<Integer, double[]> sums = new TreeMap<>();
        for (TimeSlice slice : work(scope)) {
            double[] sum = sums.computeIfAbsent(slice.segment().lap().number(), round -> new double[2]);
            sum[0] += slice.coreMs() / 1000.0;
            sum[1] += slice.amount();
        }
        List<SliderRange.Reached> shown = new ArrayList<>();
        if (sums.size() > 1) {
            sums.forEach((round, sum) ->
                    shown.add(new SliderRange.Reached("round " + round, Math.ceil(sum[0] / sum[1] / step) * step)));
        }
        return shown;
    }
}
