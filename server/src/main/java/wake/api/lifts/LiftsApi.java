package wake.api.lifts;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.InvalidRequest;
import wake.api.lifts.LiftViews.LiftReadingView;
import wake.api.lifts.LiftViews.OtherLifterView;
import wake.athlete.FiguresReader;
import wake.plan.lift.LimitingMax;
import wake.reading.lift.DemonstratedMaxes;
import wake.reading.lift.LiftReading;
import wake.review.LiftService;
import wake.review.Movements;
import wake.review.NotFound;
import wake.review.OpenAttempt;
import wake.review.PlanJson.LiftJson;
import wake.review.Reviews;
import wake.store.AthleteStore;
import wake.store.AthleteStore.Athlete;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.strength.StrengthSet;
import wake.units.Quantity;
import wake.units.Unit;
import wake.words.StrengthWords;
import wake.words.TwoLifters;

/** Lift windows read: the lifts, what they say, the maxes they show, and how two lifters compare. */
@RestController
@RequestMapping("/api")
class LiftsApi {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    private static final int OTHERS = 30;

    private final Windows windows;
    private final Reviews reviews;
    private final LiftService book;
    private final AttemptStore attempts;
    private final AthleteStore athletes;
    private final Movements movements;

    /** A movement whose max is to be noted as this window shows it. */
    record MaxRequest(
            @NotBlank(message = "must be filled in") @Size(max = 120)
            String movement) {}

    /**
     * A lift over the days an athlete did it, the earliest first.
     *
     * @param max noted with the athlete
     */
    record LiftHistoryView(String movement, @Nullable String max, List<LiftDayView> days) {}

    /**
     * What was made of it on a day.
     *
     * @param attemptId the lift window; absent where it was not for time
     * @param says what was made
     * @param title of the workout; what was asked, where it was not for time
     * @param bestKg the heaviest made; absent where nothing was
     */
    record LiftDayView(
            @Nullable UUID attemptId,
            LocalDate doneOn,
            String says,
            String title,
            @Nullable Double bestKg) {}

    LiftsApi(
            Windows windows,
            Reviews reviews,
            LiftService book,
            AttemptStore attempts,
            AthleteStore athletes,
            Movements movements) {
        this.windows = windows;
        this.reviews = reviews;
        this.book = book;
        this.attempts = attempts;
        this.athletes = athletes;
        this.movements = movements;
    }

    /** A lift window read, beside another lifter's when {@code other} names an attempt at the same window. */
    @GetMapping("/attempts/{id}/lifts")
    LiftReadingView lifts(@PathVariable UUID id, @RequestParam Optional<UUID> other) {
        return view(windows.open(id), other);
    }

    private LiftReadingView view(OpenAttempt open, Optional<UUID> other) {
        return LiftViews.of(
                book.reading(open),
                open.timetable(),
                book.maxes(open),
                others(open),
                other.map(id -> beside(open, id)));
    }

    private LiftViews.BesideView beside(OpenAttempt open, UUID id) {
        OpenAttempt other = windows.open(id);
        if (!open.sameWorkoutAs(other)) {
            throw new InvalidRequest("other", "That attempt is a different workout or part.");
        }
        LiftReading theirs = book.reading(other);
        String[] names = names(open.attempt(), other.attempt());
        return LiftViews.beside(TwoLifters.of(names[0], book.reading(open), names[1], theirs), theirs);
    }

    /** By name; the same athlete twice by day. */
    private static String[] names(Attempt one, Attempt other) {
        return one.athleteId().equals(other.athleteId())
                ? new String[] {words(one), words(other)}
                : new String[] {one.athlete(), other.athlete()};
    }

    private static String words(Attempt attempt) {
        return attempt.athlete() + " on " + DAY.format(attempt.doneOn());
    }

    private List<OtherLifterView> others(OpenAttempt open) {
        return attempts.alikeMarked(open.attempt(), OTHERS).stream()
                .map(other -> new OtherLifterView(other.id(), words(other)))
                .toList();
    }

    record LiftsRequest(@NotNull LiftJson lift) {}

