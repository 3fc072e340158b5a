package wake.projection;

/** How well a target is backed by what the athlete has done; the strongest first. */
public enum Evidence {
    /** Reached in the last third of the times this work came in this attempt. */
    SHOWN_LATE("shown, also late"),
    /** Reached earlier in this attempt. */
    SHOWN("shown"),
    /** Reached in another logged attempt. */
    ELSEWHERE("elsewhere"),
    /** Never seen. */
    NOT_YET_SHOWN("not yet shown");

    private final String words;

    Evidence(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
