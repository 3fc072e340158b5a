package wake.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import wake.exchange.TimeSheet;
import wake.log.AttemptLog;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Resolution;
import wake.log.SegmentSplit;
import wake.plan.Draft;
import wake.simulation.SimulatedAttempt;
import wake.store.MarkStore.StoredMark;
import wake.units.ClockTime;
import wake.units.Digits;
import wake.workout.ExpandedWorkout;

/** Marks a simulated attempt as a coach tapping along at 1× would have: everything seen, each time a little off. */
final class DemoCoach {
    private static final double SCATTER_MS = 60;

    private DemoCoach() {}

    static List<StoredMark> marks(
            SimulatedAttempt attempt, String scene, UUID attemptId, @Nullable UUID recordingId, long goMs) {
        SplittableRandom random = new SplittableRandom(scene.hashCode());
        List<StoredMark> marks = new ArrayList<>();
        long last = 0;
        for (Mark mark : attempt.truth()) {
            boolean buzzer = mark.kind() == MarkKind.STOP;
            long at = buzzer ? mark.atMs() : mark.atMs() + Math.round((random.nextDouble() - 0.5) * 2 * SCATTER_MS);
            last = Math.max(last, at);
            marks.add(new StoredMark(
                    DemoGym.id(scene + " mark " + marks.size()),
                    attemptId,
                    recordingId,
                    mark.kind(),
                    goMs + last,
                    0,
                    Granularity.SET,
                    mark.tag(),
                    mark.text(),
                    Resolution.ofTap(1)));
        }
        return marks;
    }

    /** The same, watched by sets: nobody tapped the reps. */
    static List<StoredMark> sets(
            SimulatedAttempt attempt, String scene, UUID attemptId, @Nullable UUID recordingId, long goMs) {
        List<StoredMark> sets = new ArrayList<>();
        int segment = 0;
        int counted = 0;
        int inSet = 0;
        for (StoredMark mark : marks(attempt, scene, attemptId, recordingId, goMs)) {
            boolean rep = mark.kind() == MarkKind.REP;
            counted += rep ? 1 : 0;
            inSet += rep ? 1 : 0;
            boolean done = mark.kind() == MarkKind.DONE
                    || (rep && counted == attempt.expanded().segment(segment).steps());
            if (done) {
                sets.add(as(mark, MarkKind.DONE, 0));
                segment++;
                counted = 0;
                inSet = 0;
            } else if (!rep) {
                boolean broken = mark.kind() == MarkKind.OFF;
                sets.add(as(mark, mark.kind(), broken ? inSet : 0));
                inSet = broken ? 0 : inSet;
            }
        }
        return sets;
    }

    private static StoredMark as(StoredMark mark, MarkKind kind, int reps) {
        return new StoredMark(
                mark.id(),
                mark.attemptId(),
                mark.recordingId(),
                kind,
                mark.atMs(),
                reps,
                mark.depth(),
                mark.tag(),
                mark.text(),
                mark.uncertaintyS());
    }

    /** Round times jotted to the second while it went on, as a sheet of times reads them. */
    static List<StoredMark> roundTimes(SimulatedAttempt attempt, String scene, UUID attemptId) {
        ExpandedWorkout expanded = attempt.expanded();
        AttemptLog log = AttemptLog.of(expanded, attempt.truth());
        StringBuilder jotted = new StringBuilder();
        for (SegmentSplit split : log.splits()) {
            if (expanded.endsLap(split.segment().index())) {
                jotted.append(ClockTime.of(split.endMs()).toSeconds()).append('\n');
            }
        }
        return typed(jotted.toString(), TimeSheet.Each.ROUND, expanded, scene, attemptId);
    }

    /** The score alone, as a list of results has it. */
    static List<StoredMark> score(SimulatedAttempt attempt, String scene, UUID attemptId) {
        ExpandedWorkout expanded = attempt.expanded();
        String score = AttemptLog.of(expanded, attempt.truth()).score().words(Digits.WHOLE);
        return typed(score, TimeSheet.Each.SCORE, expanded, scene, attemptId);
    }

    private static List<StoredMark> typed(
            String text, TimeSheet.Each each, ExpandedWorkout expanded, String scene, UUID attemptId) {
        TimeSheet sheet = TimeSheet.read(text, each, TimeSheet.Times.CLOCK, expanded, Draft.of(expanded));
        List<StoredMark> marks = new ArrayList<>();
        for (Mark mark : sheet.marks()) {
            marks.add(StoredMark.onTheClock(DemoGym.id(scene + " mark " + marks.size()), attemptId, mark));
        }
        return marks;
    }

    static StoredMark note(MarkKind kind, UUID attemptId, UUID recordingId, long atMs, DemoScenes.DemoCue note) {
        return new StoredMark(
                DemoGym.id(note.scene() + " " + kind + " " + atMs),
                attemptId,
                recordingId,
                kind,
                atMs,
                0,
                Granularity.SET,
                note.tag(),
                note.text(),
                Resolution.ofTap(1));
    }
}
