package wake.projection;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Score;
import wake.statistics.Statistics;
import wake.workout.ExpandedWorkout;

/**
 * Calls held against a body that answers. Athletes do an attempt, which is logged with the error of a coach tapping live, with its faults
 * or without; one change or three are drawn from all that are possible or proposed; the projection is made; the same athletes do it again,
 * held to exactly those changes, on another day.
 */
final class RangeTrial {
    private static final double TAP_S = 0.10;
    private static final double FORM = 0.01;

    static final Map<String, String> FORMATS = formats();

    private static Map<String, String> formats() {
        Map<String, String> formats = new LinkedHashMap<>(TruthTrial.FORMATS);
        formats.put("two blocks", """
                # Estuary
                for time
                  3 rounds:
                    12 thruster @ 35 kg
                    10 burpee
                  3 rounds:
                    10 power clean @ 50 kg
                    15 cal row
                """);
        formats.put("ladder, amrap", """
                # Stair
                amrap 8:00
                  3+3 toes-to-bar
                  3+3 kettlebell swing @ 24 kg
                """);
        formats.put("rising bar", """
                # Spring Tide
                for time, cap 12:00
                  5 rounds:
                    12-10-8-6-4 power clean @ 40-50-60-70-80 kg
                    10 burpee
                """);
        return formats;
    }

    private RangeTrial() {}

    /** What is tried. */
    record Trial(String format, int changes, boolean answers) {
        @Override
        public String toString() {
            return format + ", " + changes + (changes == 1 ? " change" : " changes")
                    + (answers ? "" : ", bare arithmetic");
        }
    }

    /**
     * How the projections of one trial came out.
     *
     * @param clock whether outcomes are told by clock, rather than by reps
     * @param repeatPercent median absolute difference of the same athletes with nothing changed
     * @param medianErrorPercent of the middle
     * @param biasPercent mean error of the middle, without the outermost tenth either way; above zero when the athletes did worse than called
     * @param freeBiasPercent the same for everything landing free
     * @param insidePercent outcomes between P10 and P90; one on a bound counts half
     * @param backPercent of each second or rep called free, what did not come
     */
    record Row(
            Trial trial,
            int projections,
            boolean clock,
            double repeatPercent,
            double medianErrorPercent,
            double biasPercent,
            double freeBiasPercent,
            double insidePercent,
            double backPercent) {
        String written() {
            return String.format(
                    Locale.ROOT,
                    "| %s | %d | %d | %s | %.2f%% | %.2f%% | %+.2f%% | %+.2f%% | %.0f%% | %.0f%% |",
                    trial.format(),
                    trial.changes(),
                    projections,
                    clock ? "clock" : "reps",
                    repeatPercent,
                    medianErrorPercent,
                    biasPercent,
                    freeBiasPercent,
                    insidePercent,
                    backPercent);
        }
    }

    private record One(
            boolean clock,
            double repeat,
            double error,
            double freeError,
            double inside,
            double projected,
            double actual) {}

    static Row run(Trial trial, int athletes, int replays) {
        ExpandedWorkout expanded = Samples.expanded(FORMATS.get(trial.format()));
        List<String> movements = expanded.firstOfEachLine().stream()
                .map(segment -> segment.movement().name())
                .distinct()
                .toList();
        List<One> all = new ArrayList<>();
        for (int athlete = 0; athlete < athletes; athlete++) {
            SplittableRandom random = new SplittableRandom(1000 + athlete);
            ReserveBody body = ReserveBody.random(random, movements, trial.answers(), trial.answers() ? FORM : 0);
            one(expanded, body, trial, replays, random).ifPresent(all::add);
        }
        return new Row(
                trial,
                all.size(),
                all.stream().filter(One::clock).count() * 2 > all.size(),
                median(all, One::repeat),
                median(all, one -> Math.abs(one.error())),
                trimmed(all),
                mean(all, One::freeError),
                100 * mean(all, One::inside),
                100
                        * (1
                                - all.stream().mapToDouble(One::actual).sum()
                                        / all.stream()
                                                .mapToDouble(One::projected)
                                                .sum()));
    }

