package wake.workout;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import wake.movement.Catalogue;
import wake.movement.Movement;
import wake.units.InvalidInput;
import wake.units.Unit;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.Part;
import wake.workout.Workout.Repeat;
import wake.workout.Workout.When;

/**
 * A part of a workout in one division, expanded to its segments in the order they are done. What repeats until the buzzer is
 * expanded round by round when it is asked for.
 */
public final class ExpandedWorkout {
    private static final int ROUNDS_SHOWN = 3;

    private final Format format;
    private final List<Segment> fixed;
    private final Expansion expansion;
    private final Repeated repeated;
    private final List<Integer> roundStarts = new ArrayList<>();
    private final List<Segment> open = new ArrayList<>();
    private final List<CutOff> cutOffs;
    private final List<Node> body;
    private final boolean tied;

    /**
     * A cut-off: whoever has not done this segment by then stops.
     *
     * @param words what it comes after: "round 2", or the segment
     */
    public record CutOff(int lastIndex, long byMs, String words) {}

    /**
     * A place after which the clock decides between equal scores.
     *
     * @param words what it comes after: "round 2", "30 burpee", "5 burpee of round 2"
     * @param said as it stands on the board: "tie-break after each round"
     */
    public record TieBreak(int lastIndex, String words, String said) {}

    private ExpandedWorkout(
            Format format,
            List<Segment> fixed,
            Expansion expansion,
            Repeated repeated,
            List<CutOff> cutOffs,
            List<Node> body) {
        this.format = format;
        this.fixed = List.copyOf(fixed);
        this.expansion = expansion;
        this.repeated = repeated;
        this.cutOffs = List.copyOf(cutOffs);
        this.body = List.copyOf(body);
        this.tied = Landmarks.anyTieBreak(body);
    }

    /** Expands the first part of a workout. */
    public static ExpandedWorkout of(Workout workout, int division, Catalogue catalogue) {
        return of(workout.parts().getFirst(), division, catalogue, 1);
    }

    /**
     * Expands a part.
     *
     * @param division the division, by its place
     * @param partition into how many rounds the athlete cuts what may be done in any order; 1 for as written
     * @throws InvalidInput where it is more than can be expanded
     */
    public static ExpandedWorkout of(Part part, int division, Catalogue catalogue, int partition) {
        Expansion expansion =
                new Expansion(new Naming(part, division), division, catalogue, partition, new Expansion.Limit());
        List<Segment> fixed = new ArrayList<>();
        List<Node> body = part.body();
        Repeated repeated = Repeated.of(part, expansion.naming());
        boolean wholeRepeats = !repeated.body().isEmpty() && body.stream().noneMatch(Repeat.class::isInstance);
        expansion.into(fixed).once(body, When.BUY_IN);
        switch (part.format()) {
            case Format.Every every -> expansion.into(fixed).intervals(body, every);
            case Format.ForTime time -> expansion.into(fixed).nodes(body);
            case Format.Amrap amrap -> {
                if (!wholeRepeats) {
                    expansion.into(fixed).nodes(body);
                }
            }
            case Format.Lift lift -> {}
        }
        expansion.into(fixed).once(body, When.CASH_OUT);
        if (expansion.limit().exceeded()) {
            throw new InvalidInput("This is more than " + Expansion.Limit.SEGMENTS
                    + " movements" + (partition > 1 ? " when it is split into " + partition + " rounds" : "")
                    + ": use fewer rounds");
        }
        if (repeated.isOneRep(division)) {
            fixed.replaceAll(Segment::leadingUp);
        }
        return new ExpandedWorkout(
                part.format(), fixed, expansion, repeated, Landmarks.cutOffs(body, fixed, expansion.naming()), body);
    }

    /** A line of this part as it stands on the whiteboard for this division alone. */
    public String written(MovementLine line) {
        return NotationWriter.write(line, expansion.division());
    }

    /** What the amount of a line of this part counts in this division. */
    public Unit unit(MovementLine line) {
        return line.unit(expansion.division());
    }

    /** The movement a line of this part asks for in this division. */
    public Movement movement(MovementLine line) {
        return expansion.movement(line);
    }

    /** What a line asks for, round by round: "21 thruster @ 40 kg". */
    public List<String> asks(int lineIndex) {
        Map<List<Lap>, List<Segment>> byRound = segments().stream()
                .filter(segment -> segment.lineIndex() == lineIndex)
                .collect(Collectors.groupingBy(Segment::around, LinkedHashMap::new, Collectors.toList()));
        return byRound.values().stream().map(this::asked).toList();
    }

