package wake.exchange;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Resolution;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.units.Lengths;
import wake.units.Messages;

/**
 * Marks as comma-separated values (RFC 4180) with a header: {@code at} and {@code kind}, and, where they say something,
 * {@code reps}, {@code depth}, {@code tag}, {@code text}, {@code uncertainty}. Times are m:ss, with up to three decimals; their
 * resolution is that of the last digit written, where no uncertainty in seconds is given. What was before "go" has a minus sign.
 */
public final class MarkSheet {
    private static final List<String> COLUMNS = List.of("at", "kind", "reps", "depth", "tag", "text", "uncertainty");
    private static final int MOST_ROWS = 20_000;
    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setAllowMissingColumnNames(true)
            .setIgnoreHeaderCase(true)
            .setTrim(true)
            .setIgnoreEmptyLines(true)
            .get();

    private static final int LONGEST = 2_000_000;
    private static final int LONGEST_ROW = 10_000;

    private MarkSheet() {}

    /**
     * Reads marks.
     *
     * @throws InvalidInput naming the first row that does not fit, counted from 1 below the header
     */
    public static List<Mark> read(String csv) {
        List<Mark> marks = new ArrayList<>();
        try (CSVParser parser = FORMAT.parse(new StringReader(Lengths.text(csv, LONGEST, LONGEST_ROW)))) {
            for (String needed : List.of("at", "kind")) {
                if (parser.getHeaderNames().stream().noneMatch(needed::equalsIgnoreCase)) {
                    throw new InvalidInput("The first line needs the columns \"at\" and \"kind\"");
                }
            }
            parser.getHeaderNames().stream()
                    .filter(name -> !name.isBlank() && !COLUMNS.contains(name.toLowerCase(Locale.ROOT)))
                    .findFirst()
                    .ifPresent(name -> {
                        throw new InvalidInput("The column \"" + name + "\" is not one of " + String.join(", ", COLUMNS)
                                + ": rename or remove it");
                    });
            for (CSVRecord row : parser) {
                if (row.size() > parser.getHeaderNames().size()) {
                    throw new InvalidInput("Row " + row.getRecordNumber() + " has " + row.size()
                            + " columns, the header " + parser.getHeaderNames().size()
                            + ": put text with a comma in quotation marks");
                }
                if (marks.size() == MOST_ROWS) {
                    throw new InvalidInput("At most " + MOST_ROWS + " marks");
                }
                marks.add(mark(row));
            }
        } catch (IOException | java.io.UncheckedIOException broken) {
            throw new InvalidInput("This is not a CSV file: " + broken.getMessage(), broken);
        }
        return marks;
    }

    private static Mark mark(CSVRecord row) {
        try {
            Mark mark = mark(
                    row.getRecordNumber(),
                    value(row, "at"),
                    value(row, "kind"),
                    value(row, "reps"),
                    value(row, "depth"),
                    Cells.read(value(row, "tag")),
                    Cells.read(value(row, "text")));
            return uncertain(mark, value(row, "uncertainty"));
        } catch (InvalidInput unfit) {
            throw new InvalidInput("Row " + row.getRecordNumber() + ": " + unfit.getMessage(), unfit);
        }
    }

    private static Mark uncertain(Mark mark, String written) {
        if (written.isBlank()) {
            return mark;
        }
        if (!written.matches("\\d{1,3}(?:[.]\\d{1,20})?(?:E-?\\d{1,2})?")) {
            throw new InvalidInput("A timing error is in seconds, not \"" + written + "\"");
        }
        double seconds = Double.parseDouble(written);
        return new Mark(
                mark.id(), mark.kind(), mark.atMs(), mark.reps(), mark.depth(), mark.tag(), mark.text(), seconds);
    }

    /** A clock to the millisecond, as {@link #read} takes it. */
    static String clock(long ms) {
        long whole = Math.abs(ms) / 1000;
        return Messages.of("%s%d:%02d.%03d", ms < 0 ? "-" : "", whole / 60, whole % 60, Math.abs(ms) % 1000);
    }

    private static String value(CSVRecord row, String column) {
        return row.isSet(column) ? row.get(column) : "";
    }

    /**
     * A mark from what was written of it.
     *
     * @param number tells marks of one sheet apart
     * @throws InvalidInput saying what was expected
     */
    public static Mark mark(long number, String at, String kind, String reps, String depth, String tag, String text) {
        boolean before = at.strip().startsWith("-");
        ClockTime clock = ClockTime.parse(before ? at.strip().substring(1) : at);
        MarkKind what = one(MarkKind.class, kind);
        if (!reps.isBlank() && whole(reps) > 0 && !what.tellsReps()) {
            throw new InvalidInput("\"" + what.words() + "\" has no reps, so leave out " + reps.strip());
        }
        return new Mark(
                new UUID(0, number),
                what,
                before ? -clock.ms() : clock.ms(),
                reps.isBlank() ? 0 : whole(reps),
                depth.isBlank() ? Granularity.SET : one(Granularity.class, depth),
                tag,
                text,
                Resolution.ofTyped(step(at)));
    }

    private static int whole(String reps) {
        if (!reps.strip().matches("\\d{1,5}")) {
            throw new InvalidInput("Reps are a whole number, not \"" + reps + "\"");
        }
        return Integer.parseInt(reps.strip());
    }

    /** The worth of the last digit written, in seconds. */
    private static double step(String at) {
        int point = at.strip().indexOf('.');
        return point < 0 ? 1 : Math.pow(10, -(at.strip().length() - point - 1));
    }

    private static <E extends Enum<E>> E one(Class<E> type, String written) {
        String name = written.strip().toUpperCase(Locale.ROOT).replace('-', '_').replace(' ', '_');
        for (E constant : type.getEnumConstants()) {
            if (constant.name().equals(name)) {
                return constant;
            }
        }
        throw new InvalidInput("Use one of "
                + String.join(
                        ", ",
                        java.util.Arrays.stream(type.getEnumConstants())
                                .map(constant ->
                                        constant.name().toLowerCase(Locale.ROOT).replace('_', '-'))
                                .toList())
                + ", not \"" + written + "\"");
    }
}
