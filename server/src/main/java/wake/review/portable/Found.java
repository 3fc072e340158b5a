package wake.review.portable;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import tools.jackson.databind.json.JsonMapper;
import wake.review.portable.NotTakenIn.Problem;

/** What went wrong where, by pointer, until all has been looked at. */
final class Found {
    private static final int MOST_PROBLEMS = 20;

    private final Map<String, String> byPointer = new LinkedHashMap<>();

    void unless(boolean fits, String pointer, String what) {
        if (!fits && byPointer.size() < MOST_PROBLEMS) {
            byPointer.putIfAbsent(pointer, what);
        }
    }

    void orThrow(String text, JsonMapper json) {
        if (!byPointer.isEmpty()) {
            Map<String, Long> lines = SchemaCheck.lines(text, byPointer.keySet(), json);
            throw new NotTakenIn(byPointer.entrySet().stream()
                    .map(one -> new Problem(lines.getOrDefault(one.getKey(), 0L), one.getValue()))
                    .toList());
        }
    }

    /** Reads something; notes where that fails, and why. */
    <T> Optional<T> unlessRead(String pointer, String what, Supplier<T> read) {
        try {
            return Optional.of(read.get());
        } catch (RuntimeException unfit) {
            unless(false, pointer, what + ": " + firstLine(String.valueOf(unfit.getMessage())));
            return Optional.empty();
        }
    }

    static String firstLine(String message) {
        return message.lines().findFirst().orElse("");
    }
}