    /** What some segments ask for that are one line in one round: of pieces all of them together, of the most of a movement "max wall walk". */
    public String asked(List<Segment> together) {
        Segment first = together.getFirst();
        if (isMostRep(first)) {
            return LineReader.MAX + first.label().substring(1);
        }
        return first.inPieces(together);
    }

    /** Whether it ends in as many of one movement as there is time for. */
    public boolean isMost() {
        return isOpen() && repeated.isOneRep(expansion.division());
    }

    /** Whether a segment is one of those: one rep of a movement that goes on until the buzzer, and no round of its own. */
    public boolean isMostRep(Segment segment) {
        return isMost()
                && segment.role() == Segment.Role.MAIN
                && segment.inRounds()
                && segment.lap().block().equals(repeated.block());
    }

    /** The rounds, by number from 1, whose list says that a line is left out of them. */
    public List<Integer> roundsWithout(MovementLine line) {
        if (!(line.amount().in(expansion.division()) instanceof Series.Listed listed)) {
            return List.of();
        }
        return IntStream.rangeClosed(1, listed.values().size())
                .filter(round -> listed.at(round).signum() == 0)
                .boxed()
                .toList();
    }

    public Format format() {
        return format;
    }

    /** The clock at which the buzzer goes, if one does. */
    public OptionalLong capMs() {
        return format.buzzerMs();
    }

    /** The buzzer that ends the part while a segment is being done: the first of the cut-offs not passed yet and the end of the part. */
    public OptionalLong buzzerMs(int index) {
        if (cutOffs.isEmpty()) {
            return capMs();
        }
        LongStream staged =
                cutOffs.stream().filter(cutOff -> cutOff.lastIndex() >= index).mapToLong(CutOff::byMs);
        return LongStream.concat(staged, capMs().stream()).min();
    }

    /** Whether it goes on until the buzzer. */
    public boolean isOpen() {
        return !repeated.body().isEmpty();
    }

    /**
     * Whether what is done until the buzzer is scored by its reps: as the part says, else a ladder and the most of one movement are, rounds that
     * are alike are not. Common practice, no source.
     */
    public boolean scoresReps() {
        Optional<Format.Scored> said = format instanceof Format.Amrap amrap ? amrap.scored() : Optional.empty();
        int division = expansion.division();
        return isOpen()
                && said.map(by -> by == Format.Scored.REPS)
                        .orElseGet(() -> repeated.isLadder(division) || repeated.isOneRep(division));
    }

    /** How many segments it has; empty when it goes on until the buzzer. */
    public OptionalInt length() {
        return isOpen() ? OptionalInt.empty() : OptionalInt.of(fixed.size());
    }

    /** Whether there is a segment at a place. An open part goes on as far as anybody comes, not for ever. */
    public boolean has(int index) {
        if (index < fixed.size()) {
            return true;
        }
        synchronized (open) {
            return isOpen() && reaches(index);
        }
    }

    private boolean reaches(int index) {
        boolean grows = true;
        while (index - fixed.size() >= open.size() && grows) {
            int before = open.size();
            expandRound();
            grows = open.size() > before;
        }
        return index - fixed.size() < open.size();
    }

    /**
     * The segment at a place; a round of the open part is expanded when it is first asked for.
     *
     * @throws IndexOutOfBoundsException where there is none of that index
     * @throws IllegalArgumentException where an open workout would have to be expanded too far for it
     */
    public Segment segment(int index) {
        if (index < fixed.size()) {
            return fixed.get(index);
        }
        if (!isOpen()) {
            throw new IndexOutOfBoundsException("Movement " + index + " of " + fixed.size());
        }
        synchronized (open) {
            if (!reaches(index)) {
                throw new IllegalArgumentException("At most " + (fixed.size() + open.size()) + " movements in a row");
            }
            return open.get(index - fixed.size());
        }
    }

    private void expandRound() {
        roundStarts.add(fixed.size() + open.size());
        expansion.into(open).openRound(repeated.block(), repeated.body(), roundStarts.size(), fixed.size());
    }

    /** The first so many segments, fewer where there are not as many. */
    public List<Segment> upTo(int count) {
        List<Segment> segments = new ArrayList<>();
        for (int i = 0; i < count && has(i); i++) {
            segments.add(segment(i));
        }
        return segments;
    }

