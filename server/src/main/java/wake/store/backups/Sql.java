package wake.store.backups;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;

/** Single statements, each closed when it has run. */
final class Sql {
    private Sql() {}

    /** What is done with a row of an answer. */
    interface Row<T> {
        T read(ResultSet row) throws SQLException;
    }

    static void run(Connection db, String statement) throws SQLException {
        try (Statement one = db.createStatement()) {
            one.execute(statement);
        }
    }

    /** The first row of an answer, which there has to be. */
    static <T> T first(Connection db, String query, Row<T> read) throws SQLException {
        try (Statement one = db.createStatement();
                ResultSet row = one.executeQuery(query)) {
            row.next();
            return read.read(row);
        }
    }
}
