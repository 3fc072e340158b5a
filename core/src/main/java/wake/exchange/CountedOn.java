package wake.exchange;

import wake.units.InvalidInput;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/**
 * How far some reps reach beyond the last place that was given.
 *
 * @param at the segment under way after them
 * @param steps how many of its steps are done, those given before among them
 */
record CountedOn(int at, int steps) {
    /**
     * Counts on from a place.
     *
     * @param next the first segment that is not complete
     * @param inSet steps of it that were logged already
     * @param more what counts beyond them
     * @throws InvalidInput when there is not so much to do, or what is left over does not count
     */
    static CountedOn of(ExpandedWorkout expanded, int next, int inSet, int more) {
        int at = next;
        int steps = inSet;
        int left = more;
        while (left > 0) {
            if (!expanded.has(at)) {
                throw new InvalidInput("That is " + left + " more than the workout has left");
            }
            Segment segment = expanded.segment(at);
            int here = segment.score() - segment.points(steps);
            if (here <= left) {
                left -= here;
                at++;
                steps = 0;
            } else {
                int before = segment.points(steps);
                while (segment.points(steps) - before < left) {
                    steps++;
                }
                if (segment.points(steps) - before > left) {
                    throw new InvalidInput(segment.label() + " cannot count as " + left);
                }
                left = 0;
            }
        }
        return new CountedOn(at, steps);
    }

    /** "13 of 15 burpee", "at 15 burpee". */
    String words(ExpandedWorkout expanded) {
        if (!expanded.has(at)) {
            return "all done";
        }
        Segment segment = expanded.segment(at);
        return steps == 0 ? "before " + segment.place() : steps + " of " + segment.place();
    }
}
