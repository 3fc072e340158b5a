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
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
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
import wake.api.Days;
import wake.api.Refused;
import wake.api.retest.RetestViews.NextView;
import wake.api.retest.RetestViews.PlanLineView;
import wake.api.retest.RetestViews.RetestView;
import wake.exchange.RetestCalendar;
import wake.log.AttemptLog;
import wake.log.PaceWords;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.projection.Evidence;
import wake.projection.Projection.Terms;
import wake.projection.RetestPlan;
import wake.review.AttemptLogs;
import wake.review.ChangeJson;
import wake.review.OpenAttempt;
import wake.review.RetestJson;
import wake.review.Retests;
import wake.review.Reviews;
import wake.store.AttemptStore;
import wake.store.RetestStore;
import wake.units.Digits;
import wake.workout.Course;
import wake.workout.Format;
import wake.workout.Segment;

/** The retest step: choosing changes, setting the retest, and what came of it. */
@RestController
@RequestMapping("/api/attempts/{id}")
class RetestApi {
    private final Reviews reviews;
    private final Retests retests;
    private final RetestStore store;
    private final AttemptStore attempts;
    private final AttemptLogs logs;
    private final Clock clock;

    record RetestRequest(
            @NotNull @Size(max = 50) List<ChangeJson> changes,

            @Nullable
            Map<
                            Evidence,
                            @DecimalMin(value = "0", message = "must be from 0 to 1")
                            @DecimalMax(value = "1", message = "must be from 0 to 1") Double>
                    credits,

            @Nullable @Size(max = 40) String goal,
            @Nullable @Size(max = 20_000) String others,

            @Nullable
            @Min(value = 1, message = "must be at least 1")
            @Max(value = 100_000, message = "must be 100000 at most")
            Integer place) {
        RetestJson chosen() {
            return Refused.orElse("changes", () -> new RetestJson(changes, credits, goal, others, place).checked());
        }
    }

    record SetRequest(@NotNull UUID id, @NotNull LocalDate doneOn) {}

    RetestApi(
            Reviews reviews, Retests retests, RetestStore store, AttemptStore attempts, AttemptLogs logs, Clock clock) {
        this.reviews = reviews;
        this.retests = retests;
        this.store = store;
        this.attempts = attempts;
        this.logs = logs;
        this.clock = clock;
    }

    /** The retest call with the changes chosen, or with those worth proposing when none were chosen yet. */
    @GetMapping("/retest")
    RetestView retest(@PathVariable UUID id) {
        OpenAttempt open = reviews.open(id);
        return view(open, retests.chosen(open));
    }

    /** Keeps the changes chosen. */
    @PutMapping("/retest")
    @Transactional
    public RetestView choose(
            @PathVariable UUID id, @RequestParam Optional<Long> from, @Valid @RequestBody RetestRequest request) {
        lock(id, from);
        OpenAttempt open = reviews.open(id);
        RetestView view = view(open, request.chosen());
        return view.keptAs(retests.choose(id, request.chosen()));
    }

    /** Holds the attempt; refuses what was chosen from an older state than the one that is kept. */
    private void lock(UUID id, Optional<Long> from) {
        attempts.lock(id);
        if (from.isPresent() && from.get() != store.version(id)) {
            throw new Conflict(
                    "changes", "Another window has changed these choices meanwhile. Nothing was overwritten.");
        }
    }

    /** The call with other changes, kept nowhere, its ranges of fewer replays: for a target while it is dragged. */
    @PostMapping("/retest/try")
    RetestView tryOut(@PathVariable UUID id, @Valid @RequestBody RetestRequest request) {
        OpenAttempt open = reviews.open(id);
        RetestJson chosen = request.chosen();
        return view(open, chosen, retests.terms(open, chosen).quick());
    }

