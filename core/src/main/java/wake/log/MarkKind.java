package wake.log;

/** What a coach can note about one moment of a recording. */
public enum MarkKind {
    /** First action of a segment; ends the transition. */
    BEGIN("first action"),
    /** One counted rep. */
    REP("rep"),
    /** The set is broken. */
    OFF("break"),
    /** Work resumes after a break. */
    ON("back on"),
    /** The segment is complete. */
    DONE("done"),
    /** A rep that did not count. */
    NO_REP("no-rep"),
    /** A lift that failed. */
    MISS("missed lift"),
    /** A rope trip, or a like stumble. */
    TRIP("trip"),
    /** The view is blocked from here. */
    BLIND("view blocked"),
    /** The view is clear again from here. */
    SEEN("view clear"),
    /** From here the movement is done another way, until told otherwise; the text names it. */
    VARIANT("variant"),
    /** A note pinned to the moment. */
    CUE("cue"),
    /** An attempt in a lift window. */
    LIFT("lift"),
    /** The end: a stop before the finish, or the bell. */
    STOP("stop");

    private final String words;

    MarkKind(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Whether a count of reps may come with it. */
    public boolean tellsReps() {
        return this == REP || this == OFF || this == DONE || this == STOP || this == LIFT;
    }

    public boolean isFault() {
        return this == NO_REP || this == MISS || this == TRIP;
    }
}
