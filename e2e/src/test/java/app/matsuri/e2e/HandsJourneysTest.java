package app.matsuri.e2e;

import static app.matsuri.e2e.Page.day;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.interactions.Actions;

/** What is dragged and pressed is what happens. */
@Order(2)
class HandsJourneysTest {

    private static final int EACH = 25;
    /** More of them with -Dpresses=500. */
    private static final int PRESSED = Integer.getInteger("presses", 50);

    private static final String AUTUMN = "autumn-2026.json";

    private static Page demo() throws Exception {
        return Page.open(App.demo()).withPlan("I. Tolvanen", AUTUMN);
    }

    /** A due date on a Sunday adds a column; its undo takes it away again, and the rows stand. */
    @Test
    void aSundayComesAndGoes() throws Exception {
        try (Page page = demo()) {
            int days = page.count(".wall .wh");
            page.click(day("2026-10-15"));
            page.click(".slip .ev [data-drag='item:log-6']");
            page.press("Move…");
            page.type("#move-to", "sun 25 oct");
            page.keys(Keys.ENTER);
            page.apply("to Sun 25 Oct");
            page.see(day("2026-10-25"));
            assertThat(page.count(".wall .wh")).isEqualTo(days + 1);
            page.hold("z", Keys.CONTROL);
            page.gone(day("2026-10-25"));
            assertThat(page.count(".wall .wh")).isEqualTo(days);
            assertThat(page.count(".wall [role=rowheader]")).isEqualTo(16);
        }
    }

    /**
     * Hundreds of changes and undos by key, in an order that chance gives (its seed is fixed), each after the one before
     * has come back; after each twenty-fifth the wall is the one that a fresh load draws.
     */
    @Test
    void hundredsOfChangesAndUndosLeaveTheWallAsItIs() throws Exception {
        try (Page page = demo()) {
            String address = page.driver.getCurrentUrl();
            String hands = page.driver.getWindowHandle();
            page.driver.switchTo().newWindow(WindowType.TAB);
            String fresh = page.driver.getWindowHandle();
            page.size(1280, 800);
            page.driver.switchTo().window(hands);
            page.driver.manage().timeouts().scriptTimeout(Duration.ofMinutes(2));
            long seed = 15;
            int made = 0;
            for (int presses = EACH; presses <= PRESSED; presses += EACH) {
                Object answer = page.driver.executeAsyncScript(PRESSES, seed + presses, EACH);
                made += ((Long) answer).intValue();
                String drawn = (String) page.js(DRAWN);
                page.driver.switchTo().window(fresh);
                page.driver.get(address);
                page.see(".wall [data-date]");
                page.rest(120);
                assertThat((String) page.js(DRAWN)).as("after %d", presses).isEqualTo(drawn);
                page.driver.switchTo().window(hands);
            }
            assertThat(made).as("presses that changed something").isGreaterThan(PRESSED / 2);
        }
    }

    /** Some presses: a lesson later or earlier, alone or with what follows, fixed or let go, a day off; then undo or redo. */
    private static final String PRESSES = """
            const done = arguments[arguments.length - 1];
            let seed = arguments[0];
            const presses = arguments[1];
            const chance = (n) => { seed = (seed * 1103515245 + 12345) % 2147483648; return Math.floor(seed / 65536) % n; };
            const wait = (ms) => new Promise((r) => setTimeout(r, ms));
            const press = (at, key, more = {}) =>
              at.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }));
            if (window.asked === undefined) {
              window.asked = 0;
              const fetched = window.fetch;
              window.fetch = (...what) => {
                window.asked++;
                // answered is what has come whole, not only its head
                const whole = async (answer) => { await answer.clone().text(); return answer; };
                return fetched(...what).then(whole).finally(() => window.asked--);
              };
            }
            const busy = () => document.querySelector('.strip .go:disabled') !== null;
            (async () => {
              let made = 0;
              for (let n = 0; n < presses; n++) {
                document.querySelector('.notice .btn.quiet')?.click();
                const before = document.querySelector('.wall').innerHTML;
                const days = [...document.querySelectorAll(".wall [data-date]:has([data-drag^='lesson:'])")];
                const open = (label) => !document.querySelector(`[aria-label='${label}']`).disabled;
                let what = chance(10);
                if ((what < 4 && !open('Undo')) || (what === 4 && !open('Redo'))) what = 5 + chance(5);
                if (what < 4) {
                  press(document.body, 'z', { ctrlKey: true });
                } else if (what === 4) {
                  press(document.body, 'z', { ctrlKey: true, shiftKey: true });
                } else {
                  const day = days[chance(days.length)];
                  day.focus();
                  press(day, ['.', ',', '>', '<', 'p'][what - 5]);
                }
                for (let still = 0, t = 0; still < 3 && t < 160; t++) {
                  await wait(15);
                  still = window.asked > 0 ? 0 : still + 1;
                  if (document.querySelector('.strip') && !busy()) {
                    press(document.body, 'a');
                    for (let u = 0; u < 100 && document.querySelector('.strip'); u++) {
                      if (document.querySelector('.strip .look') && !busy()) press(document.body, 'x');
                      await wait(20);
                    }
                    still = 0;
                  }
                }
                if (document.querySelector('.wall').innerHTML !== before) made++;
              }
              // nothing stays proposed, also what is answered late
              for (let calm = 0; calm < 12; calm++) {
                await wait(25);
                if (window.asked > 0) calm = 0;
                if (document.querySelector('.strip')) {
                  if (!busy()) press(document.body, 'x');
                  calm = 0;
                }
              }
              done(made);
            })();
            """;

