package wake.store;

import static wake.store.tables.Tables.ATHLETE;
import static wake.store.tables.Tables.ATTEMPT;
import static wake.store.tables.Tables.RECORDING;
import static wake.store.tables.Tables.RECORDING_GO;
import static wake.store.tables.Tables.RECORDING_OUTLINE;
import static wake.store.tables.Tables.RECORDING_USE;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import wake.store.AttemptStore.Attempt;
import wake.store.tables.tables.records.RecordingRecord;

/** Recordings of attempts; the files themselves lie in the media folder under their id. */
@Component
public class RecordingStore {
    private static final int LONGEST_SIMULATION = 20_000;

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
     * @param goMs media time of "go" for the attempt in question, once marked
     * @param simulation for a simulated one, what it is made from, as JSON
     * @param removed whether it lies in the bin: it is not played then, but its marks keep their clock
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
            @Nullable String simulation,
            boolean removed) {
        /** A video as it comes in: how long it is, a player will say. */
        public static Recording video(UUID id, UUID attemptId, String label, String mediaType, long sizeBytes) {
            return new Recording(id, attemptId, Kind.VIDEO, label, mediaType, sizeBytes, null, null, null, false);
        }

        /** A recording made from a simulated athlete. */
        public static Recording simulated(UUID id, UUID attemptId, long durationMs, String simulation) {
            return new Recording(
                    id,
                    attemptId,
                    Kind.SIMULATED,
                    "Practice video",
                    "application/json",
                    0,
                    durationMs,
                    null,
                    simulation,
                    false);
        }
    }

    RecordingStore(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** The recordings of some attempts, each with the "go" it has for one of them. */
    public List<Recording> of(Collection<UUID> attempts, UUID forAttempt) {
        Condition used = RECORDING.ID.in(DSL.select(RECORDING_USE.RECORDING_ID)
                .from(RECORDING_USE)
                .where(RECORDING_USE.ATTEMPT_ID.in(attempts)));
        return select(RECORDING.ATTEMPT_ID.in(attempts).or(used), forAttempt);
    }

    /** An attempt that is on a video: whose it is, and which video. */
    public record OnVideo(UUID recordingId, UUID attemptId, String athlete) {}

    /** The attempts, not in the bin, that are on some videos: those they were added to, and those that use them too. */
    public List<OnVideo> onVideo(Collection<UUID> videos) {
        if (videos.isEmpty()) {
            return List.of();
        }
        return db.select(RECORDING.ID, ATTEMPT.ID, ATHLETE.NAME)
                .from(RECORDING)
                .join(ATTEMPT)
                .on(ATTEMPT.ID
                        .eq(RECORDING.ATTEMPT_ID)
                        .or(DSL.exists(DSL.selectOne()
                                .from(RECORDING_USE)
                                .where(
                                        RECORDING_USE.RECORDING_ID.eq(RECORDING.ID),
                                        RECORDING_USE.ATTEMPT_ID.eq(ATTEMPT.ID)))))
                .join(ATHLETE)
                .on(ATHLETE.ID.eq(ATTEMPT.ATHLETE_ID))
                .where(RECORDING.ID.in(videos), AttemptStore.NOT_IN_THE_BIN)
                .orderBy(ATHLETE.NAME)
                .fetch(row -> new OnVideo(row.value1(), row.value2(), row.value3()));
    }

    /** Videos, not in the bin, of other athletes at the same workout on the same day: an attempt may be on them too. */
    public List<OnVideo> offered(Attempt attempt) {
        return db.select(RECORDING.ID, ATTEMPT.ID, ATHLETE.NAME)
                .from(RECORDING)
                .join(ATTEMPT)
                .on(ATTEMPT.ID.eq(RECORDING.ATTEMPT_ID))
                .join(ATHLETE)
                .on(ATHLETE.ID.eq(ATTEMPT.ATHLETE_ID))
                .where(
                        ATTEMPT.WORKOUT_ID.eq(attempt.workoutId()),
                        ATTEMPT.DONE_ON.eq(attempt.doneOn()),
                        ATTEMPT.ATHLETE_ID.ne(attempt.athleteId()),
                        RECORDING.DELETED_AT.isNull(),
                        AttemptStore.NOT_IN_THE_BIN,
                        DSL.notExists(DSL.selectOne()
                                .from(RECORDING_USE)
                                .where(
                                        RECORDING_USE.RECORDING_ID.eq(RECORDING.ID),
                                        RECORDING_USE.ATTEMPT_ID.eq(attempt.id()))))
                .orderBy(RECORDING.CREATED_AT)
                .fetch(row -> new OnVideo(row.value1(), row.value2(), row.value3()));
    }

    /** An attempt is on a video too; what was so already stays. */
    public void use(UUID id, UUID attemptId) {
        db.insertInto(RECORDING_USE)
                .set(RECORDING_USE.RECORDING_ID, id)
                .set(RECORDING_USE.ATTEMPT_ID, attemptId)
                .onConflictDoNothing()
                .execute();
        AttemptStore.dayChanged(db, attemptId);
    }

    /** The videos of others that an attempt is on. */
    public List<UUID> usedBy(UUID attemptId) {
        return db.select(RECORDING_USE.RECORDING_ID)
                .from(RECORDING_USE)
                .where(RECORDING_USE.ATTEMPT_ID.eq(attemptId))
                .fetch(RECORDING_USE.RECORDING_ID);
    }

    /** An attempt is no longer on a video it used. */
    public void leave(UUID id, UUID attemptId) {
        db.deleteFrom(RECORDING_USE)
                .where(RECORDING_USE.RECORDING_ID.eq(id), RECORDING_USE.ATTEMPT_ID.eq(attemptId))
                .execute();
        forgetGo(id, attemptId);
        AttemptStore.dayChanged(db, attemptId);
    }

    /** A recording, with the "go" it has for the attempt it was added to. */
    public Optional<Recording> find(UUID id) {
        return db.select(RECORDING.ATTEMPT_ID)
                .from(RECORDING)
                .where(RECORDING.ID.eq(id))
                .fetchOptional(RECORDING.ATTEMPT_ID)
                .flatMap(
                        attempt -> select(RECORDING.ID.eq(id), attempt).stream().findFirst());
    }

    /** The same, unless it lies in the bin, itself or with all who are on it. */
    public Optional<Recording> findShown(UUID id) {
        return find(id).filter(
                        video -> !video.removed() && !onVideo(List.of(id)).isEmpty());
    }

    private List<Recording> select(Condition which, UUID forAttempt) {
        return db.select(RECORDING, RECORDING_GO.GO_MS)
                .from(RECORDING)
                .leftJoin(RECORDING_GO)
                .on(RECORDING_GO.RECORDING_ID.eq(RECORDING.ID).and(RECORDING_GO.ATTEMPT_ID.eq(forAttempt)))
                .where(which)
                .orderBy(RECORDING.CREATED_AT)
                .fetch(row -> recording(row.value1(), row.value2()));
    }

    private static Recording recording(RecordingRecord row, @Nullable Long goMs) {
        return new Recording(
                row.getId(),
                row.getAttemptId(),
                row.getKind().equals(Kind.VIDEO.column) ? Kind.VIDEO : Kind.SIMULATED,
                row.getLabel(),
                row.getMediaType(),
                row.getSizeBytes(),
                row.getDurationMs(),
                goMs,
                row.getSimulation(),
                row.getDeletedAt() != null);
    }

    public void add(Recording recording) {
        String simulation = recording.simulation();
        if (simulation != null) {
            Document.checkLength(simulation, LONGEST_SIMULATION);
        }
        db.insertInto(RECORDING)
                .set(RECORDING.ID, recording.id())
                .set(RECORDING.ATTEMPT_ID, recording.attemptId())
                .set(RECORDING.KIND, recording.kind().column)
                .set(RECORDING.LABEL, recording.label())
                .set(RECORDING.MEDIA_TYPE, recording.mediaType())
                .set(RECORDING.SIZE_BYTES, recording.sizeBytes())
                .set(RECORDING.DURATION_MS, recording.durationMs())
                .set(RECORDING.SIMULATION, recording.simulation())
                .set(RECORDING.CREATED_AT, OffsetDateTime.now(clock))
                .onConflictDoNothing()
                .execute();
        AttemptStore.dayChanged(db, recording.attemptId());
    }

    /** Where an attempt's "go" lies on a recording. */
    public record Go(long atMs, double uncertaintyS) {}

    /** The "go" an attempt has on a recording, once marked. */
    public Optional<Go> goOf(UUID id, UUID attemptId) {
        return db.select(RECORDING_GO.GO_MS, RECORDING_GO.UNCERTAINTY_S)
                .from(RECORDING_GO)
                .where(RECORDING_GO.RECORDING_ID.eq(id), RECORDING_GO.ATTEMPT_ID.eq(attemptId))
                .fetchOptional(row -> new Go(row.value1(), row.value2()));
    }

    /** Sets where an attempt's "go" lies on a recording. */
    public void go(UUID id, UUID attemptId, long goMs, double uncertaintyS) {
        db.mergeInto(RECORDING_GO)
                .columns(
                        RECORDING_GO.RECORDING_ID,
                        RECORDING_GO.ATTEMPT_ID,
                        RECORDING_GO.GO_MS,
                        RECORDING_GO.UNCERTAINTY_S)
                .key(RECORDING_GO.RECORDING_ID, RECORDING_GO.ATTEMPT_ID)
                .values(id, attemptId, goMs, uncertaintyS)
                .execute();
        AttemptStore.logChanged(db, attemptId);
    }

    /** Forgets where an attempt's "go" lies on a recording. */
    public void forgetGo(UUID id, UUID attemptId) {
        db.deleteFrom(RECORDING_GO)
                .where(RECORDING_GO.RECORDING_ID.eq(id), RECORDING_GO.ATTEMPT_ID.eq(attemptId))
                .execute();
        AttemptStore.logChanged(db, attemptId);
    }

    /** Where on a video an athlete is to be watched: shares of the picture, from its left and its top. */
    public record Outline(double x, double y, double w, double h) {}

    /** Where on a video an attempt's athlete is, where that was given. */
    public Optional<Outline> outline(UUID id, UUID attemptId) {
        return db.selectFrom(RECORDING_OUTLINE)
                .where(RECORDING_OUTLINE.RECORDING_ID.eq(id), RECORDING_OUTLINE.ATTEMPT_ID.eq(attemptId))
                .fetchOptional(row -> new Outline(row.getX(), row.getY(), row.getW(), row.getH()));
    }

    public void putOutline(UUID id, UUID attemptId, Outline outline) {
        db.mergeInto(RECORDING_OUTLINE)
                .columns(
                        RECORDING_OUTLINE.RECORDING_ID,
                        RECORDING_OUTLINE.ATTEMPT_ID,
                        RECORDING_OUTLINE.X,
                        RECORDING_OUTLINE.Y,
                        RECORDING_OUTLINE.W,
                        RECORDING_OUTLINE.H)
                .key(RECORDING_OUTLINE.RECORDING_ID, RECORDING_OUTLINE.ATTEMPT_ID)
                .values(id, attemptId, outline.x(), outline.y(), outline.w(), outline.h())
                .execute();
    }

    public void forgetOutline(UUID id, UUID attemptId) {
        db.deleteFrom(RECORDING_OUTLINE)
                .where(RECORDING_OUTLINE.RECORDING_ID.eq(id), RECORDING_OUTLINE.ATTEMPT_ID.eq(attemptId))
                .execute();
    }

    /** Ids of all recordings, those in the bin too. */
    public Set<UUID> ids() {
        return db.select(RECORDING.ID).from(RECORDING).fetchSet(RECORDING.ID);
    }

    /** Names a recording anew, and says whose it is. */
    public void correct(UUID id, String label, UUID attemptId) {
        find(id).ifPresent(before -> AttemptStore.dayChanged(db, before.attemptId()));
        db.update(RECORDING)
                .set(RECORDING.LABEL, label)
                .set(RECORDING.ATTEMPT_ID, attemptId)
                .where(RECORDING.ID.eq(id))
                .execute();
        AttemptStore.dayChanged(db, attemptId);
    }

    /** Notes the length a player has read from the file. */
    public void duration(UUID id, long durationMs) {
        db.update(RECORDING)
                .set(RECORDING.DURATION_MS, durationMs)
                .where(RECORDING.ID.eq(id))
                .execute();
    }
}
