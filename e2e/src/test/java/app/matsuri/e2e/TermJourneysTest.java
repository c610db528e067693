package app.matsuri.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;

/** Setting up a term as a person does: painting, lists, files, sections, classes, people. */
class TermJourneysTest {

    private static final String AUTUMN = "autumn-2026.json";

    private static String cell(String date) {
        return ".tg [data-date='" + date + "']";
    }

    private static void opened(Page page, String plan) throws Exception {
        page.withPlan("I. Tolvanen", plan);
        page.press("Term");
        page.see(".tg");
    }

    /** Each click, drag, key command or field entry is one action. */
    private static final class Counted {
        private final Page page;
        private int actions;

        Counted(Page page) {
            this.page = page;
        }

        Counted press(String words) {
            actions++;
            page.press(words);
            return this;
        }

        Counted type(String css, String text) {
            actions++;
            page.type(css, text);
            return this;
        }

        Counted paste(String css, String text) {
            actions++;
            page.paste(css, text);
            return this;
        }
    }

    /** The first visit, and the demo's term from an empty account: days off pasted, two sections, hours asked for. At most 14 actions. */
    @Test
    void theDemosTermIsSetUpInFourteenActions(@TempDir Path data) throws Exception {
        try (App app = App.over(data, false);
                Page page = Page.open(app)) {
            page.go("/");
            page.seeText("main", "The first visit.");
            page.type("#sign-in", "tolvanen");
            page.type("#shown", "I. Tolvanen");
            page.type("#password", "lantern-paper-wall");
            page.type("#code", "wren 2345");
            page.press("Make the account");
            page.seeText("main", "There is no term yet");
            Counted hand = new Counted(page);
            hand.press("New term")
                    .type("[placeholder='Autumn 2026']", "Autumn 2026")
                    .type("[placeholder='31 aug']", "31 aug 2026")
                    .type("[placeholder='18 dec']", "18 dec 2026")
                    .paste(
                            "#days-off",
                            "September 7 (Mon)  Public holiday, college closed\nOctober 12-13  Autumn break, no classes\n"
                                    + "November 25-27  Holiday break, college closed")
                    .type("[placeholder^='HYD 210']", "HYD 210 Reading Rivers")
                    .type("[placeholder^='MWF']", "MWF 10-10:50 Weir House 2")
                    .type("#credits", "3");
            page.seeText("section", "44 classes");
            hand.press("Put it on the wall");
            page.see(".wall");
            hand.press("Term");
            page.see(".tg");
            hand.press("add a section to HYD 210");
            page.see("#section-meets");
            hand.type("#section-meets", "TR 13:00-14:15 Weir House 4");
            page.seeText(".p-dialog", "Tue, Thu, 13:00 to 14:15, 75 minutes");
            hand.press("Add it");
            page.seeText(".sec", "30");
            assertThat(hand.actions).isLessThanOrEqualTo(14);
            page.seeText(".sec", "74 teaching days");
            page.seeText(".sec", "50, 1 class");
            assertThat(page.text(".sec")).contains("2,250", "2,200");
            page.seeText(cell("2026-10-12"), "Autumn break");
            page.click(".band .who");
            page.press("Sign out");
            page.type("#sign-in", "tolvanen");
            page.type("#password", "wrong-paper-wall");
            page.press("Sign in");
            page.seeText(".problem", "do not belong together");
        }
    }

    /** Painting with the mouse: a run, its reason once, its end dragged, opened again and reopened. */
    @Test
    void aRunOfDaysIsPaintedStretchedAndReopened() throws Exception {
        try (Page page = Page.open(App.demo())) {
            opened(page, AUTUMN);
            page.drag(cell("2026-11-16"), cell("2026-11-17"));
            page.seeText(".sec.now", "Day off Mon 16 Nov to Tue 17 Nov");
            page.type("#mean-reason", "Testing days");
            page.seeText(".sec.now", "takes 1 class from HYD 210 A");
            page.press("See what it does");
            page.seeText(".strip", "Testing days");
            page.press("Apply");
            page.seeText(".notice", "Testing days");
            page.seeText(cell("2026-11-16"), "Testing days");
            page.drag(cell("2026-11-17") + " .end.r", cell("2026-11-19"));
            page.seeText(".strip", "Set “Testing days” to Mon 16 Nov to Thu 19 Nov");
            page.press("Apply");
            page.gone(".strip");
            page.click(cell("2026-11-18"));
            page.seeText(".sec.now", "Mon 16 Nov to Thu 19 Nov");
            page.press("No longer off");
            page.seeText(".strip", "No longer off");
            page.press("Apply");
            page.seeText(cell("2026-11-18"), "A 33");
            page.hold("z", Keys.CONTROL);
            page.seeText(cell("2026-11-16"), "Testing days");
        }
    }

