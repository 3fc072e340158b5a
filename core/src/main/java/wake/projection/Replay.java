package wake.projection;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.IntPredicate;
import java.util.function.ToDoubleBiFunction;
import wake.log.AttemptLog;
import wake.log.Phase;
import wake.log.Score;
import wake.workout.Format;

/**
 * Replays an attempt with changes. With none it returns the attempt's own score, to the millisecond and the rep.
 *
 * <p>Freed seconds run on along the workout and land where they land, maybe inside a transition for no rep at all.
 */
public final class Replay {
    /** Rounding is no overlap. */
    private static final long SAME_MS = 100;

    private static final double HALF = 0.5;

    private final AttemptLog log;
    private final List<TimeSlice> slices;

    private Replay(AttemptLog log, List<TimeSlice> slices) {
        this.log = log;
        this.slices = slices;
    }

    public static Replay of(AttemptLog log) {
        return new Replay(log, TimeSlices.of(log, endsAtTheBell(log)));
    }

    /** Whether what is saved is worked until a buzzer; between the bells of intervals it is rest. */
    public boolean worksUntilTheBell() {
        return worksUntilTheBell(log);
    }

    private static boolean worksUntilTheBell(AttemptLog log) {
        return endsAtTheBell(log) && !(log.expanded().format() instanceof Format.Every);
    }

    /** Whether the attempt was ended by a buzzer, so that time saved goes into more work. */
    private static boolean endsAtTheBell(AttemptLog log) {
        return switch (log.score()) {
            case Score.Capped capped -> true;
            case Score.Rounds rounds -> atTheBuzzer(log);
            case Score.Reps reps -> atTheBuzzer(log);
            case Score.Finished finished -> false;
            case Score.Partial partial -> false;
            case Score.Load load -> false;
        };
    }

    private static boolean atTheBuzzer(AttemptLog log) {
        return log.phase() == Phase.STOPPED
                && log.clockMs() >= log.expanded().capMs().orElse(Long.MAX_VALUE);
    }

    public AttemptLog log() {
        return log;
    }

    List<TimeSlice> slices() {
        return slices;
    }

    public Score score(List<? extends Change> changes) {
        return with(changes).score();
    }

    /** The attempt with changes, each in full. */
    Changed with(List<? extends Change> changes) {
        return with(changes, (change, slice) -> 1);
    }

    /**
     * The attempt with changes, of each saving only a share; what a change costs counts in full, unless that is the price of what it saves.
     *
     * @param credit the share that counts of what a change saves on a piece, from 0 to 1
     */
    Changed with(List<? extends Change> changes, ToDoubleBiFunction<Change, TimeSlice> credit) {
        List<Change> ordered = ChangeOrder.narrowFirst(changes);
        List<TimeSlice> laid = slices;
        for (Change change : ordered) {
            laid = change.reshape(this, laid, slice -> credit.applyAsDouble(change, slice));
        }
        List<TimeSlice> pieces = laid;
        Map<Integer, Long> rested = laid == slices ? Map.of() : savedBySegment(laid);
        long[] ms = laid.stream().mapToLong(TimeSlice::ms).toArray();
        Effect[] effects = effects(
                ordered,
                laid,
                (change, i, saving) -> ms[i] -= saving > 0 || change.creditsCosts()
                        ? Math.round(saving * credit.applyAsDouble(change, pieces.get(i)))
                        : saving);
        Arrays.setAll(ms, i -> Math.max(0, ms[i]));
        return new Changed(log, laid, List.of(effects), ms, rested);
    }

    /** Hears what a change saves on a piece after those before it, milliseconds. */
    private interface Savings {
        void saved(Change change, int piece, long ms);
    }

    /** What changes do to pieces, one after the other. */
    private Effect[] effects(List<Change> ordered, List<TimeSlice> laid, Savings savings) {
        Effect[] all = new Effect[laid.size()];
        Arrays.fill(all, Effect.NONE);
        for (Change change : ordered) {
            Function<TimeSlice, Effect> does = change.on(change.isOfAWhole() ? standing(laid, all) : this);
            for (int i = 0; i < all.length; i++) {
                TimeSlice slice = laid.get(i);
                Effect more = all[i].and(does.apply(slice));
                savings.saved(change, i, all[i].newMs(slice) - more.newMs(slice));
                all[i] = more;
            }
        }
        return all;
    }

    /** The attempt as changes have left it: what is asked of a round or a split as a whole counts what they save of it. */
    private Replay standing(List<TimeSlice> laid, Effect[] effects) {
        List<TimeSlice> now = new ArrayList<>(laid.size());
        for (int i = 0; i < effects.length; i++) {
            now.add(laid.get(i).with(effects[i]));
        }
        return new Replay(log, now);
    }

    /** How much shorter segments with other sets are, all of it rests. */
    private Map<Integer, Long> savedBySegment(List<TimeSlice> laid) {
        Map<Integer, Long> saved = new HashMap<>();
        slices.forEach(slice -> saved.merge(slice.segment().index(), slice.ms(), Long::sum));
        laid.forEach(slice -> saved.merge(slice.segment().index(), -slice.ms(), Long::sum));
        saved.values().removeIf(ms -> ms == 0);
        return saved;
    }

