package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
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

    private static String of(String format, Object... figures) {
        return String.format(Locale.ROOT, format, figures);
    }

    /** How much slower the work that follows may get before the gain is gone. */
    List<String> pushing(Change change, Gain alone) {
        double after = workAfter(change);
        double won = wonMs(change);
        if (alone.rank() <= 0 || after <= 0 || won <= 0) {
            return List.of();
        }
        return List.of(of("Still a gain while the work after it slows by less than %.1f\u00a0%%.", 100 * won / after));
    }

    private double wonMs(Change change) {
        var effect = change.on(replay);
        return replay.pieces().stream()
                .filter(Piece::seen)
                .mapToDouble(piece -> piece.ms() - effect.apply(piece).newMs(piece))
                .sum();
    }

    /** All work after the first piece that a change touches, apart from what it touches. */
    private double workAfter(Change change) {
        var effect = change.on(replay);
        double sum = 0;
        boolean begun = false;
        for (Piece piece : replay.pieces()) {
            Effect does = effect.apply(piece);
            begun |= does.newMs(piece) != piece.ms();
            if (begun && piece.seen() && piece.isWork() && does.newMs(piece) == piece.ms()) {
                sum += piece.ms();
            }
        }
        return sum;
    }

    /** Of a change that costs time where it is made, what it must bring afterwards; empty where it costs none. */
    Optional<List<String>> slower(Change change) {
        double won = wonMs(change);
        double after = workAfter(change);
        return won < 0 && after > 0
                ? Optional.of(List.of(of(
                        "It costs %.1f s there and pays when the work after it gets %.1f %% quicker.",
                        -won / 1000, -100 * won / after)))
                : Optional.empty();
    }

    /** What another pace takes on a machine of which the power is known, against what it took. */
    Optional<String> power(Scope scope, double secondsPerUnit) {
        double ms = 0;
        double amount = 0;
        Segment segment = null;
        for (Piece piece : replay.pieces()) {
            if (piece.seen() && piece.isWork() && scope.has(piece)) {
                ms += piece.coreMs();
                amount += piece.amount();
                segment = piece.segment();
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
        double ratio = then.get().watts() / now.get().watts() - 1;
        return Optional.of(of(
                "It takes %.0f W where %.0f W were rowed or skied on average: %+.0f %%; power rises with the cube of the speed.",
                then.get().watts(), now.get().watts(), 100 * ratio));
    }

    List<String> sets(ChangeSets change) {
        int breaksNow = 0;
        int breaksThen = 0;
        double reps = 0;
        int segments = 0;
        for (SegmentSplit split : replay.log().splits()) {
            boolean counts = change.scope().has(split.segment())
                    && split.segment().tappable()
                    && split.complete()
                    && !split.sets().isEmpty();
            if (counts) {
                segments++;
                breaksNow += split.sets().size() - 1;
                breaksThen += change.sets().sets(split.segment().steps()).size() - 1;
                reps += split.segment().units();
            }
        }
        double rest = change.usualRestMs(replay) / 1000;
        int more = breaksThen - breaksNow;
        List<String> words = new ArrayList<>();
        if (segments == 0 || more == 0) {
            words.add("As many breaks as in this attempt: only where they fall changes.");
        } else if (more > 0) {
            words.add(of(
                    "%d more breaks of %.1f s cost %.1f s over %d segments. They pay when the reps get %.2f s quicker, or what follows gains as much.",
                    more, rest, more * rest, segments, more * rest / reps));
        } else {
            words.add(of(
                    "%d fewer breaks of %.1f s save %.1f s. It is lost again when the reps get %.2f s slower, or what follows loses as much.",
                    -more, rest, -more * rest, -more * rest / reps));
        }
        words.add(shownAfterBreaks(change.movement()));
        return words;
    }

    /** What came after broken and after unbroken sets, per unit of what follows. */
    private String shownAfterBreaks(String movement) {
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
        OptionalDouble after = mean(broken);
        OptionalDouble without = mean(unbroken);
        if (after.isEmpty() || without.isEmpty()) {
            return "This attempt cannot say: " + (after.isEmpty() ? "it was never broken." : "it was always broken.");
        }
        return of(
                "In this attempt what follows took %.2f s a unit after broken sets (%d times) and %.2f s after unbroken ones (%d times); rounds differ in more than that.",
                after.getAsDouble(), broken.size(), without.getAsDouble(), unbroken.size());
    }

    private static OptionalDouble mean(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).average();
    }

    /** What spreading evenly is worth by how dear speed is. */
    List<String> band() {
        Gain low = Gain.between(replay.score(List.of()), replay.score(List.of(new SpreadEvenly(1))));
        Gain high = Gain.between(replay.score(List.of()), replay.score(List.of(new SpreadEvenly(3))));
        return List.of("Between " + low.words() + " (where speed costs little, α = 1) and " + high.words()
                + " (where it costs much, α = 3): how dear speed is, is an assumption but for rowing.");
    }
}
