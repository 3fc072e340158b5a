package wake.api;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.ProjectionViews.ProjectionView;
import wake.api.ReadingViews.ReadingView;
import wake.log.Score;
import wake.plan.Plan;
import wake.plan.PlannedSegment;
import wake.projection.Change;
import wake.projection.Suggestions;
import wake.reading.Reading;
import wake.reading.Yardstick;
import wake.review.Documents;
import wake.review.Documents.ChangeJson;
import wake.review.Documents.LineJson;
import wake.review.OpenAttempt;
import wake.review.Reviews;
import wake.store.PlanStore;
import wake.store.RetestStore;

/** The steps around the log: plan before it, reading and retest call after it. */
@RestController
@RequestMapping("/api/attempts/{id}")
class ReviewApi {
    private final Reviews reviews;
    private final PlanStore plans;
    private final RetestStore retests;
    private final Documents documents;

    /** A plan, and the clock it leads to. */
    record PlanView(
            boolean assumed,
            List<LineJson> lines,
            List<PlannedView> segments,
            long finishMs,
            String score,
            boolean overCap) {}

    /** What a plan allows for one segment. */
    record PlannedView(
            int segmentIndex,
            int lineIndex,
            int round,
            String label,
            long transitionMs,
            long workMs,
            long restMs,
            String sets,
            long endMs) {}

    record PlanRequest(@NotNull @Size(max = 500) List<LineJson> lines) {}

    record RetestRequest(@NotNull @Size(max = 50) List<ChangeJson> changes) {}

    ReviewApi(Reviews reviews, PlanStore plans, RetestStore retests, Documents documents) {
        this.reviews = reviews;
        this.plans = plans;
        this.retests = retests;
        this.documents = documents;
    }

    /** The coach's plan, or a draft from the catalogue, said to be assumed. */
    @GetMapping("/plan")
    PlanView plan(@PathVariable UUID id) {
        OpenAttempt open = open(id);
        var forecast = open.forecast();
        List<PlannedView> segments = new ArrayList<>();
        long clock = 0;
        for (PlannedSegment planned : forecast.segments()) {
            clock += planned.totalMs();
            segments.add(new PlannedView(
                    planned.segment().index(),
                    planned.segment().lineIndex(),
                    planned.segment().round(),
                    planned.segment().label(),
                    planned.transitionMs(),
                    planned.workMs(),
                    planned.restMs(),
                    String.join(
                            "-", planned.sets().stream().map(String::valueOf).toList()),
                    clock));
        }
        return new PlanView(
                open.plan().isEmpty(),
                open.planOrDraft().lines().stream().map(LineJson::of).toList(),
                segments,
                forecast.finishMs(),
                forecast.score().words(),
                forecast.score() instanceof Score.Capped);
    }

    @PutMapping("/plan")
    PlanView putPlan(@PathVariable UUID id, @Valid @RequestBody PlanRequest request) {
        OpenAttempt open = open(id);
        Plan plan = Refused.orElse(
                "lines",
                () -> new Plan(request.lines().stream()
                                .map(LineJson::linePacing)
                                .toList())
                        .checkedFor(open.course()));
        plans.put(id, documents.plan(plan));
        return plan(id);
    }

    /** Back to the draft. */
    @DeleteMapping("/plan")
    PlanView removePlan(@PathVariable UUID id) {
        open(id);
        plans.remove(id);
        return plan(id);
    }

    /** Where every second went; against the plan when there is one, else against the attempt's own best. */
    @GetMapping("/reading")
    ReadingView reading(@PathVariable UUID id, @RequestParam Optional<Yardstick.Kind> yardstick) {
        OpenAttempt open = open(id);
        Yardstick.Kind kind = yardstick.orElse(open.usualYardstick());
        return ReadingViews.of(
                Reading.of(open.log(), open.yardstick(kind)), open.plan().isEmpty());
    }

    /** The retest call with the changes chosen, or with those worth proposing when none were chosen yet. */
    @GetMapping("/retest")
    ProjectionView retest(@PathVariable UUID id) {
        OpenAttempt open = open(id);
        return ProjectionViews.of(open.log(), chosen(open));
    }

    @PutMapping("/retest")
    ProjectionView choose(@PathVariable UUID id, @Valid @RequestBody RetestRequest request) {
        OpenAttempt open = open(id);
        ProjectionView view = Refused.orElse("changes", () -> ProjectionViews.of(open.log(), request.changes()));
        retests.put(id, documents.changes(request.changes()));
        return view;
    }

    private List<ChangeJson> chosen(OpenAttempt open) {
        return retests.find(open.attempt().id()).map(documents::changes).orElseGet(() -> proposals(open));
    }

    /** Transitions, rests and the cadence that gains most, all on. */
    private static List<ChangeJson> proposals(OpenAttempt open) {
        List<ChangeJson> proposals = new ArrayList<>();
        boolean cadence = false;
        for (Change change : Suggestions.of(open.log())) {
            boolean hold = change instanceof Change.HoldCadence;
            if (!hold || !cadence) {
                proposals.add(ChangeJson.of(change, true));
                cadence |= hold;
            }
        }
        return proposals;
    }

    private OpenAttempt open(UUID id) {
        return reviews.open(id).orElseThrow(() -> new Unknown("attempt", id));
    }
}
