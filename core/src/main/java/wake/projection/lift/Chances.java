package wake.projection.lift;

import java.util.ArrayList;
import java.util.List;
import wake.log.Lift;
import wake.reading.lift.LiftReading;
import wake.reading.lift.LiftRow;
import wake.units.Messages;
import wake.workout.Format.LiftPiece;

/**
 * How likely a lift is made at a share of the max: a logistic curve through the athlete's own lifts once ten are known, those of common practice
 * counting as four more; before that, common practice alone.
 *
 * <p>Common practice, no source: half of the lifts at the max itself are made, nine in ten at about 93 %. A complex is asked at 12 % less than a single
 * (78 % must be made where a single is 90 %). Rest under a minute and a half costs 1 % of the max for each 15 s that are missing, each heavy lift
 * before half a per cent. All of these are assumptions.
 *
 * @param middle the share of the max, in per cent, of which half are made
 * @param spread how wide the curve is: at so many per cent less, 73 % are made
 * @param own how many lifts of the athlete it rests on; 0 for common practice alone
 */
public record Chances(double middle, double spread, int own) {
    public static final Chances COMMON = new Chances(100, 3, 0);

    /** From so many of the athlete's own lifts on the curve is theirs; an assumption. */
    public static final int ENOUGH = 10;

    /** Points of percent that a complex is harder than a single; common practice, no source. */
    static final double COMPLEX = 12;
    /** A rest as long as this costs nothing; common practice, no source. */
    static final long FULL_REST_MS = 90_000;
    /** From this percent of the max on a lift costs the next one something; an assumption. */
    static final double HEAVY = 90;
    /** So much rest short is worth a point of percent; an assumption. */
    private static final double REST_MS_FOR_ONE_PERCENT = 15_000;
    /** Points of percent that each heavy lift before it costs; an assumption. */
    private static final double FOR_A_HEAVY_LIFT = 0.5;

    /** Common practice as lifts: at these shares, so much of one lift made. Four lifts in all. */
    private static final List<Double> PRIOR_AT = List.of(90.0, 97.0, 103.0, 110.0);

    private static final int MOST_STEPS = 100;
    private static final double CLOSE_ENOUGH = 1e-10;

    /** @throws IllegalArgumentException where the spread is not above 0 */
    public Chances {
        if (!(spread > 0)) {
            throw new IllegalArgumentException("Chances fall with the load, so the spread is above 0, not " + spread);
        }
    }

    /**
     * A lift of the athlete's.
     *
     * @param percent how hard it was, as a share of the max: {@link #asked}
     */
    public record Tried(double percent, boolean made) {}

    /** How hard a lift is, as a share of the max of a rested single. */
    public static double asked(double percentOfMax, int reps, long restMs, int heavyBefore) {
        double missing = Math.max(0, FULL_REST_MS - restMs) / REST_MS_FOR_ONE_PERCENT;
        return percentOfMax + (reps > 1 ? COMPLEX : 0) + missing + FOR_A_HEAVY_LIFT * heavyBefore;
    }

    /** The lifts of a window whose outcome, load and max are known. A rest that was not seen is taken as enough. */
    public static List<Tried> tried(LiftReading reading) {
        List<Tried> tried = new ArrayList<>();
        int heavy = 0;
        for (LiftRow row : reading.rows()) {
            if (row.percent().isEmpty() || row.lift().outcome() == Lift.Outcome.UNKNOWN) {
                continue;
            }
            int reps = LiftPiece.repsOf(row.pieces());
            long rest = row.number() == 1 ? FULL_REST_MS : row.restMs().orElse(FULL_REST_MS);
            tried.add(new Tried(
                    asked(row.percent().getAsDouble(), reps, rest, heavy),
                    row.lift().made()));
            heavy += asked(row.percent().getAsDouble(), reps, FULL_REST_MS, 0) >= HEAVY ? 1 : 0;
        }
        return tried;
    }

    /** The curve of an athlete with these lifts. */
    public static Chances of(List<Tried> lifts) {
        return lifts.size() < ENOUGH ? new Chances(COMMON.middle, COMMON.spread, 0) : fitted(lifts);
    }

    /** How likely a lift that asks so much is made, 0 to 1. */
    public double made(double asked) {
        return 1 / (1 + Math.exp((asked - middle) / spread));
    }

    /** Where it comes from, in a sentence. */
    public String words() {
        return own == 0
                ? "Chances are typical values (50% at max, 90% at 93% of max) until ten of this athlete's lifts are logged."
                : Messages.of(
                        "Chances come from this athlete's %d logged lifts: half are made at %.0f%% of max.",
                        own, middle);
    }

    /**
     * The likeliest curve (Cox 1958), by Newton's steps; halved where one overshoots. The lifts of common practice among them keep it finite
     * where every heavy lift was missed and every light one made.
     */
    private static Chances fitted(List<Tried> lifts) {
        double level = 0;
        double slope = -1 / COMMON.spread;
        for (int step = 0; step < MOST_STEPS; step++) {
            double[] sums = sums(lifts, level, slope);
            double det = sums[2] * sums[4] - sums[3] * sums[3];
            double byLevel = (sums[0] * sums[4] - sums[1] * sums[3]) / det;
            double bySlope = (sums[1] * sums[2] - sums[0] * sums[3]) / det;
            double share = 1;
            double before = likelihood(lifts, level, slope);
            while (share > 1e-6 && likelihood(lifts, level + share * byLevel, slope + share * bySlope) < before) {
                share /= 2;
            }
            level += share * byLevel;
            slope += share * bySlope;
            if (Math.abs(byLevel) + Math.abs(bySlope) < CLOSE_ENOUGH) {
                break;
            }
        }
        // Who misses light and makes heavy bars tells no curve: common practice stands, moved to the middle of the
        // lifts.
        return slope < -0.01
                ? new Chances(COMMON.middle - level / slope, -1 / slope, lifts.size())
                : new Chances(COMMON.middle, COMMON.spread, 0);
    }

    private static double[] sums(List<Tried> lifts, double level, double slope) {
        double[] sums = new double[5];
        for (Tried lift : lifts) {
            add(sums, lift.percent(), lift.made() ? 1 : 0, level, slope);
        }
        for (double at : PRIOR_AT) {
            add(sums, at, COMMON.made(at), level, slope);
        }
        return sums;
    }

    private static void add(double[] sums, double percent, double made, double level, double slope) {
        double x = percent - COMMON.middle;
        double p = 1 / (1 + Math.exp(-(level + slope * x)));
        double weight = Math.max(1e-12, p * (1 - p));
        sums[0] += made - p;
        sums[1] += (made - p) * x;
        sums[2] += weight;
        sums[3] += weight * x;
        sums[4] += weight * x * x;
    }

    private static double likelihood(List<Tried> lifts, double level, double slope) {
        double sum = 0;
        for (Tried lift : lifts) {
            sum += one(lift.percent(), lift.made() ? 1 : 0, level, slope);
        }
        for (double at : PRIOR_AT) {
            sum += one(at, COMMON.made(at), level, slope);
        }
        return sum;
    }

    private static double one(double percent, double made, double level, double slope) {
        double z = level + slope * (percent - COMMON.middle);
        return made * z - Math.max(0, z) - Math.log1p(Math.exp(-Math.abs(z)));
    }
}
