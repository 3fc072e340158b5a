package wake.api.comparison;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.InvalidRequest;
import wake.api.attempt.AttemptsApi.RecordingView;
import wake.api.comparison.HeadToHeadViews.HeadToHeadSideView;
import wake.api.comparison.HeadToHeadViews.HeadToHeadView;
import wake.api.comparison.HeadToHeadViews.OfferView;
import wake.api.comparison.HeadToHeadViews.OutlineView;
import wake.api.comparison.HeadToHeadViews.PairView;
import wake.comparison.Alignment;
import wake.comparison.HeadToHead;
import wake.comparison.Side;
import wake.review.OpenAttempt;
import wake.review.Reviews;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.HeatStore;
import wake.store.RecordingStore;
import wake.store.RecordingStore.Outline;
import wake.store.RecordingStore.Recording;
import wake.workout.Format;

/** Attempts at one workout beside each other. */
@RestController
@RequestMapping("/api/attempts/{id}")
class HeadToHeadApi {
    private static final int OTHERS = 60;
    private static final int MOST = 3;

    private final Reviews reviews;
    private final AttemptStore attempts;
    private final HeatStore heats;
    private final RecordingStore recordings;

    HeadToHeadApi(Reviews reviews, AttemptStore attempts, HeatStore heats, RecordingStore recordings) {
        this.reviews = reviews;
        this.attempts = attempts;
        this.heats = heats;
        this.recordings = recordings;
    }

    /**
     * An attempt beside others of the same part of the same workout, on the raw clock.
     *
     * @param with up to three others; none for the likeliest: one of its heat, else its retest or the attempt it repeats, else the latest
     */
    @GetMapping("/versus")
    HeadToHeadView versus(@PathVariable UUID id, @RequestParam(defaultValue = "") List<UUID> with) {
        OpenAttempt open = reviews.open(id);
        List<Attempt> offered = offered(open.attempt());
        Set<UUID> chosen = new LinkedHashSet<>(with);
        chosen.remove(id);
        if (chosen.size() > MOST) {
            throw new InvalidRequest("with", "Choose at most " + MOST + " others.");
        }
        if (open.expanded().format() instanceof Format.Lift) {
            throw new InvalidRequest("id", "Max-lift windows are compared in their review.");
        }
        List<OpenAttempt> all = new ArrayList<>(List.of(open));
        if (with.isEmpty()) {
            offered.stream().findFirst().map(reviews::open).ifPresent(all::add);
        } else {
            chosen.forEach(other -> all.add(comparable(open, other)));
        }
        return view(all, offered);
    }

    private OpenAttempt comparable(OpenAttempt open, UUID id) {
        OpenAttempt other = reviews.open(id);
        if (!open.sameWorkoutAs(other)) {
            throw new InvalidRequest("with", "That attempt is a different workout or part.");
        }
        return other;
    }

    private HeadToHeadView view(List<OpenAttempt> all, List<Attempt> offered) {
        List<String> names = Names.of(all.stream().map(OpenAttempt::attempt).toList());
        List<Side> sides = IntStream.range(0, all.size())
                .mapToObj(i -> new Side(
                        names.get(i),
                        all.get(i).attempt().notation(),
                        all.get(i).log()))
                .toList();
        List<PairView> pairs = sides.stream()
                .skip(1)
                .map(other -> HeadToHeadViews.pair(HeadToHead.of(sides.getFirst(), other)))
                .toList();
        Alignment alignment = Alignment.of(sides);
        return new HeadToHeadView(
                IntStream.range(0, all.size())
                        .mapToObj(i -> side(all.get(i), names.get(i)))
                        .toList(),
                pairs,
                HeadToHeadViews.slots(alignment),
                sides.stream().mapToLong(side -> side.log().clockMs()).max().orElse(0),
                alignment.slots().stream().mapToLong(Alignment.Slot::lengthMs).sum(),
                offered.stream()
                        .map(other -> new OfferView(other.id(), Names.offered(other)))
                        .toList());
    }

    private HeadToHeadSideView side(OpenAttempt open, String name) {
        Recording video = open.recordings().stream()
                .filter(one -> !one.removed() && one.goMs() != null)
                .findFirst()
                .orElse(null);
        return HeadToHeadViews.side(
                open,
                name,
                video == null ? null : RecordingView.of(video),
                video == null
                        ? null
                        : recordings.outline(video.id(), open.attempt().id()).orElse(null));
    }

    /** The likeliest first: those of its heat, its retests and what it repeats, then the latest. */
    private List<Attempt> offered(Attempt attempt) {
        List<UUID> mates = heats.mates(attempt.id()).stream()
                .map(HeatStore.InHeat::attemptId)
                .toList();
        List<Attempt> all = attempts.alikeMarked(attempt, OTHERS);
        return all.stream()
                .sorted(java.util.Comparator.comparingInt(other -> mates.contains(other.id())
                        ? 0
                        : attempt.id().equals(other.retestOf()) || other.id().equals(attempt.retestOf()) ? 1 : 2))
                .toList();
    }

    /** Where on a video an athlete is to be watched: shares of the picture, from its left and its top. */
    record OutlineRequest(
            @DecimalMin("0") @DecimalMax("1") double x,
            @DecimalMin("0") @DecimalMax("1") double y,

            @DecimalMin(value = "0.02", message = "must be at least 2% of the picture") @DecimalMax("1")
            double w,

            @DecimalMin(value = "0.02", message = "must be at least 2% of the picture") @DecimalMax("1")
            double h) {}

    /** Notes where on a video an athlete is. */
    @PutMapping("/recordings/{recordingId}/outline")
    @Transactional
    public OutlineView outline(
            @PathVariable UUID id, @PathVariable UUID recordingId, @Valid @RequestBody OutlineRequest request) {
        onVideo(id, recordingId);
        Outline outline = new Outline(
                Math.min(request.x(), 1 - request.w()),
                Math.min(request.y(), 1 - request.h()),
                request.w(),
                request.h());
        recordings.putOutline(recordingId, id, outline);
        return new OutlineView(outline.x(), outline.y(), outline.w(), outline.h());
    }

    /** Forgets where on a video an athlete is. */
    @DeleteMapping("/recordings/{recordingId}/outline")
    @Transactional
    public void forgetOutline(@PathVariable UUID id, @PathVariable UUID recordingId) {
        onVideo(id, recordingId);
        recordings.forgetOutline(recordingId, id);
    }

    private void onVideo(UUID id, UUID recordingId) {
        boolean on =
                reviews.open(id).recordings().stream().anyMatch(one -> one.id().equals(recordingId));
        if (!on) {
            throw new InvalidRequest("recordingId", "This attempt is not on that video.");
        }
    }
}
