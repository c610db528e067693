package app.matsuri.server.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.account.Accounts;
import java.io.ByteArrayInputStream;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Pages of links over HTTP: what they show, to whom, and what they never say. */
@ServerTest
class SeeHttpTest {

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    private Browser browser;
    private long term;

    @BeforeEach
    void openTheDemo() throws Exception {
        browser = Browser.of(mvc, accounts);
        term = browser.open(Browser.demo());
    }

    private JsonNode link(String section, String student) throws Exception {
        Browser.Answer made = browser.post(
                "/api/terms/" + term + "/links",
                "{\"course\":\"HYD 210\",\"section\":\"" + section + "\""
                        + (student == null ? "" : ",\"student\":\"" + student + "\"") + "}");
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        return made.body();
    }

    private static String path(JsonNode link) {
        return URI.create(link.path("address").stringValue()).getPath();
    }

    private MockHttpServletResponse see(String path) throws Exception {
        return mvc.perform(get(URI.create(path))).andReturn().getResponse();
    }

    private String page(String path) throws Exception {
        MockHttpServletResponse response = see(path);
        String page = response.getContentAsString(StandardCharsets.UTF_8);
        assertThat(response.getStatus()).as(page).isEqualTo(200);
        return page;
    }

    /** Read without styles, or read out, no two parts of a page run into one word. */
    @Test
    void withoutStylesNoTwoWordsRunTogether() throws Exception {
        String path = path(link("A", null));
        String own = path(link("A", "4101"));
        for (String where : List.of(path, path + "?term=true", path + "/take", path + "/sheet?week=6", own)) {
            assertThat(Jsoup.parse(page(where)).select("a + a, a + span, b + span, b + a, span + a, .dn b, .s, .d"))
                    .as(where)
                    .isNotEmpty()
                    .allMatch(SeeHttpTest::apart, "stands apart from what is before it");
        }
    }

    private static boolean apart(Element part) {
        Node before = part.previousSibling();
        return before == null
                || part.text().isEmpty()
                || before instanceof TextNode text && text.getWholeText().matches("(?s).*[\\s,:;(·]")
                || before instanceof Element element && (element.text().isEmpty() || element.isBlock());
    }

    @Test
    void theClassSeesItsWeekAndWhatIsDueAsToldWithoutCookieOrScript() throws Exception {
        MockHttpServletResponse response = see(path(link("A", null)));
        String page = response.getContentAsString(StandardCharsets.UTF_8);
        assertThat(page)
                .contains("HYD 210 Reading Rivers, A", "Wednesday 7 October", "Autumn break", "Read 12")
                .as("Field log 5 stands as it was told")
                .contains("Field log 5")
                .doesNotContain("<script", "Wren Oakes", "Larkspur", "-here-", "-host-")
                .as("its addresses are read from where it is")
                .contains("<base href=\"", "webcal://localhost/see/");
        assertThat(response.getHeaders("Set-Cookie")).isEmpty();
        assertThat(response.getHeader("Referrer-Policy")).isEqualTo("no-referrer");
        assertThat(response.getHeader("X-Robots-Tag")).isEqualTo("noindex");
        assertThat(response.getHeader("Content-Security-Policy"))
                .contains("default-src 'none'", "frame-ancestors 'self'")
                .doesNotContain("script-src");
        assertThat(response.getHeader("X-Frame-Options")).isNull();
    }

