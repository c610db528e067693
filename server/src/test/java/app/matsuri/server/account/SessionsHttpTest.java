package app.matsuri.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import jakarta.servlet.http.Cookie;
import java.time.Duration;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;

/** Sign-ins are kept in the database: what stands there decides, on every server and after every restart. */
@ServerTest
class SessionsHttpTest {

    private static final String PASSWORD = "a password of some length";

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    @Autowired
    JdbcTemplate sql;

    private String name;
    private Cookie session;

    @BeforeEach
    void signIn() throws Exception {
        name = "heron" + System.nanoTime();
        accounts.create(name, "H. Eron", PASSWORD);
        session = Browser.cookie(mvc.perform(
                        post("/api/session").with(csrf()).param("signIn", name).param("password", PASSWORD))
                .andReturn()
                .getResponse());
        assertThat(session.isHttpOnly()).isTrue();
        assertThat(in()).isTrue();
    }

    private boolean in() throws Exception {
        return Browser.in(mvc, session);
    }

    private long kept(String column) {
        return sql.queryForObject("select " + column + " from signed_in where principal_name = ?", Long.class, name);
    }

    private void back(String columns, Duration by) {
        for (String column : columns.split(",")) {
            sql.update(
                    "update signed_in set " + column + " = " + column + " - ? where principal_name = ?",
                    by.toMillis(),
                    name);
        }
    }

    @Test
    void lookingWritesNothingAndUseIsNotedOnceAMinute() throws Exception {
        long used = kept("last_access_time");
        assertThat(in()).isTrue();
        assertThat(kept("last_access_time")).isEqualTo(used);
        back("last_access_time", Duration.ofMinutes(2));
        assertThat(in()).isTrue();
        assertThat(kept("last_access_time")).isGreaterThanOrEqualTo(used);
    }

    @Test
    void whoDoesNothingForHalfADayIsSignedOut() throws Exception {
        back("last_access_time,expiry_time", Duration.ofHours(11));
        assertThat(in()).isTrue();
        back("last_access_time,expiry_time", Duration.ofHours(13));
        assertThat(in()).isFalse();
    }

    @Test
    void afterAWeekEverybodySignsInAgain() throws Exception {
        back("creation_time", Duration.ofDays(6));
        assertThat(in()).isTrue();
        back("creation_time", Duration.ofDays(2));
        assertThat(in()).isFalse();
        assertThat(sql.queryForObject("select count(*) from signed_in where principal_name = ?", Long.class, name))
                .isZero();
    }

    @Test
    void whatCannotBeReadAnyMoreIsNobodyAndNoPasswordStandsThere() throws Exception {
        for (byte[] bytes : sql.queryForList(
                "select attribute_bytes from signed_in_attributes a join signed_in s on s.primary_id = a.session_primary_id"
                        + " where principal_name = ?",
                byte[].class,
                name)) {
            assertThat(new String(bytes, java.nio.charset.StandardCharsets.ISO_8859_1))
                    .doesNotContain("bcrypt");
        }
        sql.update(
                "update signed_in_attributes set attribute_bytes = ? where session_primary_id in"
                        + " (select primary_id from signed_in where principal_name = ?)",
                new byte[] {1, 2, 3},
                name);
        assertThat(in()).isFalse();
    }
}
