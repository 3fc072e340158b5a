package wake.review;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.plan.Plan;
import wake.plan.lift.LiftPlan;
import wake.projection.Calibration;
import wake.projection.FatigueCost;
import wake.projection.Outcome;
import wake.projection.Projection;
import wake.projection.Projection.Terms;
import wake.projection.ProjectionRecord;
import wake.projection.ProjectionRecord.Checked;
import wake.projection.Range;
import wake.projection.RetestDate;
import wake.projection.RetestPlan;
import wake.projection.Suggestions;
import wake.projection.lift.LiftProjection;
import wake.review.Documents.KeptPlan;
import wake.review.PlanJson.LiftJson;
import wake.store.AthleteStore;
import wake.store.AthleteStore.Athlete;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.Document;
import wake.store.Exclusively;
import wake.store.PlanStore;
import wake.store.RequestStore;
import wake.store.RetestStore;
import wake.units.Digits;
import wake.units.InvalidInput;
import wake.words.RetestWords;
import wake.workout.Format;

/** Retest projections: choosing, setting the retest, and checking the outcome. */
@Component
public class Retests {
    /** Pieces replayed for one range, and for the range of one change: as many as a coach does not wait for. */
    private static final int PIECES_FOR_A_RANGE = 800_000;

    private static final int PIECES_FOR_A_CHANGE = 40_000;
    private static final int MOST_REPLAYS = 10_000;
    private static final int FEWEST_REPLAYS = 500;
    private static final int MOST_ALONE = 600;
    private static final int FEWEST_ALONE = 60;

    private final AttemptStore attempts;
    private final AthleteStore athletes;
    private final PlanStore plans;
    private final RetestStore retests;
    private final RequestStore requests;
    private final AttemptLogs logs;
    private final Documents documents;
    private final Calibrations points;
    private final LiftService lifts;
    private final Exclusively exclusively;
    private final Clock clock;

    Retests(
            AttemptStore attempts,
            AthleteStore athletes,
            PlanStore plans,
            RetestStore retests,
            RequestStore requests,
            AttemptLogs logs,
            Documents documents,
            Calibrations points,
            LiftService lifts,
            Exclusively exclusively,
            Clock clock) {
        this.exclusively = exclusively;
        this.clock = clock;
        this.lifts = lifts;
        this.attempts = attempts;
        this.athletes = athletes;
        this.plans = plans;
        this.retests = retests;
        this.requests = requests;
        this.logs = logs;
        this.documents = documents;
        this.points = points;
    }

    /** What was chosen for an attempt, or what is worth proposing when nothing was chosen yet. */
    public RetestJson chosen(OpenAttempt open) {
        return retests.find(open.attempt().id())
                .map(documents::retest)
                .orElseGet(() -> RetestJson.of(proposals(open.log())));
    }

    /** The changes worth proposing for an attempt. */
    public static List<ChangeJson> proposals(AttemptLog log) {
        return Suggestions.all(log).stream()
                .map(one -> ChangeJson.of(one.change(), one.on()))
                .toList();
    }

    /** Keeps what was chosen; gives how often that has been done. */
    public long choose(UUID attemptId, RetestJson chosen) {
        return retests.put(attemptId, documents.retest(chosen));
    }

    /** The terms of a projection: evidence from the athlete's other attempts, and as many replays as there is time for. */
    public Terms terms(OpenAttempt open, RetestJson chosen, Calibration calibration) {
        return terms(open.log(), logs.othersUntil(open.attempt()), chosen, calibration);
    }

    /** @param calibration what checked projections have taught of the athlete */
    public static Terms terms(AttemptLog log, List<AttemptLog> others, RetestJson chosen, Calibration calibration) {
        int pieces = Math.max(1, 4 * log.splits().size());
        return new Terms(
                others,
                chosen.usedCredits(calibration.credits()),
                chosen.usedBack(calibration.fatigueCost()),
                Math.clamp(PIECES_FOR_A_RANGE / pieces, FEWEST_REPLAYS, MOST_REPLAYS),
                Math.clamp(PIECES_FOR_A_CHANGE / pieces, FEWEST_ALONE, MOST_ALONE));
    }

    /** What checked projections have taught of the athlete by the day of an attempt. */
    public Calibration calibration(OpenAttempt open) {
        return points.known(open.attempt());
    }

    public RetestDate date(OpenAttempt open) {
        Athlete athlete = athletes.find(open.attempt().athleteId()).orElseThrow();
        return RetestDate.of(open.log(), open.attempt().doneOn(), athlete.recoversSlowly(), athlete.pain())
                .notBefore(LocalDate.now(clock));
    }

    /**
     * Sets the retest: an attempt at the same workout with the changes as its plan, and the projection kept as it stands.
     *
     * @param id the new attempt's
     * @throws InvalidInput while pain is noted, or for a day before the attempt
     */
    public void set(OpenAttempt open, UUID id, LocalDate doneOn) {
        date(open).blocked().ifPresent(why -> {
            throw new InvalidInput(why);
        });
        Attempt first = open.attempt();
        if (!doneOn.isAfter(first.doneOn())) {
            throw new InvalidInput("Choose a day after the attempt, " + first.doneOn());
        }
        Scheduled projected = open.expanded().format() instanceof Format.Lift ? projectedLifts(open) : projected(open);
        exclusively.on(first.id(), () -> {
            if (requests.first(id, first.id(), "retest")) {
                add(first, id, doneOn, projected);
            }
            return true;
        });
    }

    /** What a retest is set with: its plan, and the projection as it stands. */
    private record Scheduled(Document plan, Document projection) {}

