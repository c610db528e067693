package app.matsuri.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import jakarta.servlet.http.Cookie;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import tools.jackson.databind.JsonNode;

/** What a person prefers, their password, and where they are signed in. */
class PreferencesHttpTest extends DemoTest {

    private static final String PASSWORD = "a password of some length";

    private Browser.Answer prefer(String display) throws Exception {
        return browser.ask(
                HttpMethod.PUT,
                "/api/me/preferences",
                ("{\"twelveHours\":true,\"weekStart\":\"SU\"" + display + "}").getBytes(StandardCharsets.UTF_8),
                "application/json");
    }

    private static String display(String theme, String muted) {
        return ",\"display\":{\"theme\":\"" + theme + "\",\"density\":\"close\",\"landing\":\"courses\","
                + "\"hiddenKinds\":[\"opens\"],\"hiddenCourses\":[],\"shownCourses\":[],\"mutedReminders\":[" + muted
                + "]}";
    }

    @Test
    void whatIsPreferredIsKeptAndWhatIsNotSaidStays() throws Exception {
        JsonNode usual = browser.get("/api/me").body().path("preferences").path("display");
        assertThat(usual.path("theme").stringValue()).isEqualTo("system");
        assertThat(prefer(display("dark", "\"due\"")).status()).isEqualTo(200);
        prefer("");
        JsonNode kept = browser.get("/api/me").body().path("preferences").path("display");
        assertThat(kept.path("theme").stringValue()).isEqualTo("dark");
        assertThat(kept.path("landing").stringValue()).isEqualTo("courses");
        assertThat(kept.path("hiddenKinds").get(0).stringValue()).isEqualTo("opens");
        Browser.Answer refused = prefer(display("pink", ""));
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.body().path("faults").get(0).path("message").stringValue())
                .contains("system, light or dark");
    }

    @Test
    void whoHasMutedWhatIsDueIsRemindedOfTheRestOnly() throws Exception {
        prefer(display("system", "\"due\",\"booking\""));
        long workspace = browser.person().workspaceId();
        assertThat(accounts.reminded(workspace, "due")).isEmpty();
        assertThat(accounts.reminded(workspace, "session")).hasSize(1);
    }

    private Cookie signIn(String password, int expected) throws Exception {
        return Browser.cookie(mvc.perform(post("/api/session")
                        .with(csrf())
                        .header("User-Agent", "Some browser")
                        .param("signIn", browser.person().signIn())
                        .param("password", password))
                .andExpect(status().is(expected))
                .andReturn()
                .getResponse());
    }

    @Test
    void aPasswordIsChangedWithTheOneSoFarAndEndsAllOtherSignIns() throws Exception {
        Cookie here = signIn(PASSWORD, 204);
        Cookie there = signIn(PASSWORD, 204);
        mvc.perform(put("/api/me/password")
                        .cookie(here)
                        .with(csrf())
                        .contentType("application/json")
                        .content("{\"now\":\"wrong one\",\"password\":\"another of some length\"}"))
                .andExpect(status().is(422))
                .andExpect(jsonPath("$.type").value("/problems/wrong-password"));
        mvc.perform(put("/api/me/password")
                        .cookie(here)
                        .with(csrf())
                        .contentType("application/json")
                        .content("{\"now\":\"" + PASSWORD + "\",\"password\":\"" + "é".repeat(37) + "\"}"))
                .andExpect(status().isBadRequest())
                .andExpect(jsonPath("$.faults[0].pointer").value("/password"));
        assertThat(Browser.in(mvc, there)).isTrue();
        mvc.perform(put("/api/me/password")
                        .cookie(here)
                        .with(csrf())
                        .contentType("application/json")
                        .content("{\"now\":\"" + PASSWORD + "\",\"password\":\"another of some length\"}"))
                .andExpect(status().isNoContent());
        assertThat(Browser.in(mvc, there)).isFalse();
        assertThat(Browser.in(mvc, here)).isTrue();
        signIn(PASSWORD, 401);
        signIn("another of some length", 204);
    }

    @Test
    void signInsAreListedAndEndedOneByOneAndNobodyElsesAre() throws Exception {
        Cookie here = signIn(PASSWORD, 204);
        Cookie there = signIn(PASSWORD, 204);
        mvc.perform(get("/api/me/sessions").cookie(here))
                .andExpect(jsonPath("$.length()").value(2))
                .andExpect(jsonPath("$[?(@.here == true)].browser").value("Some browser"));
        String name = app.matsuri.exchange.plan.Json.MAPPER
                .readTree(mvc.perform(get("/api/me/sessions").cookie(there))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .valueStream()
                .filter(one -> one.path("here").booleanValue())
                .findFirst()
                .orElseThrow()
                .path("name")
                .stringValue();
        assertThat(Browser.of(mvc, accounts)
                        .ask(HttpMethod.DELETE, "/api/me/sessions/" + name, null, "application/json")
                        .status())
                .isEqualTo(404);
        assertThat(Browser.in(mvc, there)).isTrue();
        mvc.perform(delete("/api/me/sessions/" + name).cookie(here).with(csrf()))
                .andExpect(status().isNoContent());
        assertThat(Browser.in(mvc, there)).isFalse();
        mvc.perform(get("/api/me").cookie(here)).andExpect(status().isOk());
    }
}
