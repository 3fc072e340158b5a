package wake.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.simulation.AthleteModel;
import wake.simulation.Discipline;
import wake.simulation.SimulatedAttempt;
import wake.words.HeadToHeadWords;
import wake.workout.ExpandedWorkout;
import wake.workout.Workout;

/** Two attempts beside each other; the figures are worked out by hand beside each check. */
class HeadToHeadTest {
    private static final String TEXT = """
            # Two Piers
            for time
              2 rounds:
                3 burpee
                2 wall walk
            """;

    private static final String RACE = """
            # Sluice
            amrap 2:00
              4 burpee
              3 wall walk
            """;

    private static Side side(String name, String text, String jotted) {
        return new Side(name, text, Samples.log(text, jotted));
    }

    private static HeadToHead of(String text, String one, String other) {
        return HeadToHead.of(side("Ida", text, one), side("Runa", text, other));
    }

    /** Ida is first through the burpees, Runa passes in the wall walks of round 1 and stays ahead. */
    private static HeadToHead passed() {
        return of(
                TEXT,
                "A 1, F 3, F 5, F 7, A 10, F 20, F 30, A 33, F 36, F 39, F 42, A 46, F 56, F 66",
                "A 1, F 4, F 7, F 10, A 12, F 18, F 24, A 26, F 29, F 32, F 35, A 38, F 47, F 56");
    }

    @Test
    void theLeadIsThatOfTheRawClock() {
        HeadToHead versus = passed();
        assertThat(versus.borders().stream().map(Border::leadMs)).containsExactly(3000L, -6000L, -7000L, -10_000L);
        assertThat(versus.overtakes()).singleElement().satisfies(overtake -> {
            // Runa's first wall walk is up at 18, Ida's at 20.
            assertThat(overtake.atMs()).isEqualTo(18_000);
            assertThat(overtake.one()).isFalse();
            assertThat(overtake.known()).isTrue();
            assertThat(overtake.clear()).isTrue();
            assertThat(overtake.place()).isEqualTo("round 1, 2 wall walk");
        });
        assertThat(new HeadToHeadWords(versus).headline())
                .isEqualTo("Runa by 10.0 s. Ida led by up to 3.0 s until Runa passed at 0:18.");
        assertThat(new HeadToHeadWords(versus).edge())
                .isEqualTo(
                        "Runa's edge: a faster rate on wall walk (10.0 s), faster transitions on wall walk (2.0 s). Ida's: a faster rate on burpee (3.0 s).");
    }

    @Test
    void theReversedPairSaysTheSameTheOtherWayRound() {
        HeadToHead versus = passed();
        HeadToHead reversed = of(
                TEXT,
                "A 1, F 4, F 7, F 10, A 12, F 18, F 24, A 26, F 29, F 32, F 35, A 38, F 47, F 56",
                "A 1, F 3, F 5, F 7, A 10, F 20, F 30, A 33, F 36, F 39, F 42, A 46, F 56, F 66");
        assertThat(reversed.borders().stream().map(border -> -border.leadMs()))
                .isEqualTo(versus.borders().stream().map(Border::leadMs).toList());
        assertThat(reversed.overtakes().getFirst().one()).isTrue();
        assertThat(new HeadToHeadWords(reversed)
                        .headline()
                        .replace("Ida", "x")
                        .replace("Runa", "Ida")
                        .replace("x", "Runa"))
                .isEqualTo(new HeadToHeadWords(versus).headline());
    }

    @Test
    void byMinuteTheLeadIsInReps() {
        HeadToHead versus = of(
                RACE,
                "A 1, F 5, F 10, F 15, F 20, A 25, F 35, F 45, F 55, A 58, F 62, F 66, F 70, F 74, A 80, F 100, F 118, X 120",
                "A 1, F 6, F 12, F 18, F 24, A 30, F 42, F 54, F 66, A 70, F 73, F 76, F 79, F 82, A 84, F 90, F 100, F 110, X 120");
        // At 1:00: 7 reps against 6; at the buzzer Ida has 7 + 4 + 2, Runa 7 + 4 + 3.
        assertThat(versus.minutes())
                .containsExactly(
                        new MinuteLead(60_000, OptionalInt.of(1), 1), new MinuteLead(120_000, OptionalInt.of(-1), -1));
        assertThat(versus.ending()).isEqualTo(new Ending(-1, "1 rep", false, true));
        assertThat(new HeadToHeadWords(versus).headline()).startsWith("Runa by 1 rep.");
    }

