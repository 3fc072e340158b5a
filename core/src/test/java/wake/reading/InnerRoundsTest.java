package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static wake.Samples.expanded;
import static wake.Samples.log;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.LegalLogs;
import wake.exchange.LogSheets;
import wake.log.AttemptLog;
import wake.workout.ExpandedWorkout;

/** Rounds inside rounds are rounds, and lines that read alike have names that differ. */
class InnerRoundsTest {
    private static final String INNER = """
            # Inner Harbour
            for time
              2 rounds:
                12 cal row
                2 rounds:
                  6 burpee
                  8 air squat
            """;

    /** Row to 0:40, then burpees and squats of 20 and 16 s; the second time round the last inner round takes 50 s. */
    private static final AttemptLog LOG = log(
            INNER,
            "A 0, D 40, A 40, D 60, A 60, D 76, A 76, D 96, A 96, D 112, "
                    + "A 112, D 152, A 152, D 172, A 172, D 188, A 188, D 222, A 222, D 238");

    @Test
    void theyAreNumberedAndComparedWithEachOther() {
        List<Rounds> blocks = Reading.of(LOG, Baseline.bestSplits(LOG)).blocks();
        assertThat(blocks)
                .extracting(Rounds::name, Rounds::isInner)
                .containsExactly(tuple("", false), tuple("burpee and air squat", true));
        Rounds inner = blocks.getLast();
        assertThat(inner.splits())
                .extracting(Rounds.Round::words, Rounds.Round::elapsedMs)
                .containsExactly(
                        tuple("round 1.1", 36_000L),
                        tuple("round 1.2", 36_000L),
                        tuple("round 2.1", 36_000L),
                        tuple("round 2.2", 50_000L));
        assertThat(inner.consistency().orElseThrow().rangeMs()).isEqualTo(14_000);
        assertThat(LOG.splits().get(8).segment().place()).isEqualTo("round 2.2, 6 burpee");
        assertThat(LogSheets.rounds(blocks)).contains("round 2.2,188.000,238.000,50.000");
    }

    @Test
    void roundsOfOtherWorkCompareByTheirRate() {
        AttemptLog growing = log("# A\nfor time\n  3 rounds:\n    4+4 burpee\n", "A 0, D 12, A 12, D 36, A 36, D 78");
        Rounds rounds =
                Reading.of(growing, Baseline.bestSplits(growing)).blocks().getFirst();
        assertThat(rounds.consistency()).isEmpty();
        assertThat(rounds.differentWork()).hasValue("Rounds differ in work: compare their rates.");
        // 4 in 12 s, 8 in 24 s, 12 in 42 s.
        assertThat(rounds.splits())
                .extracting(round -> Math.round(10 * round.repsPerMinute().orElseThrow()) / 10.0)
                .containsExactly(20.0, 20.0, 17.1);
    }

    @ParameterizedTest
    @MethodSource("workouts")
    void noTwoSplitsAreCalledTheSame(String notation) {
        ExpandedWorkout workout = expanded(notation);
        List<String> places = IntStream.range(0, 60)
                .filter(workout::has)
                .mapToObj(index -> workout.segment(index).place())
                .toList();
        assertThat(places).doesNotHaveDuplicates();
    }

    static List<String> workouts() {
        List<String> all = new java.util.ArrayList<>(LegalLogs.WORKOUTS);
        all.add(INNER);
        all.add("# A\nfor time\n  2 rounds:\n    6 push jerk @ 60 kg\n    10 burpee\n    6 push jerk @ 60 kg\n");
        all.add("# A\nfor time\n  10 lunge // right\n  10 lunge // left\n");
        return all;
    }
}
