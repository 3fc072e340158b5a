package wake.projection;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import wake.log.Score;
import wake.projection.Replay.Changed;

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
    private static final int LOW_24 = 0xFFFFFF;

    private final Track track;
    private final Row[] rows;
    private final double[] shiftSd;
    private final GiveBack back;

    /**
     * A piece made ready to be drawn.
     *
     * @param fitted its time on the trend, faults apart
     * @param damped what a residual of 1 is worth in it, milliseconds
     * @param residuals to draw from, shared by the pieces of a line
     * @param moreRests breaks more or fewer, to draw from; of one entry where there are none
     * @param held whether a cap holds its level, about which it still scatters; a pause that is cut short does not scatter
     * @param owes what comes back of a second saved on it
     * @param owedBefore what is owed for other sets when it begins, milliseconds
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
            Effect effect,
            double owes,
            double owedBefore) {}

    Bootstrap(Changed changed, Scatter scatter, GiveBack back) {
        this.back = back;
        List<Piece> pieces = changed.pieces();
        track = changed.track();
        rows = new Row[pieces.size()];
        Map<String, Integer> groups = new HashMap<>();
        Map<Integer, double[]> known = new HashMap<>();
        double[] sds = new double[pieces.size()];
        for (int i = 0; i < rows.length; i++) {
            Piece piece = pieces.get(i);
            int group = groups.computeIfAbsent(Scatter.line(piece), key -> groups.size());
            boolean prescribed = piece.kind() == Piece.Kind.WAIT;
            double fitted = prescribed ? 0 : scatter.fittedMs(piece);
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
                    effect == Effect.NONE
                            && moreRests.length == 1
                            && piece.fixedMs() == 0
                            && changed.owedForSets(i, back) == 0,
                    effect.dropsFaults() ? 0 : piece.fixedMs(),
                    prescribed ? piece.ms() : piece.tailMs(),
                    effect,
                    effect == Effect.NONE || effect.spread() != 1 ? 0 : back.of(piece.kind()),
                    changed.owedForSets(i, back));
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
        Day day = new Day();
        for (int replay = 0; replay < replays; replay++) {
            day.begin(random, shift, shiftSd, back);
            keys[replay] = key(shift, day, random.split());
        }
        return keys;
    }

    /**
     * One replay's day: its form, as a factor of all times; how much of what is owed comes back, as a factor; how much of what is spread
     * evenly comes, from nothing to all of it; and what is owed so far.
     */
    private static final class Day {
        double form = 1;
        double answer = 1;
        double spread = 1;
        double owed;

        void begin(SplittableRandom random, double[] shift, double[] shiftSd, GiveBack back) {
            for (int g = 0; g < shift.length; g++) {
                shift[g] = 1 + shiftSd[g] * random.nextGaussian();
            }
            // Both days had a form of their own, so that their difference scatters by √2 of it.
            form = 1 + Math.sqrt(2) * back.form() * random.nextGaussian();
            answer = Math.max(0, 1 + back.unsure() * random.nextGaussian());
            spread = random.nextDouble();
            owed = 0;
        }
    }

    /** The clock at the end of each piece in so many replays, by piece and replay; no bell ends them. */
    long[][] clocks(int replays, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        long[][] clocks = new long[rows.length][replays];
        double[] shift = new double[shiftSd.length];
        Day day = new Day();
        for (int replay = 0; replay < replays; replay++) {
            day.begin(random, shift, shiftSd, back);
            SplittableRandom own = random.split();
            long clock = 0;
            for (int i = 0; i < rows.length; i++) {
                clock = track.after(i, clock, draw(rows[i], shift, day, own.nextLong()));
                clocks[i][replay] = clock;
            }
        }
        return clocks;
    }

    /** One replay; it stops at the bell. Each replay draws from its own stream, so that others do not depend on where it stops. */
    private long key(double[] shift, Day day, SplittableRandom random) {
        long clock = 0;
        for (int i = 0; i < rows.length; i++) {
            long ms = draw(rows[i], shift, day, random.nextLong());
            long start = clock;
            clock = track.after(i, start, ms);
            if (track.rings(i, clock)) {
                return track.keyAtTheBell(i, ms, start);
            }
        }
        return track.keyAtTheEnd(clock);
    }

    private static long draw(Row row, double[] shift, Day day, long bits) {
        double level = row.fitted * shift[row.group] * day.form;
        double scattered = row.damped * row.residuals[(int) ((bits >>> 32) * row.residuals.length >>> 32)];
        double time = Math.max(0, level + scattered);
        if (!row.plain) {
            double changed = changed(row, level, scattered, day, bits);
            day.owed = Math.max(0, day.owed + day.answer * (row.owedBefore + row.owes * (time - changed)));
            double faults = row.fixed > 0 ? row.fixed * Long.numberOfTrailingZeros(bits | 1L << 31) : 0;
            time = changed + faults;
        }
        if (day.owed > 0 && row.held) {
            double paid = GiveBack.paid(day.owed, time);
            time += paid;
            day.owed -= paid;
        }
        return (long) (time + row.tail + 0.5);
    }

    private static double changed(Row row, double level, double scattered, Day day, long bits) {
        Effect effect = row.effect;
        // A pace that is held is held to the form of the day; a pause that is cut is cut.
        double changed = row.held
                ? effect.onCore(level / day.form, day.spread) * day.form + scattered * effect.factor()
                : effect.onCore(level + scattered, day.spread);
        if (row.moreRests.length > 1) {
            int drawn = (int) ((bits >>> 8 & LOW_24) * row.moreRests.length >>> 24);
            changed += row.moreRests[drawn] * effect.onCore(level, day.spread);
        }
        return Math.max(0, changed);
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
            ranked[i] = (Track.gain(without[i], with[i]).rank() << INDEX_BITS) + i;
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
        return Track.gain(without[i], with[i]);
    }
}
