package wake.store.backups;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** All rows of a database, read apart from the code under test: by the names the database gives its tables. */
final class Rows {
    private Rows() {}

    static Map<String, List<String>> of(Path folder) throws SQLException {
        try (Connection db = connect(folder)) {
            return of(db);
        }
    }

    static Connection connect(Path folder) throws SQLException {
        return Schema.source("jdbc:h2:file:" + folder.resolve("wake").toAbsolutePath())
                .getConnection();
    }

    static Map<String, List<String>> of(Connection db) throws SQLException {
        Map<String, List<String>> all = new TreeMap<>();
        List<String> tables = new ArrayList<>();
        try (ResultSet names = db.getMetaData().getTables(null, "PUBLIC", "%", new String[] {"TABLE", "BASE TABLE"})) {
            while (names.next()) {
                if (!names.getString("TABLE_NAME").equalsIgnoreCase("flyway_schema_history")) {
                    tables.add(names.getString("TABLE_NAME"));
                }
            }
        }
        for (String table : tables) {
            List<String> lines = new ArrayList<>();
            try (ResultSet rows = db.createStatement().executeQuery("select * from \"" + table + "\"")) {
                while (rows.next()) {
                    Map<String, String> line = new TreeMap<>();
                    for (int i = 1; i <= rows.getMetaData().getColumnCount(); i++) {
                        line.put(rows.getMetaData().getColumnName(i), rows.getString(i));
                    }
                    lines.add(line.toString());
                }
            }
            all.put(table, lines.stream().sorted().collect(Collectors.toList()));
        }
        return all;
    }
}
