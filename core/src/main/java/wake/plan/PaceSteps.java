package wake.plan;

import java.util.ArrayList;
import java.util.List;
import wake.units.InvalidInput;

/**
 * How the pace changes inside one piece of work: hot for the first 15, settled, hot again from 60.
 *
 * @param steps the stretches in order, the first from 0; none where the pace is the same all through
 */
public record PaceSteps(List<Step> steps) {
    public static final PaceSteps EVEN = new PaceSteps(List.of());

    private static final int MOST = 20;

    /**
     * A stretch of the piece.
     *
     * @param from where it begins, in the unit of the amount
     * @param secondsPerUnit its pace
     */
    public record Step(double from, double secondsPerUnit) {
        /** @throws InvalidInput where the start is negative or the pace not above 0 */
        public Step {
            if (!(from >= 0) || !(secondsPerUnit > 0) || Double.isInfinite(from + secondsPerUnit)) {
                throw new InvalidInput("Each change of pace starts at 0 or later with a pace above 0, not "
                        + secondsPerUnit + " from " + from);
            }
        }
    }

    /** @throws InvalidInput with too many changes, or out of order */
    public PaceSteps {
        steps = List.copyOf(steps);
        if (steps.size() > MOST) {
            throw new InvalidInput("At most " + MOST + " changes of pace, not " + steps.size());
        }
        for (int i = 0; i < steps.size(); i++) {
            double after = i == 0 ? 0 : steps.get(i - 1).from();
            if (i == 0 ? steps.get(i).from() != 0 : steps.get(i).from() <= after) {
                throw new InvalidInput("Write changes of pace in order from 0. Out of order: from "
                        + steps.get(i).from());
            }
        }
    }

    /**
     * The work from one place of the piece to another, milliseconds.
     *
     * @param even the pace where it is the same all through, seconds per unit
     */
    WorkCurve work(double from, double to, double even) {
        List<WorkCurve.Point> points = new ArrayList<>(List.of(new WorkCurve.Point(0, 0)));
        double work = 0;
        double at = from;
        for (int i = 0; i < Math.max(1, steps.size()); i++) {
            double pace = steps.isEmpty() ? even : steps.get(i).secondsPerUnit();
            double ends = i + 1 < steps.size() ? Math.min(to, steps.get(i + 1).from()) : to;
            if (ends > at) {
                work += 1000 * (ends - at) * pace;
                at = ends;
                points.add(new WorkCurve.Point((at - from) / (to - from), work));
            }
        }
        return new WorkCurve(points);
    }

    /** All stretches slower or faster by a factor. */
    PaceSteps by(double factor) {
        return new PaceSteps(steps.stream()
                .map(step -> new Step(step.from(), factor * step.secondsPerUnit()))
                .toList());
    }

    /** Whether each stretch is the same to a coach: its pace within so much, in seconds per unit. */
    boolean looksLike(PaceSteps other, double within) {
        if (steps.size() != other.steps.size()) {
            return false;
        }
        for (int i = 0; i < steps.size(); i++) {
            double apart =
                    Math.abs(steps.get(i).secondsPerUnit() - other.steps.get(i).secondsPerUnit());
            if (steps.get(i).from() != other.steps.get(i).from() || apart >= within) {
                return false;
            }
        }
        return true;
    }
}
