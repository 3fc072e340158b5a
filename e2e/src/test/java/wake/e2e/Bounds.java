package wake.e2e;

import static org.assertj.core.api.Assertions.assertThat;

/**
 * Bounds of measured times. With {@code -Dwake.strict=true} they hold; an ordinary run says what it measured and fails for none of it, as it
 * shares its machine with whatever else goes on.
 */
final class Bounds {
    static final boolean STRICT = Boolean.getBoolean("wake.strict");

    private Bounds() {}

    static void hold(String what, double ms, double most) {
        System.out.printf("%s: %.1f ms (at most %.0f where nothing else goes on)%n", what, ms, most);
        if (STRICT) {
            assertThat(ms).as(what).isLessThan(most);
        }
    }
}
