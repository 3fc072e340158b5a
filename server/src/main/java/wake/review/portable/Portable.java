package wake.review.portable;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonPropertyOrder;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import wake.log.Granularity;
import wake.log.MarkKind;
import wake.store.Document;

/**
 * A part of what Wake keeps, as JSON; schema/wake-1.schema.json says what may stand in it.
 *
 * @param format always "wake"
 * @param version of the format
 * @param movements those the coach has added
 * @param settings choices of the coach, by name; only where everything is written
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
@JsonPropertyOrder({"format", "version", "movements", "settings", "athletes", "workouts", "attempts"})
public record Portable(
        String format,
        int version,
        List<JsonNode> movements,
        @Nullable Map<String, JsonNode> settings,
        List<AthletePart> athletes,
        List<WorkoutPart> workouts,
        List<AttemptPart> attempts) {
    public static final String FORMAT = "wake";
    public static final int VERSION = 1;

    public Portable {
        movements = movements == null ? List.of() : List.copyOf(movements);
        athletes = List.copyOf(athletes);
        workouts = List.copyOf(workouts);
        attempts = List.copyOf(attempts);
    }

    /**
     * An athlete.
     *
     * @param strength strength work by day; nothing where an attempt goes alone
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record AthletePart(
            UUID id,
            String name,
            String note,
            String figures,
            String pain,
            boolean recoversSlowly,
            @Nullable List<StrengthPart> strength) {}

    /** The strength work of a day, as it was written. */
    public record StrengthPart(LocalDate doneOn, String text) {}

    /** A workout of the library. */
    public record WorkoutPart(UUID id, String title, String notation, boolean archived) {}

    /**
     * An attempt with all that was done to it.
     *
     * @param recordings those added to it; files of videos are no part of this
     * @param uses videos of others that it is on
     * @param go where its "go" lies, by recording
     * @param planDoneWith the plan the attempt was done with, where that was edited since
     * @param plan the plan in force
     * @param chosen what is chosen for a retest
     * @param called the projection it was set by, where it is a retest
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record AttemptPart(
            UUID id,
            UUID athleteId,
            UUID workoutId,
            int part,
            String division,
            LocalDate doneOn,
            String notation,
            @Nullable UUID retestOf,
            int cutInto,
            String note,
            String cardSentence,
            @Nullable HeatPart heat,
            List<RecordingPart> recordings,
            List<UUID> uses,
            List<GoPart> go,
            List<MarkPart> marks,
            @Nullable KeptPart planDoneWith,
            @Nullable KeptPart plan,
            @Nullable KeptPart chosen,
            @Nullable KeptPart called,
            List<TracePart> traces) {}

    /** The heat it went in, and the lane. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record HeatPart(UUID id, @Nullable Integer lane) {}

    /** A recording; a simulated one is whole. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record RecordingPart(
            UUID id,
            String kind,
            String label,
            String mediaType,
            long sizeBytes,
            @Nullable Long durationMs,
            @Nullable JsonNode simulation) {}

    public record GoPart(UUID recordingId, long atMs, double uncertaintyS) {}

    /** A mark; what is usual is left out: no reps, by sets, no tag, no text. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record MarkPart(
            UUID id,
            @Nullable UUID recordingId,
            MarkKind kind,
            long atMs,
            @Nullable Integer reps,
            @Nullable Granularity depth,
            @Nullable String tag,
            @Nullable String text,
            double uncertaintyS) {}

    /** A document, and which shape it has. */
    public record KeptPart(int schemaVersion, JsonNode document) {
        Document kept() {
            return new Document(schemaVersion, document.toString());
        }
    }

    public record TracePart(UUID id, String label, long offsetMs, String sheet) {}
}
