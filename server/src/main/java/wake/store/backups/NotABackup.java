package wake.store.backups;

/** A file that was offered as a backup and cannot be used; the message is meant for the coach. */
public class NotABackup extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public NotABackup(String message) {
        super(message);
    }
}