    /** The wall as it is drawn, without where the keys stand. */
    private static final String DRAWN = """
            const copy = document.querySelector('.wall').cloneNode(true);
            copy.querySelectorAll('[tabindex]').forEach((e) => e.removeAttribute('tabindex'));
            copy.querySelectorAll('[aria-selected]').forEach((e) => e.removeAttribute('aria-selected'));
            copy.querySelectorAll('.opened,.picked,.chosen').forEach((e) => e.classList.remove('opened', 'picked', 'chosen'));
            return copy.innerHTML.replace(/<!--[^]*?-->/g, '').replace(/ class=""/g, '');
            """;

    /** A drag that makes students late asks as a dialog would, and says whom; what is told can be held back. */
    @Test
    void aDragAsksWhereStudentsBecomeLate() throws Exception {
        // the demo's own term has a grade book; nothing of it is changed here
        try (Page page = Page.open(App.demo()).enter("I. Tolvanen").go("/terms/1/wall")) {
            page.see(".wall [data-drag='item:set-4']");
            page.drag(".wall [data-drag='item:set-4']", day("2026-09-29"));
            page.seeText(".strip", "in A 1 due date changes");
            page.seeText(".strip", "students become late");
            page.press("Discard");
            page.gone(".strip");
        }
    }

    /** A free class takes what is dropped on it; a lesson dropped on its own day changes nothing and claims nothing. */
    @Test
    void aDropDoesWhatItSaysOrSaysWhyNot() throws Exception {
        try (Page page = demo()) {
            page.drag(".wall " + day("2026-10-14").substring(6) + " [data-drag='lesson:CH3']", day("2026-10-16"));
            page.seeText(".notice", "on Fri 16 Oct already");
            assertThat(undoSays(page)).isEqualTo("Nothing to undo");
            page.drag(".wall [data-drag='lesson:CH4']", day("2026-10-20"));
            page.seeText(".notice, .strip", "no class on Tue 20 Oct");
        }
    }

    private static String undoSays(Page page) {
        return page.see("[aria-label='Undo']").getDomAttribute("title");
    }

    /** Two things of one day go to another day together, whatever else is chosen in between. */
    @Test
    void whatIsChosenStaysChosenAndMovesTogether() throws Exception {
        try (Page page = demo()) {
            String row = ".ol [data-row='item:%s']";
            page.click(row.formatted("read-11"));
            new Actions(page.driver)
                    .keyDown(Keys.CONTROL)
                    .click(page.see(row.formatted("log-5")))
                    .keyUp(Keys.CONTROL)
                    .perform();
            page.seeText(".chosen-bar", "2 chosen");
            page.click(".ol [data-row='unit:GA']");
            page.seeText(".chosen-bar", "2 chosen");
            page.press("Dates");
            page.see(".dg");
            page.press("Wall");
            page.seeText(".chosen-bar", "2 chosen");
            page.click(day("2026-10-09"));
            page.seeText(".acts", "2 chosen things");
            page.press("Move…");
            page.type("#move-to", "fri 23 oct");
            page.keys(Keys.ENTER);
            page.seeText(".strip", "and");
            page.press("Discard");
        }
    }

