package wake.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import wake.units.InvalidInput;
import wake.units.Lengths;

/**
 * How the reps of a movement are cut into sets, as coaches write it: {@code unbroken}, {@code singles}, {@code 5s},
 * {@code 8-7}.
 *
 * @param sizes set sizes in order, the last one repeated as often as needed; empty when unbroken
 */
public record SetScheme(List<Integer> sizes) {
    public static final SetScheme UNBROKEN = new SetScheme(List.of());

    /** @throws InvalidInput where a set has no rep */
    public SetScheme {
        sizes = List.copyOf(sizes);
        if (sizes.stream().anyMatch(size -> size < 1)) {
            throw new InvalidInput("A set has at least one rep");
        }
    }

    /**
     * Reads a set scheme.
     *
     * @throws InvalidInput when the text is none
     */
    public static SetScheme parse(String text) {
        String plain = Lengths.line(text).strip().toLowerCase(Locale.ROOT);
        if (plain.isEmpty() || plain.equals("unbroken")) {
            return UNBROKEN;
        }
        if (plain.equals("singles")) {
            return new SetScheme(List.of(1, 1));
        }
        if (plain.matches("[1-9]\\d{0,3}s")) {
            int size = Integer.parseInt(plain.substring(0, plain.length() - 1));
            return new SetScheme(List.of(size, size));
        }
        if (plain.matches("[1-9]\\d{0,3}(-[1-9]\\d{0,3})*")) {
            List<Integer> sizes = new ArrayList<>();
            for (String size : plain.split("-")) {
                sizes.add(Integer.valueOf(size));
            }
            return new SetScheme(sizes);
        }
        throw new InvalidInput("Write sets like unbroken, 8-7, 5s or singles, not \"" + text + "\"");
    }

    /** The sets that so many reps fall into. */
    public List<Integer> sets(int reps) {
        if (sizes.isEmpty()) {
            return List.of(reps);
        }
        List<Integer> sets = new ArrayList<>();
        int left = reps;
        for (int i = 0; left > 0; i++) {
            int size = Math.min(left, sizes.get(Math.min(i, sizes.size() - 1)));
            sets.add(size);
            left -= size;
        }
        return sets;
    }

    /** The largest set it asks for; 0 when unbroken. */
    public int largest() {
        return sizes.stream().mapToInt(Integer::intValue).max().orElse(0);
    }

    /** Whether it is one size again and again: "5s", "singles". */
    public boolean repeats() {
        return sizes.size() == 2 && sizes.get(0).equals(sizes.get(1));
    }

    /** So many reps in sets of at most some size, as even as they come, the larger ones first: 15 by 8 is 8-7. */
    public static SetScheme atMost(int most, int reps) {
        int sets = Math.ceilDiv(reps, Math.max(1, most));
        if (sets <= 1) {
            return UNBROKEN;
        }
        if (reps % sets == 0) {
            return upTo(reps / sets);
        }
        List<Integer> sizes = new ArrayList<>();
        for (int i = 0; i < sets; i++) {
            sizes.add(reps / sets + (i < reps % sets ? 1 : 0));
        }
        return new SetScheme(sizes);
    }

    /** Sets of one size, however many reps there are: "5s". */
    public static SetScheme upTo(int most) {
        return new SetScheme(List.of(most, most));
    }

    /** The scheme as it is written. */
    public String written() {
        if (sizes.isEmpty()) {
            return "unbroken";
        }
        if (repeats()) {
            return sizes.getFirst() == 1 ? "singles" : sizes.getFirst() + "s";
        }
        return dashed(sizes);
    }

    /** Sets in order, as "8-7-5". */
    public static String dashed(List<Integer> sets) {
        return sets.stream().map(String::valueOf).collect(Collectors.joining("-"));
    }
}
