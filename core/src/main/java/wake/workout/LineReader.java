package wake.workout;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import wake.movement.Movement;
import wake.units.Unit;
import wake.workout.BodyReader.Frame;
import wake.workout.Workout.Counting;
import wake.workout.Workout.LoadSpec;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Sides;

/** Reads one movement line. */
final class LineReader {
    /** The most of anything in one go: a hundred kilometres in metres, a day in seconds. */
    static final BigDecimal MOST = BigDecimal.valueOf(100_000);

    private final NotationSource source;
    private final int divisions;

    LineReader(NotationSource source, int divisions) {
        this.source = source;
        this.divisions = divisions;
    }

    MovementLine read(LineScanner scanner, Frame frame, String note) {
        LineScanner.Unfit tooSmall = scanner.unfit("an amount above zero, up to " + MOST);
        PerDivision<Series> amount = frame instanceof Frame.Headed headed && !scanner.atDigit()
                ? new PerDivision<>(List.of(headed.amounts()))
                : scanner.perDivision(() -> inFrame(scanner, frame, BodyReader.A_MOVEMENT), divisions);
        if (!amount.values().stream().allMatch(LineReader::isSomething)) {
            throw tooSmall;
        }
        Optional<Unit> unit = scanner.peekWord()
                .flatMap(Unit::ofSymbol)
                .filter(known -> known.dimension() != Unit.Dimension.MASS && scanner.take(known.symbol()));
        PerDivision<String> movement = scanner.perDivision(() -> movement(scanner), divisions);
        Unit counted = unit.or(() ->
                        source.catalogue().find(movement.values().getFirst()).map(Movement::unit))
                .orElse(Unit.REP);
        Sides sides = Sides.BOTH;
        Optional<Counting> counting = Optional.empty();
        while (scanner.take(",")) {
            if (scanner.take("each")) {
                scanner.expect("side", "\"each side\"");
                sides = Sides.EACH;
            } else if (scanner.take("alternating")) {
                sides = Sides.ALTERNATING;
            } else {
                scanner.expect("counts", "\"each side\", \"alternating\" or \"counts 1\" after the comma");
                counting = Optional.of(counting(scanner, counted));
            }
        }
        List<LoadSpec> loads = new ArrayList<>();
        if (scanner.take("@")) {
            do {
                loads.add(load(scanner, frame));
            } while (scanner.take(","));
        }
        scanner.expectEnd("the end of the line, or a load as in \"@ 40 kg\"");
        return new MovementLine(amount, counted, movement, sides, counting, loads, note);
    }

    /** There is something to do, in one round at least, and not more than anybody does. A step may be nothing. */
    private static boolean isSomething(Series series) {
        return switch (series) {
            case Series.Fixed fixed -> isSomething(fixed.value());
            case Series.Stepped stepped ->
                isSomething(stepped.start()) && stepped.step().compareTo(MOST) <= 0;
            // A round with a 0 is one without the movement.
            case Series.Listed listed ->
                listed.values().stream().allMatch(value -> value.compareTo(MOST) <= 0)
                        && listed.values().stream().anyMatch(LineReader::isSomething);
        };
    }

    private static boolean isSomething(BigDecimal value) {
        return value.signum() > 0 && value.compareTo(MOST) <= 0;
    }

    /** The movement's name in the catalogue, or as written; a near miss is pointed out. */
    private String movement(LineScanner scanner) {
        LineScanner.Unfit unnamed = scanner.unfit(BodyReader.A_MOVEMENT);
        String written = scanner.until("@,/");
        if (written.isEmpty() || !Character.isLetter(written.charAt(0))) {
            throw unnamed;
        }
        Optional<Movement> known = source.catalogue().find(written);
        if (known.isEmpty()) {
            source.catalogue()
                    .suggest(written)
                    .ifPresent(name -> source.hint(new NotationError(
                            unnamed.error().line(),
                            unnamed.error().column(),
                            "\"" + written + "\"",
                            "perhaps " + name)));
        }
        return known.map(Movement::name).orElse(written);
    }

    private static Counting counting(LineScanner scanner, Unit counted) {
        int points = scanner.wholeNumber(0, 1000, "what it counts, as in \"counts 1 per 5 ft\"");
        if (!scanner.take("per")) {
            return new Counting(points, 0);
        }
        int per = scanner.wholeNumber(1, 10_000, "for how much, as in \"counts 1 per 5 ft\"");
        scanner.expect(counted.symbol(), "the unit of the line's amount, " + counted.symbol());
        return new Counting(points, per);
    }

    private LoadSpec load(LineScanner scanner, Frame frame) {
        int times = scanner.times();
        PerDivision<Series> values = scanner.perDivision(
                () -> inFrame(scanner, frame, "a load with its unit, as in \"@ 40/60 kg\""), divisions);
        LineScanner.Unfit noUnit = scanner.unfit("the load's unit: kg, lb, in, cm, m or ft");
        Unit unit = scanner.peekWord().flatMap(Unit::ofSymbol).orElseThrow(() -> noUnit);
        if (unit.dimension() != Unit.Dimension.MASS && unit.dimension() != Unit.Dimension.LENGTH) {
            throw noUnit;
        }
        scanner.expect(unit.symbol(), "a unit");
        return new LoadSpec(values, unit, times);
    }

    /** A series that the rounds around it can take. */
    static Series inFrame(LineScanner scanner, Frame frame, String expected) {
        LineScanner.Unfit misfit = scanner.unfit(
                switch (frame) {
                    case Frame.Once once -> "one number here; a list such as 10-8-6 goes under \"3 rounds:\"";
                    case Frame.Counted counted -> "one number, or one for each of the " + counted.rounds() + " rounds";
                    case Frame.Headed headed -> "one number, or one for each of the " + headed.rounds() + " rounds";
                    case Frame.Open open ->
                        "one number, a step as in 4+4, or a list whose last number stands from then on";
                });
        Series series = scanner.series(expected);
        OptionalInt listed = series.rounds();
        boolean fits = switch (frame) {
            case Frame.Once once -> series instanceof Series.Fixed;
            case Frame.Counted counted -> listed.isEmpty() || listed.getAsInt() == counted.rounds();
            case Frame.Headed headed -> listed.isEmpty() || listed.getAsInt() == headed.rounds();
            case Frame.Open open -> true;
        };
        if (!fits) {
            throw misfit;
        }
        return series;
    }
}
