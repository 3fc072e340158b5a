package wake.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.comparison.Standings.Standing;
import wake.log.AttemptLog;

class StandingsTest {
    private static final String RACE = """
            # Sluice
            for time, cap 1:00
              2 rounds:
                4 burpee
                3 wall walk
              tie-break after round 1
            """;

    private static AttemptLog log(String jotted) {
        return Samples.log(RACE, jotted);
    }

    @Test
    void finishersComeBeforeTheCappedAndTiesAreBroken() {
        List<AttemptLog> logs = List.of(
                log("D 10 seg, D 20 seg, X 60 x2"),
                log("D 9 seg, D 22 seg, D 40 seg, D 50 seg"),
                log("D 8 seg, D 18 seg, X 60 x2"),
                log("D 9 seg, D 22 seg, D 40 seg, D 45 seg"));
        List<Standing> standings = Standings.of(logs);
        assertThat(standings.stream().map(Standing::of)).containsExactly(3, 1, 2, 0);
        assertThat(standings.stream().map(Standing::place)).containsExactly(1, 2, 3, 4);
    }

    /** Percentile rank, (below + half of those equal) / all: of 2, 4, 4, 6 the fours stand at (1 + 1) / 4 (Crocker and Algina 1986, from memory). */
    @Test
    void percentileRanksCountHalfOfTheEqual() {
        String text = "# Groyne\namrap 1:00\n  20 burpee\n";
        List<AttemptLog> logs = List.of(
                Samples.log(text, "A 1, X 60 x2"),
                Samples.log(text, "A 1, X 60 x4"),
                Samples.log(text, "A 1, X 60 x4"),
                Samples.log(text, "A 1, X 60 x6"));
        List<Standing> standings = Standings.of(logs);
        assertThat(standings.stream().map(Standing::place)).containsExactly(1, 2, 2, 4);
        assertThat(standings.get(0).percentile()).isCloseTo(87.5, within(1e-9));
        assertThat(standings.get(1).percentile()).isCloseTo(50, within(1e-9));
        assertThat(standings.get(3).percentile()).isCloseTo(12.5, within(1e-9));
    }
}
