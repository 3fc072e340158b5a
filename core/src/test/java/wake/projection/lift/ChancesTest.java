package wake.projection.lift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.plan.lift.LimitingMax;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format.LiftPiece;

/** Chances against lifters of which everything is known, and against arithmetic by hand. */
class ChancesTest {
    private static final LimitingMax NO_MAX = LimitingMax.none(List.of("clean"));
    private static final List<LiftPiece> SINGLE = List.of(new LiftPiece(1, "clean"));

    private static LimitingMax max(double kg) {
        return new LimitingMax(
                Optional.of(new Quantity(BigDecimal.valueOf(kg), Unit.KILOGRAM)), "clean", "", List.of());
    }

    private static Tried.Day today(double... madeAboveZero) {
        List<Tried> lifts = new ArrayList<>();
        for (double load : madeAboveZero) {
            lifts.add(new Tried(Math.abs(load), load > 0));
        }
        return new Tried.Day(0, lifts);
    }

    /** Common practice, no source: half at the max, nine in ten at about 93 %; on another day, with a max on file that may be off, a little less sure. */
    @Test
    void theMaxAloneIsCommonPracticeLessSure() {
        Chances alone = Chances.of(max(100), List.of());
        assertThat(alone.made(100)).isCloseTo(0.5, within(0.01));
        assertThat(alone.made(93)).isBetween(0.75, 0.9);
        assertThat(alone.made(70)).isGreaterThan(0.97);
        assertThat(alone.words(Unit.KILOGRAM, SINGLE))
                .isEqualTo("Chances come from max clean 100 kg alone. Even chance: 100 kg.");
        assertThat(alone.words(Unit.POUND, List.of(new LiftPiece(2, "clean"), new LiftPiece(1, "jerk"))))
                .endsWith("Even chance: 191 lb, as hard as a single of 220 lb.");
        assertThat(alone.askedWith(0.5)).isCloseTo(100, within(0.3));
        assertThat(alone.made(alone.askedWith(0.85))).isCloseTo(0.85, within(1e-6));
    }

    /** A twentieth harder, an assumption: what 100 kg are rested, 105 kg would be; what was lifted so counts as so much more. */
    @Test
    void aPartBeforeMakesEveryBarHarder() {
        Chances rested = Chances.of(max(100), List.of());
        Chances tired = rested.afterAnotherPart();
        assertThat(tired.made(95)).isCloseTo(rested.made(99.75), within(1e-9));
        assertThat(tired.words(Unit.KILOGRAM, SINGLE))
                .isEqualTo("Chances come from max clean 100 kg alone. Even chance: 95 kg."
                        + " 5% less than rested, as a part comes before (assumed).");
        List<Tried> lifts = List.of(new Tried(90, true), new Tried(94, false));
        Chances same = Chances.of(NO_MAX, List.of(new Tried.Day(0, Tried.afterAnotherPart(lifts))))
                .afterAnotherPart();
        Chances alone = Chances.of(NO_MAX, List.of(new Tried.Day(0, lifts)));
        assertThat(same.askedWith(0.5)).as("of the same window").isCloseTo(alone.askedWith(0.5), within(0.3));
    }

    @Test
    void oneLiftMovesThem() {
        double before = Chances.of(max(100), List.of()).made(96);
        assertThat(Chances.of(max(100), List.of(today(96))).made(96)).isGreaterThan(before + 0.05);
        assertThat(Chances.of(max(100), List.of(today(-96))).made(96)).isLessThan(before - 0.1);
    }

    /** Missed twice, a bar is no longer likely; one made is, as far as nothing speaks against it. */
    @ParameterizedTest
    @CsvSource({"85", "90", "80", "0"})
    void aBarMissedTwiceIsNotLikelyAndOneMadeIs(double onFile) {
        Chances chances = Chances.of(onFile == 0 ? NO_MAX : max(onFile), List.of(today(80, -84, -84)));
        assertThat(chances.made(84)).isLessThan(onFile > 85 ? 0.52 : 0.5);
        assertThat(chances.made(80)).isGreaterThan(0.5);
        assertThat(chances.made(82)).isBetween(chances.made(84), chances.made(80));
    }

    /** A triple of 76 kg noted as the max: three made at 76 ask about 82 as a single, so that 76 alone is likely. */
    @Test
    void repsNotedAsAMaxDoNotHideTheSingle() {
        List<LiftPiece> triple = List.of(new LiftPiece(3, "clean"));
        double asked = Tried.asked(76, triple, 90_000, 0);
        assertThat(asked).isCloseTo(82, within(0.1));
        Chances chances = Chances.of(max(76), List.of(new Tried.Day(0, List.of(new Tried(asked, true)))));
        assertThat(chances.made(asked)).as("the same triple").isGreaterThan(0.4);
        assertThat(chances.made(76)).as("a single of it").isGreaterThan(0.75);
    }

