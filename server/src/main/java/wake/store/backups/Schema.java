package wake.store.backups;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.h2.jdbcx.JdbcDataSource;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** At which migration a database stands, and taking one there. */
public final class Schema {
    private static final String MIGRATIONS = "classpath:db/migration";
    private static final Pattern NUMBER = Pattern.compile("V(\\d+)__.*");
    private static final String HISTORY = "flyway_schema_history";

    private Schema() {}

    /** The newest migration this Wake knows, by the names of their files: asked at every start, which waits for no more. */
    public static int newest() {
        try {
            return Arrays.stream(new PathMatchingResourcePatternResolver().getResources(MIGRATIONS + "/V*.sql"))
                    .flatMap(file -> number(file).stream())
                    .mapToInt(Integer::intValue)
                    .max()
                    .orElseThrow();
        } catch (IOException unreadable) {
            throw new UncheckedIOException("The migrations cannot be listed", unreadable);
        }
    }

    private static Optional<Integer> number(Resource file) {
        return Stream.ofNullable(file.getFilename())
                .map(NUMBER::matcher)
                .filter(Matcher::matches)
                .map(name -> Integer.parseInt(name.group(1)))
                .findFirst();
    }

    /** The migration a database stands at; 0 for an empty one. */
    public static int of(Connection db) throws SQLException {
        try (ResultSet tables = db.getMetaData().getTables(null, null, HISTORY, null)) {
            if (!tables.next()) {
                return 0;
            }
        }
        return Sql.first(db, """
                select max(cast("version" as integer)) from "flyway_schema_history" where "success" and "version" is not null""", row -> row.getInt(1));
    }

    /** Takes a database to a migration. */
    public static void bring(DataSource database, int version) {
        Flyway.configure()
                .dataSource(database)
                .locations(MIGRATIONS)
                .target(MigrationVersion.fromVersion(Integer.toString(version)))
                .load()
                .migrate();
    }

    /** The same for the database at an address; a new one is made. */
    static void bring(String url, int version) {
        bring(source(url), version);
    }

    static DataSource source(String url) {
        JdbcDataSource source = new JdbcDataSource();
        source.setUrl(url);
        source.setUser("sa");
        source.setPassword("");
        return source;
    }
}
