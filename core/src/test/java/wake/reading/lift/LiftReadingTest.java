package wake.reading.lift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.athlete.Figures;
import wake.athlete.FiguresReader;
import wake.exchange.TimeSheet;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.log.AttemptLog;
import wake.log.Granularity;
import wake.log.Lift;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.plan.Draft;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.LiftPlan.Attempt;
import wake.plan.lift.LiftPlan.Role;
import wake.plan.lift.LiftPlan.Want;
import wake.plan.lift.LimitingMax;
import wake.plan.lift.PlateRack;
import wake.plan.lift.Timetable;
import wake.units.Quantity;
import wake.units.Unit;
import wake.words.LiftReviewWords;
import wake.words.TwoLifters;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;

/** Three windows of our own, every figure of their tables worked out by hand. */
class LiftReadingTest {
    private static final String COMPLEX = "# A\nlift 7:00, best of 2 hang power clean + 1 push jerk\n";
    private static final String SINGLE = "# B\nlift 5:00, best of 1 squat snatch\n";

    /** Five lifts in 7:00, in kilograms; the last is missed on the jerk after the shortest rest. */
    private static final String FIVE =
            "0:48 60 kg 22s\n2:06 70 22s\n3:24 80 22s\n4:42 85 24s\n5:58 90 miss on the jerk 20s";

    private static Figures figures(String text) {
        return FiguresReader.read(text, Samples.CATALOGUE).figures();
    }

    static LiftReading read(String notation, String lifts, String figures, Optional<LiftPlan> plan) {
        ExpandedWorkout expanded = Samples.expanded(notation);
        TimeSheet sheet = TimeSheet.read(lifts, Each.MOVEMENT, Times.EITHER, expanded, Draft.of(expanded));
        assertThat(sheet.isSound()).as(sheet.rows().toString()).isTrue();
        AttemptLog log = AttemptLog.of(expanded, sheet.marks());
        assertThat(log.rejected()).isEmpty();
        Format.Lift window = (Format.Lift) expanded.format();
        return LiftReading.of(
                log,
                LimitingMax.of(window.complex(), figures(figures), Samples.CATALOGUE),
                plan.map(one -> Timetable.of(one, window, OptionalLong.empty())));
    }

    @Test
    void aComplexInKilograms() {
        LiftReading reading = read(COMPLEX, FIVE, "max power clean 110 kg\nmax push jerk 100 kg", Optional.empty());
        List<LiftRow> rows = reading.rows();
        assertThat(rows)
                .extracting(row -> row.lift().load().orElseThrow().toString())
                .containsExactly("60 kg", "70 kg", "80 kg", "85 kg", "90 kg");
        assertThat(rows)
                .extracting(row -> LiftReviewWords.percentWords(row.percent()))
                .as("of 100 kg, the push jerk, which limits it")
                .containsExactly("60%", "70%", "80%", "85%", "90%");
        assertThat(rows).extracting(LiftReviewWords::jumpWords).containsExactly("", "+10", "+10", "+5", "+5");
        assertThat(rows)
                .extracting(row -> row.lift().atMs())
                .containsExactly(48_000L, 126_000L, 204_000L, 282_000L, 358_000L);
        assertThat(rows)
                .extracting(row -> row.lift().lengthMs().orElseThrow())
                .containsExactly(22_000L, 22_000L, 22_000L, 24_000L, 20_000L);
        assertThat(rows)
                .extracting(row -> row.restMs().orElseThrow())
                .as("from the bar down to the next start")
                .containsExactly(48_000L, 56_000L, 56_000L, 56_000L, 52_000L);
        assertThat(rows).extracting(LiftRow::sinceMs).containsExactly(48_000L, 78_000L, 78_000L, 78_000L, 76_000L);
        assertThat(rows.getLast().missedPiece()).contains("push jerk");
        assertThat(rows.getLast().lift().missedOn()).hasValue(3);
        assertThat(reading.eachMs()).as("310 s in four steps").hasValue(77_500);
        assertThat(LiftReviewWords.headline(reading))
                .isEqualTo("Best 85 kg (85% of max), 4 of 5 made. Last lift, 90 kg, missed on the push jerk.");
        assertThat(LiftNotes.of(reading))
                .extracting(note -> LiftReviewWords.note(note, reading))
                .containsExactly(
                        "Lift 5, 90 kg (90% of max), missed on rep 3, the push jerk: after 52 s of rest, the shortest,"
                                + " 5.9% above the best made.",
                        "5 lifts, one every 1:18, with rests of 56 s, 56 s, 56 s, 52 s.",
                        "Jumps of +10, +10, +5, +5 kg.");
        assertThat(LiftNotes.of(reading).getFirst().fromMs()).isEqualTo(355_000);
    }

