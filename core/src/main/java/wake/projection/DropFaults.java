package wake.projection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.projection.Suggestions.Suggestion;
import wake.units.InvalidInput;

/**
 * No-reps, misses and trips do not happen, or only so many of them.
 *
 * @param scope whose
 * @param most in how many sets they still do: the dearest, so that no more is promised than comes
 */
public record DropFaults(Scope scope, int most) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "DROP_FAULTS",
            written -> new DropFaults(written.scope(), (int) Math.round(written.target())),
            DropFaults::possible,
            DropFaults::proposed);

    private static final long WORTH_MS = 1000;

    private static final int MOST_LEFT = 100;

    /** @throws InvalidInput where not 0 to 100 may happen */
    public DropFaults {
        if (most < 0 || most > MOST_LEFT) {
            throw new InvalidInput("Let 0 to 100 faults happen, not " + most);
        }
    }

    public DropFaults(Scope scope) {
        this(scope, 0);
    }

    public DropFaults(String movement) {
        this(Scope.of(movement));
    }

    private static List<Change> possible(Observed observed) {
        List<Change> changes = new ArrayList<>();
        changes.add(new DropFaults(Scope.EVERYWHERE));
        observed.movements().forEach(movement -> changes.add(new DropFaults(movement)));
        return changes;
    }

    private static List<Suggestion> proposed(Observed observed) {
        long faults = observed.replay().slices().stream()
                .mapToLong(TimeSlice::fixedMs)
                .sum();
        return faults >= WORTH_MS ? List.of(new Suggestion(new DropFaults(Scope.EVERYWHERE), true)) : List.of();
    }

    @Override
    public ChangeKind kind() {
        return KIND;
    }

    @Override
    public StoredChange written() {
        return StoredChange.of(KIND, scope, Targets.of(most));
    }

    @Override
    public boolean isBounded() {
        return true;
    }

    @Override
    public Optional<String> reason(Replay replay) {
        long known = replay.slices().stream().filter(this::touches).count();
        if (known > most) {
            return Optional.empty();
        }
        if (known > 0) {
            return Optional.of(known == 1 ? "Only 1 set had a fault." : "Only " + known + " sets had a fault.");
        }
        boolean any = replay.log().splits().stream()
                .anyMatch(split -> scope.has(split.segment()) && !split.faults().isEmpty());
        return Optional.of(
                any
                        ? "What the faults" + scope.movement("on")
                                + " cost is unknown. Log the reps around them, or a clean set of the same work."
                        : "No fault was logged" + scope.movement("on") + ".");
    }

    private boolean touches(TimeSlice slice) {
        return slice.fixedMs() > 0 && scope.has(slice);
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        Set<TimeSlice> left = replay.slices().stream()
                .filter(this::touches)
                .sorted(Comparator.comparingLong(TimeSlice::fixedMs).reversed())
                .limit(most)
                .collect(Collectors.toSet());
        return slice -> touches(slice) && !left.contains(slice) ? Effect.NO_FAULTS : Effect.NONE;
    }

    /** How many may be left, where there is more than one. */
    @Override
    public Optional<SliderRange> slider(Replay replay, long slowestMs) {
        long all = replay.slices().stream().filter(this::touches).count();
        return all > 1 || most > 0
                ? Optional.of(SliderRange.of(0, Math.max(all - 1, most), 1, 0, "left"))
                : Optional.empty();
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.FAULT && scope.has(split.segment());
    }

    @Override
    public List<Scope> places(Replay replay) {
        return scope.choices(replay, false);
    }
}
