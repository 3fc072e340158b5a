package wake.review.portable;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;
import wake.review.portable.NotTakenIn.Problem;
import wake.units.InvalidInput;

/** What went wrong where, by pointer, until all has been looked at. */
final class Found {
    static final int MOST_PROBLEMS = 20;

    private final Map<String, String> byPointer = new LinkedHashMap<>();

    void unless(boolean fits, String pointer, String what) {
        if (!fits && byPointer.size() < MOST_PROBLEMS) {
            byPointer.putIfAbsent(pointer, what);
        }
    }

    void orThrow(byte[] file, JsonMapper json) {
        if (!byPointer.isEmpty()) {
            Map<String, Long> lines = SchemaCheck.lines(file, byPointer.keySet(), json);
            throw new NotTakenIn(byPointer.entrySet().stream()
                    .map(one -> new Problem(lines.getOrDefault(one.getKey(), 0L), one.getValue()))
                    .toList());
        }
    }

    /** Reads something; notes where that fails, and why. */
    <T> Optional<T> unlessRead(String pointer, String what, Supplier<T> read) {
        try {
            return Optional.of(read.get());
        } catch (RuntimeException unread) {
            // What somebody wrote wrong is said in our words, or not at all: never in those of a class.
            InvalidInput known = known(unread);
            unless(false, pointer, known == null ? what : what + ": " + firstLine(String.valueOf(known.getMessage())));
        }
        return Optional.empty();
    }

    private static @Nullable InvalidInput known(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof InvalidInput said) {
                return said;
            }
        }
        return null;
    }

    static String firstLine(String message) {
        return message.lines().findFirst().orElse("");
    }
}
