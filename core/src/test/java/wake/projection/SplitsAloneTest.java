package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.expanded;
import static wake.Samples.log;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import wake.log.AttemptLog;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Score;
import wake.projection.Projection.ProjectedChange;
import wake.projection.Projection.Terms;
import wake.projection.Suggestions.Suggestion;
import wake.units.Digits;
import wake.words.ChangeWords;

/** Attempts of which a coach noted the splits and no more: most of what is reviewed. */
class SplitsAloneTest {
    private static final String ROUNDS = "# A\nfor time\n  4 rounds:\n    200 m run\n    10 burpee\n";
    private static final String ROUNDS_LOG =
            "D 50 seg, D 80 seg, D 130 seg, D 163 seg, D 215 seg, D 251 seg, D 306 seg, D 346 seg";
    private static final String CHIPPER =
            "# A\nfor time\n  1000 m row\n  50 wall-ball shot @ 9 kg\n  30 toes-to-bar\n  20 power clean @ 60 kg\n";
    private static final String LADDER =
            "# A\nfor time\n  4 rounds:\n    10-8-6-4 deadlift @ 80 kg\n    12-9-6-3 box jump over @ 50 cm\n";
    private static final String AMRAP = "# A\namrap 6:00\n  repeat:\n    10 burpee\n    15 kettlebell swing @ 24 kg\n";
    private static final String GATED =
            "# A\nfor time, cap 9:00\n  5 rounds:\n    9 thruster @ 40 kg\n    6 burpee\n  by 3:00 after round 2\n";

    private static List<String> words(AttemptLog log) {
        return Suggestions.all(log).stream()
                .map(one -> (one.on() ? "+ " : "  ") + new ChangeWords(log.expanded()).text(one.change()))
                .toList();
    }

    private static long gainMs(AttemptLog log, Change change) {
        return Projection.of(log, List.of(change)).gain().ms();
    }

    private static Change find(AttemptLog log, String words) {
        return Suggestions.all(log).stream()
                .map(Suggestion::change)
                .filter(change -> new ChangeWords(log.expanded()).text(change).equals(words))
                .findFirst()
                .orElseThrow(() -> new AssertionError(words(log)));
    }

    /**
     * Burpees of 30, 33, 36 and 40 s: the lower quartile (type 7 of Hyndman & Fan 1996) is 32.25 s, 32.5 to the half second; that takes
     * 0.5 + 3.5 + 7.5 s off. Runs of 50, 50, 52 and 55 s: 50 s, 2 + 5 s off. Rounds of 80, 83, 88 and 95 s: 82.25, so 82.5: 0.5 + 5.5 + 12.5.
     */
    @Test
    void roundsAreAskedForTheQuickQuarterOfTheirSplits() {
        AttemptLog log = log(ROUNDS, ROUNDS_LOG);
        assertThat(words(log))
                .containsExactly(
                        "+ No round over 1:22.5",
                        "  No burpee split over 0:32.5",
                        "  No run split over 0:50",
                        "  Even pace for the same effort (speed penalty 2.0)");
        assertThat(gainMs(log, find(log, "No burpee split over 0:32.5"))).isEqualTo(11_500);
        assertThat(gainMs(log, find(log, "No run split over 0:50"))).isEqualTo(7000);
        assertThat(gainMs(log, find(log, "No round over 1:22.5"))).isEqualTo(18_500);
    }

    /** A movement that comes once has shown nothing to ask of it: 95 % of it is offered, and is part of no projection by itself. */
    @Test
    void aChipperIsOfferedEachOfItsMovements() {
        AttemptLog log = log(CHIPPER, "D 200 seg, D 380 seg, D 500 seg, D 600 seg");
        assertThat(words(log))
                .containsExactlyInAnyOrder(
                        "  No row split over 3:10",
                        "  No wall-ball shot split over 2:51",
                        "  No toes-to-bar split over 1:54",
                        "  No power clean split over 1:35");
        assertThat(gainMs(log, find(log, "No wall-ball shot split over 2:51"))).isEqualTo(9000);
        ProjectedChange row = Projection.of(log, List.of(find(log, "No row split over 3:10")))
                .projectedChanges()
                .getFirst();
        assertThat(row.evidence()).isEqualTo(EvidenceLevel.NOT_YET_SHOWN);
    }

