package app.matsuri.server.hours;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.account.Accounts;
import java.net.URI;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Office hours for who teaches: typed in a line, looked at, booked for somebody. */
@ServerTest
class HoursHttpTest {

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    private Browser browser;
    private String at;
    private long term;
    private int version = 1;

    @BeforeEach
    void openTheDemo() throws Exception {
        browser = Browser.of(mvc, accounts);
        term = browser.open(Browser.demo().replaceFirst("\"officeHours\"", "\"otherHours\""));
        at = "/api/terms/" + term + "/hours";
    }

    private JsonNode typed(String text, String id) throws Exception {
        return browser.post(
                        at + "/reading",
                        Json.pretty(Json.MAPPER.valueToTree(
                                id == null ? Map.of("text", text) : Map.of("text", text, "id", id))))
                .body();
    }

    private void make(JsonNode read) throws Exception {
        Browser.Answer made = browser.change(term, version, read.path("change").toString());
        assertThat(made.status()).as(read + " " + made.body()).isEqualTo(200);
        version = made.body().path("version").intValue();
    }

    @Test
    void aLineMakesOfficeHoursForTheTerm() throws Exception {
        JsonNode read = typed("Tue 13-14, Fri 13-14 in 15 min, Weir House 1, 2 a week for HYD 210", null);
        assertThat(read.path("said").stringValue())
                .isEqualTo(
                        "Tue 13:00-14:00 Weir House 1; Fri 13:00-14:00 Weir House 1, in 15 min, 2 a week for HYD 210");
        make(read);
        JsonNode view = browser.get(at).body();
        assertThat(view.path("weekdays").toString()).isEqualTo("[\"TU\",\"FR\"]");
        JsonNode week = view.path("weeks").get(5);
        JsonNode block = week.path("days").get(1).path("blocks").get(0);
        assertThat(block.path("free").intValue()).isEqualTo(4);
        assertThat(block.path("slots").get(1).path("start").stringValue()).isEqualTo("2026-10-09T13:15:00");
        JsonNode off = view.path("weeks").get(6).path("days").get(0);
        assertThat(off.path("off").stringValue()).isNotBlank();
        assertThat(off.path("blocks").get(0).path("withdrawn").booleanValue()).isTrue();
        JsonNode wrong = typed("sometimes", null);
        assertThat(wrong.path("wrong").stringValue()).contains("“sometimes”: not understood");
        assertThat(wrong.has("change")).isFalse();
        make(typed("Fri 13-15 in 20 min, Weir House 1", "hours-1"));
        assertThat(browser.get(at).body().path("hours").size()).isEqualTo(1);
    }

