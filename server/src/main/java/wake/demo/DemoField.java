package wake.demo;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import wake.simulation.AthleteModel;
import wake.store.AthleteStore.Athlete;

/** Guests of the demo who did one of its workouts too, logged by sets, by round or by their score alone: a field to be held beside. All made up. */
final class DemoField {
    static final String WORKOUT = "groundswell";
    static final String DIVISION = "women";
    static final int DAYS_AGO = 40;

    private static final List<String> NAMES = List.of(
            "Ulla Brine",
            "Una Kelpie",
            "Vera Sluice",
            "Vida Marl",
            "Vilde Spit",
            "Wenche Reef",
            "Wilma Holm",
            "Ylva Sandbar",
            "Yrsa Fjell",
            "Zita Dune",
            "Zora Bight",
            "Zuri Cove");
    /** How much slower than the first each of them is, as a share. */
    private static final double STEP = 0.022;

    /** How closely somebody was watched. */
    enum Watched {
        SETS,
        ROUNDS,
        SCORE
    }

    /** One of the guests. */
    record Guest(int place) {
        Athlete athlete() {
            return new Athlete(id("athlete"), NAMES.get(place), "Guest", "", "", false);
        }

        UUID id(String what) {
            return DemoGym.id("guest " + place + " " + what);
        }

        long seed() {
            return 700 + place;
        }

        Watched watched() {
            return place == 4 ? Watched.ROUNDS : place == 9 ? Watched.SCORE : Watched.SETS;
        }

        /** The later ones break sooner and rest longer, more than they are slower. */
        AthleteModel model() {
            double slower = 1 + STEP * place;
            return new AthleteModel(
                    Map.of(
                            "row", 2.75 * slower,
                            "toes-to-bar", (place % 3 == 0 ? 1.6 : 1.75) * slower,
                            "push press", 1.9 * slower,
                            "box jump over", (place % 4 == 1 ? 2.5 : 2.8) * slower),
                    0.06 + 0.01 * place,
                    0.04,
                    2600 + 180 * place,
                    3200 + 420L * place,
                    0.4 + 0.12 * place,
                    Map.of("push press", 12 - place / 2, "toes-to-bar", 15 - place),
                    0.004);
        }
    }

    private DemoField() {}

    static List<Guest> guests() {
        return IntStream.range(0, NAMES.size()).mapToObj(Guest::new).toList();
    }
}
