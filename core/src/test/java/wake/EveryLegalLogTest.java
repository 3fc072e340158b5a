package wake;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.athlete.Demonstrated;
import wake.athlete.Figures;
import wake.comparison.Alignment;
import wake.comparison.HeadToHead;
import wake.comparison.Side;
import wake.exchange.CaptionFile;
import wake.exchange.LogSheets;
import wake.exchange.WakePicture;
import wake.field.Entry;
import wake.field.Field;
import wake.field.Piece;
import wake.field.Standings;
import wake.history.AttemptFacts;
import wake.history.History;
import wake.history.HistoryLine.Dated;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Phase;
import wake.log.Score;
import wake.log.SegmentSplit;
import wake.plan.Draft;
import wake.plan.Forecast;
import wake.plan.Plan;
import wake.projection.AvailableChanges;
import wake.projection.Change;
import wake.projection.ChangeKind;
import wake.projection.EvidenceWeights;
import wake.projection.Fan;
import wake.projection.FatigueCost;
import wake.projection.GoalSeek;
import wake.projection.NextAttempt;
import wake.projection.Outcome;
import wake.projection.Projection;
import wake.projection.Projection.ProjectedChange;
import wake.projection.Projection.Terms;
import wake.projection.Replay;
import wake.projection.RetestPlan;
import wake.projection.SolvedTarget;
import wake.projection.Suggestions;
import wake.reading.Baseline;
import wake.reading.ClockBudget;
import wake.reading.Finding;
import wake.reading.Reading;
import wake.reading.SegmentDelta;
import wake.words.ChangeWords;
import wake.words.ReviewWords;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;

/**
 * Every log that a coach can make is answered, whatever is asked of it, and every answer adds up.
 *
 * <p>{@code -Dwake.logs=5000} tries as many; {@code -Dwake.seed=7} others than the usual ones. An ordinary run takes some hundred fixed ones and
 * a few that nobody has tried before, whose seeds it prints.
 */
class EveryLegalLogTest {
    private static final int FIXED = Integer.getInteger("wake.logs", 160);
    private static final int FRESH = 40;
    private static final long SEED = Long.getLong("wake.seed", 1);
    private static final long NEW = System.nanoTime() & 0xffff_ffffL;
    private static final int IN_ONE = 20;

    private static final Map<Phase, Integer> ENDED = new EnumMap<>(Phase.class);
    private static int marks;
    private static int changes;

