package wake.workout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.athlete.Demonstrated;
import wake.athlete.Figures;
import wake.history.AttemptFacts;
import wake.log.AttemptLog;
import wake.plan.Draft;
import wake.reading.Baseline;
import wake.reading.Reading;
import wake.reading.Rounds;

/** You go, I go: two share the rounds, one after the other; the athlete has the first. */
class PairsTest {
    private static final String OARS =
            "# Two Oars\nfor time, cap 12:00, you go I go\n  6 rounds:\n    5 thruster @ 40 kg\n    5 burpee\n";

    /** Rounds of 20 s by the athlete and of 30 s by the partner: thrusters in 8 and 14 s, burpees in 12 and 16 s. */
    private static AttemptLog log() {
        StringBuilder marks = new StringBuilder();
        int clock = 0;
        for (int round = 0; round < 6; round++) {
            int thruster = round % 2 == 0 ? 8 : 14;
            int burpee = round % 2 == 0 ? 12 : 16;
            marks.append(round == 0 ? "" : ", ").append("A ").append(clock);
            clock += thruster;
            marks.append(", D ").append(clock).append(", A ").append(clock);
            clock += burpee;
            marks.append(", D ").append(clock);
        }
        return Samples.log(OARS, marks.toString());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "for time, cap 12:00, you go I go",
                "for time, cap 12 (you go, I go)",
                "for time, cap 12:00, YGIG",
                "for time, cap 12:00, in pairs, you go / I go",
            })
    void itIsReadAsPeopleWriteIt(String format) {
        String text = OARS.replace("for time, cap 12:00, you go I go", format);
        assertThat(NotationWriter.write(
                        NotationReader.read(text, Samples.CATALOGUE).orThrow()))
                .isEqualTo(OARS);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "# A;AMRAP 12;YGIG;10 burpee;5 thruster @ 40 kg | # A;amrap 12:00, you go I go;  10 burpee;  5 thruster @ 40 kg;",
                "# A;10 rounds for time, you go I go:;10 burpee | # A;for time, you go I go;  10 rounds:;    10 burpee;",
                "# A;amrap 9:00, score reps;you go, I go;10 burpee | # A;amrap 9:00, score reps, you go I go;  10 burpee;",
            })
    void aPastedBoardIsUnderstood(String pasted, String meant) {
        Workout workout = NotationReader.read(pasted.replace(";", "\n"), Samples.CATALOGUE)
                .orThrow();
        assertThat(NotationWriter.write(workout)).isEqualTo(meant.replace(";", "\n"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "every 2:00 x 6, you go I go | in turn",
                "for time, you go          | you go I go",
                "for time, you go I go, you go I go | the end of the line",
                "amrap 9:00, you go I go, score reps | the end of the line",
            })
    void whatItIsNotIsRefused(String format, String expected) {
        NotationReader.Reading read = NotationReader.read("# A\n" + format + "\n  10 burpee\n", Samples.CATALOGUE);
        assertThat(read.errors()).isNotEmpty();
        assertThat(read.errors().getFirst().expected()).contains(expected);
    }

    /** A second for what is far over any line that people write: tried out place by place it would take minutes. */
    @Test
    void aVeryLongLineIsNotTriedOutPlaceByPlace() {
        String blank = "for time" + " ".repeat(90_000) + "x";
        assertTimeoutPreemptively(
                Duration.ofSeconds(5),
                () -> NotationReader.read("# A\n" + blank + "\n  10 burpee\n", Samples.CATALOGUE));
    }

    @Test
    void eachRoundSaysWhoseItIs() {
        assertThat(Samples.expanded(OARS).segments())
                .extracting(Segment::place, Segment::isPartners)
                .startsWith(
                        tuple("round 1, 5 thruster @ 40 kg", false),
                        tuple("round 1, 5 burpee", false),
                        tuple("round 2 (partner), 5 thruster @ 40 kg", true));
    }

    @Test
    void theRoundsOfTheOneAreNotHeldAgainstThoseOfTheOther() {
        Reading reading = Reading.of(log(), Baseline.bestSplits(log()));
        assertThat(reading.blocks())
                .extracting(
                        rounds -> rounds.block().name(),
                        rounds -> rounds.splits().size())
                .containsExactly(tuple("the athlete", 3), tuple("the partner", 3));
        for (Rounds rounds : reading.blocks()) {
            assertThat(rounds.consistency().orElseThrow().rangeMs()).isZero();
        }
        assertThat(reading.movements())
                .extracting(movement -> movement.movement())
                .containsExactly("thruster", "burpee", "thruster (partner)", "burpee (partner)");
        // Each was as quick every time: nothing is lost to the other's pace.
        assertThat(reading.findings()).isEmpty();
    }

    /** By hand: the athlete's thrusters took 8 s, 1.6 s a rep; the partner's 2.8 s are nobody's here. */
    @Test
    void nothingOfThePartnersIsShownByTheAthlete() {
        Segment thruster = Samples.expanded(OARS).segment(0);
        Demonstrated shown = Demonstrated.in(List.of(log()));
        Demonstrated.Pace pace = shown.pace(thruster).orElseThrow();
        assertThat(pace.medianSecondsPerUnit()).isCloseTo(1.6, within(1e-9));
        assertThat(pace.segments()).isEqualTo(3);
        AttemptFacts facts = AttemptFacts.of(Reading.of(log(), Baseline.bestSplits(log())));
        assertThat(facts.toString()).doesNotContain("2.8");
        // In a plan the partner goes as the athlete until the coach says otherwise, with no bar to change.
        assertThat(Draft.of(Samples.expanded(OARS), Figures.NONE, shown)
                        .plan()
                        .line(0)
                        .rounds())
                .isEmpty();
    }
}
