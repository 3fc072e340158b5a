package wake.workout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wake.Samples;
import wake.athlete.Demonstrated;
import wake.log.AttemptLog;
import wake.plan.Draft;
import wake.plan.Forecast;
import wake.plan.Goal;
import wake.plan.GoalPlan;
import wake.plan.Plan;
import wake.plan.WarmUp;
import wake.projection.FatigueCost;
import wake.projection.Projection;
import wake.projection.RetestPlan;
import wake.projection.Suggestions;
import wake.reading.Baseline;
import wake.reading.Reading;
import wake.simulation.AthleteModel;
import wake.simulation.RecordingScript;
import wake.simulation.SimulatedAttempt;

/** Whatever a text says, reading it and working with what it says comes to an end soon. */
class NotationLimitsTest {
    private static final Duration SOON = Duration.ofSeconds(20);

    private static final List<String> HEADS = List.of(
            "for time",
            "for time, cap 14:00",
            "for time, cap 0:01",
            "amrap 9:00",
            "amrap 24:00:00",
            "every 2:00 x 10",
            "every 0:01 x 500",
            "every 1:00 x 7, in turn",
            "lift 8:00, best of 2 hang clean + 1 push jerk");

    private static final List<String> OPENERS = List.of(
            "3 rounds:",
            "500 rounds:",
            "1+499 rounds:",
            "5-4-3 rounds:",
            "repeat:",
            "in any order:",
            "buy-in:",
            "cash-out:",
            "rounds:");

    private static final List<String> LINES = List.of(
            "12 thruster @ 40 kg",
            "1+99999 burpee",
            "100000 burpee",
            "99999 m run",
            "0 burpee",
            "0.001 cal row",
            "10-0-8 burpee",
            "999999999 burpee",
            "4+4 pull-up, counts 0",
            "400 m run, counts 1",
            "by 8:00 after round 3",
            "by 0:01 after round 1",
            "tie-break after round 2",
            "// a remark",
            "60 s plank");

    private static void soon(String text) {
        Assertions.assertTimeoutPreemptively(SOON, () -> workWith(text), text);
    }

    /** Everything the application does with a text; what the core refuses it refuses with a reason. */
    private static void workWith(String text) {
        NotationReader.Reading read = NotationReader.read(text, Samples.CATALOGUE);
        for (Workout.Part part : read.workout().map(Workout::parts).orElse(List.of())) {
            for (int cut : new int[] {1, 20}) {
                try {
                    ExpandedWorkout expanded = ExpandedWorkout.of(part, 0, Samples.CATALOGUE, cut);
                    plan(expanded);
                    review(expanded);
                } catch (IllegalArgumentException refused) {
                    assertThat(refused.getMessage()).isNotBlank();
                }
            }
        }
    }

    private static void plan(ExpandedWorkout expanded) {
        assertThat(expanded.upTo(200)).hasSizeLessThanOrEqualTo(200);
        if (expanded.segments().isEmpty()) {
            return;
        }
        Plan plan = Draft.of(expanded);
        Forecast forecast = Forecast.of(expanded, plan);
        forecast.stretches(expanded);
        for (String goal : List.of("0:30", "8:45", "7+12", "999+9999", "3")) {
            try {
                GoalPlan.of(expanded, plan, Goal.parse(goal, expanded, plan), Optional.empty(), Demonstrated.NOTHING);
            } catch (IllegalArgumentException refused) {
                assertThat(refused.getMessage()).isNotBlank();
            }
        }
        try {
            WarmUp.scaled(expanded, plan, 61_000);
        } catch (IllegalArgumentException refused) {
            assertThat(refused.getMessage()).isNotBlank();
        }
    }

