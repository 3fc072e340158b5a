package wake.plan;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import wake.units.InvalidInput;
import wake.units.PaceLimits;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.Segment;

/**
 * The pacing intended for an attempt.
 *
 * @param lines pacing per movement line of the workout
 * @param strategy how the start is spent
 * @param roundEveryMs when rounds start on a mark of the coach's own: how far apart
 * @param finish the pushes that are designed for the end of the clock
 * @param fallback what to do when a movement fails
 * @param ignored plan checks the coach has set aside, by key, with the note why
 */
public record Plan(
        List<LinePacing> lines,
        PacingStrategy strategy,
        OptionalLong roundEveryMs,
        Finish finish,
        Optional<Fallback> fallback,
        Map<String, String> ignored) {
    private static final long SHORTEST_ROUND_MS = 5000;
    /** Rounds of an open part that a fallback reaches. */
    private static final int OPEN_ROUNDS = 60;

    /** @throws InvalidInput where rounds start closer than 5 s */
    public Plan {
        lines = List.copyOf(lines);
        ignored = Map.copyOf(ignored);
        if (roundEveryMs.isPresent() && roundEveryMs.getAsLong() < SHORTEST_ROUND_MS) {
            throw new InvalidInput("Start a round every 0:05 or more, not " + roundEveryMs.getAsLong() / 1000.0 + " s");
        }
    }

    /** A plan as written, every round the same. */
    public Plan(List<LinePacing> lines) {
        this(lines, PacingStrategy.EVEN, OptionalLong.empty(), Optional.empty(), Map.of());
    }

    /** A plan without a designed finish. */
    public Plan(
            List<LinePacing> lines,
            PacingStrategy strategy,
            OptionalLong roundEveryMs,
            Optional<Fallback> fallback,
            Map<String, String> ignored) {
        this(lines, strategy, roundEveryMs, Finish.NONE, fallback, ignored);
    }

    /**
     * The pacing of one movement line.
     *
     * @param lineIndex which movement line of the workout, from 0
     * @param every how it goes each round
     * @param rounds rounds that go differently, by number from 1
     * @param locked whether it cannot go faster or slower: a goal leaves it as it is
     */
    public record LinePacing(int lineIndex, Pacing every, Map<Integer, Pacing> rounds, boolean locked) {
        public LinePacing {
            rounds = new TreeMap<>(rounds);
        }

        public LinePacing(int lineIndex, Pacing every, Map<Integer, Pacing> rounds) {
            this(lineIndex, every, rounds, false);
        }

        public Pacing in(int round) {
            return rounds.getOrDefault(round, every);
        }

        /** The line with something done to all its pacing, or to one round's only. */
        LinePacing with(BiFunction<LinePacing, Pacing, Pacing> edit) {
            Map<Integer, Pacing> edited = new TreeMap<>();
            rounds.forEach((round, pacing) -> edited.put(round, edit.apply(this, pacing)));
            return new LinePacing(lineIndex, edit.apply(this, every), edited, locked);
        }

        /** The line, locked or not. */
        LinePacing locked(boolean so) {
            return new LinePacing(lineIndex, every, rounds, so);
        }

        /** The line with another pacing for every round that does not differ. */
        public LinePacing withEvery(Pacing pacing) {
            return new LinePacing(lineIndex, pacing, rounds, locked);
        }

        /** The line with one round that differs. */
        public LinePacing withRound(int round, Pacing pacing) {
            Map<Integer, Pacing> edited = new TreeMap<>(rounds);
            edited.put(round, pacing);
            return new LinePacing(lineIndex, every, edited, locked);
        }
    }

    public LinePacing line(int lineIndex) {
        return lines.stream()
                .filter(line -> line.lineIndex() == lineIndex)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("The plan has no row for line " + (lineIndex + 1)));
    }

    public Pacing pacing(Segment segment) {
        return lines.stream()
                .filter(line -> line.lineIndex() == segment.lineIndex())
                .findFirst()
                .map(line -> line.in(segment.lap().number()))
                .orElseThrow(() -> new IllegalArgumentException("The plan has no row for " + segment.label()));
    }

    public Plan withLines(List<LinePacing> changed) {
        return new Plan(changed, strategy, roundEveryMs, finish, fallback, ignored);
    }

    /** The plan with one line replaced. */
    public Plan withLine(LinePacing changed) {
        return withLines(lines.stream()
                .map(line -> line.lineIndex() == changed.lineIndex() ? changed : line)
                .toList());
    }

    /** The plan with its start spent in another way, on no marks and with no finish of its own. */
    public Plan withStrategy(PacingStrategy chosen) {
        return new Plan(lines, chosen, OptionalLong.empty(), fallback, ignored);
    }

    /** The plan with a finish designed for it: it stands instead of what a strategy makes of the end. */
    public Plan withFinish(Finish designed) {
        return new Plan(
                lines, designed.isNone() ? strategy : PacingStrategy.EVEN, roundEveryMs, designed, fallback, ignored);
    }

    /** The plan with its strategy, marks and finish as they are in another. */
    Plan dressedAs(Plan other) {
        return new Plan(lines, other.strategy, other.roundEveryMs, other.finish, other.fallback, other.ignored);
    }

    /** The plan with its rounds on marks so far apart. */
    public Plan withRoundEvery(long ms) {
        return new Plan(lines, strategy, OptionalLong.of(ms), finish, fallback, ignored);
    }

    /** What is done when the fallback comes into force; the plan itself when there is none. */
    public Plan fallenBack(ExpandedWorkout expanded) {
        if (fallback.isEmpty()) {
            return this;
        }
        Fallback plannedB = fallback.get();
        Plan changed = this;
        for (Segment segment : expanded.throughRound(plannedB.fromRound() + OPEN_ROUNDS)) {
            for (Fallback.Failing one : plannedB.failing()) {
                if (segment.lineIndex() == one.lineIndex() && segment.lap().number() >= plannedB.fromRound()) {
                    Pacing pacing = one.onto(changed.pacing(segment));
                    changed = changed.withLine(changed.line(segment.lineIndex())
                            .withRound(segment.lap().number(), pacing));
                }
            }
        }
        return changed;
    }

    /**
     * Holds the plan against the workout it is for.
     *
     * @throws InvalidInput naming the first line that does not fit
     */
    public Plan checkedFor(ExpandedWorkout expanded) {
        Set<Integer> planned = new HashSet<>();
        for (LinePacing line : lines) {
            if (!planned.add(line.lineIndex())) {
                throw new InvalidInput("Line " + (line.lineIndex() + 1) + " is planned twice");
            }
        }
        List<Segment> segments = expanded.segments();
        Map<Integer, Integer> mostReps = mostReps(segments);
        for (Segment segment : segments) {
            Pacing pacing = pacing(segment);
            int largest = pacing.sets().largest();
            int most = mostReps.getOrDefault(segment.lineIndex(), 0);
            String movement = segment.movement().name();
            if (largest > most) {
                throw new InvalidInput("Sets of " + largest + " are more than the " + most + " of " + movement);
            }
            int sum = pacing.sets().sizes().stream().mapToInt(Integer::intValue).sum();
            if (pacing.sets().sizes().size() > 1 && !pacing.sets().repeats() && sum > most) {
                throw new InvalidInput("Sets of " + pacing.sets().written() + " are " + sum + " reps, more than the "
                        + most + " of " + movement);
            }
        }
        fallback.ifPresent(plannedB -> plannedB.order(expanded));
        if (!finish.isNone() && expanded.format() instanceof Format.Every) {
            throw new InvalidInput("A finish kick needs one clock, so it does not apply to intervals");
        }
        return this;
    }

    /**
     * The same plan as a coach writes it: every pace one that can be meant. A plan made from what was logged is as odd as the log.
     *
     * @throws InvalidInput naming the first movement of which nobody means the pace
     */
    public Plan meantFor(ExpandedWorkout expanded) {
        for (Segment segment : expanded.segments()) {
            Pacing pacing = pacing(segment);
            Stream.concat(
                            Stream.of(pacing.secondsPerUnit()),
                            pacing.effort().steps().stream().map(PaceSteps.Step::secondsPerUnit))
                    .map(pace -> PaceLimits.problem(segment.amount().unit(), pace))
                    .flatMap(Optional::stream)
                    .findFirst()
                    .ifPresent(problem -> {
                        throw new InvalidInput(
                                "Pace of the " + segment.movement().name() + ": " + problem);
                    });
        }
        return checkedFor(expanded);
    }

    /** The most reps that each line asks for at once, by line. */
    private static Map<Integer, Integer> mostReps(List<Segment> segments) {
        Map<Integer, Integer> most = new HashMap<>();
        for (Segment segment : segments) {
            most.merge(segment.lineIndex(), segment.countable().orElse(Integer.MAX_VALUE), Math::max);
        }
        return most;
    }
}
