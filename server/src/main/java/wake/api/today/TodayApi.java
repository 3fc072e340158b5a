package wake.api.today;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.reading.ReadingViews;
import wake.api.reading.ReadingViews.PointView;
import wake.api.retest.RetestViews;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.log.SegmentSplit;
import wake.projection.Projection;
import wake.projection.Suggestions;
import wake.reading.Reading;
import wake.review.CalledJson;
import wake.review.OpenAttempt;
import wake.review.Retests;
import wake.review.Reviews;
import wake.review.Unreadable;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.RecordingStore;

/** What needs the coach today. */
@RestController
@RequestMapping("/api/today")
class TodayApi {
    private static final Logger LOG = LoggerFactory.getLogger(TodayApi.class);

    private final AttemptStore attempts;
    private final Reviews reviews;
    private final Retests retests;

    /**
     * Attempts by what they wait for.
     *
     * @param retestsDue set and not done yet, the next one first
     * @param checked retests done, with what came of their calls
     */
    record TodayView(
            List<TodayRow> toReview, List<TodayRow> reviewed, List<TodayRow> retestsDue, List<TodayRow> checked) {}

    /** Where a review stands. */
    enum Stage {
        UNREADABLE,
        NO_RECORDING,
        NOT_LOGGED,
        PART_LOGGED,
        LOGGED
    }

    /** An attempt, with the one thing to know about it. */
    record TodayRow(
            UUID id,
            UUID athleteId,
            String athlete,
            String title,
            String division,
            LocalDate doneOn,
            @Nullable UUID retestOf,
            Stage stage,
            String score,
            String says,
            int loggedPercent,
            @Nullable String openGain,
            List<PointView> wake) {
        TodayRow saying(String words) {
            return new TodayRow(
                    id,
                    athleteId,
                    athlete,
                    title,
                    division,
                    doneOn,
                    retestOf,
                    stage,
                    score,
                    words,
                    loggedPercent,
                    openGain,
                    wake);
        }
    }

    TodayApi(AttemptStore attempts, Reviews reviews, Retests retests) {
        this.attempts = attempts;
        this.reviews = reviews;
        this.retests = retests;
    }

    @GetMapping
    TodayView today() {
        List<TodayRow> toReview = new ArrayList<>();
        List<TodayRow> reviewed = new ArrayList<>();
        List<TodayRow> due = new ArrayList<>();
        List<TodayRow> checked = new ArrayList<>();
        for (var attempt : attempts.all()) {
            OpenAttempt open;
            TodayRow row;
            try {
                open = reviews.open(attempt);
                row = row(open);
            } catch (Unreadable one) {
                toReview.add(unreadable(attempt, one.why()));
                continue;
            } catch (RuntimeException refused) {
                LOG.warn("The attempt {} cannot be read", attempt.id(), refused);
                toReview.add(unreadable(attempt, "This attempt cannot be read, because " + refused.getMessage()));
                continue;
            }
            Optional<CalledJson> called = retests.called(attempt.id());
            if (row.stage() == Stage.LOGGED && called.isPresent()) {
                checked.add(row.saying(retests.compared(attempt)
                        .map(compared -> RetestViews.came(compared).answer())
                        .orElse(row.says())));
            } else if (row.stage() == Stage.LOGGED) {
                reviewed.add(row);
            } else if (called.isPresent() && row.stage() == Stage.NO_RECORDING) {
                due.add(row.saying("Called: " + called.get().together().score().words() + " if all of it lands, from "
                        + called.get().before().score().words() + "."));
            } else {
                toReview.add(row);
            }
        }
        due.sort(Comparator.comparing(TodayRow::doneOn));
        return new TodayView(toReview, reviewed, due, checked);
    }

    /** One that cannot be read says so, and everything else goes on. */
    private static TodayRow unreadable(Attempt attempt, String why) {
        String title = attempt.notation().lines().findFirst().orElse("").replaceFirst("^#\\s*", "");
        return new TodayRow(
                attempt.id(),
                attempt.athleteId(),
                attempt.athlete(),
                title,
                attempt.division(),
                attempt.doneOn(),
                attempt.retestOf(),
                Stage.UNREADABLE,
                "",
                why,
                0,
                null,
                List.of());
    }

    private static TodayRow row(OpenAttempt open) {
        AttemptLog log = open.log();
        Stage stage = stage(open);
        Reading reading = Reading.of(log, open.yardstick(open.usualYardstick()));
        return new TodayRow(
                open.attempt().id(),
                open.attempt().athleteId(),
                open.attempt().athlete(),
                title(open),
                open.attempt().division(),
                open.attempt().doneOn(),
                open.attempt().retestOf(),
                stage,
                stage == Stage.LOGGED ? log.score().words() : "",
                switch (stage) {
                    case UNREADABLE -> "";
                    case NO_RECORDING -> "No recording yet: add one, and log it.";
                    case NOT_LOGGED -> "Recorded, not logged yet.";
                    case PART_LOGGED -> partLogged(log);
                    case LOGGED -> reading.answer();
                },
                stage == Stage.LOGGED ? 100 : percent(log),
                stage == Stage.LOGGED ? openGain(log) : null,
                reading.wake().stream().map(ReadingViews::point).toList());
    }

    private static String title(OpenAttempt open) {
        String part = open.part().name();
        return open.workout().title() + (part.isEmpty() ? "" : " " + part);
    }

    private static String partLogged(AttemptLog log) {
        return log.splits().isEmpty()
                ? log.lifts().size() + " lifts logged."
                : "Logged up to " + log.splits().getLast().segment().place() + ".";
    }

    /** How far the log has come: by segments, or by the clock where it goes on until the bell. */
    private static int percent(AttemptLog log) {
        long complete = log.splits().stream().filter(SegmentSplit::complete).count();
        int length = log.course().length().orElse(0);
        return length > 0
                ? (int) (100 * complete / length)
                : (int) (100 * log.clockMs() / log.course().capMs().orElse(Long.MAX_VALUE));
    }

    private static Stage stage(OpenAttempt open) {
        if (open.log().over()) {
            return Stage.LOGGED;
        }
        if (!open.log().splits().isEmpty() || !open.log().lifts().isEmpty()) {
            return Stage.PART_LOGGED;
        }
        return open.recordings().stream().allMatch(RecordingStore.Recording::removed)
                ? Stage.NO_RECORDING
                : Stage.NOT_LOGGED;
    }

    /** What the proposals worth making would win, as far as it is backed; nothing when that is nothing. */
    private static @Nullable String openGain(AttemptLog log) {
        Projection projection = Projection.of(log, Suggestions.of(log));
        return projection.onEvidence().equals(projection.before()) ? null : words(projection.onEvidence());
    }

    private static String words(Score score) {
        return score.words() + " on evidence";
    }
}
