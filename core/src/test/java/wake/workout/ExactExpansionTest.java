package wake.workout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.units.InvalidInput;
import wake.workout.Workout.FreeOrder;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.Once;
import wake.workout.Workout.Part;
import wake.workout.Workout.Repeat;
import wake.workout.Workout.Rounds;

/** An expanded workout holds the work its text says: no more, no less, however it is split. */
class ExactExpansionTest {
    private static final int SEEDS = Integer.getInteger("wake.expansions", 600);

    /** Sums by movement and unit, straight from the lines, against those of the segments. */
    @Test
    void whatIsWrittenIsWhatIsDone() {
        int checked = 0;
        long fresh = System.nanoTime() & 0xffff_ffffL;
        for (long count = 0; count < 2L * SEEDS; count++) {
            // Half of them are the same every time.
            long seed = count < SEEDS ? count : fresh + count;
            SplittableRandom random = new SplittableRandom(seed);
            Workout workout = RandomWorkout.of(random);
            for (Part part : workout.parts()) {
                int parts = 1 + random.nextInt(12);
                for (int division = 0;
                        division < Math.max(1, workout.divisions().size());
                        division++) {
                    ExpandedWorkout expanded;
                    try {
                        expanded = ExpandedWorkout.of(part, division, Samples.CATALOGUE, parts);
                    } catch (InvalidInput tooMuch) {
                        assertThat(tooMuch).hasMessageContaining("movements");
                        continue;
                    }
                    if (expanded.isOpen()) {
                        continue;
                    }
                    Map<String, BigDecimal> done = new TreeMap<>();
                    for (Segment segment : expanded.segments()) {
                        done.merge(
                                segment.movement().name() + " "
                                        + segment.amount().unit(),
                                segment.amount().value(),
                                BigDecimal::add);
                    }
                    Map<String, BigDecimal> written = new Sums(expanded, division).of(part);
                    assertThat(plain(done))
                            .as("seed %d: %s in %s", seed, NotationWriter.write(workout), parts)
                            .isEqualTo(plain(written));
                    checked++;
                }
            }
        }
        System.out.printf("Courses checked: %d, fresh from seed %d on%n", checked, fresh + SEEDS);
        assertThat(checked).isGreaterThan(SEEDS);
    }

    /** By hand. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1.5 km run|2|0.75 km run,0.75 km run",
                "1 km run|4|0.25 km run,0.25 km run,0.25 km run,0.25 km run",
                "2 mi run|3|0.667 mi run,0.667 mi run,0.666 mi run",
                "100 m run|3|34 m run,33 m run,33 m run",
                "10 pull-up|4|3 pull-up,3 pull-up,2 pull-up,2 pull-up",
                "2.5 cal row|2|1.25 cal row,1.25 cal row",
            })
    void whatIsDoneInAnyOrderKeepsItsDecimals(String line, int parts, String labels) {
        Workout workout = Samples.workout("# A\nfor time\n  in any order:\n    " + line + "\n");
        ExpandedWorkout expanded = ExpandedWorkout.of(workout.parts().getFirst(), 0, Samples.CATALOGUE, parts);
        assertThat(expanded.segments()).extracting(Segment::label).containsExactly(labels.split(","));
    }

    @Test
    void intervalsOfTooManyLinesAreRefused() {
        String lines = "  5 burpee\n".repeat(11);
        assertThat(NotationReader.read("# A\nevery 1:00 x 500\n" + lines, Samples.CATALOGUE)
                        .errors())
                .anySatisfy(error -> assertThat(error.found()).isEqualTo("more than 5000 movements"));
        assertThat(Samples.expanded("# A\nevery 1:00 x 450\n" + lines).length()).hasValue(4950);
    }

    /** 1, 6, 11 … rounds inside 100 rounds are 24,850 movements. */
    @Test
    void innerRoundsThatGrowTooManyAreRefused() {
        assertThat(NotationReader.read(
                                "# A\nfor time\n  100 rounds:\n    1+5 rounds:\n      3 burpee\n", Samples.CATALOGUE)
                        .errors())
                .anySatisfy(error -> assertThat(error.found()).isEqualTo("more than 5000 movements"));
    }

    @Test
    void anAmountThatGrowsBeyondAnybodyIsRefused() {
        assertThat(NotationReader.read("# A\nfor time\n  200 rounds:\n    10+1000 m run\n", Samples.CATALOGUE)
                        .errors())
                .anySatisfy(error -> assertThat(error.found()).startsWith("an amount that grows beyond"));
    }

    @Test
    void tooManyPartsOfWhatMayBeDoneInAnyOrderAreRefused() {
        String lines = "    500 burpee\n".repeat(60);
        Part part = Samples.workout("# A\nfor time\n  in any order:\n" + lines)
                .parts()
                .getFirst();
        assertThatThrownBy(() -> ExpandedWorkout.of(part, 0, Samples.CATALOGUE, 100))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("split into 100 rounds");
    }

    private static Map<String, BigDecimal> plain(Map<String, BigDecimal> sums) {
        Map<String, BigDecimal> plain = new TreeMap<>();
        sums.forEach((line, sum) -> plain.put(line, sum.stripTrailingZeros()));
        return plain;
    }

    /** Adds up lines as a reader of the text would, round by round. */
    private record Sums(ExpandedWorkout expanded, int division, Map<String, BigDecimal> all) {
        Sums(ExpandedWorkout expanded, int division) {
            this(expanded, division, new TreeMap<>());
        }

        Map<String, BigDecimal> of(Part part) {
            for (Node node : part.body()) {
                if (node instanceof Once once) {
                    add(once.body(), 1);
                }
            }
            if (part.format() instanceof Format.Every every) {
                List<Node> turns = part.body().stream()
                        .filter(node -> !(node instanceof Workout.Remark || node instanceof Once))
                        .toList();
                for (int i = 1; i <= every.times(); i++) {
                    add(every.inTurn() ? List.of(turns.get((i - 1) % turns.size())) : turns, i);
                }
            } else if (!(part.format() instanceof Format.Lift)) {
                add(part.body().stream().filter(node -> !(node instanceof Once)).toList(), 1);
            }
            return all;
        }

        private void add(List<Node> nodes, int round) {
            for (Node node : nodes) {
                switch (node) {
                    case MovementLine line -> {
                        BigDecimal amount = line.amount().in(division).at(round);
                        if (amount.signum() > 0) {
                            String name = expanded.movement(line).name();
                            all.merge(name + " " + line.unit(division), amount, BigDecimal::add);
                        }
                    }
                    case Rounds rounds -> {
                        for (int i = 1; i <= rounds.count().at(round).intValue(); i++) {
                            add(rounds.body(), i);
                        }
                    }
                    case FreeOrder free -> add(free.body(), round);
                    case Repeat repeat -> add(repeat.body(), 1);
                    default -> {}
                }
            }
        }
    }
}
