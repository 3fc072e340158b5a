package wake.api;

import java.io.IOException;

/** A body larger than is read. */
public class TooLarge extends IOException {
    private static final long serialVersionUID = 1L;

    public TooLarge(long most) {
        super("The request is larger than the " + (most >> 20 > 0 ? (most >> 20) + " MB" : (most >> 10) + " kB")
                + " that are read.");
    }
}
