package wake.exchange;

import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import wake.strength.StrengthSet;
import wake.strength.StrengthWork;
import wake.units.Messages;
import wake.words.StrengthWords;

/** Strength work as a sheet. */
public final class StrengthSheet {
    private StrengthSheet() {}

    /** What was done on a day. */
    public record Day(LocalDate doneOn, List<StrengthWork> works) {
        public Day {
            works = List.copyOf(works);
        }
    }

    /** A row for each set; a lift without sets has one with what was asked. */
    public static String csv(List<Day> days) {
        StringBuilder sheet = new StringBuilder(
                Cells.row("day", "lift", "asked", "set", "load", "unit", "reps", "missed", "held_s", "effort", "note"));
        for (Day day : days) {
            for (StrengthWork work : day.works()) {
                if (work.sets().isEmpty()) {
                    sheet.append(Cells.row(
                            day.doneOn(),
                            work.movement(),
                            StrengthWords.asked(work.asked()),
                            "",
                            "",
                            "",
                            "",
                            "",
                            "",
                            "",
                            work.note()));
                }
                int number = 0;
                for (StrengthSet set : work.sets()) {
                    number++;
                    sheet.append(set(day, work, number, set));
                }
            }
        }
        return sheet.toString();
    }

    private static String set(Day day, StrengthWork work, int number, StrengthSet set) {
        boolean isHold = set.heldS().isPresent();
        return Cells.row(
                day.doneOn(),
                work.movement(),
                StrengthWords.asked(work.asked()),
                number,
                set.load().map(load -> load.number()).orElse(""),
                set.load().map(load -> load.unit().symbol()).orElse(""),
                isHold ? "" : set.made(),
                set.missed(),
                written(set.heldS()),
                written(set.effort()),
                number > 1 || work.note().isEmpty()
                        ? set.note()
                        : work.note() + (set.note().isEmpty() ? "" : "; " + set.note()));
    }

    private static String written(OptionalDouble value) {
        return value.isPresent() ? Messages.number(value.getAsDouble()) : "";
    }
}
