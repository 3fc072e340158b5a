package wake.strength;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import wake.units.InvalidInput;
import wake.units.Quantity;
import wake.units.Unit;

/** Reads sets as they are jotted: "100 kg", "3 @ 105", "107.5 x 2 effort 9", "2/3 @ 110", "3 x 20 s", "12". */
final class SetReader {
    private static final String LOAD = "[+]?(?<load>\\d{1,4}(?:[.]\\d{1,2})?)\\s*(?<unit>kg|lb)?";
    private static final String REPS = "(?<reps>\\d{1,3})(?:\\s*/\\s*(?<of>\\d{1,3}))?(?:\\s*reps?)?";
    private static final String SETS = "(?:(?<sets>\\d{1,2})\\s*[x×]\\s*)?";
    private static final String HELD = "(?<held>\\d{1,4}(?:[.]\\d)?)\\s*s(?:ec|econds?)?";
    /** What a set may look like, the surest first. */
    private static final List<Pattern> WAYS = List.of(
            Pattern.compile(SETS + HELD + "(?:\\s*@\\s*" + LOAD + ")?"),
            Pattern.compile(SETS + REPS + "\\s*@\\s*" + LOAD),
            Pattern.compile("[+]?(?<load>\\d{1,4}(?:[.]\\d{1,2})?)\\s*(?<unit>kg|lb)\\s*[x×]\\s*" + REPS),
            Pattern.compile("(?<reps>\\d{1,3})\\s*[x×]\\s*[+]?(?<load>\\d{1,4}(?:[.]\\d{1,2})?)\\s*(?<unit>kg|lb)"),
            Pattern.compile("@?\\s*[+]?(?<load>\\d{1,4}(?:[.]\\d{1,2})?)\\s*(?<unit>kg|lb)"),
            Pattern.compile("@\\s*" + LOAD));

    private static final Pattern TIMES = Pattern.compile(
            "(?<one>\\d{1,4}(?:[.]\\d{1,2})?)\\s*[x×]\\s*(?<other>\\d{1,4})(?:\\s*/\\s*(?<of>\\d{1,3}))?(?:\\s*reps?)?");
    private static final Pattern BARE =
            Pattern.compile("(?<one>\\d{1,4}(?:[.]\\d{1,2})?)(?:\\s*/\\s*(?<of>\\d{1,3}))?(?<word>\\s*reps?)?");
    private static final Pattern DECIMAL_COMMA = Pattern.compile("\\d,\\d(?!\\d)");
    private static final Pattern FELT = Pattern.compile("(.*?)[\\s@]*\\b(?:effort|rpe|e)\\s*(\\d{1,2}(?:[.]5)?)");
    private static final Pattern MISSED = Pattern.compile("\\s*\\b(?:miss|missed|fail|failed)\\b");
    private static final int LONGEST_S = 3600;
    private static final int MOST_LOAD = 2000;

    private final Prescription asked;
    private final List<StrengthSet> sets;
    private final int before;

    private SetReader(Prescription asked, List<StrengthSet> before) {
        this.asked = asked;
        this.before = before.size();
        sets = new ArrayList<>(before);
    }

    /** Whether a line is of sets and not of a lift: no words in it but those of sets. */
    static boolean looksLikeSets(String line) {
        return line.matches("[\\d@+].*")
                && !line.toLowerCase(Locale.ROOT)
                        .replaceAll("\\b(?:kg|lb|x|s|sec|seconds?|reps?|effort|rpe|e|miss|missed|fail|failed)\\b", "")
                        .replaceAll("\\d(?:kg|lb|x|s|sec|reps?)", "")
                        .matches(".*[a-z]{2}.*|.*%.*");
    }

    /**
     * The sets of a line.
     *
     * @param before the sets of the lift above them, for the unit and the place
     * @throws InvalidInput naming what could not be read
     */
    static List<StrengthSet> read(String line, Prescription asked, List<StrengthSet> before) {
        if (DECIMAL_COMMA.matcher(line).find()) {
            throw new InvalidInput(
                    "Write decimals with a point, like \"102.5\", and a blank behind each comma: \"" + line + "\"");
        }
        SetReader reader = new SetReader(asked, before);
        for (String one : line.toLowerCase(Locale.ROOT).split("\\s*,\\s*")) {
            if (!one.isBlank()) {
                reader.take(one.strip());
            }
        }
        if (reader.sets.size() == reader.before) {
            throw new InvalidInput("Write the sets, like \"100 kg, 105, 107.5 x 2 effort 9\"");
        }
        if (reader.sets.size() > 2 * PrescriptionReader.MOST_SETS) {
            throw new InvalidInput("At most " + 2 * PrescriptionReader.MOST_SETS + " sets of a lift");
        }
        return reader.sets.subList(reader.before, reader.sets.size());
    }

    private void take(String written) {
        Matcher missed = MISSED.matcher(written);
        boolean miss = missed.find();
        String rest = miss ? missed.replaceFirst("").strip() : written;
        Matcher felt = FELT.matcher(rest);
        OptionalDouble effort = felt.matches() ? PrescriptionReader.effort(felt.group(2)) : OptionalDouble.empty();
        String said = (felt.matches() ? felt.group(1) : rest).strip();
        Found found = found(said);
        int sets = found.sets == 0 ? 1 : found.sets;
        if (sets > PrescriptionReader.MOST_SETS) {
            throw new InvalidInput("At most " + PrescriptionReader.MOST_SETS + " sets: \"" + written + "\"");
        }
        for (int i = 0; i < sets; i++) {
            this.sets.add(set(found, miss, effort, written));
        }
    }

