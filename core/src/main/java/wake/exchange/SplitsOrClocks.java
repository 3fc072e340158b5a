package wake.exchange;

import java.util.Comparator;
import java.util.List;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.plan.Plan;
import wake.workout.ExpandedWorkout;

/**
 * Splits and clocks broken down by sense. All of a sheet are one or the other, whichever can be, and where both can, whichever is more like
 * the plan; where neither can be, each line is what it is more like.
 */
final class SplitsOrClocks {
    /** More like the plan by so much is no difference; in logarithms of ratios to it. An assumption. */
    private static final double AS_NEAR = 0.15;

    private SplitsOrClocks() {}

    static TimeSheet read(String text, Each each, ExpandedWorkout expanded, Plan plan) {
        TimeSheetReader asSplits = new TimeSheetReader(each, Times.SPLITS, expanded, plan);
        TimeSheetReader asClock = new TimeSheetReader(each, Times.CLOCK, expanded, plan);
        TimeSheet splits = asSplits.read(text);
        TimeSheet clock = asClock.read(text);
        if (splits.isSound() && clock.isSound()) {
            boolean same = splits.rows().stream()
                    .map(TimeSheet.Row::clockMs)
                    .toList()
                    .equals(clock.rows().stream().map(TimeSheet.Row::clockMs).toList());
            double nearer = asSplits.unlikely() - asClock.unlikely();
            TimeSheet likely = nearer <= 0 ? splits : clock;
            return new TimeSheet(
                    likely.rows(),
                    likely.marks(),
                    likely.unaccountedMs(),
                    likely.taken(),
                    !same && Math.abs(nearer) < AS_NEAR);
        }
        if (splits.isSound() || clock.isSound()) {
            return splits.isSound() ? splits : clock;
        }
        TimeSheet mixed = new TimeSheetReader(each, Times.EITHER, expanded, plan).read(text);
        return List.of(mixed, clock, splits).stream()
                .min(Comparator.comparingLong(TimeSheet::problems))
                .orElse(mixed);
    }
}
