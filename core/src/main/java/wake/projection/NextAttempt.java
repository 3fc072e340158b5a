package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalLong;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.plan.Deadline;
import wake.plan.LatestClocks;
import wake.workout.Segment;

/**
 * The next attempt with the chosen changes, place by place, as it can be handed over: what to do at each, and the clock it should be
 * left at; and for each cut-off, the cap and a goal the latest clock at which it still can be made at this pace.
 *
 * @param stops one for each segment, up to the buzzer or the finish; where nobody saw where one ended, one for all up to the next end that was seen
 */
public record NextAttempt(List<Stop> stops) {
    private static final int MOST_STOPS = 600;

    public NextAttempt {
        stops = List.copyOf(stops);
    }

    /**
     * One segment.
     *
     * @param sets reps of each set; one figure where it is not broken
     * @param secondsPerUnit its pace; empty where it was not broken down
     * @param restMs the mean rest between its sets
     * @param transitionMs the transition to it
     * @param splitMs what all of it takes, without a wait for a clock before it
     * @param endMs the clock at its end
     * @param latestMs the latest clock at its end from which every cut-off, the cap and the goal after it can still be made at the pace
     *     planned; empty where nothing comes after it, or where it cannot be made at that pace at all
     * @param changed whether one of the changes acts here
     * @param separated whether its transition, sets and rests are broken down
     * @param whole whether it is more than its segment: all since the stop before
     */
    public record Stop(
            Segment segment,
            List<Integer> sets,
            OptionalDouble secondsPerUnit,
            long restMs,
            long transitionMs,
            long splitMs,
            long endMs,
            OptionalLong latestMs,
            boolean changed,
            boolean separated,
            boolean whole) {
        public Stop {
            sets = List.copyOf(sets);
        }

        private Stop withLatest(OptionalLong latest) {
            return new Stop(
                    segment,
                    sets,
                    secondsPerUnit,
                    restMs,
                    transitionMs,
                    splitMs,
                    endMs,
                    latest,
                    changed,
                    separated,
                    whole);
        }

        private Stop closing(boolean changedBefore) {
            return new Stop(
                    segment,
                    List.of(),
                    OptionalDouble.empty(),
                    0,
                    0,
                    0,
                    endMs,
                    latestMs,
                    changed || changedBefore,
                    false,
                    true);
        }
    }

    /**
     * The attempt with changes.
     *
     * @param goal the score aimed at; the attempt's own where there is none
     */
    public static NextAttempt of(AttemptLog log, List<? extends Change> changes, FatigueCost fatigueCost, Score goal) {
        Replay.Changed changed = Replay.of(log).with(changes);
        long[] ms = changed.answeredMs(fatigueCost);
        Timeline track = changed.track();
        List<Stop> stops = new ArrayList<>();
        List<Long> active = new ArrayList<>();
        long clock = 0;
        int i = 0;
        while (i < ms.length && stops.size() < MOST_STOPS) {
            Building building = new Building(changed.slices().get(i).segment());
            for (; i < ms.length && changed.slices().get(i).segment().equals(building.segment); i++) {
                clock = track.after(i, clock, ms[i]);
                building.add(changed.slices().get(i), ms[i], changed.effects().get(i));
            }
            active.add(building.activeMs);
            long buzzer = log.expanded().buzzerMs(building.segment.index()).orElse(Long.MAX_VALUE);
            stops.add(building.at(
                    Math.min(clock, buzzer),
                    !changed.rested().getOrDefault(building.segment.index(), 0L).equals(0L)));
            if (clock > buzzer) {
                break;
            }
        }
        return new NextAttempt(asFarAsTold(log, withLatest(log, stops, active, goal)));
    }

    /** Nothing is said of what lies between ends that were seen. */
    private static List<Stop> asFarAsTold(AttemptLog log, List<Stop> stops) {
        List<Stop> known = new ArrayList<>();
        boolean inside = false;
        boolean changed = false;
        for (Stop stop : stops) {
            int place = stop.segment().index();
            boolean observed =
                    place >= log.splits().size() || log.splits().get(place).endSeen();
            if (observed) {
                known.add(inside ? stop.closing(changed) : stop);
            }
            changed = !observed && (changed || stop.changed());
            inside = !observed;
        }
        return known;
    }

    private static final class Building {
        final Segment segment;
        private final List<Integer> sets = new ArrayList<>();
        private long transition;
        private long rests;
        private long activeMs;
        private long work;
        private double amount;
        private boolean changed;
        private boolean separated = true;

        Building(Segment segment) {
            this.segment = segment;
        }

        void add(TimeSlice slice, long ms, Effect effect) {
            changed |= effect.newMs(slice) != slice.ms();
            separated &= slice.kind() != TimeSlice.Kind.UNSEPARATED && slice.kind() != TimeSlice.Kind.PARTNER;
            activeMs += slice.waitsForAClock() ? 0 : ms;
            switch (slice.kind()) {
                case TRANSITION -> transition += ms;
                case REST -> rests += ms;
                case WORK -> {
                    work += ms;
                    amount += slice.amount();
                    if (slice.units() > 0) {
                        sets.add(slice.units());
                    }
                }
                case UNSEPARATED, WAIT, PARTNER -> {}
            }
        }

        Stop at(long clock, boolean otherSets) {
            int breaks = Math.max(0, sets.size() - 1);
            return new Stop(
                    segment,
                    segment.tappable() ? sets : List.of(),
                    amount > 0 && work > 0 ? OptionalDouble.of(work / 1000.0 / amount) : OptionalDouble.empty(),
                    breaks == 0 ? 0 : rests / breaks,
                    transition,
                    activeMs,
                    clock,
                    OptionalLong.empty(),
                    changed || otherSets,
                    separated,
                    false);
        }
    }

    private static List<Stop> withLatest(AttemptLog log, List<Stop> stops, List<Long> activeMs, Score goal) {
        List<Deadline> due = new ArrayList<>(Deadline.of(log.expanded()));
        due.removeIf(one -> one.kind() == Deadline.Kind.CAP);
        due.addAll(due(log, stops, goal));
        LatestClocks latest = LatestClocks.of(activeMs, Long::longValue, due, one -> 0);
        List<Stop> known = new ArrayList<>();
        for (int i = 0; i < stops.size(); i++) {
            OptionalLong clock = latest.after(i + 1);
            boolean made =
                    clock.isPresent() && clock.getAsLong() >= stops.get(i).endMs();
            known.add(stops.get(i).withLatest(made ? clock : OptionalLong.empty()));
        }
        return known;
    }

    /** A score as work that is due: all of it by its clock, or so much by the buzzer; nothing where it is not reached. */
    private static List<Deadline> due(AttemptLog log, List<Stop> stops, Score goal) {
        if (goal instanceof Score.Load) {
            return List.of();
        }
        boolean finish = goal instanceof Score.Finished;
        int done = 0;
        for (int i = 0; i < stops.size(); i++) {
            done += stops.get(i).segment().score();
            boolean last = !log.expanded().has(stops.get(i).segment().index() + 1);
            if (finish ? last : done >= goal.done()) {
                long by = finish ? goal.clockMs() : log.expanded().capMs().orElse(Long.MAX_VALUE);
                return List.of(new Deadline(Deadline.Kind.GOAL, goal.words(log.digits()), i + 1, 0, by));
            }
        }
        return List.of();
    }
}
