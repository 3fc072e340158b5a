package wake.store;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import org.flywaydb.core.api.MigrationInfo;
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
            try {
                if (pending.length > 0) {
                    MigrationInfo current = flyway.info().current();
                    int from = current == null
                            ? 0
                            : Integer.parseInt(current.getVersion().getVersion());
                    try (Connection db =
                            flyway.getConfiguration().getDataSource().getConnection()) {
                        folder.renewing(
                                db,
                                from,
                                Integer.parseInt(
                                        pending[pending.length - 1].getVersion().getVersion()));
                    }
                    flyway.migrate();
                }
                folder.renewed();
            } catch (IOException | SQLException failed) {
                throw new IllegalStateException("The database cannot be renewed", failed);
            }
        };
    }
}
