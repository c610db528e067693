package app.matsuri.e2e;

import java.nio.file.Path;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;

/** The school's calendar in the browser: one publishes it, another begins from it, follows it, and takes what changes there. */
@Order(6)
class SchoolJourneysTest {

    @Test
    void oneKeepsTheDatesAndAnotherFollowsThem() throws Exception {
        String link;
        String kept;
        try (Page keeper = Page.open(App.demo()).withPlan("K. Aldous", "autumn-2026.json")) {
            kept = keeper.term();
            keeper.go("/terms/" + kept + "/term");
            keeper.type("#school-name", "Quillmarsh 2026");
            keeper.click("#school-name ~ button");
            link = keeper.see("input[aria-label='Link of Quillmarsh 2026']").getDomProperty("value");
            AccessibilityTest.sound(keeper, "a published calendar");
        }
        try (Page page =
                Page.open(App.demo()).withPlan("I. Tolvanen", Path.of("src", "test", "resources", "glaciers.json"))) {
            String term = page.term();
            page.go("/new");
            page.type("#from-school", link);
            page.press("Begin from it");
            page.seeText("main", "Taken from Quillmarsh 2026");
            page.seeText(".understood", "Mon 12 Oct to Tue 13 Oct");
            page.go("/terms/" + term + "/term");
            page.type("#school-link", link);
            page.press("Follow");
            page.seeText(".sec", "Follows Quillmarsh 2026");
            new Client(App.demo().url(""), "aldous")
                    .send(
                            "/api/terms/" + kept + "/changes",
                            "application/json",
                            "{\"version\":1,\"change\":{\"kind\":\"add-closure\",\"closure\":{\"first\":\"2026-10-21\",\"last\":\"2026-10-21\",\"reason\":\"Flood drill\"}}}");
            page.go("/terms/" + term + "/wall");
            page.go("/terms/" + term + "/term");
            page.seeText("[aria-label^='What the school']", "Flood drill");
            AccessibilityTest.sound(page, "a calendar that is followed");
            page.press("See what they do");
            page.seeText(".strip", "Quillmarsh 2026");
            page.press("Apply");
            page.gone(".strip");
            // what is left differs by hand
            page.gone("[aria-label^='What the school'] .look");
        }
    }
}
