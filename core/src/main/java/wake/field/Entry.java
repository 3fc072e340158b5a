package wake.field;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import wake.log.AttemptLog;
import wake.log.AttemptLog.TieBreak;
import wake.log.Score;
import wake.log.Stretch;
import wake.units.Digits;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/**
 * What a field knows of one attempt. Small enough to be kept, so that thousands are ranked and held beside each other without reading any of
 * them again.
 *
 * @param tieBreaks the clocks that decide between equal scores, as far as they were noted
 * @param digits how far its clock was given
 * @param course the same for the same work
 * @param pieces where its clock went, in order; one piece where the log does not break it down
 */
public record Entry(Score score, List<TieBreak> tieBreaks, Digits digits, UUID course, List<Piece> pieces) {
    /** Two workouts that begin with so many segments alike are the same; an assumption. */
    private static final int SEGMENTS_TELLING = 200;

    public Entry {
        tieBreaks = tieBreaks.stream()
                .sorted(Comparator.comparingInt(TieBreak::lastIndex))
                .toList();
        pieces = List.copyOf(pieces);
    }

    public static Entry of(AttemptLog log) {
        return new Entry(
                log.score(),
                log.tieBreaks(),
                log.digits(),
                course(log.expanded()),
                Stretch.of(log, Set.of()).stream().map(Piece::of).toList());
    }

    private static UUID course(ExpandedWorkout expanded) {
        String asked = expanded.segments().stream()
                .limit(SEGMENTS_TELLING)
                .map(Segment::place)
                .collect(Collectors.joining("\n", expanded.capMs() + "\n", ""));
        return UUID.nameUUIDFromBytes(asked.getBytes(StandardCharsets.UTF_8));
    }

    /** The score as it is written for this entry. */
    public String scoreWords() {
        return score.words(digits);
    }

    /** The last of its tie-breaks: "6:10 after 30 burpee"; empty where there is none. */
    public String tieBreakWords() {
        return tieBreaks.isEmpty()
                ? ""
                : digits.clock(tieBreaks.getLast().clockMs()) + " after "
                        + tieBreaks.getLast().after();
    }

    /**
     * A round, or what stands outside the rounds, as long as it took.
     *
     * @param told whether the log has it apart; else it is more than one round, or all there is
     */
    public record Bar(String label, long ms, boolean told) {}

    /** Its clock cut into rounds, and what stands outside them. */
    public List<Bar> bars() {
        List<Bar> bars = new ArrayList<>();
        String open = "";
        for (Piece piece : pieces) {
            boolean goesOn = !piece.round().isEmpty() && piece.round().equals(open);
            long before = goesOn ? bars.removeLast().ms() : 0;
            String label = piece.round().isEmpty() ? piece.place() : piece.round();
            bars.add(new Bar(
                    label,
                    before + piece.ms(),
                    piece.first() == piece.last() || !piece.round().isEmpty()));
            open = piece.round();
        }
        return bars;
    }
}
