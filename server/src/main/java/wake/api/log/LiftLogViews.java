package wake.api.log;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import wake.log.AttemptLog;
import wake.log.Lift;
import wake.plan.lift.LimitingMax;
import wake.plan.lift.PlateRack;
import wake.plan.lift.Timetable;
import wake.reading.lift.LiftReading;
import wake.reading.lift.LiftRow;
import wake.review.Documents.KeptPlan;
import wake.review.OpenAttempt;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/** The lifts of a window in the log: what was seen, what was planned, what comes next. */
final class LiftLogViews {
    private LiftLogViews() {}

    /**
     * A lift of a lift window.
     *
     * @param pieces what was lifted, where that was not the complex
     * @param counted reps seen to be made
     * @param reps reps it has in all
     * @param missedOn the rep it was missed on
     * @param missedPiece the movement it was missed on
     * @param restMs from the bar down of the lift before to its start; absent where that was not seen
     * @param sinceMs from the start of the lift before, or from "go"
     */
    record LiftView(
            long atMs,
            @Nullable String load,
            @Nullable String pieces,
            Lift.Outcome outcome,
            int counted,
            int reps,
            @Nullable Integer missedOn,
            @Nullable String missedPiece,
            @Nullable Long endMs,
            @Nullable Long lengthMs,
            @Nullable Long restMs,
            long sinceMs) {}

    /** A lift that was planned: its load, what is lifted where that is not the complex, when it starts. */
    record PlannedLiftView(String load, @Nullable String pieces, String role, long startMs, String side) {}

    static List<LiftView> lifts(AttemptLog log) {
        return log.expanded().format() instanceof Format.Lift
                ? LiftReading.of(log, LimitingMax.none(List.of()), Optional.empty()).rows().stream()
                        .map(LiftLogViews::lift)
                        .toList()
                : List.of();
    }

    private static LiftView lift(LiftRow row) {
        Lift lift = row.lift();
        return new LiftView(
                lift.atMs(),
                lift.load().map(Quantity::toString).orElse(null),
                lift.scores() ? null : LiftPiece.written(lift.pieces()),
                lift.outcome(),
                lift.counted(),
                LiftPiece.repsOf(row.pieces()),
                lift.missedOn().isPresent() ? lift.missedOn().getAsInt() : null,
                row.missedPiece().orElse(null),
                lift.endMs().isPresent() ? lift.endMs().getAsLong() : null,
                lift.lengthMs().isPresent() ? lift.lengthMs().getAsLong() : null,
                row.restMs().isPresent() ? row.restMs().getAsLong() : null,
                row.sinceMs());
    }

    static List<PlannedLiftView> planned(List<Timetable.Row> planned) {
        return planned.stream()
                .map(row -> new PlannedLiftView(
                        row.loading().load().toString(),
                        row.attempt().pieces().isEmpty()
                                ? null
                                : LiftPiece.written(row.attempt().pieces()),
                        row.attempt().role().name(),
                        row.attempt().startMs(),
                        row.loading().sideWords()))
                .toList();
    }

    /** What the next lift is taken to be: the next one planned, else the load of the one before. */
    static @Nullable String next(List<Lift> lifts, List<Timetable.Row> planned) {
        if (lifts.size() < planned.size()) {
            Timetable.Row row = planned.get(lifts.size());
            return new Lift.LiftText(row.loading().load(), row.attempt().pieces()).toString();
        }
        return lifts.isEmpty()
                ? null
                : lifts.getLast().load().map(Quantity::toString).orElse(null);
    }

    /** The unit a load without one is in: that of the lift before, else of the bar planned, else kilograms. */
    static Unit unit(OpenAttempt open) {
        return open.log().lifts().stream()
                .flatMap(lift -> lift.load().stream())
                .reduce((earlier, later) -> later)
                .or(() -> open.plan()
                        .flatMap(KeptPlan::lift)
                        .map(lift -> lift.rack())
                        .map(PlateRack::bar))
                .map(Quantity::unit)
                .orElse(Unit.KILOGRAM);
    }
}
