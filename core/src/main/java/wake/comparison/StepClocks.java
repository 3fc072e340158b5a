package wake.comparison;

import java.util.Arrays;
import java.util.List;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.workout.Segment;

/**
 * When each step of a segment was complete. What was tapped and the last rep of a counted set is known; what lies between is spread evenly
 * over its set, or over all the time that is not broken down. An assumption: even inside a set.
 *
 * @param ms clock times in order, of as many steps as were done
 * @param known how the clock of each is known
 */
record StepClocks(long[] ms, How[] known) {
    /** How the clock of a step is known. A set is over a moment after its last rep, so that a rep tapped is not the same as a set's end. */
    enum How {
        SPREAD,
        TAPPED,
        END_OF_SET,
        END;

        boolean comparableWith(How other) {
            return this == other && this != SPREAD;
        }
    }

    int count() {
        return ms.length;
    }

    static StepClocks of(SegmentSplit split) {
        Segment segment = split.segment();
        int steps = split.complete() ? segment.steps() : Math.min(split.counted(), segment.steps());
        Filling filling = new Filling(split, steps);
        filling.fill();
        return new StepClocks(filling.ms, filling.known);
    }

    private static final class Filling {
        private final SegmentSplit split;
        private final long[] ms;
        private final How[] known;
        private int at;

        Filling(SegmentSplit split, int steps) {
            this.split = split;
            this.ms = new long[steps];
            this.known = new How[steps];
            Arrays.fill(known, How.SPREAD);
        }

        void fill() {
            List<SetSplit> sets = split.segment().countable().isPresent()
                    ? split.sets().stream().filter(set -> !set.failed()).toList()
                    : List.of();
            long uncountedMs = sets.stream()
                    .filter(set -> set.reps().isEmpty())
                    .mapToLong(SetSplit::durationMs)
                    .sum();
            int reps = sets.stream().mapToInt(set -> set.reps().orElse(0)).sum();
            int left = Math.max(0, ms.length - reps);
            long passed = 0;
            int given = 0;
            for (SetSplit set : sets) {
                if (set.reps().isPresent()) {
                    set(set);
                } else {
                    passed += set.durationMs();
                    int upTo = uncountedMs == 0 ? left : (int) (left * passed / uncountedMs);
                    spread(set.startMs(), set.endMs(), upTo - given, How.SPREAD);
                    given = upTo;
                }
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

    @Override
    public boolean equals(Object other) {
        return other instanceof StepClocks clocks && Arrays.equals(ms, clocks.ms) && Arrays.equals(known, clocks.known);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(ms);
    }

    @Override
    public String toString() {
        return Arrays.toString(ms);
    }
}
