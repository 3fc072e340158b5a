package wake.projection;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.statistics.Statistics;
import wake.units.Messages;
import wake.workout.Comparability;
import wake.workout.Format;
import wake.workout.Lap;
import wake.workout.Segment;

/**
 * Every round in so much time: "every round on 1:00". Work, transitions and rests of a round are stretched or shortened alike; what faults
 * took stays.
 *
 * @param scope which rounds
 * @param seconds how long each, by place
 */
public record EveryRoundOn(Scope scope, Targets seconds) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "EVERY_ROUND_ON",
            written -> new EveryRoundOn(written.scope(), written.aims()),
            EveryRoundOn::possible,
            observed -> List.of());

    public EveryRoundOn {
        Change.requireCadences(seconds);
    }

    /** The usual time of rounds that are alike; of those that are not each its own, to begin with. */
    private static List<Change> possible(Observed observed) {
        Map<Lap, double[]> sums = sums(observed.replay(), Scope.EVERYWHERE);
        double[] rounds = sums.values().stream()
                .mapToDouble(sum -> (sum[0] + sum[1]) / 1000)
                .toArray();
        if (rounds.length < 2) {
            return List.of();
        }
        if (areAlike(observed.replay(), sums.keySet())) {
            return List.of(
                    new EveryRoundOn(Scope.EVERYWHERE, Targets.of(Math.max(1, Math.round(Statistics.median(rounds))))));
        }
        return rounds.length > Targets.MOST
                ? List.of()
                : List.of(new EveryRoundOn(
                        Scope.EVERYWHERE,
                        new Targets(Arrays.stream(rounds)
                                .mapToObj(round -> Math.max(1.0, Math.round(round)))
                                .toList())));
    }

    private static boolean areAlike(Replay replay, Set<Lap> laps) {
        Map<Lap, List<Segment>> rounds = new LinkedHashMap<>();
        for (TimeSlice slice : replay.slices()) {
            if (laps.contains(slice.segment().lap())) {
                List<Segment> round = rounds.computeIfAbsent(slice.segment().lap(), lap -> new ArrayList<>());
                if (round.isEmpty() || !round.getLast().equals(slice.segment())) {
                    round.add(slice.segment());
                }
            }
        }
        List<Segment> first = rounds.values().iterator().next();
        return rounds.values().stream().allMatch(round -> Comparability.sameRound(round, first));
    }

    private static boolean touches(TimeSlice slice) {
        return slice.segment().inRounds()
                && slice.kind() != TimeSlice.Kind.WAIT
                && slice.kind() != TimeSlice.Kind.PARTNER;
    }

    /** Of each round, milliseconds that a pace touches and those it does not. */
    private static Map<Lap, double[]> sums(Replay replay, Scope scope) {
        Map<Lap, double[]> sums = replay.slices().stream()
                .filter(slice -> touches(slice) && scope.has(slice.segment()))
                .collect(Collectors.toMap(
                        slice -> slice.segment().lap(),
                        slice ->
                                new double[] {slice.coreMs(), slice.fixedMs() + slice.tailMs(), slice.observed() ? 1 : 0
                                },
                        (one, two) -> new double[] {one[0] + two[0], one[1] + two[1], one[2] + two[2]},
                        LinkedHashMap::new));
        sums.values().removeIf(sum -> sum[0] <= 0 || sum[2] == 0);
        return sums;
    }

    @Override
    public ChangeKind kind() {
        return KIND;
    }

    @Override
    public StoredChange written() {
        return StoredChange.of(KIND, scope, seconds);
    }

    @Override
    public int breadth() {
        return 5;
    }

    @Override
    public boolean isOfAWhole() {
        return true;
    }

    @Override
    public Optional<String> reason(Replay replay) {
        if (replay.log().expanded().format() instanceof Format.Every) {
            return Optional.of("Intervals start on the clock, so this does not apply.");
        }
        Map<Lap, double[]> sums = sums(replay, scope);
        if (sums.size() < 2 && scope.from() == 0) {
            return Optional.of("This needs at least two rounds.");
        }
        return sums.values().stream()
                .filter(sum -> 1000
                                * seconds.each().stream()
                                        .mapToDouble(one -> one)
                                        .min()
                                        .orElse(0)
                        <= sum[1])
                .findFirst()
                .map(sum -> Messages.of("Faults alone took %.1f s of one round.", sum[1] / 1000));
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        if (replay.log().expanded().format() instanceof Format.Every) {
            return slice -> Effect.NONE;
        }
        Map<Lap, Effect> effects = new HashMap<>();
        int[] place = {0};
        sums(replay, scope).forEach((lap, sum) -> {
            double factor = (1000 * seconds.at(place[0]++) - sum[1]) / sum[0];
            if (factor > 0) {
                effects.put(lap, Effect.times(factor));
            }
        });
        return slice -> touches(slice) && scope.has(slice.segment())
                ? effects.getOrDefault(slice.segment().lap(), Effect.NONE)
                : Effect.NONE;
    }

    @Override
    public EvidenceLevel evidenceLevel(Evidence evidence, TimeSlice slice, Effect effect) {
        return evidence.ofWhole(scope, slice, effect.factor());
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return split.segment().inRounds()
                && scope.has(split.segment())
                && cause != Cause.FAULT
                && cause != Cause.INTERVAL_REST;
    }

    @Override
    public Optional<SliderRange> slider(Replay replay, long slowestMs) {
        double[] rounds = sums(replay, scope).values().stream()
                .mapToDouble(sum -> (sum[0] + sum[1]) / 1000)
                .toArray();
        if (rounds.length == 0) {
            return Optional.empty();
        }
        double target = seconds.first();
        double quickest = Arrays.stream(rounds).min().orElse(target);
        double slowest = Arrays.stream(rounds).max().orElse(target);
        return Optional.of(SliderRange.of(
                Math.floor(Math.max(1, 0.8 * Math.min(target, quickest))),
                Math.ceil(Math.max(target, slowest)),
                1,
                0,
                "s a round"));
    }

    @Override
    public List<Scope> places(Replay replay) {
        return scope.choices(replay, false);
    }

    @Override
    public List<Condition> breakEven(BreakEven facts, Gain alone) {
        return facts.pushing(this, alone);
    }
}
