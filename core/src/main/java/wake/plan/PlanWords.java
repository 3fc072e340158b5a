package wake.plan;

import java.util.Optional;
import wake.log.Score;
import wake.units.Digits;
import wake.workout.Course;
import wake.workout.Format;

/** What a plan comes to, in a sentence. */
public final class PlanWords {
    private PlanWords() {}

    /**
     * The answer above a plan.
     *
     * @param goal the goal and by how much the plan is over it, where there is one
     */
    public static String answer(Course course, Forecast forecast, Budget budget, Optional<Margin> goal) {
        String words = forecast.score().words();
        String come = switch (course.format()) {
            case Format.Every every -> interval(budget, words);
            case Format.Amrap amrap -> "As planned, this comes to " + words;
            case Format.Lift lift -> "No timetable for this window yet";
            case Format.ForTime time ->
                forecast.score() instanceof Score.Capped
                        ? "As planned, the cap comes first: " + words
                        : "As planned, this finishes in " + words;
        };
        return come + goal.map(PlanWords::against).orElse("") + ".";
    }

    /** A goal, and by how much the plan is over it. */
    public record Margin(String goal, long overMs) {}

    private static String interval(Budget budget, String words) {
        long left = budget.shortestIntervalRestMs().orElse(0);
        return left < 0
                ? "As planned, the hardest interval takes " + Digits.TENTHS.span(-left) + " longer than there is: "
                        + words
                : "As planned, the hardest interval leaves " + Digits.TENTHS.span(left);
    }

    private static String against(Margin margin) {
        if (margin.overMs() == 0) {
            return ", exactly the goal";
        }
        String by = Digits.TENTHS.span(Math.abs(margin.overMs()));
        return margin.overMs() > 0
                ? ", " + by + " over the goal of " + margin.goal()
                : ", " + by + " inside the goal of " + margin.goal();
    }
}
