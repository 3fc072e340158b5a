package wake.projection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wake.log.Score;
import wake.log.ScoreReader;
import wake.units.InvalidInput;
import wake.units.Lengths;
import wake.workout.ExpandedWorkout;

/** The scores of others at the same part, and the place a score takes among them. */
public final class Ranking {
    private static final Pattern LAST_WORDS = Pattern.compile(
            "(?:.*[\\s,;])??(cap ?\\+ ?\\d+|[\\d:.]+(?: ?(?:rounds?)? ?\\+ ?\\d+)?(?: ?(?:rounds?|reps?))?)");

    private Ranking() {}

    /**
     * Reads a list of scores, one to a line, the best first or not; what stands before a score on its line is left aside.
     *
     * @return the scores, the best first
     * @throws InvalidInput naming the first line that ends in no score
     */
    public static List<Score> read(String text, ExpandedWorkout expanded) {
        List<Score> scores = new ArrayList<>();
        String[] lines = text.split("\\R", -1);
        for (int i = 0; i < lines.length; i++) {
            String line = lines[i].strip().toLowerCase(Locale.ROOT);
            if (line.isEmpty()) {
                continue;
            }
            try {
                Matcher last = LAST_WORDS.matcher(Lengths.line(line));
                scores.add(ScoreReader.read(last.matches() ? last.group(1) : line, expanded));
            } catch (InvalidInput unfit) {
                throw new InvalidInput("Line " + (i + 1) + ": " + unfit.getMessage(), unfit);
            }
        }
        Comparator<Score> better = Score::compare;
        scores.sort(better.reversed());
        return scores;
    }

    /** The place a score would take among others, from 1; equal scores share a place. */
    public static int place(Score score, List<Score> others) {
        return 1
                + (int) others.stream()
                        .filter(other -> Score.compare(other, score) > 0)
                        .count();
    }
}
