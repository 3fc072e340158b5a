package wake.workout;

/** What is one piece of work though it is done, and counted, in several: a distance or calories in pieces. */
public final class ChunkedAmount {
    private ChunkedAmount() {}

    /** How much of the piece comes before a segment of it, in the unit of its amount. */
    public static double unitsBefore(ExpandedWorkout expanded, Segment segment) {
        double before = 0;
        for (int i = segment.index() - 1; i >= 0 && expanded.segment(i).isPieceWith(segment); i--) {
            before += expanded.segment(i).units();
        }
        return before;
    }

    /** All of the piece that a segment is of, in the unit of its amount. */
    public static double units(ExpandedWorkout expanded, Segment segment) {
        double units = unitsBefore(expanded, segment) + segment.units();
        for (int i = segment.index() + 1; expanded.has(i) && expanded.segment(i).isPieceWith(segment); i++) {
            units += expanded.segment(i).units();
        }
        return units;
    }
}
