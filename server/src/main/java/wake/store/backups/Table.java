package wake.store.backups;

import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A table of the database, as the database itself describes it.
 *
 * @param columns in order
 * @param toItself columns that refer to rows of the same table: filled in once all rows are there
 * @param counted the column the database counts by itself; empty for none
 */
record Table(String name, List<Column> columns, Set<String> toItself, String counted) {
    /** A column: its name, and its type as SQL writes it. */
    record Column(String name, String type) {}

    /** All tables, each after those it refers to; the list of migrations is left out. */
    static List<Table> all(Connection db) throws SQLException {
        Map<String, List<Column>> columns = new HashMap<>();
        Map<String, String> counted = new HashMap<>();
        try (Statement query = db.createStatement();
                ResultSet rows = query.executeQuery("""
                select c.table_name, c.column_name, c.is_identity,
                       case when c.data_type = 'ENUM' then 'varchar'
                            when c.data_type = 'CHARACTER VARYING' then 'varchar'
                            else c.data_type end
                from information_schema.columns c join information_schema.tables t
                  on t.table_schema = c.table_schema and t.table_name = c.table_name
                where c.table_schema = 'PUBLIC' and t.table_type = 'BASE TABLE' and lower(c.table_name) <> 'flyway_schema_history'
                order by c.table_name, c.ordinal_position""")) {
            while (rows.next()) {
                String table = rows.getString(1);
                columns.computeIfAbsent(table, name -> new ArrayList<>())
                        .add(new Column(rows.getString(2), rows.getString(4)));
                if (rows.getString(3).equals("YES")) {
                    counted.put(table, rows.getString(2));
                }
            }
        }
        Map<String, Set<String>> needs = new HashMap<>();
        Map<String, Set<String>> toItself = new HashMap<>();
        for (String table : columns.keySet()) {
            references(db.getMetaData(), table, needs, toItself);
        }
        Set<String> ordered = new LinkedHashSet<>();
        while (ordered.size() < columns.size()) {
            Set<String> next = columns.keySet().stream()
                    .filter(table ->
                            !ordered.contains(table) && ordered.containsAll(needs.getOrDefault(table, Set.of())))
                    .collect(Collectors.toSet());
            if (next.isEmpty()) {
                throw new IllegalStateException("Tables refer to each other in a circle");
            }
            next.stream().sorted().forEach(ordered::add);
        }
        return ordered.stream()
                .map(table -> new Table(
                        table,
                        List.copyOf(columns.getOrDefault(table, List.of())),
                        toItself.getOrDefault(table, Set.of()),
                        counted.getOrDefault(table, "")))
                .toList();
    }

    private static void references(
            DatabaseMetaData about, String table, Map<String, Set<String>> needs, Map<String, Set<String>> toItself)
            throws SQLException {
        try (ResultSet keys = about.getImportedKeys(null, "PUBLIC", table)) {
            while (keys.next()) {
                String other = keys.getString("PKTABLE_NAME");
                if (other.equals(table)) {
                    toItself.computeIfAbsent(table, name -> new LinkedHashSet<>())
                            .add(keys.getString("FKCOLUMN_NAME"));
                } else {
                    needs.computeIfAbsent(table, name -> new LinkedHashSet<>()).add(other);
                }
            }
        }
    }

    private static String quoted(String name) {
        return '"' + name.replace("\"", "\"\"") + '"';
    }

    /** Reads all rows, each value as text. */
    String select() {
        return columns.stream()
                .map(column -> "cast(" + quoted(column.name()) + " as varchar)")
                .collect(Collectors.joining(", ", "select ", " from " + quoted(name)));
    }

    /** Adds a row from text; what refers to rows of this same table is added by {@link #fillIn}. */
    String insert() {
        String names =
                columns.stream().map(column -> quoted(column.name())).collect(Collectors.joining(", ", " (", ")"));
        String values = columns.stream()
                .map(column -> toItself.contains(column.name()) ? "null" : "cast(? as " + column.type() + ")")
                .collect(Collectors.joining(", ", " (", ")"));
        return "insert into " + quoted(name) + names + (counted.isEmpty() ? "" : " overriding system value") + " values"
                + values;
    }

    /** Sets one column that refers to this same table, by the row's id. */
    String fillIn(String column) {
        return "update " + quoted(name) + " set " + quoted(column) + " = cast(? as uuid) where id = cast(? as uuid)";
    }

    String deleteAll() {
        return "delete from " + quoted(name);
    }

    /** Makes the database count on from beyond what is there and what comes. */
    String countFrom(long next) {
        return "alter table " + quoted(name) + " alter column " + quoted(counted) + " restart with " + next;
    }

    String highest() {
        return "select coalesce(max(" + quoted(counted) + "), 0) from " + quoted(name);
    }

    int indexOf(String column) {
        return columns.stream().map(Column::name).toList().indexOf(column);
    }
}
