package wake.review;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.plan.Plan;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.MarkStore;
import wake.store.MarkStore.StoredMark;
import wake.store.PlanStore;
import wake.store.RecordingStore;
import wake.store.RecordingStore.Recording;
import wake.workout.Course;
import wake.workout.NotationReader;
import wake.workout.Workout;
import wake.workout.Workout.Part;

/** Opens attempts for review: stored rows in, the core's values out. */
@Component
public class Reviews {
    private final AttemptStore attempts;
    private final RecordingStore recordings;
    private final MarkStore marks;
    private final PlanStore plans;
    private final Documents documents;
    private final Movements movements;

    Reviews(
            AttemptStore attempts,
            RecordingStore recordings,
            MarkStore marks,
            PlanStore plans,
            Documents documents,
            Movements movements) {
        this.attempts = attempts;
        this.recordings = recordings;
        this.marks = marks;
        this.plans = plans;
        this.documents = documents;
        this.movements = movements;
    }

    public Optional<OpenAttempt> open(UUID attemptId) {
        return attempts.find(attemptId).map(this::open);
    }

    public OpenAttempt open(Attempt attempt) {
        Workout workout =
                NotationReader.read(attempt.notation(), movements.catalogue()).orThrow();
        Part part = workout.parts().get(attempt.part());
        Course course = Course.of(part, workout.division(attempt.division()), movements.catalogue(), attempt.cutInto());
        List<Attempt> day = attempts.day(attempt);
        List<Recording> cameras = recordings.of(day.stream().map(Attempt::id).toList(), attempt.id());
        List<StoredMark> stored = marks.of(attempt.id());
        Optional<Plan> plan = plans.find(attempt.id()).map(documents::plan);
        return new OpenAttempt(
                attempt,
                workout,
                part,
                day,
                course,
                cameras,
                stored,
                AttemptLog.of(course, onTheClock(stored, cameras)),
                plan);
    }

    /** Marks at workout clock times; a recording's marks count from its "go". */
    private static List<Mark> onTheClock(List<StoredMark> stored, List<Recording> cameras) {
        Map<UUID, Recording> byId = cameras.stream().collect(Collectors.toMap(Recording::id, Function.identity()));
        return stored.stream()
                .flatMap(mark -> clockMs(
                                mark, Optional.ofNullable(mark.recordingId()).map(byId::get))
                        .stream()
                        .map(at -> new Mark(
                                mark.id(),
                                mark.kind(),
                                at,
                                mark.reps(),
                                mark.depth(),
                                mark.tag(),
                                mark.text(),
                                mark.uncertaintyS())))
                .toList();
    }

    /** The workout clock of a mark; empty while its recording has no "go". */
    public static Optional<Long> clockMs(StoredMark mark, Optional<Recording> recording) {
        return mark.recordingId() == null
                ? Optional.of(mark.atMs())
                : recording.map(Recording::goMs).map(go -> mark.atMs() - go);
    }
}
