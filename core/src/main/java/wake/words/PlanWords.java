package wake.words;

import java.util.Optional;
import wake.log.Score;
import wake.plan.Budget;
import wake.plan.Forecast;
import wake.units.Digits;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;

/** What a plan comes to, in a sentence. */
public final class PlanWords {
    private PlanWords() {}

    /**
     * The answer above a plan.
     *
     * @param goal the goal and by how much the plan is over it, where there is one
     */
    public static String headline(ExpandedWorkout expanded, Forecast forecast, Budget budget, Optional<Margin> goal) {
        String words = forecast.score().words();
        String come = switch (expanded.format()) {
            case Format.Every every -> interval(budget);
            case Format.Amrap amrap -> "Planned score " + words;
            case Format.Lift lift -> "No lift plan for this window yet";
            case Format.ForTime time ->
                forecast.score() instanceof Score.Capped
                        ? "Planned to hit the time cap: " + words
                        : "Planned finish " + words;
        };
        return come + goal.map(PlanWords::against).orElse("") + ".";
    }

    /** A goal, and by how much the plan is over it. */
    public record Margin(String goal, long overMs) {}

    private static String interval(Budget budget) {
        long left = budget.shortestIntervalRestMs().orElse(0);
        return left < 0
                ? "Hardest interval: " + Digits.TENTHS.span(-left) + " too long for the interval"
                : "Hardest interval leaves " + Digits.TENTHS.span(left) + " of rest";
    }

    private static String against(Margin margin) {
        if (margin.overMs() == 0) {
            return ", exactly the goal";
        }
        long over = Math.abs(margin.overMs());
        String by = Digits.TENTHS.headline(over);
        return margin.overMs() > 0
                ? ", " + by + " slower than the " + margin.goal() + " goal"
                : ", " + by + " faster than the " + margin.goal() + " goal";
    }
}
