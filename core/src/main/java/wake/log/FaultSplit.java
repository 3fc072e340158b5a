package wake.log;

import java.util.OptionalLong;

/**
 * A fault and what it cost.
 *
 * @param kind no-rep, missed lift or trip
 * @param atMs clock time
 * @param costMs what it cost; empty when the reps around it were not tapped
 */
public record FaultSplit(MarkKind kind, long atMs, OptionalLong costMs) {}
