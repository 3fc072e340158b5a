package wake.plan;

/** The pacing strategy: how the effort is spread. Coaches differ; each strategy reaches the same total. */
public enum PacingStrategy {
    /** Every round as written; the default, because a fast first round is the commonest mistake there is. */
    EVEN("the paces as entered"),
    /** Negative split: a sustainable pace, then faster over the last minutes. */
    KICK("hold, then speed up in the last 3:00"),
    /** Positive split: a faster first round, then some fade. */
    BANK("fast first round, then fade"),
    /** On the clock: each round starts on its mark, and what is left of it is rest. */
    INTERVAL("start each round on its mark, rest what is left");

    private final String words;

    PacingStrategy(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
