package wake.reading.lift;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import wake.log.AttemptLog;
import wake.log.Lift;
import wake.plan.lift.LimitingMax;
import wake.plan.lift.Timetable;
import wake.units.Digits;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/**
 * A lift window read.
 *
 * @param window the window
 * @param max what percentages are of
 * @param rows the lifts in order
 * @param over whether the buzzer is marked
 * @param digits the precision of its times
 */
public record LiftReading(Format.Lift window, LimitingMax max, List<LiftRow> rows, boolean over, Digits digits) {
    public LiftReading {
        rows = List.copyOf(rows);
    }

    /**
     * Reads a window.
     *
     * @param log its log
     * @param max what percentages are of
     * @param plan the timetable, where there is one
     * @throws IllegalArgumentException when the part is no lift window
     */
    public static LiftReading of(AttemptLog log, LimitingMax max, Optional<Timetable> plan) {
        if (!(log.expanded().format() instanceof Format.Lift window)) {
            throw new IllegalArgumentException("This part is not a max-lift window");
        }
        List<LiftRow> rows = new ArrayList<>();
        long start = 0;
        OptionalLong down = OptionalLong.of(0);
        Optional<Quantity> load = Optional.empty();
        for (Lift lift : log.lifts()) {
            int at = rows.size();
            List<LiftPiece> pieces = lift.pieces(window.complex());
            rows.add(new LiftRow(
                    at + 1,
                    lift,
                    pieces,
                    percent(lift, max),
                    jump(load, lift),
                    lift.atMs() - start,
                    down.isPresent() ? OptionalLong.of(Math.max(0, lift.atMs() - down.getAsLong())) : down,
                    missedPiece(lift, pieces),
                    plan.map(Timetable::rows)
                            .filter(planned -> at < planned.size())
                            .map(planned -> planned.get(at))));
            start = lift.atMs();
            down = lift.endMs();
            load = lift.load();
        }
        return new LiftReading(window, max, rows, log.over(), log.digits());
    }

    private static OptionalDouble percent(Lift lift, LimitingMax max) {
        return lift.load().isPresent() && max.max().isPresent()
                ? OptionalDouble.of(
                        Timetable.percent(lift.load().get(), max.max().get()))
                : OptionalDouble.empty();
    }

    private static OptionalDouble jump(Optional<Quantity> before, Lift lift) {
        return before.isPresent() && lift.load().isPresent()
                ? OptionalDouble.of(
                        lift.load().get().in(Unit.KILOGRAM) - before.get().in(Unit.KILOGRAM))
                : OptionalDouble.empty();
    }

    private static Optional<String> missedPiece(Lift lift, List<LiftPiece> pieces) {
        OptionalInt on = lift.missedOn();
        return on.isPresent() ? LiftRow.pieceOf(pieces, on.getAsInt()) : Optional.empty();
    }

    /** The heaviest lift that counted. */
    public Optional<LiftRow> best() {
        return rows.stream()
                .filter(row -> row.lift().made() && row.lift().scores())
                .filter(row -> row.lift().load().isPresent())
                .max(Comparator.comparingDouble(LiftReading::kilograms));
    }

    public static double kilograms(LiftRow row) {
        return row.lift().load().orElseThrow().in(Unit.KILOGRAM);
    }

    public long made() {
        return rows.stream().filter(row -> row.lift().made()).count();
    }

    /** From start to start on average, milliseconds; empty with fewer than two lifts. */
    public OptionalLong eachMs() {
        return rows.size() < 2
                ? OptionalLong.empty()
                : OptionalLong.of(
                        (rows.getLast().lift().atMs() - rows.getFirst().lift().atMs()) / (rows.size() - 1));
    }

    /** Rests between lifts that were seen; that before the first is no rest between lifts. */
    List<LiftRow> rested() {
        return rows.stream().skip(1).filter(row -> row.restMs().isPresent()).toList();
    }
}
