package wake.api.today;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import wake.api.reading.ReadingViews;
import wake.api.reading.ReadingViews.PointView;
import wake.api.retest.RetestViews;
import wake.api.today.TodayApi.TodayRow;
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
import wake.review.Movements;
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
import wake.store.SummaryStore.InField;
import wake.store.SummaryStore.Made;
import wake.store.SummaryStore.OnRoster;
import wake.store.SummaryStore.Order;
import wake.store.SummaryStore.Past;
import wake.store.SummaryStore.Place;
import wake.store.SummaryStore.Wanted;
import wake.units.Digits;
import wake.units.InvalidInput;
import wake.words.LiftReviewWords;
import wake.words.ReviewWords;

/**
 * What lists say of each attempt. Worked out when an attempt has changed and kept, so that a list of thousands replays none of them:
 * a few at once when a list is asked for, many of them on the side.
 */
@Component
public class Summaries {
    private static final Logger LOG = LoggerFactory.getLogger(Summaries.class);
    /** To be raised when a reading, a projection or a summary says something else of the same marks. */
    private static final int RULES = 18;
    /** A gain below a second is not worth a line. */
    private static final long LEAST_GAIN_MS = 1000;
    /** So many are worked out while a list waits for them. */
    private static final int AT_ONCE = 24;
    /** Points of the wake a small drawing has room for. */
    private static final int POINTS = 24;

    private static final int LONGEST = 2000;

    private final AttemptStore attempts;
    private final SummaryStore store;
    private final Reviews reviews;
    private final Retests retests;
    private final LiftService lifts;
    private final Movements movements;
    private final JsonMapper json;
    private final AtomicBoolean working = new AtomicBoolean();
    /** The state in which nothing was out of date, so that it is not looked for again and again. */
    private volatile String upToDate = "";

    /** Where a review stands. */
    public enum Stage {
        UNREADABLE,
        NO_RECORDING,
        NOT_LOGGED,
        PART_LOGGED,
        LOGGED
    }

    /** What a list says of an attempt beside who did what and when. */
    public record Summary(
            Stage stage,
            String score,
            String says,
            int loggedPercent,
            @Nullable String openGain,
            List<PointView> wake) {}

    Summaries(
            AttemptStore attempts,
            SummaryStore store,
            Reviews reviews,
            Retests retests,
            LiftService lifts,
            Movements movements,
            JsonMapper json) {
        this.lifts = lifts;
        this.attempts = attempts;
        this.store = store;
        this.reviews = reviews;
        this.retests = retests;
        this.movements = movements;
        this.json = json;
    }

    /** The first so many of a list. */
    List<TodayRow> rows(Wanted wanted, Order order, int atMost) {
        return rows(store.ids(wanted, order, atMost));
    }

    /** What lists say of attempts. */
    public List<TodayRow> rows(List<UUID> ids) {
        return store.listed(ids).stream()
                .map(listed -> TodayRow.of(listed, json.readValue(listed.document(), Summary.class)))
                .toList();
    }

    /**
     * An attempt of an athlete, with what is said of it and what it shows.
     *
     * @param facts absent where the attempt is not logged to its end
     */
    public record Shown(Past past, Summary summary, Optional<FactsJson> facts) {}

    /** All of an athlete's attempts, in order of date. */
    public List<Shown> past(UUID athleteId) {
        return store.past(athleteId).stream()
                .map(past -> new Shown(
                        past,
                        json.readValue(past.document(), Summary.class),
                        past.facts().isEmpty()
                                ? Optional.empty()
                                : Optional.of(json.readValue(past.facts(), FactsJson.class))))
                .toList();
    }

    /**
     * An attempt at a workout, as its field knows it.
     *
     * @param entry absent before it has a score
     */
    public record Entered(InField attempt, Summary summary, Optional<Entry> entry) {}

    /** All attempts at a part of a workout that have marks, the latest first. */
    public List<Entered> field(UUID workoutId, int part) {
        return store.field(workoutId, part).stream()
                .map(one -> new Entered(
                        one,
                        json.readValue(one.document(), Summary.class),
                        one.entry().isEmpty()
                                ? Optional.empty()
                                : Optional.of(json.readValue(one.entry(), EntryJson.class)
                                        .entry())))
                .toList();
    }

    /**
     * An athlete on the roster.
     *
     * @param attempts how many
     * @param toReview how many of them wait for a review
     * @param last the latest that was done
     * @param due the retest or planned attempt that comes first
     */
    public record RosterRow(
            UUID athleteId,
            int attempts,
            int toReview,
            @Nullable TodayRow last,
            @Nullable TodayRow due) {}

    /** What there is of each athlete that has attempts. */
    public List<RosterRow> roster() {
        List<OnRoster> roster = store.roster();
        Map<UUID, TodayRow> rows = rows(roster.stream()
                        .flatMap(one -> Stream.concat(one.last().stream(), one.due().stream()))
                        .toList())
                .stream()
                .collect(Collectors.toMap(TodayRow::id, Function.identity()));
        return roster.stream()
                .map(one -> new RosterRow(
                        one.athleteId(),
                        one.attempts(),
                        one.toReview(),
                        one.last().map(rows::get).orElse(null),
                        one.due().map(rows::get).orElse(null)))
                .toList();
    }

    /** Brings summaries up to date; gives how many are still being worked out on the side. */
    public int refresh() {
        String rules = rules();
        String state = rules + " " + store.state();
        if (state.equals(upToDate)) {
            return 0;
        }
        List<UUID> stale = store.stale(rules, AT_ONCE + 1);
        work(stale.stream().limit(AT_ONCE).toList(), rules);
        if (stale.size() <= AT_ONCE) {
            // Looked up before: what changed meanwhile is looked at the next time.
            upToDate = stale.isEmpty() ? state : "";
            return 0;
        }
        if (working.compareAndSet(false, true)) {
            Thread.ofPlatform()
                    .name("summaries")
                    .daemon()
                    .priority(Thread.MIN_PRIORITY)
                    .start(this::workAll);
        }
        return store.staleCount(rules);
    }

    private void workAll() {
        try {
            String rules = rules();
            for (List<UUID> next = store.stale(rules, AT_ONCE); !next.isEmpty(); next = store.stale(rules, AT_ONCE)) {
                work(next, rules);
            }
        } catch (RuntimeException failed) {
            LOG.warn("The summaries could not all be worked out: {}", failed.getMessage());
        } finally {
            working.set(false);
        }
    }

    /** Own movements change what a text means. */
    private String rules() {
        return RULES + " " + movements.revision();
    }

    private void work(List<UUID> ids, String rules) {
        List<Made> made = ids.stream().flatMap(id -> made(id).stream()).toList();
        if (!made.isEmpty()) {
            store.putAll(rules, made);
        }
    }

    private Optional<Made> made(UUID id) {
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
