package wake.workout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.regex.Pattern;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;

/** Lines as they stand on boards, and what they mean, or what is asked about them. How boards are written is common practice, no source. */
class BoardWordsTest {
    private static final Pattern NUMBERS = Pattern.compile("\\d+(?:\\.\\d+)?");

    private static String board(String lines) {
        return "# Spit\n" + lines.replaceAll("\\s*;\\s*", "\n") + "\n";
    }

    private static NotationReader.Reading read(String lines) {
        return NotationReader.read(board(lines), Samples.CATALOGUE);
    }

    /** The lines of the workout, without its title and their indents. */
    private static String meant(String lines) {
        return NotationWriter.write(read(lines).orThrow())
                .lines()
                .skip(1)
                .map(String::strip)
                .reduce((one, other) -> one + "; " + other)
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // Caps.
                "For time, 15 min cap; 50 burpee | for time, cap 15:00; 50 burpee",
                "For time (15 min cap); 50 burpee | for time, cap 15:00; 50 burpee",
                "For time (15:00 time cap); 50 burpee | for time, cap 15:00; 50 burpee",
                "For time - cap 15; 50 burpee | for time, cap 15:00; 50 burpee",
                "For time, TC 12; 50 burpee | for time, cap 12:00; 50 burpee",
                "For time; 50 burpee; 15 min cap | for time, cap 15:00; 50 burpee",
                "For time; 50 burpee; 15-minute cap | for time, cap 15:00; 50 burpee",
                "For time; 50 burpee; TC: 12:30 | for time, cap 12:30; 50 burpee",
                "For time; 50 burpee; T.C. 12 | for time, cap 12:00; 50 burpee",
                "4 rounds for time (12 min cap); 9 burpee | for time, cap 12:00; 4 rounds:; 9 burpee",
                "15-12-9 for time, 10 min cap; burpee; pull-up | for time, cap 10:00; 3 rounds:; 15-12-9 burpee; 15-12-9 pull-up",
                // Loads.
                "divisions: women / men; for time; 10 thruster (30/45 kg) | divisions: women / men; for time; 10 thruster @ 30/45 kg",
                "divisions: women / men; for time; 10 box jump (50/60 cm) | divisions: women / men; for time; 10 box jump @ 50/60 cm",
                "divisions: women / men; for time; 10 thruster 30/45 kg | divisions: women / men; for time; 10 thruster @ 30/45 kg",
                "for time; 10 thruster (2x20 kg) | for time; 10 thruster @ 2x20 kg",
                "for time; 10 thruster (2 x 20 kg) | for time; 10 thruster @ 2x20 kg",
                "for time; 10 thruster @ 2 x 20 kg | for time; 10 thruster @ 2x20 kg",
                "for time; 10 thruster (95 lbs) | for time; 10 thruster @ 95 lb",
                "for time; 10 thruster (@ 40 kgs) | for time; 10 thruster @ 40 kg",
                "for time; 10 back squat (60 %) | for time; 10 back squat @ 60 %",
                "for time; 10 dumbbell box step-up (2x15 kg) (50 cm) | for time; 10 dumbbell box step-up @ 2x15 kg, 50 cm",
                "for time; 10 box jump (24\") | for time; 10 box jump @ 24 in",
                "for time; 10 thruster (40 kg, slow) | for time; 10 thruster  // 40 kg, slow",
                "for time; 20 dumbbell snatch @ 22.5 kg, alternating | for time; 20 dumbbell snatch, alternating @ 22.5 kg",
                "for time; 20 dumbbell snatch (22.5 kg) (alternating) | for time; 20 dumbbell snatch, alternating @ 22.5 kg",
                "for time; 20 dumbbell snatch (per side) | for time; 20 dumbbell snatch, each side",
                // The amount behind the movement, and units in words.
                "for time; burpee x 10 | for time; 10 burpee",
                "for time; burpee x10; row 500 m | for time; 10 burpee; 500 m row",
                "for time; run 400m @ 10 kg | for time; 400 m run @ 10 kg",
                "for time; thruster x 12 (40 kg) | for time; 12 thruster @ 40 kg",
                "for time; 1 mile run; 2 miles row | for time; 1 mi run; 2 mi row",
                "for time; 400 metres run; 100 feet handstand walk | for time; 400 m run; 100 ft handstand walk",
                "for time; 15 cals row; 20 calories ski | for time; 15 cal row; 20 cal ski",
                // Rounds, and lists that make them.
                "4 RFT; 9 burpee | for time; 4 rounds:; 9 burpee",
                "for time; 4 rounds; 9 burpee | for time; 4 rounds:; 9 burpee",
                "for time; 10-8-6 thruster @ 40 kg; 10-8-6 pull-up | for time; 3 rounds:; 10-8-6 thruster @ 40 kg; 10-8-6 pull-up",
                "for time; 400 m run; 10-8-6 thruster; 10-8-6 pull-up; 400 m run | for time; 400 m run; 3 rounds:; 10-8-6 thruster; 10-8-6 pull-up; 400 m run",
                "for time; buy in: 400 m run; 4 rounds; 9 burpee; cash out - 40 cal row | for time; buy-in: 400 m run; 4 rounds:; 9 burpee; cash-out: 40 cal row",
                "for time; 4 rounds; 9 burpee; finish round 3 by 9:00 | for time; 4 rounds:; 9 burpee; by 9:00 after round 3",
                "4 rounds for time, finish round 3 by 9:00; 9 burpee; 200 m run | for time; 4 rounds:; 9 burpee; 200 m run; by 9:00 after round 3",
                "for time (finish round 2 by 6:00):; 3 rounds:; 9 burpee | for time; 3 rounds:; 9 burpee; by 6:00 after round 2",
                // Ladders that go on.
                "8 min AMRAP ladder; 2-4-6-...; thruster @ 40 kg; burpee | amrap 8:00; // 2-4-6-...; 2+2 thruster @ 40 kg; 2+2 burpee",
                "AMRAP 8; 3-6-9 etc.; thruster; burpee | amrap 8:00; // 3-6-9 etc.; 3+3 thruster; 3+3 burpee",
                "AMRAP 8; 1-2-3-4… power clean; 5 burpee | amrap 8:00; 1+1 power clean; 5 burpee",
                // Lifts and intervals.
                "Build to a heavy power clean in 8 min | lift 8:00, best of 1 power clean",
                "Build up to a heavy single power clean in 8:00 | lift 8:00, best of 1 power clean",
                "Find your 1 RM power snatch in 10 min | lift 10:00, best of 1 power snatch",
                "lift 8:00; 1 RM power snatch | lift 8:00, best of 1 power snatch",
                "Lift 8 min:; heavy single of power clean | lift 8:00, best of 1 power clean",
                "E2MOM 10; 5 burpee | every 2:00 x 5; 5 burpee",
                "EMOM 12; odd: 12 cal row; even: 9 burpee | every 1:00 x 12, in turn; 12 cal row; 9 burpee",
                "EMOM 12; min 1: 12 cal row; min 2: 9 burpee (60 cm); min 3: 6 thruster @ 40 kg | every 1:00 x 12, in turn; 12 cal row; 9 burpee @ 60 cm; 6 thruster @ 40 kg",
                "every 1:00 x 4, in turn; odd: 12 cal row; even: 9 burpee | every 1:00 x 4, in turn; 12 cal row; 9 burpee",
                "part A: every 1:00 x 4; 5 burpee; part B: every 1:00 x 4, in turn; odd: 12 cal row; even: 9 burpee | part A: every 1:00 x 4; 5 burpee; part B: every 1:00 x 4, in turn; 12 cal row; 9 burpee",
                "12 min EMOM; 9 burpee | every 1:00 x 12; 9 burpee",
                "7 min ladder; 2-4-6… thruster | amrap 7:00; 2+2 thruster",
                // One of several parts.
                "part A: build to a heavy power snatch in 8 min; part B: 3 RFT, 12 min cap; 9 burpee; part C: E2MOM 10; 5 burpee | part A: lift 8:00, best of 1 power snatch; part B: for time, cap 12:00; 3 rounds:; 9 burpee; part C: every 2:00 x 5; 5 burpee",
                "part A: 3 rounds for time, finish round 2 by 4:00; 9 burpee; part B: amrap 8:00; 5 burpee | part A: for time; 3 rounds:; 9 burpee; by 4:00 after round 2; part B: amrap 8:00; 5 burpee",
                "part A: for time; 9 burpee; part B: for time; 5 burpee; TC 12 | part A: for time; 9 burpee; part B: for time, cap 12:00; 5 burpee",
                // All on one line.
                "AMRAP 12: 5 pull-up, 10 push-up, 15 air squat | amrap 12:00; 5 pull-up; 10 push-up; 15 air squat",
                "4 rounds for time: 9 burpee, 200 m run | for time; 4 rounds:; 9 burpee; 200 m run",
                "4 RFT (12 min cap): 9 burpee, 200 m run | for time, cap 12:00; 4 rounds:; 9 burpee; 200 m run",
                "for time; 3 rounds: 9 burpee, 12 dumbbell box step-up @ 2x15 kg, 50 cm; 40 cal row | for time; 3 rounds:; 9 burpee; 12 dumbbell box step-up @ 2x15 kg, 50 cm; 40 cal row",
                "for time; buy-in: 400 m run, 20 burpee; 2 rounds; 9 thruster | for time; buy-in:; 400 m run; 20 burpee; 2 rounds:; 9 thruster",
                "EMOM 10: 7 thruster @ 95 lbs | every 1:00 x 10; 7 thruster @ 95 lb",
                // Divisions of their own.
                "divisions: women / men; for time; 2 rope climb / 4 m sled pull | divisions: women / men; for time; 2 rep / 4 m rope climb / sled pull",
            })
    void theyAreReadAsMeant(String pasted, String meant) {
        assertThat(meant(pasted)).isEqualTo(meant);
        assertThat(meant(meant)).as("what was understood, read again").isEqualTo(meant);
    }

    /** Where a board may mean two things, it is asked about rather than guessed. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "for time; 10 kettlebell swing (24/16) | Numbers in parentheses without a unit. Use a load, like \"@ 24/16 kg\"",
                "for time; 10 thruster (45/30 kg) | divisions: women / men",
                "for time; 2x20 kg farmer carry | \"20 m farmer carry @ 2x20 kg\"",
                "divisions: a / b; for time; 8 row / 4 m sled pull | a movement with its amount",
                "for time; teams of 2 | a movement with its amount",
                "for time; 10 thruster, done by the buzzer | after the comma",
                "amrap 8:00; 2-4-7-... thruster | the next round's number",
                "for time; 10-8-6 thruster; 10-8 pull-up | under \"3 rounds:\"",
                "for time; 4 rounds:; 9 burpee; 10-8-6 thruster; 10-8-6 pull-up | one for each of the 4 rounds",
                "E4MOM 10; 5 burpee | how it is timed",
                // Never taken for a part above.
                "part A: for time; 9 burpee; part B: amrap 8:00; 5 burpee; TC 12 | a movement with its amount",
                "part A: amrap 8:00; 9 burpee; part B: for time; 5 burpee; score: reps | a movement with its amount",
                "part A: for time; 9 burpee; part B: every 1:00 x 4; 5 burpee; you go, I go | a movement with its amount",
            })
    void whatMayMeanTwoThingsIsAskedAbout(String pasted, String asked) {
        NotationReader.Reading reading = read(pasted);
        assertThat(reading.workout()).isEmpty();
        assertThat(reading.errors().getFirst().toString()).contains(asked);
    }

    @Test
    void aBoardMayBeginWithItsFirstPart() {
        String board = "Part A: find a heavy power clean in 10 min\nPart B, from 12:00: AMRAP 8\n5 burpee\n";
        assertThat(NotationWriter.write(
                        NotationReader.read(board, Samples.CATALOGUE).orThrow()))
                .startsWith("# Untitled\npart A: lift 10:00, best of 1 power clean\nfrom 12:00\npart B: amrap 8:00");
    }

    /** Once: written tidily the name says which lift it is. */
    @ParameterizedTest
    @CsvSource({
        "amrap 8:00; 10 snatch, power snatch, squat snatch",
        "amrap 8:00; 10 hang clean, hang power clean, hang squat clean",
        "'lift 8:00, best of 1 snatch', power snatch, squat snatch",
        "amrap 8:00; 10 press, strict press, bench press",
        "amrap 8:00; 10 presses, strict press, bench press",
        "amrap 8:00; 10 swings, kettlebell swing, american kettlebell swing",
    })
    void aNameThatSeveralLiftsGoByIsAskedAbout(String pasted, String taken, String other) {
        NotationReader.Reading reading = read(pasted);
        assertThat(reading.hints())
                .singleElement()
                .extracting(NotationError::text)
                .asString()
                .endsWith("is taken for " + taken + ". Use \"" + taken + "\" or \"" + other + "\" to say which it is.");
        assertThat(read(pasted.replaceAll("hang clean|snatch|press(?:es)?|swings", taken))
                        .hints())
                .isEmpty();
    }

    /** Whatever the way of writing, every number of the board stands in the workout, in a note, or the board is refused. */
    @RepeatedTest(400)
    void noNumberIsDroppedInSilence(RepetitionInfo at) {
        SplittableRandom random = new SplittableRandom(at.getCurrentRepetition());
        List<String> lines =
                new ArrayList<>(List.of(pick(random, "for time", "for time, 15 min cap", "For time (TC 12)")));
        if (random.nextBoolean()) {
            lines.add(pick(random, "3 rounds", "3 rounds of:"));
        }
        int movements = 1 + random.nextInt(4);
        for (int i = 0; i < movements; i++) {
            String amount = pick(random, "10 ", "12", "400 m ", "15 cals ", "1 mile ", "10-8-6 ", "2-4-6… ");
            String movement = pick(random, "burpee", "thruster", "row", "box jump", "unheard-of thing");
            String load = pick(
                    random,
                    "",
                    "",
                    " (40 kg)",
                    " 43 kg",
                    " (2 x 20 kg)",
                    " (24/16)",
                    " (tempo 3-1-1)",
                    " (60 cm) (8 kg)",
                    " @ 95 lbs");
            boolean behind = random.nextInt(4) == 0;
            lines.add((behind ? movement + pick(random, " x ", " ") + amount.strip() : amount + movement)
                    + load
                    + pick(random, "", "", ", alternating", " (each side)"));
        }
        if (random.nextInt(4) == 0) {
            lines.add(pick(random, "20 min cap", "cash out 30 burpee", "round 2 by 9:00", "TC 9"));
        }
        String pasted = String.join("; ", lines);
        NotationReader.Reading reading = read(pasted);
        if (reading.workout().isPresent()) {
            String understood = meant(pasted);
            assertThat(numbers(understood)).as("%s, of %s", understood, pasted).containsAll(numbers(pasted));
        } else {
            assertThat(reading.errors()).as(pasted).isNotEmpty();
        }
    }

    /** Of a ladder that goes on, its first rung and its step are all there is to know. */
    private static List<String> numbers(String text) {
        return NUMBERS.matcher(text.replace("2-4-6…", "2+2"))
                .results()
                .map(found -> found.group())
                .toList();
    }

    private static String pick(SplittableRandom random, String... any) {
        return any[random.nextInt(any.length)];
    }
}
