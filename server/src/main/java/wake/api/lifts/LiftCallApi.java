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
import wake.api.Refused;
import wake.api.lifts.LiftCallViews.LiftCallView;
import wake.api.lifts.LiftCallViews.LiftsCameView;
import wake.api.lifts.LiftCallViews.WhatIfView;
import wake.api.plan.LiftWindowViews;
import wake.api.retest.RetestViews;
import wake.api.retest.RetestViews.DateView;
import wake.plan.lift.LiftChecks;
import wake.plan.lift.LiftPlan;
import wake.projection.GiveBack;
import wake.projection.lift.LiftCall;
import wake.projection.lift.WhatIf;
import wake.reading.lift.LiftReading;
import wake.review.CalledJson;
import wake.review.LiftBook;
import wake.review.OpenAttempt;
import wake.review.PlanJson.LiftJson;
import wake.review.Retests;
import wake.store.AttemptStore;
import wake.store.Exclusively;
import wake.store.RetestStore;
import wake.words.LiftProjectionWords;
import wake.workout.Format;

/** The call for a lift window: the next timetable, how likely each lift is, what could be otherwise, and what came of it. */
@RestController
@RequestMapping("/api/attempts/{id}/lift-call")
class LiftCallApi {
    private final Windows windows;
    private final Retests retests;
    private final LiftBook book;
    private final RetestStore store;
    private final Exclusively exclusively;
    private final AttemptStore attempts;

    record LiftCallRequest(@NotNull LiftJson lift) {}

    LiftCallApi(
            Windows windows,
            Retests retests,
            LiftBook book,
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

    /** The call for the next window: the coach's timetable, or the one worth proposing. */
    @GetMapping
    LiftCallView call(@PathVariable UUID id) {
        OpenAttempt open = windows.open(id);
        return view(open, retests.nextLifts(open));
    }

    /** The call with other lifts, kept nowhere. */
    @PostMapping("/try")
    LiftCallView tryOut(@PathVariable UUID id, @Valid @RequestBody LiftCallRequest request) {
        OpenAttempt open = windows.open(id);
        return view(open, Optional.of(checked(open, request.lift())));
    }

    /** Keeps other lifts for the next window. */
    @PutMapping
    LiftCallView choose(
            @PathVariable UUID id, @RequestParam Optional<Long> from, @Valid @RequestBody LiftCallRequest request) {
        OpenAttempt open = windows.open(id);
        checked(open, request.lift());
        return chosen(open, from, request.lift());
    }

    /** Back to the lifts worth proposing. */
    @DeleteMapping
    LiftCallView startAgain(@PathVariable UUID id, @RequestParam Optional<Long> from) {
        return chosen(windows.open(id), from, null);
    }

    /** Keeps what was chosen; refuses it where it was chosen from an older state than the one that is kept. */
    private LiftCallView chosen(OpenAttempt open, Optional<Long> from, @Nullable LiftJson lift) {
        UUID id = open.attempt().id();
        exclusively.on(id, () -> {
            if (from.isPresent() && from.get() != store.version(id)) {
                throw new Conflict("lift", "These lifts were changed in another window. Nothing was overwritten.");
            }
            return retests.chooseLifts(open, lift);
        });
        return call(id);
    }

    private static LiftPlan checked(OpenAttempt open, LiftJson lift) {
        return Refused.orElse(
                "lift",
                () -> lift.liftPlan().checkedFor((Format.Lift) open.course().format()));
    }

    private LiftCallView view(OpenAttempt open, Optional<LiftPlan> plan) {
        long version = store.version(open.attempt().id());
        DateView date = RetestViews.date(retests.date(open));
        LiftsCameView came = came(open).orElse(null);
        boolean proposed = retests.chosen(open).lift() == null;
        if (plan.isEmpty()) {
            return new LiftCallView(
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
                    came);
        }
        LiftCall.Terms terms = book.terms(open);
        LiftReading reading = book.reading(open);
        LiftCall call = LiftCall.of(plan.get(), terms);
        return new LiftCallView(
                version,
                null,
                LiftProjectionWords.headline(call),
                terms.chances().words(),
                LiftJson.of(plan.get()),
                proposed,
                LiftWindowViews.of(call.timetable(), plan.get().max(), terms.window(), open.afterAnother()),
                LiftCallViews.chances(call, reading),
                LiftCallViews.outcomes(call),
                WhatIf.of(plan.get(), terms).stream()
                        .map(one -> new WhatIfView(
                                one.words(), LiftProjectionWords.chance(one.beats()), LiftJson.of(one.plan())))
                        .toList(),
                LiftChecks.of(plan.get(), call.timetable(), terms.window(), open.afterAnother()).stream()
                        .map(LiftChecks.Check::sentence)
                        .toList(),
                WhatIf.nextPart(toNextPart(open, reading), call.timetable().toNextPartMs(), GiveBack.USUAL)
                        .orElse(null),
                date,
                RetestViews.next(retests.followed(open)),
                came);
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

    private Optional<LiftsCameView> came(OpenAttempt open) {
        UUID firstId = open.attempt().retestOf();
        Optional<CalledJson> called = retests.called(open.attempt().id());
        if (firstId == null || called.isEmpty() || !open.log().over()) {
            return Optional.empty();
        }
        return attempts.find(firstId)
                .flatMap(first ->
                        LiftCallViews.came(book.reading(open), open.log().score(), first, called.get()));
    }
}
