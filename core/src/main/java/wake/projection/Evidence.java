package wake.projection;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wake.log.AttemptLog;
import wake.workout.Comparability;
import wake.workout.Segment;

/**
 * What this attempt and the athlete's other ones have shown, so that a target can be held against it: a pause of the same line as
 * short, work of the same line as quick in a stretch at least half as long; elsewhere the same movement. What was done with a bar
 * is asked of no heavier one.
 */
final class Evidence {
    /** A rate within rounding of the target has reached it. */
    private static final double CLOSE = 1.001;
    /** Work at least half as long as what is asked shows it; an assumption. */
    static final double LONG_ENOUGH = 0.5;
    /** The last third is late; an assumption. */
    private static final double LATE_FROM = 2 / 3.0;

    private final Map<String, List<TimeSlice>> here = new HashMap<>();
    private final Map<String, List<TimeSlice>> elsewhere = new HashMap<>();

    private final Replay replay;
    private final List<Replay> others = new ArrayList<>();
    private final Map<Scope, List<Whole>> wholes = new HashMap<>();
    private final Map<Scope, List<Whole>> wholesElsewhere = new HashMap<>();

    private Evidence(Replay replay) {
        this.replay = replay;
    }

    static Evidence of(Replay replay, Collection<AttemptLog> others) {
        Evidence evidence = new Evidence(replay);
        for (TimeSlice slice : replay.slices()) {
            if (measured(slice)) {
                evidence.here
                        .computeIfAbsent(line(slice) + from(replay, slice), key -> new ArrayList<>())
                        .add(slice);
            }
        }
        for (AttemptLog other : others) {
            evidence.others.add(Replay.of(other));
            for (TimeSlice slice : evidence.others.getLast().slices()) {
                if (measured(slice)) {
                    evidence.elsewhere
                            .computeIfAbsent(
                                    movement(slice) + from(evidence.others.getLast(), slice), key -> new ArrayList<>())
                            .add(slice);
                }
            }
        }
        return evidence;
    }

    private static boolean measured(TimeSlice slice) {
        return slice.observed()
                && (slice.isWork() || (slice.isPause() && slice.segment().index() > 0));
    }

    private static String line(TimeSlice slice) {
        return slice.kind() + " " + slice.segment().lineIndex();
    }

    private static String movement(TimeSlice slice) {
        return slice.kind() + " " + slice.segment().movement().name() + " "
                + slice.segment().amount().unit();
    }

    /** Of a transition, its kind: only one of the same kind shows it. */
    private static String from(Replay replay, TimeSlice slice) {
        return slice.kind() == TimeSlice.Kind.TRANSITION ? TransitionKinds.kind(replay, slice) : "";
    }

    /** Whether a piece lies in the last third of those of its line: how late it was on the clock tells nothing of how tired it found one. */
    private static boolean isLate(int place, int of) {
        return (place + 0.5) / of >= LATE_FROM;
    }

    /** How well a piece's new time is backed. */
    EvidenceLevel of(TimeSlice slice, Effect effect) {
        double core = effect.onCore(slice.coreMs());
        boolean onlyFaults = core >= slice.coreMs();
        if (onlyFaults && !(effect.dropsFaults() && slice.fixedMs() > 0)) {
            return EvidenceLevel.SHOWN_LATE;
        }
        double target = slice.figure(core) * CLOSE + 0.5;
        List<TimeSlice> line = here.getOrDefault(line(slice) + from(replay, slice), List.of());
        // From the last one back: the first that shows it is the strongest evidence.
        for (int i = line.size() - 1; i >= 0; i--) {
            if (shows(line.get(i), slice, target, onlyFaults)) {
                return isLate(i, line.size()) ? EvidenceLevel.SHOWN_LATE : EvidenceLevel.SHOWN;
            }
        }
        for (TimeSlice other : elsewhere.getOrDefault(movement(slice) + from(replay, slice), List.of())) {
            if (shows(other, slice, target, onlyFaults)) {
                return EvidenceLevel.ELSEWHERE;
            }
        }
        return EvidenceLevel.NOT_YET_SHOWN;
    }

    private static boolean shows(TimeSlice other, TimeSlice slice, double target, boolean withoutFaults) {
        return (withoutFaults ? other.fixedMs() == 0 : shows(other, slice, target))
                && Comparability.mayBeAskedOf(other.segment(), slice.segment());
    }

    private static boolean shows(TimeSlice other, TimeSlice slice, double target) {
        return other.figure(other.coreMs()) <= target
                && (!slice.isWork() || other.amount() >= LONG_ENOUGH * slice.amount());
    }

    /**
     * How well a split or a round as a whole is backed.
     *
     * @param slice a piece of it
     * @param factor by which it gets shorter, faults apart
     */
    EvidenceLevel ofWhole(Scope scope, TimeSlice slice, double factor) {
        if (factor >= 1) {
            return EvidenceLevel.SHOWN_LATE;
        }
        Scope all = scope.whole();
        List<Whole> here = wholes.computeIfAbsent(all, where -> Whole.of(replay, where));
        Object key = Whole.key(slice.segment(), scope);
        Whole asked = here.stream()
                .filter(whole -> Whole.key(whole.segment(), scope).equals(key))
                .findFirst()
                .orElseThrow();
        double perAmount = (factor * asked.coreMs() + asked.fixedMs()) * CLOSE / asked.amount();
        for (int i = here.size() - 1; i >= 0; i--) {
            if (shows(here.get(i), asked, perAmount)) {
                return isLate(i, here.size()) ? EvidenceLevel.SHOWN_LATE : EvidenceLevel.SHOWN;
            }
        }
        List<Whole> there = wholesElsewhere.computeIfAbsent(
                all,
                where -> others.stream()
                        .flatMap(other -> Whole.of(other, where).stream())
                        .toList());
        return there.stream().anyMatch(other -> shows(other, asked, perAmount))
                ? EvidenceLevel.ELSEWHERE
                : EvidenceLevel.NOT_YET_SHOWN;
    }

    private static boolean shows(Whole other, Whole asked, double perAmount) {
        return other.shows(asked) && other.ms() / other.amount() <= perAmount;
    }

    private static EvidenceLevel stronger(EvidenceLevel one, EvidenceLevel other) {
        return one.compareTo(other) <= 0 ? one : other;
    }

    /** Whether sets as large as this were done: late, earlier, elsewhere, or never. */
    EvidenceLevel ofSet(Segment segment, int reps) {
        EvidenceLevel best = EvidenceLevel.NOT_YET_SHOWN;
        for (List<TimeSlice> slices : here.values()) {
            for (int i = 0; i < slices.size(); i++) {
                if (isSuchSet(slices.get(i), segment, reps)) {
                    best = stronger(best, isLate(i, slices.size()) ? EvidenceLevel.SHOWN_LATE : EvidenceLevel.SHOWN);
                }
            }
        }
        boolean other =
                elsewhere.values().stream().flatMap(List::stream).anyMatch(slice -> isSuchSet(slice, segment, reps));
        return best == EvidenceLevel.NOT_YET_SHOWN && other ? EvidenceLevel.ELSEWHERE : best;
    }

    private static boolean isSuchSet(TimeSlice slice, Segment asked, int reps) {
        return slice.isWork() && Comparability.mayBeAskedOf(slice.segment(), asked) && slice.units() >= reps;
    }
}
