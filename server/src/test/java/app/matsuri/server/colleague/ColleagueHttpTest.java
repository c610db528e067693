package app.matsuri.server.colleague;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.account.Accounts;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Colleagues over HTTP: invited by a link from the outbox, they may do what they were invited to and no more. */
@ServerTest
class ColleagueHttpTest {

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    @Autowired
    JdbcTemplate sql;

    private Browser owner;
    private Browser other;
    private long term;
    private String at;

    @BeforeEach
    void openTheDemo() throws Exception {
        owner = Browser.of(mvc, accounts);
        other = Browser.of(mvc, accounts);
        term = owner.open(Browser.demo());
        at = "/api/terms/" + term;
    }

    private String invite(String role, String more) throws Exception {
        Browser.Answer made = owner.post(
                at + "/colleagues",
                "{\"role\":\"" + role + "\",\"name\":\"B. Sayer\",\"mail\":\"b@quillmarsh.example\"" + more + "}");
        assertThat(made.status()).isEqualTo(201);
        String body = owner.get("/api/outbox").body().get(0).path("body").stringValue();
        Matcher token = Pattern.compile("/invitation/(\\S+)").matcher(body);
        assertThat(token.find()).isTrue();
        return token.group(1);
    }

    @Test
    void aCoTeacherMayChangeTheTermAndTheHistorySaysWho() throws Exception {
        String token = invite("co-teacher", "");
        assertThat(other.get(at + "/wall").status()).isEqualTo(404);
        assertThat(other.post("/api/invitations/" + token + "/take", "{}").status())
                .isEqualTo(204);
        assertThat(other.get(at + "/wall").status()).isEqualTo(200);
        assertThat(other.get("/api/terms").body().get(0).path("role").stringValue())
                .isEqualTo("co-teacher");
        assertThat(other.change(term, 1, ServerTest.FLOOD).status()).isEqualTo(200);
        JsonNode lines = owner.get(at + "/history").body().path("lines");
        assertThat(lines.get(lines.size() - 1).toString())
                .contains(other.person().displayName());
        assertThat(other.get(at + "/colleagues").status()).isEqualTo(404);
        assertThat(other.post("/api/invitations/" + token + "/take", "{}").status())
                .isEqualTo(409);
    }

