package app.matsuri.e2e;

import static app.matsuri.e2e.Page.day;
import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Notices, rhythms, words on days and weeks, and a unit dropped in whole, by mouse and by keyboard. */
class NoticesJourneysTest {

    private static final String TOLVANEN = "I. Tolvanen";
    private static final String AUTUMN = "autumn-2026.json";

    private static Page wall() throws Exception {
        Page page = Page.open(App.demo());
        page.withPlan(TOLVANEN, AUTUMN);
        page.see(".wall .day");
        return page;
    }

    private static boolean has(Page page, String date, String text) {
        return page.text(day(date)).contains(text);
    }

    @Test
    void aNoticeIsTypedIntoADayAndDraggedToAnother() throws Exception {
        try (Page page = wall()) {
            page.stand("2026-10-22");
            page.keys("n");
            page.see(".slip .add input:focus");
            page.keys("notice: Rain clothes, 8:15", Keys.ENTER);
            page.seeText(".slip", "Rain clothes");
            page.seeText(".notice", "Add notice “Rain clothes”");
            page.drag(".slip [data-drag='notice:rain-clothes']", day("2026-11-05"));
            page.seeText(day("2026-11-05"), "Rain clothes");
            page.seeText(".notice", "Move “Rain clothes” to");
            page.hold("z", Keys.CONTROL);
            page.seeText(".notice", "Undo: Move “Rain clothes”");
            assertThat(has(page, "2026-11-05", "Rain clothes")).isFalse();
        }
    }

    @Test
    void aSeriesIsMovedLeftOutAndChangedFromADayOnAndStaysOne() throws Exception {
        try (Page page = wall()) {
            page.seeText(day("2026-10-22"), "+"); // the hut is open besides two things due
            page.click(day("2026-11-19"));
            page.click(".slip [data-drag='notice:hut@2026-11-19']");
            page.press("Edit…");
            page.seeText("[role=dialog]", "only Thu 19 Nov");
            page.type("#notice-to", "20 nov");
            page.keys(Keys.TAB);
            page.press("Save");
            page.seeText(day("2026-11-20"), "Gauge hut");
            assertThat(has(page, "2026-11-19", "Gauge hut")).isFalse();
            page.click(day("2026-10-08"));
            page.click(".slip [data-drag='notice:hut@2026-10-08']");
            page.press("Edit…");
            page.see("#notice-at");
            page.js("const t=document.querySelector('#notice-at');t.value='16:30';t.dispatchEvent(new Event('input'))");
            page.press("Save");
            page.seeText(".notice", "Move “Gauge hut open” of Thu 8 Oct to 16:30");
            page.seeText(".slip", "16:30");
            page.click(day("2026-10-22"));
            page.click(".slip [data-drag='notice:hut@2026-10-22']");
            page.press("Edit…");
            page.press("from then on");
            page.press("End it before that");
            page.seeText(".notice", "End “Gauge hut open” before");
            assertThat(has(page, "2026-11-20", "Gauge hut")).isFalse();
            page.seeText(day("2026-09-24"), "Gauge hut");
            page.outline().seeText(".ol", "3 times");
        }
    }

    @Test
    void aSpanUpToSomeWorkIsMadeByKeyboardAndMovesWithIt() throws Exception {
        try (Page page = wall()) {
            page.click(day("2026-10-16"));
            page.keys(Keys.ESCAPE);
            page.press("+ a notice");
            page.see("#notice-title:focus");
            page.keys("Find a topic");
            page.click("input[name='notice-way'][disabled], .when .ticks label:nth-child(5) input");
            page.choose("[aria-label='Work']", "Project: topic");
            page.press("Add");
            page.seeText(day("2026-10-09"), "Find a topic");
            page.see(day("2026-10-14") + " .pencil");
            // the topic is due on Fri 16 Oct, fixed; moved by hand, the span comes along and is proposed
            page.drag(day("2026-10-16") + " [data-drag='item:topic']", day("2026-10-21"));
            page.seeText(".strip", "1 notice moves");
            page.press("Apply");
            page.seeText(day("2026-10-14"), "Find a topic");
        }
    }

    @Test
    void aRhythmMakesNumberedWorkThatFollowsUnlessChangedByHand() throws Exception {
        try (Page page = wall()) {
            page.press("rhythms");
            page.see("#rhythm-title:focus");
            page.keys("Friday slips");
            page.choose("[aria-label='With which of the classes']", "every second class");
            page.press("Fri");
            page.type("[aria-label='How many times; empty for as many as there are']", "3");
            page.type("[aria-label='Part 1: title; {n} is its number']", "Slip {n}");
            page.seeText(".repeats", "3 dates in A");
            page.press("also for classes that are over");
            page.seeText(".repeats", "before today");
            page.press("Add");
            page.seeText(".notice", "Add rhythm “Friday slips”");
            page.seeText(day("2026-09-18"), "Slip 2");
            page.click(day("2026-10-02"));
            page.click(".slip [data-drag='item:rhythm-p1-3']");
            page.press("Edit…");
            page.type("#edit-title", "Slip 3 by hand");
            page.press("Save");
            page.seeText(".slip", "Slip 3 by hand");
            page.outline().press("rhythms");
            page.press("Friday slips");
            page.choose("[aria-label='With which of the classes']", "each class");
            page.press("Save");
            page.seeText(".strip", "Change rhythm “Friday slips”");
            page.seeText(".strip", "changed by hand, which stays so");
            page.press("Apply");
            page.seeText(day("2026-09-11"), "Slip 2");
            page.seeText(day("2026-09-18"), "Slip 3 by hand");
        }
    }

    @Test
    void wordsOnADayAndItsWeekAreWrittenByKeyboardAlone() throws Exception {
        try (Page page = wall()) {
            page.stand("2026-11-02");
            page.keys("b");
            page.see("#words-day:focus");
            page.keys(
                    "Bring flour", Keys.TAB, Keys.TAB, "Grain week", Keys.TAB, "Sieve once", Keys.ENTER, "Weigh twice");
            page.hold(Keys.TAB);
            page.hold(Keys.TAB);
            page.keys(Keys.ENTER);
            page.seeText(".notice", "Note on Mon 2 Nov");
            page.seeText(day("2026-11-02"), "Bring flour");
            page.click(day("2026-11-02"));
            page.seeText(".slip .week", "Week 10: Grain week");
        }
    }

    @Test
    void aUnitOfAnotherCourseIsDroppedInWhole() throws Exception {
        try (Page page = wall()) {
            page.press("read an outline");
            page.see("#whole-unit");
            page.choose("#whole-unit", "RH Relief by hatching (5 lessons, 2 things)");
            page.seeText(".whole", "All its dates come along");
            page.press("Add Relief by hatching");
            page.seeText(".strip", "Add unit “Relief by hatching” to HYD 210");
            page.press("Apply");
            page.seeText(".ol", "Relief by hatching");
        }
    }
}
