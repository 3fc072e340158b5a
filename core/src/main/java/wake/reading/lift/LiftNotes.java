package wake.reading.lift;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalLong;
import wake.log.Lift;
import wake.statistics.Statistics;

/** What is worth knowing of a lift window, each with the lift it rests on. */
public final class LiftNotes {
    private static final int MOST = 6;
    /** A lift that took so much longer than the middle of the others is said to have been ground out; an assumption. */
    private static final double SLOWER = 1.3;
    /** A start later or earlier than planned by less is as planned; an assumption. */
    private static final long AS_PLANNED_MS = 10_000;

    private final LiftReading reading;

    private LiftNotes(LiftReading reading) {
        this.reading = reading;
    }

    /** The notes of a window, the misses first; at most six. */
    public static List<LiftNote> of(LiftReading reading) {
        return new LiftNotes(reading).all();
    }

    private List<LiftNote> all() {
        List<LiftNote> all = new ArrayList<>();
        reading.rows().stream()
                .filter(row -> row.lift().outcome() == Lift.Outcome.MISSED)
                .map(this::miss)
                .forEach(all::add);
        rhythm().ifPresent(all::add);
        offPlan().ifPresent(all::add);
        slow().ifPresent(all::add);
        jumps().ifPresent(all::add);
        timeLeft().ifPresent(all::add);
        return all.stream().limit(MOST).toList();
    }

    private LiftNote miss(LiftRow row) {
        OptionalLong rest = row.number() > 1 ? row.restMs() : OptionalLong.empty();
        return new LiftNote.Miss(row, rest, rest.isPresent() && shortest(row, rest.getAsLong()), aboveBest(row));
    }

    private boolean shortest(LiftRow row, long restMs) {
        List<LiftRow> rested = reading.rested();
        return rested.size() > 1
                && rested.stream()
                        .filter(one -> one != row)
                        .allMatch(one -> one.restMs().orElseThrow() > restMs);
    }

    private OptionalDouble aboveBest(LiftRow row) {
        if (row.lift().load().isEmpty()) {
            return OptionalDouble.empty();
        }
        return reading.rows().stream()
                .filter(one -> one.lift().made() && one.lift().load().isPresent())
                .mapToDouble(LiftReading::kilograms)
                .max()
                .stream()
                .map(best -> 100 * (LiftReading.kilograms(row) / best - 1))
                .findFirst();
    }

    private Optional<LiftNote> rhythm() {
        OptionalLong each = reading.eachMs();
        return each.isEmpty()
                ? Optional.empty()
                : Optional.of(new LiftNote.Rhythm(
                        reading.rows().getFirst(),
                        reading.rows().getLast(),
                        each.getAsLong(),
                        reading.rested().stream()
                                .map(row -> row.restMs().orElseThrow())
                                .toList()));
    }

    private Optional<LiftNote> offPlan() {
        return reading.rows().stream()
                .filter(row -> row.lateMs().isPresent() && Math.abs(row.lateMs().getAsLong()) >= AS_PLANNED_MS)
                .max(Comparator.comparingLong(row -> Math.abs(row.lateMs().getAsLong())))
                .map(row -> new LiftNote.OffPlan(row, row.lateMs().getAsLong()));
    }

    private Optional<LiftNote> slow() {
        List<LiftRow> timed = reading.rows().stream()
                .filter(row -> row.lift().made()
                        && row.lift().scores()
                        && row.lift().lengthMs().isPresent())
                .toList();
        if (timed.size() < 3) {
            return Optional.empty();
        }
        LiftRow slowest = timed.stream()
                .max(Comparator.comparingLong(LiftNotes::lengthMs))
                .orElseThrow();
        double middle = Statistics.median(timed.stream()
                .filter(row -> row != slowest)
                .mapToDouble(LiftNotes::lengthMs)
                .toArray());
        return lengthMs(slowest) >= SLOWER * middle
                ? Optional.of(new LiftNote.Slow(slowest, lengthMs(slowest), Math.round(middle)))
                : Optional.empty();
    }

    private static long lengthMs(LiftRow row) {
        return row.lift().lengthMs().orElseThrow();
    }

    private Optional<LiftNote> jumps() {
        List<LiftRow> jumped =
                reading.rows().stream().filter(row -> row.jumpKg().isPresent()).toList();
        return jumped.size() < 2 ? Optional.empty() : Optional.of(new LiftNote.Jumps(jumped.getFirst(), jumped));
    }

    private Optional<LiftNote> timeLeft() {
        OptionalLong each = reading.eachMs();
        if (each.isEmpty() || reading.rows().isEmpty() || !reading.over()) {
            return Optional.empty();
        }
        LiftRow last = reading.rows().getLast();
        long left = reading.window().windowMs() - last.lift().atMs();
        return left > each.getAsLong() ? Optional.of(new LiftNote.TimeLeft(last, left)) : Optional.empty();
    }
}
