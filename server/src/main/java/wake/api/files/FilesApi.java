package wake.api.files;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.Downloads;
import wake.api.InvalidRequest;
import wake.exchange.CaptionFile;
import wake.exchange.LogSheets;
import wake.exchange.WakePicture;
import wake.log.Mark;
import wake.reading.Reading;
import wake.review.OpenAttempt;
import wake.review.Reviews;
import wake.store.RecordingStore.Recording;

/** An attempt in open formats. */
@RestController
@RequestMapping("/api/attempts/{id}/files")
class FilesApi {
    private static final String CSV = "text/csv";
    private static final String VTT = "text/vtt";

    private final Reviews reviews;

    FilesApi(Reviews reviews) {
        this.reviews = reviews;
    }

    /** A row for each segment. */
    @GetMapping(value = "/splits.csv", produces = CSV)
    ResponseEntity<String> splits(@PathVariable UUID id) {
        OpenAttempt open = reviews.open(id);
        return file(open, "splits.csv", CSV, LogSheets.splits(open.log()));
    }

    /** A row for each set. */
    @GetMapping(value = "/sets.csv", produces = CSV)
    ResponseEntity<String> sets(@PathVariable UUID id) {
        OpenAttempt open = reviews.open(id);
        return file(open, "sets.csv", CSV, LogSheets.sets(open.log()));
    }

    /** A row for each complete round. */
    @GetMapping(value = "/rounds.csv", produces = CSV)
    ResponseEntity<String> rounds(@PathVariable UUID id) {
        OpenAttempt open = reviews.open(id);
        return file(open, "rounds.csv", CSV, LogSheets.rounds(open.reading().blocks()));
    }

    /** A row for each lift of a lift window. */
    @GetMapping(value = "/lifts.csv", produces = CSV)
    ResponseEntity<String> lifts(@PathVariable UUID id) {
        OpenAttempt open = reviews.open(id);
        return file(open, "lifts.csv", CSV, LogSheets.lifts(open.log()));
    }

    /** A row for each mark, at its clock; the sheet of marks takes it in again. */
    @GetMapping(value = "/marks.csv", produces = CSV)
    ResponseEntity<String> marks(@PathVariable UUID id) {
        OpenAttempt open = reviews.open(id);
        List<Mark> marks = open.marksOnTheClock().stream()
                .sorted(Comparator.comparingLong(Mark::atMs))
                .toList();
        return file(open, "marks.csv", CSV, LogSheets.marks(marks));
    }

    /** A chapter for each segment, in the times of a recording, or of the clock without one. */
    @GetMapping(value = "/chapters.vtt", produces = VTT)
    ResponseEntity<String> chapters(@PathVariable UUID id, @RequestParam Optional<UUID> recording) {
        OpenAttempt open = reviews.open(id);
        return file(open, "chapters.vtt", VTT, CaptionFile.chapters(open.log(), goMs(open, recording)));
    }

    /** The running count and the coach's notes, in the times of a recording, or of the clock without one. */
    @GetMapping(value = "/captions.vtt", produces = VTT)
    ResponseEntity<String> captions(@PathVariable UUID id, @RequestParam Optional<UUID> recording) {
        OpenAttempt open = reviews.open(id);
        return file(open, "captions.vtt", VTT, CaptionFile.captions(open.log(), goMs(open, recording)));
    }

    /** The wake as a picture. */
    @GetMapping(value = "/wake.svg", produces = "image/svg+xml")
    ResponseEntity<String> wake(@PathVariable UUID id) {
        OpenAttempt open = reviews.open(id);
        Reading reading = open.reading();
        if (reading.wake().size() < 2 || reading.compared().nothing()) {
            throw new InvalidRequest("id", "No gap chart: there is nothing to compare this attempt with.");
        }
        return file(open, "wake.svg", "image/svg+xml", WakePicture.svg(reading, name(open)));
    }

    private static long goMs(OpenAttempt open, Optional<UUID> recording) {
        if (recording.isEmpty()) {
            return 0;
        }
        Recording video = open.recordings().stream()
                .filter(one -> one.id().equals(recording.get()))
                .findFirst()
                .orElseThrow(() -> new InvalidRequest("recording", "This attempt has no such video."));
        Long goMs = video.goMs();
        if (goMs == null) {
            throw new InvalidRequest("recording", "Mark the start on this video first (G).");
        }
        return goMs;
    }

    private static String name(OpenAttempt open) {
        String part = open.part().name();
        return open.attempt().athlete() + ", " + open.workout().title() + (part.isEmpty() ? "" : " " + part) + ", "
                + open.attempt().doneOn();
    }

    private static ResponseEntity<String> file(OpenAttempt open, String what, String mediaType, String text) {
        return Downloads.file(name(open) + " " + what, mediaType, text);
    }
}