    /** 135 lb are 61.2 kg (NIST SP 811) and 87 % of 155 lb; the window comes first and holds singles. */
    @Test
    void singlesInPounds() {
        LiftReading reading = read(
                SINGLE, "0:30 95 lb\n1:30 115\n2:40 135\n3:40 145 no", "max squat snatch 155 lb", Optional.empty());
        assertThat(reading.rows())
                .extracting(row -> LiftReviewWords.percentWords(row.percent()))
                .containsExactly("61%", "74%", "87%", "94%");
        assertThat(reading.rows()).extracting(LiftReviewWords::jumpWords).containsExactly("", "+20", "+20", "+10");
        assertThat(reading.rows()).extracting(LiftRow::sinceMs).containsExactly(30_000L, 60_000L, 70_000L, 60_000L);
        assertThat(reading.rows().get(1).restMs())
                .as("nobody said when a bar was down")
                .isEmpty();
        assertThat(reading.rows().getLast().lift().missedOn())
                .as("a single has one rep")
                .hasValue(1);
        assertThat(LiftReviewWords.headline(reading))
                .isEqualTo("Best 135 lb (87% of max), 3 of 4 made. Last lift, 145 lb, missed on the squat snatch.");
        assertThat(LiftReviewWords.note(LiftNotes.of(reading).get(1), reading)).isEqualTo("4 lifts, one every 1:03.");
        assertThat(LiftReviewWords.note(LiftNotes.of(reading).getLast(), reading))
                .startsWith("Last lift started 1:20 before time");
    }

    /** Against a timetable: the third left the floor 20 s late, with 5 kg less than planned. */
    @Test
    void againstThePlanAndWithoutAMax() {
        LiftPlan plan = new LiftPlan(
                Quantity.of(100, Unit.KILOGRAM),
                20_000,
                List.of(lift(Role.PREP, "60 kg", 60), lift(Role.MUST_HIT, "75 kg", 200), lift(Role.WISH, "80 kg", 340)),
                PlateRack.kilograms(20));
        LiftReading reading = read(COMPLEX, "1:00 60 20s\n3:22 75 21s\n6:00 75 30s", "", Optional.of(plan));
        assertThat(reading.rows()).extracting(row -> row.lateMs().orElseThrow()).containsExactly(0L, 2000L, 20_000L);
        assertThat(LiftReviewWords.planWords(reading.rows().getLast())).contains("80 kg at 5:40");
        assertThat(LiftNotes.of(reading))
                .extracting(note -> LiftReviewWords.note(note, reading))
                .contains(
                        "Lift 3 started 20 s later than planned, with 75 kg for 80 kg.",
                        "Lift 3, 75 kg, took 30 s, the others 21 s.");
        assertThat(LiftReviewWords.maxWords(reading)).contains("No max on file for hang power clean or push jerk");
        assertThat(LiftReviewWords.headline(reading)).isEqualTo("Best 75 kg, 3 of 3 made.");
    }

    private static Attempt lift(Role role, String load, int startS) {
        return new Attempt(role, new Want.Load(Lift.load(load).orElseThrow()), startS * 1000L, 20_000, List.of());
    }

