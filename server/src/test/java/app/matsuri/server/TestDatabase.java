package app.matsuri.server;

import io.zonky.test.db.postgres.embedded.EmbeddedPostgres;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.EnvironmentPostProcessor;
import org.springframework.boot.SpringApplication;
import org.springframework.core.env.ConfigurableEnvironment;
import org.springframework.core.env.MapPropertySource;

/**
 * The database of a test, new and empty, under the name that {@code matsuri.test.name} gives it: H2 in memory, or with
 * {@code -Dmatsuri.test.database=postgresql} on a PostgreSQL that runs as long as the tests do, or with {@code file} H2 in
 * a new folder below {@code target}, so that what is stored is not counted with what is remembered.
 */
public class TestDatabase implements EnvironmentPostProcessor {

    private static final String KIND = System.getProperty("matsuri.test.database", "memory");

    /** Whether the tests run on PostgreSQL. */
    public static final boolean POSTGRESQL = "postgresql".equals(KIND);

    private static @Nullable EmbeddedPostgres server;

    @Override
    public void postProcessEnvironment(ConfigurableEnvironment environment, SpringApplication application) {
        String name = environment.getProperty("matsuri.test.name");
        if (name == null) {
            return;
        }
        Map<String, Object> found = new HashMap<>();
        // every part is made once, in the server that most tests share; the others start as a real one does
        found.put("spring.main.lazy-initialization", "" + !name.equals("test"));
        if (POSTGRESQL) {
            found.put("spring.datasource.url", postgresql(name));
            found.put("spring.datasource.username", "postgres");
            // at the end the database may be gone before who still has something to write
            found.put("spring.datasource.hikari.connection-timeout", "5000");
        } else {
            String place = KIND.equals("file")
                    ? "file:"
                            + Path.of("target", "databases", name + "-" + System.nanoTime())
                                    .toAbsolutePath()
                    : "mem:" + name;
            found.put("spring.datasource.url", "jdbc:h2:" + place + ";DB_CLOSE_DELAY=-1");
        }
        environment.getPropertySources().addFirst(new MapPropertySource("the test's database", found));
    }

    /** The address of a database on the server of the tests, made where it is not there. */
    public static synchronized String postgresql(String name) {
        try {
            EmbeddedPostgres running = server;
            if (running == null) {
                running = EmbeddedPostgres.builder()
                        .setServerConfig("fsync", "off")
                        .setServerConfig("full_page_writes", "off")
                        .setServerConfig("max_connections", "200")
                        .start();
                server = running;
            }
            try (Connection connection = running.getPostgresDatabase().getConnection();
                    Statement statement = connection.createStatement();
                    var there = statement.executeQuery("select 1 from pg_database where datname = '" + name + "'")) {
                if (!there.next()) {
                    statement.execute("create database \"" + name + "\"");
                }
            }
            return running.getJdbcUrl("postgres", name);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }
}
