package wake.store;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Arrays;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationState;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import wake.WakeProperties;
import wake.store.copies.DataFolder;

/** Opens the database: the folder is prepared first, and copied before a renewal. */
@Configuration
class Database {
    @Bean(destroyMethod = "close")
    DataFolder dataFolder(WakeProperties properties) {
        return DataFolder.open(properties.data());
    }

    @Bean
    @ConfigurationProperties("spring.datasource.hikari")
    HikariDataSource dataSource(DataFolder prepared, DataSourceProperties properties) {
        return properties
                .initializeDataSourceBuilder()
                .type(HikariDataSource.class)
                .build();
    }

    @Bean
    FlywayMigrationStrategy renewal(DataFolder folder) {
        return flyway -> {
            MigrationInfo[] pending = flyway.info().pending();
            MigrationInfo current = flyway.info().current();
            if (current != null && current.getState() == MigrationState.FUTURE_SUCCESS) {
                throw DataFolder.newer(number(current), newestKnown(flyway));
            }
            try {
                if (pending.length > 0) {
                    int from = current == null ? 0 : number(current);
                    try (Connection db =
                            flyway.getConfiguration().getDataSource().getConnection()) {
                        folder.renewing(db, from, newestKnown(flyway));
                    }
                    flyway.migrate();
                }
                folder.renewed();
            } catch (IOException | SQLException failed) {
                throw new IllegalStateException("The database cannot be renewed", failed);
            }
        };
    }

    private static int number(MigrationInfo migration) {
        return Integer.parseInt(migration.getVersion().getVersion());
    }

    private static int newestKnown(Flyway flyway) {
        return Arrays.stream(flyway.info().all())
                .filter(migration -> migration.getState() != MigrationState.FUTURE_SUCCESS)
                .mapToInt(Database::number)
                .max()
                .orElse(0);
    }
}
