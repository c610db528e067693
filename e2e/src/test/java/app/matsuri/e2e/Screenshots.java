package app.matsuri.e2e;

import static app.matsuri.e2e.Page.day;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;

/** Takes the pictures of docs/screenshots/ anew from the demo; run by ./matsuri screenshots, not with the tests. */
class Screenshots {

    private static final Path FOLDER = Path.of("..", "docs", "screenshots");

    private static void take(Page page, String name) throws Exception {
        page.js("document.activeElement.blur()");
        Thread.sleep(500);
        page.png(FOLDER.resolve(name + ".png"));
    }

    @Test
    void all(@TempDir Path data) throws Exception {
        try (App app = App.over(data, true)) {
            try (Page page = Page.open(app)) {
                page.go("/sign-in");
                page.see(".demo");
                page.enter("I. Tolvanen");
                page.see(".wall");
                take(page, "wall");
                String wall = "/terms/" + page.term() + "/wall";
                page.go("/courses");
                page.see(".wall.all");
                take(page, "courses");
                page.go(wall);
                page.see(".wall");
                page.click(day("2026-10-09"));
                page.see(".slip");
                page.press("Day off…");
                page.type("#off-reason", "Flood warning");
                page.choose("#off-kind", "weather");
                page.press("See what it does");
                page.see(".strip");
                page.press("Ways out");
                page.see(".ways .small");
                take(page, "ways");
                page.press("Back to the wall");
                page.see(".strip");
                page.press("What if…");
                page.see("#keep-name");
                page.keys("The flood, let slide", Keys.ENTER);
                page.seeText(".notice", "Kept as");
                page.press("What if");
                page.see(".comparison .small");
                take(page, "what-if");
                page.press("Wall");
                students(page);
                page.press("Wall");
                page.click(day("2026-10-09"));
                page.press("Day off…");
                page.type("#off-reason", "Flood warning");
                page.press("See what it does");
                page.see(".strip");
                page.press("Apply");
                page.seeText(".notice", "Flood warning");
                page.click("[aria-label='Undo']");
                page.seeText(day("2026-10-09"), "CH2");
                page.outline();
                page.drag("[data-drag='item:topic']", day("2026-10-20"));
                page.press("Apply");
                page.seeText(day("2026-10-20"), "Topic");
                layingOut(page);
                page.press("History");
                page.see(".lines");
                take(page, "history");
                page.go("/new");
                page.see("#outline");
                page.type("[placeholder='Autumn 2026']", "Autumn 2026");
                page.type("[placeholder='31 aug']", "31 aug");
                page.type("[placeholder='18 dec']", "18 dec");
                page.type("[placeholder^='HYD 210']", "HYD 210 Reading Rivers");
                page.type("[placeholder^='MWF']", "MWF 10-10:50 Weir House 2");
                page.paste(
                        "#days-off",
                        "Academic Calendar, Autumn 2026\nSept. 7 (Mon)   Public holiday, college closed\nOct. 12-13   Autumn break, no classes\n"
                                + "Nov. 25 - 27   Holiday break, college closed\nReading day as announced by the Dean");
                page.paste(
                        "#outline",
                        "Basins\n  What a river answers to\n    Post 1, due 2 days after, 23:59\n  Divides and outlets\n    Read 1, due same day\n"
                                + "  Reading contour maps\n    Set 1, due next class\nGauging\n  Stage and staff gauges\n  Current meter, Alder Weir (2)\n"
                                + "    Lab 1, due a week later\n  The rating curve\n    Quiz 1, due in class\n    Essay, due sometime soon");
                page.seeText(".understood", "GA2 2 sessions");
                page.seeText(".sofar", "The term gives");
                take(page, "new-term");
            }
            try (Page page = Page.open(app, 1280, 800, true)) {
                page.enter("I. Tolvanen");
                page.see(".wall");
                page.go("/days");
                page.see(".month");
                take(page, "days");
            }
            try (Page page = Page.open(app)) {
                page.enter("K. Aldous");
                page.see(".wall");
                take(page, "wall-year");
            }
            try (Page page = Page.open(app, 390, 844, false)) {
                page.enter("I. Tolvanen");
                page.click("[data-date='2026-10-09'] .date");
                take(page, "phone");
            }
            try (Page page = Page.open(app)) {
                setUp(page);
            }
        }
    }

    /** What students see, the page itself, the sheet of a week. */
    private static void students(Page page) throws Exception {
        page.press("For students");
        page.press("Copy the class's link");
        page.see("[role=status]");
        String path = page.see("aside a[href*='/see/']").getDomAttribute("href").replaceFirst("^https?://[^/]+", "");
        page.rest(600);
        take(page, "students");
        page.press("Week");
        page.see("iframe");
        page.rest(600);
        take(page, "week");
        String back = page.driver.getCurrentUrl().replaceFirst("^https?://[^/]+", "");
        page.go(path);
        page.seeText("h1", "HYD 210");
        take(page, "students-page");
        page.go(back);
        page.see("iframe");
    }

