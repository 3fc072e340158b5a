package wake.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import wake.exchange.TimeSheet.Row;
import wake.exchange.TimeSheet.Times;
import wake.log.Granularity;
import wake.log.Lift;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Resolution;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.units.Lengths;
import wake.units.Quantity;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/**
 * The lifts of a window as they were jotted, a line each: {@code 0:40 60 kg}, {@code 2:10 70 made 22s}, {@code 4:30 75 miss on 2}, {@code 0:20 50
 * (1 clean)}, {@code 6:00 84 miss; elbows soft}, {@code 84 kg no attempt}. A lift is made unless the line says otherwise; a load without a unit has that of the line before, kilograms to begin with; a time
 * with an s is how long the lift took; what stands in brackets was lifted instead of the complex;
 * what follows a semicolon, two slashes or a dash between spaces is a note. What was not attempted is a note and no lift.
 */
final class LiftSheet {
    private static final Pattern LINE =
            Pattern.compile("(?:\\d{1,2}[.)]\\s+)?(?:(?<clock>\\d{1,3}:\\d{2}(?:[.]\\d)?)\\s+)?"
                    + "(?<load>\\d{1,4}(?:[.]\\d{1,2})?)\\s*(?<unit>kg|lb)?"
                    + "(?:\\s*[(](?<pieces>[^)]+)[)])?"
                    + "(?:[\\s,]+(?<how>made|good|yes|ok|miss|missed|fail|failed|no-lift|no|x))?"
                    + "(?:[\\s,]+on\\s+(?:rep\\s+|the\\s+)?(?<on>[a-z0-9][a-z0-9 -]*?))?"
                    + "(?:[\\s,]+(?:in\\s+)?(?<length>\\d{1,3}(?:[.]\\d)?)\\s*s(?:ec|econds)?)?");
    private static final Pattern NO_ATTEMPT = Pattern.compile(
            "(?:\\d{1,2}[.)]\\s+)?(?:(?<clock>\\d{1,3}:\\d{2}(?:[.]\\d)?)[\\s,]*)?"
                    + "(?:(?<load>\\d{1,4}(?:[.]\\d{1,2})?)\\s*(?<unit>kg|lb)?[\\s,]*)?(?:no attempt|not attempted|passed|pass|skipped)");
    private static final Pattern NOTE = Pattern.compile("\\s*(?:;|//|\\s[-–—]\\s)\\s*");
    private static final List<String> MISSED = List.of("miss", "missed", "fail", "failed", "no", "x", "no-lift");
    private static final String EXPECTED =
            "Write the time and the load, like \"2:10 70 kg made 22s\" or \"4:30 75 miss on 2\"";
    private static final int LONGEST_S = 180;

    private final ExpandedWorkout expanded;
    private final List<LiftPiece> complex;
    private final List<Row> rows = new ArrayList<>();
    private final List<Mark> marks = new ArrayList<>();
    private String unit = "kg";
    private long free = -1;

    private LiftSheet(ExpandedWorkout expanded) {
        this.expanded = expanded;
        complex = expanded.format() instanceof Format.Lift window ? window.complex() : List.of();
    }

    static TimeSheet read(String text, ExpandedWorkout expanded) {
        LiftSheet sheet = new LiftSheet(expanded);
        Map<Integer, String> lines = TimeSheet.lines(text);
        lines.forEach((number, line) -> sheet.take(number, line, lines.size() == 1));
        if (!sheet.marks.isEmpty()) {
            expanded.capMs()
                    .ifPresent(buzzer -> sheet.mark(0, MarkKind.STOP, Math.max(buzzer, sheet.free), 0, "", "", 0));
        }
        return new TimeSheet(sheet.rows, sheet.marks, 0, Times.CLOCK, false);
    }

    private void take(int number, String line, boolean alone) {
        try {
            String[] parts = NOTE.split(Lengths.line(line).strip(), 2);
            String note = parts.length > 1 ? parts[1].strip() : "";
            String lift = parts[0].toLowerCase(Locale.ROOT);
            Matcher none = NO_ATTEMPT.matcher(lift);
            if (none.matches()) {
                noAttempt(number, none, note);
                return;
            }
            Matcher said = LINE.matcher(lift);
            if (!said.matches()) {
                throw new InvalidInput(EXPECTED);
            }
            String written = said.group("unit");
            unit = written == null ? unit : written;
            Quantity load = Lift.load(said.group("load") + " " + unit)
                    .filter(known -> known.value().signum() > 0)
                    .orElseThrow(() -> new InvalidInput(EXPECTED));
            List<LiftPiece> pieces = pieces(said.group("pieces"));
            boolean missed = MISSED.contains(String.valueOf(said.group("how")));
            String on = missedOn(said.group("on"), missed, pieces.isEmpty() ? complex : pieces);
            long at = clock(said.group("clock"), alone);
            OptionalLong length = length(said.group("length"));
            double u = resolution(said.group("clock"), at);
            String text = new Lift.LiftText(load, pieces).toString();
            mark(number, MarkKind.LIFT, at, missed ? 0 : 1, on.isEmpty() ? "" : "on " + on, text, u);
            if (length.isPresent()) {
                mark(number, MarkKind.OFF, at + length.getAsLong(), 0, "", "", Resolution.ofTyped(1));
            }
            free = at + length.orElse(0);
            if (!note.isEmpty()) {
                mark(number, MarkKind.CUE, at, 0, "", note, u);
            }
            row(
                    number,
                    text
                            + (missed ? ", missed" : ", made")
                            + (on.isEmpty() ? "" : " on rep " + on)
                            + (length.isPresent() ? ", " + length.getAsLong() / 1000 + " s" : "")
                            + (note.isEmpty() ? "" : "; " + note),
                    at);
        } catch (InvalidInput unfit) {
            rows.add(TimeSheet.wrong(number, "", String.valueOf(unfit.getMessage())));
        }
    }

