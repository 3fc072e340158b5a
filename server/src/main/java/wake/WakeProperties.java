package wake;

import java.nio.file.Path;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Settings of the application.
 *
 * @param data folder that holds the database and the recordings
 * @param demo whether to fill an empty folder with the demo gym
 * @param rehearse whether to stop as soon as everything has started
 */
@ConfigurationProperties("wake")
public record WakeProperties(Path data, boolean demo, boolean rehearse) {
    public Path media() {
        return data.resolve("media");
    }
}
