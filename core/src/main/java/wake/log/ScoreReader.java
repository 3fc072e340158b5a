package wake.log;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;

/**
 * Scores as coaches write them, for a part: {@code 9:42.5}, {@code cap+12} or {@code 10:00 + 12 missing} with the cap as a clock, {@code 7+12},
 * {@code 7 rounds}, {@code 180 reps}: a number with its unit is reps everywhere; alone it is rounds, or reps where the part is scored by them; alone and as
 * large as a whole round it could be either, and is asked about.
 */
public final class ScoreReader {
    /** What stands beside the reps of a capped attempt as Wake writes it. */
    private static final String BESIDE = " \\(cap \\+ \\d{1,6}\\)$";

    private static final Pattern ROUNDS =
            Pattern.compile("(\\d{1,3})(?:\\s*(?:rounds?)?\\s*\\+\\s*(\\d{1,4})(?:\\s*reps?)?|\\s*rounds?|)");
    private static final Pattern ALL_REPS = Pattern.compile("(\\d{1,6})\\s*reps?");
    private static final Pattern REPS = Pattern.compile("(\\d{1,6})\\s*(?:reps?)?");
    private static final Pattern BARE = Pattern.compile("\\d+");
    private static final Pattern MISSING =
            Pattern.compile("(cap|\\d{1,3}:\\d{2})\\s*\\+\\s*(\\d{1,5})(?:\\s*reps?)?(?:\\s*missing)?");
    /** More rounds than anybody does in a day. */
    private static final int MOST_ROUNDS = 400;

    private ScoreReader() {}

    /**
     * Reads a score.
     *
     * @throws InvalidInput when it is none that the part can have
     */
    public static Score read(String text, ExpandedWorkout expanded) {
        if (expanded.format() instanceof Format.Lift) {
            throw new InvalidInput("A max-lift window is scored by its lifts");
        }
        if (expanded.isOpen()) {
            return rounds(text, expanded);
        }
        if (expanded.format() instanceof Format.Every) {
            return new Score.Reps(expanded.capMs().orElse(0), reps(text));
        }
        return timeOrMissing(text, expanded);
    }

    /** A score as a coach might write it for a part. */
    public static String example(ExpandedWorkout expanded) {
        if (expanded.format() instanceof Format.Lift) {
            return "85 kg";
        }
        if (expanded.format() instanceof Format.Every) {
            return "180";
        }
        if (expanded.scoresReps()) {
            return "112";
        }
        return expanded.isOpen() ? "7+12" : "8:45";
    }

    /**
     * Rounds, and what was done of the next.
     *
     * @throws InvalidInput where the text is no score in rounds, or could be rounds as well as reps
     */
    public static Score.Rounds rounds(String text, ExpandedWorkout expanded) {
        // The rounds beside the reps say the same again.
        Matcher all = (expanded.scoresReps() ? REPS : ALL_REPS)
                .matcher(plain(text).replaceFirst("(\\d\\s*reps?)\\s*\\(.*\\)$", "$1"));
        if (all.matches()) {
            return ofReps(Integer.parseInt(all.group(1)), text, expanded);
        }
        Matcher matcher = ROUNDS.matcher(plain(text));
        if (!matcher.matches() || Integer.parseInt(matcher.group(1)) > MOST_ROUNDS) {
            throw unlike(
                    expanded.scoresReps()
                            ? "reps, like \"180\", or rounds and reps, like \"7+12\" or \"7 rounds\""
                            : "rounds and reps, like \"7+12\" or \"7\", or \"180 reps\"",
                    text);
        }
        int rounds = Integer.parseInt(matcher.group(1));
        if (BARE.matcher(plain(text)).matches() && !expanded.scoresReps() && rounds >= firstRound(expanded)) {
            throw new InvalidInput("\"" + rounds + "\" can be rounds or reps. Write \"" + rounds + " rounds\" or \""
                    + rounds + " reps\"");
        }
        int extra = matcher.group(2) == null ? 0 : Integer.parseInt(matcher.group(2));
        int before = 0;
        int whole = expanded.roundStart(rounds + 1);
        for (int i = rounds == 0 ? whole : 0; i < whole; i++) {
            before += expanded.segment(i).score();
        }
        return new Score.Rounds(expanded.capMs().orElse(0), rounds, extra, before + extra, expanded.scoresReps());
    }

    /** What one round counts: a bare number below it can hardly be reps. */
    private static int firstRound(ExpandedWorkout expanded) {
        int score = 0;
        for (int i = expanded.roundStart(1); i < expanded.roundStart(2); i++) {
            score += expanded.segment(i).score();
        }
        return score;
    }

