package wake.e2e;

/**
 * Bounds of measured times. With {@code -Dwake.strict=true} they hold as they are; in an ordinary run they are five times as wide, so
 * that a busy shared machine fails nothing while a real slip still shows.
 */
final class Bounds {
    static final boolean STRICT = Boolean.getBoolean("wake.strict");

    private static final int BUSY = 5;

    private Bounds() {}

    static double ms(double strict) {
        return STRICT ? strict : BUSY * strict;
    }
}
