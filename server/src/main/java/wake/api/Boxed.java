package wake.api;

import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;

/** Figures that may be missing, as they are sent: null where there is none. */
public final class Boxed {
    private Boxed() {}

    public static @Nullable Long boxed(OptionalLong value) {
        return value.isPresent() ? value.getAsLong() : null;
    }

    public static @Nullable Integer boxed(OptionalInt value) {
        return value.isPresent() ? value.getAsInt() : null;
    }

    public static @Nullable Double boxed(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
