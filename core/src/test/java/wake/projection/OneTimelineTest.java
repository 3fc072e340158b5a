package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.LegalLogs;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.log.StepClocks;

/** The replay has every rep where the head-to-head has it, whatever was logged; only a rep the buzzer cut off is told apart. */
class OneTimelineTest {
    private static final int SEEDS = 40;

    static Stream<String> workouts() {
        return LegalLogs.WORKOUTS.stream();
    }

    @ParameterizedTest
    @MethodSource("workouts")
    void everyStepIsWhereItsSplitHasIt(String notation) {
        for (int seed = 0; seed < SEEDS; seed++) {
            AttemptLog log = LegalLogs.of(notation, new SplittableRandom(seed));
            List<TimeSlice> slices = TimeSlices.of(log, false);
            for (SegmentSplit split : log.splits()) {
                List<Long> replayed = new ArrayList<>();
                slices.stream()
                        .filter(slice ->
                                slice.segment().equals(split.segment()) && (split.complete() || slice.tailMs() == 0))
                        .forEach(slice -> slice.unitEndsMs().forEach(end -> replayed.add(slice.startMs() + end)));
                StepClocks clocks = StepClocks.of(split);
                List<Long> known = IntStream.rangeClosed(1, clocks.count())
                        .mapToObj(clocks::ms)
                        .toList();
                assertThat(known).as("%s seed %d, %s", notation, seed, split).containsAll(replayed);
                if (split.complete()) {
                    assertThat(replayed)
                            .as("%s seed %d, %s", notation, seed, split)
                            .isEqualTo(known);
                }
            }
        }
    }
}
