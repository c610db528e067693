package app.matsuri.server.outline;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Lines as instructors type them into the outline and into days, over HTTP: what each becomes, and that it can be made. */
class TypedLineHttpTest extends DemoTest {

    private JsonNode line(String level, String unit, String text) throws Exception {
        Map<String, Object> typed =
                new LinkedHashMap<>(Map.of("course", "HYD 210", "level", level, "text", text, "section", "A"));
        if (unit != null) {
            typed.put("unit", unit);
        }
        Browser.Answer answer = browser.post(at + "/outline/line", Json.MAPPER.writeValueAsString(typed));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private JsonNode inDay(String date, String text) throws Exception {
        Browser.Answer answer = browser.post(
                at + "/outline/day",
                Json.MAPPER.writeValueAsString(
                        Map.of("course", "HYD 210", "section", "A", "date", date, "text", text)));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private void canBeMade(JsonNode read) throws Exception {
        Browser.Answer proposed =
                browser.post(at + "/proposals", read.path("change").toString());
        assertThat(proposed.status()).as(proposed.body().toString()).isEqualTo(200);
        Browser.Answer made = browser.change(term, 1, read.path("change").toString());
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        assertThat(browser.get(at + "/history").body().path("lines").size()).isEqualTo(2);
    }

    /** The kind of a piece of work is the one it says, or follows from its words. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Quiz 4, 20 min, 10 points, due 3 nov 5pm | quiz     | 20 | 10 | 2026-11-03T17:00",
                "test: Second midterm, due 9 nov 10:00    | test     |    |    | 2026-11-09T10:00",
                "Read chapter 9, due fri 6 nov            | reading  |    |    | 2026-11-06T23:59",
                "Essay on weirs (project), by 20 nov      | project  |    |    | 2026-11-20T23:59",
                "Lab 9 | lab | | | ",
                "Talk (other), opens 2 nov, due 4 nov     | other    |    |    | 2026-11-04T23:59"
            })
    void workIsOfTheKindAndOnTheDayThatItSays(String text, String kind, Integer minutes, Integer points, String due)
            throws Exception {
        JsonNode read = line("work", "FL", text);
        JsonNode item = read.path("change").path("item");
        assertThat(item.path("kind").stringValue()).as(read.toString()).isEqualTo(kind);
        assertThat(item.hasNonNull("minutes") ? item.path("minutes").intValue() : null)
                .isEqualTo(minutes);
        assertThat(item.hasNonNull("points") ? item.path("points").intValue() : null)
                .isEqualTo(points);
        assertThat(item.path("due").path("at").asString(null)).isEqualTo(due);
        canBeMade(read);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Ice jams | Ice jams | 1",
                "Ice jams (3) | Ice jams | 3",
                "lesson: Ice jams x2 | Ice jams | 2",
                "Ice jams, 2 classes | Ice jams | 2"
            })
    void aLessonHasTheLengthThatItSays(String text, String title, int length) throws Exception {
        JsonNode read = line("lesson", "FL", text);
        JsonNode lesson = read.path("change").path("lesson");
        assertThat(lesson.path("title").stringValue()).as(read.toString()).isEqualTo(title);
        assertThat(lesson.path("length").intValue(1)).isEqualTo(length);
        canBeMade(read);
    }

    /** Whatever stands in a line is accounted for, word by word. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Quiz 4, due 45 nov | due 45 nov",
                "Quiz 4, due blursday | due blursday",
                "Quiz 4, at 27:00 | at 27:00",
                "Quiz 4, every full moon | every full moon",
                "Quiz 4, 3 nov, 5 nov, 7 nov | before each date"
            })
    void whatIsNotUnderstoodIsNamedAndNothingIsMade(String text, String named) throws Exception {
        JsonNode read = line("work", "FL", text);
        assertThat(read.hasNonNull("change")).as(read.toString()).isFalse();
        assertThat(read.path("wrong").stringValue()).contains(named.replaceFirst("^at ", ""));
        assertThat(read.path("parts").size()).isPositive();
    }

    @Test
    void aDayTakesWorkNoticesWordsAndLessons() throws Exception {
        JsonNode work = inDay("2026-11-04", "Gauge log, 15 min");
        assertThat(work.path("key").stringValue()).startsWith("item:");
        JsonNode notice = inDay("2026-11-04", "notice: Boats are booked, 13:00-15:00, Weir House");
        assertThat(notice.path("key").stringValue()).startsWith("notice:");
        assertThat(notice.path("said").stringValue()).contains("13:00", "15:00", "Weir House");
        JsonNode note = inDay("2026-11-04", "note: bring the tape");
        assertThat(note.path("change").path("kind").stringValue()).isEqualTo("put-day-note");
        JsonNode lesson = inDay("2026-11-04", "lesson: Ice jams");
        assertThat(lesson.path("key").stringValue()).startsWith("lesson:");
        assertThat(lesson.path("said").stringValue()).contains("Wed 4 Nov");
        canBeMade(lesson);
    }

    @Test
    void aLessonNeedsAClassOnItsDay() throws Exception {
        JsonNode sunday = inDay("2026-11-08", "lesson: Ice jams");
        assertThat(sunday.hasNonNull("change")).isFalse();
        assertThat(sunday.path("wrong").stringValue()).contains("no class on Sun 8 Nov");
    }

    @Test
    void workThatRepeatsIsSaidWithHowOftenAndMadeAsARhythm() throws Exception {
        JsonNode read = line("work", "RE", "Gauge log, every wed, 4 times");
        assertThat(read.path("change").path("kind").stringValue()).isEqualTo("put-rhythm");
        assertThat(read.path("said").stringValue()).contains("4");
        canBeMade(read);
        String dates = browser.get(at + "/dates").body().toString();
        assertThat(dates).contains("Gauge log 1", "Gauge log 4").doesNotContain("Gauge log 5");
    }
}
