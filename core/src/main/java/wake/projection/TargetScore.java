package wake.projection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.units.ClockTime;
import wake.workout.Course;
import wake.workout.Format;

/** Scores as coaches write them, for the part an attempt is at: {@code 9:42.5}, {@code 7+12}, {@code 180 reps}, {@code cap+12}. */
public final class TargetScore {
    private static final Pattern ROUNDS = Pattern.compile("(\\d{1,3}) ?(?:rounds?)? ?(?:\\+ ?(\\d{1,4}))?");
    private static final Pattern REPS = Pattern.compile("(\\d{1,6}) ?(?:reps?)?");
    private static final Pattern MISSING = Pattern.compile("cap ?\\+ ?(\\d{1,5})");
    private static final Pattern LAST_WORDS = Pattern.compile(
            "(?:.*[\\s,;])??(cap ?\\+ ?\\d+|[\\d:.]+(?: ?(?:rounds?)? ?\\+ ?\\d+)?(?: ?(?:rounds?|reps?))?)");
    private static final int MOST_ROUNDS = 400;

    private TargetScore() {}

    /**
     * Reads a score.
     *
     * @throws IllegalArgumentException when it is none for this part
     */
    public static Score parse(String text, AttemptLog log) {
        String plain = text.strip().toLowerCase(Locale.ROOT);
        Course course = log.course();
        return switch (log.score()) {
            case Score.Load load -> throw new IllegalArgumentException("A lift window has no clock to replay");
            case Score.Rounds rounds -> rounds(plain, text, course);
            case Score.Reps reps -> new Score.Reps(log.clockMs(), reps(plain, text));
            case Score.Finished finished -> timeOrMissing(plain, text, course);
            case Score.Capped capped -> timeOrMissing(plain, text, course);
            case Score.Partial partial -> timeOrMissing(plain, text, course);
        };
    }

    /** A score as a coach might write it for a course. */
    public static String example(Course course) {
        if (course.format() instanceof Format.Every) {
            return "180";
        }
        return course.isOpen() ? "7+12" : "8:45";
    }

    private static Score timeOrMissing(String plain, String text, Course course) {
        int all = course.totalScore();
        Matcher missing = MISSING.matcher(plain);
        long cap = course.capMs().orElse(0);
        if (missing.matches() && cap > 0) {
            int left = Math.min(all, Integer.parseInt(missing.group(1)));
            return new Score.Capped(cap, all - left, left);
        }
        Matcher reps = REPS.matcher(plain);
        if (reps.matches() && cap > 0 && Integer.parseInt(reps.group(1)) <= all) {
            int done = Integer.parseInt(reps.group(1));
            return new Score.Capped(cap, done, all - done);
        }
        try {
            long ms = ClockTime.parse(plain).ms();
            if (ms > 0) {
                return new Score.Finished(ms, all);
            }
        } catch (IllegalArgumentException unfit) {
            // Said below with what this workout expects.
        }
        throw new IllegalArgumentException(
                "Expected a time as \"9:42\"" + (cap > 0 ? " or \"cap+12\"" : "") + ", got \"" + text.strip() + "\"");
    }

    private static Score rounds(String plain, String text, Course course) {
        Matcher matcher = ROUNDS.matcher(plain);
        if (!matcher.matches() || Integer.parseInt(matcher.group(1)) > MOST_ROUNDS) {
            throw new IllegalArgumentException(
                    "Expected rounds and reps, as in \"7+12\" or \"7\", got \"" + text.strip() + "\"");
        }
        int rounds = Integer.parseInt(matcher.group(1));
        int extra = matcher.group(2) == null ? 0 : Integer.parseInt(matcher.group(2));
        int before = 0;
        int whole = course.roundStart(rounds + 1);
        for (int i = rounds == 0 ? whole : 0; i < whole; i++) {
            before += course.segment(i).score();
        }
        return new Score.Rounds(course.capMs().orElse(0), rounds, extra, before + extra);
    }

    private static int reps(String plain, String text) {
        Matcher matcher = REPS.matcher(plain);
        if (!matcher.matches()) {
            throw new IllegalArgumentException(
                    "Expected a number of reps, as in \"180\", got \"" + text.strip() + "\"");
        }
        return Integer.parseInt(matcher.group(1));
    }

    /**
     * Reads a list of scores, one to a line, the best first or not; what stands before a score on its line is left aside.
     *
     * @return the scores, the best first
     * @throws IllegalArgumentException naming the first line that ends in no score
     */
    public static List<Score> list(String text, AttemptLog log) {
        List<Score> scores = new ArrayList<>();
        String[] lines = text.split("\\R", -1);
        for (int i = 0; i < lines.length; i++) {
            String line = lines[i].strip().toLowerCase(Locale.ROOT);
            if (line.isEmpty()) {
                continue;
            }
            Matcher last = LAST_WORDS.matcher(line);
            try {
                scores.add(parse(last.matches() ? last.group(1) : line, log));
            } catch (IllegalArgumentException unfit) {
                throw new IllegalArgumentException("Line " + (i + 1) + ": " + unfit.getMessage(), unfit);
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
