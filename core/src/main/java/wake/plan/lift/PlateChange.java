package wake.plan.lift;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import wake.plan.lift.PlateRack.Loading;

/**
 * What to take off and put on at each side between two lifts.
 *
 * @param off plates to take off, heaviest first
 * @param on plates to put on, heaviest first
 */
public record PlateChange(List<BigDecimal> off, List<BigDecimal> on) {
    public PlateChange {
        off = List.copyOf(off);
        on = List.copyOf(on);
    }

    static PlateChange between(List<BigDecimal> before, Loading after) {
        return new PlateChange(without(before, after.side()), without(after.side(), before));
    }

    private static List<BigDecimal> without(List<BigDecimal> all, List<BigDecimal> those) {
        List<BigDecimal> left = new ArrayList<>(all);
        those.forEach(left::remove);
        left.sort(Comparator.reverseOrder());
        return left;
    }

    /** "off 2.5, on 5": what is said at the bar. */
    public String words() {
        if (off.isEmpty() && on.isEmpty()) {
            return "no change";
        }
        List<String> words = new ArrayList<>();
        if (!off.isEmpty()) {
            words.add("take off " + written(off));
        }
        if (!on.isEmpty()) {
            words.add("add " + written(on));
        }
        return String.join(", ", words) + " per side";
    }

    static String written(List<BigDecimal> plates) {
        return String.join(
                " + ",
                plates.stream()
                        .map(plate -> plate.stripTrailingZeros().toPlainString())
                        .toList());
    }
}
