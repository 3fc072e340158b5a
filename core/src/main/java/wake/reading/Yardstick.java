package wake.reading;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToLongFunction;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.plan.Draft;
import wake.plan.Forecast;
import wake.plan.PlannedSegment;
import wake.statistics.Statistics;
import wake.workout.Segment;

/**
 * What an attempt is read against.
 *
 * @param kind where it comes from
 * @param words how it is called in a sentence: "plan", "Maren's of 3 Nov"
 * @param segments what it allows for each segment, in order
 * @param done what it scores in reps by the bell, where that says something
 * @param unseparated places of segments of which it knows the whole time only
 */
public record Yardstick(
        Kind kind, String words, List<PlannedSegment> segments, OptionalInt done, Set<Integer> unseparated) {
    /** Where a yardstick comes from. */
    public enum Kind {
        PLAN("plan"),
        FALLBACK("fallback plan"),
        OWN_BEST("own best"),
        ATTEMPT("the other attempt");

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
        unseparated = Set.copyOf(unseparated);
    }

    private Yardstick(Kind kind, List<PlannedSegment> segments, OptionalInt done) {
        this(kind, kind.words(), segments, done, Set.of());
    }

    public static Yardstick plan(Forecast forecast) {
        return new Yardstick(
                Kind.PLAN, forecast.segments(), OptionalInt.of(forecast.score().done()));
    }

    /** The plan with what was written beforehand for the movement that fails. */
    public static Yardstick fallback(Forecast forecast) {
        return new Yardstick(
                Kind.FALLBACK,
                forecast.segments(),
                OptionalInt.of(forecast.score().done()));
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
            double amount = split.segment().units();
            OptionalLong restPerUnit = quartile(
                    splits,
                    sameLine.and(SegmentSplit::complete),
                    other -> Math.round(1e3 * other.restMs() / other.segment().units()));
            long rest = restPerUnit.isPresent() ? Math.round(restPerUnit.getAsLong() / 1e3 * amount) : split.restMs();
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
        return new Yardstick(Kind.OWN_BEST, best, OptionalInt.empty());
    }

    /**
     * Another attempt at the same course, the athlete's own or another's. Where it ended earlier than the one read, its last
     * segment of the same line stands in, scaled by the amount; else the catalogue's usual cadence.
     *
     * @param words how it is called: "Maren's of 3 Nov"
     * @param log the attempt that is read
     */
    public static Yardstick attempt(AttemptLog other, String words, AttemptLog log) {
        int atLeast = log.splits().size();
        List<PlannedSegment> segments = new ArrayList<>();
        Set<Integer> unseparated = new HashSet<>();
        Map<Integer, SegmentSplit> last = new HashMap<>();
        for (SegmentSplit split : other.splits()) {
            if (split.complete() && log.course().has(segments.size())) {
                segments.add(as(split, log.course().segment(segments.size())));
                last.put(split.segment().lineIndex(), split);
                if (split.unseparatedMs() > 0) {
                    unseparated.add(split.segment().index());
                }
            }
        }
        for (int i = segments.size(); i < atLeast; i++) {
            Segment segment = log.course().segment(i);
            SegmentSplit like = last.get(segment.lineIndex());
            segments.add(like == null ? usual(segment) : as(like, segment));
            if (like != null && like.unseparatedMs() > 0) {
                unseparated.add(i);
            }
        }
        OptionalInt done = OptionalInt.of(other.score().done());
        return new Yardstick(Kind.ATTEMPT, words, segments, done, unseparated);
    }

    private static PlannedSegment as(SegmentSplit split, Segment segment) {
        double scale = segment.units() / split.segment().units();
        return new PlannedSegment(
                segment,
                split.waitMs(),
                split.transitionMs(),
                Math.round(scale * (split.workMs() - split.faultMs() + split.unseparatedMs())),
                Math.round(scale * split.restMs()),
                Math.round(scale * split.faultMs()),
                split.sets().stream()
                        .flatMapToInt(set -> set.reps().stream())
                        .boxed()
                        .toList());
    }

    private static PlannedSegment usual(Segment segment) {
        double seconds =
                Draft.usualSecondsPerUnit(segment.movement(), segment.amount().unit());
        return new PlannedSegment(segment, 0, 0, Math.round(1000 * seconds * segment.units()), 0, 0, List.of());
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
