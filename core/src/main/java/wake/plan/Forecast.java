package wake.plan;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import wake.log.Score;
import wake.workout.ChunkedAmount;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.Segment;

/**
 * The clock a plan leads to. The finish is the exact sum of its parts, in whole milliseconds. The athlete stands ready at
 * the first movement, so the very first segment has no transition.
 *
 * @param segments what is allowed for each segment; of an open part as many as fit before the buzzer
 * @param score what the plan scores
 */
public record Forecast(List<PlannedSegment> segments, Score score) {
    private static final int MOST_SEGMENTS = 20_000;

    /** A finish lies a millisecond off at most after so many looks at where the clock ends. */
    private static final int MOST_LOOKS = 60;

    public Forecast {
        segments = List.copyOf(segments);
    }

    public static Forecast of(ExpandedWorkout expanded, Plan plan) {
        return of(expanded, plan, 0);
    }

    /** A forecast that says something about the first so many segments, even where they lie beyond the buzzer. */
    public static Forecast of(ExpandedWorkout expanded, Plan plan, int atLeast) {
        List<PlannedSegment> even = finishing(expanded, plan, atLeast);
        List<PlannedSegment> planned =
                Shaping.shaped(expanded, even, spending(plan)).orElse(even);
        return new Forecast(planned, score(planned, expanded));
    }

    /** The strategy in force: none where rounds start on marks of the coach's own, or the finish is designed. */
    private static PacingStrategy spending(Plan plan) {
        return hasNoSchool(plan) ? PacingStrategy.EVEN : plan.strategy();
    }

    private static boolean hasNoSchool(Plan plan) {
        return plan.roundEveryMs().isPresent() || !plan.finish().isNone();
    }

    /** What each strategy makes of the same total; only those that apply. */
    public static Map<PacingStrategy, Forecast> byStrategy(ExpandedWorkout expanded, Plan plan) {
        List<PlannedSegment> even = finishing(expanded, plan, 0);
        Map<PacingStrategy, Forecast> byStrategy = new EnumMap<>(PacingStrategy.class);
        Set<PacingStrategy> possible =
                hasNoSchool(plan) ? EnumSet.of(PacingStrategy.EVEN) : EnumSet.allOf(PacingStrategy.class);
        for (PacingStrategy strategy : possible) {
            Shaping.shaped(expanded, even, strategy)
                    .ifPresent(planned -> byStrategy.put(strategy, new Forecast(planned, score(planned, expanded))));
        }
        return byStrategy;
    }

    /**
     * The rounds of the plan, or its segments where it has none, as a pacing strategy sees them.
     *
     * @param label "round 3", or the segment
     * @param block the block it is a round of; empty where there is one only
     * @param round whether it is a round
     * @param ms how long it takes, without a rest that is prescribed in it or before it
     * @param endMs the clock at its end
     */
    public record Stretch(String label, String block, boolean round, long ms, long endMs) {}

    /** The rounds with their clock; of an open part the whole ones. */
    public List<Stretch> stretches(ExpandedWorkout expanded) {
        List<Long> ends = endsMs();
        return StrategyIntervals.of(expanded, segments).pieces().stream()
                .map(piece -> {
                    Segment first = segments.get(piece.from()).segment();
                    String label = first.inRounds() ? first.lap().words() : first.label();
                    return new Stretch(
                            label,
                            first.lap().block().name(),
                            first.inRounds(),
                            piece.activeMs(segments),
                            ends.get(piece.to() - 1));
                })
                .toList();
    }

    /** As written, with the pushes of a designed finish: where the clock ends depends on them, so it is looked for. */
    private static List<PlannedSegment> finishing(ExpandedWorkout expanded, Plan plan, int atLeast) {
        long buzzer = expanded.capMs().orElse(Long.MAX_VALUE);
        if (plan.finish().isNone() || expanded.isOpen()) {
            return asWritten(expanded, plan, atLeast, buzzer);
        }
        long end = Math.min(buzzer, totalMs(asWritten(expanded, plan.withFinish(Finish.NONE), atLeast, buzzer)));
        List<PlannedSegment> planned = asWritten(expanded, plan, atLeast, end);
        for (int look = 0; look < MOST_LOOKS && Math.min(buzzer, totalMs(planned)) != end; look++) {
            end = Math.min(buzzer, totalMs(planned));
            planned = asWritten(expanded, plan, atLeast, end);
        }
        return planned;
    }

