package wake.history;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import wake.athlete.EstimatedMax;
import wake.log.AttemptLog;
import wake.log.Lift;
import wake.log.PaceFormat;
import wake.log.RestSplit;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.reading.Limiter;
import wake.reading.PerceivedExertion;
import wake.reading.Reading;
import wake.reading.Rounds;
import wake.reading.SegmentDelta;
import wake.reading.TechniqueReading;
import wake.statistics.Statistics;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/**
 * What one attempt shows of an athlete. Small enough to be kept, so that hundreds of attempts can be looked over without reading any of
 * them again. What the marks do not show is absent, never zero.
 *
 * @param cadences how quick each movement was at each load
 * @param transitions from the last rep of a segment to the start of the movement of the next, seconds
 * @param rests breaks inside segments, seconds
 * @param decrementPercent how much its rounds fell off, as percentage decrement: of the block with most rounds of the same work
 * @param faultsPerHundred faults in a hundred reps, of what was watched rep by rep or by sets
 * @param efforts perceived exertion where it was noted
 * @param lost the movement that lost the most, if one stands out
 * @param techniques techniques of a movement that the coach named
 * @param unbroken the longest clean set of each movement at each load
 * @param lifts the heaviest made of each movement in a lift window, kilograms
 * @param clockMs how long it went
 * @param course the same for the same work in the same division
 */
