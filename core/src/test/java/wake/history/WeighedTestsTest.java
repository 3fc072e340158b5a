package wake.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.athlete.FiguresReader;
import wake.athlete.TechniqueTest;
import wake.words.TechniqueWords;

class WeighedTestsTest {
    private static List<WeighedTests> tests(String figures) {
        FiguresReader.Outcome read = FiguresReader.read(figures, Samples.CATALOGUE);
        assertThat(read.errors()).isEmpty();
        return WeighedTests.of(read.figures().techniques());
    }

    /** By hand: 15 in 42 s are 2.80 s a rep, in 45 s 3.00; 10 in 32 s are 3.20; at effort 7 the first saves 0.40 and 0.20. */
    @Test
    void theQuickerOneIsToldAtTheSameEffort() {
        WeighedTests burpee = tests("""
                        technique burpee, step-back: 15 in 0:42 effort 7
                        technique burpee, jump-back: 10 in 0:32 effort 7
                        technique burpee, step-back: 15 in 0:45 effort 7
                        """).getFirst();
        assertThat(TechniqueWords.tests(burpee))
                .containsExactly(
                        "Step-back: 2.90 s/rep (2.80–3.00), effort 7/10, 2 tests",
                        "Jump-back: 3.20 s/rep, effort 7/10, 1 test",
                        "Step-back is 0.30 s/rep faster than jump-back at the same effort (0.20 to 0.40).");
        Techniques.Over over = burpee.over(
                        List.of(Samples.expanded("# A\nfor time\n  3 rounds:\n    20 burpee\n    10 air squat\n")),
                        burpee.pairs().getFirst())
                .orElseThrow();
        assertThat(over.units()).isEqualTo(60);
        assertThat(over.seconds()).isCloseTo(18, within(1e-9));
        assertThat(over.most()).isCloseTo(24, within(1e-9));
        assertThat(burpee.over(
                        List.of(Samples.expanded("# A\nfor time\n  10 air squat\n")),
                        burpee.pairs().getFirst()))
                .isEmpty();
    }

    /** All out, the jump is quicker over all; at the effort both were tested at, the step is. */
    @Test
    void aHarderTestDoesNotWin() {
        WeighedTests burpee = tests("""
                        technique burpee, jump-back: 10 in 0:24 effort 10
                        technique burpee, jump-back: 10 in 0:25 effort 10
                        technique burpee, jump-back: 10 in 0:32 effort 7
                        technique burpee, step-back: 10 in 0:30 effort 7
                        """).getFirst();
        assertThat(burpee.techniques().getFirst().name()).isEqualTo("jump-back");
        assertThat(TechniqueWords.tests(burpee).getLast())
                .isEqualTo("Step-back is 0.20 s/rep faster than jump-back at the same effort.");
    }

    @Test
    void withoutTheSameEffortNothingIsClaimed() {
        assertThat(TechniqueWords.tests(tests(
                                        "technique burpee, a: 10 in 0:24 effort 9\ntechnique burpee, b: 10 in 0:30 effort 6")
                                .getFirst())
                        .getLast())
                .isEqualTo("Test a and b at the same effort to compare them: so far 9 and 6.");
        assertThat(TechniqueWords.tests(
                                tests("technique burpee, a: 10 in 0:24\ntechnique burpee, b: 10 in 0:30 effort 6")
                                        .getFirst())
                        .getLast())
                .isEqualTo("Add the effort to each test to compare a and b.");
        assertThat(tests("technique burpee, a: 10 in 0:24").getFirst().pairs()).isEmpty();
    }

    /** Three athletes save 0.4, 0.2 and −0.1 s a rep by stepping: the middle is 0.2, two of three. */
    @Test
    void aSquadIsTheMiddleOfItsAthletes() {
        List<List<WeighedTests>> squad = new ArrayList<>();
        for (String jump : List.of("0:34", "0:32", "0:29")) {
            squad.add(tests("technique burpee, step-back: 10 in 0:30 effort 7\ntechnique burpee, jump-back: 10 in "
                    + jump + " effort 7"));
        }
        squad.add(tests("technique burpee, step-back: 10 in 0:30 effort 7"));
        assertThat(WeighedTests.squad(squad).stream().map(TechniqueWords::squad))
                .containsExactly("Burpee: step-back faster than jump-back for 2 of 3 athletes at the same effort,"
                        + " by 0.20 s/rep (−0.10 to 0.40).");
        assertThat(WeighedTests.squad(squad.subList(0, 1))).isEmpty();
    }

    /** Pair by pair against counting: the middle of all differences at the same effort, and whichever way round saves. */
    @Test
    void aPairIsTheMiddleOfAllDifferences() {
        SplittableRandom random = new SplittableRandom(3);
        for (int i = 0; i < 200; i++) {
            List<TechniqueTest> tests = new ArrayList<>();
            for (int k = random.nextInt(2, 9); k > 0; k--) {
                tests.add(new TechniqueTest(
                        "burpee",
                        random.nextBoolean() ? "a" : "b",
                        10,
                        random.nextInt(20, 40) * 1000L,
                        OptionalDouble.of(random.nextInt(6, 8)),
                        Optional.empty()));
            }
            for (WeighedTests.Pair pair : WeighedTests.of(tests).getFirst().pairs()) {
                List<Double> saved = new ArrayList<>();
                for (TechniqueTest one : tests) {
                    for (TechniqueTest other : tests) {
                        if (one.technique().equals(pair.faster().name())
                                && other.technique().equals(pair.slower().name())
                                && one.effort().equals(other.effort())) {
                            saved.add((other.ms() - one.ms()) / 10_000.0);
                        }
                    }
                }
                saved.sort(null);
                assertThat(pair.saved().isPresent()).isEqualTo(!saved.isEmpty());
                pair.saved().ifPresent(spread -> {
                    int n = saved.size();
                    assertThat(spread.median())
                            .isGreaterThanOrEqualTo(0)
                            .isCloseTo((saved.get((n - 1) / 2) + saved.get(n / 2)) / 2, within(1e-9));
                });
            }
        }
    }
}
