package wake.api;

/** A request made from an older state of what it changes; nothing was changed. The message says what to do. */
public class Conflict extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final String field;

    public Conflict(String field, String message) {
        super(message);
        this.field = field;
    }

    /** Which part of the request it concerns. */
    public String field() {
        return field;
    }
}
