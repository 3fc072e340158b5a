package wake.plan.lift;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;
import wake.units.InvalidInput;
import wake.units.Quantity;
import wake.units.Unit;

/**
 * A bar and the plates that lie beside it.
 *
 * @param bar the weight of the bar, collars included
 * @param pairs plates in the bar's unit, heaviest first, with how many pairs there are
 */
public record PlateRack(Quantity bar, NavigableMap<BigDecimal, Integer> pairs) {
    private static final int MOST_PAIRS = 20;
    private static final int MOST_KINDS = 15;
    private static final BigDecimal FIVE = BigDecimal.valueOf(5);
    private static final double NEAR_KG = 2.5;
    private static final double NEAR_LB = 5;
    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    /** Plates of a common set in kilograms; common practice, no source. */
    public static PlateRack kilograms(int barKg) {
        return new PlateRack(
                Quantity.of(barKg, Unit.KILOGRAM), rack("25x2 20x2 15x1 10x2 5x1 2.5x1 2x1 1.5x1 1x1 0.5x1"));
    }

    /** Plates of a common set in pounds; common practice, no source. */
    public static PlateRack pounds(int barLb) {
        return new PlateRack(Quantity.of(barLb, Unit.POUND), rack("45x3 35x1 25x1 15x1 10x2 5x1 2.5x1 1x2 0.5x1"));
    }

    /** @throws InvalidInput where the bar or a plate is no load in kg or lb, or there are too many */
    public PlateRack {
        if (bar.unit().dimension() != Unit.Dimension.MASS) {
            throw new InvalidInput("The bar is in kg or lb, not " + bar);
        }
        if (pairs.size() > MOST_KINDS) {
            throw new InvalidInput("At most 15 kinds of plates, not " + pairs.size());
        }
        NavigableMap<BigDecimal, Integer> sorted = new TreeMap<>(Comparator.reverseOrder());
        pairs.forEach((plate, count) -> {
            boolean hundredths = plate.multiply(HUNDRED).stripTrailingZeros().scale() <= 0;
            if (plate.signum() <= 0 || !hundredths || plate.compareTo(HUNDRED) > 0) {
                throw new InvalidInput(
                        "Plates weigh above 0 and up to 100, in hundredths, not " + plate.toPlainString());
            }
            if (count < 0 || count > MOST_PAIRS) {
                throw new InvalidInput("Give 0 to 20 pairs of " + plate.toPlainString());
            }
            sorted.merge(plate, count, Integer::sum);
        });
        pairs = sorted;
    }

    /**
     * Reads plates with their pairs: {@code 20x2 10x1 2.5x1}; a plate without a count is one pair.
     *
     * @throws InvalidInput naming the word that does not fit
     */
    public static NavigableMap<BigDecimal, Integer> rack(String written) {
        NavigableMap<BigDecimal, Integer> pairs = new TreeMap<>(Comparator.reverseOrder());
        for (String word : written.strip().split("[\\s,]+")) {
            if (!word.matches("\\d{1,3}([.]\\d{1,2})?([x×]\\d{1,2})?")) {
                throw new InvalidInput("Write plates like 20x2 10x1 2.5, not \"" + word + "\"");
            }
            String[] parts = word.split("[x×]");
            pairs.merge(new BigDecimal(parts[0]), parts.length > 1 ? Integer.parseInt(parts[1]) : 1, Integer::sum);
        }
        return pairs;
    }

    /** The plates as they are written. */
    public String written() {
        return String.join(
                " ",
                pairs.entrySet().stream()
                        .map(pair -> pair.getKey().stripTrailingZeros().toPlainString() + "x" + pair.getValue())
                        .toList());
    }

    /**
     * What goes on each side for a load.
     *
     * @param load what it weighs in all
     * @param side plates of one side, heaviest first, the fewest that do it
     */
    public record Loading(Quantity load, List<BigDecimal> side) {
        public Loading {
            side = List.copyOf(side);
        }

        /** What goes on each side: "20 + 2.5"; nothing for the bar alone. */
        public String sideWords() {
            return PlateChange.written(side);
        }
    }

    /** The fewest plates for exactly this load; empty when the rack cannot make it. */
    public Optional<Loading> loading(Quantity load) {
        return side(load).filter(side -> side >= 0).flatMap(side -> plates(side, fewest(side)));
    }

    /** The heaviest load the rack can make that is not above this one; empty when the bar alone is heavier. */
    public Optional<Loading> atMost(Quantity load) {
        int side = (int) Math.floor(exactSide(load) + 1e-9);
        if (side < 0) {
            return Optional.empty();
        }
        int[] fewest = fewest(Math.min(side, all()));
        for (int at = fewest.length - 1; at >= 0; at--) {
            if (fewest[at] < Integer.MAX_VALUE) {
                return plates(at, fewest);
            }
        }
        return Optional.empty();
    }

    /** The lightest load the rack can make that is not below this one; empty when all plates together are too light. */
    public Optional<Loading> atLeast(Quantity load) {
        int side = Math.max(0, (int) Math.ceil(exactSide(load) - 1e-9));
        int[] fewest = fewest(all());
        for (int at = side; at < fewest.length; at++) {
            if (fewest[at] < Integer.MAX_VALUE) {
                return plates(at, fewest);
            }
        }
        return Optional.empty();
    }

    /**
     * What is loaded for a wish: the heaviest the rack can make that is not above it, as loads are rounded in competition; the bar alone where
     * even that is heavier.
     */
    public Loading roundedDown(Quantity load) {
        return atMost(load).or(() -> loading(bar)).orElseThrow();
    }