    private static Optional<One> one(
            ExpandedWorkout expanded, ReserveBody body, Trial trial, int replays, SplittableRandom random) {
        long luck = random.nextLong() >>> 20;
        long otherLuck = trial.answers() ? random.nextLong() >>> 20 : luck;
        ReserveBody.Went first = body.go(expanded, ReserveBody.Asked.NOTHING, luck);
        AttemptLog truth = AttemptLog.of(expanded, first.truth());
        AttemptLog log = AttemptLog.of(expanded, logged(first, trial.answers(), random));
        List<Change> changes = chosen(log, trial.changes(), random);
        if (changes.size() < trial.changes()) {
            return Optional.empty();
        }
        FatigueCost fatigueCost = trial.answers() ? FatigueCost.USUAL : FatigueCost.NONE;
        Projection projection = Projection.of(
                log, changes, new Projection.Terms(List.of(), EvidenceWeights.USUAL, fatigueCost, replays, 0));
        Score middle = trial.answers() ? projection.middle() : projection.bestCase();
        Score actual = AttemptLog.of(
                        expanded,
                        body.go(expanded, ReserveBody.Asked.of(Replay.of(log), changes), otherLuck)
                                .truth())
                .score();
        Score again = AttemptLog.of(
                        expanded,
                        body.go(expanded, ReserveBody.Asked.NOTHING, random.nextLong() >>> 20)
                                .truth())
                .score();
        boolean clock = middle instanceof Score.Finished && actual instanceof Score.Finished;
        return Optional.of(new One(
                clock,
                Math.abs(percent(truth.score(), again)),
                percent(middle, actual),
                percent(projection.bestCase(), actual),
                projection.range().map(range -> inside(range, actual)).orElse(inside(middle, actual)),
                -percent(log.score(), projection.bestCase()),
                -percent(log.score(), actual)));
    }

    /** By how much an outcome is worse than called, percent of its clock or reps. */
    static double percent(Score projected, Score actual) {
        if (projected instanceof Score.Finished && actual instanceof Score.Finished) {
            return 100.0 * (actual.clockMs() - projected.clockMs()) / actual.clockMs();
        }
        return 100.0 * (projected.done() - actual.done()) / actual.done();
    }

    private static double inside(Range range, Score actual) {
        int low = Score.compare(actual, range.p10());
        int high = Score.compare(range.p90(), actual);
        return low < 0 || high < 0 ? 0 : low == 0 || high == 0 ? 0.5 : 1;
    }

    /** Without a range a projection is right when it is within two per cent: such logs say so. */
    private static double inside(Score middle, Score actual) {
        return Math.abs(percent(middle, actual)) <= 2 ? 1 : 0;
    }

    private static double median(List<One> all, ToDoubleFunction<One> of) {
        return Statistics.median(all.stream().mapToDouble(of).toArray());
    }

    /** The mean of the errors of the middle, without the outermost tenth either way: a middle is a median, not a mean. */
    private static double trimmed(List<One> all) {
        double[] errors = all.stream().mapToDouble(One::error).sorted().toArray();
        int tenth = errors.length / 10;
        return java.util.Arrays.stream(errors, tenth, errors.length - tenth)
                .average()
                .orElse(0);
    }

    private static double mean(List<One> all, ToDoubleFunction<One> of) {
        return all.stream().mapToDouble(of).average().orElse(0);
    }

    /** With or without the faults, each mark a little off. */
    private static List<Mark> logged(ReserveBody.Went went, boolean blurred, SplittableRandom random) {
        boolean withoutFaults = blurred && random.nextInt(3) == 0;
        List<Mark> marks = new ArrayList<>();
        long before = 0;
        for (Mark mark : went.truth()) {
            if (withoutFaults && mark.kind() == MarkKind.NO_REP) {
                continue;
            }
            boolean exact = !blurred || mark.kind() == MarkKind.STOP;
            long at = exact
                    ? mark.atMs()
                    : Math.min(went.clockMs(), mark.atMs() + Math.round(1000 * TAP_S * random.nextGaussian()));
            before = Math.max(before + 1, at);
            marks.add(mark.withAt(before));
        }
        return marks;
    }

    /** So many of all that could be changed, no two of them about the same seconds. */
    static List<Change> chosen(AttemptLog log, int count, SplittableRandom random) {
        List<Change> can = new ArrayList<>(Suggestions.all(log).stream()
                .map(Suggestions.Suggestion::change)
                .toList());
        can.addAll(AvailableChanges.in(log));
        Collections.shuffle(can, new Random(random.nextLong()));
        Replay replay = Replay.of(log);
        List<Change> chosen = new ArrayList<>();
        for (Change change : can) {
            boolean remade = change instanceof BreakOneEarly || change instanceof ChangeSets;
            boolean gains =
                    Gain.between(log.score(), replay.score(List.of(change))).rank() > 0;
            boolean apart = chosen.stream().noneMatch(other -> replay.sameSeconds(other, change));
            if (!remade && gains && apart && chosen.size() < count) {
                chosen.add(change);
            }
        }
        return chosen;
    }
}
