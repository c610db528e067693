package app.matsuri.server.disk;

import app.matsuri.server.settings.DatabaseAddress;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.stream.Collectors;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.flywaydb.core.api.MigrationVersion;
import org.jspecify.annotations.Nullable;

/** Takes what is in a data folder over to a PostgreSQL database and compares both. The folder is left as it is. */
public final class Move {

    /** Rows that are written at a time. */
    private static final int BATCH = 500;

    private Move() {}

    /** A column: its name, its type by {@link Types}, and whether the database counts it up. */
    private record Column(String name, int type, boolean counted) {}

    /**
     * Makes the schema there and copies every table, all of them or none.
     *
     * @param folder the data folder; no server runs on it
     * @param url of the other database, in which nobody has an account
     * @param user empty where the address says it
     * @return how many rows each table has, by its name
     * @throws Copies.NoCopy where it cannot be done; nothing stays there but an empty schema
     */
    public static Map<String, Long> over(Path folder, String url, String user, String password)
            throws IOException, Copies.NoCopy {
        if (!DatabaseAddress.elsewhere(url)) {
            throw new Copies.NoCopy("“" + url + "” is no address of a PostgreSQL database: give one such as"
                    + " jdbc:postgresql://localhost/matsuri. Nothing was changed.");
        }
        Path database = folder.resolve(DataFolder.DATABASE);
        if (!Files.exists(database)) {
            throw new Copies.NoCopy("There is no database in " + folder + ". Nothing was changed.");
        }
        if (Copies.running(folder)) {
            throw new Copies.NoCopy("A server runs on " + folder + ". Stop it first. Nothing was changed.");
        }
        Properties who = new Properties();
        if (!user.isEmpty()) {
            who.put("user", user);
            who.put("password", password);
        }
        try (Connection from = DriverManager.getConnection(Copies.url(database, ";ACCESS_MODE_DATA=r"), "sa", "");
                Connection to = DriverManager.getConnection(url, who)) {
            if (columns(to, "public").containsKey("account") && count(to, "account") > 0) {
                throw new Copies.NoCopy(
                        "There are accounts in that database already. Give an empty one. Nothing was changed.");
            }
            String version = schema(url, user, password);
            if (!version.equals(newest(from))) {
                throw new Copies.NoCopy("The folder is from another version of Matsuri. Start this one on it once, stop"
                        + " it, and try again. Nothing was changed in it.");
            }
            return copied(from, to);
        } catch (SQLException | FlywayException e) {
            throw new Copies.NoCopy("It could not be taken over: " + e.getMessage());
        }
    }

    /** Makes the schema there; its version. */
    private static String schema(String url, String user, String password) {
        Flyway flyway = Flyway.configure()
                .dataSource(url, user.isEmpty() ? null : user, user.isEmpty() ? null : password)
                .resourceProvider(new Scripts())
                .load();
        flyway.migrate();
        MigrationVersion version = flyway.info().current().getVersion();
        return version.getVersion();
    }

    private static String newest(Connection from) throws SQLException {
        try (Statement statement = from.createStatement();
                ResultSet row = statement.executeQuery("select \"version\" from \"flyway_schema_history\""
                        + " where \"success\" order by \"installed_rank\" desc fetch first row only")) {
            return row.next() ? row.getString(1) : "";
        }
    }

    private static Map<String, Long> copied(Connection from, Connection to) throws SQLException, Copies.NoCopy {
        Map<String, List<Column>> tables = columns(from, "PUBLIC");
        tables.remove("flyway_schema_history");
        Map<String, Long> taken = new LinkedHashMap<>();
        to.setAutoCommit(false);
        try {
            for (String table : inOrder(from, tables)) {
                List<Column> columns = tables.getOrDefault(table, List.of());
                BigInteger before = copy(from, to, table, columns);
                if (!before.equals(sum(to, table, columns)) || count(from, table) != count(to, table)) {
                    throw new Copies.NoCopy(
                            "“" + table + "” is not the same there as in the folder. Nothing was taken" + " over.");
                }
                taken.put(table, count(to, table));
            }
            to.commit();
        } finally {
            to.rollback(); // what was not taken over whole
        }
        return taken;
    }

    /** The columns of each table, by its name in small letters. */
    private static Map<String, List<Column>> columns(Connection of, String schema) throws SQLException {
        Map<String, List<Column>> tables = new LinkedHashMap<>();
        try (ResultSet row = of.getMetaData().getColumns(null, schema, null, null)) {
            while (row.next()) {
                tables.computeIfAbsent(small(row.getString("TABLE_NAME")), t -> new ArrayList<>())
                        .add(new Column(
                                small(row.getString("COLUMN_NAME")),
                                row.getInt("DATA_TYPE"),
                                "YES".equals(row.getString("IS_AUTOINCREMENT"))));
            }
        }
        return tables;
    }

    private static String small(String name) {
        return name.toLowerCase(java.util.Locale.ROOT);
    }

