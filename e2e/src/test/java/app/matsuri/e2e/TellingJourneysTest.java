package app.matsuri.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** What students were told: seen with each change, kept back, told later with why. */
class TellingJourneysTest {

    private static Page wall() throws Exception {
        return Page.open(App.demo()).withPlan("I. Tolvanen", "autumn-2026.json");
    }

    private static void flood(Page page) {
        page.stand("2026-10-09");
        page.keys("d");
        page.see("#off-reason:focus");
        page.keys("Flood", Keys.ENTER);
        page.seeText(".strip", "Day off Fri 9 Oct, Flood");
    }

    /** Kept back, it waits with a mark on each date; told by keyboard alone, the marks are gone; undo takes it back. */
    @Test
    void aChangeIsKeptBackAndToldLaterWithWhy() throws Exception {
        try (Page page = wall()) {
            page.seeText(".band .told", "3");
            flood(page);
            page.click(".sees input");
            page.seeText("[data-date='2026-10-14']", "CH2");
            page.press("Apply");
            page.seeText(".band .told", "19");
            page.stand("2026-10-14");
            page.keys(Keys.ENTER);
            page.seeText(".slip", "told Fri 9 Oct");
            page.press("not told");
            page.see("#tell-why:focus");
            page.seeText(".p-dialog", "Pools, riffles, bars");
            page.keys("The river is in the weir house", Keys.ENTER);
            page.gone(".p-dialog");
            page.gone(".slip .toldso");
            page.hold("z", Keys.CONTROL);
            page.seeText(".band .told", "19");
        }
    }

    /** As usual students see a change at once; what waited before waits on. */
    @Test
    void studentsSeeAChangeAsItIsMade() throws Exception {
        try (Page page = wall()) {
            flood(page);
            page.see(".sees input:checked");
            page.press("Apply");
            page.seeText(".notice", "Flood");
            page.seeText(".band .told", "1");
            page.press("Dates");
            page.see(".dg");
            assertThat(page.text("main")).contains("told Wed 7 Oct, 23:59");
        }
    }
}