    private static void review(ExpandedWorkout expanded) {
        SimulatedAttempt attempt = SimulatedAttempt.run(expanded, AthleteModel.plain(), 7);
        if (expanded.segments().isEmpty()) {
            return;
        }
        RecordingScript.of(attempt);
        AttemptLog log = AttemptLog.of(expanded, attempt.truth());
        Reading.of(log, Baseline.bestSplits(log));
        if (log.over() && log.splits().size() < 400) {
            var changes = Suggestions.of(log);
            Projection.of(log, changes);
            RetestPlan.of(log, changes, FatigueCost.NONE);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "in any order:\n    500 rounds:\n      500 rounds:\n        500 rounds:\n          1 burpee",
                "repeat:\n    5 burpee",
                "repeat:\n    1+499 rounds:\n      1+499 rounds:\n        1+499 rounds:\n          2 burpee",
                "999999999 burpee",
                "500 rounds:\n    by 8:00 after round 3\n    100000 burpee",
                "500 rounds:\n    500 rounds:\n      in any order:\n        0.5 burpee"
            })
    void textsThatOnceRanForEverEndSoon(String body) {
        for (String head : HEADS) {
            soon("# Swell\n" + head + "\n  " + body);
        }
    }

    @Test
    void whatHasNoMeaningIsRefusedWhereItStands() {
        assertThat(errors("for time\n  in any order:\n    3 rounds:\n      5 burpee"))
                .contains("under \"in any order\"");
        assertThat(errors("for time\n  repeat:\n    5 burpee")).contains("\"repeat\" without an end");
        assertThat(errors("for time\n  3 rounds:\n    0-0-0 burpee")).contains("above zero");
        assertThat(errors("for time\n  0 burpee")).contains("above zero");
        assertThat(errors("for time\n  999999999 burpee")).contains("up to 100000");
        assertThat(errors("for time\n  3 rounds:\n    5 burpee\n    by 2:00 after round 4"))
                .contains("after round 4", "a round up to 3");
        assertThat(errors("for time\n  5 burpee\n  by 2:00 after round 1")).contains("rounds for it to come after");
        assertThat(errors("amrap 5:00\n  // nothing")).contains("a movement with its amount");
        assertThat(errors("amrap 99:00:00\n  5 burpee")).contains("within a day");
        assertThat(errors("amrap 5:00\n  repeat:\n    5 burpee\n  repeat:\n    5 pull-up"))
                .contains("\"repeat\" twice");
    }

    private static String errors(String body) {
        return NotationReader.read("# Swell\n" + body, Samples.CATALOGUE)
                .errors()
                .toString();
    }

    @Test
    void aMileMayTakeLongerThanTenMinutes() {
        ExpandedWorkout expanded = Samples.expanded("# Swell\nfor time\n  1 mi run\n  20 burpee");
        assertThatCode(() -> new wake.plan.Pacing(0, wake.plan.SetScheme.parse(""), 630, 0))
                .doesNotThrowAnyException();
        assertThat(Forecast.of(expanded, Draft.of(expanded)).finishMs()).isPositive();
    }

    /** A cash-out of no round comes after intervals of several: the hardest of them is planned for all the same. */
    @Test
    void aGoalForIntervalsLooksAtAllRounds() {
        ExpandedWorkout expanded = Samples.expanded("# Swell\nevery 1:00 x 3\n  10 burpee\n  cash-out: 12 thruster");
        assertThat(Goal.parse("0:40", expanded, Draft.of(expanded)).ms()).isEqualTo(40_000);
    }

    /** Every nesting of blocks, lines that make sense and lines that do not; {@code -Dwake.nestings=20000} tries more, {@code -Dwake.nestings.from} the later of them. */
    @Test
    void everyNestingEndsSoon() {
        int texts = Integer.getInteger("wake.nestings", 60);
        int first = Integer.getInteger("wake.nestings.from", 0);
        SplittableRandom random = new SplittableRandom(12);
        for (int i = 0; i < texts; i++) {
            StringBuilder text = new StringBuilder("# Swell ").append(i).append('\n');
            text.append(HEADS.get(random.nextInt(HEADS.size()))).append('\n');
            body(random, text, 1);
            if (i >= first) {
                soon(text.toString());
            }
        }
    }

    private static void body(SplittableRandom random, StringBuilder text, int depth) {
        int lines = 1 + random.nextInt(3);
        for (int i = 0; i < lines; i++) {
            text.append("  ".repeat(depth));
            if (depth < 6 && random.nextInt(3) == 0) {
                text.append(OPENERS.get(random.nextInt(OPENERS.size()))).append('\n');
                body(random, text, depth + 1);
            } else {
                text.append(LINES.get(random.nextInt(random.nextInt(3) == 0 ? LINES.size() : 4)))
                        .append('\n');
            }
        }
    }
}