    @Test
    void aLinkIsTheSameUntilItIsMadeAnewAndWithdrawnAtOnce() throws Exception {
        JsonNode first = link("A", null);
        assertThat(link("A", null).path("id")).isEqualTo(first.path("id"));
        String links = "/api/terms/" + term + "/links";
        page(path(first));
        JsonNode listed = browser.get(links + "?course=HYD%20210").body().get(0);
        assertThat(listed.path("lastUsedOn").stringValue()).isEqualTo("2026-10-07");
        long id = first.path("id").asLong();
        JsonNode anew =
                browser.post(links + "/" + id + "/renewal?course=HYD%20210", "").body();
        assertThat(path(anew)).isNotEqualTo(path(first));
        assertThat(see(path(first)).getStatus()).isEqualTo(404);
        page(path(anew));
        browser.post(links + "/" + id + "/withdrawal?course=HYD%20210", "");
        MockHttpServletResponse gone = see(path(anew));
        MockHttpServletResponse never = see("/see/" + "x".repeat(43));
        assertThat(gone.getStatus()).isEqualTo(404);
        assertThat(gone.getContentAsString(StandardCharsets.UTF_8))
                .isEqualTo(never.getContentAsString(StandardCharsets.UTF_8))
                .contains("This link shows nothing");
        assertThat(browser.get(links + "?course=HYD%20210")
                        .body()
                        .get(0)
                        .path("address")
                        .stringValue())
                .isEmpty();
    }

    @Test
    void nobodyElseMakesOrSeesLinks() throws Exception {
        JsonNode made = link("A", null);
        Browser other = Browser.of(mvc, accounts);
        String links = "/api/terms/" + term + "/links";
        assertThat(other.get(links + "?course=HYD%20210").status()).isEqualTo(404);
        assertThat(other.post(links + "/" + made.path("id").asLong() + "/withdrawal?course=HYD%20210", "")
                        .status())
                .isEqualTo(404);
        page(path(made));
    }

    @Test
    void aStudentSeesEveryCourseAndOwnDates() throws Exception {
        JsonNode link = link("A", "4101");
        assertThat(link.path("student").stringValue()).isEqualTo("Wren Oakes");
        String page = page(path(link));
        assertThat(page)
                .contains("HYD 210 Reading Rivers, A", "HYD 210L Field Lab, L1")
                .doesNotContain("Wren Oakes");
        String hidden = page(path(link) + "?hide=HYD%20210%2FA");
        assertThat(hidden).doesNotContain("Field log 6").contains("show");
        assertThat(page(path(link) + "?of=" + term + "%2FHYD%20210%2FA")).contains("Field log 6");
        assertThat(see(path(link) + "?of=" + term + "%2FHYD%20210%2FB").getStatus())
                .isEqualTo(404);
    }

    @Test
    void studentsGetTheirLinksInATableAndByMail() throws Exception {
        String students = "/api/terms/" + term + "/links/students";
        JsonNode out = browser.post(students + "?mail=true", "{\"course\":\"HYD 210\",\"section\":\"A\"}")
                .body();
        assertThat(out.path("made").asInt()).isEqualTo(24);
        assertThat(browser.post(students, "{\"course\":\"HYD 210\",\"section\":\"A\"}")
                        .body()
                        .path("made")
                        .asInt())
                .isZero();
        String table = browser.get(students + ".csv?course=HYD%20210&section=A")
                .response()
                .getContentAsString(StandardCharsets.UTF_8);
        assertThat(table).startsWith("name,address,link\r\nWren Oakes,wren.oakes@quillmarsh.example,http");
        assertThat(browser.get("/api/outbox").body().toString()).contains("Your dates of HYD 210", "/see/");
    }

    @Test
    void aSectionNeverToldSaysSo() throws Exception {
        Browser.Answer made =
                browser.post("/api/terms/" + term + "/links", "{\"course\":\"MAP 115\",\"section\":\"A\"}");
        assertThat(page(path(made.body()))).contains("Nothing has been given out yet.", "MAP 115");
    }

    @Test
    void aWeekOutsideTheTermOrNoNumberShowsNothing() throws Exception {
        String path = path(link("A", null));
        assertThat(see(path + "?week=99").getStatus()).isEqualTo(404);
        assertThat(see(path + "?week=six").getStatus()).isEqualTo(404);
        assertThat(page(path + "?week=3")).contains("Week 3");
        assertThat(page(path + "?term=true")).contains("Week 8");
        assertThat(page(path + "/thing?course=HYD%20210&id=log-6")).contains("Field log 6");
        assertThat(see(path + "/thing?course=HYD%20210&id=none").getStatus()).isEqualTo(404);
    }

