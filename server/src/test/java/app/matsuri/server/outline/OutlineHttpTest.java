package app.matsuri.server.outline;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Lines typed into the outline and into days, and whole outlines read. */
class OutlineHttpTest extends DemoTest {

    private static String json(Object value) {
        return Json.MAPPER.writeValueAsString(value);
    }

    private Browser.Answer line(String level, String text, String... more) throws Exception {
        Map<String, Object> typed = new LinkedHashMap<>(Map.of("course", "HYD 210", "level", level, "text", text));
        for (int i = 0; i < more.length; i += 2) {
            typed.put(more[i], more[i + 1]);
        }
        return browser.post(at + "/outline/line", json(typed));
    }

    @Test
    void aLineBecomesAUnitALessonOrWork() throws Exception {
        assertThat(line("unit", "Ice on rivers").body().path("key").stringValue())
                .startsWith("unit:");
        JsonNode lesson =
                line("lesson", "Frazil (2)", "unit", "CH", "before", "CH3").body();
        assertThat(lesson.path("change").path("lesson").path("length").intValue())
                .isEqualTo(2);
        assertThat(lesson.path("change").path("before").stringValue()).isEqualTo("CH3");
        JsonNode work = line("work", "Quiz on ice, 20 min, due next class", "unit", "CH", "lesson", "CH2")
                .body();
        assertThat(work.path("change").path("item").path("kind").stringValue()).isEqualTo("quiz");
        assertThat(work.path("change").path("item").path("due").path("lesson").stringValue())
                .isEqualTo("CH2");
        JsonNode made = browser.change(term, 1, work.path("change").toString()).body();
        assertThat(made.path("sentence").stringValue()).contains("Quiz on ice");
    }

    @Test
    void whatIsNotUnderstoodIsSaidAndNothingIsMade() throws Exception {
        JsonNode read = line("work", "Quiz, due whenever", "unit", "CH", "lesson", "CH2")
                .body();
        assertThat(read.path("change").isNull() || read.path("change").isMissingNode())
                .isTrue();
        assertThat(read.path("wrong").stringValue()).contains("“due whenever”: not understood");
        assertThat(read.path("parts").get(0).path("as").stringValue()).isEqualTo("title");
        assertThat(read.path("parts").get(1).path("understood").booleanValue()).isFalse();
        assertThat(line("lesson", "Alone").status()).isEqualTo(422);
    }

    @Test
    void somethingTypedIntoADayIsDueWithItsClassOrOnItsDate() throws Exception {
        JsonNode withClass = browser.post(
                        at + "/outline/day",
                        "{\"course\":\"HYD 210\",\"section\":\"A\",\"date\":\"2026-10-09\",\"text\":\"Bring waders\"}")
                .body();
        assertThat(withClass
                        .path("change")
                        .path("item")
                        .path("due")
                        .path("lesson")
                        .stringValue())
                .isEqualTo("CH2");
        JsonNode onDate = browser.post(
                        at + "/outline/day",
                        "{\"course\":\"HYD 210\",\"section\":\"A\",\"date\":\"2026-10-15\",\"text\":\"Quiz 3, 5pm\"}")
                .body();
        assertThat(onDate.path("change").path("item").path("due").path("at").stringValue())
                .isEqualTo("2026-10-15T17:00");
        assertThat(onDate.path("change").path("item").path("title").stringValue())
                .isEqualTo("Quiz 3");
    }

    @Test
    void aPastedOutlineIsAddedAsOneStep() throws Exception {
        JsonNode read = browser.post(
                        at + "/outline/reading",
                        json(Map.of(
                                "course",
                                "HYD 210",
                                "text",
                                "Ice on rivers\\n  Frazil\\n    Read 30, due same day\\n  Break-up (2)"
                                        .replace("\\n", "\n"))))
                .body();
        assertThat(read.path("units").intValue()).isEqualTo(1);
        assertThat(read.path("lessons").intValue()).isEqualTo(2);
        assertThat(read.path("items").intValue()).isEqualTo(1);
        assertThat(browser.change(term, 1, read.path("change").toString()).status())
                .isEqualTo(200);
        assertThat(browser.plan(term)).contains("Ice on rivers").contains("Break-up");
    }

    /** Hold a class empty, then type a lesson into it: it stands there, and nothing else moves. */
    @Test
    void aLessonTypedIntoAClassWithoutAPlanStandsThere() throws Exception {
        browser.change(
                term,
                1,
                json(Map.of("kind", "set-gap", "course", "HYD 210", "section", "A", "lesson", "CH2", "empty", 1)));
        JsonNode read = day("2026-10-09", "lesson: Review of stage").body();
        assertThat(read.path("said").stringValue()).contains("a lesson on Fri 9 Oct");
        browser.change(term, 2, read.path("change").toString());
        JsonNode wall = browser.get(at + "/wall?course=HYD%20210&section=A").body();
        String day = dayOf(wall, "2026-10-09").path("lessons").toString();
        assertThat(day).contains("Review of stage").doesNotContain("\"CH2\"");
        assertThat(dayOf(wall, "2026-10-14").path("lessons").toString()).contains("\"CH2\"");
        assertThat(day("2026-10-08", "lesson: Review").body().path("wrong").stringValue())
                .contains("There is no class on Thu 8 Oct");
    }

