package app.matsuri.server.dates;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.DemoTest;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The table of dates over HTTP: shown, typed into, changed in bulk, and read from a file. */
class DatesHttpTest extends DemoTest {

    private static final String HYD = "HYD 210";

    private static String json(Object value) {
        return Json.MAPPER.writeValueAsString(value);
    }

    private JsonNode row(JsonNode view, String title) {
        for (JsonNode row : view.path("rows")) {
            if (row.path("title").stringValue("").equals(title)) {
                return row;
            }
        }
        throw new AssertionError("no row " + title);
    }

    @Test
    void everyDatedThingHasARowWithADatePerSection() throws Exception {
        JsonNode view = browser.get(at + "/dates").body();
        assertThat(view.path("rows").size()).isGreaterThan(120);
        JsonNode row = row(view, "Problem set 5");
        assertThat(row.path("due").path("rule").stringValue()).isEqualTo("CH4 +2 teaching days");
        assertThat(row.path("due").path("at").size()).isEqualTo(2);
        assertThat(row.path("closes").path("rule").stringValue()).startsWith("due +");
    }

    @Test
    void cellsAreReadTogetherAndWhatIsNotUnderstoodIsSaid() throws Exception {
        JsonNode row = row(browser.get(at + "/dates").body(), "Problem set 5");
        String id = row.path("id").stringValue();
        JsonNode read = browser.post(
                        at + "/dates/reading",
                        json(Map.of(
                                "cells",
                                List.of(
                                        Map.of(
                                                "course",
                                                HYD,
                                                "item",
                                                id,
                                                "sections",
                                                List.of(),
                                                "date",
                                                "due",
                                                "text",
                                                "3 nov, 5pm"),
                                        Map.of(
                                                "course",
                                                HYD,
                                                "item",
                                                id,
                                                "sections",
                                                List.of("B"),
                                                "date",
                                                "closes",
                                                "text",
                                                "never"),
                                        Map.of(
                                                "course",
                                                HYD,
                                                "item",
                                                id,
                                                "sections",
                                                List.of(),
                                                "date",
                                                "opens",
                                                "text",
                                                "whenever")))))
                .body();
        assertThat(read.path("cells").get(0).path("at").stringValue()).startsWith("2026-11-03T17:00");
        assertThat(read.path("cells").get(1).path("understood").booleanValue()).isTrue();
        assertThat(read.path("cells").get(2).path("understood").booleanValue()).isFalse();
        assertThat(read.path("cells").get(2).path("said").stringValue()).contains("Write 3 nov");
        JsonNode proposal = browser.post(at + "/proposals?view=dates", json(read.path("change")))
                .body();
        assertThat(proposal.hasNonNull("wall")).isFalse();
        JsonNode after = row(proposal.path("dates"), "Problem set 5");
        assertThat(after.path("due").path("at").get(0).stringValue()).startsWith("2026-11-03T17:00");
        assertThat(after.path("closes").path("own").get(1).stringValue()).isEmpty();
        assertThat(after.path("closes").path("own").get(0).isNull()).isTrue();
    }

    @Test
    void aBulkChangeIsOneStepAndUndoneAsOne() throws Exception {
        JsonNode before = browser.get(at + "/dates").body();
        List<String> ids = List.of("Field log 6", "Field log 7", "Field log 8").stream()
                .map(t -> row(before, t).path("id").stringValue())
                .toList();
        long version = before.path("version").longValue();
        browser.change(
                term,
                version,
                json(Map.of(
                        "kind",
                        "redate",
                        "course",
                        HYD,
                        "items",
                        ids,
                        "dates",
                        List.of("due"),
                        "by",
                        1,
                        "in",
                        "teaching-days")));
        JsonNode after = browser.get(at + "/dates").body();
        for (String title : List.of("Field log 6", "Field log 7", "Field log 8")) {
            assertThat(row(after, title).path("due").path("at"))
                    .isNotEqualTo(row(before, title).path("due").path("at"));
        }
        browser.post(at + "/undo", json(Map.of("version", after.path("version").longValue())));
        assertThat(browser.get(at + "/dates").body().path("rows")).isEqualTo(before.path("rows"));
    }