public record AttemptFacts(
        List<Cadence> cadences,
        Optional<Spread> transitions,
        Optional<Spread> rests,
        OptionalDouble decrementPercent,
        OptionalDouble faultsPerHundred,
        List<PerceivedExertion> efforts,
        Optional<Lost> lost,
        List<Technique> techniques,
        List<Unbroken> unbroken,
        List<Lifted> lifts,
        long clockMs,
        UUID course) {
    public static final AttemptFacts NOTHING = new AttemptFacts(
            List.of(),
            Optional.empty(),
            Optional.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            List.of(),
            Optional.empty(),
            List.of(),
            List.of(),
            List.of(),
            0,
            new UUID(0, 0));

    private static final double HUNDRED = 100;
    /** Two workouts that begin with so many movements alike are the same; an assumption. */
    private static final int SEGMENTS_TELLING = 200;

    public AttemptFacts {
        cadences = List.copyOf(cadences);
        efforts = List.copyOf(efforts);
        techniques = List.copyOf(techniques);
        unbroken = List.copyOf(unbroken);
        lifts = List.copyOf(lifts);
    }

    /**
     * Figures of one kind.
     *
     * @param median of all of them
     * @param low the lowest
     * @param high the highest
     * @param figures how many
     */
    public record Spread(double median, double low, double high, int figures) {
        static Optional<Spread> of(Collection<Double> values) {
            double[] sorted =
                    values.stream().mapToDouble(Double::doubleValue).sorted().toArray();
            return sorted.length == 0
                    ? Optional.empty()
                    : Optional.of(
                            new Spread(Statistics.median(sorted), sorted[0], sorted[sorted.length - 1], sorted.length));
        }
    }

    /**
     * How quick a movement was.
     *
     * @param work which, at which load
     * @param seconds per unit while working, faults left out, segment by segment
     * @param units how much of it there was, all in all
     * @param words the median as it is said
     */
    public record Cadence(Work work, Spread seconds, double units, String words) {}

    /**
     * A movement that lost the most.
     *
     * @param movement which
     * @param lostMs how much in all
     * @param atMs the clock at which the segment that lost most of it began
     * @param against what it was held against: "the plan", "own best"
     */
    public record Lost(String movement, long lostMs, long atMs, String against) {}

    /** A technique of a movement: what the coach called it, seconds per unit, and how much of the movement there was in all. */
    public record Technique(Work work, String way, Spread seconds) {}

    /** The longest clean set. */
    public record Unbroken(Work work, int reps) {}

    /**
     * What of the lifts made points to the heaviest single of a movement.
     *
     * @param load as written: "85 kg", "3x76 kg"
     * @param kilograms the single it is at least
     */
    public record Lifted(String movement, String load, double kilograms) {}

    /** What an attempt shows, read against its usual baseline. */
    public static AttemptFacts of(Reading reading) {
        AttemptLog log = reading.log();
        List<SegmentSplit> known =
                log.own().done().stream().filter(SegmentSplit::endSeen).toList();
        return new AttemptFacts(
                cadences(known),
                Spread.of(transitions(known)),
                Spread.of(known.stream()
                        .flatMap(split -> split.rests().stream())
                        .map(RestSplit::durationMs)
                        .map(AttemptFacts::seconds)
                        .toList()),
                decrement(reading.blocks()),
                faults(log, known),
                reading.efforts(),
                lost(reading),
                techniques(reading.techniques()),
                unbroken(known),
                lifts(log),
                log.clockMs(),
                course(log.expanded()));
    }

    /** What the first segments ask for; of work without end its first rounds. */
    private static UUID course(ExpandedWorkout expanded) {
        String asked = expanded.segments().stream()
                .limit(SEGMENTS_TELLING)
                .map(segment -> Work.of(segment) + " " + segment.units())
                .collect(Collectors.joining("\n", expanded.capMs() + "\n", ""));
        return UUID.nameUUIDFromBytes(asked.getBytes(StandardCharsets.UTF_8));
    }

    private static double seconds(long ms) {
        return ms / 1000.0;
    }

    private static List<Cadence> cadences(List<SegmentSplit> known) {
        Map<Work, List<SegmentSplit>> byWork = new LinkedHashMap<>();
        for (SegmentSplit split : known) {
            if (split.secondsPerUnit().isPresent() && split.workMs() > split.faultMs()) {
                byWork.computeIfAbsent(Work.of(split.segment()), first -> new ArrayList<>())
                        .add(split);
            }
        }
        List<Cadence> cadences = new ArrayList<>();
        byWork.forEach((work, splits) -> Spread.of(splits.stream()
                        .map(split -> seconds(split.workMs() - split.faultMs())
                                / split.segment().units())
                        .toList())
                .ifPresent(spread -> cadences.add(new Cadence(
                        work,
                        spread,
                        splits.stream()
                                .mapToDouble(split -> split.segment().units())
                                .sum(),
                        PaceFormat.exact(splits.getFirst().segment(), spread.median())))));
        return cadences;
    }

    /** Those that were seen to begin; the first of an attempt begins at the start, and one after a prescribed rest or an interval's wait is no transition. */
    private static List<Double> transitions(List<SegmentSplit> known) {
        return known.stream()
                .filter(split -> split.segment().index() > 0
                        && split.beginMs().isPresent()
                        && !split.beginInferred()
                        && split.waitMs() == 0
                        && split.segment().restBeforeMs() == 0)
                .map(split -> seconds(split.transitionMs()))
                .toList();
    }

    private static OptionalDouble decrement(List<Rounds> blocks) {
        return blocks.stream()
                .filter(block ->
                        block.isOwn() && !block.isInner() && block.consistency().isPresent())
                .max(Comparator.comparingInt(block -> block.splits().size()))
                .map(block ->
                        OptionalDouble.of(block.consistency().orElseThrow().decrementPercent()))
                .orElse(OptionalDouble.empty());
    }

    /** Where nobody looked closer than the ends of movements, that no fault was marked says nothing. */
    private static OptionalDouble faults(AttemptLog log, List<SegmentSplit> known) {
        int reps = 0;
        int faults = 0;
        for (SegmentSplit split : known) {
            boolean watched = split.segment().tappable()
                    && split.sets().stream().anyMatch(set -> set.reps().isPresent())
                    && (!split.faults().isEmpty() || split.sets().size() > 1 || tapped(split));
            if (watched) {
                reps += split.counted();
                faults += split.faults().size();
            }
        }
        return reps == 0 || log.expanded().format() instanceof Format.Lift
                ? OptionalDouble.empty()
                : OptionalDouble.of(HUNDRED * faults / reps);
    }

    private static boolean tapped(SegmentSplit split) {
        return split.sets().stream().anyMatch(set -> set.repTimesMs().size() > 1);
    }

    private static Optional<Lost> lost(Reading reading) {
        Optional<Limiter> limiter = reading.limiter();
        return limiter.map(one -> new Lost(
                one.movement(),
                one.lostMs(),
                reading.deltas().stream()
                        .filter(delta -> delta.stretch().name().equals(one.movement()))
                        .max(Comparator.comparingLong(SegmentDelta::lostMs))
                        .map(delta -> delta.stretch().first().arrivalMs())
                        .orElse(0L),
                reading.baseline().kind().words()));
    }

    private static List<Technique> techniques(List<TechniqueReading> techniques) {
        return techniques.stream()
                .flatMap(technique -> technique.techniques().stream()
                        .filter(way -> !way.name().isEmpty())
                        .map(way -> new Technique(
                                Work.of(technique.like()),
                                way.name(),
                                new Spread(way.secondsPerUnit(), way.fastest(), way.slowest(), way.figures()))))
                .toList();
    }

    private static List<Unbroken> unbroken(List<SegmentSplit> known) {
        Map<Work, Integer> longest = new LinkedHashMap<>();
        for (SegmentSplit split : known) {
            if (split.segment().tappable()) {
                split.sets().stream()
                        .filter(split::isClean)
                        .mapToInt((SetSplit set) -> set.reps().orElse(0))
                        .max()
                        .ifPresent(reps -> longest.merge(Work.of(split.segment()), reps, Math::max));
            }
        }
        return longest.entrySet().stream()
                .filter(one -> one.getValue() > 1)
                .map(one -> new Unbroken(one.getKey(), one.getValue()))
                .toList();
    }

    private static List<Lifted> lifts(AttemptLog log) {
        Map<String, Lifted> heaviest = new LinkedHashMap<>();
        List<LiftPiece> complex = log.expanded().format() instanceof Format.Lift window ? window.complex() : List.of();
        for (Lift lift : log.lifts()) {
            if (lift.outcome() == Lift.Outcome.MADE && lift.load().isPresent()) {
                Quantity load = lift.load().get();
                for (LiftPiece piece : lift.pieces(complex)) {
                    heaviest.merge(
                            piece.movement(),
                            new Lifted(
                                    piece.movement(),
                                    EstimatedMax.written(load, piece.reps()),
                                    EstimatedMax.least(load, piece.reps()).in(Unit.KILOGRAM)),
                            (one, other) -> one.kilograms() >= other.kilograms() ? one : other);
                }
            }
        }
        return List.copyOf(heaviest.values());
    }
}
