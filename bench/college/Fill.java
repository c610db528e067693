import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Fills a database with workspaces, each with a copy of the first one's term: java -cp DRIVER.jar Fill.java URL USER PASSWORD MANY.
 * Accounts are named "who2", "who3" and so on, all with the first one's password.
 */
public class Fill {

    private static final int AT_ONCE = 250;

    public static void main(String[] arguments) throws SQLException {
        String url = arguments[0];
        int many = Integer.parseInt(arguments[3]);
        boolean h2 = url.startsWith("jdbc:h2:");
        try (Connection to = DriverManager.getConnection(url, arguments[1], arguments[2]);
                Statement statement = to.createStatement()) {
            to.setAutoCommit(false);
            Map<String, List<String>> ofTerms = new LinkedHashMap<>();
            for (String table : inOrder(to)) {
                List<String> columns = columns(to, table);
                if (columns.contains("term_id") && !counted(to, table)) {
                    ofTerms.put(table, columns);
                }
            }
            for (int from = 2; from <= many; from += AT_ONCE) {
                int until = Math.min(many, from + AT_ONCE - 1);
                String numbers = h2
                        ? "(select x as n from system_range(" + from + ", " + until + ")) s"
                        : "generate_series(" + from + ", " + until + ") s(n)";
                statement.execute("insert into workspace (id, name) select n, 'Who ' || n from " + numbers);
                copied(statement, "account", columns(to, "account"), numbers, Map.of(
                        "id", "n", "workspace_id", "n", "sign_in", "'who' || n", "display_name", "'Who ' || n"));
                copied(statement, "term", columns(to, "term"), numbers, Map.of("id", "n", "workspace_id", "n"));
                for (Map.Entry<String, List<String>> table : ofTerms.entrySet()) {
                    copied(statement, table.getKey(), table.getValue(), numbers, Map.of("term_id", "n", "account_id", "n"));
                }
                to.commit();
                if (from % 1000 < AT_ONCE) {
                    System.out.println(until + " workspaces");
                }
            }
            for (String table : List.of("workspace", "account", "term")) {
                statement.execute("alter table " + table + " alter column id restart with " + (many + 1));
            }
            to.commit();
        }
    }

    private static void copied(
            Statement statement, String table, List<String> columns, String numbers, Map<String, String> other)
            throws SQLException {
        String key = columns.contains("term_id") ? "term_id" : "id";
        String values = String.join(", ", columns.stream().map(c -> other.getOrDefault(c, c)).toList());
        statement.execute("insert into " + table + " (" + String.join(", ", columns) + ") select " + values + " from "
                + table + " t, " + numbers + " where t." + key + " = 1");
    }

    /** Whether rows are named by a number of their own, as links and letters are: a plan has none of those. */
    private static boolean counted(Connection of, String table) throws SQLException {
        try (ResultSet row = of.getMetaData().getColumns(null, null, named(of, table), named(of, "id"))) {
            return row.next() && "YES".equals(row.getString("IS_AUTOINCREMENT"));
        }
    }

    private static List<String> columns(Connection of, String table) throws SQLException {
        List<String> columns = new ArrayList<>();
        try (ResultSet row = of.getMetaData().getColumns(null, null, named(of, table), null)) {
            while (row.next()) {
                columns.add(row.getString("COLUMN_NAME").toLowerCase());
            }
        }
        return columns;
    }

    private static String named(Connection of, String table) throws SQLException {
        return of.getMetaData().storesUpperCaseIdentifiers() ? table.toUpperCase() : table;
    }

    /** Each table behind those to which it refers. */
    private static List<String> inOrder(Connection of) throws SQLException {
        List<String> left = new ArrayList<>();
        try (ResultSet row = of.getMetaData().getTables(null, null, "%", new String[] {"TABLE", "BASE TABLE"})) {
            while (row.next()) {
                String schema = String.valueOf(row.getString("TABLE_SCHEM")).toLowerCase();
                String name = row.getString("TABLE_NAME").toLowerCase();
                if (schema.equals("public") && !name.startsWith("flyway")) {
                    left.add(name);
                }
            }
        }
        List<String> order = new ArrayList<>();
        while (!left.isEmpty()) {
            List<String> free = new ArrayList<>();
            for (String table : left) {
                boolean waits = false;
                try (ResultSet key = of.getMetaData().getImportedKeys(null, null, named(of, table))) {
                    while (key.next()) {
                        String to = key.getString("PKTABLE_NAME").toLowerCase();
                        waits |= !to.equals(table) && !order.contains(to);
                    }
                }
                if (!waits) {
                    free.add(table);
                }
            }
            order.addAll(free);
            left.removeAll(free);
            if (free.isEmpty()) {
                throw new SQLException("these tables refer to each other: " + left);
            }
        }
        return order;
    }
}
