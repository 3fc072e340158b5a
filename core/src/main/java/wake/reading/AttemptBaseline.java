package wake.reading;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.log.RestSplit;
import wake.log.SegmentSplit;
import wake.log.Stretch;
import wake.plan.PlannedSegment;
import wake.workout.Comparability;
import wake.workout.Identity;
import wake.workout.Segment;

/**
 * Another attempt as a baseline. Segments are matched by what they are, not by their place in the list: movement, unit, sides,
 * round, and which of those it is. Where the other ended earlier, its last complete segment of the same line stands in, scaled by
 * the amount. What is at another load or amount is not compared by cause; its difference stands as work not alike.
 */
final class AttemptBaseline implements Baseline {
    private final String words;
    private final OptionalInt done;
    private final Map<Integer, SegmentSplit> matched = new HashMap<>();
    private final Map<Integer, SegmentSplit> standIns = new HashMap<>();
    private final Set<Integer> unseenEnds = new HashSet<>();
    private final Set<String> unmatched = new TreeSet<>();

    AttemptBaseline(AttemptLog other, String words, AttemptLog log) {
        this.words = words;
        this.done = OptionalInt.of(other.score().done());
        Map<String, SegmentSplit> byIdentity = new HashMap<>();
        identities(other.done()).forEach((split, identity) -> byIdentity.put(identity, split));
        identities(log.done()).forEach((split, identity) -> {
            int index = split.segment().index();
            SegmentSplit match = byIdentity.get(identity);
            if (match != null && match.complete()) {
                matched.put(index, match);
                if (!match.endSeen()) {
                    unseenEnds.add(index);
                }
            } else {
                SegmentSplit like = last(other, split.segment());
                if (like != null) {
                    standIns.put(index, like);
                } else {
                    unmatched.add(split.segment().line().name());
                }
            }
        });
    }

    private static Map<SegmentSplit, String> identities(List<SegmentSplit> splits) {
        List<String> keys =
                Identity.acrossTexts(splits.stream().map(SegmentSplit::segment).toList());
        Map<SegmentSplit, String> identities = new LinkedHashMap<>();
        for (int i = 0; i < splits.size(); i++) {
            identities.put(splits.get(i), keys.get(i));
        }
        return identities;
    }

    private static @Nullable SegmentSplit last(AttemptLog other, Segment segment) {
        return other.done().stream()
                .filter(split ->
                        split.complete() && split.endSeen() && Comparability.comparable(split.segment(), segment))
                .reduce((before, after) -> after)
                .orElse(null);
    }

    @Override
    public Kind kind() {
        return Kind.ATTEMPT;
    }

    @Override
    public String words() {
        return words;
    }

    @Override
    public OptionalInt done() {
        return done;
    }

    @Override
    public Set<Integer> unseenEnds() {
        return unseenEnds;
    }

    @Override
    public List<Integer> sets(Segment segment) {
        SegmentSplit match = matched.get(segment.index());
        return match == null || !Comparability.same(match.segment(), segment) ? List.of() : match.scheme();
    }

    @Override
    public List<String> unmatched() {
        return List.copyOf(unmatched);
    }

    @Override
    public Expected allow(Stretch stretch) {
        return stretch.whole() ? whole(stretch) : single(stretch, stretch.first());
    }

    private Expected whole(Stretch stretch) {
        long active = 0;
        for (SegmentSplit split : stretch.splits()) {
            SegmentSplit match = matched.get(split.segment().index());
            if (match == null || !split.complete()) {
                return Expected.asDone(stretch);
            }
            active += match.elapsedMs() - match.waitMs();
        }
        long wait = stretch.sum(
                split -> matched.getOrDefault(split.segment().index(), split).waitMs());
        return new Expected(wait, 0, active, 0, 0, false, Expected.ALL);
    }

    private Expected single(Stretch stretch, SegmentSplit split) {
        SegmentSplit match = matched.get(split.segment().index());
        if (match != null && !Comparability.same(match.segment(), split.segment())) {
            return split.complete()
                    ? new Expected(
                            match.waitMs(), 0, match.elapsedMs() - match.waitMs(), 0, 0, false, Set.of(Cause.UNLIKE))
                    : Expected.asDone(stretch);
        }
        SegmentSplit from = match == null ? standIns.get(split.segment().index()) : match;
        if (from == null) {
            return Expected.asDone(stretch);
        }
        PlannedSegment planned = PlanBaseline.done(as(from, split.segment()), split);
        boolean begun = split.complete() || split.beginMs().isPresent();
        long outOfReach = split.elapsedMs() - split.unfinishedMs() - split.waitMs();
        return new Expected(
                planned.waitMs(),
                begun ? planned.transitionMs() : Math.min(planned.transitionMs(), outOfReach),
                planned.workMs(),
                planned.restMs(),
                planned.missesMs(),
                from.unseparatedMs() == 0,
                Expected.ALL);
    }

    private static PlannedSegment as(SegmentSplit split, Segment segment) {
        double scale = segment.units() / split.segment().units();
        List<Integer> sets = new ArrayList<>();
        split.sets().stream()
                .filter(set -> set.endedBy().isEmpty())
                .forEach(set -> sets.add((int) Math.round(scale * set.reps().orElse(0))));
        return new PlannedSegment(
                segment,
                split.waitMs(),
                split.transitionMs(),
                Math.round(scale * (split.workMs() - split.faultMs() + split.unseparatedMs())),
                split.rests().stream()
                        .map(RestSplit::durationMs)
                        .map(ms -> Math.round(scale * ms))
                        .toList(),
                Math.round(scale * split.faultMs()),
                sets);
    }
}
