package wake.simulation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Lift;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.PlateRack;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;

class SimulatedLiftsTest {
    /** The truth reads back whole: nothing odd, every lift told to its end, no lift begun after the buzzer; the recording shows it without a gap. */
    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void theTruthReadsBackAndTheRecordingShowsIt(long seed) {
        ExpandedWorkout expanded = Samples.expanded("# A\nlift 7:00, best of 2 hang power clean + 1 push jerk\n");
        Format.Lift window = (Format.Lift) expanded.format();
        LiftPlan plan = SimulatedLifts.usual(window, Quantity.of(90, Unit.KILOGRAM), PlateRack.kilograms(20));
        SimulatedAttempt attempt = SimulatedLifts.run(expanded, plan, seed);
        assertThat(SimulatedLifts.run(expanded, plan, seed)).isEqualTo(attempt);
        AttemptLog log = AttemptLog.of(expanded, attempt.truth());
        assertThat(log.rejected()).isEmpty();
        assertThat(log.over()).isTrue();
        assertThat(log.lifts()).hasSize(5).allSatisfy(lift -> {
            assertThat(lift.outcome()).isNotEqualTo(Lift.Outcome.UNKNOWN);
            assertThat(lift.endMs()).isPresent();
            assertThat(lift.atMs()).isLessThan(420_000);
            assertThat(lift.lengthMs().orElseThrow()).isBetween(3_000L, 40_000L);
        });
        RecordingScript script = RecordingScript.of(attempt);
        long at = 0;
        for (RecordingScript.Scene scene : script.scenes()) {
            assertThat(scene.fromMs()).isEqualTo(at);
            at = scene.toMs();
        }
        assertThat(at).isEqualTo(script.durationMs());
        List<Long> reps = script.scenes().stream()
                .flatMap(scene -> scene.repEndsMs().stream())
                .toList();
        assertThat(reps)
                .isEqualTo(attempt.truth().stream()
                        .filter(mark -> mark.kind() == MarkKind.REP)
                        .map(Mark::atMs)
                        .map(ms -> ms + script.goMs())
                        .toList());
    }
}
