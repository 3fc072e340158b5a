package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.projection.Suggestions.Suggestion;

/**
 * No-reps, misses and trips do not happen.
 *
 * @param scope whose
 */
public record DropFaults(Scope scope) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "DROP_FAULTS", written -> new DropFaults(written.scope()), DropFaults::possible, DropFaults::proposed);

    private static final long WORTH_MS = 1000;

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
        return StoredChange.of(KIND, scope);
    }

    @Override
    public Optional<String> reason(Replay replay) {
        boolean known = replay.slices().stream().anyMatch(this::touches);
        if (known) {
            return Optional.empty();
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
        return slice -> touches(slice) ? Effect.NO_FAULTS : Effect.NONE;
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
