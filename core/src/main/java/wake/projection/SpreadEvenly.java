package wake.projection;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.projection.Suggestions.Suggestion;
import wake.units.InvalidInput;
import wake.workout.Format;
import wake.workout.Segment;

/**
 * The start pulled back, and the same effort spread evenly: equal work at equal load goes at one pace. Pauses, other loads and other
 * amounts are left alone, and so is what was never reached.
 *
 * <p>If going at speed v costs an effort per unit of work in proportion to v^α, then equal pieces of the same total effort all go at
 * the power mean of their speeds, t = (mean of t^−α)^(−1/α). By Jensen's inequality that is never slower than what was done. α = 2 is
 * exact for rowing against air, where power rises with v³; for other work it is an assumption, shown with the band α = 1 … 3. Whether
 * the body pays the early seconds back at all is not known: the range reaches down to nothing, and its middle counts half.
 *
 * @param alpha how dear speed is, from 0.5 to 5
 */
public record SpreadEvenly(double alpha) implements Change {
    /** Exact for rowing; for other work an assumption. */
    public static final double USUAL = 2;

    static final ChangeKind KIND = new ChangeKind(
            "SPREAD_EVENLY",
            written -> new SpreadEvenly(written.target()),
            observed -> List.of(new SpreadEvenly(USUAL)),
            SpreadEvenly::proposed);

    /** Exponents a coach may choose: from less than linear to far beyond a cube. */
    private static final double LEAST = 0.5;

    private static final double MOST = 5;
    /** Less is not proposed; an assumption. */
    private static final long WORTH_MS = 1000;

    /** @throws InvalidInput where the exponent is not from 0.5 to 5 */
    public SpreadEvenly {
        if (!(alpha >= LEAST && alpha <= MOST)) {
            throw new InvalidInput("A speed penalty is 0.5 to 5, not " + alpha);
        }
    }

    private static List<Suggestion> proposed(Observed observed) {
        SpreadEvenly spread = new SpreadEvenly(USUAL);
        boolean worth = spread.reason(observed.replay()).isEmpty() && observed.gain(spread) >= WORTH_MS;
        return worth ? List.of(new Suggestion(spread, false)) : List.of();
    }

    @Override
    public ChangeKind kind() {
        return KIND;
    }

    @Override
    public Scope scope() {
        return Scope.EVERYWHERE;
    }

    @Override
    public int breadth() {
        return 6;
    }

    @Override
    public StoredChange written() {
        return StoredChange.of(KIND, Scope.EVERYWHERE, Targets.of(alpha));
    }

    /**
     * The time each of several equal pieces of work takes when the effort is spread evenly.
     *
     * @param times of the pieces, in any unit
     */
    public static double evenTime(double[] times, double alpha) {
        double sum = 0;
        for (double time : times) {
            sum += Math.pow(time, -alpha);
        }
        return Math.pow(sum / times.length, -1 / alpha);
    }

    @Override
    public boolean isBounded() {
        return true;
    }

    @Override
    public Optional<String> reason(Replay replay) {
        if (replay.log().expanded().format() instanceof Format.Every) {
            return Optional.of("Intervals start on the clock, so this does not apply.");
        }
        return factors(replay).isEmpty()
                ? Optional.of("No movement repeats in the same amount at the same load.")
                : Optional.empty();
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        if (replay.log().expanded().format() instanceof Format.Every) {
            return slice -> Effect.NONE;
        }
        Map<Integer, Double> factors = factors(replay);
        return slice -> {
            Double factor = slice.isEffort() && slice.observed()
                    ? factors.get(slice.segment().index())
                    : null;
            return factor == null ? Effect.NONE : Effect.spread(factor);
        };
    }

    /** A whole segment's work, pauses and faults left out; of a split of which no more than the ends was noted all of it. */
    private record Work(Segment segment, double ms) {
        Work and(Work more) {
            return new Work(segment, ms + more.ms);
        }
    }

    /** By how much longer each whole segment takes whose work comes again. */
    private Map<Integer, Double> factors(Replay replay) {
        Map<Integer, Work> work = new LinkedHashMap<>();
        for (TimeSlice slice : replay.slices()) {
            if (slice.isEffort() && slice.observed()) {
                work.merge(slice.segment().index(), new Work(slice.segment(), slice.coreMs()), Work::and);
            }
        }
        replay.log().splits().stream()
                .filter(split -> !split.complete())
                .forEach(split -> work.remove(split.segment().index()));
        work.values().removeIf(one -> one.ms() <= 0);
        Map<Integer, Double> factors = new HashMap<>();
        work.values().stream().collect(Collectors.groupingBy(one -> equalWork(one.segment()))).values().stream()
                .filter(equal -> equal.size() > 1)
                .forEach(equal -> {
                    double even = evenTime(equal.stream().mapToDouble(Work::ms).toArray(), alpha);
                    equal.forEach(one -> factors.put(one.segment().index(), even / one.ms()));
                });
        return factors;
    }

    private static String equalWork(Segment segment) {
        return segment.movement().name() + " " + segment.amount() + " " + segment.sides() + " " + segment.loads();
    }

    /** The even pace lies between what was quick and what was slow, of the same work. */
    @Override
    public EvidenceLevel evidenceLevel(Evidence evidence, TimeSlice slice, Effect effect) {
        return EvidenceLevel.SHOWN;
    }

    @Override
    public boolean creditsCosts() {
        return true;
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return (cause == Cause.PACE || cause == Cause.UNSEPARATED)
                && factors(replay).containsKey(split.segment().index());
    }

    @Override
    public Optional<SliderRange> slider(Replay replay, long slowestMs) {
        return Optional.of(SliderRange.of(1, 3, 0.5, 1, "effort penalty for speed, 1 (low) to 3 (high)"));
    }

    @Override
    public List<Condition> breakEven(BreakEven facts, Gain alone) {
        return facts.band();
    }
}
