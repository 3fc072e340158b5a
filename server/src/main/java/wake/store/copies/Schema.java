package wake.store.copies;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.h2.jdbcx.JdbcDataSource;

/** At which migration a database stands, and taking one there. */
final class Schema {
    private static final String MIGRATIONS = "classpath:db/migration";

    private Schema() {}

    /** The newest migration this Wake knows. */
    static int newest() {
        return java.util.Arrays.stream(
                        flyway("jdbc:h2:mem:", MigrationVersion.LATEST).info().all())
                .mapToInt(one -> Integer.parseInt(one.getVersion().getVersion()))
                .max()
                .orElseThrow();
    }

    /** The migration a database stands at. */
    static int of(Connection db) throws SQLException {
        try (ResultSet row = db.createStatement().executeQuery("""
                select max(cast("version" as integer)) from "flyway_schema_history" where "success" and "version" is not null""")) {
            row.next();
            return row.getInt(1);
        }
    }

    /** Takes the database at an address to a migration; a new one is made. */
    static void bring(String url, int version) {
        flyway(url, MigrationVersion.fromVersion(Integer.toString(version))).migrate();
    }

    private static Flyway flyway(String url, MigrationVersion target) {
        return Flyway.configure()
                .dataSource(source(url))
                .locations(MIGRATIONS)
                .target(target)
                .load();
    }

    static DataSource source(String url) {
        JdbcDataSource source = new JdbcDataSource();
        source.setUrl(url);
        source.setUser("sa");
        source.setPassword("");
        return source;
    }
}
