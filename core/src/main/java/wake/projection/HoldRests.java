package wake.projection;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

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
        Map<Integer, Double> first = firstRests(replay);
        return piece -> {
            Double cap = piece.kind() == Piece.Kind.REST && Change.concerns(movement, piece)
                    ? first.get(piece.segment().lineIndex())
                    : null;
            return cap == null ? Effect.NONE : Effect.atMost(cap);
        };
    }

    private static Map<Integer, Double> firstRests(Replay replay) {
        Map<Integer, TreeMap<Integer, Double>> byLine = replay.pieces().stream()
                .filter(piece -> piece.seen() && piece.kind() == Piece.Kind.REST)
                .collect(Collectors.groupingBy(
                        piece -> piece.segment().lineIndex(),
                        Collectors.groupingBy(
                                piece -> piece.segment().index(),
                                TreeMap::new,
                                Collectors.averagingDouble(Piece::ms))));
        return byLine.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        line -> line.getValue().values().stream()
                                .limit(FIRST)
                                .mapToDouble(Double::doubleValue)
                                .average()
                                .orElseThrow()));
    }
}
