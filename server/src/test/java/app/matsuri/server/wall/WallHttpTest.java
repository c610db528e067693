package app.matsuri.server.wall;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.server.DemoTest;
import app.matsuri.server.ServerTest;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The Wall of the demo's term over HTTP, on Wednesday 7 October 2026; days are those of the calendar. */
class WallHttpTest extends DemoTest {

    private JsonNode wall(String course, String section) throws Exception {
        return browser.get(at + "/wall?course=" + course.replace(" ", "%20") + "&section=" + section)
                .body();
    }

    private static List<JsonNode> list(JsonNode array) {
        return StreamSupport.stream(array.spliterator(), false).toList();
    }

    private static List<JsonNode> days(JsonNode wall) {
        List<JsonNode> days = new ArrayList<>();
        list(wall.path("weeks")).forEach(week -> days.addAll(list(week.path("days"))));
        return days;
    }

    private static JsonNode day(JsonNode wall, String date) {
        return days(wall).stream()
                .filter(d -> d.path("date").stringValue().equals(date))
                .findFirst()
                .orElseThrow();
    }

    private static List<String> said(JsonNode array, String field) {
        return list(array).stream().map(n -> n.path(field).asString("")).toList();
    }

    @Test
    void theWeeksAreThoseOfTheTermOneBehindTheOther() throws Exception {
        JsonNode wall = wall("HYD 210", "A");
        List<JsonNode> weeks = list(wall.path("weeks"));
        assertThat(weeks).hasSize(16);
        LocalDate first = LocalDate.of(2026, 8, 31);
        for (int i = 0; i < weeks.size(); i++) {
            assertThat(weeks.get(i).path("number").asInt()).isEqualTo(i + 1);
            assertThat(weeks.get(i).path("first").stringValue())
                    .isEqualTo(first.plusWeeks(i).toString());
            assertThat(weeks.get(i).path("days").size())
                    .isEqualTo(wall.path("columns").size());
        }
        assertThat(ChronoUnit.WEEKS.between(
                                first, LocalDate.parse(wall.path("last").stringValue()))
                        + 1)
                .isEqualTo(16);
    }

    @Test
    void exactlyOneDayIsTodayAndWhatLiesBeforeItIsPast() throws Exception {
        List<JsonNode> days = days(wall("HYD 210", "A"));
        assertThat(days.stream().filter(d -> d.path("today").booleanValue()))
                .singleElement()
                .extracting(d -> d.path("date").stringValue())
                .isEqualTo("2026-10-07");
        assertThat(days)
                .allSatisfy(d -> assertThat(d.path("past").booleanValue())
                        .isEqualTo(d.path("date").stringValue().compareTo("2026-10-07") < 0));
    }

    @Test
    void eachSectionHasItsOwnColumnsAndClasses() throws Exception {
        JsonNode a = wall("HYD 210", "A");
        JsonNode b = wall("HYD 210", "B");
        assertThat(meeting(a)).containsExactly("1 10:00:00", "3 10:00:00", "5 10:00:00");
        assertThat(meeting(b)).containsExactly("2 13:00:00", "4 13:00:00");
        assertThat(a.path("section").path("pace").stringValue()).isEqualTo("sessions");
        assertThat(b.path("section").path("pace").stringValue()).isEqualTo("minutes");
        int classes = days(a).stream().mapToInt(d -> d.path("sessions").size()).sum();
        assertThat(classes)
                .isEqualTo(a.path("section").path("sessions").asInt())
                .isEqualTo(44);
    }

    private static List<String> meeting(JsonNode wall) {
        return list(wall.path("columns")).stream()
                .filter(c -> c.path("meets").booleanValue())
                .map(c -> c.path("weekday").asInt() + " " + c.path("time").stringValue())
                .toList();
    }

    @Test
    void classesAreNumberedInOrderOfTime() throws Exception {
        List<Integer> numbers = new ArrayList<>();
        days(wall("HYD 210", "A"))
                .forEach(d -> list(d.path("sessions"))
                        .forEach(s -> numbers.add(s.path("number").asInt())));
        assertThat(numbers).isSorted().doesNotHaveDuplicates().startsWith(1).endsWith(44);
    }

