package wake.athlete;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.CATALOGUE;
import static wake.Samples.expanded;

import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.plan.Draft;
import wake.plan.Forecast;
import wake.plan.Rescale;
import wake.units.Quantity;
import wake.units.Unit;
import wake.words.FigureWords;
import wake.workout.ExpandedWorkout;

class FiguresTest {
    private static final String TEXT = """
            // tested in autumn
            max clean 85 kg
            max snatch 132.5 lb
            unbroken toes to bar 14
            best run 1 mi 6:40
            test row 300 m: 1:00 1:02 1:04 1:02
            limiter push press   // always
            """;

    private static Figures figures(String text) {
        FiguresReader.Outcome outcome = FiguresReader.read(text, CATALOGUE);
        assertThat(outcome.errors()).isEmpty();
        return outcome.figures();
    }

    @Test
    void figuresAreReadLineByLine() {
        Figures figures = figures(TEXT);
        assertThat(figures.maxes()).containsEntry("clean", Quantity.of(85, Unit.KILOGRAM));
        assertThat(figures.unbroken()).containsEntry("toes-to-bar", 14);
        assertThat(figures.limiter()).contains("push press");
        assertThat(figures.best().getFirst().secondsPerMetre()).isCloseTo(400 / 1609.344, within(1e-9));
    }

    @Test
    void aNameThatMeansTwoLiftsIsAskedAbout() {
        Figures figures = figures("max snatch 70 kg\nmax jerk 90 kg\nmax squat snatch 72 kg");
        assertThat(figures.maxes()).containsEntry("power snatch", Quantity.of(70, Unit.KILOGRAM));
        assertThat(FigureWords.advice(figures))
                .containsExactly(
                        "\"snatch\" is taken for power snatch. Write \"power snatch\" or \"squat snatch\" to say which it was",
                        "\"jerk\" is taken for push jerk. Write \"push jerk\" or \"split jerk\" to say which it was");
    }

    /** 60, 62, 64 and 62 s: mean 62, decrement 100 · (248 / (4 · 60) − 1) = 3.33 % (Fitzsimons et al. 1993). */
    @Test
    void aTestSaysWhatPaceHoldsAndHowItFaded() {
        ErgTest test = figures(TEXT).tests().getFirst();
        assertThat(test.secondsPerMetre() * 300).isCloseTo(62, within(1e-9));
        assertThat(test.fadePercent()).isCloseTo(3.333, within(0.001));
    }

    /** Power goes with the cube of speed: 2 s faster than 2:00 is (120/118)³ = 5.17 % more. */
    @Test
    void goingFasterHasItsPriceInPower() {
        ErgTest test =
                new ErgTest("row", Quantity.of(500, Unit.METRE), List.of(120_000L, 120_000L), OptionalDouble.empty());
        assertThat(test.pricePercent(2)).isCloseTo(5.17, within(0.01));
    }

    @ParameterizedTest
    @CsvSource({
        "max clean 85, 'a lift and its load'",
        "max clean 85 m, kg or lb",
        "'maximum clean 85 kg', '\"max\", \"unbroken\"'",
        "unbroken toes-to-bar many, reps",
        "unbroken toes-to-bar 0, at least 1",
        "best run 1 mi, a movement",
        "best run 1 mi 0:00, a movement",
        "test row 300 m: 1:02, two repeats",
        "test row 300 m 1:02, repeats of a distance",
        "test row 300 m: 1:02 fast, m:ss",
        "15 burpee step-back 0:52, reps or calories",
        "15 burpee step-back: 0:52 effort 11, effort from 0 to 10",
        "15 burpee: 0:52, two repeats",
        "test row 300 m: 1:02 1:02 effort 12, effort from 0 to 10",
        "limiter, a movement",
        "max claen 85 kg, did you mean clean",
        "max hang powr clean 85 kg, did you mean hang power clean"
    })
    void eachWrongLineSaysWhatWasExpected(String line, String reason) {
        FiguresReader.Outcome outcome = FiguresReader.read("unbroken burpee 50\n" + line, CATALOGUE);
        assertThat(outcome.errors())
                .singleElement()
                .asString()
                .startsWith("Line 2: ")
                .contains(reason);
        assertThat(outcome.figures().unbroken()).containsKey("burpee");
    }

    /** By hand: 52 s / 15 = 3.467 s a rep; (60 + 88) s / 60 = 2.467 s a calorie; 62 s over 300 m. */
    @Test
    void whatWasTriedNeedsNoWordInFrontAndMaySayHowItFelt() {
        Figures figures = figures(
                "15 burpee step-back: 0:52 effort 7\n30 cal air bike: 1:00 1:28 effort 8.5 on 2026-10-03\n20 push-ups: 0:20 0:24\ntest row 300 m: 1:02 1:02 effort 9\n");
        TechniqueTest tried = figures.techniques().getFirst();
        assertThat(tried.words()).isEqualTo("step-back: 15 in 0:52, 3.47 s/rep, effort 7/10");
        assertThat(tried.movement()).isEqualTo("burpee");
        assertThat(figures.counted())
                .extracting(CountedTest::movement, CountedTest::effort)
                .containsExactly(tuple("air bike", OptionalDouble.of(8.5)), tuple("push-up", OptionalDouble.empty()));
        assertThat(figures.counted().getFirst().secondsPerUnit()).isCloseTo(148 / 60.0, within(1e-9));
        assertThat(FigureWords.advice(figures))
                .contains("air bike: holds 2.47 s/cal, fades 23.3% over 2 repeats; effort 8.5/10")
                .anyMatch(advice -> advice.startsWith("row: ") && advice.contains("effort 9/10"));
    }