    private static JsonNode dayOf(JsonNode wall, String date) {
        for (JsonNode week : wall.path("weeks")) {
            for (JsonNode day : week.path("days")) {
                if (day.path("date").stringValue().equals(date)) {
                    return day;
                }
            }
        }
        throw new AssertionError("no " + date);
    }

    /** Every date of what repeats, with days off and what is over, before it is added. */
    @Test
    void everyDateOfWhatRepeatsIsSaidBefore() throws Exception {
        Map<String, Object> notice = Map.of(
                "id",
                "hut",
                "title",
                "Hut open",
                "repeats",
                java.util.List.of(Map.of("rule", "FREQ=WEEKLY;BYDAY=MO", "from", "2026-09-28", "until", "2026-10-26")));
        JsonNode read = browser.post(
                        at + "/repeats",
                        json(Map.of(
                                "course",
                                "HYD 210",
                                "section",
                                "A",
                                "change",
                                Map.of("kind", "put-notice", "course", "HYD 210", "notice", notice))))
                .body();
        assertThat(read.path("dates").size()).isEqualTo(5);
        assertThat(read.path("over").intValue()).isEqualTo(2);
        assertThat(read.path("dates").get(2).path("off").stringValue()).isEqualTo("Autumn break");
        assertThat(browser.plan(term)).doesNotContain("Hut open on Mondays");
    }

    /** Work that repeats is one thing that follows its classes; the autumn break takes Monday 12 October. */
    @Test
    void workThatRepeatsInALineIsARhythmWithEveryDateSaid() throws Exception {
        JsonNode read = line("work", "quiz: Names, every Mon and Fri 9:30, until 26 oct", "unit", "CH", "section", "A")
                .body();
        assertThat(read.path("said").stringValue())
                .isEqualTo("“Names”, quiz, with 5 classes: due Fri 9 Oct, 09:30; Fri 16 Oct, 09:30; Mon 19 Oct, 09:30;"
                        + " Fri 23 Oct, 09:30; Mon 26 Oct, 09:30");
        assertThat(browser.change(term, 1, read.path("change").toString()).status())
                .isEqualTo(200);
        assertThat(browser.plan(term)).contains("\"rhythm\"").contains("Names");

        JsonNode typed = day("2026-10-14", "Warm-up quiz, weekdays, 3 times").body();
        assertThat(typed.path("said").stringValue())
                .isEqualTo("“Warm-up quiz”, quiz, with 3 classes: due Wed 14 Oct, 10:00; Fri 16 Oct, 10:00;"
                        + " Mon 19 Oct, 10:00");
        assertThat(day("2026-10-14", "quiz: Names, every sunday")
                        .body()
                        .path("wrong")
                        .stringValue())
                .contains("section A has none then");
        assertThat(day("2026-10-14", "quiz: Names, every second week")
                        .body()
                        .path("wrong")
                        .stringValue())
                .contains("below the outline");
        assertThat(day("2026-10-14", "quiz: Names, 5 times")
                        .body()
                        .path("wrong")
                        .stringValue())
                .contains("every friday, 5 times");
    }

    private Browser.Answer day(String date, String text) throws Exception {
        return browser.post(
                at + "/outline/day", json(Map.of("course", "HYD 210", "section", "A", "date", date, "text", text)));
    }

    @Test
    void aNoticeOrAWordIsTypedIntoADayToo() throws Exception {
        JsonNode notice = day("2026-10-22", "notice: Bring rain clothes, 8:15").body();
        assertThat(notice.path("key").stringValue()).isEqualTo("notice:bring-rain-clothes");
        browser.change(term, 1, notice.path("change").toString());
        JsonNode wall = browser.get(at + "/wall?course=HYD%20210&section=B").body();
        assertThat(wall.toString()).contains("Bring rain clothes");
        JsonNode word = day("2026-10-23", "note: Ask for waders").body();
        assertThat(word.path("change").path("kind").stringValue()).isEqualTo("put-day-note");
        assertThat(line("work", "notice Boots", "unit", "CH")
                        .body()
                        .path("wrong")
                        .stringValue())
                .contains("Say when");
        assertThat(line("work", "notice Boots, 24 oct", "unit", "CH")
                        .body()
                        .path("key")
                        .stringValue())
                .isEqualTo("notice:boots");
    }

    @Test
    void aUnitOfAnotherTermIsDroppedInWholeAndNobodyElsesIs() throws Exception {
        JsonNode offered = browser.get(at + "/outline/units?course=MAP%20115").body();
        assertThat(offered.valueStream()
                        .map(u -> u.path("course").stringValue())
                        .distinct())
                .contains("HYD 210")
                .doesNotContain("MAP 115");
        String asked = json(Map.of("course", "MAP 115", "fromTerm", term, "fromCourse", "HYD 210", "unit", "SE"));
        JsonNode taken = browser.post(at + "/outline/unit", asked).body();
        assertThat(taken.path("lessons").intValue()).isEqualTo(8);
        assertThat(taken.path("undated").isEmpty()).isFalse();
        JsonNode made = browser.change(term, 1, taken.path("change").toString()).body();
        assertThat(made.path("sentence").stringValue()).contains("Add unit “Sediment” to MAP 115");
        Browser other = Browser.of(mvc, accounts);
        long own = other.open(Browser.demo());
        assertThat(other.post("/api/terms/" + own + "/outline/unit", asked).status())
                .as("a term of someone else")
                .isEqualTo(404);
    }

