package wake.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Pattern;
import wake.units.ClockTime;

/**
 * One line of jotted times, taken apart: {@code 8 0:16 rest 0:05}, {@code round 2 ⇥ 2:11 ⇥ 3:47}, {@code stop 9:00}. Words stand for
 * themselves; what has a colon, a decimal point or an s behind it is a time; a whole number is reps, or seconds where there is no
 * other time.
 *
 * @param reps the reps of a set
 * @param times the times, in order, rest left out
 * @param rest the rest after a set
 * @param stops whether it is the stop or bell
 * @param stepS the worth of the coarsest last digit written, in seconds
 */
record JottedLine(OptionalInt reps, List<Long> times, Optional<Long> rest, boolean stops, double stepS) {
    private static final Pattern BREAKS = Pattern.compile("[\\s,;|]+");
    private static final Pattern CLOCK = Pattern.compile("(?:\\d{1,2}:)?\\d{1,3}:\\d{2}(?:[.]\\d{1,3})?");
    private static final Pattern SECONDS = Pattern.compile("\\d{1,4}[.]\\d{1,3}s?|\\d{1,4}s");
    private static final Pattern WHOLE = Pattern.compile("\\d{1,4}");
    private static final Pattern STOPS = Pattern.compile("stop|bell|cap|time", Pattern.CASE_INSENSITIVE);
    private static final int MILLIS = 1000;

    JottedLine {
        times = List.copyOf(times);
    }

    /**
     * Takes a line apart.
     *
     * @param sets whether the first whole number is the reps of a set
     * @throws IllegalArgumentException when a time is none
     */
    static JottedLine of(String line, boolean sets) {
        List<Long> times = new ArrayList<>();
        OptionalInt reps = OptionalInt.empty();
        Optional<Long> rest = Optional.empty();
        Optional<String> whole = Optional.empty();
        boolean stops = false;
        boolean resting = false;
        double step = 0;
        for (String word : BREAKS.split(line.strip())) {
            boolean time =
                    CLOCK.matcher(word).matches() || SECONDS.matcher(word).matches();
            if (time) {
                step = Math.max(step, step(word));
                if (resting) {
                    rest = Optional.of(ms(word));
                } else {
                    times.add(ms(word));
                }
                resting = false;
            } else if (WHOLE.matcher(word).matches()) {
                if (resting) {
                    rest = Optional.of(Long.parseLong(word) * MILLIS);
                    step = Math.max(step, 1);
                    resting = false;
                } else if (sets && reps.isEmpty()) {
                    reps = OptionalInt.of(Integer.parseInt(word));
                } else {
                    whole = Optional.of(word);
                }
            } else {
                resting = word.toLowerCase(Locale.ROOT).equals("rest");
                stops |= STOPS.matcher(word).matches();
            }
        }
        if (times.isEmpty() && whole.isPresent()) {
            times.add(Long.parseLong(whole.get()) * MILLIS);
            step = Math.max(step, 1);
        }
        return new JottedLine(reps, times, rest, stops, step == 0 ? 1 : step);
    }

    private static long ms(String word) {
        if (word.indexOf(':') >= 0) {
            return ClockTime.parse(word).ms();
        }
        String number = word.endsWith("s") ? word.substring(0, word.length() - 1) : word;
        return Math.round(Double.parseDouble(number) * MILLIS);
    }

    private static double step(String word) {
        int point = word.indexOf('.');
        long digits = point < 0
                ? 0
                : word.substring(point + 1).chars().filter(Character::isDigit).count();
        return Math.pow(10, -digits);
    }
}
