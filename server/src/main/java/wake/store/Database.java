package wake.store;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import javax.sql.DataSource;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.init.DataSourceInitializer;
import wake.WakeProperties;
import wake.store.backups.DataFolder;
import wake.store.backups.Schema;

/** Opens the database: the folder is prepared first, and copied before a renewal. */
@Configuration
class Database {
    @Bean(destroyMethod = "close")
    DataFolder dataFolder(WakeProperties properties, Clock clock) {
        return DataFolder.open(properties.data(), clock);
    }

    @Bean
    @ConfigurationProperties("spring.datasource.hikari")
    HikariDataSource dataSource(DataFolder prepared, DataSourceProperties properties) {
        return properties
                .initializeDataSourceBuilder()
                .type(HikariDataSource.class)
                .build();
    }

    /** Whatever uses the database is made after this. A database that stands where it should costs the start one question. */
    @Bean
    DataSourceInitializer renewal(DataSource database, DataFolder folder) {
        DataSourceInitializer renewal = new DataSourceInitializer();
        renewal.setDataSource(database);
        renewal.setDatabasePopulator(open -> renew(database, open, folder));
        return renewal;
    }

    private static void renew(DataSource database, Connection open, DataFolder folder) throws SQLException {
        int from = Schema.of(open);
        int to = Schema.newest();
        if (from > to) {
            throw DataFolder.newer(from, to);
        }
        try {
            if (from < to) {
                folder.renewing(open, from, to);
                Schema.bring(database, to);
            }
            folder.renewed();
        } catch (IOException failed) {
            throw new IllegalStateException("The database cannot be upgraded", failed);
        }
    }
}
