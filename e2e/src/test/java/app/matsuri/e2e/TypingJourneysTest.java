package app.matsuri.e2e;

import static app.matsuri.e2e.Page.day;
import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** What is typed is what is saved, however slow the server answers; what is not understood never is. */
@Order(5)
class TypingJourneysTest {

    private static Page demo() throws Exception {
        return Page.open(App.demo()).withPlan("I. Tolvanen", "autumn-2026.json");
    }

    /** The end of a notice as people write it, and one that nobody can read. */
    @Test
    void aNoticeEndsWhenTheFieldSaysIt() throws Exception {
        try (Page page = demo()) {
            page.click(day("2026-10-26"));
            page.click(".slip .back button");
            page.press("+ a notice");
            page.type("#notice-title", "Wader order");
            page.press("at a time");
            page.type("#notice-begins", "26 oct 8:00");
            page.type("#notice-ends", "30 octember, 17:00");
            page.seeText("#notice-ends-said", "Not a date yet");
            page.press("Add");
            page.see("#notice-ends:focus");
            page.see(".p-dialog");
            page.type("#notice-ends", "30 oct, 17:00");
            page.seeText("#notice-ends-said", "Fri 30 Oct 2026, 17:00");
            assertThat(value(page, "#notice-ends")).isEqualTo("30 oct, 17:00");
            page.keys(Keys.ENTER);
            page.gone(".p-dialog");
            page.click(day("2026-10-30"));
            page.seeText(".slip", "Wader order");
            page.seeText(".slip", "8:00 to Fri 30 Oct, 17:00");
            page.hold("z", Keys.CONTROL);
        }
    }

    /** Two dates in one field are no date; the move is held back until one of them goes. */
    @ParameterizedTest
    @ValueSource(ints = {0, 500, 4000})
    void twoDatesInOneFieldMoveNothing(int delay) throws Exception {
        try (Page page = demo()) {
            page.click(day("2026-10-26"));
            page.press("Move…");
            page.see("#move-to:focus");
            page.delay(delay);
            page.type("#move-to", "Tue 10 Nov12 nov");
            page.keys(Keys.ENTER);
            page.seeText("#move-to-said", "Not a day yet");
            page.see(".p-dialog");
            page.type("#move-to", "Wed 11 Nov");
            page.keys(Keys.ENTER);
            page.seeText(".strip", "to Wed 11 Nov");
            page.delay(0);
            page.keys(Keys.ESCAPE);
            page.press("Discard");
        }
    }

    /** A date in words is not rewritten while it is typed, and a weekday that contradicts its date is said. */
    @Test
    void wordsStandAsTheyWereTyped() throws Exception {
        try (Page page = demo()) {
            page.click(day("2026-10-15"));
            page.click(".slip .ev .nm:not([disabled])");
            page.press("Edit…");
            page.see(".choice");
            page.click(".choice:nth-of-type(2) label:last-child input");
            page.type("#edit-due", "8 oct, 7am");
            page.seeText("#edit-due-said", "Thu 8 Oct 2026, 07:00");
            assertThat(value(page, "#edit-due")).isEqualTo("8 oct, 7am");
            page.type("#edit-due", "Mon 8 oct");
            page.seeText("#edit-due-said", "8 Oct 2026 is a Thursday, not a Monday");
            page.press("Save");
            page.see("#edit-due:focus");
        }
    }

    /** Three things typed one after the other, as fast as keys go. */
    @ParameterizedTest
    @ValueSource(ints = {0, 500, 4000})
    void linesTypedFastAllBecomeThings(int delay) throws Exception {
        try (Page page = demo()) {
            page.click(day("2026-10-22"));
            page.see(".slip .add input").click();
            page.delay(delay);
            page.keys("Alpha set", Keys.ENTER, "Beta set", Keys.ENTER, "Gamma set, 30 februry", Keys.ENTER);
            page.rest(delay);
            page.delay(0);
            page.seeText(".slip", "“30 februry”: not understood");
            page.seeText(".slip .ev", "Alpha set");
            page.seeText(".slip .ev", "Beta set");
            assertThat(value(page, ".slip .add input")).isEqualTo("Gamma set, 30 februry");
            assertThat(page.text(".slip .ev")).doesNotContain("Gamma");
            page.driver.findElement(By.cssSelector(".slip .add input")).clear();
        }
    }

    /** Three dates in a row of the table; the hand never waits. */
    @ParameterizedTest
    @ValueSource(ints = {0, 500, 4000})
    void threeDatesInARowAreSavedInOrder(int delay) throws Exception {
        try (Page page = demo()) {
            page.press("Dates");
            page.see(".dg");
            page.choose("[aria-label='Kind']", "lab");
            page.see(".dg").click();
            page.hold(Keys.HOME, Keys.CONTROL);
            page.keys(Keys.HOME, Keys.ARROW_RIGHT, Keys.ARROW_RIGHT);
            String before = page.text("#cell-0-2") + page.text("#cell-1-2") + page.text("#cell-2-2");
            assertThat(before).doesNotContain("Sat 5 Dec");
            page.delay(delay);
            page.keys("5 dec 9:00", Keys.ENTER, "6 dec 9:00", Keys.ENTER, "7 dec 9:00", Keys.ENTER);
            page.rest(delay);
            for (int asks = 0; asks < 3 && page.saysWithin("Apply", delay + 1500); asks++) {
                page.press("Apply");
            }
            page.delay(0);
            page.seeText("#cell-0-2", "Sat 5 Dec 09:00");
            page.seeText("#cell-1-2", "Sun 6 Dec 09:00");
            page.seeText("#cell-2-2", "Mon 7 Dec 09:00");
        }
    }

    /** Clock and months as one prefers, everywhere. */
    @Test
    void aClockOfTwelveHours() throws Exception {
        // of a person whose clock no other journey reads
        try (Page page = Page.open(App.demo()).withPlan("K. Aldous", "autumn-2026.json")) {
            String wall = "/terms/" + page.term() + "/wall";
            page.go("/preferences");
            page.press("5:00 pm");
            page.seeText(".said", "Kept.");
            page.go(wall);
            page.seeText(".wh", "10:00 am");
            page.click(day("2026-10-09"));
            page.type(".slip .add input", "quiz 3, 17:30");
            page.seeText(".slip .heard", "due Fri 9 Oct, 5:30 pm");
            page.driver.findElement(By.cssSelector(".slip .add input")).clear();
            page.go("/preferences");
            page.press("17:00");
            page.seeText(".said", "Kept.");
            page.go(wall);
            page.seeText(".wh", "10:00");
        }
    }

    private static String value(Page page, String css) {
        return page.see(css).getDomProperty("value");
    }
}
