package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import wake.log.AttemptLog;
import wake.plan.Draft;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.SetScheme;
import wake.workout.Comparability;
import wake.workout.Segment;

/**
 * The chosen changes as the plan of the next attempt. Each line gets the mean of what the replay with the changes has for it, so
 * that the plan's clock is the projection's, the fatigue cost included; where a line's amount or sets differ from round to round, or a
 * change is meant for some places only, it is planned round by round.
 * Lines the attempt never came to go as the draft has them.
 */
public final class RetestPlan {
    private RetestPlan() {}

    public static Plan of(AttemptLog log, List<? extends Change> changes, FatigueCost fatigueCost) {
        Replay.Changed changed = Replay.of(log).with(changes);
        long[] ms = changed.answeredMs(fatigueCost);
        boolean byRound = changes.stream().anyMatch(RetestPlan::differsByRound);
        Map<Integer, TreeMap<Integer, Done>> lines = new TreeMap<>();
        for (int i = 0; i < changed.slices().size(); i++) {
            TimeSlice slice = changed.slices().get(i);
            boolean counts = slice.kind() != TimeSlice.Kind.WAIT && slice.observed();
            if (counts) {
                lines.computeIfAbsent(slice.segment().lineIndex(), line -> new TreeMap<>())
                        .computeIfAbsent(slice.segment().index(), index -> new Done(slice.segment()))
                        .add(slice, ms[i], changed.effects().get(i));
            }
        }
        List<LinePacing> pacings = new ArrayList<>();
        for (LinePacing draft : Draft.of(log.expanded()).lines()) {
            TreeMap<Integer, Done> done = lines.get(draft.lineIndex());
            pacings.add(done == null ? draft : line(draft, List.copyOf(done.values()), byRound));
        }
        return new Plan(pacings).checkedFor(log.expanded());
    }

    private static boolean differsByRound(Change change) {
        return !change.scope().equals(change.scope().whole())
                || change.written().targets().size() > 1
                || change instanceof EveryRoundOn
                || change instanceof SpreadEvenly;
    }

    /** One segment as the replay has it. */
    private static final class Done {
        final Segment segment;
        final List<Integer> sets = new ArrayList<>();
        long transitionMs;
        long workMs;
        long restMs;
        long faultMs;
        double amount;
        private int inSet;

        Done(Segment segment) {
            this.segment = segment;
        }

        void add(TimeSlice slice, long ms, Effect effect) {
            switch (slice.kind()) {
                case TRANSITION -> transitionMs += ms;
                case REST -> restMs += ms;
                default -> {
                    long faults = effect.dropsFaults() ? 0 : Math.min(ms, slice.fixedMs());
                    faultMs += faults;
                    workMs += ms - faults;
                    amount += slice.amount();
                    inSet += slice.units();
                    if (inSet > 0 && !slice.cutByFault()) {
                        sets.add(inSet);
                        inSet = 0;
                    }
                }
            }
        }

        SetScheme scheme() {
            List<Integer> all = new ArrayList<>(sets);
            if (inSet > 0) {
                all.add(inSet);
            }
            return segment.tappable() && all.size() > 1 ? new SetScheme(all) : SetScheme.UNBROKEN;
        }
    }

    /** A line with the pacing of its first load, and rounds of their own where the load or the sets differ. */
    private static LinePacing line(LinePacing draft, List<Done> segments, boolean byRound) {
        Segment first = segments.getFirst().segment;
        Pacing every = pacing(draft, comparable(segments, first));
        LinePacing line = draft.withEvery(every);
        for (Done done : segments) {
            boolean sameLoad = Comparability.comparable(done.segment, first);
            boolean whole = done.amount >= done.segment.units();
            Pacing own = byRound && whole
                    ? pacing(draft, List.of(done))
                    : sameLoad ? every : pacing(draft, comparable(segments, done.segment));
            boolean otherSets = whole && !done.scheme().equals(own.sets());
            if (done.segment.inRounds() && (otherSets || !sameLoad || !own.equals(every))) {
                line = line.withRound(done.segment.lap().number(), otherSets ? own.withSets(done.scheme()) : own);
            }
        }
        return line;
    }

    private static List<Done> comparable(List<Done> segments, Segment segment) {
        return segments.stream()
                .filter(done -> Comparability.comparable(done.segment, segment))
                .toList();
    }

    private static Pacing pacing(LinePacing draft, List<Done> segments) {
        long transitions =
                segments.stream().filter(done -> done.segment.index() > 0).count();
        double transition = segments.stream()
                        .filter(done -> done.segment.index() > 0)
                        .mapToLong(done -> done.transitionMs)
                        .sum()
                / (double) Math.max(1, transitions);
        double amount = segments.stream().mapToDouble(done -> done.amount).sum();
        double work = segments.stream().mapToLong(done -> done.workMs).sum() / 1000.0;
        long breaks = segments.stream()
                .mapToLong(done -> Math.max(0, done.sets.size() - 1))
                .sum();
        double rests = segments.stream().mapToLong(done -> done.restMs).sum();
        long faults = segments.stream().mapToLong(done -> done.faultMs).sum() / segments.size();
        double cadence = amount > 0 && work > 0 ? work / amount : draft.every().secondsPerUnit();
        return draft.every()
                .withTransition(Math.round(transition))
                .withCadence(cadence)
                .withRest(breaks == 0 ? draft.every().rests().usualMs() : Math.round(rests / breaks))
                .withMisses(faults)
                .withPickUp(0)
                .withSets(usual(segments));
    }

    /** The sets most segments of a line were done in. */
    private static SetScheme usual(List<Done> segments) {
        Map<String, Integer> counts = new TreeMap<>();
        Map<String, SetScheme> schemes = new TreeMap<>();
        for (Done done : segments) {
            if (done.amount >= done.segment.units()) {
                counts.merge(done.scheme().written(), 1, Integer::sum);
                schemes.put(done.scheme().written(), done.scheme());
            }
        }
        return counts.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(most -> schemes.getOrDefault(most.getKey(), SetScheme.UNBROKEN))
                .orElse(SetScheme.UNBROKEN);
    }
}
