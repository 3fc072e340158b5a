package wake.projection;

import java.util.List;
import wake.log.AttemptLog;
import wake.log.Phase;
import wake.log.Score;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/** Pieces laid along the clock, to be walked again and again with other durations and scored by what gets done before the buzzer. */
final class Timeline {
    private static final int CLOCK_BITS = 28;
    private static final long CLOCK_MASK = (1L << CLOCK_BITS) - 1;
    private static final long FINISHED = 1L << 60;

    private final ExpandedWorkout expanded;
    private final Score scored;
    private final boolean finished;
    private final List<TimeSlice> slices;
    private final boolean untilTheBuzzer;
    private final boolean[] waits;
    private final long[] opensAt;
    private final long[] buzzer;
    private final long[][] ends;
    private final int[] stepsBefore;
    private final int[] pointsBefore;

    Timeline(AttemptLog log, List<TimeSlice> slices, boolean untilTheBuzzer) {
        this.expanded = log.expanded();
        this.scored = log.score();
        this.finished = scored instanceof Score.Finished && log.phase() == Phase.FINISHED;
        this.slices = slices;
        this.untilTheBuzzer = untilTheBuzzer;
        int count = slices.size();
        waits = new boolean[count];
        opensAt = new long[count];
        buzzer = new long[count];
        ends = new long[count][];
        stepsBefore = new int[count + 1];
        pointsBefore = new int[count + 1];
        for (int i = 0; i < count; i++) {
            TimeSlice slice = slices.get(i);
            waits[i] = slice.waitsForAClock();
            opensAt[i] = slice.opensAtMs();
            ends[i] = slice.unitEndsMs().stream().mapToLong(Long::longValue).toArray();
            buzzer[i] = expanded.buzzerMs(slice.segment().index()).orElse(Long.MAX_VALUE);
            boolean sameNext = i + 1 < count
                    && slices.get(i + 1).segment().index() == slice.segment().index();
            int steps = stepsBefore[i] + slice.units();
            stepsBefore[i + 1] = sameNext ? steps : 0;
            pointsBefore[i + 1] =
                    pointsBefore[i] + (sameNext ? 0 : slice.segment().points(steps));
        }
    }

    /** The score with these durations, a millisecond figure for each piece. */
    Score score(long[] ms) {
        return slices.isEmpty() ? scored : score(key(ms));
    }

    /** The score with these durations as a number: the better the score, the higher. */
    long key(long[] ms) {
        long clock = 0;
        for (int i = 0; i < ms.length; i++) {
            long start = clock;
            clock = after(i, start, ms[i]);
            if (rings(i, clock)) {
                return keyAtTheBell(i, ms[i], start);
            }
        }
        return keyAtTheEnd(clock);
    }

    /** The clock after a piece that started at one and took so long. */
    long after(int i, long startMs, long ms) {
        return waits[i] ? Math.max(startMs, opensAt[i]) : startMs + ms;
    }

    /** Whether a piece waits for no clock and no buzzer can end it. */
    boolean isFree(int i) {
        return !waits[i] && buzzer[i] == Long.MAX_VALUE;
    }

    /** Whether the buzzer goes before a piece ends at some clock. */
    boolean rings(int i, long clockMs) {
        return clockMs > buzzer[i];
    }

    /** The score as a number when the buzzer goes during a piece. */
    long keyAtTheBell(int i, long ms, long startMs) {
        return key(false, atTheBuzzer(i, ms, buzzer[i] - startMs), buzzer[i]);
    }

    /** The score as a number when all pieces are through. */
    long keyAtTheEnd(long clockMs) {
        return untilTheBuzzer ? throughAll(clockMs) : allDone(clockMs);
    }

    /** What one score wins over another, both as numbers. */
    static Gain gain(long before, long after) {
        return Gain.between(clock(before), done(before), clock(after), done(after));
    }

    private static int done(long key) {
        return (int) ((key >= FINISHED ? key - FINISHED : key) >> CLOCK_BITS);
    }

    private static long clock(long key) {
        return CLOCK_MASK - (key & CLOCK_MASK);
    }

    private static long key(boolean finished, int done, long clock) {
        return (finished ? FINISHED : 0) + ((long) done << CLOCK_BITS) + CLOCK_MASK - Math.min(clock, CLOCK_MASK);
    }

    private int atTheBuzzer(int i, long ms, long at) {
        TimeSlice slice = slices.get(i);
        int done = unitsBy(ends[i], Math.max(1, slice.ms()), ms, at);
        return pointsBefore[i] + slice.segment().points(stepsBefore[i] + done);
    }

    /**
     * How many units of a piece are through at a time.
     *
     * @param ends when each is, with the piece at its old length; rising
     * @param old the length they are known for
     * @param ms the length the piece has now, in which they keep their share
     */
    private static int unitsBy(long[] ends, long old, long ms, long at) {
        if (at < 0) {
            return 0;
        }
        long latest = ms == 0 ? Long.MAX_VALUE : ((at + 1) * old - 1) / ms;
        int low = 0;
        int high = ends.length;
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (ends[middle] <= latest) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    private long throughAll(long clock) {
        boolean open = scored instanceof Score.Rounds || scored instanceof Score.Reps;
        int done = pointsBefore[slices.size()];
        return open ? key(false, done, expanded.capMs().orElse(clock)) : key(true, done, clock);
    }

    /** Everything that was done, no buzzer before its end. */
    private long allDone(long clock) {
        return key(finished, scored.done(), clock);
    }

    /** A rep fewer, where reps tell; no range is narrower than one either way. */
    Score worse(long key) {
        return key >= FINISHED ? score(key) : score(done(key) == 0 ? key : key - (1L << CLOCK_BITS));
    }

    /** A rep more, where there is one more to do. */
    Score better(long key) {
        boolean more = key < FINISHED && done(key) < pointsBefore[slices.size()];
        return score(more ? key + (1L << CLOCK_BITS) : key);
    }

    /** The score that a number stands for. */
    Score score(long key) {
        boolean finished = key >= FINISHED;
        int done = done(key);
        long clock = clock(key);
        return switch (scored) {
            case Score.Load load -> load;
            case Score.Reps reps -> new Score.Reps(clock, done);
            case Score.Rounds rounds ->
                done == rounds.done()
                        ? new Score.Rounds(clock, rounds.rounds(), rounds.extra(), done, rounds.inReps())
                        : rounds(clock, done);
            case Score.Finished all when finished -> new Score.Finished(clock, done);
            case Score.Capped capped when finished -> new Score.Finished(clock, done);
            case Score.Finished all -> capped(clock, done);
            case Score.Capped capped -> capped(clock, done);
            case Score.Partial partial ->
                done < partial.done() ? capped(clock, done) : new Score.Partial(clock, done, partial.missing());
        };
    }

    private Score capped(long clock, int done) {
        return new Score.Capped(clock, done, expanded.totalScore() - done);
    }

    private Score rounds(long clock, int done) {
        int complete = 0;
        int points = 0;
        int sinceRound = 0;
        int roundStart = 0;
        while (expanded.has(complete)) {
            Segment segment = expanded.segment(complete);
            if (points + segment.score() > done || complete > slices.size()) {
                break;
            }
            points += segment.score();
            complete++;
            if (expanded.currentRoundStart(complete) != roundStart) {
                roundStart = expanded.currentRoundStart(complete);
                sinceRound = points;
            }
        }
        return new Score.Rounds(clock, expanded.wholeRounds(complete), done - sinceRound, done, expanded.scoresReps());
    }
}
