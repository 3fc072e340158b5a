package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.CATALOGUE;
import static wake.Samples.expanded;
import static wake.Samples.log;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.athlete.Demonstrated;
import wake.athlete.Figures;
import wake.athlete.FiguresReader;
import wake.plan.check.PlanCheck;
import wake.plan.check.PlanChecks;
import wake.words.FigureWords;
import wake.workout.ExpandedWorkout;

/** Drafts by what is known of the athlete. Where no source stands beside a check it is common practice, no source. */
class DraftTest {
    private static Figures figures(String text) {
        FiguresReader.Outcome outcome = FiguresReader.read(text, CATALOGUE);
        assertThat(outcome.errors()).isEmpty();
        return outcome.figures();
    }

    private static Plan draft(ExpandedWorkout expanded, String figures) {
        return Draft.of(expanded, figures(figures), Demonstrated.NOTHING).plan();
    }

    /** Epley, Boyd Epley Workout (1985): 1RM = w (1 + r / 30), so that 75 % is ten reps fresh and 60 % is twenty; half of them in a set. */
    @ParameterizedTest
    @CsvSource({"0.50, 15", "0.60, 10", "0.75, 5", "0.80, 3", "0.85, 2", "0.90, 1", "1.00, 1", "1.10, 1"})
    void aSetHasHalfTheRepsThatTheShareLeavesFresh(double share, int most) {
        assertThat(LoadProfile.of(share).most()).isEqualTo(most);
        double fresh = 30 * (1 / Math.min(1, share) - 1);
        assertThat((double) most).isLessThanOrEqualTo(Math.max(1, fresh / 2 + 1e-9));
    }

    /** Twelve toes-to-bar unbroken in two rounds of three elsewhere are not planned in sixes: at most what was usually done, where that is more. */
    @Test
    void setsThatWereDoneAreNotCut() {
        Demonstrated shown = Demonstrated.in(
                List.of(
                        log(
                                "# A\nfor time\n  3 rounds:\n    12 toes-to-bar\n    10 burpee\n",
                                "A 0, D 24 x12, A 27, D 57 x10, A 60, D 84 x12, A 87, D 117 x10, A 120, O 132 x6, N 140, D 152 x6, A 155, D 185 x10")));
        ExpandedWorkout other = expanded("# B\nfor time\n  4 rounds:\n    12 toes-to-bar\n    200 m run\n");
        assertThat(Draft.of(other, Figures.NONE, shown)
                        .plan()
                        .line(0)
                        .every()
                        .sets()
                        .written())
                .isEqualTo("unbroken");
        ExpandedWorkout more = expanded("# B\nfor time\n  4 rounds:\n    20 toes-to-bar\n    200 m run\n");
        assertThat(Draft.of(more, Figures.NONE, shown)
                        .plan()
                        .line(0)
                        .every()
                        .sets()
                        .sets(20))
                .containsExactly(10, 10);
        assertThat(Draft.of(other, Figures.NONE, Demonstrated.NOTHING)
                        .plan()
                        .line(0)
                        .every()
                        .sets()
                        .sets(12))
                .as("of an athlete nobody knows")
                .hasSizeGreaterThan(1);
    }

    @Test
    void aHeavierBarIsNeverFasterNorInLargerSetsNorWithLessRest() {
        LoadProfile before = LoadProfile.of(0.05);
        for (int percent = 6; percent <= 120; percent++) {
            LoadProfile next = LoadProfile.of(percent / 100.0);
            assertThat(next.place()).isBetween(before.place(), 1.0);
            assertThat(next.most()).isLessThanOrEqualTo(before.most());
            assertThat(next.restMs()).isGreaterThanOrEqualTo(before.restMs());
            assertThat(next.missesMs()).isGreaterThanOrEqualTo(before.missesMs());
            before = next;
        }
    }

    /** 35 of 100 kg is touched and gone, 60 in sets, 90 in singles with their breaths and a miss in hand. */
    @Test
    void eachBarOfALadderIsHandledByItsShareOfTheMax() {
        ExpandedWorkout ladder =
                expanded("# A\nfor time\n  3 rounds:\n    12 power snatch @ 35-60-90 kg\n    12 burpee\n");

        Plan plan = draft(ladder, "max power snatch 100 kg");

        assertThat(plan.line(0).in(1).sets()).isEqualTo(SetScheme.UNBROKEN);
        assertThat(plan.line(0).in(2).sets().written()).isEqualTo("6s");
        assertThat(plan.line(0).in(3).sets().sets(12)).containsOnly(1).hasSize(12);
        assertThat(plan.line(0).in(3).rests().usualMs()).isGreaterThanOrEqualTo(12_000);
        assertThat(plan.line(0).in(3).missesMs()).isEqualTo(LoadProfile.MISS_MS);
        assertThat(plan.line(0).in(3).secondsPerUnit())
                .isGreaterThan(plan.line(0).in(1).secondsPerUnit());
    }

