package wake.review;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import wake.movement.Movement;
import wake.plan.Plan;
import wake.plan.lift.LiftPlan;
import wake.review.PlanJson.LiftJson;
import wake.review.PlanJson.LineJson;
import wake.simulation.AthleteModel;
import wake.store.Document;
import wake.units.InvalidInput;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;

/** Plans, retest choices and simulations as the JSON documents they are kept as. */
@Component
public class Documents {
    private static final int BARE_LINES = 1;
    private static final int PLAN_VERSION = 2;
    private static final int BARE_CHANGES = 1;
    private static final int RETEST_VERSION = 2;
    private static final int PROJECTED_VERSION = 1;
    /** Movements of version 1 name their kind of work, and the trunk, in other words. */
    private static final int FORMER_WORDS = 1;

    private static final int MOVEMENT_VERSION = 2;

    private final JsonMapper json;

    Documents(JsonMapper json) {
        this.json = json;
    }

    /**
     * What a simulated recording is made from.
     *
     * @param lifts of a lift window, the lifts as they were planned when it was made
     */
    public record Simulation(
            long seed, AthleteModel athlete, @Nullable LiftJson lifts) {
        public Simulation(long seed, AthleteModel athlete) {
            this(seed, athlete, null);
        }

        /**
         * Refuses what could not be played.
         *
         * @throws InvalidInput saying what is missing or does not fit
         */
        public Simulation checked(ExpandedWorkout expanded) {
            boolean window = expanded.format() instanceof Format.Lift;
            if (athlete == null || window != (lifts != null)) {
                throw new InvalidInput("A practice script needs a simulated athlete, and lifts for a max-lift window");
            }
            if (lifts != null) {
                lifts.checked(expanded);
            }
            return this;
        }
    }

    /**
     * A plan and what is kept with it.
     *
     * @param goal the score last planned for, as the coach wrote it
     * @param lift of a lift window, its lifts
     */
    public record KeptPlan(Plan plan, @Nullable String goal, Optional<LiftPlan> lift) {}

    /** Reads a plan for the expanded workout it belongs to; documents of version 1 are the bare lines. */
    public KeptPlan plan(Document document, ExpandedWorkout expanded) {
        return kept(written(document), expanded);
    }

    private PlanJson written(Document document) {
        if (document.schemaVersion() == BARE_LINES) {
            List<LineJson> lines = json.readValue(document.json(), new TypeReference<List<LineJson>>() {});
            return new PlanJson(lines, null, null, null, null, null, null, null);
        }
        expect(document, PLAN_VERSION, "plan");
        return json.readValue(document.json(), PlanJson.class);
    }

    /**
     * The same, held to what a plan is held to that is sent to be kept.
     *
     * @throws InvalidInput naming what does not fit
     */
    public KeptPlan checkedPlan(Document document, ExpandedWorkout expanded) {
        return written(document).checked(expanded, new PlanJson.Reading() {
            @Override
            public <T> T of(String field, Supplier<T> part) {
                return part.get();
            }
        });
    }

    private static KeptPlan kept(PlanJson written, ExpandedWorkout expanded) {
        return new KeptPlan(
                written.plan(expanded),
                written.goal(),
                Optional.ofNullable(written.lift()).map(PlanJson.LiftJson::liftPlan));
    }

    public Document plan(KeptPlan kept) {
        PlanJson written = PlanJson.of(kept.plan(), kept.goal(), kept.lift());
        return new Document(PLAN_VERSION, json.writeValueAsString(written));
    }

    /** Reads what was chosen for a retest; documents of version 1 are the bare changes, with targets in milliseconds. */
    public RetestJson retest(Document document) {
        if (document.schemaVersion() == BARE_CHANGES) {
            List<BareChange> bare = json.readValue(document.json(), new TypeReference<List<BareChange>>() {});
            return RetestJson.of(bare.stream().map(BareChange::change).toList());
        }
        expect(document, RETEST_VERSION, "retest");
        return json.readValue(document.json(), RetestJson.class);
    }

    private record BareChange(String kind, String movement, long targetMs, boolean on) {
        ChangeJson change() {
            return new ChangeJson(kind, movement, targetMs / 1000.0, null, null, on);
        }
    }

    public Document retest(RetestJson chosen) {
        return new Document(RETEST_VERSION, json.writeValueAsString(chosen));
    }

    public ProjectedJson projected(Document document) {
        expect(document, PROJECTED_VERSION, "call");
        return json.readValue(document.json(), ProjectedJson.class);
    }

    public Document projected(ProjectedJson projected) {
        return new Document(PROJECTED_VERSION, json.writeValueAsString(projected));
    }

    public Movement movement(Document document) {
        if (document.schemaVersion() != FORMER_WORDS) {
            expect(document, MOVEMENT_VERSION, "movement");
        }
        // Those kept before lifts knew what they are a part of say nothing of it.
        ObjectNode written = (ObjectNode) json.readTree(document.json());
        if (!written.has("of")) {
            written.putArray("of");
        }
        written.put("modality", renamed(written.path("modality").asString("")));
        JsonNode kept = written.path("loads");
        ArrayNode loads = written.putArray("loads");
        kept.forEach(load -> loads.add(renamed(load.asString(""))));
        return json.treeToValue(written, Movement.class);
    }

    /** What documents of version 1 say in other words. */
    private static String renamed(String word) {
        return switch (word) {
            case "GYMNASTICS" -> "BODYWEIGHT";
            case "WEIGHTLIFTING" -> "WEIGHTS";
            case "MONOSTRUCTURAL" -> "CYCLIC";
            case "MIDLINE" -> "TRUNK";
            default -> word;
        };
    }

    public Document movement(Movement movement) {
        return new Document(MOVEMENT_VERSION, json.writeValueAsString(movement));
    }

    public Simulation simulation(String written) {
        // Those kept before faults could end sets say nothing of it.
        ObjectNode kept = (ObjectNode) json.readTree(written);
        if (kept.path("athlete") instanceof ObjectNode athlete && !athlete.has("endsSets")) {
            athlete.put("endsSets", 0.0);
        }
        return json.treeToValue(kept, Simulation.class);
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
