package wake.log;

/**
 * A break inside a segment.
 *
 * @param startMs clock time of the break
 * @param endMs clock time of the start of the movement after it
 * @param inferred whether the end was worked out from the next rep rather than seen
 */
public record RestSplit(long startMs, long endMs, boolean inferred) {
    public long durationMs() {
        return endMs - startMs;
    }
}
