package app.matsuri.e2e;

import static app.matsuri.e2e.Page.day;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;

/** All courses at once in the browser, in a demo of its own: what other journeys open would be among them. */
@Order(2)
class CoursesJourneysTest {

    private static App app;

    @BeforeAll
    static void start(@TempDir Path data) throws Exception {
        app = App.over(data, true);
    }

    @AfterAll
    static void end() throws Exception {
        app.close();
    }

    private static Page courses(String path) throws Exception {
        Page page = Page.open(app);
        page.go("/sign-in");
        page.see(".demo");
        page.enter("I. Tolvanen");
        page.see(".wall");
        page.go(path);
        page.see(".allcourses");
        return page;
    }

    private static String thing(String section, String thing) {
        return ".allcourses [data-drag*='HYD 210/" + section + "'][data-drag$='" + thing + "']";
    }

    /** Each course is shown and hidden with one press, kinds likewise, and it is so the next time. */
    @Test
    void coursesAndKindsAreShownAndHiddenAndStaySo() throws Exception {
        try (Page page = courses("/courses")) {
            AccessibilityTest.sound(page, "all courses");
            page.seeText(".side", "6 of 8 shown");
            page.seeText(day("2026-10-15"), "PA2");
            page.press("MAP 115 A");
            page.seeText(".side", "5 of 8 shown");
            assertThat(page.text(day("2026-10-15"))).doesNotContain("PA2").contains("LB4");
            page.press("due");
            page.see(".side .kinds");
            page.go("/courses");
            page.seeText(".side", "5 of 8 shown");
            page.see(day("2026-10-15"));
            assertThat(page.count(".wall.all .it.test")).isZero();
            page.press("show everything");
            page.see(".wall.all .it.test");
            page.press("MAP 115 A");
            page.seeText(".side", "6 of 8 shown");
            int weeks = page.count(".wall.all .wk");
            page.press("show");
            page.click(".side li:nth-child(7) label");
            page.seeText(".side", "7 of 8 shown");
            page.see(".wall.all .row:nth-child(" + (weeks + 2) + ") .wk");
            page.click(".side li:nth-child(7) label");
            page.seeText(".side", "6 of 8 shown");
        }
    }

    /** Work is dragged to another day, looked at, applied and taken back; a thing is edited where it stands. */
    @Test
    void thingsAreDraggedOpenedAndEdited() throws Exception {
        try (Page page = courses("/courses")) {
            page.drag(thing("A", "item:log-6"), day("2026-10-16"));
            page.seeText(".strip", "Field log 6");
            page.press("Apply");
            page.seeText(".notice", "Field log 6");
            page.seeText(day("2026-10-16"), "Log 6");
            page.click("[aria-label='Undo']");
            page.seeText(day("2026-10-15"), "Log 6");
            page.click(day("2026-10-08"));
            page.seeText(".slip", "Drawing a traverse: compared");
            AccessibilityTest.sound(page, "a day of all courses");
            new Actions(page.driver)
                    .doubleClick(page.see(".slip .ev [data-drag$='item:log-5']"))
                    .perform();
            page.see(".p-dialog");
            page.seeText(".p-dialog", "Edit work");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            page.click(".slip .ev li:last-child a");
            page.see(".wall:not(.all)");
        }
    }

    /** By keyboard alone: to a day, a thing chosen, carried on by a day, put down, taken back. */
    @Test
    void byKeyboardAlone() throws Exception {
        try (Page page = courses("/courses")) {
            page.stand("2026-10-21");
            page.keys(Keys.ARROW_RIGHT, Keys.ENTER);
            page.seeText(".slip h2", "Thu 22 Oct");
            page.keys(Keys.ESCAPE);
            page.gone(".slip");
            page.keys(Keys.ARROW_LEFT);
            // classes first, then what is due
            page.keys(Keys.SPACE, Keys.SPACE, Keys.SPACE);
            page.see(".wall.all .it.picked[data-drag$='item:set-5']");
            page.keys("m", Keys.ARROW_RIGHT, Keys.ENTER);
            page.seeText(".strip", "Problem set 5");
            page.keys("a");
            page.gone(".strip");
            page.see(day("2026-10-22") + "[aria-label*='Problem set 5']");
            page.hold("z", Keys.CONTROL);
            page.see(day("2026-10-21") + "[aria-label*='Problem set 5']");
        }
    }

    /** A month as threads and day by day: turned, dragged within, today. */
    @Test
    void aMonthAndDayByDay() throws Exception {
        try (Page page = courses("/days")) {
            page.seeText(".daystools", "Oct 2026");
            AccessibilityTest.inBoth(page, "a month");
            page.press("later");
            page.seeText(".daystools", "Nov 2026");
            page.press("Today");
            page.seeText(".daystools", "Oct 2026");
            page.drag(thing("A", "item:log-6"), ".mday[data-date='2026-10-16']");
            page.seeText(".strip", "Field log 6");
            page.press("Discard");
            page.gone(".strip");
            page.outline();
            page.press("day by day");
            page.seeText(".agenda .now", "Wed 7 Oct");
            AccessibilityTest.sound(page, "day by day");
            page.press("later");
            page.press("Today");
            page.drag(thing("A", "item:log-6"), ".aday[data-date='2026-10-16'] .when");
            page.seeText(".strip", "Field log 6");
            page.press("Discard");
        }
    }

    /** What is due, by course and by what it waits for; a press leads to it. */
    @Test
    void whatIsDueLeadsToItsPlace() throws Exception {
        try (Page page = courses("/courses")) {
            page.press("all of it");
            page.seeText("main", "Due over all courses");
            AccessibilityTest.sound(page, "due");
            page.choose("[aria-label='Which course']", "MAP 115");
            page.press("Sheet 6");
            page.see(".dg");
            page.seeText(".dg", "Sheet 6");
        }
    }

    /** The theme is the person's, also after signing in again; a password that is wrong changes nothing. */
    @Test
    void preferencesAreKept() throws Exception {
        try (Page page = Page.open(app)) {
            page.go("/sign-in");
            page.see(".demo");
            page.enter("K. Aldous");
            page.see(".wall");
            page.click(".band .who");
            page.press("Preferences");
            page.seeText("main", "Signed in");
            AccessibilityTest.inBoth(page, "preferences");
            page.press("dark");
            page.see("html[data-theme='dark']");
            page.choose("main .line select", "all courses");
            page.seeText(".said", "Kept.");
            page.type("[autocomplete='current-password']", "not the password");
            page.type("[autocomplete='new-password']", "some other password");
            page.press("Change the password");
            page.seeText(".problem", "not typed right");
            page.seeText("main", "here");
            page.click(".band .who");
            page.press("Sign out");
            page.see("#sign-in");
            page.enter("K. Aldous");
            page.see(".allcourses");
            page.see("html[data-theme='dark']");
            page.go("/preferences");
            page.press("as the machine has it");
            page.choose("main .line select", "the wall of the term that runs, else the terms");
            page.seeText(".said", "Kept.");
        }
    }
}