    @Test
    void nothingIsSaidOfNothing() {
        LiftReading empty = LiftReading.of(
                AttemptLog.of(Samples.expanded(SINGLE), List.of()),
                LimitingMax.of(List.of(), Figures.NONE, Samples.CATALOGUE),
                Optional.empty());
        assertThat(LiftReviewWords.headline(empty)).isEqualTo("No lifts logged yet.");
        assertThat(LiftNotes.of(empty)).isEmpty();
        assertThatThrownBy(() -> LiftReading.of(
                        AttemptLog.of(Samples.expanded(Samples.SKIFF), List.of()), empty.max(), Optional.empty()))
                .hasMessageContaining("not a max-lift window");
    }

    @Test
    void beforeTheBuzzerItIsSoFar() {
        AttemptLog log = AttemptLog.of(
                Samples.expanded(SINGLE),
                List.of(
                        new Mark(new UUID(1, 1), MarkKind.LIFT, 30_000, 1, Granularity.SET, "", "60 kg", 0.1),
                        new Mark(new UUID(1, 2), MarkKind.LIFT, 60_000, 1, Granularity.SET, "", "65 kg", 0.1)));
        LiftReading reading =
                LiftReading.of(log, LimitingMax.of(List.of(), Figures.NONE, Samples.CATALOGUE), Optional.empty());
        assertThat(LiftReviewWords.headline(reading)).isEqualTo("So far best 65 kg, 2 of 2 made.");
        assertThat(LiftNotes.of(reading))
                .as("how much is left is known at the bell")
                .noneMatch(note -> LiftReviewWords.note(note, reading).contains("room for one more"));
    }

    /** Epley (1985) and Brzycki (1993), from memory: 5 at 100 kg point to 116.7 and 112.5. */
    @Test
    void maxesGrowFromMadeLiftsAndAreEstimatedFromReps() {
        LiftReading reading = read(
                "# C\nlift 5:00, best of 5 front squat + 1 push jerk\n",
                "1:00 90\n3:00 100\n4:30 110 miss",
                "max front squat 95 kg\nmax push jerk 120 kg",
                Optional.empty());
        List<DemonstratedMaxes> shown = DemonstratedMaxes.of(
                reading, figures("max front squat 95 kg\nmax push jerk 120 kg"), Samples.CATALOGUE);
        assertThat(shown)
                .extracting(DemonstratedMaxes::line)
                .containsExactly("max front squat 5x100 kg", "max push jerk 100 kg");
        assertThat(shown).extracting(DemonstratedMaxes::grows).containsExactly(true, false);
        assertThat(shown.getFirst().estimated().orElseThrow())
                .contains("5 reps at 100 kg")
                .contains("113–117 kg");
        assertThat(shown.getLast().estimated()).hasValue("in a complex: a single is at least this");
        assertThat(figures("max front squat 5x100 kg").maxes())
                .as("the middle of the two, 114.6, in halves")
                .containsEntry("front squat", new Quantity(new BigDecimal("114.5"), Unit.KILOGRAM));
    }

    @Test
    void twoLiftersAreHeldBesideEachOther() {
        LiftReading one = read(COMPLEX, FIVE, "max power clean 100 kg\nmax push jerk 100 kg", Optional.empty());
        LiftReading other = read(
                COMPLEX,
                "1:00 60 20s\n3:20 80 20s\n5:40 95 25s",
                "max power clean 120 kg\nmax push jerk 120 kg",
                Optional.empty());
        TwoLifters.Beside beside = TwoLifters.of("Ina", one, "Odo", other);
        assertThat(beside.words())
                .containsExactly(
                        "Odo made 95 kg, 10.0 kg more than Ina.",
                        "Relative to max: Ina 85%, the other 79%.",
                        "Ina made 4 of 5, Odo 3 of 3; first jumps +10 and +20; rest before the last lift 0:52 and 2:00.");
        assertThat(beside.one().bestPercent().orElseThrow()).isCloseTo(85, within(1e-9));
        assertThat(beside.other().opener()).isEqualTo("60 kg (50% of max)");
    }
}