    /**
     * What is loaded for a build-up bar, which need be no closer than 2.5 kg or 5 lb: the fewest plates, of these whole fives first, then the nearest. That is
     * how coaches load: 60, 80, 100 kg, 135, 185, 225 lb. Common practice, no source.
     */
    public Loading plain(Quantity load) {
        double wanted = exactSide(load);
        double near = (bar.unit() == Unit.KILOGRAM ? NEAR_KG : NEAR_LB) * HUNDRED.doubleValue() / 2;
        int[] fewest = fewest(all());
        int from = (int) Math.ceil(Math.max(0, wanted - near) - 1e-9);
        int to = (int) Math.min(fewest.length - 1L, (long) Math.floor(wanted + near + 1e-9));
        return IntStream.rangeClosed(from, to)
                .filter(at -> fewest[at] < Integer.MAX_VALUE)
                .boxed()
                .min(Comparator.<Integer>comparingInt(at -> fewest[at])
                        .thenComparing(at -> !isWholeFive(at))
                        .thenComparingDouble(at -> Math.abs(at - wanted)))
                .flatMap(at -> plates(at, fewest))
                .orElseGet(() -> roundedDown(load));
    }

    /** A build-up bar: as it is soonest loaded, where that lies above the bar before and below the one to come, else rounded down. */
    public Loading buildUp(Quantity wanted, Optional<Quantity> above, Optional<Quantity> below) {
        Loading plain = plain(wanted);
        double load = plain.load().in(bar.unit());
        boolean rises = above.filter(before -> before.in(bar.unit()) >= load).isEmpty()
                && below.filter(next -> next.in(bar.unit()) <= load).isEmpty();
        return rises ? plain : roundedDown(wanted);
    }

    private boolean isWholeFive(int side) {
        return bar.value()
                        .add(BigDecimal.valueOf(2L * side).divide(HUNDRED))
                        .remainder(FIVE)
                        .signum()
                == 0;
    }

    /** The next load the rack can make that is heavier; empty when all plates are on. */
    public Optional<Loading> heavier(Quantity load) {
        double step = 0.01;
        return atLeast(new Quantity(
                BigDecimal.valueOf(load.in(bar.unit()) + step).setScale(4, RoundingMode.HALF_UP), bar.unit()));
    }

    /** The load the rack can make that is nearest; the lighter of two equally near. */
    public Loading nearest(Quantity load) {
        Optional<Loading> below = atMost(load);
        Optional<Loading> above = atLeast(load);
        if (below.isEmpty() || above.isEmpty()) {
            return below.or(() -> above).orElseThrow();
        }
        double target = load.in(bar.unit());
        double down = target - below.get().load().in(bar.unit());
        double up = above.get().load().in(bar.unit()) - target;
        return up < down ? above.get() : below.get();
    }

    /** Hundredths on each side, where it comes out whole. */
    private Optional<Integer> side(Quantity load) {
        double exact = exactSide(load);
        long whole = Math.round(exact);
        return Math.abs(exact - whole) < 1e-6 ? Optional.of((int) whole) : Optional.empty();
    }

    private double exactSide(Quantity load) {
        return (load.in(bar.unit()) - bar.doubleValue()) * 100 / 2;
    }

    private int all() {
        return pairs.entrySet().stream()
                .mapToInt(pair -> hundredths(pair.getKey()) * pair.getValue())
                .sum();
    }

    private static int hundredths(BigDecimal plate) {
        return plate.multiply(HUNDRED).intValueExact();
    }

    /** For each side load up to a most, the fewest plates that make it; the greatest whole number where none do. */
    private int[] fewest(int most) {
        int[] fewest = new int[Math.min(most, all()) + 1];
        Arrays.fill(fewest, Integer.MAX_VALUE);
        fewest[0] = 0;
        pairs.forEach((plate, count) -> {
            int weight = hundredths(plate);
            for (int i = 0; i < count; i++) {
                for (int at = fewest.length - 1; at >= weight; at--) {
                    int before = fewest[at - weight];
                    if (before < Integer.MAX_VALUE) {
                        fewest[at] = Math.min(fewest[at], before + 1);
                    }
                }
            }
        });
        return fewest;
    }

    private Optional<Loading> plates(int side, int[] fewest) {
        if (side >= fewest.length || fewest[side] == Integer.MAX_VALUE) {
            return Optional.empty();
        }
        List<BigDecimal> plates = new ArrayList<>();
        pick(side, fewest[side], new ArrayList<>(pairs.entrySet()), 0, plates);
        BigDecimal load = bar.value().add(BigDecimal.valueOf(2L * side).divide(HUNDRED));
        return Optional.of(new Loading(new Quantity(load, bar.unit()), plates));
    }

    /** Finds so many plates of this weight, the heavy ones first; the walk is short because the number of plates is known. */
    private static boolean pick(
            int side, int plates, List<Map.Entry<BigDecimal, Integer>> from, int at, List<BigDecimal> picked) {
        if (side == 0 && plates == 0) {
            return true;
        }
        if (plates <= 0 || at == from.size()) {
            return false;
        }
        int weight = hundredths(from.get(at).getKey());
        if ((long) weight * plates < side) {
            return false;
        }
        int most = Math.min(Math.min(from.get(at).getValue(), plates), side / weight);
        for (int count = most; count >= 0; count--) {
            for (int i = 0; i < count; i++) {
                picked.add(from.get(at).getKey());
            }
            if (pick(side - count * weight, plates - count, from, at + 1, picked)) {
                return true;
            }
            picked.subList(picked.size() - count, picked.size()).clear();
        }
        return false;
    }
}
