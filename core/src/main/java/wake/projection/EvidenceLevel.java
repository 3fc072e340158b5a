package wake.projection;

/** How well a target is backed by what the athlete has done; the strongest first. */
public enum EvidenceLevel {
    /** Reached in the last third of the times this work came in this attempt. */
    SHOWN_LATE("done late in this attempt"),
    /** Reached earlier in this attempt. */
    SHOWN("done in this attempt"),
    /** Reached in another logged attempt. */
    ELSEWHERE("done in another attempt"),
    /** Never seen. */
    NOT_YET_SHOWN("not done yet");

    private final String words;

    EvidenceLevel(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
