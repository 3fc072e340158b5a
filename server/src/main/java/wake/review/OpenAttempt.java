package wake.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import java.util.function.Supplier;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.plan.Deadline;
import wake.plan.Draft;
import wake.plan.Forecast;
import wake.plan.Goal;
import wake.plan.Plan;
import wake.plan.lift.Timetable;
import wake.reading.Baseline;
import wake.reading.Reading;
import wake.review.Documents.KeptPlan;
import wake.store.AttemptStore.Attempt;
import wake.store.MarkStore.StoredMark;
import wake.store.RecordingStore.Recording;
import wake.units.InvalidInput;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.RunningClock;
import wake.workout.Workout;
import wake.workout.Workout.Part;

/**
 * Everything about one attempt, gathered.
 *
 * @param attempt who, what, when
 * @param workout the workout as it stood
 * @param part the part of it that this attempt is at
 * @param day the attempts at all its parts on that day, in order
 * @param expanded its segments in the attempt's division
 * @param recordings the cameras
 * @param marks all marks in the order made, as stored
 * @param log the marks read; those of a recording without "go" are left out
 * @param plan the coach's plan, if there is one
 * @param earlier the plan the attempt was done with, where that was changed since
 * @param drafted what is planned: the coach's plan, else a draft from what is known of the athlete
 */
public record OpenAttempt(
        Attempt attempt,
        Workout workout,
        Part part,
        List<Attempt> day,
        ExpandedWorkout expanded,
        List<Recording> recordings,
        List<StoredMark> marks,
        AttemptLog log,
        Optional<KeptPlan> plan,
        Optional<EarlierPlan> earlier,
        Supplier<Draft> drafted) {
    /** A plan that was in force when the attempt was done. */
    public record EarlierPlan(int version, KeptPlan plan) {}

    /** The same with the plan it was done with in force: what a review holds it against. */
    public OpenAttempt asDone() {
        return earlier.map(EarlierPlan::plan)
                .map(then -> new OpenAttempt(
                        attempt,
                        workout,
                        part,
                        day,
                        expanded,
                        recordings,
                        marks,
                        log,
                        Optional.of(then),
                        Optional.empty(),
                        () -> new Draft(then.plan(), Map.of())))
                .orElse(this);
    }

    /** Whether another is at the same part of the same workout, maybe at another version of its text. */
    public boolean sameWorkoutAs(OpenAttempt other) {
        return other.attempt().workoutId().equals(attempt.workoutId())
                && other.attempt().part() == attempt.part();
    }

    /** Its marks at their clocks, in the order they were made; those of a recording without "go" are left out. */
    public List<Mark> marksOnTheClock() {
        return AttemptLogs.onTheClock(marks, recordings);
    }

    /** What is planned, worked out when it is first asked for. */
    public Draft draft() {
        return drafted.get();
    }

    public Plan planOrDraft() {
        return draft().plan();
    }

    public Forecast forecast() {
        int asked = goal().map(goal -> goal.whole() + 1).orElse(0);
        return Forecast.of(expanded, planOrDraft(), Math.max(asked, log.splits().size()));
    }

    /** What the expanded workout wants done by a clock, and the goal planned for. */
    public List<Deadline> due() {
        List<Deadline> due = new ArrayList<>(Deadline.of(expanded));
        goal().flatMap(goal -> Deadline.of(goal, expanded)).ifPresent(due::add);
        return due;
    }

    /** The score last planned for; empty where there is none, or where it is none of this workout any more. */
    public Optional<Goal> goal() {
        return plan.flatMap(kept -> {
            try {
                return Optional.ofNullable(kept.goal()).map(written -> Goal.parse(written, expanded, kept.plan()));
            } catch (InvalidInput noLongerAGoal) {
                return Optional.empty();
            }
        });
    }

    /** Of a lift window, its timetable; empty where there is none. */
    public Optional<Timetable> timetable() {
        return expanded.format() instanceof Format.Lift window
                ? plan.flatMap(KeptPlan::lift).map(lift -> Timetable.of(lift, window, pauseAfter()))
                : Optional.empty();
    }

    /** The rest between this part and the next; empty after the last part. */
    public OptionalLong pauseAfter() {
        return RunningClock.restAfter(workout, part);
    }

    /** Whether another part of the same day comes before this one. */
    public boolean afterAnother() {
        return workout.sections().indexOf(part) > 0;
    }

    /** The plan when there is one, else the attempt's own best. */
    public Baseline.Kind usualYardstick() {
        return asDone().plan().isPresent() ? Baseline.Kind.PLAN : Baseline.Kind.BEST_SPLITS;
    }

    /** The attempt read against that. */
    public Reading reading() {
        return Reading.of(log, baseline(usualYardstick()));
    }

    /** What it can be read against. */
    public List<Baseline.Kind> baselines() {
        List<Baseline.Kind> kinds = new ArrayList<>(List.of(Baseline.Kind.PLAN));
        if (earlier.isPresent() && plan.isPresent()) {
            kinds.add(Baseline.Kind.EDITED_PLAN);
        }
        if (asDone().planOrDraft().fallback().isPresent()) {
            kinds.add(Baseline.Kind.FALLBACK);
        }
        kinds.add(Baseline.Kind.BEST_SPLITS);
        return List.copyOf(kinds);
    }

    public Baseline baseline(Baseline.Kind kind) {
        return switch (kind) {
            case PLAN -> asDone().inForce(kind);
            case EDITED_PLAN -> inForce(kind);
            case FALLBACK ->
                Baseline.fallback(Forecast.of(
                        expanded,
                        asDone().planOrDraft().fallenBack(expanded),
                        log.splits().size()));
            case ATTEMPT -> throw new IllegalArgumentException("Choose the other attempt");
            case BEST_SPLITS -> Baseline.bestSplits(log);
        };
    }

    private Baseline inForce(Baseline.Kind kind) {
        return Baseline.plan(kind, forecast(), plan.isPresent() ? due() : List.of());
    }

    /** The break a mark is part of: its end of a set, and the return to work that follows, if there is one; empty for other marks. */
    public List<UUID> breakOf(UUID markId) {
        List<StoredMark> inOrder = marks.stream()
                .filter(mark ->
                        mark.kind() == MarkKind.OFF || mark.kind() == MarkKind.ON || mark.kind() == MarkKind.DONE)
                .filter(mark -> clockMs(mark).isPresent())
                .sorted(Comparator.comparingLong(mark -> clockMs(mark).orElseThrow()))
                .toList();
        for (int i = 0; i < inOrder.size(); i++) {
            StoredMark off = inOrder.get(i);
            if (off.kind() != MarkKind.OFF) {
                continue;
            }
            boolean returns = i + 1 < inOrder.size() && inOrder.get(i + 1).kind() == MarkKind.ON;
            List<UUID> both = returns ? List.of(off.id(), inOrder.get(i + 1).id()) : List.of(off.id());
            if (both.contains(markId)) {
                return both;
            }
        }
        return List.of();
    }

    private Optional<Long> clockMs(StoredMark mark) {
        return AttemptLogs.clockMs(
                mark,
                recordings.stream()
                        .filter(one -> one.id().equals(mark.recordingId()))
                        .findFirst());
    }
}
