package wake.plan;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import wake.athlete.CountedTest;
import wake.athlete.Demonstrated;
import wake.athlete.Figures;
import wake.movement.AirErg;
import wake.movement.Movement;
import wake.units.ErgPower;
import wake.units.Messages;
import wake.units.Unit;
import wake.workout.Comparability;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/**
 * A first plan: the athlete's tests where there are any, else what their attempts have shown, else their best time pulled
 * back, else the catalogue's usual cadence, which is common practice, no source, and an assumption until the coach has
 * changed it. Sets are cut well under the known unbroken max.
 *
 * @param plan the plan
 * @param bases where each line's pace comes from, by line index, in words
 */
public record Draft(Plan plan, Map<Integer, String> bases) {
    /** Share of a fresh unbroken max that a set may have; common practice, no source. */
    public static final double SET_SHARE = 0.8;

    /** A mile inside a long workout is run one to two minutes slower than the best; the middle. Common practice, no source. */
    private static final double SLOWER_PER_MILE_S = 90;
    /** The same for rowing and skiing, seconds per 500 m; an assumption. */
    private static final double SLOWER_PER_500M_S = 10;

    public Draft {
        bases = Map.copyOf(bases);
    }

    /**
     * A cadence and where it comes from.
     *
     * @param usual whether it is the catalogue's: of reps alone, without the way up to the first of them
     */
    record Basis(double secondsPerUnit, String words, boolean usual) {
        Basis(double secondsPerUnit, String words) {
            this(secondsPerUnit, words, false);
        }
    }

    /** From the catalogue alone, nothing cut: what a workout takes on paper. */
    public static Plan of(ExpandedWorkout expanded) {
        return new Drafting(expanded, Figures.NONE, Demonstrated.NOTHING, false)
                .draft()
                .plan();
    }

    /** From what is known of the athlete: at each bar as its share of the max has it, in sets within what was shown unbroken. */
    public static Draft of(ExpandedWorkout expanded, Figures figures, Demonstrated demonstrated) {
        return new Drafting(expanded, figures, demonstrated, true).draft();
    }

    /** The bars of a line, lightest and heaviest, in kilograms. */
    record Bars(double lightest, double heaviest) {
        static final Bars ONE = new Bars(0, 0);

        static Bars of(List<Segment> line) {
            double[] loads =
                    line.stream().mapToDouble(Comparability::kilograms).sorted().toArray();
            return loads.length == 0 ? ONE : new Bars(loads[0], loads[loads.length - 1]);
        }

        /** From 0 for the lightest to 1 for the heaviest; the middle where all are the same. */
        double place(Segment segment) {
            return heaviest - lightest < 1e-9
                    ? 0.5
                    : (Comparability.kilograms(segment) - lightest) / (heaviest - lightest);
        }
    }

    static Basis basis(Segment segment, Figures figures, Demonstrated demonstrated) {
        return basis(segment, Bars.ONE, figures, demonstrated);
    }

    /** The cadence to plan with; by the bar's share of the max where nothing better is known. */
    static Basis basis(Segment segment, Bars bars, Figures figures, Demonstrated demonstrated) {
        Movement movement = segment.movement();
        Unit unit = segment.amount().unit();
        Optional<Basis> tested = tested(movement, unit, figures).map(seconds -> new Basis(seconds, "from a test"));
        Optional<Basis> known = tested.or(() -> demonstrated
                        .pace(segment)
                        .map(pace -> new Basis(pace.medianSecondsPerUnit(), "from past attempts")))
                .map(basis -> noFasterThanTheBest(basis, segment, figures));
        return known.or(() -> figures.best(movement)
                        .flatMap(best -> perUnit(best.secondsPerMetre() + pulledBack(movement), movement, unit))
                        .map(seconds -> new Basis(seconds, "best time, slowed for a workout")))
                .orElseGet(() -> figures.share(segment).stream()
                        .mapToObj(share -> handled(segment, LoadProfile.of(share), figures))
                        .findFirst()
                        .orElseGet(() -> usual(segment, bars)));
    }

    /** Over a distance for which a best time is noted, or a longer one, no draft is faster than that. */
    private static Basis noFasterThanTheBest(Basis basis, Segment segment, Figures figures) {
        Unit unit = segment.amount().unit();
        if (unit.dimension() != Unit.Dimension.LENGTH) {
            return basis;
        }
        double metres = segment.amount().in(Unit.METRE);
        return figures.best(segment.movement())
                .filter(best -> metres >= best.distance().in(Unit.METRE))
                .flatMap(best -> perUnit(best.secondsPerMetre(), segment.movement(), unit))
                .filter(best -> best > basis.secondsPerUnit())
                .map(best -> new Basis(best, "best time, as fast as a draft goes"))
                .orElse(basis);
    }

