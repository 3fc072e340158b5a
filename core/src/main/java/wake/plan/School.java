package wake.plan;

/** How the start is spent. Coaches differ; each school reaches the same total another way. */
public enum School {
    /** Every round as written; the default, because a fast first round is the commonest mistake there is. */
    EVEN("every round the same"),
    /** A sustainable pace, then a push over the last minutes. */
    KICK("hold, then push the last three minutes"),
    /** A faster first round, some decay accepted. */
    BANK("a faster first round, some decay accepted"),
    /** Each round starts on its mark, what is left of it being rest. */
    INTERVAL("each round starts on its mark, resting what is left");

    private final String words;

    School(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
