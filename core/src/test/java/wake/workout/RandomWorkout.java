package wake.workout;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import wake.Samples;
import wake.units.Unit;
import wake.workout.Workout.Format;
import wake.workout.Workout.LoadSpec;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.Part;
import wake.workout.Workout.Remark;
import wake.workout.Workout.Rounds;

/** Workouts of every shape the notation can say, from a seed. */
final class RandomWorkout {
    private final SplittableRandom random;
    private final int divisions;

    private RandomWorkout(SplittableRandom random) {
        this.random = random;
        this.divisions = random.nextInt(4);
    }

    static Workout of(SplittableRandom random) {
        RandomWorkout made = new RandomWorkout(random);
        OptionalLong cap =
                random.nextBoolean() ? OptionalLong.of(1000L * (1 + random.nextInt(4000))) : OptionalLong.empty();
        return new Workout(
                "Swell " + random.nextInt(100),
                random.nextBoolean() ? "note" : "",
                random.nextBoolean() ? List.of("first", "second") : List.of(),
                IntStream.range(0, made.divisions).mapToObj(i -> "class " + i).toList(),
                new Part(new Format.ForTime(cap), random.nextBoolean() ? "go hard" : "", made.body(0, 0)));
    }

    private List<Node> body(int depth, int rounds) {
        List<Node> nodes = new ArrayList<>();
        nodes.add(line(rounds));
        for (int i = random.nextInt(4); i > 0; i--) {
            int pick = random.nextInt(6);
            if (pick == 0) {
                nodes.add(new Remark("remark " + i));
            } else if (pick < 3 && depth < 3) {
                int count = 1 + random.nextInt(6);
                nodes.add(new Rounds(count, random.nextBoolean() ? "block" : "", body(depth + 1, count)));
            } else {
                nodes.add(line(rounds));
            }
        }
        return nodes;
    }

    private MovementLine line(int rounds) {
        var movements = Samples.CATALOGUE.all();
        var movement = movements.get(random.nextInt(movements.size()));
        List<LoadSpec> loads = new ArrayList<>();
        for (int i = random.nextInt(3); i > 0; i--) {
            loads.add(new LoadSpec(perDivision(rounds), random.nextBoolean() ? Unit.KILOGRAM : Unit.CENTIMETRE));
        }
        return new MovementLine(
                perDivision(rounds),
                movement.unit(),
                movement.name(),
                loads,
                random.nextInt(3) == 0 ? "as @ it / comes" : "");
    }

    private PerDivision<Series> perDivision(int rounds) {
        int many = divisions > 1 && random.nextBoolean() ? divisions : 1;
        return new PerDivision<>(
                IntStream.range(0, many).mapToObj(i -> series(rounds)).toList());
    }

    private Series series(int rounds) {
        int pick = rounds == 0 ? 0 : random.nextInt(3);
        if (pick == 1) {
            return new Series.Stepped(number(), number());
        }
        return pick == 2 && rounds > 1
                ? new Series.Listed(
                        IntStream.range(0, rounds).mapToObj(i -> number()).toList())
                : new Series.Fixed(number());
    }

    private BigDecimal number() {
        return BigDecimal.valueOf(5L + random.nextInt(2000), random.nextInt(2));
    }
}
