package wake.plan;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import wake.units.InvalidInput;
import wake.units.Lengths;

/**
 * How long the breaks between sets are, as coaches write it, in seconds: {@code 5}, {@code 5-20-8}, {@code 5, 20 after 2}.
 *
 * @param inOrderMs the break after each set, the last one again after all that follow; at least one
 */
public record Rests(List<Long> inOrderMs) {
    private static final int MOST = 100;
    private static final String SECONDS = "\\d{1,4}(?:\\.\\d{1,3})?";
    private static final Pattern IN_ORDER = Pattern.compile("(" + SECONDS + "(?:\\s*-\\s*" + SECONDS + ")*)\\s*s?");
    private static final Pattern ONE_LONGER = Pattern.compile(
            "(" + SECONDS + ")\\s*s?\\s*,\\s*(" + SECONDS + ")\\s*s?\\s*after\\s*(?:set\\s*)?([1-9]\\d?)");

    /** @throws InvalidInput without rests, or with too many */
    public Rests {
        inOrderMs = List.copyOf(inOrderMs);
        if (inOrderMs.isEmpty() || inOrderMs.size() > MOST) {
            throw new InvalidInput("Give 1 to " + MOST + " rests between sets, not " + inOrderMs.size());
        }
        inOrderMs.forEach(ms -> Pacing.within("a rest", ms));
    }

    /** The same after every set. */
    public static Rests of(long ms) {
        return new Rests(List.of(ms));
    }

    /**
     * One break that is longer, or shorter, than the others.
     *
     * @throws InvalidInput where the set is below 1
     */
    public static Rests of(long ms, int afterSet, long thenMs) {
        if (afterSet < 1 || afterSet >= MOST) {
            throw new InvalidInput("The other rest comes after set 1 or later, not " + afterSet);
        }
        List<Long> inOrder = new ArrayList<>(Collections.nCopies(afterSet - 1, ms));
        inOrder.add(thenMs);
        inOrder.add(ms);
        return new Rests(inOrder);
    }

    /**
     * Reads rests.
     *
     * @throws InvalidInput when the text is none
     */
    public static Rests parse(String text) {
        String plain = Lengths.line(text).strip();
        Matcher longer = ONE_LONGER.matcher(plain);
        if (longer.matches()) {
            return of(ms(longer.group(1)), Integer.parseInt(longer.group(3)), ms(longer.group(2)));
        }
        Matcher inOrder = IN_ORDER.matcher(plain);
        if (!inOrder.matches()) {
            throw new InvalidInput(
                    "Write rests in seconds like \"5\", \"5-20-8\" or \"5, 20 after 2\", not \"" + text + "\"");
        }
        List<Long> each = new ArrayList<>();
        for (String rest : inOrder.group(1).split("-")) {
            each.add(ms(rest));
        }
        return new Rests(each);
    }

    private static long ms(String seconds) {
        return new BigDecimal(seconds.strip()).movePointRight(3).longValueExact();
    }

    /** The break that goes on after the last that is said. */
    public long usualMs() {
        return inOrderMs.getLast();
    }

    /** The breaks between so many sets, in order. */
    public List<Long> between(int sets) {
        List<Long> rests = new ArrayList<>();
        for (int after = 1; after < sets; after++) {
            rests.add(inOrderMs.get(Math.min(after, inOrderMs.size()) - 1));
        }
        return rests;
    }

    /** All longer or shorter by a factor. */
    Rests by(double factor) {
        return new Rests(inOrderMs.stream().map(ms -> Math.round(ms * factor)).toList());
    }

    /** Whether each is the same to a coach, within so much. */
    boolean looksLike(Rests other, long withinMs) {
        int places = Math.max(inOrderMs.size(), other.inOrderMs.size()) + 1;
        List<Long> own = between(places);
        List<Long> others = other.between(places);
        for (int i = 0; i < own.size(); i++) {
            if (Math.abs(own.get(i) - others.get(i)) >= withinMs) {
                return false;
            }
        }
        return true;
    }

    /** The rests as they are written, in seconds. */
    public String written() {
        return inOrderMs.stream()
                .map(ms -> BigDecimal.valueOf(ms, 3).stripTrailingZeros().toPlainString())
                .collect(Collectors.joining("-"));
    }
}
