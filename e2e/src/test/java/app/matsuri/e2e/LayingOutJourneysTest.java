package app.matsuri.e2e;

import static app.matsuri.e2e.Page.day;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;

/** Laying out units, lessons and dated work, many at a time: the outline, days, things and the Dates table. */
@Order(6)
class LayingOutJourneysTest {

    private static final String TOLVANEN = "I. Tolvanen";
    private static final String AUTUMN = "autumn-2026.json";

    private static void dates(Page page) throws Exception {
        page.withPlan(TOLVANEN, AUTUMN);
        page.press("Dates");
        page.see(".dg .dg-row");
    }

    /** The cell of a date: by the thing's title and the column's place among the dates, from 1. */
    private static String cell(Page page, String title, int column) {
        return (String) page.js(
                "const w=[...document.querySelectorAll('.dg .work')].find(x=>x.textContent.trim()===arguments[0]);"
                        + "return w ? '#'+w.id.replace(/-0$/, '-'+arguments[1]) : null",
                title,
                column);
    }

    private static String said(Page page, String title, int column) {
        return page.text(cell(page, title, column));
    }

    /** Twenty things and more given three dates alike: chosen by kind, three fields, applied. Six actions. */
    @Test
    void manyThingsGetThreeDatesAlikeInSixActions() throws Exception {
        try (Page page = Page.open(App.demo())) {
            dates(page);
            page.choose(".sieve [aria-label='Kind']", "reading"); // 1
            page.click(".dg-head input[type=checkbox]"); // 2
            page.seeText(".bulk", "23 chosen");
            page.type(".bulk label:nth-of-type(2) input, .bulk label input.set", "due -1 week"); // 3
            java.util.List<org.openqa.selenium.WebElement> fields =
                    page.driver.findElements(By.cssSelector(".bulk input.set"));
            fields.get(1).sendKeys("start -10 minutes"); // not understood is said
            page.seeText(".bulk-said", "is no date yet");
            fields.get(1).sendKeys(Keys.chord(Keys.CONTROL, "a"), "same day"); // 4
            fields.get(2).sendKeys("due +2 days", Keys.ENTER); // 5
            page.seeText(".strip", "Change the dates of 23 things");
            assertThat(page.count(".dg-row.moved")).isGreaterThan(15);
            page.press("Apply"); // 6
            page.seeText(".notice", "Change the dates of 23 things");
            assertThat(said(page, "Read 11: Meanders", 1))
                    .startsWith("Wed 30 Sep 10:00")
                    .endsWith("due −1 week");
            assertThat(said(page, "Read 11: Meanders", 3))
                    .startsWith("Fri 9 Oct 10:00")
                    .endsWith("due +2 days");
            page.click("[aria-label='Undo']");
            page.seeText(".notice", "Undo: Change the dates");
            assertThat(said(page, "Read 11: Meanders", 1)).isEqualTo("always open");
        }
    }

    /** One thing, other dates for two groups of sections: two ranges, each typed into at once. Four actions. */
    @Test
    void oneThingGetsOtherDatesForTwoGroupsOfSectionsInFourActions(@TempDir Path folder) throws Exception {
        StringBuilder sections = new StringBuilder();
        for (String code : new String[] {"A", "B", "C", "D"}) {
            sections.append(sections.isEmpty() ? "" : ",")
                    .append("{\"code\":\"")
                    .append(code)
                    .append(
                            "\",\"meets\":[{\"rule\":\"FREQ=WEEKLY;BYDAY=MO,WE\",\"start\":\"10:00\",\"minutes\":50}]}");
        }
        Path plan = folder.resolve("four.json");
        Files.writeString(
                plan,
                "{\"matsuri\":1,\"term\":{\"first\":\"2026-08-31\",\"last\":\"2026-12-18\"},\"courses\":[{\"code\":\"GEO 1\",\"title\":\"Stones\","
                        + "\"sections\":[" + sections + "],\"units\":[{\"id\":\"U\",\"code\":\"U\",\"title\":\"Rocks\","
                        + "\"lessons\":[{\"id\":\"U1\",\"title\":\"Hard and soft\"}],\"items\":[{\"id\":\"i\",\"lesson\":\"U1\",\"kind\":\"lab\","
                        + "\"title\":\"Lab 1\",\"due\":{\"lesson\":\"U1\",\"edge\":\"end\"}}]}]}]}");
        try (Page page = Page.open(App.demo())) {
            page.withPlan(TOLVANEN, plan);
            page.press("Dates");
            page.see(".dg .dg-row");
            page.drag("#cell-0-4", "#cell-0-5"); // 1: A and B
            new Actions(page.driver).sendKeys("19 oct, 17:00").perform();
            page.seeText(".said", "Mon 19 Oct, 17:00");
            page.hold(Keys.ENTER, Keys.CONTROL); // 2
            page.seeText("#cell-0-5", "Mon 19 Oct 17:00");
            page.drag("#cell-0-6", "#cell-0-7"); // 3: C and D
            new Actions(page.driver).sendKeys("20 oct, 17:00").perform();
            page.seeText(".said", "Tue 20 Oct, 17:00");
            page.hold(Keys.ENTER, Keys.CONTROL); // 4
            page.seeText("#cell-0-7", "Tue 20 Oct 17:00");
            assertThat(page.text("#cell-0-4")).contains("Mon 19 Oct 17:00").contains("own: fixed");
            assertThat(page.text("#cell-0-2")).contains("end of U1");
        }
    }

