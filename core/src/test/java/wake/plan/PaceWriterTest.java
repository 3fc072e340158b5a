package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import wake.Samples;
import wake.plan.Plan.LinePacing;
import wake.units.InvalidInput;
import wake.units.Unit;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/** A pace stays in what the coach said it in. */
class PaceWriterTest {
    private static final String NOTATION = """
            # A
            for time
              3 rounds:
                400 m run
                1 mi run
                30 cal row
                500 m row
                20 cal air bike
                12 thruster @ 40 kg
                100 ft walking lunge, in 25 ft
                20 m sled push
            """;

    private static PacedWork work(String movement) {
        ExpandedWorkout expanded = Samples.expanded(NOTATION);
        Segment segment = expanded.segments().stream()
                .filter(one -> one.label().startsWith(movement))
                .findFirst()
                .orElseThrow();
        return PacedWork.of(expanded, segment);
    }

    /** What is common practice to say (no source), as typed and as it stands in its box then. */
    @ParameterizedTest
    @CsvSource({
        "400 m run, 4:30/km, 4:30/km, 1:48 for all",
        "400 m run, 7:15 a mile, 7:15/mi, 1:48.1 for all",
        "400 m run, 1:40 for all, 1:40 for all, 0.25 s/m",
        "400 m run, 0.25 s, 0.25, 4:10/km",
        "1 mi run, 7:30/mi, 7:30/mi, 7:30 for all",
        "30 cal row, 1:53.5, 1:53.5/500m, 1:36.1 for all",
        // 2.80 / 0.227³ = 239.4 W make 1,123.9 cal/h, 30 of them 96.1 s: the formulas of ErgPower by hand.
        "30 cal row, 250 W, 250 W, 1:33.1 for all",
        "30 cal row, '1,200 cal/h', 1200 cal/h, 1:30 for all",
        "30 cal row, 20 cal a min, 20 cal/min, 3.00 s each",
        "500 m row, 2:05/500, 2:05/500m, 2:05 for all",
        "500 m row, 1:50, 1:50/500m, 1:50 for all",
        "20 cal air bike, 3.2, 3.20, 1125 cal/h",
        "12 thruster, 2.4, 2.40, 25 reps/min",
        "12 thruster, 25/min, 25/min, 2.40 s each",
        "12 thruster, 0:30 for all, 0:30 for all, 2.50 s/rep",
        "25 ft, 8 s a length, 8/length, 0:32 for all",
        "20 m sled, 0:20, 0:20 for all, 1.00 s/m",
    })
    void aPaceIsShownAsItWasSaid(String movement, String typed, String shown, String beside) {
        PacedWork work = work(movement);
        Pacing pacing =
                new Pacing(0, SetScheme.UNBROKEN, 1, 0).withPace(PaceStepsReader.read(typed, work, PaceUnit.USUAL));
        assertThat(PaceWriter.write(pacing, work)).isEqualTo(shown);
        assertThat(PaceWriter.otherwise(pacing, work)).isEqualTo(beside);
        // A goal makes it another pace, in the same words.
        assertThat(PaceWriter.write(pacing.withCadence(2 * pacing.secondsPerUnit()), work))
                .endsWith(shown.replaceAll("^[\\d:.]+", ""));
    }

    /** What nobody has said stands as is usual for the work: seconds a rep, a time for a distance, calories by the hour. */
    @ParameterizedTest
    @CsvSource({
        "400 m run, 0.28, 4:40/km",
        "1 mi run, 450, 7:30/mi",
        "30 cal row, 3, 1200 cal/h",
        "500 m row, 0.25, 2:05/500m",
        "20 cal air bike, 3, 1200 cal/h",
        "12 thruster, 2.333, 2.33",
        "25 ft, 0.4, 10/length",
        "20 m sled, 1, 0:20 for all",
    })
    void whatNobodySaidStandsAsIsUsual(String movement, double seconds, String shown) {
        assertThat(PaceWriter.write(seconds, PaceUnit.USUAL, work(movement))).isEqualTo(shown);
    }

    /** A number or a time alone is what the box showed; where that cannot be meant, seconds each. */
    @ParameterizedTest
    @CsvSource({
        "12 thruster, A_MINUTE, 26, 26/min",
        "12 thruster, SECONDS, 2.3, 2.30",
        "30 cal row, USUAL, 1250, 1250 cal/h",
        "30 cal row, USUAL, 2.8, 2.80",
        "30 cal row, USUAL, 250, 250 cal/h",
        "30 cal row, USUAL, 25, 25.00",
        "30 cal row, WATTS, 260, 260 W",
        "400 m run, PER_KM, 4:20, 4:20/km",
        "400 m run, PER_MILE, 7:00, 7:00/mi",
        "400 m run, THE_PIECE, 1:35, 1:35 for all",
        "500 m row, PER_KM, 4:00, 4:00/km",
        "25 ft, USUAL, 9, 9/length",
    })
    void aNumberAloneIsWhatTheBoxShowed(String movement, PaceUnit before, String typed, String shown) {
        PaceReader.Said said = PaceReader.read(typed, work(movement), before);
        assertThat(PaceWriter.write(said.secondsPerUnit(), said.in(), work(movement)))
                .isEqualTo(shown);
    }

