package wake.field;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import wake.log.AttemptLog.TieBreak;
import wake.log.Score;
import wake.statistics.Statistics;

/** Attempts at one part of a workout in the order of their scores. */
public final class Standings {
    /** Equal scores go to the earlier clock at the last tie-break, then at the one before; who has no clock there comes after who has. */
    private static final Comparator<Entry> BEST_FIRST = Standings::better;

    private Standings() {}

    /**
     * One attempt where it stands.
     *
     * @param of which of those given
     * @param place 1 for the best; equal ones share it
     * @param percentile the share of all that scored less, with half of those equal, itself among them: percentile rank (Crocker &amp; Algina 1986)
     */
    public record Standing(int of, int place, double percentile) {}

    /** The best first. Equal scores are broken down by the clocks that decide between them, earliest first. */
    public static List<Standing> of(List<Entry> entries) {
        int all = entries.size();
        List<Integer> order = IntStream.range(0, all)
                .boxed()
                .sorted(Comparator.comparing(entries::get, BEST_FIRST))
                .toList();
        List<Standing> standings = new ArrayList<>(all);
        int first = 0;
        while (first < all) {
            int end = first + 1;
            while (end < all && better(entries.get(order.get(first)), entries.get(order.get(end))) == 0) {
                end++;
            }
            double percentile = Statistics.percentileRank(all - end, end - first, all);
            for (int of : order.subList(first, end)) {
                standings.add(new Standing(of, first + 1, percentile));
            }
            first = end;
        }
        return standings;
    }

    /** Below 0 where the first is the better. */
    private static int better(Entry one, Entry other) {
        int byScore = Score.compare(other.score(), one.score());
        if (byScore != 0) {
            return byScore;
        }
        int ones = one.tieBreaks().size();
        int others = other.tieBreaks().size();
        while (ones > 0 && others > 0) {
            TieBreak its = one.tieBreaks().get(--ones);
            TieBreak theirs = other.tieBreaks().get(--others);
            int byPlace = Integer.compare(theirs.lastIndex(), its.lastIndex());
            int byClock = byPlace == 0 ? Long.compare(its.clockMs(), theirs.clockMs()) : byPlace;
            if (byClock != 0) {
                return byClock;
            }
        }
        return Boolean.compare(others > 0, ones > 0);
    }
}
