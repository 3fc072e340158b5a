package wake.log;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wake.units.Quantity;
import wake.units.Unit;

/**
 * A lift in a lift window.
 *
 * @param atMs clock time
 * @param load the load; empty when the coach did not say
 * @param made whether it counted
 */
public record Lift(long atMs, Optional<Quantity> load, boolean made) {
    private static final Pattern LOAD = Pattern.compile("(\\d{1,4}(?:[.]\\d{1,2})?)\\s*(kg|lb)");

    /** Of a mark: its text holds the load as "85 kg", its reps are 1 when made and 0 when missed. */
    static Lift of(Mark mark) {
        return new Lift(mark.atMs(), load(mark.text()), mark.reps() > 0);
    }

    /** Reads "85 kg" or "187.5 lb". */
    public static Optional<Quantity> load(String written) {
        Matcher matcher = LOAD.matcher(written.strip());
        return matcher.matches()
                ? Unit.ofSymbol(matcher.group(2)).map(unit -> new Quantity(new BigDecimal(matcher.group(1)), unit))
                : Optional.empty();
    }
}
