package wake.units;

/**
 * Something the user gave cannot be used as it is. The message says what and where, and how to write it, in words for the coach.
 *
 * <p>Every other exception that leaves the core is a defect of Wake's own, and is reported as one.
 */
public class InvalidInput extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    public InvalidInput(String message) {
        super(message);
    }

    public InvalidInput(String message, Throwable cause) {
        super(message, cause);
    }
}