    /** Flags for many at once, and the weeks tidied from nothing. */
    @Test
    void factsOfManyAreSetAtOnce() throws Exception {
        try (Page page = demo()) {
            page.click(".ol [data-row='unit:SE']");
            new Actions(page.driver)
                    .keyDown(Keys.CONTROL)
                    .click(page.see(".ol [data-row='unit:FL']"))
                    .keyUp(Keys.CONTROL)
                    .perform();
            page.press("facts…");
            page.choose("#facts-week", "yes");
            page.choose("#facts-join", "yes");
            page.press("See what it does");
            page.apply("Change");
            page.click(".ol [data-row='unit:SE']");
            assertThat(List.of(page.text(".notice"))).isNotEmpty();
        }
    }

    /** A double press on anything on the wall opens it; a press picks out no text. */
    @Test
    void aDoublePressOpens() throws Exception {
        try (Page page = demo()) {
            new Actions(page.driver)
                    .doubleClick(page.see(".wall [data-thing='item:read-12']"))
                    .perform();
            page.seeText(".p-dialog", "Edit work");
            assertThat(page.js("return String(window.getSelection())")).isEqualTo("");
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            new Actions(page.driver)
                    .doubleClick(page.see(".wall [data-thing='lesson:BA1']"))
                    .perform();
            page.seeText(".p-dialog", "Edit lesson");
        }
    }

    /** An address that leads nowhere leads home; the band's places are the same on every view. */
    @Test
    void theBandStandsStill() throws Exception {
        try (Page page = demo()) {
            String places = places(page);
            for (String view : List.of("Term", "Dates", "Lanes", "What if", "Rollover", "Look back", "History")) {
                page.press(view);
                page.see("nav [aria-current=page]");
                page.see("[aria-label='Undo']");
                assertThat(places(page)).as(view).isEqualTo(places);
                page.js(
                        "document.body.dispatchEvent(new WheelEvent('wheel',{deltaY:900,bubbles:true}));window.scrollTo(0,500)");
                assertThat(page.js("return window.scrollY + document.querySelector('#app').scrollTop"))
                        .isEqualTo(0L);
            }
            page.go("/nowhere");
            page.seeText("main", "nothing at this address");
            page.press("All terms");
            page.see(".terms, .begin");
        }
    }

    private static String places(Page page) {
        return (String)
                page.js("return [...document.querySelectorAll(\"nav[aria-label='Views'] a,[aria-label='Undo']\")]"
                        + ".map((e) => e.textContent + Math.round(e.getBoundingClientRect().x)).join(' ')");
    }

    /** A day off that is one no longer: the others stand as they did, and nothing is asked for in a stream. */
    @Test
    void aDayOffGoesAndTheOthersStand() throws Exception {
        try (Page page = demo()) {
            page.press("Term");
            page.see(".td[data-date='2026-10-12']").click();
            page.press("No longer off");
            page.apply("No longer off: Mon 12 Oct to Tue 13 Oct");
            page.rest(400);
            page.seeText(".tg", "Holiday break");
            page.seeText(".tg", "Public ho");
            assertThat(page.text(".tg")).doesNotContain("Autumn break");
            Object before = page.js("return performance.getEntriesByType('resource').length");
            page.rest(600);
            assertThat(page.js("return performance.getEntriesByType('resource').length"))
                    .isEqualTo(before);
        }
    }

    /** Whatever a proposal says, it takes a quarter of the screen at most, and no row moves for it. */
    @Test
    void noRowMovesForTheStrip() throws Exception {
        try (Page page = demo()) {
            var before =
                    page.driver.findElement(By.cssSelector(day("2026-09-14"))).getRect().y;
            page.stand("2026-10-14");
            page.keys(".");
            page.see(".strip");
            assertThat(page.driver
                            .findElement(By.cssSelector(day("2026-09-14")))
                            .getRect()
                            .y)
                    .isEqualTo(before);
            assertThat(page.see(".strip").getRect().height).isLessThanOrEqualTo(200);
            page.keys(".");
            page.seeText(".strip", "later by 2 classes");
            page.keys(",", ",");
            page.gone(".strip");
        }
    }
}
