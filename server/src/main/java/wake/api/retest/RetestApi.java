package wake.api.retest;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.Conflict;
import wake.api.DayNames;
import wake.api.InvalidRequest;
import wake.api.retest.RetestViews.RetestView;
import wake.api.retest.RetestViews.StopView;
import wake.exchange.RetestCalendar;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.projection.Calibration;
import wake.projection.EvidenceLevel;
import wake.projection.NextAttempt;
import wake.projection.Projection;
import wake.projection.Projection.Terms;
import wake.projection.SolvedTarget;
import wake.review.ChangeJson;
import wake.review.OpenAttempt;
import wake.review.RetestJson;
import wake.review.RetestJson.BackJson;
import wake.review.Retests;
import wake.review.Reviews;
import wake.store.Exclusively;
import wake.store.RetestStore;
import wake.units.Digits;
import wake.words.ChangeWords;
import wake.words.RetestWords;
import wake.workout.Format;

/** The retest step: choosing changes, setting the retest, and the outcome. */
@RestController
@RequestMapping("/api/attempts/{id}")
class RetestApi {
    private final Reviews reviews;
    private final Retests retests;
    private final RetestStore store;
    private final Exclusively exclusively;
    private final Clock clock;

    record RetestRequest(
            @NotNull @Size(max = RetestJson.MOST_CHANGES) List<ChangeJson> changes,

            @Nullable
            Map<
                            EvidenceLevel,
                            @DecimalMin(value = "0", message = "must be from 0 to 1")
                            @DecimalMax(value = "1", message = "must be from 0 to 1") Double>
                    credits,

            @Nullable @Size(max = RetestJson.LONGEST_GOAL) String goal,
            @Nullable @Size(max = RetestJson.LONGEST_OTHERS) String others,

            @Nullable
            @Min(value = 1, message = "must be at least 1")
            @Max(value = RetestJson.LAST_PLACE, message = "must be 100000 at most")
            Integer place,

            @Nullable BackJson back) {
        RetestJson chosen() {
            return InvalidRequest.orElse(
                    "changes", () -> new RetestJson(changes, credits, goal, others, place, back, null).checked());
        }
    }

    /**
     * Which of some changes is to be solved for.
     *
     * @param change its place among them, from 0
     */
    record SolveRequest(
            @NotNull @Valid RetestRequest chosen,

            @Min(value = 0, message = "must not be negative")
            int change) {}

    /**
     * How far a change must go.
     *
     * @param change the change with its target; with the strongest there is when the score is out of its reach
     * @param reached whether the score is reached
     * @param says the answer in a sentence
     */
    record SolvedView(ChangeJson change, boolean reached, String says) {}

    record SetRequest(@NotNull UUID id, @NotNull LocalDate doneOn) {}

    RetestApi(Reviews reviews, Retests retests, RetestStore store, Exclusively exclusively, Clock clock) {
        this.reviews = reviews;
        this.retests = retests;
        this.store = store;
        this.exclusively = exclusively;
        this.clock = clock;
    }

    /** The projection with the changes chosen, or with those worth proposing when none were chosen yet. */
    @GetMapping("/retest")
    RetestView retest(@PathVariable UUID id) {
        OpenAttempt open = reviews.open(id);
        return view(open, retests.chosen(open));
    }

    /** Keeps the changes chosen. */
    @PutMapping("/retest")
    RetestView choose(
            @PathVariable UUID id, @RequestParam Optional<Long> from, @Valid @RequestBody RetestRequest request) {
        OpenAttempt open = reviews.open(id);
        RetestView view = view(open, request.chosen());
        return view.keptAs(exclusively.on(id, () -> {
            expect(id, from);
            return retests.choose(
                    id, request.chosen().withLift(retests.chosen(open).lift()));
        }));
    }

    /** Refuses what was chosen from an older state than the one that is kept. */
    private void expect(UUID id, Optional<Long> from) {
        if (from.isPresent() && from.get() != store.version(id)) {
            throw new Conflict("changes", "These choices were changed in another window. Nothing was overwritten.");
        }
    }

    /** The projection with other changes, kept nowhere, its ranges of fewer replays: for a target while it is dragged. */
    @PostMapping("/retest/try")
    RetestView tryOut(@PathVariable UUID id, @Valid @RequestBody RetestRequest request) {
        OpenAttempt open = reviews.open(id);
        RetestJson chosen = request.chosen();
        Calibration calibration = retests.calibration(open);
        return view(open, chosen, retests.terms(open, chosen, calibration).quick(), calibration);
    }

