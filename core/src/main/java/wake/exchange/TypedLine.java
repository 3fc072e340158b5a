package wake.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.regex.Pattern;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.units.Unit;

/**
 * One line of jotted times, taken apart: {@code 8 0:16 rest 0:05}, {@code round 2 ⇥ 2:11 ⇥ 3:47}, {@code stop 9:00 +17}. What has a colon,
 * a decimal point or an s behind it is a time; what has a unit behind it, or an {@code @} before it, belongs to the workout; a whole
 * number is reps, or seconds where there is no other time and no word behind it. What is left says nothing, and is an error.
 *
 * @param reps the reps of a set
 * @param times the times, in order, rest left out
 * @param rest the rest after a set
 * @param stops whether it is the stop or buzzer
 * @param more what was done at the stop beyond the lines above
 * @param stepS the worth of the coarsest last digit written, in seconds
 * @param unused words and numbers that say nothing a line can hold, in order
 */
record TypedLine(
        OptionalInt reps,
        List<Long> times,
        Optional<Long> rest,
        boolean stops,
        OptionalInt more,
        double stepS,
        List<String> unused) {
    private static final Pattern BREAKS = Pattern.compile("[\\s,;|·=()\\[\\]]+");
    private static final Pattern CLOCK = Pattern.compile("(?:\\d{1,2}:)?\\d{1,3}:\\d{2}(?:[.]\\d{1,3})?");
    private static final Pattern SECONDS = Pattern.compile("\\d{1,4}[.]\\d{1,3}s?|\\d{1,4}s");
    private static final Pattern WHOLE = Pattern.compile("\\d{1,4}");
    private static final Pattern ORDINAL = Pattern.compile("\\d{1,3}[.)]");
    private static final Set<String> STOPS = Set.of("stop", "stopped", "bell", "cap", "time");
    private static final Set<String> IN_SECONDS = Set.of("s", "sec", "secs", "second", "seconds");
    private static final Set<String> REPS = Set.of("rep", "reps");
    private static final Set<String> COUNTED_OFF = Set.of("round", "rd", "set", "interval");
    private static final int MILLIS = 1000;

    TypedLine {
        times = List.copyOf(times);
        unused = List.copyOf(unused);
    }

    /**
     * Takes a line apart.
     *
     * @param line without the label of what it stands for
     * @param sets whether the first whole number is the reps of a set
     * @throws InvalidInput when a time is none
     */
    static TypedLine of(String line, boolean sets) {
        return new Reader(line, sets).read();
    }

    private static final class Reader {
        private final String[] words;
        private final boolean sets;
        private final List<Long> times = new ArrayList<>();
        private OptionalInt reps = OptionalInt.empty();
        private OptionalInt more = OptionalInt.empty();
        private Optional<Long> rest = Optional.empty();
        private Optional<String> whole = Optional.empty();
        private final List<String> unused = new ArrayList<>();
        private boolean stops;
        private boolean resting;
        private double step;
        private int at;

        Reader(String line, boolean sets) {
            this.words = BREAKS.split(line.toLowerCase(Locale.ROOT)
                    .replace("+", " + ")
                    .replace("@", " @ ")
                    .strip());
            this.sets = sets;
        }

        TypedLine read() {
            if (words.length > 0 && ORDINAL.matcher(words[0]).matches()) {
                at++;
            }
            while (at < words.length) {
                word(words[at++]);
            }
            boolean aTime = times.isEmpty() && whole.isPresent() && more.isEmpty();
            if (aTime) {
                times.add(Long.parseLong(whole.get()) * MILLIS);
                step = Math.max(step, 1);
            }
            if (!aTime) {
                whole.ifPresent(unused::add);
            }
            return new TypedLine(reps, times, rest, stops || more.isPresent(), more, step == 0 ? 1 : step, unused);
        }

        private String ahead() {
            return at < words.length ? words[at] : "";
        }

        private void word(String word) {
            if (word.equals("@")) {
                at += Unit.ofSymbol(at + 1 < words.length ? words[at + 1] : "").isPresent() ? 2 : 1;
            } else if (word.equals("+")) {
                if (WHOLE.matcher(ahead()).matches()) {
                    more.ifPresent(before -> unused.add(Integer.toString(before)));
                    more = OptionalInt.of(Integer.parseInt(words[at++]));
                }
            } else if (CLOCK.matcher(word).matches()) {
                time(word);
            } else if (SECONDS.matcher(word).matches()) {
                if (inUnits()) {
                    at++;
                } else {
                    time(word);
                }
            } else if (WHOLE.matcher(word).matches()) {
                number(word);
            } else if (COUNTED_OFF.contains(word) && WHOLE.matcher(ahead()).matches()) {
                at++;
            } else {
                boolean stop = STOPS.contains(word);
                resting = word.equals("rest");
                stops |= stop;
                if (!resting && !stop && !word.isEmpty()) {
                    unused.add(word);
                }
            }
        }

        /** Whether a word behind a number says what it is a number of, rather than what comes next. */
        private static boolean namesWork(String word) {
            return !word.isEmpty()
                    && Character.isLetter(word.charAt(0))
                    && !word.equals("rest")
                    && !STOPS.contains(word);
        }

        private boolean inUnits() {
            return Unit.ofSymbol(ahead()).isPresent() && !IN_SECONDS.contains(ahead());
        }

        private void time(String word) {
            step = Math.max(step, step(word));
            if (resting) {
                rest.ifPresent(before -> unused.add(ClockTime.of(before).toTenths()));
                rest = Optional.of(ms(word));
            } else {
                times.add(ms(word));
            }
            resting = false;
            if (IN_SECONDS.contains(ahead())) {
                at++;
            }
        }

        private void number(String word) {
            boolean seconds = IN_SECONDS.contains(ahead());
            boolean counted = REPS.contains(ahead());
            if (seconds || resting) {
                time(word + "s");
            } else if (sets && reps.isEmpty() && !stops) {
                reps = OptionalInt.of(Integer.parseInt(word));
                at += counted || inUnits() ? 1 : 0;
            } else if (counted || stops && !times.isEmpty()) {
                more = OptionalInt.of(Integer.parseInt(word));
                at += counted ? 1 : 0;
            } else if (inUnits()) {
                at++;
            } else if (!namesWork(ahead())) {
                whole.ifPresent(unused::add);
                whole = Optional.of(word);
            }
        }
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
