package wake.api.today;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import wake.api.reading.ReadingViews;
import wake.api.reading.ReadingViews.PointView;
import wake.api.retest.RetestViews;
import wake.api.today.Summaries.Stage;
import wake.api.today.Summaries.Summary;
import wake.field.Entry;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.log.SegmentSplit;
import wake.plan.lift.LiftPlan;
import wake.projection.EvidenceWeights;
import wake.projection.FatigueCost;
import wake.projection.Gain;
import wake.projection.Outcome;
import wake.projection.Projection;
import wake.projection.Projection.Terms;
import wake.projection.Suggestions;
import wake.reading.Reading;
import wake.review.Documents.KeptPlan;
import wake.review.EntryJson;
import wake.review.FactsJson;
import wake.review.LiftService;
import wake.review.OpenAttempt;
import wake.review.ProjectedJson;
import wake.review.Retests;
import wake.review.Reviews;
import wake.review.Unreadable;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.DatabaseHealth;
import wake.store.RecordingStore;
import wake.store.SummaryStore;
import wake.store.SummaryStore.Made;
import wake.store.SummaryStore.Place;
import wake.units.Digits;
import wake.units.InvalidInput;
import wake.words.LiftReviewWords;
import wake.words.ReviewWords;

/** Works out what lists, an athlete's page and a field need to know of one attempt. */
@Component
class SummaryMaker {
    private static final Logger LOG = LoggerFactory.getLogger(SummaryMaker.class);
    /** A gain below a second is not worth a line. */
    private static final long LEAST_GAIN_MS = 1000;
    /** Points of the wake a small drawing has room for. */
    private static final int POINTS = 24;

    private static final int LONGEST = 2000;

    private final AttemptStore attempts;
    private final SummaryStore store;
    private final Reviews reviews;
    private final Retests retests;
    private final LiftService lifts;
    private final JsonMapper json;

    SummaryMaker(
            AttemptStore attempts,
            SummaryStore store,
            Reviews reviews,
            Retests retests,
            LiftService lifts,
            JsonMapper json) {
        this.attempts = attempts;
        this.store = store;
        this.reviews = reviews;
        this.retests = retests;
        this.lifts = lifts;
        this.json = json;
    }

    /** The summary of an attempt as it is now; empty where there is no such attempt. */
    Optional<Made> made(UUID id) {
        long version = store.version(id);
        return attempts.find(id).map(attempt -> {
            Placed placed = placed(attempt);
            return new Made(
                    id,
                    version,
                    placed.place(),
                    placed.title(),
                    attempt.doneOn(),
                    json.writeValueAsString(placed.summary()),
                    placed.facts()
                            .map(facts -> written(facts, SummaryStore.LONGEST_FACTS))
                            .orElse(""),
                    placed.entry()
                            .map(entry -> written(entry, SummaryStore.LONGEST_ENTRY))
                            .orElse(""));
        });
    }

    /** What does not fit is left out: lists do without it. */
    private String written(Object facts, int longest) {
        String document = json.writeValueAsString(facts);
        return document.length() > longest ? "" : document;
    }

    private record Placed(
            Place place, String title, Summary summary, Optional<FactsJson> facts, Optional<EntryJson> entry) {
        /** Of one that cannot be read, or is not over, nothing is said of its athlete. */
        Placed(Place place, String title, Summary summary) {
            this(place, title, summary, Optional.empty(), Optional.empty());
        }

        Placed showing(FactsJson shown) {
            return new Placed(place, title, summary, Optional.of(shown), entry);
        }

        Placed entered(EntryJson known) {
            return new Placed(place, title, summary, facts, Optional.of(known));
        }
    }

    private Placed placed(Attempt attempt) {
        try {
            OpenAttempt open = reviews.open(attempt);
            Reading reading = open.reading();
            Placed placed = placed(open, summary(open, reading), retests.projected(attempt.id()));
            if (placed.summary().stage() == Stage.LOGGED) {
                placed = placed.showing(FactsJson.of(reading));
            }
            return EntryJson.isRanked(open.log()) ? placed.entered(EntryJson.of(Entry.of(open.log()))) : placed;
        } catch (Unreadable one) {
            return one.isDefect() ? defect(attempt, one) : unreadable(attempt, one.why());
        } catch (InvalidInput invalid) {
            return unreadable(attempt, "This attempt cannot be read, because " + invalid.getMessage());
        } catch (RuntimeException failed) {
            // That says nothing of the attempt: it is tried again with the next list.
            if (DatabaseHealth.isItsFailure(failed)) {
                throw failed;
            }
            return defect(attempt, failed);
        }
    }

    private static Placed defect(Attempt attempt, RuntimeException failure) {
        LOG.error("Wake fails at the attempt {}", attempt.id(), failure);
        return unreadable(
                attempt,
                "Something went wrong in Wake, not in what you entered. The marks are safe. Error " + attempt.id()
                        + ".");
    }

    /** One that cannot be read says so, and everything else goes on. */
    private static Placed unreadable(Attempt attempt, String why) {
        String words = why.length() > LONGEST ? why.substring(0, LONGEST) : why;
        return new Placed(
                Place.TO_REVIEW, titleAsWritten(attempt), new Summary(Stage.UNREADABLE, "", words, 0, null, List.of()));
    }

