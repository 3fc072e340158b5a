package wake.projection.lift;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.distribution.continuous.TDistribution;
import wake.plan.lift.LimitingMax;
import wake.units.Messages;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format.LiftPiece;

/**
 * How likely a load is made the next time: the posterior of a logistic curve of the load, on a grid (Gelman et al., Bayesian Data Analysis, 3rd ed.,
 * section 3.7). Half are made at its middle; at one spread less 73 %.
 *
 * <p>The prior is weak (a t with four degrees of freedom about the max on file, as Gelman et al. 2008 advise for logistic curves) and every lift made or
 * missed moves it, from the first on. The middle of a day lies about that of all days, and that drifts: so the latest lifts count most. Without a max
 * the prior is wider, where the bars chosen for each window point to.
 *
 * @param curves the curves that may hold, with weights that add up to 1
 * @param own on how many lifts of the athlete they rest
 * @param from the max they start from, in words; empty where none is on file
 * @param isAfterAnotherPart whether a part comes before on the same clock, which makes every bar harder
 */
public record Chances(List<Curve> curves, int own, String from, boolean isAfterAnotherPart) {
    /** So far the max on file may be off, per cent; an assumption. */
    private static final double MAX_OFF = 5;
    /** Bars below this share of a window's hardest are its build-up; an assumption. */
    private static final double BUILD_UP_BELOW = 0.8;
    /** A window climbs in which a bar is harder than its first by more than 2.5 %: more than what missing rest and heavy lifts before do; an assumption. */
    private static final double CLIMBS = 1.025;
    /** A window that climbs opens at about 84 % of the max; common practice (80 to 88 %), no source. */
    private static final double OPENED_AT = 0.84;
    /** One in which the bar stays is done at about 90 %, as a single is as hard; common practice (85 to 95 %), no source. */
    private static final double STAYED_AT = 0.9;
    /** So far a max told from the bars chosen may be off, per cent; an assumption. */
    private static final double CHOSEN_OFF = 7;

    /** A max is wrong or long past that the lifts made exceed by as much; an assumption. */
    private static final double LONG_PAST = 1.25;

    private static final double TAILS = 4;
    /** By how much a day differs from another: 2.5 % (of 1RM tests 4.2 % in the median over all kinds of lifters, Grgic et al. 2020, from memory). */
    private static final double DAY = 2.5;
    /** By how much a max moves in a year: 5 %; an assumption. */
    private static final double YEAR = 5;

    private static final double DAYS_A_YEAR = 365;
    /** Nine in ten are made at about 93 % of the max, so the spread is about 3 %; common practice, no source. */
    private static final double SPREAD = 3;
    /** By how much lifters differ in it, as a standard deviation of its logarithm; an assumption. */
    private static final double SPREAD_DIFFERS = 0.35;

    private static final double[] SPREADS = {1.2, 1.7, 2.3, 3, 3.9, 5.1, 6.6};
    /** The grid of middles, in per cent of where the prior is put. */
    private static final double LEAST = 25;

    private static final double STEP = 0.5;
    private static final int MIDDLES = 351;
    private static final double SEEN_AT_LEAST = 1e-7;
    private static final int SIGMAS = 4;
    private static final int HALVINGS = 50;
    private static final double EVEN = 0.5;

    public Chances {
        curves = List.copyOf(curves);
    }

    /**
     * One curve.
     *
     * @param middleKg the rested single of which half are made
     * @param spreadKg how wide the curve is: at so much less, 73 % are made
     * @param weight how likely it is the one that holds
     */
    public record Curve(double middleKg, double spreadKg, double weight) {
        /** How likely a bar that asks so much is made, 0 to 1. */
        double made(double askedKg) {
            return 1 / (1 + Math.exp((askedKg - middleKg) / spreadKg));
        }
    }

    /** One curve that is known to hold. */
    static Chances known(double middleKg, double spreadKg) {
        return new Chances(List.of(new Curve(middleKg, spreadKg, 1)), 0, "", false);
    }

    /**
     * The chances of an athlete on another day.
     *
     * @param max the max that limits the lift
     * @param days the windows with the lift, in any order; none where nothing is known but the max. A max a quarter below what was made is left out
     * @throws IllegalArgumentException when there is neither a max nor a lift
     */
    public static Chances of(LimitingMax max, List<Tried.Day> days) {
        return of(
                max.max(),
                max.max()
                        .map(load -> "max " + max.lift() + " " + load
                                + (max.reps().isEmpty() ? "" : " (from " + max.reps() + ")"))
                        .orElse(""),
                days);
    }

