package wake.projection;

import java.util.List;
import wake.log.AttemptLog;

/** Every kind of change that has something to work on in an attempt, each with a target to start from. */
public final class AvailableChanges {
    private AvailableChanges() {}

    public static List<Change> in(AttemptLog log) {
        return in(new Observed(Replay.of(log)));
    }

    static List<Change> in(Observed observed) {
        return ChangeKind.all().stream()
                .flatMap(kind -> kind.possible().apply(observed).stream())
                .filter(change -> change.reason(observed.replay()).isEmpty())
                .toList();
    }
}
