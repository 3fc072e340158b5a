package wake.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.LongStream;
import wake.plan.StrategyIntervals.Piece;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;

/**
 * Spends the same total another way: what a pacing strategy does to the pace of each round. Transitions and rests stay as they
 * are, the reps get slower or faster. Finishing clocks agree to the millisecond.
 *
 * <p>How far the strategies bend a plan is common practice, no source: a push of 5 % over the last three minutes, a first round
 * 5 % faster than the last, 12 s left in each interval round.
 */
final class Shaping {
    private static final double PUSH = 0.05;
    private static final long PUSH_OVER_MS = 180_000;
    private static final double BANKED = 0.05;
    private static final long INTERVAL_REST_MS = 12_000;
    /** Work shorter than this share of what was planned is not a pace any more. */
    private static final double LEAST_WORK = 0.4;

    private Shaping() {}

    /** The plan the way a strategy spends it; empty where the strategy does not apply. */
    static Optional<List<PlannedSegment>> shaped(
            ExpandedWorkout expanded, List<PlannedSegment> even, PacingStrategy strategy) {
        if (expanded.format() instanceof Format.Every || expanded.format() instanceof Format.Lift) {
            return strategy == PacingStrategy.EVEN ? Optional.of(even) : Optional.empty();
        }
        List<Piece> pieces = StrategyIntervals.of(expanded, even).pieces();
        if (strategy == PacingStrategy.EVEN) {
            return Optional.of(even);
        }
        if (pieces.size() < 2) {
            return Optional.empty();
        }
        return switch (strategy) {
            case EVEN -> Optional.of(even);
            case KICK -> paced(even, pieces, kick(even, pieces));
            case BANK -> paced(even, pieces, bank(pieces.size()));
            case INTERVAL -> intervals(even, pieces);
        };
    }

    /** Relative speeds: what begins in the last three minutes is pushed; at least the last piece, never more than half. */
    private static double[] kick(List<PlannedSegment> even, List<Piece> pieces) {
        double[] speeds = new double[pieces.size()];
        long left = 0;
        for (int i = speeds.length - 1; i >= 0; i--) {
            left += pieces.get(i).ms(even);
            boolean late = i == speeds.length - 1 || (left <= PUSH_OVER_MS && i >= speeds.length / 2);
            speeds[i] = late ? 1 + PUSH : 1;
        }
        return speeds;
    }

    private static double[] bank(int count) {
        double[] speeds = new double[count];
        Arrays.setAll(speeds, i -> 1 + BANKED / 2 - BANKED * i / (count - 1));
        return speeds;
    }

    /** The same work in all, shared out so that each piece goes at its relative speed. */
    private static Optional<List<PlannedSegment>> paced(
            List<PlannedSegment> even, List<Piece> pieces, double[] speeds) {
        double[] works = new double[speeds.length];
        Arrays.setAll(works, i -> pieces.get(i).workMs(even) / speeds[i]);
        long work = pieces.stream().mapToLong(piece -> piece.workMs(even)).sum();
        double factor = work / Arrays.stream(works).sum();
        List<PlannedSegment> shaped = new ArrayList<>(even);
        long given = 0;
        double exact = 0;
        for (int i = 0; i < speeds.length; i++) {
            Piece piece = pieces.get(i);
            for (int at = piece.from(); at < piece.to(); at++) {
                exact += even.get(at).workMs() / speeds[i] * factor;
                long upTo = Math.round(exact);
                shaped.set(at, even.get(at).withWork(upTo - given));
                given = upTo;
            }
        }
        return Optional.of(shaped);
    }

    /** Rounds of equal length on their marks, the last without its rest, so that the total stays. */
    private static Optional<List<PlannedSegment>> intervals(List<PlannedSegment> even, List<Piece> pieces) {
        long total = pieces.stream().mapToLong(piece -> piece.ms(even)).sum();
        int count = pieces.size();
        long[] ends = LongStream.rangeClosed(1, count)
                .map(i -> Math.round((total + INTERVAL_REST_MS) * (double) i / count))
                .toArray();
        List<PlannedSegment> shaped = new ArrayList<>(even);
        long start = 0;
        for (int i = 0; i < count; i++) {
            Piece piece = pieces.get(i);
            long active = ends[i] - start - INTERVAL_REST_MS;
            long work = piece.workMs(even);
            long newWork = active - (piece.ms(even) - work);
            if (newWork < LEAST_WORK * work) {
                return Optional.empty();
            }
            spread(shaped, piece, work, newWork);
            if (i > 0) {
                PlannedSegment first = shaped.get(piece.from());
                shaped.set(piece.from(), first.waitingForItsMark(INTERVAL_REST_MS));
            }
            start = ends[i];
        }
        return Optional.of(shaped);
    }

    private static void spread(List<PlannedSegment> shaped, Piece piece, long work, long newWork) {
        long before = 0;
        long given = 0;
        for (int at = piece.from(); at < piece.to(); at++) {
            before += shaped.get(at).workMs();
            long upTo = Math.round((double) newWork * before / Math.max(1, work));
            shaped.set(at, shaped.get(at).withWork(upTo - given));
            given = upTo;
        }
    }
}
