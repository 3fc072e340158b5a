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
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.field.Entry;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.log.ScoreReader;
import wake.movement.Catalogue;
import wake.plan.Draft;
import wake.units.InvalidInput;
import wake.units.Lengths;
import wake.units.Messages;
import wake.workout.ExpandedWorkout;
import wake.workout.Workout;

/**
 * Who is in a heat and what they scored, as it is typed or pasted from a table: an athlete a line, the lane before the name, the division and
 * the score after it where they are given, and the clock at a tie-break after the score. A name may be cut short as long as it says who is meant;
 * {@code + Name} is somebody not on the roster yet. Of several parts a line has the scores in their order, {@code -} for one that is still to come.
 *
 * <pre>
 * 1 mar
 * 2 jory k, men 5+17
 * + Linnea Voss, women, 11:42, tb 8:10
 * </pre>
 */
public final class HeatSheet {
    public static final int MOST = 60;

    private static final int LONGEST_NAME = 120;
    private static final int MOST_LANES = 99;

    private final List<String> roster;
    private final Workout workout;
    private final Catalogue catalogue;
    private final List<Integer> parts;
    private final String usual;
    private final Map<String, ExpandedWorkout> expanded = new HashMap<>();
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
     * @param results what was scored, for each part asked for
     */
    public record Row(
            int line, OptionalInt lane, OptionalInt athlete, String name, String division, List<Result> results) {
        public Row {
            results = List.copyOf(results);
        }
    }

    /**
     * What somebody scored in a part.
     *
     * @param part which of the workout, from 0
     * @param score in words, with the tie-break; "" where none is written
     * @param marks what a log of it has
     */
    public record Result(int part, String score, List<Mark> marks) {
        public Result {
            marks = List.copyOf(marks);
        }
    }

    /** What is wrong with a line. */
    public record Error(int line, String message) {}

    /** What was read. */
    public record Read(List<Row> rows, List<Error> errors) {
        public Read {
            rows = List.copyOf(rows);
            errors = List.copyOf(errors);
        }
    }

    private HeatSheet(List<String> roster, Workout workout, Catalogue catalogue, List<Integer> parts, String usual) {
        this.roster = roster;
        this.workout = workout;
        this.catalogue = catalogue;
        this.parts = parts;
        this.usual = usual;
    }

