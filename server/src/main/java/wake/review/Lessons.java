package wake.review;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.projection.CallRecord;
import wake.projection.Learned;
import wake.projection.Lesson;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.RetestStore;

/** What checked calls have taught, of an athlete and of the gym. A call rests on those that were checked by its day. */
@Component
public class Lessons {
    /** So many checked calls count, the latest. */
    private static final int OWN = 12;

    private static final int GYM = 12;
    private static final int KEPT = 200;

    private final AttemptStore attempts;
    private final RetestStore retests;
    private final AttemptLogs logs;
    private final Documents documents;
    private final Choices choices;
    private final Map<UUID, Kept> kept = Collections.synchronizedMap(new LinkedHashMap<>() {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<UUID, Kept> eldest) {
            return size() > KEPT;
        }
    });

    /** A lesson as it was worked out from two logs; from others it is worked out anew. */
    private record Kept(AttemptLog first, AttemptLog retest, Lesson lesson) {}

    Lessons(AttemptStore attempts, RetestStore retests, AttemptLogs logs, Documents documents, Choices choices) {
        this.choices = choices;
        this.attempts = attempts;
        this.retests = retests;
        this.logs = logs;
        this.documents = documents;
    }

    /** What was known of an athlete by the day of an attempt, its own retests left out. */
    public Learned known(Attempt attempt) {
        return known(attempt.athleteId(), attempt.doneOn(), attempt.id());
    }

    /** All that is known of an athlete by a day. */
    public Learned known(UUID athleteId, LocalDate day) {
        return known(athleteId, day, null);
    }

    private Learned known(UUID athleteId, LocalDate day, @Nullable UUID leftOut) {
        List<Attempt> own = called(athleteId, day, leftOut);
        List<Attempt> gym = attempts.calledOfOthers(athleteId, day, GYM);
        if (own.isEmpty() && gym.isEmpty()) {
            return Learned.nothing(choices.gym().assumed());
        }
        List<Score[]> pairs = pairs(own);
        OptionalDouble error =
                CallRecord.typicalErrorPercent(pairs).map(OptionalDouble::of).orElse(OptionalDouble.empty());
        return Learned.of(of(own), of(gym), error, pairs.size(), choices.gym().assumed());
    }

    /** Every checked call of an athlete, the latest of them. */
    public List<Lesson> of(UUID athleteId) {
        return of(called(athleteId, LocalDate.MAX, null));
    }

    private List<Attempt> called(UUID athleteId, LocalDate until, @Nullable UUID leftOut) {
        return attempts.calledOf(athleteId, OWN).stream()
                .filter(retest -> !retest.doneOn().isAfter(until))
                .filter(retest -> leftOut == null || !leftOut.equals(retest.retestOf()))
                .toList();
    }

    private List<Lesson> of(List<Attempt> called) {
        List<Lesson> lessons = new ArrayList<>();
        called.forEach(retest -> lesson(retest).ifPresent(lessons::add));
        return lessons;
    }

    private Optional<Lesson> lesson(Attempt retest) {
        return first(retest)
                .flatMap(first -> over(first)
                        .flatMap(before -> over(retest).flatMap(came -> {
                            Kept known = kept.get(retest.id());
                            if (known != null && known.first() == before && known.retest() == came) {
                                return Optional.of(known.lesson());
                            }
                            return retests.findCalled(retest.id())
                                    .map(documents::called)
                                    .map(call -> {
                                        Lesson lesson =
                                                Lesson.of(before, came, call.changed(), logs.othersUntil(first));
                                        kept.put(retest.id(), new Kept(before, came, lesson));
                                        return lesson;
                                    });
                        })));
    }

    private Optional<Attempt> first(Attempt retest) {
        return Optional.ofNullable(retest.retestOf()).flatMap(attempts::find);
    }

    private Optional<AttemptLog> over(Attempt attempt) {
        return logs.readable(attempt).filter(AttemptLog::over);
    }

    /** First and second scores of those attempts that retest one, where both are logged to their end. */
    List<Score[]> pairs(List<Attempt> some) {
        List<Score[]> pairs = new ArrayList<>();
        for (Attempt retest : some) {
            first(retest)
                    .flatMap(this::over)
                    .ifPresent(before ->
                            over(retest).ifPresent(came -> pairs.add(new Score[] {before.score(), came.score()})));
        }
        return pairs;
    }
}
