package app.matsuri.exchange.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.Files;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Reading and writing plan files. */
class PlanFileTest {

    private static final String TERM = "\"term\": { \"first\": \"2026-08-31\", \"last\": \"2026-12-18\" }";

    private static PlanFile.Reading read(String inner) {
        return PlanFile.read("{ \"matsuri\": 1, " + inner + " }");
    }

    private static Decisions sound(String text) {
        PlanFile.Reading reading = PlanFile.read(text);
        assertThat(reading.decisions()).as("%s", reading.faults()).isNotNull();
        return reading.decisions();
    }

    @ParameterizedTest
    @MethodSource("app.matsuri.exchange.Files#examples")
    void readAndWrittenAgainIsTheSame(String name) {
        Decisions decisions = sound(Files.example(name + ".json"));
        assertThat(sound(PlanFile.write(decisions))).isEqualTo(decisions);
    }

    @ParameterizedTest
    @ValueSource(strings = {"autumn-2026.json", "year-2026-27.json"})
    void theDemoIsWithoutFaultAndReadsBackTheSame(String name) throws IOException {
        PlanFile.Reading reading = PlanFile.read(java.nio.file.Files.readAllBytes(Files.demo(name)));
        assertThat(reading.faults()).isEmpty();
        assertThat(sound(PlanFile.write(reading.decisions()))).isEqualTo(reading.decisions());
    }

    @Test
    void theDefaultsAreTheContracts() {
        Decisions plan = read("""
                        "term": { "first": "2026-08-31", "last": "2026-12-18", "closures": [ { "first": "2026-09-07", "last": "2026-09-07" } ] },
                        "courses": [ { "code": "C", "title": "T", "sections": [ { "code": "A", "meets": [ { "rule": "FREQ=DAILY", "start": "10:00", "minutes": 50 } ] } ],
                          "units": [ { "id": "U", "code": "U", "title": "U", "lessons": [ { "id": "L", "title": "L" } ],
                            "items": [ { "id": "I", "title": "I", "due": { "week": 1, "weekday": "SU", "plus": 1, "snapTo": "MO" } } ] } ] } ]
                        """).decisions();
        assertThat(plan.term().zone().getId()).isEqualTo("Z");
        assertThat(plan.term().weekdays()).hasSize(5);
        assertThat(plan.term().weekStart()).isEqualTo(DayOfWeek.MONDAY);
        var closure = plan.term().closures().get(0);
        assertThat(closure.noClass()).isTrue();
        assertThat(closure.planPauses()).isFalse();
        assertThat(closure.nothingDue()).isTrue();
        assertThat(closure.everyone()).isTrue();
        assertThat(plan.courses().get(0).usualMinutes()).isEqualTo(50);
        var lesson = plan.courses().get(0).lessons().get(0);
        assertThat(List.of(lesson.length(), lesson.minLength(), lesson.gapBefore()))
                .containsExactly(1, 1, 0);
        var rule = plan.courses().get(0).items().get(0).due();
        assertThat(rule.plus().unit().name()).isEqualTo("DAYS");
        assertThat(rule.snapBefore()).isFalse();
    }

    @Test
    void unknownFieldsAreKeptAndReported() {
        PlanFile.Reading reading =
                read(TERM.replace(" }", ", \"bells\": { \"chimes\": [\"A\", \"B\"] } }") + ", \"mascot\": \"heron\"");
        assertThat(reading.faulty()).isFalse();
        assertThat(reading.faults()).extracting(Fault::pointer).containsExactly("/term/bells", "/mascot");
        assertThat(PlanFile.write(reading.decisions())).contains("\"chimes\"").contains("heron");
    }

    @Test
    void aFieldWhoseNameWouldNotBeReadBackIsRefused() {
        String name = "x".repeat(600);
        for (String field : List.of("\"" + name + "\": 1", "\"bells\": [ { \"" + name + "\": 1 } ]")) {
            PlanFile.Reading reading = read(TERM + ", " + field);
            assertThat(reading.faulty()).isTrue();
            assertThat(reading.faults()).extracting(Fault::message).anyMatch(m -> m.contains("more than 500 letters"));
        }
    }

