package app.matsuri.e2e;

import static app.matsuri.e2e.Page.day;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

/** A term that has begun and in which nobody recorded anything; and a term that goes and comes back. */
class TermBegunJourneysTest {

    @TempDir
    Path folder;

    private Page unrecorded() throws Exception {
        return Page.open(App.demo()).withPlan("I. Tolvanen", unrecorded(folder));
    }

    /** The plan of the demo without any record, as a file. */
    static Path unrecorded(Path folder) throws IOException {
        Path file = folder.resolve("unrecorded.json");
        Files.writeString(
                file,
                Files.readString(Path.of("..", "demo", "autumn-2026.json"))
                        .replaceAll("(?s)\"taught\": \\{.*?\\},?\\s*\\n", "")
                        .replaceAll("\"partly\": \\[[^]]*\\],?", "")
                        .replaceAll(",(\\s*})", "$1"));
        return file;
    }

    @Test
    void notReachedMovesNothingThatIsOver() throws Exception {
        try (Page page = unrecorded()) {
            page.choose("[aria-label='Course and section']", "HYD 210 B, Reading Rivers");
            page.click(day("2026-10-01"));
            page.press("Not reached");
            page.seeText(".strip", "8 classes of B up to Tue 29 Sep count as held as planned");
            assertThat(page.text(day("2026-09-29"))).contains("GA3", "GA4");
            assertThat(page.text(day("2026-10-06") + " .neu")).contains("GA5");
            page.press("Apply");
            page.seeText(".notice", "nothing of the plan was reached on Thu 1 Oct");
            page.hold("z", Keys.CONTROL);
            page.seeText(day("2026-10-01"), "GA5");
        }
    }

    @Test
    void allThatIsOverIsRecordedInOneGo() throws Exception {
        try (Page page = unrecorded()) {
            page.press("Lanes");
            page.seeText("main", "of 44 classes held");
            page.press("Taught up to here, all");
            page.seeText(".notice", "in 6 sections");
            page.seeText("main", "GA7 Mon 5 Oct, taught");
            // whether the class of today is over goes by the clock
            assertThat(page.text("main")).containsPattern("15 of 44 classes held, 1[45] of 40 taught");
        }
    }

    @Test
    void aTermIsDeletedAndBroughtBack() throws Exception {
        try (Page page = unrecorded()) {
            String id = page.term();
            page.go("/");
            page.click("li:has(a[href*='/terms/" + id + "/']) [aria-label^='Delete']");
            page.seeText(".p-dialog", "With it go 4 courses, 6 sections");
            page.press("Delete");
            page.gone("li a[href*='/terms/" + id + "/']");
            page.click("summary");
            page.press("Bring back");
            page.see("li a[href*='/terms/" + id + "/']");
        }
    }
}
