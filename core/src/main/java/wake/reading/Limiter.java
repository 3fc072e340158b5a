package wake.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import wake.log.Cause;
import wake.units.Messages;

/**
 * The movement that lost the most, and how it shows.
 *
 * @param movement which
 * @param lostMs seconds lost in it against the baseline, in milliseconds
 * @param signs "fades 12%", "broke at 5 instead of 8", "long rests"
 */
public record Limiter(String movement, long lostMs, List<String> signs) {
    /** From so much lost a movement is a limiter; an assumption, like the signs below. */
    private static final long LEAST_MS = 2000;
    /** From this fade on it is named as a sign. */
    private static final double FADES_PERCENT = 5;
    /** From this share of rest in its splits on it is named as a sign. */
    private static final double RESTS_SHARE = 0.4;

    public Limiter {
        signs = List.copyOf(signs);
    }

    /** Only a line can be one: of rounds that are not broken down, nobody knows which. */
    static Optional<Limiter> of(Ledger ledger, List<MovementReading> movements, Baseline baseline) {
        return ledger.rows().stream()
                .filter(row -> movements.stream()
                        .anyMatch(one -> one.isOwn() && one.movement().equals(row.movement())))
                .filter(row -> row.totalMs() >= LEAST_MS)
                .max(Comparator.comparingLong(Ledger.Row::totalMs))
                .map(row -> new Limiter(row.movement(), row.totalMs(), signs(row, movements, baseline)));
    }

    private static List<String> signs(Ledger.Row row, List<MovementReading> movements, Baseline baseline) {
        Optional<MovementReading> known = movements.stream()
                .filter(one -> one.movement().equals(row.movement()))
                .findFirst();
        if (known.isEmpty()) {
            return List.of();
        }
        MovementReading reading = known.get();
        List<String> signs = new ArrayList<>();
        if (reading.fadePercent().orElse(0) >= FADES_PERCENT) {
            signs.add(Messages.of("fades %.0f%%", reading.fadePercent().orElseThrow()));
        }
        breaksEarly(reading, baseline).ifPresent(signs::add);
        if (row.byCause().getOrDefault(Cause.REST, 0L) >= RESTS_SHARE * row.totalMs()) {
            signs.add("long rests");
        }
        return signs;
    }

    private static Optional<String> breaksEarly(MovementReading reading, Baseline baseline) {
        for (MovementReading.Row row : reading.rows()) {
            List<Integer> planned = baseline.sets(row.split().segment());
            List<Integer> done = row.split().scheme();
            if (planned.isEmpty() || done.size() <= planned.size()) {
                continue;
            }
            if (done.getFirst() < planned.getFirst()) {
                return Optional.of(Messages.of(
                        "broke at %d instead of %d in %s",
                        done.getFirst(),
                        planned.getFirst(),
                        row.split().segment().place()));
            }
        }
        return Optional.empty();
    }
}