    /** What held in a test: in the unit asked for, else over a distance, else in calories on a machine where they convert. */
    private static Optional<Double> tested(Movement movement, Unit unit, Figures figures) {
        return figures.counted(movement, unit)
                .map(CountedTest::secondsPerUnit)
                .or(() -> figures.test(movement).flatMap(test -> perUnit(test.secondsPerMetre(), movement, unit)))
                .or(() -> figures.counted(movement, Unit.CALORIE)
                        .flatMap(test -> AirErg.power(movement, Unit.CALORIE, test.secondsPerUnit()))
                        .flatMap(power -> perUnit(power.secondsPerMetre(), movement, unit)));
    }

    /** The catalogue's usual cadence at a share of the max. */
    private static Basis handled(Segment segment, LoadProfile handling, Figures figures) {
        Movement movement = segment.movement();
        String kilograms = segment.shareOfMax().isEmpty()
                ? ""
                : figures.maxFor(movement)
                        .map(max -> Messages.of(", %.1f kg", handling.share() * max.in(Unit.KILOGRAM)))
                        .orElse("");
        double perUnit = movement.fast() + (movement.slow() - movement.fast()) * handling.place();
        return new Basis(
                fromCatalogue(movement, perUnit, segment.amount().unit()),
                Messages.of("typical at %d%% of max%s (assumed)", Math.round(100 * handling.share()), kilograms),
                true);
    }

    /** The catalogue's usual cadence: of bars that change, from its fast end for the lightest to its slow end for the heaviest. */
    private static Basis usual(Segment segment, Bars bars) {
        Movement movement = segment.movement();
        double perUnit = movement.fast() + (movement.slow() - movement.fast()) * bars.place(segment);
        return new Basis(
                fromCatalogue(movement, perUnit, segment.amount().unit()),
                bars.equals(Bars.ONE) || bars.lightest() == bars.heaviest()
                        ? "typical (assumed)"
                        : "typical for this bar (assumed)",
                true);
    }

    private static double pulledBack(Movement movement) {
        return AirErg.is(movement) ? SLOWER_PER_500M_S / 500 : SLOWER_PER_MILE_S / Unit.MILE.to(Unit.METRE, 1);
    }

    /** The largest set that an unbroken max allows. */
    public static int most(int unbrokenMax) {
        return Math.max(1, (int) Math.floor(SET_SHARE * unbrokenMax));
    }

    /** The catalogue's usual cadence, turned into the unit the whiteboard uses. */
    public static double usualSecondsPerUnit(Movement movement, Unit unit) {
        return fromCatalogue(movement, movement.usualSecondsPerUnit(), unit);
    }

    /** The catalogue's fastest usual cadence in the unit the whiteboard uses. */
    public static double fastSecondsPerUnit(Movement movement, Unit unit) {
        return fromCatalogue(movement, movement.fast(), unit);
    }

    private static double fromCatalogue(Movement movement, double figure, Unit unit) {
        if (movement.unit() == unit) {
            return figure;
        }
        if (movement.unit().dimension() == unit.dimension()) {
            return figure * unit.to(movement.unit(), 1);
        }
        if (AirErg.is(movement) && unit.dimension() == Unit.Dimension.LENGTH) {
            return ErgPower.ofSecondsPerCalorie(figure).orElseThrow().secondsPerMetre() * unit.to(Unit.METRE, 1);
        }
        if (unit.dimension() == Unit.Dimension.TIME) {
            return 1;
        }
        Movement guess = Movement.custom(movement.name(), unit);
        return fromCatalogue(guess, guess.usualSecondsPerUnit(), unit);
    }

    /** A pace over distance in another unit, where it converts: lengths anywhere, calories on rower and skier. */
    static Optional<Double> perUnit(double secondsPerMetre, Movement movement, Unit unit) {
        return switch (unit.dimension()) {
            case LENGTH -> Optional.of(secondsPerMetre * unit.to(Unit.METRE, 1));
            case ENERGY ->
                AirErg.is(movement)
                        ? Optional.of(
                                ErgPower.ofSecondsPerMetre(secondsPerMetre).secondsPerCalorie())
                        : Optional.empty();
            case COUNT, TIME, MASS, SHARE -> Optional.empty();
        };
    }
}
