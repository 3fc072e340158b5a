package wake.field;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.exchange.LeaderboardSheet;
import wake.exchange.TimeSheet;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.plan.Draft;
import wake.units.Digits;
import wake.workout.ExpandedWorkout;

class LeaderboardTest {
    private static final String CHIPPER =
            "# Groyne\nfor time, cap 10:00\n  30 burpee\n  tie-break\n  40 wall walk\n  50 air squat\n";

    private static Entry typed(Each each, String text) {
        ExpandedWorkout expanded = Samples.expanded(CHIPPER);
        TimeSheet sheet = TimeSheet.read(text, each, Times.CLOCK, expanded, Draft.of(expanded));
        return Entry.of(AttemptLog.of(expanded, sheet.marks()));
    }

    private static final List<Entry> FIELD = List.of(
            typed(Each.SCORE, "9:12"),
            typed(Each.SCORE, "cap+12 tb 3:00"),
            typed(Each.MOVEMENT, "2:10\n6:00\n8:45"),
            typed(Each.SCORE, "cap+12 tb 2:52"),
            typed(Each.SCORE, "9:30"),
            typed(Each.SCORE, "cap+12"),
            typed(Each.SCORE, "9:12"));
    private static final List<String> ATHLETES = List.of("Ida", "Bo", "Tove", "Ina", "Ida", "Per", "Odo");

    /** By hand: 8:45; twice 9:12, 27 s behind; of the capped, missing 12, the clocks 2:52 and 3:00, then who has none; Ida's 9:30 has no place. */
    @Test
    void anAthleteStandsByTheBestAttempt() {
        List<Leaderboard.Row> rows = Leaderboard.of(FIELD, ATHLETES).rows();
        assertThat(rows.stream()
                        .map(row -> ATHLETES.get(row.of()) + " "
                                + (row.isBest() ? row.place().getAsInt() : "–") + " "
                                + row.behindFirst().orElse("–") + " / "
                                + row.behindNext().orElse("–")))
                .containsExactly(
                        "Tove 1 – / –",
                        "Ida 2 27 s / 27 s",
                        "Odo 2 27 s / 27 s",
                        "Ida – – / –",
                        "Ina 4 12 reps / 12 reps",
                        "Bo 5 12 reps / 8 s at the tie-break",
                        "Per 6 12 reps / no tie-break noted");
        // Six athletes: two are equal at 9:12, with three worse: (3 + 1) / 6.
        assertThat(rows.get(1).percentile().getAsDouble()).isEqualTo(100 * 4 / 6.0);
        assertThat(Leaderboard.of(FIELD.subList(0, 4), ATHLETES.subList(0, 4)).rows())
                .allMatch(row -> row.percentile().isEmpty());
    }

    @Test
    void barsAreRoundsAndWhatStandsOutsideThem() {
        assertThat(FIELD.get(2).bars())
                .containsExactly(
                        new Entry.Bar("30 burpee", 130_000, true),
                        new Entry.Bar("40 wall walk", 230_000, true),
                        new Entry.Bar("50 air squat", 165_000, true));
        assertThat(FIELD.get(0).bars()).containsExactly(new Entry.Bar("30 burpee to 50 air squat", 552_000, false));
    }

    @Test
    void itGoesOutAsASheet() {
        List<LeaderboardSheet.Line> lines = Leaderboard.of(FIELD, ATHLETES).rows().stream()
                .map(row -> new LeaderboardSheet.Line(
                        "men", ATHLETES.get(row.of()), LocalDate.of(2026, 11, 20), row, FIELD.get(row.of())))
                .toList();
        assertThat(LeaderboardSheet.of(lines).lines().limit(3))
                .containsExactly(
                        "division,place,athlete,date,score,tie_break,behind_first,behind_next,percentile,"
                                + "30 burpee (s),40 wall walk (s),50 air squat (s)",
                        "men,1,Tove,2026-11-20,8:45,2:10 after 30 burpee,,,92,130.0,230.0,165.0",
                        "men,2,Ida,2026-11-20,9:12,,27 s,27 s,67,,,");
    }

    /** Against counting: a place is one more than how many athletes have a better best. */
    @Test
    void placesOfBestsAreThoseOfCounting() {
        SplittableRandom random = new SplittableRandom(7);
        for (int field = 0; field < 500; field++) {
            List<Entry> entries = new ArrayList<>();
            List<Integer> athletes = new ArrayList<>();
            for (int i = random.nextInt(30); i >= 0; i--) {
                athletes.add(random.nextInt(12));
                Score score = new Score.Finished(1000L * random.nextInt(1, 15), 10);
                entries.add(new Entry(score, List.of(), Digits.WHOLE, new UUID(0, 0), List.of()));
            }
            Map<Integer, Long> bests = new HashMap<>();
            for (int i = 0; i < entries.size(); i++) {
                bests.merge(athletes.get(i), entries.get(i).score().clockMs(), Math::min);
            }
            List<Leaderboard.Row> rows = Leaderboard.of(entries, athletes).rows();
            assertThat(rows).hasSameSizeAs(entries);
            assertThat(rows.stream().filter(Leaderboard.Row::isBest)).hasSize(bests.size());
            for (Leaderboard.Row row : rows) {
                long clock = entries.get(row.of()).score().clockMs();
                if (row.isBest()) {
                    assertThat(clock).isEqualTo(bests.get(athletes.get(row.of())));
                    long better =
                            bests.values().stream().filter(best -> best < clock).count();
                    assertThat(row.place()).hasValue((int) better + 1);
                    long first = bests.values().stream()
                            .mapToLong(Long::longValue)
                            .min()
                            .orElseThrow();
                    assertThat(row.behindFirst().isPresent()).isEqualTo(clock > first);
                    row.behindFirst().ifPresent(behind -> assertThat(behind).isEqualTo((clock - first) / 1000 + " s"));
                }
            }
        }
    }
}
