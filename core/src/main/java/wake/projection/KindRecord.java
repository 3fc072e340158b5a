package wake.projection;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How the changes of one kind came out in the calls checked.
 *
 * @param kind the code of the kind
 * @param last the last of them
 * @param changes how many were called
 * @param calledMs what they were called to win, milliseconds
 * @param cameMs what came of that kind
 */
public record KindRecord(String kind, Optional<Change> last, int changes, long calledMs, long cameMs) {
    /** One for each kind that was called, in the order of the kinds. */
    public static List<KindRecord> of(Collection<Lesson> lessons) {
        Map<String, KindRecord> records = new LinkedHashMap<>();
        ChangeKind.all()
                .forEach(kind -> records.put(kind.code(), new KindRecord(kind.code(), Optional.empty(), 0, 0, 0)));
        for (Lesson lesson : lessons) {
            for (Outcome.Came came : lesson.outcome().changes()) {
                String code = came.change().kind().code();
                KindRecord one = new KindRecord(code, Optional.of(came.change()), 1, came.calledMs(), came.cameMs());
                records.merge(code, one, KindRecord::and);
            }
        }
        List<KindRecord> called = new ArrayList<>(records.values());
        called.removeIf(record -> record.changes() == 0);
        return called;
    }

    private KindRecord and(KindRecord more) {
        return new KindRecord(kind, more.last, changes + more.changes, calledMs + more.calledMs, cameMs + more.cameMs);
    }
}
