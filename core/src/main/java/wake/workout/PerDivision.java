package wake.workout;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A value for each division, or one for all.
 *
 * @param values one value, or as many as the workout has divisions, in their order
 */
public record PerDivision<T>(List<T> values) {
    /** @throws IllegalArgumentException without values */
    public PerDivision {
        values = List.copyOf(values);
        if (values.isEmpty()) {
            throw new IllegalArgumentException("At least one value is needed");
        }
    }

    public static <T> PerDivision<T> same(T value) {
        return new PerDivision<>(List.of(value));
    }

    public T in(int division) {
        return values.size() == 1 ? values.getFirst() : values.get(division);
    }

    <R> PerDivision<R> map(Function<T, R> each) {
        return new PerDivision<>(values.stream().map(each).toList());
    }

    String written(Function<T, String> each) {
        return values.stream().map(each).collect(Collectors.joining("/"));
    }
}
