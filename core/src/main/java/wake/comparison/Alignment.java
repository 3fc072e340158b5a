package wake.comparison;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import wake.log.SegmentSplit;
import wake.workout.Segment;

/**
 * Attempts laid beside each other by the work: every place all of them show starts at the same point, and is as wide as the slowest of them
 * needs.
 *
 * @param slots in order; the last holds what comes after the last end all show
 */
public record Alignment(List<Slot> slots) {
    public Alignment {
        slots = List.copyOf(slots);
    }

    /**
     * A place.
     *
     * @param place its words, as the first attempt did it; "from there on" after the last end all show
     * @param name the same as short as it goes: the movement without its round
     * @param atMs where it starts on the common line
     * @param lengthMs how wide it is
     * @param spans what each did in it, in the order of the attempts
     */
    public record Slot(String place, String name, long atMs, long lengthMs, List<Span> spans) {
        public Slot {
            spans = List.copyOf(spans);
        }
    }

    /**
     * One attempt's stretch of the clock in a slot.
     *
     * @param beginMs its start of the movement, where that was seen
     */
    public record Span(long fromMs, long toMs, OptionalLong beginMs) {
        long lengthMs() {
            return toMs - fromMs;
        }
    }

    public static Alignment of(List<Side> sides) {
        Side first = sides.getFirst();
        List<Map<Integer, SegmentSplit>> ends = new ArrayList<>();
        for (Side other : sides.subList(1, sides.size())) {
            Map<Integer, SegmentSplit> reached = new HashMap<>();
            Matching.of(first, other).pairs().stream()
                    .filter(Matching.Pair::border)
                    .forEach(pair -> reached.put(pair.one().segment().index(), pair.other()));
            ends.add(reached);
        }
        Laying laying = new Laying(sides);
        for (SegmentSplit split : first.log().done()) {
            int index = split.segment().index();
            if (split.complete() && split.endSeen() && ends.stream().allMatch(reached -> reached.containsKey(index))) {
                List<SegmentSplit> all = new ArrayList<>(List.of(split));
                ends.forEach(reached -> all.add(reached.get(index)));
                laying.lay(all);
            }
        }
        return laying.rest();
    }

    private static final class Laying {
        private final List<Side> sides;
        private final List<Slot> slots = new ArrayList<>();
        private final long[] from;
        private final int[] next;
        private long at;

        Laying(List<Side> sides) {
            this.sides = sides;
            this.from = new long[sides.size()];
            this.next = new int[sides.size()];
        }

        void lay(List<SegmentSplit> last) {
            List<Span> spans = new ArrayList<>();
            boolean single = last.getFirst().segment().index() == next[0];
            for (int side = 0; side < sides.size(); side++) {
                SegmentSplit split = last.get(side);
                boolean alone = split.segment().index() == next[side];
                spans.add(new Span(from[side], split.endMs(), alone ? split.beginMs() : OptionalLong.empty()));
                from[side] = split.endMs();
                next[side] = split.segment().index() + 1;
            }
            Segment segment = last.getFirst().segment();
            boolean round = !single && segment.inRounds();
            String whole = round ? segment.lap().words() : segment.place();
            add(whole, round ? whole : segment.label(), spans);
        }

        private void add(String place, String name, List<Span> spans) {
            long length = spans.stream().mapToLong(Span::lengthMs).max().orElse(0);
            if (length > 0) {
                slots.add(new Slot(place, name, at, length, spans));
                at += length;
            }
        }

        Alignment rest() {
            List<Span> spans = new ArrayList<>();
            for (int side = 0; side < sides.size(); side++) {
                long end = Math.max(from[side], sides.get(side).log().clockMs());
                spans.add(new Span(from[side], end, OptionalLong.empty()));
            }
            add("from there on", "", spans);
            return new Alignment(slots);
        }
    }
}
