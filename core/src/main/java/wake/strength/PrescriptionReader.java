package wake.strength;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalLong;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wake.movement.Catalogue;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.units.Quantity;
import wake.units.Unit;

/** Reads what was asked of a lift: each thing is taken out of the line where it stands, and what is left must be a movement's name. */
final class PrescriptionReader {
    static final int MOST_SETS = 30;
    private static final int LONGEST_NAME = 120;
    private static final double HARDEST = 10;
    /** No lift is asked for at more of a max; partial lifts and carries reach it. */
    private static final double MOST_PERCENT = 200;

    private static final Pattern TEMPO = Pattern.compile("\\btempo\\s+([0-9x](?:[-/]?[0-9x]){2,3})(?![\\w%])");
    private static final Pattern REST =
            Pattern.compile("\\brest\\s+(?:(\\d{1,2}:\\d{2})|(\\d{1,3})\\s*(s|sec|min)(?!\\w))");
    private static final Pattern EFFORT =
            Pattern.compile("(?:@\\s*)?\\b(?:effort|rpe)\\s*(\\d{1,2}(?:[.]5)?)(?![\\w.%])");
    private static final Pattern PERCENT =
            Pattern.compile("(?:@\\s*)?(?<![\\w.])(\\d{1,3}(?:[.]\\d)?)\\s*%(?:\\s+of\\s+max)?");
    private static final Pattern LOAD =
            Pattern.compile("(?:@\\s*)?(?<![\\w.])(\\d{1,4}(?:[.]\\d{1,2})?)\\s*(kg|lb)\\b");
    private static final Pattern SETS_OF = Pattern.compile(
            "(?<![\\w.])(\\d{1,3})\\s*(?:[x×]|sets?\\s+of)\\s*(\\d{1,3})(?:\\s*(s|sec|seconds?)|\\s+reps?)?(?![\\w.])");
    private static final Pattern LADDER = Pattern.compile("(?<![\\w.-])(\\d{1,3}(?:-\\d{1,3})+)(?![\\w.-])");

    private String left;

    private PrescriptionReader(String line) {
        left = line;
    }

    /** @throws InvalidInput where the line names no movement, or holds something that is none of what can be asked */
    static StrengthWork read(String line, String note, Catalogue catalogue) {
        PrescriptionReader reader = new PrescriptionReader(line.toLowerCase(Locale.ROOT));
        String tempo = reader.take(TEMPO)
                .map(found -> found.group(1).replaceAll("[-/]", "").toUpperCase(Locale.ROOT))
                .orElse("");
        OptionalLong rest =
                reader.take(REST).map(found -> OptionalLong.of(restMs(found))).orElse(OptionalLong.empty());
        OptionalDouble effort =
                reader.take(EFFORT).map(found -> effort(found.group(1))).orElse(OptionalDouble.empty());
        OptionalDouble percent =
                reader.take(PERCENT).map(found -> percent(found.group(1))).orElse(OptionalDouble.empty());
        Optional<MatchResult> scheme = reader.take(SETS_OF);
        Optional<MatchResult> ladder = scheme.isPresent() ? Optional.empty() : reader.take(LADDER);
        Optional<Quantity> load = reader.take(LOAD).map(found -> load(found.group(1), found.group(2)));
        boolean held = scheme.isPresent() && scheme.get().group(3) != null;
        return new StrengthWork(
                reader.movement(catalogue),
                new Prescription(
                        scheme.map(found -> sets(found, held))
                                .or(() -> ladder.map(found -> ladder(found.group(1))))
                                .orElse(List.of()),
                        held ? OptionalDouble.of(Double.parseDouble(scheme.get().group(2))) : OptionalDouble.empty(),
                        percent,
                        load,
                        effort,
                        tempo,
                        rest),
                note,
                List.of());
    }

    private Optional<MatchResult> take(Pattern pattern) {
        Matcher matcher = pattern.matcher(left);
        if (!matcher.find()) {
            return Optional.empty();
        }
        MatchResult found = matcher.toMatchResult();
        left = left.substring(0, matcher.start()) + " " + left.substring(matcher.end());
        return Optional.of(found);
    }

    private String movement(Catalogue catalogue) {
        String name = left.replaceAll("[,@\\s]+", " ").strip();
        if (name.isEmpty()) {
            throw new InvalidInput("Which lift? Write it like \"back squat 5 x 3 @ 80%\"");
        }
        if (name.matches(".*[\\d%].*")) {
            throw new InvalidInput("Not understood: \"" + name
                    + "\". Write the lift and what was asked, like \"back squat 5 x 3 @ 80%, tempo 31X1, rest 2:00\"");
        }
        if (name.length() > LONGEST_NAME) {
            throw new InvalidInput("The name of a lift is at most " + LONGEST_NAME + " characters");
        }
        return catalogue.named(name);
    }

    private static List<Integer> sets(MatchResult found, boolean held) {
        int sets = Integer.parseInt(found.group(1));
        int reps = Integer.parseInt(found.group(2));
        if (sets < 1 || sets > MOST_SETS || reps < 1) {
            throw new InvalidInput("Write 1 to " + MOST_SETS + " sets of at least 1, like \"5 x 3\"");
        }
        return Collections.nCopies(sets, held ? 1 : reps);
    }

    private static List<Integer> ladder(String written) {
        List<Integer> reps = new ArrayList<>();
        for (String one : written.split("-")) {
            reps.add(Integer.parseInt(one));
        }
        if (reps.contains(0) || reps.size() > MOST_SETS) {
            throw new InvalidInput("Write the reps of 1 to " + MOST_SETS + " sets, like \"5-4-3\"");
        }
        return reps;
    }

    private static long restMs(MatchResult found) {
        return found.group(1) != null
                ? ClockTime.parse(found.group(1)).ms()
                : Long.parseLong(found.group(2)) * (found.group(3).equals("min") ? 60_000 : 1000);
    }

    private static OptionalDouble percent(String written) {
        double percent = Double.parseDouble(written);
        if (percent <= 0 || percent > MOST_PERCENT) {
            throw new InvalidInput("Write a share of the max above 0% and up to 200%, not " + written + "%");
        }
        return OptionalDouble.of(percent);
    }

    static OptionalDouble effort(String written) {
        double effort = Double.parseDouble(written);
        if (effort > HARDEST) {
            throw new InvalidInput("Write an effort from 0 to 10, not " + written);
        }
        return OptionalDouble.of(effort);
    }

    static Quantity load(String number, String unit) {
        Quantity load = new Quantity(new BigDecimal(number), Unit.ofSymbol(unit).orElseThrow());
        if (load.value().signum() == 0) {
            throw new InvalidInput("A load is above 0; leave it out for none");
        }
        return load;
    }
}
