package wake.log;

import java.util.Arrays;
import java.util.List;
import wake.workout.Segment;

/**
 * When each step of a segment was complete. What was tapped and the last rep of a counted set is known; what lies between is spread evenly
 * over its set, or over all the time that is not broken down. An assumption: even inside a set. The replay and the head-to-head ask it alike.
 */
public final class StepClocks {
    /** How the clock of a step is known. A set is over a moment after its last rep, so that a rep tapped is not the same as a set's end. */
    public enum How {
        SPREAD,
        TAPPED,
        END_OF_SET,
        END;

        public boolean comparableWith(How other) {
            return this == other && this != SPREAD;
        }
    }

    private final long[] ms;
    private final How[] known;
    private final int[] through;

    private StepClocks(long[] ms, How[] known, int[] through) {
        this.ms = ms;
        this.known = known;
        this.through = through;
    }

    /** How many steps were done. */
    public int count() {
        return ms.length;
    }

    /** The clock at which a step was complete, milliseconds; steps from 1, in order. */
    public long ms(int step) {
        return ms[step - 1];
    }

    /** How the clock of a step is known. */
    public How known(int step) {
        return known[step - 1];
    }

    /** How many steps were done with a set of the split, counted from 0; all of them with the last one. */
    public int through(int set) {
        return set == through.length - 1 ? ms.length : through[set];
    }

    public static StepClocks of(SegmentSplit split) {
        Segment segment = split.segment();
        int steps = split.complete() ? segment.steps() : Math.min(split.counted(), segment.steps());
        Filling filling = new Filling(split, steps);
        filling.fill();
        return new StepClocks(filling.ms, filling.known, filling.through);
    }

    private static final class Filling {
        private final SegmentSplit split;
        private final long[] ms;
        private final How[] known;
        private final int[] through;
        private int at;

        Filling(SegmentSplit split, int steps) {
            this.split = split;
            this.ms = new long[steps];
            this.known = new How[steps];
            this.through = new int[split.sets().size()];
            Arrays.fill(known, How.SPREAD);
        }

        void fill() {
            if (split.segment().countable().isPresent()) {
                sets(split.sets());
            }
            long from = at == 0 ? split.beginMs().orElse(split.arrivalMs() + split.waitMs()) : ms[at - 1];
            spread(from, split.countedToMs(), ms.length - at, How.SPREAD);
            if (split.complete() && ms.length > 0) {
                ms[ms.length - 1] = split.endMs();
                known[ms.length - 1] = split.endSeen() ? How.END : How.SPREAD;
            }
            for (int i = ms.length - 2; i >= 0; i--) {
                ms[i] = Math.min(ms[i], ms[i + 1]);
            }
        }

        private void sets(List<SetSplit> sets) {
            long uncountedMs = 0;
            int left = ms.length;
            for (SetSplit set : sets) {
                uncountedMs += set.reps().isEmpty() ? set.durationMs() : 0;
                left = Math.max(0, left - set.reps().orElse(0));
            }
            long passed = 0;
            int given = 0;
            for (int i = 0; i < sets.size(); i++) {
                SetSplit set = sets.get(i);
                if (set.reps().isEmpty()) {
                    passed += set.durationMs();
                    int upTo = uncountedMs == 0 ? left : (int) (left * passed / uncountedMs);
                    spread(set.startMs(), set.endMs(), upTo - given, How.SPREAD);
                    given = upTo;
                } else if (!set.failed()) {
                    set(set);
                }
                through[i] = at;
            }
        }

        private void set(SetSplit set) {
            int reps = set.reps().orElse(0);
            List<Long> taps = set.repTimesMs();
            long from = set.startMs();
            for (int i = 0; i < Math.min(reps, taps.size()) && at < ms.length; i++) {
                from = taps.get(i);
                put(from, How.TAPPED);
            }
            spread(from, set.endMs(), reps - taps.size(), How.END_OF_SET);
        }

        private void spread(long fromMs, long toMs, int count, How end) {
            for (int i = 1; i <= count && at < ms.length; i++) {
                put(fromMs + (toMs - fromMs) * i / count, i == count ? end : How.SPREAD);
            }
        }

        private void put(long atMs, How how) {
            ms[at] = at == 0 ? atMs : Math.max(atMs, ms[at - 1]);
            known[at] = how;
            at++;
        }
    }
}
