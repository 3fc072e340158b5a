package wake.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.exchange.TimeSheet;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.plan.Draft;
import wake.simulation.AthleteModel;
import wake.simulation.SimulatedAttempt;
import wake.workout.ExpandedWorkout;

class FieldTest {
    private static final String CHIPPER =
            "# Groyne\nfor time, cap 20:00\n  30 burpee\n  40 wall walk\n  50 air squat\n";
    private static final String ROUNDS = "# Weir\namrap 6:00\n  8 burpee\n  12 kettlebell swing @ 16 kg\n";

    private static Entry typed(String notation, Each each, String text) {
        ExpandedWorkout expanded = Samples.expanded(notation);
        TimeSheet sheet = TimeSheet.read(text, each, Times.CLOCK, expanded, Draft.of(expanded));
        assertThat(sheet.isSound()).as("%s", sheet.rows()).isTrue();
        return Entry.of(AttemptLog.of(expanded, sheet.marks()));
    }

    private static Field field(List<Entry> entries) {
        return Field.of(
                Standings.of(entries).stream().map(one -> entries.get(one.of())).toList());
    }

    /** Eight chippers by movement: the best two took 60+100+50 and 70+90+60 s, the middle four 80, 120, 70 s on average: 15, 25 and 15 s later. */
    @Test
    void theMiddleHalfIsHeldAgainstTheBestQuarterByHand() {
        List<Entry> entries = Stream.of(
                        "1:20 3:20 4:20",
                        "1:00 2:40 3:30",
                        "1:10 2:40 3:40",
                        "1:10 3:10 4:20",
                        "1:30 3:30 4:40",
                        "1:20 3:20 4:40",
                        "2:00 5:00 8:00",
                        "2:10 5:10 9:00")
                .map(clocks -> typed(CHIPPER, Each.MOVEMENT, clocks.replace(' ', '\n')))
                .toList();
        Field field = field(entries);
        assertThat(field.spans())
                .extracting(Field.Span::place)
                .containsExactly("30 burpee", "40 wall walk", "50 air squat");
        Separation separation = field.separation().orElseThrow();
        assertThat(separation.top()).isEqualTo(2);
        assertThat(separation.middle()).isEqualTo(4);
        assertThat(separation.isFinish()).isTrue();
        assertThat(separation.ms()).isCloseTo(55_000, within(1e-6));
        assertThat(separation.parts())
                .containsExactly(
                        new Separation.Part("wall walk", Cause.UNSEPARATED, 25_000),
                        new Separation.Part("burpee", Cause.UNSEPARATED, 15_000),
                        new Separation.Part("air squat", Cause.UNSEPARATED, 15_000));
        Field.Span walls = field.spans().get(1);
        // 90, 100, 120, 120, 120, 120, 180, 180: the third, and three quarters of the way from the second to it.
        assertThat(walls.split().quantile(50)).isEqualTo(120_000);
        assertThat(walls.split().quantile(25)).isEqualTo(115_000);
        // Four of eight are as quick as 120 s, two quicker, two slower.
        assertThat(walls.split().rank(120_000)).isEqualTo(50);
        assertThat(walls.clock().quantile(100)).isEqualTo(310_000);
    }

    @Test
    void ofFewOrOfScoresAloneNothingIsSaid() {
        List<Entry> scores = IntStream.range(0, 9)
                .mapToObj(i -> typed(CHIPPER, Each.SCORE, "9:0" + i))
                .toList();
        Field field = field(scores);
        assertThat(field.entries()).isEqualTo(9);
        assertThat(field.logged()).isZero();
        assertThat(field.spans()).isEmpty();
        assertThat(field.separation()).isEmpty();
        assertThat(Field.of(List.of()).entries()).isZero();
    }

