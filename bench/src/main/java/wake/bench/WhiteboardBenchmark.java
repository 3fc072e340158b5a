package wake.bench;

import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import wake.log.AttemptLog;
import wake.movement.Catalogue;
import wake.movement.CatalogueFile;
import wake.plan.Draft;
import wake.plan.Forecast;
import wake.reading.Baseline;
import wake.reading.Reading;
import wake.simulation.AthleteModel;
import wake.simulation.SimulatedAttempt;
import wake.workout.ExpandedWorkout;
import wake.workout.NotationReader;
import wake.workout.Workout;

/** From text to segments, and from marks to a reading. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
public class WhiteboardBenchmark {
    private final Catalogue catalogue = CatalogueFile.shipped();
    private final String thirtyLines = text(30, 5);
    private final Workout twoThousand =
            NotationReader.read(text(20, 100), catalogue).orThrow();
    private final ExpandedWorkout grind = ExpandedWorkout.of(twoThousand, 0, catalogue);
    private final SimulatedAttempt attempt = SimulatedAttempt.run(
            ExpandedWorkout.of(NotationReader.read(text(20, 8), catalogue).orThrow(), 0, catalogue),
            AthleteModel.plain(),
            1);
    private final Forecast forecast = Forecast.of(attempt.expanded(), Draft.of(attempt.expanded()));

    private static String text(int lines, int rounds) {
        StringBuilder text = new StringBuilder("# Grind\ndivisions: women / men\nfor time\n  " + rounds + " rounds:\n");
        String[] movements = {"thruster @ 30/43 kg", "toes-to-bar", "cal row", "box jump over @ 50/60 cm"};
        for (int i = 0; i < lines; i++) {
            text.append("    12/14 ").append(movements[i % movements.length]).append('\n');
        }
        return text.toString();
    }

    @Benchmark
    public ExpandedWorkout parseAndExpandThirtyLines() {
        return ExpandedWorkout.of(NotationReader.read(thirtyLines, catalogue).orThrow(), 0, catalogue);
    }

    @Benchmark
    public ExpandedWorkout expandTwoThousandSegments() {
        return ExpandedWorkout.of(twoThousand, 0, catalogue);
    }

    @Benchmark
    public AttemptLog logTwoThousandMarks() {
        return AttemptLog.of(attempt.expanded(), attempt.truth());
    }

    @Benchmark
    public Reading readTwoThousandMarksAgainstThePlan() {
        return Reading.of(AttemptLog.of(attempt.expanded(), attempt.truth()), Baseline.plan(forecast));
    }

    @Benchmark
    public Forecast forecastTwoThousandSegments() {
        return Forecast.of(grind, Draft.of(grind));
    }
}
