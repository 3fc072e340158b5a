package wake.workout;

import java.util.Optional;
import wake.movement.SharedNames;
import wake.units.Messages;

/**
 * What is wrong in a notation text, and where.
 *
 * @param line line, counted from 1
 * @param column column, counted from 1
 * @param found what is written there: a quotation, "the end of the line", or what is wrong with it
 * @param expected what to write instead, with an example where one helps
 */
public record NotationError(int line, int column, String found, String expected) {
    private static final String PERHAPS = "perhaps ";
    private static final String THE_END = "the end";

    /** A name close to what is written. */
    static NotationError perhaps(int line, int column, String found, String name) {
        return new NotationError(line, column, found, PERHAPS + name);
    }

    /** A name that more than one lift goes by, and the lift it is taken for; empty where it means one. */
    static Optional<NotationError> shared(int line, int column, String written, String taken) {
        return SharedNames.otherThan(written)
                .map(other -> new NotationError(
                        line,
                        column,
                        "the name \"" + written + "\" is taken for " + taken,
                        "\"" + taken + "\" or \"" + other + "\" to say which it is"));
    }

    /** What to do, as a sentence: {@code Line 3: add a colon.} */
    public String text() {
        return "Line " + line + ": " + what();
    }

    private String what() {
        if (expected.startsWith(PERHAPS)) {
            return "did you mean \"" + expected.substring(PERHAPS.length()) + "\"?";
        }
        if (found.startsWith(THE_END)) {
            return "add " + expected + ".";
        }
        if (expected.equals(THE_END) || expected.startsWith(THE_END + " of the line")) {
            return "remove " + found + expected.substring(THE_END.length()).replaceFirst("^ of the line", "") + ".";
        }
        return found.startsWith("\"") && !expected.startsWith("it ")
                ? "instead of " + found + ", write " + expected + "."
                : Messages.capital(found) + ". Use " + expected + ".";
    }

    @Override
    public String toString() {
        return text();
    }
}
