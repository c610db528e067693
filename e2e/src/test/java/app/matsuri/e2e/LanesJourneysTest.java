package app.matsuri.e2e;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Sections beside each other, and one brought back into step. */
class LanesJourneysTest {

    /** B loses a class; two actions bring it back into step, and A is not touched. */
    @Test
    void aSectionThatFellBehindIsBroughtIntoStepInTwoActions() throws Exception {
        try (Page page = Page.open(App.demo()).withPlan("I. Tolvanen", "autumn-2026.json")) {
            page.choose("[aria-label='Course and section']", "HYD 210 B, Reading Rivers");
            page.seeText("[role=gridcell][data-date='2026-10-08']", "CH1");
            page.click("[role=gridcell][data-date='2026-10-08']");
            page.press("Keep free");
            page.seeText(".strip", "Keep the class of Thu 8 Oct free");
            page.press("Apply");
            page.seeText(".notice", "Keep the class");
            page.press("Lanes");
            page.seeText(".title", "HYD 210 B is 2 lessons behind A");
            page.press("Bring B into step…");
            page.see("#in-step-0:focus");
            page.keys(Keys.ENTER);
            page.seeText(".strip", "in HYD 210");
            page.see(".line.faint");
            page.press("Apply");
            page.gone(".line.faint");
            page.hold("z", Keys.CONTROL);
        }
    }
}
