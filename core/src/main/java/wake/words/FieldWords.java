package wake.words;

import wake.field.Field;
import wake.field.Separation;
import wake.log.Cause;
import wake.units.Digits;

/** What is said of a field. */
public final class FieldWords {
    private FieldWords() {}

    /** What separates the best quarter from the middle half, in a sentence; or what is missing to tell it. */
    public static String headline(Field field) {
        if (field.spans().isEmpty()) {
            return field.logged() < Field.FEWEST
                    ? "Comparing a field takes " + Field.FEWEST + " attempts with splits. " + have(field.logged())
                    : "These logs have no split in common. Log the ends of the movements or rounds.";
        }
        return field.separation()
                .map(FieldWords::headline)
                .orElseGet(() -> field.logged()
                        + " attempts with splits. With " + Separation.FEWEST
                        + " that reach the same place, the top quarter can be compared with the"
                        + " middle half.");
    }

    private static String have(int logged) {
        return logged == 0
                ? "So far there are none."
                : logged == 1 ? "So far there is 1." : "So far there are " + logged + ".";
    }

    private static String headline(Separation separation) {
        String where = separation.isFinish() ? "" : " through " + separation.through();
        return "Top quarter " + seconds(separation.ms()) + " faster than the middle half" + where + ".";
    }

    /** What most of that went to: "Largest part: wall walk, rests, 14.2 s."; empty where nothing is told. */
    public static String largest(Field field) {
        return field.separation().stream()
                .flatMap(separation -> separation.parts().stream())
                .findFirst()
                .filter(part -> part.ms() > 0)
                .map(part -> "Largest part: " + part(part) + ", " + seconds(part.ms()) + ".")
                .orElse("");
    }

    /** "wall walk, rests"; of what is not broken down the line alone. */
    public static String part(Separation.Part part) {
        return part.cause() == Cause.UNSEPARATED
                ? part.line()
                : part.line() + ", " + part.cause().all();
    }

    private static String seconds(double ms) {
        return Digits.TENTHS.headline(Math.round(ms));
    }
}