    /**
     * The same from a max that is not on file.
     *
     * @param from what it is, in words; empty with the max
     */
    public static Chances of(Optional<Quantity> max, String from, List<Tried.Day> days) {
        List<Tried.Day> oldestFirst = days.stream()
                .filter(day -> !day.lifts().isEmpty())
                .sorted(Comparator.comparingLong(Tried.Day::daysAgo).reversed())
                .toList();
        if (max.isPresent() && hardestMade(oldestFirst) > LONG_PAST * max.get().in(Unit.KILOGRAM)) {
            return of(Optional.empty(), "", days);
        }
        double reference = max.map(load -> load.in(Unit.KILOGRAM)).orElseGet(() -> likelyMax(oldestFirst));
        double[][] log = new double[SPREADS.length][MIDDLES];
        long at = 0;
        for (Tried.Day day : oldestFirst) {
            // From the oldest window on: what older ones say has drifted until then.
            log = blurred(log, YEAR * Math.sqrt((at - day.daysAgo()) / DAYS_A_YEAR));
            at = day.daysAgo();
            add(log, blurred(likelihood(day, reference), DAY));
        }
        log = blurred(log, YEAR * Math.sqrt(at / DAYS_A_YEAR));
        add(log, prior(max.isPresent() ? MAX_OFF : CHOSEN_OFF));
        int own = oldestFirst.stream().mapToInt(day -> day.lifts().size()).sum();
        return new Chances(curves(blurred(log, DAY), reference), own, from, false);
    }

    /** Where the prior is put without a max on file: what the bars chosen for each window are usually a share of, on average over them. */
    private static double likelyMax(List<Tried.Day> days) {
        return days.stream()
                .mapToDouble(Chances::likelyMax)
                .average()
                .orElseThrow(() -> new IllegalArgumentException("There is neither a max nor a lift"));
    }

    private static double likelyMax(Tried.Day day) {
        double hardest = hardest(day.lifts().stream());
        double first = day.lifts().stream()
                .mapToDouble(Tried::askedKg)
                .filter(asked -> asked >= BUILD_UP_BELOW * hardest)
                .findFirst()
                .orElseThrow();
        return first / (hardest > CLIMBS * first ? OPENED_AT : STAYED_AT);
    }

    private static double hardestMade(List<Tried.Day> days) {
        return hardest(days.stream().flatMap(day -> day.lifts().stream()).filter(Tried::made));
    }

    private static double hardest(Stream<Tried> lifts) {
        return lifts.mapToDouble(Tried::askedKg).max().orElse(0);
    }

    private static double middle(int at) {
        return LEAST + STEP * at;
    }

    private static double[][] prior(double off) {
        TDistribution middles = new TDistribution(TAILS);
        NormalDistribution spreads = new NormalDistribution(Math.log(SPREAD), SPREAD_DIFFERS);
        double[][] log = new double[SPREADS.length][MIDDLES];
        for (int s = 0; s < SPREADS.length; s++) {
            for (int m = 0; m < MIDDLES; m++) {
                log[s][m] = middles.logDensity((middle(m) - 100) / off) + spreads.logDensity(Math.log(SPREADS[s]));
            }
        }
        return log;
    }

    /** How likely each curve makes what was made and missed on one day. */
    private static double[][] likelihood(Tried.Day day, double referenceKg) {
        double[][] log = new double[SPREADS.length][MIDDLES];
        for (Tried lift : day.lifts()) {
            double asked = 100 * lift.askedKg() / referenceKg;
            for (int s = 0; s < SPREADS.length; s++) {
                for (int m = 0; m < MIDDLES; m++) {
                    double above = (asked - middle(m)) / SPREADS[s];
                    log[s][m] -= Math.log1p(Math.exp(-Math.abs(above))) + Math.max(0, lift.made() ? above : -above);
                }
            }
        }
        return log;
    }

    private static void add(double[][] log, double[][] other) {
        for (int s = 0; s < log.length; s++) {
            for (int m = 0; m < log[s].length; m++) {
                log[s][m] += other[s][m];
            }
        }
    }

