package wake.plan.check;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.CATALOGUE;
import static wake.Samples.expanded;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.athlete.Demonstrated;
import wake.athlete.Figures;
import wake.athlete.FiguresReader;
import wake.plan.Draft;
import wake.plan.Forecast;
import wake.plan.Goal;
import wake.plan.GoalPlan;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.SetScheme;
import wake.plan.check.PlanCheck.Kind;
import wake.workout.ExpandedWorkout;

/** The rules are common practice, no source. */
class PlanChecksTest {
    private static final String COMPLEX =
            "# A\nfor time\n  5 rounds:\n    12 deadlift @ 60 kg\n    9 hang power clean @ 60 kg\n    6 push jerk @ 60 kg\n";

    private static List<PlanCheck> checks(String notation, String figures) {
        ExpandedWorkout expanded = expanded(notation);
        Figures known = FiguresReader.read(figures, CATALOGUE).figures();
        return PlanChecks.of(expanded, Draft.of(expanded), known);
    }

    private static List<PlanCheck> of(List<PlanCheck> checks, Kind kind) {
        return checks.stream().filter(check -> check.kind() == kind).toList();
    }

    /** Stop 12 deadlifts at 11, so that the 12th is also the lift into the hang cleans; 9 hang cleans at 8, for the jerks. */
    @Test
    void aBarbellComplexIsBrokenOneRepEarlier() {
        ExpandedWorkout expanded = expanded(COMPLEX);
        Plan plan = Draft.of(expanded);
        List<PlanCheck> found = of(PlanChecks.of(expanded, plan, Figures.NONE), Kind.BREAK_AT_BOUNDARY);
        assertThat(found).hasSize(2);
        while (!found.isEmpty()) {
            plan = found.getFirst().fix().orElseThrow().plan();
            found = of(PlanChecks.of(expanded, plan, Figures.NONE), Kind.BREAK_AT_BOUNDARY);
        }
        assertThat(plan.line(0).every().sets().written()).isEqualTo("11-1");
        assertThat(plan.line(1).every().sets().written()).isEqualTo("8-1");
        assertThat(plan.line(1).every().transitionMs()).isZero();
        assertThat(plan.line(2).every().transitionMs()).isZero();
    }

    /** Any chain counts, by where movements start and end, not by their names; nothing is chained without the same load. */
    @ParameterizedTest
    @CsvSource({
        "9 clean @ 50 kg, 9 front squat @ 50 kg, 1",
        "9 front squat @ 50 kg, 9 push press @ 50 kg, 1",
        "9 sandbag clean @ 50 kg, 9 front squat @ 50 kg, 1",
        "9 dumbbell deadlift @ 22 kg, 9 dumbbell clean @ 22 kg, 1",
        "9 deadlift @ 100 kg, 9 hang power clean @ 60 kg, 0",
        "9 burpee, 9 air squat, 0",
        "9 push press @ 50 kg, 9 deadlift @ 50 kg, 0",
        "9 pull-up, 9 toes-to-bar, 0"
    })
    void boundariesFollowStartAndFinishPositions(String first, String second, int expected) {
        List<PlanCheck> checks = checks("# A\nfor time\n  3 rounds:\n    " + first + "\n    " + second + "\n", "");
        assertThat(of(checks, Kind.BREAK_AT_BOUNDARY)).hasSize(expected);
    }

