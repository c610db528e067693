package app.matsuri.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Losing a class and repairing the plan, in the browser. */
class RepaceJourneysTest {

    private static Page wall() throws Exception {
        return Page.open(App.demo()).withPlan("I. Tolvanen", "autumn-2026.json");
    }

    private static String day(String date) {
        return "[role=gridcell][data-date='" + date + "']";
    }

    /** The flood day of the demo, repaired in each way: proposed as a whole, undone as a whole. */
    @Test
    void theFloodDayIsRepaired() throws Exception {
        try (Page page = wall()) {
            repaired(page, "let-it-slide", "2026-11-02", "SE4");
            repaired(page, "catch-up-in-unit", "2026-10-21", "CH5");
            repaired(page, "catch-up-by-pin", "2026-10-26", "SE1");
            repaired(page, "catch-up-by-break", "2026-10-14", "CH3");
        }
    }

    private static void repaired(Page page, String way, String date, String lesson) {
        page.stand("2026-10-09");
        page.keys("d");
        page.see("#off-reason:focus");
        page.keys("Flood", Keys.ENTER);
        page.seeText(".strip", "Day off Fri 9 Oct, Flood");
        page.press("Ways out");
        page.see(".ways");
        page.click(".ways input[value='" + way + "']");
        page.press("Propose this way");
        page.seeText(".strip", "Day off Fri 9 Oct");
        page.press("Apply");
        page.seeText(day("2026-10-09"), "Flood");
        page.seeText(day(date), lesson);
        page.hold("z", Keys.CONTROL);
        page.seeText(day("2026-10-09"), "CH2");
        page.seeText(day("2026-10-14"), "CH3");
    }

    /** One action from the wall to the ways out, and on by keyboard alone. */
    @Test
    void thereWasNoClassYesterday() throws Exception {
        try (Page page = wall()) {
            page.press("no class on Mon 5 Oct?");
            page.seeText(".repace h2", "No class on Mon 5 Oct in HYD 210 A");
            page.see(".ways input[type=radio]:focus");
            page.keys(Keys.ARROW_DOWN, Keys.ENTER);
            page.seeText(".strip", "No class on Mon 5 Oct");
            page.press("Apply");
            page.seeText(day("2026-10-05"), "No class");
            page.hold("z", Keys.CONTROL);
            page.seeText(day("2026-10-05"), "GA7");
        }
    }

    @Test
    void theFiguresStandBehindWhyAndEscapeGoesBack() throws Exception {
        try (Page page = wall()) {
            page.press("no class on Mon 5 Oct?");
            page.see(".ways");
            assertThat(page.text(".ways")).doesNotContain("Total");
            page.press("Why");
            page.seeText(".ways", "Total, the least");
            page.keys(Keys.ESCAPE);
            page.see(".wall");
        }
    }

    /** Five Tuesdays lost, each let slide; then the weeks of the whole year tidied in one step. */
    @Test
    void fiveUnitsAreTidiedInOneStep() throws Exception {
        try (Page page = Page.open(App.demo()).withPlan("K. Aldous", "year-2026-27.json")) {
            for (String lost : List.of("2026-10-13", "2026-10-27", "2026-11-10", "2026-12-01", "2026-12-15")) {
                page.see(day(lost));
                page.stand(lost);
                page.keys("d");
                page.see("#off-reason:focus");
                page.keys("Drill " + lost, Keys.ENTER);
                page.seeText(".strip", "Drill " + lost);
                page.press("Apply");
                page.seeText(".notice", "Drill " + lost);
            }
            page.seeText(day("2026-10-26"), "RK1");
            page.outline().press("tidy the weeks");
            page.see(".ways");
            page.click(".ways input[value='tidy-the-weeks']");
            page.press("Propose this way");
            page.see(".strip");
            page.press("Apply");
            page.gone(".strip");
            page.seeText(day("2026-10-26"), "TM1");
            page.seeText(day("2026-11-02"), "PL1");
            page.seeText(day("2026-11-09"), "QU1");
            page.hold("z", Keys.CONTROL);
            page.seeText(day("2026-10-26"), "RK1");
        }
    }
}
