package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.LegalLogs;
import wake.Samples;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.log.ScoreReader;
import wake.plan.Draft;
import wake.plan.Plan;
import wake.reading.Baseline;
import wake.reading.Reading;
import wake.units.ClockTime;
import wake.words.ReviewWords;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.Segment;

/**
 * Sheets typed for every workout, by movement, by round and by set, to the end or with a stop somewhere and what was done by then: what a line says
 * is done is done in the log, and nothing of a sheet that is sound is lost.
 */
class EverySheetTest {
    private static final int SEEDS = Integer.getInteger("wake.sheets", 40);

    /** Of an ordinary run the last eighth has seeds that nobody tried before. */
    private static final long NEW = System.nanoTime() & 0xffff_ffffL;

    @AfterAll
    static void tried() {
        System.out.println("Sheets tried: " + SEEDS + " seeds a workout, an eighth of them from " + NEW);
    }

    private static SplittableRandom random(int seed, int of) {
        return new SplittableRandom(seed < of - of / 8 ? seed : NEW + seed);
    }

    static List<String> workouts() {
        return LegalLogs.WORKOUTS.stream()
                .filter(notation -> !(Samples.expanded(notation).format() instanceof Format.Lift))
                .toList();
    }

    @ParameterizedTest
    @MethodSource("workouts")
    void saysWhatIsDone(String notation) {
        int sound = 0;
        for (int seed = 0; seed < SEEDS; seed++) {
            SplittableRandom random = random(seed, SEEDS);
            for (Each each : List.of(Each.MOVEMENT, Each.ROUND, Each.SET)) {
                sound += typed(notation, each, random) ? 1 : 0;
            }
        }
        assertThat(sound).isGreaterThan(SEEDS);
    }

    private static boolean typed(String notation, Each each, SplittableRandom random) {
        ExpandedWorkout expanded = Samples.expanded(notation);
        Plan plan = Draft.of(expanded);
        List<String> lines = new ArrayList<>();
        long clock = 0;
        int points = 0;
        int at = 0;
        int most = expanded.length().orElse(40);
        int until = random.nextInt(3) == 0 ? most : random.nextInt(Math.min(most, 12) + 1);
        while (at < until && expanded.has(at)) {
            int next = at + (each == Each.ROUND ? roundOf(expanded, at) : 1);
            long opens = expanded.opensMs(at, clock).orElse(0);
            long end = Math.max(clock, opens) + 1000 * (1 + random.nextInt(each == Each.ROUND ? 50 : 20));
            if (end > expanded.buzzerMs(next - 1).orElse(Long.MAX_VALUE)) {
                break;
            }
            for (int i = at; i < next; i++) {
                points += expanded.segment(i).score();
            }
            lines.add(ClockTime.of(end).toSeconds());
            clock = end;
            at = next;
        }
        boolean all = !expanded.has(at);
        if (!all) {
            long buzzer = expanded.buzzerMs(at).orElse(clock + 30_000);
            long stop =
                    random.nextBoolean() ? buzzer : clock + random.nextLong(Math.max(1, buzzer - clock)) / 1000 * 1000;
            int more = random.nextInt(40);
            lines.add((random.nextBoolean() ? "stop " : "time ")
                    + ClockTime.of(stop).toSeconds()
                    + (more > 0 ? " +" + more : ""));
            points += more;
        }
        String text = String.join("\n", lines);
        TimeSheet sheet = TimeSheet.read(text, each, Times.CLOCK, expanded, plan);
        if (!sheet.isSound()) {
            // Only what cannot have been done is refused: more than there is, or what does not count.
            assertThat(sheet.rows().stream().flatMap(row -> row.problem().stream()))
                    .as("%s%s", notation, text)
                    .allMatch(why -> why.startsWith("That is ")
                            || why.startsWith("Nothing of ")
                            || why.contains(" movements are done at "));
            return false;
        }
        AttemptLog log = AttemptLog.of(expanded, sheet.marks());
        assertThat(log.rejected()).as("%s%s", notation, text).isEmpty();
        assertThat(log.score().done()).as("%s%s %s", notation, text, each).isEqualTo(points);
        assertThat(log.over()).as("%s%s", notation, text).isTrue();
        assertThat(ReviewWords.headline(Reading.of(log, Baseline.bestSplits(log))))
                .isNotBlank();
        return true;
    }

    /** A score alone, as it is written, is the score of the log it makes. */
    @ParameterizedTest
    @MethodSource("workouts")
    void aScoreAloneIsTheScore(String notation) {
        ExpandedWorkout expanded = Samples.expanded(notation);
        Plan plan = Draft.of(expanded);
        for (int seed = 0; seed < 3 * SEEDS; seed++) {
            SplittableRandom random = random(seed, 3 * SEEDS);
            String text = score(expanded, random);
            Score meant = ScoreReader.read(text, expanded);
            TimeSheet sheet = TimeSheet.read(text, Each.SCORE, Times.EITHER, expanded, plan);
            if (!sheet.isSound()) {
                assertThat(sheet.rows().getFirst().problem().orElseThrow())
                        .as("%s%s", notation, text)
                        .matches("(That is |Nothing of |.* leaves no time for work).*");
                continue;
            }
            AttemptLog log = AttemptLog.of(expanded, sheet.marks());
            assertThat(log.score()).as("%s%s", notation, text).isEqualTo(meant);
        }
    }

    private static String score(ExpandedWorkout expanded, SplittableRandom random) {
        long cap = expanded.capMs().orElse(900_000);
        if (expanded.isOpen()) {
            int reps = 1 + random.nextInt(200);
            return expanded.scoresReps() || random.nextBoolean()
                    ? reps + " reps"
                    : random.nextInt(9) + " rounds + " + random.nextInt(5);
        }
        if (expanded.format() instanceof Format.Every) {
            return Integer.toString(1 + random.nextInt(expanded.totalScore()));
        }
        boolean finished = expanded.capMs().isEmpty() || random.nextBoolean();
        return finished
                ? ClockTime.of(1000 * (60 + random.nextLong(cap / 1000 - 59))).toSeconds()
                : "cap+" + (1 + random.nextInt(expanded.totalScore()));
    }

    private static int roundOf(ExpandedWorkout expanded, int at) {
        Segment first = expanded.segment(at);
        int count = 1;
        while (first.inRounds()
                && expanded.has(at + count)
                && expanded.segment(at + count).lap().equals(first.lap())) {
            count++;
        }
        return count;
    }
}
