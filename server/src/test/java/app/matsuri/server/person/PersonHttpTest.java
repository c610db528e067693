package app.matsuri.server.person;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import app.matsuri.server.ServerTest;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** What is kept about people is given out whole, and taken out so that nothing of it is left. */
class PersonHttpTest extends DemoTest {

    /** In nobody else's name. */
    private final String word = "q" + Long.toString(System.nanoTime(), 36);

    private final String student = "{\"id\":\"s-" + word + "\",\"name\":\"Quillon " + word + "\",\"mail\":\"" + word
            + "@quillmarsh.example\"}";

    @Autowired
    private JdbcTemplate sql;

    private long change(long version, String change) throws Exception {
        Browser.Answer made = browser.change(term, version, change.replace('\'', '"'));
        assertThat(made.status()).as("%s", made.body()).isEqualTo(200);
        return made.body().path("version").asLong();
    }

    /** On two rosters, with a date of their own, a hand-in, a booking and a letter; the version then. */
    private long known() throws Exception {
        long version = change(
                1,
                "{'kind':'put-roster','course':'HYD 210','section':'A','students':[" + student
                        + ",{'id':'s-98','name':'B. Other'}]}");
        version =
                change(version, "{'kind':'put-roster','course':'HYD 210','section':'B','students':[" + student + "]}");
        version = change(
                version,
                "{'kind':'put-adjustment','course':'HYD 210','section':'A','adjustment':{'item':'log-8','student':'s-"
                        + word + "'," + "'due':{'at':'2026-10-30T17:00'},'why':'Quillon " + word + " was ill'}}");
        sql.update(
                "insert into hand_in (term_id, course, item, student, handed_in) values (?, 'HYD 210', 'log-8', ?, timestamp '2026-10-20 10:00:00')",
                term,
                "s-" + word);
        sql.update(
                "insert into letter (workspace_id, recipient, subject, body, html, stop_address, moment, zone, state, tries, changed_at, fault)"
                        + " values (?, ?, 'Hello', 'Dear Quillon', '', '', current_timestamp, 'UTC', 'SENT', 1, current_timestamp, '')",
                browser.person().workspaceId(),
                word.toUpperCase() + "@quillmarsh.example");
        return version;
    }

    /** Every text of every table, in which somebody could stand. */
    private boolean anywhere(String word) {
        for (String table :
                List.of("student", "adjustment", "hand_in", "letter", "booking", "public_link", "history_entry")) {
            for (var row : sql.queryForList("select * from " + table)) {
                for (Object value : row.values()) {
                    if (String.valueOf(value).toLowerCase().contains(word)) {
                        return true;
                    }
                }
            }
        }
        return browserPlanHistory().toLowerCase().contains(word);
    }

    private String browserPlanHistory() {
        try {
            byte[] bundle = browser.get(at + "/bundle?history=true").response().getContentAsByteArray();
            StringBuilder all = new StringBuilder();
            try (var zip = new java.util.zip.ZipInputStream(new java.io.ByteArrayInputStream(bundle))) {
                while (zip.getNextEntry() != null) {
                    all.append(new String(zip.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8));
                }
            }
            assertThat(all).contains("HYD 210").contains("delta");
            return all.toString();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void allThatIsKeptAboutAStudentIsOneFile() throws Exception {
        known();
        Browser.Answer told = browser.get(at + "/student-data?student=s-" + word);
        assertThat(told.response().getHeader("Content-Disposition")).contains("student-data.json");
        JsonNode all = told.body();
        assertThat(all.path("student").path("mail").stringValue()).isEqualTo(word + "@quillmarsh.example");
        assertThat(all.path("rosters")).hasSize(2);
        assertThat(all.path("ownDates").toString()).contains("was ill");
        assertThat(all.path("handedIn").toString()).contains("log-8");
        assertThat(all.path("letters").toString()).contains("Dear Quillon");
        assertThat(browser.get(at + "/student-data?student=nobody").status()).isEqualTo(404);
    }

    @Test
    void aStudentIsTakenOutOfEverythingOfTheHistoryTooAndTheRestGoesOn() throws Exception {
        long version = known();
        assertThat(anywhere(word)).isTrue();
        Browser.Answer gone =
                browser.post(at + "/student-removal", "{\"version\":" + version + ",\"student\":\"s-" + word + "\"}");
        assertThat(gone.status()).as("%s", gone.body()).isEqualTo(200);
        version = gone.body().path("version").asLong();
        assertThat(anywhere(word)).isFalse();
        // every step can still be taken back and made again, without the student
        String now = browser.plan(term);
        long steps = version - 1;
        for (long n = 0; n < steps; n++) {
            version = browser.post(at + "/undo", "{\"version\":" + version + "}")
                    .body()
                    .path("version")
                    .asLong();
        }
        assertThat(browser.plan(term)).doesNotContain(word);
        for (long n = 0; n < steps; n++) {
            version = browser.post(at + "/redo", "{\"version\":" + version + "}")
                    .body()
                    .path("version")
                    .asLong();
        }
        assertThat(browser.plan(term)).isEqualTo(now).contains("B. Other");
    }

    @Test
    void allThatIsKeptAboutWhoAsksIsOneFile() throws Exception {
        browser.change(term, 1, ServerTest.FLOOD);
        JsonNode all = browser.get("/api/me/data").body();
        assertThat(all.path("account").get(0).path("signIn").stringValue())
                .isEqualTo(browser.person().signIn());
        assertThat(all.path("terms").get(0).path("name").stringValue()).isEqualTo("Autumn 2026");
        assertThat(all.path("steps").toString()).contains("Flood warning");
        assertThat(all.toString()).doesNotContain("bcrypt");
    }

    @Test
    void anAccountIsClosedWithThePasswordAndNobodyIsLeftWithoutAnOwner() throws Exception {
        Browser other = Browser.of(mvc, accounts);
        String to = other.person().signIn();
        String closing = "{\"password\":\"a password of some length\",\"to\":\"%s\"}";
        assertThat(browser.post("/api/me/closing", "{\"password\":\"another\"}").status())
                .isEqualTo(422);
        assertThat(browser.post("/api/me/closing", String.format(closing, ""))
                        .body()
                        .toString())
                .contains("Say who has them");
        assertThat(browser.post("/api/me/closing", String.format(closing, "nobody at all"))
                        .status())
                .isEqualTo(409);
        assertThat(browser.post(
                                "/api/me/closing",
                                String.format(closing, browser.person().signIn()))
                        .status())
                .as("to oneself")
                .isEqualTo(409);
        assertThat(browser.get(at + "/wall").status()).isEqualTo(200);
        assertThat(browser.post("/api/me/closing", String.format(closing, to)).status())
                .isEqualTo(204);
        assertThat(browser.get("/api/me").status()).isEqualTo(401);
        assertThat(other.get(at + "/wall").status()).isEqualTo(200);
        Browser without = Browser.of(mvc, accounts);
        assertThat(without.post("/api/me/closing", "{\"password\":\"a password of some length\"}")
                        .status())
                .isEqualTo(204);
    }
}
