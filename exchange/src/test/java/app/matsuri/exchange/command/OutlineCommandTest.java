package app.matsuri.exchange.command;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.plan.PlanFile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The command that prints what a sheet means, its table read by Apache Commons CSV, which is none of ours. */
class OutlineCommandTest {

    private static final String HEADER =
            "row,what,unit,title,kind,sessions,date,lesson,opens,due,closes,points,percent,minutes,doubt";

    @TempDir
    Path folder;

    private Path plan;
    private final ByteArrayOutputStream errors = new ByteArrayOutputStream();
    private String printed = "";

    @BeforeEach
    void aPlan() throws IOException {
        plan = Files.writeString(
                folder.resolve("term.json"),
                "{\"matsuri\":1,\"term\":{\"name\":\"T\",\"first\":\"2026-08-31\",\"last\":\"2026-12-18\",\"zone\":\"UTC\"},\"courses\":[{\"code\":\"C 1\",\"title\":\"Ice\",\"sections\":["
                        + "{\"code\":\"A\",\"meets\":[{\"rule\":\"FREQ=WEEKLY;BYDAY=MO,WE\",\"start\":\"09:00\",\"minutes\":50}]},"
                        + "{\"code\":\"B\",\"meets\":[{\"rule\":\"FREQ=WEEKLY;BYDAY=TU,TH\",\"start\":\"13:00\",\"minutes\":75}]}],\"units\":[]}]}");
    }

    private int run(String sheet, String... more) throws IOException {
        Path file = Files.writeString(folder.resolve("sheet.tsv"), sheet);
        List<String> arguments =
                new java.util.ArrayList<>(List.of(file.toString(), "--plan", plan.toString(), "--course", "C 1"));
        arguments.addAll(List.of(more));
        return command(arguments.toArray(String[]::new));
    }

    private int command(String... arguments) throws IOException {
        StringWriter out = new StringWriter();
        int status = OutlineCommand.run(arguments, out, new PrintStream(errors, true, StandardCharsets.UTF_8));
        printed = out.toString();
        return status;
    }

    private List<CSVRecord> rows() throws IOException {
        return CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(printed))
                .getRecords();
    }

    @Test
    void aSheetWithoutDoubtsEndsWithNothing() throws IOException {
        int status = run(
                "Unit\tDate\tTopic\tHomework\tDue\tPts\nSnow\t8/31\tFirn\tSheet, \"blue\"\t9/2 17:00\t10\n\t9/2\tDepth\t\t\t\n");
        assertThat(status).isZero();
        assertThat(printed.lines().findFirst()).contains(HEADER);
        List<CSVRecord> rows = rows();
        assertThat(rows).extracting(r -> r.get("what")).containsExactly("nothing", "unit", "lesson", "work", "lesson");
        CSVRecord work = rows.get(3);
        assertThat(work.toMap())
                .containsEntry("row", "2")
                .containsEntry("unit", "Snow")
                .containsEntry("title", "Sheet, \"blue\"")
                .containsEntry("kind", "homework")
                .containsEntry("lesson", "Firn")
                .containsEntry("due", "2026-09-02T17:00")
                .containsEntry("points", "10")
                .containsEntry("opens", "")
                .containsEntry("doubt", "");
        assertThat(rows.get(4).get("date")).isEqualTo("2026-09-02");
    }

    @Test
    void doubtsAreStatusOne() throws IOException {
        assertThat(run("Date\tTopic\tZettel\n8/31\tFirn\tBlue\n")).isEqualTo(1);
        assertThat(rows().get(0).toMap())
                .containsEntry("row", "0")
                .containsEntry("what", "nothing")
                .hasEntrySatisfying("doubt", doubt -> assertThat(doubt).contains("Zettel"));
    }

    @Test
    void theSectionIsChosen() throws IOException {
        run("Topic\tHomework\tDue\nFirn\tOne\tstart of class\n", "--section", "B");
        assertThat(rows()).anyMatch(r -> r.get("due").equals("2026-09-01T13:00"));
    }

    @Test
    void theColumnsAlone() throws IOException {
        run("Date\tTopic\tDue\n8/31\tFirn\tSheet 1 due 9/4\n", "--columns");
        assertThat(printed)
                .isEqualTo("column,head,meaning\r\n1,Date,date\r\n2,Topic,lesson title\r\n3,Due,work due\r\n");
    }

    @Test
    void thePlanIsWrittenAndReadBack() throws IOException {
        Path made = folder.resolve("new.json");
        run("Date\tTopic\tHomework\tDue\n8/31\tFirn\tSheet\t9/2 17:00\n", "--out", made.toString());
        PlanFile.Reading read = PlanFile.read(Files.readAllBytes(made));
        assertThat(read.faults()).isEmpty();
        Decisions decisions = read.decisions();
        assertThat(decisions.courses().get(0).units())
                .singleElement()
                .satisfies(
                        u -> assertThat(u.title()).as("named after the course").isEqualTo("Ice"));
        assertThat(decisions.courses().get(0).items()).hasSize(1);
    }

    @Test
    void whatIsMissingOrCannotBeReadIsStatusTwoWithTheReason() throws IOException {
        assertThat(command(folder.resolve("none.tsv").toString(), "--plan", plan.toString(), "--course", "C 1"))
                .isEqualTo(2);
        assertThat(run("x", "--section", "Z")).isEqualTo(2);
        assertThat(command(folder.resolve("sheet.tsv").toString(), "--plan", plan.toString(), "--course", "X 9"))
                .isEqualTo(2);
        assertThat(command(folder.resolve("sheet.tsv").toString(), "--plan", plan.toString()))
                .isEqualTo(2);
        Path broken = Files.writeString(folder.resolve("broken.pdf"), "%PDF-1.4 none");
        assertThat(command(broken.toString(), "--plan", plan.toString(), "--course", "C 1"))
                .isEqualTo(2);
        assertThat(errors.toString(StandardCharsets.UTF_8))
                .contains(
                        "there is no such file",
                        "C 1 has no section “Z”, but A, B.",
                        "The plan has no course “X 9”, but C 1.",
                        "Give --course",
                        "no PDF that can be read");
    }
}