    private StrengthSet set(Found found, boolean miss, OptionalDouble effort, String written) {
        Optional<Quantity> load = found.load == null ? Optional.empty() : Optional.of(load(found.load, found.unit));
        if (found.held.isPresent()) {
            double seconds = found.held.getAsDouble();
            if (seconds <= 0 || seconds > LONGEST_S) {
                throw new InvalidInput("A hold takes up to " + LONGEST_S + " s: \"" + written + "\"");
            }
            return new StrengthSet(0, miss ? 1 : 0, load, found.held, effort, "");
        }
        if (found.reps < 0 && asked.heldS().isPresent()) {
            return new StrengthSet(0, miss ? 1 : 0, load, asked.heldS(), effort, "");
        }
        int reps = found.reps >= 0
                ? found.reps
                : asked.repsOf(sets.size())
                        .orElseThrow(() -> new InvalidInput(
                                "How many reps? Write \"3 @ 100 kg\" or \"100 kg x 3\", not \"" + written + "\""));
        if (found.of >= 0 && found.of < reps) {
            throw new InvalidInput("Write reps made of reps tried, like \"2/3 @ 105 kg\", not \"" + written + "\"");
        }
        if (reps == 0 && found.of < 0 && !miss) {
            throw new InvalidInput("A set has at least 1 rep: \"" + written + "\"");
        }
        // "105 missed" is a set of which none is said to have been made; "2/3" says how many were.
        return miss && found.of < 0
                ? new StrengthSet(0, Math.max(1, reps), load, OptionalDouble.empty(), effort, "")
                : new StrengthSet(reps, found.of < 0 ? 0 : found.of - reps, load, OptionalDouble.empty(), effort, "");
    }

    /** What a set says; below 0 for reps that are not said. */
    private record Found(
            int sets,
            int reps,
            int of,
            @Nullable String load,
            @Nullable String unit,
            OptionalDouble held) {
        /** At a load in the unit of the one before. */
        static Found loaded(String load, int reps, int of) {
            return new Found(0, reps, of, load, null, OptionalDouble.empty());
        }

        /** At the athlete's own weight. */
        static Found reps(int sets, int reps, int of) {
            return new Found(sets, reps, of, null, null, OptionalDouble.empty());
        }
    }

    private Found found(String said) {
        for (Pattern way : WAYS) {
            Matcher matcher = way.matcher(said);
            if (matcher.matches()) {
                String held = group(matcher, "held");
                return new Found(
                        number(group(matcher, "sets"), 0),
                        number(group(matcher, "reps"), -1),
                        number(group(matcher, "of"), -1),
                        group(matcher, "load"),
                        group(matcher, "unit"),
                        held == null ? OptionalDouble.empty() : OptionalDouble.of(Double.parseDouble(held)));
            }
        }
        Matcher times = TIMES.matcher(said);
        return times.matches() ? times(times, said) : bare(said);
    }

    /** Two numbers without a unit: load times reps where one can be told from the other. */
    private Found times(Matcher matcher, String said) {
        double one = Double.parseDouble(matcher.group("one"));
        double other = Double.parseDouble(matcher.group("other"));
        if (unitSoFar().isPresent() && one > other) {
            return Found.loaded(matcher.group("one"), (int) other, number(matcher.group("of"), -1));
        }
        if (unitSoFar().isEmpty() && one <= PrescriptionReader.MOST_SETS && one == Math.rint(one)) {
            // Sets of reps at the athlete's own weight.
            return Found.reps((int) one, (int) other, number(matcher.group("of"), -1));
        }
        throw new InvalidInput("Which is the load? Write \"3 @ 100 kg\" or \"100 kg x 3\", not \"" + said + "\"");
    }

    /** One number without a unit: a load where loads have been told, reps where the lift is done without. */
    private Found bare(String said) {
        Matcher matcher = BARE.matcher(said);
        if (!matcher.matches()) {
            throw new InvalidInput("Not understood: \"" + said
                    + "\". Write sets like \"100 kg\", \"3 @ 105\", \"107.5 x 2 effort 9\", \"20 s\" or \"12 reps\"");
        }
        boolean saysReps = matcher.group("word") != null || matcher.group("of") != null;
        if (!saysReps && unitSoFar().isPresent()) {
            return Found.loaded(matcher.group("one"), -1, -1);
        }
        if (!saysReps && asked.percent().isPresent()) {
            throw new InvalidInput("Write the unit with the first load, like \"" + matcher.group("one") + " kg\"");
        }
        if (matcher.group("one").contains(".") || matcher.group("one").length() > 3) {
            throw new InvalidInput("Write reps as a whole number, or the load with its unit, not \"" + said + "\"");
        }
        return Found.reps(0, number(matcher.group("one"), -1), number(matcher.group("of"), -1));
    }

    private Quantity load(String number, @Nullable String unit) {
        String known = unit != null
                ? unit
                : unitSoFar()
                        .map(Unit::symbol)
                        .orElseThrow(() ->
                                new InvalidInput("Write the unit with the first load, like \"" + number + " kg\""));
        Quantity load = PrescriptionReader.load(number, known);
        if (load.doubleValue() > MOST_LOAD) {
            throw new InvalidInput("A load is at most " + MOST_LOAD + ", not " + load);
        }
        return load;
    }

    /** The unit of the load before, else of the one asked for. */
    private Optional<Unit> unitSoFar() {
        return sets.reversed().stream()
                .flatMap(set -> set.load().stream())
                .map(Quantity::unit)
                .findFirst()
                .or(() -> asked.load().map(Quantity::unit));
    }

    private static @Nullable String group(Matcher matcher, String name) {
        return matcher.namedGroups().containsKey(name) ? matcher.group(name) : null;
    }

    private static int number(@Nullable String written, int otherwise) {
        return written == null ? otherwise : Integer.parseInt(written);
    }
}
