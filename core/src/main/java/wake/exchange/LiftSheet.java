package wake.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import wake.exchange.TimeSheet.Row;
import wake.exchange.TimeSheet.Times;
import wake.log.Depth;
import wake.log.Lift;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Resolution;
import wake.units.ClockTime;
import wake.units.Quantity;
import wake.workout.Course;

/**
 * The lifts of a window as they were jotted, a line each: {@code 0:40 60 kg}, {@code 2:10 70 made}, {@code 4:30 75 miss}. A lift is made unless
 * the line says otherwise; a load without a unit has that of the line before, kilograms to begin with.
 */
final class LiftSheet {
    private static final Pattern LINE = Pattern.compile(
            "(?:\\d{1,2}[.)]\\s+)?(?:(\\d{1,3}:\\d{2}(?:[.]\\d)?)\\s+)?(\\d{1,4}(?:[.]\\d{1,2})?)\\s*(kg|lb)?(?:[\\s,]+([a-z-]+))?");
    private static final Set<String> MADE = Set.of("made", "good", "yes", "ok");
    private static final Set<String> MISSED = Set.of("miss", "missed", "fail", "failed", "no", "x", "no-lift");
    private static final String EXPECTED =
            "Expected the clock and the load, as in \"2:10 70 kg made\" or \"4:30 75 miss\"";

    private LiftSheet() {}

    static TimeSheet read(String text, Course course) {
        List<Row> rows = new ArrayList<>();
        List<Mark> marks = new ArrayList<>();
        String unit = "kg";
        Map<Integer, String> lines = TimeSheet.lines(text);
        for (Map.Entry<Integer, String> line : lines.entrySet()) {
            long before = marks.isEmpty() ? 0 : marks.getLast().atMs();
            try {
                Matcher matcher = LINE.matcher(line.getValue().toLowerCase(Locale.ROOT));
                if (!matcher.matches() || !known(matcher.group(4))) {
                    throw new IllegalArgumentException(EXPECTED);
                }
                unit = matcher.group(3) == null ? unit : matcher.group(3);
                Quantity load = Lift.load(matcher.group(2) + " " + unit)
                        .filter(told -> told.value().signum() > 0)
                        .orElseThrow(() -> new IllegalArgumentException(EXPECTED));
                long at = clock(matcher.group(1), before, course, lines.size() == 1);
                boolean made = !MISSED.contains(String.valueOf(matcher.group(4)));
                double u = matcher.group(1) == null
                        ? Resolution.ofTyped(at / 1000.0)
                        : Resolution.ofTyped(matcher.group(1).contains(".") ? 0.1 : 1);
                marks.add(new Mark(
                        new UUID(1, marks.size()), MarkKind.LIFT, at, made ? 1 : 0, Depth.SET, "", load.toString(), u));
                rows.add(new Row(
                        line.getKey(),
                        load + (made ? ", made" : ", missed"),
                        Optional.empty(),
                        OptionalLong.empty(),
                        OptionalLong.of(at),
                        0,
                        Optional.empty()));
            } catch (IllegalArgumentException unfit) {
                rows.add(TimeSheet.wrong(line.getKey(), "", String.valueOf(unfit.getMessage())));
            }
        }
        if (!marks.isEmpty()) {
            course.capMs()
                    .ifPresent(bell -> marks.add(
                            new Mark(new UUID(1, marks.size()), MarkKind.STOP, bell, 0, Depth.SET, "", "", 0)));
        }
        return new TimeSheet(rows, marks, 0, Times.CLOCK, false);
    }

    /** The clock of a lift; of a single one without, as of a result of long ago, somewhere in the window. */
    private static long clock(@Nullable String written, long before, Course course, boolean alone) {
        long bell = course.capMs().orElse(Long.MAX_VALUE);
        if (written == null) {
            if (alone) {
                return bell;
            }
            throw new IllegalArgumentException(EXPECTED);
        }
        long at = ClockTime.parse(written).ms();
        if (at <= before) {
            throw new IllegalArgumentException(
                    "Expected a clock after " + ClockTime.of(before).toSeconds() + ", got " + written);
        }
        if (at > bell) {
            throw new IllegalArgumentException(
                    "That is after the bell of " + ClockTime.of(bell).toSeconds());
        }
        return at;
    }

    private static boolean known(@Nullable String word) {
        return word == null || MADE.contains(word) || MISSED.contains(word);
    }
}
