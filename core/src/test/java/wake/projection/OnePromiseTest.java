package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.Shelf;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.plan.Forecast;
import wake.plan.Plan;
import wake.plan.PlannedSegment;
import wake.projection.Projection.Terms;
import wake.projection.Suggestions.Suggestion;
import wake.simulation.SimulatedAttempt;
import wake.units.Digits;

/** What is promised is one number, wherever it stands: the headline, the middle of the range, the plan of the retest and its last clock. */
class OnePromiseTest {
    private static final String NESTED = """
            # Tide Tables
            for time
              3 rounds:
                200 m run
                2 rounds:
                  8 thruster @ 40 kg
                  10 burpee
            """;

    private static final int ATTEMPTS = Integer.getInteger("wake.promises", 300);

    static Stream<Long> hundreds() {
        return Stream.iterate(0L, first -> first + 20).limit(ATTEMPTS / 20);
    }

    @ParameterizedTest
    @MethodSource("hundreds")
    void theHeadlineIsThePlansScore(long first) {
        List<String> formats = Stream.concat(
                        Shelf.all(),
                        Stream.of(
                                Samples.LOCK_GATE, Samples.LONG_REACH, Samples.SLACK_WATER, Samples.BELL_BUOY, NESTED))
                .toList();
        for (long seed = first; seed < first + 20; seed++) {
            SplittableRandom random = new SplittableRandom(seed);
            String notation = formats.get(random.nextInt(formats.size()));
            SimulatedAttempt attempt = Samples.simulated(notation, seed);
            AttemptLog log = AttemptLog.of(attempt.expanded(), attempt.truth());
            List<Change> chosen = new ArrayList<>();
            for (Suggestion one : Suggestions.all(log)) {
                if (random.nextBoolean()) {
                    chosen.add(one.change());
                }
            }
            Projection projection =
                    Projection.of(log, chosen, new Terms(List.of(), EvidenceWeights.USUAL, FatigueCost.USUAL, 50, 0));
            Plan plan = RetestPlan.of(log, chosen, FatigueCost.USUAL);
            Score planned = Forecast.of(log.expanded(), plan).score();
            String what = notation + seed + chosen;
            assertThat(words(planned)).as(what).isEqualTo(words(projection.middle()));
            if (Score.compare(projection.middle(), projection.before()) >= 0) {
                assertThat(Score.compare(projection.proven(), projection.before()))
                        .as(what)
                        .isNotNegative();
            }
            staysWithTheReplay(log, plan, NextAttempt.of(log, chosen, FatigueCost.USUAL, log.score()), what);
            if (projection.middle() instanceof Score.Finished) {
                List<Fan.Border> borders =
                        Fan.of(log, chosen, FatigueCost.USUAL, 20).borders();
                assertThat(
                                borders.isEmpty()
                                        ? projection.middle().clockMs()
                                        : borders.getLast().middleMs())
                        .as(what)
                        .isEqualTo(projection.middle().clockMs());
            }
            projection
                    .range()
                    .ifPresent(range -> assertThat(range.p50()).as(what).isEqualTo(projection.middle()));
        }
    }

    /** Also on the way each split, or round that has rounds in it, of the plan ends within a second and a half of where the replay has it. */
    private static void staysWithTheReplay(AttemptLog log, Plan plan, NextAttempt next, String what) {
        Forecast forecast = Forecast.of(log.expanded(), plan, next.stops().size());
        List<Long> ends = new ArrayList<>();
        long clock = 0;
        for (PlannedSegment segment : forecast.segments()) {
            clock += segment.totalMs();
            ends.add(clock);
        }
        // The last may be cut off by the buzzer; a plan has one pace for what comes several times in one round.
        for (int i = 0; i + 1 < next.stops().size(); i++) {
            NextAttempt.Stop stop = next.stops().get(i);
            boolean inside = stop.segment().path().size() > 1
                    && stop.segment()
                            .lap()
                            .equals(next.stops().get(i + 1).segment().lap());
            if (inside) {
                continue;
            }
            assertThat(ends.get(stop.segment().index()))
                    .as(what + " at " + stop.segment().place())
                    .isCloseTo(stop.endMs(), within(1500L));
        }
    }

    private static String words(Score score) {
        return score.brief(Digits.WHOLE);
    }
}
