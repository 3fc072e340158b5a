package wake.reading.lift;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalLong;
import wake.log.Lift;
import wake.plan.lift.Timetable;
import wake.statistics.Statistics;
import wake.units.ClockTime;
import wake.units.Quantity;
import wake.units.Say;
import wake.units.Unit;
import wake.workout.Format.LiftPiece;

/** What a lift window says, in sentences: the answer first, then each with the moment it rests on. */
public final class LiftFindings {
    private static final int MOST = 6;
    /** A lift that took so much longer than the middle of the others is said to have been ground out; an assumption. */
    private static final double SLOWER = 1.3;
    /** A start later or earlier than planned by less is as planned; an assumption. */
    private static final long AS_PLANNED_MS = 10_000;
    /** A moment is played from a little before the bar leaves the floor. */
    private static final long BEFORE_MS = 3_000;

    private static final long AFTER_MS = 30_000;

    private final LiftReading reading;

    /** One thing to see. */
    public record Finding(String words, long fromMs, long toMs) {}

    private LiftFindings(LiftReading reading) {
        this.reading = reading;
    }

    /** The window in one sentence. */
    public static String answer(LiftReading reading) {
        return new LiftFindings(reading).answer();
    }

    /** What is worth knowing of it, the misses first. */
    public static List<Finding> of(LiftReading reading) {
        return new LiftFindings(reading).findings();
    }

