package wake.api.plan;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import wake.api.Conflict;
import wake.api.plan.PlanViews.PlanView;
import wake.plan.Rescale.Known;
import wake.plan.lift.LiftPlan;
import wake.review.Documents;
import wake.review.Documents.KeptPlan;
import wake.review.OpenAttempt;
import wake.review.Reviews;
import wake.store.Document;
import wake.store.Exclusively;
import wake.store.PlanStore;

/** Keeps plans as versions and shows the one in force, or the draft while there is none. */
@Component
class PlanService {
    private final Reviews reviews;
    private final PlanStore plans;
    private final Documents documents;
    private final Exclusively exclusively;

    PlanService(Reviews reviews, PlanStore plans, Documents documents, Exclusively exclusively) {
        this.reviews = reviews;
        this.plans = plans;
        this.documents = documents;
        this.exclusively = exclusively;
    }

    /** The number of the version in force: to be asked for before that is read, and given to {@link #keep}. */
    int version(UUID id) {
        return plans.version(id);
    }

    /**
     * Keeps a plan as the version in force.
     *
     * @param from the version it was made from; where another is in force by now, that one stays so and this is kept below it
     * @param by in a few words what made it
     * @throws Conflict when another version was in force
     */
    PlanView keep(UUID id, Optional<Integer> from, KeptPlan plan, String by) {
        Document written = documents.plan(plan);
        Optional<Conflict> late = exclusively.on(id, () -> {
            if (from.isPresent() && from.get() != plans.version(id)) {
                return Optional.of(bothKept(id, written, by));
            }
            plans.put(id, written, by);
            return Optional.empty();
        });
        if (late.isPresent()) {
            throw late.get();
        }
        return view(reviews.open(id));
    }

    /** A plan made from an older one than is in force is kept as a version, below the one in force. */
    private Conflict bothKept(UUID id, Document late, String by) {
        Optional<Document> inForce = plans.find(id);
        plans.put(id, late, by + " (in another window)");
        int kept = plans.version(id);
        inForce.ifPresentOrElse(
                document -> plans.put(id, document, "Kept as current"), () -> plans.remove(id, "Kept as current"));
        return new Conflict(
                "plan",
                "This plan was changed in another window. That one is current; yours is saved as version " + kept
                        + " under Versions.");
    }

    /** Back to the draft. */
    PlanView remove(UUID id) {
        exclusively.on(id, () -> {
            plans.remove(id, "Reset to draft plan");
            return true;
        });
        return view(reviews.open(id));
    }

    /** The plan in force, or a draft from what is known of the athlete. */
    PlanView view(OpenAttempt open) {
        Known known = reviews.known(open.attempt());
        return PlanViews.of(
                open,
                open.plan().isEmpty()
                        ? open.planOrDraft()
                        : known.draft(open.expanded()).plan(),
                known,
                reviews.maxChoices(open),
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
