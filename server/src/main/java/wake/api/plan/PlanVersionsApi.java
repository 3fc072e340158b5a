package wake.api.plan;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.InvalidRequest;
import wake.api.plan.PlanViews.PlanView;
import wake.plan.Forecast;
import wake.plan.Plan;
import wake.plan.TwoPlans;
import wake.review.Documents;
import wake.review.OpenAttempt;
import wake.review.OpenAttempt.EarlierPlan;
import wake.review.Reviews;
import wake.store.Exclusively;
import wake.store.PlanStore;
import wake.words.TwoPlansWords;
import wake.workout.Format;

/** The versions of a plan: listed, held beside each other, put in force again. */
@RestController
@RequestMapping("/api/attempts/{id}/plan/versions")
class PlanVersionsApi {
    private final PlanService book;
    private final Reviews reviews;
    private final Exclusively exclusively;
    private final PlanStore plans;
    private final Documents documents;

    /**
     * A version of the plan.
     *
     * @param doneWith whether the attempt was begun with it, and it was edited since
     */
    record VersionView(int version, String madeBy, boolean draft, boolean doneWith, OffsetDateTime changedAt) {}

    PlanVersionsApi(PlanService book, Reviews reviews, Exclusively exclusively, PlanStore plans, Documents documents) {
        this.book = book;
        this.reviews = reviews;
        this.exclusively = exclusively;
        this.plans = plans;
        this.documents = documents;
    }

    /** All versions, the newest first. */
    @GetMapping
    List<VersionView> versions(@PathVariable UUID id) {
        int earlier = reviews.open(id).earlier().map(EarlierPlan::version).orElse(0);
        return plans.versions(id).stream()
                .map(version -> new VersionView(
                        version.version(),
                        version.madeBy(),
                        version.draft(),
                        version.version() == earlier,
                        version.changedAt()))
                .toList();
    }

    /**
     * The plan in force beside another version: what each takes by section and by movement, and the break-even between them.
     *
     * @param slowerMs by how much the other is slower in all; below zero where it is faster
     */
    record TwoPlansView(
            String score,
            String otherScore,
            List<TwoPlansRow> sections,
            List<TwoPlansRow> lines,
            long slowerMs,
            String words) {}

    /** A section or a movement under both plans. */
    record TwoPlansRow(String label, long hereMs, long besideMs, long slowerMs) {
        static TwoPlansRow of(TwoPlans.Row row) {
            return new TwoPlansRow(row.label(), row.hereMs(), row.besideMs(), row.slowerMs());
        }
    }

    /** The plan in force held beside an earlier version of it; version 0 is a draft from what is known now. */
    @GetMapping("/{version}/beside")
    TwoPlansView beside(@PathVariable UUID id, @PathVariable int version) {
        OpenAttempt open = reviews.open(id);
        if (open.expanded().format() instanceof Format.Lift) {
            throw new InvalidRequest("version", "Lift plans are compared lift by lift.");
        }
        Plan other = version == 0
                ? reviews.draft(open.attempt(), open.expanded()).plan()
                : plans.find(id, version)
                        .map(document ->
                                documents.plan(document, open.expanded()).plan())
                        .orElseThrow(() -> unknown(version));
        Plan here = open.planOrDraft();
        TwoPlans two = TwoPlans.of(open.expanded(), here, other);
        return new TwoPlansView(
                Forecast.of(open.expanded(), here).score().words(),
                Forecast.of(open.expanded(), other).score().words(),
                two.sections().stream().map(TwoPlansRow::of).toList(),
                two.lines().stream().map(TwoPlansRow::of).toList(),
                two.slowerMs(),
                new TwoPlansWords(two).text());
    }

    /** Compares the attempt with the plan as it is now, rather than with the one it was done with. */
    @PostMapping("/done-with")
    PlanView doneWith(@PathVariable UUID id) {
        reviews.open(id);
        exclusively.on(id, () -> {
            plans.doneWithCurrent(id);
            return true;
        });
        return book.view(reviews.open(id));
    }

    /** Puts an earlier version in force again, as a new one; version 0 is the draft there was before any. */
    @PostMapping("/{version}/restore")
    PlanView restore(@PathVariable UUID id, @PathVariable int version) {
        reviews.open(id);
        String by = "Version " + version + " restored";
        exclusively.on(id, () -> {
            boolean known = version == 0 || plans.versions(id).stream().anyMatch(one -> one.version() == version);
            if (!known) {
                throw unknown(version);
            }
            plans.find(id, version)
                    .ifPresentOrElse(document -> plans.put(id, document, by), () -> plans.remove(id, by));
            return true;
        });
        return book.view(reviews.open(id));
    }

    private static InvalidRequest unknown(int version) {
        return new InvalidRequest("version", "There is no version " + version + " of this plan.");
    }
}
