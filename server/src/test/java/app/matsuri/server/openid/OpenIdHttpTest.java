package app.matsuri.server.openid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.when;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.settings.OpenIdProperties;
import app.matsuri.server.settings.OpenIdProperties.NewAccounts;
import com.nimbusds.jwt.JWTClaimsSet;
import jakarta.servlet.http.Cookie;
import java.net.URI;
import java.time.Instant;
import java.util.Date;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Consumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.boot.webmvc.test.autoconfigure.MockMvcPrint;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.bean.override.mockito.MockitoSpyBean;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import tools.jackson.databind.JsonNode;

/** Signing in at a provider that stands beside the tests; what it may and may not say follows OpenID Connect Core 1.0, 3.1.3.7. */
@Tag("database")
@SpringBootTest(
        properties = {
            "matsuri.test.name=openid",
            "matsuri.openid.client-id=" + Provider.CLIENT,
            "matsuri.openid.client-secret=" + Provider.SECRET,
            "matsuri.openid.name=Quillmarsh",
            "matsuri.openid.new-accounts=teachers"
        })
@AutoConfigureMockMvc(print = MockMvcPrint.NONE)
@DirtiesContext
class OpenIdHttpTest {

    private static final Provider PROVIDER = new Provider(0);

    private static final String BEGIN = "/api/openid/begin/provider";

    @DynamicPropertySource
    static void provider(DynamicPropertyRegistry properties) {
        properties.add("matsuri.openid.issuer", PROVIDER::issuer);
    }

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    @Autowired
    JdbcTemplate sql;

    @MockitoSpyBean
    OpenIdProperties settings;

    /** What the browser keeps. */
    private final Map<String, String> cookies = new LinkedHashMap<>();

    @BeforeEach
    void up() throws Exception {
        PROVIDER.forges(false);
        PROVIDER.down(false);
        when(settings.newAccounts()).thenReturn(NewAccounts.TEACHERS);
        if (accounts.none()) {
            accounts.create("first", "F. Irst", "a password of some length");
        }
    }

    private MockHttpServletResponse ask(MockHttpServletRequestBuilder request) throws Exception {
        cookies.forEach((name, value) -> request.cookie(new Cookie(name, value)));
        MockHttpServletResponse answer =
                mvc.perform(request.with(csrf())).andReturn().getResponse();
        for (Cookie cookie : answer.getCookies()) {
            if (cookie.getMaxAge() == 0) {
                cookies.remove(cookie.getName());
            } else {
                cookies.put(cookie.getName(), cookie.getValue());
            }
        }
        return answer;
    }

    private MockHttpServletResponse post(String at, String json) throws Exception {
        return ask(
                MockMvcRequestBuilders.post(at).contentType("application/json").content(json));
    }

    private String goes(String to) throws Exception {
        MockHttpServletResponse answer = ask(get(URI.create(to)));
        assertThat(answer.getStatus()).as(to).isEqualTo(302);
        return answer.getRedirectedUrl();
    }

    /** Goes to the provider and comes back; where one is sent then. */
    private String signsIn(String begin, Consumer<JWTClaimsSet.Builder> who) throws Exception {
        PROVIDER.signsIn(who);
        String there = goes(begin);
        assertThat(there).startsWith(PROVIDER.issuer() + "/authorize?");
        return goes(PROVIDER.authorize(there));
    }

    private static Consumer<JWTClaimsSet.Builder> person(String subject, String name) {
        return claims -> claims.subject(subject)
                .claim("name", name)
                .claim("preferred_username", "Wren")
                .claim("email", subject + "@quillmarsh.example")
                .claim("email_verified", true);
    }

    private JsonNode me() throws Exception {
        return Json.read(ask(get("/api/me")).getContentAsString());
    }

    private long sessions() {
        return sql.queryForObject("select count(*) from signed_in", Long.class);
    }

