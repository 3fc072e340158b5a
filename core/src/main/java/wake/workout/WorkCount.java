package wake.workout;

import java.math.BigDecimal;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import wake.workout.Workout.FreeOrder;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.Once;
import wake.workout.Workout.Remark;
import wake.workout.Workout.Repeat;
import wake.workout.Workout.Rounds;

/** Counts the segments a body expands to, as {@link Expansion} goes through it, so that what would be too many is refused rather than cut short. */
final class WorkCount {
    /** Rounds of a part without end that are looked at; nobody grows so fast that later ones tell more. */
    private static final int ROUNDS_LOOKED_AT = 20;

    private long segments;
    private long looked;

    private WorkCount() {}

    /** Whether a body expands whole: within the limits on segments, and on lines and rounds looked at. */
    static boolean fits(List<Node> body, Format format) {
        WorkCount count = new WorkCount();
        for (Node node : body) {
            if (node instanceof Once once) {
                count.walk(once.body(), 1);
            }
        }
        if (format instanceof Format.Every every) {
            List<Node> turns = Expansion.turns(body);
            for (int interval = 1; interval <= every.times() && !turns.isEmpty() && count.fits(); interval++) {
                count.walk(every.inTurn() ? List.of(turns.get((interval - 1) % turns.size())) : turns, interval);
            }
        } else {
            count.walk(body, 1);
        }
        return count.fits()
                && (!(format instanceof Format.Amrap) || roundsFit(body))
                && repeats(body).allMatch(WorkCount::roundsFit);
    }

    private static Stream<List<Node>> repeats(List<Node> body) {
        return body.stream().filter(Repeat.class::isInstance).map(node -> ((Repeat) node).body());
    }

    /** Whether each of the first rounds of what goes on until the buzzer is one that ends. */
    private static boolean roundsFit(List<Node> body) {
        return IntStream.rangeClosed(1, ROUNDS_LOOKED_AT).allMatch(round -> {
            WorkCount count = new WorkCount();
            count.walk(body, round);
            return count.fits();
        });
    }

    private boolean fits() {
        return segments <= Expansion.Limit.SEGMENTS && looked <= Expansion.Limit.LOOKED;
    }

    private void walk(List<Node> nodes, int inner) {
        for (Node node : nodes) {
            looked++;
            if (!fits()) {
                return;
            }
            switch (node) {
                case MovementLine line -> segments += pieces(line, inner);
                case Rounds rounds -> {
                    int count = rounds.count().at(inner).intValue();
                    for (int round = 1; round <= count && fits(); round++) {
                        looked++;
                        walk(rounds.body(), round);
                    }
                }
                case FreeOrder free -> walk(free.body(), inner);
                // One round of it is enough to show; the others come as they are asked for.
                case Repeat repeat -> walk(repeat.body(), 1);
                case Once once -> {}
                case Workout.Rest rest -> {}
                case Workout.StagedCap cap -> {}
                case Workout.TieBreak tieBreak -> {}
                case Remark remark -> {}
            }
        }
    }

    private static long pieces(MovementLine line, int inner) {
        return line.amount().values().stream()
                .map(series -> series.at(inner))
                .filter(amount -> amount.signum() > 0)
                .mapToLong(amount -> line.piece()
                        .map(piece -> Expansion.pieces(amount.min(LineReader.MOST), piece))
                        .orElse(1L))
                .max()
                .orElse(0);
    }

    /** The most any line of a body asks for in a round that is counted. */
    static boolean staysWithin(List<Node> nodes, int rounds) {
        for (Node node : nodes) {
            boolean within = switch (node) {
                case MovementLine line ->
                    line.amount().values().stream()
                            .allMatch(series -> series.at(Math.max(1, rounds)).compareTo(LineReader.MOST) <= 0);
                case Rounds inside ->
                    staysWithin(
                            inside.body(),
                            inside.count().values().stream()
                                    .max(BigDecimal::compareTo)
                                    .orElse(BigDecimal.ONE)
                                    .intValue());
                case FreeOrder free -> staysWithin(free.body(), rounds);
                default -> true;
            };
            if (!within) {
                return false;
            }
        }
        return true;
    }
}
