package wake.projection;

import java.util.List;
import wake.log.AttemptLog;

/** Every kind of change that has something to work on in an attempt, each with a target to start from. */
public final class Possible {
    private Possible() {}

    public static List<Change> in(AttemptLog log) {
        return in(new Seen(Replay.of(log)));
    }

    static List<Change> in(Seen seen) {
        return ChangeKind.all().stream()
                .flatMap(kind -> kind.possible().apply(seen).stream())
                .filter(change -> change.reason(seen.replay()).isEmpty())
                .toList();
    }
}
