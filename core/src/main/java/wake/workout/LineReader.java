package wake.workout;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Pattern;
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

    /** As many as there is time for. */
    static final String MAX = "max";

    static final int MOST_PIECES = 200;

    /** "2x20 kg farmer carry": two of them, not two reps. */
    private static final Pattern PAIR_FIRST = Pattern.compile("x\\s*\\d", Pattern.CASE_INSENSITIVE);

    private final NotationSource source;
    private final int divisions;

    LineReader(NotationSource source, int divisions) {
        this.source = source;
        this.divisions = divisions;
    }

    MovementLine read(LineScanner scanner, Frame frame, String note) {
        LineScanner.Unfit tooSmall = scanner.unfit("an amount above zero, up to " + MOST);
        PerDivision<Measured> amounts = frame instanceof Frame.Headed headed && !scanner.atDigit()
                ? PerDivision.same(new Measured(headed.amounts(), unit(scanner)))
                : scanner.perDivision(() -> measured(scanner, frame), divisions);
        if (!amounts.values().stream().allMatch(amount -> isSomething(amount.series()))) {
            throw tooSmall;
        }
        return line(amounts, scanner, frame, note);
    }

    /** What follows "max": one of it, to be repeated until the buzzer. */
    MovementLine readOne(LineScanner scanner, String note) {
        Measured one = new Measured(new Series.Fixed(BigDecimal.ONE), unit(scanner));
        return line(PerDivision.same(one), scanner, new Frame.Open(), note);
    }

    private MovementLine line(PerDivision<Measured> amounts, LineScanner scanner, Frame frame, String note) {
        Optional<PerDivision<Unit>> said = Measured.units(amounts, scanner);
        PerDivision<String> movement = scanner.perDivision(() -> movement(scanner), divisions);
        PerDivision<Unit> units = said.orElseGet(() -> PerDivision.same(source.catalogue()
                .find(movement.values().getFirst())
                .map(Movement::unit)
                .orElse(Unit.REP)));
        PerDivision<Series> amount = amounts.map(Measured::series);
        Sides sides = Sides.BOTH;
        Optional<Counting> counting = Optional.empty();
        Optional<BigDecimal> piece = Optional.empty();
        while (scanner.take(",")) {
            if (scanner.take("each")) {
                scanner.expect("side", "\"each side\"");
                sides = Sides.EACH;
            } else if (scanner.take("alternating")) {
                sides = Sides.ALTERNATING;
            } else if (scanner.take("in")) {
                piece = Optional.of(piece(scanner, amount, units));
            } else {
                scanner.expect(
                        "counts", "\"each side\", \"alternating\", \"in 25 ft\" or \"counts 1\" after the comma");
                counting = Optional.of(counting(scanner, units));
            }
        }
        List<LoadSpec> loads = new ArrayList<>();
        if (scanner.take("@")) {
            do {
                loads.add(load(scanner, frame));
            } while (scanner.take(","));
        }
        scanner.expectEnd("the end of the line, or a load like \"@ 40 kg\"");
        return new MovementLine(amount, units, piece, movement, sides, counting, loads, note);
    }

    /**
     * An amount with the unit behind it, where there is one.
     *
     * @param unit empty where none is written there
     */
    private record Measured(Series series, Optional<Unit> unit) {
        /** The units of all divisions: one behind the last for all, or one behind each; empty where none is written. */
        static Optional<PerDivision<Unit>> units(PerDivision<Measured> all, LineScanner scanner) {
            List<Unit> written =
                    all.values().stream().flatMap(one -> one.unit().stream()).toList();
            Optional<Unit> last = all.values().getLast().unit();
            if (written.isEmpty()) {
                return Optional.empty();
            }
            boolean each = written.size() == all.values().size();
            if (!each && (written.size() > 1 || last.isEmpty())) {
                throw scanner.unfit("a unit behind each amount, or one behind the last for all");
            }
            boolean comparable = written.stream().distinct().count() == 1;
            return Optional.of(comparable ? PerDivision.same(written.getFirst()) : new PerDivision<>(written));
        }
    }

    private static Measured measured(LineScanner scanner, Frame frame) {
        Series series = inFrame(scanner, frame, BodyReader.A_MOVEMENT);
        return new Measured(series, unit(scanner));
    }

    private static Optional<Unit> unit(LineScanner scanner) {
        return scanner.peekWord()
                .flatMap(Unit::ofSymbol)
                .filter(known -> known.dimension() != Unit.Dimension.MASS
                        && known.dimension() != Unit.Dimension.SHARE
                        && scanner.take(known.symbol()));
    }

    /** Into what pieces a distance or calories are cut. */
    private static BigDecimal piece(LineScanner scanner, PerDivision<Series> amount, PerDivision<Unit> units) {
        LineScanner.Unfit unfit = scanner.unfit("lengths of a distance or chunks of calories, at most " + MOST_PIECES
                + " of them, in the unit of its amount, like \"200 ft handstand walk, in 25 ft\"");
        BigDecimal piece = scanner.number("how long a length is, like \"in 25 ft\"");
        Unit unit = units.values().getFirst();
        boolean cuttable =
                units.values().size() == 1 && (unit.dimension() == Unit.Dimension.LENGTH || unit == Unit.CALORIE);
        boolean fits = cuttable
                && scanner.take(unit.symbol())
                && piece.signum() > 0
                && amount.values().stream()
                        .flatMap(series -> series.values().stream())
                        .allMatch(value -> value.compareTo(piece.multiply(BigDecimal.valueOf(MOST_PIECES))) <= 0);
        if (!fits) {
            throw unfit;
        }
        return piece;
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
        if (PAIR_FIRST.matcher(written).lookingAt()) {
            throw scanner.unfit("an amount before it and the load behind, like \"20 m farmer carry @ 2x20 kg\"");
        }
        if (written.contains("(")) {
            throw new LineScanner.Unfit(new NotationError(
                    unnamed.error().line(),
                    unnamed.error().column(),
                    "numbers in parentheses without a unit",
                    "a load, like \"@ 24/16 kg\""));
        }
        Optional<Movement> known = source.catalogue().find(written);
        if (known.isEmpty()) {
            source.catalogue()
                    .nearMiss(written)
                    .ifPresent(name -> source.hint(NotationError.perhaps(
                            unnamed.error().line(), unnamed.error().column(), "\"" + written + "\"", name)));
        }
        known.flatMap(movement -> NotationError.shared(
                        unnamed.error().line(), unnamed.error().column(), written, movement.name()))
                .ifPresent(source::hint);
        return known.map(Movement::name).orElse(written);
    }

    private static Counting counting(LineScanner scanner, PerDivision<Unit> units) {
        int points = scanner.wholeNumber(0, 1000, "what it counts, like \"counts 1 per 5 ft\"");
        if (!scanner.take("per")) {
            return new Counting(points, 0);
        }
        int per = scanner.wholeNumber(1, 10_000, "for how much, like \"counts 1 per 5 ft\"");
        Unit counted = units.values().getFirst();
        LineScanner.Unfit apart = scanner.unfit("one unit for all divisions with \"counts\"");
        if (units.values().size() > 1) {
            throw apart;
        }
        scanner.expect(counted.symbol(), "the unit of the line's amount, " + counted.symbol());
        return new Counting(points, per);
    }

    private LoadSpec load(LineScanner scanner, Frame frame) {
        int times = scanner.times();
        PerDivision<Measured> values = scanner.perDivision(
                () -> new Measured(
                        inFrame(scanner, frame, "a load with its unit, like \"@ 40/60 kg\""), loadUnit(scanner)),
                divisions);
        LineScanner.Unfit noUnit = scanner.unfit("the load's unit: kg, lb, in, cm, m, ft or % max");
        PerDivision<Unit> units = Measured.units(values, scanner).orElseThrow(() -> noUnit);
        boolean comparable =
                units.values().stream().map(Unit::dimension).distinct().count() == 1;
        if (!comparable) {
            throw noUnit;
        }
        return new LoadSpec(values.map(Measured::series), units, times);
    }

    private static Optional<Unit> loadUnit(LineScanner scanner) {
        if (scanner.take(Unit.PERCENT.symbol())) {
            boolean said = scanner.take("of");
            if (said) {
                scanner.take("the");
                scanner.expect("max", "\"max\": a share is of the movement's own max");
            }
            return Optional.of(Unit.PERCENT);
        }
        return scanner.peekWord()
                .flatMap(Unit::ofSymbol)
                .filter(known -> known.dimension() == Unit.Dimension.MASS || known.dimension() == Unit.Dimension.LENGTH)
                .filter(known -> scanner.take(known.symbol()));
    }

    /** A series that the rounds around it can take. */
    static Series inFrame(LineScanner scanner, Frame frame, String expected) {
        LineScanner.Unfit misfit = scanner.unfit(
                switch (frame) {
                    case Frame.Once once -> "one number here; a list such as 10-8-6 goes under \"3 rounds:\"";
                    case Frame.Counted counted -> "one number, or one for each of the " + counted.rounds() + " rounds";
                    case Frame.Headed headed -> "one number, or one for each of the " + headed.rounds() + " rounds";
                    case Frame.Open open ->
                        "one number, a step like 4+4, or a list whose last number stands from then on";
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
