package wake.log;

/** What a coach can note about one moment of a recording. */
public enum MarkKind {
    /** A movement starts; ends the transition. */
    BEGIN("movement starts"),
    /** One counted rep. */
    REP("rep"),
    /** The athlete stops inside a movement. */
    OFF("break"),
    /** Work resumes after a break. */
    ON("back on"),
    /** The segment is complete. */
    DONE("done"),
    /** A rep that did not count. */
    NO_REP("no-rep"),
    /** A rep that was tried and not made; in a max-lift window a lift missed. */
    MISS("failed rep"),
    /** A rope trip, or a like stumble. */
    TRIP("trip"),
    /** The view is blocked from here. */
    BLIND("view blocked"),
    /** The view is clear again from here. */
    SEEN("view clear"),
    /** From here the movement is done with another technique, until the next one is named; the text names it. */
    VARIANT("technique"),
    /** A note pinned to the moment. */
    CUE("note"),
    /** An attempt in a lift window. */
    LIFT("lift"),
    /** The end before all is done: a stop, the buzzer or the time cap. */
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
