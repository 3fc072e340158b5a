package wake.api;

import java.util.function.Supplier;
import wake.units.InvalidInput;
import wake.units.Messages;

/** A request that cannot be met as it stands; the message says why, in words for the coach. */
public class InvalidRequest extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final String field;

    public InvalidRequest(String field, String message) {
        super(message);
        this.field = field;
    }

    /** Which part of the request it concerns. */
    public String field() {
        return field;
    }

    /** Makes a value from a request; what its constructor refuses, the request is refused for. */
    public static <T> T orElse(String field, Supplier<T> making) {
        try {
            return making.get();
        } catch (InvalidInput unfit) {
            throw new InvalidRequest(field, Messages.sentence(String.valueOf(unfit.getMessage())));
        } catch (NullPointerException missing) {
            // A field that was not sent: nothing else is null there, which NullAway holds.
            throw new InvalidRequest(field, "Please fill this in.");
        }
    }
}
