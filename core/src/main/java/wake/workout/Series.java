package wake.workout;

import java.math.BigDecimal;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Collectors;

/** How an amount or a load goes from round to round. */
public sealed interface Series {
    /** The value in a round, counted from 1. */
    BigDecimal at(int round);

    /** How many rounds the series speaks for, when it lists them. */
    default OptionalInt rounds() {
        return OptionalInt.empty();
    }

    /** The values it is written with: for a step, where it starts and how far it goes. */
    List<BigDecimal> values();

    /** The series as it is written on the whiteboard. */
    String written();

    /** The same every round: {@code 12}. */
    record Fixed(BigDecimal value) implements Series {
        public Fixed {
            value = plain(value);
        }

        @Override
        public BigDecimal at(int round) {
            return value;
        }

        @Override
        public List<BigDecimal> values() {
            return List.of(value);
        }

        @Override
        public String written() {
            return value.toPlainString();
        }
    }

    /** One value for each round: {@code 10-8-6}. */
    record Listed(List<BigDecimal> values) implements Series {
        /** @throws IllegalArgumentException with fewer than two values */
        public Listed {
            values = values.stream().map(Series::plain).toList();
            if (values.size() < 2) {
                throw new IllegalArgumentException("A list needs at least two values");
            }
        }

        @Override
        public BigDecimal at(int round) {
            return values.get(Math.min(round, values.size()) - 1);
        }

        @Override
        public OptionalInt rounds() {
            return OptionalInt.of(values.size());
        }

        @Override
        public String written() {
            return values.stream().map(BigDecimal::toPlainString).collect(Collectors.joining("-"));
        }
    }

    /** Growing by a step each round: {@code 8+8} is 8, 16, 24 … */
    record Stepped(BigDecimal start, BigDecimal step) implements Series {
        public Stepped {
            start = plain(start);
            step = plain(step);
        }

        @Override
        public List<BigDecimal> values() {
            return List.of(start, step);
        }

        @Override
        public BigDecimal at(int round) {
            return plain(start.add(step.multiply(BigDecimal.valueOf(round - 1L))));
        }

        @Override
        public String written() {
            return start.toPlainString() + "+" + step.toPlainString();
        }
    }

    private static BigDecimal plain(BigDecimal value) {
        return value.signum() == 0 ? BigDecimal.ZERO : value.stripTrailingZeros();
    }
}
