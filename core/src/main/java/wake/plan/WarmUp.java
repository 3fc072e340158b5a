package wake.plan;

import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.units.Messages;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/** What one round, done to warm up, says of the whole. */
public final class WarmUp {
    private WarmUp() {}

    /**
     * A plan in which a round with its transitions takes so long, pauses and pace changed by one factor. What lies outside the rounds stays as it
     * is, and so do marks, strategy and finish.
     *
     * @throws InvalidInput when the workout has no rounds, or the time is out of reach
     */
    public static Plan scaled(ExpandedWorkout expanded, Plan plan, long roundMs) {
        int round = expanded.isOpen() ? 2 : roundsWithTransition(expanded);
        int from = expanded.isOpen() ? expanded.roundStart(round) : firstOf(expanded, round);
        int count = 0;
        while (expanded.has(from + count)
                && expanded.segment(from + count)
                        .lap()
                        .equals(expanded.segment(from).lap())) {
            count++;
        }
        Goal goal = new Goal("A round of " + ClockTime.of(roundMs).toTenths(), from, count, 0, roundMs);
        return GoalPlan.ofItsOwnLines(expanded, plan, goal);
    }

    private static int roundsWithTransition(ExpandedWorkout expanded) {
        return expanded.segments().stream()
                .filter(Segment::inRounds)
                .mapToInt(segment -> segment.lap().number())
                .filter(round -> round == 2)
                .findFirst()
                .orElseThrow(
                        () -> new InvalidInput("This workout has no rounds, so a warm-up round cannot set its pace"));
    }

    private static int firstOf(ExpandedWorkout expanded, int round) {
        return expanded.segments().stream()
                .filter(segment -> segment.inRounds() && segment.lap().number() == round)
                .findFirst()
                .orElseThrow()
                .index();
    }

    /**
     * The plain arithmetic: how many such rounds fit before the buzzer, or how long all rounds take.
     *
     * @return "7 rounds", "14:00 for 7 rounds"
     */
    public static String forecast(ExpandedWorkout expanded, long roundMs) {
        if (expanded.isOpen()) {
            double rounds = expanded.capMs().orElseThrow() / (double) roundMs;
            return Messages.of("%.1f rounds", rounds).replace(".0 ", " ");
        }
        int rounds = expanded.segments().stream()
                .filter(Segment::inRounds)
                .mapToInt(segment -> segment.lap().number())
                .max()
                .orElse(1);
        return ClockTime.of(rounds * roundMs).toSeconds() + " for " + rounds + " rounds";
    }
}
