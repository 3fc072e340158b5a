package wake.log;

/** What the athlete is doing at a moment of the log, as far as the marks say. */
public enum Phase {
    /** Between segments, or begun unseen. */
    MOVING_TO,
    WORKING,
    RESTING,
    /** All work is done. */
    FINISHED,
    /** Stopped by a mark before all work was done. */
    STOPPED
}
