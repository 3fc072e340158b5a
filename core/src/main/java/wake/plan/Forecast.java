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
import wake.workout.Course;
import wake.workout.Format;
import wake.workout.OnePiece;
import wake.workout.Segment;

/**
 * The clock a plan leads to. The finish is the exact sum of its parts, in whole milliseconds. The athlete stands ready at
 * the first movement, so the very first segment has no transition.
 *
 * @param segments what is allowed for each segment; of an open part as many as fit before the bell
 * @param score what the plan scores
 */
public record Forecast(List<PlannedSegment> segments, Score score) {
    private static final int MOST_SEGMENTS = 20_000;

    /** A finish lies a millisecond off at most after so many looks at where the clock ends. */
    private static final int MOST_LOOKS = 60;

    public Forecast {
        segments = List.copyOf(segments);
    }

    public static Forecast of(Course course, Plan plan) {
        return of(course, plan, 0);
    }

    /** A forecast that says something about the first so many segments, even where they lie beyond the bell. */
    public static Forecast of(Course course, Plan plan, int atLeast) {
        List<PlannedSegment> even = finishing(course, plan, atLeast);
        List<PlannedSegment> planned =
                Shaping.shaped(course, even, spending(plan)).orElse(even);
        return new Forecast(planned, score(planned, course));
    }

    /** The school in force: none where rounds start on marks of the coach's own, or the finish is designed. */
    private static School spending(Plan plan) {
        return hasNoSchool(plan) ? School.EVEN : plan.school();
    }

    private static boolean hasNoSchool(Plan plan) {
        return plan.roundEveryMs().isPresent() || !plan.finish().isNone();
    }

    /** What each school makes of the same total; only those that apply. */
    public static Map<School, Forecast> bySchool(Course course, Plan plan) {
        List<PlannedSegment> even = finishing(course, plan, 0);
        Map<School, Forecast> bySchool = new EnumMap<>(School.class);
        Set<School> possible = hasNoSchool(plan) ? EnumSet.of(School.EVEN) : EnumSet.allOf(School.class);
        for (School school : possible) {
            Shaping.shaped(course, even, school)
                    .ifPresent(planned -> bySchool.put(school, new Forecast(planned, score(planned, course))));
        }
        return bySchool;
    }

    /**
     * The rounds of the plan, or its segments where it has none, as a start school sees them.
     *
     * @param label "round 3", or the segment
     * @param block the block it is a round of; empty where there is one only
     * @param round whether it is a round
     * @param ms how long it takes, without a rest that is prescribed in it or before it
     * @param endMs the clock at its end
     */
    public record Stretch(String label, String block, boolean round, long ms, long endMs) {}

