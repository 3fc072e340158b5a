package wake.api.lifts;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
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
import wake.api.InvalidRequest;
import wake.api.lifts.LiftProjectionViews.LiftProjectionView;
import wake.api.lifts.LiftProjectionViews.LiftsActualView;
import wake.api.lifts.LiftProjectionViews.WhatIfView;
import wake.api.plan.LiftWindowViews;
import wake.api.retest.RetestViews;
import wake.api.retest.RetestViews.DateView;
import wake.plan.lift.LiftChecks;
import wake.plan.lift.LiftPlan;
import wake.projection.FatigueCost;
import wake.projection.lift.LiftProjection;
import wake.projection.lift.WhatIf;
import wake.reading.lift.LiftReading;
import wake.review.LiftService;
import wake.review.OpenAttempt;
import wake.review.PlanJson.LiftJson;
import wake.review.ProjectedJson;
import wake.review.Retests;
import wake.store.AttemptStore;
import wake.store.Exclusively;
import wake.store.RetestStore;
import wake.words.LiftProjectionWords;
import wake.workout.Format;

/** The projection for a lift window: the next timetable, how likely each lift is, what could be otherwise, and the outcome. */
@RestController
@RequestMapping("/api/attempts/{id}/lift-call")
class LiftProjectionApi {
    private final Windows windows;
    private final Retests retests;
    private final LiftService book;
    private final RetestStore store;
    private final Exclusively exclusively;
    private final AttemptStore attempts;

    record LiftProjectionRequest(@NotNull LiftJson lift) {}

    LiftProjectionApi(
            Windows windows,
            Retests retests,
            LiftService book,
            RetestStore store,
            Exclusively exclusively,
            AttemptStore attempts) {
        this.attempts = attempts;
        this.windows = windows;
        this.retests = retests;
        this.book = book;
        this.store = store;
        this.exclusively = exclusively;
    }

    /** The projection for the next window: the coach's timetable, or the one worth proposing. */
    @GetMapping
    LiftProjectionView projection(@PathVariable UUID id) {
        OpenAttempt open = windows.open(id);
        return view(open, retests.nextLifts(open));
    }

    /** The projection with other lifts, kept nowhere. */
    @PostMapping("/try")
    LiftProjectionView tryOut(@PathVariable UUID id, @Valid @RequestBody LiftProjectionRequest request) {
        OpenAttempt open = windows.open(id);
        return view(open, Optional.of(checked(open, request.lift())));
    }

    /** Keeps other lifts for the next window. */
    @PutMapping
    LiftProjectionView choose(
            @PathVariable UUID id,
            @RequestParam Optional<Long> from,
            @Valid @RequestBody LiftProjectionRequest request) {
        OpenAttempt open = windows.open(id);
        checked(open, request.lift());
        return chosen(open, from, request.lift());
    }

    /** Back to the lifts worth proposing. */
    @DeleteMapping
    LiftProjectionView startAgain(@PathVariable UUID id, @RequestParam Optional<Long> from) {
        return chosen(windows.open(id), from, null);
    }

    /** Keeps what was chosen; refuses it where it was chosen from an older state than the one that is kept. */
    private LiftProjectionView chosen(OpenAttempt open, Optional<Long> from, @Nullable LiftJson lift) {
        UUID id = open.attempt().id();
        exclusively.on(id, () -> {
            if (from.isPresent() && from.get() != store.version(id)) {
                throw new Conflict("lift", "These lifts were changed in another window. Nothing was overwritten.");
            }
            return retests.chooseLifts(open, lift);
        });
        return projection(id);
    }

    private static LiftPlan checked(OpenAttempt open, LiftJson lift) {
        return InvalidRequest.orElse(
                "lift",
                () -> lift.liftPlan().checkedFor((Format.Lift) open.expanded().format()));
    }

    private LiftProjectionView view(OpenAttempt open, Optional<LiftPlan> plan) {
        long version = store.version(open.attempt().id());
        DateView date = RetestViews.date(retests.date(open));
        LiftsActualView actual = actual(open).orElse(null);
        boolean proposed = retests.chosen(open).lift() == null;
        if (plan.isEmpty()) {
            return new LiftProjectionView(
                    version,
                    "Log the lifts with their loads first.",
                    "",
                    "",
                    null,
                    proposed,
                    null,
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    null,
                    date,
                    RetestViews.next(retests.followed(open)),
                    actual);
        }
        LiftProjection.Terms terms = book.terms(open, plan.get());
        LiftReading reading = book.reading(open);
        LiftProjection projection = LiftProjection.of(plan.get(), terms);
        return new LiftProjectionView(
                version,
                null,
                LiftProjectionWords.headline(projection),
                terms.chances()
                        .words(plan.get().rack().bar().unit(), terms.window().complex()),
                LiftJson.of(plan.get()),
                proposed,
                LiftWindowViews.of(projection.timetable(), plan.get().max(), terms.window(), open.afterAnother()),
                LiftProjectionViews.chances(projection, reading),
                LiftProjectionViews.outcomes(projection),
                WhatIf.of(plan.get(), terms).stream()
                        .map(one -> new WhatIfView(
                                one.words(), LiftProjectionWords.chance(one.beats()), LiftJson.of(one.plan())))
                        .toList(),
                LiftChecks.of(plan.get(), projection.timetable(), terms.window(), open.afterAnother()).stream()
                        .map(LiftChecks.Check::sentence)
                        .toList(),
                WhatIf.nextPart(
                                toNextPart(open, reading),
                                projection.timetable().toNextPartMs(),
                                FatigueCost.USUAL)
                        .orElse(null),
                date,
                RetestViews.next(retests.followed(open)),
                actual);
    }

    /** From the end of the last lift that was done to the next part; empty where there is none, or the end was not seen. */
    private static OptionalLong toNextPart(OpenAttempt open, LiftReading reading) {
        OptionalLong pause = open.pauseAfter();
        OptionalLong end = reading.rows().isEmpty()
                ? OptionalLong.empty()
                : reading.rows().getLast().lift().endMs();
        return pause.isPresent() && end.isPresent()
                ? OptionalLong.of(reading.window().windowMs() + pause.getAsLong() - end.getAsLong())
                : OptionalLong.empty();
    }

    private Optional<LiftsActualView> actual(OpenAttempt open) {
        UUID firstId = open.attempt().retestOf();
        Optional<ProjectedJson> projected = retests.projected(open.attempt().id());
        if (firstId == null || projected.isEmpty() || !open.log().over()) {
            return Optional.empty();
        }
        return attempts.find(firstId)
                .flatMap(first -> LiftProjectionViews.actual(
                        book.reading(open), open.log().score(), first, projected.get()));
    }
}
