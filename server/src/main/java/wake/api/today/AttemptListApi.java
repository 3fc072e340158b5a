package wake.api.today;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.InvalidRequest;
import wake.api.today.TodayApi.TodayRow;
import wake.store.SummaryStore;
import wake.store.SummaryStore.Order;
import wake.store.SummaryStore.Place;
import wake.store.SummaryStore.Wanted;

/** All attempts, to be searched, filtered and sorted, a page at a time. */
@RestController
@RequestMapping("/api/attempts")
class AttemptListApi {
    private static final int LARGEST_PAGE = 50;
    private static final int LONGEST_SEARCH = 200;

    private final SummaryStore store;
    private final Summaries summaries;

    /**
     * A page of a list of attempts.
     *
     * @param total how many there are on all pages
     * @param beingRead how many attempts are still being read, and may be missing
     */
    record AttemptPage(List<TodayRow> rows, int page, int pages, int total, int beingRead) {}

    AttemptListApi(SummaryStore store, Summaries summaries) {
        this.store = store;
        this.summaries = summaries;
    }

    /**
     * A page of the attempts wanted.
     *
     * @param words each has to be in the athlete's name or the workout's title
     * @param place what it waits for
     * @param from on that day or later
     * @param to on that day or earlier
     * @param page from 1
     * @param size rows of a page, 50 at most
     */
    @GetMapping
    AttemptPage attempts(
            @RequestParam(defaultValue = "") String words,
            @RequestParam Optional<UUID> athlete,
            @RequestParam Optional<Place> place,
            @RequestParam Optional<LocalDate> from,
            @RequestParam Optional<LocalDate> to,
            @RequestParam(defaultValue = "LATEST") Order order,
            @RequestParam(defaultValue = "1") int page,
            @RequestParam(defaultValue = "25") int size) {
        if (words.length() > LONGEST_SEARCH) {
            throw new InvalidRequest("words", "At most " + LONGEST_SEARCH + " characters.");
        }
        if (page < 1 || size < 1 || size > LARGEST_PAGE) {
            throw new InvalidRequest("page", "Use a page from 1, with 1 to " + LARGEST_PAGE + " rows.");
        }
        int beingRead = summaries.refresh();
        List<String> each = Arrays.stream(words.strip().split("\\s+"))
                .filter(word -> !word.isEmpty())
                .toList();
        Wanted wanted = new Wanted(each, athlete, place, from, to);
        List<UUID> all = store.ids(wanted, order);
        int total = all.size();
        int pages = Math.max(1, (total + size - 1) / size);
        int shown = Math.min(page, pages);
        List<TodayRow> rows = summaries.rows(all.subList((shown - 1) * size, Math.min(shown * size, total)));
        return new AttemptPage(rows, shown, pages, total, beingRead);
    }
}
