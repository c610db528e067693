package app.matsuri.exchange.command;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.plan.PlanFile;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** ./matsuri roll on the demo: the table in every way, the new plan file, tables of others, and what is refused. */
class RollCommandTest {

    private static final String DEMO = "../demo/autumn-2026.json";
    private static final String SPRING = "../demo/spring-2027.json";

    @TempDir
    Path folder;

    private final ByteArrayOutputStream said = new ByteArrayOutputStream();

    private int run(StringWriter out, String... arguments) throws Exception {
        return RollCommand.run(arguments, out, new PrintStream(said, true, StandardCharsets.UTF_8));
    }

    private List<String> rows(String... arguments) throws Exception {
        StringWriter out = new StringWriter();
        assertThat(run(out, arguments))
                .as(said.toString(StandardCharsets.UTF_8))
                .isZero();
        List<String> lines = List.of(out.toString().split("\r\n"));
        assertThat(lines.get(0)).isEqualTo("section,what,id,title,old,new,why,state");
        return lines.subList(1, lines.size());
    }

    @Test
    void printsEveryDateInEveryWay() throws Exception {
        for (String by : List.of("class", "week", "teaching-week", "days=141", "rule")) {
            List<String> rows = rows(DEMO, "--course", "HYD 210", "--to", SPRING, "--by", by);
            assertThat(rows).as(by).hasSizeGreaterThan(250);
            assertThat(rows)
                    .as(by)
                    .anyMatch(r ->
                            r.startsWith("A,lesson,BA1,What a river answers to,2026-08-31T10:00,2027-01-20T10:00"));
        }
        assertThat(rows(DEMO, "--course", "HYD 210", "--to", SPRING, "--by", "rule"))
                .allMatch(r -> r.matches(".*,(kept|carried)") || r.contains(",,") && r.matches(".*,(hand|lost)"))
                .anyMatch(r -> r.startsWith("A,pin,"));
        assertThat(rows(DEMO, "--course", "HYD 210", "--to", SPRING, "--by", "class"))
                .contains(
                        "A,due,wading-form,Wading safety form,2026-09-03T12:00,2027-01-25T12:00,1 teaching day behind session 2,carried");
        assertThat(rows(DEMO, "--course", "HYD 210", "--to", SPRING, "--by", "rule"))
                .anyMatch(r -> r.startsWith("A,due,wading-form,Wading safety form,2026-09-03T12:00,,"));
    }

    /** The table in docs/rollover.md: the figures of every way add up to all dates, and are those of the table. */
    @Test
    void sevenWaysIntoAShorterTermOnOtherWeekdays() throws Exception {
        List<String> table = Files.readString(Path.of("../docs/rollover.md"))
                .lines()
                .filter(line -> line.matches("\\| `(class|week|teaching-week|days=\\d+|rule)` \\| .*"))
                .toList();
        assertThat(table).hasSize(7);
        for (String line : table) {
            String[] cells = line.replace("`", "").substring(2).split(" *\\| *");
            List<Integer> figures = new ArrayList<>();
            for (String fit : List.of("", "--fit")) {
                List<String> arguments = new ArrayList<>(List.of(
                        DEMO, "--course", "HYD 210", "--to", "../demo/spring-2027-short.json", "--by", cells[0]));
                if (!fit.isEmpty()) {
                    arguments.add(fit);
                }
                List<String> rows = rows(arguments.toArray(String[]::new));
                List<String> lost =
                        rows.stream().filter(r -> r.endsWith(",lost")).toList();
                int hand = (int) rows.stream().filter(r -> r.endsWith(",hand")).count();
                int placed = (int) rows.stream()
                        .filter(r -> r.matches(".*,(kept|carried)"))
                        .count();
                assertThat(placed + hand + lost.size()).isEqualTo(rows.size()).isEqualTo(133);
                figures.addAll(List.of(placed, hand, lost.size(), (int)
                        lost.stream().filter(r -> r.startsWith("A,lesson,")).count()));
            }
            assertThat(figures)
                    .as(cells[0])
                    .extracting(String::valueOf)
                    .containsExactly(Arrays.copyOfRange(cells, 1, cells.length));
        }
    }

