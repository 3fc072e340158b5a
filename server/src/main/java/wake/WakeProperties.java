package wake;

import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Settings of the application.
 *
 * @param data folder that holds the database and the recordings
 * @param demo whether to fill an empty folder with the demo gym
 * @param rehearse whether to stop as soon as everything has started
 * @param openTo an address of this machine to answer others on; this machine only where it says nothing
 * @param passphrase what others have to say to be let in, at least twelve characters
 * @param namedAs more names to answer to, separated by commas
 */
@ConfigurationProperties("wake")
public record WakeProperties(
        Path data,
        boolean demo,
        boolean rehearse,
        @Nullable String openTo,
        @Nullable String passphrase,
        @Nullable String namedAs) {
    private static final int SHORTEST = 12;

    public WakeProperties {
        boolean open = openTo != null && !openTo.isBlank();
        if (open && (passphrase == null || passphrase.length() < SHORTEST)) {
            throw new IllegalArgumentException("To be open to a network, Wake needs a passphrase of at least "
                    + SHORTEST + " characters (WAKE_PASSPHRASE)");
        }
    }

    /** For this machine only. */
    public static WakeProperties of(Path data) {
        return new WakeProperties(data, false, false, null, null, null);
    }

    public Path media() {
        return data.resolve("media");
    }

    /** Whether others than this machine may come in. */
    public boolean isOpen() {
        return openTo != null && !openTo.isBlank();
    }

    /** Whether Wake goes by a name or address, beside those of this machine. */
    public boolean answersTo(String host) {
        if (!isOpen()) {
            return false;
        }
        if (host.equalsIgnoreCase(openTo)) {
            return true;
        }
        return namedAs != null
                && java.util.Arrays.stream(namedAs.split(",", -1))
                        .anyMatch(name -> name.strip().equalsIgnoreCase(host));
    }
}
