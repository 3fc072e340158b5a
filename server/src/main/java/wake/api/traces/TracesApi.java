package wake.api.traces;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.Downloads;
import wake.api.InvalidRequest;
import wake.api.traces.TraceViews.TraceView;
import wake.exchange.TraceFile;
import wake.reading.Baseline;
import wake.reading.Reading;
import wake.reading.WakePoint;
import wake.review.Documents;
import wake.review.Documents.Simulation;
import wake.review.NotFound;
import wake.review.OpenAttempt;
import wake.review.Reviews;
import wake.simulation.SimulatedAttempt;
import wake.simulation.SimulatedMonitor;
import wake.store.Exclusively;
import wake.store.RecordingStore.Recording;
import wake.store.TraceStore;
import wake.store.TraceStore.StoredTrace;
import wake.trace.Trace;
import wake.trace.TraceReading;
import wake.workout.Format;

/** What machines and straps noted beside an attempt. */
@RestController
@RequestMapping("/api/attempts/{attemptId}/traces")
class TracesApi {
    private static final int MOST_TRACES = 6;
    private static final long DAY_MS = 86_400_000;
    /** How long before "go" a simulated monitor was started. */
    private static final long EARLY_MS = 12_000;

    private final Reviews reviews;
    private final TraceStore traces;
    private final Documents documents;
    private final Exclusively exclusively;

    /**
     * A file to take in.
     *
     * @param file GPX, or comma-separated values
     */
    record TraceRequest(
            @NotBlank @Size(max = 200, message = "must be 200 characters at most")
            String label,

            @NotNull @Size(max = 8_000_000) String file) {}

    record MoveRequest(
            @Min(value = -DAY_MS, message = "must be within a day")
            @Max(value = DAY_MS, message = "must be within a day")
            long offsetMs) {}

    TracesApi(Reviews reviews, TraceStore traces, Documents documents, Exclusively exclusively) {
        this.exclusively = exclusively;
        this.reviews = reviews;
        this.traces = traces;
        this.documents = documents;
    }

    /** All traces of an attempt, held beside its log; their points lie on the wake against a baseline. */
    @GetMapping
    List<TraceView> traces(@PathVariable UUID attemptId, @RequestParam Optional<Baseline.Kind> baseline) {
        OpenAttempt open = reviews.open(attemptId);
        List<StoredTrace> stored = traces.of(attemptId);
        if (stored.isEmpty()) {
            return List.of();
        }
        Baseline against = open.baseline(
                baseline.filter(kind -> kind != Baseline.Kind.ATTEMPT).orElse(open.usualYardstick()));
        List<WakePoint> wake = Reading.of(open.log(), against).wake();
        return stored.stream()
                .map(one -> TraceViews.of(one, TraceFile.read(one.sheet()), open, wake))
                .toList();
    }

    /**
     * Takes in a file under an id of the caller's making. It is hung to the start of the movement on a machine where it tells distance and there is
     * one, else to "go".
     */
    @PutMapping("/{id}")
    List<TraceView> put(@PathVariable UUID attemptId, @PathVariable UUID id, @Valid @RequestBody TraceRequest request) {
        Trace trace = InvalidRequest.orElse("file", () -> TraceFile.read(request.file()));
        return keep(attemptId, id, request.label().strip(), trace);
    }

    /** Adds what a simulated erg monitor and strap noted of a simulated recording of this attempt. */
    @PutMapping("/{id}/simulated")
    List<TraceView> simulate(@PathVariable UUID attemptId, @PathVariable UUID id) {
        OpenAttempt open = reviews.open(attemptId);
        Recording video = open.recordings().stream()
                .filter(one -> one.simulation() != null && !one.removed())
                .findFirst()
                .orElseThrow(() -> new InvalidRequest(
                        "attemptId", "There is no practice video here for a simulated monitor to follow."));
        if (open.expanded().format() instanceof Format.Lift) {
            throw new InvalidRequest("attemptId", "A max-lift window has no erg work.");
        }
        Simulation simulation = documents.simulation(String.valueOf(video.simulation()));
        SimulatedAttempt attempt = SimulatedAttempt.run(open.expanded(), simulation.athlete(), simulation.seed());
        return keep(
                attemptId,
                id,
                "Simulated monitor and strap",
                SimulatedMonitor.of(attempt, EARLY_MS, simulation.seed()));
    }

    private List<TraceView> keep(UUID attemptId, UUID id, String label, Trace trace) {
        OpenAttempt open = reviews.open(attemptId);
        String sheet = TraceFile.write(trace);
        if (sheet.length() > TraceStore.LONGEST) {
            throw new InvalidRequest("file", "This is longer than Wake saves of one attempt.");
        }
        List<TraceReading.Match> matches = TraceReading.matches(trace, open.log());
        long offset = matches.get(matches.size() > 1 ? 1 : 0).offsetMs();
        exclusively.on(attemptId, () -> {
            List<StoredTrace> before = traces.of(attemptId);
            if (before.size() >= MOST_TRACES
                    && before.stream().noneMatch(one -> one.id().equals(id))) {
                throw new InvalidRequest("file", "At most " + MOST_TRACES + " files for one attempt.");
            }
            traces.add(new StoredTrace(id, attemptId, label, offset, sheet));
            return true;
        });
        return traces(attemptId, Optional.empty());
    }

    /** Hangs a trace to another clock. */
    @PutMapping("/{id}/offset")
    List<TraceView> move(@PathVariable UUID attemptId, @PathVariable UUID id, @Valid @RequestBody MoveRequest request) {
        traces.move(found(attemptId, id).id(), request.offsetMs());
        return traces(attemptId, Optional.empty());
    }

    /** The trace as a sheet. */
    @GetMapping(value = "/{id}/sheet", produces = "text/csv")
    ResponseEntity<String> sheet(@PathVariable UUID attemptId, @PathVariable UUID id) {
        StoredTrace trace = found(attemptId, id);
        return Downloads.file(trace.label() + ".csv", "text/csv", trace.sheet());
    }

    @DeleteMapping("/{id}")
    List<TraceView> remove(@PathVariable UUID attemptId, @PathVariable UUID id) {
        traces.find(id).filter(one -> one.attemptId().equals(attemptId)).ifPresent(one -> traces.remove(id));
        return traces(attemptId, Optional.empty());
    }

    private StoredTrace found(UUID attemptId, UUID id) {
        return traces.find(id)
                .filter(one -> one.attemptId().equals(attemptId))
                .orElseThrow(() -> new NotFound("trace", id));
    }
}
