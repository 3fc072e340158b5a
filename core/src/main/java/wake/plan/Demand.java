package wake.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wake.athlete.Demonstrated;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/**
 * What a plan asks of a movement against what the athlete has shown.
 *
 * @param lineIndex the movement line
 * @param plannedSecondsPerUnit what the plan asks, its fastest round
 * @param demonstrated what other attempts have shown; empty when nothing has
 */
public record Demand(int lineIndex, double plannedSecondsPerUnit, Optional<Demonstrated.Pace> demonstrated) {
    /** How a demand stands to what was shown. */
    public enum Verdict {
        USUAL,
        FASTER_THAN_USUAL,
        FASTER_THAN_EVER,
        NOT_YET_SHOWN
    }

    /** Within half a percent a rate is the one shown; an assumption. */
    private static final double SAME = 1.005;

    public Verdict verdict() {
        if (demonstrated.isEmpty()) {
            return Verdict.NOT_YET_SHOWN;
        }
        Demonstrated.Pace pace = demonstrated.get();
        if (plannedSecondsPerUnit * SAME < pace.bestSecondsPerUnit()) {
            return Verdict.FASTER_THAN_EVER;
        }
        return plannedSecondsPerUnit * SAME < pace.medianSecondsPerUnit() ? Verdict.FASTER_THAN_USUAL : Verdict.USUAL;
    }

    public static List<Demand> of(ExpandedWorkout expanded, Forecast forecast, Demonstrated demonstrated) {
        List<Demand> demands = new ArrayList<>();
        for (Segment segment : expanded.firstOfEachLine()) {
            double fastest = forecast.segments().stream()
                    .filter(planned -> planned.segment().lineIndex() == segment.lineIndex())
                    .mapToDouble(planned ->
                            planned.workMs() / 1000.0 / planned.segment().units())
                    .min()
                    .orElse(0);
            demands.add(new Demand(segment.lineIndex(), fastest, demonstrated.pace(segment)));
        }
        return demands;
    }
}
