package app.matsuri.server.dates;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Dates filled down a column, and the table taken out, changed elsewhere and read again, over HTTP. */
class TableHttpTest extends DemoTest {

    private static final List<String> LOGS = List.of("log-8", "log-9", "log-10");

    private static Map<String, Object> cell(String item, String... sections) {
        return Map.of("course", "HYD 210", "item", item, "sections", List.of(sections), "date", "due");
    }

    private Browser.Answer fill(String step, String from, List<String> to) throws Exception {
        return browser.post(
                at + "/dates/fill",
                Json.MAPPER.writeValueAsString(Map.of(
                        "from",
                        cell(from),
                        "step",
                        step,
                        "to",
                        to.stream().map(TableHttpTest::cell).toList())));
    }

    private String table() throws Exception {
        return browser.get(at + "/dates.csv").response().getContentAsString(StandardCharsets.UTF_8);
    }

    private JsonNode read(String csv) throws Exception {
        String content = Base64.getEncoder().encodeToString(csv.getBytes(StandardCharsets.UTF_8));
        Browser.Answer answer = browser.post(
                at + "/dates/file", Json.MAPPER.writeValueAsString(Map.of("name", "dates.csv", "content", content)));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private String due(String item) throws Exception {
        for (JsonNode row : browser.get(at + "/dates").body().path("rows")) {
            if (row.path("id").stringValue().equals(item)) {
                return row.path("due").path("at").get(0).stringValue("");
            }
        }
        throw new AssertionError("no row " + item);
    }

    @Test
    void aWeekOnFillsADateAWeekLaterEachRow() throws Exception {
        browser.change(
                term,
                1,
                "{\"kind\":\"put-dates\",\"entries\":[{\"course\":\"HYD 210\",\"item\":\"log-7\",\"due\":{\"at\":\"2026-10-26T17:00\"}}]}");
        JsonNode filled = fill("week", "log-7", LOGS).body();
        assertThat(filled.path("cells").size()).isEqualTo(3);
        assertThat(browser.change(term, 2, filled.path("change").toString()).status())
                .isEqualTo(200);
        assertThat(due("log-8")).startsWith("2026-11-02T17:00");
        assertThat(due("log-9")).startsWith("2026-11-09T17:00");
        assertThat(due("log-10")).startsWith("2026-11-16T17:00");
    }

    @Test
    void aStepThatIsNoneIsRefusedWithItsField() throws Exception {
        Browser.Answer wrong = fill("fortnight", "log-7", LOGS);
        assertThat(wrong.status()).isBetween(400, 422);
        assertThat(wrong.body().toString()).contains("fortnight").doesNotContain("FillDown");
        assertThat(fill("week", "no-such-work", LOGS).status()).isEqualTo(404);
    }

    @Test
    void aTableThatNobodyChangedGivesNothingToDo() throws Exception {
        JsonNode read = read(table());
        assertThat(read.hasNonNull("change")).isFalse();
        assertThat(read.path("lines").size()).isZero();
        assertThat(read.path("same").intValue()).isGreaterThan(100);
    }

    @Test
    void whatWasChangedElsewhereIsOneChangeAndComesBackTheSame() throws Exception {
        browser.change(
                term,
                1,
                "{\"kind\":\"put-dates\",\"entries\":[{\"course\":\"HYD 210\",\"item\":\"log-8\",\"due\":{\"at\":\"2026-11-03T17:00\"}}]}");
        String table = table();
        assertThat(table).contains("2026-11-03 17:00");
        JsonNode read = read(table.replace("2026-11-03 17:00", "2026-11-05 09:30"));
        assertThat(read.path("lines").size()).isPositive();
        read.path("lines")
                .forEach(l -> assertThat(l.path("state").stringValue()).isEqualTo("changed"));
        assertThat(browser.change(term, 2, read.path("change").toString()).status())
                .isEqualTo(200);
        assertThat(due("log-8")).startsWith("2026-11-05T09:30");
        assertThat(read(table()).path("lines").size()).isZero();
    }

    @Test
    void whatIsNotUnderstoodInATableIsSaidByRowAndNothingOfItIsTaken() throws Exception {
        JsonNode read =
                read("course,id,title,due\nHYD 210,log-8,Field log 8,blursday\nHYD 210,no-such,Nothing,2026-11-05\n");
        assertThat(read.path("lines").get(0).path("state").stringValue()).isEqualTo("not-understood");
        assertThat(read.path("lines").get(1).path("state").stringValue()).isEqualTo("unknown");
        assertThat(read.hasNonNull("change")).isFalse();
    }

    @Test
    void theTableOfClassesAndEntriesOfAnotherCalendarAreReadInTheSamePlace() throws Exception {
        String csv = browser.get(at + "/classes.csv").response().getContentAsString(StandardCharsets.UTF_8);
        assertThat(read(csv).path("lines").size()).isZero();
        String moved = csv.replace(",2026-11-04,Wednesday,10:00,10:50,", ",2026-11-05,Thursday,10:00,10:50,");
        JsonNode classes = read(moved);
        assertThat(classes.path("lines").get(0).path("said").stringValue()).contains("Wed 4 Nov, 10:00 to Thu 5 Nov");
        assertThat(browser.change(term, version(), classes.path("change").toString())
                        .status())
                .isEqualTo(200);
        JsonNode entries = read("Betreff;Beginnt am;Endet am\nHYD 210: Boat day;23.10.2026 09:00;23.10.2026 12:00\n");
        assertThat(browser.change(term, version(), entries.path("change").toString())
                        .status())
                .isEqualTo(200);
        assertThat(browser.get(at + "/plan").body().toString())
                .contains("Boat day")
                .contains("2026-11-05T10:00");
        assertThat(browser.get(at + "/classes.xlsx").response().getContentAsByteArray())
                .startsWith('P', 'K');
    }

    private long version() throws Exception {
        return browser.get(at + "/dates").body().path("version").longValue();
    }
}
