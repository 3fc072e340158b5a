package wake.workout;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import wake.Samples;
import wake.units.Unit;
import wake.workout.Workout.Counting;
import wake.workout.Workout.FreeOrder;
import wake.workout.Workout.LoadSpec;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.Once;
import wake.workout.Workout.Part;
import wake.workout.Workout.Pause;
import wake.workout.Workout.Remark;
import wake.workout.Workout.Repeat;
import wake.workout.Workout.Rest;
import wake.workout.Workout.Rounds;
import wake.workout.Workout.Section;
import wake.workout.Workout.Sides;
import wake.workout.Workout.StagedCap;
import wake.workout.Workout.TieBreak;
import wake.workout.Workout.When;

/** Workouts of every shape the notation can say, from a seed. */
final class RandomWorkout {
    private static final int OPEN = -1;

    private final SplittableRandom random;
    private final int divisions;

    private RandomWorkout(SplittableRandom random) {
        this.random = random;
        this.divisions = random.nextInt(4);
    }

    static Workout of(SplittableRandom random) {
        RandomWorkout made = new RandomWorkout(random);
        return new Workout(
                "Swell " + random.nextInt(100),
                made.note("note"),
                random.nextBoolean() ? List.of("first", "second") : List.of(),
                IntStream.range(0, made.divisions).mapToObj(i -> "class " + i).toList(),
                made.sections());
    }

    private String note(String text) {
        return random.nextInt(3) == 0 ? text : "";
    }

    private List<Section> sections() {
        int parts = 1 + random.nextInt(3);
        List<Section> sections = new ArrayList<>();
        for (int i = 0; i < parts; i++) {
            if (i > 0 && random.nextBoolean()) {
                sections.add(new Pause(time(), note("breathe")));
            }
            sections.add(part(parts == 1 ? "" : String.valueOf((char) ('A' + i))));
        }
        return sections;
    }

    private Part part(String name) {
        String note = note("go hard");
        return switch (random.nextInt(4)) {
            case 0 ->
                new Part(
                        name, new Format.ForTime(OptionalLong.empty(), random.nextInt(4) == 0), note, body(0, 0, true));
            case 1 -> {
                List<Node> body = body(0, OPEN, true);
                boolean repeats = random.nextBoolean();
                if (repeats) {
                    body = new ArrayList<>(body(0, OPEN, false));
                    body.add(new Repeat(note("again"), body(1, OPEN, false)));
                }
                Optional<Format.Scored> scored = random.nextBoolean()
                        ? Optional.empty()
                        : Optional.of(Format.Scored.values()[random.nextInt(2)]);
                yield new Part(name, new Format.Amrap(time(), scored, random.nextInt(4) == 0), note, body);
            }
            case 2 -> {
                int times = 1 + random.nextInt(9);
                yield new Part(
                        name, new Format.Every(time(), times, random.nextBoolean()), note, body(0, times, false));
            }
            default ->
                random.nextBoolean()
                        ? new Part(
                                name,
                                new Format.ForTime(OptionalLong.of(time()), random.nextInt(4) == 0),
                                note,
                                body(0, 0, true))
                        : new Part(
                                name,
                                new Format.Lift(
                                        time(),
                                        List.of(
                                                new Format.LiftPiece(2, "hang power clean"),
                                                new Format.LiftPiece(1, "jerk"))),
                                note,
                                List.of());
        };
    }

    private long time() {
        return 1000L * (1 + random.nextInt(4000));
    }

    /** Rounds: 0 for none, {@link #OPEN} for as many as there is time for. */
    private List<Node> body(int depth, int rounds, boolean withOnce) {
        List<Node> nodes = new ArrayList<>();
        if (withOnce && random.nextInt(3) == 0) {
            nodes.add(new Once(When.BUY_IN, "", List.of(line(0))));
        }
        nodes.add(line(rounds));
        for (int i = random.nextInt(4); i > 0; i--) {
            nodes.add(node(depth, rounds, i));
        }
        if (depth == 0) {
            nodes.addAll(landmarks(nodes, rounds));
        }
        if (withOnce && random.nextInt(3) == 0) {
            nodes.add(new Once(When.CASH_OUT, note("all of it"), List.of(line(0), line(0))));
        }
        return nodes;
    }

    private Node node(int depth, int rounds, int place) {
        int pick = random.nextInt(9);
        if (pick == 0) {
            return new Remark("remark " + place);
        }
        if (pick < 4 && depth < 3) {
            int count = 1 + random.nextInt(6);
            boolean grows = rounds != 0 && random.nextInt(3) == 0;
            Series counts = grows
                    ? new Series.Stepped(BigDecimal.ONE, BigDecimal.TWO)
                    : new Series.Fixed(BigDecimal.valueOf(count));
            return new Rounds(counts, note("block"), body(depth + 1, grows ? OPEN : count, false));
        }
        return switch (pick) {
            case 5 -> depth > 0 ? new Rest(1000L * (1 + random.nextInt(600)), note("walk")) : line(rounds);
            case 4 ->
                depth < 3 ? new FreeOrder(note("as you like"), List.of(whole(line(0)), whole(line(0)))) : line(rounds);
            default -> line(rounds);
        };
    }

