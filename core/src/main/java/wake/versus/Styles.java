package wake.versus;

import wake.reading.Cause;

/** How a gain by a cause is said, as the one who has it would hear it. */
final class Styles {
    private Styles() {}

    static String won(Cause cause) {
        return switch (cause) {
            case PACE -> "a faster rate";
            case REST -> "less rest";
            case TRANSITION -> "faster transitions";
            case FAULT -> "fewer faults";
            case INTERVAL_REST -> "less interval rest";
            case UNSEPARATED -> "less time";
            case UNLIKE -> "different work";
            case UNFINISHED -> "unfinished work";
        };
    }

    /** Whether it is a way of doing the work, which a coach can choose. */
    static boolean isWay(Cause cause) {
        return cause == Cause.PACE || cause == Cause.REST || cause == Cause.TRANSITION || cause == Cause.FAULT;
    }
}
