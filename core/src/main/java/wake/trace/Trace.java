package wake.trace;

import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Function;
import wake.units.InvalidInput;

/**
 * What a device noted, in order of its own clock.
 *
 * @param samples at least two, each later than the one before
 */
public record Trace(List<Sample> samples) {
    /** Five hours and a half of seconds. */
    public static final int MOST_SAMPLES = 20_000;

    /** Figures further apart tell nothing of what lies between them. */
    private static final long FAR_MS = 10_000;

    /** @throws InvalidInput with fewer than two moments, or more than can be held */
    public Trace {
        samples = List.copyOf(samples);
        if (samples.size() < 2) {
            throw new InvalidInput("At least two moments are needed, not " + samples.size());
        }
        if (samples.size() > MOST_SAMPLES) {
            throw new InvalidInput(MOST_SAMPLES + " moments at most; this one has " + samples.size());
        }
    }

    /**
     * One moment; what the device did not note is absent.
     *
     * @param atMs on the device's own clock, from its start
     * @param metres covered so far
     * @param secondsPer500 the pace it showed
     * @param strokesPerMinute strokes, or steps
     * @param beatsPerMinute the heart
     */
    public record Sample(
            long atMs,
            OptionalDouble metres,
            OptionalDouble secondsPer500,
            OptionalDouble strokesPerMinute,
            OptionalDouble beatsPerMinute) {}

    /** What can be drawn of a trace. */
    public enum Series {
        HEART("heart rate", "beats/min", Sample::beatsPerMinute),
        PACE("pace", "s /500 m", Sample::secondsPer500),
        STROKES("stroke rate", "strokes/min", Sample::strokesPerMinute);

        private final String words;
        private final String unit;
        private final Function<Sample, OptionalDouble> of;

        Series(String words, String unit, Function<Sample, OptionalDouble> of) {
            this.words = words;
            this.unit = unit;
            this.of = of;
        }

        public String words() {
            return words;
        }

        public String unit() {
            return unit;
        }

        public OptionalDouble of(Sample sample) {
            return of.apply(sample);
        }
    }

    public long lengthMs() {
        return samples.getLast().atMs() - samples.getFirst().atMs();
    }

    /** Whether any moment tells it. */
    public boolean has(Series series) {
        return samples.stream().anyMatch(sample -> series.of(sample).isPresent());
    }

    public boolean tellsDistance() {
        return samples.stream().anyMatch(sample -> sample.metres().isPresent());
    }

    /** A figure at a moment of the device's clock: even between the moments around it; empty where they are further than ten seconds apart. */
    public OptionalDouble at(Function<Sample, OptionalDouble> of, long ms) {
        Sample before = null;
        for (Sample sample : samples) {
            if (of.apply(sample).isEmpty()) {
                continue;
            }
            if (sample.atMs() >= ms) {
                return between(before == null ? sample : before, sample, of, ms);
            }
            before = sample;
        }
        return before != null && ms - before.atMs() <= FAR_MS ? of.apply(before) : OptionalDouble.empty();
    }

    private static OptionalDouble between(Sample a, Sample b, Function<Sample, OptionalDouble> of, long ms) {
        long span = b.atMs() - a.atMs();
        if (span > FAR_MS || ms < a.atMs() - FAR_MS) {
            return OptionalDouble.empty();
        }
        double share = span == 0 ? 0 : Math.clamp((double) (ms - a.atMs()) / span, 0, 1);
        double from = of.apply(a).orElseThrow();
        return OptionalDouble.of(from + share * (of.apply(b).orElseThrow() - from));
    }
}
