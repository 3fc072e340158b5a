package wake;

import java.util.List;
import java.util.stream.Stream;

/** Workouts of every shape that rounds, loads and clocks can have; all invented. */
public final class Shelf {
    public static final String RISING_BAR = """
            # Storm Stair
            for time
              4 rounds:
                14-11-8-5 power snatch @ 35-55-75-90 kg
                8 burpee
            """;

    public static final String TWO_BLOCKS = """
            # Two Basins
            for time, cap 20:00
              3 rounds:
                6 burpee
                9 thruster @ 40 kg
                by 4:00 after round 2
              3 rounds:
                8 pull-up
                12 push-up
                by 12:00 after round 1
            """;

    public static final String MIRRORED = """
            # There and Back
            for time
              30 cal row
              40 wall-ball shot @ 9 kg
              20 toes-to-bar
              40 wall-ball shot @ 9 kg
              30 cal row
            """;

    public static final String GROWING = Samples.SLACK_WATER;

    public static final String SHORT_AMRAP = """
            # Short Tack
            amrap 5:00
              7 burpee
              10 power clean @ 40 kg
            """;

    public static final String INTERVALS = """
            # Bell Buoy
            every 2:00 x 6
              10 burpee
              12 kettlebell swing @ 24 kg
            """;

    public static final String ROUNDS = """
            # Groyne
            for time
              buy-in: 400 m run
              5 rounds:
                12 thruster @ 30 kg
                9 pull-up
              cash-out: 20 burpee
            """;

    public static final String LADDER = """
            # Falling Tide
            for time
              4 rounds:
                10-8-6-4 deadlift @ 80 kg
                12-9-6-3 box jump over @ 50 cm
            """;

    public static final List<String> ALL =
            List.of(RISING_BAR, TWO_BLOCKS, MIRRORED, GROWING, SHORT_AMRAP, INTERVALS, ROUNDS, LADDER);

    private Shelf() {}

    public static Stream<String> all() {
        return ALL.stream();
    }
}