    @Test
    void whoStopsIsPassedWhenTheOtherHasDoneMore() {
        HeadToHead versus = of(
                TEXT,
                "A 1, F 3, F 5, F 7, A 10, F 12, X 15",
                "A 1, F 4, F 7, F 10, A 12, F 18, F 24, A 26, F 29, F 32, F 35, A 38, F 47, F 56");
        assertThat(versus.overtakes())
                .singleElement()
                .satisfies(overtake -> assertThat(overtake.atMs()).isEqualTo(24_000));
        assertThat(versus.borders()).hasSize(1);
        assertThat(new HeadToHeadWords(versus).headline()).startsWith("Runa finished, Ida 6 reps short.");
    }

    /** What is only seen at its end is not known inside: the lead changed somewhere between, and so it is said. */
    @Test
    void whereNobodyCountedTheMomentIsASpan() {
        HeadToHead versus = of(TEXT, "D 7 seg, D 30 seg, D 42 seg, D 66 seg", "D 10 seg, D 24 seg, D 35 seg, D 56 seg");
        assertThat(versus.overtakes()).singleElement().satisfies(overtake -> {
            assertThat(overtake.known()).isFalse();
            assertThat(overtake.fromMs()).isEqualTo(10_000);
            assertThat(overtake.toMs()).isEqualTo(24_000);
        });
        assertThat(new HeadToHeadWords(versus).headline()).contains("Runa passed between 0:10 and 0:24");
        assertThat(versus.gains().get(Cause.UNSEPARATED)).isEqualTo(-10_000);
        assertThat(new HeadToHeadWords(versus).edge())
                .contains("less time on wall walk (12.0 s)")
                .doesNotContain("reps");
    }

    @Test
    void ofRoundTimesOnlyRoundsAreSpokenOf() {
        ExpandedWorkout expanded = Samples.expanded(TEXT);
        AttemptLog one = AttemptLog.of(expanded, rounds(14_000, 30_000, 45_000, 60_000));
        AttemptLog other = AttemptLog.of(
                expanded,
                Samples.marks("A 1, F 4, F 7, F 10, A 12, F 18, F 24, A 26, F 29, F 32, F 35, A 38, F 47, F 56"));
        HeadToHead versus = HeadToHead.of(new Side("Ida", TEXT, one), new Side("Runa", TEXT, other));
        assertThat(versus.borders().stream().map(Border::place)).containsExactly("round 1", "round 2");
        assertThat(versus.borders().stream().map(Border::leadMs)).containsExactly(-6000L, -4000L);
        assertThat(new HeadToHeadWords(versus).headline() + new HeadToHeadWords(versus).edge())
                .contains("round 1")
                .doesNotContain("burpee")
                .doesNotContain("wall walk");
        // When Runa is through, Ida is somewhere in the second round: behind, by how many reps nobody told.
        assertThat(versus.minutes()).containsExactly(new MinuteLead(56_000, OptionalInt.empty(), -1));
    }

    private static List<Mark> rounds(long first, long second, long third, long fourth) {
        return List.of(
                Mark.of(MarkKind.DONE, first).withDepth(Granularity.ROUND),
                Mark.of(MarkKind.DONE, second),
                Mark.of(MarkKind.DONE, third).withDepth(Granularity.ROUND),
                Mark.of(MarkKind.DONE, fourth));
    }

