package wake.athlete;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wake.athlete.Figures.BestTime;
import wake.athlete.Figures.Kind;
import wake.athlete.Figures.Noted;
import wake.movement.Catalogue;
import wake.movement.Movement;
import wake.movement.SharedNames;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.units.Lengths;
import wake.units.Quantity;
import wake.units.Unit;

/**
 * Reads an athlete's figures, one to a line:
 *
 * <pre>
 * max clean 85 kg
 * max front squat 3x100 kg   // reps stand for a single
 * unbroken toes-to-bar 14
 * best run 1 mi 6:40
 * test row 300 m: 1:02 1:03 1:03.5
 * test air bike 30 cal: 1:00 1:28 effort 8
 * 15 burpee step-back: 0:52 effort 7
 * technique burpee, step-back: 15 in 0:42 effort 7
 * limiter push press        // comments are for the coach
 * goal: the top ten of the autumn qualifier
 * </pre>
 *
 * <p>The day it was done may stand at the end of each: {@code on 2026-10-03}.
 */
public final class FiguresReader {
    private static final Set<Unit> COUNTED = EnumSet.of(Unit.CALORIE, Unit.REP);
    private static final Pattern AMOUNT = Pattern.compile("(.+?)\\s+(\\d{1,6}(?:[.]\\d{1,3})?)\\s*([a-z]+)");
    private static final Pattern REPS = Pattern.compile("(.+?)\\s+(\\d{1,2})\\s*[x×]\\s*(\\d.*)");
    private static final Pattern UNBROKEN = Pattern.compile("(.+?)\\s+(\\d{1,4})");
    private static final Pattern TECHNIQUE = Pattern.compile(
            "(.+?),\\s*(.+?):\\s*(\\d{1,4})(?:\\s*reps?)?\\s+in\\s+(\\S+)(?:\\s+effort\\s+(\\d{1,2}(?:[.]5)?))?");
    /** What comes first where no word says what it is: "15 burpee step-back: 0:52", "30 cal air bike: 1:00 1:28". */
    private static final Pattern TRIED = Pattern.compile("(\\d{1,4})\\s*(?:(cal|m|rep)s?\\s+)?([^:\\d]+):(.*)");

    private static final Pattern EFFORT = Pattern.compile("(.*?)\\s+effort\\s+(\\d{1,2}(?:[.]5)?)");
    private static final Pattern DAY = Pattern.compile("(.*\\S)\\s+on\\s+(\\S*\\d\\S*)\\s*");
    private static final double HARDEST = 10;
    /** So many characters a text of figures may have. */
    public static final int LONGEST = 20_000;

    private final Catalogue catalogue;
    private final Map<String, Quantity> maxes = new HashMap<>();
    private final Map<String, String> maxSets = new HashMap<>();
    private final Map<String, Integer> unbroken = new HashMap<>();
    private final List<BestTime> best = new ArrayList<>();
    private final List<ErgTest> tests = new ArrayList<>();
    private final List<CountedTest> counted = new ArrayList<>();
    private final List<TechniqueTest> techniques = new ArrayList<>();
    private final List<Noted> noted = new ArrayList<>();
    private final List<String> unclear = new ArrayList<>();
    private final List<String> errors = new ArrayList<>();
    private String goal = "";
    private Optional<String> limiter = Optional.empty();

