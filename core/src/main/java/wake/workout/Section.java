package wake.workout;

import java.util.ArrayList;
import java.util.List;

/**
 * A larger piece of a part: what is done once before it, each block of rounds, each movement outside blocks, what is done once after
 * it.
 *
 * @param label "buy-in", "3 rounds of thruster and burpee", "400 m run"
 * @param rounds how many rounds of it there are among the segments given; 1 for what is done once
 * @param from place of its first segment
 * @param to place behind its last segment
 */
public record Section(String label, int rounds, int from, int to) {
    /** The sections that some segments, in order from the first on, fall into. */
    public static List<Section> of(List<Segment> segments) {
        List<Section> sections = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= segments.size(); i++) {
            if (i == segments.size() || !together(segments.get(i - 1), segments.get(i))) {
                sections.add(section(segments.subList(from, i), from));
                from = i;
            }
        }
        return sections;
    }

    private static boolean together(Segment before, Segment after) {
        return before.role() == after.role()
                && (before.inRounds()
                        ? before.lap().block().equals(after.lap().block())
                        : before.isPieceWith(after) || before.role() != Segment.Role.MAIN && !after.inRounds());
    }

    private static Section section(List<Segment> segments, int from) {
        Segment first = segments.getFirst();
        int rounds = first.inRounds()
                ? segments.getLast().lap().number() - first.lap().number() + 1
                : 1;
        return new Section(label(segments, rounds), rounds, from, from + segments.size());
    }

    private static String label(List<Segment> segments, int rounds) {
        Segment first = segments.getFirst();
        if (first.role() != Segment.Role.MAIN) {
            return first.role().words();
        }
        if (!first.inRounds()) {
            return first.inPieces(segments);
        }
        String name = first.lap().block().name();
        return (rounds == 1 ? "1 round" : rounds + " rounds") + (name.isEmpty() ? "" : " of " + name);
    }
}
