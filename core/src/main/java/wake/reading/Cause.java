package wake.reading;

/** Why an attempt differs from its baseline. */
public enum Cause {
    PACE("pace"),
    REST("rest"),
    TRANSITION("transition"),
    FAULT("faults"),
    INTERVAL_REST("interval rest"),
    UNSEPARATED("unassigned"),
    /** Another load or amount than the baseline's: no cause can be named. */
    UNLIKE("different work"),
    /** From the last unit that counts to the buzzer: no loss. */
    UNFINISHED("unfinished");

    private final String words;

    Cause(String words) {
        this.words = words;
    }

    /** Whether it can be a loss. */
    boolean isLoss() {
        return this != INTERVAL_REST && this != UNLIKE && this != UNFINISHED;
    }

    public String words() {
        return words;
    }
}