    @Test
    void aReaderMayLookAndNotChange() throws Exception {
        other.post("/api/invitations/" + invite("reader", "") + "/take", "{}");
        assertThat(other.get(at + "/calendar").status()).isEqualTo(200);
        assertThat(other.post(at + "/proposals", ServerTest.FLOOD).status()).isEqualTo(200);
        Browser.Answer refused = other.change(term, 1, ServerTest.FLOOD);
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.body().path("detail").stringValue()).contains("invited to look");
        assertThat(other.post(at + "/undo", "{\"version\":1}").status()).isEqualTo(403);
    }

    @Test
    void aSubstituteSeesTheClassesOfSomeDaysAndNothingElse() throws Exception {
        String token = invite(
                "substitute",
                ",\"course\":\"HYD 210\",\"section\":\"A\",\"first\":\"2026-10-14\",\"last\":\"2026-10-16\"");
        other.post("/api/invitations/" + token + "/take", "{}");
        JsonNode sheet = other.get(at + "/sheet").body();
        assertThat(sheet.path("classes").size()).isEqualTo(2);
        assertThat(sheet.at("/classes/0/lessons/0").stringValue()).isEqualTo("CH3 Survey of a section");
        assertThat(other.get(at + "/wall").status()).isEqualTo(404);
        assertThat(other.get(at + "/roster?course=HYD%20210&section=A").status())
                .isEqualTo(404);
        assertThat(other.get(at + "/plan").status()).isEqualTo(404);
        assertThat(other.get("/api/terms").body().get(0).path("sections").size())
                .isZero();
        assertThat(owner.post(
                                at + "/colleagues",
                                "{\"role\":\"substitute\",\"name\":\"B\",\"mail\":\"b@quillmarsh.example\"}")
                        .status())
                .isEqualTo(422);
    }

    @Test
    void someoneWithoutAnAccountMakesOneFromTheLink() throws Exception {
        String token = invite("reader", "");
        assertThat(other.get("/api/invitations/" + token).body().path("term").stringValue())
                .isEqualTo("Autumn 2026");
        String account = "{\"signIn\":\"sayer" + term + "\",\"password\":\"a long enough password\"}";
        int made = mvc.perform(post("/api/invitations/" + token + "/account")
                        .with(csrf())
                        .contentType("application/json")
                        .content(account))
                .andReturn()
                .getResponse()
                .getStatus();
        assertThat(made).isEqualTo(204);
        assertThat(accounts.known("sayer" + term)).isTrue();
        assertThat(other.get("/api/invitations/" + token).body().path("taken").asBoolean())
                .isTrue();
        String second = invite("reader", "");
        assertThat(other.post("/api/invitations/" + second + "/account", account)
                        .status())
                .isEqualTo(409);
    }

    @Test
    void anInvitationThatIsTakenBackOpensNothing() throws Exception {
        String token = invite("co-teacher", "");
        other.post("/api/invitations/" + token + "/take", "{}");
        long id = owner.get(at + "/colleagues").body().get(0).path("id").asLong();
        assertThat(owner.ask(HttpMethod.DELETE, at + "/colleagues/" + id, null, "application/json")
                        .status())
                .isEqualTo(204);
        assertThat(other.get(at + "/wall").status()).isEqualTo(404);
        assertThat(other.get("/api/terms").body().size()).isZero();
        assertThat(other.get("/api/invitations/" + token).status()).isEqualTo(404);
        assertThat(other.get("/api/invitations/guessed").status()).isEqualTo(404);
    }

    @Test
    void anOwnerWhoOpensAnInvitationKeepsTheirRights() throws Exception {
        String token = invite("reader", "");
        Browser.Answer refused = owner.post("/api/invitations/" + token + "/take", "{}");
        assertThat(refused.type()).isEqualTo("/problems/own-term");
        assertThat(owner.change(term, 1, ServerTest.FLOOD).status()).isEqualTo(200);
        assertThat(other.post("/api/invitations/" + token + "/take", "{}").status())
                .isEqualTo(204);
    }

    @Test
    void whoeverPressesTenTimesAtOnceTakesItOnce() throws Exception {
        String token = invite("reader", "");
        List<Browser> many = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            many.add(Browser.of(mvc, accounts));
        }
        List<Integer> answers = many.parallelStream()
                .map(person -> {
                    try {
                        return person.post("/api/invitations/" + token + "/take", "{}")
                                .status();
                    } catch (Exception e) {
                        throw new IllegalStateException(e);
                    }
                })
                .sorted()
                .toList();
        assertThat(answers).startsWith(204).endsWith(409);
        assertThat(answers.stream().filter(status -> status == 409)).hasSize(9);
    }

    @Test
    void anInvitationIsTooOldAfterTwoWeeks() throws Exception {
        String token = invite("reader", "");
        sql.update("update colleague set invited_at = invited_at - interval '15' day where term_id = ?", term);
        Browser.Answer old = other.post("/api/invitations/" + token + "/take", "{}");
        assertThat(old.status()).isEqualTo(404);
        assertThat(old.body().path("detail").stringValue()).contains("too old");
    }

    @Test
    void whoWasInvitedToLookMakesNoTermsUnlessTheInvitationSaysSo() throws Exception {
        assertThat(made("guest1", invite("reader", "")).status()).isEqualTo(403);
        assertThat(made("guest2", invite("reader", ",\"makesTerms\":true")).status())
                .isEqualTo(201);
        assertThat(made("guest3", invite("co-teacher", "")).status()).isEqualTo(201);
    }

    /** What comes of it when an account that is made for the invitation opens a plan. */
    private Browser.Answer made(String name, String token) throws Exception {
        String signIn = name + System.nanoTime();
        mvc.perform(post("/api/invitations/" + token + "/account")
                .with(csrf())
                .contentType("application/json")
                .content("{\"signIn\":\"" + signIn + "\",\"password\":\"a long enough one\"}"));
        Browser guest = Browser.as(mvc, accounts.find(signIn).orElseThrow());
        return guest.ask(
                HttpMethod.POST,
                "/api/terms",
                Browser.demo().getBytes(StandardCharsets.UTF_8),
                "application/octet-stream");
    }

    @Test
    void aTermWithALongNameInvitesAllTheSame() throws Exception {
        term = owner.open(Browser.demo().replace("\"Autumn 2026\"", "\"" + "Autumn ".repeat(40) + "\""));
        at = "/api/terms/" + term;
        assertThat(invite("reader", "")).isNotBlank();
    }

    @Test
    void theOwnerSeesWhoLookedAndWhenAndNobodyElseDoes() throws Exception {
        assertThat(owner.get(at + "/looks").body()).isEmpty();
        other.post("/api/invitations/" + invite("reader", "") + "/take", "{}");
        owner.get(at + "/wall");
        for (int n = 0; n < 3; n++) {
            assertThat(other.get(at + "/wall").status()).isEqualTo(200);
        }
        JsonNode looks = owner.get(at + "/looks").body();
        assertThat(looks).hasSize(1);
        assertThat(looks.get(0).path("name").stringValue())
                .isEqualTo(other.person().displayName());
        Instant first = sql.queryForObject(
                "select first_at from term_look where term_id = ?",
                (row, n) -> row.getObject(1, OffsetDateTime.class).toInstant(),
                term);
        assertThat(LocalDateTime.parse(looks.get(0).path("first").stringValue()))
                .as("in the zone of the term")
                .isEqualTo(LocalDateTime.ofInstant(first, ZoneId.of("America/Chicago")));
        int before = looks.get(0).path("times").intValue();
        assertThat(before).isGreaterThanOrEqualTo(3);
        other.get(at + "/dates");
        assertThat(owner.get(at + "/looks").body().get(0).path("times").intValue())
                .isGreaterThan(before);
        assertThat(other.get(at + "/looks").status()).isEqualTo(404);
    }

    private Browser.Answer handOver(long colleague, String password) throws Exception {
        return owner.post(at + "/colleagues/" + colleague + "/ownership", "{\"password\":\"" + password + "\"}");
    }

    @Test
    void aTermIsHandedOverToACoTeacherAndWhoHadItBecomesOne() throws Exception {
        String token = invite("co-teacher", "");
        long colleague = owner.get(at + "/colleagues").body().get(0).path("id").longValue();
        String password = "a password of some length";
        assertThat(handOver(colleague, password).status()).as("not taken yet").isEqualTo(409);
        other.post("/api/invitations/" + token + "/take", "{}");
        assertThat(handOver(colleague, "another").status()).isEqualTo(422);
        String plan = owner.plan(term);
        assertThat(handOver(colleague, password).status()).isEqualTo(204);
        assertThat(other.get(at + "/colleagues").body().get(0).path("name").stringValue())
                .isEqualTo(owner.person().displayName());
        assertThat(owner.get(at + "/colleagues").status()).isEqualTo(404);
        assertThat(owner.plan(term)).isEqualTo(plan).isEqualTo(other.plan(term));
        assertThat(owner.change(term, 1, ServerTest.FLOOD).status()).isEqualTo(200);
        assertThat(other.post(at + "/undo", "{\"version\":2}").status()).isEqualTo(200);
        assertThat(handOver(colleague, password).status())
                .as("it is not theirs")
                .isEqualTo(404);
    }

    @Test
    void aTermIsNotHandedToWhoMayOnlyLook() throws Exception {
        other.post("/api/invitations/" + invite("reader", "") + "/take", "{}");
        long colleague = owner.get(at + "/colleagues").body().get(0).path("id").longValue();
        assertThat(handOver(colleague, "a password of some length").status()).isEqualTo(409);
    }
}