    /** The same with the keyboard alone, and a day that runs as another weekday. */
    @Test
    void daysArePaintedWithTheKeyboard() throws Exception {
        try (Page page = Page.open(App.demo())) {
            opened(page, AUTUMN);
            page.js("document.querySelector(arguments[0]).focus()", cell("2026-11-16"));
            page.hold(Keys.ARROW_RIGHT, Keys.SHIFT);
            page.seeText(".sec.now", "Mon 16 Nov to Tue 17 Nov");
            page.js("document.querySelector('#mean-reason').focus()");
            page.keys("Staff days");
            page.keys(Keys.ENTER);
            page.seeText(".strip", "Staff days");
            page.js("document.activeElement.blur()");
            page.keys("x");
            page.gone(".strip");
            page.js("document.querySelector('.brushes [value=runs-as]').click()");
            page.js("document.querySelector(arguments[0]).focus()", cell("2026-09-08"));
            page.keys(Keys.ENTER);
            page.seeText(".sec.now", "as another weekday");
            page.seeText(".sec.now", "gives 1 class to HYD 210 A");
            page.press("Do it");
            page.seeText(".notice", "Tue 8 Sep runs as a Monday");
            page.seeText(cell("2026-09-08"), "A 4");
        }
    }

    /** The same with a finger: held, then drawn. */
    @Test
    void daysArePaintedWithAFinger() throws Exception {
        try (Page page = Page.open(App.demo())) {
            opened(page, AUTUMN);
            List<Long> from = page.middle(cell("2026-11-16"));
            List<Long> to = page.middle(cell("2026-11-18"));
            page.driver.executeCdpCommand("Emulation.setTouchEmulationEnabled", Map.of("enabled", true));
            page.touch("touchStart", from);
            Thread.sleep(400);
            page.touch("touchMove", List.of(from.get(0) + 20, from.get(1)));
            page.touch("touchMove", to);
            page.touch("touchEnd", null);
            page.seeText(".sec.now", "Mon 16 Nov to Wed 18 Nov");
        }
    }

    /** The school's list, pasted; a public holiday; both undone. */
    @Test
    void aListIsPastedAndHolidaysAreTaken() throws Exception {
        try (Page page = Page.open(App.demo())) {
            opened(page, AUTUMN);
            page.press("paste a list or read a file");
            page.see("#paste-off");
            page.paste(
                    "#paste-off",
                    "Academic calendar\nOct 12-13 Autumn break\nOct 23 Staff day, no classes\nNov 6 Last day to withdraw");
            page.seeText(".understood", "takes class 22 from HYD 210 A");
            page.seeText(".understood", "off already: Autumn break");
            page.press("Take 1 day off");
            page.seeText(".strip", "Take 1 day off");
            page.press("Apply");
            page.seeText(cell("2026-10-23"), "Staff day");
            page.choose("[aria-label='Country']", "United States");
            page.seeText(".sec", "Wed 11 Nov");
            page.press("Take all");
            page.seeText(".strip", "Day off Wed 11 Nov");
            page.press("Discard");
            page.gone(".strip");
        }
    }

    /** A file is read, kept, and read again for what differs. */
    @Test
    void aFileIsReadAgain(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("school.csv");
        Files.writeString(file, "first,last,reason\n2026-11-19,2026-11-19,Open day\n");
        try (Page page = Page.open(App.demo())) {
            opened(page, AUTUMN);
            page.press("paste a list or read a file");
            page.see(".give [type=file]").sendKeys(file.toString());
            page.seeText(".understood", "Open day");
            page.press("Take 1 day off");
            page.see(".strip");
            page.press("Apply");
            page.seeText(cell("2026-11-19"), "Open day");
            Files.writeString(file, "first,last,reason\n2026-11-20,2026-11-20,Open day\n");
            page.press("paste a list or read a file");
            page.see(".give [type=file]").sendKeys(file.toString());
            page.seeText(".understood", "This file was read before");
            page.press("Take what differs");
            page.seeText(".strip", "again");
            page.press("Apply");
            page.seeText(cell("2026-11-20"), "Open day");
        }
    }

