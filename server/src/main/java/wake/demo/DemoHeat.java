package wake.demo;

import java.util.List;
import java.util.Map;
import wake.simulation.AthleteModel;
import wake.store.RecordingStore.Outline;

/** The heat of the demo: two athletes at once, filmed side by side; the one is faster at burpees, the other at swings. */
final class DemoHeat {
    static final String WORKOUT = "weir-race";
    static final String CLIP = "weir-race.webm";
    static final int DAYS_AGO = 7;
    /** Where "go" lies on the video: both started at the same beep. The second lane finishes last, and its wall clock is in the picture. */
    static final long GO_MS = 5000;

    /**
     * One of the heat.
     *
     * @param athlete among the athletes of the demo
     */
    record Lane(String name, int athlete, int lane, long seed, AthleteModel model, Outline outline) {}

    static final List<Lane> LANES = List.of(
            new Lane("pia weir race", 2, 1, 32, model(3.3, 1.62), new Outline(0.17, 0.36, 0.2, 0.58)),
            new Lane("maren weir race", 0, 2, 31, model(2.8, 2.0), new Outline(0.57, 0.36, 0.2, 0.58)));

    private DemoHeat() {}

    private static AthleteModel model(double burpee, double swing) {
        return new AthleteModel(
                Map.of("burpee", burpee, "kettlebell swing", swing), 0.06, 0.05, 2600, 3000, 0.2, Map.of(), 0);
    }
}