    /** The table by keyboard alone: walk, type over, edit, leave, fill down, take away, undo. */
    @Test
    void theTableIsWalkedTypedIntoAndFilledByKeyboardAlone() throws Exception {
        try (Page page = Page.open(App.demo())) {
            dates(page);
            page.seeText(".dg", "Read 1: Basins");
            page.keys(Keys.ARROW_RIGHT);
            page.keys("+3");
            page.seeText(".said", "all sections: Tue 8 Sep, 23:59, BA2 +3 teaching days");
            page.keys(Keys.ENTER);
            page.seeText("#cell-0-2", "BA2 +3 teaching days");
            page.seeText(".notice", "Change the due date of “Read 1: Basins”");
            page.keys(Keys.ARROW_UP, Keys.F2);
            page.see(".typing");
            assertThat(page.see(".typing").getDomProperty("value")).isEqualTo("BA2 +3 teaching days, 23:59");
            page.keys(Keys.ESCAPE);
            page.gone(".typing");
            page.hold(Keys.ARROW_DOWN, Keys.SHIFT);
            page.hold(Keys.ARROW_DOWN, Keys.SHIFT);
            page.seeText(".filling", "3 rows");
            page.hold("d", Keys.CONTROL);
            page.seeText(".strip", "Change the due date of 2 things");
            page.keys("a");
            page.gone(".strip");
            page.seeText("#cell-2-2", "BA4 +3 teaching days");
            page.keys(Keys.DELETE);
            page.seeText("#cell-2-2", "no date");
            page.seeText(".notice", "Change the due date of 3 things");
            page.hold("z", Keys.CONTROL);
            page.seeText("#cell-2-2", "BA4 +3 teaching days");
            page.keys("whenever", Keys.ENTER);
            page.seeText("#cell-2-2", "not saved: whenever");
            page.seeText(".notice", "is no date yet");
            page.keys(Keys.ARROW_UP, Keys.ENTER);
            page.seeText(".said", "is no date yet");
            assertThat(page.see(".typing").getDomProperty("value")).isEqualTo("whenever");
            page.keys(Keys.ESCAPE, " ");
            page.seeText(".bulk", "chosen");
        }
    }

    /** A block from a spreadsheet: shown with what is understood, proposed as one. */
    @Test
    void aBlockIsPastedFromASpreadsheet() throws Exception {
        try (Page page = Page.open(App.demo())) {
            dates(page);
            page.click(cell(page, "Problem set 1", 2));
            page.js(
                    "const d=new DataTransfer();d.setData('text/plain',arguments[0]);"
                            + "document.querySelector('.dg').dispatchEvent(new ClipboardEvent('paste',{clipboardData:d,bubbles:true,cancelable:true}))",
                    "15 sep 5pm\t2026-09-17 17:00\nnext class\tnever\nsoonish\t\n");
            page.seeText(".p-dialog", "5 cells understood, 1 not");
            page.press("See what it does");
            page.seeText(".strip", "Change the dates of 3 things");
            page.press("Apply");
            page.seeText(".notice", "Change the dates of 3 things");
            assertThat(said(page, "Problem set 1", 2))
                    .startsWith("Tue 15 Sep 17:00")
                    .endsWith("fixed");
            assertThat(said(page, "Problem set 2", 2)).contains("BA5 +1 class");
            assertThat(said(page, "Field log 1", 2)).contains("BA4 +1 teaching day");
        }
    }