    /** The same with the middle otherwise by a normal amount with this standard deviation, in per cent. */
    private static double[][] blurred(double[][] log, double sd) {
        int reach = (int) Math.ceil(SIGMAS * sd / STEP);
        if (reach == 0) {
            return log;
        }
        double[] kernel = new double[2 * reach + 1];
        for (int i = 0; i < kernel.length; i++) {
            double z = (i - reach) * STEP / sd;
            kernel[i] = Math.exp(-z * z / 2);
        }
        double most = most(log);
        double[][] blurred = new double[log.length][MIDDLES];
        double[] row = new double[MIDDLES];
        for (int s = 0; s < log.length; s++) {
            for (int m = 0; m < MIDDLES; m++) {
                row[m] = Math.exp(log[s][m] - most);
            }
            for (int m = 0; m < MIDDLES; m++) {
                double sum = 0;
                double weights = 0;
                for (int i = Math.max(0, m - reach); i <= Math.min(MIDDLES - 1, m + reach); i++) {
                    double weight = kernel[i - m + reach];
                    sum += weight * row[i];
                    weights += weight;
                }
                blurred[s][m] = most + Math.log(Math.max(Double.MIN_NORMAL, sum / weights));
            }
        }
        return blurred;
    }

    private static double most(double[][] log) {
        double most = Double.NEGATIVE_INFINITY;
        for (double[] row : log) {
            for (double one : row) {
                most = Math.max(most, one);
            }
        }
        return most;
    }

    private static List<Curve> curves(double[][] log, double referenceKg) {
        double most = most(log);
        List<Curve> seen = new ArrayList<>();
        double sum = 0;
        for (int s = 0; s < log.length; s++) {
            for (int m = 0; m < MIDDLES; m++) {
                double weight = Math.exp(log[s][m] - most);
                if (weight >= SEEN_AT_LEAST) {
                    seen.add(new Curve(middle(m) * referenceKg / 100, SPREADS[s] * referenceKg / 100, weight));
                    sum += weight;
                }
            }
        }
        double all = sum;
        return seen.stream()
                .map(curve -> new Curve(curve.middleKg(), curve.spreadKg(), curve.weight() / all))
                .toList();
    }

    /** The chances after a conditioning part on the same clock: every bar is as hard as one so much heavier is to the rested. */
    public Chances afterAnotherPart() {
        return new Chances(
                curves.stream()
                        .map(curve -> new Curve(
                                curve.middleKg() / Tried.AFTER_ANOTHER_PART,
                                curve.spreadKg() / Tried.AFTER_ANOTHER_PART,
                                curve.weight()))
                        .toList(),
                own,
                from,
                true);
    }

    /** How likely a bar is made that is as hard as this rested single, 0 to 1. */
    public double made(double askedKg) {
        double sum = 0;
        for (Curve curve : curves) {
            sum += curve.weight() * curve.made(askedKg);
        }
        return sum;
    }

    /** The rested single that is made with this chance, kilograms. */
    public double askedWith(double chance) {
        double low = 0;
        double high = 4 * curves.stream().mapToDouble(Curve::middleKg).max().orElse(0);
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (made(middle) >= chance) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low;
    }

    /**
     * Where it comes from, in a sentence; another where the rested would lift more.
     *
     * @param unit the unit of the bar
     * @param complex what is lifted
     */
    public String words(Unit unit, List<LiftPiece> complex) {
        double single = askedWith(EVEN);
        double times = Tried.ofSingle(complex);
        String even = times == 1
                ? load(single, unit)
                : load(single / times, unit) + ", as hard as a single of " + load(single, unit);
        String lifts = own == 0 ? "" : own == 1 ? "1 logged lift" : own + " logged lifts, the latest counting most";
        String start = from.isEmpty() ? lifts : own == 0 ? from + " alone" : from + " and " + lifts;
        String less = isAfterAnotherPart
                ? Messages.of(
                        " %.0f%% less than rested, as a part comes before (assumed).",
                        100 * (1 - 1 / Tried.AFTER_ANOTHER_PART))
                : "";
        String chosen = from.isEmpty()
                ? Messages.of(
                        " Without a max the first bar of a climb is taken as %.0f%% of it, a bar that stays as %.0f%% (assumed).",
                        100 * OPENED_AT, 100 * STAYED_AT)
                : "";
        return "Chances come from " + start + ". Even chance: " + even + "." + chosen + less;
    }

    private static String load(double kilograms, Unit unit) {
        return Messages.of("%.0f %s", Unit.KILOGRAM.to(unit, kilograms), unit.symbol());
    }
}
