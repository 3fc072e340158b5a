package wake;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;

/** Starts Wake. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class WakeApplication {
    private static final int USUAL_PORT = 8420;
    private static final Logger LOG = LoggerFactory.getLogger(WakeApplication.class);

    public static void main(String[] args) throws Exception {
        String command = args.length > 1 ? args[0] : "";
        if (command.equals("backup") || command.equals("restore")) {
            System.exit(command(command, List.of(args).subList(1, args.length)));
        }
        SpringApplication.run(WakeApplication.class, args);
    }

    /** {@code backup FILE [--from FOLDER]} or {@code restore FILE [--into FOLDER] [--yes]}. */
    private static int command(String command, List<String> words) throws Exception {
        if (LoggerFactory.getLogger(Logger.ROOT_LOGGER_NAME) instanceof ch.qos.logback.classic.Logger root) {
            // What a command has to say it says itself.
            root.setLevel(ch.qos.logback.classic.Level.OFF);
        }
        int into = Math.max(words.indexOf("--into"), words.indexOf("--from"));
        Path data = Path.of(
                into >= 0 && into + 1 < words.size() ? words.get(into + 1) : System.getProperty("wake.data", "data"));
        Commands commands = new Commands(data, System.out);
        Path file = Path.of(words.getFirst());
        return command.equals("backup")
                ? commands.backup(file, Integer.getInteger("server.port", USUAL_PORT))
                : commands.restore(file, words.contains("--yes"), System.in);
    }

    /** The clock of this machine; the tests of a clock that was set wrongly have it go wrong by so much. */
    @Bean
    Clock clock(@Value("${wake.clock-set-by:PT0S}") Duration setBy) {
        return Clock.offset(Clock.systemDefaultZone(), setBy);
    }

    /** Says where Wake answers; a rehearsal (the start that trains the start-up cache) ends here. */
    @Bean
    @Order(Ordered.LOWEST_PRECEDENCE)
    ApplicationRunner ready(ConfigurableApplicationContext context, WakeProperties properties) {
        return arguments -> {
            if (properties.rehearse()) {
                context.close();
                return;
            }
            String port = context.getEnvironment().getProperty("local.server.port", "?");
            String host = properties.isOpen() ? properties.openTo() : "127.0.0.1";
            LOG.info("Wake is ready: http://{}:{}  (data in {}; Ctrl+C stops it)", host, port, properties.data());
            if (properties.isOpen()) {
                LOG.warn(
                        "Open to the network of {}: whoever has the passphrase can read and change everything, and what goes over the"
                                + " network is not encrypted. Use it in a network you trust, and for as long as you need it.",
                        host);
            }
        };
    }
}
