package wake.plan;

import java.util.List;
import java.util.OptionalLong;
import wake.workout.ExpandedWorkout;

/**
 * A row of the page for the wall: a round, or what stands outside rounds, with its clock.
 *
 * @param round "2", or "2 of thruster and burpee" where there are more blocks than one; empty outside rounds
 * @param says what is done and in what sets: "12 thruster @ 40 kg (7-5) · 9 burpee"
 * @param startMs the clock it starts at, where it starts on a mark or with its interval
 * @param endMs the clock at its end
 * @param latestMs the latest clock at its end from which all that is due after it can still be made; empty where nothing is
 * @param cutOffs the clocks it has to be done by, and where the clock decides between equal scores: "by 5:00", "tie-break after 30 burpee", "buzzer: 2 rounds + 20"
 */
public record WallRow(
        String round, String says, OptionalLong startMs, long endMs, OptionalLong latestMs, List<String> cutOffs) {
    public WallRow {
        cutOffs = List.copyOf(cutOffs);
    }

    /** The rows of a plan, in order. */
    public static List<WallRow> of(ExpandedWorkout expanded, Plan plan, Forecast forecast, LatestClocks latest) {
        return new WallRows(expanded, plan, forecast, latest).rows();
    }
}
