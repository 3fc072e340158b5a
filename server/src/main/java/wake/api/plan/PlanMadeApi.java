package wake.api.plan;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.InvalidRequest;
import wake.api.plan.PlanViews.PlanView;
import wake.plan.Goal;
import wake.plan.GoalPlan;
import wake.plan.Plan;
import wake.plan.Rescale;
import wake.plan.WarmUp;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.PlateRack;
import wake.plan.lift.UsualTimetable;
import wake.review.Documents.KeptPlan;
import wake.review.OpenAttempt;
import wake.review.PlanJson;
import wake.review.Reviews;
import wake.store.AttemptStore;
import wake.units.ClockTime;
import wake.workout.Format;

/** Makes a plan: from a goal, a warm-up round, another attempt's plan, the usual timetable. Each is kept as a version. */
@RestController
@RequestMapping("/api/attempts/{id}/plan")
class PlanMadeApi {
    /** So many other plans are offered to be taken over, of the latest attempts. */
    private static final int SOURCES = 40;

    private final PlanService book;
    private final Reviews reviews;
    private final AttemptStore attempts;

    /** A score to plan for, and how much of the difference transitions and rests take (0 to 1). */
    record GoalRequest(
            @NotNull @Size(max = 40) String goal,

            @Nullable
            @DecimalMin(value = "0", message = "must be from 0 to 1")
            @DecimalMax(value = "1", message = "must be from 0 to 1")
            Double pauseShare) {}

    record WarmUpRequest(@NotNull @Size(max = 20) String round) {}

    /** What the round says, before anything is changed. */
    record WarmUpView(String forecast) {}

    record CopyRequest(@NotNull UUID from) {}

    /** What a first timetable needs; without {@code seconds} a lift takes what is usual for so many reps. */
    record TimetableRequest(
            @NotNull @Size(max = 20) String max,

            @Min(value = 1, message = "must be at least 1") @Max(value = 20, message = "must be 20 at most")
            int lifts,

            @Nullable
            @DecimalMin(value = "1", message = "must be at least 1 s")
            @DecimalMax(value = "180", message = "must be 180 s at most")
            Double seconds,

            @NotNull @Size(max = 20) String bar,
            @NotNull @Size(max = 200) String plates) {
        OptionalLong lengthMs() {
            return seconds == null ? OptionalLong.empty() : OptionalLong.of(Math.round(1000 * seconds));
        }
    }

    /** Another attempt whose plan could be taken over. */
    record CopyFrom(UUID id, String athlete, String title, String division, LocalDate doneOn) {}

    PlanMadeApi(PlanService book, Reviews reviews, AttemptStore attempts) {
        this.book = book;
        this.reviews = reviews;
        this.attempts = attempts;
    }

    /** Makes the plan hit a goal exactly. */
    @PostMapping("/goal")
    PlanView goal(@PathVariable UUID id, @Valid @RequestBody GoalRequest request) {
        Optional<Integer> from = Optional.of(book.version(id));
        OpenAttempt open = reviews.open(id);
        Plan plan = open.planOrDraft();
        Plan aimed = InvalidRequest.orElse(
                "goal",
                () -> GoalPlan.of(
                        open.expanded(),
                        plan,
                        Goal.parse(request.goal(), open.expanded(), plan),
                        Optional.ofNullable(request.pauseShare()),
                        reviews.known(open.attempt()).demonstrated()));
        return book.keep(
                id,
                from,
                new KeptPlan(aimed, request.goal().strip(), PlanService.lift(open)),
                "Goal " + request.goal());
    }

    /** What a warm-up round says of the whole. */
    @GetMapping("/warm-up")
    WarmUpView warmUp(@PathVariable UUID id, @RequestParam String round) {
        OpenAttempt open = reviews.open(id);
        return new WarmUpView(InvalidRequest.orElse(
                "round",
                () -> WarmUp.forecast(
                        open.expanded(), Math.max(1000, ClockTime.parse(round).ms()))));
    }

    /** Paces the plan so that a round takes as long as the warm-up round did. */
    @PostMapping("/warm-up")
    PlanView fromWarmUp(@PathVariable UUID id, @Valid @RequestBody WarmUpRequest request) {
        Optional<Integer> from = Optional.of(book.version(id));
        OpenAttempt open = reviews.open(id);
        Plan paced = InvalidRequest.orElse(
                "round",
                () -> WarmUp.scaled(
                        open.expanded(),
                        open.planOrDraft(),
                        ClockTime.parse(request.round()).ms()));
        return book.keep(
                id,
                from,
                new KeptPlan(paced, PlanService.goal(open), PlanService.lift(open)),
                "Warm-up round " + request.round());
    }

    /** Other attempts at the same part of the same workout that have a plan. */
    @GetMapping("/sources")
    List<CopyFrom> sources(@PathVariable UUID id) {
        OpenAttempt open = reviews.open(id);
        return attempts.alikePlanned(open.attempt(), SOURCES).stream()
                .map(other -> new CopyFrom(
                        other.id(), other.athlete(), open.workout().title(), other.division(), other.doneOn()))
                .toList();
    }

    /** Takes over another attempt's plan, rescaled to this athlete's figures. */
    @PostMapping("/copy")
    PlanView copy(@PathVariable UUID id, @Valid @RequestBody CopyRequest request) {
        Optional<Integer> from = Optional.of(book.version(id));
        OpenAttempt open = reviews.open(id);
        OpenAttempt source = reviews.open(request.from());
        KeptPlan given =
                source.plan().orElseThrow(() -> new InvalidRequest("from", "That attempt has no plan to copy."));
        Plan rescaled = InvalidRequest.orElse(
                "from",
                () -> Rescale.of(
                                source.expanded(),
                                given.plan(),
                                reviews.known(source.attempt()),
                                open.expanded(),
                                reviews.known(open.attempt()))
                        .checkedFor(open.expanded()));
        String by = "From " + source.attempt().athlete();
        Optional<LiftPlan> lifts = given.lift()
                .map(theirs -> theirs.forMax(reviews.limitingMax(open).max().orElse(theirs.max())));
        return book.keep(id, from, new KeptPlan(rescaled, null, lifts.or(() -> PlanService.lift(open))), by);
    }

    /** The usual timetable of a lift window. */
    @PostMapping("/timetable")
    PlanView timetable(@PathVariable UUID id, @Valid @RequestBody TimetableRequest request) {
        Optional<Integer> from = Optional.of(book.version(id));
        OpenAttempt open = reviews.open(id);
        if (!(open.expanded().format() instanceof Format.Lift window)) {
            throw new InvalidRequest("plan", "This part is not a max-lift window.");
        }
        LiftPlan lift = InvalidRequest.orElse("lift", () -> {
            PlateRack rack = PlanJson.rack(request.bar(), request.plates());
            return UsualTimetable.of(
                            window,
                            PlanJson.load(request.max(), rack.bar().unit()),
                            request.lifts(),
                            request.lengthMs(),
                            open.pauseAfter(),
                            rack)
                    .checkedFor(window);
        });
        return book.keep(
                id, from, new KeptPlan(open.planOrDraft(), PlanService.goal(open), Optional.of(lift)), "Lift plan");
    }
}
