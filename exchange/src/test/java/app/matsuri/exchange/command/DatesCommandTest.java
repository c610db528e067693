package app.matsuri.exchange.command;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.Files;
import app.matsuri.exchange.plan.Json;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** The command line: what is printed, where, and with which status. */
class DatesCommandTest {

    private static final String PLAN = """
            { "matsuri": 1, "term": { "first": "2026-08-31", "last": "2026-09-11" },
              "courses": [ { "code": "C", "title": "Course, with \\"quotes\\"",
                "sections": [ { "code": "A", "meets": [ { "rule": "FREQ=WEEKLY;BYDAY=MO", "start": "10:00", "minutes": 50 } ] } ],
                "units": [ { "id": "U", "code": "U", "title": "Unit", "lessons": [ { "id": "L", "title": "One, two" } ],
                  "items": [ { "id": "I", "title": "Work", "due": { "lesson": "%s" } } ] } ] } ] }
            """;

    @TempDir
    Path folder;

    private final StringWriter out = new StringWriter();
    private final ByteArrayOutputStream err = new ByteArrayOutputStream();

    private int run(String... arguments) throws IOException {
        return DatesCommand.run(arguments, out, new PrintStream(err, true, StandardCharsets.UTF_8));
    }

    private String file(String name, String text) throws IOException {
        return java.nio.file.Files.writeString(folder.resolve(name), text).toString();
    }

    /** Published: RFC 4180 sections 2.1 and 2.5 to 2.7: CRLF, quotes doubled, commas within quotes. */
    @Test
    void printsRfc4180() throws IOException {
        assertThat(run(file("p.json", PLAN.formatted("L")))).isZero();
        assertThat(out.toString())
                .isEqualTo("course,section,what,id,title,starts,ends,state\r\n"
                        + "C,A,lesson,L,\"One, two\",2026-08-31T10:00,2026-08-31T10:50,ok\r\n"
                        + "C,A,due,I,Work,2026-08-31T10:00,,ok\r\n");
    }

    @Test
    void aFaultThatLeavesAMeaningIsSaidAndTheRestPrinted() throws IOException {
        assertThat(run(file("p.json", PLAN.formatted("X")))).isEqualTo(2);
        assertThat(out.toString()).contains("C,A,due,I,Work,,,unresolved\r\n");
        assertThat(err.toString(StandardCharsets.UTF_8))
                .contains("p.json:5 /courses/0/units/0/items/0/due/lesson")
                .contains("no lesson “X”");
    }

    @Test
    void aFaultThatLeavesNoneIsSaidAndNothingPrinted() throws IOException {
        assertThat(run(file("p.json", PLAN.formatted("L").replace("2026-09-11", "2026-08-11"))))
                .isEqualTo(2);
        assertThat(out.toString()).isEmpty();
        assertThat(err.toString(StandardCharsets.UTF_8)).contains("lies before the first day");
    }

    @Test
    void aRemarkIsStatus0() throws IOException {
        String text = PLAN.formatted("L").replace("\"meets\"", "\"holdsEmpty\": [\"2026-09-01T10:00\"], \"meets\"");
        assertThat(run(file("p.json", text))).isZero();
    }

    @Test
    void aChangePrintsItsProposal() throws IOException {
        String plan = Files.demo("autumn-2026.json").toString();
        assertThat(run(plan, "--change", Files.demo("flood-warning.json").toString()))
                .isZero();
        JsonNode proposal = Json.read(out.toString());
        assertThat(proposal.propertyNames()).contains("sentence", "moves", "findings");
        assertThat(proposal.at("/moves/0").propertyNames())
                .contains("section", "what", "id", "title", "from", "to", "why");
        assertThat(proposal.at("/moves/0/from").stringValue()).isEqualTo("2026-10-09T10:00");
        assertThat(proposal.at("/moves/0/to").stringValue()).isEqualTo("2026-10-14T10:00");
        assertThat(proposal.at("/findings/appear/0").propertyNames()).contains("code", "severity", "about", "sentence");
    }

    @Test
    void wrongArgumentsAndFilesAreSaid() throws IOException {
        assertThat(run("nowhere.json")).isEqualTo(2);
        assertThat(run(file("p.json", PLAN.formatted("L")), "--chance")).isEqualTo(2);
        assertThat(run(file("p.json", PLAN.formatted("L")), "--change", file("c.json", "{\"kind\":\"dance\"}")))
                .isEqualTo(2);
        assertThat(err.toString(StandardCharsets.UTF_8))
                .contains("no such file")
                .contains("Usage")
                .contains("“dance” is no kind of change");
        assertThat(out.toString()).isEmpty();
    }
}