    /** By hand: a complex 90/78 of its load, three reps the mean of 1.1 (Epley) and 36/34 (Brzycki), 30 s of missing rest 2 %, two heavy lifts 1 %. */
    @Test
    void whatALiftAsks() {
        assertThat(Tried.asked(80, SINGLE, 90_000, 0)).isCloseTo(80, within(1e-9));
        assertThat(Tried.asked(78, List.of(new LiftPiece(2, "clean"), new LiftPiece(1, "jerk")), 90_000, 0))
                .isCloseTo(90, within(1e-9));
        assertThat(Tried.asked(80, List.of(new LiftPiece(3, "clean")), 90_000, 0))
                .isCloseTo(80 * (1.1 + 36 / 34.0) / 2, within(1e-9));
        assertThat(Tried.asked(80, SINGLE, 60_000, 0)).isCloseTo(81.6, within(1e-9));
        assertThat(Tried.asked(80, SINGLE, 200_000, 2)).isCloseTo(80.8, within(1e-9));
    }

    /** A max typed in the wrong unit or years ago hides no lift: what was made far above it is likely, what was missed far below it is not. */
    @Test
    void aMaxThatIsFarOffHidesNoLift() {
        Chances past = Chances.of(max(20), List.of(today(100, 110)));
        assertThat(past.made(110)).isGreaterThan(0.5);
        assertThat(past.words(Unit.KILOGRAM, SINGLE))
                .startsWith("Chances come from 2 logged lifts")
                .endsWith(
                        "Without a max the first bar of a climb is taken as 84% of it, a bar that stays as 90% (assumed).");
        Chances pounds = Chances.of(max(185), List.of(today(70, 80, -84, -84)));
        assertThat(pounds.made(84)).isLessThan(0.7);
        assertThat(pounds.made(80)).isGreaterThan(pounds.made(84));
    }

    /**
     * Without a max, from the bars chosen; common practice, no source: a climb opened at 80 to 88 % of the max, a bar that stays is at 85 to 95 %. One that is made says
     * little more than that it was chosen; warm-up bars say nothing.
     */
    @Test
    void withoutAMaxTheBarsChosenPointToIt() {
        assertThat(Chances.of(NO_MAX, List.of(today(90, 90, 90))).askedWith(0.5))
                .isBetween(100.0, 105.0);
        Chances climb = Chances.of(NO_MAX, List.of(today(84, 88, 92)));
        assertThat(climb.askedWith(0.5)).isBetween(100.0, 105.0);
        assertThat(Chances.of(NO_MAX, List.of(today(40, 60, 84, 88, 92))).askedWith(0.5))
                .as("built up from 40")
                .isCloseTo(climb.askedWith(0.5), within(0.5));
        assertThat(Chances.of(NO_MAX, List.of(today(90, -90))).askedWith(0.5)).isBetween(88.0, 95.0);
    }

    @Test
    void theLatestLiftsCountMost() {
        Tried.Day heavy = new Tried.Day(0, today(95, 98).lifts());
        Tried.Day missed = new Tried.Day(0, today(-95, -95).lifts());
        Chances better = Chances.of(max(95), List.of(new Tried.Day(400, missed.lifts()), heavy));
        Chances worse = Chances.of(max(95), List.of(new Tried.Day(400, heavy.lifts()), missed));
        assertThat(better.made(96)).isGreaterThan(worse.made(96) + 0.1);
        assertThat(better.own()).isEqualTo(4);
    }

    /** Nonsense on legal input stays finite: light bars missed and heavy ones made, a max far off, a hundred windows. */
    @Test
    void nothingBreaksIt() {
        List<Tried.Day> many = new ArrayList<>();
        for (int i = 0; i < 100; i++) {
            many.add(new Tried.Day(3L * i, today(-40, 140, -20, 300).lifts()));
        }
        for (Chances one : List.of(
                Chances.of(max(100), many),
                Chances.of(max(1), List.of(today(500))),
                Chances.of(max(999), List.of(today(-20))),
                Chances.of(NO_MAX, List.of(today(-20, -20, -20))))) {
            assertThat(one.curves().stream().mapToDouble(Chances.Curve::weight).sum())
                    .isCloseTo(1, within(1e-9));
            assertThat(one.made(100)).isBetween(0.0, 1.0);
            assertThat(one.made(90)).isGreaterThanOrEqualTo(one.made(110));
        }
    }

