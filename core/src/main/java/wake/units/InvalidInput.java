package wake.units;

/**
 * Something the user gave cannot be used as it is. The message says what and where, and how to write it, in words for the coach.
 *
 * <p>Every other exception that leaves the core is a defect of Wake's own, and is reported as one.
 */
public class InvalidInput extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    /** A message that repeats what was given is cut there: nobody reads on, and what was given may be megabytes. */
    private static final int LONGEST = 1500;

    public InvalidInput(String message) {
        super(cut(message));
    }

    public InvalidInput(String message, Throwable cause) {
        super(cut(message), cause);
    }

    private static String cut(String message) {
        return message.length() <= LONGEST ? message : message.substring(0, LONGEST) + " …";
    }
}