    /** Some lifts with one more in their longest rest; kept nowhere. */
    @PostMapping("/attempts/{id}/lifts/one-more")
    LiftJson oneMore(@PathVariable UUID id, @Valid @RequestBody LiftsRequest request) {
        windows.open(id);
        return LiftJson.of(
                InvalidRequest.orElse("lift", () -> request.lift().liftPlan().withOneMore()));
    }

    /** Notes a max with the athlete as this window shows it, with the day and where it was made. */
    @PostMapping("/attempts/{id}/lifts/maxes")
    @Transactional
    public LiftReadingView noteMax(@PathVariable UUID id, @Valid @RequestBody MaxRequest request) {
        OpenAttempt open = windows.open(id);
        UUID athleteId = open.attempt().athleteId();
        athletes.lock(athleteId);
        DemonstratedMaxes shown = book.maxes(open).stream()
                .filter(one -> one.movement().equals(request.movement()))
                .findFirst()
                .orElseThrow(() -> new InvalidRequest("movement", "No made lift of this window includes that."));
        if (!shown.grows()) {
            throw new InvalidRequest("movement", "The max on file is already as heavy.");
        }
        Athlete athlete = athletes.find(athleteId).orElseThrow(() -> new NotFound("athlete", athleteId));
        String line = shown.line() + " // " + DAY.format(open.attempt().doneOn()) + ", "
                + open.workout().title();
        String figures = noted(athlete.figures(), shown.movement(), line);
        if (!FiguresReader.read(figures, movements.catalogue()).errors().isEmpty()) {
            throw new InvalidRequest("movement", "Some lines of this athlete's bests cannot be read. Fix them first.");
        }
        athletes.put(new Athlete(
                athlete.id(), athlete.name(), athlete.note(), figures, athlete.pain(), athlete.recoversSlowly()));
        return view(windows.open(id), Optional.empty());
    }

    /** The figures with this max: in the place of the one noted for the movement, else as a line more. */
    private String noted(String figures, String movement, String line) {
        List<String> lines = figures.lines().toList();
        boolean known = lines.stream().anyMatch(one -> isMaxOf(one, movement));
        if (!known) {
            return figures.isBlank() ? line : figures.stripTrailing() + "\n" + line;
        }
        return String.join(
                "\n",
                lines.stream()
                        .map(one -> isMaxOf(one, movement) ? line : one)
                        .distinct()
                        .toList());
    }

    private boolean isMaxOf(String line, String movement) {
        return FiguresReader.read(line, movements.catalogue()).figures().maxes().containsKey(movement);
    }

    /** The lifts of an athlete over all windows. */
    @GetMapping("/athletes/{id}/lifts")
    List<LiftHistoryView> history(@PathVariable UUID id) {
        if (athletes.find(id).isEmpty()) {
            throw new NotFound("athlete", id);
        }
        var maxes = reviews.figures(id).maxes();
        return book.history(id).entrySet().stream()
                .map(entry -> new LiftHistoryView(
                        entry.getKey(),
                        Optional.ofNullable(maxes.get(entry.getKey()))
                                .map(Quantity::toString)
                                .orElse(null),
                        entry.getValue().stream().map(this::day).toList()))
                .toList();
    }

    private LiftDayView day(LiftService.Done done) {
        return switch (done) {
            case LiftService.Done.InWindow window ->
                new LiftDayView(
                        window.attempt().id(),
                        window.doneOn(),
                        window.best().map(load -> load + ", ").orElse("none made, ") + window.made() + " of "
                                + window.tried() + " made",
                        reviews.open(window.attempt()).workout().title(),
                        window.best().map(load -> load.in(Unit.KILOGRAM)).orElse(null));
            case LiftService.Done.AsStrength strength ->
                new LiftDayView(
                        null,
                        strength.doneOn(),
                        StrengthWords.says(strength.work(), LimitingMax.none(List.of())),
                        StrengthWords.asked(strength.work().asked()),
                        strength.work()
                                .heaviest()
                                .flatMap(StrengthSet::load)
                                .map(load -> load.in(Unit.KILOGRAM))
                                .orElse(null));
        };
    }
}
