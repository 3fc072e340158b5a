package wake.api.log;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.InvalidRequest;
import wake.api.log.LogViews.LogView;
import wake.exchange.TimeSheet;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Row;
import wake.exchange.TimeSheet.Times;
import wake.log.AttemptLog;
import wake.review.LogService;
import wake.review.OpenAttempt;
import wake.review.Reviews;
import wake.review.SheetMarks;
import wake.store.Exclusively;
import wake.store.MarkStore.StoredMark;
import wake.store.RequestStore;
import wake.units.Digits;
import wake.units.Messages;

/** Times jotted beside the workout: an attempt logged without a recording. */
@RestController
@RequestMapping("/api/attempts/{attemptId}/times")
class TimesApi {
    private final Exclusively exclusively;
    private final Reviews reviews;
    private final LogService book;
    private final RequestStore requests;

    /**
     * Jotted times.
     *
     * @param each what a line stands for
     * @param times what a single time on a line is
     * @param replace whether they take the place of marks there are
     * @param id of the caller's making: kept under it once, the same request again does nothing more
     */
    record TimesRequest(
            @NotNull @Size(max = 100_000) String text,
            @NotNull Each each,
            @NotNull Times times,
            boolean replace,
            @Nullable UUID id) {}

    /**
     * What the times were taken as.
     *
     * @param digits the precision of the times
     * @param unaccountedMs seconds that neither split nor clock accounts for
     * @param score what the attempt would score
     * @param inTheWay how many marks there are already
     * @param says all of it in a sentence
     */
    record TimesView(
            List<TimesRow> rows,
            Digits digits,
            long unaccountedMs,
            boolean sound,
            String score,
            int inTheWay,
            String says) {}

    /**
     * A line.
     *
     * @param place what it was taken as
     * @param taken what its single time was taken as
     * @param unused what of it says nothing and is left out; empty when all of it was read
     */
    record TimesRow(
            int line,
            String place,
            @Nullable Times taken,
            @Nullable Long splitMs,
            @Nullable Long clockMs,
            long gapMs,
            @Nullable String problem,
            String unused) {
        static TimesRow of(Row row) {
            return new TimesRow(
                    row.line(),
                    row.place(),
                    row.taken().orElse(null),
                    row.splitMs().isPresent() ? row.splitMs().getAsLong() : null,
                    row.clockMs().isPresent() ? row.clockMs().getAsLong() : null,
                    row.gapMs(),
                    row.problem().orElse(null),
                    row.unused());
        }
    }

    TimesApi(Exclusively exclusively, Reviews reviews, LogService book, RequestStore requests) {
        this.exclusively = exclusively;
        this.reviews = reviews;
        this.book = book;
        this.requests = requests;
    }

    /** Reads times without keeping them. */
    @PostMapping("/check")
    TimesView check(@PathVariable UUID attemptId, @Valid @RequestBody TimesRequest request) {
        OpenAttempt open = reviews.open(attemptId);
        TimeSheet sheet = sheet(open, request);
        AttemptLog log = AttemptLog.of(open.expanded(), sheet.marks());
        return new TimesView(
                sheet.rows().stream().map(TimesRow::of).toList(),
                log.digits(),
                sheet.unaccountedMs(),
                sheet.isSound(),
                sheet.marks().isEmpty() ? "" : log.scoreWords(),
                open.marks().size(),
                says(sheet, log, request.times() == Times.EITHER));
    }

    /** Keeps them as marks, as one change; refused while a line has a problem, or marks are in the way. */
    @PostMapping
    LogView keep(@PathVariable UUID attemptId, @Valid @RequestBody TimesRequest request) {
        TimeSheet sheet = sheet(reviews.open(attemptId), request);
        return exclusively.on(attemptId, () -> keep(attemptId, request, sheet));
    }

    private LogView keep(UUID attemptId, TimesRequest request, TimeSheet sheet) {
        OpenAttempt open = reviews.open(attemptId);
        if (request.id() != null && !requests.first(request.id(), attemptId, "times")) {
            return LogViews.of(open, book);
        }
        sheet.rows().stream()
                .filter(row -> row.problem().isPresent())
                .findFirst()
                .ifPresent(row -> {
                    throw new InvalidRequest(
                            "text",
                            "Line " + row.line() + ": "
                                    + Messages.sentence(row.problem().orElseThrow()));
                });
        if (sheet.marks().isEmpty()) {
            throw new InvalidRequest("text", "Write one line per movement, round or set, with its time.");
        }
        if (!request.replace() && !open.marks().isEmpty()) {
            throw new InvalidRequest(
                    "replace",
                    "This attempt has " + open.marks().size() + " marks already. Confirm that the times replace them.");
        }
        List<UUID> gone = open.marks().stream().map(StoredMark::id).toList();
        List<StoredMark> made = SheetMarks.stored(attemptId, sheet.marks(), "times");
        book.putAll(attemptId, gone, made);
        return LogViews.of(reviews.open(attemptId), book);
    }

    private static TimeSheet sheet(OpenAttempt open, TimesRequest request) {
        return TimeSheet.read(request.text(), request.each(), request.times(), open.expanded(), open.planOrDraft());
    }

    private static String says(TimeSheet sheet, AttemptLog log, boolean bySense) {
        long wrong = sheet.problems();
        if (sheet.rows().isEmpty()) {
            return "Nothing to read yet.";
        }
        if (wrong > 0) {
            return wrong == 1 ? "One line cannot be read." : wrong + " lines cannot be read.";
        }
        String gap = sheet.unaccountedMs() == 0
                ? ""
                : " " + log.digits().span(sheet.unaccountedMs()) + " outside the splits, counted as transitions.";
        boolean single = sheet.rows().stream().anyMatch(row -> row.taken().isPresent());
        return log.scoreWords() + (log.over() ? "." : " so far.") + gap + (bySense && single ? " " + taken(sheet) : "");
    }

    private static String taken(TimeSheet sheet) {
        String as = switch (sheet.taken()) {
            case SPLITS -> "Single times read as splits";
            case CLOCK -> "Single times read as clock times";
            case EITHER -> "Read line by line as splits or clock times";
        };
        return as + (sheet.unsure() ? ". Not certain: choose above." : ".");
    }
}
