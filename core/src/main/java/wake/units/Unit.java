package wake.units;

import java.util.Arrays;
import java.util.Optional;

/**
 * The units a whiteboard uses, each with its exact factor to the base unit of its dimension.
 *
 * <p>Source of the factors: NIST Special Publication 811 (2008), appendix B.8: 1 lb = 0.453 592 37 kg,
 * 1 ft = 0.3048 m, 1 in = 0.0254 m, 1 mi = 1 609.344 m, all exact.
 */
public enum Unit {
    REP("rep", Dimension.COUNT, 1),
    CALORIE("cal", Dimension.ENERGY, 1),
    METRE("m", Dimension.LENGTH, 1),
    KILOMETRE("km", Dimension.LENGTH, 1000),
    MILE("mi", Dimension.LENGTH, 1609.344),
    FOOT("ft", Dimension.LENGTH, 0.3048),
    INCH("in", Dimension.LENGTH, 0.0254),
    CENTIMETRE("cm", Dimension.LENGTH, 0.01),
    SECOND("s", Dimension.TIME, 1),
    KILOGRAM("kg", Dimension.MASS, 1),
    POUND("lb", Dimension.MASS, 0.45359237),
    /** Of the athlete's max. */
    PERCENT("%", Dimension.SHARE, 1);

    /** What a unit measures; only units of one dimension convert into each other. */
    public enum Dimension {
        COUNT,
        ENERGY,
        LENGTH,
        TIME,
        MASS,
        SHARE
    }

    private final String symbol;
    private final Dimension dimension;
    private final double factor;

    Unit(String symbol, Dimension dimension, double factor) {
        this.symbol = symbol;
        this.dimension = dimension;
        this.factor = factor;
    }

    public String symbol() {
        return symbol;
    }

    public Dimension dimension() {
        return dimension;
    }

    public static Optional<Unit> ofSymbol(String symbol) {
        return Arrays.stream(values())
                .filter(unit -> unit.symbol.equalsIgnoreCase(symbol))
                .findFirst();
    }

    /**
     * Converts a value of this unit into another.
     *
     * @throws IllegalArgumentException when the two measure different things
     */
    public double to(Unit other, double value) {
        if (dimension != other.dimension) {
            throw new IllegalArgumentException("Cannot turn " + symbol + " into " + other.symbol);
        }
        return value * factor / other.factor;
    }
}