    /** Those who did other work are left out, whichever is rarer. */
    @Test
    void onlyTheSameWorkIsHeldBesideEachOther() {
        List<Entry> entries = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            entries.add(typed(CHIPPER, Each.MOVEMENT, "1:00\n2:00\n3:0" + i));
        }
        entries.addFirst(typed(CHIPPER.replace("30 burpee", "20 burpee"), Each.MOVEMENT, "0:40\n1:30\n2:00"));
        assertThat(field(entries).entries()).isEqualTo(6);
    }

    private static Entry simulated(String notation, long seed, SplittableRandom random, boolean coarse) {
        ExpandedWorkout expanded = Samples.expanded(notation);
        AthleteModel model = new AthleteModel(
                Map.of("burpee", random.nextDouble(2, 4), "kettlebell swing", random.nextDouble(1.5, 2.5)),
                0.05,
                0.05,
                random.nextInt(1000, 4000),
                2500,
                0.2,
                Map.of(),
                0);
        SimulatedAttempt attempt = SimulatedAttempt.run(expanded, model, seed);
        AttemptLog log = AttemptLog.of(expanded, attempt.truth());
        if (!coarse) {
            return Entry.of(log);
        }
        StringBuilder rounds = new StringBuilder();
        for (Piece piece : Entry.of(log).pieces()) {
            if (piece.complete() && piece.last() % 2 == 1) {
                rounds.append(piece.endMs() / 1000 / 60)
                        .append(piece.endMs() / 1000 % 60 < 10 ? ":0" : ":")
                        .append(piece.endMs() / 1000 % 60)
                        .append('\n');
            }
        }
        return typed(notation, Each.ROUND, rounds + "bell");
    }

    /** Logs rep by rep and by round together: the spans are the course without a gap, and a difference is the sum of its parts. */
    @Test
    void thePartsAddUpWhateverTheDepthOfTheLogs() {
        SplittableRandom random = new SplittableRandom(11);
        for (int i = 0; i < 40; i++) {
            List<Entry> entries = new ArrayList<>();
            int many = random.nextInt(8, 20);
            for (int k = 0; k < many; k++) {
                entries.add(simulated(ROUNDS, random.nextLong(), random, random.nextInt(4) == 0));
            }
            Field field = field(entries);
            int next = 0;
            for (Field.Span span : field.spans()) {
                assertThat(span.first()).isEqualTo(next);
                next = span.last() + 1;
            }
            field.separation().ifPresent(separation -> {
                assertThat(separation.parts().stream()
                                .mapToDouble(Separation.Part::ms)
                                .sum())
                        .isCloseTo(separation.ms(), within(40.0));
                if (field.spans().stream().allMatch(span -> span.first() == span.last())) {
                    assertThat(separation.parts())
                            .extracting(Separation.Part::cause)
                            .contains(Cause.PACE);
                }
            });
            for (Entry entry : entries) {
                List<Field.Own> own = field.own(entry);
                double sum = 0;
                for (int k = 0; k < own.size() && own.get(k).clock().isPresent(); k++) {
                    if (own.get(k).split().isPresent()) {
                        sum += own.get(k).split().getAsDouble();
                        assertThat(own.get(k).clock().getAsDouble()).isCloseTo(sum, within(1e-6));
                    }
                }
            }
        }
    }

    /** Type 7 of Hyndman and Fan (1996) by its formula, and the percentile rank by counting. */
    @Test
    void quantilesAndRanksAreThoseOfTheFormulas() {
        SplittableRandom random = new SplittableRandom(5);
        for (int i = 0; i < 300; i++) {
            double[] values = random.doubles(random.nextInt(1, 60), 0, 9)
                    .map(value -> random.nextBoolean() ? Math.rint(value) : value)
                    .toArray();
            Figures figures = Figures.of(values);
            double[] sorted = values.clone();
            Arrays.sort(sorted);
            for (double percent : new double[] {10, 25, 50, 75, 90, 100}) {
                double h = (sorted.length - 1) * percent / 100;
                int low = (int) Math.floor(h);
                int high = Math.min(sorted.length - 1, low + 1);
                assertThat(figures.quantile(percent))
                        .isCloseTo(sorted[low] + (h - low) * (sorted[high] - sorted[low]), within(1e-9));
            }
            double asked = Math.rint(random.nextDouble(9));
            double worse = Arrays.stream(values).filter(value -> value > asked).count();
            double equal = Arrays.stream(values).filter(value -> value == asked).count();
            assertThat(figures.rank(asked)).isCloseTo(100 * (worse + equal / 2) / values.length, within(1e-9));
        }
    }
}
