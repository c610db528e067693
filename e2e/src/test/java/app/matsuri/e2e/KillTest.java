package app.matsuri.e2e;

import static app.matsuri.e2e.Page.day;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Random;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;

/** A crash at any moment leaves the last complete step: the real process is killed during writes and compared. */
@Order(1)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class KillTest {

    /** How often: {@code -Dkills=200} for a long look. */
    private static final int KILLS = Integer.getInteger("kills", 10);

    private static App app;

    @BeforeAll
    static void start(@TempDir Path data) throws Exception {
        app = App.over(data, true);
    }

    @AfterAll
    static void end() throws Exception {
        app.close();
    }

    /**
     * 1. The Wall of section A of HYD 210 is there after one click. 6. Undo and redo of everything, also after kill -9; the
     * history is read, a moment named and returned to.
     */
    @Test
    @Order(1)
    void theDemoIsOneClickAwayAndUndoReachesBackBehindAPowerCut() throws Exception {
        try (Page page = Page.open(app)) {
            page.go("/");
            page.seeText("main", "The demo.");
            page.press("Enter as I. Tolvanen");
            page.seeText(".band", "HYD 210 A, Reading Rivers");
            page.seeText(day("2026-08-31"), "What a river answers to");
            page.click(day("2026-10-09"));
            page.press("Day off…");
            page.type("#off-reason", "Flood warning");
            page.press("See what it does");
            page.press("Apply");
            page.seeText(".notice", "Flood warning");
            app.kill();
            app.start();
            page.enter("I. Tolvanen");
            page.seeText(day("2026-10-09"), "Flood warning");
            page.click("[aria-label='Undo']");
            page.seeText(day("2026-10-09"), "CH2");
            page.click("[aria-label='Redo']");
            page.seeText(day("2026-10-09"), "Flood warning");
            page.press("History");
            page.seeText(".lines", "Undo: Day off Fri 9 Oct, Flood warning.");
            page.click("[aria-label='Name step 1']");
            page.type("[aria-label='Name of step 1']", "As planned");
            page.press("Keep");
            page.seeText(".lines", "As planned: Begin the term Autumn 2026.");
            page.click("[aria-label='Return to how it stood after step 1']");
            page.seeText(".lines", "Return to: “As planned”.");
            page.press("Wall");
            page.seeText(day("2026-10-09"), "CH2");
        }
    }

    @Test
    void theLastCompleteStepIsThereAfterEachKill() throws Exception {
        Random random = new Random(20261009);
        Client client = new Client(app.url(""), "tolvanen");
        Writes writes = new Writes(client);
        long begun = writes.told();
        long changed = begun;
        for (int kill = 0; kill < KILLS; kill++) {
            long had = writes.told();
            Thread writer = writes.begin(client);
            for (int i = 0; i < 1500 && writes.told() == had && writer.isAlive(); i++) {
                Thread.sleep(10);
            }
            Thread.sleep(random.nextInt(300)); // within the writes that go on behind the first one
            app.kill();
            writer.join(20_000);
            app.start();
            client = client.at(app.url("")); // who was signed in still is
            changed = writes.compared(client, "after kill " + kill);
        }
        assertThat(changed - begun).as("writes went on while it was killed").isGreaterThanOrEqualTo(KILLS);
        long back = Math.max(begun, changed - 5);
        for (long version = changed; version < changed + changed - back; version++) {
            client.send("/api/terms/1/undo", "application/json", "{\"version\":" + version + "}");
        }
        writes.as(client, back, "undone");
    }
}