    /**
     * Lifters drawn otherwise than the model takes them: of four maxes on file one is stale, days differ by 2 to 3 %, bars are picked as coaches do. Of the lifts on
     * another day that are said to be made p of 100 times, p are, within 3 points and what chance does
     * ({@code -Dwake.lifters=5000}: of so many), and the lifts make it sharper than the max alone (Brier 1950).
     */
    @ParameterizedTest
    @CsvSource({"1, true", "3, true", "6, true", "12, true", "1, false", "3, false", "6, false", "12, false"})
    void saidAndMadeAgree(int known, boolean onFile) {
        SplittableRandom random = new SplittableRandom(known * 2L + (onFile ? 1 : 0));
        int lifters = Integer.getInteger("wake.lifters", 400);
        double[] said = new double[10];
        double[] made = new double[10];
        double[] count = new double[10];
        double brier = 0;
        double brierOfMax = 0;
        for (int i = 0; i < lifters; i++) {
            Lifter lifter = new Lifter(random);
            double about = onFile ? lifter.onFile : lifter.middle * (1 + 0.08 * random.nextGaussian());
            List<Tried.Day> days = lifter.lifts(known, about);
            Chances chances = Chances.of(onFile ? max(lifter.onFile) : NO_MAX, days);
            double load = onFile
                    ? about * (0.84 + 0.24 * random.nextDouble())
                    : heaviest(days) * (0.9 + 0.2 * random.nextDouble());
            boolean makes = random.nextDouble() < lifter.on(lifter.day(), load);
            double p = chances.made(load);
            int tenth = Math.min(9, (int) (10 * p));
            said[tenth] += p;
            made[tenth] += makes ? 1 : 0;
            count[tenth]++;
            brier += Math.pow(p - (makes ? 1 : 0), 2);
            double alone = Chances.of(onFile ? max(lifter.onFile) : max(heaviest(days)), List.of())
                    .made(load);
            brierOfMax += Math.pow(alone - (makes ? 1 : 0), 2);
        }
        for (int t = 0; t < 10; t++) {
            // Three points, and what chance does to one of eighty tenths with so few lifts.
            double chance = 2.5 * Math.sqrt(0.25 / Math.max(1, count[t]));
            double tooMuch = (said[t] - made[t]) / Math.max(1, count[t]);
            assertThat(tooMuch).as("tenth " + t).isBetween(-0.03 - chance, 0.03 + chance);
        }
        assertThat(brier).isLessThan(brierOfMax);
    }

    private static double heaviest(List<Tried.Day> days) {
        return days.stream()
                .flatMap(day -> day.lifts().stream())
                .mapToDouble(Tried::askedKg)
                .max()
                .orElseThrow();
    }

    private static final class Lifter {
        private final SplittableRandom random;
        private final double middle;
        private final double spread;
        private final double differs;
        private final double onFile;

        Lifter(SplittableRandom random) {
            this.random = random;
            middle = 60 + 80 * random.nextDouble();
            spread = middle * 0.03 * Math.exp(0.3 * random.nextGaussian());
            differs = 0.02 + 0.01 * random.nextDouble();
            onFile = middle
                    * (1
                            + (random.nextInt(4) > 0
                                    ? 0.03 * random.nextGaussian()
                                    : -0.02 + 0.08 * random.nextGaussian()));
        }

        double day() {
            return middle * (1 + differs * random.nextGaussian());
        }

        double on(double day, double load) {
            return 1 / (1 + Math.exp((load - day) / spread));
        }

        /** As coaches pick them: up by 5 % from four fifths while they are made, the same or a little less after a miss; four a window, one a fortnight. */
        List<Tried.Day> lifts(int known, double about) {
            List<Tried.Day> days = new ArrayList<>();
            int left = known;
            while (left > 0) {
                List<Tried> lifts = new ArrayList<>();
                double day = day();
                double load =
                        about * (known == 1 ? 0.85 + 0.1 * random.nextDouble() : 0.8 + 0.08 * random.nextDouble());
                for (int i = 0; i < 4 && left > 0; i++, left--) {
                    boolean made = random.nextDouble() < on(day, load);
                    lifts.add(new Tried(load, made));
                    load *= made ? 1.05 : random.nextBoolean() ? 1 : 0.98;
                }
                days.add(new Tried.Day(14L * days.size(), lifts));
            }
            return days;
        }
    }
}
