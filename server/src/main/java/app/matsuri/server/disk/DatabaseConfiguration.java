package app.matsuri.server.disk;

import app.matsuri.server.settings.DatabaseAddress;
import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.SQLExceptionOverride;
import java.sql.SQLException;
import java.util.Objects;
import java.util.Set;
import org.h2.api.ErrorCode;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.boot.flyway.autoconfigure.FlywayConfigurationCustomizer;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The database's scripts, and its connections where it is H2: what that closed is not handed out again. */
@Configuration
class DatabaseConfiguration {

    private static final Set<Integer> CLOSED = Set.of(
            ErrorCode.DATABASE_IS_CLOSED,
            ErrorCode.CONNECTION_BROKEN_1,
            ErrorCode.OBJECT_CLOSED,
            ErrorCode.DATABASE_IS_READ_ONLY,
            ErrorCode.IO_EXCEPTION_1,
            ErrorCode.IO_EXCEPTION_2,
            ErrorCode.DATABASE_CALLED_AT_SHUTDOWN);

    @Bean
    FlywayConfigurationCustomizer scripts(@Value("${spring.datasource.url}") String url) {
        return flyway -> {
            if (DatabaseAddress.elsewhere(url)) {
                flyway.resourceProvider(new Scripts());
            }
        };
    }

    @Bean
    @ConditionalOnExpression("'${spring.datasource.url}'.startsWith('jdbc:h2:')")
    HikariDataSource dataSource(
            DataSourceProperties properties,
            Room room,
            @Value("${spring.datasource.hikari.maximum-pool-size:6}") int connections) {
        DatabaseFiles files = new DatabaseFiles(
                properties.determineUrl(),
                Objects.requireNonNullElse(properties.determineUsername(), ""),
                Objects.requireNonNullElse(properties.determinePassword(), ""),
                room);
        HikariDataSource pool = new HikariDataSource();
        pool.setDataSource(files);
        pool.setMaximumPoolSize(connections);
        pool.setPoolName("matsuri");
        pool.setConnectionTestQuery("values 1");
        pool.setExceptionOverride(new Closed());
        pool.setAllowPoolSuspension(true); // see NightlyShrinking
        return pool;
    }

    /** A connection on which the database said that it is closed is given up. */
    static final class Closed implements SQLExceptionOverride {

        @java.lang.Override
        public Override adjudicate(SQLException e) {
            return CLOSED.contains(e.getErrorCode()) ? Override.MUST_EVICT : Override.CONTINUE_EVICT;
        }
    }
}
