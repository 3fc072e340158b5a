package wake.projection;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.plan.Draft;
import wake.plan.Forecast;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.Rescale.Known;
import wake.plan.Rests;
import wake.plan.SetScheme;
import wake.workout.Comparability;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/**
 * The next attempt planned from the last: sets, rests, transitions and pace as they were done, round by round, changed by what is chosen and by
 * nothing else, so that the plan's clock is the projection's, the fatigue cost included. Rounds the attempt did not come to get the mean of those
 * it did; lines it never came to go as the draft has them.
 */
public final class RetestPlan {
    private static final double TENTH_MS = 100;
    /** By how much at most the pace of the split is shifted that the buzzer cuts off. */
    private static final double MOST_SHIFTED = 4;

    private static final int HALVINGS = 24;
    /** Rests this much apart are said one by one; an assumption. */
    private static final long TELLS_APART_MS = 1000;

    private RetestPlan() {}

    /** A first plan of a workout: as last time where the athlete has done it to its end, else from what is known of the athlete. */
    public static Draft draft(ExpandedWorkout expanded, Known known, Collection<AttemptLog> latestFirst) {
        Draft draft = known.draft(expanded);
        return latestFirst.stream()
                .filter(log -> log.over() && !log.splits().isEmpty() && isSame(log.expanded(), expanded))
                .findFirst()
                .map(log -> {
                    Plan plan = of(log, List.of(), FatigueCost.NONE, draft.plan());
                    Map<Integer, String> bases = new TreeMap<>(draft.bases());
                    log.own().done().forEach(split -> bases.put(split.segment().lineIndex(), "as last time"));
                    return new Draft(plan, bases);
                })
                .orElse(draft);
    }

    private static boolean isSame(ExpandedWorkout one, ExpandedWorkout other) {
        return one.capMs().equals(other.capMs()) && one.segments().equals(other.segments());
    }

    public static Plan of(AttemptLog log, List<? extends Change> changes, FatigueCost fatigueCost) {
        return of(log, changes, fatigueCost, Draft.of(log.expanded()));
    }

    private static Plan of(AttemptLog log, List<? extends Change> changes, FatigueCost fatigueCost, Plan unseen) {
        Replay.Changed changed = Replay.of(log).with(changes);
        long[] ms = changed.answeredMs(fatigueCost);
        Map<Integer, TreeMap<Integer, Done>> lines = new TreeMap<>();
        Timeline track = changed.track();
        long clock = 0;
        Segment last = log.expanded().segment(0);
        for (int i = 0; i < changed.slices().size(); i++) {
            TimeSlice slice = changed.slices().get(i);
            long start = clock;
            clock = track.after(i, start, ms[i]);
            long buzzer = log.expanded().buzzerMs(slice.segment().index()).orElse(Long.MAX_VALUE);
            boolean counts = slice.kind() != TimeSlice.Kind.WAIT && (slice.observed() || start < buzzer);
            if (counts) {
                last = start < buzzer ? slice.segment() : last;
                lines.computeIfAbsent(slice.segment().lineIndex(), line -> new TreeMap<>())
                        .computeIfAbsent(slice.segment().index(), index -> new Done(slice.segment()))
                        .add(slice, ms[i], changed.effects().get(i));
            }
        }
        List<LinePacing> pacings = new ArrayList<>();
        for (LinePacing draft : unseen.lines()) {
            TreeMap<Integer, Done> done = lines.get(draft.lineIndex());
            pacings.add(done == null ? draft : line(draft, List.copyOf(done.values())));
        }
        Plan plan = new Plan(pacings);
        Score promised = track.score(ms);
        return (promised instanceof Score.Finished
                        ? finishing(promised.clockMs(), plan, log.expanded(), last)
                        : scoring(promised.done(), plan, log.expanded(), last, true))
                .checkedFor(log.expanded());
    }

    /** The plan with what rounding its parts has left over in the pace of the last split. */
    private static Plan finishing(long clockMs, Plan plan, ExpandedWorkout expanded, Segment last) {
        long over = Forecast.of(expanded, plan).finishMs() - clockMs;
        double units = expanded.segments().stream()
                .filter(other -> other.lineIndex() == last.lineIndex()
                        && (!last.inRounds()
                                || other.lap().number() == last.lap().number()))
                .mapToDouble(Segment::units)
                .sum();
        double seconds = plan.pacing(last).secondsPerUnit() - over / 1000.0 / units;
        return seconds > 0 ? with(plan, last, plan.pacing(last).withCadence(seconds)) : plan;
    }

    private static Plan with(Plan plan, Segment segment, Pacing pacing) {
        LinePacing line = plan.line(segment.lineIndex());
        return plan.withLine(
                segment.inRounds() ? line.withRound(segment.lap().number(), pacing) : line.withEvery(pacing));
    }

