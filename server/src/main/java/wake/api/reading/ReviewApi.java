package wake.api.reading;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.Refused;
import wake.api.reading.ReadingViews.OtherView;
import wake.api.reading.ReadingViews.ReadingView;
import wake.reading.Reading;
import wake.reading.Yardstick;
import wake.review.OpenAttempt;
import wake.review.Reviews;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;

/** The reading of an attempt. */
@RestController
@RequestMapping("/api/attempts/{id}")
class ReviewApi {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.UK);

    /** So many other attempts are offered to be read against, the latest. */
    private static final int OTHERS = 40;

    private final Reviews reviews;
    private final AttemptStore attempts;

    ReviewApi(Reviews reviews, AttemptStore attempts) {
        this.reviews = reviews;
        this.attempts = attempts;
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
        OpenAttempt open = reviews.open(id);
        Yardstick read = other.isPresent()
                ? against(open, reviews.open(other.get()))
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
        return attempts.alikeMarked(open.attempt(), OTHERS).stream()
                .map(other -> new OtherView(other.id(), words(other)))
                .toList();
    }

    private static String words(Attempt attempt) {
        return attempt.athlete() + " on " + DAY.format(attempt.doneOn());
    }
}
