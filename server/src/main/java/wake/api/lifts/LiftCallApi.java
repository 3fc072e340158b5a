package wake.api.lifts;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
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
import wake.api.plan.LiftWindowViews;
import wake.api.retest.RetestViews;
import wake.api.retest.RetestViews.DateView;
import wake.api.retest.RetestViews.NextView;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.plan.lift.LiftChecks;
import wake.plan.lift.LiftPlan;
import wake.projection.GiveBack;
import wake.projection.Range;
import wake.projection.lift.LiftCall;
import wake.projection.lift.LiftWords;
import wake.projection.lift.WhatIf;
import wake.reading.lift.LiftReading;
import wake.review.AttemptLogs;
import wake.review.CalledJson;
import wake.review.LiftBook;
import wake.review.OpenAttempt;
import wake.review.PlanJson.LiftJson;
import wake.review.Retests;
import wake.review.Reviews;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.RetestStore;
import wake.units.Quantity;
import wake.workout.Format;

/** The call for a lift window: the next timetable, how likely each lift is, what could be otherwise, and what came of it. */
@RestController
@RequestMapping("/api/attempts/{id}/lift-call")
class LiftCallApi {
    private final Reviews reviews;
    private final Retests retests;
    private final LiftBook book;
    private final RetestStore store;
    private final AttemptStore attempts;
    private final AttemptLogs logs;

    record LiftCallRequest(@NotNull LiftJson lift) {}

    /**
     * The call.
     *
     * @param notYet why there is none yet
     * @param chancesWords where the chances come from
     * @param plan the timetable it is of
     * @param proposed whether it is the one proposed, and not the coach's
     * @param nextPart what it does to the part that follows
     */
    record LiftCallView(
            long version,
            @Nullable String notYet,
            String answer,
            String chancesWords,
            @Nullable LiftJson plan,
            boolean proposed,
            LiftWindowViews.@Nullable TimetableView timetable,
            List<ChanceView> chances,
            List<OutcomeView> outcomes,
            List<WhatIfView> whatIfs,
            List<String> checks,
            @Nullable String nextPart,
            DateView date,
            List<NextView> retests,
            @Nullable LiftsCameView came) {}

    /** How likely a lift is made, and what the last window shows of its load. */
    record ChanceView(double chance, String words, String evidence) {}

    /** A score with how likely it is. */
    record OutcomeView(String best, double chance, String words, boolean beats) {}

    /** Something that could be otherwise. */
    record WhatIfView(String words, String beats, LiftJson plan) {}

    /** Called against came. */
    record LiftsCameView(UUID firstId, LocalDate firstOn, String answer, List<LiftCameView> lifts) {}

    /** A lift as it was called, and the one done in its place. */
    record LiftCameView(
            int number,
            @Nullable String called,
            @Nullable String chance,
            @Nullable String came) {}

    LiftCallApi(
            Reviews reviews,
            Retests retests,
            LiftBook book,
            RetestStore store,
            AttemptStore attempts,
            AttemptLogs logs) {
        this.reviews = reviews;
        this.retests = retests;
        this.book = book;
        this.store = store;
        this.attempts = attempts;
        this.logs = logs;
    }

    /** The call for the next window: the coach's timetable, or the one worth proposing. */
    @GetMapping
    LiftCallView call(@PathVariable UUID id) {
        OpenAttempt open = window(id);
        return view(open, retests.nextLifts(open));
    }

    /** The call with other lifts, kept nowhere. */
    @PostMapping("/try")
    LiftCallView tryOut(@PathVariable UUID id, @Valid @RequestBody LiftCallRequest request) {
        OpenAttempt open = window(id);
        return view(open, Optional.of(checked(open, request.lift())));
    }

    /** Keeps other lifts for the next window. */
    @PutMapping
    @Transactional
    public LiftCallView choose(
            @PathVariable UUID id, @RequestParam Optional<Long> from, @Valid @RequestBody LiftCallRequest request) {
        lock(id, from);
        OpenAttempt open = window(id);
        checked(open, request.lift());
        retests.chooseLifts(open, request.lift());
        return call(id);
    }

    /** Back to the lifts worth proposing. */
    @DeleteMapping
    @Transactional
    public LiftCallView startAgain(@PathVariable UUID id, @RequestParam Optional<Long> from) {
        lock(id, from);
        retests.chooseLifts(window(id), null);
        return call(id);
    }

