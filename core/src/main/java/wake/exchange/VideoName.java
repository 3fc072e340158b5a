package wake.exchange;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wake.units.Lengths;

/**
 * What the name of a video tells: "athlete - workout - date", parted by dashes with spaces, underscores or commas, in any order. Names may be
 * cut short as long as they say who and what is meant.
 *
 * @param athlete its place on the roster; empty where that is not logged, or not clear
 * @param workout its place in the library; likewise
 * @param on the day; empty where none is given
 * @param problem what is missing or unclear; empty when nothing is
 */
public record VideoName(OptionalInt athlete, OptionalInt workout, Optional<LocalDate> on, String problem) {
    private static final Pattern ISO = Pattern.compile("(\\d{4})[-.]?(\\d{2})[-.]?(\\d{2})");
    private static final Pattern DAY_FIRST = Pattern.compile("(\\d{1,2})[.](\\d{1,2})[.](\\d{4})");

    /** Reads a name, with or without its ending. */
    public static VideoName read(String file, List<String> roster, List<String> library) {
        String last = file.substring(Math.max(file.lastIndexOf('/'), file.lastIndexOf('\\')) + 1);
        String name = Lengths.line(last).replaceAll("\\s+", " ").replaceFirst("[.][A-Za-z0-9]{2,5}$", "");
        List<String> parts = new ArrayList<>();
        Optional<LocalDate> on = Optional.empty();
        for (String part : name.split(" [-–—]+ |_+| ?, ?")) {
            Optional<LocalDate> day = day(part.strip());
            if (day.isPresent()) {
                on = day;
            } else if (!part.isBlank()) {
                parts.add(part.strip());
            }
        }
        OptionalInt athlete = OptionalInt.empty();
        OptionalInt workout = OptionalInt.empty();
        List<String> unclear = new ArrayList<>();
        for (String part : parts) {
            List<Integer> who = NameMatch.meant(part, roster);
            List<Integer> what = NameMatch.meant(part, library);
            if (athlete.isEmpty() && who.size() == 1) {
                athlete = OptionalInt.of(who.getFirst());
            } else if (workout.isEmpty() && what.size() == 1) {
                workout = OptionalInt.of(what.getFirst());
            } else if (who.size() > 1 || what.size() > 1) {
                unclear.add("\"" + part + "\" matches several");
            }
        }
        return new VideoName(athlete, workout, on, problem(athlete, workout, on, unclear));
    }

    private static Optional<LocalDate> day(String part) {
        Matcher iso = ISO.matcher(part);
        Matcher dayFirst = DAY_FIRST.matcher(part);
        try {
            if (iso.matches()) {
                return Optional.of(LocalDate.of(number(iso, 1), number(iso, 2), number(iso, 3)));
            }
            if (dayFirst.matches()) {
                return Optional.of(LocalDate.of(number(dayFirst, 3), number(dayFirst, 2), number(dayFirst, 1)));
            }
        } catch (DateTimeException noDay) {
            return Optional.empty();
        }
        return Optional.empty();
    }

    private static int number(Matcher matcher, int group) {
        return Integer.parseInt(matcher.group(group));
    }

    private static String problem(
            OptionalInt athlete, OptionalInt workout, Optional<LocalDate> on, List<String> unclear) {
        List<String> missing = new ArrayList<>(unclear);
        if (athlete.isEmpty()) {
            missing.add("no athlete");
        }
        if (workout.isEmpty()) {
            missing.add("no workout");
        }
        if (on.isEmpty()) {
            missing.add("no date");
        }
        return missing.isEmpty() ? "" : String.join(", ", missing) + ".";
    }
}
