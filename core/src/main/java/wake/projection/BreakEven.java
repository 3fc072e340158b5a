package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import wake.log.SegmentSplit;
import wake.movement.AirErg;
import wake.units.ErgPower;
import wake.workout.Segment;

/**
 * Where the effect of a change is not arithmetic, no guess: what would have to come of it for it to pay, and what the attempt
 * itself shows about that.
 */
final class BreakEven {
    private final Replay replay;

    BreakEven(Replay replay) {
        this.replay = replay;
    }

    /** How much slower the work that follows may get before the gain is gone. */
    List<Condition> pushing(Change change, Gain alone) {
        double after = workAfter(change);
        double won = wonMs(change);
        if (alone.rank() <= 0 || after <= 0 || won <= 0) {
            return List.of();
        }
        return List.of(new Condition.Unless(100 * won / after));
    }

    private double wonMs(Change change) {
        var effect = change.on(replay);
        return replay.slices().stream()
                .filter(TimeSlice::observed)
                .mapToDouble(slice -> slice.ms() - effect.apply(slice).newMs(slice))
                .sum();
    }

    /** All work after the first piece that a change touches, apart from what it touches. */
    private double workAfter(Change change) {
        var effect = change.on(replay);
        double sum = 0;
        boolean begun = false;
        for (TimeSlice slice : replay.slices()) {
            Effect does = effect.apply(slice);
            begun |= does.newMs(slice) != slice.ms();
            if (begun && slice.observed() && slice.isEffort() && does.newMs(slice) == slice.ms()) {
                sum += slice.ms();
            }
        }
        return sum;
    }

    /** Of a change that costs time where it is made, what it must bring afterwards; empty where it costs none. */
    Optional<List<Condition>> slower(Change change) {
        double won = wonMs(change);
        double after = workAfter(change);
        return won < 0 && after > 0
                ? Optional.of(List.of(new Condition.PaidBack(-won / 1000, -100 * won / after)))
                : Optional.empty();
    }

    /** What another pace takes on a machine of which the power is known, against what it took. */
    Optional<Condition> power(Scope scope, double secondsPerUnit) {
        double ms = 0;
        double amount = 0;
        Segment segment = null;
        for (TimeSlice slice : replay.slices()) {
            if (slice.observed() && slice.isWork() && scope.has(slice)) {
                ms += slice.coreMs();
                amount += slice.amount();
                segment = slice.segment();
            }
        }
        if (segment == null || amount == 0) {
            return Optional.empty();
        }
        var unit = segment.amount().unit();
        Optional<ErgPower> now = AirErg.power(segment.movement(), unit, ms / 1000 / amount);
        Optional<ErgPower> then = AirErg.power(segment.movement(), unit, secondsPerUnit);
        if (now.isEmpty() || then.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Condition.Power(now.get().watts(), then.get().watts()));
    }

    List<Condition> sets(ChangeSets change) {
        int breaksNow = 0;
        int breaksThen = 0;
        double reps = 0;
        for (SegmentSplit split : replay.log().splits()) {
            boolean counts = change.scope().has(split.segment())
                    && split.segment().tappable()
                    && split.complete()
                    && !split.sets().isEmpty();
            if (counts) {
                breaksNow += split.sets().size() - 1;
                breaksThen += change.sets().sets(split.segment().steps()).size() - 1;
                reps += split.segment().units();
            }
        }
        double rest = change.usualRestMs(replay) / 1000;
        int more = breaksThen - breaksNow;
        return List.of(new Condition.Breaks(more, rest, Math.abs(more) * rest / reps), afterBreaks(change.movement()));
    }

    /** What came after broken and after unbroken sets, per unit of what follows. */
    private Condition afterBreaks(String movement) {
        List<SegmentSplit> splits = replay.log().splits();
        List<Double> broken = new ArrayList<>();
        List<Double> unbroken = new ArrayList<>();
        for (int i = 0; i + 1 < splits.size(); i++) {
            SegmentSplit split = splits.get(i);
            SegmentSplit next = splits.get(i + 1);
            boolean counts = split.segment().movement().name().equals(movement)
                    && !split.segment().isPartners()
                    && !next.segment().isPartners()
                    && !split.sets().isEmpty()
                    && next.complete()
                    && next.segment().units() > 0;
            if (counts) {
                double perUnit = (next.elapsedMs() - next.waitMs())
                        / 1000.0
                        / next.segment().units();
                (split.sets().size() > 1 ? broken : unbroken).add(perUnit);
            }
        }
        return new Condition.AfterBreaks(mean(broken), broken.size(), mean(unbroken), unbroken.size());
    }

    private static OptionalDouble mean(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).average();
    }

    /** What an even pace is worth, by how much effort speed takes. */
    List<Condition> band() {
        Gain low = Gain.between(replay.score(List.of()), replay.score(List.of(new SpreadEvenly(1))));
        Gain high = Gain.between(replay.score(List.of()), replay.score(List.of(new SpreadEvenly(3))));
        return List.of(new Condition.EffortBand(low, high));
    }
}