    /** All reps done, a buy-in among them, as the rounds they make. */
    private static Score.Rounds ofReps(int reps, String text, ExpandedWorkout expanded) {
        int before = 0;
        int at = 0;
        for (int rounds = 0; rounds <= MOST_ROUNDS; rounds++) {
            int done = before;
            int whole = expanded.roundStart(rounds + 2);
            while (at < whole) {
                done += expanded.segment(at++).score();
            }
            if (done > reps) {
                return new Score.Rounds(
                        expanded.capMs().orElse(0),
                        rounds,
                        rounds == 0 ? reps : reps - before,
                        reps,
                        expanded.scoresReps());
            }
            before = done;
        }
        throw unlike("reps that can be done, like \"180 reps\"", text);
    }

    /**
     * A time above zero, milliseconds.
     *
     * @param expected what to say was expected where it is none
     * @throws InvalidInput where the text is no time
     */
    public static long time(String text, String expected) {
        try {
            long ms = ClockTime.parse(plain(text)).ms();
            if (ms > 0) {
                return ms;
            }
        } catch (InvalidInput unfit) {
            // Said below with what was expected here.
        }
        throw unlike(expected, text);
    }

    private static Score timeOrMissing(String text, ExpandedWorkout expanded) {
        String plain = plain(text).replaceFirst(BESIDE, "");
        int all = expanded.totalScore();
        long cap = expanded.capMs().orElse(0);
        Matcher missing = MISSING.matcher(plain);
        boolean ends = cap > 0 || !expanded.cutOffs().isEmpty();
        if (missing.matches() && ends) {
            int left = Math.min(all, Integer.parseInt(missing.group(2)));
            return new Score.Capped(end(missing.group(1), left, expanded, text), all - left, left);
        }
        Matcher reps = REPS.matcher(plain);
        if (reps.matches() && cap > 0 && Integer.parseInt(reps.group(1)) <= all) {
            int done = Integer.parseInt(reps.group(1));
            return new Score.Capped(expanded.buzzerMs(underWay(expanded, done)).orElse(cap), done, all - done);
        }
        long ms = time(text, "a time like \"9:42\"" + (cap > 0 ? " or \"cap+12\"" : ""));
        if (cap > 0 && ms > cap) {
            throw new InvalidInput(
                    "The cap is at " + ClockTime.of(cap).toSeconds() + ". Write what was missing, like \"cap+12\"");
        }
        return new Score.Finished(ms, all);
    }

    /** The clock of the cap, or of the cut-off, at which so much was missing. */
    private static long end(String written, int missing, ExpandedWorkout expanded, String text) {
        List<Long> ends = new ArrayList<>();
        expanded.cutOffs().forEach(cutOff -> ends.add(cutOff.byMs()));
        expanded.capMs().ifPresent(ends::add);
        long missed = expanded.buzzerMs(underWay(expanded, expanded.totalScore() - missing))
                .orElse(ends.getLast());
        if (written.equals("cap")) {
            return missed;
        }
        long at = ClockTime.parse(written).ms();
        if (!ends.contains(at)) {
            String clocks =
                    ends.stream().map(ms -> ClockTime.of(ms).toSeconds()).collect(Collectors.joining(" or "));
            throw unlike("the cap of " + clocks + " and what is missing", text);
        }
        if (at != missed) {
            throw new InvalidInput("With " + missing + " missing the attempt ended at "
                    + ClockTime.of(missed).toSeconds() + ": write \""
                    + ClockTime.of(missed).toSeconds() + " + "
                    + missing + "\"");
        }
        return at;
    }

    /** The segment under way when so much is done. */
    private static int underWay(ExpandedWorkout expanded, int done) {
        int index = 0;
        int left = done;
        while (expanded.has(index) && expanded.segment(index).score() <= left) {
            left -= expanded.segment(index).score();
            index++;
        }
        return index;
    }

    private static int reps(String text) {
        Matcher matcher = REPS.matcher(plain(text));
        if (!matcher.matches()) {
            throw unlike("a number of reps, like \"180\"", text);
        }
        return Integer.parseInt(matcher.group(1));
    }

    private static String plain(String text) {
        return text.strip().toLowerCase(Locale.ROOT);
    }

    private static InvalidInput unlike(String expected, String text) {
        return new InvalidInput("\"" + text.strip() + "\" does not fit. Write " + expected + ".");
    }
}
