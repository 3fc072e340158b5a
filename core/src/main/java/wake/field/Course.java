package wake.field;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import wake.log.Cause;

/** One entry along the course: its clock wherever its log has it. What is not told is not a number. */
final class Course {
    private final Entry entry;
    private final Map<Integer, Piece> byFirst = new HashMap<>();
    private final Map<Integer, Long> clocks = new HashMap<>();

    Course(Entry entry) {
        this.entry = entry;
        for (Piece piece : entry.pieces()) {
            byFirst.put(piece.first(), piece);
            if (piece.complete()) {
                clocks.put(piece.last(), piece.endMs());
            }
        }
    }

    /** The segments after which it has a clock. */
    Set<Integer> borders() {
        return clocks.keySet();
    }

    /** The last segment it completed; -1 where it completed none. */
    int reached() {
        return clocks.keySet().stream().mapToInt(Integer::intValue).max().orElse(-1);
    }

    /** The clock after a segment, milliseconds; 0 before the first. */
    double clock(int last) {
        if (last < 0) {
            return 0;
        }
        Long clock = clocks.get(last);
        return clock == null ? Double.NaN : clock;
    }

    boolean passes(int first, int last) {
        return !Double.isNaN(clock(last) - clock(first - 1));
    }

    /** The completed piece that covers some segments and no other. */
    Optional<Piece> piece(int first, int last) {
        return Optional.ofNullable(byFirst.get(first)).filter(piece -> piece.last() == last && piece.complete());
    }

    /** What some segments took, without the wait for an interval before the first, milliseconds. */
    double split(int first, int last) {
        Piece opening = byFirst.get(first);
        return clock(last) - clock(first - 1) - (opening == null ? 0 : opening.ms(Cause.INTERVAL_REST));
    }

    double transition(int first, int last) {
        return piece(first, last)
                .filter(piece -> first > 0 && piece.begun())
                .map(piece -> (double) piece.ms(Cause.TRANSITION))
                .orElse(Double.NaN);
    }

    double rest(int first, int last) {
        return piece(first, last)
                .filter(Piece::separated)
                .map(piece -> (double) piece.ms(Cause.REST))
                .orElse(Double.NaN);
    }

    double pace(int first, int last) {
        return piece(first, last).map(Piece::pace).orElse(Double.NaN);
    }

    /** What some segments are called: the piece there is of them, or their ends. */
    String place(int first, int last) {
        return piece(first, last).map(Piece::place).orElseGet(() -> {
            Piece opening = byFirst.get(first);
            String from = opening == null ? "" : opening.place();
            String to = last(last).map(Piece::place).orElse("");
            String round = round(first, last);
            return !round.isEmpty() ? round : from.equals(to) ? from : from + " to " + to;
        });
    }

    String line(int first, int last) {
        return piece(first, last).map(Piece::line).orElseGet(() -> place(first, last));
    }

    private Optional<Piece> last(int last) {
        return entry.pieces().stream().filter(piece -> piece.last() == last).findFirst();
    }

    /** The round that some segments are; empty where they are no single one. */
    private String round(int first, int last) {
        Set<String> rounds = entry.pieces().stream()
                .filter(piece -> piece.first() >= first && piece.last() <= last)
                .map(Piece::round)
                .collect(Collectors.toSet());
        return rounds.size() == 1 ? rounds.iterator().next() : "";
    }
}
