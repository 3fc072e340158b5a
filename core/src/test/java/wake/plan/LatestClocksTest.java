package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.expanded;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wake.plan.Plan.LinePacing;
import wake.workout.ExpandedWorkout;

/** The latest clocks against a walk of the plan that is tried again and again, a little later each time. */
class LatestClocksTest {
    private static final String STAGED = """
            # A
            for time, cap 12:00
              3 rounds:
                10 wall ball
                8 burpee
              by 4:00 after round 1
              by 7:00 after round 2
            """;

    private static Plan random(ExpandedWorkout expanded, Random random) {
        return new Plan(expanded.firstOfEachLine().stream()
                .map(segment -> new LinePacing(
                        segment.lineIndex(),
                        new Pacing(
                                1000L * random.nextInt(12),
                                SetScheme.UNBROKEN,
                                1 + 2 * random.nextDouble(),
                                PaceSteps.EVEN,
                                Rests.of(1000L * random.nextInt(8)),
                                1000L * random.nextInt(3),
                                1000L * random.nextInt(3),
                                PaceUnit.USUAL),
                        Map.of()))
                .toList());
    }

    /** By hand: each round takes 10 x 2 + 8 x 4 = 52 s and 5 s to each movement but the first. Gates at 240 and 420, the cap at 720. */
    @Test
    void byHand() {
        ExpandedWorkout expanded = expanded(STAGED);
        Plan plan = new Plan(List.of(line(0, 2), line(1, 4)));
        LatestClocks latest = LatestClocks.of(Forecast.of(expanded, plan), Deadline.of(expanded));
        // Backwards: 720; 720 - 37 = 683; 683 - 25 = 658, but the cut-off wants 420; 383; 358, but the cut-off wants
        // 240;
        // 203; 183.
        assertThat(IntStream.rangeClosed(0, 6)
                        .mapToObj(latest::after)
                        .map(OptionalLong::getAsLong)
                        .toList())
                .containsExactly(183_000L, 203_000L, 240_000L, 383_000L, 420_000L, 683_000L, 720_000L);
    }

    private static LinePacing line(int index, double seconds) {
        return new LinePacing(index, new Pacing(5000, SetScheme.UNBROKEN, seconds, 0), Map.of());
    }

    @Test
    void nothingIsDueAfterTheLastCutOffOfWhatGoesOnUntilTheBuzzer() {
        ExpandedWorkout expanded = expanded("# A\namrap 8:00\n  5 burpee\n  5 wall ball\n");
        Plan plan = random(expanded, new Random(1));
        Forecast forecast = Forecast.of(expanded, plan, 40);
        assertThat(Deadline.of(expanded)).isEmpty();
        assertThat(LatestClocks.of(forecast, List.of()).after(3)).isEmpty();
        List<Deadline> goal =
                List.of(Deadline.of(Goal.parse("4+3", expanded, plan), expanded).orElseThrow());
        LatestClocks latest = LatestClocks.of(forecast, goal);
        assertThat(latest.after(9)).isEmpty();
        assertThat(latest.after(8).getAsLong())
                .isEqualTo(480_000 - forecast.segments().get(8).upTo(3).activeMs());
    }

    /** Rounds of 20 s on marks 60 s apart: half a minute late is no loss but in the last of them. */
    @Test
    void aWaitForAMarkAbsorbsBeingLate() {
        ExpandedWorkout expanded = expanded("# A\nfor time, cap 3:00\n  3 rounds:\n    10 wall ball\n");
        Plan plan =
                new Plan(List.of(line(0, 2)), PacingStrategy.EVEN, OptionalLong.of(60_000), Optional.empty(), Map.of());
        Forecast forecast = Forecast.of(expanded, plan);
        assertThat(forecast.endsMs()).containsExactly(20_000L, 80_000L, 140_000L);
        // Backwards from 180: 180 - 25 = 155, and 155 - 25 = 130.
        LatestClocks latest = LatestClocks.of(forecast, Deadline.of(expanded));
        assertThat(latest.after(2).getAsLong()).isEqualTo(155_000);
        assertThat(latest.after(1).getAsLong()).isEqualTo(130_000);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                STAGED,
                "# A\nfor time, cap 9:00\n  30 calories row\n  20 burpee\n  4 rounds:\n    6 thruster @ 40 kg\n    9 box jump\n",
                "# A\nevery 2:00 x 5\n  10 wall ball\n  8 burpee\n",
                "# A\nfor time, cap 15:00\n  3 rounds:\n    21-15-9 thruster @ 40 kg\n    21-15-9 burpee\n"
            })
    void aMomentLaterItCannotBeMadeAnyMore(String notation) {
        ExpandedWorkout expanded = expanded(notation);
        Random random = new Random(notation.length());
        int compared = 0;
        for (int go = 0; go < 40; go++) {
            Plan plan = random(expanded, random);
            Forecast forecast = Forecast.of(expanded, plan);
            List<Deadline> due = new ArrayList<>(Deadline.of(expanded));
            if (expanded.intervalEndsMs(expanded.segments().size() - 1).isEmpty()) {
                due.add(new Deadline(
                        Deadline.Kind.GOAL,
                        "the goal",
                        expanded.segments().size(),
                        0,
                        forecast.finishMs() + random.nextLong(60_000) - 10_000));
            }
            LatestClocks latest = LatestClocks.of(forecast, due);
            for (int border = 0; border < forecast.segments().size(); border++) {
                OptionalLong known = latest.after(border);
                if (known.isPresent()) {
                    compared++;
                    assertThat(made(forecast, due, border, known.getAsLong())).isTrue();
                    assertThat(made(forecast, due, border, known.getAsLong() + 1))
                            .isFalse();
                }
            }
        }
        assertThat(compared).isGreaterThan(150);
    }

    /** Walks on from a border at a clock, and waits where the plan would have to. */
    private static boolean made(Forecast forecast, List<Deadline> due, int border, long atMs) {
        long planned = 0;
        long clock = atMs;
        for (int i = 0; i <= forecast.segments().size(); i++) {
            for (Deadline one : due) {
                if (i >= border && one.whole() == i && clock > one.byMs()) {
                    return false;
                }
            }
            if (i == forecast.segments().size()) {
                break;
            }
            PlannedSegment segment = forecast.segments().get(i);
            long opens = planned + segment.waitMs();
            planned += segment.totalMs();
            if (i >= border) {
                boolean waits = segment.waitMs() > 0;
                clock = (waits ? Math.max(clock, opens) : clock)
                        + segment.transitionMs()
                        + segment.workMs()
                        + segment.pickUpsMs()
                        + segment.restMs()
                        + segment.missesMs();
            }
        }
        return true;
    }
}
