package wake.projection;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import wake.units.InvalidInput;

/**
 * What a change aims at, by place: one figure for all of them, or one for each in the order they come, the last for all that follow.
 *
 * @param each at least one figure
 */
public record Targets(List<Double> each) {
    static final int MOST = 100;

    /** @throws InvalidInput without targets, with more than 100, or where one is no number */
    public Targets {
        each = List.copyOf(each);
        if (each.isEmpty() || each.size() > MOST) {
            throw new InvalidInput("Give 1 to 100 targets, not " + each.size());
        }
        if (each.stream().anyMatch(one -> !Double.isFinite(one))) {
            throw new InvalidInput("Targets are numbers, not " + each);
        }
    }

    public static Targets of(double one) {
        return new Targets(List.of(one));
    }

    /** One for each place; those at the end that repeat the one before go, since the last is for all that follow. */
    static Targets byPlace(List<Double> each) {
        int last = each.size();
        while (last > 1 && each.get(last - 1).equals(each.get(last - 2))) {
            last--;
        }
        return new Targets(each.subList(0, last));
    }

    static Targets ofMs(long ms) {
        return of(ms / 1000.0);
    }

    /** The first, or the only one. */
    public double first() {
        return each.getFirst();
    }

    double at(int place) {
        return each.get(Math.min(place, each.size() - 1));
    }

    /** The figure for each segment that a change touches, by its place among them. */
    Map<Integer, Double> bySegment(Replay replay, Scope scope, Predicate<TimeSlice> touches) {
        Map<Integer, Double> figures = new HashMap<>();
        for (TimeSlice slice : replay.slices()) {
            if (scope.has(slice) && touches.test(slice)) {
                figures.computeIfAbsent(slice.segment().index(), index -> at(figures.size()));
            }
        }
        return figures;
    }

    /** "3.0" or "3.0, 3.5, 4.0". */
    public String written(int digits) {
        return each.stream()
                .map(one -> String.format(Locale.ROOT, "%." + digits + "f", one))
                .collect(Collectors.joining(", "));
    }
}
