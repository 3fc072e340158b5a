package wake.workout;

import java.math.BigDecimal;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wake.movement.Movement;
import wake.movement.Position;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Workout.Counting;
import wake.workout.Workout.Sides;

/**
 * One movement occurrence in workout order: "round 3, 12 toes-to-bar". The unit of all computation.
 *
 * @param index place in the expanded workout, from 0
 * @param line which movement line of the part it comes from
 * @param path the laps it stands in, outermost first; empty outside blocks
 * @param role whether it belongs to what is done once before or after the rest
 * @param movement what is done
 * @param amount how much of it, on each side where sides are counted
 * @param sides whether the amount is for each side, or sides take turns
 * @param counting what it counts in the score; empty for the default
 * @param loads loads and heights, each implement by itself
 * @param restBeforeMs the rest that is prescribed before it; 0 for none
 */
public record Segment(
        int index,
        Line line,
        List<Lap> path,
        Role role,
        Movement movement,
        Quantity amount,
        Sides sides,
        Optional<Counting> counting,
        List<Quantity> loads,
        long restBeforeMs) {
    private static final Set<Position> RAISED =
            EnumSet.of(Position.HIP, Position.RACK, Position.BACK, Position.OVERHEAD);

    public Segment {
        loads = List.copyOf(loads);
        path = List.copyOf(path);
    }

    /**
     * A movement line of a part.
     *
     * @param index its place among the lines, from 0
     * @param name what distinguishes it from the part's other lines: the movement, with its amount or its place where that comes twice
     * @param apart what a label needs beside amount, movement and load to say which it is: "right", "second"; empty where those do
     */
    public record Line(int index, String name, String apart) {}

    /** Where in a part it belongs. */
    public enum Role {
        MAIN(""),
        BUY_IN("buy-in"),
        CASH_OUT("cash-out");

        private final String words;

        Role(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Which movement line of the part it comes from, from 0. */
    public int lineIndex() {
        return line.index();
    }

    /** The lap of the outermost block it stands in: the round a coach means. */
    public Lap lap() {
        return path.isEmpty() || path.getFirst().block().pieces() ? Lap.ONCE : path.getFirst();
    }

    /** Whether it is one of the lengths, or chunks, that a distance or calories are done in. */
    public boolean inLengths() {
        return !path.isEmpty() && path.getLast().block().pieces();
    }

    /** All of it, both sides together, in the amount's unit. */
    public double units() {
        return amount.doubleValue() * (sides == Sides.EACH ? 2 : 1);
    }

    /** Whole units that can be counted one by one; empty for distances and times. */
    public OptionalInt countable() {
        return amount.unit() == Unit.REP || amount.unit() == Unit.CALORIE
                ? OptionalInt.of((int) Math.ceil(units()))
                : OptionalInt.empty();
    }

    /** Whether single reps can be seen and tapped. */
    public boolean tappable() {
        return amount.unit() == Unit.REP;
    }

    /** What distinguishes its line at its load from every other: what is gathered by it is like work. */
    public String lineAtLoad() {
        return lineIndex() + " @ " + loads;
    }

    /** Whether the partner does it, where two share the work. */
    public boolean isPartners() {
        return lap().isPartners();
    }

    /** Whether it stands in a block of several rounds. */
    public boolean inRounds() {
        return lap().repeats();
    }

    /** The steps in which it gets done: its reps or calories, else what it counts, at least one. */
    public int steps() {
        return countable().orElse(Math.max(1, score()));
    }

    /** What it counts in a score when it is complete: reps and calories one each, a distance or time one, or as the workout says. */
    public int score() {
        return counting.map(counts -> counts.per() == 0
                        ? counts.points()
                        : counts.points() * (int) Math.floor(units() / counts.per()))
                .orElse(countable().orElse(1));
    }

    /** The same counting nothing, unless the workout says what it counts. */
    Segment leadingUp() {
        return counting.isPresent()
                ? this
                : new Segment(
                        index,
                        line,
                        path,
                        role,
                        movement,
                        amount,
                        sides,
                        Optional.of(new Counting(0, 0)),
                        loads,
                        restBeforeMs);
    }

    /** What so many of its steps count. */
    public int points(int stepsDone) {
        return stepsDone >= steps() ? score() : (int) ((long) stepsDone * score() / steps());
    }

    /** The distance it covers, in metres; 0 where it is none. */
    public double metres() {
        return amount.unit().dimension() == Unit.Dimension.LENGTH
                ? amount.unit().to(Unit.METRE, units())
                : 0;
    }

    /** The load it is done with; empty where nothing is loaded by mass. */
    public Optional<Quantity> mass() {
        return loads.stream()
                .filter(load -> load.unit().dimension() == Unit.Dimension.MASS)
                .findFirst();
    }

    /** The share of the athlete's max that it asks for, 0.8 for {@code @ 80 %}; empty where loads are said in themselves. */
    public OptionalDouble shareOfMax() {
        return loads.stream()
                .filter(load -> load.unit() == Unit.PERCENT)
                .mapToDouble(load -> load.doubleValue() / 100)
                .findFirst();
    }

    /** What is lifted in all: its loads in kilograms times its reps; 0 where nothing is loaded by mass. */
    public double movedKilograms() {
        double each = loads.stream()
                .filter(load -> load.unit().dimension() == Unit.Dimension.MASS)
                .mapToDouble(load -> load.in(Unit.KILOGRAM))
                .sum();
        return tappable() ? each * steps() : 0;
    }

    /** Whether the next one takes over the same bar or buzzer from where a rep of this one ends, so that it need not be put down. */
    public boolean handsOverTo(Segment next) {
        return lineIndex() != next.lineIndex()
                && tappable()
                && next.tappable()
                && movement.ends() == next.movement.starts()
                && movement.ends() != Position.STANDING
                && movement.ends() != Position.FLOOR
                && mass().isPresent()
                && mass().equals(next.mass());
    }

    /** Whether its load is up before the first rep: every set begins with a way up that nobody counts. */
    public boolean isRaised() {
        return mass().isPresent() && RAISED.contains(movement.starts());
    }

    /**
     * "12 toes-to-bar", "8 cal row", "5 power clean @ 40 kg", "10 front-rack lunge each side", "25 ft handstand walk (1 of 3)"; of lines that read alike
     * "30 cal row (second)".
     */
    public String label() {
        Lap last = path.isEmpty() ? Lap.ONCE : path.getLast();
        String which = Stream.of(line.apart(), last.block().pieces() ? last.number() + " of " + last.of() : "")
                .filter(word -> !word.isEmpty())
                .collect(Collectors.joining(", "));
        return whole() + (which.isEmpty() ? "" : " (" + which + ")");
    }

    /** The same without saying which piece of a distance it is. */
    public String whole() {
        return labelOf(amount.value());
    }

    /** Whether it is a piece of the same distance as another. */
    public boolean isPieceWith(Segment other) {
        return !path.isEmpty()
                && !other.path.isEmpty()
                && path.getLast().block().pieces()
                && path.getLast().block().equals(other.path.getLast().block())
                && around().equals(other.around());
    }

    /** The rounds it stands in, without the piece of a distance it is. */
    public List<Lap> around() {
        return path.stream().filter(lap -> !lap.block().pieces()).toList();
    }

    /** "50 ft handstand walk, in 25 ft" of the pieces of a distance that this one is the first of; the label of one alone. */
    String inPieces(List<Segment> together) {
        return together.size() == 1
                ? label()
                : labelOf(together.stream()
                                .map(segment -> segment.amount().value())
                                .reduce(BigDecimal.ZERO, BigDecimal::add))
                        + ", in " + amount;
    }

    /** The same with another amount. */
    String labelOf(BigDecimal much) {
        String unit = amount.unit() == Unit.REP ? "" : amount.unit().symbol() + " ";
        String side = sides == Sides.EACH ? " each side" : "";
        String weights = loads.stream().distinct().map(this::weight).collect(Collectors.joining(", "));
        return new Quantity(much, amount.unit()).number() + " " + unit + movement.name() + side
                + (weights.isEmpty() ? "" : " @ " + weights);
    }

    /** "40 kg", or "2x22.5 kg". */
    private String weight(Quantity load) {
        long times = loads.stream().filter(load::equals).count();
        return (times > 1 ? times + "x" : "") + load;
    }

    /** "round 3, 12 toes-to-bar", "round 3.2, 6 burpee" in the second inner round of it, or without the round where there is one only. */
    public String place() {
        return placeOf(label());
    }

    /** Inside it, after so much of its amount: "round 6, 7 of 18 thruster". */
    public String placeAfter(int done) {
        return placeOf(done + " of " + label());
    }

    private String placeOf(String what) {
        return inRounds() ? Lap.words(around()) + ", " + what : what;
    }
}
