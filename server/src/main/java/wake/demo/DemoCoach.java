package wake.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.UUID;
import wake.log.Depth;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Resolution;
import wake.simulation.SimulatedAttempt;
import wake.store.MarkStore.StoredMark;

/** Marks a simulated attempt as a coach tapping along at 1× would have: everything seen, each time a little off. */
final class DemoCoach {
    private static final double SCATTER_MS = 60;

    private DemoCoach() {}

    static List<StoredMark> marks(SimulatedAttempt attempt, String scene, UUID attemptId, UUID recordingId, long goMs) {
        SplittableRandom random = new SplittableRandom(scene.hashCode());
        List<StoredMark> marks = new ArrayList<>();
        long last = 0;
        for (Mark mark : attempt.truth()) {
            boolean bell = mark.kind() == MarkKind.STOP;
            long at = bell ? mark.atMs() : mark.atMs() + Math.round((random.nextDouble() - 0.5) * 2 * SCATTER_MS);
            last = Math.max(last, at);
            marks.add(new StoredMark(
                    DemoGym.id(scene + " mark " + marks.size()),
                    attemptId,
                    recordingId,
                    mark.kind(),
                    goMs + last,
                    0,
                    Depth.SET,
                    "",
                    "",
                    Resolution.ofTap(1)));
        }
        return marks;
    }

    static StoredMark cue(UUID attemptId, UUID recordingId, long atMs, DemoScenes.DemoCue cue) {
        return new StoredMark(
                DemoGym.id(cue.scene() + " cue " + atMs),
                attemptId,
                recordingId,
                MarkKind.CUE,
                atMs,
                0,
                Depth.SET,
                cue.tag(),
                cue.text(),
                Resolution.ofTap(1));
    }
}
