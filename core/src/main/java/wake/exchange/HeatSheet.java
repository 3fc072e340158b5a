package wake.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import wake.units.Lengths;

/**
 * Who is in a heat, as it is typed: an athlete a line, with the lane before the name and the division after a comma where they are given.
 * A name may be cut short as long as it says who is meant; {@code + Name} is somebody not on the roster yet.
 *
 * <pre>
 * 1 mar
 * 2 jory k, men
 * + Linnea Voss, women
 * </pre>
 */
public final class HeatSheet {
    public static final int MOST = 60;

    private static final int LONGEST_NAME = 120;
    private static final int MOST_LANES = 99;

    private final List<String> roster;
    private final List<String> divisions;
    private final String usual;
    private final List<Row> rows = new ArrayList<>();
    private final List<Error> errors = new ArrayList<>();
    private final Map<String, Integer> lineOf = new HashMap<>();
    private final Set<Integer> lanes = new HashSet<>();

    /**
     * One of the heat.
     *
     * @param line which line of the sheet, from 1
     * @param athlete which of the roster; empty for somebody new
     * @param name as it is on the roster, or as it is written for somebody new
     * @param division empty where the workout has none
     */
    public record Row(int line, OptionalInt lane, OptionalInt athlete, String name, String division) {}

    /** What is wrong with a line. */
    public record Error(int line, String message) {}

    /** What was read. */
    public record Read(List<Row> rows, List<Error> errors) {
        public Read {
            rows = List.copyOf(rows);
            errors = List.copyOf(errors);
        }
    }

    private HeatSheet(List<String> roster, List<String> divisions, String usual) {
        this.roster = roster;
        this.divisions = divisions;
        this.usual = usual;
    }

    /**
     * Reads a sheet.
     *
     * @param roster the names known
     * @param divisions those of the workout
     * @param usual the division of whoever names none
     */
    public static Read read(String text, List<String> roster, List<String> divisions, String usual) {
        HeatSheet sheet = new HeatSheet(roster, divisions, usual);
        List<String> lines = text.lines().toList();
        for (int i = 0; i < lines.size(); i++) {
            int length = lines.get(i).length();
            if (length > Lengths.LINE) {
                sheet.errors.add(new Error(i + 1, Lengths.tooLong(Lengths.LINE, length)));
            } else if (!lines.get(i).isBlank()) {
                sheet.line(i + 1, lines.get(i).strip());
            }
        }
        if (sheet.rows.size() > MOST) {
            sheet.errors.add(new Error(sheet.rows.get(MOST).line(), "At most " + MOST + " athletes."));
        }
        return new Read(sheet.rows, sheet.errors);
    }

    private void line(int number, String line) {
        int comma = line.indexOf(',');
        String who = (comma < 0 ? line : line.substring(0, comma)).strip();
        String division = comma < 0 ? "" : line.substring(comma + 1).strip();
        OptionalInt lane = OptionalInt.empty();
        String[] first = who.split("\\s+", 2);
        String digits = first[0].replaceFirst("[.:)]$", "");
        if (digits.matches("\\d{1,9}")) {
            lane = OptionalInt.of(Integer.parseInt(digits));
            who = first.length > 1 ? first[1] : "";
        }
        String problem = lane.isPresent() ? laneTaken(lane.getAsInt()) : null;
        String name = who;
        OptionalInt athlete = OptionalInt.empty();
        if (problem == null && who.startsWith("+")) {
            name = who.substring(1).strip();
            problem = newName(name);
        } else if (problem == null) {
            List<Integer> meant = NameMatch.meant(who, roster);
            problem = meant.size() == 1 ? null : whoMeant(who, meant);
            if (problem == null) {
                athlete = OptionalInt.of(meant.getFirst());
                name = roster.get(meant.getFirst());
            }
        }
        List<String> fits = division.isEmpty() ? List.of(usual) : divisionMeant(division);
        if (problem == null && fits.size() != 1) {
            problem = divisions.isEmpty()
                    ? "This workout has no divisions."
                    : "Write one of " + String.join(", ", divisions) + " after the comma, not \"" + division + "\".";
        }
        Integer before = problem == null ? lineOf.putIfAbsent(name.toLowerCase(Locale.ROOT), number) : null;
        if (before != null) {
            problem = name + " is on line " + before + " already.";
        }
        if (problem == null) {
            rows.add(new Row(number, lane, athlete, name, fits.getFirst()));
        } else {
            errors.add(new Error(number, problem));
        }
    }

    private @Nullable String laneTaken(int lane) {
        if (lane < 1 || lane > MOST_LANES) {
            return "A lane is 1 to " + MOST_LANES + ", not " + lane + ".";
        }
        return lanes.add(lane) ? null : "Lane " + lane + " is taken.";
    }

    private @Nullable String newName(String name) {
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            return "A name has at most " + LONGEST_NAME + " characters after the +.";
        }
        boolean known = roster.stream().anyMatch(one -> one.equalsIgnoreCase(name));
        return known ? name + " is already an athlete here. Leave out the +." : null;
    }

    private String whoMeant(String who, List<Integer> meant) {
        if (who.isEmpty()) {
            return "Write a name.";
        }
        if (meant.isEmpty()) {
            return "No athlete named \"" + who + "\". Put + in front to add them.";
        }
        return "\"" + who + "\" matches " + meant.stream().map(roster::get).collect(Collectors.joining(" and "))
                + ". Type more of the name.";
    }

    private List<String> divisionMeant(String written) {
        String small = written.toLowerCase(Locale.ROOT);
        List<String> whole =
                divisions.stream().filter(one -> one.equalsIgnoreCase(written)).toList();
        return whole.isEmpty()
                ? divisions.stream()
                        .filter(one ->
                                Arrays.stream(one.toLowerCase(Locale.ROOT).split("\\s+"))
                                                .anyMatch(word -> word.startsWith(small))
                                        || one.toLowerCase(Locale.ROOT).startsWith(small))
                        .toList()
                : whole;
    }
}
