package wake.review;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;
import wake.athlete.Demonstrated;
import wake.athlete.Figures;
import wake.athlete.FiguresReader;
import wake.plan.Draft;
import wake.plan.Rescale.Known;
import wake.plan.lift.LimitingMax;
import wake.projection.RetestPlan;
import wake.review.AttemptLogs.Opened;
import wake.review.Documents.KeptPlan;
import wake.review.OpenAttempt.EarlierPlan;
import wake.store.AthleteStore;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.PlanStore;
import wake.store.RecordingStore.Recording;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/** Opens attempts for review: stored rows in, the core's values out. */
@Component
public class Reviews {
    private final AttemptStore attempts;
    private final AthleteStore athletes;
    private final PlanStore plans;
    private final AttemptLogs logs;
    private final Documents documents;
    private final Movements movements;

    Reviews(
            AttemptStore attempts,
            AthleteStore athletes,
            PlanStore plans,
            AttemptLogs logs,
            Documents documents,
            Movements movements) {
        this.attempts = attempts;
        this.athletes = athletes;
        this.plans = plans;
        this.logs = logs;
        this.documents = documents;
        this.movements = movements;
    }

    /**
     * Opens an attempt.
     *
     * @throws NotFound when there is none with that id
     */
    public OpenAttempt open(UUID attemptId) {
        return open(find(attemptId));
    }

    private Attempt find(UUID attemptId) {
        return attempts.find(attemptId).orElseThrow(() -> new NotFound("attempt", attemptId));
    }

    /**
     * An attempt's cameras, each with where "go" lies on it.
     *
     * @throws NotFound when there is no such attempt
     */
    public List<Recording> cameras(UUID attemptId) {
        return logs.cameras(find(attemptId));
    }

    public OpenAttempt open(Attempt attempt) {
        Opened opened = logs.open(attempt);
        Optional<KeptPlan> plan = plans.find(attempt.id()).map(document -> documents.plan(document, opened.expanded()));
        Optional<EarlierPlan> earlier = plans.doneWith(attempt.id())
                .map(with -> new EarlierPlan(with.version(), documents.plan(with.document(), opened.expanded())));
        // Most openings never ask for it, and what other attempts have shown takes queries of its own.
        Supplier<Draft> drafted = SingletonSupplier.of(() ->
                plan.map(kept -> new Draft(kept.plan(), Map.of())).orElseGet(() -> draft(attempt, opened.expanded())));
        return new OpenAttempt(
                attempt,
                opened.workout(),
                opened.part(),
                opened.day(),
                opened.expanded(),
                opened.recordings(),
                opened.marks(),
                opened.log(),
                plan,
                earlier,
                drafted);
    }

    /** A first plan of an attempt, as last time or from what is known of the athlete now, whatever is kept. */
    public Draft draft(Attempt attempt, ExpandedWorkout expanded) {
        return RetestPlan.draft(expanded, known(attempt), logs.othersUntil(attempt));
    }

    /** What is known of the athlete, apart from this attempt. */
    public Known known(Attempt attempt) {
        return new Known(figures(attempt.athleteId()), Demonstrated.in(logs.others(attempt)));
    }

    /** The max that limits the complex of a lift window; of another part nothing is known. */
    public LimitingMax limitingMax(OpenAttempt open) {
        return LimitingMax.of(complex(open), figures(open.attempt().athleteId()), movements.catalogue());
    }

    /** What percentages of a lift window can be of, the max that limits it first. */
    public List<LimitingMax> maxChoices(OpenAttempt open) {
        return LimitingMax.choices(complex(open), figures(open.attempt().athleteId()), movements.catalogue());
    }

    /** What percentages of a lift window are of: the max of the plan it was done with, else the one that limits the complex. */
    public LimitingMax maxOfPercentages(OpenAttempt open) {
        return open.asDone()
                .plan()
                .flatMap(KeptPlan::lift)
                .map(lift -> LimitingMax.planned(lift.max(), maxChoices(open)))
                .orElseGet(() -> limitingMax(open));
    }

    private static List<LiftPiece> complex(OpenAttempt open) {
        return open.expanded().format() instanceof Format.Lift window ? window.complex() : List.of();
    }

    /** The figures noted of an athlete. */
    public Figures figures(UUID athleteId) {
        return athletes.find(athleteId)
                .map(athlete -> FiguresReader.read(athlete.figures(), movements.catalogue())
                        .figures())
                .orElse(Figures.NONE);
    }
}
