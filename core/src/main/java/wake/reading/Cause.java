package wake.reading;

/** Why an attempt differs from its yardstick. */
public enum Cause {
    PACE("pace"),
    REST("rests"),
    TRANSITION("transitions"),
    FAULT("faults"),
    INTERVAL_REST("interval rest"),
    UNSEPARATED("unseparated");

    private final String words;

    Cause(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