    /**
     * What each change contributes to all of them together, over some segments: the shares add up to what is saved in all. Where
     * several touch the same seconds, the narrowest has them.
     *
     * @param where which segments, by their place
     * @return milliseconds by change; negative for what costs
     */
    Map<Change, Long> shares(List<? extends Change> changes, IntPredicate where) {
        Map<Change, Long> shares = new HashMap<>();
        List<Change> ordered = ChangeOrder.narrowFirst(changes);
        List<TimeSlice> laid = slices;
        for (Change change : ordered) {
            List<TimeSlice> next = change.reshape(this, laid, slice -> 1);
            shares.merge(change, length(laid, where) - length(next, where), Long::sum);
            laid = next;
        }
        List<TimeSlice> pieces = laid;
        effects(ordered, pieces, (change, i, saving) -> {
            if (where.test(pieces.get(i).segment().index())) {
                shares.merge(change, saving, Long::sum);
            }
        });
        return shares;
    }

    /** Whether two changes win some of the same seconds. */
    boolean sameSeconds(Change one, Change other) {
        Function<TimeSlice, Effect> first = one.on(this);
        Function<TimeSlice, Effect> second = other.on(this);
        boolean onAPiece = slices.stream().anyMatch(slice -> {
            Effect alone = first.apply(slice);
            Effect too = second.apply(slice);
            long apart = 2 * slice.ms() - alone.newMs(slice) - too.newMs(slice);
            return apart - (slice.ms() - alone.and(too).newMs(slice)) > SAME_MS
                    && alone.newMs(slice) < slice.ms()
                    && too.newMs(slice) < slice.ms();
        });
        boolean ofAWhole = one.isOfAWhole() || other.isOfAWhole();
        return onAPiece || ofAWhole && won(List.of(one)) + won(List.of(other)) - won(List.of(one, other)) > SAME_MS;
    }

    private long won(List<Change> changes) {
        return slices.stream().mapToLong(TimeSlice::ms).sum()
                - Arrays.stream(with(changes).ms()).sum();
    }

    private static long length(List<TimeSlice> slices, IntPredicate where) {
        return slices.stream()
                .filter(slice -> where.test(slice.segment().index()))
                .mapToLong(TimeSlice::ms)
                .sum();
    }

    /**
     * An attempt with changes made.
     *
     * @param slices its pieces, reshaped where a change asks for other sets
     * @param effects what the changes do to each of them
     * @param ms how long each takes
     * @param rested milliseconds of rest that other sets save, by segment; negative for what they cost
     */
    record Changed(AttemptLog log, List<TimeSlice> slices, List<Effect> effects, long[] ms, Map<Integer, Long> rested) {
        /** The score when every change lands and it costs no fatigue. */
        Score score() {
            return track().score(ms);
        }

        /** The score when the body takes its share back, and half of what is spread comes. */
        Score withFatigue(FatigueCost fatigueCost) {
            return track().score(answeredMs(fatigueCost));
        }

        /** The fatigue cost of this attempt: more where a buzzer ends it. */
        FatigueCost taking(FatigueCost usual) {
            return worksUntilTheBell(log) ? usual.untilTheBuzzer() : usual;
        }

        /** How long each piece takes when the body takes its share back. */
        long[] answeredMs(FatigueCost usual) {
            FatigueCost fatigueCost = taking(usual);
            long[] withFatigue = ms.clone();
            double owed = 0;
            for (int i = 0; i < withFatigue.length; i++) {
                TimeSlice slice = slices.get(i);
                owed = Math.max(0, owed + owedForSets(i, fatigueCost));
                Effect effect = effects.get(i);
                if (effect.spread() != 1) {
                    double notGiven = effect.onCore(slice.coreMs(), HALF) - effect.onCore(slice.coreMs());
                    withFatigue[i] += Math.round(credited(i) * notGiven);
                } else if (effect != Effect.NONE) {
                    owed = Math.max(0, owed + fatigueCost.of(slice.kind()) * (slice.ms() - ms[i]));
                }
                if (slice.isEffort()) {
                    double paid = FatigueCost.paid(owed, withFatigue[i]);
                    withFatigue[i] += Math.round(paid);
                    owed -= paid;
                }
            }
            return withFatigue;
        }

        /** Which share of what changes do to a piece counts. */
        private double credited(int i) {
            double full = slices.get(i).ms() - effects.get(i).newMs(slices.get(i));
            return full == 0 ? 1 : Math.clamp((slices.get(i).ms() - ms[i]) / full, 0, 1);
        }

        /** What other sets of a segment are owed for, at its first piece. */
        double owedForSets(int i, FatigueCost fatigueCost) {
            int segment = slices.get(i).segment().index();
            boolean first = i == 0 || slices.get(i - 1).segment().index() != segment;
            return first ? fatigueCost.rests() * rested.getOrDefault(segment, 0L) : 0;
        }

        Timeline track() {
            return new Timeline(log, slices, endsAtTheBell(log));
        }
    }
}
