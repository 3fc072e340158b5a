package wake.reading;

import java.util.List;
import wake.log.SegmentSplit;
import wake.log.SetSplit;

/**
 * What the scatter from rep to rep makes of an own best by itself. Taking the lower quartile of n segments of equal true pace puts
 * each 0.674 standard deviations behind it on average (the quartile of a normal distribution); the sum scatters by √n of them.
 */
final class RepScatter {
    /** The upper quartile of the standard normal distribution. */
    private static final double QUARTILE = 0.674;
    /** Twice the standard deviation: about 19 of 20 lie within. */
    private static final double WIDTH = 2;

    private RepScatter() {}

    /** The most that scatter makes of some stretches, two standard deviations over its mean; 0 where no reps were tapped. */
    static long byItselfMs(List<SegmentDelta> involved) {
        double sum = 0;
        double squares = 0;
        for (SegmentDelta delta : involved) {
            double sigma = delta.stretch().whole() ? 0 : sigmaMs(delta.stretch().first());
            sum += QUARTILE * sigma;
            squares += sigma * sigma;
        }
        return Math.round(sum + WIDTH * Math.sqrt(squares));
    }

    /** Of the time of a segment: from the differences of neighbouring reps, which a drift does not touch (von Neumann 1941). */
    private static double sigmaMs(SegmentSplit split) {
        double squares = 0;
        int pairs = 0;
        int reps = 0;
        for (SetSplit set : split.sets()) {
            List<Long> times = set.repTimesMs();
            reps += times.size();
            for (int i = 0; i + 2 < times.size(); i++) {
                double change = times.get(i + 2) - 2.0 * times.get(i + 1) + times.get(i);
                squares += change * change;
                pairs++;
            }
        }
        return pairs == 0 ? 0 : Math.sqrt(squares / pairs / 2 * reps);
    }
}
