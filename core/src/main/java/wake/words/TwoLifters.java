package wake.words;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalLong;
import wake.reading.lift.LiftReading;
import wake.reading.lift.LiftRow;
import wake.units.ClockTime;
import wake.units.Messages;

/** Two lift windows beside each other, neutrally: who lifted more, of what share of the own max, and how each came to it. */
public final class TwoLifters {
    private static final double SAME_PERCENT = 0.5;

    private TwoLifters() {}

    /**
     * One side.
     *
     * @param name whose it is
     * @param best the heaviest made, in words
     * @param bestPercent of the own max; empty where that is not known
     * @param made lifts made, and of how many
     * @param opener the first lift, in words
     * @param firstJump in words; empty with fewer than two loads
     * @param restBeforeLast milliseconds; empty where that was not seen
     */
    public record Side(
            String name,
            String best,
            OptionalDouble bestPercent,
            String made,
            String opener,
            String firstJump,
            OptionalLong restBeforeLast) {
        static Side of(String name, LiftReading reading) {
            List<LiftRow> rows = reading.rows();
            return new Side(
                    name,
                    reading.best().map(LiftReviewWords::load).orElse("none"),
                    reading.best().map(LiftRow::percent).orElse(OptionalDouble.empty()),
                    reading.made() + " of " + rows.size(),
                    rows.isEmpty()
                            ? ""
                            : LiftReviewWords.load(rows.getFirst())
                                    + LiftReviewWords.ofMax(rows.getFirst().percent()),
                    rows.size() < 2 ? "" : LiftReviewWords.jumpWords(rows.get(1)),
                    rows.size() < 2 ? OptionalLong.empty() : rows.getLast().restMs());
        }
    }

    /** Both sides, and what differs in sentences. */
    public record Beside(Side one, Side other, List<String> words) {
        public Beside {
            words = List.copyOf(words);
        }
    }

    public static Beside of(String name, LiftReading one, String otherName, LiftReading other) {
        Side first = Side.of(name, one);
        Side second = Side.of(otherName, other);
        List<String> words = new ArrayList<>();
        heavier(first, one, second, other).ifPresent(words::add);
        share(first, second).ifPresent(words::add);
        order(first, one, second, other).ifPresent(words::add);
        return new Beside(first, second, words);
    }

    private static Optional<String> heavier(Side first, LiftReading one, Side second, LiftReading other) {
        if (one.best().isEmpty() || other.best().isEmpty()) {
            return Optional.empty();
        }
        double difference = LiftReading.kilograms(one.best().get())
                - LiftReading.kilograms(other.best().get());
        return Optional.of(
                Math.abs(difference) < 0.005
                        ? "Both made " + first.best() + "."
                        : (difference > 0 ? first : second).name() + " made "
                                + (difference > 0 ? first : second).best() + ", "
                                + Messages.of("%.1f kg", Math.abs(difference)) + " more than "
                                + (difference > 0 ? second : first).name() + ".");
    }

    private static Optional<String> share(Side first, Side second) {
        if (first.bestPercent().isEmpty() || second.bestPercent().isEmpty()) {
            return Optional.of("No max on file for both. Add them on the athlete pages to compare by % of max.");
        }
        double a = first.bestPercent().getAsDouble();
        double b = second.bestPercent().getAsDouble();
        return Optional.of(
                Math.abs(a - b) < SAME_PERCENT
                        ? Messages.of("Relative to max: both %.0f%%.", a)
                        : Messages.of(
                                "Relative to max: %s %.0f%%, the other %.0f%%.",
                                a > b ? first.name() : second.name(), Math.max(a, b), Math.min(a, b)));
    }

    /** Where the order of the one who came further differs: misses, lifts, the first jump, the rest before the last. */
    private static Optional<String> order(Side first, LiftReading one, Side second, LiftReading other) {
        if (one.rows().size() < 2 || other.rows().size() < 2) {
            return Optional.empty();
        }
        List<String> differences = new ArrayList<>();
        if (!first.made().equals(second.made())) {
            differences.add(first.name() + " made " + first.made() + ", " + second.name() + " " + second.made());
        }
        if (!first.firstJump().isEmpty() && !second.firstJump().isEmpty()) {
            differences.add("first jumps " + first.firstJump() + " and " + second.firstJump());
        }
        if (first.restBeforeLast().isPresent() && second.restBeforeLast().isPresent()) {
            differences.add("rest before the last lift "
                    + clock(first.restBeforeLast().getAsLong()) + " and "
                    + clock(second.restBeforeLast().getAsLong()));
        }
        return differences.isEmpty()
                ? Optional.empty()
                : Optional.of(Messages.capital(String.join("; ", differences)) + ".");
    }

    private static String clock(long ms) {
        return ClockTime.of(ms).toSeconds();
    }
}
