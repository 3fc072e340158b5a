package wake.movement;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import wake.units.InvalidInput;
import wake.units.Unit;

/**
 * One movement of the catalogue.
 *
 * @param name the name on the whiteboard, lower case
 * @param aliases other names and abbreviations it is written as
 * @param modality which kind of work it is
 * @param loads what it loads
 * @param unit what its amount counts when none is written
 * @param starts where a rep starts
 * @param ends where a rep ends
 * @param fast seconds per unit of a strong athlete, fresh; common practice, no source
 * @param slow seconds per unit when paced or tired; common practice, no source
 * @param goodRep what makes a rep count, in our words; the event's own rules go first
 * @param caution what to watch for so that nobody is hurt
 * @param of lifts it is a part or a harder form of: they stand for its max where that is not known
 * @param figure how the simulated recording draws it
 */
public record Movement(
        String name,
        List<String> aliases,
        Modality modality,
        Set<Loads> loads,
        Unit unit,
        Position starts,
        Position ends,
        double fast,
        double slow,
        String goodRep,
        Optional<String> caution,
        List<String> of,
        String figure) {
    /** @throws InvalidInput where the figures contradict each other */
    public Movement {
        of = List.copyOf(of);
        aliases = List.copyOf(aliases);
        loads = Set.copyOf(loads);
        if (!(fast > 0) || slow < fast) {
            throw new InvalidInput(
                    name + ": the fast rate is above 0 and at most the slow one, not " + fast + " and " + slow);
        }
    }

    /** The middle of the usual range, seconds per unit: a starting point for a plan, an assumption until the athlete shows otherwise. */
    public double usualSecondsPerUnit() {
        return (fast + slow) / 2;
    }

    /**
     * A kind of it that the catalogue does not know: it loads what this one loads, and takes as long to begin with.
     *
     * @param takesItsMax whether a max of this one stands for it where its own is not known
     */
    Movement kindOf(String written, boolean takesItsMax) {
        return new Movement(
                written,
                List.of(),
                modality,
                loads,
                unit,
                starts,
                ends,
                fast,
                slow,
                "See the event's rules.",
                caution,
                takesItsMax ? List.of(name) : List.of(),
                figure);
    }

    /** A movement the catalogue does not know: allowed on any whiteboard, with a wide guess at its pace. */
    public static Movement custom(String name, Unit unit) {
        boolean distance = unit.dimension() == Unit.Dimension.LENGTH;
        double fast = unit == Unit.REP ? 1.5 : unit == Unit.CALORIE ? 2.5 : 0.25;
        return new Movement(
                name,
                List.of(),
                unit == Unit.REP ? Modality.BODYWEIGHT : Modality.CYCLIC,
                Set.of(),
                distance ? Unit.METRE : unit,
                Position.STANDING,
                Position.STANDING,
                fast,
                fast * 2,
                "See the event's rules.",
                Optional.empty(),
                List.of(),
                "stand");
    }
}