    /** How far one change must go for the goal, or without one for the attempt's own score; kept nowhere. */
    @PostMapping("/retest/solve")
    SolvedView solve(@PathVariable UUID id, @Valid @RequestBody SolveRequest request) {
        OpenAttempt open = reviews.open(id);
        RetestJson chosen = request.chosen().chosen();
        AttemptLog log = open.log();
        if (request.change() >= chosen.changes().size()) {
            throw new InvalidRequest(
                    "change", "Choose one of the " + chosen.changes().size() + " changes, counted from 0.");
        }
        ChangeJson asked = chosen.changes().get(request.change());
        Score goal = ProjectionViews.goalOf(log, chosen);
        SolvedTarget solved = SolvedTarget.of(
                        log,
                        chosen.on(),
                        asked.change(),
                        goal,
                        retests.terms(open, chosen, retests.calibration(open)).fatigueCost())
                .orElseThrow(() -> new InvalidRequest("change", "This change has no target to solve for."));
        return new SolvedView(
                ChangeJson.of(solved.change(), true),
                solved.reached(),
                RetestWords.solved(solved, goal, log.expanded()));
    }

    /** Back to what is worth proposing. */
    @DeleteMapping("/retest")
    RetestView startAgain(@PathVariable UUID id, @RequestParam Optional<Long> from) {
        reviews.open(id);
        exclusively.on(id, () -> {
            expect(id, from);
            store.remove(id);
            return true;
        });
        return retest(id);
    }

    /** Sets the retest: an attempt on a day, with the chosen changes as its plan and the projection kept as it stands now. */
    @PostMapping("/retest/set")
    RetestView set(@PathVariable UUID id, @Valid @RequestBody SetRequest request) {
        OpenAttempt open = reviews.open(id);
        if (!open.log().over()) {
            throw new InvalidRequest("attempt", "Finish the log before scheduling a retest.");
        }
        InvalidRequest.orElse("doneOn", () -> {
            retests.set(open, request.id(), DayNames.sensible("doneOn", request.doneOn()));
            return true;
        });
        return retest(id);
    }

    /** What the retest is to score and what changes in it, for who opens the calendar; empty where nothing is chosen, and for lifts. */
    private String plan(OpenAttempt open) {
        AttemptLog log = open.log();
        RetestJson chosen = retests.chosen(open);
        if (log.expanded().format() instanceof Format.Lift
                || log.splits().isEmpty()
                || chosen.on().isEmpty()) {
            return "";
        }
        Terms terms = retests.terms(open, chosen, retests.calibration(open));
        Projection projection = Projection.of(log, chosen.all(), chosen.on(), terms);
        String changes =
                chosen.on().stream().map(new ChangeWords(log.expanded())::text).collect(Collectors.joining("; "));
        return RetestWords.promised(projection) + " Changes: " + changes + ". Earliest day: ";
    }

    /** The retest as a calendar entry. */
    @GetMapping(value = "/retest/calendar", produces = "text/calendar")
    ResponseEntity<String> calendar(@PathVariable UUID id, @RequestParam LocalDate on) {
        OpenAttempt open = reviews.open(id);
        var date = retests.date(open);
        if (date.blocked().isPresent()) {
            throw new InvalidRequest("on", date.blocked().get());
        }
        String what =
                "Retest: " + open.attempt().athlete() + ", " + open.workout().title();
        String text = RetestCalendar.write(
                id, DayNames.sensible("on", on), clock.instant(), what, plan(open) + date.reason());
        ContentDisposition file = ContentDisposition.attachment()
                .filename(open.workout().title() + " retest.ics", StandardCharsets.UTF_8)
                .build();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, file.toString())
                .body(text);
    }

    private RetestView view(OpenAttempt open, RetestJson chosen) {
        Calibration calibration = retests.calibration(open);
        return view(open, chosen, retests.terms(open, chosen, calibration), calibration);
    }

    private RetestView view(OpenAttempt open, RetestJson chosen, Terms terms, Calibration calibration) {
        AttemptLog log = open.log();
        return new RetestView(
                store.version(open.attempt().id()),
                ProjectionViews.of(log, chosen, terms, calibration),
                chosen,
                RetestViews.date(retests.date(open)),
                stops(log, chosen, terms),
                ProjectionViews.goalOf(log, chosen).brief(Digits.WHOLE),
                RetestViews.next(retests.followed(open)),
                retests.compared(open.attempt()).map(RetestViews::actual).orElse(null));
    }

    private static List<StopView> stops(AttemptLog log, RetestJson chosen, Terms terms) {
        if (log.expanded().format() instanceof Format.Lift || log.splits().isEmpty()) {
            return List.of();
        }
        return NextAttempt.of(log, chosen.on(), terms.fatigueCost(), ProjectionViews.goalOf(log, chosen))
                .stops()
                .stream()
                .map(StopView::of)
                .toList();
    }
}
