package wake.api.reading;

import static wake.api.Boxed.boxed;

import java.util.List;
import org.jspecify.annotations.Nullable;
import wake.plan.SetScheme;
import wake.reading.MaxReps;

/** As many of one movement as there was time for, as the interface shows it. */
final class MaxRepsViews {
    private MaxRepsViews() {}

    /**
     * How many, minute by minute, how long from one to the next, and what a target would take.
     *
     * @param cycleMs from one to the next on average, pauses in it; null before the first
     * @param usualMs the median of them; null below four
     * @param runs how many came in a row between the long ones, as "5-6-4"; empty where nothing stands out
     * @param withoutPauses how many there was time for at the usual without a pause, at most; null where there was none
     */
    record MostView(
            String movement,
            long fromMs,
            long untilMs,
            int done,
            List<MinuteView> minutes,
            @Nullable Long cycleMs,
            @Nullable Long usualMs,
            List<LongCycleView> pauses,
            String runs,
            long pausedMs,
            @Nullable Integer withoutPauses,
            TargetView target) {}

    /** How many were complete in one minute. */
    record MinuteView(long fromMs, long toMs, int done) {}

    /** One that took far longer than the others. */
    record LongCycleView(long fromMs, long toMs, long overMs) {}

    /**
     * What so many would take in the same time.
     *
     * @param quickerMs by how much from one to the next is less than it was; null where none was done
     * @param withinUsual whether the usual, without its pauses, is as quick; null where there is no usual
     */
    record TargetView(
            int reps,
            long cycleMs,
            @Nullable Long quickerMs,
            @Nullable Boolean withinUsual) {
        static TargetView of(MaxReps.Target target) {
            return new TargetView(
                    target.reps(),
                    target.cycleMs(),
                    boxed(target.quickerMs()),
                    target.isWithinUsual().orElse(null));
        }
    }

    /** With what a target would take. */
    static MostView of(MaxReps most, int target) {
        return new MostView(
                most.movement(),
                most.fromMs(),
                most.untilMs(),
                most.done(),
                most.minutes().stream()
                        .map(minute -> new MinuteView(minute.fromMs(), minute.toMs(), minute.done()))
                        .toList(),
                boxed(most.cycleMs()),
                boxed(most.usualMs()),
                most.pauses().stream()
                        .map(pause -> new LongCycleView(pause.fromMs(), pause.toMs(), pause.overMs()))
                        .toList(),
                SetScheme.dashed(most.runs()),
                most.pausedMs(),
                most.withoutPauses().orElse(null),
                TargetView.of(most.target(target)));
    }
}
