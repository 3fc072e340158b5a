package wake.projection;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.DoubleStream;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Score;
import wake.simulation.AthleteModel;
import wake.simulation.Discipline;
import wake.simulation.SimulatedAttempt;
import wake.statistics.Statistics;
import wake.workout.ExpandedWorkout;

/**
 * Calls held against the truth: simulated athletes whose every figure is known do an attempt, which is logged with the error of
 * a coach tapping live; changes are called; the same athletes then do it again with exactly those changes and with luck of
 * their own.
 */
final class TruthTrial {
    /** Standard deviation of a mark tapped live at normal speed; an assumption, the one the product makes. */
    private static final double TAP_S = 0.10;

    private static final int REPLAYS = 1000;

    static final Map<String, String> FORMATS = formats();

    private static Map<String, String> formats() {
        Map<String, String> formats = new LinkedHashMap<>();
        formats.put("rounds for time", """
                # Lock Gate
                for time
                  5 rounds:
                    8+8 cal row
                    10-8-6-4-2 power clean @ 40-50-60-70-80 kg
                """);
        formats.put("chipper for time", """
                # Long Reach
                for time
                  400 m run
                  30 toes-to-bar
                  3 rounds:
                    9 thruster @ 40 kg
                    12 box jump over @ 50 cm
                  20 wall-ball shot @ 9 kg
                """);
        formats.put("amrap", """
                # Slack Water
                amrap 9:00
                  buy-in: 20 cal ski
                  repeat:
                    4 toes-to-bar
                    4+4 goblet squat @ 24 kg
                """);
        formats.put("intervals", """
                # Bell Buoy
                every 1:00 x 8
                  10 burpee
                  18+2 kettlebell swing @ 24 kg
                """);
        formats.put("capped, staged", """
                # High Water
                for time, cap 8:00
                  5 rounds:
                    15 thruster @ 40 kg
                    12+3 burpee
                  by 4:30 after round 2
                """);
        return formats;
    }

    /**
     * How the projections of one format came out.
     *
     * @param clock whether outcomes are told by clock, rather than by reps
     * @param repeatPercent median of the absolute differences of the same athletes' attempts with nothing changed: no call can be
     *     closer than about this
     * @param medianErrorPercent median of the absolute errors of the middle of the range
     * @param biasPercent mean of the errors; above zero when the athletes did worse than called
     * @param arithmeticBiasPercent the same for the plain replay
     * @param insidePercent outcomes between P10 and P90; one on a bound counts half
     */
    record Row(
            String format,
            int projections,
            boolean clock,
            double repeatPercent,
            double medianErrorPercent,
            double biasPercent,
            double arithmeticBiasPercent,
            double insidePercent) {
        String written() {
            return String.format(
                    Locale.ROOT,
                    "| %s | %d | %s | %.2f%% | %.2f%% | %+.2f%% | %+.2f%% | %.0f%% |",
                    format,
                    projections,
                    clock ? "clock" : "reps",
                    repeatPercent,
                    medianErrorPercent,
                    biasPercent,
                    arithmeticBiasPercent,
                    insidePercent);
        }
    }

    private TruthTrial() {}

    static Row run(String format, int athletes) {
        ExpandedWorkout expanded = Samples.expanded(FORMATS.get(format));
        List<double[]> outcomes = new ArrayList<>();
        boolean clock = false;
        for (int athlete = 0; athlete < athletes; athlete++) {
            SplittableRandom random = new SplittableRandom(1000 + athlete);
            AthleteModel model = athlete(random);
            SimulatedAttempt first = SimulatedAttempt.run(expanded, model, random.nextLong());
            AttemptLog log = AttemptLog.of(expanded, tapped(first, random));
            List<Change> changes = chosen(log, random);
            Projection projection = Projection.of(
                    log, changes, new Projection.Terms(List.of(), EvidenceWeights.USUAL, FatigueCost.NONE, REPLAYS, 0));
            SimulatedAttempt second = SimulatedAttempt.run(expanded, model, discipline(changes), random.nextLong());
            Score actual = AttemptLog.of(expanded, second.truth()).score();
            Range range = projection.range().orElseThrow();
            clock = range.p50() instanceof Score.Finished && actual instanceof Score.Finished;
            Score again = AttemptLog.of(
                            expanded,
                            SimulatedAttempt.run(expanded, model, random.nextLong())
                                    .truth())
                    .score();
            outcomes.add(new double[] {
                percent(range.p50(), actual),
                percent(projection.bestCase(), actual),
                inside(range, actual),
                Math.abs(percent(AttemptLog.of(expanded, first.truth()).score(), again))
            });
        }
        double[] errors = outcomes.stream().mapToDouble(one -> one[0]).toArray();
        return new Row(
                format,
                athletes,
                clock,
                Statistics.median(outcomes.stream().mapToDouble(one -> one[3]).toArray()),
                Statistics.median(DoubleStream.of(errors).map(Math::abs).toArray()),
                DoubleStream.of(errors).average().orElseThrow(),
                outcomes.stream().mapToDouble(one -> one[1]).average().orElseThrow(),
                100 * outcomes.stream().mapToDouble(one -> one[2]).average().orElseThrow());
    }

