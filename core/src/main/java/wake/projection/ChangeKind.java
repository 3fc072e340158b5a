package wake.projection;

import java.util.List;
import java.util.function.Function;
import wake.units.InvalidInput;

/**
 * A kind of change: what is the same for all of its kind. Everything else about it is said by the change itself, in the same file.
 *
 * @param code how it is kept and sent
 * @param read the change that figures and words say; throws {@link InvalidInput} when they say none
 * @param possible those that have something to work on in an attempt, each with a target to start from
 * @param proposed those worth proposing for it
 */
public record ChangeKind(
        String code,
        Function<StoredChange, Change> read,
        Function<Observed, List<Change>> possible,
        Function<Observed, List<Suggestions.Suggestion>> proposed) {
    /** Every kind there is, in the order in which they are offered. */
    public static List<ChangeKind> all() {
        return Kinds.ALL;
    }

    /**
     * The change that figures and words say.
     *
     * @throws InvalidInput when there is no such kind, or its target is none for it
     */
    public static Change read(StoredChange written) {
        return Kinds.ALL.stream()
                .filter(kind -> kind.code().equals(written.kind()))
                .findFirst()
                .orElseThrow(() -> new InvalidInput("A change is one of "
                        + String.join(
                                ", ", Kinds.ALL.stream().map(ChangeKind::code).toList()) + ", not "
                        + written.kind()))
                .read()
                .apply(written);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof ChangeKind kind && kind.code.equals(code);
    }

    @Override
    public int hashCode() {
        return code.hashCode();
    }

    @Override
    public String toString() {
        return code;
    }
}

/** Apart, so that a kind may be named while its change is being loaded. */
final class Kinds {
    static final List<ChangeKind> ALL = List.of(
            CapTransitions.KIND,
            CapRests.KIND,
            HoldRests.KIND,
            SkipPause.KIND,
            HoldCadence.KIND,
            FasterBy.KIND,
            OneEvery.KIND,
            ErgPace.KIND,
            ChangeSets.KIND,
            BreakOneEarly.KIND,
            DropFaults.KIND,
            SpreadEvenly.KIND,
            CapSplits.KIND,
            EveryRoundOn.KIND,
            EarlierPush.KIND,
            FinishKick.KIND,
            RestBefore.KIND);

    private Kinds() {}
}
