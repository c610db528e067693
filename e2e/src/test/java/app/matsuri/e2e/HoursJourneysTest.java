package app.matsuri.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Office hours in the browser: set up for a term, booked by a student, seen by who teaches, withdrawn. Early: each term adds to the page. */
@Order(5)
class HoursJourneysTest {

    /** Weekly office hours in slots for a term in four actions, by keyboard behind the first press: at most 6. */
    @Test
    void officeHoursOfATermAreTypedInALine() throws Exception {
        try (Page page =
                Page.open(App.demo()).withPlan("I. Tolvanen", Path.of("src", "test", "resources", "glaciers.json"))) {
            page.press("Office hours"); // 1
            page.seeText("main", "No office hours yet.");
            page.type("[aria-label='New office hours']", "Fri 13-14 in 15 min, Weir House 1"); // 2 and 3
            page.seeText(".says", "Fri 13:00-14:00 Weir House 1, in 15 min");
            page.keys(Keys.ENTER); // 4
            page.seeText(".notice", "Add office hours");
            assertThat(page.count(".weeks .box.free")).isGreaterThan(50);
            page.click("[aria-label='Undo']");
            page.seeText("main", "No office hours yet.");
        }
    }

    /** A student books in two actions and gives back in one more; who teaches sees it, and a day off is proposed with it. */
    @Test
    void aStudentBooksInTwoActionsAndADayOffSaysWhom() throws Exception {
        try (Page page = Page.open(App.demo()).withPlan("I. Tolvanen", "autumn-2026.json")) {
            String address = new Client(App.demo().url(""), "tolvanen")
                    .send(
                            "/api/terms/" + page.term() + "/links",
                            "application/json",
                            "{\"course\":\"HYD 210\",\"section\":\"A\",\"student\":\"4101\"}")
                    .body();
            String path = address.replaceFirst("(?s).*\"address\"\\s*:\\s*\"https?://[^/]+(/see/[^\"]+)\".*", "$1");
            String term = page.term();
            // whoever is on rosters of several terms sees the hours of all of them
            String slot = "button.slot[value='" + term + "/weir-house 2026-10-14T14:15']";
            page.go(path + "?of=" + term + "%2FHYD%20210%2FA");
            page.press("Book a time"); // 1
            AccessibilityTest.sound(page, "where hours are booked");
            page.click(slot); // 2
            page.seeText("[role=status]", "Booked: Wed 14 Oct, 14:15 to 14:30");
            assertThat(page.count("script")).isZero();
            page.go("/terms/" + term + "/hours");
            page.seeText("aside", "Wren Oakes");
            page.click(".box.booked");
            page.seeText(".slip", "Wed 14 Oct, 14:15");
            AccessibilityTest.sound(page, "office hours");
            page.press("Withdraw");
            page.seeText(".strip", "1 booking of office hours would be withdrawn, and told: Wren Oakes");
            page.keys("a");
            page.seeText(".notice", "Withdraw the slot of Wed 14 Oct, 14:15");
            page.go(path + "/hours");
            page.seeText("main", "Wednesday 14 October");
            assertThat(page.count(slot)).isZero();
        }
    }
}
