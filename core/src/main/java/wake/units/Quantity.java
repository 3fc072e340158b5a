package wake.units;

import java.math.BigDecimal;

/**
 * A number with its unit, as written: 42.5 kg stays 42.5, whatever it converts to.
 *
 * @param value the number, never negative
 * @param unit its unit
 */
public record Quantity(BigDecimal value, Unit unit) {
    /** @throws IllegalArgumentException where the value is negative */
    public Quantity {
        if (value.signum() < 0) {
            throw new IllegalArgumentException("An amount cannot be negative: " + value + " " + unit.symbol());
        }
        value = value.signum() == 0 ? BigDecimal.ZERO : value.stripTrailingZeros();
    }

    public static Quantity of(long value, Unit unit) {
        return new Quantity(BigDecimal.valueOf(value), unit);
    }

    public double doubleValue() {
        return value.doubleValue();
    }

    /** The value in another unit of the same dimension, unrounded. */
    public double in(Unit other) {
        return unit.to(other, value.doubleValue());
    }

    /** The number alone, without trailing zeros. */
    public String number() {
        return value.toPlainString();
    }

    @Override
    public String toString() {
        return number() + " " + unit.symbol();
    }
}
