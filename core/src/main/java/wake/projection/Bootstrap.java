package wake.projection;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wake.log.Score;
import wake.projection.Replay.Changed;
import wake.projection.ReplayBatch.Row;

/**
 * Replays a changed attempt many times as it might go on another day: each time the level of every line drawn anew as far as
 * this attempt leaves it open, then every set, rest and transition about it, by this attempt's own residuals. Faults come as a
 * geometric number with the mean that was seen: what is to be expected of a rate known from one attempt only. Of what is saved the body
 * takes its share back, more on one day than on another, and the form of the day lies over all of it.
 *
 * <p>The same seed gives the same replays.
 */
final class Bootstrap {
    private static final double[] NO_RESIDUALS = {0};
    private static final int INDEX_BITS = 20;

    private final Timeline track;
    private final Row[] rows;
    private final double[] shiftSd;
    private final FatigueCost fatigueCost;

    Bootstrap(Changed changed, Scatter scatter, FatigueCost usual) {
        fatigueCost = changed.taking(usual);
        List<TimeSlice> slices = changed.slices();
        track = changed.track();
        rows = new Row[slices.size()];
        Map<String, Integer> groups = new HashMap<>();
        Map<Integer, double[]> known = new HashMap<>();
        double[] sds = new double[slices.size()];
        for (int i = 0; i < rows.length; i++) {
            TimeSlice slice = slices.get(i);
            int group = groups.computeIfAbsent(Scatter.line(slice), key -> groups.size());
            boolean prescribed = slice.kind() == TimeSlice.Kind.WAIT;
            double fitted = prescribed ? 0 : scatter.fittedMs(slice);
            boolean scatters = scatter.scatters(slice);
            double[] relative =
                    scatters ? known.computeIfAbsent(group, key -> orNone(scatter.residuals(slice))) : NO_RESIDUALS;
            if (scatters) {
                sds[group] = scatter.shiftSd(slice);
            }
            Effect effect = changed.effects().get(i);
            double[] moreRests = lastRest(slices, i) ? orNone(scatter.moreRests(slice.segment())) : NO_RESIDUALS;
            rows[i] = new Row(
                    fitted,
                    group,
                    fitted * scatter.drawn(slice),
                    relative,
                    moreRests,
                    slice.isEffort(),
                    effect.leavesCore()
                            && moreRests.length == 1
                            && (slice.fixedMs() == 0 || effect.dropsFaults())
                            && changed.owedForSets(i, fatigueCost) == 0,
                    effect.dropsFaults() ? 0 : slice.fixedMs(),
                    prescribed ? slice.ms() : slice.tailMs(),
                    effect,
                    effect.leavesCore() || effect.spread() != 1 ? 0 : fatigueCost.of(slice.kind()),
                    changed.owedForSets(i, fatigueCost));
        }
        shiftSd = Arrays.copyOf(sds, groups.size());
    }

    private static double[] orNone(double[] residuals) {
        return residuals.length == 0 ? NO_RESIDUALS : residuals;
    }

    /** Whether a piece is the last rest of its segment. */
    private static boolean lastRest(List<TimeSlice> slices, int i) {
        return slices.get(i).kind() == TimeSlice.Kind.REST
                && (i + 2 >= slices.size()
                        || slices.get(i + 2).kind() != TimeSlice.Kind.REST
                        || slices.get(i + 2).segment().index()
                                != slices.get(i).segment().index());
    }

    /** The scores of so many replays as numbers of the track, in the order drawn. */
    long[] keys(int replays, long seed) {
        long[] keys = new long[replays];
        ReplayBatch days = new ReplayBatch(replays, seed, shiftSd, fatigueCost);
        while (days.begin()) {
            for (int i = 0; i < rows.length && days.going() > 0; i++) {
                days.draw(rows[i]);
                if (track.isFree(i)) {
                    days.advance();
                } else {
                    pass(i, days, keys);
                }
            }
            for (int d = 0; d < days.going(); d++) {
                keys[days.number(d)] = track.keyAtTheEnd(days.clock(d));
            }
        }
        return keys;
    }

    /** Takes those who are still going through a piece; for some the buzzer goes during it. */
    private void pass(int i, ReplayBatch days, long[] keys) {
        int d = 0;
        while (d < days.going()) {
            long start = days.clock(d);
            long end = track.after(i, start, days.ms(d));
            days.advance(d, end);
            if (track.rings(i, end)) {
                keys[days.number(d)] = track.keyAtTheBell(i, days.ms(d), start);
                days.end(d);
            } else {
                d++;
            }
        }
    }

    /** The clock at the end of each piece in so many replays, by piece and replay; no buzzer ends them. */
    long[][] clocks(int replays, long seed) {
        long[][] clocks = new long[rows.length][replays];
        ReplayBatch days = new ReplayBatch(replays, seed, shiftSd, fatigueCost);
        while (days.begin()) {
            for (int i = 0; i < rows.length; i++) {
                days.draw(rows[i]);
                for (int d = 0; d < days.going(); d++) {
                    days.advance(d, track.after(i, days.clock(d), days.ms(d)));
                    clocks[i][days.number(d)] = days.clock(d);
                }
            }
        }
        return clocks;
    }

    Range range(int replays, long seed) {
        long[] keys = keys(replays, seed);
        Arrays.sort(keys);
        Range range = new Range(
                track.score(keys[replays / 10]),
                track.score(keys[replays / 2]),
                track.score(keys[replays - 1 - replays / 10]),
                replays);
        return Score.compare(range.p10(), range.p90()) == 0
                ? new Range(track.worse(keys[replays / 2]), range.p50(), track.better(keys[replays / 2]), replays)
                : range;
    }

    /**
     * What this wins over the same days without it.
     *
     * @param without the keys of as many replays of the attempt unchanged, with the same seed
     */
    Range.OfGain gainOver(long[] without, long seed) {
        long[] with = keys(without.length, seed);
        long[] ranked = new long[with.length];
        for (int i = 0; i < with.length; i++) {
            ranked[i] = (Timeline.gain(without[i], with[i]).rank() << INDEX_BITS) + i;
        }
        Arrays.sort(ranked);
        int tenth = with.length / 10;
        return new Range.OfGain(
                gain(without, with, ranked[tenth]),
                gain(without, with, ranked[with.length / 2]),
                gain(without, with, ranked[with.length - 1 - tenth]));
    }

    private static Gain gain(long[] without, long[] with, long ranked) {
        int i = (int) (ranked & (1 << INDEX_BITS) - 1);
        return Timeline.gain(without[i], with[i]);
    }
}
