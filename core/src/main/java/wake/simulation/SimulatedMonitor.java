package wake.simulation;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.movement.Modality;
import wake.trace.Trace;
import wake.trace.Trace.Sample;
import wake.units.ErgPower;
import wake.units.Unit;
import wake.workout.Segment;

/**
 * A stand-in for an erg monitor and a heart-rate strap: what they would have noted, second by second, while a simulated athlete was at
 * work. Distance grows while the athlete is on a machine, the heart follows what is being done with a lag. Invented, like the athlete.
 */
public final class SimulatedMonitor {
    private static final double AT_REST = 96;
    private static final double AT_WORK = 168;
    private static final double DRIFT = 16;
    private static final double RISES_S = 35;
    private static final double FALLS_S = 55;
    private static final double STROKES = 27;
    private static final long SECOND_MS = 1000;
    /** Metres on a machine for a calorie, where a pace says nothing of them: about 2:00 per 500 m. */
    private static final double METRES_PER_CALORIE = 15;

    private SimulatedMonitor() {}

    /**
     * What was noted.
     *
     * @param attempt the athlete's way through
     * @param earlyMs how long before "go" the devices were started
     * @param seed of the scatter
     */
    public static Trace of(SimulatedAttempt attempt, long earlyMs, long seed) {
        AttemptLog log = AttemptLog.of(attempt.expanded(), attempt.truth());
        SplittableRandom random = new SplittableRandom(seed);
        List<Sample> samples = new ArrayList<>();
        double metres = 0;
        double heart = AT_REST + 10;
        int index = 0;
        long end = attempt.clockMs() + 20 * SECOND_MS;
        for (long at = -earlyMs; at <= end && samples.size() < Trace.MOST_SAMPLES; at += SECOND_MS) {
            while (index < log.splits().size() && log.splits().get(index).endMs() <= at) {
                index++;
            }
            boolean running = at >= 0 && index < log.splits().size();
            SegmentSplit split = running ? log.splits().get(index) : null;
            double speed = split == null ? 0 : metresPerSecond(split, at);
            metres += speed;
            double aim = split == null || resting(split, at)
                    ? AT_REST + 30
                    : AT_WORK + DRIFT * at / Math.max(1, attempt.clockMs());
            aim = at < 0 ? AT_REST + 10 : aim;
            heart += (aim - heart) / (aim > heart ? RISES_S : FALLS_S);
            samples.add(new Sample(
                    at + earlyMs,
                    OptionalDouble.of(tenth(metres)),
                    speed > 0 ? OptionalDouble.of(tenth(500 / speed)) : OptionalDouble.empty(),
                    speed > 0 ? OptionalDouble.of(Math.round(STROKES + random.nextDouble(3))) : OptionalDouble.empty(),
                    OptionalDouble.of(Math.round(heart + random.nextDouble(2) - 1))));
        }
        return new Trace(samples);
    }

    private static double tenth(double value) {
        return Math.round(10 * value) / 10.0;
    }

    private static boolean resting(SegmentSplit split, long at) {
        return at < split.beginMs().orElse(split.arrivalMs())
                || split.rests().stream().anyMatch(rest -> at >= rest.startMs() && at < rest.endMs());
    }

    /** How fast the machine goes at a second of the clock; 0 while nobody is on it. */
    private static double metresPerSecond(SegmentSplit split, long at) {
        Segment segment = split.segment();
        if (segment.movement().modality() != Modality.CYCLIC || resting(split, at) || split.workMs() <= 0) {
            return 0;
        }
        double seconds = split.workMs() / 1000.0;
        if (segment.metres() > 0) {
            return segment.metres() / seconds;
        }
        if (segment.amount().unit() != Unit.CALORIE) {
            return 0;
        }
        double perCalorie = seconds / segment.units();
        return ErgPower.ofSecondsPerCalorie(perCalorie)
                .map(power -> 1 / power.secondsPerMetre())
                .orElse(METRES_PER_CALORIE / perCalorie);
    }
}
