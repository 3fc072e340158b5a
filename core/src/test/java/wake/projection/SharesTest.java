package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.projection.Outcome.ChangeOutcome;
import wake.projection.Outcome.Elsewhere;
import wake.projection.Suggestions.Suggestion;
import wake.simulation.SimulatedAttempt;

/** Each second belongs to one change: in what is proposed, in what was called, and in what came. */
class SharesTest {
    /** Ways of 3 s but for one of 23 s, before the last burpees. */
    private static final AttemptLog ONE_LONG_WAY = Samples.log(
            Samples.SKIFF.replace("2 rounds", "4 rounds"),
            "A 0, D 12, A 15, D 31, A 34, D 46, A 49, D 65, A 68, D 80, A 83, D 99, A 122, D 134, A 137, D 153");

    @Test
    void theSameSecondsAreNotChosenTwice() {
        List<Suggestion> all = Suggestions.all(ONE_LONG_WAY);
        assertThat(all).extracting(Suggestion::change).hasAtLeastOneElementOfType(SkipPause.class);
        assertThat(all)
                .filteredOn(one -> one.change() instanceof SkipPause || one.change() instanceof CapTransitions)
                .filteredOn(Suggestion::on)
                .hasSize(1);
    }

    @Test
    void nothingIsProposedTwice() {
        AttemptLog log = Samples.log(
                "# A\nfor time\n  20 cal bike\n  10 burpee\n  20 cal bike\n", "A 0, D 60, A 63, D 93, A 96, D 170");
        assertThat(Suggestions.all(log)).extracting(Suggestion::change).doesNotHaveDuplicates();
    }