    @Test
    void noTextBreaksTheReader() {
        SplittableRandom random = new SplittableRandom(5);
        String letters = "maxclenburokt 0123456789:./kgmi\n";
        for (int i = 0; i < Integer.getInteger("wake.fuzz", 2_000); i++) {
            StringBuilder text = new StringBuilder();
            random.ints(random.nextInt(60), 0, letters.length()).forEach(at -> text.append(letters.charAt(at)));
            assertThat(FiguresReader.read(TEXT + text, CATALOGUE).figures().maxes())
                    .isNotEmpty();
        }
        assertThat(FiguresReader.read("x".repeat(30_000), CATALOGUE).errors()).hasSize(1);
    }

    /** Common practice, no source: a mile inside a long workout is run one to two minutes slower than the best mile. */
    @Test
    void aDraftPullsTheBestMileBackAndCutsSetsUnderTheMax() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  1 mi run\n  30 toes-to-bar\n  500 m row\n");
        Draft draft = Draft.of(expanded, figures(TEXT), Demonstrated.NOTHING);
        assertThat(draft.plan().line(0).every().secondsPerUnit()).isBetween(400.0 + 60, 400.0 + 120);
        assertThat(draft.plan().line(1).every().sets().largest()).isLessThanOrEqualTo(11);
        assertThat(draft.plan().line(2).every().secondsPerUnit() * 300).isCloseTo(62, within(1e-6));
        assertThat(draft.bases()).containsEntry(2, "from a test").containsEntry(1, "typical (assumed)");
    }

    @Test
    void whatAttemptsHaveShownComesBeforeTheCatalogue() {
        ExpandedWorkout expanded = expanded(Samples.SKIFF);
        Demonstrated shown = Demonstrated.in(List.of(
                Samples.log(Samples.SKIFF, "D 15 seg, A 17, D 33"),
                Samples.log(Samples.SKIFF, "A 0, D 12, A 14, D 30")));
        assertThat(shown.pace(expanded.segment(0)).orElseThrow().bestSecondsPerUnit())
                .isCloseTo(2, within(1e-9));
        Draft draft = Draft.of(expanded, Figures.NONE, shown);
        assertThat(draft.plan().line(1).every().secondsPerUnit()).isCloseTo(2, within(1e-9));
        assertThat(draft.bases()).containsEntry(1, "from past attempts");
    }

    @Test
    void aPlanHandedOnIsRescaledToTheOther() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  2000 m row\n  40 toes-to-bar\n");
        Figures strong = figures("test row 500 m: 1:40 1:40\nunbroken toes-to-bar 25");
        Figures other = figures("test row 500 m: 2:00 2:00\nunbroken toes-to-bar 10");
        var plan = Draft.of(expanded, strong, Demonstrated.NOTHING).plan();
        var handed = Rescale.of(
                expanded,
                plan,
                new Rescale.Known(strong, Demonstrated.NOTHING),
                expanded,
                new Rescale.Known(other, Demonstrated.NOTHING));
        assertThat(handed.line(0).every().secondsPerUnit()).isCloseTo(0.24, within(1e-9));
        List<Integer> sets = Forecast.of(expanded, handed).segments().getLast().sets();
        assertThat(Collections.max(sets)).isEqualTo(8);
        assertThat(sets.stream().mapToInt(Integer::intValue).sum()).isEqualTo(40);
    }

    /** A variant the catalogue does not know is no slip of the pen. */
    @Test
    void figuresOfVariantsAreTakenAsWritten() {
        FiguresReader.Outcome outcome =
                FiguresReader.read("max tempo front squat 80 kg\nunbroken strict deficit push-up 9", CATALOGUE);
        assertThat(outcome.errors()).isEmpty();
        assertThat(outcome.figures().maxes()).containsKey("tempo front squat");
    }

    @Test
    void eachLineKeepsItsDayAndWhatWasWritten() {
        Figures figures = figures("""
                max clean 85 kg on 2026-09-01
                technique burpee, step-back: 15 in 0:42 effort 7 on 2026-10-03
                Goal: the Autumn top ten
                unbroken toes-to-bar 14
                """);
        assertThat(figures.noted())
                .extracting(Figures.Noted::line, Figures.Noted::movement, Figures.Noted::value)
                .containsExactly(
                        org.assertj.core.api.Assertions.tuple(1, "clean", "85 kg"),
                        org.assertj.core.api.Assertions.tuple(
                                2, "burpee", "step-back: 15 in 0:42, 2.80 s/rep, effort 7/10"),
                        org.assertj.core.api.Assertions.tuple(3, "", "the Autumn top ten"),
                        org.assertj.core.api.Assertions.tuple(4, "toes-to-bar", "14 reps"));
        assertThat(figures.noted().getFirst().on()).contains(java.time.LocalDate.of(2026, 9, 1));
        assertThat(figures.noted().getLast().on()).isEmpty();
        assertThat(figures.maxes()).containsEntry("clean", Quantity.of(85, Unit.KILOGRAM));
        assertThat(figures.techniques().getFirst().secondsPerRep()).isCloseTo(2.8, within(1e-12));
        assertThat(figures.goal()).isEqualTo("the Autumn top ten");
    }

    @ParameterizedTest
    @org.junit.jupiter.params.provider.ValueSource(
            strings = {
                "max clean 85 kg on 2026-13-01",
                "technique burpee: 15 in 0:42",
                "technique burpee, low: 0 in 0:42",
                "technique burpee, low: 15 in 0:42 effort 11"
            })
    void aDayOrATestThatIsNoneIsNamedByItsLine(String line) {
        assertThat(FiguresReader.read("goal: fit\n" + line, CATALOGUE).errors())
                .singleElement(org.assertj.core.api.InstanceOfAssertFactories.STRING)
                .startsWith("Line 2: ");
    }
}
