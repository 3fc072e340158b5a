package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.athlete.FiguresReader;
import wake.movement.Catalogue;
import wake.movement.CatalogueFile;
import wake.plan.Draft;
import wake.plan.Plan;
import wake.plan.Rests;
import wake.plan.SetScheme;
import wake.projection.Ranking;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.workout.ExpandedWorkout;
import wake.workout.NotationReader;
import wake.workout.Workout;

/**
 * Whatever comes in as text is read in a time that grows with its length, and not with the square of it. The time of the processor is taken at
 * one, two and four times a length, up to the longest that is read at all, and compared with itself: the speed of the machine is no part of it.
 */
class LinearReadersTest {
    private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();
    private static final Catalogue CATALOGUE = CatalogueFile.shipped();
    /** Linear is 4, a square is 16. */
    private static final double MOST_TIMES = 9;
    /** What is read so fast at its longest harms nobody, however it grows. */
    private static final long FAST_MS = 60;

    /** What breaks readers: beginnings without an end, things of no length, numbers without end. */
    private static final List<String> NASTY = List.of(
            "<v ",
            "<v.a>",
            "<",
            "</",
            "<c.",
            "&",
            "&amp;",
            "1-",
            "1+",
            "1:00 ",
            "1:",
            "0",
            "(",
            ")",
            "[",
            "\"",
            "\"\"",
            "'",
            ",",
            ";",
            " ",
            "\t",
            "\n",
            "\r",
            "\n ",
            "a",
            "a ",
            "a\n",
            "A,",
            "é",
            "#",
            "# a\n",
            "//",
            "// ",
            "-->",
            "00:00.000 --> 00:01.000\n",
            "00:00.000 --> 00:01.000\nx\n\n",
            "<a>",
            "<a ",
            "<a b=\"",
            "<!--",
            "<![CDATA[",
            "<trkpt>",
            "1 burpee\n",
            "  1 burpee\n",
            "1 burpee + ",
            "1 reps ",
            "rest ",
            "rest 1:00\n",
            "max ",
            "every ",
            "in any order:\n",
            "2 rounds:\n",
            "x 2 ",
            "@ ",
            "/ ",
            " in ",
            " effort 5",
            ", x: 1 in 1:00",
            " on 1",
            "goal ",
            "max clean 60 kg\n",
            "60 kg\n",
            "60 ",
            "1.",
            "go ",
            "at,kind\n",
            "0:01,off\n",
            "time,distance\n",
            "0,1\n",
            "cap +",
            "1+1,",
            "Ina Sandbar\n",
            "1. Ina Sandbar, rx\n",
            "\u2028",
            "\uFEFF",
            "\u0000",
            "🏋");

    /** A part of the longest text is enough to tell; {@code -Dwake.longest=true} takes all of it. */
    private static final int PART = Boolean.getBoolean("wake.longest") ? 1 : 100;

    private static final int THIRD = Math.floorMod((int) (System.nanoTime() / 1000), 3);
    private static final int AT_LEAST = 4_000;

    private record Reader(String name, int longest, List<String> before, Consumer<String> read) {
        int most() {
            return Math.max(longest / PART, Math.min(longest, AT_LEAST));
        }
    }

