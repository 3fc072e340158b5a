package wake.workout;

/** What is one piece of work though it is done, and counted, in several: a distance or calories in pieces. */
public final class OnePiece {
    private OnePiece() {}

    /** How much of the piece comes before a segment of it, in the unit of its amount. */
    public static double unitsBefore(Course course, Segment segment) {
        double before = 0;
        for (int i = segment.index() - 1; i >= 0 && course.segment(i).isPieceWith(segment); i--) {
            before += course.segment(i).units();
        }
        return before;
    }

    /** All of the piece that a segment is of, in the unit of its amount. */
    public static double units(Course course, Segment segment) {
        double units = unitsBefore(course, segment) + segment.units();
        for (int i = segment.index() + 1; course.has(i) && course.segment(i).isPieceWith(segment); i++) {
            units += course.segment(i).units();
        }
        return units;
    }
}
