package wake.review;

import wake.units.InvalidInput;

/**
 * An attempt that cannot be read as it is kept: its workout, its division or its log is invalid, or Wake fails at it. The rest is not touched by
 * it.
 */
public class Unreadable extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public Unreadable(String why, Throwable cause) {
        super("This attempt cannot be read, because " + why, cause);
    }

    /** Whether it is Wake's own fault, rather than that of what is kept. */
    public boolean isDefect() {
        return !(getCause() instanceof InvalidInput);
    }

    /** Why, without the rest of the sentence. */
    public String why() {
        return String.valueOf(getMessage());
    }
}
