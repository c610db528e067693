package app.matsuri.e2e;

import static app.matsuri.e2e.Page.day;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** The same of the year, the phone, and what is typed into. */
class AccessibilityOfTheRestTest {

    @Test
    void theYearAndThePhoneAreSound() throws Exception {
        try (Page page = Page.open(App.demo(), 1280, 800, false)) {
            page.withPlan("K. Aldous", "year-2026-27.json");
            AccessibilityTest.inBoth(page, "close-set wall");
            page.keys("?");
            page.see(".p-dialog");
            AccessibilityTest.sound(page, "keys");
            page.keys(Keys.ESCAPE);
        }
        try (Page page = Page.open(App.demo(), 390, 844, false)) {
            page.withPlan("I. Tolvanen", "autumn-2026.json");
            AccessibilityTest.inBoth(page, "phone");
        }
    }

    /** A line read word by word, a date that is not understood and its month, facts of many, what a person prefers. */
    @Test
    void whatIsTypedIntoIsSound() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("I. Tolvanen", "autumn-2026.json");
            page.click(day("2026-10-09"));
            page.type(".slip .add input", "Quiz 3, 30 februry, 20 points");
            page.seeText(".slip", "not understood");
            AccessibilityTest.inBoth(page, "a line that is not understood", ".slip");
            page.press("Move…");
            page.type("#move-to", "Fri 10 Nov");
            page.seeText("#move-to-said", "is a Tuesday");
            page.click(".p-dialog .month");
            page.see(".p-datepicker");
            AccessibilityTest.sound(page, "a date that contradicts its weekday, and a month");
            page.keys(Keys.ESCAPE);
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            page.outline();
            page.click(".ol [data-row='unit:SE']");
            page.press("facts…");
            page.see("#facts-week");
            AccessibilityTest.sound(page, "facts of many");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            page.click(".band .who");
            page.see(".own");
            AccessibilityTest.sound(page, "what a person prefers");
            page.go("/nowhere");
            page.see("main");
            AccessibilityTest.sound(page, "an address that leads nowhere");
        }
    }
}
