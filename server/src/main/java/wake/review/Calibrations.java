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
import wake.projection.Calibration;
import wake.projection.CalibrationPoint;
import wake.projection.ProjectionRecord;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.RetestStore;

/** What checked projections have taught, of an athlete and of the gym. A projection rests on those that were checked by its day. */
@Component
public class Calibrations {
    /** So many checked projections count, the latest. */
    private static final int OWN = 12;

    private static final int GYM = 12;
    private static final int KEPT = 200;

    private final AttemptStore attempts;
    private final RetestStore retests;
    private final AttemptLogs logs;
    private final Documents documents;
    private final GymSettings choices;
    private final Map<UUID, Kept> kept = Collections.synchronizedMap(new LinkedHashMap<>() {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<UUID, Kept> eldest) {
            return size() > KEPT;
        }
    });

    /** A lesson as it was worked out from two logs; from others it is worked out anew. */
    private record Kept(AttemptLog first, AttemptLog retest, CalibrationPoint point) {}

    Calibrations(
            AttemptStore attempts, RetestStore retests, AttemptLogs logs, Documents documents, GymSettings choices) {
        this.choices = choices;
        this.attempts = attempts;
        this.retests = retests;
        this.logs = logs;
        this.documents = documents;
    }

    /** What was known of an athlete by the day of an attempt, its own retests left out. */
    public Calibration known(Attempt attempt) {
        return known(attempt.athleteId(), attempt.doneOn(), attempt.id());
    }

    /** All that is known of an athlete by a day. */
    public Calibration known(UUID athleteId, LocalDate day) {
        return known(athleteId, day, null);
    }

    private Calibration known(UUID athleteId, LocalDate day, @Nullable UUID leftOut) {
        List<Attempt> own = projected(athleteId, day, leftOut);
        List<Attempt> gym = attempts.calledOfOthers(athleteId, day, GYM);
        if (own.isEmpty() && gym.isEmpty()) {
            return Calibration.nothing(choices.gym().assumed());
        }
        List<Score[]> pairs = pairs(own);
        OptionalDouble error = ProjectionRecord.typicalErrorPercent(pairs)
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
        return Calibration.of(
                of(own), of(gym), error, pairs.size(), choices.gym().assumed());
    }

    /** Every checked projection of an athlete, the latest of them. */
    public List<CalibrationPoint> of(UUID athleteId) {
        return of(projected(athleteId, LocalDate.MAX, null));
    }

    private List<Attempt> projected(UUID athleteId, LocalDate until, @Nullable UUID leftOut) {
        return attempts.calledOf(athleteId, OWN).stream()
                .filter(retest -> !retest.doneOn().isAfter(until))
                .filter(retest -> leftOut == null || !leftOut.equals(retest.retestOf()))
                .toList();
    }

    private List<CalibrationPoint> of(List<Attempt> projected) {
        List<CalibrationPoint> points = new ArrayList<>();
        projected.forEach(retest -> point(retest).ifPresent(points::add));
        return points;
    }

    private Optional<CalibrationPoint> point(Attempt retest) {
        return first(retest)
                .flatMap(first -> over(first)
                        .flatMap(before -> over(retest).flatMap(actual -> {
                            Kept known = kept.get(retest.id());
                            if (known != null && known.first() == before && known.retest() == actual) {
                                return Optional.of(known.point());
                            }
                            return retests.findProjected(retest.id())
                                    .map(documents::projected)
                                    .map(projection -> {
                                        CalibrationPoint point = CalibrationPoint.of(
                                                before, actual, projection.changed(), logs.othersUntil(first));
                                        kept.put(retest.id(), new Kept(before, actual, point));
                                        return point;
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
                            over(retest).ifPresent(actual -> pairs.add(new Score[] {before.score(), actual.score()})));
        }
        return pairs;
    }
}