    @Test
    void aDayOffSaysWhyAndHoldsNoClass() throws Exception {
        JsonNode off = day(wall("HYD 210", "A"), "2026-10-12");
        assertThat(off.path("teaches").booleanValue()).isFalse();
        assertThat(off.path("off").path("reason").stringValue()).isEqualTo("Autumn break");
        assertThat(off.path("sessions").size()).isZero();
        assertThat(off.path("lessons").size()).isZero();
    }

    @Test
    void aLessonOverTwoClassesIsCountedInBoth() throws Exception {
        for (JsonNode day : days(wall("HYD 210", "A"))) {
            for (JsonNode lesson : list(day.path("lessons"))) {
                assertThat(lesson.path("part").asInt())
                        .isBetween(1, lesson.path("parts").asInt());
            }
        }
        List<String> gauging = new ArrayList<>();
        days(wall("HYD 210", "A"))
                .forEach(d -> list(d.path("lessons")).stream()
                        .filter(l -> l.path("parts").asInt() == 2)
                        .forEach(l -> gauging.add(l.path("id").stringValue() + " "
                                + l.path("part").asInt())));
        assertThat(gauging).isNotEmpty();
        for (int i = 0; i < gauging.size(); i += 2) {
            String id = gauging.get(i).substring(0, gauging.get(i).indexOf(' '));
            assertThat(gauging.subList(i, i + 2)).containsExactly(id + " 1", id + " 2");
        }
    }

    @Test
    void workThatDiffersFromWhatStudentsWereToldSaysWhatTheyWereTold() throws Exception {
        JsonNode log = list(day(wall("HYD 210", "A"), "2026-10-08").path("items")).stream()
                .filter(i -> i.path("id").stringValue().equals("log-5")
                        && i.path("which").stringValue().equals("main-due"))
                .findFirst()
                .orElseThrow();
        assertThat(log.path("told").stringValue()).isEqualTo("told Wed 7 Oct, 23:59");
        assertThat(log.path("hangsOn").stringValue()).contains("Why channels bend");
    }

    @Test
    void theOutlineHoldsEveryUnitAndWhatHasNoDate() throws Exception {
        JsonNode outline = wall("HYD 210", "A").path("outline");
        assertThat(said(outline.path("units"), "code"))
                .startsWith("BA", "GA", "CH")
                .hasSize(6);
        assertThat(said(outline.path("noDate"), "id")).contains("guest-talk", "extra-set", "peer-notes");
    }

    @Test
    void aProposalMarksWhatItWouldDoAndWhatStandsIsUnmarked() throws Exception {
        JsonNode stands = wall("HYD 210", "A");
        assertThat(days(stands).toString()).doesNotContain("\"proposed\":true");
        JsonNode proposed = browser.post(at + "/proposals?view=wall&course=HYD%20210&section=A", ServerTest.FLOOD)
                .body()
                .path("wall");
        JsonNode friday = day(proposed, "2026-10-09");
        assertThat(said(friday.path("gone"), "id")).contains("CH2");
        assertThat(day(proposed, "2026-10-08")).isEqualTo(day(stands, "2026-10-08"));
    }

    @Test
    void noStudentStandsOnIt() throws Exception {
        String plan = browser.plan(term);
        String wall = wall("HYD 210", "A").toString();
        assertThat(plan).contains("\"students\"");
        assertThat(wall).doesNotContain("@").doesNotContain("\"students\"");
    }

    @Test
    void aSectionThatIsNotThereAndATermWithoutOneAreSaid() throws Exception {
        assertThat(browser.get(at + "/wall?course=HYD%20210&section=ZZ").status())
                .isEqualTo(404);
        assertThat(browser.get(at + "/wall?course=NO&section=A").status()).isEqualTo(404);
        long empty = browser.open(
                "{\"matsuri\":1,\"term\":{\"name\":\"Empty\",\"first\":\"2026-08-31\",\"last\":\"2026-12-18\"}}");
        assertThat(browser.get("/api/terms/" + empty + "/wall").type()).endsWith("no-section");
        assertThat(browser.get(at + "/wall")
                        .body()
                        .path("section")
                        .path("section")
                        .stringValue())
                .as("the first one where none is named")
                .isEqualTo("A");
    }
}
