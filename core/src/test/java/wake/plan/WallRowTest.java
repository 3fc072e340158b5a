package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.expanded;

import java.util.List;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import wake.workout.ExpandedWorkout;

/** The page for the wall; what stands on such a page is common practice, no source. */
class WallRowTest {
    private static List<WallRow> rows(ExpandedWorkout expanded, Plan plan) {
        Forecast forecast = Forecast.of(expanded, plan);
        return WallRow.of(expanded, plan, forecast, LatestClocks.of(forecast, Deadline.of(expanded)));
    }

    private static List<WallRow> rows(String notation) {
        ExpandedWorkout expanded = expanded(notation);
        return rows(expanded, Draft.of(expanded));
    }

    @Test
    void aRoundIsOneRowAndWhatStandsOutsideRoundsHasItsOwn() {
        List<WallRow> rows =
                rows("# A\nfor time, cap 30:00\n  1 mi run\n  2 rounds:\n    9 burpee\n    6 pull-up\n  1 mi run\n");

        assertThat(rows).extracting(WallRow::round).containsExactly("", "1", "2", "");
        assertThat(rows)
                .extracting(WallRow::says)
                .containsExactly(
                        "1 mi run (first)", "9 burpee · 6 pull-up", "9 burpee · 6 pull-up", "1 mi run (second)");
        assertThat(rows).allSatisfy(row -> assertThat(row.startMs()).isEmpty());
        assertThat(rows.getLast().latestMs()).hasValue(1_800_000);
    }

    @Test
    void cutOffsSetsAndTheLatestClockStandWithTheirRound() {
        ExpandedWorkout expanded = expanded(
                "# A\nfor time\n  3 rounds:\n    12 thruster @ 40 kg\n    9 burpee\n    by 4:00 after round 2\n");
        Plan draft = Draft.of(expanded);
        Plan plan = draft.withLine(draft.line(0).withEvery(draft.line(0).every().withSets(SetScheme.parse("7-5"))));

        List<WallRow> rows = rows(expanded, plan);

        assertThat(rows.get(1).cutOffs()).containsExactly("by 4:00");
        assertThat(rows.get(1).latestMs()).hasValue(240_000);
        assertThat(rows.get(0).cutOffs()).isEmpty();
        assertThat(rows.get(0).says()).isEqualTo("12 thruster @ 40 kg (7-5) · 9 burpee");
        assertThat(rows.get(2).latestMs()).isEmpty();
    }

    /** By hand: 10 at 3 s a round; the third begins at 60 s and has 5 done by 75 s, the fourth would begin after it. */
    @Test
    void noClockIsPastTheBuzzer() {
        ExpandedWorkout expanded = expanded("# A\nfor time, cap 1:15\n  4 rounds:\n    10 burpee\n");
        Plan plan =
                new Plan(List.of(new Plan.LinePacing(0, new Pacing(0, SetScheme.UNBROKEN, 3, 0), java.util.Map.of())));
        List<WallRow> rows = rows(expanded, plan);
        assertThat(rows).extracting(WallRow::endMs).containsExactly(30_000L, 60_000L, 75_000L);
        assertThat(rows.getLast().cutOffs())
                .containsExactly(
                        "buzzer: " + Forecast.of(expanded, plan).score().words());
        assertThat(rows.getLast().cutOffs().getFirst()).contains("25");
    }

    @Test
    void roundsOnMarksAndIntervalsSayWhenTheyStart() {
        ExpandedWorkout rounds = expanded("# A\nfor time\n  3 rounds:\n    10 burpee\n");
        ExpandedWorkout intervals = expanded("# A\nevery 2:00 x 3\n  10 burpee\n");

        assertThat(rows(rounds, Draft.of(rounds).withRoundEvery(60_000)))
                .extracting(WallRow::startMs)
                .containsExactly(OptionalLong.of(0), OptionalLong.of(60_000), OptionalLong.of(120_000));
        // Whoever hears the interval begin still has to walk up.
        long way = Draft.of(intervals).line(0).every().transitionMs();
        assertThat(rows(intervals, Draft.of(intervals)))
                .extracting(WallRow::startMs)
                .containsExactly(OptionalLong.of(0), OptionalLong.of(120_000 + way), OptionalLong.of(240_000 + way));
    }

    @Test
    void aDistanceInPiecesIsSaidOnce() {
        List<WallRow> rows = rows(
                "# A\nfor time\n  2 rounds:\n    50 ft handstand walk, in 25 ft\n    9 burpee\n  75 ft handstand walk, in 25 ft\n");

        assertThat(rows)
                .extracting(WallRow::says)
                .containsExactly(
                        "50 ft handstand walk, in 25 ft · 9 burpee",
                        "50 ft handstand walk, in 25 ft · 9 burpee",
                        "75 ft handstand walk, in 25 ft");
    }
}