    @Test
    void everyFaultIsReportedAtOnceWithItsPointerAndLine() {
        PlanFile.Reading reading = PlanFile.read("""
                { "matsuri": 1,
                  "term": { "first": "31 Aug", "last": "2026-12-18", "weekdays": ["MO", "XX"],
                    "zone": "Mars/Olympus" },
                  "courses": [
                    { "title": "No code",
                      "sections": [ { "code": "A", "meets": [ { "start": "25:00", "minutes": 0 } ] } ],
                      "units": [ { "id": "U", "code": "U", "title": "U",
                        "lessons": [ { "id": "L", "title": "L", "length": -1 } ],
                        "items": [ { "id": "I", "title": "I", "due": { "lesson": "L", "at": "2026-09-01T10:00" } } ] } ] } ] }
                """);
        assertThat(reading.decisions()).isNull();
        assertThat(reading.faults())
                .extracting(f -> f.line() + " " + f.pointer())
                .contains(
                        "2 /term/first",
                        "2 /term/weekdays/1",
                        "3 /term/zone",
                        "5 /courses/0",
                        "6 /courses/0/sections/0/meets/0/start",
                        "6 /courses/0/sections/0/meets/0/minutes",
                        "8 /courses/0/units/0/lessons/0/length",
                        "9 /courses/0/units/0/items/0/due");
        assertThat(reading.faults()).allMatch(f -> f.message().endsWith("."));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"term\": { \"first\": \"2026-12-18\", \"last\": \"2026-08-31\" } | lies before the first day",
                "\"term\": { \"first\": \"0000-01-01\", \"last\": \"2026-08-31\" } | outside 1900 to 2199",
                "\"term\": { \"first\": \"2026-01-01\", \"last\": \"9999-12-31\" } | outside 1900 to 2199",
                "\"term\": { \"first\": \"2026-01-01\", \"last\": \"2036-12-31\" } | more than five years",
                "\"term\": { \"first\": \"2026-02-30\", \"last\": \"2026-12-31\" } | is not a date",
                "\"term\": [] | An object",
                "\"courses\": [] | “term” is missing"
            })
    void wrongTermsAreSaid(String inner, String said) {
        PlanFile.Reading reading = read(inner);
        assertThat(reading.decisions()).isNull();
        assertThat(reading.faults().get(0).message()).contains(said);
    }

    @Test
    void namesThatStandForTwoThingsAndScopesOfNobodyAreSaid() {
        PlanFile.Reading twice = read(TERM
                + ", \"courses\": [ { \"code\": \"C\", \"title\": \"T\", \"units\": [ { \"id\": \"U\", \"code\": \"U\","
                + " \"title\": \"U\", \"lessons\": [ { \"id\": \"L\", \"title\": \"1\" }, { \"id\": \"L\", \"title\":"
                + " \"2\" } ] } ] } ]");
        assertThat(twice.decisions()).isNull();
        assertThat(twice.faults().get(0).pointer()).isEqualTo("/courses/0/units/0/lessons/1/id");
        PlanFile.Reading scope = read(TERM.replace(
                " }",
                ", \"closures\": [ { \"first\": \"2026-09-07\", \"last\": \"2026-09-07\", \"only\": [\"X\"] } ] }"));
        assertThat(scope.decisions()).isNotNull();
        assertThat(scope.faulty()).isTrue();
    }

    @Test
    void aRecurrenceThatIsNotReadGivesNoClassAndIsSaid() {
        PlanFile.Reading reading = read(TERM
                + ", \"courses\": [ { \"code\": \"C\", \"title\": \"T\", \"sections\": [ { \"code\": \"A\", \"meets\":"
                + " [ { \"rule\": \"FREQ=YEARLY\", \"start\": \"10:00\", \"minutes\": 50 } ] } ] } ]");
        assertThat(reading.decisions()).isNotNull();
        assertThat(reading.faults()).singleElement().satisfies(f -> {
            assertThat(f.severity()).isEqualTo(Fault.Severity.KEPT);
            assertThat(f.pointer()).isEqualTo("/courses/0/sections/0/meets/0/rule");
        });
    }

    @Test
    void whatIsNoPlanIsTurnedAwayWithASentence() {
        byte[] rubbish = new byte[4096];
        new Random(7).nextBytes(rubbish);
        assertThat(PlanFile.read(rubbish).faults().get(0).message()).contains("UTF-8");
        assertThat(PlanFile.read("not json").faults().get(0).message()).contains("no JSON");
        assertThat(PlanFile.read("{\n\"matsuri\": 1,\n\"term\": }")
                        .faults()
                        .get(0)
                        .line())
                .isEqualTo(3);
        assertThat(PlanFile.read("[1]").decisions()).isNull();
        assertThat(PlanFile.read("").decisions()).isNull();
        assertThat(PlanFile.read("[".repeat(100_000)).decisions()).isNull();
        assertThat(PlanFile.read("{\"a\":1,\"a\":2}").faults().get(0).message()).contains("no JSON");
        byte[] large = new byte[50 * 1024 * 1024];
        Arrays.fill(large, (byte) ' ');
        assertThat(PlanFile.read(large).faults().get(0).message())
                .contains("50 MB")
                .contains("at most 8 MB");
        assertThat(PlanFile.read(("\uFEFF{ \"matsuri\": 1, " + TERM + "}").getBytes(StandardCharsets.UTF_8))
                        .decisions())
                .isNotNull();
        assertThat(read("\"matsuri\": 2, " + TERM).decisions()).isNull();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/courses/0/title | \"TEXT1001\" | This text has 1,001 characters; at most 1,000 are taken: shorten it.",
                "/courses/0/usualMinutes | 10081 | 10081 is too large: give 10,080 or less.",
                "/courses/0/sections/0/meets | [MANY101] | “meets” has 101 entries; at most 100 are taken. Check that it is meant so.",
                "/courses/0/sections/0/gaps | {\"A1\": -1001} | -1001 is too small: give -1000 or more.",
                "/courses/0/units/0/items/0/points | -1 | “-1” is not a number from 0 to 100,000, with at most 6 decimals.",
                "/courses/0/units/0/items/0/points | 1e999999999 | “1E+999999999” is not a number from 0 to 100,000, with at most 6 decimals.",
            })
    void absurdValuesAreToldApartFromLargeOnes(String pointer, String value, String said) throws IOException {
        JsonNode plan = Json.read(java.nio.file.Files.readString(Files.demo("autumn-2026.json")));
        String given = value.replace("TEXT1001", "x".repeat(1_001)).replace("MANY101", "0,".repeat(100) + "0");
        int last = pointer.lastIndexOf('/');
        ((ObjectNode) plan.at(pointer.substring(0, last))).set(pointer.substring(last + 1), Json.read(given));
        PlanFile.Reading reading = PlanFile.read(Json.write(plan));
        assertThat(reading.decisions()).isNull();
        assertThat(reading.faults()).anySatisfy(fault -> {
            assertThat(fault.message()).isEqualTo(said);
            assertThat(fault.pointer()).startsWith(pointer);
        });
    }
}
