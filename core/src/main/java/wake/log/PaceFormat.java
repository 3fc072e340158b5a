package wake.log;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import wake.movement.AirErg;
import wake.units.ClockTime;
import wake.units.Unit;
import wake.workout.Segment;

/** Paces and rep rates as text, in the unit coaches use for that kind of work. */
public final class PaceFormat {
    private static final double SECONDS_PER_HOUR = 3600;

    private PaceFormat() {}

    /** The pace or rep rate of a movement, from seconds per unit of its amount: "1,187 cal/h", "26 reps/min", "1:52.0 /500 m", "8.0 s /25 ft". */
    public static String of(Segment segment, double secondsPerUnit) {
        Unit unit = segment.amount().unit();
        return switch (unit.dimension()) {
            case ENERGY -> String.format(Locale.ROOT, "%,d cal/h", Math.round(SECONDS_PER_HOUR / secondsPerUnit));
            case LENGTH -> overDistance(segment, secondsPerUnit);
            case COUNT -> repsPerMinute(60 / secondsPerUnit);
            case TIME, MASS, SHARE -> String.format(Locale.ROOT, "%.2f s/%s", secondsPerUnit, unit.symbol());
        };
    }

    /** Two of them as a span, the lower figure first: "24–26 reps/min", "1:52.0–1:58.0 /500 m"; one where they read alike. */
    public static String span(Segment segment, double one, double other) {
        List<String> words = Stream.of(of(segment, one), of(segment, other))
                .distinct()
                .sorted(Comparator.comparingInt(String::length).thenComparing(Comparator.naturalOrder()))
                .toList();
        String first = words.getFirst();
        return words.size() == 1 ? first : first.substring(0, first.indexOf(' ')) + "–" + words.getLast();
    }

    /** "26 reps/min". */
    public static String repsPerMinute(double reps) {
        return String.format(Locale.ROOT, "%.0f reps/min", reps);
    }

    /** On a machine as it shows it; else a length by its seconds, and miles by the mile where the workout asks for them. */
    private static String overDistance(Segment segment, double secondsPerUnit) {
        Unit unit = segment.amount().unit();
        String movement = segment.movement().name();
        if (AirErg.is(movement) || unit != Unit.MILE && !segment.inLengths()) {
            return perDistance(movement, secondsPerUnit * Unit.METRE.to(unit, 1));
        }
        return segment.inLengths()
                ? String.format(
                        Locale.ROOT,
                        "%.1f s /%s",
                        secondsPerUnit * segment.amount().doubleValue(),
                        segment.amount())
                : clock(secondsPerUnit) + " /mi";
    }

    /** The same with the seconds, where a change smaller than the rounded figure matters: "26 reps/min (2.35 s/rep)". */
    public static String exact(Segment segment, double secondsPerUnit) {
        Unit unit = segment.amount().unit();
        String words = of(segment, secondsPerUnit);
        return switch (unit.dimension()) {
            case ENERGY, COUNT ->
                words
                        + String.format(
                                Locale.ROOT, " (%.2f s/%s)", secondsPerUnit, unit == Unit.REP ? "rep" : unit.symbol());
            default -> words;
        };
    }

    /** The distance a pace is said for: 500 m on the machines that show it so, else a kilometre. */
    private static int metresOf(String movement) {
        return AirErg.is(movement) ? 500 : 1000;
    }

    /** "1:52.0 /500 m", "4:40.0 /km". */
    public static String perDistance(String movement, double secondsPerMetre) {
        int metres = metresOf(movement);
        return clock(secondsPerMetre * metres) + (metres == 500 ? " /500 m" : " /km");
    }

    private static String clock(double seconds) {
        return ClockTime.of(Math.round(1000 * seconds)).toTenths();
    }
}