    @Test
    void whatATimeIsForIsAskedUntilSomebodyHasSaid() {
        assertThatThrownBy(() -> PaceReader.read("4:40", work("400 m run"), PaceUnit.USUAL))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("\"4:40/km\" or \"4:40 for all\"");
        assertThatThrownBy(() -> PaceReader.read("8/length", work("12 thruster"), PaceUnit.USUAL))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("in lengths");
    }

    @Test
    void itIsShownSoWhereItChangesInside() {
        PacedWork work = work("30 cal row");
        Pacing pacing = new Pacing(0, SetScheme.UNBROKEN, 1, 0)
                .withPace(PaceStepsReader.read("1:50 for 10, 1:58, 1:50 from 20", work, PaceUnit.USUAL));
        assertThat(PaceWriter.write(pacing, work)).isEqualTo("1:50/500m, 1:58/500m from 10, 1:50/500m from 20");
    }

    /** A plan taken over for other work says what can be said of that. */
    @Test
    void whatTheWorkDoesNotHaveIsSaidInItsOwn() {
        assertThat(PaceWriter.write(2, PaceUnit.PER_KM, work("12 thruster"))).isEqualTo("2.00");
        assertThat(PaceWriter.write(0.3, PaceUnit.WATTS, work("400 m run"))).isEqualTo("5:00/km");
        // So slow that the machine would count it of somebody who rests.
        assertThat(PaceWriter.write(13, PaceUnit.WATTS, work("30 cal row"))).isEqualTo("13.00 s");
    }

    /** Whatever is shown reads back as itself, in every unit, for all work and the paces it is done at. */
    @ParameterizedTest
    @EnumSource(PaceUnit.class)
    void whatIsShownReadsBack(PaceUnit in) {
        ExpandedWorkout expanded = Samples.expanded(NOTATION);
        SplittableRandom random = new SplittableRandom(in.ordinal());
        for (Segment segment : expanded.segments().subList(0, 11)) {
            PacedWork work = PacedWork.of(expanded, segment);
            for (int i = 0; i < 200; i++) {
                double seconds = switch (work.unit().dimension()) {
                    case LENGTH -> random.nextDouble(0.17, 0.6) * work.unit().to(Unit.METRE, 1);
                    case ENERGY -> random.nextDouble(1.5, 9);
                    default -> random.nextDouble(0.4, 40);
                };
                String shown = PaceWriter.write(seconds, in, work);
                PaceReader.Said said = PaceReader.read(shown, work, in);
                assertThat(PaceWriter.write(said.secondsPerUnit(), said.in(), work))
                        .as("%s of %s", shown, segment.label())
                        .isEqualTo(shown.replaceAll(" s$", ""));
                assertThat(said.secondsPerUnit()).as(shown).isCloseTo(seconds, within(0.05 * seconds + 0.006));
            }
        }
    }

    /** 1:50 and 1:52 per 500 m are 0.22 and 0.224 s a metre: two paces to anybody. 2.400 and 2.404 s a rep are one. */
    @Test
    void aPaceLooksLikeAnotherWhereItReadsTheSame() {
        Pacing metres = new Pacing(0, SetScheme.UNBROKEN, 0.22, 0);
        assertThat(metres.unlike(metres.withCadence(0.224))).containsExactly(Pacing.Figure.PACE);
        assertThat(metres.looksLike(metres.withCadence(0.2202))).isTrue();
        Pacing reps = new Pacing(0, SetScheme.UNBROKEN, 2.4, 0);
        assertThat(reps.looksLike(reps.withCadence(2.404))).isTrue();
        assertThat(reps.looksLike(reps.withCadence(2.42))).isFalse();
    }

    @Test
    void aChangeOfTheRestKeepsIt() {
        Pacing pacing = new Pacing(0, SetScheme.UNBROKEN, 1, 0)
                .withPace(PaceStepsReader.read("25/min", work("12 thruster"), PaceUnit.USUAL));
        LinePacing line = new LinePacing(
                0, pacing.withRest(4000).withSets(SetScheme.parse("6-6")).withTransition(9), Map.of());
        assertThat(line.every().withMisses(5).withPickUp(4).withPausesBy(2).paceIn())
                .isEqualTo(PaceUnit.A_MINUTE);
    }
}
