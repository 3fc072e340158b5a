package wake.projection;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import wake.projection.Replay.Changed;

/**
 * Replays a changed attempt many times as it might go on another day: each time the level of every line drawn anew as far as
 * this attempt leaves it open, then every set, rest and transition about it, by this attempt's own residuals. Faults come as a
 * geometric number with the mean that was seen: what is to be expected of a rate known from one attempt only.
 *
 * <p>The same seed gives the same replays.
 */
final class Bootstrap {
    private static final double[] NO_RESIDUALS = {0};
    private static final int INDEX_BITS = 20;
    private static final int LOW_24 = 0xFFFFFF;

    private final Track track;
    private final Row[] rows;
    private final double[] shiftSd;

    /**
     * A piece made ready to be drawn.
     *
     * @param fitted its time on the trend, faults apart
     * @param damped what a residual of 1 is worth in it, milliseconds
     * @param residuals to draw from, shared by the pieces of a line
     * @param moreRests breaks more or fewer, to draw from; of one entry where there are none
     * @param held whether a cap holds its level, about which it still scatters; a pause that is cut short does not scatter
     */
    private record Row(
            double fitted,
            int group,
            double damped,
            double[] residuals,
            double[] moreRests,
            boolean held,
            boolean plain,
            double fixed,
            double tail,
            Effect effect) {}

    Bootstrap(Changed changed, Scatter scatter) {
        List<Piece> pieces = changed.pieces();
        track = changed.track();
        rows = new Row[pieces.size()];
        Map<String, Integer> groups = new HashMap<>();
        Map<Integer, double[]> known = new HashMap<>();
        double[] sds = new double[pieces.size()];
        for (int i = 0; i < rows.length; i++) {
            Piece piece = pieces.get(i);
            int group = groups.computeIfAbsent(Scatter.line(piece), key -> groups.size());
            double fitted = scatter.fittedMs(piece);
            boolean scatters = Scatter.scatters(piece);
            double[] relative =
                    scatters ? known.computeIfAbsent(group, key -> orNone(scatter.residuals(piece))) : NO_RESIDUALS;
            if (scatters) {
                sds[group] = scatter.shiftSd(piece);
            }
            Effect effect = changed.effects().get(i);
            double[] moreRests = lastRest(pieces, i) ? orNone(scatter.moreRests(piece.segment())) : NO_RESIDUALS;
            rows[i] = new Row(
                    fitted,
                    group,
                    fitted * Scatter.damping(piece),
                    relative,
                    moreRests,
                    piece.isWork(),
                    effect == Effect.NONE && moreRests.length == 1 && piece.fixedMs() == 0,
                    effect.dropsFaults() ? 0 : piece.fixedMs(),
                    piece.tailMs(),
                    effect);
        }
        shiftSd = Arrays.copyOf(sds, groups.size());
    }

    private static double[] orNone(double[] residuals) {
        return residuals.length == 0 ? NO_RESIDUALS : residuals;
    }

    /** Whether a piece is the last rest of its segment. */
    private static boolean lastRest(List<Piece> pieces, int i) {
        return pieces.get(i).kind() == Piece.Kind.REST
                && (i + 2 >= pieces.size()
                        || pieces.get(i + 2).kind() != Piece.Kind.REST
                        || pieces.get(i + 2).segment().index()
                                != pieces.get(i).segment().index());
    }

    /** The scores of so many replays as numbers of the track, in the order drawn. */
    long[] keys(int replays, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        long[] keys = new long[replays];
        double[] shift = new double[shiftSd.length];
        for (int replay = 0; replay < replays; replay++) {
            for (int g = 0; g < shift.length; g++) {
                shift[g] = 1 + shiftSd[g] * random.nextGaussian();
            }
            keys[replay] = key(shift, random.split());
        }
        return keys;
    }

    /** One replay; it stops at the bell. Each replay draws from its own stream, so that others do not depend on where it stops. */
    private long key(double[] shift, SplittableRandom random) {
        long clock = 0;
        for (int i = 0; i < rows.length; i++) {
            Row row = rows[i];
            long ms = draw(row, shift[row.group], random.nextLong());
            long start = clock;
            clock = track.after(i, start, ms);
            if (track.rings(i, clock)) {
                return track.keyAtTheBell(i, ms, start);
            }
        }
        return track.keyAtTheEnd(clock);
    }

    private static long draw(Row row, double shift, long bits) {
        double level = row.fitted * shift;
        double scattered = row.damped * row.residuals[(int) ((bits >>> 32) * row.residuals.length >>> 32)];
        if (row.plain) {
            return (long) (Math.max(0, level + scattered) + row.tail + 0.5);
        }
        Effect effect = row.effect;
        double changed =
                row.held ? effect.onCore(level) + scattered * effect.factor() : effect.onCore(level + scattered);
        if (row.moreRests.length > 1) {
            int drawn = (int) ((bits >>> 8 & LOW_24) * row.moreRests.length >>> 24);
            changed += row.moreRests[drawn] * effect.onCore(level);
        }
        double faults = row.fixed > 0 ? row.fixed * Long.numberOfTrailingZeros(bits | 1L << 31) : 0;
        return (long) (Math.max(0, changed) + row.tail + faults + 0.5);
    }

    Range range(int replays, long seed) {
        long[] keys = keys(replays, seed);
        Arrays.sort(keys);
        return new Range(
                track.score(keys[replays / 10]),
                track.score(keys[replays / 2]),
                track.score(keys[replays - 1 - replays / 10]),
                replays);
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
            ranked[i] = (Track.gain(without[i], with[i]).rank() << INDEX_BITS) + i;
        }
        Arrays.sort(ranked);
        int tenth = with.length / 10;
        return new Range.OfGain(
                gain(without, with, ranked[tenth]), gain(without, with, ranked[with.length - 1 - tenth]));
    }

    private static Gain gain(long[] without, long[] with, long ranked) {
        int i = (int) (ranked & (1 << INDEX_BITS) - 1);
        return Track.gain(without[i], with[i]);
    }
}
