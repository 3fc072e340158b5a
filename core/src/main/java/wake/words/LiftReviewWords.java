package wake.words;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import wake.log.Lift;
import wake.plan.lift.Timetable;
import wake.reading.lift.LiftNote;
import wake.reading.lift.LiftReading;
import wake.reading.lift.LiftRow;
import wake.units.ClockTime;
import wake.units.Messages;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format.LiftPiece;

/** A lift window in sentences: the answer first, then each note. */
public final class LiftReviewWords {
    private final LiftReading reading;

    private LiftReviewWords(LiftReading reading) {
        this.reading = reading;
    }

    /** The window in one sentence. */
    public static String headline(LiftReading reading) {
        return new LiftReviewWords(reading).headline();
    }

    /** One thing to know of it. */
    public static String note(LiftNote note, LiftReading reading) {
        return new LiftReviewWords(reading).note(note);
    }

    private String headline() {
        List<LiftRow> rows = reading.rows();
        if (rows.isEmpty()) {
            return "No lifts logged yet.";
        }
        String best = reading.best()
                .map(row -> "best " + load(row) + ofMax(row.percent()))
                .orElse("no lift counted");
        String made = (reading.over() ? Messages.capital(best) : "So far " + best) + ", " + reading.made() + " of "
                + rows.size() + " made";
        return made
                + rows.stream()
                        .filter(row -> row.lift().outcome() == Lift.Outcome.MISSED)
                        .reduce((earlier, later) -> later)
                        .map(this::lastMiss)
                        .orElse("")
                + ".";
    }

    private String lastMiss(LiftRow row) {
        return ". " + (row.number() == reading.rows().size() ? "Last lift" : "Lift " + row.number()) + ", " + load(row)
                + ", missed"
                + row.missedPiece().map(piece -> " on the " + piece).orElse("");
    }

    private String note(LiftNote note) {
        return switch (note) {
            case LiftNote.Miss miss -> miss(miss);
            case LiftNote.Rhythm rhythm ->
                reading.rows().size() + " lifts, one every " + span(rhythm.eachMs()) + rests(rhythm.restsMs()) + ".";
            case LiftNote.OffPlan off ->
                lift(off.row()) + " started " + span(Math.abs(off.lateMs()))
                        + (off.lateMs() > 0 ? " later" : " earlier") + " than planned" + otherLoad(off.row()) + ".";
            case LiftNote.Slow slow ->
                lift(slow.row()) + ", " + load(slow.row()) + ", took " + span(slow.lengthMs()) + ", the others "
                        + span(slow.othersMs()) + ".";
            case LiftNote.Jumps jumps -> jumps(jumps.jumped());
            case LiftNote.TimeLeft left ->
                "Last lift started " + span(left.leftMs()) + " before time: room for one more at this pace.";
        };
    }

    private static String lift(LiftRow row) {
        return "Lift " + row.number();
    }

    private String miss(LiftNote.Miss miss) {
        LiftRow row = miss.row();
        List<String> about = new ArrayList<>();
        miss.restMs()
                .ifPresent(rest ->
                        about.add("after " + span(rest) + " of rest" + (miss.shortest() ? ", the shortest" : "")));
        miss.aboveBestPercent()
                .ifPresent(percent -> about.add(
                        Messages.of("%.1f%% %s the best made", Math.abs(percent), percent < 0 ? "below" : "above")));
        return lift(row) + ", " + load(row) + ofMax(row.percent()) + ", missed"
                + row.lift().missedOn().stream()
                        .mapToObj(rep -> " on rep " + rep)
                        .findFirst()
                        .filter(said -> LiftPiece.repsOf(row.pieces()) > 1)
                        .orElse("")
                + row.missedPiece().map(piece -> ", the " + piece).orElse("")
                + (about.isEmpty() ? "" : ": " + String.join(", ", about)) + ".";
    }

    private String rests(List<Long> rests) {
        return rests.size() < 2
                ? ""
                : ", with rests of " + rests.stream().map(this::span).collect(Collectors.joining(", "));
    }

    private static String otherLoad(LiftRow row) {
        Quantity planned = row.plan().orElseThrow().loading().load();
        return row.lift()
                .load()
                .filter(load -> Math.abs(load.in(Unit.KILOGRAM) - planned.in(Unit.KILOGRAM)) > 0.05)
                .map(load -> ", with " + load + " for " + planned)
                .orElse("");
    }

    private static String jumps(List<LiftRow> jumped) {
        Unit unit = jumped.getFirst().lift().load().orElseThrow().unit();
        return "Jumps of "
                + jumped.stream()
                        .map(row -> signed(row.jumpKg().orElseThrow(), unit))
                        .collect(Collectors.joining(", "))
                + " " + unit.symbol() + ".";
    }

    private static String signed(double kilograms, Unit unit) {
        double value = Math.round(10 * Unit.KILOGRAM.to(unit, Math.abs(kilograms))) / 10.0;
        return (kilograms < 0 ? "−" : "+") + Messages.number(value);
    }

    static String load(LiftRow row) {
        return row.lift().load().map(Quantity::toString).orElse("no load logged");
    }

    static String ofMax(OptionalDouble percent) {
        return percent.isEmpty() ? "" : Messages.of(" (%.0f%% of max)", percent.getAsDouble());
    }

    private String span(long ms) {
        return ms < 60_000
                ? reading.digits().span(ms)
                : ClockTime.of(Math.round(ms / 1000.0) * 1000).toSeconds();
    }

    /** What the percentages are of, or what is missing for them. */
    public static String maxWords(LiftReading reading) {
        return reading.max()
                .words()
                .map(words -> "Percentages are of " + words + ".")
                .orElse("No max on file for "
                        + String.join(" or ", reading.max().unknown())
                        + ". Add one on the athlete page to see percentages.");
    }

    /** A share of the max as it stands in a table. */
    public static String percentWords(OptionalDouble percent) {
        return percent.isEmpty() ? "" : Messages.of("%.0f%%", percent.getAsDouble());
    }

    /** A jump as it stands in a table, in the unit of the load. */
    public static String jumpWords(LiftRow row) {
        return row.jumpKg().isEmpty()
                ? ""
                : signed(
                        row.jumpKg().getAsDouble(),
                        row.lift().load().map(Quantity::unit).orElse(Unit.KILOGRAM));
    }

    /** Planned load and start, as they stand beside a lift. */
    public static Optional<String> planWords(LiftRow row) {
        return row.plan()
                .map((Timetable.Row planned) -> planned.loading().load() + " at "
                        + ClockTime.of(planned.attempt().startMs()).toSeconds());
    }
}