    /** Gates and tie-breaks after rounds that there are. */
    private List<Node> landmarks(List<Node> nodes, int rounds) {
        int last = rounds == OPEN
                ? 5
                : rounds > 0
                        ? rounds
                        : nodes.stream()
                                .filter(Rounds.class::isInstance)
                                .mapToInt(node -> ((Rounds) node).count().at(1).intValue())
                                .max()
                                .orElse(0);
        List<Node> some = new ArrayList<>();
        if (last > 0 && random.nextInt(3) == 0) {
            some.add(new StagedCap(time(), 1 + random.nextInt(last), note("stop here")));
        }
        if (rounds == 0 && random.nextInt(3) == 0) {
            some.add(new StagedCap(time(), 0, note("all of it")));
        }
        if (last > 0 && random.nextInt(3) == 0) {
            some.add(new TieBreak(
                    random.nextBoolean() ? TieBreak.EACH_ROUND : 1 + random.nextInt(last), note("look up")));
        }
        if (nodes.stream().anyMatch(MovementLine.class::isInstance) && random.nextInt(3) == 0) {
            some.add(new TieBreak(0, note("look down")));
        }
        return some;
    }

    private MovementLine line(int rounds) {
        var movements = Samples.CATALOGUE.all();
        var movement = movements.get(random.nextInt(movements.size()));
        List<LoadSpec> loads = new ArrayList<>();
        for (int i = random.nextInt(3); i > 0; i--) {
            PerDivision<Unit> loadUnits = loadUnits();
            loads.add(new LoadSpec(perDivision(rounds, loadUnits), loadUnits, random.nextInt(4) == 0 ? 2 : 1));
        }
        Optional<Counting> counting = random.nextInt(4) == 0
                ? Optional.of(new Counting(1 + random.nextInt(9), random.nextBoolean() ? 0 : 5))
                : Optional.empty();
        boolean apart = divisions > 1 && counting.isEmpty() && random.nextInt(6) == 0;
        PerDivision<Unit> units = apart ? apart(movement.unit()) : PerDivision.same(movement.unit());
        boolean substitutes = divisions > 1 && random.nextInt(4) == 0;
        return new MovementLine(
                perDivision(rounds, units),
                units,
                units.values().size() == 1 && movement.unit() == Unit.METRE && random.nextBoolean()
                        ? Optional.of(BigDecimal.valueOf(200))
                        : Optional.empty(),
                new PerDivision<>(Collections.nCopies(substitutes ? divisions : 1, movement.name())),
                Sides.values()[random.nextInt(3)],
                counting,
                loads,
                random.nextInt(3) == 0 ? "as @ it / comes" : "");
    }

    private PerDivision<Unit> loadUnits() {
        if (divisions > 1 && random.nextInt(4) == 0) {
            return apart(Unit.KILOGRAM);
        }
        return PerDivision.same(random.nextBoolean() ? Unit.KILOGRAM : Unit.CENTIMETRE);
    }

    /** A unit for each division, the last another than the first. */
    private PerDivision<Unit> apart(Unit first) {
        Unit last = first == Unit.KILOGRAM ? Unit.POUND : first == Unit.FOOT ? Unit.METRE : Unit.FOOT;
        return new PerDivision<>(IntStream.range(0, divisions)
                .mapToObj(i -> i + 1 == divisions ? last : first)
                .toList());
    }

    private static MovementLine whole(MovementLine line) {
        return new MovementLine(
                line.amount(),
                line.units(),
                Optional.empty(),
                line.movement(),
                line.sides(),
                line.counting(),
                line.loads(),
                line.note());
    }

    /** A value for each division where each has a unit of its own. */
    private PerDivision<Series> perDivision(int rounds, PerDivision<Unit> units) {
        PerDivision<Series> some = perDivision(rounds);
        return new PerDivision<>(
                IntStream.range(0, Math.max(units.values().size(), some.values().size()))
                        .mapToObj(some::in)
                        .toList());
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
        int listed = rounds == OPEN ? 3 : rounds;
        return pick == 2 && listed > 1
                ? new Series.Listed(
                        IntStream.range(0, listed).mapToObj(i -> number()).toList())
                : new Series.Fixed(number());
    }

    private BigDecimal number() {
        return BigDecimal.valueOf(5L + random.nextInt(2000), random.nextInt(2));
    }
}
