package wake.simulation;

import java.util.ArrayList;
import java.util.List;
import wake.log.Mark;
import wake.workout.Format;
import wake.workout.Segment;

/**
 * What a simulated recording shows, for whoever draws it: a countdown on the wall clock, "go", the attempt, and a little
 * after it. Times are media times in milliseconds.
 *
 * @param goMs media time of "go"
 * @param durationMs length of the recording
 * @param beepsMs media times of the countdown's beeps; the last one, longer, is "go"
 * @param scenes what the figure does, one after the other without gap
 */
public record RecordingScript(long goMs, long durationMs, List<Long> beepsMs, List<Scene> scenes) {
    private static final long COUNTDOWN_MS = 5000;
    private static final long AFTER_MS = 3000;

    public RecordingScript {
        beepsMs = List.copyOf(beepsMs);
        scenes = List.copyOf(scenes);
    }

    /** How a scene is drawn. */
    public enum Act {
        READY,
        WALK,
        WORK,
        REST,
        OVER
    }

    /**
     * One thing the figure does.
     *
     * @param act standing ready, walking over, working, resting, done
     * @param figure which movement it draws, by the catalogue's figure name
     * @param fromMs media time it starts
     * @param toMs media time it ends
     * @param repEndsMs media times at which a repetition of the movement ends
     * @param faultsMs media times at which a judge's arm goes up
     * @param board what stands on the wall board: movement and amount
     */
    public record Scene(
            Act act, String figure, long fromMs, long toMs, List<Long> repEndsMs, List<Long> faultsMs, String board) {
        public Scene {
            repEndsMs = List.copyOf(repEndsMs);
            faultsMs = List.copyOf(faultsMs);
        }
    }

    public static RecordingScript of(SimulatedAttempt attempt) {
        if (attempt.expanded().format() instanceof Format.Lift window) {
            return closed(attempt, new ArrayList<>(LiftScenes.of(attempt, window, COUNTDOWN_MS)));
        }
        List<Scene> scenes = new ArrayList<>();
        Segment first = attempt.expanded().segment(0);
        scenes.add(
                new Scene(Act.READY, first.movement().figure(), 0, COUNTDOWN_MS, List.of(), List.of(), first.label()));
        Writer writer = new Writer(attempt, scenes);
        attempt.truth().forEach(writer::take);
        return closed(attempt, scenes);
    }

    private static RecordingScript closed(SimulatedAttempt attempt, List<Scene> scenes) {
        long end = COUNTDOWN_MS + attempt.clockMs();
        scenes.add(new Scene(Act.OVER, "stand", end, end + AFTER_MS, List.of(), List.of(), "time"));
        List<Long> beeps = List.of(COUNTDOWN_MS - 3000, COUNTDOWN_MS - 2000, COUNTDOWN_MS - 1000, COUNTDOWN_MS);
        return new RecordingScript(COUNTDOWN_MS, end + AFTER_MS, beeps, scenes);
    }

    private static final class Writer {
        private final SimulatedAttempt attempt;
        private final List<Scene> scenes;
        private final List<Long> reps = new ArrayList<>();
        private final List<Long> faults = new ArrayList<>();
        private int segment;
        private int counted;
        private long from = COUNTDOWN_MS;
        private Act act = Act.WALK;

        Writer(SimulatedAttempt attempt, List<Scene> scenes) {
            this.attempt = attempt;
            this.scenes = scenes;
        }

        void take(Mark mark) {
            long at = COUNTDOWN_MS + mark.atMs();
            switch (mark.kind()) {
                case REP -> {
                    reps.add(at);
                    counted++;
                    if (counted == current().steps()) {
                        complete(at);
                    }
                }
                case NO_REP, MISS, TRIP -> faults.add(at);
                case BEGIN, ON -> turn(at, Act.WORK);
                case OFF -> turn(at, Act.REST);
                case DONE -> complete(at);
                case STOP -> close(at);
                case BLIND, SEEN, CUE, LIFT, VARIANT -> {}
            }
        }

        private Segment current() {
            return attempt.expanded().segment(segment);
        }

        private void complete(long at) {
            turn(at, Act.WALK);
            counted = 0;
            segment += attempt.expanded().has(segment + 1) ? 1 : 0;
        }

        private void turn(long at, Act next) {
            close(at);
            act = next;
        }

        private void close(long at) {
            if (at > from) {
                scenes.add(new Scene(
                        act,
                        current().movement().figure(),
                        from,
                        at,
                        reps,
                        faults,
                        current().label()));
            }
            reps.clear();
            faults.clear();
            from = at;
        }
    }
}
