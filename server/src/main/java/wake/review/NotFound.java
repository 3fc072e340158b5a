package wake.review;

import java.util.UUID;

/** Something asked for that does not exist. */
public class NotFound extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public NotFound(String what, UUID id) {
        super("This " + what + " doesn't exist or was deleted: " + id + ".");
    }
}