    @Test
    void thePlanFileOfAnotherTermIsReadAsAnOutline() throws Exception {
        byte[] content = Browser.demo().getBytes(java.nio.charset.StandardCharsets.UTF_8);
        JsonNode read = browser.post(
                        at + "/outline/reading",
                        json(Map.of("course", "SOL 101", "name", "old.json", "content", content)))
                .body();
        assertThat(read.path("units").intValue()).isEqualTo(6 + 1 + 15 + 16);
        assertThat(browser.change(term, 1, read.path("change").toString()).status())
                .isEqualTo(200);
    }

    private JsonNode reading(Map<String, Object> more) throws Exception {
        Map<String, Object> asked = new java.util.HashMap<>(Map.of("course", "SOL 101"));
        asked.putAll(more);
        return browser.post(at + "/outline/reading", json(asked)).body();
    }

    /** A sheet is read with its columns; what a person says of a column or a row counts. */
    @Test
    void whatAPersonSaysOfASheetCounts() throws Exception {
        String sheet = "Topic\tZettel\nHorizons\tBlue one\nTexture\tRed one\n";
        JsonNode read = reading(Map.of("text", sheet));
        assertThat(read.at("/columns/1/meaning").stringValue()).isEqualTo("not taken");
        assertThat(read.at("/columns/1/samples/0").stringValue()).isEqualTo("Blue one");
        assertThat(read.path("meanings").toString()).contains("lesson title", "work due", "not taken");
        assertThat(read.path("items").intValue()).isZero();
        assertThat(read.path("lines").toString()).contains("“Zettel” is not taken");
        JsonNode said = reading(Map.of(
                "text",
                sheet,
                "columns",
                List.of(Map.of("number", 2, "meaning", "work")),
                "rows",
                List.of(Map.of("number", 3, "as", "nothing"))));
        assertThat(said.path("items").intValue()).isEqualTo(1);
        assertThat(said.path("lessons").intValue()).isEqualTo(1);
        assertThat(said.path("lines").toString()).contains("left out");
    }

    /** A lab column goes to the course of the half-groups, in the same step. */
    @Test
    void labsGoToTheHalfGroupsOwnCourse() throws Exception {
        JsonNode read = reading(Map.of(
                "course", "HYD 210", "text", "Topic\tLab\nFirn\tMelting cores\nDepth\t\nCreep\tSieves and sand\n"));
        assertThat(read.path("lessons").intValue()).isEqualTo(5);
        JsonNode changes = read.path("change").path("changes");
        assertThat(changes.size()).isEqualTo(2);
        assertThat(changes.get(1).path("course").stringValue()).isEqualTo("HYD 210L");
        assertThat(changes.get(1).toString()).contains("Melting cores", "Sieves and sand");
        assertThat(changes.get(0).toString()).doesNotContain("Melting cores");
    }

    @Test
    void whatIsSaidWronglyIsRefusedWithWhat() throws Exception {
        JsonNode meaning =
                reading(Map.of("text", "a\tb", "columns", List.of(Map.of("number", 1, "meaning", "colour"))));
        assertThat(meaning.path("detail").stringValue()).contains("“colour” is no meaning of a column", "lesson title");
        assertThat(browser.post(
                                at + "/outline/reading",
                                json(Map.of("course", "SOL 101", "text", "x", "section", "ZZ")))
                        .status())
                .isEqualTo(404);
        assertThat(browser.post(
                                at + "/outline/reading",
                                json(Map.of(
                                        "course",
                                        "SOL 101",
                                        "text",
                                        "x",
                                        "rows",
                                        List.of(Map.of("number", 1, "as", "party")))))
                        .status())
                .isEqualTo(400);
    }

    /** A saved page is read like a pasted table, its merged cells and links kept. */
    @Test
    void aSavedPageIsRead() throws Exception {
        byte[] page =
                ("<html><body><table><tr><th>Unit</th><th>Topic</th><th>Reading</th></tr><tr><td rowspan=2>Pits</td><td>Digging</td>"
                                + "<td><a href='https://soil.example/dig'>Notes</a></td></tr><tr><td>Filling</td><td>Ch. 2</td></tr></table></body></html>")
                        .getBytes(java.nio.charset.StandardCharsets.UTF_8);
        JsonNode read = reading(Map.of("name", "course.html", "content", page));
        assertThat(List.of(
                        read.path("units").intValue(),
                        read.path("lessons").intValue(),
                        read.path("items").intValue()))
                .containsExactly(1, 2, 2);
        browser.change(term, 1, read.path("change").toString());
        assertThat(browser.plan(term)).contains("https://soil.example/dig");
    }
}
