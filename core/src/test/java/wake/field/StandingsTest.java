package wake.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.exchange.TimeSheet;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.field.Standings.Standing;
import wake.log.AttemptLog;
import wake.log.AttemptLog.TieBreak;
import wake.log.Score;
import wake.plan.Draft;
import wake.units.Digits;
import wake.workout.ExpandedWorkout;

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
        List<Standing> standings = Standings.of(logs.stream().map(Entry::of).toList());
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
        List<Standing> standings = Standings.of(logs.stream().map(Entry::of).toList());
        assertThat(standings.stream().map(Standing::place)).containsExactly(1, 2, 2, 4);
        assertThat(standings.get(0).percentile()).isCloseTo(87.5, within(1e-9));
        assertThat(standings.get(1).percentile()).isCloseTo(50, within(1e-9));
        assertThat(standings.get(3).percentile()).isCloseTo(12.5, within(1e-9));
    }

    private static Entry random(SplittableRandom random, int spread) {
        List<TieBreak> clocks = new ArrayList<>();
        for (int place = 0; place < 3; place++) {
            if (random.nextBoolean()) {
                clocks.add(new TieBreak(place, "", random.nextInt(3)));
            }
        }
        Score score = random.nextBoolean()
                ? new Score.Finished(1000L * random.nextInt(1, spread), 10)
                : new Score.Capped(60_000, random.nextInt(spread), 1);
        return new Entry(score, clocks, Digits.TENTHS, new UUID(0, 0), List.of());
    }

    /** Each against each: how many are better, worse and equal. */
    @Test
    void placesAndPercentilesAreThoseOfCountingEachAgainstEach() {
        SplittableRandom random = new SplittableRandom(3);
        for (int field = 0; field < 2000; field++) {
            List<Entry> entries = new ArrayList<>();
            for (int i = random.nextInt(12); i >= 0; i--) {
                entries.add(random(random, 4));
            }
            List<Standing> standings = Standings.of(entries);
            assertThat(standings.stream().map(Standing::of))
                    .doesNotHaveDuplicates()
                    .hasSameSizeAs(entries);
            for (Standing standing : standings) {
                Entry own = entries.get(standing.of());
                long better = entries.stream().filter(one -> beats(one, own)).count();
                long worse = entries.stream().filter(one -> beats(own, one)).count();
                assertThat(standing.place()).isEqualTo(better + 1);
                assertThat(standing.percentile())
                        .isCloseTo(
                                100 * (worse + 0.5 * (entries.size() - better - worse)) / entries.size(), within(1e-9));
            }
        }
    }

    /** The rules in words: who finishes before who does not, the sooner, the more; then the last tie-break that differs, unknown ones last. */
    private static boolean beats(Entry one, Entry other) {
        int score = Score.compare(one.score(), other.score());
        for (int place = 2; score == 0 && place >= 0; place--) {
            score = Long.compare(clock(other, place), clock(one, place));
        }
        return score > 0;
    }

    private static long clock(Entry entry, int place) {
        return entry.tieBreaks().stream()
                .filter(tie -> tie.lastIndex() == place)
                .mapToLong(TieBreak::clockMs)
                .findFirst()
                .orElse(Long.MAX_VALUE);
    }

    /** Common practice, no source: a tie-break nobody noted cannot win; and what was placed inside a typed score is no clock. */
    @Test
    void aTieBreakNobodyNotedDecidesNothing() {
        ExpandedWorkout expanded = Samples.expanded(RACE);
        List<AttemptLog> logs = Stream.of("0:50", "0:50 tb 0:30", "0:50", "0:50 tb 0:24")
                .map(score -> TimeSheet.read(score, Each.SCORE, Times.CLOCK, expanded, Draft.of(expanded)))
                .map(sheet -> AttemptLog.of(expanded, sheet.marks()))
                .toList();
        List<Standing> standings = Standings.of(logs.stream().map(Entry::of).toList());
        assertThat(standings.stream().map(Standing::of)).containsExactly(3, 1, 0, 2);
        assertThat(standings.stream().map(Standing::place)).containsExactly(1, 2, 3, 3);
    }

    /** A hundred thousand are sorted, not compared each with each: that would take minutes. */
    @Test
    void aLargeFieldIsRanked() {
        SplittableRandom random = new SplittableRandom(4);
        List<Entry> entries = new ArrayList<>();
        for (int i = 0; i < 100_000; i++) {
            entries.add(random(random, 5000));
        }
        List<Standing> standings = Standings.of(entries);
        assertThat(standings).hasSize(100_000);
        assertThat(standings.getFirst().place()).isEqualTo(1);
        assertThat(standings.getFirst().percentile()).isGreaterThan(99.9);
        assertThat(standings.getLast().percentile()).isLessThan(0.1);
    }
}
