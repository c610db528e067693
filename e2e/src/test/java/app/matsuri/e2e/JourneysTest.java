package app.matsuri.e2e;

import static app.matsuri.e2e.Page.day;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;

/** What a person does from start to end, in a real browser on the real application. */
@Order(4)
class JourneysTest {

    private static final String AUTUMN = "autumn-2026.json";

    /** 2. A new term from typed text, left halfway and found again. */
    @Test
    void aNewTermIsTypedPastedAndPutOnTheWall() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.enter("K. Aldous").go("/new");
            page.type("[placeholder='31 aug']", "31 aug");
            page.type("[placeholder='18 dec']", "18 dec");
            page.seeText("section", "80 teaching days");
            page.type("[placeholder^='HYD 210']", "GEO 1 Stones");
            page.type("[placeholder^='MWF']", "MWF 10-10:50 Yard");
            page.seeText("section", "48 classes");
            page.paste("#days-off", "Sept. 7 Holiday, closed\nNov 31, as the Dean says");
            page.seeText("section", "1 not understood");
            page.paste(
                    "#outline",
                    "Rocks\n  Hard and soft\n    Set 1, due next class\n    Essay, due sometime\n  Made by fire (2)");
            page.seeText(".understood", "RO2 2 sessions");
            page.seeText(".doubts", "“sometime” was not understood");
            page.seeText(".band", "What you type is kept");
            page.go("/");
            page.press("New term");
            page.seeText(".understood", "RO2 2 sessions");
            page.press("Put it on the wall");
            page.seeText(day("2026-08-31"), "Hard and soft");
            page.seeText(day("2026-09-02"), "Set 1");
            page.seeText(".outline", "Essay");
        }
    }

    /** 2. A plan file with faults is answered with all of them, and a sound one opens. */
    @Test
    void aPlanFileWithFaultsSaysEachWithItsLine(@TempDir Path folder) throws Exception {
        Path file = java.nio.file.Files.writeString(
                folder.resolve("wrong.json"),
                "{ \"matsuri\": 1,\n  \"term\": { \"first\": \"2026-12-18\", \"last\": \"2026-08-31\" },\n  \"courses\": [ {} ] }");
        try (Page page = Page.open(App.demo())) {
            page.enter("I. Tolvanen").go("/");
            page.see(".begin");
            page.driver.findElement(By.cssSelector("input[type=file]")).sendKeys(file.toString());
            page.seeText(".problem", "line 2, /term/last: The last day 2026-08-31 lies before the first day");
            page.seeText(".problem", "line 3, /courses/0: “code” is missing");
            page.seeText(".terms", "Autumn 2026");
        }
    }

    /** 3. The whole term on one page; a day opened; a year close-set with one week open, and wide; a phone. */
    @Test
    void theTermIsOnOnePage() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("I. Tolvanen", AUTUMN);
            assertThat(page.js("const w=document.querySelector('.wall');return w.scrollHeight<=w.clientHeight"))
                    .isEqualTo(true);
            assertThat(page.count(".wall .day")).isEqualTo(80);
            assertThat(page.text(day("2026-09-07"))).contains("Public holiday");
            assertThat(page.count(day("2026-10-05") + " .knot.taught")).isEqualTo(1);
            assertThat(page.count(day("2026-10-07") + " .knot.taught")).isZero();
            assertThat(page.text(".load")).contains("9.6 h").contains("1.6 over");
            page.click(day("2026-10-09"));
            page.seeText(".slip", "class 17 of 44");
            page.seeText(".slip", "Field log 6");
            page.choose(".sel", "MAP 115 A, Maps by Hand");
            page.seeText(day("2026-10-20"), "GR1");
        }
    }

    @Test
    void aYearIsCloseSetWithOneWeekOpenAndCanBeWide() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("K. Aldous", "year-2026-27.json");
            page.see(".wall.close");
            assertThat(page.js("const w=document.querySelector('.wall');return w.scrollHeight<=w.clientHeight"))
                    .isEqualTo(true);
            assertThat(page.count(".brk")).isEqualTo(4);
            assertThat(page.text(".o.wk")).contains("7");
            page.stand("2026-11-12");
            page.seeText(".o.wk", "12");
            page.keys("w");
            page.gone(".wall.close");
        }
    }

    @Test
    void onAPhoneTheWeeksAreLists() throws Exception {
        try (Page page = Page.open(App.demo(), 390, 844, false)) {
            page.withPlan("I. Tolvanen", AUTUMN);
            page.seeText("[data-date='2026-10-07']", "today");
            assertThat(page.js("return document.documentElement.scrollWidth<=window.innerWidth"))
                    .isEqualTo(true);
            page.click("[data-date='2026-10-09'] .date");
            page.press("Day off");
            page.type("#off-reason", "Flood warning");
            page.press("See what it does");
            page.seeText(".strip", "Flood warning");
            page.press("Apply");
            page.seeText("[data-date='2026-10-09']", "Flood warning");
        }
    }

    /** 4. A day off: what moves is said, old places faint, new ones outlined; applied or discarded. */
    @Test
    void aFloodDayIsProposedLookedAtAndApplied() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("I. Tolvanen", AUTUMN);
            page.click(day("2026-10-09"));
            page.press("Day off…");
            page.type("#off-reason", "Flood warning");
            page.choose("#off-scope", "HYD 210 A only");
            page.press("See what it does");
            page.seeText(".strip", "9 lessons move");
            page.seeText(".strip", "1 lesson finds no class");
            assertThat(page.text(day("2026-10-14") + " .neu")).contains("CH2");
            assertThat(page.text(day("2026-10-14") + " s.was")).contains("CH3");
            assertThat(page.outline().text(".outline"))
                    .contains("Finds no class")
                    .contains("Settling tubes");
            page.press("Show each");
            page.seeText(".p-dialog", "Fri 9 Oct, 10:00");
            page.seeText(".p-dialog", "day off: Flood warning");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            page.press("Discard");
            page.gone(".strip");
            assertThat(page.text(day("2026-10-09"))).contains("Pools, riffles, bars");
            page.click(day("2026-10-09"));
            page.press("Day off…");
            page.type("#off-reason", "Flood warning");
            page.press("See what it does");
            page.press("Apply");
            page.seeText(".notice", "Day off Fri 9 Oct, Flood warning");
            assertThat(page.text(day("2026-10-09"))).contains("Flood warning");
        }
    }

    /** 4. A past day, a run, and effects that can be chosen. */
    @Test
    void aPastDayAndARunWithChosenEffects() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("I. Tolvanen", AUTUMN);
            page.stand("2026-11-02");
            new Actions(page.driver)
                    .keyDown(Keys.SHIFT)
                    .sendKeys(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT)
                    .keyUp(Keys.SHIFT)
                    .perform();
            page.keys("d");
            page.type("#off-reason", "Assembly week");
            page.press("no class");
            page.press("lessons wait");
            page.press("nothing due");
            page.seeText(".p-dialog", "Mon 2 Nov to Wed 4 Nov: lessons wait");
            page.press("See what it does");
            page.press("Apply");
            page.seeText(day("2026-11-02"), "lessons wait");
            page.click(day("2026-09-30"));
            page.press("Day off…");
            page.type("#off-reason", "There was no class");
            page.press("See what it does");
            page.seeText(".strip, .notice", "There was no class");
        }
    }

    /** 5. Later by n classes, with the dialog and with one key; earlier is refused with a reason. */
    @Test
    void laterAndEarlier() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("I. Tolvanen", AUTUMN);
            page.click(day("2026-10-14"));
            page.press("Later or earlier…");
            page.type("#shift-by", "2");
            page.press("See what it does");
            page.seeText(".strip", "“Survey of a section” later by 2 classes in HYD 210 A");
            page.keys("a");
            page.seeText(day("2026-10-19"), "CH3");
            page.stand("2026-11-11");
            page.keys(".");
            page.seeText(".strip", "“Flood peaks” later by 1 class");
            page.keys("x");
            page.gone(".strip");
            page.stand("2026-11-11");
            page.keys(",");
            page.seeText(".notice", "cannot come earlier");
        }
    }

    /** 5. Dragging with the mouse. */
    @Test
    void aLessonAndWorkAreDragged() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("I. Tolvanen", AUTUMN);
            page.drag("[data-drag='item:topic']", day("2026-10-20"));
            page.seeText(".strip", "in A 1 due date changes; in B 1 due date changes");
            page.press("Apply");
            page.seeText(".notice", "Move “Project: topic” to Tue 20 Oct");
            assertThat(page.text(day("2026-10-20"))).contains("Topic");
            page.drag(day("2026-10-20") + " [data-drag='item:topic']", day("2026-10-23"));
            page.seeText(".strip", "to Fri 23 Oct");
            page.press("only in A");
            page.seeText(".strip", "to Fri 23 Oct in HYD 210 A: 1 due date changes.");
            page.press("Apply");
            page.seeText(".notice", "to Fri 23 Oct");
            page.click(day("2026-10-23"));
            assertThat(page.see(".slip ol li:nth-child(3), .slip ol li:last-child")
                            .getText())
                    .isNotBlank();
            page.drag(day("2026-10-09") + " [data-drag='lesson:CH2']", day("2026-10-19"));
            page.seeText(".strip", "Move “Pools, riffles, bars” to Mon 19 Oct");
            assertThat(page.text(day("2026-10-19") + " .neu")).contains("CH2");
            page.press("Apply");
            page.seeText(day("2026-10-09"), "CH3");
        }
    }

    /** 5. The same with the keyboard alone: pick up, carry, put down, fix. */
    @Test
    void aLessonIsCarriedWithTheKeyboard() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("I. Tolvanen", AUTUMN);
            page.stand("2026-12-02");
            page.keys(" ", "m");
            page.seeText(".notice", "Carrying 1 thing");
            page.keys(Keys.ARROW_DOWN, "p");
            page.seeText(".strip", "Pin “Choosing a reach” to Wed 9 Dec");
            page.keys("a");
            page.seeText(".notice", "Pin “Choosing a reach”");
            page.seeText(day("2026-12-09"), "RE1");
            page.hold("z", Keys.CONTROL);
            page.seeText(".notice", "Undo: Pin “Choosing a reach”");
            page.seeText(day("2026-12-02"), "RE1");
        }
    }

    /** 5. The same with a finger: held, then carried. */
    @Test
    void workIsCarriedWithAFinger() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("I. Tolvanen", AUTUMN);
            List<Long> from = page.middle("[data-drag='item:topic']");
            List<Long> to = page.middle(day("2026-10-22"));
            page.driver.executeCdpCommand("Emulation.setTouchEmulationEnabled", Map.of("enabled", true));
            page.touch("touchStart", from);
            Thread.sleep(400);
            page.touch("touchMove", List.of(from.get(0) + 10, from.get(1) + 10));
            page.touch("touchMove", to);
            page.touch("touchEnd", null);
            page.seeText(".strip", "Move “Project: topic” to Thu 22 Oct");
            page.press("Apply");
            page.seeText(".notice", "Move “Project: topic” to Thu 22 Oct");
        }
    }

    /** Two tabs on one term: the later one is told, sees what its change does now, and applies that. */
    @Test
    void twoTabsDoNotOverwriteEachOther() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("I. Tolvanen", AUTUMN);
            String address = page.driver.getCurrentUrl();
            page.click(day("2026-10-14"));
            page.press("Later or earlier…");
            page.press("See what it does");
            page.see(".strip");
            String first = page.driver.getWindowHandle();
            page.driver.switchTo().newWindow(org.openqa.selenium.WindowType.TAB);
            page.driver.get(address);
            page.click(day("2026-10-09"));
            page.press("Day off…");
            page.type("#off-reason", "Flood warning");
            page.press("See what it does");
            page.press("Apply");
            page.seeText(".notice", "Flood warning");
            page.driver.switchTo().window(first);
            page.press("Apply");
            page.seeText(".strip", "changed elsewhere");
            page.seeText(day("2026-10-09"), "Flood warning");
            page.press("Apply");
            page.seeText(".notice", "later by 1 class");
        }
    }

    /** Editing: a section more, a unit more, a lesson renamed, work on its fixed date. */
    @Test
    void whatWasSetUpCanBeEdited() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("I. Tolvanen", AUTUMN);
            page.press("Term");
            page.press("add a section to HYD 210");
            page.see("#section-code");
            page.type("#section-code", "C");
            page.type("#section-meets", "TR 8:30-9:45 Weir House 1");
            page.seeText(".p-dialog", "Tue, Thu, 08:30 to 09:45");
            page.press("Add it");
            page.seeText(".strip", "Add section HYD 210 C");
            page.press("Apply");
            page.seeText(".notice", "Add section HYD 210 C");
            page.press("Wall");
            page.press("+ a unit");
            page.type(".new input", "Ice on rivers");
            page.keys(Keys.ENTER);
            page.seeText(".notice", "Add unit “Ice on rivers”");
            page.seeText(".outline", "Ice on rivers");
            page.choose(".sel", "HYD 210 C, Reading Rivers");
            page.seeText(day("2026-09-01"), "What a river answers to");
        }
    }

    @Test
    void aFindingIsMended() throws Exception {
        try (Page page = Page.open(App.demo())) {
            page.withPlan("I. Tolvanen", AUTUMN);
            page.driver.manage().timeouts().implicitlyWait(Duration.ZERO);
            page.press("finding");
            page.seeText(".p-dialog", "HYD 210 A has 2,200 minutes of class of the 2,250 asked for");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
        }
    }
}
