package app.matsuri.exchange.command;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The calendar on the command line; its table read back by Commons CSV. */
class CalendarCommandTest {

    @TempDir
    Path folder;

    private final ByteArrayOutputStream wrong = new ByteArrayOutputStream();
    private int status;

    private String run(String text, String... more) throws IOException {
        Path file = Files.writeString(folder.resolve("calendar.txt"), text);
        List<String> arguments = new ArrayList<>(List.of(file.toString()));
        arguments.addAll(List.of(more));
        StringWriter out = new StringWriter();
        status = CalendarCommand.run(
                arguments.toArray(String[]::new), out, new PrintStream(wrong, true, StandardCharsets.UTF_8));
        return out.toString();
    }

    @Test
    void itPrintsARowForEachThingAndOneForWhatIsPutAside() throws IOException {
        String out = run(
                "Fall 2026\n\nSept 7 Labor Day, no classes\nOct 9: no classes after noon\nSat Oct 17: Monday schedule\nOct 2 Career fair\n",
                "--first",
                "2026-08-24",
                "--last",
                "2026-12-11");
        assertThat(status).isZero();
        List<CSVRecord> rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .get()
                .parse(new StringReader(out))
                .getRecords();
        assertThat(out)
                .startsWith("line,what,first,last,from,to,as,reason,doubt\r\n")
                .endsWith("\r\n");
        assertThat(rows)
                .extracting(r -> String.join(
                        " ",
                        r.get("line"),
                        r.get("what"),
                        r.get("first"),
                        r.get("last"),
                        r.get("from"),
                        r.get("to"),
                        r.get("as")))
                .containsExactly(
                        "3 off 2026-09-07 2026-09-07   ",
                        "4 part 2026-10-09 2026-10-09 12:00 24:00 ",
                        "5 runs-as 2026-10-17 2026-10-17   MO",
                        "5 teaches 2026-10-17 2026-10-17   ",
                        "6 nothing     ");
    }

    @Test
    void aDoubtIsItsStatus() throws IOException {
        String out = run("Nov 3 (M) Founders Day - no classes", "--first", "2026-08-24", "--last", "2026-12-11");
        assertThat(status).isEqualTo(1);
        assertThat(out).contains("2026-11-03 is a Tuesday, and Monday is printed.");
    }

    @Test
    void whatCannotBeReadSaysWhy() throws IOException {
        run("x", "--first", "2026-08-24");
        assertThat(status).isEqualTo(2);
        run("x", "--first", "2026-12-24", "--last", "2026-08-24");
        assertThat(status).isEqualTo(2);
        run("x", "--first", "2026-08-24", "--last", "2026-12-11", "--teaches", "XX");
        assertThat(status).isEqualTo(2);
        run("", "--first", "2026-08-24", "--last", "2026-12-11");
        assertThat(status).isEqualTo(2);
        assertThat(wrong.toString(StandardCharsets.UTF_8))
                .contains("Give --last", "The last day is before the first", "“XX” is no weekday", "is empty");
    }
}
