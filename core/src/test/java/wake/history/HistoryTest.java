package wake.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.expanded;
import static wake.Samples.log;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.Samples;
import wake.Shelf;
import wake.athlete.TechniqueTest;
import wake.history.AttemptFacts.Spread;
import wake.history.HistoryLine.Dated;
import wake.history.HistoryLine.Kind;
import wake.history.HistoryLine.Verdict;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.reading.Baseline;
import wake.reading.Reading;
import wake.simulation.SimulatedAttempt;
import wake.words.HistoryWords;
import wake.words.TechniqueWords;

class HistoryTest {
    private static final double SCATTER = 3;

    private static final String PAIR = """
            # Two Piers
            for time
              2 rounds:
                10 thruster @ 40 kg
                10 burpee
            """;

    private static Reading reading(AttemptLog log) {
        return Reading.of(log, Baseline.bestSplits(log));
    }

    private static Dated on(int day, String jotted) {
        return on(day, PAIR, jotted);
    }

    private static Dated on(int day, String notation, String jotted) {
        return new Dated(
                new UUID(0, day),
                LocalDate.of(2026, 3, 1).plusDays(day),
                AttemptFacts.of(reading(log(notation, jotted))));
    }

    /** Ten thrusters in so many seconds each time, burpees always in thirty. */
    private static Dated thrusters(int day, double seconds) {
        double end = 1 + seconds;
        return on(
                day,
                "A 1, D " + end + " x10, A " + (end + 3) + ", D " + (end + 33) + " x10, A " + (end + 36) + ", D "
                        + (end + 36 + seconds) + " x10, A " + (end + 40 + seconds) + ", D " + (end + 70 + seconds)
                        + " x10");
    }

