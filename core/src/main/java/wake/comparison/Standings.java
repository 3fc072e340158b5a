package wake.comparison;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import wake.log.AttemptLog;
import wake.log.Score;

/** Attempts at one part of a workout in the order of their scores. */
public final class Standings {
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
    public static List<Standing> of(List<AttemptLog> logs) {
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < logs.size(); i++) {
            order.add(i);
        }
        Comparator<AttemptLog> best = Standings::better;
        order.sort((a, b) -> best.compare(logs.get(a), logs.get(b)));
        List<Standing> standings = new ArrayList<>();
        int place = 1;
        for (int i = 0; i < order.size(); i++) {
            AttemptLog log = logs.get(order.get(i));
            if (i > 0 && best.compare(logs.get(order.get(i - 1)), log) != 0) {
                place = i + 1;
            }
            long worse =
                    logs.stream().filter(each -> best.compare(log, each) < 0).count();
            long equal =
                    logs.stream().filter(each -> best.compare(log, each) == 0).count();
            standings.add(new Standing(order.get(i), place, 100.0 * (worse + 0.5 * equal) / logs.size()));
        }
        return standings;
    }

    /** Below 0 where the first is the better. */
    private static int better(AttemptLog one, AttemptLog other) {
        int byScore = Score.compare(other.score(), one.score());
        if (byScore != 0) {
            return byScore;
        }
        List<AttemptLog.TieBreak> ones = one.tieBreaks();
        List<AttemptLog.TieBreak> others = other.tieBreaks();
        for (int i = 0; i < Math.min(ones.size(), others.size()); i++) {
            int byClock = Long.compare(ones.get(i).clockMs(), others.get(i).clockMs());
            if (byClock != 0) {
                return byClock;
            }
        }
        return Integer.compare(others.size(), ones.size());
    }
}
