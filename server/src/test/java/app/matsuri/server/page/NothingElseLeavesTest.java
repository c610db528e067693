package app.matsuri.server.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.dates.PutAdjustment;
import app.matsuri.core.change.notice.PutDayNote;
import app.matsuri.core.change.notice.PutNotice;
import app.matsuri.core.change.pace.Pin;
import app.matsuri.core.change.plan.PutItem;
import app.matsuri.core.change.plan.PutLesson;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.DayNote;
import app.matsuri.core.plan.FileUse;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Which;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.account.Accounts;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/**
 * Goes through every address that a link leads to, of every kind of link, and finds nothing that is private, hidden or untold: the
 * rules of what may leave a plan. Secrets are planted, each in a place of its own; that the search finds what is there is tried too.
 */
@ServerTest
class NothingElseLeavesTest {

    private static final Pattern ADDRESS = Pattern.compile("/see/[^\\s\"<>#]+");
    private static final int MOST = 400;

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    private static Item secret(String id, String title, ItemDetails details, Map<Which, DateRule> dates) {
        return Item.of(id, null, "homework", title, null).withDetails(details).withRules(dates);
    }

    private static ItemDetails details(String words, boolean hidden, boolean draft, FileUse... files) {
        return new ItemDetails(
                null,
                words,
                "",
                "",
                List.of(new Link(words, "https://secret.example/" + words)),
                List.of(files),
                List.of(),
                ItemDetails.ALL,
                List.of(),
                hidden,
                draft);
    }

    private static DateRule at(String moment) {
        return DateRule.at(LocalDateTime.parse(moment));
    }

    /** What nobody may see without an account; each change is kept back or about something hidden. */
    private static Map<Change, Boolean> planted() {
        String hyd = "HYD 210";
        LocalDate day = LocalDate.parse("2026-10-08");
        Map<Change, Boolean> planted = new LinkedHashMap<>();
        planted.put(new PutDayNote(hyd, new DayNote(day, null, "Xprivateday", true)), true);
        planted.put(
                new PutItem(
                        hyd,
                        "CH",
                        secret(
                                "x-draft",
                                "Xdrafttitle",
                                details("Xdraftwords", false, true),
                                Map.of(Which.DUE, at("2026-10-09T12:00")))),
                true);
        planted.put(
                new PutItem(
                        hyd,
                        "CH",
                        secret(
                                "x-hidden",
                                "Xhiddentitle",
                                details("Xhiddenwords", true, false),
                                Map.of(Which.OPENS, at("2026-10-10T12:00"), Which.DUE, at("2026-10-12T12:00")))),
                true);
        planted.put(
                new PutItem(
                        hyd,
                        "CH",
                        secret(
                                "x-open",
                                "Opens soon",
                                details(
                                        "Xbeforeopening",
                                        false,
                                        false,
                                        new FileUse("0".repeat(64), "Xbought.pdf", false, null, null)),
                                Map.of(Which.OPENS, at("2026-10-10T12:00"), Which.DUE, at("2026-10-12T12:00")))),
                true);
        planted.put(
                new PutItem(
                        hyd,
                        "CH",
                        secret(
                                "x-kept",
                                "Xkeptback",
                                details("Xkeptwords", false, false),
                                Map.of(Which.DUE, at("2026-10-09T13:00")))),
                false);
        planted.put(
                new PutNotice(
                        hyd,
                        new Notice(
                                "x-own",
                                null,
                                "Xownnotice",
                                "",
                                "",
                                List.of(),
                                NoticeTime.on(day),
                                Map.of(),
                                Notice.Reach.OWN,
                                List.of(),
                                List.of(),
                                null,
                                app.matsuri.core.calendar.Extra.NONE)),
                true);
        planted.put(
                new PutNotice(
                        hyd,
                        Notice.of("x-later", "Xlaternotice", NoticeTime.on(day)).hiddenUntil(at("2026-10-09T08:00"))),
                true);
        planted.put(
                new AddClosure(app.matsuri.core.calendar.Closure.of(
                        LocalDate.parse("2026-10-14"), LocalDate.parse("2026-10-14"), "Xclosurereason", "weather")),
                false);
        planted.put(
                new PutAdjustment(
                        hyd,
                        "A",
                        new Adjustment(
                                "log-6", "4102", Map.of(Which.DUE, Own.of(at("2026-11-11T11:11"))), "Xextensionwhy")),
                true);
        planted.put(new Pin(hyd, "A", "CH2", LocalDate.parse("2026-10-16")), false);
        Lesson noted = new Lesson(
                "x-lesson",
                "Xuntoldlesson",
                1,
                1,
                false,
                false,
                false,
                null,
                0,
                "Xlessonnote",
                app.matsuri.core.plan.LessonDetails.NONE,
                app.matsuri.core.calendar.Extra.NONE);
        planted.put(new PutLesson(hyd, "CH", noted, null), false);
        return planted;
    }

    private static final List<String> SECRETS = List.of(
            "Xprivateday",
            "Xdraft",
            "Xhidden",
            "Xbeforeopening",
            "Xbought",
            "Xkept",
            "Xownnotice",
            "Xlaternotice",
            "Xclosurereason",
            "Xextensionwhy",
            "11:11",
            "T111100",
            "Xuntoldlesson",
            "Xlessonnote",
            "secret.example");

    private record World(Browser browser, long term, List<String> links) {}

