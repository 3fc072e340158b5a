package wake.comparison;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.Shelf;
import wake.exchange.TimeSheet;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.log.AttemptLog;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.plan.Draft;
import wake.simulation.SimulatedAttempt;

/** One attempt logged in more and in less detail leads itself nowhere, and a score alone leads nobody. */
class SameAttemptTwoDetailsTest {
    private static final int SEEDS = 6;

    static Stream<String> shelf() {
        return Stream.concat(
                Shelf.all(),
                Stream.of(
                        Samples.LOCK_GATE, Samples.LONG_REACH, Samples.SLACK_WATER, Samples.BELL_BUOY, Samples.STAGES));
    }

    @ParameterizedTest
    @MethodSource("shelf")
    void loggedBySetsAndByEndsThereIsNoLeadChange(String notation) {
        for (int seed = 1; seed <= SEEDS; seed++) {
            SimulatedAttempt attempt = Samples.simulated(notation, seed);
            AttemptLog full = AttemptLog.of(attempt.expanded(), attempt.truth());
            for (Granularity detail : Granularity.values()) {
                AttemptLog less = AttemptLog.of(attempt.expanded(), coarser(full, detail));
                assertThat(less.score())
                        .as("%s seed %d %s", notation, seed, detail)
                        .isEqualTo(full.score());
                HeadToHead pair = HeadToHead.of(side("One", notation, full), side("Other", notation, less));
                assertThat(pair.leads())
                        .as("%s seed %d %s", notation, seed, detail)
                        .isEmpty();
                assertThat(pair.lastChange())
                        .as("%s seed %d %s", notation, seed, detail)
                        .isEmpty();
                assertThat(pair.overtakes().stream().filter(Overtake::clear))
                        .as("%s seed %d %s", notation, seed, detail)
                        .isEmpty();
                assertThat(pair.borders())
                        .as("%s seed %d %s", notation, seed, detail)
                        .allMatch(border -> border.leadMs() == 0);
            }
        }
    }

    @ParameterizedTest
    @MethodSource("shelf")
    void aScoreAloneLeadsNobody(String notation) {
        for (int seed = 1; seed <= SEEDS; seed++) {
            SimulatedAttempt attempt = Samples.simulated(notation, seed);
            SimulatedAttempt second = Samples.simulated(notation, seed + 100);
            AttemptLog full = AttemptLog.of(attempt.expanded(), attempt.truth());
            AttemptLog other = AttemptLog.of(second.expanded(), second.truth());
            TimeSheet sheet = TimeSheet.read(
                    other.scoreWords(), Each.SCORE, Times.EITHER, second.expanded(), Draft.of(second.expanded()));
            if (!sheet.isSound()) {
                continue;
            }
            AttemptLog score = AttemptLog.of(second.expanded(), sheet.marks());
            HeadToHead pair = HeadToHead.of(side("One", notation, full), side("Other", notation, score));
            assertThat(pair.overtakes()).as("%s seed %d", notation, seed).isEmpty();
            assertThat(pair.rounds()).as("%s seed %d", notation, seed).isEmpty();
            assertThat(pair.minutes())
                    .as("%s seed %d: %s", notation, seed, other.scoreWords())
                    .filteredOn(minute -> minute.clockMs() < Math.min(full.clockMs(), score.clockMs()))
                    .allMatch(minute -> minute.reps().equals(OptionalInt.empty()));
        }
    }

    private static Side side(String name, String text, AttemptLog log) {
        return new Side(name, text, log);
    }

    /** The same attempt as a coach logs it who watches sets, or ends only. */
    private static List<Mark> coarser(AttemptLog log, Granularity detail) {
        List<Mark> marks = new ArrayList<>();
        for (SegmentSplit split : log.splits()) {
            List<SetSplit> sets = split.sets();
            if (detail == Granularity.SET && split.beginMs().isPresent()) {
                mark(marks, MarkKind.BEGIN, split.beginMs().getAsLong(), 0, detail);
                for (int i = 0; i + 1 < sets.size(); i++) {
                    mark(
                            marks,
                            MarkKind.OFF,
                            sets.get(i).endMs(),
                            sets.get(i).reps().orElse(0),
                            detail);
                    mark(marks, MarkKind.ON, sets.get(i + 1).startMs(), 0, detail);
                }
            }
            if (split.complete()) {
                mark(marks, MarkKind.DONE, split.endMs(), 0, detail);
            } else {
                mark(marks, MarkKind.STOP, split.endMs(), split.counted(), detail);
            }
        }
        return marks;
    }

    private static void mark(List<Mark> marks, MarkKind kind, long atMs, int reps, Granularity detail) {
        marks.add(new Mark(new UUID(0, marks.size()), kind, atMs, reps, detail, "", "", 0));
    }
}