    /** Many carried to a day, a thing, a lesson with steps, the Dates table with a change over many rows. */
    private static void layingOut(Page page) throws Exception {
        page.outline();
        page.choose("[aria-label='Unit']", "CH Channel form");
        page.choose("[aria-label='Kind of work']", "reading");
        page.press("choose these");
        page.choose("[aria-label='Unit']", "Unit: any");
        page.choose("[aria-label='Kind of work']", "Kind: any");
        new Actions(page.driver)
                .moveToElement(page.see(".ol [data-drag='item:read-11']"))
                .clickAndHold()
                .moveByOffset(8, 4)
                .moveToElement(page.see(day("2026-10-21")))
                .perform();
        page.see(".carried");
        page.keys(Keys.ESCAPE);
        new Actions(page.driver).release().perform();
        page.gone(".carried");
        page.js(
                "document.querySelector(\".ol [data-row='item:lab-3']\").dispatchEvent(new MouseEvent('dblclick',{bubbles:true}))");
        page.seeText(".p-dialog", "B Mon 26 Oct, 17:00");
        page.type(".p-dialog textarea", "Draw your two cross-sections at 1:50, bed and both banks.");
        page.keys(Keys.ESCAPE);
        page.gone(".p-dialog");
        page.press("Dates");
        page.see(".dg .dg-row");
        page.type(".sieve [type=search]", "log");
        page.seeText(".sieve .count", "10 of");
        page.click(".dg-head input[type=checkbox]");
        page.type(".sieve [type=search]", "");
        page.type(".sieve [type=search]", " ");
        page.choose(".bulk [aria-label='What to do']", "later by");
        page.press("See what it does");
        page.see(".strip");
        page.js("document.querySelector('.dg').scrollTop = 260");
        take(page, "dates");
        page.press("Discard");
        page.gone(".strip");
        lanes(page);
    }

    /** Section B, which lost a class, and what would bring it back into step. */
    private static void lanes(Page page) throws Exception {
        page.press("Wall");
        page.see(".wall");
        page.choose("[aria-label='Course and section']", "HYD 210 B, Reading Rivers");
        page.seeText(day("2026-10-08"), "CH1");
        page.click(day("2026-10-08"));
        page.press("Keep free");
        page.see(".strip");
        page.press("Apply");
        page.seeText(".notice", "Keep the class");
        page.press("Lanes");
        page.press("Bring B into step…");
        page.press("Join");
        page.see(".line.faint");
        take(page, "lanes");
        page.press("Discard");
        page.gone(".strip");
        page.click("[aria-label='Undo']");
        page.seeText(".title", "every section is in step");
        page.go("/terms/1/rollover?section=HYD%20210/A");
        page.see(".rolled .maybe");
        take(page, "rollover");
        page.press("Look back");
        page.see(".unit .pace");
        take(page, "look-back");
        page.press("Office hours");
        page.click(".box.booked");
        page.see(".slip");
        take(page, "office-hours");
    }

    /** The Term view: full, painted, proposed, a list read, a section. */
    private static void setUp(Page page) throws Exception {
        page.enter("I. Tolvanen");
        page.see(".wall");
        page.press("Term");
        page.see(".tg");
        page.see(".days");
        take(page, "term");
        page.drag(".tg [data-date='2026-10-21']", ".tg [data-date='2026-10-22']");
        page.type("#mean-reason", "Testing days");
        page.choose("#mean-kind", "testing");
        page.seeText(".sec.now", "takes 1 class from HYD 210 A");
        page.press("See what it does");
        page.see(".strip");
        page.press("Discard");
        page.gone(".strip");
        page.press("paste a list or read a file");
        page.see("#paste-off");
        page.paste(
                "#paste-off",
                "Quillmarsh College, Academic Calendar\n\nAugust 31 (Mon)   First day of classes\n"
                        + "October 12-13 (Mon-Tues)   Autumn break, no classes\nOctober 23 (Fri)   Staff day, no classes\n"
                        + "November 3 (Tue)   Founders’ Day\nNovember 6 (Fri)   Last day to withdraw\nNovember 11 (Wed)   Bridge Day, college closed\n"
                        + "November 24   Early dismissal 12:30 pm\nNov. 25 - 27   Holiday break, college closed\n"
                        + "Reading day as announced by the Dean");
        page.seeText(".understood", "Bridge Day");
        page.keys(org.openqa.selenium.Keys.ESCAPE);
        page.gone(".p-dialog");
        page.withPlan("I. Tolvanen", java.nio.file.Path.of("src", "test", "resources", "glaciers.json"));
        page.press("read an outline");
        page.paste(
                "#read-outline",
                java.nio.file.Files.readString(java.nio.file.Path.of("..", "demo", "own-sheet.tsv"))
                        .replace("Remarks", "Zettel")
                        .replace("Moraines II (cont.)\t", "Moraines II (cont.)\tsee the map of 1911"));
        page.see(".doubts li");
        take(page, "sheet");
        page.keys(org.openqa.selenium.Keys.ESCAPE);
        page.gone(".p-dialog");
    }
}
