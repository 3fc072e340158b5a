package wake.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.json.JsonMapper;
import wake.movement.CatalogueFile;
import wake.movement.Movement;
import wake.plan.Fallback;
import wake.plan.Finish;
import wake.plan.PaceSteps;
import wake.plan.PaceUnit;
import wake.plan.Pacing;
import wake.plan.PacingStrategy;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.Rests;
import wake.plan.SetScheme;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.PlateRack;
import wake.plan.lift.UsualTimetable;
import wake.projection.BreakOneEarly;
import wake.projection.CapRests;
import wake.projection.CapTransitions;
import wake.projection.Change;
import wake.projection.ChangeSets;
import wake.projection.DropFaults;
import wake.projection.EarlierPush;
import wake.projection.ErgPace;
import wake.projection.EveryRoundOn;
import wake.projection.FasterBy;
import wake.projection.FinishKick;
import wake.projection.HoldCadence;
import wake.projection.HoldRests;
import wake.projection.OneEvery;
import wake.projection.RestBefore;
import wake.projection.Scope;
import wake.projection.SkipPause;
import wake.projection.SpreadEvenly;
import wake.projection.Targets;
import wake.review.Documents.KeptPlan;
import wake.review.Documents.Simulation;
import wake.simulation.AthleteModel;
import wake.store.Document;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.NotationReader;

class DocumentsTest {
    private static final ExpandedWorkout EXPANDED = ExpandedWorkout.of(
            NotationReader.read("# A\nfor time\n  4 rounds:\n    15 thruster\n    10 burpee\n", CatalogueFile.shipped())
                    .orThrow(),
            0,
            CatalogueFile.shipped());

    private final Documents documents = new Documents(new JsonMapper());

    @Test
    void aPlanComesBackAsItWasPut() {
        Pacing usual = new Pacing(3000, SetScheme.parse("8-7"), 2.25, 5000);
        Pacing last = new Pacing(2000, SetScheme.parse("5s"), 2.0, 4000);
        Plan plan = new Plan(List.of(new LinePacing(0, usual, Map.of(3, last)), new LinePacing(1, last, Map.of())));
        KeptPlan kept = new KeptPlan(plan, "8:45", Optional.empty());
        assertThat(documents.plan(documents.plan(kept), EXPANDED)).isEqualTo(kept);
    }

    @Test
    void everythingAPlanSaysComesBack() {
        Pacing pacing = new Pacing(
                3000,
                SetScheme.parse("5s"),
                2.25,
                new PaceSteps(List.of(new PaceSteps.Step(0, 0.9), new PaceSteps.Step(3, 1.1))),
                Rests.of(5000, 2, 20_000),
                1500,
                15_000,
                PaceUnit.A_MINUTE);
        Plan plan = new Plan(
                List.of(new LinePacing(0, pacing, Map.of(), true), new LinePacing(1, pacing, Map.of())),
                PacingStrategy.INTERVAL,
                OptionalLong.of(70_000),
                Finish.NONE,
                Optional.of(new Fallback(
                        3,
                        List.of(
                                new Fallback.Failing(0, SetScheme.parse("6s"), 4000),
                                new Fallback.Failing(1, SetScheme.parse("5s"), 3000)))),
                Map.of("MANY_DROPS:0", "singles on purpose"));
        Format.Lift window = new Format.Lift(420_000, List.of(new Format.LiftPiece(1, "power clean")));
        LiftPlan usual = UsualTimetable.of(
                window,
                Quantity.of(100, Unit.KILOGRAM),
                5,
                OptionalLong.empty(),
                OptionalLong.empty(),
                PlateRack.kilograms(20));
        LiftPlan.Attempt single = new LiftPlan.Attempt(
                LiftPlan.Role.WISH,
                new LiftPlan.Want.Load(Quantity.of(205, Unit.POUND)),
                415_000,
                12_000,
                List.of(new Format.LiftPiece(2, "clean")));
        LiftPlan lift = new LiftPlan(
                usual.max(),
                usual.complexMs(),
                Stream.concat(usual.lifts().stream().limit(4), Stream.of(single))
                        .toList(),
                usual.rack());
        KeptPlan kept = new KeptPlan(plan, null, Optional.of(lift));
        assertThat(documents.plan(documents.plan(kept), EXPANDED)).isEqualTo(kept);
        KeptPlan finishing =
                new KeptPlan(plan.withFinish(Finish.parse("5:00 2 %, 2:00 4.5 %")), null, Optional.empty());
        assertThat(documents.plan(documents.plan(finishing), EXPANDED)).isEqualTo(finishing);
    }

    /** Lifts kept when each was a share of the max and no more. */
    @Test
    void liftsOfEarlierVersionsAreStillRead() {
        Document before = new Document(2, """
                {"lines":[],"lift":{"max":"100 kg","complexMs":8000,"bar":"20 kg","plates":"20x2 10x1",
                "lifts":[{"role":"MUST_HIT","percent":90.0,"startMs":300000}]}}
                """);
        LiftPlan lift = documents.plan(before, EXPANDED).lift().orElseThrow();
        assertThat(lift.lifts())
                .containsExactly(new LiftPlan.Attempt(
                        LiftPlan.Role.MUST_HIT, new LiftPlan.Want.OfMax(90), 300_000, 8000, List.of()));
    }