    /** Each table behind those to which its rows refer. */
    private static List<String> inOrder(Connection from, Map<String, List<Column>> tables) throws SQLException {
        List<String> order = new ArrayList<>();
        List<String> left = new ArrayList<>(tables.keySet());
        Map<String, List<String>> refers = new LinkedHashMap<>();
        for (String table : left) {
            List<String> to = new ArrayList<>();
            try (ResultSet key =
                    from.getMetaData().getImportedKeys(null, "PUBLIC", table.toUpperCase(java.util.Locale.ROOT))) {
                while (key.next()) {
                    to.add(small(key.getString("PKTABLE_NAME")));
                }
            }
            to.remove(table);
            refers.put(table, to);
        }
        while (!left.isEmpty()) {
            List<String> free = left.stream()
                    .filter(t -> order.containsAll(refers.getOrDefault(t, List.of())))
                    .toList();
            if (free.isEmpty()) {
                throw new SQLException("these tables refer to each other: " + left);
            }
            order.addAll(free);
            left.removeAll(free);
        }
        return order;
    }

    /** Copies the rows of a table; their sum as they were read. */
    private static BigInteger copy(Connection from, Connection to, String table, List<Column> columns)
            throws SQLException {
        BigInteger sum = BigInteger.ZERO;
        String names = columns.stream().map(Column::name).collect(Collectors.joining(", "));
        String places = String.join(", ", Collections.nCopies(columns.size(), "?"));
        try (Statement statement = from.createStatement();
                ResultSet row = statement.executeQuery("select " + names + " from " + table);
                PreparedStatement insert =
                        to.prepareStatement("insert into " + table + " (" + names + ") values (" + places + ")")) {
            for (int n = 1; row.next(); n++) {
                List<@Nullable Object> values = values(row, columns);
                for (int c = 0; c < values.size(); c++) {
                    insert.setObject(c + 1, values.get(c));
                }
                insert.addBatch();
                sum = sum.add(hash(values));
                if (n % BATCH == 0) {
                    insert.executeBatch();
                }
            }
            insert.executeBatch();
        }
        for (Column column : columns) {
            if (column.counted()) {
                countOn(to, table, column.name());
            }
        }
        return sum;
    }

    private static void countOn(Connection to, String table, String column) throws SQLException {
        try (Statement statement = to.createStatement();
                ResultSet row = statement.executeQuery("select coalesce(max(" + column + "), 0) + 1 from " + table)) {
            row.next();
            long next = row.getLong(1);
            statement.execute("alter table " + table + " alter column " + column + " restart with " + next);
        }
    }

    private static List<@Nullable Object> values(ResultSet row, List<Column> columns) throws SQLException {
        List<@Nullable Object> values = new ArrayList<>();
        for (int c = 0; c < columns.size(); c++) {
            int at = c + 1;
            values.add(
                    switch (columns.get(c).type()) {
                        case Types.DATE -> row.getObject(at, LocalDate.class);
                        case Types.TIME -> row.getObject(at, LocalTime.class);
                        case Types.TIMESTAMP -> row.getObject(at, LocalDateTime.class);
                        case Types.TIMESTAMP_WITH_TIMEZONE -> row.getObject(at, OffsetDateTime.class);
                        case Types.BLOB, Types.BINARY, Types.VARBINARY -> row.getBytes(at);
                        case Types.CLOB, Types.CHAR, Types.VARCHAR -> row.getString(at);
                        default -> row.getObject(at);
                    });
        }
        return values;
    }

    /** What all rows of a table come to, in whatever order. */
    private static BigInteger sum(Connection of, String table, List<Column> columns) throws SQLException {
        BigInteger sum = BigInteger.ZERO;
        String names = columns.stream().map(Column::name).collect(Collectors.joining(", "));
        try (Statement statement = of.createStatement()) {
            statement.setFetchSize(BATCH);
            try (ResultSet row = statement.executeQuery("select " + names + " from " + table)) {
                while (row.next()) {
                    sum = sum.add(hash(values(row, columns)));
                }
            }
        }
        return sum;
    }

    private static BigInteger hash(List<@Nullable Object> values) {
        String said = values.stream().map(Move::said).collect(Collectors.joining("\u0001"));
        try {
            return new BigInteger(
                    1, MessageDigest.getInstance("SHA-256").digest(said.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String said(@Nullable Object value) {
        if (value instanceof byte[] bytes) {
            return HexFormat.of().formatHex(bytes);
        }
        if (value instanceof BigDecimal number) {
            return number.stripTrailingZeros().toPlainString();
        }
        return value instanceof OffsetDateTime at ? at.toInstant().toString() : String.valueOf(value);
    }

    private static long count(Connection of, String table) throws SQLException {
        try (Statement statement = of.createStatement();
                ResultSet row = statement.executeQuery("select count(*) from " + table)) {
            row.next();
            return row.getLong(1);
        }
    }
}
