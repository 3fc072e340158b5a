package wake.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How one movement is meant to go.
 *
 * @param transitionMs from the last rep of the movement before to the first action of this one
 * @param sets how its reps are cut
 * @param secondsPerUnit cadence while working: seconds per rep, calorie, metre … What can be meant depends on which: {@link Plan#meantFor}
 * @param restMs the break after each set but the last
 * @param longerRest the one break that is longer than the others, if there is one
 * @param missesMs time allowed for misses, no-reps and trips
 */
public record Pacing(
        long transitionMs,
        SetScheme sets,
        double secondsPerUnit,
        long restMs,
        Optional<LongerRest> longerRest,
        long missesMs) {
    private static final long LONGEST_PAUSE_MS = 3_600_000;
    private static final double SAME_CADENCE_S = 0.01;
    private static final long SAME_PAUSE_MS = 50;

    public Pacing {
        within("a transition", transitionMs);
        within("a rest", restMs);
        within("an allowance for misses", missesMs);
        if (!(secondsPerUnit > 0) || Double.isInfinite(secondsPerUnit)) {
            throw new IllegalArgumentException("Expected above 0 s per rep or unit, got " + secondsPerUnit);
        }
    }

    /**
     * The break that is longer than the others.
     *
     * @param afterSet after which set, from 1
     * @param ms how long
     */
    public record LongerRest(int afterSet, long ms) {
        public LongerRest {
            if (afterSet < 1) {
                throw new IllegalArgumentException("Expected the longer rest after set 1 or later, got " + afterSet);
            }
            within("a longer rest", ms);
        }
    }

    /** Pacing with equal rests and nothing allowed for misses. */
    public Pacing(long transitionMs, SetScheme sets, double secondsPerUnit, long restMs) {
        this(transitionMs, sets, secondsPerUnit, restMs, Optional.empty(), 0);
    }

    private static void within(String what, long ms) {
        if (ms < 0 || ms > LONGEST_PAUSE_MS) {
            throw new IllegalArgumentException("Expected " + what + " from 0 to 3600 s, got " + ms / 1000.0);
        }
    }

    /** Whether a coach would call it the same: equal to what a whiteboard shows, hundredths of a second a rep, tenths of a pause. */
    public boolean looksLike(Pacing other) {
        return sets.equals(other.sets)
                && longerRest.equals(other.longerRest)
                && Math.abs(secondsPerUnit - other.secondsPerUnit) < SAME_CADENCE_S
                && Math.abs(transitionMs - other.transitionMs) < SAME_PAUSE_MS
                && Math.abs(restMs - other.restMs) < SAME_PAUSE_MS
                && missesMs == other.missesMs;
    }

    /** The breaks between so many sets, in order. */
    public List<Long> rests(int sets) {
        List<Long> rests = new ArrayList<>();
        for (int after = 1; after < sets; after++) {
            int place = after;
            rests.add(longerRest
                    .filter(longer -> longer.afterSet() == place)
                    .map(LongerRest::ms)
                    .orElse(restMs));
        }
        return rests;
    }

    /** All breaks between so many sets. */
    public long restMs(int sets) {
        return rests(sets).stream().mapToLong(Long::longValue).sum();
    }

    /** The sets that so many reps fall into. */
    public List<Integer> sets(int reps) {
        return sets.sets(reps);
    }

    public Pacing withTransition(long ms) {
        return new Pacing(ms, sets, secondsPerUnit, restMs, longerRest, missesMs);
    }

    public Pacing withSets(SetScheme scheme) {
        return new Pacing(transitionMs, scheme, secondsPerUnit, restMs, longerRest, missesMs);
    }

    public Pacing withCadence(double seconds) {
        return new Pacing(transitionMs, sets, seconds, restMs, longerRest, missesMs);
    }

    public Pacing withRest(long ms) {
        return new Pacing(transitionMs, sets, secondsPerUnit, ms, longerRest, missesMs);
    }

    public Pacing withMisses(long ms) {
        return new Pacing(transitionMs, sets, secondsPerUnit, restMs, longerRest, ms);
    }

    /** Transition and rests longer or shorter by a factor. */
    public Pacing withPausesBy(double factor) {
        return new Pacing(
                Math.round(transitionMs * factor),
                sets,
                secondsPerUnit,
                Math.round(restMs * factor),
                longerRest.map(longer -> new LongerRest(longer.afterSet(), Math.round(longer.ms() * factor))),
                missesMs);
    }
}