    private static List<Reader> readers() {
        Workout workout = NotationReader.read(
                        "# Neap\nfor time, cap 10:00\n  3 rounds:\n    4 burpee\n    6 kettlebell swing @ 16 kg\n",
                        CATALOGUE)
                .orThrow();
        ExpandedWorkout expanded = ExpandedWorkout.of(workout.parts().getFirst(), workout.division(""), CATALOGUE, 1);
        Workout lifts = NotationReader.read("# Sill\nlift 8:00, best of 1 power clean\n", CATALOGUE)
                .orThrow();
        ExpandedWorkout window = ExpandedWorkout.of(lifts.parts().getFirst(), lifts.division(""), CATALOGUE, 1);
        Plan plan = Draft.of(expanded);
        List<Reader> all = new ArrayList<>(List.of(
                new Reader(
                        "captions",
                        2_000_000,
                        List.of(
                                "",
                                "WEBVTT\n\n00:00.000 --> 00:01.000\n",
                                "WEBVTT\n\n00:00.000 --> 00:01.000\n<v a>",
                                "WEBVTT\n\n"),
                        CaptionFile::notes),
                new Reader(
                        "trace",
                        8_000_000,
                        List.of("", "time,heart rate\n", "time,heart rate\n0,\"", "time,distance,"),
                        TraceFile::read),
                new Reader(
                        "track",
                        8_000_000,
                        List.of("<gpx>", "<gpx><trkpt lat=\"1\" lon=\"1\"><time>", "<gpx a=\""),
                        TraceFile::read),
                new Reader(
                        "marks",
                        2_000_000,
                        List.of("", "at,kind,text\n", "at,kind,text\n0:01,cue,\"", "at,kind,"),
                        MarkSheet::read),
                new Reader(
                        "notation",
                        100_000,
                        List.of(
                                "",
                                "# A\nfor time\n",
                                "# A\nfor time\n  1 ",
                                "# A\nfor time\n  21-15-9 ",
                                "# A\nfor time\n  1 burpee ",
                                "# A\namrap 9:00\n  ",
                                "# A\ndivisions ",
                                "# A\nlift 8:00, best of 1 "),
                        text -> NotationReader.read(text, CATALOGUE)),
                new Reader(
                        "figures",
                        20_000,
                        List.of("", "max ", "burpee ", "burpee, x: ", "15 burpee ", "5:00 "),
                        text -> FiguresReader.read(text, CATALOGUE)),
                new Reader(
                        "heat",
                        10_000,
                        List.of("", "1. ", "Ina, "),
                        text -> HeatSheet.read(
                                text,
                                List.of("Ina Sandbar", "Bo Weir"),
                                Samples.workout("# A\ndivisions: rx / scaled\nfor time, cap 9:00\n  30 / 20 burpee\n"),
                                Samples.CATALOGUE,
                                List.of(0),
                                "rx")),
                new Reader(
                        "lifts",
                        100_000,
                        List.of("", "1. ", "60 kg (", "0:30 60 kg "),
                        text -> TimeSheet.read(
                                text, TimeSheet.Each.values()[0], TimeSheet.Times.EITHER, window, Draft.of(window))),
                new Reader("others", 20_000, List.of("", "Ina "), text -> Ranking.read(text, expanded)),
                new Reader("set scheme", 20_000, List.of("", "1-"), SetScheme::parse),
                new Reader("rests", 20_000, List.of("", "1-"), Rests::parse),
                new Reader("clock", 20_000, List.of("", "1:"), ClockTime::parse),
                new Reader(
                        "film name",
                        2_000,
                        List.of("", "a/"),
                        text -> VideoName.read(text, List.of("Ina Sandbar"), List.of("Neap")))));
        for (TimeSheet.Each each : TimeSheet.Each.values()) {
            all.add(new Reader(
                    "times by " + each,
                    100_000,
                    List.of("burpee 0:10 "),
                    text -> TimeSheet.read(text, each, TimeSheet.Times.EITHER, expanded, plan)));
        }
        return all;
    }

    static Stream<Arguments> readersOf() {
        return readers().stream().map(reader -> Arguments.of(reader.name(), reader));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("readersOf")
    void timeGrowsWithTheLength(String name, Reader reader) {
        List<String> slow = new ArrayList<>();
        for (String before : reader.before()) {
            for (String nasty : tried()) {
                int most = Math.max(1, (reader.most() - before.length()) / nasty.length());
                String grows = growsTooFast(reader, before, nasty, most);
                if (!grows.isEmpty()) {
                    slow.add("\"" + before + "\" and then \"" + nasty + "\": " + grows);
                }
            }
        }
        assertThat(slow).as(name).isEmpty();
    }

    /** All of it at full length; else a third, which changes from run to run: what fails says which it was. */
    private static List<String> tried() {
        return PART == 1
                ? NASTY
                : IntStream.range(0, NASTY.size())
                        .filter(i -> i % 3 == THIRD)
                        .mapToObj(NASTY::get)
                        .toList();
    }

    /** How the time grows where it grows faster than the length, looked at twice; from short to long, so that a square ends early. */
    private static String growsTooFast(Reader reader, String before, String nasty, int most) {
        long last = 1;
        for (int part = 4; part >= 1; part /= 4) {
            String text = before + nasty.repeat(Math.max(1, most / part));
            long now = time(reader, text);
            if (now > FAST_MS && now > MOST_TIMES * last) {
                long shorter = Math.max(1, time(reader, before + nasty.repeat(Math.max(1, most / part / 4))));
                long again = time(reader, text);
                if (again > FAST_MS && again > MOST_TIMES * shorter) {
                    return shorter + " ms, four times as long " + again + " ms at " + text.length();
                }
            }
            last = Math.max(1, now);
        }
        return "";
    }

    /** Milliseconds of the processor; a text that is refused counts as well. */
    private static long time(Reader reader, String text) {
        long begun = THREADS.getCurrentThreadCpuTime();
        try {
            reader.read().accept(text);
        } catch (InvalidInput refused) {
            assertThat(String.valueOf(refused.getMessage())).hasSizeLessThan(3000);
        } catch (StackOverflowError deep) {
            throw new AssertionError("The stack overflows at " + text.length() + " characters of "
                    + text.substring(0, Math.min(60, text.length())));
        }
        return (THREADS.getCurrentThreadCpuTime() - begun) / 1_000_000;
    }
}