    private String answer() {
        List<LiftRow> rows = reading.rows();
        if (rows.isEmpty()) {
            return "No lifts logged yet.";
        }
        String best = reading.best()
                .map(row -> "best " + load(row) + ofMax(row.percent()))
                .orElse("no lift counted");
        String made = (reading.over() ? Say.capital(best) : "So far " + best) + ", " + reading.made() + " of "
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

    private String shortest(LiftRow row) {
        List<LiftRow> rested = reading.rested();
        long rest = row.restMs().orElseThrow();
        boolean shortest = rested.size() > 1
                && rested.stream()
                        .filter(one -> one != row)
                        .allMatch(one -> one.restMs().orElseThrow() > rest);
        return shortest ? ", the shortest" : "";
    }

    private List<Finding> findings() {
        List<Finding> all = new ArrayList<>();
        List<LiftRow> rows = reading.rows();
        rows.stream()
                .filter(row -> row.lift().outcome() == Lift.Outcome.MISSED)
                .map(this::miss)
                .forEach(all::add);
        rhythm().ifPresent(all::add);
        againstThePlan().ifPresent(all::add);
        ground().ifPresent(all::add);
        firstJump().ifPresent(all::add);
        left().ifPresent(all::add);
        return all.stream().limit(MOST).toList();
    }

    private Finding miss(LiftRow row) {
        List<String> about = new ArrayList<>();
        row.restMs().ifPresent(rest -> {
            if (row.number() > 1) {
                about.add("after " + span(rest) + " of rest" + shortest(row));
            }
        });
        bestBefore(row).ifPresent(best -> about.add(above(row, best)));
        String words = "Lift " + row.number() + ", " + load(row) + ofMax(row.percent()) + ", missed"
                + row.lift().missedOn().stream()
                        .mapToObj(rep -> " on rep " + rep)
                        .findFirst()
                        .filter(said -> LiftPiece.repsOf(row.pieces()) > 1)
                        .orElse("")
                + row.missedPiece().map(piece -> ", the " + piece).orElse("")
                + (about.isEmpty() ? "" : ": " + String.join(", ", about)) + ".";
        return moment(words, row);
    }

    private Optional<LiftRow> bestBefore(LiftRow row) {
        return row.lift().load().isEmpty()
                ? Optional.empty()
                : reading.rows().stream()
                        .filter(one -> one.lift().made() && one.lift().load().isPresent())
                        .max(Comparator.comparingDouble(LiftReading::kilograms));
    }

    private static String above(LiftRow row, LiftRow best) {
        double percent = 100 * (LiftReading.kilograms(row) / LiftReading.kilograms(best) - 1);
        return percent < 0
                ? Say.of("%.1f%% below the best made", -percent)
                : Say.of("%.1f%% above the best made", percent);
    }

    private Optional<Finding> rhythm() {
        OptionalLong each = reading.eachMs();
        if (each.isEmpty()) {
            return Optional.empty();
        }
        List<LiftRow> rested = reading.rested();
        String rests = rested.size() < 2
                ? ""
                : ", with rests of "
                        + String.join(
                                ", ",
                                rested.stream()
                                        .map(row -> span(row.restMs().orElseThrow()))
                                        .toList());
        LiftRow first = reading.rows().getFirst();
        return Optional.of(new Finding(
                reading.rows().size() + " lifts, one every " + span(each.getAsLong()) + rests + ".",
                Math.max(0, first.lift().atMs() - BEFORE_MS),
                reading.rows().getLast().lift().atMs()));
    }

    private Optional<Finding> againstThePlan() {
        return reading.rows().stream()
                .filter(row -> row.lateMs().isPresent() && Math.abs(row.lateMs().getAsLong()) >= AS_PLANNED_MS)
                .max(Comparator.comparingLong(row -> Math.abs(row.lateMs().getAsLong())))
                .map(row -> {
                    long late = row.lateMs().getAsLong();
                    return moment(
                            "Lift " + row.number() + " started " + span(Math.abs(late))
                                    + (late > 0 ? " later" : " earlier") + " than planned" + otherLoad(row) + ".",
                            row);
                });
    }

    private static String otherLoad(LiftRow row) {
        Quantity planned = row.plan().orElseThrow().loading().load();
        return row.lift()
                .load()
                .filter(load -> Math.abs(load.in(Unit.KILOGRAM) - planned.in(Unit.KILOGRAM)) > 0.05)
                .map(load -> ", with " + load + " for " + planned)
                .orElse("");
    }

    /** The lift of the complex that took much longer than the middle of the others. */
    private Optional<Finding> ground() {
        List<LiftRow> timed = reading.rows().stream()
                .filter(row -> row.lift().made()
                        && row.lift().scores()
                        && row.lift().lengthMs().isPresent())
                .toList();
        if (timed.size() < 3) {
            return Optional.empty();
        }
        LiftRow slowest = timed.stream()
                .max(Comparator.comparingLong(row -> row.lift().lengthMs().orElseThrow()))
                .orElseThrow();
        double middle = Statistics.median(timed.stream()
                .filter(row -> row != slowest)
                .mapToDouble(row -> row.lift().lengthMs().orElseThrow())
                .toArray());
        long length = slowest.lift().lengthMs().orElseThrow();
        return length >= SLOWER * middle
                ? Optional.of(moment(
                        "Lift " + slowest.number() + ", " + load(slowest) + ", took " + span(length) + ", the others "
                                + span(Math.round(middle)) + ".",
                        slowest))
                : Optional.empty();
    }

    private Optional<Finding> firstJump() {
        List<LiftRow> jumped =
                reading.rows().stream().filter(row -> row.jumpKg().isPresent()).toList();
        if (jumped.size() < 2) {
            return Optional.empty();
        }
        Unit unit = jumped.getFirst().lift().load().orElseThrow().unit();
        String jumps = String.join(
                ", ",
                jumped.stream()
                        .map(row -> signed(row.jumpKg().orElseThrow(), unit))
                        .toList());
        return Optional.of(moment("Jumps of " + jumps + " " + unit.symbol() + ".", jumped.getFirst()));
    }

    private static String signed(double kilograms, Unit unit) {
        double value = Math.round(10 * Unit.KILOGRAM.to(unit, Math.abs(kilograms))) / 10.0;
        String number = value == Math.rint(value) ? Say.of("%.0f", value) : Say.of("%.1f", value);
        return (kilograms < 0 ? "−" : "+") + number;
    }

    /** What of the window was left when the last lift left the floor, where another would have fitted. */
    private Optional<Finding> left() {
        OptionalLong each = reading.eachMs();
        LiftRow last = reading.rows().isEmpty() ? null : reading.rows().getLast();
        if (each.isEmpty() || last == null || !reading.over()) {
            return Optional.empty();
        }
        long left = reading.window().windowMs() - last.lift().atMs();
        return left > each.getAsLong()
                ? Optional.of(moment(
                        "Last lift started " + span(left) + " before time: room for one more at this pace.", last))
                : Optional.empty();
    }

    private Finding moment(String words, LiftRow row) {
        long from = Math.max(0, row.lift().atMs() - BEFORE_MS);
        return new Finding(words, from, row.lift().endMs().orElse(row.lift().atMs() + AFTER_MS));
    }

    static String load(LiftRow row) {
        return row.lift().load().map(Quantity::toString).orElse("no load logged");
    }

    static String ofMax(OptionalDouble percent) {
        return percent.isEmpty() ? "" : Say.of(" (%.0f%% of max)", percent.getAsDouble());
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
        return percent.isEmpty() ? "" : Say.of("%.0f%%", percent.getAsDouble());
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