    /**
     * Deadlifts in 40, 34, 27 and 20 s are 4.0, 4.25, 4.5 and 5.0 s each, faster the more there are. Of the ten, splits of at least five tell
     * (4.0, 4.25, 4.5: quartile 4.125); of the others all do: 4.1875 s.
     */
    @Test
    void aLadderIsComparedByItsPace() {
        AttemptLog log =
                log(LADDER, "D 40 seg, D 76 seg, D 110 seg, D 137 seg, D 164 seg, D 182 seg, D 202 seg, D 211 seg");
        CapSplits deadlift = (CapSplits) Suggestions.all(log).stream()
                .map(Suggestion::change)
                .filter(change -> change.scope().movement().equals("deadlift"))
                .findFirst()
                .orElseThrow();
        // By hand, to the half second above: 41.25, 33.5, 25.125 and 16.75 s.
        assertThat(deadlift.seconds().each()).containsExactly(41.5, 33.5, 25.5, 17.0);
        assertThat(gainMs(log, deadlift)).isEqualTo(500 + 1500 + 3000);
    }

    /** Past the buzzer work goes on at the splits there were, and a gain is told in reps. */
    @Test
    void anAmrapGoesOnAtItsSplits() {
        AttemptLog log =
                log(AMRAP, "D 40 seg, D 85 seg, D 130 seg, D 180 seg, D 230 seg, D 285 seg, D 340 seg, X 360 x6");
        assertThat(log.score()).isEqualTo(new Score.Rounds(360_000, 3, 16, 91, false));
        assertThat(Suggestions.all(log)).hasSizeGreaterThanOrEqualTo(2);
        // Burpees of 40, 45, 50 and 55 s: no longer than 45 saves 5 + 10 s. Six swings took 20 s; the next go on at 55
        // s for 15, so 15 s are 4.
        Change burpees = new CapSplits(Scope.of("burpee"), Targets.of(45));
        assertThat(Projection.of(log, List.of(burpees)).gain().reps()).isEqualTo(4);
        Range range = Projection.of(
                        log, List.of(burpees), new Terms(List.of(), EvidenceWeights.USUAL, FatigueCost.USUAL, 200, 100))
                .range()
                .orElseThrow();
        assertThat(range.p10().done()).isBetween(85, 95);
        assertThat(range.p90().done()).isBetween(91, 103);
    }

    @Test
    void roundTimesAloneAreAskedForQuickRounds() {
        List<Mark> marks = new ArrayList<>();
        long before = 0;
        for (long end : new long[] {80_000, 160_000, 246_000, 330_000, 422_000}) {
            marks.add(Mark.of(MarkKind.DONE, (before + end) / 2).withDepth(Granularity.ROUND));
            marks.add(Mark.of(MarkKind.DONE, end).withDepth(Granularity.SEGMENT));
            before = end;
        }
        AttemptLog log = AttemptLog.of(expanded("# A\nfor time\n  5 rounds:\n    200 m run\n    10 burpee\n"), marks);
        assertThat(words(log))
                .containsExactly("+ No round over 1:20", "  Even pace for the same effort (speed penalty 2.0)");
        // 86, 84 and 92 s down to 80.
        assertThat(gainMs(log, find(log, "No round over 1:20"))).isEqualTo(6000 + 4000 + 12_000);
    }

    @ParameterizedTest
    @MethodSource("formats")
    void everySplitHasSomethingToAskWithItsRangeAndWhatItIsBackedBy(String notation, String jotted, int fewest) {
        AttemptLog log = log(notation, jotted);
        List<Suggestion> all = Suggestions.all(log);
        assertThat(all).as(notation).hasSizeGreaterThanOrEqualTo(fewest);
        List<Change> changes = all.stream().map(Suggestion::change).toList();
        List<Change> on =
                all.stream().filter(Suggestion::on).map(Suggestion::change).toList();
        Projection projection = Projection.of(
                log, changes, on, new Terms(List.of(), EvidenceWeights.USUAL, FatigueCost.USUAL, 400, 200));
        assertThat(projection.range()).as(notation).isPresent();
        assertThat(projection.projectedChanges()).allSatisfy(change -> {
            assertThat(change.gain().rank()).isPositive();
            assertThat(change.range()).isPresent();
            assertThat(change.reason()).isEmpty();
        });
        assertThat(on)
                .allSatisfy(change -> assertThat(projection.projectedChanges().stream()
                                .filter(one -> one.change().equals(change))
                                .findFirst()
                                .orElseThrow()
                                .evidence())
                        .isNotEqualTo(EvidenceLevel.NOT_YET_SHOWN));
    }

