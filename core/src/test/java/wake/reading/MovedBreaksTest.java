package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.expanded;
import static wake.Samples.log;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.plan.Forecast;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.SetScheme;

/** 14-1 with 30 s of rest was planned; the athlete did 15 and rested on the way to the burpees. */
class MovedBreaksTest {
    private static final String NOTATION = "# A\nfor time\n  15 thruster @ 30 kg\n  10 burpee\n";
    private static final Forecast PLAN = Forecast.of(
            expanded(NOTATION),
            new Plan(List.of(
                    new LinePacing(0, new Pacing(0, SetScheme.parse("14-1"), 2, 30_000), Map.of()),
                    new LinePacing(1, new Pacing(5000, SetScheme.UNBROKEN, 3, 0), Map.of()))));

    private static Reading read(String jotted) {
        AttemptLog log = log(NOTATION, jotted);
        return Reading.of(log, Baseline.plan(PLAN));
    }

    /** Thrusters to 0:30, burpees from 1:20: 50 s for 30 of rest and 5 of transition: 15 s lost, not 45 lost and 30 saved. */
    @Test
    void aBreakOneRepLaterIsHeldAgainstTheOneThatWasMeant() {
        Reading reading = read("A 0, D 30, A 80, D 110");
        assertThat(reading.ledger().totals()).containsEntry(Cause.REST, 0L).containsEntry(Cause.TRANSITION, 15_000L);
        assertThat(reading.ledger().totalMs()).isEqualTo(15_000);
        assertThat(reading.findings()).extracting(Finding::lostMs).containsExactly(15_000L);
        assertThat(reading.wake().getLast().aheadMs()).isEqualTo(-15_000);
    }

    @Test
    void aBreakWhereItWasMeantStaysThere() {
        Reading reading = read("A 0, O 28 x14, N 60, D 62, A 70, D 100");
        assertThat(reading.ledger().totals()).containsEntry(Cause.REST, 2000L).containsEntry(Cause.TRANSITION, 3000L);
    }
}
