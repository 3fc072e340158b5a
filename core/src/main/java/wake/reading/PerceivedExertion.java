package wake.reading;

import java.util.List;
import wake.log.AttemptLog;

/**
 * Perceived exertion at a point of the clock, on the 0–10 scale.
 *
 * @param atMs clock time
 * @param level from 0 to 10
 */
public record PerceivedExertion(long atMs, double level) {
    private static final double MOST = 10;

    /** Effort notes whose text is a number from 0 to 10; others are words, and stay notes. */
    static List<PerceivedExertion> of(AttemptLog log) {
        return log.notes().stream()
                .filter(note -> note.isEffort() && note.text().strip().matches("\\d{1,2}([.,]5)?"))
                .map(note -> new PerceivedExertion(
                        note.atMs(), Double.parseDouble(note.text().strip().replace(',', '.'))))
                .filter(effort -> effort.level() <= MOST)
                .toList();
    }
}
