package app.matsuri.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Term;
import app.matsuri.exchange.plan.PlanFile;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** A teacher's own sheet and a school's list for a year in the browser: taken as they are, their doubts settled. */
@Order(5)
class SheetJourneysTest {

    private static final Path COURSE = Path.of("src", "test", "resources", "glaciers.json");
    private static final Path SHEET = Path.of("..", "demo", "own-sheet.tsv");

    /** A sheet of 60 rows in five actions, by keyboard alone behind the first press: at most 8. */
    @Test
    void aSheetOfSixtyRowsIsTaken() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("I. Tolvanen", COURSE);
            page.press("read an outline"); // 1
            page.paste("#read-outline", Files.readString(SHEET)); // 2
            page.seeText(".doubts", "5 labs without a date of their own");
            assertThat(page.count(".p-dialog th")).isEqualTo(10);
            page.keys(Keys.TAB, Keys.TAB); // over “take all as shown” to the doubt: 3 and 4 of a patient hand
            page.keys("s"); // 5
            page.gone(".doubts");
            page.press("Add 5 units, 43 lessons"); // 6
            page.apply("Add 5 units to GLA 140"); // 7
            page.seeText(".wall", "TEST 1");
            page.click(Page.day("2026-09-16"));
            page.seeText(".slip", "Measuring balance with stakes");
            page.seeText(".slip", "Quiz 1");
        }
    }

    /** A year of 45 lines in six actions, by keyboard behind the first press: at most 14. */
    @Test
    void aSchoolYearIsTakenFromPastedText() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("I. Tolvanen", Path.of("src", "test", "resources", "school-year.json"));
            page.press("Term");
            page.press("paste a list or read a file"); // 1
            page.paste("#paste-off", Files.readString(Path.of("src", "test", "resources", "school-year.txt"))); // 2
            page.seeText(".doubts", "3 in doubt");
            page.seeText(".doubts", "Founders Day");
            page.js("document.querySelector('.doubts li button').focus()"); // Tab leads there
            page.keys("o"); // 3: Founders Day is kept as a school day
            page.seeText(".doubts", "2 in doubt");
            page.keys("t"); // 4: Heritage Day is off
            page.seeText(".doubts", "1 in doubt");
            page.keys("t"); // 5: classes end on 28 May
            page.gone(".doubts");
            page.seeText(".so-far", "The term so far");
            page.press("Take 22 days"); // 6
            page.seeText(".notice", "Take 22 days");
            String plan = new Client(App.demo().url(""), "tolvanen").get("/api/terms/" + page.term() + "/plan");
            Term term = PlanFile.read(plan).decisions().term();
            assertThat(term.last()).hasToString("2027-05-28");
            assertThat(term.closures())
                    .extracting(Closure::reason)
                    .contains("Heritage Day", "Winter recess", "Spring break", "Election Day")
                    .doesNotContain("Founders Day", "Band concert", "Film night", "Fall picture day");
        }
    }

    /** What a column has is said otherwise by one choice, and a row by one key. */
    @Test
    void aColumnAndARowAreSaidOtherwise() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("I. Tolvanen", COURSE);
            page.press("read an outline");
            page.paste(
                    "#read-outline",
                    "Date\tTopic\tZettel\n8/31\tFirn\tBlue one\n9/2\tDepth\tRed one\n9/3\tField day\tGreen one\n");
            page.seeText(".doubts", "Column 3 “Zettel” is not taken");
            page.seeText(".doubts", "when the section has no class");
            page.choose("[aria-label='Column 3, Zettel']", "work");
            page.seeText(".rows", "Blue one");
            page.click(".doubts li:last-child button:first-child");
            page.press("Add 1 unit, 3 lessons, 3 things");
            page.seeText(".strip, .notice", "Add 1 unit to GLA 140");
        }
    }

    /** Cells copied from a document come with the cells that were merged, and their links. */
    @Test
    void aTableCopiedFromADocumentKeepsItsMergedCellsAndLinks() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("I. Tolvanen", COURSE);
            page.press("read an outline");
            page.see("#read-outline");
            page.js("""
                    const data = new DataTransfer();
                    data.setData('text/html', `<table><tr><th>Unit</th><th>Topic</th><th>Reading</th></tr>
                      <tr><td rowspan=2>Snow</td><td>Firn</td><td><a href="https://ice.example/firn">Firn notes</a></td></tr>
                      <tr><td>Depth</td><td>Ch. 2</td></tr></table>`);
                    data.setData('text/plain', 'Unit\\tTopic\\tReading\\nSnow\\tFirn\\tFirn notes\\n\\tDepth\\tCh. 2');
                    document.querySelector('#read-outline')
                      .dispatchEvent(new ClipboardEvent('paste', {clipboardData: data, bubbles: true, cancelable: true}));
                    """);
            page.seeText(".rows", "Firn notes");
            page.press("Add 1 unit, 2 lessons, 2 things");
            page.apply("Add 1 unit to GLA 140");
            assertThat(new Client(App.demo().url(""), "tolvanen").get("/api/terms/" + page.term() + "/plan"))
                    .contains("https://ice.example/firn");
        }
    }
}
