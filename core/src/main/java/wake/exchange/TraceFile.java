package wake.exchange;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import wake.trace.Trace;
import wake.trace.Trace.Sample;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.units.Lengths;

/**
 * Traces as comma-separated values (RFC 4180), a row for each moment, with a header: {@code time} in seconds or m:ss and, as far as
 * noted, {@code distance} in metres, {@code pace} per 500 m in seconds or m:ss, {@code stroke rate} and {@code heart rate} a minute.
 * Columns are recognised by those words in their names, others are left alone; a GPX file is read by {@link GpxFile}.
 */
public final class TraceFile {
    private static final int LONGEST = 8_000_000;
    private static final int LONGEST_ROW = 2000;
    /** So long after the first moment the last one may lie, seconds: a day and an hour. */
    static final long LONGEST_S = 90_000;

    private static final int MOST_BEATS = 300;
    private static final int SHORT = 3;

    private TraceFile() {}

    private enum Column {
        TIME("time", "seconds", "elapsed"),
        DISTANCE("distance", "metres", "meters"),
        PACE("pace", "split"),
        STROKES("stroke rate", "strokes per", "strokes/min", "cadence", "spm"),
        HEART("heart", "hr", "bpm", "pulse");

        private final List<String> words;

        Column(String... words) {
            this.words = List.of(words);
        }

        static Optional<Column> of(String header) {
            String name = header.toLowerCase(Locale.ROOT).strip();
            return Stream.of(HEART, STROKES, PACE, DISTANCE, TIME)
                    .filter(column -> column.words.stream().anyMatch(word -> names(name, word)))
                    .findFirst();
        }
    }

    /** Short words count only as whole ones: "hr" is in "three". */
    private static boolean names(String header, String word) {
        return word.length() <= SHORT ? List.of(header.split("[^a-z]+")).contains(word) : header.contains(word);
    }

    /**
     * Reads a trace, either format.
     *
     * @throws InvalidInput naming the line that does not fit
     */
    public static Trace read(String text) {
        if (text.length() > LONGEST) {
            throw new InvalidInput("A file has at most " + LONGEST / 1_000_000 + " MB");
        }
        String start = text.replaceFirst("^\\uFEFF", "").stripLeading();
        return start.startsWith("<") ? GpxFile.read(start) : csv(Lengths.text(start, LONGEST, LONGEST_ROW));
    }

    private static Trace csv(String text) {
        List<Sample> samples = new ArrayList<>();
        try (CSVParser parser =
                CSVFormat.RFC4180.builder().setIgnoreEmptyLines(true).get().parse(new StringReader(text))) {
            Map<Column, Integer> columns = new EnumMap<>(Column.class);
            for (CSVRecord row : parser) {
                if (columns.isEmpty()) {
                    columns.putAll(header(row));
                } else {
                    add(samples, sample(row, columns, parser.getCurrentLineNumber()), parser.getCurrentLineNumber());
                }
            }
        } catch (IOException | UncheckedIOException broken) {
            throw new InvalidInput("This is not a CSV file: " + broken.getMessage(), broken);
        }
        return new Trace(samples);
    }

    /** Adds a moment, which has to be later than the one before. */
    static void add(List<Sample> samples, Sample sample, long line) {
        if (samples.size() == Trace.MOST_SAMPLES) {
            throw new InvalidInput("Line " + line + ": at most " + Trace.MOST_SAMPLES + " moments");
        }
        if (!samples.isEmpty() && sample.atMs() <= samples.getLast().atMs()) {
            throw new InvalidInput("Line " + line + ": the time must be after "
                    + ClockTime.of(samples.getLast().atMs()).toTenths() + ", the one before");
        }
        samples.add(sample);
    }

    private static Map<Column, Integer> header(CSVRecord row) {
        Map<Column, Integer> columns = new EnumMap<>(Column.class);
        for (int i = 0; i < row.size(); i++) {
            int at = i;
            Column.of(row.get(i)).ifPresent(column -> columns.putIfAbsent(column, at));
        }
        if (!columns.containsKey(Column.TIME) || columns.size() < 2) {
            throw new InvalidInput(
                    "Line 1: the columns are \"time\" and \"distance\", \"pace\", \"stroke rate\" or \"heart rate\", not \""
                            + row.stream().limit(8).collect(Collectors.joining(", ")) + "\"");
        }
        return columns;
    }

    private static Sample sample(CSVRecord row, Map<Column, Integer> columns, long line) {
        try {
            OptionalDouble time = time(row, columns, Column.TIME);
            if (time.isEmpty()) {
                throw new InvalidInput("the time is missing");
            }
            return new Sample(
                    Math.round(1000 * time.getAsDouble()),
                    number(row, columns, Column.DISTANCE, 1_000_000),
                    time(row, columns, Column.PACE),
                    number(row, columns, Column.STROKES, 400),
                    beats(number(row, columns, Column.HEART, MOST_BEATS).orElse(0)));
        } catch (InvalidInput unfit) {
            throw new InvalidInput("Line " + line + ": " + unfit.getMessage(), unfit);
        }
    }

    /**
     * Beats a minute; none where a strap tells 0, as one that lost the skin does.
     *
     * @throws NumberFormatException where no heart beats so
     */
    static OptionalDouble beats(double aMinute) {
        if (!(aMinute >= 0 && aMinute <= MOST_BEATS)) {
            throw new NumberFormatException("At most " + MOST_BEATS + " beats/min");
        }
        return aMinute > 0 ? OptionalDouble.of(aMinute) : OptionalDouble.empty();
    }

    private static OptionalDouble number(CSVRecord row, Map<Column, Integer> columns, Column column, double most) {
        String written = written(row, columns, column);
        if (written.isEmpty()) {
            return OptionalDouble.empty();
        }
        if (!written.matches("\\d{1,7}(?:[.]\\d{1,9})?") || Double.parseDouble(written) > most) {
            throw new InvalidInput("write a number up to " + (long) most + " as "
                    + column.name().toLowerCase(Locale.ROOT) + ", not \"" + written + "\"");
        }
        return OptionalDouble.of(Double.parseDouble(written));
    }

    /** Seconds, written as such or as m:ss. */
    private static OptionalDouble time(CSVRecord row, Map<Column, Integer> columns, Column column) {
        String written = written(row, columns, column);
        return written.contains(":")
                ? OptionalDouble.of(ClockTime.parse(written).ms() / 1000.0)
                : number(row, columns, column, LONGEST_S);
    }

    private static String written(CSVRecord row, Map<Column, Integer> columns, Column column) {
        Integer at = columns.get(column);
        return at == null || at >= row.size() ? "" : row.get(at).strip();
    }

    /** Writes a trace; {@link #read} gives it back. */
    public static String write(Trace trace) {
        StringBuilder sheet = new StringBuilder(CSVFormat.RFC4180.format(
                        "time (s)", "distance (m)", "pace (s per 500 m)", "stroke rate", "heart rate"))
                .append("\r\n");
        for (Sample sample : trace.samples()) {
            sheet.append(CSVFormat.RFC4180.format(
                            plain(sample.atMs() / 1000.0),
                            plain(sample.metres()),
                            plain(sample.secondsPer500()),
                            plain(sample.strokesPerMinute()),
                            plain(sample.beatsPerMinute())))
                    .append("\r\n");
        }
        return sheet.toString();
    }

    private static String plain(OptionalDouble value) {
        return value.isEmpty() ? "" : plain(value.getAsDouble());
    }

    private static String plain(double value) {
        return new BigDecimal(Double.toString(value))
                .setScale(3, java.math.RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }
}
