package wake.media;

/** A file that was offered as a recording and is none; the message is meant for the coach. */
public class NotAVideo extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public NotAVideo(String message) {
        super(message);
    }
}
