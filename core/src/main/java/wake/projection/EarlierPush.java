package wake.projection;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalLong;
import java.util.function.Function;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.projection.Suggestions.Suggestion;
import wake.statistics.Statistics;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.workout.Comparability;

/**
 * The push an athlete made at the end begins earlier: the work between then and where it began is as quick as the push was, against the same work
 * before it. The push itself is not made twice.
 *
 * @param atMs the clock at which it began in this attempt
 * @param seconds by how much earlier, above 0 and up to 600
 */
public record EarlierPush(long atMs, double seconds) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "PUSH_EARLIER",
            written -> new EarlierPush(written.at(), written.target()),
            observed -> observed.push().<Change>map(push -> push).stream().toList(),
            observed -> observed.push().stream()
                    .map(push -> new Suggestion(push, false))
                    .toList());

    private static final double MOST_S = 600;
    /** "A minute earlier": what coaches say. */
    private static final double USUAL_S = 60;
    /** A push begins in the last part of an attempt; an assumption. */
    private static final double LATE_FROM = 0.6;
    /** It is so much quicker at least, and more than so many standard errors; assumptions. */
    private static final double QUICKER = 0.97;

    private static final double ERRORS = 2.5;
    private static final int FEWEST_BEFORE = 6;
    /** So many moments are tried. */
    private static final int MOMENTS = 24;

    private static final int FEWEST_IN_IT = 2;
    private static final double MS_PER_S = 1000;

    /** @throws InvalidInput where it is not above 0 and up to 600 s earlier, or the push began at or before the start */
    public EarlierPush {
        if (!(seconds > 0) || seconds > MOST_S) {
            throw new InvalidInput("A push begins above 0 and up to 600 s earlier, not " + seconds);
        }
        if (atMs <= 0) {
            throw new InvalidInput("A push began after the start, not at " + atMs + " ms");
        }
    }

    /** The clearest push: of the moments late in the attempt the one from which on work is quicker by most standard errors. */
    static Optional<EarlierPush> made(Replay replay) {
        long from = Math.round(LATE_FROM * replay.log().clockMs());
        List<Long> moments = replay.slices().stream()
                .filter(slice -> isWork(slice) && slice.startMs() >= from)
                .map(TimeSlice::startMs)
                .toList();
        Optional<EarlierPush> clearest = Optional.empty();
        double most = ERRORS;
        int step = Math.max(1, moments.size() / MOMENTS);
        for (int i = 0; i < moments.size(); i += step) {
            double errors = errors(replay, moments.get(i));
            if (errors > most && moments.get(i) > 0) {
                most = errors;
                clearest = Optional.of(new EarlierPush(moments.get(i), USUAL_S));
            }
        }
        return clearest;
    }

    /** Work, or a split with its rests: either has a pace to hold against others of its kind. */
    private static boolean isWork(TimeSlice slice) {
        return slice.observed() && slice.isEffort() && slice.units() > 0 && slice.coreMs() > 0;
    }

    /** By how many standard errors of two means work from a moment on is quicker than before it; 0 where it is not, or nothing tells. */
    private static double errors(Replay replay, long atMs) {
        List<Double> before = new ArrayList<>();
        List<Double> after = new ArrayList<>();
        Function<TimeSlice, OptionalDouble> usually = usually(replay, atMs);
        for (TimeSlice slice : replay.slices()) {
            OptionalDouble usual = usually.apply(slice);
            if (usual.isPresent()) {
                (slice.startMs() < atMs ? before : after).add(Math.log(slice.secondsPerUnit() / usual.getAsDouble()));
            }
        }
        if (before.size() < FEWEST_BEFORE || after.size() < FEWEST_IN_IT) {
            return 0;
        }
        double[] was = doubles(before);
        double[] is = doubles(after);
        double step = Statistics.median(was) - Statistics.median(is);
        double scatter = Math.max(Statistics.scatter(was), 1e-3);
        return step < -Math.log(QUICKER) ? 0 : step / (scatter * Math.sqrt(1.0 / was.length + 1.0 / is.length));
    }

    private static double[] doubles(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).toArray();
    }

    /** How quick work like a piece was before a moment, looked for once for each segment; empty for what is no work. */
    private static Function<TimeSlice, OptionalDouble> usually(Replay replay, long atMs) {
        Map<List<Object>, OptionalDouble> known = new HashMap<>();
        return slice -> isWork(slice)
                ? known.computeIfAbsent(
                        List.of(slice.segment().index(), slice.kind()), segment -> usual(replay, slice, atMs))
                : OptionalDouble.empty();
    }

    /** How quick work like a piece was before a moment, seconds per unit; empty where there was none. */
    private static OptionalDouble usual(Replay replay, TimeSlice slice, long atMs) {
        double[] before = replay.slices().stream()
                .filter(other -> isWork(other)
                        && other.kind() == slice.kind()
                        && other.startMs() < atMs
                        && other.segment().lineIndex() == slice.segment().lineIndex()
                        && Comparability.comparable(other.segment(), slice.segment()))
                .mapToDouble(TimeSlice::secondsPerUnit)
                .toArray();
        return before.length == 0 ? OptionalDouble.empty() : OptionalDouble.of(Statistics.median(before));
    }

    /** What the work of the push took of what the same work took before it; empty where nothing can be held against it. */
    private OptionalDouble share(Replay replay) {
        double took = 0;
        double usual = 0;
        Function<TimeSlice, OptionalDouble> usually = usually(replay, atMs);
        for (TimeSlice slice : replay.slices()) {
            OptionalDouble before = slice.startMs() >= atMs ? usually.apply(slice) : OptionalDouble.empty();
            if (before.isPresent()) {
                took += slice.coreMs();
                usual += MS_PER_S * before.getAsDouble() * slice.amount();
            }
        }
        return usual > 0 ? OptionalDouble.of(took / usual) : OptionalDouble.empty();
    }

    private long fromMs() {
        return atMs - Math.round(MS_PER_S * seconds);
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
        return 1;
    }

    @Override
    public StoredChange written() {
        return new StoredChange(KIND.code(), Scope.EVERYWHERE, List.of(seconds), "", OptionalLong.of(atMs));
    }

    private boolean touches(TimeSlice slice) {
        return isWork(slice) && slice.startMs() >= fromMs() && slice.startMs() < atMs;
    }

    @Override
    public boolean isBounded() {
        return true;
    }

    @Override
    public Optional<String> reason(Replay replay) {
        String at = ClockTime.of(atMs).toSeconds();
        OptionalDouble share = share(replay);
        if (share.isEmpty()) {
            return Optional.of("No work after " + at + " was also logged before it.");
        }
        if (share.getAsDouble() >= 1) {
            return Optional.of("Work after " + at + " was not faster than before it.");
        }
        return replay.slices().stream().anyMatch(this::touches)
                ? Optional.empty()
                : Optional.of("No logged work starts from "
                        + ClockTime.of(Math.max(0, fromMs())).toSeconds() + " to " + at + ".");
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        double share = share(replay).orElse(1);
        Effect quicker = share < 1 ? Effect.times(share) : Effect.NONE;
        return slice -> touches(slice) ? quicker : Effect.NONE;
    }

    /** A split with its rests has no such set beside it: that the push was made as quick is what shows it. */
    @Override
    public EvidenceLevel evidenceLevel(Evidence evidence, TimeSlice slice, Effect effect) {
        return slice.isWork() ? evidence.of(slice, effect) : EvidenceLevel.SHOWN;
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.PACE && split.endMs() > fromMs() && split.arrivalMs() < atMs;
    }

    @Override
    public Optional<SliderRange> slider(Replay replay, long slowestMs) {
        return Optional.of(SliderRange.of(5, Math.max(180, seconds), 5, 0, "s"));
    }

    @Override
    public List<Condition> breakEven(BreakEven facts, Gain alone) {
        return facts.pushing(this, alone);
    }
}