    @Test
    void aShareOfTheMaxNeedsNoMaxToBeHandled() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  5 rounds:\n    5 deadlift @ 90 %\n    9 burpee\n");

        assertThat(draft(expanded, "").line(0).every().sets().sets(5)).containsExactly(1, 1, 1, 1, 1);
        assertThat(Draft.of(expanded, figures("max deadlift 140 kg"), Demonstrated.NOTHING)
                        .bases()
                        .get(0))
                .contains("90% of max", "126.0 kg");
    }

    /** The max of the lift it is a part of stands for one that was never tried. */
    @Test
    void theMaxOfTheWholeLiftStandsForItsPart() {
        ExpandedWorkout expanded =
                expanded("# A\nfor time\n  5 rounds:\n    6 hang power clean @ 90 kg\n    9 burpee\n");

        assertThat(draft(expanded, "max clean 100 kg").line(0).every().sets().sets(6))
                .containsOnly(1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "for time | 4 rounds: | 10-16-21-27 | 27",
                "amrap 9:00 | | 9+9 | 45",
            })
    void noRoundAsksForMoreThanTheUnbrokenMaxAllows(String format, String rounds, String amount, int reps) {
        String block = rounds == null ? "  " : "  " + rounds + "\n    ";
        ExpandedWorkout expanded = expanded("# A\n" + format + "\n" + block + amount + " toes-to-bar\n");

        Plan plan = draft(expanded, "unbroken toes-to-bar 20");

        for (int round = 1; round <= 5; round++) {
            assertThat(plan.line(0).in(round).sets().sets(reps)).allMatch(set -> set <= 16);
        }
    }

    @Test
    void anAthleteNobodyKnowsIsNotDraftedUnbroken() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  50 pull-up\n  40 burpee\n  30 wall-ball shot @ 9 kg\n");

        Plan plan = draft(expanded, "");

        assertThat(plan.line(0).every().sets().sets(50)).hasSizeGreaterThan(2);
        assertThat(plan.line(1).every().sets()).isEqualTo(SetScheme.UNBROKEN);
        assertThat(plan.line(2).every().sets().sets(30)).hasSizeGreaterThan(1);
        // What it takes on paper cuts nothing: the usual cadence, and a transition before all but the first.
        assertThat(Forecast.of(expanded, Draft.of(expanded)).finishMs() / 1000.0)
                .isCloseTo(
                        2 * 3
                                + expanded.segments().stream()
                                        .mapToDouble(one -> one.movement().usualSecondsPerUnit() * one.units())
                                        .sum(),
                        within(0.01));
    }

    @Test
    void everyBarAboveTheMaxIsNamed() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  3 rounds:\n    3 clean @ 90-105-110 kg\n    9 burpee\n");
        Figures figures = figures("max clean 100 kg");

        assertThat(PlanChecks.of(
                        expanded,
                        Draft.of(expanded, figures, Demonstrated.NOTHING).plan(),
                        figures))
                .filteredOn(check -> check.kind() == PlanCheck.Kind.ABOVE_THE_MAX)
                .singleElement()
                .satisfies(check -> assertThat(check.sentence())
                        .contains("105 kg, 105%", "110 kg, 110%")
                        .doesNotContain("90 kg"));
    }

    /** 30 calories in 1:00 and in 1:28 are 74 s, 2.467 s each; by hand. */
    @Test
    void aTestInCaloriesOrRepsIsWhatADraftGoesBy() {
        ExpandedWorkout expanded =
                expanded("# A\nfor time\n  50 cal air bike\n  30 burpee\n  40 cal row\n  500 m row\n");
        String figures =
                "test air bike 30 cal: 1:00 1:28\ntest burpee 15 reps: 0:52 0:53\ntest row 30 cal: 1:30 1:30\n";

        Plan plan = draft(expanded, figures);

        assertThat(plan.line(0).every().secondsPerUnit()).isCloseTo(74 / 30.0, within(1e-9));
        assertThat(plan.line(1).every().secondsPerUnit()).isCloseTo(52.5 / 15, within(1e-9));
        assertThat(plan.line(2).every().secondsPerUnit()).isEqualTo(3);
        // 1,200 cal/h on the rower: 300 + 4 x 0.8604 W, 2.8 / pace^3 in watts; the machine's own published formulas.
        double watts = (1200 - 300) / (4 * 0.8604);
        assertThat(plan.line(3).every().secondsPerUnit()).isCloseTo(Math.cbrt(2.8 / watts), within(1e-4));
        assertThat(FigureWords.advice(figures(figures)))
                .anyMatch(words -> words.startsWith("air bike: holds 2.47 s/cal"));
    }
}
