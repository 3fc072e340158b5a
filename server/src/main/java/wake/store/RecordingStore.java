package wake.store;

import static wake.store.tables.Tables.RECORDING;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import wake.store.tables.tables.records.RecordingRecord;

/** Recordings of attempts; the files themselves lie in the media folder under their id. */
@Component
public class RecordingStore {
    private final DSLContext db;
    private final Clock clock;

    /** What a recording is. */
    public enum Kind {
        VIDEO("video"),
        SIMULATED("simulated");

        private final String column;

        Kind(String column) {
            this.column = column;
        }
    }

    /**
     * A recording.
     *
     * @param durationMs its length, once known
     * @param goMs media time of "go", once marked
     * @param goUncertaintyS standard uncertainty of it, seconds
     * @param simulation for a simulated one, what it is made from, as JSON
     */
    public record Recording(
            UUID id,
            UUID attemptId,
            Kind kind,
            String label,
            String mediaType,
            long sizeBytes,
            @Nullable Long durationMs,
            @Nullable Long goMs,
            double goUncertaintyS,
            @Nullable String simulation) {}

    RecordingStore(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    public List<Recording> of(UUID attemptId) {
        return db.selectFrom(RECORDING)
                .where(RECORDING.ATTEMPT_ID.eq(attemptId))
                .orderBy(RECORDING.CREATED_AT)
                .fetch(RecordingStore::recording);
    }

    public Optional<Recording> find(UUID id) {
        return db.selectFrom(RECORDING).where(RECORDING.ID.eq(id)).fetchOptional(RecordingStore::recording);
    }

    private static Recording recording(RecordingRecord row) {
        return new Recording(
                row.getId(),
                row.getAttemptId(),
                row.getKind().equals(Kind.VIDEO.column) ? Kind.VIDEO : Kind.SIMULATED,
                row.getLabel(),
                row.getMediaType(),
                row.getSizeBytes(),
                row.getDurationMs(),
                row.getGoMs(),
                row.getGoUncertaintyS(),
                row.getSimulation());
    }

    public void add(Recording recording) {
        db.insertInto(RECORDING)
                .set(RECORDING.ID, recording.id())
                .set(RECORDING.ATTEMPT_ID, recording.attemptId())
                .set(RECORDING.KIND, recording.kind().column)
                .set(RECORDING.LABEL, recording.label())
                .set(RECORDING.MEDIA_TYPE, recording.mediaType())
                .set(RECORDING.SIZE_BYTES, recording.sizeBytes())
                .set(RECORDING.DURATION_MS, recording.durationMs())
                .set(RECORDING.GO_MS, recording.goMs())
                .set(RECORDING.GO_UNCERTAINTY_S, recording.goUncertaintyS())
                .set(RECORDING.SIMULATION, recording.simulation())
                .set(RECORDING.CREATED_AT, OffsetDateTime.now(clock))
                .onConflictDoNothing()
                .execute();
    }

    /** Sets the media time of "go", or clears it with an empty one. */
    public void go(UUID id, Optional<Long> goMs, double uncertaintyS) {
        db.update(RECORDING)
                .set(RECORDING.GO_MS, goMs.map(DSL::val).orElse(DSL.val((Long) null)))
                .set(RECORDING.GO_UNCERTAINTY_S, uncertaintyS)
                .where(RECORDING.ID.eq(id))
                .execute();
    }

    /** Notes the length a player has read from the file. */
    public void duration(UUID id, long durationMs) {
        db.update(RECORDING)
                .set(RECORDING.DURATION_MS, durationMs)
                .where(RECORDING.ID.eq(id))
                .execute();
    }
}
