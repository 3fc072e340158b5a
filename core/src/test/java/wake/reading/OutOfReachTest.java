package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.log.AttemptLog;
import wake.plan.Deadline;
import wake.plan.Forecast;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.SetScheme;
import wake.units.Digits;
import wake.words.ReviewWords;
import wake.workout.ExpandedWorkout;

/** Where what was due went, on attempts whose arithmetic can be done by hand. */
class OutOfReachTest {
    private static final String NOTATION =
            "# A\nfor time, cap 2:30\n  3 rounds:\n    4 burpee\n    6 thruster @ 30 kg\n";
    private static final ExpandedWorkout EXPANDED = Samples.expanded(NOTATION);

    /** Ways of 2 s but the first, 3 s a rep: 12, 32, 46, 66, 80, 100. */
    private static final Plan PLAN = new Plan(List.of(line(0), line(1)));

    private static LinePacing line(int index) {
        return new LinePacing(index, new Pacing(2000, SetScheme.UNBROKEN, 3, 0), Map.of());
    }

    private static List<OutOfReach> outOfReach(String notation, String jotted, long goalMs) {
        ExpandedWorkout expanded = Samples.expanded(notation);
        List<Deadline> due = new ArrayList<>(Deadline.of(expanded));
        if (goalMs > 0) {
            due.add(new Deadline(Deadline.Kind.GOAL, "the goal of 1:50", 6, 0, goalMs));
        }
        AttemptLog log = Samples.log(notation, jotted);
        return Reading.of(log, Baseline.plan(Forecast.of(expanded, PLAN, 7), due))
                .outOfReach();
    }

    /**
     * The plan leaves 10 s for a goal of 1:50. At 12, 36, 52 and 82 it is 0, 4, 6 and 16 s behind: after the second thrusters 6 s more than
     * there were.
     */
    @Test
    void itIsGoneAtTheFirstBorderFromWhichItCouldNoLongerBeMade() {
        List<OutOfReach> outOfReach = outOfReach(NOTATION, "D 12, D 36, D 52, D 82, D 96, D 118", 110_000);
        assertThat(outOfReach).singleElement().satisfies(one -> {
            assertThat(one.fromMs()).isEqualTo(52_000);
            assertThat(one.toMs()).isEqualTo(82_000);
            assertThat(ReviewWords.outOfReach(one, Digits.TENTHS))
                    .startsWith(
                            "The goal of 1:50 went out of reach at 1:22, in round 2, 6 thruster @ 30 kg: from 4.0 s to spare"
                                    + " to 6.0 s late");
        });
    }

    @Test
    void whatWasMadeWasNeverGone() {
        assertThat(outOfReach(NOTATION, "D 12, D 36, D 52, D 82, D 92, D 108", 110_000))
                .isEmpty();
    }

    /** Behind after the second round, back in time after the next burpees, and lost in the last thrusters: only the last time counts. */
    @Test
    void whatCameBackIsGoneOnlyWhereItWentForGood() {
        List<OutOfReach> outOfReach = outOfReach(NOTATION, "D 12, D 36, D 52, D 82, D 88, D 118", 110_000);
        assertThat(outOfReach).singleElement().satisfies(one -> {
            assertThat(one.fromMs()).isEqualTo(88_000);
            assertThat(one.place()).isEqualTo("round 3, 6 thruster @ 30 kg");
        });
    }

    /** A cap of 2:30 with 10 s in hand after the last burpees, and no border after it. */
    @Test
    void aCapThatWasThereUntilTheLast() {
        List<OutOfReach> outOfReach = outOfReach(NOTATION, "D 12, D 36, D 52, D 82, D 120, F 125, X 150", 0);
        assertThat(outOfReach).singleElement().satisfies(one -> {
            assertThat(one.what().kind()).isEqualTo(Deadline.Kind.CAP);
            assertThat(one.fromMs()).isEqualTo(120_000);
            assertThat(one.toMs()).isEqualTo(150_000);
            assertThat(ReviewWords.outOfReach(one, Digits.TENTHS)).contains("still on at 2:00, with 10.0 s to spare");
        });
    }

    /** A cut-off that ends the attempt is told, and nothing of what would have come after it. */
    @Test
    void aMissedCutOffIsTheEndOfIt() {
        List<OutOfReach> outOfReach = outOfReach(NOTATION + "  by 0:40 after round 1\n", "D 15, F 20, X 40", 110_000);
        assertThat(outOfReach).extracting(one -> one.what().kind()).containsExactly(Deadline.Kind.GATE);
    }

    /** What the plan itself did not make is no loss of the attempt. */
    @Test
    void aGoalThePlanDoesNotMakeIsNotHeldAgainstTheAttempt() {
        assertThat(outOfReach(NOTATION, "D 12, D 36, D 52, D 82, D 96, D 118", 90_000))
                .isEmpty();
    }
}