    @Test
    void aFeedIsWhatThePageShowsAndUnchangedIsSaidWithoutIt() throws Exception {
        String path = path(link("A", "4101"));
        MockHttpServletResponse feed = see(path + "/dates.ics");
        String text = feed.getContentAsString(StandardCharsets.UTF_8);
        assertThat(feed.getContentType()).startsWith("text/calendar");
        assertThat(text)
                .startsWith("BEGIN:VCALENDAR")
                .contains("SUMMARY:HYD 210: Field log 6", "REFRESH-INTERVAL;VALUE=DURATION:PT1H")
                .doesNotContain("Wren Oakes", "METHOD");
        assertThat(feed.getHeaders("Set-Cookie")).isEmpty();
        String tag = feed.getHeader("ETag");
        MockHttpServletResponse again = mvc.perform(
                        get(URI.create(path + "/dates.ics")).header("If-None-Match", tag))
                .andReturn()
                .getResponse();
        assertThat(again.getStatus()).isEqualTo(304);
        assertThat(see(path + "/dates.ics?with=opens").getContentAsString(StandardCharsets.UTF_8))
                .contains("opens")
                .doesNotContain("UID:due");
        String take = page(path + "/take?with=due&of=" + term + "%2FHYD%20210%2FA&busy=true");
        assertThat(take).contains("webcal://localhost", "with=due&amp;of=" + term + "%2FHYD%20210%2FA&amp;busy=true");
        assertThat(see(path + "/download.ics").getHeader("Content-Disposition")).contains("dates.ics");
        assertThat(see("/see/" + "y".repeat(43) + "/dates.ics").getStatus()).isEqualTo(404);
    }

    @Test
    void pagesSheetsAndFeedsAreInTheLanguageOfTheCourse() throws Exception {
        String path = path(link("A", null));
        long version = 1;
        for (String[] one : new String[][] {
            {"de", "Heute</span>, Mittwoch, 7. Oktober", "Was fällig ist", "Fällig"},
            {"fr", "Aujourd’hui</span>, mercredi 7 octobre", "À rendre", "à rendre"},
            {"es", "Hoy</span>, miércoles, 7 de octubre", "Entregas", "Entregas"}
        }) {
            Browser.Answer made = browser.change(
                    term,
                    version,
                    "{\"kind\":\"set-publishing\",\"course\":\"HYD 210\",\"publishing\":{\"language\":\"" + one[0]
                            + "\",\"twelveHours\":" + one[0].equals("es") + "}}");
            assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
            version = made.body().path("version").asLong();
            assertThat(page(path))
                    .contains("lang=\"" + one[0] + "\"", one[1], one[2])
                    .doesNotContain("??");
            assertThat(page(path + "/sheet")).doesNotContain("??", "before class");
            assertThat(page(path + "/take")).doesNotContain("??");
            assertThat(page(path + "/thing?course=HYD%20210&id=log-6")).doesNotContain("??");
        }
        assertThat(page(path)).as("a clock of twelve hours").contains("10:00 a.");
    }

    @Test
    void theLinkToAMeetingMayStandAroundItsClassOnly() throws Exception {
        String plan = Browser.demo()
                .replaceFirst(
                        "\"place\": \"Weir House 2\"",
                        "\"place\": \"Weir House 2\", \"link\": \"https://meet.example/hyd\"");
        term = browser.open(plan);
        String path = path(link("A", null));
        assertThat(page(path + "?week=7")).contains("https://meet.example/hyd");
        browser.change(
                term,
                1,
                "{\"kind\":\"set-publishing\",\"course\":\"HYD 210\",\"publishing\":{\"linkAroundClass\":true}}");
        String later = page(path + "?week=8");
        assertThat(later.substring(later.indexOf("id=\"week\""))).doesNotContain("https://meet.example/hyd");
    }

    private JsonNode other(String more) throws Exception {
        Browser.Answer made = browser.post(
                "/api/terms/" + term + "/links", "{\"course\":\"HYD 210\",\"section\":\"A\"," + more + "}");
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        return made.body();
    }