    private static HistoryLine line(History history, String title) {
        return history.lines().stream()
                .filter(line -> line.title().equals(title))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void anAttemptShowsItsCadencesAndTransitions() {
        AttemptFacts facts = thrusters(0, 30).facts();
        assertThat(facts.cadences())
                .extracting(one -> one.work().words())
                .containsExactly("thruster @ 40 kg", "burpee");
        assertThat(facts.cadences().getFirst().seconds().median()).isCloseTo(3.0, within(1e-9));
        // 3, 3 and 4 s: the start of the movement of all is no transition.
        assertThat(facts.transitions().orElseThrow()).isEqualTo(new Spread(3, 3, 4, 3));
        assertThat(facts.unbroken()).extracting(AttemptFacts.Unbroken::reps).containsExactly(10, 10);
    }

    /** 3.0, 2.9, 3.0, 2.9 … move by some 3 %: the next tenth is no change. 3.0, 2.9, 2.7, 2.6, 2.4 get faster, by a fifth in all. */
    @Test
    void aChangeCountsBeyondNormalVariation() {
        List<Dated> steady = List.of(thrusters(1, 30), thrusters(2, 29), thrusters(3, 30), thrusters(4, 29));
        HistoryLine line = line(History.of(steady), "thruster @ 40 kg");
        assertThat(line.verdict()).isEqualTo(Verdict.NOISE);
        assertThat(line.typicalError().orElseThrow()).isBetween(2.0, 3.5);
        assertThat(HistoryWords.line(line)).contains("within normal variation");
        List<Dated> better =
                List.of(thrusters(1, 30), thrusters(2, 29), thrusters(3, 27), thrusters(4, 26), thrusters(5, 24));
        HistoryLine gained = line(History.of(better), "thruster @ 40 kg");
        assertThat(gained.verdict()).isEqualTo(Verdict.BETTER);
        assertThat(HistoryWords.line(gained)).contains("20.0% faster (normal variation");
    }

    /**
     * One unchanged line in twenty may be called changed, whatever the number of attempts, and a steady change by eight typical errors in
     * all is seen. The 5 % is the level of the interval (Student's t).
     */
    @ParameterizedTest
    @ValueSource(ints = {4, 5, 6, 8, 12, 20, 40})
    void oneUnchangedLineInTwentyAtMostIsCalledChanged(int attempts) {
        SplittableRandom random = new SplittableRandom(attempts);
        int lines = 20_000;
        int changed = 0;
        int seen = 0;
        for (int i = 0; i < lines; i++) {
            changed += verdict(random, attempts, 0) == Verdict.NOISE ? 0 : 1;
            seen += verdict(random, attempts, 8 * SCATTER) == Verdict.WORSE ? 1 : 0;
        }
        // Three standard errors of a share of 5 % beside it.
        assertThat((double) changed / lines).isLessThan(0.05 + 3 * Math.sqrt(0.05 * 0.95 / lines));
        assertThat((double) seen / lines).isGreaterThan(attempts > 5 ? 0.95 : 0.6);
    }

    private static Verdict verdict(SplittableRandom random, int attempts, double more) {
        List<HistoryLine.Point> points = new ArrayList<>();
        for (int i = 0; i < attempts; i++) {
            double value = 100 + SCATTER * random.nextGaussian() + more * i / (attempts - 1);
            points.add(new HistoryLine.Point(
                    new UUID(0, i), LocalDate.of(2026, 3, 1).plusDays(i), value, value, value, 1, ""));
        }
        return HistoryLine.of(HistoryLine.Kind.CADENCE, "burpee", points)
                .orElseThrow()
                .verdict();
    }

    @Test
    void threeAttemptsSayHowManyMoreWouldTell() {
        HistoryLine line =
                line(History.of(List.of(thrusters(3, 30), thrusters(1, 26), thrusters(2, 27))), "thruster @ 40 kg");
        assertThat(line.verdict()).isEqualTo(Verdict.UNKNOWN);
        assertThat(HistoryWords.line(line)).contains("needs one more attempt");
        // In order of date, however they came.
        assertThat(line.points())
                .extracting(point -> point.on().getDayOfMonth())
                .containsExactly(2, 3, 4);
    }

    @Test
    void aHeavierBarIsAnotherLine() {
        String heavier = PAIR.replace("40 kg", "50 kg");
        Dated at50 = on(2, heavier, "A 1, D 51 x10, A 54, D 84 x10, A 87, D 137 x10, A 140, D 170 x10");
        History history = History.of(List.of(thrusters(1, 30), at50));
        assertThat(history.lines())
                .extracting(HistoryLine::title)
                .contains("burpee")
                .doesNotContain("thruster @ 40 kg");
        // Within 2.5 % it is the same bar.
        Dated at41 = on(
                2, PAIR.replace("40 kg", "41 kg"), "A 1, D 31 x10, A 34, D 64 x10, A 67, D 97 x10, A 101, D 131 x10");
        assertThat(History.of(List.of(thrusters(1, 30), at41)).lines())
                .extracting(HistoryLine::title)
                .contains("thruster @ 40 kg");
    }

    /** A thruster in the second minute and one in the twentieth are not done at like fatigue: they make no trend together. */
    /** Sixty percent of a max is no sixty kilograms. */
    @Test
    void aShareOfAMaxIsNoLoad() {
        Work kilograms =
                Work.of(expanded("# A\nfor time\n  10 deadlift @ 60 kg").segment(0));
        Work percent = Work.of(expanded("# A\nfor time\n  10 deadlift @ 60 %").segment(0));

        assertThat(percent.comparable(kilograms)).isFalse();
        assertThat(percent.comparable(percent)).isTrue();
        assertThat(Work.of(expanded("# A\nfor time\n  10 deadlift @ 132 lb").segment(0))
                        .comparable(kilograms))
                .isTrue();
    }

    @Test
    void aShortWorkoutAndALongOneAreTwoLines() {
        String longer = PAIR.replace("2 rounds", "12 rounds");
        History history =
                History.of(List.of(thrusters(1, 30), rounds(2, longer, 42), thrusters(3, 29), rounds(4, longer, 40)));
        assertThat(history.lines())
                .extracting(HistoryLine::title)
                .contains(
                        "thruster @ 40 kg, 2 min",
                        "thruster @ 40 kg, 14 to 15 min",
                        "Transitions, 2 min",
                        "Transitions, 14 to 15 min")
                .doesNotContain("thruster @ 40 kg", "Transitions");
        assertThat(line(history, "thruster @ 40 kg, 2 min").change()).isCloseTo(-100 / 30.0, within(1e-9));
    }

    /** However much faster it gets, the same workout is the same. */
    @Test
    void theSameWorkoutIsOneLineHoweverLongItTook() {
        String longer = PAIR.replace("2 rounds", "12 rounds");
        History history = History.of(List.of(rounds(1, longer, 90), rounds(2, longer, 42)));
        assertThat(history.lines()).extracting(HistoryLine::title).contains("thruster @ 40 kg", "Transitions");
    }

    /** As much of a movement in a workout about as long is alike; three times as much of it is not. */
    @Test
    void aboutAsMuchInAboutAsLongIsAlike() {
        String three = PAIR.replace("2 rounds", "3 rounds");
        assertThat(History.of(List.of(rounds(1, PAIR, 40), rounds(2, three, 30)))
                        .lines())
                .extracting(HistoryLine::title)
                .contains("thruster @ 40 kg");
        String thrice = PAIR.replace("10 thruster", "30 thruster");
        assertThat(History.of(List.of(rounds(1, PAIR, 40), rounds(2, thrice, 40)))
                        .lines())
                .extracting(HistoryLine::title)
                .doesNotContain("thruster @ 40 kg")
                .contains("burpee");
    }

    /** Each round's thrusters in so many seconds, its burpees in thirty. */
    private static Dated rounds(int day, String notation, double seconds) {
        StringBuilder jotted = new StringBuilder();
        double at = 0;
        for (var segment : expanded(notation).segments()) {
            double work = segment.movement().name().equals("thruster") ? seconds : 30;
            jotted.append(at == 0 ? "" : ", ")
                    .append("A ")
                    .append(at + 1)
                    .append(", D ")
                    .append(at + 1 + work);
            jotted.append(" x").append((int) segment.units());
            at += 1 + work;
        }
        return on(day, notation, jotted.toString());
    }

    @Test
    void roundTimesAloneShowNoMovement() {
        AttemptLog rounds = AttemptLog.of(
                expanded(PAIR),
                List.of(
                        Mark.of(MarkKind.DONE, 30_000).withDepth(wake.log.Granularity.ROUND),
                        Mark.of(MarkKind.DONE, 60_000).withDepth(wake.log.Granularity.SEGMENT),
                        Mark.of(MarkKind.DONE, 90_000).withDepth(wake.log.Granularity.ROUND),
                        Mark.of(MarkKind.DONE, 121_000).withDepth(wake.log.Granularity.SEGMENT)));
        AttemptFacts facts = AttemptFacts.of(reading(rounds));
        assertThat(facts.cadences()).isEmpty();
        assertThat(facts.transitions()).isEmpty();
        assertThat(facts.faultsPerHundred()).isEmpty();
        assertThat(facts.lost()).isEmpty();
    }

    /** Effort 6 at 1:00 and 8 at 3:00 is 7 at 2:00, even between the two. */
    @Test
    void effortIsHeldAgainstEffortAtOneClock() {
        History history = History.of(List.of(efforts(1, "1:6 3:8"), efforts(2, "2:6")));
        HistoryLine line = line(history, "Effort at 2:00");
        assertThat(line.points()).extracting(HistoryLine.Point::value).containsExactly(7.0, 6.0);
        assertThat(line.kind()).isEqualTo(Kind.EFFORT);
    }

    private static Dated efforts(int day, String known) {
        List<Mark> marks = new ArrayList<>();
        for (String one : known.split(" ")) {
            String[] at = one.split(":");
            marks.add(new Mark(
                    new UUID(1, marks.size()),
                    MarkKind.CUE,
                    60_000L * Integer.parseInt(at[0]),
                    0,
                    wake.log.Granularity.SET,
                    "effort",
                    at[1],
                    0.1));
        }
        AttemptLog log = AttemptLog.of(expanded(PAIR), marks);
        return new Dated(new UUID(0, day), LocalDate.of(2026, 3, day), AttemptFacts.of(reading(log)));
    }

    @Test
    void techniquesOfAMovementAreGatheredAndSaidOverAWorkout() {
        Dated first = varied(1, 30, 40);
        Dated second = varied(2, 32, 44);
        List<Techniques.Movement> all = Techniques.of(
                List.of(first, second),
                List.of(new TechniqueTest("burpee", "low", 15, 42_000, OptionalDouble.of(7), Optional.empty())));
        assertThat(all).hasSize(1);
        Techniques.Movement burpee = all.getFirst();
        assertThat(burpee.options()).extracting(Techniques.Option::name).containsExactly("step-back", "jump-back");
        assertThat(burpee.options().getFirst().seconds().median()).isCloseTo(3.1, within(1e-9));
        assertThat(burpee.tests().map(TechniqueWords::tests).orElseThrow())
                .containsExactly("Low: 2.80 s/rep, effort 7/10, 1 test");
        // 20 burpees, 1.1 s each in the middle: 4.2 less 3.1.
        Techniques.Over over = Techniques.over(
                        List.of(expanded(PAIR)),
                        burpee.work(),
                        burpee.options().get(0).seconds(),
                        burpee.options().get(1).seconds())
                .orElseThrow();
        assertThat(over.units()).isEqualTo(20);
        assertThat(over.seconds()).isCloseTo(22, within(1e-9));
        assertThat(over.least()).isCloseTo(20 * (4.0 - 3.2), within(1e-9));
        assertThat(over.most()).isCloseTo(20 * (4.4 - 3.0), within(1e-9));
    }

    private static Dated varied(int day, int stepping, int jumping) {
        List<Mark> marks = new ArrayList<>(Samples.marks("A 1, D 31 x10, A 34"));
        marks.add(technique(33_900, "step-back"));
        marks.addAll(Samples.marks("D " + (34 + stepping) + " x10, A 70, D 100 x10, A 104"));
        marks.add(technique(103_900, "jump-back"));
        marks.addAll(Samples.marks("D " + (104 + jumping) + " x10"));
        AttemptLog log = AttemptLog.of(expanded(PAIR), marks);
        return new Dated(new UUID(0, day), LocalDate.of(2026, 3, day), AttemptFacts.of(reading(log)));
    }

    private static Mark technique(long at, String name) {
        return new Mark(new UUID(2, at), MarkKind.VARIANT, at, 0, wake.log.Granularity.SET, "", name, 0.1);
    }

    @Test
    void theMostShownIsHeldAgainstWhatIsNoted() {
        var figures = wake.athlete.FiguresReader.read("unbroken burpee 8\nunbroken thruster 12", Samples.CATALOGUE)
                .figures();
        List<PersonalBest> best =
                PersonalBest.of(List.of(thrusters(1, 30), thrusters(2, 29)), figures, Samples.CATALOGUE);
        assertThat(best).extracting(PersonalBest::what).containsExactly("burpee", "thruster @ 40 kg");
        assertThat(best.getFirst().line()).contains("unbroken burpee 10 on 2026-03-02");
        // The workout asked for ten: more may have been possible.
        assertThat(best.getFirst().value()).isEqualTo("at least 10 reps");
        assertThat(best.getLast().grows()).isFalse();
        assertThat(best.getLast().line()).isEmpty();
    }

    static Stream<String> shelf() {
        return Stream.concat(Shelf.all(), Stream.of(Samples.LOCK_GATE, Samples.BELL_BUOY, Samples.STAGES));
    }

    /** Whatever the format, an attempt held against itself four times over moved by nothing. */
    @ParameterizedTest
    @MethodSource("shelf")
    void theSameAttemptAgainIsNoChange(String notation) {
        SimulatedAttempt one = Samples.simulated(notation, 7);
        AttemptFacts facts = AttemptFacts.of(reading(AttemptLog.of(one.expanded(), one.truth())));
        List<Dated> same = new ArrayList<>();
        for (int day = 1; day <= 4; day++) {
            same.add(new Dated(new UUID(0, day), LocalDate.of(2026, 3, day), facts));
        }
        History history = History.of(same);
        assertThat(history.lines()).isNotEmpty();
        assertThat(history.lines()).allSatisfy(line -> {
            assertThat(line.verdict()).isIn(Verdict.NOISE, Verdict.UNKNOWN);
            assertThat(line.points()).hasSize(4);
        });
    }
}