    /**
     * Reads a sheet.
     *
     * @param roster the names known
     * @param parts which parts of the workout the scores are of, in their order
     * @param usual the division of whoever names none
     */
    public static Read read(
            String text, List<String> roster, Workout workout, Catalogue catalogue, List<Integer> parts, String usual) {
        HeatSheet sheet = new HeatSheet(roster, workout, catalogue, parts, usual);
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

    /** What somebody might have scored in some parts, as it is written. */
    public static String example(Workout workout, Catalogue catalogue, List<Integer> parts) {
        return parts.stream()
                .map(part -> ScoreReader.example(ExpandedWorkout.of(workout.partAt(part), 0, catalogue, 1)))
                .collect(Collectors.joining(", "));
    }

    private void line(int number, String line) {
        try {
            rows.add(row(number, HeatLine.of(line, parts.size(), this::isName, this::isDivision)));
        } catch (InvalidInput unfit) {
            errors.add(new Error(number, Messages.sentence(String.valueOf(unfit.getMessage()))));
        }
    }

    private Row row(int number, HeatLine line) {
        line.lane().ifPresent(this::freeLane);
        OptionalInt athlete = OptionalInt.empty();
        String name = line.who();
        if (name.startsWith("+")) {
            name = name.substring(1).strip();
            newName(name);
        } else {
            int meant = whoMeant(name);
            athlete = OptionalInt.of(meant);
            name = roster.get(meant);
        }
        String division = division(line.division());
        Integer before = lineOf.get(name.toLowerCase(Locale.ROOT));
        if (before != null) {
            throw new InvalidInput(name + " is on line " + before + " already");
        }
        List<Result> results = results(line.scores(), division);
        line.lane().ifPresent(lanes::add);
        lineOf.put(name.toLowerCase(Locale.ROOT), number);
        return new Row(number, line.lane(), athlete, name, division, results);
    }

    private List<Result> results(List<String> scores, String division) {
        if (scores.size() > parts.size()) {
            throw new InvalidInput(
                    parts.size() == 1
                            ? "Write one score, not " + scores.size()
                            : "Write at most " + parts.size() + " scores, one for each part, not " + scores.size());
        }
        List<Result> results = new ArrayList<>();
        for (int i = 0; i < parts.size(); i++) {
            String written = i < scores.size() ? scores.get(i) : "";
            results.add(
                    written.isEmpty()
                            ? new Result(parts.get(i), "", List.of())
                            : result(parts.get(i), written, expanded(parts.get(i), division)));
        }
        return results;
    }

    private static Result result(int part, String written, ExpandedWorkout expanded) {
        TimeSheet sheet = TimeSheet.read(written, Each.SCORE, Times.CLOCK, expanded, Draft.of(expanded));
        sheet.rows().stream().flatMap(row -> row.problem().stream()).findFirst().ifPresent(problem -> {
            throw new InvalidInput(problem);
        });
        if (sheet.marks().isEmpty()) {
            throw new InvalidInput("\"" + written + "\" is no score");
        }
        Entry entry = Entry.of(AttemptLog.of(expanded, sheet.marks()));
        String tied = entry.tieBreaks().isEmpty() ? "" : ", " + entry.tieBreakWords();
        return new Result(part, entry.scoreWords() + tied, sheet.marks());
    }

    private ExpandedWorkout expanded(int part, String division) {
        return expanded.computeIfAbsent(
                part + " " + division,
                of -> ExpandedWorkout.of(workout.partAt(part), workout.division(division), catalogue, 1));
    }

    private boolean isName(String words) {
        return roster.stream().anyMatch(one -> one.equalsIgnoreCase(words));
    }

    private boolean isDivision(String words) {
        return !divisionMeant(words).isEmpty();
    }

    private void freeLane(int lane) {
        if (lane < 1 || lane > MOST_LANES) {
            throw new InvalidInput("A lane is 1 to " + MOST_LANES + ", not " + lane);
        }
        if (lanes.contains(lane)) {
            throw new InvalidInput("Lane " + lane + " is taken");
        }
    }

    private void newName(String name) {
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw new InvalidInput("A name has at most " + LONGEST_NAME + " characters after the +");
        }
        if (isName(name)) {
            throw new InvalidInput(name + " is already an athlete here. Leave out the +");
        }
    }

    private int whoMeant(String who) {
        if (who.isEmpty()) {
            throw new InvalidInput("Write a name");
        }
        List<Integer> meant = NameMatch.meant(who, roster);
        if (meant.isEmpty()) {
            throw new InvalidInput("No athlete named \"" + who + "\". Put + in front to add them");
        }
        if (meant.size() > 1) {
            throw new InvalidInput("\"" + who + "\" matches "
                    + meant.stream().map(roster::get).collect(Collectors.joining(" and ")) + ". Type more of the name");
        }
        return meant.getFirst();
    }

    private String division(String written) {
        if (written.isEmpty()) {
            return usual;
        }
        List<String> fits = divisionMeant(written);
        if (fits.size() != 1) {
            throw new InvalidInput(
                    workout.divisions().isEmpty()
                            ? "This workout has no divisions"
                            : "Write one of " + String.join(", ", workout.divisions()) + " after the comma, not \""
                                    + written + "\"");
        }
        return fits.getFirst();
    }

    /** Those called so; else, unless it could be a score, those one of whose words begins so. */
    private List<String> divisionMeant(String written) {
        String small = written.toLowerCase(Locale.ROOT);
        List<String> whole = workout.divisions().stream()
                .filter(one -> one.equalsIgnoreCase(written))
                .toList();
        return whole.isEmpty() && !Character.isDigit(small.charAt(0))
                ? workout.divisions().stream()
                        .filter(one -> {
                            String known = one.toLowerCase(Locale.ROOT);
                            return known.startsWith(small)
                                    || Arrays.stream(known.split("\\s+")).anyMatch(word -> word.startsWith(small));
                        })
                        .toList()
                : whole;
    }
}