    @Test
    void setsStayWellUnderTheUnbrokenMax() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  30 toes-to-bar\n");
        Figures figures =
                FiguresReader.read("unbroken toes-to-bar 14", CATALOGUE).figures();
        PlanCheck check = of(PlanChecks.of(expanded, Draft.of(expanded), figures), Kind.SET_TOO_LARGE)
                .getFirst();
        assertThat(check.sentence()).contains("set of 30").contains("80%").contains("at 11");
        assertThat(check.fix().orElseThrow().plan().line(0).every().sets().written())
                .isEqualTo("10s");
        Plan draft = Draft.of(expanded, figures, Demonstrated.NOTHING).plan();
        assertThat(of(PlanChecks.of(expanded, draft, figures), Kind.SET_TOO_LARGE))
                .isEmpty();
    }

    @Test
    void theLongestPauseGoesBeforeTheLimiter() {
        ExpandedWorkout expanded =
                expanded("# A\nfor time\n  3 rounds:\n    12 toes-to-bar\n    9 push press @ 40 kg\n");
        Plan draft = Draft.of(expanded);
        Plan uneven =
                draft.withLine(draft.line(0).withEvery(draft.line(0).every().withTransition(8000)));
        Figures figures = FiguresReader.read("limiter push press", CATALOGUE).figures();
        PlanCheck check = of(PlanChecks.of(expanded, uneven, figures), Kind.REST_NOT_BEFORE_LIMITER)
                .getFirst();
        Plan fixed = check.fix().orElseThrow().plan();
        assertThat(fixed.line(1).every().transitionMs()).isEqualTo(8000);
        assertThat(of(PlanChecks.of(expanded, fixed, figures), Kind.REST_NOT_BEFORE_LIMITER))
                .isEmpty();
        assertThat(of(PlanChecks.of(expanded, uneven, Figures.NONE), Kind.REST_NOT_BEFORE_LIMITER))
                .isEmpty();
    }

    @Test
    void intervalsAndCutOffsNeedTenSecondsInHand() {
        assertThat(of(checks("# A\nevery 1:00 x 5\n  16 burpee\n", ""), Kind.THIN_INTERVAL_REST)
                        .getFirst()
                        .sentence())
                .contains("leaves 4.2 s");
        assertThat(of(checks("# A\nevery 1:00 x 5\n  10 burpee\n", ""), Kind.THIN_INTERVAL_REST))
                .isEmpty();
        String staged = "# A\nfor time, cap 9:00\n  4 rounds:\n    10 burpee\n  by %s after round 2\n";
        assertThat(of(checks(staged.formatted("1:15"), ""), Kind.THIN_STAGE_MARGIN)
                        .getFirst()
                        .sentence())
                .contains("Round 2")
                .contains("1:15 by only 6.0 s");
        assertThat(of(checks(staged.formatted("1:00"), ""), Kind.THIN_STAGE_MARGIN)
                        .getFirst()
                        .sentence())
                .contains("after its cut-off");
        assertThat(of(checks(staged.formatted("2:00"), ""), Kind.THIN_STAGE_MARGIN))
                .isEmpty();
    }

    @Test
    void heavyBarsNeedTimeForAMiss() {
        String notation = "# A\nfor time\n  3 rounds:\n    3 power clean @ 60-70-80 kg\n    10 burpee\n";
        List<PlanCheck> found = of(checks(notation, "max power clean 90 kg"), Kind.NO_TIME_FOR_MISSES);
        assertThat(found).hasSize(1);
        assertThat(found.getFirst().sentence()).contains("80 kg is 89%");
        Pacing third = found.getFirst().fix().orElseThrow().plan().line(0).in(3);
        assertThat(third.missesMs()).isEqualTo(15_000);
        assertThat(of(checks(notation, "max power clean 120 kg"), Kind.NO_TIME_FOR_MISSES))
                .isEmpty();
    }

    @Test
    void everyHeavyBarIsHeldAgainstTheMaxNotTheHeaviestAlone() {
        String rising = "# A\nfor time\n  3 rounds:\n    3 power clean @ 60-77-80 kg\n    10 burpee\n";
        PlanCheck found = of(checks(rising, "max power clean 90 kg"), Kind.NO_TIME_FOR_MISSES)
                .getFirst();
        assertThat(found.sentence()).contains("77 kg is 86%, ").contains("80 kg is 89%");
        Plan.LinePacing mended = found.fix().orElseThrow().plan().line(0);
        assertThat(List.of(
                        mended.in(1).missesMs(),
                        mended.in(2).missesMs(),
                        mended.in(3).missesMs()))
                .containsExactly(0L, 15_000L, 15_000L);
    }

    /** A row planned at 2:00 against a test of 2:06: the price is (126/120)³ − 1 = 15.8 %. */
    @Test
    void anErgFasterThanTheTestSaysWhatItCosts() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  500 m row\n  40 cal row\n");
        Plan draft = Draft.of(expanded);
        Plan fast = draft.withLine(draft.line(0).withEvery(draft.line(0).every().withCadence(0.24)));
        Figures figures =
                FiguresReader.read("test row 500 m: 2:06 2:06", CATALOGUE).figures();
        List<PlanCheck> found = of(PlanChecks.of(expanded, fast, figures), Kind.ERG_TOO_FAST);
        assertThat(found.getFirst().sentence())
                .contains("2:00.0 /500 m is faster than the 2:06.0 /500 m of the athlete's test")
                .contains("16% more power");
        Plan fixed = found.getFirst().fix().orElseThrow().plan();
        assertThat(fixed.line(0).every().secondsPerUnit() * 500).isEqualTo(126);
        Plan both = of(PlanChecks.of(expanded, fixed, figures), Kind.ERG_TOO_FAST)
                .getFirst()
                .fix()
                .orElseThrow()
                .plan();
        assertThat(of(PlanChecks.of(expanded, both, figures), Kind.ERG_TOO_FAST))
                .isEmpty();
    }

    @Test
    void neighboursThatLoadTheSameAndManyDropsAreSaid() {
        assertThat(of(
                        checks("# A\nfor time\n  12 toes-to-bar\n  12 deadlift @ 80 kg\n", ""),
                        Kind.NEIGHBOURS_LOAD_THE_SAME))
                .isNotEmpty();
        ExpandedWorkout expanded = expanded(COMPLEX);
        Plan singles = Draft.of(expanded);
        singles = singles.withLine(
                singles.line(2).withEvery(singles.line(2).every().withSets(SetScheme.parse("singles"))));
        assertThat(of(PlanChecks.of(expanded, singles, Figures.NONE), Kind.MANY_DROPS)
                        .getFirst()
                        .sentence())
                .contains("5 breaks");
    }

    /** 52 s of work cannot start every 0:40: the second round is 12 s late, the fifth 4 x 12 s. By hand. */
    @Test
    void roundsThatDoNotFitTheirMarksAreSaid() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  5 rounds:\n    20 burpee\n");
        Plan draft = Draft.of(expanded);
        Plan of52 = draft.withLine(
                draft.line(0).withEvery(draft.line(0).every().withCadence(2.6).withTransition(0)));

        assertThat(of(PlanChecks.of(expanded, of52.withRoundEvery(40_000), Figures.NONE), Kind.ROUNDS_OFF_THEIR_MARKS))
                .singleElement()
                .satisfies(check -> {
                    assertThat(check.sentence()).contains("0:40", "52.0 s", "round 5 starts 48.0 s late");
                    assertThat(check.fix().orElseThrow().plan().roundEveryMs()).hasValue(52_000);
                });
        assertThat(of(PlanChecks.of(expanded, of52.withRoundEvery(52_000), Figures.NONE), Kind.ROUNDS_OFF_THEIR_MARKS))
                .isEmpty();
        assertThat(of(PlanChecks.of(expanded, of52, Figures.NONE), Kind.ROUNDS_OFF_THEIR_MARKS))
                .isEmpty();
    }

    /**
     * Five rounds of deadlifts before hang cleans, 2.5 s to bring the bar to the hip: five lifts that nobody counts, 12.5 s. Broken one
     * deadlift earlier, the bar goes on in the hands: those 12.5 s are saved, and nothing else changes. By hand.
     */
    @Test
    void aWayUpThatNobodyCountsSaysHowOftenAndWhatItTakesAndBrokenEarlierItIsSaved() {
        ExpandedWorkout expanded = expanded(COMPLEX);
        Plan draft = Draft.of(expanded);
        Plan plan = draft.withLine(draft.line(1).withEvery(draft.line(1).every().withPickUp(2500)));

        assertThat(of(PlanChecks.of(expanded, plan, Figures.NONE), Kind.BREAK_AT_BOUNDARY))
                .first()
                .satisfies(check -> {
                    assertThat(check.sentence())
                            .endsWith("5 pick-ups before hang power clean (2.5 s each, 13 s total)");
                    long mended = Forecast.of(
                                    expanded, check.fix().orElseThrow().plan())
                            .finishMs();
                    assertThat(Forecast.of(expanded, plan).finishMs() - mended).isEqualTo(12_500);
                });
        assertThat(of(PlanChecks.of(expanded, draft, Figures.NONE), Kind.BREAK_AT_BOUNDARY))
                .first()
                .satisfies(check -> assertThat(check.sentence()).endsWith("(no time planned for it)"));
    }

    /** Sets of a jerk, 3-2, begin on the floor each: two pick-ups a round of 3 s, one where the bar comes in the hands. By hand. */
    @Test
    void everySetThatIsNotHeldOverBringsItsLoadUp() {
        ExpandedWorkout expanded =
                expanded("# A\nfor time\n  5 burpee\n  5 hang power clean @ 60 kg\n  5 push jerk @ 60 kg\n");
        Pacing straight = new Pacing(5000, SetScheme.UNBROKEN, 2, 0);
        Pacing jerk = new Pacing(5000, SetScheme.parse("3-2"), 2, 4000).withPickUp(3000);
        Plan broken = new Plan(List.of(
                new LinePacing(0, straight, Map.of()),
                new LinePacing(1, straight, Map.of()),
                new LinePacing(2, jerk, Map.of())));
        assertThat(Forecast.of(expanded, broken).segments().getLast().pickUpsMs())
                .isEqualTo(6000);
        assertThat(Forecast.of(expanded, broken).finishMs()).isEqualTo(3 * 10_000 + 2 * 5000 + 4000 + 6000);
        Plan held = broken.withLine(broken.line(2).withEvery(jerk.withTransition(0)));
        assertThat(Forecast.of(expanded, held).segments().getLast().pickUpsMs()).isEqualTo(3000);
        // A goal leaves what the pick-ups take, and shares the rest.
        Plan aimed = GoalPlan.of(
                expanded, broken, Goal.parse("0:45", expanded, broken), Optional.empty(), Demonstrated.NOTHING);
        assertThat(Forecast.of(expanded, aimed).finishMs()).isEqualTo(45_000);
        assertThat(aimed.line(2).every().pickUpMs()).isEqualTo(3000);
    }
}
