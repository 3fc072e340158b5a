package wake.review;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wake.athlete.Figures;
import wake.log.AttemptLog;
import wake.movement.Movement;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.LimitingMax;
import wake.projection.lift.Chances;
import wake.projection.lift.LiftProjection;
import wake.projection.lift.NextLifts;
import wake.projection.lift.Tried;
import wake.reading.lift.DemonstratedMaxes;
import wake.reading.lift.LiftReading;
import wake.reading.lift.LiftRow;
import wake.review.Documents.KeptPlan;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.strength.StrengthWork;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/** Lift windows reviewed, and projected: what an athlete's lifts show, in this window and over all of them. */
@Component
public class LiftService {
    /** So many earlier windows are looked at. */
    private static final int MOST_WINDOWS = 40;

    private final Reviews reviews;
    private final AttemptLogs logs;
    private final AttemptStore attempts;
    private final Movements movements;
    private final GymSettings choices;
    private final StrengthDays strength;

    LiftService(
            Reviews reviews,
            AttemptLogs logs,
            AttemptStore attempts,
            Movements movements,
            GymSettings choices,
            StrengthDays strength) {
        this.strength = strength;
        this.choices = choices;
        this.reviews = reviews;
        this.logs = logs;
        this.attempts = attempts;
        this.movements = movements;
    }

    /** A lift window read against its timetable. */
    public LiftReading reading(OpenAttempt open) {
        return LiftReading.of(
                open.log(), reviews.maxOfPercentages(open), open.asDone().timetable());
    }

    /** What its made lifts say of the athlete's maxes. */
    public List<DemonstratedMaxes> maxes(OpenAttempt open) {
        return DemonstratedMaxes.of(
                reading(open), reviews.figures(open.attempt().athleteId()), movements.catalogue());
    }

    /**
     * What a projection of it rests on: the max that limits it, its own lifts, and those of earlier windows with the same movements.
     *
     * @param next the timetable to project, whose max stands where nothing else is known
     */
    public LiftProjection.Terms terms(OpenAttempt open, LiftPlan next) {
        return terms(open, next.max());
    }

    private LiftProjection.Terms terms(OpenAttempt open, Quantity otherwise) {
        LiftReading reading = reading(open);
        List<Tried.Day> days = new ArrayList<>(List.of(new Tried.Day(0, tried(reading, open.attempt()))));
        days.addAll(earlier(open.attempt(), reading.window()));
        days.addAll(strength(open.attempt(), reading.window()));
        Chances rested = chances(open, days, otherwise);
        return new LiftProjection.Terms(
                reading.window(),
                open.pauseAfter(),
                open.afterAnother() ? rested.afterAnotherPart() : rested,
                reading.best().flatMap(row -> row.lift().load()));
    }

    /** The lifts of a window; any part but the first comes after another on the same clock. */
    private static List<Tried> tried(LiftReading reading, Attempt attempt) {
        List<Tried> lifts = Tried.in(reading);
        return attempt.part() > 0 ? Tried.afterAnotherPart(lifts) : lifts;
    }

    /** From the max on file; where there is none, from that of the plan, else from the lifts alone, else from the heaviest load. */
    private Chances chances(OpenAttempt open, List<Tried.Day> days, Quantity otherwise) {
        LimitingMax limit = reviews.limitingMax(open);
        if (limit.max().isPresent()) {
            return Chances.of(limit, days);
        }
        Optional<Quantity> planned = open.plan().flatMap(KeptPlan::lift).map(LiftPlan::max);
        boolean lifted = days.stream().anyMatch(day -> !day.lifts().isEmpty());
        return planned.isPresent()
                ? Chances.of(planned, "max on the plan " + planned.get(), days)
                : lifted
                        ? Chances.of(Optional.empty(), "", days)
                        : Chances.of(Optional.of(otherwise), "the heaviest load, " + otherwise, days);
    }

