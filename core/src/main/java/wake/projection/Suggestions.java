package wake.projection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.DoubleStream;
import wake.log.AttemptLog;
import wake.statistics.Statistics;

/** Changes worth proposing for an attempt: its own lower quartiles as targets, those that gain most first. */
public final class Suggestions {
    private static final int ENOUGH = 3;

    private Suggestions() {}

    public static List<Change> of(AttemptLog log) {
        Replay replay = Replay.of(log);
        List<Piece> pieces = replay.pieces();
        List<Change> changes = new ArrayList<>();
        target(pauses(pieces, Piece.Kind.TRANSITION))
                .ifPresent(ms -> changes.add(new Change.CapTransitions(round(ms))));
        target(pauses(pieces, Piece.Kind.REST)).ifPresent(ms -> changes.add(new Change.CapRests(round(ms))));
        cadences(pieces)
                .forEach((movement, seconds) -> target(seconds.stream().mapToDouble(Double::doubleValue))
                        .ifPresent(target ->
                                changes.add(new Change.HoldCadence(movement, Math.ceil(target * 100) / 100))));
        Comparator<Change> byGain = Comparator.comparingLong(change -> {
            Gain gain = Gain.between(log.score(), replay.score(List.of(change)));
            return gain.ms() + 1000L * gain.reps();
        });
        return changes.stream().sorted(byGain.reversed()).toList();
    }

    private static DoubleStream pauses(List<Piece> pieces, Piece.Kind kind) {
        return pieces.stream()
                .filter(piece -> piece.kind() == kind && piece.segment().index() > 0)
                .mapToDouble(Piece::ms);
    }

    private static Map<String, List<Double>> cadences(List<Piece> pieces) {
        Map<String, List<Double>> cadences = new TreeMap<>();
        for (Piece piece : pieces) {
            if (piece.kind() == Piece.Kind.WORK && piece.units() > 0) {
                cadences.computeIfAbsent(piece.segment().movement().name(), name -> new ArrayList<>())
                        .add(piece.secondsPerUnit());
            }
        }
        return cadences;
    }

    private static OptionalDouble target(DoubleStream figures) {
        double[] values = figures.toArray();
        return values.length < ENOUGH ? OptionalDouble.empty() : OptionalDouble.of(Statistics.lowerQuartile(values));
    }

    /** Up to the next half second: a target a coach can say. */
    private static long round(double ms) {
        return (long) Math.ceil(ms / 500) * 500;
    }
}
