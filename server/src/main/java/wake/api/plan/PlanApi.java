package wake.api.plan;

import jakarta.validation.Valid;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.Conflict;
import wake.api.Refused;
import wake.api.plan.PlanViews.PlanView;
import wake.exchange.PlanSheet;
import wake.plan.Forecast;
import wake.plan.Goal;
import wake.plan.Plan;
import wake.plan.lift.LiftPlan;
import wake.review.Documents;
import wake.review.Documents.KeptPlan;
import wake.review.OpenAttempt;
import wake.review.PlanJson;
import wake.review.PlanJson.LineJson;
import wake.review.Reviews;
import wake.store.AttemptStore;
import wake.store.Document;
import wake.store.PlanStore;
import wake.units.InvalidInput;
import wake.workout.Course;
import wake.workout.Format;

/** The plan of an attempt: kept, checked, handed on. */
@RestController
@RequestMapping("/api/attempts/{id}/plan")
class PlanApi {
    private final PlanBook book;
    private final Reviews reviews;
    private final AttemptStore attempts;
    private final PlanStore plans;
    private final Documents documents;

    PlanApi(PlanBook book, Reviews reviews, AttemptStore attempts, PlanStore plans, Documents documents) {
        this.book = book;
        this.reviews = reviews;
        this.attempts = attempts;
        this.plans = plans;
        this.documents = documents;
    }

    /** The coach's plan, or a draft from what is known of the athlete, said to be assumed. */
    @GetMapping
    PlanView plan(@PathVariable UUID id) {
        return book.view(reviews.open(id));
    }

    /** Keeps a plan as a new version; {@code by} says in a few words what made it. */
    @PutMapping
    @Transactional(noRollbackFor = Conflict.class)
    public PlanView putPlan(
            @PathVariable UUID id,
            @RequestParam Optional<String> by,
            @RequestParam Optional<Integer> from,
            @Valid @RequestBody PlanJson request) {
        attempts.lock(id);
        OpenAttempt open = reviews.open(id);
        Course course = open.course();
        for (LineJson line : request.lines()) {
            Refused.orElse("lines/" + line.lineIndex(), () -> line.linePacing(course));
        }
        Plan plan = Refused.orElse("plan", () -> request.plan(course).meantFor(course));
        Optional<LiftPlan> lift = Optional.ofNullable(request.lift())
                .map(written -> Refused.orElse("lift", () -> checked(written.liftPlan(), course)));
        String goal = request.goal();
        if (goal != null) {
            Refused.orElse("goal", () -> Goal.parse(goal, course, plan));
        }
        KeptPlan written = new KeptPlan(plan, goal, lift);
        if (from.isPresent() && from.get() != plans.version(id)) {
            throw bothKept(id, documents.plan(written), by.orElse("Kept"));
        }
        return book.keep(open, written, by.orElse("Kept"));
    }

    /** A plan made from an older one than is in force is kept as a version, below the one in force. */
    private Conflict bothKept(UUID id, Document late, String by) {
        Optional<Document> inForce = plans.find(id);
        plans.put(id, late, by + " (in another window)");
        int kept = plans.version(id);
        inForce.ifPresentOrElse(
                document -> plans.put(id, document, "Stays in force"), () -> plans.remove(id, "Stays in force"));
        return new Conflict(
                "plan",
                "Another window has changed this plan meanwhile. Its plan stays in force; yours is kept as version "
                        + kept + " under Versions.");
    }

    private static LiftPlan checked(LiftPlan lift, Course course) {
        if (course.format() instanceof Format.Lift window) {
            return lift.checkedFor(window);
        }
        throw new InvalidInput("This part is no lift window");
    }

    /** Back to the draft. */
    @DeleteMapping
    @Transactional
    public PlanView removePlan(@PathVariable UUID id) {
        attempts.lock(id);
        reviews.open(id);
        plans.remove(id, "Back to the draft");
        return plan(id);
    }

    /** The plan as comma-separated values. */
    @GetMapping(value = "/sheet", produces = "text/csv")
    ResponseEntity<String> sheet(@PathVariable UUID id) {
        OpenAttempt open = reviews.open(id);
        String name = open.attempt().athlete() + " " + open.workout().title();
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", java.nio.charset.StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        "attachment; filename=\"" + name.replaceAll("[^\\p{Alnum} -]", "") + " plan.csv\"")
                .body(
                        open.course().format() instanceof Format.Lift window
                                ? open.timetable()
                                        .map(table -> PlanSheet.csv(table, window))
                                        .orElse("")
                                : PlanSheet.csv(Forecast.of(open.course(), open.planOrDraft())));
    }
}