    /** All segments; of an open expanded workout those of its first rounds, enough to show every line. */
    public List<Segment> segments() {
        return isOpen() ? throughRound(ROUNDS_SHOWN) : fixed;
    }

    /** The first segment of each movement line, in the order they first come. */
    public List<Segment> firstOfEachLine() {
        Set<Integer> seen = new HashSet<>();
        return segments().stream()
                .filter(segment -> seen.add(segment.lineIndex()))
                .toList();
    }

    /** The first segment of a movement line; empty when the expanded workout has no such line. */
    public Optional<Segment> firstOf(int lineIndex) {
        return segments().stream()
                .filter(segment -> segment.lineIndex() == lineIndex)
                .findFirst();
    }

    /** The segments up to the end of a round of the open part; all of a closed expanded workout. */
    public List<Segment> throughRound(int round) {
        if (!isOpen()) {
            return fixed;
        }
        int index = fixed.size();
        while (has(index) && segment(index).lap().number() <= round) {
            index++;
        }
        return upTo(index);
    }

    /** Of an open expanded workout, how many whole rounds of the repeated part the first so many segments make. */
    public int wholeRounds(int segmentsDone) {
        if (segmentsDone <= fixed.size()) {
            return 0;
        }
        return has(segmentsDone)
                ? segment(segmentsDone).lap().number() - 1
                : segment(segmentsDone - 1).lap().number();
    }

    /** The place at which a round of the open part starts. */
    public int roundStart(int round) {
        synchronized (open) {
            while (roundStarts.size() < round) {
                expandRound();
            }
            return roundStarts.get(round - 1);
        }
    }

    /** Of an open expanded workout, where the round begins that is under way after so many segments; 0 before the first is whole. */
    public int currentRoundStart(int segmentsDone) {
        int rounds = wholeRounds(segmentsDone);
        return rounds == 0 ? 0 : roundStart(rounds + 1);
    }

    /** For interval work, when the interval starts that a segment opens; empty for all other segments. */
    public OptionalLong startsAtMs(int index) {
        if (!(format instanceof Format.Every every) || !has(index)) {
            return OptionalLong.empty();
        }
        Lap lap = segment(index).lap();
        boolean opens =
                lap.repeats() && (index == 0 || !segment(index - 1).lap().equals(lap));
        return opens ? OptionalLong.of(every.everyMs() * (lap.number() - 1)) : OptionalLong.empty();
    }

    /**
     * When a segment opens for who comes at some clock: where its interval starts, or where the rest prescribed before it ends; empty where one goes
     * on at once.
     */
    public OptionalLong opensMs(int index, long arrivalMs) {
        OptionalLong interval = startsAtMs(index);
        if (interval.isPresent() || !has(index)) {
            return interval;
        }
        long rest = segment(index).restBeforeMs();
        return rest > 0 && index > 0 ? OptionalLong.of(arrivalMs + rest) : OptionalLong.empty();
    }

    /** Whether the segment at a place is the last of its lap, or of the expanded workout. */
    public boolean endsLap(int index) {
        return !has(index + 1)
                || !segment(index + 1).lap().equals(segment(index).lap());
    }

    /** Of interval work, the clock at which the interval closes that a segment is the last of; else empty. */
    public Optional<Long> intervalEndsMs(int index) {
        if (!(format instanceof Format.Every every) || !has(index)) {
            return Optional.empty();
        }
        Lap lap = segment(index).lap();
        return lap.repeats() && endsLap(index) ? Optional.of(every.everyMs() * lap.number()) : Optional.empty();
    }

    /** The cut-offs, in order. */
    public List<CutOff> cutOffs() {
        return cutOffs;
    }

    /** The places after which the clock decides between equal scores; of an open part those in its first rounds. */
    public List<TieBreak> tieBreaks() {
        return tieBreaksIn(segments());
    }

    /** The same as far as so many segments reach. */
    public List<TieBreak> tieBreaks(int segments) {
        if (segments == 0 || !isOpen()) {
            return tieBreaks();
        }
        return tied ? tieBreaksIn(throughRound(segment(segments - 1).lap().number())) : List.of();
    }

    private List<TieBreak> tieBreaksIn(List<Segment> some) {
        return tied ? Landmarks.tieBreaks(body, some, expansion.naming()) : List.of();
    }

    /** All it counts; of an open expanded workout what one pass of its first rounds counts. */
    public int totalScore() {
        return segments().stream().mapToInt(Segment::score).sum();
    }
}
