package wake.api.today;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import wake.api.reading.ReadingViews.PointView;
import wake.api.today.TodayApi.TodayRow;
import wake.field.Entry;
import wake.review.EntryJson;
import wake.review.FactsJson;
import wake.review.Movements;
import wake.store.SummaryStore;
import wake.store.SummaryStore.InField;
import wake.store.SummaryStore.Made;
import wake.store.SummaryStore.OnRoster;
import wake.store.SummaryStore.Order;
import wake.store.SummaryStore.Past;
import wake.store.SummaryStore.Wanted;

/**
 * What lists say of each attempt. Worked out when an attempt has changed and kept, so that a list of thousands replays none of them:
 * a few at once when a list is asked for, many of them on the side.
 */
@Component
public class Summaries {
    private static final Logger LOG = LoggerFactory.getLogger(Summaries.class);
    /** To be raised when a reading, a projection or a summary says something else of the same marks. */
    private static final int RULES = 18;
    /** So many are worked out while a list waits for them. */
    private static final int AT_ONCE = 24;

    private final SummaryStore store;
    private final SummaryMaker maker;
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

    Summaries(SummaryStore store, SummaryMaker maker, Movements movements, JsonMapper json) {
        this.store = store;
        this.maker = maker;
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
        List<Made> made = ids.stream().flatMap(id -> maker.made(id).stream()).toList();
        if (!made.isEmpty()) {
            store.putAll(rules, made);
        }
    }
}