    private void lock(UUID id, Optional<Long> from) {
        attempts.lock(id);
        if (from.isPresent() && from.get() != store.version(id)) {
            throw new Conflict("lift", "Another window has changed these lifts meanwhile. Nothing was overwritten.");
        }
    }

    private static LiftPlan checked(OpenAttempt open, LiftJson lift) {
        return Refused.orElse(
                "lift",
                () -> lift.liftPlan().checkedFor((Format.Lift) open.course().format()));
    }

    private OpenAttempt window(UUID id) {
        OpenAttempt open = reviews.open(id);
        if (!(open.course().format() instanceof Format.Lift)) {
            throw new Refused("id", "This part is no lift window.");
        }
        return open;
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
                    next(open),
                    came);
        }
        LiftCall.Terms terms = book.terms(open);
        LiftReading reading = book.reading(open);
        LiftCall call = LiftCall.of(plan.get(), terms);
        return new LiftCallView(
                version,
                null,
                LiftWords.answer(call),
                terms.chances().words(),
                LiftJson.of(plan.get()),
                proposed,
                LiftWindowViews.of(call.timetable(), plan.get().max(), terms.window(), open.afterAnother()),
                call.rows().stream()
                        .map(row -> new ChanceView(
                                row.chance(),
                                LiftWords.chance(row.chance()),
                                LiftWords.evidence(row.planned().loading().load(), reading)))
                        .toList(),
                outcomes(call, terms.before()),
                WhatIf.of(plan.get(), terms).stream()
                        .map(one -> new WhatIfView(one.words(), LiftWords.chance(one.beats()), LiftJson.of(one.plan())))
                        .toList(),
                LiftChecks.of(plan.get(), call.timetable(), terms.window(), open.afterAnother()).stream()
                        .map(LiftChecks.Check::sentence)
                        .toList(),
                WhatIf.nextPart(toNextPart(open, reading), call.timetable().toNextPartMs(), GiveBack.USUAL)
                        .orElse(null),
                date,
                next(open),
                came);
    }

    private static List<OutcomeView> outcomes(LiftCall call, Optional<Quantity> before) {
        return call.outcomes().stream()
                .map(outcome -> new OutcomeView(
                        outcome.best().map(Quantity::toString).orElse("no lift made"),
                        outcome.chance(),
                        LiftWords.chance(outcome.chance()),
                        Score.compare(new Score.Load(outcome.best(), 0), new Score.Load(before, 0)) > 0))
                .toList();
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

    private List<NextView> next(OpenAttempt open) {
        return attempts.retestsOf(open.attempt().id()).stream()
                .map(next -> new NextView(
                        next.id(),
                        next.doneOn(),
                        logs.readable(next)
                                .filter(AttemptLog::over)
                                .map(AttemptLog::scoreWords)
                                .orElse(null)))
                .toList();
    }

    private Optional<LiftsCameView> came(OpenAttempt open) {
        UUID firstId = open.attempt().retestOf();
        Optional<CalledJson> called = retests.called(open.attempt().id());
        if (firstId == null || called.isEmpty() || !open.log().over()) {
            return Optional.empty();
        }
        return attempts.find(firstId).flatMap(first -> came(open, first, called.get()));
    }

    private Optional<LiftsCameView> came(OpenAttempt open, Attempt first, CalledJson called) {
        Optional<Range> range = called.range();
        List<CalledJson.CalledLiftJson> lifts = called.lifts();
        if (range.isEmpty() || lifts == null) {
            return Optional.empty();
        }
        LiftReading reading = book.reading(open);
        List<LiftCameView> rows = new ArrayList<>();
        for (int i = 0; i < Math.max(lifts.size(), reading.rows().size()); i++) {
            rows.add(new LiftCameView(
                    i + 1,
                    i < lifts.size() ? lifts.get(i).load() : null,
                    i < lifts.size() ? LiftWords.chance(lifts.get(i).chance()) : null,
                    i < reading.rows().size() ? came(reading, i) : null));
        }
        return Optional.of(new LiftsCameView(
                first.id(),
                first.doneOn(),
                LiftWords.came(
                        load(called.called()),
                        load(range.get().p10()),
                        load(range.get().p90()),
                        load(called.before().score()),
                        load(open.log().score())),
                rows));
    }

    private static String came(LiftReading reading, int at) {
        var lift = reading.rows().get(at).lift();
        return lift.load().map(Quantity::toString).orElse("no load told") + ", "
                + lift.outcome().words();
    }

    private static Optional<Quantity> load(Score score) {
        return score instanceof Score.Load load ? load.best() : Optional.empty();
    }
}