    /** The lifts of the latest earlier windows with the same movements. */
    private List<Tried.Day> earlier(Attempt attempt, Format.Lift window) {
        List<Attempt> before = attempts.of(attempt.athleteId()).stream()
                .filter(other -> !other.id().equals(attempt.id())
                        && !other.doneOn().isAfter(attempt.doneOn())
                        && !attempt.id().equals(other.retestOf()))
                .sorted(Comparator.comparing(Attempt::doneOn).reversed())
                .toList();
        return logs.logged(attempt.athleteId(), before).stream()
                .filter(one -> one.log().expanded().format() instanceof Format.Lift other
                        && movements(other).equals(movements(window)))
                .flatMap(one -> read(one.log(), Figures.NONE)
                        .map(reading -> new Tried.Day(
                                ChronoUnit.DAYS.between(one.attempt().doneOn(), attempt.doneOn()),
                                tried(reading, one.attempt())))
                        .stream())
                .limit(MOST_WINDOWS)
                .toList();
    }

    /** The strength work of the movement of a window, on its day or before; none where the window is of several. */
    private List<Tried.Day> strength(Attempt attempt, Format.Lift window) {
        Set<String> movements = movements(window);
        if (movements.size() > 1) {
            return List.of();
        }
        return strength.latestFirst(attempt.athleteId())
                .filter(day -> !day.doneOn().isAfter(attempt.doneOn()))
                .map(day -> new Tried.Day(
                        ChronoUnit.DAYS.between(day.doneOn(), attempt.doneOn()),
                        day.works().stream()
                                .filter(work -> movements.contains(work.movement()))
                                .flatMap(work -> Tried.in(work).stream())
                                .toList()))
                .filter(day -> !day.lifts().isEmpty())
                .limit(MOST_WINDOWS)
                .toList();
    }

    private Set<String> movements(Format.Lift window) {
        return window.complex().stream()
                .map(piece -> movements
                        .catalogue()
                        .find(piece.movement())
                        .map(Movement::name)
                        .orElse(piece.movement()))
                .collect(Collectors.toSet());
    }

    /** The lifts worth proposing for the next time; empty while no lift has a load. */
    public Optional<LiftPlan> proposed(OpenAttempt open) {
        LiftReading reading = reading(open);
        Optional<LiftPlan> planned = open.plan().flatMap(KeptPlan::lift);
        boolean known =
                reading.rows().stream().anyMatch(row -> row.lift().load().isPresent());
        return known
                ? Optional.of(NextLifts.of(
                        reading,
                        planned,
                        terms(open, NextLifts.max(reading, planned)).chances(),
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

    /** What an athlete did of one lift on a day. */
    public sealed interface Done {
        LocalDate doneOn();

        /**
         * In a window.
         *
         * @param best the heaviest made; empty where none was
         * @param made lifts made, of {@code tried}
         */
        record InWindow(Attempt attempt, Optional<Quantity> best, int made, int tried) implements Done {
            @Override
            public LocalDate doneOn() {
                return attempt.doneOn();
            }
        }

        /** Not for time. */
        record AsStrength(LocalDate doneOn, StrengthWork work) implements Done {}
    }

    /** By lift, the days on which an athlete did it, in a window or not for time, the earliest first. */
    public Map<String, List<Done>> history(UUID athleteId) {
        Map<String, List<Done>> history = new LinkedHashMap<>();
        Figures figures = reviews.figures(athleteId);
        List<Attempt> earliestFirst = attempts.of(athleteId).stream()
                .sorted(Comparator.comparing(Attempt::doneOn))
                .toList();
        for (AttemptLogs.Logged one : logs.logged(athleteId, earliestFirst)) {
            read(one.log(), figures)
                    .ifPresent(reading -> byLift(reading)
                            .forEach((lift, rows) -> history.computeIfAbsent(lift, first -> new ArrayList<>())
                                    .add(done(one.attempt(), rows))));
        }
        for (StrengthDays.Day day : strength.of(athleteId).reversed()) {
            day.works()
                    .forEach(work -> history.computeIfAbsent(work.movement(), first -> new ArrayList<>())
                            .add(new Done.AsStrength(day.doneOn(), work)));
        }
        history.values().forEach(days -> days.sort(Comparator.comparing(Done::doneOn)));
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
        return new Done.InWindow(
                attempt,
                rows.stream()
                        .filter(row -> row.lift().made())
                        .flatMap(row -> row.lift().load().stream())
                        .max(Comparator.comparingDouble(load -> load.in(Unit.KILOGRAM))),
                (int) rows.stream().filter(row -> row.lift().made()).count(),
                rows.size());
    }
}
