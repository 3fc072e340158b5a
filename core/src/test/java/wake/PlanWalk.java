package wake;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.plan.Forecast;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.PlannedSegment;
import wake.plan.SetScheme;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/** An athlete who does what a plan says to the millisecond, or with something planted in it, and a coach who marks it as closely as asked. */
public class PlanWalk {
    private final ExpandedWorkout expanded;
    private final Forecast forecast;
    private final List<Mark> marks = new ArrayList<>();
    private double clock;

    public PlanWalk(ExpandedWorkout expanded, Plan plan) {
        this.expanded = expanded;
        this.forecast = Forecast.of(expanded, plan);
    }

    /** A plan with a pace, ways, sets and rests of its own for every line, and for every load of it. */
    public static Plan plan(ExpandedWorkout expanded, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Map<Integer, LinePacing> lines = new HashMap<>();
        for (Segment segment : expanded.segments()) {
            Pacing pacing = pacing(segment, random);
            LinePacing line = lines.get(segment.lineIndex());
            if (line == null) {
                lines.put(segment.lineIndex(), new LinePacing(segment.lineIndex(), pacing, Map.of()));
            } else if (random.nextInt(3) == 0) {
                lines.put(segment.lineIndex(), line.withRound(segment.lap().number(), pacing));
            }
        }
        return new Plan(List.copyOf(lines.values()));
    }

    private static Pacing pacing(Segment segment, SplittableRandom random) {
        double perUnit = segment.tappable() ? 1.2 + random.nextInt(30) / 10.0 : segment.metres() > 0 ? 0.3 : 2.5;
        SetScheme sets = segment.tappable() && random.nextBoolean()
                ? SetScheme.parse(1 + random.nextInt(Math.max(1, segment.steps() / 2)) + "s")
                : SetScheme.UNBROKEN;
        return new Pacing(1000 + random.nextInt(6000), sets, perUnit, 1000 + random.nextInt(9000));
    }

    /** Everything the plan has, seen rep by rep. */
    public List<Mark> marks() {
        for (PlannedSegment planned : forecast.segments()) {
            segment(planned);
        }
        return marks;
    }

    /** What the way to a segment takes. */
    protected double transitionMs(PlannedSegment planned) {
        return planned.transitionMs();
    }

    /** What one rep takes. */
    protected double repMs(PlannedSegment planned, int rep) {
        return planned.workMs() / (double) planned.segment().steps();
    }

    /** What a rest takes. */
    protected double restMs(PlannedSegment planned, int rest) {
        return planned.restsMs().get(rest);
    }

    public ExpandedWorkout expanded() {
        return expanded;
    }

    public Forecast forecast() {
        return forecast;
    }

    private void segment(PlannedSegment planned) {
        Segment segment = planned.segment();
        clock += planned.waitMs();
        clock += transitionMs(planned);
        see(MarkKind.BEGIN);
        if (!segment.tappable()) {
            clock += planned.workMs();
            see(MarkKind.DONE);
            return;
        }
        int rep = 0;
        List<Integer> sets = planned.sets();
        for (int set = 0; set < sets.size(); set++) {
            if (set > 0) {
                see(MarkKind.OFF);
                clock += restMs(planned, set - 1);
                see(MarkKind.ON);
            }
            for (int i = 0; i < sets.get(set); i++) {
                clock += repMs(planned, rep++);
                see(MarkKind.REP);
            }
        }
    }

    private void see(MarkKind kind) {
        marks.add(Mark.of(kind, Math.round(clock)));
    }

    /** The same, cut off by a stop. */
    public static List<Mark> until(List<Mark> marks, long ms) {
        List<Mark> cut =
                new ArrayList<>(marks.stream().filter(mark -> mark.atMs() <= ms).toList());
        cut.add(Mark.of(MarkKind.STOP, ms));
        return cut;
    }

    /** The same as a coach marks it who notes the ends of movements only. */
    public static List<Mark> ends(ExpandedWorkout expanded, List<Mark> marks) {
        List<Mark> seen = new ArrayList<>();
        int segment = 0;
        int reps = 0;
        for (Mark mark : marks) {
            reps += mark.kind() == MarkKind.REP ? 1 : 0;
            boolean done = mark.kind() == MarkKind.DONE
                    || (mark.kind() == MarkKind.REP
                            && reps == expanded.segment(segment).steps());
            if (done) {
                seen.add(Mark.of(MarkKind.DONE, mark.atMs()).withDepth(Granularity.SEGMENT));
                segment++;
                reps = 0;
            } else if (mark.kind() == MarkKind.STOP) {
                seen.add(mark);
            }
        }
        return seen;
    }
}