    /** Nothing is scaled: in unlike amounts only the ends are held against each other, and no reps are told between them. */
    @Test
    void acrossDivisionsOnlyPlacesCount() {
        String text = """
                # Weir Race
                divisions: long / short
                for time
                  2 rounds:
                    6 / 3 burpee
                    2 wall walk
                """;
        Workout workout = Samples.workout(text);
        AttemptLog one = AttemptLog.of(
                ExpandedWorkout.of(workout, 0, Samples.CATALOGUE),
                Samples.marks("A 1, F 3, F 5, F 7, F 9, F 11, F 13, A 16, F 21, F 26, D 50, D 70"));
        AttemptLog other = AttemptLog.of(
                ExpandedWorkout.of(workout, 1, Samples.CATALOGUE),
                Samples.marks("A 1, F 6, F 10, F 14, A 16, F 23, F 30, D 52, D 66"));
        HeadToHead versus = HeadToHead.of(new Side("Ida", text, one), new Side("Runa", text, other));
        // At 12 s Ida has five of six burpees, Runa two of three: nobody is ahead of the other.
        assertThat(MinuteLead.at(
                        Step.of(Matching.of(new Side("Ida", text, one), new Side("Runa", text, other))), true, 12_000))
                .isEqualTo(new MinuteLead(12_000, OptionalInt.empty(), 0));
        assertThat(versus.borders().stream().map(Border::leadMs)).containsExactly(1000L, 4000L, 2000L, -4000L);
        assertThat(versus.borders().getFirst().gains()).containsEntry(Cause.UNLIKE, 1000L);
        assertThat(versus.borders().getFirst().otherPlace()).isEqualTo("round 1, 3 burpee");
        assertThat(new HeadToHeadWords(versus).differentWork()).containsExactly("6 burpee vs 3 burpee");
        assertThat(versus.ending()).isEqualTo(new Ending(-1, "4.0 s", false, true));
    }

    @Test
    void versionsOfATextAreMatchedByWhatTheyAskFor() {
        String later = TEXT.replace("    3 burpee\n", "    3 burpee\n    5 air squat\n");
        HeadToHead versus = HeadToHead.of(
                side("Ida on 3 Nov", TEXT, "D 10 seg, D 30 seg, D 42 seg, D 66 seg"),
                side("Ida on 9 Nov", later, "D 9 seg, D 15 seg, D 33 seg, D 44 seg, D 50 seg, D 70 seg"));
        assertThat(new HeadToHeadWords(versus).unmatched()).containsExactly("air squat: only Ida on 9 Nov");
        assertThat(versus.borders().stream().map(Border::leadMs)).containsExactly(-1000L, 3000L, 2000L, 4000L);
        assertThat(versus.borders().get(1).gains()).containsOnlyKeys(Cause.UNLIKE);
    }

    @Test
    void nothingInCommonIsSaid() {
        String other = "# Else\nfor time\n  10 pull-up\n";
        HeadToHead versus = HeadToHead.of(side("Ida", TEXT, "D 10 seg, D 30 seg"), side("Runa", other, "D 9 seg"));
        assertThat(versus.borders()).isEmpty();
        assertThat(new HeadToHeadWords(versus).headline()).startsWith("These two can't be compared");
        assertThat(new HeadToHeadWords(versus).edge()).isEmpty();
    }

    @Test
    void withinTheReadingErrorNobodyLeads() {
        List<Mark> one = Samples.marks("D 10 seg, D 30 seg, D 42 seg, D 66 seg");
        List<Mark> other = Samples.marks("D 10.2 seg, D 29.9 seg, D 42.1 seg, D 66 seg");
        ExpandedWorkout expanded = Samples.expanded(TEXT);
        HeadToHead versus = HeadToHead.of(
                new Side("Ida", TEXT, AttemptLog.of(expanded, typed(one))),
                new Side("Runa", TEXT, AttemptLog.of(expanded, typed(other))));
        assertThat(versus.overtakes()).isNotEmpty().allMatch(overtake -> !overtake.clear());
        assertThat(new HeadToHeadWords(versus).headline())
                .isEqualTo("Tie. Neck and neck throughout: never apart by more than the timing error.");
    }