    @Test
    void otherDatesForASectionAreKeptAcrossTheStore() throws Exception {
        JsonNode before = browser.get(at + "/dates").body();
        String id = row(before, "Problem set 5").path("id").stringValue();
        browser.change(
                term,
                before.path("version").longValue(),
                "{\"kind\":\"put-dates\",\"entries\":[{\"course\":\"HYD 210\",\"item\":\"" + id
                        + "\",\"sections\":[\"B\"],\"due\":{\"at\":\"2026-11-05T17:00\"},\"closes\":null}]}");
        JsonNode plan = browser.get(at + "/plan").body();
        assertThat(plan.toString())
                .contains("\"adjustments\":[{\"item\":\"" + id
                        + "\",\"due\":{\"at\":\"2026-11-05T17:00\"},\"closes\":null}]");
        assertThat(row(browser.get(at + "/dates").body(), "Problem set 5")
                        .path("due")
                        .path("own")
                        .get(1)
                        .stringValue())
                .isEqualTo("fixed");
    }

    @Test
    void aTableThatWasEditedElsewhereGivesOnlyTheDifferences() throws Exception {
        String csv = browser.get(at + "/dates.csv").response().getContentAsString(StandardCharsets.UTF_8);
        String edited = csv.replaceFirst(
                "(HYD 210,A,[^\r]*Lab report 3[^\r]*,)[^,\r]+,([^,\r]*,)\r", "$12026-10-27 17:00,$2\r");
        assertThat(edited).isNotEqualTo(csv);
        JsonNode read = browser.post(
                        at + "/dates/file",
                        json(Map.of(
                                "name",
                                "dates.csv",
                                "content",
                                Base64.getEncoder().encodeToString(edited.getBytes(StandardCharsets.UTF_8)))))
                .body();
        assertThat(read.path("lines").size()).isEqualTo(1);
        assertThat(read.path("lines").get(0).path("said").stringValue()).endsWith("to Tue 27 Oct, 17:00");
        assertThat(read.path("change").path("entries").size()).isEqualTo(1);
    }

    @Test
    void noticesStandAmongTheRowsAndAreDatedInTheirCells() throws Exception {
        JsonNode read = browser.post(
                        at + "/dates/reading",
                        "{\"cells\":[{\"course\":\"HYD 210\",\"item\":\"notice:field-day\",\"sections\":[],"
                                + "\"date\":\"opens\",\"text\":\"31 oct\"}]}")
                .body();
        assertThat(read.path("cells").get(0).path("understood").booleanValue()).isTrue();
        JsonNode made = browser.change(term, 1, read.path("change").toString()).body();
        assertThat(made.path("sentence").stringValue()).contains("Field day at Alder Creek");
        JsonNode row = browser.get(at + "/dates")
                .body()
                .path("rows")
                .valueStream()
                .filter(r -> r.path("id").stringValue().equals("notice:field-day"))
                .findFirst()
                .orElseThrow();
        assertThat(row.path("opens").path("at").get(0).stringValue()).isEqualTo("2026-10-31T00:00:00");
        String due = "{\"kind\":\"put-dates\",\"entries\":[{\"course\":\"HYD 210\",\"item\":\"notice:%s\","
                + "\"%s\":{\"at\":\"2026-10-31T00:00\"}}]}";
        assertThat(browser.change(term, 2, due.formatted("field-day", "due"))
                        .body()
                        .path("detail")
                        .stringValue())
                .contains("never due");
        assertThat(browser.change(term, 2, due.formatted("hut", "opens"))
                        .body()
                        .path("detail")
                        .stringValue())
                .contains("is a series");
    }
}
