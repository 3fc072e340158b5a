package wake.plan;

import java.util.ArrayList;
import java.util.List;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/**
 * A forecast cut into the pieces whose pace a pacing strategy varies: the rounds of the longest block where there are any,
 * else segment by segment.
 *
 * @param pieces the places of the segments of each piece, in order
 */
record StrategyIntervals(List<Piece> pieces) {
    StrategyIntervals {
        pieces = List.copyOf(pieces);
    }

    /** Segments from one place up to, not including, another. */
    record Piece(int from, int to) {
        long ms(List<PlannedSegment> segments) {
            return segments.subList(from, to).stream()
                    .mapToLong(PlannedSegment::totalMs)
                    .sum();
        }

        /** Without the rests that are prescribed and the waits for an interval to open. */
        long activeMs(List<PlannedSegment> segments) {
            return segments.subList(from, to).stream()
                    .mapToLong(PlannedSegment::activeMs)
                    .sum();
        }

        long workMs(List<PlannedSegment> segments) {
            return segments.subList(from, to).stream()
                    .mapToLong(PlannedSegment::workMs)
                    .sum();
        }
    }

    /** Of an open expanded workout the whole rounds before the buzzer. */
    static StrategyIntervals of(ExpandedWorkout expanded, List<PlannedSegment> segments) {
        int end = expanded.isOpen() ? wholeRoundsEnd(expanded, segments) : segments.size();
        boolean rounds = segments.subList(0, end).stream()
                .anyMatch(planned -> planned.segment().inRounds());
        List<Piece> pieces = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= end; i++) {
            boolean ends = i == end
                    || newRound(segments.get(i - 1).segment(), segments.get(i).segment(), rounds);
            if (ends) {
                if (!rounds || segments.get(from).segment().inRounds()) {
                    pieces.add(new Piece(from, i));
                }
                from = i;
            }
        }
        return new StrategyIntervals(pieces);
    }

    private static boolean newRound(Segment before, Segment after, boolean rounds) {
        return rounds ? !before.lap().equals(after.lap()) : !before.isPieceWith(after);
    }

    private static int wholeRoundsEnd(ExpandedWorkout expanded, List<PlannedSegment> segments) {
        long buzzer = expanded.capMs().orElse(Long.MAX_VALUE);
        long clock = 0;
        int complete = 0;
        while (complete < segments.size() && clock + segments.get(complete).totalMs() <= buzzer) {
            clock += segments.get(complete++).totalMs();
        }
        return expanded.currentRoundStart(complete);
    }
}