    private void add(Attempt first, UUID id, LocalDate doneOn, Scheduled projected) {
        attempts.add(new Attempt(
                id,
                first.athleteId(),
                first.athlete(),
                first.workoutId(),
                first.division(),
                doneOn,
                first.notation(),
                first.id(),
                first.part(),
                first.cutInto()));
        plans.put(id, projected.plan(), "Retest plan");
        retests.putProjected(id, projected.projection());
    }

    private Scheduled projected(OpenAttempt open) {
        RetestJson chosen = chosen(open);
        String goal = chosen.goal() == null || chosen.goal().isBlank() ? null : chosen.goal();
        Terms terms = terms(open, chosen, calibration(open));
        KeptPlan plan =
                new KeptPlan(RetestPlan.of(open.log(), chosen.on(), terms.fatigueCost()), goal, Optional.empty());
        Projection projection = Projection.of(open.log(), chosen.on(), terms);
        return new Scheduled(
                documents.plan(plan), documents.projected(ProjectedJson.of(chosen, projection, terms.fatigueCost())));
    }

    /** The timetable chosen for the next lift window, else the one worth proposing; empty while no lift has a load. */
    public Optional<LiftPlan> nextLifts(OpenAttempt open) {
        LiftJson lift = chosen(open).lift();
        return lift == null ? lifts.proposed(open) : Optional.of(lift.liftPlan());
    }

    /** Keeps the timetable for the next lift window, or nothing for the one worth proposing; gives how often that has been done. */
    public long chooseLifts(OpenAttempt open, @Nullable LiftJson lift) {
        return choose(open.attempt().id(), chosen(open).withLift(lift));
    }

    private Scheduled projectedLifts(OpenAttempt open) {
        LiftPlan next = nextLifts(open).orElseThrow(() -> new InvalidInput("Add at least one lift with a load"));
        LiftProjection projection = LiftProjection.of(next, lifts.terms(open, next));
        return new Scheduled(
                documents.plan(new KeptPlan(new Plan(List.of()), null, Optional.of(next))),
                documents.projected(ProjectedJson.of(projection, open.log().score())));
    }

    /** The projection a retest was set by. */
    public Optional<ProjectedJson> projected(UUID retestId) {
        return retests.findProjected(retestId).map(documents::projected);
    }

    /** A retest held against the attempt before it. */
    public record Compared(
            Attempt first,
            Attempt retest,
            Optional<ProjectedJson> projected,
            Score before,
            Score actual,
            Outcome outcome,
            Digits digits,
            Optional<Double> variationPercent) {
        /** Whether it lies in the likely range; empty where there was none. */
        public Optional<Boolean> inRange() {
            Optional<Range> range = projected.flatMap(ProjectedJson::range);
            return range.map(of -> new Checked(of.p50(), range, actual).hit());
        }

        /** What became of the projection, in a sentence. */
        public String words() {
            return RetestWords.actual(before, actual, projected.map(ProjectedJson::score), inRange(), digits);
        }
    }

    /** A retest set so far, with its score once it is done. */
    public record Followed(UUID id, LocalDate doneOn, Optional<String> score) {}

    /** The retests set of an attempt so far. */
    public List<Followed> followed(OpenAttempt open) {
        return attempts.retestsOf(open.attempt().id()).stream()
                .map(next -> new Followed(
                        next.id(),
                        next.doneOn(),
                        logs.readable(next).filter(AttemptLog::over).map(AttemptLog::scoreWords)))
                .toList();
    }

    /** Whether an attempt's retest has been done: what could be won has been tried then. */
    public boolean retested(UUID firstId) {
        return attempts.retestsOf(firstId).stream()
                .anyMatch(
                        retest -> logs.readable(retest).filter(AttemptLog::over).isPresent());
    }

    /** The outcome of the projection by which an attempt was set; empty while one of the two is not logged to its end. */
    public Optional<Compared> compared(Attempt retest) {
        UUID firstId = retest.retestOf();
        if (firstId == null) {
            return Optional.empty();
        }
        return attempts.find(firstId).flatMap(first -> {
            AttemptLog before = logs.readable(first).filter(AttemptLog::over).orElse(null);
            AttemptLog actual = logs.readable(retest).filter(AttemptLog::over).orElse(null);
            if (before == null || actual == null) {
                return Optional.empty();
            }
            Optional<ProjectedJson> projected = projected(retest.id());
            Outcome outcome = Outcome.of(
                    before,
                    actual,
                    projected.map(ProjectedJson::changed).orElse(List.of()),
                    projected.map(ProjectedJson::taken).orElse(FatigueCost.NONE));
            return Optional.of(new Compared(
                    first,
                    retest,
                    projected,
                    before.score(),
                    actual.score(),
                    outcome,
                    before.digits() == actual.digits() ? actual.digits() : Digits.WHOLE,
                    variation(retest.athleteId())));
        });
    }

    private Optional<Double> variation(UUID athleteId) {
        return ProjectionRecord.variationPercent(points.pairs(attempts.of(athleteId)));
    }

    /** The projections of these attempts that can be checked. */
    public List<Checked> checked(List<Attempt> some) {
        List<Checked> checked = new ArrayList<>();
        for (Attempt attempt : some) {
            projected(attempt.id()).ifPresent(projected -> {
                logs.readable(attempt)
                        .filter(AttemptLog::over)
                        .ifPresent(actual ->
                                checked.add(new Checked(projected.score(), projected.range(), actual.score())));
            });
        }
        return checked;
    }
}
