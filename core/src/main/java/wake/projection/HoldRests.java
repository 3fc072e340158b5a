package wake.projection;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import wake.workout.Likeness;
import wake.workout.Segment;

/**
 * Rests stay as short as they were in the first rounds: in each line the mean rest of its first two segments that had one.
 *
 * @param movement whose rests; empty for all
 */
public record HoldRests(String movement) implements Change {
    private static final int FIRST = 2;

    @Override
    public String words() {
        return "Keep the rests" + Change.of("in", movement) + " as short as in the first rounds";
    }

    @Override
    public Optional<String> reason(Replay replay) {
        boolean rests = replay.pieces().stream()
                .anyMatch(piece -> piece.seen() && piece.kind() == Piece.Kind.REST && Change.concerns(movement, piece));
        return rests ? Optional.empty() : Optional.of("No rests were logged" + Change.of("in", movement) + ".");
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        List<Piece> rests = replay.pieces().stream()
                .filter(piece -> piece.seen() && piece.kind() == Piece.Kind.REST)
                .toList();
        Map<Segment, OptionalDouble> caps = new HashMap<>();
        return piece -> {
            OptionalDouble cap = piece.kind() == Piece.Kind.REST && Change.concerns(movement, piece)
                    ? caps.computeIfAbsent(piece.segment(), segment -> first(rests, segment))
                    : OptionalDouble.empty();
            return cap.isEmpty() ? Effect.NONE : Effect.atMost(cap.getAsDouble());
        };
    }

    /** The mean rest of the first two segments of a line that had one, at this load or a heavier one. */
    private static OptionalDouble first(List<Piece> rests, Segment asked) {
        return rests.stream()
                .filter(piece -> piece.segment().lineIndex() == asked.lineIndex()
                        && Likeness.mayBeAskedOf(piece.segment(), asked))
                .collect(Collectors.groupingBy(
                        piece -> piece.segment().index(), TreeMap::new, Collectors.averagingDouble(Piece::ms)))
                .values()
                .stream()
                .limit(FIRST)
                .mapToDouble(Double::doubleValue)
                .average();
    }
}
