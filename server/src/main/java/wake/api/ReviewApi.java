package wake.api;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.ProjectionViews.ProjectionView;
import wake.api.ReadingViews.OtherView;
import wake.api.ReadingViews.ReadingView;
import wake.projection.Change;
import wake.projection.Suggestions;
import wake.reading.Reading;
import wake.reading.Yardstick;
import wake.review.Documents;
import wake.review.Documents.ChangeJson;
import wake.review.OpenAttempt;
import wake.review.Reviews;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.MarkStore;
import wake.store.RetestStore;

/** The steps after the log: reading and retest call. */
@RestController
@RequestMapping("/api/attempts/{id}")
class ReviewApi {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.UK);

    private final Reviews reviews;
    private final AttemptStore attempts;
    private final MarkStore marks;
    private final RetestStore retests;
    private final Documents documents;

    record RetestRequest(@NotNull @Size(max = 50) List<ChangeJson> changes) {}

    ReviewApi(Reviews reviews, AttemptStore attempts, MarkStore marks, RetestStore retests, Documents documents) {
        this.reviews = reviews;
        this.attempts = attempts;
        this.marks = marks;
        this.retests = retests;
        this.documents = documents;
    }

    /**
     * Where every second went; against the plan when there is one, else against the attempt's own best. Against another
     * attempt when {@code other} names one at the same workout.
     */
    @GetMapping("/reading")
    ReadingView reading(
            @PathVariable UUID id,
            @RequestParam Optional<Yardstick.Kind> yardstick,
            @RequestParam Optional<UUID> other) {
        OpenAttempt open = open(id);
        Yardstick read = other.isPresent()
                ? against(open, open(other.get()))
                : open.yardstick(
                        yardstick.filter(kind -> kind != Yardstick.Kind.ATTEMPT).orElse(open.usualYardstick()));
        return ReadingViews.of(
                Reading.of(open.log(), read),
                open.yardsticks(),
                others(open),
                open.plan().isEmpty());
    }

    private static Yardstick against(OpenAttempt open, OpenAttempt other) {
        boolean same = other.attempt().workoutId().equals(open.attempt().workoutId())
                && other.attempt().part() == open.attempt().part();
        if (!same) {
            throw new Refused("other", "That attempt is not at the same part of the same workout.");
        }
        return Yardstick.attempt(other.log(), words(other.attempt()), open.log());
    }

    private List<OtherView> others(OpenAttempt open) {
        return attempts.alike(open.attempt()).stream()
                .filter(other -> marks.any(other.id()))
                .map(other -> new OtherView(other.id(), words(other)))
                .toList();
    }

    private static String words(Attempt attempt) {
        return attempt.athlete() + " on " + DAY.format(attempt.doneOn());
    }

    /** The retest call with the changes chosen, or with those worth proposing when none were chosen yet. */
    @GetMapping("/retest")
    ProjectionView retest(@PathVariable UUID id) {
        OpenAttempt open = open(id);
        return ProjectionViews.of(open.log(), chosen(open));
    }

    @PutMapping("/retest")
    ProjectionView choose(@PathVariable UUID id, @Valid @RequestBody RetestRequest request) {
        OpenAttempt open = open(id);
        ProjectionView view = Refused.orElse("changes", () -> ProjectionViews.of(open.log(), request.changes()));
        retests.put(id, documents.changes(request.changes()));
        return view;
    }

    private List<ChangeJson> chosen(OpenAttempt open) {
        return retests.find(open.attempt().id()).map(documents::changes).orElseGet(() -> proposals(open));
    }

    /** Transitions, rests and the cadence that gains most, all on. */
    private static List<ChangeJson> proposals(OpenAttempt open) {
        List<ChangeJson> proposals = new ArrayList<>();
        boolean cadence = false;
        for (Change change : Suggestions.of(open.log())) {
            boolean hold = change instanceof Change.HoldCadence;
            if (!hold || !cadence) {
                proposals.add(ChangeJson.of(change, true));
                cadence |= hold;
            }
        }
        return proposals;
    }

    private OpenAttempt open(UUID id) {
        return reviews.open(id).orElseThrow(() -> new Unknown("attempt", id));
    }
}
