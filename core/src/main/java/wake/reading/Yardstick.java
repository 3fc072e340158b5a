package wake.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.function.Predicate;
import java.util.function.ToLongFunction;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.plan.Forecast;
import wake.plan.PlannedSegment;

/**
 * What an attempt is read against.
 *
 * @param kind where it comes from
 * @param segments what it allows for each segment, in order
 */
public record Yardstick(Kind kind, List<PlannedSegment> segments) {
    /** Where a yardstick comes from. */
    public enum Kind {
        PLAN("plan"),
        FALLBACK("fallback plan"),
        OWN_BEST("own best");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Fewest like figures in an attempt before its own best says anything. */
    private static final int ENOUGH = 3;

    public Yardstick {
        segments = List.copyOf(segments);
    }

    public static Yardstick plan(Forecast forecast) {
        return new Yardstick(Kind.PLAN, forecast.segments());
    }

    /** The plan with what was written beforehand for the movement that fails. */
    public static Yardstick fallback(Forecast forecast) {
        return new Yardstick(Kind.FALLBACK, forecast.segments());
    }

    /**
     * The attempt's own best: for transitions and rests of the same line and cadence of the same movement, the lower
     * quartile of the attempt. With fewer than three figures to go by, the segment's own figure stands, so that no loss is
     * claimed.
     */
    public static Yardstick ownBest(AttemptLog log) {
        List<SegmentSplit> splits = log.splits();
        List<PlannedSegment> best = new ArrayList<>();
        for (SegmentSplit split : splits) {
            Predicate<SegmentSplit> sameLine =
                    other -> other.segment().lineIndex() == split.segment().lineIndex()
                            && other.beginMs().isPresent()
                            && other.segment().index() > 0;
            Predicate<SegmentSplit> sameMovement =
                    other -> other.secondsPerUnit().isPresent()
                            && other.segment().movement().equals(split.segment().movement())
                            && other.segment().amount().unit()
                                    == split.segment().amount().unit();
            long transition =
                    quartile(splits, sameLine, SegmentSplit::transitionMs).orElse(split.transitionMs());
            long rest = quartile(splits, sameLine.and(SegmentSplit::complete), SegmentSplit::restMs)
                    .orElse(split.restMs());
            double amount = split.segment().units();
            OptionalLong work = quartile(
                    splits,
                    sameMovement,
                    other -> Math.round(1e6 * other.secondsPerUnit().orElseThrow()));
            long workMs = work.isPresent()
                    ? Math.round(work.getAsLong() / 1e3 * amount)
                    : split.workMs() + split.unseparatedMs() - split.faultMs();
            best.add(new PlannedSegment(
                    split.segment(),
                    split.waitMs(),
                    split.segment().index() == 0 ? split.transitionMs() : transition,
                    workMs,
                    rest,
                    0,
                    List.of()));
        }
        return new Yardstick(Kind.OWN_BEST, best);
    }

    private static OptionalLong quartile(
            List<SegmentSplit> splits, Predicate<SegmentSplit> like, ToLongFunction<SegmentSplit> figure) {
        double[] figures =
                splits.stream().filter(like).mapToLong(figure).asDoubleStream().toArray();
        return figures.length < ENOUGH
                ? OptionalLong.empty()
                : OptionalLong.of(Math.round(Statistics.lowerQuartile(figures)));
    }
}
