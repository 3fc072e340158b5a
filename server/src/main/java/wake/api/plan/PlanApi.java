package wake.api.plan;

import jakarta.validation.Valid;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.InvalidRequest;
import wake.api.plan.PlanViews.PlanView;
import wake.exchange.PlanSheet;
import wake.review.Documents.KeptPlan;
import wake.review.OpenAttempt;
import wake.review.PlanJson;
import wake.review.Reviews;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;

/** The plan of an attempt: kept, checked, handed on. */
@RestController
@RequestMapping("/api/attempts/{id}/plan")
class PlanApi {
    private final PlanService book;
    private final Reviews reviews;

    PlanApi(PlanService book, Reviews reviews) {
        this.book = book;
        this.reviews = reviews;
    }

    /** The coach's plan, or a draft from what is known of the athlete, said to be assumed. */
    @GetMapping
    PlanView plan(@PathVariable UUID id) {
        return book.view(reviews.open(id));
    }

    /** Keeps a plan as a new version; {@code by} says in a few words what made it. */
    @PutMapping
    PlanView putPlan(
            @PathVariable UUID id,
            @RequestParam Optional<String> by,
            @RequestParam Optional<Integer> from,
            @Valid @RequestBody PlanJson request) {
        ExpandedWorkout expanded = reviews.open(id).expanded();
        KeptPlan written = request.checked(expanded, InvalidRequest::orElse);
        return book.keep(id, from, written, by.orElse("Saved"));
    }

    /** Back to the draft. */
    @DeleteMapping
    PlanView removePlan(@PathVariable UUID id) {
        reviews.open(id);
        return book.remove(id);
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
                        open.expanded().format() instanceof Format.Lift window
                                ? open.timetable()
                                        .map(table -> PlanSheet.csv(table, window))
                                        .orElse("")
                                : PlanSheet.csv(open.expanded(), open.planOrDraft()));
    }
}
