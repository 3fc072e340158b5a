package wake.api;

import java.util.UUID;

/** Something asked for that does not exist. */
class Unknown extends RuntimeException {
    private static final long serialVersionUID = 1L;

    Unknown(String what, UUID id) {
        super("There is no " + what + " with the id " + id + ".");
    }
}
