package wake.api.plan;

import java.util.UUID;
import wake.RunningServer;

/** What the tests of plans share. */
final class Planning {
    static final String BARS =
            "# Kelp Line\nfor time\n  4 rounds:\n    12 deadlift @ 60 kg\n    9 hang power clean @ 60 kg\n    15 burpee\n";

    private Planning() {}

    static String path(UUID attempt) {
        return "/api/attempts/" + attempt + "/plan";
    }

    /** The plan of an attempt as it is sent back. */
    static String draft(RunningServer wake, UUID attempt) {
        return wake.get(path(attempt)).json().at("/plan").toString();
    }
}
