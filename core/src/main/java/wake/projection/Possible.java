package wake.projection;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import wake.log.AttemptLog;
import wake.movement.Modality;
import wake.plan.SetScheme;
import wake.statistics.Statistics;

/** Every kind of change that has something to work on in an attempt, each with a target to start from. */
public final class Possible {
    private final Replay replay;
    private final List<Change> changes = new ArrayList<>();

    private Possible(Replay replay) {
        this.replay = replay;
    }

    public static List<Change> in(AttemptLog log) {
        Possible possible = new Possible(Replay.of(log));
        possible.everywhere();
        possible.byMovement();
        return possible.changes.stream()
                .filter(change -> change.reason(possible.replay).isEmpty())
                .toList();
    }

    /** How quick a movement was in each round in which it was logged, seconds per rep or unit; the targets of "hold round k". */
    public static Map<Integer, Double> cadenceByRound(AttemptLog log, String movement) {
        Map<Integer, double[]> sums = new LinkedHashMap<>();
        for (Piece piece : Replay.of(log).pieces()) {
            if (piece.seen() && piece.isWork() && piece.isOf(movement)) {
                double[] sum = sums.computeIfAbsent(piece.segment().lap().number(), round -> new double[2]);
                sum[0] += piece.coreMs() / 1000.0;
                sum[1] += piece.amount();
            }
        }
        Map<Integer, Double> cadences = new LinkedHashMap<>();
        sums.forEach((round, sum) -> cadences.put(round, sum[0] / sum[1]));
        return cadences;
    }

    private void everywhere() {
        List<Piece> pauses = replay.pieces().stream().filter(Piece::isSeenPause).toList();
        pause(pauses, Piece.Kind.TRANSITION, "");
        pause(pauses, Piece.Kind.REST, "");
        changes.add(new HoldRests(""));
        changes.add(new DropFaults(""));
        changes.add(new SpreadEvenly(SpreadEvenly.USUAL));
        changes.add(FinishKick.usual(replay.log()));
    }

    private void pause(List<Piece> pauses, Piece.Kind kind, String movement) {
        double[] ms = pauses.stream()
                .filter(piece -> piece.kind() == kind && Change.concerns(movement, piece))
                .mapToDouble(Piece::ms)
                .toArray();
        if (ms.length > 0) {
            long target = Math.round(Statistics.lowerQuartile(ms) / 100) * 100;
            changes.add(
                    kind == Piece.Kind.REST ? new CapRests(movement, target) : new CapTransitions(movement, target));
        }
    }

    private void byMovement() {
        Map<String, List<Piece>> movements = new LinkedHashMap<>();
        replay.pieces().stream()
                .filter(Piece::seen)
                .forEach(piece -> movements
                        .computeIfAbsent(piece.segment().movement().name(), name -> new ArrayList<>())
                        .add(piece));
        movements.forEach((movement, pieces) -> {
            List<Piece> work = pieces.stream().filter(Piece::isWork).toList();
            if (!work.isEmpty()) {
                work(movement, work);
            }
            List<Piece> pauses = pieces.stream().filter(Piece::isSeenPause).toList();
            pause(pauses, Piece.Kind.TRANSITION, movement);
            pause(pauses, Piece.Kind.REST, movement);
            changes.add(new HoldRests(movement));
            changes.add(new DropFaults(movement));
        });
    }

    private void work(String movement, List<Piece> work) {
        double quick = Statistics.lowerQuartile(figures(work, Piece::secondsPerUnit));
        changes.add(new HoldCadence(movement, Math.max(0.001, Math.ceil(quick * 1000) / 1000)));
        if (work.getFirst().segment().movement().modality() == Modality.MONOSTRUCTURAL) {
            changes.add(new ErgPace(movement, Math.max(0.001, Math.round(quick * 1000) / 1000.0)));
        } else if (work.getFirst().segment().tappable()) {
            int usual = (int) Math.max(1, Math.round(Statistics.median(figures(work, Piece::units))));
            changes.add(new ChangeSets(movement, new SetScheme(List.of(usual, usual))));
            changes.add(new BreakOneEarly(movement, Math.round(10 * quick) * 100));
        }
    }

    private static double[] figures(List<Piece> pieces, ToDoubleFunction<Piece> of) {
        return pieces.stream().mapToDouble(of).toArray();
    }
}
