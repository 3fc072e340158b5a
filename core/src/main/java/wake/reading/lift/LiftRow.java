package wake.reading.lift;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalLong;
import wake.log.Lift;
import wake.plan.lift.Timetable;
import wake.workout.Format.LiftPiece;

/**
 * One lift of a window, with what is known of it.
 *
 * @param number its place, from 1
 * @param lift what was seen
 * @param pieces what was lifted
 * @param percent of the max that limits the complex; empty where no max or no load is known
 * @param jumpKg from the load before, in kilograms; empty for the first and where a load is not known
 * @param sinceMs from the start of the lift before, or from "go"
 * @param restMs from the bar down of the lift before, or from "go"; empty where that was not seen
 * @param missedPiece the movement it was missed on; empty when made or not logged
 * @param plan what the timetable had in its place
 */
public record LiftRow(
        int number,
        Lift lift,
        List<LiftPiece> pieces,
        OptionalDouble percent,
        OptionalDouble jumpKg,
        long sinceMs,
        OptionalLong restMs,
        Optional<String> missedPiece,
        Optional<Timetable.Row> plan) {
    public LiftRow {
        pieces = List.copyOf(pieces);
    }

    /** The movement a rep of some pieces belongs to; empty beyond the last. */
    static Optional<String> pieceOf(List<LiftPiece> pieces, int rep) {
        int passed = 0;
        for (LiftPiece piece : pieces) {
            passed += piece.reps();
            if (rep <= passed) {
                return Optional.of(piece.movement());
            }
        }
        return Optional.empty();
    }

    /** How much later than planned it left the floor, milliseconds; below 0 when earlier. */
    public OptionalLong lateMs() {
        return plan.map(row -> OptionalLong.of(lift.atMs() - row.attempt().startMs()))
                .orElse(OptionalLong.empty());
    }
}