    /** One class is cancelled and brought back; a series changes from a day on and stays one. */
    @Test
    void classesAreChangedOneByOneAndAsASeries() throws Exception {
        try (Page page = Page.open(App.demo())) {
            opened(page, AUTUMN);
            page.click(cell("2026-11-02"));
            page.press("HYD 210 A at 10:00");
            page.press("Cancel this class");
            page.seeText(".strip", "Cancel the class of Mon 2 Nov");
            page.press("Apply");
            page.press("43 classes");
            page.seeText(".moves", "cancelled");
            page.press("as usual again");
            page.see(".strip");
            page.press("Apply");
            page.press("44 classes");
            page.press("change the class of Mon 9 Nov");
            page.js("document.querySelector('.box [value=later]').click()");
            page.js(
                    "const e=document.querySelector('.box #class-time');e.value='11:00';e.dispatchEvent(new Event('input',{bubbles:true}))");
            page.press("See what it does");
            page.seeText(".strip", "Change the classes from Mon 9 Nov on");
            page.press("Apply");
            page.seeText(".sec", "Mon, Wed, Fri from Mon 9 Nov, 11:00 to 11:50");
        }
    }

    /** A roster is pasted, looked over and removed, with undo. */
    @Test
    void studentsAreAddedAndRemoved() throws Exception {
        try (Page page = Page.open(App.demo())) {
            opened(page, "year-2026-27.json");
            page.driver
                    .findElement(By.xpath("//button[contains(., 'students') and contains(., 'ERT 9 A')]"))
                    .click();
            page.see("#roster-list");
            page.paste("#roster-list", "Oakes, Wren\nTove Lindqvist\nwren oakes");
            page.seeText(".understood", "the same as line 1");
            page.press("Add 2 students");
            page.seeText(".list", "Tove Lindqvist");
            page.press("Remove all");
            page.seeText(".p-dialog", "Undo brings them back");
            page.press("Remove them all");
            page.seeText(".p-dialog", "0 students");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            page.click("[aria-label='Undo']");
            page.seeText(".sec", "2 students");
        }
    }

    /** A colleague is invited, takes the invitation from the simulated outbox with a new account, and changes the term. */
    @Test
    void aCoTeacherIsInvitedAndJoins() throws Exception {
        try (Page page = Page.open(App.demo())) {
            opened(page, AUTUMN);
            page.press("invite someone");
            page.type("#col-name", "Bram Sayer");
            page.type("#col-mail", "bram@quillmarsh.example");
            page.press("Invite");
            page.seeText(".sec", "Bram Sayer");
            page.press("outbox");
            String link = page.see(".p-dialog a[href^='/invitation/']").getDomAttribute("href");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            page.click(".band .who");
            page.press("Sign out");
            page.see("#sign-in");
            page.go(link);
            page.seeText("main", "invites you to Autumn 2026");
            page.type("#invited-name", "sayer" + System.nanoTime());
            page.type("#invited-password", "a long enough password");
            page.press("Take the invitation");
            page.seeText(".terms", "co-teacher");
            page.press("Autumn 2026");
            page.see(".wall");
            page.press("Term");
            page.see(".tg");
            page.drag(cell("2026-11-19"), cell("2026-11-19") + " .n");
            page.type("#mean-reason", "Joint trip");
            page.press("See what it does");
            page.see(".strip");
            page.press("Apply");
            page.seeText(".notice", "Joint trip");
            page.press("History");
            page.seeText(".lines", "Joint trip");
            page.seeText(".lines", "Bram Sayer");
        }
    }

    /** At 320 pixels the term can still be read. */
    @Test
    void aVeryNarrowWindowStillShowsTheTerm() throws Exception {
        try (Page page = Page.open(App.demo(), 320, 800, false)) {
            page.withPlan("I. Tolvanen", AUTUMN);
            long wall = ((Number) page.js("return Number(location.pathname.match(/terms\\/(\\d+)/)[1])")).longValue();
            page.go("/terms/" + wall + "/term");
            page.seeText(".sec", "74 teaching days");
            assertThat(((Number) page.js("return document.documentElement.scrollWidth")).intValue())
                    .isLessThanOrEqualTo(320);
            new Actions(page.driver).sendKeys(Keys.END).perform();
        }
    }
}
