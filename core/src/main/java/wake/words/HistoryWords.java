package wake.words;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import wake.history.History;
import wake.history.HistoryLine;
import wake.history.HistoryLine.Kind;
import wake.history.HistoryLine.Verdict;
import wake.history.TypicalError;
import wake.units.Messages;

/** An athlete over many attempts, in sentences. */
public final class HistoryWords {
    private HistoryWords() {}

    /** What became of all lines. */
    public static String headline(History history) {
        List<HistoryLine> lines = history.lines();
        if (lines.isEmpty()) {
            return "Trends start with two attempts at the same movement and load.";
        }
        if (lines.stream().allMatch(line -> line.verdict() == Verdict.UNKNOWN)) {
            return "Too few attempts to see a trend.";
        }
        String better = named(lines, Verdict.BETTER);
        String worse = named(lines, Verdict.WORSE);
        if (better.isEmpty() && worse.isEmpty()) {
            return "No clear change yet.";
        }
        String won = better.isEmpty() ? "Nothing has clearly improved" : "Improved: " + better;
        return won + (worse.isEmpty() ? ". Nothing got worse." : ". Worse: " + worse + ".");
    }

    private static String named(List<HistoryLine> lines, Verdict verdict) {
        return lines.stream()
                .filter(line -> line.verdict() == verdict)
                .map(HistoryWords::inSentence)
                .collect(Collectors.joining(", "));
    }

    private static String inSentence(HistoryLine line) {
        return line.kind() == Kind.CADENCE
                ? line.title()
                : line.title().substring(0, 1).toLowerCase(Locale.ROOT)
                        + line.title().substring(1);
    }

    /** Which movement is the limiter most often; empty with fewer than two attempts that tell. */
    public static String limiter(History history) {
        return history.mostLimiting()
                .map(most -> most.times() == 1
                        ? Messages.of("A different movement was the limiter in each of %d attempts.", most.of())
                        : Messages.of(
                                "%s was the limiter in %d of %d attempts.",
                                Messages.capital(most.movement()), most.times(), most.of()))
                .orElse("");
    }

    /** One figure from the first attempt to the latest. */
    public static String line(HistoryLine line) {
        String first = line.points().getFirst().words();
        String latest = line.points().getLast().words();
        String both = first.equals(latest) ? latest : first + " → " + latest;
        String variation = amount(line, line.variation().orElse(0));
        double change = line.change();
        return switch (line.verdict()) {
            case BETTER, WORSE ->
                both + ", " + amount(line, Math.abs(change)) + (change < 0 ? less(line.kind()) : more(line.kind()))
                        + " (normal variation ±" + variation + ").";
            case NOISE -> both + ": within normal variation (±" + variation + ").";
            case UNKNOWN -> both + ": " + missing(line.points().size());
        };
    }

    private static String missing(int points) {
        int more = TypicalError.FEWEST_DIFFERENCES + 1 - points;
        if (more <= 0) {
            return "varies too much to tell.";
        }
        return more == 1 ? "needs one more attempt." : "needs " + more + " more attempts.";
    }

    private static String less(Kind kind) {
        return switch (kind) {
            case CADENCE -> " faster";
            case TRANSITIONS, RESTS -> " shorter";
            case DECREMENT, FAULTS, EFFORT -> " less";
        };
    }

    private static String more(Kind kind) {
        return switch (kind) {
            case CADENCE -> " slower";
            case TRANSITIONS, RESTS -> " longer";
            case DECREMENT, FAULTS, EFFORT -> " more";
        };
    }

    private static String amount(HistoryLine line, double value) {
        return line.ratio()
                ? Messages.of("%.1f%%", value)
                : HistoryLine.number(value) + line.kind().afterFigure();
    }
}
