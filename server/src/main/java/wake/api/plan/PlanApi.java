package wake.api.plan;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
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
import wake.api.Refused;
import wake.api.plan.PlanViews.PlanView;
import wake.exchange.PlanSheet;
import wake.plan.Forecast;
import wake.plan.Goal;
import wake.plan.GoalPlan;
import wake.plan.Plan;
import wake.plan.Rescale;
import wake.plan.Rescale.Known;
import wake.plan.TwoPlans;
import wake.plan.WarmUp;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.PlateRack;
import wake.plan.lift.UsualTimetable;
import wake.review.Documents;
import wake.review.Documents.KeptPlan;
import wake.review.OpenAttempt;
import wake.review.PlanJson;
import wake.review.PlanJson.LineJson;
import wake.review.Reviews;
import wake.store.AttemptStore;
import wake.store.Document;
import wake.store.PlanStore;
import wake.units.ClockTime;
import wake.workout.Course;
import wake.workout.Format;

/** The plan of an attempt: kept by version, made from goals and tests, checked, handed on. */
@RestController
@RequestMapping("/api/attempts/{id}/plan")
class PlanApi {
    private static final int LONGEST_NOTE = 200;

    /** So many other plans are offered to be taken over, of the latest attempts. */
    private static final int SOURCES = 40;

    private final Reviews reviews;
    private final AttemptStore attempts;
    private final PlanStore plans;
    private final Documents documents;

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

    /** A version of the plan. */
    record VersionView(int version, String madeBy, boolean draft, OffsetDateTime changedAt) {}

    /** Another attempt whose plan could be taken over. */
    record CopyFrom(UUID id, String athlete, String title, String division, java.time.LocalDate doneOn) {}

    PlanApi(Reviews reviews, AttemptStore attempts, PlanStore plans, Documents documents) {
        this.reviews = reviews;
        this.attempts = attempts;
        this.plans = plans;
        this.documents = documents;
    }

    /** The coach's plan, or a draft from what is known of the athlete, said to be assumed. */
    @GetMapping
    PlanView plan(@PathVariable UUID id) {
        return view(reviews.open(id));
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
        return kept(open, written, by.orElse("Kept"));
    }

    /** A plan made from an older one than is in force is kept as a version, below the one in force. */
    private Conflict bothKept(UUID id, Document late, String by) {
        Optional<Document> inForce = plans.find(id);
        plans.put(id, late, shortened(by + " (in another window)"));
        int kept = plans.version(id);
        inForce.ifPresentOrElse(
                document -> plans.put(id, document, "Stays in force"), () -> plans.remove(id, "Stays in force"));
        return new Conflict(
                "plan",
                "Another window has changed this plan meanwhile. Its plan stays in force; yours is kept as version "
                        + kept + " under Versions.");
    }

    private static String shortened(String note) {
        return note.substring(0, Math.min(note.length(), LONGEST_NOTE));
    }