    private Placed placed(OpenAttempt open, Summary summary, Optional<ProjectedJson> projected) {
        String title = title(open);
        if (summary.stage() == Stage.LOGGED && projected.isPresent()) {
            String says = projected
                    .get()
                    .liftsCame(open.log().score())
                    .or(() -> retests.compared(open.attempt())
                            .map(compared -> RetestViews.actual(compared).answer()))
                    .orElse(summary.says());
            return new Placed(Place.CHECKED, title, saying(summary, says));
        }
        if (summary.stage() == Stage.LOGGED) {
            return new Placed(Place.REVIEWED, title, summary);
        }
        if (summary.stage() == Stage.NO_RECORDING && projected.isPresent()) {
            String says = "Projected " + projected.get().score().brief(Digits.WHOLE) + " (was "
                    + projected.get().before().score().brief(Digits.WHOLE) + ").";
            return new Placed(Place.RETEST_DUE, title, saying(summary, says));
        }
        return new Placed(summary.stage() == Stage.NO_RECORDING ? Place.PLANNED : Place.TO_REVIEW, title, summary);
    }

    private static Summary saying(Summary summary, String words) {
        return new Summary(
                summary.stage(), summary.score(), words, summary.loggedPercent(), summary.openGain(), summary.wake());
    }

    private Summary summary(OpenAttempt open, Reading reading) {
        AttemptLog log = open.log();
        Stage stage = stage(open);
        return new Summary(
                stage,
                stage == Stage.LOGGED ? log.scoreWords() : "",
                switch (stage) {
                    case UNREADABLE -> "";
                    case NO_RECORDING -> "No video yet.";
                    case NOT_LOGGED -> "Video added, not logged.";
                    case PART_LOGGED -> partLogged(log);
                    case LOGGED ->
                        log.lifts().isEmpty()
                                ? ReviewWords.headline(reading)
                                : LiftReviewWords.headline(lifts.reading(open));
                },
                stage == Stage.LOGGED ? 100 : percent(log),
                stage == Stage.LOGGED && !retests.retested(open.attempt().id()) ? openGain(log) : null,
                thinned(reading.wake().stream().map(ReadingViews::point).toList()));
    }

    private static String title(OpenAttempt open) {
        String part = open.part().name();
        return open.workout().title() + (part.isEmpty() ? "" : " " + part);
    }

    private static String titleAsWritten(Attempt attempt) {
        String first = attempt.notation().lines().findFirst().orElse("").replaceFirst("^#\\s*", "");
        return first.length() > 200 ? first.substring(0, 200) : first;
    }

    private static String partLogged(AttemptLog log) {
        return log.splits().isEmpty()
                ? log.lifts().size() + (log.lifts().size() == 1 ? " lift logged." : " lifts logged.")
                : "Logged to " + log.splits().getLast().segment().place() + ".";
    }

    /** How far the log has come: by segments, or by the clock where it goes on until the buzzer. */
    private static int percent(AttemptLog log) {
        long complete = log.splits().stream().filter(SegmentSplit::complete).count();
        int length = log.expanded().length().orElse(0);
        return length > 0
                ? (int) (100 * complete / length)
                : (int) (100 * log.clockMs() / log.expanded().capMs().orElse(Long.MAX_VALUE));
    }

    private static Stage stage(OpenAttempt open) {
        if (open.log().over() || allLifted(open)) {
            return Stage.LOGGED;
        }
        if (!open.log().splits().isEmpty() || !open.log().lifts().isEmpty()) {
            return Stage.PART_LOGGED;
        }
        return open.recordings().stream().allMatch(RecordingStore.Recording::removed)
                ? Stage.NO_RECORDING
                : Stage.NOT_LOGGED;
    }

    /** A lift window is done once as many lifts are marked as were planned; without a plan, with the first. */
    private static boolean allLifted(OpenAttempt open) {
        int planned = open.asDone()
                .plan()
                .flatMap(KeptPlan::lift)
                .map(LiftPlan::lifts)
                .map(List::size)
                .orElse(1);
        return open.log().lifts().size() >= planned;
    }

    /** What the proposals worth making would win, as far as it is backed; nothing when that is nothing. */
    private static @Nullable String openGain(AttemptLog log) {
        if (!log.lifts().isEmpty()) {
            return null;
        }
        Terms terms = new Terms(List.of(), EvidenceWeights.USUAL, FatigueCost.USUAL, 0, 0);
        Projection projection = Projection.of(log, Suggestions.of(log), terms);
        boolean same = Score.compare(projection.proven(), projection.before()) == 0;
        Gain proven = Gain.between(projection.before(), projection.proven());
        return same || proven.reps() == 0 && Math.abs(proven.ms()) < LEAST_GAIN_MS
                ? null
                : Outcome.difference(projection.before(), projection.proven(), Digits.WHOLE) + " (proven)";
    }

    /** As many points as a small drawing shows, the first and the last among them. */
    private static List<PointView> thinned(List<PointView> points) {
        if (points.size() <= POINTS) {
            return points;
        }
        return IntStream.range(0, POINTS)
                .mapToObj(index -> points.get((int) Math.round(index * (points.size() - 1.0) / (POINTS - 1))))
                .toList();
    }
}
