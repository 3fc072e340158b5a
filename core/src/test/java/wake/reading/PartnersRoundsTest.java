package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wake.Samples;
import wake.history.AttemptFacts;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.projection.AvailableChanges;
import wake.projection.Change;
import wake.projection.EvidenceWeights;
import wake.projection.FatigueCost;
import wake.projection.Projection;
import wake.projection.Projection.Terms;
import wake.projection.Replay;
import wake.projection.RetestDate;
import wake.projection.Suggestions;
import wake.words.ChangeWords;

/** Two share the rounds: however the partner did theirs, no figure of the athlete's moves by it. */
class PartnersRoundsTest {
    private static final String TWO_OARS =
            "# Two Oars\nfor time, you go I go\n  8 rounds:\n    6 thruster @ 40 kg\n    5 burpee\n";

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void neverMoveTheAthletesFigures(long seed) {
        AttemptLog even = log(seed, 0);
        AttemptLog wild = log(seed, seed + 100);
        assertThat(says(wild)).containsExactlyElementsOf(says(even));
    }

    /** The partner's first round is 10 s faster than their others: nothing the athlete could have paced. */
    @Test
    void aFastFirstRoundOfThePartnersIsNoFinding() {
        AttemptLog log = Samples.log(
                TWO_OARS.replace("8 rounds", "6 rounds"),
                "D 20 seg, D 40 seg, D 48 seg, D 60 seg, D 80 seg, D 100 seg, D 116 seg, D 132 seg, D 152 seg, D 172 seg, D 188 seg, D 204 seg");
        assertThat(Reading.of(log, Baseline.bestSplits(log)).findings()).isEmpty();
    }

    /** What a replay leaves of the partner's turns is what they took. */
    @Test
    void stayAsTheyWereInAReplay() {
        AttemptLog log = log(3, 103);
        assertThat(Replay.of(log).score(List.of())).isEqualTo(log.score());
        long own =
                log.own().done().stream().mapToLong(split -> split.elapsedMs()).sum();
        for (Change change : AvailableChanges.in(log)) {
            long saved = log.score().clockMs()
                    - Replay.of(log).score(List.of(change)).clockMs();
            assertThat(saved).as(ChangeWords.title(change)).isLessThan(own);
        }
    }

    /** All that is said of the athlete, without the clocks at which it lies. */
    private static List<String> says(AttemptLog log) {
        Reading reading = Reading.of(log, Baseline.bestSplits(log));
        List<String> says = new ArrayList<>();
        reading.findings()
                .forEach(one -> says.add(one.kind() + " " + one.movement() + " " + one.cause() + " " + one.lostMs()));
        says.add(reading.pace().shape() + " "
                + reading.pace().thirds().stream().map("%.6f"::formatted).toList());
        reading.outliers().forEach(one -> says.add(one.what() + " " + one.overMs()));
        says.add(String.valueOf(reading.limiter()));
        reading.movements().stream()
                .filter(one -> !one.movement().endsWith("(partner)"))
                .forEach(one -> says.add(one.movement() + " " + one.workMs() + " " + one.fadePercent()));
        reading.techniques().forEach(one -> says.add(one.techniques().size() + " " + one.units()));
        AttemptFacts facts = AttemptFacts.of(reading);
        says.add(facts.cadences() + " " + facts.rests() + " " + facts.transitions() + " " + facts.decrementPercent()
                + " " + facts.lost().map(lost -> lost.movement()));
        // Of changes that begin at a clock, the clock moves with the partner's rounds.
        Suggestions.all(log).stream()
                .filter(one -> one.change().written().atMs().isEmpty())
                .forEach(one -> says.add(one.on() + " " + ChangeWords.title(one.change())));
        List<Change> possible = AvailableChanges.in(log).stream()
                .filter(change -> change.written().atMs().isEmpty())
                .toList();
        Terms terms = new Terms(List.of(), EvidenceWeights.USUAL, FatigueCost.USUAL, 0, 0);
        Projection.of(log, possible, terms)
                .projectedChanges()
                .forEach(projection -> says.add(ChangeWords.title(projection.change()) + " " + projection.gain() + " "
                        + projection.withFatigue() + " " + projection.proven()));
        says.add(RetestDate.of(log, LocalDate.of(2026, 3, 1), false, "").toString());
        return says;
    }

    /** The athlete's rounds by one seed, the partner's by another. */
    private static AttemptLog log(long seed, long partners) {
        SplittableRandom athlete = new SplittableRandom(seed);
        SplittableRandom partner = new SplittableRandom(partners);
        List<Mark> marks = new ArrayList<>();
        long clock = 0;
        for (int round = 0; round < 8; round++) {
            for (int reps : new int[] {6, 5}) {
                clock = turn(marks, clock, reps, round % 2 == 0 ? athlete : partner);
            }
        }
        return AttemptLog.of(Samples.expanded(TWO_OARS), marks);
    }

    private static long turn(List<Mark> marks, long from, int reps, SplittableRandom random) {
        long clock = from + 1500 + random.nextLong(3000);
        marks.add(Mark.of(MarkKind.BEGIN, clock));
        int broken = 1 + random.nextInt(reps + 2);
        for (int rep = 1; rep <= reps; rep++) {
            clock += 1500 + random.nextLong(2000);
            marks.add(Mark.of(MarkKind.REP, clock));
            if (rep == broken && rep < reps) {
                if (random.nextInt(3) == 0) {
                    marks.add(Mark.of(MarkKind.NO_REP, clock + 500));
                }
                clock += 800;
                marks.add(Mark.of(MarkKind.OFF, clock));
                clock += 2000 + random.nextLong(9000);
                marks.add(Mark.of(MarkKind.ON, clock));
            }
        }
        return clock;
    }
}
