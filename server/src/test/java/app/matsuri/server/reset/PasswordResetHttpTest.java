package app.matsuri.server.reset;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;

import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.mail.Letter;
import app.matsuri.server.mail.Letters;
import jakarta.servlet.http.Cookie;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** A forgotten password, replaced by a letter that works once for half an hour. */
@ServerTest
class PasswordResetHttpTest {

    private static final String OTHER = "herons over the weir";

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    @Autowired
    Letters letters;

    @Autowired
    JdbcTemplate sql;

    private Browser browser;

    @BeforeEach
    void make() throws Exception {
        browser = Browser.of(mvc, accounts);
        assertThat(browser.ask(
                                HttpMethod.PUT,
                                "/api/me/preferences",
                                "{\"twelveHours\":false,\"weekStart\":\"MO\",\"mail\":\"heron@weir.example\"}"
                                        .getBytes(),
                                "application/json")
                        .status())
                .isEqualTo(200);
    }

    private int ask(String signIn) throws Exception {
        return mvc.perform(post("/api/password-resets")
                        .with(csrf())
                        .contentType("application/json")
                        .content("{\"signIn\":\"" + signIn + "\"}"))
                .andReturn()
                .getResponse()
                .getStatus();
    }

    private String token() throws Exception {
        assertThat(ask(browser.person().signIn())).isEqualTo(204);
        List<Letter> written = letters.of(browser.person().workspaceId());
        Matcher address = Pattern.compile("/password-reset/(\\S+)").matcher(written.get(0).body);
        assertThat(address.find()).isTrue();
        return address.group(1);
    }

    private int replace(String token, String password) throws Exception {
        return mvc.perform(put("/api/password-resets/" + token)
                        .with(csrf())
                        .contentType("application/json")
                        .content("{\"password\":\"" + password + "\"}"))
                .andReturn()
                .getResponse()
                .getStatus();
    }

    private MockHttpServletResponse signIn(String password) throws Exception {
        return mvc.perform(post("/api/session")
                        .with(csrf())
                        .param("signIn", browser.person().signIn())
                        .param("password", password))
                .andReturn()
                .getResponse();
    }

    @Test
    void aLetterWorksOnceAndEndsWhatWasOpen() throws Exception {
        Cookie open = Browser.cookie(signIn("a password of some length"));
        String first = token();
        String token = token();
        assertThat(replace(first, OTHER)).as("the letter before the last").isEqualTo(404);
        assertThat(mvc.perform(get("/api/password-resets/" + token))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .contains(browser.person().signIn());
        assertThat(replace(token, "short")).isEqualTo(400);
        assertThat(replace(token, OTHER)).isEqualTo(204);
        assertThat(replace(token, OTHER)).isEqualTo(404);
        assertThat(Browser.in(mvc, open)).isFalse();
        assertThat(signIn("a password of some length").getStatus()).isEqualTo(401);
        assertThat(signIn(OTHER).getStatus()).isEqualTo(204);
    }

    @Test
    void afterHalfAnHourItDoesNotWorkAndItsAddressIsNotKept() throws Exception {
        String token = token();
        assertThat(sql.queryForList("select hash from password_reset", String.class))
                .doesNotContain(token);
        sql.update("update password_reset set made_at = made_at - interval '31' minute");
        assertThat(replace(token, OTHER)).isEqualTo(404);
        assertThat(signIn("a password of some length").getStatus()).isEqualTo(204);
    }

    @Test
    void whetherThereIsSuchAnAccountIsNotTold() throws Exception {
        Browser without = Browser.of(mvc, accounts);
        assertThat(ask(without.person().signIn())).isEqualTo(204);
        assertThat(letters.of(without.person().workspaceId())).isEmpty();
        assertThat(ask("nobody at all")).isEqualTo(204);
    }
}
