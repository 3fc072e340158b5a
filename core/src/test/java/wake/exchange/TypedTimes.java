package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import wake.Samples;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.plan.Draft;
import wake.workout.ExpandedWorkout;

/** Times as a coach types them, read for the tests. */
final class TypedTimes {
    static final String TWO = "# A\nfor time\n  21 thruster\n  15 burpee\n";
    static final String ROUNDS = "# A\nfor time\n  3 rounds:\n    4 burpee\n    6 thruster\n";
    static final String AMRAP = "# A\namrap 2:00\n  10 burpee\n  10 thruster\n";

    static TimeSheet read(String notation, Each each, Times times, String text) {
        ExpandedWorkout expanded = Samples.expanded(notation);
        return TimeSheet.read(text, each, times, expanded, Draft.of(expanded));
    }

    static AttemptLog log(String notation, TimeSheet sheet) {
        assertThat(sheet.rows()).allSatisfy(row -> assertThat(row.problem()).isEmpty());
        AttemptLog log = AttemptLog.of(Samples.expanded(notation), sheet.marks());
        assertThat(log.rejected()).isEmpty();
        assertThat(log.splits().stream().mapToLong(SegmentSplit::elapsedMs).sum())
                .isEqualTo(log.clockMs());
        return log;
    }

    private TypedTimes() {}
}
