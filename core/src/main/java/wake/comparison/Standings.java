package wake.comparison;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import wake.log.AttemptLog;
import wake.log.Score;

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

    /**
     * What an attempt is ranked by.
     *
     * @param tieBreaksMs the clocks that decide between equal scores, milliseconds, by the segment they follow, the last first
     */
    record Entry(Score score, SortedMap<Integer, Long> tieBreaksMs) {
        Entry {
            SortedMap<Integer, Long> lastFirst = new TreeMap<>(Comparator.reverseOrder());
            lastFirst.putAll(tieBreaksMs);
            tieBreaksMs = Collections.unmodifiableSortedMap(lastFirst);
        }

        static Entry of(AttemptLog log) {
            return new Entry(
                    log.score(),
                    new TreeMap<>(log.tieBreaks().stream()
                            .collect(Collectors.toMap(AttemptLog.TieBreak::lastIndex, AttemptLog.TieBreak::clockMs))));
        }
    }

    /** The best first. Equal scores are broken down by the clocks that decide between them, earliest first. */
    public static List<Standing> of(List<AttemptLog> logs) {
        return ranked(logs.stream().map(Entry::of).toList());
    }

    static List<Standing> ranked(List<Entry> entries) {
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
            double percentile = 100 * (all - end + 0.5 * (end - first)) / all;
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
        Iterator<Map.Entry<Integer, Long>> ones = one.tieBreaksMs().entrySet().iterator();
        Iterator<Map.Entry<Integer, Long>> others =
                other.tieBreaksMs().entrySet().iterator();
        while (ones.hasNext() && others.hasNext()) {
            Map.Entry<Integer, Long> its = ones.next();
            Map.Entry<Integer, Long> theirs = others.next();
            int byPlace = Integer.compare(theirs.getKey(), its.getKey());
            int byClock = byPlace == 0 ? Long.compare(its.getValue(), theirs.getValue()) : byPlace;
            if (byClock != 0) {
                return byClock;
            }
        }
        return Boolean.compare(others.hasNext(), ones.hasNext());
    }
}