    private World world() throws Exception {
        Browser browser = Browser.of(mvc, accounts);
        long term = browser.open(Browser.demo());
        long version = 1;
        for (Map.Entry<Change, Boolean> entry : planted().entrySet()) {
            String change = Json.MAPPER.writeValueAsString(ChangeJson.write(entry.getKey()));
            Browser.Answer made = browser.post(
                    "/api/terms/" + term + "/changes",
                    "{\"version\":" + version + ",\"seen\":" + entry.getValue() + ",\"change\":" + change + "}");
            assertThat(made.status()).as(change + made.body()).isEqualTo(200);
            version = made.body().path("version").asLong();
        }
        List<String> links = new ArrayList<>();
        for (String form : List.of(
                "{\"course\":\"HYD 210\",\"section\":\"A\"}",
                "{\"course\":\"HYD 210\",\"section\":\"B\"}",
                "{\"course\":\"MAP 115\",\"section\":\"A\"}",
                "{\"course\":\"HYD 210\",\"section\":\"A\",\"place\":\"Weir House 2\"}",
                "{\"course\":\"HYD 210\",\"section\":\"A\",\"student\":\"4101\"}")) {
            JsonNode made = browser.post("/api/terms/" + term + "/links", form).body();
            links.add(URI.create(made.path("address").stringValue()).getPath());
        }
        return new World(browser, term, links);
    }

    private static final String HOST = "http://localhost";

    /** What a page leads to, as a browser reads its addresses. */
    private static List<String> links(String path, String page) {
        return Jsoup.parse(page, HOST + path).select("[href], [src], [action]").stream()
                .filter(e -> !e.is("base"))
                .map(e -> e.absUrl(e.hasAttr("href") ? "href" : e.hasAttr("src") ? "src" : "action"))
                .filter(address -> address.startsWith(HOST + "/see/"))
                .map(address ->
                        address.substring(HOST.length()).replaceFirst("#.*", "").replace(" ", "%20"))
                .toList();
    }

    /** All that a link leads to, by address. */
    private Map<String, String> crawled(String from) throws Exception {
        Map<String, String> found = new LinkedHashMap<>();
        Deque<String> ahead = new ArrayDeque<>(List.of(
                from,
                from + "/dates.ics?with=classes&with=due&with=opens&with=closes&with=notices",
                from + "/download.ics?with=classes&with=due&with=opens&with=closes&with=notices",
                from + "/sheet?week=6",
                from + "/sheet.html?week=7",
                from + "/sheet.txt?week=7",
                from + "/sheet?week=7&teacher=true"));
        while (!ahead.isEmpty() && found.size() < MOST) {
            String path = ahead.poll();
            if (found.containsKey(path)) {
                continue;
            }
            MockHttpServletResponse response =
                    mvc.perform(get(URI.create(path))).andReturn().getResponse();
            // lines of calendars are folded
            String text = response.getContentAsString(StandardCharsets.UTF_8).replace("\r\n ", "");
            found.put(path, text);
            assertThat(response.getHeaders("Set-Cookie")).as(path).isEmpty();
            if (text.startsWith("<!doctype html>")) {
                ahead.addAll(links(path, text));
            }
            Matcher more = ADDRESS.matcher(text);
            while (more.find()) {
                ahead.add(more.group().replace("&amp;", "&").replace(" ", "%20"));
            }
        }
        return found;
    }

    @Test
    void nothingPrivateHiddenOrUntoldLeaves() throws Exception {
        World world = world();
        List<String> names = new ArrayList<>(List.of("Wren Oakes", "wren.oakes"));
        JsonNode plan = Json.read(world.browser().plan(world.term()));
        plan.path("courses")
                .forEach(c -> c.path("sections")
                        .forEach(s -> s.path("students").forEach(one -> {
                            names.add(one.path("name").stringValue());
                            names.add(one.path("mail").stringValue("-none-"));
                        })));
        int pages = 0;
        for (String link : world.links()) {
            Map<String, String> all = crawled(link);
            pages += all.size();
            all.forEach((path, text) -> {
                assertThat(text).as(path).doesNotContain(names.toArray(String[]::new));
                assertThat(text).as(path).doesNotContain(SECRETS.toArray(String[]::new));
            });
        }
        assertThat(pages).isGreaterThan(150);
    }

    @Test
    void aRunListHasWhatIsPlannedAndPrivateButNobodysNameAndNoExtension() throws Exception {
        World world = world();
        JsonNode made = world.browser()
                .post(
                        "/api/terms/" + world.term() + "/links",
                        "{\"course\":\"HYD 210\",\"section\":\"A\",\"all\":true,\"first\":\"2026-10-05\",\"last\":\"2026-10-23\"}")
                .body();
        String all = String.join(
                "\n",
                crawled(URI.create(made.path("address").stringValue()).getPath())
                        .values());
        assertThat(all).contains("Xprivateday", "Why channels bend");
        assertThat(all).doesNotContain("Wren Oakes", "wren.oakes", "Larkspur", "Xextensionwhy", "11:11");
    }

    @Test
    void theSearchFindsWhatIsThere() throws Exception {
        World world = world();
        String all = String.join("\n", crawled(world.links().get(0)).values());
        assertThat(all).contains("Why channels bend", "Field log 6", "Opens soon", "Quiz 1: stage and flow");
        assertThat(String.join("\n", crawled(world.links().get(4)).values())).contains("HYD 210L");
        String teacher = world.browser()
                .get(world.browser()
                                .get("/api/terms/" + world.term() + "/students?section=HYD%20210/A")
                                .body()
                                .path("page")
                                .stringValue()
                        + "/sheet?week=6&teacher=true")
                .response()
                .getContentAsString(StandardCharsets.UTF_8);
        assertThat(teacher).as("who teaches sees what is planned").contains("Xprivateday", "Xhiddentitle");
    }
}
