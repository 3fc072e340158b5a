package wake.reading;

import java.util.Arrays;
import java.util.Optional;
import wake.statistics.Statistics;

/**
 * What an athlete did several times in like work: the least of it, and what sets the others apart from it by normal variation alone.
 *
 * @param least the best figure: one that was done, no mean and no quartile
 * @param sigma how much like efforts scatter, one standard deviation
 * @param range how many of those the range of as many stays within
 * @param unseen how much more one may take by what the log does not show
 */
record LikeFigures(double least, double sigma, double range, double unseen) {
    /** What comes once only has nothing to be compared with. */
    private static final int FEWEST = 2;

    /** Like efforts scatter by so much of their figure at least; an assumption. */
    static final double LEAST_VARIATION = 0.02;

    /**
     * Of some figures in the order they were done, in any one unit; empty of fewer than two. They scatter by 2%, or by what they show where there are
     * enough of them ({@link Statistics#scatter}); their range stays within so many times that in 98 of 100 cases ({@link Statistics#normalRange}).
     */
    static Optional<LikeFigures> of(double[] figures) {
        if (figures.length < FEWEST) {
            return Optional.empty();
        }
        double sigma = Math.max(LEAST_VARIATION * Statistics.median(figures), Statistics.scatter(figures));
        return Optional.of(new LikeFigures(
                Arrays.stream(figures).min().orElseThrow(), sigma, Statistics.normalRange(figures.length), 0));
    }

    /** The same where something differs that the log does not show, which may make as much. */
    LikeFigures or(double more) {
        return new LikeFigures(least, sigma, range, more);
    }

    /**
     * What is allowed for one of them: the least; itself where it lies within normal variation.
     *
     * @param uncertainty its standard uncertainty, in the unit of the figures
     */
    double allowed(double figure, double uncertainty) {
        double within = Math.max(unseen, range * Math.hypot(sigma, uncertainty));
        return figure - least > within ? least : figure;
    }
}