    /** Ways of 5, 8, 11 and 14 s: beyond the buzzer they go on to 17 s and more, and that is said apart. */
    @Test
    void aPlaceQuotedIsOneThatHappened() {
        AttemptLog log = Samples.log(
                "# A\namrap 2:00\n  4 burpee\n  4 thruster\n",
                "A 0, D 12, A 17, D 25, A 30, D 42, A 50, D 58, A 66, D 78, A 89, D 97, A 106, D 118, X 120");
        Projection.ProjectedChange projection = Projection.of(log, List.of(new CapTransitions(3000)))
                .projectedChanges()
                .getFirst();
        assertThat(projection.touched()).isEqualTo(6);
        assertThat(projection.fromMs()).isEqualTo(11_000);
        assertThat(projection.beyond()).isPositive();
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void whatCountsOnEvidenceDoesNotDependOnTheOrder(long seed) {
        AttemptLog log = AttemptLog.of(
                Samples.simulated(seed).expanded(), Samples.simulated(seed).truth());
        List<Change> changes = new ArrayList<>(
                Suggestions.all(log).stream().map(Suggestion::change).toList());
        Projection one = Projection.of(log, changes);
        Collections.shuffle(changes, new Random(seed));
        Projection other = Projection.of(log, changes);
        assertThat(other.proven()).isEqualTo(one.proven());
        assertThat(other.bestCase()).isEqualTo(one.bestCase());
    }

    /** A target of a round or a split is a target: with anything else beside it no whole gets faster than that, unless the other alone makes it so. */
    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void aWholeIsNoFasterThanItsTarget(long seed) {
        SimulatedAttempt attempt = Samples.simulated(seed);
        AttemptLog log = AttemptLog.of(attempt.expanded(), Samples.blurred(attempt, seed));
        Replay replay = Replay.of(log);
        List<Change> available = AvailableChanges.in(log);
        for (Change cap : available) {
            if (!(cap instanceof CapSplits)) {
                continue;
            }
            Map<Object, Long> targets = wholes(replay, cap.scope(), List.of(cap));
            for (Change other : available) {
                boolean narrower = other.breadth() < cap.breadth() && !(other instanceof CapSplits);
                if (narrower) {
                    Map<Object, Long> alone = wholes(replay, cap.scope(), List.of(other));
                    wholes(replay, cap.scope(), List.of(cap, other))
                            .forEach((whole, ms) -> assertThat(ms)
                                    .as("%s with %s", cap, other)
                                    .isGreaterThanOrEqualTo(Math.min(targets.get(whole), alone.get(whole)) - 50));
                }
            }
        }
    }

    private static Map<Object, Long> wholes(Replay replay, Scope scope, List<Change> changes) {
        Replay.Changed changed = replay.with(changes);
        Map<Object, Long> sums = new HashMap<>();
        for (int i = 0; i < changed.slices().size(); i++) {
            TimeSlice slice = changed.slices().get(i);
            if (Whole.touches(slice, scope)) {
                sums.merge(Whole.key(slice.segment(), scope), changed.ms()[i], Long::sum);
            }
        }
        return sums;
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void sharesAddUpToWhatAllOfThemSave(long seed) {
        SimulatedAttempt attempt = Samples.simulated(seed);
        AttemptLog log = AttemptLog.of(attempt.expanded(), Samples.blurred(attempt, seed));
        List<Change> changes =
                Suggestions.all(log).stream().map(Suggestion::change).toList();
        Replay replay = Replay.of(log);
        Replay.Changed all = replay.with(changes);
        long saved = replay.slices().stream().mapToLong(TimeSlice::ms).sum();
        for (long ms : all.ms()) {
            saved -= ms;
        }
        long shares = replay.shares(changes, everywhere -> true).values().stream()
                .mapToLong(Long::longValue)
                .sum();
        assertThat(shares).isEqualTo(saved);
    }

    /** Two athletes' attempts, each logged at a depth of its own: what came adds up to the difference of the clocks over what both did. */
    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void theOutcomeAddsUpAtEveryDepth(long seed) {
        SimulatedAttempt one = Samples.simulated(seed);
        SimulatedAttempt two = Stream.iterate(seed + 1, next -> next + 1)
                .map(Samples::simulated)
                .filter(other ->
                        other.expanded().segments().equals(one.expanded().segments()))
                .findFirst()
                .orElseThrow();
        AttemptLog first = AttemptLog.of(one.expanded(), Samples.blurred(one, seed));
        AttemptLog retest = AttemptLog.of(one.expanded(), Samples.blurred(two, seed + 1));
        List<Change> changes =
                Suggestions.all(first).stream().map(Suggestion::change).toList();
        Outcome outcome = Outcome.of(first, retest, changes);
        long actual = outcome.changes().stream()
                        .mapToLong(ChangeOutcome::actualMs)
                        .sum()
                + outcome.elsewhere().stream().mapToLong(Elsewhere::wonMs).sum();
        assertThat(actual).isEqualTo(outcome.wonMs());
        assertThat(outcome.wonMs()).isEqualTo(elapsed(first, outcome) - elapsed(retest, outcome));
    }

    private static long elapsed(AttemptLog log, Outcome outcome) {
        return log.splits().stream()
                .limit(outcome.segments())
                .mapToLong(SegmentSplit::elapsedMs)
                .sum();
    }

    /** The rests of a rep-by-rep log are no gain against a retest of which only the ends were noted. */
    @Test
    void whatOnlyOneLogShowsIsNoGain() {
        AttemptLog first = Samples.log(Samples.SKIFF, "A 0, O 6 x3, N 16, D 22, A 24, D 40, A 43, D 55, A 58, D 74");
        AttemptLog retest = Samples.log(Samples.SKIFF, "D 20 seg, D 38 seg, D 52 seg, D 70 seg");
        Outcome outcome = Outcome.of(first, retest, List.of(new CapRests(4000), new CapTransitions(2000)));
        assertThat(outcome.wonMs()).isEqualTo(4000);
        assertThat(outcome.changes())
                .allSatisfy(actual -> assertThat(actual.actualMs()).isZero());
        assertThat(outcome.elsewhere()).allSatisfy(one -> assertThat(one.what()).startsWith("unassigned time"));
    }
}