    /** A movement of the coach's own, kept before lifts knew what they are a part of. */
    @Test
    void ownMovementsOfEarlierVersionsAreStillRead() {
        Document now = documents.movement(Movement.custom("rope pull to hip", Unit.REP));
        Document before = new Document(now.schemaVersion(), now.json().replaceFirst("\"of\":\\[],", ""));
        assertThat(before.json()).doesNotContain("\"of\"");
        assertThat(documents.movement(before)).isEqualTo(documents.movement(now));
    }

    @Test
    void plansOfTheFirstVersionAreStillRead() {
        Document first = new Document(1, """
                [{"lineIndex":0,"every":{"transitionMs":3000,"sets":"8-7","secondsPerUnit":2.25,"restMs":5000},"rounds":{}}]
                """);
        assertThat(documents.plan(first, EXPANDED).plan().line(0).every())
                .isEqualTo(new Pacing(3000, SetScheme.parse("8-7"), 2.25, 5000));
    }

    static List<Change> changes() {
        return List.of(
                new CapTransitions(2500),
                new CapTransitions("row", 2500),
                new CapRests("thruster", 5000),
                new HoldRests(""),
                new SkipPause(61_250, 4000),
                new HoldCadence("thruster", 2.05),
                new ErgPace("run", 0.245),
                new ChangeSets("toes-to-bar", SetScheme.parse("8-7")),
                new BreakOneEarly("deadlift", 1500),
                new DropFaults("burpee"),
                new SpreadEvenly(2),
                new FinishKick(480_000, 3),
                new EarlierPush(540_000, 60),
                new RestBefore(Scope.of("thruster"), Targets.of(8)),
                new DropFaults(Scope.of("thruster"), 1),
                new FasterBy(Scope.of("burpee").fromRound(2), Targets.of(0.2)),
                new OneEvery(Scope.of("wall walk"), new Targets(List.of(10.0, 10.0, 12.5))),
                new EveryRoundOn(Scope.EVERYWHERE, Targets.of(60)),
                new CapRests(Scope.of("power clean").withLoad("80 kg").withSet(2), Targets.of(4)));
    }

    @ParameterizedTest
    @MethodSource("changes")
    void aChangeComesBackAsItWasPut(Change change) {
        List<ChangeJson> chosen = List.of(ChangeJson.of(change, true), ChangeJson.of(change, false));
        List<ChangeJson> back =
                documents.retest(documents.retest(RetestJson.of(chosen))).changes();
        assertThat(back).isEqualTo(chosen);
        assertThat(back.getFirst().change()).isEqualTo(change);
    }

    /** Kept before faults could end sets. */
    @Test
    void anOlderSimulationIsStillRead() {
        Simulation simulation = new Simulation(77, AthleteModel.plain());
        String older = documents.simulation(simulation).replaceFirst(",\"endsSets\":0[.]0", "");
        assertThat(older).doesNotContain("endsSets");
        assertThat(documents.simulation(older)).isEqualTo(simulation);
    }

    @Test
    void aSimulationComesBackAsItWasPut() {
        Simulation simulation = new Simulation(77, AthleteModel.plain());
        assertThat(documents.simulation(documents.simulation(simulation))).isEqualTo(simulation);
    }

    static List<Movement> shipped() {
        return CatalogueFile.shipped().all();
    }

    @ParameterizedTest
    @MethodSource("shipped")
    void anyMovementComesBackAsItWasPut(Movement movement) {
        assertThat(documents.movement(documents.movement(movement))).isEqualTo(movement);
    }

    @Test
    void aDocumentOfAnotherVersionIsNamedNotGuessed() {
        assertThatThrownBy(() -> documents.plan(new Document(9, "[]"), EXPANDED))
                .hasMessageContaining("plan of version 9")
                .hasMessageContaining("reads version 2");
    }

    @Test
    void anImpossiblePacingIsRefused() {
        Document negative = new Document(
                1,
                "[{\"lineIndex\":0,\"every\":{\"transitionMs\":-5,\"sets\":\"unbroken\",\"secondsPerUnit\":2,\"restMs\":0},\"rounds\":{}}]");
        assertThatThrownBy(() -> documents.plan(negative, EXPANDED)).hasMessageContaining("transition");
    }

    @Test
    void aChoiceKeptWithTargetsInMillisecondsIsStillRead() {
        Document old = new Document(1, "[{\"kind\":\"CAP_RESTS\",\"movement\":\"\",\"targetMs\":4500,\"on\":false}]");
        assertThat(documents.retest(old).changes())
                .containsExactly(new ChangeJson("CAP_RESTS", "", 4.5, null, null, false));
    }
}
