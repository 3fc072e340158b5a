package wake.projection;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How the changes of one kind came out in the projections checked, as far as the logs show it.
 *
 * @param kind the code of the kind
 * @param last the last of them
 * @param changes how many were projected
 * @param projectedMs what they were called to win, milliseconds
 * @param actualMs the outcome of that kind
 */
public record KindRecord(String kind, Optional<Change> last, int changes, long projectedMs, long actualMs) {
    /** One for each kind that was projected, in the order of the kinds. */
    public static List<KindRecord> of(Collection<CalibrationPoint> points) {
        Map<String, KindRecord> records = new LinkedHashMap<>();
        ChangeKind.all()
                .forEach(kind -> records.put(kind.code(), new KindRecord(kind.code(), Optional.empty(), 0, 0, 0)));
        for (CalibrationPoint point : points) {
            for (Outcome.ChangeOutcome actual : point.outcome().changes()) {
                if (actual.isUntold()) {
                    continue;
                }
                String code = actual.change().kind().code();
                KindRecord one =
                        new KindRecord(code, Optional.of(actual.change()), 1, actual.projectedMs(), actual.actualMs());
                records.merge(code, one, KindRecord::and);
            }
        }
        List<KindRecord> projected = new ArrayList<>(records.values());
        projected.removeIf(record -> record.changes() == 0);
        return projected;
    }

    private KindRecord and(KindRecord more) {
        return new KindRecord(
                kind, more.last, changes + more.changes, projectedMs + more.projectedMs, actualMs + more.actualMs);
    }
}
