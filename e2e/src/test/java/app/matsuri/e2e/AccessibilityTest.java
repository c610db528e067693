package app.matsuri.e2e;

import static app.matsuri.e2e.Page.day;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** axe-core on every view and state, and every view in both themes: WCAG 2.2 A and AA. */
@Order(3)
class AccessibilityTest {

    /** Rules that a theme can break; all others hold in both or in none. */
    private static final List<String> OF_THEMES = List.of("color-contrast", "link-in-text-block");

    private static final Map.Entry<String, List<String>> EVERY =
            Map.entry("tag", List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"));

    /** Looks at the view by every rule, and in the dark by those that a theme can break. */
    static void inBoth(Page page, String view, String... parts) {
        sound(page, view, parts);
        page.dark(true);
        sound(page, view + ", dark", Map.entry("rule", OF_THEMES), parts);
        page.dark(false);
    }

    /**
     * Looks at the view by every rule.
     *
     * @param parts what of it is looked at, where the rest was before; none for all of it
     */
    static void sound(Page page, String view, String... parts) {
        sound(page, view, EVERY, parts);
    }

    /**
     * Of an open dialog nothing behind it is looked at again; of a long wall the first twelve weeks are: those behind them
     * are drawn alike.
     */
    private static void sound(Page page, String view, Map.Entry<String, List<String>> rules, String... parts) {
        List<String> some = page.count(".p-dialog") > 0 ? List.of(".p-dialog") : List.of(parts);
        some.forEach(page::see);
        Map<String, ?> context = some.isEmpty()
                ? Map.of("exclude", List.of(List.of(".wall [role=row]:nth-child(n + 14)")))
                : Map.of("include", some.stream().map(List::of).toList());
        assertThat(Axe.violations(page, context, rules)).as(view).isEmpty();
    }

    /** What is planted is found, by every rule and by those that a theme can break. */
    @Test
    void aFaultIsFound() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.go("/sign-in");
            page.see(".demo");
            page.js(
                    "document.querySelector('main').insertAdjacentHTML('beforeend',"
                            + "'<button></button><p class=planted>hardly seen</p>');"
                            + "Object.assign(document.querySelector('.planted').style,{color:'#999',background:'#aaa',position:'fixed',top:0,left:0,zIndex:99})");
            assertThat(Axe.violations(page, Map.of("include", List.of(List.of("main"))), EVERY))
                    .extracting(found -> found.toString().split(" ")[0])
                    .contains("button-name", "color-contrast");
            assertThat(Axe.violations(page, Map.of("include", List.of(List.of("main"))), Map.entry("rule", OF_THEMES)))
                    .extracting(found -> found.toString().split(" ")[0])
                    .containsExactly("color-contrast");
        }
    }

    @Test
    void everyViewIsSound() throws Exception {
        try (Page page = Page.open(App.demo(), 1280, 800, false)) {
            page.go("/sign-in");
            page.see(".demo");
            inBoth(page, "sign-in");
            page.withPlan("I. Tolvanen", "autumn-2026.json");
            inBoth(page, "wall");
            page.click(day("2026-10-09"));
            page.see(".slip");
            inBoth(page, "wall with a day opened", ".slip");
            page.press("Day off…");
            page.see(".p-dialog");
            inBoth(page, "day off");
            page.type("#off-reason", "Flood warning");
            page.press("See what it does");
            page.see(".strip");
            inBoth(page, "wall with a proposal");
            page.press("What if…");
            page.see("#keep-name");
            sound(page, "keeping a what-if");
            page.keys("Flood on Friday", Keys.ENTER);
            page.seeText(".notice", "Kept as");
            page.press("What if");
            page.see(".comparison .small");
            inBoth(page, "what-ifs beside the plan");
            page.press("Wall");
            page.see(".wall");
            page.press("not told");
            page.see("#tell-why");
            sound(page, "what students were told");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            page.click(day("2026-10-09"));
            page.press("Day off…");
            page.type("#off-reason", "Flood warning");
            page.press("See what it does");
            page.see(".strip");
            page.press("Ways out");
            page.see(".ways .small");
            page.press("Why");
            inBoth(page, "ways out");
            page.press("Back to the wall");
            page.see(".strip");
            page.press("Apply");
            page.seeText(".notice", "Flood warning");
            page.press("Term");
            page.see(".tg");
            page.see(".days");
            inBoth(page, "term");
            page.drag(".tg [data-date='2026-11-16']", ".tg [data-date='2026-11-17']");
            page.see(".sec.now");
            inBoth(page, "term with days painted", ".tg", ".sec.now");
            page.press("Leave as it is");
            page.press("paste a list or read a file");
            page.see("#paste-off");
            page.paste("#paste-off", "Oct 23 Staff day, no classes\nNov 3 Founders Day\nNov 6 Last day to withdraw");
            page.see(".doubts li");
            page.see(".so-far");
            inBoth(page, "days off from a list");
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
            page.press("grade book");
            page.see(".p-dialog [type=file]");
            sound(page, "the grade book");
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
            inBoth(page, "invitation");
            page.driver.navigate().back();
            page.see(".tg");
            page.press("finding");
            page.see(".p-dialog .list");
            sound(page, "findings");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            layingOut(page);
            page.press("History");
            page.see(".lines");
            inBoth(page, "history");
            page.go("/");
            page.see(".terms");
            inBoth(page, "terms");
            page.go("/new");
            page.see("#outline");
            inBoth(page, "new term");
        }
    }

    private static void layingOut(Page page) {
        page.press("Lanes");
        page.see(".lanes .knot");
        inBoth(page, "lanes");
        page.press("Rollover");
        page.see(".rolled .maybe");
        inBoth(page, "rollover");
        page.press("Look back");
        page.see(".unit .pace");
        inBoth(page, "look back");
        page.press("Table");
        page.see(".scroll table");
        sound(page, "look back as a table");
        page.press("Wall");
        page.see(".ol .r");
        page.choose("[aria-label='Kind of work']", "reading");
        page.press("choose these");
        page.seeText(".chosen-bar", "chosen");
        inBoth(page, "outline with many chosen", ".ol", ".chosen-bar");
        page.choose("[aria-label='Kind of work']", "Kind: any");
        page.press("+ a unit");
        page.see(".new input");
        sound(page, "outline with a line being typed", ".ol");
        page.keys(Keys.ESCAPE);
        page.press("read an outline");
        page.see("#whole-unit");
        page.paste("#read-outline", "Date\tTopic\tZettel\n10/7\tIce\tBlue\n10/8\tFrazil\tRed\n");
        page.see(".doubts li");
        inBoth(page, "an outline to read");
        page.keys(Keys.ESCAPE);
        page.gone(".p-dialog");
        page.press("+ a notice");
        page.see("#notice-title");
        page.press("repeats");
        page.type("[aria-label='Says']", "Bring **boots**, see [the map](https://maps.example/)");
        page.press("More…");
        sound(page, "a notice");
        page.keys(Keys.ESCAPE);
        page.gone(".p-dialog");
        page.press("rhythms");
        page.see("#rhythm-title");
        inBoth(page, "a rhythm");
        page.keys(Keys.ESCAPE);
        page.gone(".p-dialog");
        page.stand("2026-10-07");
        page.keys("b");
        page.see("#words-day");
        sound(page, "words");
        page.keys(Keys.ESCAPE);
        page.gone(".p-dialog");
        for (String thing : List.of("item:topic", "lesson:CH1")) {
            page.js(
                    "document.querySelector(`.ol [data-row='${arguments[0]}']`).dispatchEvent(new MouseEvent('dblclick',{bubbles:true}))",
                    thing);
            page.see(".p-dialog #edit-title");
            if (thing.startsWith("lesson")) {
                page.press("add a step");
            }
            page.press("add a link");
            inBoth(page, thing);
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
        }
        page.press("Dates");
        page.see(".dg .dg-row");
        inBoth(page, "dates");
        page.press("Order, columns");
        page.choose("[aria-label='Grouped by']", "by unit");
        page.click(".dg-head input[type=checkbox]");
        page.see(".bulk");
        inBoth(page, "dates with rows chosen, columns and groups");
        page.click("#cell-1-1");
        page.keys("3 nov");
        page.seeText(".said", "Tue 3 Nov");
        inBoth(page, "dates while typing");
        page.keys(Keys.ESCAPE);
        page.press("Tables");
        page.see(".p-dialog [type=file]");
        sound(page, "dates as a file");
        page.keys(Keys.ESCAPE);
        page.gone(".p-dialog");
    }
}
