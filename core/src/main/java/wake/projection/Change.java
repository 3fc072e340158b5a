package wake.projection;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.units.InvalidInput;
import wake.units.PaceLimits;

/**
 * Something a retest would do differently. All there is to say of a kind of change stands in its own class: what it does to the pieces
 * of an attempt, where it may apply, how its target is set, which causes it answers for when the retest is held
 * against it, and what would have to come of it where its effect is not arithmetic.
 */
public sealed interface Change
        permits BreakOneEarly,
                CapRests,
                CapSplits,
                CapTransitions,
                ChangeSets,
                DropFaults,
                EarlierPush,
                ErgPace,
                EveryRoundOn,
                FinishKick,
                HoldCadence,
                HoldRests,
                OneEvery,
                RestBefore,
                FasterBy,
                SkipPause,
                SpreadEvenly {
    long LONGEST_PAUSE_MS = 3_600_000;

    ChangeKind kind();

    /** Where it applies. */
    Scope scope();

    /** The same in figures, to be kept and sent. */
    StoredChange written();

    /** What it does to the time of each piece of an attempt. */
    Function<TimeSlice, Effect> on(Replay replay);

    /** Whether a difference of a segment that a retest won or lost is what it was about. */
    boolean claims(Cause cause, SegmentSplit split, Replay replay);

    /** Why it has nothing to work on in an attempt; empty where it has. */
    default Optional<String> reason(Replay replay) {
        return Optional.empty();
    }

    /**
     * The pieces with other sets; the same ones where only times change.
     *
     * @param credit the share that counts of what it saves on a piece
     */
    default List<TimeSlice> reshape(Replay replay, List<TimeSlice> slices, ToDoubleFunction<TimeSlice> credit) {
        return slices;
    }

    /** How well the new time of a piece is backed. */
    default EvidenceLevel evidenceLevel(Evidence evidence, TimeSlice slice, Effect effect) {
        return evidence.of(slice, effect);
    }

    /** Whether what it costs in one place is the price of what it saves in another, so that both count for as much as they are backed. */
    default boolean creditsCosts() {
        return false;
    }

    /** Whether its target is of a round or a split as a whole, so that it counts what narrower changes save of it. */
    default boolean isOfAWhole() {
        return false;
    }

    /** Whether its target has bounds of its own, as a percentage has; a time may be longer than any that was. */
    default boolean isBounded() {
        return false;
    }

    /** Whether it makes other sets of a piece of work, so that it touches it though its effect is none. */
    default boolean remakes(TimeSlice slice) {
        return false;
    }

    /** How broad it is: of two that touch the same seconds the narrower has them. */
    default int breadth() {
        return scope().breadth();
    }

    /** How its target is set; empty where it has none. */
    default Optional<SliderRange> slider(Replay replay, long slowestMs) {
        return Optional.empty();
    }

    /** The same change with another target; itself where it has none. */
    default Change to(double target) {
        StoredChange written = written();
        return ChangeKind.read(
                new StoredChange(written.kind(), scope(), List.of(target), written.sets(), written.atMs()));
    }

    /** Other places where it could apply, the widest first; none where it has its place. */
    default List<Scope> places(Replay replay) {
        return List.of();
    }

    /** What its slowest place took, in words; empty where that is no figure. */
    default String slowest(long figureMs, Replay replay) {
        return "";
    }

    /** Where the effect is not arithmetic, what would have to come of it for it to pay. */
    default List<Condition> breakEven(BreakEven facts, Gain alone) {
        return List.of();
    }

    /** Whether another one is about the same thing, whatever its target. */
    default boolean sameThing(Change other) {
        StoredChange one = written();
        StoredChange two = other.written();
        return one.kind().equals(two.kind())
                && one.scope().equals(two.scope())
                && one.atMs().equals(two.atMs());
    }

    /** A pause in milliseconds that a coach could mean. */
    static void requirePauses(Targets seconds) {
        for (double target : seconds.each()) {
            if (!(target >= 0 && 1000 * target <= LONGEST_PAUSE_MS)) {
                throw new InvalidInput("A target is 0 to 3600 s, not " + target);
            }
        }
    }

    /** Cadences in seconds per unit that a coach could mean. */
    static void requireCadences(Targets secondsPerUnit) {
        for (double target : secondsPerUnit.each()) {
            if (!(target > 0)) {
                throw new InvalidInput("A rate is above 0 s per rep or unit, not " + target);
            }
        }
    }

    /** Why nobody goes at a cadence, by what the movement counts; empty where it can be meant. */
    static Optional<String> noCadence(Replay replay, Scope scope, Targets secondsPerUnit) {
        return replay.slices().stream()
                .filter(slice -> slice.isWork() && slice.isOf(scope.movement()))
                .findFirst()
                .flatMap(slice -> secondsPerUnit.each().stream()
                        .flatMap(target ->
                                PaceLimits.problem(slice.segment().amount().unit(), target).stream())
                        .findFirst());
    }
}
