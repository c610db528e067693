package app.matsuri.server.account;

import app.matsuri.server.settings.DatabaseAddress;
import java.io.IOException;
import java.io.ObjectInputFilter;
import java.io.ObjectInputStream;
import java.time.Clock;
import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.core.convert.support.GenericConversionService;
import org.springframework.core.serializer.support.DeserializingConverter;
import org.springframework.core.serializer.support.SerializationFailedException;
import org.springframework.core.serializer.support.SerializingConverter;
import org.springframework.jdbc.core.JdbcOperations;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.config.annotation.web.http.EnableSpringHttpSession;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** Sign-ins lie in the database: they outlive a restart, and every server on it knows them. */
@Configuration(proxyBeanMethods = false)
@EnableSpringHttpSession
class SessionConfiguration {

    private static final Logger LOG = LoggerFactory.getLogger(SessionConfiguration.class);

    private static final String TABLE = "signed_in";

    /** Those that are over are taken out of the table in that minute of each hour. */
    private static final String CLEANED = "0 7 * * * *";

    /** What is read back of a session, and nothing else. */
    private static final ObjectInputFilter OURS = ObjectInputFilter.Config.createFilter(
            "app.matsuri.server.account.*;org.springframework.security.**;java.lang.*;java.util.*;java.time.*;maxdepth=20;maxrefs=1000;!*");

    @Bean
    JdbcIndexedSessionRepository storedSessions(
            JdbcOperations sql,
            PlatformTransactionManager transactions,
            @Value("${spring.datasource.url}") String url,
            @Value("${matsuri.session-idle:12h}") Duration idle) {
        TransactionTemplate own = new TransactionTemplate(transactions);
        own.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        JdbcIndexedSessionRepository stored = new JdbcIndexedSessionRepository(sql, own);
        stored.setTableName(TABLE);
        stored.setCleanupCron(CLEANED);
        stored.setDefaultMaxInactiveInterval(idle);
        stored.setConversionService(conversions());
        if (DatabaseAddress.elsewhere(url)) {
            new PostgreSqlJdbcIndexedSessionRepositoryCustomizer().customize(stored);
        }
        return stored;
    }

    @Bean
    @Primary
    FindByIndexNameSessionRepository<?> sessionRepository(
            JdbcIndexedSessionRepository stored,
            @Value("${matsuri.session-longest:7d}") Duration longest,
            @Qualifier("machine") Clock machine) {
        return new SeldomWritten<>(stored, longest, machine);
    }

    @Bean
    CookieSerializer cookie(
            @Value("${server.servlet.session.cookie.name}") String name,
            @Value("${server.servlet.session.cookie.secure:false}") boolean secure) {
        DefaultCookieSerializer cookie = new DefaultCookieSerializer();
        cookie.setCookieName(name);
        cookie.setCookiePath("/");
        cookie.setSameSite("Lax");
        if (secure) {
            cookie.setUseSecureCookie(true); // else where the request came so
        }
        return cookie;
    }

    private static GenericConversionService conversions() {
        GenericConversionService conversions = new GenericConversionService();
        conversions.addConverter(Object.class, byte[].class, new SerializingConverter());
        DeserializingConverter reads = new DeserializingConverter(bytes -> {
            try (ObjectInputStream in = new ObjectInputStream(bytes)) {
                in.setObjectInputFilter(OURS);
                return in.readObject();
            } catch (ClassNotFoundException e) {
                throw new IOException(e);
            }
        });
        conversions.addConverter(byte[].class, Object.class, bytes -> read(reads, bytes));
        return conversions;
    }

    /** Null where it cannot be read, as after an upgrade: whoever it was signs in again. */
    @SuppressWarnings("NullAway") // what is converted to null is no attribute
    private static Object read(DeserializingConverter reads, byte[] bytes) {
        try {
            return reads.convert(bytes);
        } catch (SerializationFailedException e) {
            LOG.info("a sign-in from before cannot be read any more: {}", String.valueOf(e.getMessage()));
            return null;
        }
    }
}