    @Test
    void theFirstSignInMakesAnAccountAndLaterOnesFindIt() throws Exception {
        assertThat(Json.read(ask(get("/api/welcome")).getContentAsString())
                        .path("elsewhere")
                        .stringValue())
                .isEqualTo("Quillmarsh");
        long before = sessions();
        assertThat(signsIn(BEGIN + "?to=/terms/3/dates", person("s-1", "W. Oakes")))
                .isEqualTo("/terms/3/dates");
        assertThat(sessions()).isEqualTo(before + 1);
        assertThat(cookies).doesNotContainKey(OpenIdCookie.NAME);
        JsonNode first = me();
        assertThat(first.path("displayName").stringValue()).isEqualTo("W. Oakes");
        assertThat(first.path("preferences").path("mail").stringValue()).isEqualTo("s-1@quillmarsh.example");
        JsonNode state = Json.read(ask(get("/api/me/openid")).getContentAsString());
        assertThat(state.path("connected").booleanValue()).isTrue();
        assertThat(state.path("password").booleanValue()).isFalse();
        // what asks for the password says that there is none
        MockHttpServletResponse none = post("/api/me/openid/end", "{\"password\":\"whatever it is\"}");
        assertThat(none.getStatus()).isEqualTo(409);
        assertThat(none.getContentAsString()).contains("no-password");

        cookies.clear();
        // the same person under another name, and another one under the same
        assertThat(signsIn(BEGIN, person("s-1", "W. Ashby"))).isEqualTo("/");
        assertThat(me().path("signIn")).isEqualTo(first.path("signIn"));
        assertThat(me().path("displayName").stringValue()).isEqualTo("W. Oakes");
        cookies.clear();
        signsIn(BEGIN, person("s-2", "W. Oakes"));
        assertThat(me().path("signIn").stringValue())
                .startsWith("wren")
                .isNotEqualTo(first.path("signIn").stringValue());
        assertThat(sql.queryForList("select no_password from account where openid_subject like 's-%'", Boolean.class))
                .containsOnly(true);
    }

    @Test
    void whoOnlyBeginsLeavesNothingBehind() throws Exception {
        long before = sessions();
        for (String to : new String[] {"//elsewhere.example", "/\\\\elsewhere.example", "https://elsewhere.example"}) {
            cookies.clear();
            assertThat(goes(BEGIN + "?to=" + java.net.URLEncoder.encode(to, "UTF-8")))
                    .contains("/authorize?");
            assertThat(cookies).containsOnlyKeys(OpenIdCookie.NAME);
            assertThat(cookies.get(OpenIdCookie.NAME)).endsWith(".");
        }
        assertThat(sessions()).isEqualTo(before);
    }

    private void refused(Consumer<JWTClaimsSet.Builder> who) throws Exception {
        long before = sessions();
        cookies.clear();
        assertThat(signsIn(BEGIN, who)).isEqualTo("/sign-in?elsewhere=refused");
        assertThat(sessions()).isEqualTo(before);
        assertThat(ask(get("/api/me")).getStatus()).isEqualTo(401);
    }

    @Test
    void aTokenOfAnotherSignInServerTimeOrKeySignsNobodyIn() throws Exception {
        refused(claims -> claims.subject("s-3").claim("nonce", "of another sign-in"));
        refused(claims -> claims.subject("s-3").audience("another-client"));
        refused(claims -> claims.subject("s-3").issuer("http://localhost:1"));
        refused(claims ->
                claims.subject("s-3").expirationTime(Date.from(Instant.now().minusSeconds(600))));
        refused(claims -> claims.claim("name", "no subject"));
        PROVIDER.forges(true);
        refused(person("s-3", "F. Orger"));
        assertThat(accounts.known(PROVIDER.issuer(), "s-3")).isEmpty();
    }

    @Test
    void anAnswerCountsOnceAndInTheBrowserThatAsked() throws Exception {
        PROVIDER.signsIn(person("s-4", "W. Oakes"));
        String back = PROVIDER.authorize(goes(BEGIN));
        Map<String, String> asked = Map.copyOf(cookies);
        cookies.clear();
        assertThat(goes(back)).isEqualTo("/sign-in?elsewhere=refused");
        cookies.put(OpenIdCookie.NAME, "A".repeat(44) + "." + "B".repeat(44) + "." + "C".repeat(44) + ".");
        assertThat(goes(back)).isEqualTo("/sign-in?elsewhere=refused");
        cookies.putAll(asked);
        assertThat(goes(back.replaceAll("state=[^&]*", "state=another"))).isEqualTo("/sign-in?elsewhere=refused");
        cookies.putAll(asked);
        assertThat(goes(back)).isEqualTo("/");
        cookies.clear();
        cookies.putAll(asked);
        assertThat(goes(back)).isEqualTo("/sign-in?elsewhere=refused");
        cookies.putAll(asked);
        String state = back.replaceAll(".*state=", "");
        assertThat(goes("/api/openid/answer?error=access_denied&state=" + state))
                .isEqualTo("/sign-in?elsewhere=refused");
    }

