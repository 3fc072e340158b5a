package wake.projection;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.projection.Suggestions.Suggestion;
import wake.statistics.Statistics;
import wake.units.Messages;
import wake.workout.Format;

/**
 * No split of a movement longer than this, whatever it is made of; where no movement is named, no round. What a coach can ask of an attempt of
 * which no more than its splits was noted.
 *
 * @param scope of which movement, and where; of all movements it is their rounds
 * @param seconds the longest, by place
 */
public record CapSplits(Scope scope, Targets seconds) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "CAP_SPLITS",
            written -> new CapSplits(written.scope(), written.aims()),
            CapSplits::possible,
            CapSplits::proposed);

    /** Of what came once, or never twice alike, so much is asked to begin with; an assumption. */
    private static final double SHARE_ASKED = 0.95;
    /** How far below what was shown it can be dragged; an assumption. */
    private static final double LEAST_SHARE = 0.8;

    private static final double LEAST_S = 0.5;

    public CapSplits {
        Change.requireCadences(seconds);
    }

    private static List<Change> possible(Observed observed) {
        return targets(observed).stream().map(Asked::change).toList();
    }

    /** Of a log that does not break its splits down; what was done in a quarter of the places is part of the projection to begin with. */
    private static List<Suggestion> proposed(Observed observed) {
        return targets(observed).stream()
                .filter(Asked::onlySplits)
                .map(asked -> new Suggestion(asked.change(), asked.shown()))
                .toList();
    }

    /**
     * A target to start from.
     *
     * @param shown whether it was done in a quarter of the places
     * @param onlySplits whether no more was logged of it than its ends
     */
    private record Asked(Change change, boolean shown, boolean onlySplits) {}

    private static List<Asked> targets(Observed observed) {
        List<Scope> scopes = new ArrayList<>();
        observed.movements().forEach(movement -> scopes.addAll(observed.like(movement)));
        boolean onClock = observed.replay().log().expanded().format() instanceof Format.Every;
        if (!onClock) {
            scopes.add(Scope.EVERYWHERE);
        }
        List<Asked> all = new ArrayList<>();
        for (Scope scope : scopes) {
            List<Whole> done = Whole.of(observed.replay(), scope).stream()
                    .filter(Whole::observed)
                    .toList();
            long seen = done.stream().filter(Whole::seen).count();
            if (seen > (scope.movement().isEmpty() ? 1 : 0) && done.size() <= Targets.MOST) {
                all.add(asked(observed.replay(), scope, done));
            }
        }
        return all;
    }

    private static Asked asked(Replay replay, Scope scope, List<Whole> done) {
        List<Double> each = new ArrayList<>();
        boolean shown = true;
        for (Whole whole : done) {
            double[] paces = done.stream()
                    .filter(other -> other.shows(whole) && whole.tells(other))
                    .mapToDouble(other -> other.ms() / other.amount())
                    .toArray();
            shown &= paces.length >= Observed.ENOUGH;
            double ms = paces.length < 2
                    ? SHARE_ASKED * whole.ms()
                    : whole.amount()
                            * (paces.length < Observed.ENOUGH ? least(paces) : Statistics.lowerQuartile(paces));
            each.add(Math.max(LEAST_S, Observed.halfSeconds(ms - 1) / 1000.0));
        }
        boolean onlySplits = replay.slices().stream()
                .filter(slice -> slice.observed() && Whole.touches(slice, scope))
                .allMatch(slice -> slice.kind() == TimeSlice.Kind.UNSEPARATED || slice.isPause());
        return new Asked(new CapSplits(scope, Targets.byPlace(each)), shown, onlySplits);
    }

    private static double least(double[] paces) {
        return Arrays.stream(paces).min().orElseThrow();
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
        return scope.breadth() + 1;
    }

    @Override
    public boolean isOfAWhole() {
        return true;
    }

    @Override
    public Optional<String> reason(Replay replay) {
        if (scope.movement().isEmpty() && replay.log().expanded().format() instanceof Format.Every) {
            return Optional.of("Intervals start on the clock, so this does not apply.");
        }
        List<Whole> wholes = Whole.of(replay, scope);
        if (wholes.stream().noneMatch(Whole::seen)) {
            return Optional.of("No split was logged" + scope.movement("of") + scope.places() + ".");
        }
        for (int i = 0; i < wholes.size(); i++) {
            if (1000 * seconds.at(i) <= wholes.get(i).fixedMs()) {
                return Optional.of(Messages.of(
                        "Faults alone took %.1f s of one split.", wholes.get(i).fixedMs() / 1000));
            }
        }
        return Optional.empty();
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        Map<Object, Effect> effects = new HashMap<>();
        List<Whole> wholes = Whole.of(replay, scope);
        for (int i = 0; i < wholes.size(); i++) {
            Whole whole = wholes.get(i);
            // A list of targets is for the splits there were; what lies beyond the buzzer has its own amounts.
            boolean meant = whole.observed() || seconds.each().size() == 1;
            double factor = (1000 * seconds.at(i) - whole.fixedMs()) / whole.coreMs();
            if (meant && factor > 0 && factor < 1) {
                effects.put(Whole.key(whole.segment(), scope), Effect.times(factor));
            }
        }
        return slice -> Whole.touches(slice, scope)
                ? effects.getOrDefault(Whole.key(slice.segment(), scope), Effect.NONE)
                : Effect.NONE;
    }

    @Override
    public EvidenceLevel evidenceLevel(Evidence evidence, TimeSlice slice, Effect effect) {
        return evidence.ofWhole(scope, slice, effect.factor());
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause != Cause.FAULT
                && cause != Cause.INTERVAL_REST
                && scope.has(split.segment())
                && (!scope.movement().isEmpty() || split.segment().inRounds());
    }

    @Override
    public Optional<SliderRange> slider(Replay replay, long slowestMs) {
        List<Whole> seen = Whole.of(replay, scope).stream().filter(Whole::seen).toList();
        if (seen.isEmpty()) {
            return Optional.empty();
        }
        double quickest = seen.stream().mapToDouble(Whole::ms).min().orElseThrow() / 1000;
        double slowest = seen.stream().mapToDouble(Whole::ms).max().orElseThrow() / 1000;
        List<SliderRange.Reached> shown = seen.stream()
                .filter(whole -> seen.size() > 1 && whole.segment().inRounds())
                .sorted(Comparator.comparingInt(whole -> whole.segment().index()))
                .map(whole -> new SliderRange.Reached(whole.lap().words(), Math.ceil(whole.ms() / 100) / 10))
                .toList();
        return Optional.of(new SliderRange(
                Math.max(LEAST_S, Math.floor(LEAST_SHARE * Math.min(seconds.first(), quickest))),
                Math.ceil(Math.max(seconds.first(), slowest)),
                0.5,
                1,
                scope.movement().isEmpty() ? "s a round" : "s a split",
                "",
                shown));
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
