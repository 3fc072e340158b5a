package wake;

import java.time.Clock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
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
    private static final Logger LOG = LoggerFactory.getLogger(WakeApplication.class);

    public static void main(String[] args) {
        SpringApplication.run(WakeApplication.class, args);
    }

    @Bean
    Clock clock() {
        return Clock.systemDefaultZone();
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
            LOG.info("Wake is ready: http://127.0.0.1:{}  (data in {}; Ctrl+C stops it)", port, properties.data());
        };
    }
}