    /** A note where it stood in the window; without a time of its own after the lift before. */
    private void noAttempt(int number, Matcher said, String note) {
        long at = said.group("clock") == null ? Math.max(0, free) : clock(said.group("clock"), false);
        unit = said.group("unit") == null ? unit : said.group("unit");
        String words = "no attempt" + (said.group("load") == null ? "" : " at " + said.group("load") + " " + unit)
                + (note.isEmpty() ? "" : "; " + note);
        mark(number, MarkKind.CUE, at, 0, "", words, resolution(said.group("clock"), at));
        row(number, words, at);
    }

    private void row(int number, String words, long at) {
        rows.add(new Row(
                number, words, Optional.empty(), OptionalLong.empty(), OptionalLong.of(at), 0, Optional.empty(), ""));
    }

    private void mark(int line, MarkKind kind, long at, int reps, String tag, String text, double u) {
        marks.add(new Mark(new UUID(line, marks.size()), kind, at, reps, Granularity.SET, tag, text, u));
    }

    private static List<LiftPiece> pieces(@Nullable String written) {
        return written == null
                ? List.of()
                : Lift.pieces(written)
                        .orElseThrow(() -> new InvalidInput("Write what was lifted in brackets, like \"(1 clean)\""));
    }

    /** The rep a miss was on: a number, or the name of a piece, which means its first rep. */
    private static String missedOn(@Nullable String written, boolean missed, List<LiftPiece> pieces) {
        if (written == null) {
            return "";
        }
        int reps = LiftPiece.repsOf(pieces);
        if (!missed) {
            throw new InvalidInput("\"on " + written + "\" goes only after a miss");
        }
        int rep = written.matches("\\d{1,3}") ? Integer.parseInt(written) : firstOf(written, pieces);
        if (rep < 1 || rep > reps) {
            throw new InvalidInput("Write the rep it was missed on, 1 to " + reps + ", or "
                    + String.join(
                            " or ", pieces.stream().map(LiftPiece::movement).toList()) + ", not \"" + written
                    + "\"");
        }
        return String.valueOf(rep);
    }

    private static int firstOf(String piece, List<LiftPiece> pieces) {
        int before = 0;
        for (LiftPiece one : pieces) {
            if (one.movement().equalsIgnoreCase(piece) || one.movement().endsWith(" " + piece)) {
                return before + 1;
            }
            before += one.reps();
        }
        return 0;
    }

    private static OptionalLong length(@Nullable String written) {
        if (written == null) {
            return OptionalLong.empty();
        }
        double seconds = Double.parseDouble(written);
        if (seconds < 1 || seconds > LONGEST_S) {
            throw new InvalidInput("A lift takes 1 to 180 s, not " + written + " s");
        }
        return OptionalLong.of(Math.round(seconds * 1000));
    }

    private static double resolution(@Nullable String clock, long at) {
        return clock == null ? Resolution.ofTyped(at / 1000.0) : Resolution.ofTyped(clock.contains(".") ? 0.1 : 1);
    }

    /** The clock of a lift; of a single one without, as of a result of long ago, somewhere in the window. */
    private long clock(@Nullable String written, boolean alone) {
        long buzzer = expanded.capMs().orElse(Long.MAX_VALUE);
        if (written == null) {
            if (alone) {
                return buzzer;
            }
            throw new InvalidInput(EXPECTED);
        }
        long at = ClockTime.parse(written).ms();
        if (at < free || at == free && !marks.isEmpty()) {
            throw new InvalidInput(
                    "The time must be after " + ClockTime.of(Math.max(0, free)).toSeconds() + ", not " + written);
        }
        if (at > buzzer) {
            throw new InvalidInput(
                    "That is after the end at " + ClockTime.of(buzzer).toSeconds());
        }
        return at;
    }
}