    private static LiftPlan checked(LiftPlan lift, Course course) {
        if (course.format() instanceof Format.Lift window) {
            return lift.checkedFor(window);
        }
        throw new IllegalArgumentException("This part is no lift window");
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

    /** Makes the plan hit a goal exactly. */
    @PostMapping("/goal")
    @Transactional
    public PlanView goal(@PathVariable UUID id, @Valid @RequestBody GoalRequest request) {
        attempts.lock(id);
        OpenAttempt open = reviews.open(id);
        Plan plan = open.planOrDraft();
        Plan aimed = Refused.orElse(
                "goal",
                () -> GoalPlan.of(
                        open.course(),
                        plan,
                        Goal.parse(request.goal(), open.course(), plan),
                        Optional.ofNullable(request.pauseShare()),
                        reviews.known(open.attempt()).shown()));
        return kept(open, new KeptPlan(aimed, request.goal().strip(), lift(open)), "Goal " + request.goal());
    }

    /** What a warm-up round says of the whole. */
    @GetMapping("/warm-up")
    WarmUpView warmUp(@PathVariable UUID id, @RequestParam String round) {
        OpenAttempt open = reviews.open(id);
        return new WarmUpView(Refused.orElse(
                "round",
                () -> WarmUp.forecast(
                        open.course(), Math.max(1000, ClockTime.parse(round).ms()))));
    }

    /** Paces the plan so that a round takes as long as the warm-up round did. */
    @PostMapping("/warm-up")
    @Transactional
    public PlanView fromWarmUp(@PathVariable UUID id, @Valid @RequestBody WarmUpRequest request) {
        attempts.lock(id);
        OpenAttempt open = reviews.open(id);
        Plan paced = Refused.orElse(
                "round",
                () -> WarmUp.scaled(
                        open.course(),
                        open.planOrDraft(),
                        ClockTime.parse(request.round()).ms()));
        return kept(open, new KeptPlan(paced, goal(open), lift(open)), "Warm-up round " + request.round());
    }

    /** Other attempts at the same part of the same workout that have a plan. */
    @GetMapping("/sources")
    List<CopyFrom> sources(@PathVariable UUID id) {
        OpenAttempt open = reviews.open(id);
        return attempts.alikePlanned(open.attempt(), SOURCES).stream()
                .filter(other -> plans.find(other.id()).isPresent())
                .map(other -> new CopyFrom(
                        other.id(), other.athlete(), open.workout().title(), other.division(), other.doneOn()))
                .toList();
    }

    /** Takes over another attempt's plan, rescaled to this athlete's figures. */
    @PostMapping("/copy")
    @Transactional
    public PlanView copy(@PathVariable UUID id, @Valid @RequestBody CopyRequest request) {
        attempts.lock(id);
        OpenAttempt open = reviews.open(id);
        OpenAttempt from = reviews.open(request.from());
        KeptPlan given = from.plan().orElseThrow(() -> new Refused("from", "That attempt has no plan to take over."));
        Plan rescaled = Refused.orElse(
                "from",
                () -> Rescale.of(
                                from.course(),
                                given.plan(),
                                reviews.known(from.attempt()),
                                open.course(),
                                reviews.known(open.attempt()))
                        .checkedFor(open.course()));
        String by = "From " + from.attempt().athlete();
        Optional<LiftPlan> lifts = given.lift()
                .map(theirs -> theirs.forMax(reviews.limitingMax(open).max().orElse(theirs.max())));
        return kept(open, new KeptPlan(rescaled, null, lifts.or(() -> lift(open))), by);
    }

    /** The usual timetable of a lift window. */
    @PostMapping("/timetable")
    @Transactional
    public PlanView timetable(@PathVariable UUID id, @Valid @RequestBody TimetableRequest request) {
        attempts.lock(id);
        OpenAttempt open = reviews.open(id);
        if (!(open.course().format() instanceof Format.Lift window)) {
            throw new Refused("plan", "This part is no lift window.");
        }
        LiftPlan lift = Refused.orElse("lift", () -> {
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
        return kept(open, new KeptPlan(open.planOrDraft(), goal(open), Optional.of(lift)), "Timetable");
    }

    /** All versions, the newest first. */
    @GetMapping("/versions")
    List<VersionView> versions(@PathVariable UUID id) {
        reviews.open(id);
        return plans.versions(id).stream()
                .map(version ->
                        new VersionView(version.version(), version.madeBy(), version.draft(), version.changedAt()))
                .toList();
    }

    /**
     * The plan in force beside another version: what each takes by section and by movement, and the break-even between them.
     *
     * @param slowerMs by how much the other is slower in all; below zero where it is quicker
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
    @GetMapping("/versions/{version}/beside")
    TwoPlansView beside(@PathVariable UUID id, @PathVariable int version) {
        OpenAttempt open = reviews.open(id);
        if (open.course().format() instanceof Format.Lift) {
            throw new Refused("version", "A lift window is compared lift by lift, in its timetable.");
        }
        Plan other = version == 0
                ? reviews.draft(open.attempt(), open.course()).plan()
                : plans.find(id, version)
                        .map(document -> documents.plan(document, open.course()).plan())
                        .orElseThrow(() -> new Refused("version", "There is no version " + version + " of this plan."));
        Plan here = open.planOrDraft();
        TwoPlans two = TwoPlans.of(open.course(), here, other);
        return new TwoPlansView(
                Forecast.of(open.course(), here).score().words(),
                Forecast.of(open.course(), other).score().words(),
                two.sections().stream().map(TwoPlansRow::of).toList(),
                two.lines().stream().map(TwoPlansRow::of).toList(),
                two.slowerMs(),
                two.words());
    }

    /** Puts an earlier version in force again, as a new one; version 0 is the draft there was before any. */
    @PostMapping("/versions/{version}/restore")
    @Transactional
    public PlanView restore(@PathVariable UUID id, @PathVariable int version) {
        attempts.lock(id);
        reviews.open(id);
        String by = "Version " + version + " again";
        boolean known = version == 0 || plans.versions(id).stream().anyMatch(one -> one.version() == version);
        if (!known) {
            throw new Refused("version", "There is no version " + version + " of this plan.");
        }
        plans.find(id, version).ifPresentOrElse(document -> plans.put(id, document, by), () -> plans.remove(id, by));
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

    private static @Nullable String goal(OpenAttempt open) {
        return open.plan().map(KeptPlan::goal).orElse(null);
    }

    private static Optional<LiftPlan> lift(OpenAttempt open) {
        return open.plan().flatMap(KeptPlan::lift);
    }

    private PlanView kept(OpenAttempt open, KeptPlan plan, String by) {
        UUID id = open.attempt().id();
        plans.put(id, documents.plan(plan), shortened(by));
        return plan(id);
    }

    private PlanView view(OpenAttempt open) {
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
}
