package wake.reading;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import wake.log.OwnPart;
import wake.log.Stretch;
import wake.statistics.Outlying;
import wake.workout.Comparability;
import wake.workout.Lap;

/**
 * How fast an attempt went along its work, measured against itself: a segment's work is its amount times the attempt's own
 * mean time per unit of that line at that load. So rounds of a growing ladder compare by what was done in them, not by their
 * times. What comes fewer than three times at one load is left out, and so is the one round that stands out among the others.
 *
 * @param shape the shape of the pacing; empty where no line comes three times at one load
 * @param thirds relative speed over each third of the work; 1 is the mean of the attempt
 * @param finish relative speed over the last 15 % of the clock against the middle; empty likewise
 * @param by the lines it rests on, where not all could be compared; else empty
 * @param apart the round left out because it stands out
 */
public record Pace(
        Optional<Shape> shape, List<Double> thirds, Optional<Double> finish, List<String> by, Optional<Lap> apart) {
    private static final Pace NONE =
            new Pace(Optional.empty(), List.of(), Optional.empty(), List.of(), Optional.empty());

    /** A third differs from another when it is more than this faster; an assumption. */
    static final double DIFFERS = 0.03;

    /** What comes less often has no mean worth comparing with; an assumption. */
    private static final int FEWEST = 3;
    /** The last 15% is the finish; an assumption. */
    private static final double FINISH = 0.15;

    public Pace {
        thirds = List.copyOf(thirds);
        by = List.copyOf(by);
    }

    /** The shapes of pacing after Abbiss & Laursen (2008). */
    public enum Shape {
        EVEN("even"),
        POSITIVE("fast start, then fading"),
        NEGATIVE("getting faster"),
        PARABOLIC("fast start and finish, slow middle"),
        VARIABLE("up and down");

        private final String words;

        Shape(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** The shape of three speeds. */
    static Shape shape(double first, double middle, double last) {
        int early = compare(first, middle);
        int late = compare(middle, last);
        int ends = compare(first, last);
        if (early > 0 && late < 0) {
            return Shape.PARABOLIC;
        }
        if (early < 0 && late > 0) {
            return Shape.VARIABLE;
        }
        int falls = early + late + ends;
        return falls > 0 ? Shape.POSITIVE : falls < 0 ? Shape.NEGATIVE : Shape.EVEN;
    }

    private static int compare(double one, double other) {
        if (one > other * (1 + DIFFERS)) {
            return 1;
        }
        return other > one * (1 + DIFFERS) ? -1 : 0;
    }

    static Pace of(OwnPart own, List<Rounds> blocks) {
        Optional<Lap> apart = apart(blocks);
        List<Kin> kins = new ArrayList<>();
        List<Stretch> complete = Stretch.of(own.log(), Set.of()).stream()
                .filter(stretch -> stretch.complete() && stretch.isOwn())
                .filter(stretch -> apart.isEmpty() || !stretch.segment().lap().equals(apart.get()))
                .toList();
        for (Stretch stretch : complete) {
            Kin kin = kins.stream().filter(one -> one.like(stretch)).findFirst().orElseGet(() -> {
                kins.add(new Kin(stretch));
                return kins.getLast();
            });
            kin.add(stretch);
        }
        List<Leg> legs = new ArrayList<>();
        Set<String> compared = new LinkedHashSet<>();
        Set<String> all = new LinkedHashSet<>();
        for (Stretch stretch : complete) {
            Kin kin = kins.stream().filter(one -> one.like(stretch)).findFirst().orElseThrow();
            all.add(stretch.name());
            if (kin.count >= FEWEST) {
                compared.add(stretch.name());
                legs.add(new Leg(units(stretch) * kin.msPerUnit(), activeMs(stretch)));
            }
        }
        if (legs.isEmpty()) {
            return NONE;
        }
        double work = legs.stream().mapToDouble(Leg::work).sum();
        double time = legs.stream().mapToDouble(Leg::ms).sum();
        List<Double> thirds = new ArrayList<>();
        for (int third = 0; third < 3; third++) {
            thirds.add(work / 3 / timeBetween(legs, work * third / 3, work * (third + 1) / 3));
        }
        double last = workBetween(legs, time * (1 - FINISH), time) / FINISH;
        double middle = workBetween(legs, time * FINISH, time * (1 - FINISH)) / (1 - 2 * FINISH);
        return new Pace(
                Optional.of(shape(thirds.get(0), thirds.get(1), thirds.get(2))),
                thirds,
                Optional.of(last / middle),
                compared.containsAll(all) ? List.of() : List.copyOf(compared),
                apart);
    }

    /** The one round that stands out among those of its block: it is said on its own, and is no shape. */
    private static Optional<Lap> apart(List<Rounds> blocks) {
        List<Lap> outlying = new ArrayList<>();
        for (Rounds rounds : blocks) {
            if (rounds.isOwn() && !rounds.isInner() && rounds.consistency().isPresent()) {
                Outlying.among(rounds.splits().stream()
                                .mapToDouble(Rounds.Round::elapsedMs)
                                .toArray())
                        .ifPresent(rule -> rounds.splits().stream()
                                .filter(round -> rule.is(round.elapsedMs()))
                                .forEach(round -> outlying.add(round.lap())));
            }
        }
        return outlying.size() == 1 ? Optional.of(outlying.getFirst()) : Optional.empty();
    }

    /** Stretches of like work: the same line at the same load, or rounds of the same work. */
    private static final class Kin {
        private final Stretch first;
        private double ms;
        private double units;
        private int count;

        Kin(Stretch first) {
            this.first = first;
        }

        boolean like(Stretch other) {
            if (first.whole() || other.whole()) {
                return first.same(other) && first.name().equals(other.name());
            }
            return first.segment().lineIndex() == other.segment().lineIndex()
                    && Comparability.comparable(first.segment(), other.segment());
        }

        void add(Stretch stretch) {
            ms += activeMs(stretch);
            units += units(stretch);
            count++;
        }

        double msPerUnit() {
            return ms / units;
        }
    }

    private static double units(Stretch stretch) {
        return stretch.whole() ? 1 : stretch.segment().units();
    }

    /** Some work and how long it took. */
    private record Leg(double work, double ms) {}

    private static double activeMs(Stretch stretch) {
        return Math.max(1, stretch.activeMs());
    }

    /** How much of one figure falls on a stretch of the other, each leg taken as even. */
    private static double between(
            List<Leg> legs, double from, double to, ToDoubleFunction<Leg> along, ToDoubleFunction<Leg> of) {
        double sum = 0;
        double passed = 0;
        for (Leg leg : legs) {
            double length = along.applyAsDouble(leg);
            double share = Math.max(0, Math.min(to, passed + length) - Math.max(from, passed)) / length;
            sum += share * of.applyAsDouble(leg);
            passed += length;
        }
        return sum;
    }

    private static double timeBetween(List<Leg> legs, double from, double to) {
        return between(legs, from, to, Leg::work, Leg::ms);
    }

    private static double workBetween(List<Leg> legs, double fromMs, double toMs) {
        return between(legs, fromMs, toMs, Leg::ms, Leg::work);
    }
}
