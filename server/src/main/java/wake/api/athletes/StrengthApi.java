package wake.api.athletes;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.Conflict;
import wake.api.DayNames;
import wake.api.Downloads;
import wake.api.InvalidRequest;
import wake.athlete.Figures;
import wake.exchange.StrengthSheet;
import wake.movement.Catalogue;
import wake.plan.lift.LimitingMax;
import wake.review.Movements;
import wake.review.NotFound;
import wake.review.Reviews;
import wake.review.StrengthDays;
import wake.store.AthleteStore;
import wake.store.AthleteStore.Athlete;
import wake.store.StrengthStore;
import wake.store.StrengthStore.StrengthDay;
import wake.strength.StrengthReader;
import wake.strength.StrengthWork;
import wake.words.StrengthWords;
import wake.workout.Format.LiftPiece;

/** An athlete's strength work that is not for time: a text for each day, and what it says. */
@RestController
@RequestMapping("/api/athletes/{id}/strength")
class StrengthApi {
    private final AthleteStore athletes;
    private final StrengthStore store;
    private final StrengthDays days;
    private final Reviews reviews;
    private final Movements movements;

    /**
     * A text for a day.
     *
     * @param was what stood there when it was edited; where something else stands there by now, nothing is overwritten
     */
    record StrengthRequest(
            @NotNull @Size(max = StrengthReader.LONGEST, message = "must be 8000 characters at most")
            String text,

            @Nullable @Size(max = StrengthReader.LONGEST, message = "must be 8000 characters at most")
            String was) {}

    /**
     * A lift of a day.
     *
     * @param asked what was asked of it; empty where nothing was
     * @param sets the sets, equal ones in a row together
     * @param says the day in a line
     * @param note the coach's words; empty for none
     */
    record StrengthWorkView(String movement, String asked, List<String> sets, String says, String note) {}

    /**
     * What a text says.
     *
     * @param problems for each line that cannot be read what is wrong with it
     */
    record StrengthReadView(List<StrengthWorkView> works, List<String> problems) {}

    /** A day with its text. */
    record StrengthDayView(LocalDate doneOn, String text, StrengthReadView read) {}

    StrengthApi(AthleteStore athletes, StrengthStore store, StrengthDays days, Reviews reviews, Movements movements) {
        this.athletes = athletes;
        this.store = store;
        this.days = days;
        this.reviews = reviews;
        this.movements = movements;
    }

    /** All days, the latest first. */
    @GetMapping
    List<StrengthDayView> strength(@PathVariable UUID id) {
        athlete(id);
        Figures figures = reviews.figures(id);
        return days.of(id).stream()
                .map(day -> new StrengthDayView(day.doneOn(), day.text(), view(day.read(), figures)))
                .toList();
    }

    /** Reads a text without keeping it. */
    @PostMapping("/read")
    StrengthReadView read(@PathVariable UUID id, @Valid @RequestBody StrengthRequest request) {
        athlete(id);
        return view(days.read(request.text()), reviews.figures(id));
    }

    /** Keeps the text of a day in place of the one before; an empty one takes the day away. */
    @PutMapping("/{day}")
    @Transactional
    public List<StrengthDayView> put(
            @PathVariable UUID id, @PathVariable LocalDate day, @Valid @RequestBody StrengthRequest request) {
        String now = locked(id, day);
        if (request.was() != null && !request.was().strip().equals(now)) {
            throw new Conflict("text", "This day was changed in another window. Nothing was overwritten.");
        }
        return kept(id, day, request.text());
    }

    /** Adds to what a day has. */
    @PostMapping("/{day}")
    @Transactional
    public List<StrengthDayView> add(
            @PathVariable UUID id, @PathVariable LocalDate day, @Valid @RequestBody StrengthRequest request) {
        String now = locked(id, day);
        return kept(id, day, now.isEmpty() ? request.text() : now + "\n" + request.text());
    }

    /** The text of a day, which nobody else changes until the end of the transaction; empty where it has none. */
    private String locked(UUID id, LocalDate day) {
        athletes.lock(id);
        athlete(id);
        return store.find(id, DayNames.sensible("day", day)).orElse("");
    }

    private List<StrengthDayView> kept(UUID id, LocalDate day, String text) {
        List<String> errors = days.read(text).errors();
        if (!errors.isEmpty()) {
            throw new InvalidRequest("text", String.join("; ", errors));
        }
        store.put(id, new StrengthDay(day, text.strip()));
        return strength(id);
    }

    /** Every set as a row. */
    @GetMapping(value = "/strength.csv", produces = "text/csv")
    ResponseEntity<String> csv(@PathVariable UUID id) {
        Athlete athlete = athlete(id);
        return Downloads.file(
                athlete.name() + " strength.csv",
                "text/csv",
                StrengthSheet.csv(days.of(id).reversed().stream()
                        .map(day -> new StrengthSheet.Day(day.doneOn(), day.works()))
                        .toList()));
    }

    private Athlete athlete(UUID id) {
        return athletes.find(id).orElseThrow(() -> new NotFound("athlete", id));
    }

    private StrengthReadView view(StrengthReader.Outcome read, Figures figures) {
        Catalogue catalogue = movements.catalogue();
        return new StrengthReadView(
                read.works().stream()
                        .map(work -> view(work, figures, catalogue))
                        .toList(),
                read.errors());
    }

    private static StrengthWorkView view(StrengthWork work, Figures figures, Catalogue catalogue) {
        LimitingMax max = LimitingMax.of(List.of(new LiftPiece(1, work.movement())), figures, catalogue);
        return new StrengthWorkView(
                work.movement(),
                StrengthWords.asked(work.asked(), max.max()),
                StrengthWords.sets(work.sets()),
                StrengthWords.says(work, max),
                work.note());
    }
}