    @Test
    void writesThePlanFileWithNothingPrivateInIt() throws Exception {
        Path out = folder.resolve("new.json");
        rows(DEMO, "--course", "HYD 210", "--to", SPRING, "--by", "rule", "--out", out.toString());
        String text = Files.readString(out);
        for (String word :
                List.of("\"students\"", "\"taught\"", "\"told\"", "\"toldWork\"", "\"tellings\"", "\"adjustments\"")) {
            assertThat(text).doesNotContain(word);
        }
        Decisions read = PlanFile.read(text).decisions();
        assertThat(read.term().name()).isEqualTo("Spring 2027");
        assertThat(read.courses().get(0).besides().took()).isNotEmpty();
        assertThat(read.courses().get(0).besides().notices()).isNotEmpty();
        StringWriter again = new StringWriter();
        assertThat(run(again, DEMO, "--course", "HYD 210", "--to", out.toString(), "--by", "rule"))
                .isEqualTo(2);
        assertThat(said.toString(StandardCharsets.UTF_8)).contains("was rolled over to Spring 2027 before");
    }

    @Test
    void mapOneFifteenIntoATermTwoWeeksShorterIsMadeToFit() throws Exception {
        Path term = folder.resolve("short.json");
        Files.writeString(
                term,
                Files.readString(Path.of(SPRING)).replace("\"last\": \"2027-05-07\"", "\"last\": \"2027-04-23\""));
        List<String> plain = rows(DEMO, "--course", "MAP 115", "--to", term.toString(), "--by", "rule");
        assertThat(plain).anyMatch(r -> r.contains(",lesson,") && r.contains("sessions end with"));
        List<String> fitted = rows(DEMO, "--course", "MAP 115", "--to", term.toString(), "--by", "rule", "--fit");
        assertThat(fitted).noneMatch(r -> r.contains("sessions end with"));
        assertThat(said.toString(StandardCharsets.UTF_8)).contains("made to fit");
    }

    @Test
    void aTableOfAnotherSystemIsRolledWithTheSameTable() throws Exception {
        Path table = folder.resolve("dates.csv");
        Files.writeString(table, "Title,Due date\r\nLog 1,2026-09-11 17:00\r\nLog 2,2026-10-30 17:00\r\n");
        List<String> byWeek = rows(
                table.toString(),
                "--course",
                "HYD 210",
                "--from",
                DEMO,
                "--to",
                SPRING,
                "--by",
                "week",
                "--units",
                "work");
        assertThat(byWeek)
                .filteredOn(r -> r.startsWith("A,"))
                .containsExactly(
                        "A,due,log-1,Log 1,2026-09-11T17:00,2027-01-29T17:00,\"week 2, Friday\",carried",
                        "A,due,log-2,Log 2,2026-10-30T17:00,2027-03-22T17:00,\"week 9, Friday would be Fri 19 Mar, Spring break\",carried");
        List<String> byClass =
                rows(table.toString(), "--course", "HYD 210", "--from", DEMO, "--to", SPRING, "--by", "class");
        assertThat(LocalDateTime.parse(byClass.get(0).split(",")[5])).isEqualTo("2027-01-29T17:00");
    }

    @Test
    void saysWhatIsWrong() throws Exception {
        assertThat(run(new StringWriter(), DEMO, "--course", "HYD 210", "--to", SPRING, "--by", "moon"))
                .isEqualTo(2);
        assertThat(run(new StringWriter(), DEMO, "--course", "XYZ 1", "--to", SPRING, "--by", "rule"))
                .isEqualTo(2);
        assertThat(run(new StringWriter(), DEMO, "--course", "HYD 210", "--by", "rule"))
                .isEqualTo(2);
        assertThat(said.toString(StandardCharsets.UTF_8))
                .contains("There is no way “moon”")
                .contains("no course “XYZ 1”")
                .contains("--to");
    }
}
