package wake.workout;

import java.util.stream.Stream;

/** Workouts of our own, one for each format and division feature, with what one pass of their first part counts. */
public final class WorkoutShelf {
    /** A workout; the total is of the first division. */
    public record Shelved(String notation, int segments, int total) {
        @Override
        public String toString() {
            return notation.lines().findFirst().orElse("");
        }
    }

    private WorkoutShelf() {}

    public static Stream<Shelved> all() {
        return Stream.of(
                of("Ebb; for time;  5 rounds:;    6 burpee;    4 thruster @ 30 kg", 10, 50),
                of("Flood; for time, cap 10:00;  3 rounds:;    200 m run;    12 air squat", 6, 39),
                of("Bollards; for time;  50 cal row;  50 burpee;  50 box jump;  50 kettlebell swing @ 24 kg", 4, 200),
                of("Ladder Down; for time;  4 rounds:;    12-9-6-3 deadlift @ 100 kg;    12-9-6-3 burpee", 8, 60),
                of("Ladder Up; for time, cap 8:00;  6 rounds:;    3+3 thruster @ 40 kg;    3+3 pull-up", 12, 126),
                of("Fixed and Growing; amrap 10:00;  5 burpee;  2+2 power snatch @ 40 kg", 2, 7),
                of("Open Ladder; amrap 7:00;  3+3 thruster @ 43 kg;  3+3 chest-to-bar pull-up", 2, 6),
                of(
                        "Shrink and Load; for time;  4 rounds:;    5+5 box jump;    8-6-4-2 power clean @ 50-60-70-80 kg",
                        8,
                        70),
                of(
                        "Cairn; for time;  3 rounds:;    10 cal row;    1-2-3 rounds:;      3 deadlift;      1 push jerk",
                        15,
                        54),
                of("Growing Open; amrap 12:00;  repeat:;    10 cal row;    1+1 rounds:;      3 burpee", 2, 13),
                of(
                        "Buy-in; amrap 9:00;  buy-in: 50 cal ski;  repeat:;    4 wall walk;    8 goblet squat @ 24 kg",
                        3,
                        62),
                of("Buy-in Block; for time;  buy-in:;    400 m run;    20 burpee;  3 rounds:;    10 thruster", 5, 51),
                of("Cash-out; for time;  3 rounds:;    10 thruster;  cash-out: 30 burpee", 4, 60),
                of("Minutes; every 1:00 x 10;  8 burpee", 10, 80),
                of("Two Minutes; every 2:00 x 5;  10 cal row;  6 thruster @ 40 kg", 10, 80),
                of("In Turn; every 1:00 x 9, in turn;  12 cal row;  10 push-up;  40 double under", 9, 186),
                of("Crest; lift 7:00, best of 1 power clean", 0, 0),
                of("Complex; lift 8:00, best of 5 deadlift + 4 hang power clean + 3 push jerk", 0, 0),
                of(
                        "Lift First; part A: lift 6:00, best of 1 power snatch;rest 1:00;part B: for time;  30 burpee",
                        0,
                        0),
                of(
                        "Engine First; part A: amrap 5:00;  5 burpee;rest 2:00;part B: lift 7:00, best of 1 push jerk",
                        1,
                        5),
                of("Two Scores; part A: for time, cap 5:00;  20 burpee;part B: for time, cap 5:00;  20 burpee", 1, 20),
                of(
                        "Three Parts; part A: amrap 3:00;  3 burpee;rest 1:00;part B: amrap 3:00;  3 air squat;rest 1:00;"
                                + "part C: amrap 3:00;  3 push-up",
                        1,
                        3),
                of(
                        "Stages; for time, cap 15:00;  5 rounds:;    9 thruster;  by 6:00 after round 2;  by 10:00 after round 4",
                        5,
                        45),
                of("Tie; for time;  3 rounds:;    15 burpee;  tie-break after round 2", 3, 45),
                of("Divisions; divisions: women / men; for time;  15/18 cal row;  10 thruster @ 30/43 kg", 2, 25),
                of("Three Divisions; divisions: a / b / c; for time;  10/12/15 burpee @ 10/15/20 kg", 1, 10),
                of("Substitutes; divisions: scaled / full; for time;  12 pull-up / chest-to-bar pull-up", 1, 12),
                of("Other Heights; divisions: women / men; for time;  20 box jump @ 50/60 cm", 1, 20),
                of(
                        "Loads by Round; divisions: women / men; for time;  3 rounds:;    5 power clean @ 40-50-60/60-70-80 kg",
                        3,
                        15),
                of("Each Side; for time;  10 front-rack lunge, each side @ 20 kg", 1, 20),
                of("Alternating; for time;  20 dumbbell snatch, alternating @ 22.5 kg", 1, 20),
                of(
                        "Free; for time;  60 cal ski;  in any order:;    90 sit-up;    120 v-up;    60 box step-up;  60 cal ski",
                        5,
                        390),
                of("Counts as One; amrap 20:00;  400 m run, counts 1;  10 burpee", 2, 11),
                of("Counts per Feet; for time;  50 ft front-rack lunge, counts 1 per 5 ft @ 30 kg", 1, 10),
                of("Counts Nothing; for time;  400 m run, counts 0;  10 burpee", 2, 10),
                of("Pounds and Inches; for time;  10 thruster @ 95 lb;  10 box jump over @ 24 in", 2, 20),
                of("Far; for time;  5 km run;  2 mi row;  100 ft farmer carry @ 32 kg", 3, 3),
                of("Held; for time;  60 s handstand hold;  30 burpee", 2, 31),
                of("Two Heights; for time;  12 wall-ball shot @ 9 kg, 3 m", 1, 12),
                of("Nested; for time;  2 rounds:;    400 m run;    3 rounds:;      5 pull-up;      10 push-up", 14, 92),
                of("Unknown; for time;  8 sandbag over shoulder @ 60 kg", 1, 8),
                of("No Cap Ladder; for time, cap 10:00;  repeat:;    2+2 burpee", 1, 2),
                of("Commented; // warm first; for time // hard;  // set up;  10 burpee // tall", 1, 10),
                // Each distance in pieces, each unit of a division, each way to score, each clock.
                of("Pieces; for time;  200 ft handstand walk, in 25 ft;  30 burpee", 9, 38),
                of(
                        "Pieces by Round; for time;  3 rounds:;    75-50-25 ft handstand walk, in 25 ft;    9 burpee",
                        9,
                        33),
                of("Short Last Piece; for time;  110 m farmer carry, in 50 m @ 2x24 kg", 3, 3),
                of(
                        "Pieces in Inner Rounds; for time;  2 rounds:;    2 rounds:;      50 ft front-rack lunge, in 25 ft",
                        8,
                        8),
                of("Pieces until the Bell; amrap 8:00;  50 ft handstand walk, in 25 ft;  10 toes-to-bar", 3, 12),
                of("Pieces and Counting; for time;  100 ft walking lunge, in 50 ft, counts 10;  9 burpee", 3, 29),
                of(
                        "Own Units; divisions: women / men; for time;  25 ft / 10 m handstand walk;  12 cal / 250 m row",
                        2,
                        13),
                of("Own Load Units; divisions: women / men; for time;  9 thruster @ 65 lb / 43 kg", 1, 9),
                of("Pieces of One Unit; divisions: women / men; for time;  50/100 ft handstand walk, in 25 ft", 2, 2),
                of("Shares; for time;  5 rounds:;    5 deadlift @ 80 %;    9 burpee", 10, 70),
                of("Growing Shares; for time;  3 rounds:;    3 clean @ 70-80-90 %", 3, 9),
                of("Shares by Division; divisions: scaled / full; for time;  15 power snatch @ 50/60 %", 1, 15),
                of("You Go; for time, cap 12:00, you go I go;  6 rounds:;    5 thruster @ 40 kg;    5 burpee", 12, 60),
                of("I Go; amrap 9:00, you go I go;  12 cal row;  10 burpee", 2, 22),
                of("Most in a Window; amrap 5:00;  max wall walk", 1, 1),
                of("Most after Work; amrap 6:00;  600 m run;  max burpee over bar", 2, 1),
                of("Most under a Cap; for time, cap 4:00;  30 cal row;  max thruster @ 43 kg", 2, 1),
                of("Most of a Side; amrap 3:00;  max dumbbell snatch, alternating @ 22.5 kg", 1, 1),
                of("Most Calories; amrap 2:00;  max cal air bike", 1, 1),
                of("Scored by Reps; amrap 7:00, score reps;  5 burpee;  10 air squat", 2, 15),
                of("Scored by Rounds; amrap 7:00, score rounds;  2+2 burpee;  10 air squat", 2, 12),
                of(
                        "One Running Clock; part A: for time, cap 6:00;  60 burpee;from 6:00;part B: amrap 5:00;  9 air squat",
                        1,
                        60),
                of(
                        "Lift on the Clock; part A: amrap 7:00;  9 burpee;from 8:00;part B: lift 6:00, best of 1 clean;"
                                + "rest 1:00;part C: for time;  50 cal row",
                        1,
                        9),
                of("Four Minutes; every 4:00 x 4;  400 m run;  15 push-up", 8, 64),
                of("Quarter Minutes; every 0:30 x 8, in turn;  6 thruster @ 43 kg;  rest", 4, 24),
                of("Shuttle; every 3:00 x 5;  12 cal row;  buy-in: 400 m run", 6, 61),
                of("Rested Rounds; for time;  3 rounds:;    15 thruster @ 30 kg;    rest 1:00", 3, 45),
                of(
                        "Gates and Rests; for time, cap 16:00;  30 cal row;  by 3:00;  rest 1:00;  30 burpee;  by 8:00;  20 clean @ 60 kg",
                        3,
                        80),
                of(
                        "Gate in a Block; for time, cap 12:00;  4 rounds:;    9 thruster;    by 5:00 after round 2;  400 m run",
                        5,
                        37),
                of("Two Implements; for time;  21 dumbbell thruster @ 2x22.5 kg", 1, 21),
                of("Rounds Without; for time;  4 rounds:;    6-0-6-0 wall walk;    12 burpee", 6, 60),
                of(
                        "Both Ends; for time;  buy-in: 50 double under;  3 rounds:;    9 burpee;  cash-out: 50 double under",
                        5,
                        127),
                of("Down and Up; for time;  5 rounds:;    10-5-1-5-10 deadlift @ 60-80-100-80-60 kg", 5, 31),
                of(
                        "Cut Freely; amrap 20:00;  buy-in: 1 km run;  repeat:;    5 pull-up;    10 push-up;    15 air squat",
                        4,
                        31),
                of(
                        "Miles Outside; for time, cap 45:00;  1 mi run;  10 rounds:;    10 pull-up;    10 burpee;  1 mi run",
                        22,
                        202),
                of("Kettlebells and Boxes; for time;  30 kettlebell swing @ 24 kg;  20 box jump over @ 20 in", 2, 50));
    }

    private static Shelved of(String lines, int segments, int total) {
        return new Shelved("# " + lines.replace("; ", ";").replace(";", "\n"), segments, total);
    }
}