    @Test
    void whoTeachesBooksForAStudentOrAWalkInAndGivesBackWithAWord() throws Exception {
        make(typed("Fri 13-14 in 15 min, Weir House 1, 2 places", null));
        String student =
                "{\"hours\":\"hours-1\",\"slot\":\"2026-10-23T13:00\",\"course\":\"HYD 210\",\"section\":\"A\","
                        + "\"student\":\"4101\",\"people\":1,\"about\":\"Lab\"}";
        JsonNode view = browser.post(at + "/bookings", student).body();
        JsonNode booking = view.path("bookings").get(0);
        assertThat(booking.path("about").stringValue()).isEqualTo("Lab");
        assertThat(booking.path("onRoster").booleanValue()).isTrue();
        assertThat(browser.post(at + "/bookings", student).body().path("detail").stringValue())
                .isEqualTo("They hold this slot already.");
        String walkIn = "{\"hours\":\"hours-1\",\"slot\":\"2026-10-23T13:00\",\"name\":\"E. Farrow\",\"people\":1}";
        assertThat(browser.post(at + "/bookings", walkIn).status()).isEqualTo(200);
        Browser.Answer full = browser.post(at + "/bookings", walkIn.replace("E. Farrow", "Third"));
        assertThat(full.status()).isEqualTo(409);
        assertThat(full.body().path("detail").stringValue()).contains("too few places");
        assertThat(browser.post(at + "/bookings", walkIn.replace("E. Farrow", " "))
                        .status())
                .isEqualTo(422);
        String uid = booking.path("uid").stringValue();
        JsonNode left = browser.post(at + "/bookings/" + uid + "/back", "{\"why\":\"I am ill\"}")
                .body();
        assertThat(left.path("bookings").get(0).path("state").stringValue()).isEqualTo("given-back");
        assertThat(browser.post(at + "/bookings/" + uid + "/back", "{\"why\":\"\"}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void aProposalSaysWhichBookingsItWithdraws() throws Exception {
        make(typed("Fri 13-14 in 15 min, Weir House 1", null));
        browser.post(
                at + "/bookings",
                "{\"hours\":\"hours-1\",\"slot\":\"2026-10-23T13:00\",\"name\":\"E. Farrow\",\"people\":1}");
        JsonNode off = browser.post(
                        "/api/terms/" + term + "/proposals",
                        "{\"kind\":\"add-closure\",\"closure\":{\"first\":\"2026-10-23\",\"last\":\"2026-10-23\",\"reason\":\"Fair\"}}")
                .body();
        assertThat(off.path("notes").toString())
                .contains("1 booking of office hours would be withdrawn, and told: E. Farrow, Fri 23 Oct, 13:00.");
        assertThat(off.path("quiet").booleanValue()).isFalse();
        JsonNode moved = browser.post(
                        "/api/terms/" + term + "/proposals?view=hours",
                        "{\"kind\":\"change-slots\",\"hours\":\"hours-1\",\"slot\":\"2026-10-23T13:00\",\"as\":\"move\",\"to\":\"2026-10-22T09:00\"}")
                .body();
        assertThat(moved.path("notes").toString()).contains("would be moved, and told");
        assertThat(moved.path("hours").path("weekdays").toString()).contains("TH");
    }

    /** A link of the simulated provider, which leads to a page that says so. */
    /** A what-if that takes a slot away says so beside the plan; and where every slot is taken for weeks, that is found. */
    @Test
    void whatIfsAndFindingsKnowBookings() throws Exception {
        make(typed("Mon 9:00-9:30 in 30 min", null));
        for (String monday : List.of("2026-10-19", "2026-10-26", "2026-11-02")) {
            assertThat(browser.post(
                                    at + "/bookings",
                                    "{\"hours\":\"hours-1\",\"slot\":\"" + monday
                                            + "T09:00\",\"name\":\"Guest\",\"mail\":\"g@elsewhere.example\",\"people\":1}")
                            .status())
                    .isEqualTo(200);
        }
        String found = browser.get("/api/terms/" + term + "/findings").body().toString();
        assertThat(found).contains("every slot is taken for 4 weeks").contains("the next is free on Mon 9 Nov");
        JsonNode whatIf = browser.post(
                        "/api/terms/" + term + "/what-ifs",
                        "{\"name\":\"Away\",\"change\":{\"kind\":\"add-closure\",\"closure\":{\"first\":\"2026-10-26\",\"last\":\"2026-10-26\",\"reason\":\"Away\"}}}")
                .body();
        JsonNode columns = browser.get("/api/terms/" + term + "/what-ifs/comparison?course=HYD%20210&section=A&ids="
                        + whatIf.path("id").longValue())
                .body()
                .path("columns");
        assertThat(columns.get(0).path("beside").isEmpty()).isTrue();
        assertThat(columns.get(1).path("beside").toString()).contains("1 booking of office hours would be withdrawn");
    }

    @Test
    void aMeetingLinkIsMade() throws Exception {
        String link = browser.post("/api/terms/" + term + "/meeting-links", "")
                .body()
                .path("link")
                .stringValue();
        String path = URI.create(link).getPath();
        assertThat(path).matches("/meeting/[a-z0-9]{12}");
        assertThat(mvc.perform(get(path)).andReturn().getResponse().getContentAsString())
                .contains("The provider of this link is simulated");
        assertThat(mvc.perform(get("/meeting/short")).andReturn().getResponse().getStatus())
                .isEqualTo(404);
    }

    @Test
    void initialsAreOfTheFirstAndTheLastWord() {
        assertThat(HoursBuilder.initials("M. Sund")).isEqualTo("MS");
        assertThat(HoursBuilder.initials("Wren van Oakes")).isEqualTo("WO");
        assertThat(HoursBuilder.initials("Ævar")).isEqualTo("Æ");
        assertThat(HoursBuilder.initials(" ")).isEqualTo("?");
    }
}