    @Test
    void whoSharesAPlaceSeesWhenItIsTakenAndByWhomAndNothingElse() throws Exception {
        String path = path(other("\"place\":\"Weir House 2\""));
        String page = page(path);
        assertThat(page).contains("Weir House 2", "Fri 9 Oct", "10:00 to 10:50 HYD 210 A");
        String feed = see(path + "/dates.ics").getContentAsString(StandardCharsets.UTF_8);
        assertThat(feed).contains("SUMMARY:HYD 210 A", "LOCATION:Weir House 2");
        assertThat(page + feed).doesNotContain("Pools", "Field log", "Reading Rivers");
        assertThat(see(path + "/sheet").getStatus()).isEqualTo(404);
        assertThat(browser.post(
                                "/api/terms/" + term + "/links",
                                "{\"course\":\"HYD 210\",\"section\":\"A\",\"place\":\"Nowhere\"}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void onesOwnCalendarHasWhatIsPlannedToldOrNot() throws Exception {
        String path = path(other("\"own\":true"));
        String feed = see(path + "/dates.ics").getContentAsString(StandardCharsets.UTF_8);
        assertThat(feed)
                .contains("What the river said", "MAP 115")
                .as("private words on a day too")
                .contains("Ask who can bring a tape measure");
        assertThat(see(path(link("A", null)) + "/dates.ics").getContentAsString(StandardCharsets.UTF_8))
                .doesNotContain("tape measure");
        String asked = see(path + "/dates.ics?remind=1440").getContentAsString(StandardCharsets.UTF_8);
        assertThat(asked).contains("BEGIN:VALARM", "TRIGGER;RELATED=END:-P1D");
        browser.change(
                term,
                1,
                "{\"kind\":\"put-reminders\",\"course\":\"HYD 210\",\"reminders\":[{\"id\":\"r\",\"kinds\":[\"quiz\"],"
                        + "\"to\":\"instructor\",\"lead\":{\"minutes\":60}},{\"id\":\"c\",\"before\":\"session\",\"to\":\"instructor\","
                        + "\"lead\":{\"minutes\":10}},{\"id\":\"s\",\"lead\":{\"minutes\":7}}]}");
        assertThat(see(path + "/dates.ics").getContentAsString(StandardCharsets.UTF_8))
                .as("as the course says, before the end of each entry: a class of 50 minutes, ten before its start")
                .contains("TRIGGER;RELATED=END:-PT1H\r\n")
                .as("what students are reminded of is not one's own")
                .doesNotContain("-PT7M");
        assertThat(see(path(link("A", null)) + "/dates.ics").getContentAsString(StandardCharsets.UTF_8))
                .contains("-PT7M")
                .doesNotContain("-PT1H");
        assertThat(see(path + "/dates.ics?remind=none").getContentAsString(StandardCharsets.UTF_8))
                .doesNotContain("VALARM");
        assertThat(see(path + "/dates.ics?remind=soon").getContentAsString(StandardCharsets.UTF_8))
                .as("what is no number is as if nothing were said")
                .contains("VALARM");
    }

    @Test
    void whoComesToARosterGetsALinkWhereTheOthersHaveOne() throws Exception {
        String links = "/api/terms/" + term + "/links";
        browser.post(links + "/students", "{\"course\":\"HYD 210\",\"section\":\"A\"}");
        int before = browser.get(links + "?course=HYD%20210").body().size();
        JsonNode students = Json.read(browser.plan(term))
                .path("courses")
                .get(0)
                .path("sections")
                .get(0)
                .path("students");
        String more = students.toString().replaceFirst("]$", ",{\"id\":\"4999\",\"name\":\"Juniper Vale\"}]");
        Browser.Answer made = browser.change(
                term,
                1,
                "{\"kind\":\"put-roster\",\"course\":\"HYD 210\",\"section\":\"A\",\"students\":" + more + "}");
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        JsonNode now = browser.get(links + "?course=HYD%20210").body();
        assertThat(now.size()).isEqualTo(before + 1);
        assertThat(now.toString()).contains("Juniper Vale");
    }

    @Test
    void whatALinkShowsIsKeptAsPagesThatOpenFromADisk() throws Exception {
        long id = link("A", null).path("id").asLong();
        byte[] bytes = browser.get("/api/terms/" + term + "/links/" + id + "/pages.zip")
                .response()
                .getContentAsByteArray();
        Map<String, String> pages = new TreeMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                pages.put(entry.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        assertThat(pages).containsKeys("index.html", "index-week-6.html");
        assertThat(pages.get("index.html"))
                .contains("Why channels bend", "Autumn break")
                .doesNotContain("/see/");
        pages.forEach((name, text) -> {
            Matcher links = Pattern.compile("(?:href|src)=\"([^\"#?:]+)\"").matcher(text);
            while (name.endsWith(".html") && links.find()) {
                if (!links.group(1).startsWith("style/")) {
                    assertThat(pages).as(name).containsKey(links.group(1));
                }
            }
        });
        assertThat(Browser.of(mvc, accounts)
                        .get("/api/terms/" + term + "/links/" + id + "/pages.zip")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void otherPagesMayFrameItWhereTheWorkspaceSaysSo() throws Exception {
        String path = path(link("A", null));
        assertThat(browser.get("/api/framing").body().path("hosts")).isEmpty();
        Browser.Answer made = browser.ask(
                HttpMethod.PUT,
                "/api/framing",
                "{\"hosts\":[\"courses.quillmarsh.example\"]}".getBytes(StandardCharsets.UTF_8),
                "application/json");
        assertThat(made.status()).isEqualTo(200);
        assertThat(see(path).getHeader("Content-Security-Policy"))
                .endsWith("frame-ancestors 'self' courses.quillmarsh.example");
        for (String wrong : List.of("two words", "x; script-src *", "'none'", "1.".repeat(2_000) + "1")) {
            Browser.Answer refused = browser.ask(
                    HttpMethod.PUT,
                    "/api/framing",
                    ("{\"hosts\":[\"" + wrong + "\"]}").getBytes(StandardCharsets.UTF_8),
                    "application/json");
            assertThat(refused.status()).as(wrong).isEqualTo(422);
        }
        assertThat(browser.get("/api/framing").body().path("hosts").toString()).contains("quillmarsh");
        Browser other = Browser.of(mvc, accounts);
        assertThat(other.get("/api/framing").body().path("hosts")).isEmpty();
    }

    @Test
    void theSheetIsAPageATableToPasteAndPlainWordsAlike() throws Exception {
        String path = path(link("A", null));
        String page = page(path + "/sheet?week=6");
        String table = page(path + "/sheet.html?week=6");
        String words = page(path + "/sheet.txt?week=6");
        for (String part : List.of(
                "From slope to flow", "Know what Manning", "Why channels bend", "CH2", "Read 12", "Weir House 2")) {
            assertThat(page).contains(part);
            assertThat(table).contains(part);
            assertThat(words).contains(part);
        }
        assertThat(page).contains("before class 10:00", "hand in 23:59", "opens 10:50");
        assertThat(table).contains("style=", "http://localhost/see/").doesNotContain("class=", "<link");
        assertThat(words)
                .contains("Wed 7 Oct", "○ Read 11: Meanders, before class 10:00 http://localhost/see/")
                .doesNotContain("<");
        assertThat(see(path + "/sheet?week=40").getStatus()).isEqualTo(404);
    }

    @Test
    void aPreviewIsOfAllCoursesOfAStudentAndAsItWouldBeIfTheyWereTold() throws Exception {
        JsonNode view = browser.get("/api/terms/" + term + "/students?section=HYD%20210/A")
                .body();
        String told =
                browser.get(view.path("toldPage").stringValue()).response().getContentAsString(StandardCharsets.UTF_8);
        String now = browser.get(view.path("page").stringValue()).response().getContentAsString(StandardCharsets.UTF_8);
        assertThat(now).as("Field log 5 as it was told, and as it is planned").contains("today 23:59");
        assertThat(told).contains("<s>Wed 7 Oct, 23:59</s> <b class=\"to\">→ Thu 8 Oct, 23:59</b>");
        assertThat(now).doesNotContain("→ Thu 8 Oct, 23:59");
        assertThat(browser.get("/api/terms/" + term + "/students?section=HYD%20210/A")
                        .body()
                        .path("version")
                        .asLong())
                .as("nothing was told by looking")
                .isEqualTo(1);
        JsonNode lab = browser.get("/api/terms/" + term + "/students?section=HYD%20210L/L1")
                .body();
        String own = browser.get(lab.path("people").path(0).path("page").stringValue())
                .response()
                .getContentAsString(StandardCharsets.UTF_8);
        assertThat(own).as("all courses of one student").contains("HYD 210L", "HYD 210 ");
    }

    @Test
    void whoTeachesSeesTheSheetOfEverySectionAsPlannedAndNobodyElseDoes() throws Exception {
        JsonNode view = browser.get("/api/terms/" + term + "/students?section=HYD%20210/A")
                .body();
        String sheet = view.path("page").stringValue() + "/sheet?week=6&teacher=true";
        String mine = browser.get(sheet).response().getContentAsString(StandardCharsets.UTF_8);
        assertThat(mine).contains("Weir House 4", "Errors in gauging", "Ask who can bring a tape measure");
        assertThat(Browser.of(mvc, accounts).get(sheet).status()).isEqualTo(404);
        assertThat(see(sheet).getStatus()).as("without a sign-in").isEqualTo(401);
        assertThat(browser.get("/preview/" + term + "/bm90aGluZw").status()).isEqualTo(404);
        assertThat(browser.get("/preview/" + term + "/%21%21").status()).isEqualTo(404);
    }

    @Test
    void theViewOfWhatStudentsSeeHasPastClassesWeeksAndWhatTheyCannotOpen() throws Exception {
        String path = "/api/terms/" + term + "/students?section=HYD%20210/A";
        JsonNode view = browser.get(path).body();
        assertThat(view.path("people")).hasSize(24);
        assertThat(view.path("week").asInt()).isEqualTo(6);
        assertThat(view.path("weeks").get(5).path("headline").stringValue()).isEqualTo("From slope to flow");
        JsonNode last = view.path("classes").get(0);
        String session = last.path("session").stringValue();
        Browser.Answer made = browser.change(
                term,
                1,
                "{\"kind\":\"put-session-links\",\"course\":\"HYD 210\",\"section\":\"A\",\"session\":\""
                        + session.substring(0, 16)
                        + "\",\"links\":[{\"title\":\"Film of the bend\",\"url\":\"https://films.example/bend\"}]}");
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        assertThat(browser.get(path).body().path("classes").get(0).path("links").toString())
                .contains("films.example");
        assertThat(page(path(link("A", null)) + "?term=true"))
                .as("it is seen at once")
                .contains("https://films.example/bend", "Film of the bend");
        assertThat(browser.get("/api/terms/" + term + "/students?section=ZZ/Z").status())
                .isEqualTo(404);
    }

    @Test
    void aDraftIsSeenByNobodyUntilItIsGivenOut() throws Exception {
        String path = path(link("A", null));
        String item = "{\"kind\":\"put-item\",\"course\":\"HYD 210\",\"unit\":\"CH\",\"item\":{\"id\":\"bend\","
                + "\"kind\":\"homework\",\"title\":\"Bend sheet\",\"draft\":true,\"due\":{\"at\":\"2026-10-09T17:00\"}}}";
        Browser.Answer put = browser.post(
                "/api/terms/" + term + "/changes", "{\"version\":1,\"seen\":true,\"change\":" + item + "}");
        assertThat(put.status()).as(put.body().toString()).isEqualTo(200);
        assertThat(page(path)).doesNotContain("Bend sheet");
        assertThat(browser.get("/api/terms/" + term + "/wall").body().toString())
                .contains("\"draft\":true");
        Browser.Answer out = browser.post(
                "/api/terms/" + term + "/changes",
                "{\"version\":2,\"seen\":true,\"change\":{\"kind\":\"set-draft\",\"course\":\"HYD 210\",\"items\":[\"bend\"],"
                        + "\"draft\":false}}");
        assertThat(out.status()).as(out.body().toString()).isEqualTo(200);
        assertThat(page(path)).contains("Bend sheet");
    }
}
