package app.matsuri.e2e;

import static app.matsuri.e2e.Page.day;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.results.Results;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.Keys;

/** axe-core on every view, in both themes: WCAG 2.2 A and AA. */
class AccessibilityTest {

    private static void sound(Page page, String view) {
        Results results = new AxeBuilder()
                .withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"))
                .analyze(page.driver);
        assertThat(results.getViolations())
                .as(
                        "%s: %s",
                        view,
                        results.getViolations().stream()
                                .map(v -> v.getId() + " "
                                        + v.getNodes().stream()
                                                .limit(4)
                                                .map(n -> n.getHtml() + " "
                                                        + n.getAny().stream()
                                                                .map(a -> a.getMessage())
                                                                .toList())
                                                .toList())
                                .toList())
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void everyViewIsSound(boolean dark) throws Exception {
        try (Page page = Page.open(App.demo(), 1280, 800, dark)) {
            page.go("/sign-in");
            page.see(".demo");
            sound(page, "sign-in");
            page.withPlan("I. Tolvanen", "autumn-2026.json");
            sound(page, "wall");
            page.click(day("2026-10-09"));
            page.see(".slip");
            sound(page, "wall with a day opened");
            page.press("Day off…");
            page.see(".p-dialog");
            sound(page, "day off");
            page.type("#off-reason", "Flood warning");
            page.press("See what it does");
            page.see(".strip");
            sound(page, "wall with a proposal");
            page.press("Apply");
            page.seeText(".notice", "Flood warning");
            page.press("Term");
            page.see(".tg");
            page.see(".days");
            sound(page, "term");
            page.drag(".tg [data-date='2026-11-16']", ".tg [data-date='2026-11-17']");
            page.see(".sec.now");
            sound(page, "term with days painted");
            page.press("Leave as it is");
            page.press("paste a list or read a file");
            page.see("#paste-off");
            sound(page, "days off from a list");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            page.press("add a section to HYD 210");
            page.see("#section-code");
            sound(page, "a section");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            page.press("classes of HYD 210 A");
            page.see(".moves");
            sound(page, "classes");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            page.press("students of HYD 210 A");
            page.see("#roster-list");
            sound(page, "students");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            page.press("add a course");
            page.see("#course-code");
            sound(page, "a course");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            page.press("read the timetable (.ics)");
            page.see(".p-dialog [type=file]");
            sound(page, "the timetable");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            page.press("set a cycle of 2 to 10 day letters");
            page.see("#letters");
            page.press("invite someone");
            page.type("#col-name", "Bram Sayer");
            page.type("#col-mail", "bram@quillmarsh.example");
            sound(page, "term with day letters and an invitation");
            page.press("Invite");
            page.seeText(".sec", "Bram Sayer");
            page.press("outbox");
            String link = page.see(".p-dialog a[href^='/invitation/']").getDomAttribute("href");
            sound(page, "outbox");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            page.go(link);
            page.seeText("main", "invites you to");
            sound(page, "invitation");
            page.driver.navigate().back();
            page.see(".tg");
            page.press("History");
            page.see(".lines");
            sound(page, "history");
            page.go("/");
            page.see(".terms");
            sound(page, "terms");
            page.go("/new");
            page.see("#outline");
            sound(page, "new term");
        }
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void theYearAndThePhoneAreSound(boolean dark) throws Exception {
        try (Page page = Page.open(App.demo(), 1280, 800, dark)) {
            page.withPlan("K. Aldous", "year-2026-27.json");
            sound(page, "close-set wall");
            page.keys("?");
            page.see(".p-dialog");
            sound(page, "keys");
            page.keys(Keys.ESCAPE);
        }
        try (Page page = Page.open(App.demo(), 390, 844, dark)) {
            page.withPlan("I. Tolvanen", "autumn-2026.json");
            sound(page, "phone");
        }
    }
}