    /** Back to what is worth proposing. */
    @DeleteMapping("/retest")
    @Transactional
    public RetestView startAgain(@PathVariable UUID id, @RequestParam Optional<Long> from) {
        lock(id, from);
        reviews.open(id);
        store.remove(id);
        return retest(id);
    }

    /** Sets the retest: an attempt on a day, with the chosen changes as its plan and the call kept as it stands now. */
    @PostMapping("/retest/set")
    @Transactional
    public RetestView set(@PathVariable UUID id, @Valid @RequestBody SetRequest request) {
        attempts.lock(id);
        OpenAttempt open = reviews.open(id);
        if (!open.log().over()) {
            throw new Refused("attempt", "The log ends before the attempt does: finish it before setting a retest.");
        }
        Refused.orElse("doneOn", () -> {
            retests.set(open, request.id(), Days.sensible("doneOn", request.doneOn()));
            return true;
        });
        return retest(id);
    }

    /** The retest as a calendar entry. */
    @GetMapping(value = "/retest/calendar", produces = "text/calendar")
    ResponseEntity<String> calendar(@PathVariable UUID id, @RequestParam LocalDate on) {
        OpenAttempt open = reviews.open(id);
        var date = retests.date(open);
        if (date.blocked().isPresent()) {
            throw new Refused("on", date.blocked().get());
        }
        String what =
                "Retest: " + open.attempt().athlete() + ", " + open.workout().title();
        String text = RetestCalendar.write(id, Days.sensible("on", on), clock.instant(), what, date.reason());
        ContentDisposition file = ContentDisposition.attachment()
                .filename(open.workout().title() + " retest.ics", StandardCharsets.UTF_8)
                .build();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, file.toString())
                .body(text);
    }

    private RetestView view(OpenAttempt open, RetestJson chosen) {
        return view(open, chosen, retests.terms(open, chosen));
    }

    private RetestView view(OpenAttempt open, RetestJson chosen, Terms terms) {
        AttemptLog log = open.log();
        return new RetestView(
                store.version(open.attempt().id()),
                ProjectionViews.of(log, chosen, terms),
                chosen,
                RetestViews.date(retests.date(open)),
                plan(log, chosen),
                next(open),
                retests.compared(open.attempt()).map(RetestViews::came).orElse(null));
    }

    private List<NextView> next(OpenAttempt open) {
        return attempts.retestsOf(open.attempt().id()).stream()
                .map(next -> {
                    Optional<AttemptLog> log = logs.readable(next).filter(AttemptLog::over);
                    return new NextView(
                            next.id(),
                            next.doneOn(),
                            log.map(AttemptLog::scoreWords).orElse(null));
                })
                .toList();
    }

    private static List<PlanLineView> plan(AttemptLog log, RetestJson chosen) {
        if (log.course().format() instanceof Format.Lift || log.splits().isEmpty()) {
            return List.of();
        }
        Plan plan = RetestPlan.of(log, chosen.on());
        Set<String> seen = new HashSet<>();
        return log.course().segments().stream()
                .filter(segment -> seen.add(segment.lineAtLoad()))
                .map(segment -> line(segment, plan, log.course()))
                .toList();
    }

    /** A line at one of its loads. */
    private static PlanLineView line(Segment segment, Plan plan, Course course) {
        Pacing pacing = plan.pacing(segment);
        boolean byRound = course.segments().stream()
                .filter(other -> other.lineIndex() == segment.lineIndex()
                        && other.loads().equals(segment.loads()))
                .anyMatch(other -> !plan.pacing(other).sets().equals(pacing.sets()));
        boolean broken = byRound || !pacing.sets().sizes().isEmpty();
        return new PlanLineView(
                segment.label(),
                !segment.tappable() ? "" : byRound ? "by round" : pacing.sets().written(),
                PaceWords.of(segment, pacing.secondsPerUnit()),
                broken ? Digits.TENTHS.span(pacing.restMs()) : "",
                segment.index() == 0 ? "" : Digits.TENTHS.span(pacing.transitionMs()));
    }
}