    /** By how much the outcome is worse than called, percent of the outcome's clock or reps. */
    private static double percent(Score projected, Score actual) {
        if (projected instanceof Score.Finished && actual instanceof Score.Finished) {
            return 100.0 * (actual.clockMs() - projected.clockMs()) / actual.clockMs();
        }
        return 100.0 * (projected.done() - actual.done()) / actual.done();
    }

    private static double inside(Range range, Score actual) {
        int low = Score.compare(actual, range.p10());
        int high = Score.compare(range.p90(), actual);
        if (low < 0 || high < 0) {
            return 0;
        }
        return low == 0 || high == 0 ? 0.5 : 1;
    }

    private static AthleteModel athlete(SplittableRandom random) {
        return new AthleteModel(
                Map.of(),
                random.nextDouble() * 0.4,
                0.03 + random.nextDouble() * 0.04,
                1500 + random.nextInt(4000),
                2500 + random.nextInt(4000),
                random.nextDouble(),
                Map.of(
                        "toes-to-bar", 4 + random.nextInt(8),
                        "thruster", 4 + random.nextInt(6),
                        "power clean", 1 + random.nextInt(5),
                        "kettlebell swing", 7 + random.nextInt(8)),
                random.nextDouble() * 0.03);
    }

    /** What a coach who taps along would have marked. */
    private static List<Mark> tapped(SimulatedAttempt attempt, SplittableRandom random) {
        List<Mark> marks = new ArrayList<>();
        long before = 0;
        for (Mark mark : attempt.truth()) {
            boolean buzzer = mark.kind() == MarkKind.STOP;
            long at = buzzer
                    ? mark.atMs()
                    : Math.min(attempt.clockMs(), mark.atMs() + Math.round(1000 * TAP_S * random.nextGaussian()));
            before = Math.max(before + 1, at);
            marks.add(mark.withAt(before));
        }
        return marks;
    }

    private static List<Change> chosen(AttemptLog log, SplittableRandom random) {
        List<Change> can = Suggestions.all(log).stream()
                .map(Suggestions.Suggestion::change)
                .filter(change -> change instanceof HoldCadence hold
                        ? hold.scope().equals(hold.scope().whole())
                        : change.scope().equals(Scope.EVERYWHERE)
                                && (change instanceof CapTransitions
                                        || change instanceof CapRests
                                        || change instanceof DropFaults))
                .toList();
        return can.stream().filter(change -> random.nextInt(2) == 0).toList();
    }

    private static Discipline discipline(List<Change> changes) {
        long transition = Long.MAX_VALUE;
        long rest = Long.MAX_VALUE;
        boolean faultless = false;
        Map<String, Double> cadence = new HashMap<>();
        for (Change change : changes) {
            switch (change) {
                case CapTransitions cap -> transition = cap.written().targetMs();
                case CapRests cap -> rest = cap.written().targetMs();
                case HoldCadence hold ->
                    cadence.put(hold.scope().movement(), hold.secondsPerUnit().first());
                case DropFaults faults -> faultless = true;
                default -> throw new IllegalArgumentException(change.toString());
            }
        }
        return new Discipline(transition, rest, cadence, faultless);
    }
}