    /** Later by a teaching day for chosen rows: seen row by row, applied, and only B's own afterwards. */
    @Test
    void oneChangeOverChosenRowsIsSeenRowByRow() throws Exception {
        try (Page page = Page.open(App.demo())) {
            dates(page);
            page.type(".sieve [type=search]", "field log");
            page.seeText(".sieve .count", "10 of 74 rows");
            page.click(".dg-head input[type=checkbox]");
            page.choose(".bulk [aria-label='What to do']", "later by");
            page.press("See what it does");
            page.seeText(".strip", "Move later by 1 teaching day: the due date of 10 things");
            page.seeText(cell(page, "Field log 6", 2), "Fri 16 Oct 23:59");
            page.press("Apply");
            page.seeText(cell(page, "Field log 6", 2), "CH2 +3 teaching days");
            page.choose(".bulk label select", "B only");
            page.choose(".bulk [aria-label='What to do']", "at the time");
            page.press("See what it does");
            page.see(".strip");
            page.press("Apply");
            page.seeText(".notice", "in section B");
        }
    }

    /** Out as a table, edited elsewhere, and back: only what differs is proposed. */
    @Test
    void theTableGoesOutAndComesBack(@TempDir Path folder) throws Exception {
        try (Page page = Page.open(App.demo())) {
            dates(page);
            String csv = (String)
                    ((org.openqa.selenium.JavascriptExecutor) page.driver)
                            .executeAsyncScript(
                                    "const done=arguments[0];fetch(location.pathname.replace('/terms','/api/terms')+'.csv').then(r=>r.text()).then(done)");
            Path edited = folder.resolve("dates.csv");
            String edit = csv.lines()
                    .filter(line -> line.startsWith("HYD 210,B,log-7,"))
                    .findFirst()
                    .orElseThrow();
            String[] cells = edit.split(",", -1);
            cells[8] = "2026-11-02 20:00";
            Files.writeString(edited, csv.replace(edit, String.join(",", cells)), StandardCharsets.UTF_8);
            page.press("Tables");
            page.see(".p-dialog [type=file]").sendKeys(edited.toString());
            page.seeText(".p-dialog", "1 cell to look at");
            page.seeText(".p-dialog", "Field log 7, B");
            page.press("See what it does");
            page.seeText(".strip", "Change the due date of “Field log 7” in section B");
            page.press("Apply");
            page.seeText(".notice", "Field log 7");
            page.seeText(cell(page, "Field log 7", 4), "Mon 2 Nov 20:00");
        }
    }