    static List<Long> seeds() {
        List<Long> seeds = new ArrayList<>();
        for (int i = 0; i < FIXED / IN_ONE; i++) {
            seeds.add(SEED * 1_000_003 + i * 1000L);
        }
        for (int i = 0; i < FRESH / IN_ONE; i++) {
            seeds.add(NEW + i * 1000L);
        }
        return seeds;
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void isAnswered(long first) {
        for (long seed = first; seed < first + IN_ONE; seed++) {
            try {
                answered(new SplittableRandom(seed));
            } catch (RuntimeException | AssertionError broken) {
                throw new AssertionError("Broken by the log of seed " + seed, broken);
            }
        }
    }

    @AfterAll
    static void tried() {
        System.out.println("Logs tried: " + FIXED + " fixed and " + FRESH + " fresh ones from seed " + NEW + ", "
                + marks + " marks, " + changes + " changes; ended " + ENDED);
    }

    private static void answered(SplittableRandom random) {
        String notation = LegalLogs.WORKOUTS.get(random.nextInt(LegalLogs.WORKOUTS.size()));
        List<Mark> made = LegalLogs.marks(notation, random);
        AttemptLog log = AttemptLog.of(Samples.expanded(notation), made);
        AttemptLog other = LegalLogs.of(notation, random);
        ENDED.merge(log.phase(), 1, Integer::sum);
        marks += made.size();
        closes(log);
        counts(log, made);
        exported(log);
        Plan draft = drafted(log);
        read(log, other, draft);
        if (log.expanded().format() instanceof Format.Lift) {
            return;
        }
        beside(notation, log, other);
        if (log.over()) {
            assertThat(Replay.of(log).score(List.of())).isEqualTo(log.score());
        }
        projected(log, other, random);
    }

    /** Every second of the clock belongs to one split, and to one part of it. */
    private static void closes(AttemptLog log) {
        long sum = log.splits().stream().mapToLong(SegmentSplit::elapsedMs).sum();
        if (!log.splits().isEmpty()) {
            assertThat(sum).isEqualTo(log.clockMs());
        }
        for (SegmentSplit split : log.done()) {
            assertThat(split.waitMs()
                            + split.transitionMs()
                            + split.workMs()
                            + split.restMs()
                            + split.unseparatedMs()
                            + split.unfinishedMs())
                    .as("%s", split)
                    .isEqualTo(split.elapsedMs());
            int known =
                    split.sets().stream().mapToInt(set -> set.reps().orElse(0)).sum();
            assertThat(known)
                    .as("%s", split)
                    .isLessThanOrEqualTo(Math.max(
                            split.counted(), split.segment().countable().orElse(known)));
            assertThat(List.of(
                            split.waitMs(),
                            split.transitionMs(),
                            split.workMs(),
                            split.restMs(),
                            split.unseparatedMs()))
                    .as("%s", split)
                    .allMatch(ms -> ms >= 0);
        }
    }

    /** What is said to be done at the buzzer is done. */
    private static void counts(AttemptLog log, List<Mark> marks) {
        Mark last = marks.isEmpty() ? null : marks.getLast();
        boolean known = last != null
                && last.kind() == MarkKind.STOP
                && last.reps() > 0
                && log.rejected().stream().noneMatch(odd -> odd.mark().equals(last));
        if (known) {
            assertThat(log.splits().getLast().counted()).isEqualTo(last.reps());
        }
    }

    private static void exported(AttemptLog log) {
        assertThat(LogSheets.splits(log)).isNotBlank();
        assertThat(LogSheets.sets(log)).isNotBlank();
        assertThat(LogSheets.lifts(log)).isNotBlank();
        assertThat(CaptionFile.chapters(log, 0)).startsWith("WEBVTT");
        assertThat(CaptionFile.captions(log, 1500)).startsWith("WEBVTT");
    }

    private static Plan drafted(AttemptLog log) {
        return Draft.of(log.expanded(), Figures.NONE, Demonstrated.in(List.of(log)))
                .plan();
    }

    private static void read(AttemptLog log, AttemptLog other, Plan draft) {
        ExpandedWorkout expanded = log.expanded();
        for (Baseline baseline : List.of(
                Baseline.bestSplits(log),
                Baseline.plan(Forecast.of(expanded, draft, log.splits().size())),
                Baseline.attempt(other, "the other", log),
                Baseline.attempt(log, "itself", log))) {
            Reading reading = Reading.of(log, baseline);
            assertThat(ReviewWords.headline(reading)).isNotBlank();
            ClockBudget budget = reading.clock();
            assertThat(budget.total().totalMs()).isEqualTo(log.splits().isEmpty() ? 0 : log.clockMs());
            long ledger = reading.ledger().totalMs();
            long deltas =
                    reading.deltas().stream().mapToLong(SegmentDelta::lostMs).sum();
            assertThat(ledger).isEqualTo(deltas);
            sharedOut(reading);
            assertThat(LogSheets.rounds(reading.blocks())).isNotBlank();
            if (reading.wake().size() >= 2 && !reading.compared().nothing()) {
                assertThat(WakePicture.svg(reading, "a")).contains("<svg");
            }
            AttemptFacts facts = AttemptFacts.of(reading);
            History.of(List.of(
                    new Dated(new UUID(1, 1), LocalDate.of(2026, 3, 1), facts),
                    new Dated(new UUID(1, 2), LocalDate.of(2026, 3, 8), facts)));
        }
    }

    /** No second is told twice, and nobody is slower than what was done best. */
    private static void sharedOut(Reading reading) {
        long told = reading.findings().stream().mapToLong(Finding::lostMs).sum();
        long lost = reading.deltas().stream()
                .flatMap(delta -> delta.byCause().entrySet().stream())
                .filter(entry -> entry.getKey() != Cause.UNFINISHED && entry.getValue() > 0)
                .mapToLong(Map.Entry::getValue)
                .sum();
        assertThat(told).isLessThanOrEqualTo(lost);
        if (reading.baseline().kind() == Baseline.Kind.BEST_SPLITS) {
            assertThat(reading.deltas())
                    .allSatisfy(delta -> assertThat(delta.byCause().values()).allMatch(ms -> ms >= -1));
        }
    }

    private static void beside(String notation, AttemptLog log, AttemptLog other) {
        Side one = new Side("One", notation, log);
        Side two = new Side("Two", notation, other);
        HeadToHead itself = HeadToHead.of(one, new Side("Two", notation, log));
        assertThat(itself.overtakes()).isEmpty();
        assertThat(itself.gains().values()).allMatch(ms -> ms == 0);
        HeadToHead both = HeadToHead.of(one, two);
        long gained = both.gains().values().stream().mapToLong(Long::longValue).sum();
        if (!both.borders().isEmpty()) {
            assertThat(gained).isEqualTo(both.borders().getLast().leadMs());
        }
        Alignment.of(List.of(one, two));
        List<Entry> field = List.of(Entry.of(log), Entry.of(other));
        Standings.of(field);
        Field shape = Field.of(Collections.nCopies(Field.FEWEST, Entry.of(log)));
        shape.own(Entry.of(other));
        assertThat(Entry.of(log).pieces().stream().mapToLong(Piece::ms).sum())
                .isEqualTo(log.done().isEmpty() ? 0 : log.done().getLast().endMs());
    }

    private static void projected(AttemptLog log, AttemptLog other, SplittableRandom random) {
        Replay replay = Replay.of(log);
        List<Change> possible = AvailableChanges.in(log);
        changes += possible.size();
        List<Change> proposed = Suggestions.of(log);
        Terms terms = new Terms(List.of(other), EvidenceWeights.USUAL, FatigueCost.USUAL, 40, 10);
        Projection projection = Projection.of(log, possible, proposed, terms);
        for (ProjectedChange projected : projection.projectedChanges()) {
            Change change = projected.change();
            assertThat(ChangeWords.title(change)).isNotBlank();
            assertThat(new ChangeWords(log.expanded()).text(change)).isNotBlank();
            assertThat(ChangeKind.read(change.written())).isEqualTo(change);
            change.slider(replay, projected.fromMs()).ifPresent(slider -> {
                assertThat(slider.least()).isLessThanOrEqualTo(slider.most());
                replay.score(List.of(change.to(slider.least()), change.to(slider.most())));
            });
            change.places(replay);
            change.slowest(projected.fromMs(), replay);
            projected.expected();
        }
        assertThat(projection.middle()).isNotNull();
        projection
                .range()
                .ifPresent(range ->
                        assertThat(Score.compare(range.p90(), range.p10())).isPositive());
        handedOver(log, proposed);
        Projection.of(log, possible, possible, terms.quick());
        if (!possible.isEmpty()) {
            Change one = possible.get(random.nextInt(possible.size()));
            handedOver(log, List.of(one));
            Projection.of(log, List.of(one), terms);
            SolvedTarget.of(log, List.of(one), one, log.score(), FatigueCost.USUAL);
            List<Change> some = possible.stream().limit(6).toList();
            GoalSeek.of(log, some, log.score(), terms);
        }
        Outcome.of(log, other, proposed, FatigueCost.USUAL);
        if (log.over()) {
            Fan.of(log, proposed, FatigueCost.USUAL, 40);
        }
    }

    private static void handedOver(AttemptLog log, List<Change> chosen) {
        long before = 0;
        for (NextAttempt.Stop stop :
                NextAttempt.of(log, chosen, FatigueCost.USUAL, log.score()).stops()) {
            assertThat(stop.endMs()).isGreaterThanOrEqualTo(before);
            before = stop.endMs();
        }
        Forecast.of(log.expanded(), RetestPlan.of(log, chosen, FatigueCost.USUAL));
    }
}