    private static List<Mark> typed(List<Mark> marks) {
        return marks.stream()
                .map(mark -> new Mark(
                        mark.id(),
                        mark.kind(),
                        mark.atMs(),
                        mark.reps(),
                        mark.depth(),
                        mark.tag(),
                        mark.text(),
                        1 / Math.sqrt(12)))
                .toList();
    }

    /** Same cost, another way: 30 s each, one with faster reps, the other with shorter rests. */
    @Test
    void theSameCostInAnotherWayIsSaid() {
        String text = "# Quay\nfor time\n  10 pull-up\n";
        HeadToHead versus = of(text, "A 2, O 10 x5, N 22, D 30", "A 2, O 14 x5, N 18, D 30");
        assertThat(new HeadToHeadWords(versus).styles())
                .containsExactly(
                        "Pull-up: about equal (30.0 s / 30.0 s). Ida: a faster rate (8.0 s); Runa: less rest (8.0 s).");
    }

    /** A body that only walks faster wins by its ways and by nothing else, to the millisecond of what the simulation took. */
    @Test
    void aPlantedCauseIsTheOneFound() {
        ExpandedWorkout expanded = Samples.expanded(Samples.LONG_REACH);
        AthleteModel athlete = AthleteModel.plain();
        SimulatedAttempt slow = SimulatedAttempt.run(expanded, athlete, 5);
        SimulatedAttempt quick =
                SimulatedAttempt.run(expanded, athlete, new Discipline(1000, Long.MAX_VALUE, Map.of(), false), 5);
        HeadToHead versus = HeadToHead.of(
                new Side("Ida", "t", AttemptLog.of(expanded, quick.truth())),
                new Side("Runa", "t", AttemptLog.of(expanded, slow.truth())));
        long saved = slow.clockMs() - quick.clockMs();
        assertThat(saved).isGreaterThan(5000);
        assertThat(versus.gains().get(Cause.TRANSITION)).isCloseTo(saved, within(300L));
        assertThat(new HeadToHeadWords(versus).edge()).contains("faster transitions");
    }

    private static AttemptLog withTechnique(String jotted, String technique) {
        List<Mark> marks = new ArrayList<>(Samples.marks(jotted));
        marks.add(new Mark(new UUID(9, 9), MarkKind.VARIANT, 0, 0, Granularity.SET, "", technique, 0.1));
        return AttemptLog.of(Samples.expanded(STEPS), marks);
    }

    private static final String STEPS =
            "# Sluice Steps\nfor time\n  2 rounds:\n    10 box jump over @ 50 cm\n    5 burpee\n";

    /** By hand: ten in 39 and in 41 s, 4.00 in the middle; ten in 44 and 44 s; 0.40 s a rep over 20 reps are 8 s. */
    @Test
    void techniquesOfOtherNamesAreHeldBesideEachOther() {
        AttemptLog step = withTechnique("A 0, D 39, A 42, D 52, A 55, D 96, A 99, D 109", "step-up");
        AttemptLog jump = withTechnique("A 0, D 44, A 47, D 57, A 60, D 104, A 107, D 117", "jump");
        HeadToHead versus = HeadToHead.of(new Side("Ina", "", step), new Side("Odo", "", jump));
        assertThat(new HeadToHeadWords(versus).techniques())
                .first()
                .isEqualTo("Box jump over: Ina step-up 4.00 s, Odo jump 4.40 s; 0.40 s × 20 = 8.0 s.");
        assertThat(HeadToHead.of(new Side("Ina", "", step), new Side("Odo", "", step))
                        .techniques())
                .isEmpty();
        assertThat(HeadToHead.of(
                                new Side("Ina", "", step),
                                new Side(
                                        "Odo",
                                        "",
                                        Samples.log(STEPS, "A 0, D 44, A 47, D 57, A 60, D 104, A 107, D 117")))
                        .techniques())
                .isEmpty();
    }
}