    /** The outline: chosen by filter, dragged together onto a day that says how full it is. */
    @Test
    void manyAreChosenByFilterAndDraggedOntoADay() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan(TOLVANEN, AUTUMN);
            page.choose("[aria-label='Unit']", "CH Channel form");
            page.choose("[aria-label='Kind of work']", "reading");
            page.press("choose these");
            page.seeText(".chosen-bar", "4 chosen");
            page.drag(".ol [data-drag='item:read-11']", day("2026-10-21"));
            page.seeText(".strip", "Move 4 things to Wed 21 Oct: in A");
            page.press("Apply");
            page.seeText(".notice", "Move 4 things to Wed 21 Oct");
            assertThat(page.text(day("2026-10-21"))).contains("Read 11");
            page.press("Undo");
            page.seeText(".notice", "Undo: Move 4 things");
            page.press("choose none");
            page.gone(".ol .sel");
        }
    }

    /** The outline by keyboard alone: lines typed one after the other, levels changed, put in order, chosen, carried. */
    @Test
    void linesAreTypedAndPutInOrderByKeyboardAlone() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan(TOLVANEN, AUTUMN);
            page.js("document.querySelector(\".ol [data-row='unit:RE']\").focus()");
            page.keys("n");
            page.keys("Ice on rivers", Keys.ENTER);
            page.seeText(".notice", "Add unit “Ice on rivers”");
            page.keys(Keys.TAB);
            page.seeText(".new", "a lesson of IC");
            page.keys("Frazil", Keys.ENTER);
            page.seeText(".new", "Added: IC1");
            page.keys("Read 30, 20 min, due same day", Keys.ENTER);
            page.seeText(".outline", "Read 30");
            page.keys("Break-up", Keys.ENTER);
            page.seeText(".new", "Added: IC2");
            page.keys(Keys.ESCAPE);
            page.js("document.querySelector(\".ol [data-row='lesson:IC2']\").focus()");
            page.hold(Keys.ARROW_UP, Keys.ALT);
            page.seeText(".notice, .strip", "Put lesson “Break-up” before “Frazil”");
        }
    }

    /** Something typed into a day, put in another place of its list, and the day after without closing. */
    @Test
    void somethingIsTypedIntoADayAndPutInOrder() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan(TOLVANEN, AUTUMN);
            page.stand("2026-10-09");
            page.keys("n");
            page.see(".slip .add input");
            new Actions(page.driver)
                    .pause(java.time.Duration.ofMillis(300))
                    .sendKeys("Bring waders", Keys.ENTER)
                    .perform();
            page.seeText(".notice", "Add “Bring waders”");
            page.seeText(".slip", "Bring waders");
            page.seeText(day("2026-10-09"), "Bring waders");
            page.click("[aria-label='Bring waders one down']");
            page.seeText(".notice", "Put the work of a day in order");
            page.click(".rib button:nth-child(4)");
            page.seeText(".slip h2", "Sat 10 Oct");
            page.keys(Keys.PAGE_DOWN, Keys.PAGE_DOWN);
            page.seeText(".slip h2", "Mon 12 Oct");
        }
    }

    /** A thing given a date by each of the three ways, and a lesson whose steps do not fit. */
    @Test
    void aThingIsDatedByThreeWaysAndALessonGetsSteps() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan(TOLVANEN, AUTUMN);
            page.js(
                    "document.querySelector(\".ol [data-row='item:lab-3']\").dispatchEvent(new MouseEvent('dblclick',{bubbles:true}))");
            page.seeText(".p-dialog", "B Mon 26 Oct, 17:00");
            page.click(".choice:nth-of-type(2) .ways label:nth-child(2)");
            page.choose("[aria-label='Due, lesson']", "CH4 Finding bankfull");
            page.seeText(".p-dialog .choice:nth-of-type(2)", "A Mon 19 Oct, 10:00");
            page.click(".choice:nth-of-type(3) .ways label:nth-child(3)");
            page.seeText(".p-dialog .choice:nth-of-type(3)", "A Wed 21 Oct, 10:00");
            page.type(".p-dialog textarea", "Draw your **two** cross-sections.");
            page.press("Save");
            page.seeText(".notice, .strip", "Change “Lab report 3”");
            page.js(
                    "document.querySelector(\".ol [data-row='lesson:CH1']\").dispatchEvent(new MouseEvent('dblclick',{bubbles:true}))");
            page.press("add a step");
            page.type("[aria-label='Step 1: minutes']", "60");
            page.type("[aria-label='Step 1: what happens']", "Walk to Mill Reach");
            page.seeText(".steps", "60 of 50 minutes, 10 over");
            page.press("Save");
            page.gone(".p-dialog");
            page.apply("Change lesson “Why channels bend”");
            page.press("finding");
            page.seeText(".p-dialog", "The steps of “Why channels bend” take 60 minutes");
        }
    }

    /** A whole outline pasted and added as one step. */
    @Test
    void anOutlineIsPastedIntoACourse() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan(TOLVANEN, AUTUMN);
            page.press("read an outline");
            page.paste(
                    "#read-outline", "Ice on rivers\n  Frazil (2)\n    Read 30, due same day\n    Essay, due sometime");
            page.seeText(".p-dialog .doubts", "“sometime” was not understood");
            page.press("take all as shown");
            page.press("Add 1 unit, 1 lesson, 2 things");
            page.seeText(".notice, .strip", "Add 1 unit to HYD 210");
        }
    }
}
