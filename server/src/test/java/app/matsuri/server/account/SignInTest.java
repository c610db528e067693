package app.matsuri.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.matsuri.server.Browser;
import jakarta.persistence.EntityManager;
import jakarta.servlet.http.Cookie;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.boot.webmvc.test.autoconfigure.MockMvcPrint;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.MvcResult;

/** Signing in, the first account, and the headers of the page. */
@Tag("database")
@SpringBootTest(properties = {"matsuri.test.name=sign-in", "matsuri.first-code=WREN-2345"})
@AutoConfigureMockMvc(print = MockMvcPrint.NONE)
@DirtiesContext
class SignInTest {

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    @Autowired
    EntityManager entities;

    private static final String NEW =
            "{\"signIn\":\"Founder\",\"displayName\":\"F. Ounder\",\"password\":\"correct horse\",\"code\":\"wren 2345\"}";

    private volatile Cookie first;

    private MockHttpServletResponse made(String account, int n) {
        try {
            MvcResult result = mvc.perform(post("/api/accounts")
                            .with(csrf())
                            .contentType("application/json")
                            .content(account))
                    .andReturn();
            if (result.getResponse().getStatus() == 201) {
                first = Browser.cookie(result.getResponse());
            }
            return result.getResponse();
        } catch (Exception e) {
            throw new IllegalStateException("the " + n + "th", e);
        }
    }

    @Test
    void theFirstVisitMakesTheFirstAccountAndOnlyOne() throws Exception {
        mvc.perform(get("/api/welcome")).andExpect(jsonPath("$.firstVisit").value(true));
        mvc.perform(post("/api/accounts")
                        .with(csrf())
                        .contentType("application/json")
                        .content(NEW.replace("correct horse", "short")))
                .andExpect(status().isBadRequest())
                .andExpect(jsonPath("$.faults[0].pointer").value("/password"));
        assertThat(made(NEW.replace("wren 2345", "WREN-2346"), 0).getStatus()).isEqualTo(403);
        // twelve at once make one
        List<MockHttpServletResponse> answers =
                IntStream.range(0, 12).parallel().mapToObj(n -> made(NEW, n)).toList();
        assertThat(answers.stream().map(MockHttpServletResponse::getStatus).sorted())
                .startsWith(201, 409)
                .endsWith(409);
        assertThat(entities.createQuery("select count(*) from Account", Long.class)
                        .getSingleResult())
                .isEqualTo(1);
        mvc.perform(get("/api/me").cookie(Objects.requireNonNull(first)))
                .andExpect(jsonPath("$.displayName").value("F. Ounder"));
        mvc.perform(post("/api/accounts")
                        .with(csrf())
                        .contentType("application/json")
                        .content(NEW))
                .andExpect(status().isConflict());
        mvc.perform(get("/api/welcome")).andExpect(jsonPath("$.firstVisit").value(false));

        String stored = accounts.loadUserByUsername("founder").passwordHash();
        assertThat(stored).startsWith("{bcrypt}").doesNotContain("correct horse");

        mvc.perform(post("/api/session").with(csrf()).param("signIn", "founder").param("password", "wrong"))
                .andExpect(status().isUnauthorized())
                .andExpect(jsonPath("$.type").value("/problems/sign-in-refused"));
        mvc.perform(post("/api/session").param("signIn", "founder").param("password", "correct horse"))
                .andExpect(status().isForbidden());
        mvc.perform(post("/api/session").with(csrf()).param("signIn", "FOUNDER").param("password", "correct horse"))
                .andExpect(status().isNoContent());
    }

    @Test
    void thePageHasAStrictPolicyWithANewNonceEachTime() throws Exception {
        String first = policy();
        assertThat(first)
                .contains("default-src 'none'")
                .contains("script-src 'self'")
                .doesNotContain("'unsafe-eval'")
                .doesNotContain("script-src 'self' 'unsafe-inline'");
        assertThat(policy()).isNotEqualTo(first);
        mvc.perform(get("/terms/1/wall"))
                .andExpect(status().isOk())
                .andExpect(header().string("X-Content-Type-Options", "nosniff"))
                .andExpect(header().string("X-Frame-Options", "DENY"))
                .andExpect(header().string("Cache-Control", Matchers.containsString("no-store")));
    }

    private String policy() throws Exception {
        return mvc.perform(get("/")).andReturn().getResponse().getHeader("Content-Security-Policy");
    }

    @Test
    void aLineOfTheLogIsOneLine() {
        assertThat(AccessLog.oneLine("a\r\nsigned in: root\u202E\u2028x\uD800")).isEqualTo("a??signed in: root??x?");
        assertThat(AccessLog.oneLine("x".repeat(5_000))).hasSize(201);
    }
}
