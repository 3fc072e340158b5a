package wake.projection.lift;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import wake.athlete.EstimatedMax;
import wake.log.Lift;
import wake.reading.lift.LiftReading;
import wake.reading.lift.LiftRow;
import wake.strength.StrengthSet;
import wake.strength.StrengthWork;
import wake.units.Unit;
import wake.workout.Format.LiftPiece;

/**
 * A lift of the athlete's with a load and an outcome.
 *
 * @param askedKg the rested single that is as hard: {@link #asked}
 */
public record Tried(double askedKg, boolean made) {
    /** A rest as long as this costs nothing; common practice, no source. */
    static final long FULL_REST_MS = 90_000;

    /** After a conditioning part on the same clock a bar is by so much harder: 5 %; an assumption. */
    static final double AFTER_ANOTHER_PART = 1.05;

    /** 78 % must be made of a complex where a single is 90 %; common practice, no source. */
    private static final double COMPLEX = 90 / 78.0;
    /** So much rest short makes a bar harder by one per cent; an assumption. */
    private static final double REST_MS_FOR_ONE_PERCENT = 15_000;
    /** By so many per cent each heavy lift before it makes a bar harder; an assumption. */
    private static final double FOR_A_HEAVY_LIFT = 0.5;
    /** A lift that asks as much as this share of the hardest before it was heavy; an assumption. */
    private static final double HEAVY = 0.9;

    /**
     * The lifts of one window, in order.
     *
     * @param daysAgo how many days before the window that is projected from
     */
    public record Day(long daysAgo, List<Tried> lifts) {
        public Day {
            lifts = List.copyOf(lifts);
        }
    }

    /**
     * The rested single that is as hard as a load: several reps of one movement by the mean of two formulas (Epley 1985, Brzycki 1993), a
     * complex by common practice, what is missing of the rest and every heavy lift before on top.
     */
    static double asked(double loadKg, List<LiftPiece> pieces, long restMs, int heavyBefore) {
        double missing = Math.max(0, FULL_REST_MS - restMs) / REST_MS_FOR_ONE_PERCENT;
        return loadKg * ofSingle(pieces) * (1 + (missing + FOR_A_HEAVY_LIFT * heavyBefore) / 100);
    }

    /** How many times its load a single would weigh that is as hard as these pieces. */
    static double ofSingle(List<LiftPiece> pieces) {
        int reps = LiftPiece.repsOf(pieces);
        Set<String> movements = pieces.stream().map(LiftPiece::movement).collect(Collectors.toSet());
        return reps == 1 ? 1 : movements.size() > 1 ? COMPLEX : EstimatedMax.timesTheLoad(reps);
    }

    /** The lifts of a window whose outcome and load are known. A rest that was not seen is taken as enough. */
    public static List<Tried> in(LiftReading reading) {
        List<Tried> tried = new ArrayList<>();
        Heavy heavy = new Heavy();
        for (LiftRow row : reading.rows()) {
            if (row.lift().load().isEmpty() || row.lift().outcome() == Lift.Outcome.UNKNOWN) {
                continue;
            }
            double load = LiftReading.kilograms(row);
            long rest = row.number() == 1 ? FULL_REST_MS : row.restMs().orElse(FULL_REST_MS);
            tried.add(new Tried(
                    asked(load, row.pieces(), rest, heavy.before()), row.lift().made()));
            heavy.count(asked(load, row.pieces(), FULL_REST_MS, 0));
        }
        return tried;
    }

    /** The same lifts where a conditioning part came before on the same clock. */
    public static List<Tried> afterAnotherPart(List<Tried> lifts) {
        return lifts.stream()
                .map(one -> new Tried(one.askedKg() * AFTER_ANOTHER_PART, one.made()))
                .toList();
    }

    /**
     * What sets that were not for time show: a set is as hard as the single its reps point to, and one missed as hard as one rep more. A rest is
     * taken as enough. What was missed at a tempo says nothing of a lift without; holds, sets without a load, and sets
     * of more reps than the formulas carry say nothing.
     */
    public static List<Tried> in(StrengthWork work) {
        List<Tried> tried = new ArrayList<>();
        for (StrengthSet set : work.sets()) {
            if (set.load().isEmpty() || set.heldS().isPresent() || set.made() + set.missed() > EstimatedMax.MOST_REPS) {
                continue;
            }
            double load = set.load().get().in(Unit.KILOGRAM);
            if (set.made() > 0) {
                tried.add(new Tried(load * EstimatedMax.timesTheLoad(set.made()), true));
            }
            if (set.missed() > 0 && work.asked().tempo().isEmpty()) {
                tried.add(new Tried(load * EstimatedMax.timesTheLoad(set.made() + 1), false));
            }
        }
        return tried;
    }

    /** Counts the heavy lifts of a window as they come: those at nine tenths of its hardest so far or above, the build-up left out. */
    static final class Heavy {
        private final List<Double> asked = new ArrayList<>();

        void count(double askedKg) {
            asked.add(askedKg);
        }

        int before() {
            double hardest = asked.stream().mapToDouble(one -> one).max().orElse(0);
            return (int) asked.stream().filter(one -> one >= HEAVY * hardest).count();
        }
    }
}
