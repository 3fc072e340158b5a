package wake.log;

/** How closely a stretch was watched: whether a segment without breaks had none, or nobody looked. */
public enum Granularity {
    /** Nobody saw this end: only that of the round was noted, and it was placed inside the round by the plan. */
    ROUND,
    /** Only the ends were noted: breaks inside are unknown. */
    SEGMENT,
    /** Breaks were noted: a segment without one was unbroken. */
    SET
}