    /** The rounds with their clock; of an open part the whole ones. */
    public List<Stretch> stretches(Course course) {
        List<Long> ends = endsMs();
        return Stretches.of(course, segments).pieces().stream()
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
    private static List<PlannedSegment> finishing(Course course, Plan plan, int atLeast) {
        long bell = course.capMs().orElse(Long.MAX_VALUE);
        if (plan.finish().isNone() || course.isOpen()) {
            return asWritten(course, plan, atLeast, bell);
        }
        long end = Math.min(bell, totalMs(asWritten(course, plan.withFinish(Finish.NONE), atLeast, bell)));
        List<PlannedSegment> planned = asWritten(course, plan, atLeast, end);
        for (int look = 0; look < MOST_LOOKS && Math.min(bell, totalMs(planned)) != end; look++) {
            end = Math.min(bell, totalMs(planned));
            planned = asWritten(course, plan, atLeast, end);
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
    public List<Pushed> pushes(Course course, Plan plan) {
        long end = course.isOpen()
                ? course.capMs().orElse(finishMs())
                : Math.min(finishMs(), course.capMs().orElse(Long.MAX_VALUE));
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

    private static List<PlannedSegment> asWritten(Course course, Plan plan, int atLeast, long endMs) {
        List<PlannedSegment> planned = new ArrayList<>();
        RoundMarks marks = new RoundMarks(plan.roundEveryMs());
        long clock = 0;
        double unrounded = 0;
        for (int i = 0; course.has(i) && i < MOST_SEGMENTS; i++) {
            boolean beyond = course.isOpen() && clock > course.capMs().orElse(Long.MAX_VALUE);
            if (beyond && i >= atLeast) {
                break;
            }
            PlannedSegment written = marks.onto(planned(course, i, plan, clock), clock);
            WorkCurve curve = plan.finish()
                    .onto(
                            work(course, course.segment(i), plan),
                            written.upsMs() + written.restMs() + written.missesMs(),
                            clock + written.waitMs() + written.transitionMs(),
                            endMs);
            double exact = curve.total() + (course.startsAtMs(i).isPresent() ? 0 : unrounded);
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
    static double workMs(Course course, Segment segment, Plan plan) {
        return work(course, segment, plan).total();
    }

    private static WorkCurve work(Course course, Segment segment, Plan plan) {
        Pacing pacing = plan.pacing(segment);
        double from = OnePiece.unitsBefore(course, segment);
        return pacing.effort().work(from, from + segment.units(), pacing.secondsPerUnit());
    }

    /** What is allowed for a segment besides its work: that is rounded over the whole course. */
    static PlannedSegment planned(Course course, int index, Plan plan, long clock) {
        Segment segment = course.segment(index);
        Pacing pacing = plan.pacing(segment);
        List<Integer> sets = segment.countable().isPresent()
                ? pacing.sets(segment.countable().getAsInt())
                : List.of();
        long wait = Math.max(0, course.opensMs(index, clock).orElse(clock) - clock);
        long transition = segment.index() == 0 ? 0 : pacing.transitionMs();
        return new PlannedSegment(
                segment,
                wait,
                transition,
                0,
                0,
                ups(course, segment, pacing, sets.size()) * pacing.pickUpMs(),
                pacing.rests().between(sets.size()),
                pacing.missesMs(),
                sets,
                WorkCurve.STRAIGHT);
    }

    /** How often the load has to come up: for every set, unless it comes in the hands from the movement before. */
    private static int ups(Course course, Segment segment, Pacing pacing, int sets) {
        boolean held = segment.index() > 0
                && pacing.transitionMs() <= Pacing.HELD_MS
                && course.segment(segment.index() - 1).handsOverTo(segment);
        return !segment.isRaised() ? 0 : Math.max(1, sets) - (held ? 1 : 0);
    }

    private static Score score(List<PlannedSegment> planned, Course course) {
        long clock = 0;
        int done = 0;
        int complete = 0;
        int extra = 0;
        for (PlannedSegment segment : planned) {
            long bell = course.bellMs(complete).orElse(Long.MAX_VALUE);
            if (clock + segment.totalMs() > bell) {
                extra = partial(segment, bell - clock - segment.waitMs() - segment.transitionMs());
                return score(course, planned, complete, done + extra, extra, bell);
            }
            clock += segment.totalMs();
            done += segment.segment().score();
            complete++;
        }
        return score(course, planned, complete, done, extra, clock);
    }

    private static Score score(
            Course course, List<PlannedSegment> planned, int complete, int done, int extra, long clock) {
        boolean all = complete == planned.size() && !course.isOpen();
        return switch (course.format()) {
            case Format.ForTime time
            when !course.isOpen() ->
                all ? new Score.Finished(clock, done) : new Score.Capped(clock, done, course.totalScore() - done);
            case Format.Every every -> new Score.Reps(clock, done);
            case Format.ForTime time -> rounds(course, planned, complete, done, extra, clock);
            case Format.Amrap amrap -> rounds(course, planned, complete, done, extra, clock);
            case Format.Lift lift -> new Score.Load(Optional.empty(), clock);
        };
    }

    private static Score rounds(
            Course course, List<PlannedSegment> planned, int complete, int done, int extra, long clock) {
        int sum = planned.subList(course.currentRoundStart(complete), complete).stream()
                .mapToInt(segment -> segment.segment().score())
                .sum();
        return new Score.Rounds(clock, course.wholeRounds(complete), sum + extra, done, course.scoresReps());
    }

    /** What counts of the steps done in what time is left after the transition. */
    private static int partial(PlannedSegment segment, long leftMs) {
        if (leftMs <= 0 || segment.segment().countable().isEmpty()) {
            return 0;
        }
        return segment.segment().points(Math.min(segment.segment().steps() - 1, segment.stepsBy(leftMs)));
    }

    /** What there is to do before the bell: whatever it rings in is cut short, and what lies beyond is left out. */
    public List<PlannedSegment> beforeTheBell(Course course) {
        List<PlannedSegment> before = new ArrayList<>();
        long clock = 0;
        for (PlannedSegment segment : segments) {
            long bell = course.bellMs(before.size()).orElse(Long.MAX_VALUE);
            if (clock + segment.totalMs() > bell) {
                if (bell > clock) {
                    before.add(segment.cutAt(bell - clock));
                }
                return before;
            }
            before.add(segment);
            clock += segment.totalMs();
        }
        return before;
    }
}
