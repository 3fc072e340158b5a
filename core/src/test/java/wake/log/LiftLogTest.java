package wake.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.log.Lift.Outcome;
import wake.units.Digits;

/** Lifts logged as they happen: off the floor, the reps, made or missed, down. */
class LiftLogTest {
    private static final String WINDOW = "# A\nlift 3:00, best of 2 hang power clean + 1 push jerk\n";

    private static Mark mark(MarkKind kind, double atS, String text) {
        String tag = kind == MarkKind.LIFT ? Lift.OPEN : "";
        return new Mark(
                new UUID(9, Math.round(atS * 10)), kind, Math.round(atS * 1000), 0, Granularity.SET, tag, text, 0.1);
    }

    private static AttemptLog log(Object... marks) {
        List<Mark> all = new ArrayList<>();
        for (int i = 0; i < marks.length; i += 2) {
            String[] words = ((String) marks[i]).split(" ", 2);
            all.add(mark(MarkKind.valueOf(words[0]), (double) marks[i + 1], words.length > 1 ? words[1] : ""));
        }
        return AttemptLog.of(Samples.expanded(WINDOW), all);
    }

    @Test
    void aLiftHasItsLengthItsRestAndTheRepItWasMissedOn() {
        AttemptLog log = log(
                "LIFT 60 kg",
                20.0,
                "REP",
                24.0,
                "REP",
                28.0,
                "REP",
                33.0,
                "OFF",
                34.5, //
                "LIFT 70 kg",
                100.0,
                "REP",
                105.0,
                "MISS",
                111.0);
        assertThat(log.rejected()).isEmpty();
        assertThat(log.lifts()).extracting(Lift::outcome).containsExactly(Outcome.MADE, Outcome.MISSED);
        assertThat(log.lifts())
                .extracting(Lift::lengthMs)
                .containsExactly(OptionalLong.of(14_500), OptionalLong.of(11_000));
        assertThat(log.lifts().getLast().missedOn()).isEqualTo(OptionalInt.of(2));
        assertThat(log.scoreWords()).isEqualTo("60 kg");
        assertThat(log.digits()).isEqualTo(Digits.TENTHS);
    }

    @Test
    void allRepsMakeItAndTheBarMayStayUp() {
        AttemptLog made = log("LIFT 60 kg", 20.0, "REP", 24.0, "REP", 28.0, "REP", 33.0);
        assertThat(made.lifts().getFirst().outcome()).isEqualTo(Outcome.MADE);
        assertThat(made.lifts().getFirst().endMs())
                .as("nobody saw it come down")
                .isEmpty();
        assertThat(made.refusal(MarkKind.REP)).isPresent();
        assertThat(made.refusal(MarkKind.OFF)).isEmpty();
        AttemptLog turnedDown = log("LIFT 60 kg", 20.0, "REP", 24.0, "REP", 28.0, "REP", 33.0, "MISS", 35.0);
        assertThat(turnedDown.lifts().getFirst().outcome()).as("by the judge").isEqualTo(Outcome.MISSED);
        assertThat(turnedDown.lifts().getFirst().missedOn()).hasValue(3);
        AttemptLog open = log("LIFT 60 kg", 20.0, "REP", 24.0);
        assertThat(open.lifts().getFirst().outcome()).isEqualTo(Outcome.UNKNOWN);
        assertThat(open.scoreWords()).as("nothing is claimed").isEqualTo("no lift made");
        assertThat(open.phase()).isEqualTo(Phase.WORKING);
    }

    /** A lift counts if it left the floor before the buzzer. */
    @Test
    void theBuzzerDoesNotEndALiftThatIsUp() {
        AttemptLog late = log("LIFT 60 kg", 178.0, "STOP", 180.0, "REP", 182.0, "DONE", 190.0);
        assertThat(late.rejected()).isEmpty();
        assertThat(late.over()).isTrue();
        assertThat(late.scoreWords()).isEqualTo("60 kg");
        assertThat(late.clockMs()).isEqualTo(180_000);
        AttemptLog without = log("LIFT 60 kg", 178.0, "REP", 182.0, "DONE", 190.0);
        assertThat(without.scoreWords()).isEqualTo("60 kg");
        AttemptLog after = log("LIFT 60 kg", 181.0);
        assertThat(after.rejected()).hasSize(1);
        assertThat(after.lifts()).isEmpty();
    }

    @Test
    void whatMakesNoSenseIsRefusedWithItsReason() {
        assertThat(log("REP", 5.0).rejected().getFirst().reason()).contains("No lift has started yet");
        assertThat(log("BEGIN", 5.0).rejected()).hasSize(1);
        AttemptLog missed = log("LIFT 60 kg", 20.0, "MISS", 24.0);
        assertThat(missed.refusal(MarkKind.DONE).orElseThrow()).contains("already missed");
        assertThat(missed.refusal(MarkKind.LIFT)).isEmpty();
        assertThat(missed.refusal(MarkKind.TRIP)).isPresent();
    }

    @Test
    void aSingleOnTheWayDoesNotScore() {
        AttemptLog log = log("LIFT 80 kg, 1 hang power clean", 20.0, "REP", 24.0, "LIFT 60 kg", 60.0, "DONE", 80.0);
        assertThat(log.lifts()).extracting(Lift::outcome).containsExactly(Outcome.MADE, Outcome.MADE);
        assertThat(log.scoreWords()).isEqualTo("60 kg");
        assertThat(Lift.LiftText.of("80 kg, 1 hang power clean").orElseThrow())
                .hasToString("80 kg, 1 hang power clean");
        assertThat(Lift.LiftText.of("80 kg, none")).isEmpty();
        assertThat(Lift.LiftText.of("0 kg")).isEmpty();
        Mark nowhere = new Mark(new UUID(9, 1), MarkKind.LIFT, 20_000, 0, Granularity.SET, "on 4", "60 kg", 0.1);
        assertThat(AttemptLog.of(Samples.expanded(WINDOW), List.of(nowhere))
                        .lifts()
                        .getFirst()
                        .missedOn())
                .as("it has three reps")
                .isEmpty();
        assertThat(log("LIFT 80 kg, 2 hang power clean + 1 push jerk", 20.0, "DONE", 40.0)
                        .scoreWords())
                .as("the full complex written out is the full complex")
                .isEqualTo("80 kg");
    }

    @Test
    void theKeysSayWhatTheyWouldNote() {
        List<KeyHint> open = KeyHint.now(log("LIFT 60 kg", 20.0, "REP", 24.0));
        assertThat(open)
                .filteredOn(hint -> hint.refusal().isEmpty())
                .extracting(KeyHint::meaning)
                .contains("rep 2 of 3", "made", "missed on rep 2", "bar down");
        List<KeyHint> before = KeyHint.now(log());
        assertThat(before).filteredOn(hint -> hint.kind() == MarkKind.BEGIN).allSatisfy(hint -> {
            assertThat(hint.meaning()).isEqualTo("bar leaves the floor");
            assertThat(hint.refusal()).isEmpty();
        });
    }
}