    private static long totalMs(List<PlannedSegment> planned) {
        return planned.stream().mapToLong(PlannedSegment::totalMs).sum();
    }

    /**
     * Where the pushes of a designed finish lie.
     *
     * @param push the push
     * @param atMs the clock at which it comes
     * @param place what is done there; empty where it would lie before "go"
     */
    public record Pushed(Finish.Push push, long atMs, Optional<Segment> place) {}

    /** The pushes of a plan's finish on the clock it leads to. */
    public List<Pushed> pushes(ExpandedWorkout expanded, Plan plan) {
        long end = expanded.isOpen()
                ? expanded.capMs().orElse(finishMs())
                : Math.min(finishMs(), expanded.capMs().orElse(Long.MAX_VALUE));
        List<Long> ends = endsMs();
        return plan.finish().pushes().stream()
                .map(push -> {
                    long at = end - push.toGoMs();
                    Optional<Segment> place = IntStream.range(0, ends.size())
                            .filter(i -> at >= 0 && ends.get(i) > at)
                            .mapToObj(i -> segments.get(i).segment())
                            .findFirst();
                    return new Pushed(push, at, place);
                })
                .toList();
    }

    private static List<PlannedSegment> asWritten(ExpandedWorkout expanded, Plan plan, int atLeast, long endMs) {
        List<PlannedSegment> planned = new ArrayList<>();
        RoundMarks marks = new RoundMarks(plan.roundEveryMs());
        long clock = 0;
        double unrounded = 0;
        for (int i = 0; expanded.has(i) && i < MOST_SEGMENTS; i++) {
            boolean beyond = expanded.isOpen() && clock > expanded.capMs().orElse(Long.MAX_VALUE);
            if (beyond && i >= atLeast) {
                break;
            }
            PlannedSegment written = marks.onto(planned(expanded, i, plan, clock), clock);
            WorkCurve curve = plan.finish()
                    .onto(
                            work(expanded, expanded.segment(i), plan),
                            written.pickUpsMs() + written.restMs() + written.missesMs(),
                            clock + written.waitMs() + written.transitionMs(),
                            endMs);
            double exact = curve.total() + (expanded.startsAtMs(i).isPresent() ? 0 : unrounded);
            long work = Math.max(1, Math.round(exact));
            unrounded = exact - work;
            PlannedSegment next = written.withWork(work, curve.shape());
            planned.add(next);
            clock += next.totalMs();
        }
        return planned;
    }

    /** The clock when all is done, cap or no cap. */
    public long finishMs() {
        return totalMs(segments);
    }

    /** The clock at the end of each segment. */
    public List<Long> endsMs() {
        List<Long> ends = new ArrayList<>();
        long clock = 0;
        for (PlannedSegment segment : segments) {
            clock += segment.totalMs();
            ends.add(clock);
        }
        return ends;
    }

    /** The work of a segment, unrounded: what rounding takes from one segment goes to the next, so that sums stay exact. */
    static double workMs(ExpandedWorkout expanded, Segment segment, Plan plan) {
        return work(expanded, segment, plan).total();
    }

    private static WorkCurve work(ExpandedWorkout expanded, Segment segment, Plan plan) {
        Pacing pacing = plan.pacing(segment);
        double from = ChunkedAmount.unitsBefore(expanded, segment);
        return pacing.effort().work(from, from + segment.units(), pacing.secondsPerUnit());
    }

