package wake.api.plan;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import wake.api.plan.PlanViews.PlanView;
import wake.plan.Rescale.Known;
import wake.plan.lift.LiftPlan;
import wake.review.Documents;
import wake.review.Documents.KeptPlan;
import wake.review.OpenAttempt;
import wake.review.Reviews;
import wake.store.PlanStore;

/** Keeps plans as versions and shows the one in force, or the draft while there is none. */
@Component
class PlanBook {
    private final Reviews reviews;
    private final PlanStore plans;
    private final Documents documents;

    PlanBook(Reviews reviews, PlanStore plans, Documents documents) {
        this.reviews = reviews;
        this.plans = plans;
        this.documents = documents;
    }

    /** Keeps a plan as the version in force; {@code by} says in a few words what made it. */
    PlanView keep(OpenAttempt open, KeptPlan plan, String by) {
        UUID id = open.attempt().id();
        plans.put(id, documents.plan(plan), by);
        return view(reviews.open(id));
    }

    /** The plan in force, or a draft from what is known of the athlete. */
    PlanView view(OpenAttempt open) {
        Known known = reviews.known(open.attempt());
        return PlanViews.of(
                open,
                open.plan().isEmpty()
                        ? open.planOrDraft()
                        : known.draft(open.course()).plan(),
                known,
                reviews.limitingMax(open),
                plans.version(open.attempt().id()));
    }

    /** The goal the plan in force was made for, as it was written; none while there is none. */
    static @Nullable String goal(OpenAttempt open) {
        return open.plan().map(KeptPlan::goal).orElse(null);
    }

    /** The lifts of the plan in force. */
    static Optional<LiftPlan> lift(OpenAttempt open) {
        return open.plan().flatMap(KeptPlan::lift);
    }
}
