package wake.workout;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What a segment is, apart from its place in the list: what two attempts' segments are matched by. */
public final class Identity {
    private Identity() {}

    /**
     * Keys of segments of one text, in their order: the line, the round of its block, and which of those it is. What one athlete cut into
     * other rounds than the next is the same place only at the end of its block.
     */
    public static List<String> inOneText(List<Segment> segments) {
        return keys(segments, segment -> segment.lineIndex() + "|" + rounds(segment));
    }

    /** Keys across versions of a text: movement, unit, sides, role, the number of the round, and which of those it is. */
    public static List<String> acrossTexts(List<Segment> segments) {
        return keys(
                segments,
                segment -> segment.movement().name() + "|" + segment.amount().unit() + "|" + segment.sides() + "|"
                        + segment.role() + "|" + segment.lap().number());
    }

    private static String rounds(Segment segment) {
        StringBuilder words = new StringBuilder();
        for (Lap lap : segment.path()) {
            boolean last = lap.repeats() && lap.number() == lap.of();
            words.append(lap.block().index())
                    .append(last ? " last" : " " + lap.number() + " of " + lap.of())
                    .append('|');
        }
        return words.toString();
    }

    private static List<String> keys(List<Segment> segments, java.util.function.Function<Segment, String> what) {
        Map<String, Integer> seen = new HashMap<>();
        List<String> keys = new ArrayList<>();
        for (Segment segment : segments) {
            String key = what.apply(segment);
            keys.add(key + "|" + seen.merge(key, 1, Integer::sum));
        }
        return keys;
    }
}
