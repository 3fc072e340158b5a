package wake.review;

import java.util.List;
import java.util.UUID;
import wake.field.Entry;
import wake.field.Piece;
import wake.log.AttemptLog;
import wake.log.AttemptLog.TieBreak;
import wake.log.Lift;
import wake.review.ProjectedJson.ScoreJson;
import wake.units.Digits;

/** What a field knows of an attempt, as it is kept. */
public record EntryJson(ScoreJson score, List<TieBreak> tieBreaks, Digits digits, UUID course, List<Piece> pieces) {
    public static EntryJson of(Entry entry) {
        return new EntryJson(
                ScoreJson.of(entry.score()), entry.tieBreaks(), entry.digits(), entry.course(), entry.pieces());
    }

    public Entry entry() {
        return new Entry(score.score(), tieBreaks, digits, course, pieces);
    }

    /** Whether a log has an end, or a lift made, to be ranked by. */
    public static boolean isRanked(AttemptLog log) {
        return log.over() || log.lifts().stream().anyMatch(Lift::made);
    }
}
