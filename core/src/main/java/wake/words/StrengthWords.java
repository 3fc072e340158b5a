package wake.words;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wake.athlete.EstimatedMax;
import wake.athlete.TechniqueTest;
import wake.plan.lift.LimitingMax;
import wake.strength.Prescription;
import wake.strength.StrengthSet;
import wake.strength.StrengthWork;
import wake.units.ClockTime;
import wake.units.Messages;
import wake.units.Quantity;
import wake.units.Unit;

/** Strength work in words. */
public final class StrengthWords {
    private StrengthWords() {}

    /** What was asked: "5 × 3 at 80%, tempo 31X1, rest 2:00"; empty where nothing was. */
    public static String asked(Prescription asked) {
        List<String> parts = new ArrayList<>();
        List<String> at = new ArrayList<>();
        asked.percent().ifPresent(percent -> at.add(number(percent) + "%"));
        asked.load().ifPresent(load -> at.add(load.toString()));
        asked.effort().ifPresent(effort -> at.add("effort " + TechniqueTest.effortWords(effort)));
        String scheme = scheme(asked);
        String first = scheme + (at.isEmpty() ? "" : (scheme.isEmpty() ? "at " : " at ") + String.join(", ", at));
        if (!first.isEmpty()) {
            parts.add(first);
        }
        if (!asked.tempo().isEmpty()) {
            parts.add("tempo " + asked.tempo());
        }
        asked.restMs().ifPresent(rest -> parts.add("rest " + ClockTime.of(rest).toSeconds()));
        return String.join(", ", parts);
    }

    /** The same, with the load that the share of the max comes to: "5 × 3 at 80% (about 104 kg)". */
    public static String asked(Prescription asked, Optional<Quantity> max) {
        String words = asked(asked);
        return asked.percent().isEmpty() || max.isEmpty()
                ? words
                : words.replaceFirst(
                        "%",
                        "% (about "
                                + Messages.of(
                                        "%.0f",
                                        asked.percent().getAsDouble()
                                                / 100
                                                * max.get().doubleValue()) + " "
                                + max.get().unit().symbol() + ")");
    }

    private static String scheme(Prescription asked) {
        List<Integer> reps = asked.reps();
        if (reps.isEmpty()) {
            return "";
        }
        boolean alike = reps.stream().distinct().count() == 1;
        return asked.heldS().isPresent()
                ? reps.size() + " × " + number(asked.heldS().getAsDouble()) + " s"
                : alike
                        ? reps.size() + " × " + reps.getFirst()
                        : String.join("-", reps.stream().map(String::valueOf).toList());
    }

    /** The sets in order, equal ones in a row together: "2 sets of 100 kg × 3", "107.5 kg × 2 of 3, effort 9; knees in". */
    public static List<String> sets(List<StrengthSet> sets) {
        List<String> said = new ArrayList<>();
        for (int i = 0; i < sets.size(); ) {
            int end = i + 1;
            while (end < sets.size() && sets.get(end).equals(sets.get(i))) {
                end++;
            }
            String one = set(sets.get(i));
            said.add(end - i == 1 ? one : end - i + " sets of " + one);
            i = end;
        }
        return said;
    }

    private static String set(StrengthSet set) {
        String done = done(set);
        String load = set.load().map(Quantity::toString).orElse("");
        if (set.made() == 0
                && set.missed() > 0
                && set.heldS().isEmpty()
                && set.load().isPresent()) {
            return load + (set.missed() == 1 ? "" : " × " + set.missed()) + ", missed" + felt(set);
        }
        String work = set.load().isEmpty()
                ? done + (set.heldS().isPresent() ? "" : set.made() + set.missed() == 1 ? " rep" : " reps")
                : set.heldS().isPresent() ? done + " at " + load : load + " × " + done;
        return work + (set.heldS().isPresent() && set.missed() > 0 ? ", missed" : "") + felt(set);
    }

    private static String felt(StrengthSet set) {
        return set.effort().stream()
                        .mapToObj(effort -> ", effort " + TechniqueTest.effortWords(effort))
                        .findFirst()
                        .orElse("")
                + (set.note().isEmpty() ? "" : "; " + set.note());
    }

    private static String done(StrengthSet set) {
        return set.heldS().isPresent()
                ? number(set.heldS().getAsDouble()) + " s"
                : set.missed() == 0 ? String.valueOf(set.made()) : set.made() + " of " + (set.made() + set.missed());
    }

    /**
     * The day of a lift in a line: how many of the sets asked for, the heaviest set with its share of the max and the single it points to, the hardest
     * effort, and load times reps.
     *
     * @param max the max that stands for the lift
     */
    public static String says(StrengthWork work, LimitingMax max) {
        List<String> parts = new ArrayList<>();
        if (work.sets().isEmpty()) {
            return "no sets noted";
        }
        int asked = work.asked().reps().size();
        int done = work.sets().size();
        parts.add((asked > 0 && asked != done ? done + " of " + asked : String.valueOf(done))
                + (asked == 0 && done == 1 || asked == 1 && done == 1 ? " set" : " sets"));
        heaviest(work).ifPresent(set -> parts.add("heaviest " + set + share(work, max)));
        single(work).ifPresent(parts::add);
        work.effort().ifPresent(effort -> parts.add("effort up to " + TechniqueTest.effortWords(effort) + "/10"));
        if (work.heldS() > 0) {
            parts.add(number(work.heldS()) + " s held");
        }
        work.volumeKg().ifPresent(volume -> parts.add("volume " + volume(work, volume)));
        return String.join(", ", parts);
    }

    /** The heaviest set: "107.5 kg × 2"; empty without a load. */
    public static Optional<String> heaviest(StrengthWork work) {
        return work.heaviest().map(set -> {
            String load = set.load().orElseThrow().toString();
            return set.heldS().isPresent()
                    ? load + " for " + number(set.heldS().getAsDouble()) + " s"
                    : set.made() == 1 ? load : load + " × " + set.made();
        });
    }

    private static String share(StrengthWork work, LimitingMax max) {
        return max.max()
                .map(known -> Messages.of(
                        " (%.0f%% of max %s %s)",
                        100
                                * work.heaviest()
                                        .orElseThrow()
                                        .load()
                                        .orElseThrow()
                                        .in(Unit.KILOGRAM)
                                / known.in(Unit.KILOGRAM),
                        max.lift(),
                        known))
                .orElse("");
    }

    /** The single the heaviest set points to, by two formulas; none of one rep or more than the formulas carry. */
    private static Optional<String> single(StrengthWork work) {
        return work.heaviest()
                .filter(set -> set.heldS().isEmpty() && set.made() > 1 && set.made() <= EstimatedMax.MOST_REPS)
                .map(set -> {
                    Quantity load = set.load().orElseThrow();
                    double least = EstimatedMax.least(load, set.made()).doubleValue();
                    double most = EstimatedMax.most(load, set.made()).doubleValue();
                    String span = Math.round(least) == Math.round(most)
                            ? Messages.of("%.0f", least)
                            : Messages.of("%.0f–%.0f", least, most);
                    return "about " + span + " " + load.unit().symbol() + " as a single";
                });
    }

    /** In the unit of the loads. */
    private static String volume(StrengthWork work, double kilograms) {
        Unit unit =
                work.heaviest().flatMap(StrengthSet::load).map(Quantity::unit).orElse(Unit.KILOGRAM);
        return Messages.of("%,.0f %s", Unit.KILOGRAM.to(unit, kilograms), unit.symbol());
    }

    private static String number(double value) {
        return value == Math.rint(value) ? Messages.of("%.0f", value) : Messages.of("%.1f", value);
    }
}