    @Test
    void aProviderThatDoesNotAnswerKeepsNobodyFromTheSignInHere() throws Exception {
        PROVIDER.signsIn(person("s-5", "W. Oakes"));
        String back = PROVIDER.authorize(goes(BEGIN));
        PROVIDER.down(true);
        assertThat(goes(back)).isEqualTo("/sign-in?elsewhere=refused");
        PROVIDER.down(false);
        assertThat(signsIn(BEGIN, person("s-5", "W. Oakes"))).isEqualTo("/");
    }

    @Test
    void whoIsKeptOutOrHasNoAccountIsToldSo() throws Exception {
        signsIn(BEGIN, person("s-6", "L. Ocked"));
        SignedIn by = accounts.known(PROVIDER.issuer(), "s-6").orElseThrow();
        accounts.lock(by, true);
        cookies.clear();
        assertThat(signsIn(BEGIN, person("s-6", "L. Ocked"))).isEqualTo("/sign-in?elsewhere=locked");
        when(settings.newAccounts()).thenReturn(NewAccounts.NOBODY);
        assertThat(signsIn(BEGIN, person("s-7", "N. Obody"))).isEqualTo("/sign-in?elsewhere=no-account");
        when(settings.newAccounts()).thenReturn(NewAccounts.GUESTS);
        assertThat(signsIn(BEGIN, person("s-7", "G. Uest"))).isEqualTo("/");
        assertThat(post("/api/terms/draft-of-none", "{}").getStatus()).isNotEqualTo(201);
        assertThat(sql.queryForObject("select guest from account where openid_subject = 's-7'", Boolean.class))
                .isTrue();
    }

    private void byPassword(String name) throws Exception {
        cookies.clear();
        assertThat(ask(MockMvcRequestBuilders.post("/api/session")
                                .param("signIn", name)
                                .param("password", "a password of some length"))
                        .getStatus())
                .isEqualTo(204);
    }

    @Test
    void anAccountIsConnectedWithItsPasswordAndDisconnected() throws Exception {
        SignedIn by = accounts.create("connects", "C. Onnects", "a password of some length");
        SignedIn other = accounts.create("connects-too", "C. Too", "a password of some length");
        byPassword("connects");
        assertThat(post("/api/me/openid", "{\"password\":\"another one\"}").getStatus())
                .isEqualTo(422);
        MockHttpServletResponse begun = post("/api/me/openid", "{\"password\":\"a password of some length\"}");
        assertThat(Json.read(begun.getContentAsString()).path("address").stringValue())
                .isEqualTo(BEGIN);
        assertThat(signsIn(BEGIN, person("s-8", "C. Onnects"))).isEqualTo("/preferences?elsewhere=connected");
        assertThat(me().path("signIn").stringValue()).isEqualTo("connects");
        cookies.clear();
        assertThat(signsIn(BEGIN, person("s-8", "C. Onnects"))).isEqualTo("/");
        assertThat(me().path("signIn").stringValue()).isEqualTo("connects");

        byPassword("connects-too");
        post("/api/me/openid", "{\"password\":\"a password of some length\"}");
        assertThat(signsIn(BEGIN, person("s-8", "C. Onnects"))).isEqualTo("/preferences?elsewhere=taken");
        assertThat(accounts.connected(other)).isFalse();
        // it was asked for once: the next sign-in there is a sign-in
        assertThat(signsIn(BEGIN, person("s-8", "C. Onnects"))).isEqualTo("/");
        assertThat(me().path("signIn").stringValue()).isEqualTo("connects");

        assertThat(post("/api/me/openid/end", "{\"password\":\"a password of some length\"}")
                        .getStatus())
                .isEqualTo(204);
        assertThat(accounts.connected(by)).isFalse();
    }
}
