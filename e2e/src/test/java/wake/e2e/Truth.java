package wake.e2e;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.movement.CatalogueFile;
import wake.simulation.AthleteModel;
import wake.simulation.SimulatedAttempt;
import wake.workout.ExpandedWorkout;
import wake.workout.NotationReader;

/** What the simulated athletes of the demo's Skiff Sprint really did, and how a log compares with it. */
final class Truth {
    private static final String SKIFF_SPRINT =
            "# Skiff Sprint\nfor time\n  2 rounds:\n    6 burpee\n    8 kettlebell swing @ 16 kg\n";

    /** The athlete of the clip that ships with the demo. */
    private static final AthleteModel CLIP = new AthleteModel(
            Map.of("burpee", 2.6, "kettlebell swing", 1.5), 0.12, 0.05, 2600, 3000, 0.3, Map.of(), 0.04);

    private final SimulatedAttempt attempt;

    private Truth(AthleteModel athlete, long seed) {
        var catalogue = CatalogueFile.shipped();
        var workout = NotationReader.read(SKIFF_SPRINT, catalogue).orThrow();
        attempt = SimulatedAttempt.run(ExpandedWorkout.of(workout, 0, catalogue), athlete, seed);
    }

    static Truth ofClip() {
        return new Truth(CLIP, 5);
    }

    static Truth ofSimulated() {
        return new Truth(AthleteModel.plain(), 77);
    }

    SimulatedAttempt attempt() {
        return attempt;
    }

    /** The key a coach presses for a mark. */
    static String key(Mark mark) {
        return switch (mark.kind()) {
            case BEGIN -> "a";
            case REP -> "f";
            case OFF, ON -> "s";
            case DONE -> "d";
            case NO_REP -> "r";
            case LIFT -> "a";
            case MISS -> "e";
            case STOP -> "x";
            default -> throw new IllegalArgumentException("No key for " + mark.kind());
        };
    }

    /** How far each segment's elapsed time and start of the movement in a stored log lie from the truth, milliseconds. */
    List<Long> errors(WakeProcess wake, UUID attemptId) {
        JsonNode segments = new JsonMapper()
                .readTree(wake.get("/api/attempts/" + attemptId))
                .at("/log/segments");
        AttemptLog log = AttemptLog.of(attempt.expanded(), attempt.truth());
        List<Long> errors = new ArrayList<>();
        for (var split : log.splits()) {
            JsonNode logged = segments.get(split.segment().index()).at("/split");
            errors.add(Math.abs(logged.at("/endMs").asLong() - split.endMs()));
            errors.add(Math.abs(logged.at("/elapsedMs").asLong() - split.elapsedMs()));
            errors.add(Math.abs(logged.at("/beginMs").asLong() - split.beginMs().orElseThrow()));
        }
        return errors;
    }
}
