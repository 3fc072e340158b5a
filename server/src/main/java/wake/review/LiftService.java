package wake.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import wake.athlete.Figures;
import wake.log.AttemptLog;
import wake.movement.Movement;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.LimitingMax;
import wake.projection.lift.Chances;
import wake.projection.lift.LiftProjection;
import wake.projection.lift.NextLifts;
import wake.reading.lift.DemonstratedMaxes;
import wake.reading.lift.LiftReading;
import wake.reading.lift.LiftRow;
import wake.review.Documents.KeptPlan;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/** Lift windows reviewed, and projected: what an athlete's lifts show, in this window and over all of them. */
@Component
public class LiftService {
    private final Reviews reviews;
    private final AttemptLogs logs;
    private final AttemptStore attempts;
    private final Movements movements;
    private final GymSettings choices;

    LiftService(Reviews reviews, AttemptLogs logs, AttemptStore attempts, Movements movements, GymSettings choices) {
        this.choices = choices;
        this.reviews = reviews;
        this.logs = logs;
        this.attempts = attempts;
        this.movements = movements;
    }

    /** A lift window read against its timetable. */
    public LiftReading reading(OpenAttempt open) {
        return LiftReading.of(
                open.log(), reviews.limitingMax(open), open.asDone().timetable());
    }

    /** What its made lifts say of the athlete's maxes. */
    public List<DemonstratedMaxes> maxes(OpenAttempt open) {
        return DemonstratedMaxes.of(
                reading(open), reviews.figures(open.attempt().athleteId()), movements.catalogue());
    }

    /** What a projection of it rests on: the athlete's lifts by its day, and its own. */
    public LiftProjection.Terms terms(OpenAttempt open) {
        LiftReading reading = reading(open);
        List<Chances.Tried> tried = new ArrayList<>(Chances.tried(reading));
        Figures figures = reviews.figures(open.attempt().athleteId());
        logs.othersUntil(open.attempt()).stream()
                .flatMap(log -> read(log, figures).stream())
                .forEach(other -> tried.addAll(Chances.tried(other)));
        return new LiftProjection.Terms(
                reading.window(),
                open.pauseAfter(),
                Chances.of(tried),
                reading.best().flatMap(row -> row.lift().load()));
    }

    /** The lifts worth proposing for the next time; empty while no lift has a load. */
    public Optional<LiftPlan> proposed(OpenAttempt open) {
        LiftReading reading = reading(open);
        boolean known =
                reading.rows().stream().anyMatch(row -> row.lift().load().isPresent());
        return known
                ? Optional.of(NextLifts.of(
                        reading,
                        open.plan().flatMap(KeptPlan::lift),
                        terms(open).chances(),
                        open.pauseAfter(),
                        choices.gym().rack()))
                : Optional.empty();
    }

    private Optional<LiftReading> read(AttemptLog log, Figures figures) {
        return log.expanded().format() instanceof Format.Lift window
                        && !log.lifts().isEmpty()
                ? Optional.of(LiftReading.of(
                        log, LimitingMax.of(window.complex(), figures, movements.catalogue()), Optional.empty()))
                : Optional.empty();
    }

    /**
     * What an athlete did of one lift in one window.
     *
     * @param best the heaviest made; empty where none was
     * @param made lifts made, of {@code tried}
     */
    public record Done(Attempt attempt, Optional<Quantity> best, int made, int tried) {}

    /** By lift, the windows in which an athlete did it, the earliest first. */
    public Map<String, List<Done>> history(UUID athleteId) {
        Map<String, List<Done>> history = new LinkedHashMap<>();
        Figures figures = reviews.figures(athleteId);
        for (Attempt attempt : attempts.of(athleteId).stream()
                .sorted(Comparator.comparing(Attempt::doneOn))
                .toList()) {
            logs.readable(attempt)
                    .flatMap(log -> read(log, figures))
                    .ifPresent(reading -> byLift(reading)
                            .forEach((lift, rows) -> history.computeIfAbsent(lift, first -> new ArrayList<>())
                                    .add(done(attempt, rows))));
        }
        return history;
    }

    private Map<String, List<LiftRow>> byLift(LiftReading reading) {
        Map<String, List<LiftRow>> rows = new LinkedHashMap<>();
        for (LiftRow row : reading.rows()) {
            row.pieces().stream()
                    .map(LiftPiece::movement)
                    .map(name ->
                            movements.catalogue().find(name).map(Movement::name).orElse(name))
                    .distinct()
                    .forEach(name -> rows.computeIfAbsent(name, first -> new ArrayList<>())
                            .add(row));
        }
        return rows;
    }

    private static Done done(Attempt attempt, List<LiftRow> rows) {
        return new Done(
                attempt,
                rows.stream()
                        .filter(row -> row.lift().made())
                        .flatMap(row -> row.lift().load().stream())
                        .max(Comparator.comparingDouble(load -> load.in(Unit.KILOGRAM))),
                (int) rows.stream().filter(row -> row.lift().made()).count(),
                rows.size());
    }
}