    /**
     * The plan with the pace of the split that the buzzer cuts off set so that as many reps are done by then as were promised: inside a set a plan is
     * even, and a replay goes as the attempt went.
     */
    private static Plan scoring(int done, Plan plan, ExpandedWorkout expanded, Segment cutOff, boolean further) {
        Pacing pacing = plan.pacing(cutOff);
        double faster = 1 / MOST_SHIFTED;
        double slower = MOST_SHIFTED;
        double factor = 1;
        Plan tried = plan;
        for (int i = 0; i < HALVINGS; i++) {
            int planned = Forecast.of(expanded, tried).score().done();
            if (planned == done) {
                return tried;
            }
            faster = planned > done ? factor : faster;
            slower = planned > done ? slower : factor;
            factor = (faster + slower) / 2;
            tried = with(plan, cutOff, pacing.withCadence(pacing.secondsPerUnit() * factor));
        }
        // The buzzer may fall between two splits: then it is the one before that has to be done by it.
        return cutOff.index() > 0 && further
                ? scoring(done, plan, expanded, expanded.segment(cutOff.index() - 1), false)
                : plan;
    }

    /** One segment as the replay has it. */
    private static final class Done {
        final Segment segment;
        final List<Integer> sets = new ArrayList<>();
        final List<Long> rests = new ArrayList<>();
        long transitionMs;
        long startMs;
        long workMs;
        long faultMs;
        double amount;
        private int inSet;

        Done(Segment segment) {
            this.segment = segment;
        }

        void add(TimeSlice slice, long ms, Effect effect) {
            switch (slice.kind()) {
                case TRANSITION -> {
                    // The athlete stands at the first movement: what goes by before its first rep is in no plan's
                    // transitions.
                    transitionMs += segment.index() == 0 ? 0 : ms;
                    startMs += segment.index() == 0 ? ms : 0;
                }
                case REST -> rests.add(ms);
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

        long restMs() {
            return rests.stream().mapToLong(Long::longValue).sum();
        }

        /** The rests by place, where they differ by a second or more: in tenths, together within one of what they were; empty where one figure says it. */
        Optional<Rests> restsByPlace() {
            boolean everyBreak = rests.size() > 1
                    && rests.size() == scheme().sets(segment.steps()).size() - 1;
            if (!everyBreak || Collections.max(rests) - Collections.min(rests) < TELLS_APART_MS) {
                return Optional.empty();
            }
            List<Long> tenths = new ArrayList<>();
            long sum = 0;
            long given = 0;
            for (long ms : rests) {
                sum += ms;
                tenths.add(Math.round((sum - given) / TENTH_MS) * (long) TENTH_MS);
                given += tenths.getLast();
            }
            return Optional.of(new Rests(tenths));
        }

        SetScheme scheme() {
            List<Integer> all = new ArrayList<>(sets);
            if (inSet > 0) {
                all.add(inSet);
            }
            int missing =
                    segment.steps() - all.stream().mapToInt(Integer::intValue).sum();
            if (missing > 0 && !all.isEmpty()) {
                // Cut off by the buzzer: its last set goes on.
                all.set(all.size() - 1, all.getLast() + missing);
            }
            return segment.tappable() && all.size() > 1 ? new SetScheme(all) : SetScheme.UNBROKEN;
        }
    }

    /** A line with the pacing of its first load, and rounds of their own as they were done; what comes several times in one round goes by their mean. */
    private static LinePacing line(LinePacing draft, List<Done> segments) {
        Segment first = segments.getFirst().segment;
        Pacing every = pacing(draft, comparable(segments, first));
        LinePacing line = draft.withEvery(every);
        Map<Integer, List<Done>> rounds = segments.stream()
                .filter(done -> done.segment.inRounds())
                .collect(Collectors.groupingBy(done -> done.segment.lap().number(), TreeMap::new, Collectors.toList()));
        for (Map.Entry<Integer, List<Done>> round : rounds.entrySet()) {
            List<Done> begun =
                    round.getValue().stream().filter(done -> done.amount > 0).toList();
            Pacing own = begun.isEmpty()
                    ? pacing(draft, comparable(segments, round.getValue().getFirst().segment))
                    : pacing(draft, begun);
            if (!own.equals(every)) {
                line = line.withRound(round.getKey(), own);
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
        SetScheme scheme = usual(segments);
        // What rested is rested in the breaks there are to be; without one it goes into the pace.
        long breaks = segments.stream()
                .mapToLong(done -> scheme.sets(done.segment.steps()).size() - 1)
                .sum();
        double rests = segments.stream().mapToLong(Done::restMs).sum();
        double work = (segments.stream().mapToLong(done -> done.workMs).sum()
                        + (segments.size() == 1 ? segments.getFirst().startMs : 0)
                        + (breaks == 0 ? rests : 0))
                / 1000.0;
        Rests usual = Rests.of(breaks == 0 ? draft.every().rests().usualMs() : Math.round(rests / breaks));
        long faults = segments.stream().mapToLong(done -> done.faultMs).sum() / segments.size();
        double cadence = amount > 0 && work > 0 ? work / amount : draft.every().secondsPerUnit();
        return draft.every()
                .withTransition(Math.round(transition))
                .withCadence(cadence)
                .withRests(
                        segments.size() == 1
                                ? segments.getFirst().restsByPlace().orElse(usual)
                                : usual)
                .withMisses(faults)
                .withPickUp(0)
                .withSets(scheme);
    }

    /** The sets most segments of a line were done in. */
    private static SetScheme usual(List<Done> segments) {
        Map<String, Integer> counts = new TreeMap<>();
        Map<String, SetScheme> schemes = new TreeMap<>();
        for (Done done : segments) {
            if (done.amount > 0) {
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
