package wake.exchange;

import java.util.Arrays;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;

/**
 * Rows of comma-separated values (RFC 4180) that a spreadsheet takes for what they are: text that it would run as a formula gets an
 * apostrophe before it, which {@link #read} takes off again. Figures stay figures.
 */
final class Cells {
    /** What spreadsheets begin formulas with, also behind apostrophes that were there before. */
    private static final Pattern FORMULA = Pattern.compile("(?s)'*[=+\\-@\\t\\r].*");

    private static final Pattern FIGURE = Pattern.compile("[+-]?\\d+(?:[.:]\\d+)*");

    private Cells() {}

    static String row(Object... values) {
        return CSVFormat.RFC4180.format(Arrays.stream(values)
                        .map(value -> value instanceof String text ? defused(text) : value)
                        .toArray())
                + "\r\n";
    }

    static String defused(String text) {
        return FORMULA.matcher(text).matches() && !FIGURE.matcher(text).matches() ? "'" + text : text;
    }

    /** A cell as it was before it was written. */
    static String read(String cell) {
        return cell.startsWith("'") && FORMULA.matcher(cell).matches() ? cell.substring(1) : cell;
    }
}
