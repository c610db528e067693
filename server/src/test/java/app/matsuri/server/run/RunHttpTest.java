package app.matsuri.server.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.mock.web.MockHttpServletResponse;

/** The run list: over all courses for who teaches, and for chosen days by a link. public.md, "Who sees what". */
class RunHttpTest extends DemoTest {

    private MockHttpServletResponse see(String path) throws Exception {
        return mvc.perform(get(URI.create(path))).andReturn().getResponse();
    }

    private String link(String days) throws Exception {
        Browser.Answer made = browser.post(at + "/links", "{\"course\":\"HYD 210\",\"section\":\"A\"," + days + "}");
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        return URI.create(made.body().path("address").stringValue()).getPath();
    }

    @Test
    void allClassesOfADayStandInOrderOverAllCourses() throws Exception {
        Browser.Answer day = browser.get("/preview/day?day=2026-10-08");
        String page = day.response().getContentAsString(StandardCharsets.UTF_8);
        assertThat(day.status()).as(page).isEqualTo(200);
        assertThat(page.indexOf("MAP 115"))
                .as("in order of time, over the courses")
                .isBetween(0, page.indexOf("HYD 210 Reading Rivers, B"));
        assertThat(page).contains("students").doesNotContain("Larkspur", "<script");
        assertThat(browser.get("/preview/day?day=2026-10-10").response().getContentAsString(StandardCharsets.UTF_8))
                .contains("No class on this day.");
        assertThat(browser.get("/preview/day?day=never").status()).isEqualTo(404);
        assertThat(see("/preview/day?day=2026-10-08").getStatus()).isEqualTo(401);
    }

    @Test
    void aLinkOfDaysShowsThePlanOfThoseDaysWithPrivateNotesAndNobodysName() throws Exception {
        browser.change(
                term,
                1,
                "{\"kind\":\"put-day-note\",\"course\":\"HYD 210\",\"note\":{\"date\":\"2026-10-09\",\"text\":\"The key is"
                        + " at the porter.\",\"own\":true}}");
        String path = link("\"first\":\"2026-10-07\",\"last\":\"2026-10-09\"");
        String friday = see(path + "?day=2026-10-09").getContentAsString(StandardCharsets.UTF_8);
        assertThat(friday)
                .contains("The key is at the porter.", "HYD 210 Reading Rivers, A", "Friday 9 October", "24 students")
                .doesNotContain("MAP 115", "Oakes", "Larkspur", "<script");
        assertThat(see(path).getHeaders("Set-Cookie")).isEmpty();
        assertThat(see(path + "?day=2026-10-12").getStatus()).as("another day").isEqualTo(404);
        assertThat(see(path + "?day=x").getStatus()).isEqualTo(404);
        assertThat(see(path + "/take").getStatus()).as("nothing but the days").isEqualTo(404);
        assertThat(see(path + "/dates.ics").getStatus()).isEqualTo(404);
        String all = link("\"first\":\"2026-10-08\",\"all\":true");
        assertThat(see(all).getContentAsString(StandardCharsets.UTF_8)).contains("MAP 115", "HYD 210");
        assertThat(browser.post(
                                at + "/links",
                                "{\"course\":\"HYD 210\",\"section\":\"A\",\"first\":\"2026-10-09\",\"last\":\"2026-10-07\"}")
                        .status())
                .isEqualTo(400);
        assertThat(browser.get(at + "/links?course=HYD%20210").body().toString())
                .contains("\"kind\":\"run\"", "Wed 7 Oct to Fri 9 Oct");
    }

    @Test
    void whatRunsNowSaysHowLongStill() throws Exception {
        String page = browser.get("/preview/day?day=2026-10-07").response().getContentAsString(StandardCharsets.UTF_8);
        assertThat(page).as("today the page asks for itself anew").contains("http-equiv=\"refresh\"");
        assertThat(browser.get("/preview/day?day=2026-10-08").response().getContentAsString(StandardCharsets.UTF_8))
                .doesNotContain("http-equiv=\"refresh\"");
    }

    /** A file of a class goes with its days and no others; one that is not for publishing never leaves. */
    @Test
    void filesOfTheDaysGoAlongUnlessTheyAreNotForPublishing() throws Exception {
        String sheet = kept("Survey sheet.pdf", "sheet");
        String bought = kept("Bought.pdf", "bought");
        String plan = browser.plan(term);
        String lesson = plan.substring(plan.indexOf("\"CH2\"") - 20);
        assertThat(lesson).contains("Pools, riffles, bars");
        Browser.Answer put = browser.change(
                term,
                1,
                "{\"kind\":\"put-lesson\",\"course\":\"HYD 210\",\"unit\":\"CH\",\"lesson\":{\"id\":\"CH2\",\"title\":\"Pools,"
                        + " riffles, bars\",\"steps\":[{\"minutes\":20,\"text\":\"Walk the reach\"}],\"files\":[{\"file\":\""
                        + sheet
                        + "\",\"name\":\"Survey sheet.pdf\"},{\"file\":\"" + bought
                        + "\",\"name\":\"Bought.pdf\",\"publish\":false}]}}");
        assertThat(put.status()).as(put.body().toString()).isEqualTo(200);
        String path = link("\"first\":\"2026-10-09\"");
        String page = see(path).getContentAsString(StandardCharsets.UTF_8);
        assertThat(page)
                .contains("10:00", "20 min", "Walk the reach", "Survey sheet.pdf", path + "/files/" + sheet)
                .contains("Bought.pdf")
                .doesNotContain(path + "/files/" + bought);
        assertThat(see(path + "/files/" + sheet).getContentAsString()).isEqualTo("sheet");
        assertThat(see(path + "/files/" + bought).getStatus()).isEqualTo(404);
        assertThat(see(link("\"first\":\"2026-10-07\"") + "/files/" + sheet).getStatus())
                .as("of another day")
                .isEqualTo(404);
    }

    private String kept(String name, String content) throws Exception {
        return browser.ask(
                        HttpMethod.POST,
                        at + "/files?name=" + name.replace(" ", "%20"),
                        content.getBytes(StandardCharsets.UTF_8),
                        "application/octet-stream")
                .body()
                .path("file")
                .stringValue();
    }
}
