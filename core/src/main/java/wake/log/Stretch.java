package wake.log;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToLongFunction;
import wake.workout.Comparability;
import wake.workout.Segment;

/**
 * A stretch of an attempt that can be broken down: one segment, or several in a row between which nobody saw where one ended and
 * the next began. A reading says nothing about the segments inside the latter.
 *
 * @param splits its segments, in order
 */
public record Stretch(List<SegmentSplit> splits) {
    private static final Set<Cause> SEPARATED =
            Set.copyOf(EnumSet.of(Cause.INTERVAL_REST, Cause.TRANSITION, Cause.REST, Cause.FAULT, Cause.PACE));

    public Stretch {
        splits = List.copyOf(splits);
    }

    /**
     * Cuts an attempt into what can be broken down.
     *
     * @param unseen places of segments whose end the baseline does not show either
     */
    public static List<Stretch> of(AttemptLog log, Set<Integer> unseen) {
        List<Stretch> stretches = new ArrayList<>();
        List<SegmentSplit> open = new ArrayList<>();
        for (SegmentSplit split : log.done()) {
            open.add(split);
            if (split.endSeen() && !unseen.contains(split.segment().index())) {
                stretches.add(new Stretch(open));
                open = new ArrayList<>();
            }
        }
        if (!open.isEmpty()) {
            stretches.add(new Stretch(open));
        }
        return stretches;
    }

    /** Its only segment, or the first of several. */
    public SegmentSplit first() {
        return splits.getFirst();
    }

    public SegmentSplit last() {
        return splits.getLast();
    }

    public Segment segment() {
        return first().segment();
    }

    /** Whether it is more than one segment. */
    public boolean whole() {
        return splits.size() > 1;
    }

    /** Whether transition, work and rests are broken down in it. */
    public boolean separated() {
        return !whole() && first().unseparatedMs() == 0;
    }

    /** Whether all of it is the athlete's. */
    public boolean isOwn() {
        return splits.stream().noneMatch(split -> split.segment().isPartners());
    }

    public boolean complete() {
        return last().complete();
    }

    public long arrivalMs() {
        return first().arrivalMs();
    }

    /** Where it starts once the wait for an interval is over. */
    public long startMs() {
        return arrivalMs() + first().waitMs();
    }

    /** The clock at its end, the buzzer where that cut it off. */
    public long endMs() {
        return last().endMs();
    }

    /** The clock up to which it counts. */
    public long countedToMs() {
        return last().countedToMs();
    }

    public long elapsedMs() {
        return endMs() - arrivalMs();
    }

    public long unfinishedMs() {
        return last().unfinishedMs();
    }

    /** Everything but the wait for its interval to open and what was unfinished. */
    public long activeMs() {
        return countedToMs() - startMs();
    }

    /** What of it went to one cause: all of it to none that can be named where it is not broken down. */
    public long ms(Cause cause) {
        return cause == Cause.UNSEPARATED || cause == Cause.UNLIKE
                ? activeMs()
                : cause.of(cause == Cause.UNFINISHED ? last() : first());
    }

    /**
     * By how much another took longer, by cause, as far as both are broken down; the causes add up to the difference of what they took.
     *
     * @param sameWork whether both are the same work; of other work no cause is named
     */
    public Map<Cause, Long> overBy(Stretch other, boolean sameWork) {
        Map<Cause, Long> causes = new EnumMap<>(Cause.class);
        long left = other.elapsedMs() - elapsedMs();
        if (!whole() && !other.whole()) {
            for (Cause cause : shownBy(other, sameWork)) {
                long over = other.ms(cause) - ms(cause);
                causes.put(cause, over);
                left -= over;
            }
        }
        if (left != 0 || causes.size() < SEPARATED.size()) {
            causes.merge(sameWork ? Cause.UNSEPARATED : Cause.UNLIKE, left, Long::sum);
        }
        return causes;
    }

    private Set<Cause> shownBy(Stretch other, boolean sameWork) {
        if (sameWork && separated() && other.separated()) {
            return SEPARATED;
        }
        boolean begun = first().beginMs().isPresent() && other.first().beginMs().isPresent();
        return sameWork && begun ? EnumSet.of(Cause.INTERVAL_REST, Cause.TRANSITION) : EnumSet.of(Cause.INTERVAL_REST);
    }

    public long sum(ToLongFunction<SegmentSplit> of) {
        return splits.stream().mapToLong(of).sum();
    }

    /** Standard uncertainty of its elapsed time, seconds: that of its two ends. */
    public double uncertaintyS() {
        return Resolution.ofDifference(first().arrivalU(), last().endU());
    }

    /** What it is called among the rows of a reading: its line, or the rounds of its block; those of a partner by themselves. */
    public String name() {
        return (whole() ? wholeName() : segment().line().name()) + (segment().isPartners() ? " (partner)" : "");
    }

    private String wholeName() {
        if (!segment().inRounds()) {
            return place();
        }
        String block = segment().lap().block().name();
        return block.isEmpty() ? "whole rounds" : "rounds of " + block;
    }

    /** Where it is: "round 3, 12 toes-to-bar", "round 3". */
    public String place() {
        if (!whole()) {
            return segment().place();
        }
        return oneLap()
                ? segment().lap().words()
                : segment().place() + " to " + last().segment().place();
    }

    /** The round it lies in: "round 3"; empty where that is none, or more than one. */
    public String round() {
        return oneLap() ? segment().lap().words() : "";
    }

    /** Whether it lies in one round. */
    private boolean oneLap() {
        return segment().inRounds()
                && splits.stream()
                        .allMatch(
                                split -> split.segment().lap().equals(segment().lap()));
    }

    /** Whether it is the same work as another, segment by segment. */
    public boolean same(Stretch other) {
        if (splits.size() != other.splits().size()) {
            return false;
        }
        for (int i = 0; i < splits.size(); i++) {
            if (!Comparability.same(
                    splits.get(i).segment(), other.splits().get(i).segment())) {
                return false;
            }
        }
        return true;
    }
}
