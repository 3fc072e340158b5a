package wake.words;

import java.util.List;
import java.util.stream.Stream;
import wake.history.AttemptFacts.Spread;
import wake.history.Techniques.Over;
import wake.history.WeighedTests;
import wake.history.WeighedTests.OfSquad;
import wake.history.WeighedTests.Pair;
import wake.history.WeighedTests.Tried;
import wake.units.Messages;

/** Technique tests weighed against each other, in sentences. */
public final class TechniqueWords {
    private TechniqueWords() {}

    /** Each technique as it was tested, then each two of them. */
    public static List<String> tests(WeighedTests tests) {
        return Stream.concat(
                        tests.techniques().stream().map(TechniqueWords::tried),
                        tests.pairs().stream().map(TechniqueWords::pair))
                .toList();
    }

    /** "Step-up: 2.80 s/rep (2.75–2.86), effort 7/10, 3 tests". */
    private static String tried(Tried tried) {
        Spread seconds = tried.seconds();
        String range = tried.tests() == 1 ? "" : Messages.of(" (%.2f–%.2f)", seconds.low(), seconds.high());
        String effort = tried.effort().isPresent()
                ? Messages.of(", effort %s/10", Messages.number(tried.effort().getAsDouble()))
                : "";
        return Messages.capital(tried.name())
                + Messages.of(": %.2f s/rep", seconds.median())
                + range
                + effort
                + (tried.tests() == 1 ? ", 1 test" : ", " + tried.tests() + " tests");
    }

    private static String pair(Pair pair) {
        String names = pair.faster().name() + " and " + pair.slower().name();
        if (pair.saved().isPresent()) {
            Spread saved = pair.saved().get();
            String range = saved.figures() == 1 ? "" : " (" + range(saved) + ")";
            return Messages.capital(pair.faster().name())
                    + Messages.of(" is %.2f s/rep faster than ", saved.median())
                    + pair.slower().name() + " at the same effort" + range + ".";
        }
        return pair.lacksEffort()
                ? "Add the effort to each test to compare " + names + "."
                : "Test " + names + " at the same effort to compare them: so far "
                        + Messages.number(pair.faster().effort().orElse(0)) + " and "
                        + Messages.number(pair.slower().effort().orElse(0)) + ".";
    }

    /** What the quicker of two would save over a workout, by the tests. */
    public static String over(Pair pair, Over over) {
        return "By the tests, " + over.says(pair.faster().name(), pair.slower().name())
                + " What it does to fatigue, tests do not show.";
    }

    /** "Box jump over: step-up faster than jump for 4 of 5 athletes at the same effort, by 0.35 s/rep (−0.10 to 0.60)." */
    public static String squad(OfSquad squad) {
        return Messages.of(
                "%s: %s faster than %s for %d of %d athletes at the same effort, by %.2f s/rep (%s).",
                Messages.capital(squad.movement()),
                squad.faster(),
                squad.slower(),
                squad.quicker(),
                squad.saved().figures(),
                squad.saved().median(),
                range(squad.saved()));
    }

    private static String range(Spread spread) {
        return Messages.decimals(spread.low(), 2) + " to " + Messages.decimals(spread.high(), 2);
    }
}