    static Stream<Arguments> formats() {
        return Stream.of(
                Arguments.of(ROUNDS, ROUNDS_LOG, 3),
                Arguments.of(CHIPPER, "D 200 seg, D 380 seg, D 500 seg, D 600 seg", 4),
                Arguments.of(
                        LADDER,
                        "D 40 seg, D 76 seg, D 110 seg, D 137 seg, D 164 seg, D 182 seg, D 202 seg, D 211 seg",
                        2),
                Arguments.of(
                        AMRAP,
                        "D 40 seg, D 85 seg, D 130 seg, D 180 seg, D 230 seg, D 285 seg, D 340 seg, X 360 x6",
                        2),
                Arguments.of(
                        GATED,
                        "D 40 seg, D 65 seg, D 110 seg, D 137 seg, D 190 seg, D 220 seg, D 280 seg, D 312 seg, D 372 seg, D 405 seg",
                        3));
    }

    /** A cap on rests was called from a log by sets; a retest by splits does not say what became of it, and no record counts it. */
    @Test
    void whatTheRetestDoesNotBreakDownIsNotSaidToHaveFailed() {
        AttemptLog first = log(
                "# A\nfor time\n  3 rounds:\n    10 burpee\n",
                "A 0, O 10 x5, N 25, D 35 x5, A 40, O 50 x5, N 65, D 75 x5, A 80, O 90 x5, N 110, D 120 x5");
        AttemptLog retest = log("# A\nfor time\n  3 rounds:\n    10 burpee\n", "D 30 seg, D 62 seg, D 95 seg");
        Change rests = new CapRests(Scope.of("burpee"), Targets.of(10));
        Outcome outcome = Outcome.of(first, retest, List.of(rests));
        // 5, 5 and 10 s of rest were called.
        assertThat(outcome.changes()).containsExactly(new Outcome.ChangeOutcome(rests, 0, 20_000, 0));
        assertThat(outcome.verdict(outcome.changes().getFirst(), first.score(), Optional.empty()))
                .isEqualTo(Outcome.Verdict.NOT_BROKEN_DOWN);
        assertThat(KindRecord.of(List.of(new CalibrationPoint(outcome, List.of(EvidenceLevel.SHOWN), 120_000))))
                .isEmpty();
    }

    /** A retest by splits: burpees of 30, 32, 32 and 32 s where 32.5 were called are 13 s faster, 11.5 of them called; what the runs lost is not. */
    @Test
    void aRetestBySplitsIsHeldAgainstWhatWasCalled() {
        AttemptLog first = log(ROUNDS, ROUNDS_LOG);
        AttemptLog retest =
                log(ROUNDS, "D 50 seg, D 80 seg, D 131 seg, D 163 seg, D 215 seg, D 247 seg, D 302 seg, D 334 seg");
        Change burpees = find(first, "No burpee split over 0:32.5");
        Outcome outcome = Outcome.of(first, retest, List.of(burpees));
        assertThat(outcome.wonMs()).isEqualTo(12_000);
        assertThat(outcome.changes()).containsExactly(new Outcome.ChangeOutcome(burpees, 11_500, 0, 13_000));
        assertThat(outcome.verdict(outcome.changes().getFirst(), first.score(), Optional.empty()))
                .isEqualTo(Outcome.Verdict.AS_PROJECTED);
        assertThat(Outcome.difference(first.score(), retest.score(), Digits.WHOLE))
                .isEqualTo("12 s faster");
        assertThat((double) outcome.elsewhere().stream()
                        .mapToLong(Outcome.Elsewhere::wonMs)
                        .sum())
                .isCloseTo(-1000, within(0.5));
    }
}
