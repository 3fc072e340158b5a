package wake.review;

/** An attempt that cannot be read as it is kept: its workout, its division or its log is refused by the core. The rest is not touched by it. */
public class Unreadable extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public Unreadable(String why, Throwable cause) {
        super("This attempt cannot be read, because " + why, cause);
    }

    /** Why, without the rest of the sentence. */
    public String why() {
        return String.valueOf(getMessage());
    }
}
