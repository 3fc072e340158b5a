package wake.review;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import wake.plan.SetScheme;
import wake.projection.BreakOneEarly;
import wake.projection.CapRests;
import wake.projection.CapTransitions;
import wake.projection.Change;
import wake.projection.ChangeSets;
import wake.projection.DropFaults;
import wake.projection.ErgPace;
import wake.projection.FinishKick;
import wake.projection.HoldCadence;
import wake.projection.HoldRests;
import wake.projection.SkipPause;
import wake.projection.SpreadEvenly;

/**
 * A change as chosen.
 *
 * @param movement whose; empty for all, or where it concerns no movement
 * @param target seconds of a pause, seconds per rep or unit, percent of a kick, or the exponent of an even spread; else 0
 * @param sets of a set scheme, as written: "8-7", "5s"
 * @param atMs the clock a kick starts from, or a pause began at
 * @param on whether it counts
 */
public record ChangeJson(
        Kind kind,
        String movement,
        double target,
        @Nullable String sets,
        @Nullable Long atMs,
        boolean on) {
    public ChangeJson {
        movement = Objects.requireNonNullElse(movement, "");
    }

    /** What a change does. */
    public enum Kind {
        CAP_TRANSITIONS,
        CAP_RESTS,
        HOLD_RESTS,
        SKIP_PAUSE,
        HOLD_CADENCE,
        ERG_PACE,
        CHANGE_SETS,
        BREAK_ONE_EARLY,
        DROP_FAULTS,
        SPREAD_EVENLY,
        FINISH_KICK
    }

    private ChangeJson(Kind kind, String movement, double target, boolean on) {
        this(kind, movement, target, null, null, on);
    }

    public static ChangeJson of(Change change, boolean on) {
        return switch (change) {
            case CapTransitions cap ->
                new ChangeJson(Kind.CAP_TRANSITIONS, cap.movement(), seconds(cap.targetMs()), on);
            case CapRests cap -> new ChangeJson(Kind.CAP_RESTS, cap.movement(), seconds(cap.targetMs()), on);
            case HoldRests hold -> new ChangeJson(Kind.HOLD_RESTS, hold.movement(), 0, on);
            case SkipPause skip -> new ChangeJson(Kind.SKIP_PAUSE, "", seconds(skip.targetMs()), null, skip.atMs(), on);
            case HoldCadence hold -> new ChangeJson(Kind.HOLD_CADENCE, hold.movement(), hold.secondsPerUnit(), on);
            case ErgPace pace -> new ChangeJson(Kind.ERG_PACE, pace.movement(), pace.secondsPerUnit(), on);
            case ChangeSets sets ->
                new ChangeJson(Kind.CHANGE_SETS, sets.movement(), 0, sets.sets().written(), null, on);
            case BreakOneEarly early ->
                new ChangeJson(Kind.BREAK_ONE_EARLY, early.movement(), seconds(early.pickUpMs()), on);
            case DropFaults drop -> new ChangeJson(Kind.DROP_FAULTS, drop.movement(), 0, on);
            case SpreadEvenly spread -> new ChangeJson(Kind.SPREAD_EVENLY, "", spread.alpha(), on);
            case FinishKick kick -> new ChangeJson(Kind.FINISH_KICK, "", kick.percent(), null, kick.fromMs(), on);
        };
    }

    private static double seconds(long ms) {
        return ms / 1000.0;
    }

    private long targetMs() {
        return Math.round(1000 * target);
    }

    private long at() {
        if (atMs == null) {
            throw new IllegalArgumentException("Expected the clock it starts at, in milliseconds, as atMs");
        }
        return atMs;
    }

    /**
     * The change it says.
     *
     * @throws IllegalArgumentException when its target is none for that kind
     */
    public Change change() {
        if (!Double.isFinite(target)) {
            throw new IllegalArgumentException("Expected a number as target, got " + target);
        }
        return switch (kind) {
            case CAP_TRANSITIONS -> new CapTransitions(movement, targetMs());
            case CAP_RESTS -> new CapRests(movement, targetMs());
            case HOLD_RESTS -> new HoldRests(movement);
            case SKIP_PAUSE -> new SkipPause(at(), targetMs());
            case HOLD_CADENCE -> new HoldCadence(movement, target);
            case ERG_PACE -> new ErgPace(movement, target);
            case CHANGE_SETS -> new ChangeSets(movement, SetScheme.parse(sets == null ? "" : sets));
            case BREAK_ONE_EARLY -> new BreakOneEarly(movement, targetMs());
            case DROP_FAULTS -> new DropFaults(movement);
            case SPREAD_EVENLY -> new SpreadEvenly(target);
            case FINISH_KICK -> new FinishKick(at(), target);
        };
    }

    /** Whether another one is about the same thing, whatever its target. */
    public boolean sameThing(ChangeJson other) {
        boolean place = kind == Kind.SKIP_PAUSE;
        return kind == other.kind
                && movement.equals(other.movement)
                && (!place || java.util.Objects.equals(atMs, other.atMs));
    }
}