    private FiguresReader(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /**
     * What a text says.
     *
     * @param figures the lines that could be read
     * @param errors for each other line what is wrong with it
     */
    public record Outcome(Figures figures, List<String> errors) {
        public Outcome {
            errors = List.copyOf(errors);
        }
    }

    /** Reads a text; never throws. */
    public static Outcome read(String text, Catalogue catalogue) {
        FiguresReader reader = new FiguresReader(catalogue);
        if (text.length() > LONGEST) {
            return new Outcome(Figures.NONE, List.of("At most " + LONGEST + " characters"));
        }
        String[] lines = text.split("\\R");
        for (int i = 0; i < lines.length; i++) {
            try {
                reader.line(
                        i + 1, Lengths.line(lines[i]).replaceFirst("//.*", "").strip());
            } catch (InvalidInput unfit) {
                reader.errors.add("Line " + (i + 1) + ": " + unfit.getMessage());
            }
        }
        return new Outcome(
                new Figures(
                        reader.maxes,
                        reader.maxSets,
                        reader.standIns(),
                        reader.unbroken,
                        reader.best,
                        reader.tests,
                        reader.counted,
                        reader.techniques,
                        reader.limiter,
                        reader.goal,
                        reader.noted,
                        reader.unclear),
                reader.errors);
    }

    /** What stands for the maxes that are not known, by movement. */
    private Map<String, Quantity> standIns() {
        Map<String, Quantity> standIns = new HashMap<>();
        List<Movement> unknown = catalogue.all().stream()
                .filter(movement ->
                        !maxes.containsKey(movement.name()) && !movement.of().isEmpty())
                .toList();
        for (Movement movement : maxes.isEmpty() ? List.<Movement>of() : unknown) {
            catalogue
                    .nearest(
                            movement.name(),
                            lift -> Optional.ofNullable(maxes.get(lift)),
                            Comparator.comparingDouble((Quantity load) -> load.in(Unit.KILOGRAM)))
                    .ifPresent(load -> standIns.put(movement.name(), load));
        }
        return standIns;
    }

    private void line(int number, String written) {
        if (written.isEmpty()) {
            return;
        }
        if (written.matches("(?i)goal(?:[:\\s].*)?")) {
            goal = written.substring("goal".length()).replaceFirst("^\\s*:", "").strip();
            noted.add(new Noted(number, Kind.GOAL, "", goal, Optional.empty()));
            return;
        }
        Matcher dated = DAY.matcher(written);
        Optional<LocalDate> on = dated.matches() ? Optional.of(day(dated.group(2))) : Optional.empty();
        String line = (on.isPresent() ? dated.group(1) : written).toLowerCase(Locale.ROOT);
        if (Character.isDigit(line.charAt(0))) {
            tried(number, line, on);
            return;
        }
        String[] words = line.split("\\s+", 2);
        String rest = words.length > 1 ? words[1] : "";
        switch (words[0]) {
            case "max" -> note(number, Kind.MAX, max(rest), on);
            case "unbroken" -> note(number, Kind.UNBROKEN, unbroken(rest), on);
            case "best" -> note(number, Kind.BEST, best(rest), on);
            case "test" -> note(number, Kind.TEST, test(rest), on);
            case "technique" -> note(number, Kind.TECHNIQUE, technique(rest, on), on);
            case "limiter" -> {
                limiter = Optional.of(movement(rest));
                note(number, Kind.LIMITER, new Value(limiter.orElseThrow(), ""), on);
            }
            default ->
                throw unfit(
                        "\"max\", \"unbroken\", \"best\", \"test\", \"technique\", \"limiter\", \"goal\" or so many of something, like \"15 burpee step-back: 0:52\"",
                        words[0]);
        }
    }

    /** What a line says, of which movement. */
    private record Value(String movement, String words) {}

    private void note(int number, Kind kind, Value value, Optional<LocalDate> on) {
        noted.add(new Noted(number, kind, value.movement(), value.words(), on));
    }

    private static LocalDate day(String written) {
        try {
            return LocalDate.parse(written);
        } catch (DateTimeParseException unfit) {
            throw new InvalidInput("write a date like \"on 2026-10-03\", not \"" + written + "\"", unfit);
        }
    }

    /** A single, or reps that stand for one: "max clean 85 kg", "max clean 3x76 kg". */
    private Value max(String rest) {
        Matcher sets = REPS.matcher(rest);
        int reps = sets.matches() ? Integer.parseInt(sets.group(2)) : 1;
        if (reps < 1) {
            throw new InvalidInput("write at least 1 rep");
        }
        Matcher matcher = matched(
                AMOUNT,
                sets.matches() ? sets.group(1) + " " + sets.group(3) : rest,
                "a lift and its load, like \"max clean 85 kg\" or \"max clean 3x76 kg\"");
        Quantity load = quantity(matcher, Unit.Dimension.MASS, "kg or lb");
        String lift = movement(matcher.group(1));
        Quantity single = EstimatedMax.single(load, reps);
        SharedNames.otherThan(matcher.group(1))
                .ifPresent(other -> unclear.add("\"" + matcher.group(1).strip() + "\" is taken for " + lift
                        + ". Write \"" + lift + "\" or \"" + other + "\" to say which it was"));
        maxes.put(lift, single);
        String set = EstimatedMax.words(load, reps);
        if (reps == 1) {
            maxSets.remove(lift);
            return new Value(lift, set);
        }
        maxSets.put(lift, set);
        return new Value(lift, set + ", as a single about " + single);
    }

    private Value unbroken(String rest) {
        Matcher matcher = matched(UNBROKEN, rest, "a movement and reps, like \"unbroken toes-to-bar 14\"");
        int reps = Integer.parseInt(matcher.group(2));
        if (reps < 1) {
            throw new InvalidInput("write at least 1 rep");
        }
        String movement = movement(matcher.group(1));
        unbroken.put(movement, reps);
        return new Value(movement, reps == 1 ? "1 rep" : reps + " reps");
    }

    private Value best(String rest) {
        String expected = "a movement, a distance and a time, like \"best run 1 mi 6:40\"";
        int split = rest.lastIndexOf(' ');
        Matcher matcher = matched(AMOUNT, split < 0 ? "" : rest.substring(0, split), expected);
        Quantity distance = quantity(matcher, Unit.Dimension.LENGTH, "a distance in m, km, mi or ft");
        long ms = ClockTime.parse(rest.substring(split + 1)).ms();
        if (ms == 0 || distance.value().signum() == 0) {
            throw new InvalidInput("write " + expected);
        }
        String movement = movement(matcher.group(1));
        best.add(new BestTime(movement, distance, ms));
        return new Value(movement, distance + " in " + rest.substring(split + 1));
    }

    /** A test or a way of doing something, without the word for it in front. */
    private void tried(int number, String line, Optional<LocalDate> on) {
        Matcher matcher = matched(
                TRIED,
                line,
                "reps or calories, a movement and how long they took, like \"15 burpee step-back: 0:52 effort 7\"");
        String name = matcher.group(3).strip();
        String amount = matcher.group(1) + " " + (matcher.group(2) == null ? "rep" : matcher.group(2));
        boolean once = !EFFORT.matcher(matcher.group(4).strip())
                .replaceFirst("$1")
                .strip()
                .matches(".*[\\s,].*");
        int techniqueAt = matcher.group(2) == null ? techniqueIn(name, once) : name.length();
        note(
                number,
                techniqueAt < name.length() ? Kind.TECHNIQUE : Kind.TEST,
                techniqueAt < name.length()
                        ? technique(
                                name.substring(0, techniqueAt) + ", "
                                        + name.substring(techniqueAt).replaceFirst("^[\\s,]+", "") + ": "
                                        + matcher.group(1)
                                        + " in " + matcher.group(4).strip(),
                                on)
                        : test(name + " " + amount + ": " + matcher.group(4).strip()),
                on);
    }

    /**
     * Where the way begins that follows the longest name the catalogue knows; at the end where nothing follows. Tried once, "burpee step-back" is
     * a way of the burpee, though the catalogue knows it by itself.
     */
    private int techniqueIn(String name, boolean once) {
        int comma = name.indexOf(',');
        if (comma > 0) {
            return comma;
        }
        for (int end = once ? name.lastIndexOf(' ') : name.length(); end > 0; end = name.lastIndexOf(' ', end - 1)) {
            if (catalogue.find(name.substring(0, end)).isPresent()) {
                return end;
            }
        }
        return name.length();
    }

    private Value test(String rest) {
        String expected =
                "repeats of a distance, calories or reps, like \"test row 300 m: 1:02 1:03 1:03.5\" or \"test air bike 30 cal: 1:00 1:28\"";
        int split = rest.indexOf(':');
        Matcher matcher =
                matched(AMOUNT, split < 0 ? "" : rest.substring(0, split).strip(), expected);
        Optional<Unit> countedIn = Unit.ofSymbol(matcher.group(3).replaceFirst("^(rep|cal)s$", "$1"))
                .filter(COUNTED::contains);
        Quantity each = countedIn.isPresent()
                ? new Quantity(new BigDecimal(matcher.group(2)), countedIn.get())
                : quantity(matcher, Unit.Dimension.LENGTH, "a distance in m, km, mi or ft, or cal or reps");
        String written = rest.substring(split + 1).strip();
        Matcher felt = EFFORT.matcher(written);
        OptionalDouble effort = felt.matches() ? effort(felt.group(2)) : OptionalDouble.empty();
        List<Long> times = new ArrayList<>();
        for (String time : (felt.matches() ? felt.group(1) : written).split("[\\s,]+")) {
            times.add(ClockTime.parse(time).ms());
        }
        if (times.contains(0L)) {
            throw new InvalidInput("write times above 0:00");
        }
        String movement = movement(matcher.group(1));
        if (countedIn.isPresent()) {
            counted.add(new CountedTest(movement, each, times, effort));
        } else {
            tests.add(new ErgTest(movement, each, times, effort));
        }
        return new Value(movement, each + ": " + written);
    }

    private Value technique(String rest, Optional<LocalDate> on) {
        Matcher matcher = matched(
                TECHNIQUE,
                rest,
                "a movement, a technique, reps and a time, like \"technique burpee, step-back: 15 in 0:42\"");
        String movement = movement(matcher.group(1));
        int reps = Integer.parseInt(matcher.group(3));
        long ms = ClockTime.parse(matcher.group(4)).ms();
        if (reps < 1 || ms == 0) {
            throw new InvalidInput("write at least 1 rep and a time above 0:00");
        }
        OptionalDouble effort = matcher.group(5) == null ? OptionalDouble.empty() : effort(matcher.group(5));
        TechniqueTest test = new TechniqueTest(movement, matcher.group(2).strip(), reps, ms, effort, on);
        techniques.add(test);
        return new Value(movement, test.words());
    }

    private static OptionalDouble effort(String written) {
        double effort = Double.parseDouble(written);
        if (effort > HARDEST) {
            throw new InvalidInput("write an effort from 0 to 10, not \"" + written + "\"");
        }
        return OptionalDouble.of(effort);
    }

    private static Matcher matched(Pattern pattern, String text, String expected) {
        Matcher matcher = pattern.matcher(text.strip());
        if (!matcher.matches()) {
            throw unfit(expected, text.isBlank() ? "nothing" : text);
        }
        return matcher;
    }

    private static Quantity quantity(Matcher matcher, Unit.Dimension dimension, String expected) {
        return Unit.ofSymbol(matcher.group(3))
                .filter(unit -> unit.dimension() == dimension)
                .map(unit -> new Quantity(new BigDecimal(matcher.group(2)), unit))
                .orElseThrow(() -> unfit(expected, matcher.group(3)));
    }

    private String movement(String written) {
        if (written.isBlank()) {
            throw unfit("a movement", "nothing");
        }
        return catalogue.named(written);
    }

    private static InvalidInput unfit(String expected, String found) {
        return new InvalidInput("instead of \"" + found + "\", write " + expected);
    }
}
