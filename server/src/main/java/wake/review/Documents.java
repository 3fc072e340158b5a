package wake.review;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import wake.movement.Movement;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.SetScheme;
import wake.projection.Change;
import wake.simulation.AthleteModel;
import wake.store.Document;

/** Plans, retest choices and simulations as the JSON documents they are kept as. */
@Component
public class Documents {
    private static final int PLAN_VERSION = 1;
    private static final int RETEST_VERSION = 1;
    private static final int MOVEMENT_VERSION = 1;

    private final JsonMapper json;

    Documents(JsonMapper json) {
        this.json = json;
    }

    /** How a movement line is paced; sets as coaches write them. */
    public record PacingJson(long transitionMs, String sets, double secondsPerUnit, long restMs) {
        static PacingJson of(Pacing pacing) {
            return new PacingJson(
                    pacing.transitionMs(), pacing.sets().written(), pacing.secondsPerUnit(), pacing.restMs());
        }

        /**
         * The pacing it says.
         *
         * @throws IllegalArgumentException when a figure is impossible
         */
        public Pacing pacing() {
            return new Pacing(transitionMs, SetScheme.parse(sets), secondsPerUnit, restMs);
        }
    }

    /** One movement line's pacing, with the rounds that differ. */
    public record LineJson(int lineIndex, PacingJson every, Map<Integer, PacingJson> rounds) {
        public static LineJson of(LinePacing line) {
            Map<Integer, PacingJson> rounds = new TreeMap<>();
            line.rounds().forEach((round, pacing) -> rounds.put(round, PacingJson.of(pacing)));
            return new LineJson(line.lineIndex(), PacingJson.of(line.every()), rounds);
        }

        /** The line's pacing. */
        public LinePacing linePacing() {
            Map<Integer, Pacing> paced = new TreeMap<>();
            rounds.forEach((round, pacing) -> paced.put(round, pacing.pacing()));
            return new LinePacing(lineIndex, every.pacing(), paced);
        }
    }

    /** What a change does. */
    public enum ChangeKind {
        CAP_TRANSITIONS,
        CAP_RESTS,
        HOLD_CADENCE
    }

    /**
     * A change as chosen.
     *
     * @param movement for a cadence, whose; else empty
     * @param targetMs the longest pause, or milliseconds per rep or unit
     * @param on whether it counts
     */
    public record ChangeJson(ChangeKind kind, String movement, long targetMs, boolean on) {
        public static ChangeJson of(Change change, boolean on) {
            return switch (change) {
                case Change.CapTransitions cap -> new ChangeJson(ChangeKind.CAP_TRANSITIONS, "", cap.targetMs(), on);
                case Change.CapRests cap -> new ChangeJson(ChangeKind.CAP_RESTS, "", cap.targetMs(), on);
                case Change.HoldCadence hold ->
                    new ChangeJson(
                            ChangeKind.HOLD_CADENCE, hold.movement(), Math.round(1000 * hold.secondsPerUnit()), on);
            };
        }

        /** The change it says. */
        public Change change() {
            return switch (kind) {
                case CAP_TRANSITIONS -> new Change.CapTransitions(targetMs);
                case CAP_RESTS -> new Change.CapRests(targetMs);
                case HOLD_CADENCE -> new Change.HoldCadence(movement, targetMs / 1000.0);
            };
        }
    }

    /** What a simulated recording is made from. */
    public record Simulation(long seed, AthleteModel athlete) {}

    public Plan plan(Document document) {
        expect(document, PLAN_VERSION, "plan");
        List<LineJson> lines = json.readValue(document.json(), new TypeReference<List<LineJson>>() {});
        return new Plan(lines.stream().map(LineJson::linePacing).toList());
    }

    public Document plan(Plan plan) {
        return new Document(
                PLAN_VERSION,
                json.writeValueAsString(plan.lines().stream().map(LineJson::of).toList()));
    }

    public List<ChangeJson> changes(Document document) {
        expect(document, RETEST_VERSION, "retest");
        return json.readValue(document.json(), new TypeReference<List<ChangeJson>>() {});
    }

    public Document changes(List<ChangeJson> changes) {
        return new Document(RETEST_VERSION, json.writeValueAsString(changes));
    }

    public Movement movement(Document document) {
        expect(document, MOVEMENT_VERSION, "movement");
        return json.readValue(document.json(), Movement.class);
    }

    public Document movement(Movement movement) {
        return new Document(MOVEMENT_VERSION, json.writeValueAsString(movement));
    }

    public Simulation simulation(String written) {
        return json.readValue(written, Simulation.class);
    }

    public String simulation(Simulation simulation) {
        return json.writeValueAsString(simulation);
    }

    private static void expect(Document document, int version, String what) {
        if (document.schemaVersion() != version) {
            throw new IllegalStateException("This data folder holds a " + what + " of version "
                    + document.schemaVersion() + "; this Wake reads version " + version);
        }
    }
}
