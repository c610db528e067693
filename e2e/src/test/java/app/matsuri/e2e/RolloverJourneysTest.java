package app.matsuri.e2e;

import static app.matsuri.e2e.Page.day;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** When the course comes round again: rolled over each way, in part, into a shorter term, from a table; and looking back. */
class RolloverJourneysTest {

    private static final Path DEMO = Path.of("..", "demo");

    @TempDir
    Path folder;

    private String autumn;
    private String spring;

    /** A term of its own to come from and one to go into, and the page between them. */
    private Page between(Path into) throws Exception {
        Page page = Page.open(App.demo()).withPlan("I. Tolvanen", "autumn-2026.json");
        autumn = page.term();
        page.opened(into);
        spring = page.term();
        return begin(page);
    }

    private Page begin(Page page) {
        page.go("/terms/" + autumn + "/rollover?section=HYD%20210/A");
        page.see(".ways");
        page.chooseValue("select[aria-label='Into which term']", spring);
        return page;
    }

    private void undone(Page page) {
        page.hold("z", Keys.CONTROL);
        page.gone(".wall");
        page.seeText("body", "This term has no section yet");
    }

    @Test
    void hydTwoTenIsRolledIntoSpringEachWay() throws Exception {
        try (Page page = between(DEMO.resolve("spring-2027.json"))) {
            String[][] ways = {
                {"class", "session 1 of 43"},
                {"week", "week 1, Monday would be Mon 18 Jan"},
                {"days=141", "141 days later would be Tue 19 Jan"},
                {"rule", "start of BA2"}
            };
            for (String[] way : ways) {
                page.click("input[name='way'][value='" + way[0] + "']");
                page.seeText(".rolled", way[1]);
                page.press("Roll over");
                page.see(".wall, .term");
                page.seeText(day("2027-01-20"), "BA1");
                assertThat(page.driver.getCurrentUrl()).contains("/terms/" + spring + "/");
                undone(page);
                begin(page);
            }
            page.seeText(".ways", "140 or 147 days keep them");
        }
    }

    /** Five actions: to the page, the term, the way, all suggestions, done. */
    @Test
    void whatNeedsAHandIsTakenAndRollingTwiceSaysSo() throws Exception {
        try (Page page = between(DEMO.resolve("spring-2027.json"))) {
            page.seeText(".rolled", "Needs a hand first: 9");
            page.seeText(".rolled .maybe", "Mon 25 Jan, 12:00");
            page.press("Take all");
            page.seeText(".rolled", "Needs a hand first: 1");
            page.press("Roll over");
            page.seeText(day("2027-01-25"), "Wading form");
            page.seeText(day("2027-04-02"), "SE7");
            begin(page);
            page.seeText(".problem", "was rolled over to Spring 2027 before");
            page.click(".problem input");
            page.seeText(".rolled", "Needs a hand first");
        }
    }

    @Test
    void twoUnitsOnlyAreRolledWithTheKeyboard() throws Exception {
        try (Page page = between(DEMO.resolve("spring-2027.json"))) {
            page.js("document.querySelector('summary[aria-label=Units]').focus()");
            page.keys(Keys.ENTER);
            for (int i = 0; i < 4; i++) {
                page.keys(Keys.TAB, Keys.SPACE);
            }
            page.seeText("summary[aria-label='Units']", "2 units");
            page.seeText(".rolled", "FL Floods");
            page.see(".strip .go:enabled"); // while it is looked up nothing can be pressed
            page.js("document.querySelector('.strip .go').focus()");
            page.keys(Keys.ENTER);
            page.seeText(day("2027-01-20"), "FL1");
            assertThat(page.text(".outline")).contains("FL", "RE").doesNotContain("BA1");
        }
    }

    @Test
    void mapOneFifteenIsMadeToFitATermTwoWeeksShorter() throws Exception {
        Path term = folder.resolve("short.json");
        Files.writeString(
                term,
                Files.readString(DEMO.resolve("spring-2027.json"))
                        .replace("\"last\": \"2027-05-07\"", "\"last\": \"2027-04-23\""));
        try (Page page = between(term)) {
            page.click("summary[aria-label='Courses']");
            page.press("MAP 115");
            page.press("HYD 210 Reading Rivers");
            page.seeText(".strip", "lessons among them");
            page.press("re-pace what does not fit");
            page.seeText(".note", "made to fit");
            page.press("Roll over");
            page.see(day("2027-04-23"));
            page.seeText(".sel", "MAP 115");
            assertThat(page.text(".outline")).doesNotContain("Finds no class");
        }
    }

    @Test
    void aTableOfAnotherSystemIsRolled() throws Exception {
        Path table = folder.resolve("their dates.csv");
        Files.writeString(table, "Title,Due date\r\nTheir log,2026-09-11 17:00\r\nTheir essay,soon\r\n");
        try (Page page = between(DEMO.resolve("spring-2027.json"))) {
            page.click("summary[aria-label='Courses']");
            page.driver
                    .findElement(By.cssSelector(".menu input[type=file]"))
                    .sendKeys(table.toAbsolutePath().toString());
            page.seeText(".problem", "row 3 “soon”");
            page.chooseValue("select[aria-label='Into which term']", spring);
            page.click("input[name='way'][value='week']");
            page.seeText(".rolled", "week 2, Friday");
            page.press("Roll over");
            page.seeText(day("2027-01-29"), "Their log");
        }
    }

    @Test
    void lookingBackAtSpringTwentySix() throws Exception {
        try (Page page = Page.open(App.demo()).withPlan("I. Tolvanen", "autumn-2026.json")) {
            page.press("Look back");
            page.seeText(".unit[aria-label='Sediment']", "Six weeks, of which one was a break: 11 sessions");
            page.seeText(
                    ".unit[aria-label='Sediment']", "Spring break Mon 16 Mar to Fri 20 Mar; High water Fri 27 Mar");
            page.seeText(".unit[aria-label='Sediment']", "Sieves came late");
            page.press("Table");
            page.seeText(".scroll table", "Teaching weeks");
            page.press("Bars");
            page.click("button[aria-label='Use the pace of Spring 2026 for Sediment']");
            page.seeText(".strip", "Sediment at the pace of Spring 2026");
            page.press("Apply");
            page.seeText(".notice", "Sediment at the pace of Spring 2026");
            page.hold("z", Keys.CONTROL);
            page.seeText(".notice", "Undo: Sediment at the pace");
            page.press("beside the Wall");
            page.seeText(".wall .then", "Spring 2026");
            page.seeText(".wall", "High water");
        }
    }
}
