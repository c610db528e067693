package app.matsuri.e2e;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** A what-if beside the plan: kept from a proposal, tried further, compared, taken over as one step. */
class WhatIfJourneysTest {

    @Test
    void aProposalIsKeptTriedComparedAndTakenOver() throws Exception {
        try (Page page = Page.open(App.demo()).withPlan("I. Tolvanen", "autumn-2026.json")) {
            page.stand("2026-10-09");
            page.keys("d");
            page.see("#off-reason:focus");
            page.keys("Flood", Keys.ENTER);
            page.seeText(".strip", "Day off Fri 9 Oct, Flood");
            page.press("What if…");
            page.see("#keep-name:focus");
            page.keys("Flood on Friday", Keys.ENTER);
            page.seeText(".notice", "Kept as the what-if “Flood on Friday”");
            page.seeText("[data-date='2026-10-09']", "CH2");

            page.press("What if");
            page.seeText(".comparison thead", "Flood on Friday");
            page.seeText(".comparison", "Wed 14 Oct");
            page.click("aside section .acts button");
            page.seeText(".trying", "Flood on Friday");
            page.seeText("[data-date='2026-10-09']", "Flood");

            // one more change in it, by keyboard, over a reload
            page.driver.navigate().refresh();
            page.seeText(".trying", "Flood on Friday");
            page.see("[data-date='2026-10-14']");
            page.stand("2026-10-23");
            page.keys("d");
            page.see("#off-reason:focus");
            page.keys("Lost too", Keys.ENTER);
            page.seeText(".strip", "Lost too");
            page.press("Apply");
            page.seeText("[data-date='2026-10-23']", "Lost too");
            page.hold("z", Keys.CONTROL);
            page.seeText("[data-date='2026-10-23']", "CH5");

            page.press("Take over…");
            page.gone(".trying");
            page.seeText(".strip", "Take over what-if “Flood on Friday”");
            page.press("Apply");
            page.seeText("[data-date='2026-10-09']", "Flood");
            page.hold("z", Keys.CONTROL);
            page.seeText("[data-date='2026-10-09']", "CH2");
        }
    }
}
