package wake.projection;

/** How well a target is backed by what the athlete has done. Credits are assumptions. */
public enum Evidence {
    /** Reached in the last third of this attempt. */
    SHOWN_LATE("shown late", 1.00),
    /** Reached earlier in this attempt. */
    SHOWN("shown", 0.75),
    /** Reached in another logged attempt. */
    ELSEWHERE("elsewhere", 0.50),
    /** Never seen. */
    NOT_YET_SHOWN("not yet shown", 0.25);

    private final String words;
    private final double credit;

    Evidence(String words, double credit) {
        this.words = words;
        this.credit = credit;
    }

    public String words() {
        return words;
    }

    /** The share of a gain that counts as backed, from 0 to 1. */
    public double credit() {
        return credit;
    }
}
