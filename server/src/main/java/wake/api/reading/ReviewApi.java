package wake.api.reading;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.InvalidRequest;
import wake.api.reading.MaxRepsViews.MostView;
import wake.api.reading.ReadingViews.OtherView;
import wake.api.reading.ReadingViews.ReadingView;
import wake.projection.Fan;
import wake.projection.FatigueCost;
import wake.reading.Baseline;
import wake.reading.MaxReps;
import wake.reading.Reading;
import wake.reading.WakePoint;
import wake.review.OpenAttempt;
import wake.review.RetestJson;
import wake.review.Retests;
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

    private static final int FAN_REPLAYS = 400;

    private final Reviews reviews;
    private final Retests retests;
    private final AttemptStore attempts;

    ReviewApi(Reviews reviews, Retests retests, AttemptStore attempts) {
        this.reviews = reviews;
        this.retests = retests;
        this.attempts = attempts;
    }

    /**
     * Where every second went; against the plan when there is one, else against the attempt's own best. Against another
     * attempt when {@code other} names one at the same workout.
     */
    @GetMapping("/reading")
    ReadingView reading(
            @PathVariable UUID id, @RequestParam Optional<Baseline.Kind> baseline, @RequestParam Optional<UUID> other) {
        OpenAttempt open = reviews.open(id);
        return ReadingViews.of(
                Reading.of(open.log(), read(open, baseline, other)),
                open.baselines(),
                others(open),
                open.asDone().plan().isEmpty());
    }

    /** As many of one movement as there was time for, with what a target would take. */
    @GetMapping("/reading/most")
    MostView most(@PathVariable UUID id, @RequestParam int target) {
        MaxReps most = MaxReps.of(reviews.open(id).log())
                .orElseThrow(() ->
                        new InvalidRequest("target", "This is not a max-reps attempt, or nothing is logged yet."));
        return InvalidRequest.orElse("target", () -> MaxRepsViews.of(most, target));
    }

    /** The retest's wake beside the attempt's, with what is chosen for it: where it would run in most replays. */
    @GetMapping("/reading/fan")
    List<FanView> fan(
            @PathVariable UUID id, @RequestParam Optional<Baseline.Kind> baseline, @RequestParam Optional<UUID> other) {
        OpenAttempt open = reviews.open(id);
        if (!open.log().over()) {
            return List.of();
        }
        RetestJson chosen = retests.chosen(open);
        if (chosen.on().isEmpty()) {
            return List.of();
        }
        FatigueCost back = chosen.usedBack(retests.calibration(open).fatigueCost());
        Map<Integer, Fan.Border> fan = Fan.of(open.log(), chosen.on(), back, FAN_REPLAYS).borders().stream()
                .collect(Collectors.toMap(Fan.Border::segmentIndex, Function.identity()));
        return Reading.of(open.log(), read(open, baseline, other)).wake().stream()
                .filter(WakePoint::border)
                .flatMap(point -> point.workMs() == 0
                        ? Stream.of(new FanView(0, 0, 0, 0))
                        : Stream.ofNullable(fan.get(point.segmentIndex())).map(at -> FanView.of(point, at)))
                .toList();
    }

    /**
     * The retest at one border of the wake, in milliseconds ahead of the baseline.
     *
     * @param lowMs one replay in ten is less far ahead
     * @param highMs one in ten is further ahead
     */
    record FanView(long workMs, long lowMs, long middleMs, long highMs) {
        static FanView of(WakePoint point, Fan.Border at) {
            long work = point.workMs();
            return new FanView(work, work - at.lateMs(), work - at.middleMs(), work - at.earlyMs());
        }
    }

    private Baseline read(OpenAttempt open, Optional<Baseline.Kind> baseline, Optional<UUID> other) {
        return other.isPresent()
                ? against(open, reviews.open(other.get()))
                : open.baseline(
                        baseline.filter(kind -> kind != Baseline.Kind.ATTEMPT).orElse(open.usualYardstick()));
    }

    private static Baseline against(OpenAttempt open, OpenAttempt other) {
        if (!open.sameWorkoutAs(other)) {
            throw new InvalidRequest("other", "That attempt is a different workout or part.");
        }
        return Baseline.attempt(other.log(), words(other.attempt()), open.log());
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
