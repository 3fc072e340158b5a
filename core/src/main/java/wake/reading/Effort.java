package wake.reading;

import java.util.List;
import wake.log.AttemptLog;

/**
 * Perceived exertion at a point of the clock, on the 0–10 scale.
 *
 * @param atMs clock time
 * @param level from 0 to 10
 */
public record Effort(long atMs, double level) {
    private static final double MOST = 10;

    /** Effort cues whose text is a number from 0 to 10; others are words, and stay cues. */
    static List<Effort> of(AttemptLog log) {
        return log.cues().stream()
                .filter(cue -> cue.tag().equals("effort") && cue.text().strip().matches("\\d{1,2}([.,]5)?"))
                .map(cue -> new Effort(
                        cue.atMs(), Double.parseDouble(cue.text().strip().replace(',', '.'))))
                .filter(effort -> effort.level() <= MOST)
                .toList();
    }
}
