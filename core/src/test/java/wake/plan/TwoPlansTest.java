package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.expanded;

import org.junit.jupiter.api.Test;
import wake.words.TwoPlansWords;
import wake.workout.ExpandedWorkout;

/** Two plans of one workout beside each other; the sums by hand. */
class TwoPlansTest {
    private static final ExpandedWorkout EXPANDED =
            expanded("# A\nfor time\n  500 m row\n  5 rounds:\n    10 burpee\n    10 pull-up\n");

    private static Plan plan(double row, double burpee, double pullUp) {
        Plan draft = Draft.of(EXPANDED);
        for (int line = 0; line < 3; line++) {
            double pace = line == 0 ? row : line == 1 ? burpee : pullUp;
            draft = draft.withLine(draft.line(line)
                    .withEvery(draft.line(line).every().withCadence(pace).withTransition(0)));
        }
        return draft;
    }

    /** The row 10 s slower, each burpee 0.1 s faster: 50 burpees are 5 s; 5 s have to come out of 150 + 100 s, 2 %. */
    @Test
    void theSlowerStartPaysWhereTheRestGainsWhatItCosts() {
        TwoPlans two = TwoPlans.of(EXPANDED, plan(0.24, 3.1, 2.0), plan(0.26, 3.0, 2.0));

        assertThat(two.sections())
                .containsExactly(
                        new TwoPlans.Row("500 m row", 120_000, 130_000),
                        new TwoPlans.Row("5 rounds", 255_000, 250_000));
        assertThat(two.slowerMs()).isEqualTo(5_000);
        assertThat(new TwoPlansWords(two).text())
                .isEqualTo(
                        "The other is slower in row by 10.0 s; faster in burpee by 5.0 s. 5.0 s slower in total. Worth it if burpee, pull-up gets 2.0% faster than planned.");
    }

    @Test
    void aFasterOneIsLostWhereItIsNotHeld() {
        TwoPlans two = TwoPlans.of(EXPANDED, plan(0.24, 3.0, 2.0), plan(0.24, 3.0, 1.8));

        assertThat(new TwoPlansWords(two).text())
                .isEqualTo(
                        "The other is faster in pull-up by 10.0 s. 10.0 s faster in total. Not worth it if pull-up gets 11.1% slower than planned.");
    }

    @Test
    void whatIsTheSameIsSaidToBe() {
        assertThat(new TwoPlansWords(TwoPlans.of(EXPANDED, plan(0.24, 3, 2), plan(0.24, 3, 2))).text())
                .isEqualTo("The two plans are the same everywhere.");
    }

    /** Until the buzzer the one comes further than the other: only what both do in full is held against each other. */
    @Test
    void untilTheBuzzerOnlyWhatBothReachIsCompared() {
        ExpandedWorkout open = expanded("# A\namrap 5:00\n  10 burpee\n  10 push-up\n");
        Plan draft = Draft.of(open);
        Plan quicker =
                draft.withLine(draft.line(0).withEvery(draft.line(0).every().withCadence(1.5)));

        TwoPlans two = TwoPlans.of(open, draft, quicker);

        long here = two.lines().stream().mapToLong(TwoPlans.Row::hereMs).sum();
        assertThat(here).isLessThanOrEqualTo(300_000).isGreaterThan(200_000);
        assertThat(two.slowerMs()).isNegative();
    }
}
