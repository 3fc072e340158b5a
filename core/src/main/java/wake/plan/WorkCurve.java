package wake.plan;

import java.util.List;

/**
 * How the work of a segment is spread over it: straight where the pace is the same all through, bent where it changes inside.
 *
 * @param points share of the segment done, and the work it has taken by then, both from 0 on and rising; straight between them
 */
record WorkCurve(List<Point> points) {
    /** The same pace all through. */
    static final WorkCurve STRAIGHT = new WorkCurve(List.of(new Point(0, 0), new Point(1, 1)));

    /** So much done, from 0 to 1, after so much work. */
    record Point(double done, double work) {}

    WorkCurve {
        points = List.copyOf(points);
    }

    /** All of the work. */
    double total() {
        return points.getLast().work();
    }

    /** Which share of the work it takes to a share of the segment. */
    double share(double done) {
        for (int i = 1; i < points.size(); i++) {
            Point before = points.get(i - 1);
            Point after = points.get(i);
            if (done <= after.done()) {
                double along =
                        after.done() == before.done() ? 1 : (done - before.done()) / (after.done() - before.done());
                return (before.work() + Math.max(0, along) * (after.work() - before.work())) / total();
            }
        }
        return 1;
    }

    /** The same without what its total is, so that a straight one is known at sight. */
    WorkCurve shape() {
        return points.size() == 2 ? STRAIGHT : this;
    }
}
