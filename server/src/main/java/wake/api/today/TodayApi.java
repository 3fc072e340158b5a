package wake.api.today;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.availability.ApplicationAvailability;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.reading.ReadingViews.PointView;
import wake.api.today.Summaries.Stage;
import wake.api.today.Summaries.Summary;
import wake.store.SummaryStore;
import wake.store.SummaryStore.Listed;
import wake.store.SummaryStore.Order;
import wake.store.SummaryStore.Place;
import wake.store.SummaryStore.Wanted;

/** What needs the coach today. */
@RestController
@RequestMapping("/api/today")
public class TodayApi {
    private static final int SHOWN = 8;

    private final SummaryStore store;
    private final Summaries summaries;
    private final ApplicationAvailability availability;

    /**
     * Attempts by what they wait for; of each the first few.
     *
     * @param retestsDue set and not done yet, the next one first
     * @param toBeDone entered or planned, and nothing recorded yet
     * @param checked retests done, with the outcome of their projections
     * @param counts how many there are of each in all
     * @param beingRead how many attempts are still being read for these lists
     * @param filling whether the demo gym is still being filled
     */
    record TodayView(
            List<TodayRow> toReview,
            List<TodayRow> reviewed,
            List<TodayRow> retestsDue,
            List<TodayRow> toBeDone,
            List<TodayRow> checked,
            Map<Place, Integer> counts,
            int beingRead,
            boolean filling) {}

    /** An attempt, with the one thing to know about it. */
    public record TodayRow(
            UUID id,
            UUID athleteId,
            String athlete,
            String title,
            String division,
            LocalDate doneOn,
            @Nullable UUID retestOf,
            Place place,
            Stage stage,
            String score,
            String says,
            int loggedPercent,
            @Nullable String openGain,
            List<PointView> wake) {
        static TodayRow of(Listed listed, Summary summary) {
            return new TodayRow(
                    listed.id(),
                    listed.athleteId(),
                    listed.athlete(),
                    listed.title(),
                    listed.division(),
                    listed.doneOn(),
                    listed.retestOf(),
                    listed.place(),
                    summary.stage(),
                    summary.score(),
                    summary.says(),
                    summary.loggedPercent(),
                    summary.openGain(),
                    summary.wake());
        }
    }

    TodayApi(SummaryStore store, Summaries summaries, ApplicationAvailability availability) {
        this.store = store;
        this.summaries = summaries;
        this.availability = availability;
    }

    @GetMapping
    TodayView today() {
        int beingRead = summaries.refresh();
        return new TodayView(
                rows(Place.TO_REVIEW, Order.LATEST),
                rows(Place.REVIEWED, Order.LATEST),
                rows(Place.RETEST_DUE, Order.EARLIEST),
                rows(Place.PLANNED, Order.LATEST),
                rows(Place.CHECKED, Order.LATEST),
                store.counts(),
                beingRead,
                availability.getReadinessState() != ReadinessState.ACCEPTING_TRAFFIC);
    }

    private List<TodayRow> rows(Place place, Order order) {
        return summaries.rows(Wanted.at(place), order, SHOWN);
    }
}
