package wake.simulation;

import java.util.ArrayList;
import java.util.List;
import wake.log.Lift;
import wake.log.Mark;
import wake.movement.CatalogueFile;
import wake.movement.Movement;
import wake.simulation.RecordingScript.Act;
import wake.simulation.RecordingScript.Scene;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/** The scenes of a lift window: standing and looking at the bar, a piece of the complex at a time, the bar down. */
final class LiftScenes {
    private final Format.Lift window;
    private final long goMs;
    private final List<Scene> scenes = new ArrayList<>();
    private List<LiftPiece> pieces;
    private String board;
    private int piece;
    private int inPiece;
    private boolean lifting;
    private final List<Long> reps = new ArrayList<>();
    private final List<Long> faults = new ArrayList<>();
    private long from;

    private LiftScenes(Format.Lift window, long goMs) {
        this.window = window;
        this.goMs = goMs;
        pieces = window.complex();
        board = LiftPiece.written(pieces);
        from = goMs;
    }

    static List<Scene> of(SimulatedAttempt attempt, Format.Lift window, long goMs) {
        LiftScenes scenes = new LiftScenes(window, goMs);
        scenes.scenes.add(
                new Scene(Act.READY, figure(window.complex().getFirst()), 0, goMs, List.of(), List.of(), scenes.board));
        attempt.truth().forEach(scenes::take);
        return scenes.scenes;
    }

    private void take(Mark mark) {
        long at = goMs + mark.atMs();
        switch (mark.kind()) {
            case LIFT -> {
                Lift.LiftText known = Lift.LiftText.of(mark.text()).orElseThrow();
                close(at);
                pieces = known.pieces().isEmpty() ? window.complex() : known.pieces();
                board = known.load() + " · " + LiftPiece.written(pieces);
                piece = 0;
                inPiece = 0;
                lifting = true;
            }
            case REP -> {
                reps.add(at);
                inPiece++;
                if (inPiece == pieces.get(piece).reps() && piece + 1 < pieces.size()) {
                    close(at);
                    piece++;
                    inPiece = 0;
                }
            }
            case MISS -> {
                faults.add(at);
                close(at);
                lifting = false;
            }
            case OFF -> {
                close(at);
                lifting = false;
            }
            case STOP -> close(at);
            default -> throw new IllegalStateException("A simulated lifter makes no " + mark.kind());
        }
    }

    private void close(long at) {
        if (at > from) {
            Act act = lifting ? Act.WORK : Act.REST;
            scenes.add(new Scene(act, figure(pieces.get(piece)), from, at, reps, faults, board));
        }
        reps.clear();
        faults.clear();
        from = at;
    }

    private static String figure(LiftPiece piece) {
        return CatalogueFile.shipped()
                .find(piece.movement())
                .map(Movement::figure)
                .orElse("clean");
    }
}
