package wake.workout;

import java.util.List;
import java.util.stream.IntStream;
import wake.units.Quantity;
import wake.units.Unit;

/**
 * Which work is the same work, so that a figure of one may be held against one of the other: the same movement counted in the
 * same unit, sides taken alike, at a load within 2.5 % and the same heights. The 2.5 % is an assumption: about the smallest
 * plate on a middling bar.
 */
public final class Comparability {
    /** About the smallest plate on a middling bar; an assumption. */
    static final double LOAD_WITHIN = 0.025;

    private Comparability() {}

    /** The same movement in the same unit by the same one of two, whatever the load and the amount. */
    public static boolean sameMovement(Segment one, Segment other) {
        return one.movement().name().equals(other.movement().name())
                && one.amount().unit() == other.amount().unit()
                && one.sides() == other.sides()
                && one.isPartners() == other.isPartners();
    }

    /** The same work but for its amount. */
    public static boolean comparable(Segment one, Segment other) {
        return sameMovement(one, other) && sameLoads(one.loads(), other.loads());
    }

    /** The same work and as much of it. */
    public static boolean same(Segment one, Segment other) {
        return comparable(one, other)
                && one.amount().value().compareTo(other.amount().value()) == 0;
    }

    /** Whether two rounds ask for the same work and as much of it. */
    public static boolean sameRound(List<Segment> one, List<Segment> other) {
        return one.size() == other.size()
                && IntStream.range(0, one.size()).allMatch(i -> same(one.get(i), other.get(i)));
    }

    /** Whether what was shown in one may be asked of another: alike, or with the lighter load. */
    public static boolean mayBeAskedOf(Segment shown, Segment asked) {
        return sameMovement(shown, asked)
                && (sameLoads(shown.loads(), asked.loads()) || kilograms(shown) > kilograms(asked));
    }

    /** The load moved, in kilograms; 0 where nothing is loaded by mass. */
    public static double kilograms(Segment segment) {
        return segment.mass().map(load -> load.in(Unit.KILOGRAM)).orElse(0.0);
    }

    /** Whether two lists of loads and heights are alike, each by each. */
    public static boolean sameLoads(List<Quantity> ones, List<Quantity> others) {
        if (ones.size() != others.size()) {
            return false;
        }
        for (int i = 0; i < ones.size(); i++) {
            if (!sameLoad(ones.get(i), others.get(i))) {
                return false;
            }
        }
        return true;
    }

    private static boolean sameLoad(Quantity one, Quantity other) {
        if (one.unit().dimension() != other.unit().dimension()) {
            return false;
        }
        double these = one.doubleValue();
        double those = other.in(one.unit());
        return Math.abs(these - those) <= LOAD_WITHIN * Math.max(Math.abs(these), Math.abs(those));
    }
}
