package wake.words;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wake.athlete.EstimatedMax;
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
        return asked(asked, Optional.empty());
    }

    /** The same, with the load that the share of the max comes to, where that is known: "5 × 3 at 80% (about 104 kg)". */
    public static String asked(Prescription asked, Optional<Quantity> max) {
        List<String> at = new ArrayList<>();
        asked.percent()
                .ifPresent(percent -> at.add(Messages.number(percent) + "%"
                        + max.map(load -> Messages.of(
                                        " (about %.0f %s)",
                                        percent / 100 * load.doubleValue(),
                                        load.unit().symbol()))
                                .orElse("")));
        asked.load().ifPresent(load -> at.add(load.toString()));
        asked.effort().ifPresent(effort -> at.add("effort " + Messages.number(effort)));
        String how = at.isEmpty() ? "" : "at " + String.join(", ", at);
        List<String> parts = new ArrayList<>(List.of((scheme(asked) + " " + how).strip()));
        if (!asked.tempo().isEmpty()) {
            parts.add("tempo " + asked.tempo());
        }
        asked.restMs().ifPresent(rest -> parts.add("rest " + ClockTime.of(rest).toSeconds()));
        parts.removeIf(String::isEmpty);
        return String.join(", ", parts);
    }

    private static String scheme(Prescription asked) {
        List<Integer> reps = asked.reps();
        if (reps.isEmpty()) {
            return "";
        }
        boolean alike = reps.stream().distinct().count() == 1;
        return asked.heldS().isPresent()
                ? reps.size() + " × " + Messages.number(asked.heldS().getAsDouble()) + " s"
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
                        .mapToObj(effort -> ", effort " + Messages.number(effort))
                        .findFirst()
                        .orElse("")
                + (set.note().isEmpty() ? "" : "; " + set.note());
    }

    private static String done(StrengthSet set) {
        return set.heldS().isPresent()
                ? Messages.number(set.heldS().getAsDouble()) + " s"
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
                + (done == 1 && asked <= 1 ? " set" : " sets"));
        heaviest(work).ifPresent(set -> parts.add("heaviest " + set + share(work, max)));
        single(work).ifPresent(parts::add);
        work.effort().ifPresent(effort -> parts.add("effort up to " + Messages.number(effort) + "/10"));
        if (work.heldS() > 0) {
            parts.add(Messages.number(work.heldS()) + " s held");
        }
        work.volumeKg().ifPresent(volume -> parts.add("volume " + volume(work, volume)));
        return String.join(", ", parts);
    }

    /** The heaviest set: "107.5 kg × 2"; empty without a load. */
    private static Optional<String> heaviest(StrengthWork work) {
        return work.heaviest().map(set -> {
            String load = set.load().orElseThrow().toString();
            return set.heldS().isPresent()
                    ? load + " for " + Messages.number(set.heldS().getAsDouble()) + " s"
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
}
