package wake.bench;

import java.util.List;
import java.util.Map;
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
import wake.projection.CapRests;
import wake.projection.CapTransitions;
import wake.projection.Change;
import wake.projection.DropFaults;
import wake.projection.EvidenceWeights;
import wake.projection.FatigueCost;
import wake.projection.HoldCadence;
import wake.projection.Projection;
import wake.projection.Projection.Terms;
import wake.projection.Suggestions;
import wake.simulation.AthleteModel;
import wake.simulation.SimulatedAttempt;
import wake.workout.ExpandedWorkout;
import wake.workout.NotationReader;

/** The retest call of an attempt of 400 segments. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
public class RetestBenchmark {
    private static final String GRIND = """
            # Grind
            for time
              100 rounds:
                15 cal row
                15 toes-to-bar
                12 push press @ 35 kg
                9 box jump over @ 50 cm
            """;
    private static final int REPLAYS = 10_000;

    private final AttemptLog log = log();
    private final List<Change> changes =
            List.of(new CapTransitions(3000), new CapRests(8000), new HoldCadence("row", 3), new DropFaults(""));

    private static AttemptLog log() {
        Catalogue catalogue = CatalogueFile.shipped();
        ExpandedWorkout expanded =
                ExpandedWorkout.of(NotationReader.read(GRIND, catalogue).orThrow(), 0, catalogue);
        AthleteModel athlete = new AthleteModel(
                Map.of(), 0.16, 0.05, 3300, 5200, 2.4, Map.of("push press", 6, "toes-to-bar", 8), 0.012);
        return AttemptLog.of(
                expanded, SimulatedAttempt.run(expanded, athlete, 1).truth());
    }

    @Benchmark
    public Projection tenThousandReplays() {
        return Projection.of(log, changes, new Terms(List.of(), EvidenceWeights.USUAL, FatigueCost.USUAL, REPLAYS, 0));
    }

    @Benchmark
    public Projection callWithoutRange() {
        return Projection.of(log, changes);
    }

    @Benchmark
    public List<Suggestions.Suggestion> suggestions() {
        return Suggestions.all(log);
    }
}