    /** What is allowed for a segment besides its work: that is rounded over the whole expanded workout. */
    static PlannedSegment planned(ExpandedWorkout expanded, int index, Plan plan, long clock) {
        Segment segment = expanded.segment(index);
        Pacing pacing = plan.pacing(segment);
        List<Integer> sets = segment.countable().isPresent()
                ? pacing.sets(segment.countable().getAsInt())
                : List.of();
        long wait = Math.max(0, expanded.opensMs(index, clock).orElse(clock) - clock);
        long transition = segment.index() == 0 ? 0 : pacing.transitionMs();
        return new PlannedSegment(
                segment,
                wait,
                transition,
                0,
                0,
                pickUps(expanded, segment, pacing, sets.size()) * pacing.pickUpMs(),
                pacing.rests().between(sets.size()),
                pacing.missesMs(),
                sets,
                WorkCurve.STRAIGHT);
    }

    /** How often the load has to come up: for every set, unless it comes in the hands from the movement before. */
    private static int pickUps(ExpandedWorkout expanded, Segment segment, Pacing pacing, int sets) {
        boolean held = segment.index() > 0
                && pacing.transitionMs() <= Pacing.HELD_MS
                && expanded.segment(segment.index() - 1).handsOverTo(segment);
        return !segment.isRaised() ? 0 : Math.max(1, sets) - (held ? 1 : 0);
    }

    private static Score score(List<PlannedSegment> planned, ExpandedWorkout expanded) {
        long clock = 0;
        int done = 0;
        int complete = 0;
        int extra = 0;
        for (PlannedSegment segment : planned) {
            long buzzer = expanded.buzzerMs(complete).orElse(Long.MAX_VALUE);
            if (clock + segment.totalMs() > buzzer) {
                extra = partial(segment, buzzer - clock - segment.waitMs() - segment.transitionMs());
                return score(expanded, planned, complete, done + extra, extra, buzzer);
            }
            clock += segment.totalMs();
            done += segment.segment().score();
            complete++;
        }
        return score(expanded, planned, complete, done, extra, clock);
    }

    private static Score score(
            ExpandedWorkout expanded, List<PlannedSegment> planned, int complete, int done, int extra, long clock) {
        boolean all = complete == planned.size() && !expanded.isOpen();
        return switch (expanded.format()) {
            case Format.ForTime time
            when !expanded.isOpen() ->
                all ? new Score.Finished(clock, done) : new Score.Capped(clock, done, expanded.totalScore() - done);
            case Format.Every every -> new Score.Reps(clock, done);
            case Format.ForTime time -> rounds(expanded, planned, complete, done, extra, clock);
            case Format.Amrap amrap -> rounds(expanded, planned, complete, done, extra, clock);
            case Format.Lift lift -> new Score.Load(Optional.empty(), clock);
        };
    }

    private static Score rounds(
            ExpandedWorkout expanded, List<PlannedSegment> planned, int complete, int done, int extra, long clock) {
        int sum = planned.subList(expanded.currentRoundStart(complete), complete).stream()
                .mapToInt(segment -> segment.segment().score())
                .sum();
        return new Score.Rounds(clock, expanded.wholeRounds(complete), sum + extra, done, expanded.scoresReps());
    }

    /** What counts of the steps done in what time is left after the transition. */
    private static int partial(PlannedSegment segment, long leftMs) {
        if (leftMs <= 0 || segment.segment().countable().isEmpty()) {
            return 0;
        }
        return segment.segment().points(Math.min(segment.segment().steps() - 1, segment.stepsBy(leftMs)));
    }

    /** What there is to do before the buzzer: whatever it rings in is cut short, and what lies beyond is left out. */
    public List<PlannedSegment> beforeTheBell(ExpandedWorkout expanded) {
        List<PlannedSegment> before = new ArrayList<>();
        long clock = 0;
        for (PlannedSegment segment : segments) {
            long buzzer = expanded.buzzerMs(before.size()).orElse(Long.MAX_VALUE);
            if (clock + segment.totalMs() > buzzer) {
                if (buzzer > clock) {
                    before.add(segment.cutAt(buzzer - clock));
                }
                return before;
            }
            before.add(segment);
            clock += segment.totalMs();
        }
        return before;
    }
}
