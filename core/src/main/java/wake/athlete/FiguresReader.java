package wake.athlete;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wake.athlete.Figures.BestTime;
import wake.movement.Catalogue;
import wake.movement.Movement;
import wake.units.ClockTime;
import wake.units.Quantity;
import wake.units.Unit;

/**
 * Reads an athlete's figures, one to a line:
 *
 * <pre>
 * max clean 85 kg
 * unbroken toes-to-bar 14
 * best run 1 mi 6:40
 * test row 300 m: 1:02 1:03 1:03.5
 * limiter push press        // comments are for the coach
 * </pre>
 */
public final class FiguresReader {
    private static final Pattern AMOUNT = Pattern.compile("(.+?)\\s+(\\d{1,6}(?:[.]\\d{1,3})?)\\s*([a-z]+)");
    private static final Pattern UNBROKEN = Pattern.compile("(.+?)\\s+(\\d{1,4})");
    private static final int LONGEST = 20_000;

    private final Catalogue catalogue;
    private final Map<String, Quantity> maxes = new HashMap<>();
    private final Map<String, Integer> unbroken = new HashMap<>();
    private final List<BestTime> best = new ArrayList<>();
    private final List<ErgTest> tests = new ArrayList<>();
    private final List<String> errors = new ArrayList<>();
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
            return new Outcome(Figures.NONE, List.of("Expected " + LONGEST + " characters at most"));
        }
        String[] lines = text.split("\\R");
        for (int i = 0; i < lines.length; i++) {
            String line = lines[i].replaceFirst("//.*", "").strip();
            try {
                reader.line(line.toLowerCase(Locale.ROOT));
            } catch (IllegalArgumentException unfit) {
                reader.errors.add("Line " + (i + 1) + ": " + unfit.getMessage());
            }
        }
        return new Outcome(
                new Figures(reader.maxes, reader.unbroken, reader.best, reader.tests, reader.limiter), reader.errors);
    }

    private void line(String line) {
        if (line.isEmpty()) {
            return;
        }
        String[] words = line.split("\\s+", 2);
        String rest = words.length > 1 ? words[1] : "";
        switch (words[0]) {
            case "max" -> max(rest);
            case "unbroken" -> unbroken(rest);
            case "best" -> best(rest);
            case "test" -> test(rest);
            case "limiter" -> limiter = Optional.of(movement(rest));
            default -> throw unfit("\"max\", \"unbroken\", \"best\", \"test\" or \"limiter\"", words[0]);
        }
    }

    private void max(String rest) {
        Matcher matcher = matched(AMOUNT, rest, "a lift and its load, as in \"max clean 85 kg\"");
        maxes.put(movement(matcher.group(1)), quantity(matcher, Unit.Dimension.MASS, "kg or lb"));
    }

    private void unbroken(String rest) {
        Matcher matcher = matched(UNBROKEN, rest, "a movement and reps, as in \"unbroken toes-to-bar 14\"");
        int reps = Integer.parseInt(matcher.group(2));
        if (reps < 1) {
            throw new IllegalArgumentException("expected at least 1 rep");
        }
        unbroken.put(movement(matcher.group(1)), reps);
    }

    private void best(String rest) {
        String expected = "a movement, a distance and a time, as in \"best run 1 mi 6:40\"";
        int split = rest.lastIndexOf(' ');
        Matcher matcher = matched(AMOUNT, split < 0 ? "" : rest.substring(0, split), expected);
        Quantity distance = quantity(matcher, Unit.Dimension.LENGTH, "a distance in m, km, mi or ft");
        long ms = ClockTime.parse(rest.substring(split + 1)).ms();
        if (ms == 0 || distance.value().signum() == 0) {
            throw new IllegalArgumentException("expected " + expected);
        }
        best.add(new BestTime(movement(matcher.group(1)), distance, ms));
    }

    private void test(String rest) {
        String expected = "repeats of a distance, as in \"test row 300 m: 1:02 1:03 1:03.5\"";
        int split = rest.indexOf(':');
        Matcher matcher =
                matched(AMOUNT, split < 0 ? "" : rest.substring(0, split).strip(), expected);
        Quantity distance = quantity(matcher, Unit.Dimension.LENGTH, "a distance in m, km, mi or ft");
        List<Long> times = new ArrayList<>();
        for (String time : rest.substring(split + 1).strip().split("[\\s,]+")) {
            times.add(ClockTime.parse(time).ms());
        }
        if (times.contains(0L)) {
            throw new IllegalArgumentException("expected times above 0:00");
        }
        tests.add(new ErgTest(movement(matcher.group(1)), distance, times));
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

    /** The catalogue's name; what it does not know, as a variant, is taken as written, unless it is a slip of the pen. */
    private String movement(String written) {
        if (written.isBlank()) {
            throw unfit("a movement", "nothing");
        }
        catalogue.nearMiss(written).ifPresent(near -> {
            throw new IllegalArgumentException("no movement \"" + written + "\"; did you mean " + near + "?");
        });
        return catalogue.find(written).map(Movement::name).orElse(written.strip());
    }

    private static IllegalArgumentException unfit(String expected, String found) {
        return new IllegalArgumentException("expected " + expected + ", found \"" + found + "\"");
    }
}
