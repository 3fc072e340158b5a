package wake.strength;

import java.util.ArrayList;
import java.util.List;
import wake.movement.Catalogue;
import wake.units.InvalidInput;
import wake.units.Lengths;

/**
 * Reads a day's strength work: a line for each lift with what was asked, and under it, or behind a colon, the sets that were done.
 *
 * <pre>
 * back squat 5 x 3 @ 80%, tempo 31X1, rest 2:00
 * 100 kg, 100, 105 effort 8
 * 107.5 x 2 effort 9; third rep pinned
 * ring dip hold 3 x 20 s: 20 s, 20 s, 14 s
 * strict press 5-4-3: 5 @ 50 kg, 4 @ 52.5, 2/3 @ 55
 * </pre>
 *
 * <p>What follows a semicolon or two slashes is a note.
 */
public final class StrengthReader {
    /** So many characters a day may have. */
    public static final int LONGEST = 8000;

    private static final String NOTE = "\\s*(?:;|//)\\s*";
    /** Behind the colon stand the sets; the colon of a time stands between digits. */
    private static final String COLON = "(?<!\\d):|:(?!\\d)";

    private final Catalogue catalogue;
    private final List<StrengthWork> works = new ArrayList<>();
    private final List<String> errors = new ArrayList<>();

    private StrengthReader(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /**
     * What a text says.
     *
     * @param errors for each line that could not be read what is wrong with it
     */
    public record Outcome(List<StrengthWork> works, List<String> errors) {
        public Outcome {
            works = List.copyOf(works);
            errors = List.copyOf(errors);
        }
    }

    /** Reads a text; never throws. */
    public static Outcome read(String text, Catalogue catalogue) {
        if (text.length() > LONGEST) {
            return new Outcome(List.of(), List.of("At most " + LONGEST + " characters a day"));
        }
        StrengthReader reader = new StrengthReader(catalogue);
        List<String> lines = text.lines().toList();
        for (int i = 0; i < lines.size(); i++) {
            try {
                reader.line(Lengths.line(lines.get(i)).strip());
            } catch (InvalidInput unfit) {
                reader.errors.add("Line " + (i + 1) + ": " + unfit.getMessage());
            }
        }
        return new Outcome(reader.works, reader.errors);
    }

    private void line(String written) {
        if (written.isEmpty()) {
            return;
        }
        String[] parts = written.split(NOTE, 2);
        String said = parts[0].strip();
        String note = parts.length > 1 ? parts[1].strip() : "";
        if (said.isEmpty()) {
            noted(note);
        } else if (SetReader.looksLikeSets(said)) {
            sets(said, note);
        } else {
            String[] halves = said.split(COLON, 2);
            works.add(PrescriptionReader.read(halves[0], halves.length > 1 ? "" : note, catalogue));
            if (halves.length > 1 && !halves[1].isBlank()) {
                sets(halves[1].strip(), note);
            } else if (halves.length > 1 && !note.isEmpty()) {
                noted(note);
            }
        }
    }

    /** A line that is nothing but a note belongs to the lift above it. */
    private void noted(String note) {
        StrengthWork last = last("Write the lift first, like \"back squat 5 x 3 @ 80%\"");
        works.set(works.size() - 1, last.noted(note));
    }

    private void sets(String said, String note) {
        StrengthWork last = last("Write the lift before its sets, like \"back squat 5 x 3 @ 80%\"");
        List<StrengthSet> all = new ArrayList<>(last.sets());
        all.addAll(SetReader.read(said, last.asked(), last.sets()));
        all.set(all.size() - 1, all.getLast().noted(note));
        works.set(works.size() - 1, last.with(all));
    }

    private StrengthWork last(String otherwise) {
        if (works.isEmpty()) {
            throw new InvalidInput(otherwise);
        }
        return works.getLast();
    }
}
