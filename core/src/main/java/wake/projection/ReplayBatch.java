package wake.projection;

import java.util.Arrays;
import java.util.SplittableRandom;

/**
 * The days of many replays, some hundred at a time: they go from piece to piece side by side, each a place in plain arrays, which is several
 * times as quick as one after the other. Each draws from its own stream, so that it does not depend on where the buzzer ends others. The same
 * seed gives the same days.
 */
final class ReplayBatch {
    private static final int ABREAST = 256;
    private static final int LOW_24 = 0xFFFFFF;

    private final int replays;
    private final SplittableRandom random;
    private final double[] shiftSd;
    private final FatigueCost fatigueCost;
    private final SplittableRandom[] own;
    private final int[] number;
    private final double[][] shift;
    private final double[] form;
    private final double[] answer;
    private final double[] spread;
    private final double[] owed;
    private final long[] clock;
    private final long[] bits;
    private final double[] scattered;
    private final double[] time;
    private final double[] changed;
    private final long[] ms;
    private int begun;
    private int going;

    /**
     * A piece made ready to be drawn.
     *
     * @param fitted its time on the trend, faults apart
     * @param group which line it is of
     * @param damped what a residual of 1 is worth in it, milliseconds
     * @param residuals to draw from, shared by the pieces of a line
     * @param moreRests breaks more or fewer, to draw from; of one entry where there are none
     * @param held whether it is work, which a target holds to a level about which it still scatters; a pause that is cut short does not
     *     scatter
     * @param plain whether nothing changes it and nothing goes wrong in it
     * @param fixed what a fault costs
     * @param tail what goes by as it did, whatever is drawn
     * @param effect what the changes do to it
     * @param owes what comes back of a second saved on it
     * @param owedBefore what is owed for other sets when it begins, milliseconds
     */
    record Row(
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

    /** @param shiftSd how unsure the level of each line is, relative */
    ReplayBatch(int replays, long seed, double[] shiftSd, FatigueCost fatigueCost) {
        this.replays = replays;
        this.random = new SplittableRandom(seed);
        this.shiftSd = shiftSd;
        this.fatigueCost = fatigueCost;
        int abreast = Math.min(ABREAST, replays);
        own = new SplittableRandom[abreast];
        number = new int[abreast];
        shift = new double[shiftSd.length][abreast];
        form = new double[abreast];
        answer = new double[abreast];
        spread = new double[abreast];
        owed = new double[abreast];
        clock = new long[abreast];
        bits = new long[abreast];
        scattered = new double[abreast];
        time = new double[abreast];
        changed = new double[abreast];
        ms = new long[abreast];
    }

    /** Begins the next ones; false when all were begun. */
    boolean begin() {
        going = Math.min(own.length, replays - begun);
        Arrays.fill(owed, 0);
        Arrays.fill(clock, 0);
        for (int d = 0; d < going; d++) {
            number[d] = begun++;
            for (int g = 0; g < shiftSd.length; g++) {
                shift[g][d] = 1 + shiftSd[g] * random.nextGaussian();
            }
            // Both days had a form of their own, so that their difference scatters by √2 of it.
            form[d] = 1 + Math.sqrt(2) * fatigueCost.form() * random.nextGaussian();
            answer[d] = Math.max(0, 1 + fatigueCost.unsure() * random.nextGaussian());
            spread[d] = random.nextDouble();
            own[d] = random.split();
        }
        return going > 0;
    }

    /** How many have not come to the buzzer. */
    int going() {
        return going;
    }

    /** Which of all replays one of those going is. */
    int number(int d) {
        return number[d];
    }

    /** Where its clock stands. */
    long clock(int d) {
        return clock[d];
    }

    /** How long it takes for the piece drawn last. */
    long ms(int d) {
        return ms[d];
    }

    /** Takes its clock to the end of a piece. */
    void advance(int d, long to) {
        clock[d] = to;
    }

    /** Takes all their clocks to the end of the piece drawn last. */
    void advance() {
        for (int d = 0; d < going; d++) {
            clock[d] += ms[d];
        }
    }

    /** One of those going has come to the buzzer; the last of them takes its place. */
    void end(int d) {
        going--;
        own[d] = own[going];
        number[d] = number[going];
        clock[d] = clock[going];
        ms[d] = ms[going];
        for (double[] values : shift) {
            values[d] = values[going];
        }
        for (double[] values : new double[][] {form, answer, spread, owed}) {
            values[d] = values[going];
        }
    }

    /** Draws how long a piece takes on each of the days. */
    void draw(Row row) {
        double[] shifted = shift[row.group];
        double[] residuals = row.residuals;
        for (int d = 0; d < going; d++) {
            bits[d] = own[d].nextLong();
            scattered[d] = row.damped * residuals[(int) ((bits[d] >>> 32) * residuals.length >>> 32)];
        }
        for (int d = 0; d < going; d++) {
            time[d] = Math.max(0, row.fitted * shifted[d] * form[d] + scattered[d]);
        }
        if (!row.plain) {
            change(row, shifted);
        }
        if (row.held) {
            payBack();
        }
        for (int d = 0; d < going; d++) {
            ms[d] = (long) (time[d] + row.tail + 0.5);
        }
    }

    private void change(Row row, double[] shifted) {
        Effect effect = row.effect;
        if (row.held) {
            // A pace that is held is held to the form of the day; a pause that is cut is cut.
            for (int d = 0; d < going; d++) {
                changed[d] =
                        effect.onCore(row.fitted * shifted[d], spread[d]) * form[d] + scattered[d] * effect.factor();
            }
        } else {
            for (int d = 0; d < going; d++) {
                changed[d] = effect.onCore(row.fitted * shifted[d] * form[d] + scattered[d], spread[d]);
            }
        }
        int many = row.moreRests.length;
        for (int d = 0; d < going && many > 1; d++) {
            double more = row.moreRests[(int) ((bits[d] >>> 8 & LOW_24) * many >>> 24)];
            changed[d] += more * effect.onCore(row.fitted * shifted[d] * form[d], spread[d]);
        }
        for (int d = 0; d < going; d++) {
            double left = Math.max(0, changed[d]);
            owed[d] = Math.max(0, owed[d] + answer[d] * (row.owedBefore + row.owes * (time[d] - left)));
            time[d] = left;
        }
        for (int d = 0; d < going && row.fixed > 0; d++) {
            time[d] += row.fixed * Long.numberOfTrailingZeros(bits[d] | 1L << 31);
        }
    }

    /** What is owed makes work slower. */
    private void payBack() {
        for (int d = 0; d < going; d++) {
            double paid = FatigueCost.paid(owed[d], time[d]);
            time[d] += paid;
            owed[d] -= paid;
        }
    }
}
