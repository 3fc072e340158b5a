package wake.projection;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import wake.log.SegmentSplit;
import wake.workout.Format;
import wake.workout.Lap;
import wake.workout.Segment;

/**
 * The start pulled back, and the same effort spread evenly over the rounds.
 *
 * <p>If going at speed v costs an effort per unit of work in proportion to v^α, then rounds of the same total effort all go at
 * the power mean of their speeds, v = (Σ w·v^α / Σ w)^(1/α); for equal rounds t = (mean of t^−α)^(−1/α). By Jensen's
 * inequality that is never slower than what was done. α = 2 is exact for rowing against air, where power rises with v³; for
 * other work it is an assumption, shown with the band α = 1 … 3.
 *
 * @param alpha how dear speed is, from 0.5 to 5
 */
public record SpreadEvenly(double alpha) implements Change {
    /** Exact for rowing; for other work an assumption. */
    public static final double USUAL = 2;

    private static final double LEAST = 0.5;
    private static final double MOST = 5;
    private static final int FEWEST_ROUNDS = 2;

    public SpreadEvenly {
        if (!(alpha >= LEAST && alpha <= MOST)) {
            throw new IllegalArgumentException("Expected an exponent from 0.5 to 5, got " + alpha);
        }
    }

    @Override
    public String words() {
        return String.format(
                Locale.ROOT, "Pull the start back: the same effort in even rounds (cost of speed %.1f)", alpha);
    }

    /**
     * The time each of several equal rounds takes when the effort is spread evenly.
     *
     * @param times of the rounds, in any unit
     */
    public static double evenTime(double[] times, double alpha) {
        double sum = 0;
        for (double time : times) {
            sum += Math.pow(time, -alpha);
        }
        return Math.pow(sum / times.length, -1 / alpha);
    }

    @Override
    public Optional<String> reason(Replay replay) {
        if (replay.log().course().format() instanceof Format.Every) {
            return Optional.of("In interval work the clock sets the start of every round.");
        }
        return rounds(replay).size() >= FEWEST_ROUNDS
                ? Optional.empty()
                : Optional.of("There are fewer than two whole rounds to spread the effort over.");
    }

    /** A whole round: what there was to do in it, in seconds of this attempt's own mean pace, and how long it took. */
    private record Round(double work, double ms) {
        double speed() {
            return work / ms;
        }
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        if (reason(replay).isPresent()) {
            return piece -> Effect.NONE;
        }
        Map<Lap, Round> rounds = rounds(replay);
        double work = rounds.values().stream().mapToDouble(Round::work).sum();
        double effort = rounds.values().stream()
                .mapToDouble(round -> round.work() * Math.pow(round.speed(), alpha))
                .sum();
        double even = Math.pow(effort / work, 1 / alpha);
        Map<Lap, Effect> effects = new HashMap<>();
        rounds.forEach((number, round) -> effects.put(number, Effect.times(round.speed() / even)));
        double last = List.copyOf(rounds.values()).getLast().speed();
        Effect after = Effect.times(last / even);
        return piece -> piece.segment().inRounds() && piece.kind() != Piece.Kind.WAIT
                ? effects.getOrDefault(piece.segment().lap(), after)
                : Effect.NONE;
    }

    /** The whole rounds of the attempt, faults left out. */
    private static Map<Lap, Round> rounds(Replay replay) {
        Map<Lap, List<Piece>> byRound = replay.pieces().stream()
                .filter(piece -> piece.segment().inRounds())
                .collect(
                        Collectors.groupingBy(piece -> piece.segment().lap(), LinkedHashMap::new, Collectors.toList()));
        byRound.values().removeIf(pieces -> pieces.stream().anyMatch(piece -> !piece.seen()));
        unfinishedRound(replay).ifPresent(byRound::remove);
        Map<String, Double> msPerUnit = new HashMap<>();
        byRound.values().stream()
                .flatMap(List::stream)
                .collect(Collectors.groupingBy(piece -> piece.segment().lineAtLoad()))
                .forEach((like, pieces) -> msPerUnit.put(like, core(pieces) / Math.max(1e-9, amount(pieces))));
        Map<Lap, Round> rounds = new LinkedHashMap<>();
        byRound.forEach((number, pieces) -> {
            double work = 0;
            for (List<Piece> segment : segments(pieces)) {
                Segment done = segment.getFirst().segment();
                work += done.units() * msPerUnit.getOrDefault(done.lineAtLoad(), 0.0);
            }
            double ms = core(pieces);
            if (work > 0 && ms > 0) {
                rounds.put(number, new Round(work, ms));
            }
        });
        return rounds;
    }

    /** The round in which the log ends, unless it ends with the round. */
    private static Optional<Lap> unfinishedRound(Replay replay) {
        List<SegmentSplit> splits = replay.log().splits();
        if (splits.isEmpty()) {
            return Optional.empty();
        }
        SegmentSplit last = splits.getLast();
        boolean whole =
                last.complete() && replay.log().course().endsLap(last.segment().index());
        return whole ? Optional.empty() : Optional.of(last.segment().lap());
    }

    private static List<List<Piece>> segments(List<Piece> pieces) {
        return new ArrayList<>(pieces.stream()
                .collect(Collectors.groupingBy(piece -> piece.segment().index()))
                .values());
    }

    private static double core(List<Piece> pieces) {
        return pieces.stream().mapToLong(Piece::coreMs).sum();
    }

    private static double amount(List<Piece> pieces) {
        return segments(pieces).stream()
                .mapToDouble(segment -> segment.getFirst().segment().units())
                .sum();
    }
}
