package wake.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Supplier;
import wake.workout.Format.LiftPiece;

/** Reads how a part is timed. */
final class FormatReader {
    private static final int MOST_INTERVALS = 500;
    static final long LONGEST_MS = 24 * 3_600_000L;

    private FormatReader() {}

    static Format read(LineScanner scanner, String expected) {
        Format format;
        if (scanner.take("for")) {
            format = forTime(scanner);
        } else if (scanner.take("amrap")) {
            format = amrap(scanner);
        } else if (scanner.take("every")) {
            format = every(scanner);
        } else if (scanner.take("lift")) {
            format = lift(scanner);
        } else {
            throw scanner.unfit(expected);
        }
        scanner.expectEnd("the end of the line");
        return format;
    }

    private static Format forTime(LineScanner scanner) {
        scanner.expect("time", "\"time\" after \"for\"");
        Behind<Long> behind = behind(scanner, () -> {
            scanner.expect("cap", "a cap or \"you go I go\" after the comma, like \"cap 14:00\"");
            return above0(scanner, "the cap as m:ss, like \"cap 14:00\"");
        });
        OptionalLong cap = behind.said().map(OptionalLong::of).orElse(OptionalLong.empty());
        return new Format.ForTime(cap, behind.inPairs());
    }

    /** What stands behind the commas of a format: something of its own, and whether two share the work. */
    private record Behind<T>(Optional<T> said, boolean inPairs) {}

    /** Each once at most, "you go I go" last. */
    private static <T> Behind<T> behind(LineScanner scanner, Supplier<T> own) {
        Optional<T> said = Optional.empty();
        boolean inPairs = false;
        while (scanner.take(",")) {
            if (!inPairs && scanner.take("you")) {
                inPairs = pairs(scanner);
            } else if (said.isEmpty() && !inPairs) {
                said = Optional.of(own.get());
            } else {
                throw scanner.unfit("the end of the line");
            }
        }
        return new Behind<>(said, inPairs);
    }

    /** "you go I go", behind its first word. */
    private static boolean pairs(LineScanner scanner) {
        for (String word : List.of("go", "I", "go")) {
            scanner.expect(word, "\"you go I go\"");
        }
        return true;
    }

    private static Format amrap(LineScanner scanner) {
        long duration = above0(scanner, "how long, like \"amrap 9:00\"");
        Behind<Format.Scored> behind = behind(scanner, () -> {
            scanner.expect("score", "\"score reps\", \"score rounds\" or \"you go I go\" after the comma");
            return scored(scanner);
        });
        return new Format.Amrap(duration, behind.said(), behind.inPairs());
    }

    private static Format.Scored scored(LineScanner scanner) {
        for (Format.Scored scored : Format.Scored.values()) {
            if (scanner.take(scored.word())) {
                return scored;
            }
        }
        throw scanner.unfit("\"reps\" or \"rounds\" after \"score\"");
    }

    private static Format every(LineScanner scanner) {
        long every = above0(scanner, "how often, like \"every 2:00 x 10\"");
        scanner.expect("x", "how many times, like \"every 2:00 x 10\"");
        int times = scanner.wholeNumber(1, MOST_INTERVALS, "how many times, from 1 to " + MOST_INTERVALS);
        boolean inTurn = false;
        if (scanner.take(",")) {
            scanner.expect("in", "\"in turn\" after the comma");
            scanner.expect("turn", "\"in turn\" after the comma");
            inTurn = true;
        }
        return new Format.Every(every, times, inTurn);
    }

    private static Format lift(LineScanner scanner) {
        long window = above0(scanner, "the window, like \"lift 8:00, best of 2 hang power clean + 1 push jerk\"");
        scanner.expect(",", "a comma and \"best of\" with the lift");
        scanner.expect("best", "\"best of\" with the lift, like \"best of 1 power snatch\"");
        scanner.expect("of", "\"of\" after \"best\"");
        List<LiftPiece> complex = new ArrayList<>();
        do {
            int reps = scanner.wholeNumber(1, 100, "reps and a lift, like \"2 hang power clean\"");
            LineScanner.Unfit unnamed = scanner.unfit("a lift, like \"hang power clean\"");
            String movement = scanner.until("+");
            if (movement.isEmpty()) {
                throw unnamed;
            }
            complex.add(new LiftPiece(reps, movement));
        } while (scanner.take("+"));
        return new Format.Lift(window, complex);
    }

    private static long above0(LineScanner scanner, String expected) {
        LineScanner.Unfit zero = scanner.unfit(expected + ", above 0 and within a day");
        long ms = scanner.time(expected);
        if (ms == 0 || ms > LONGEST_MS) {
            throw zero;
        }
        return ms;
    }
}
