package app.matsuri.exchange.table;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Together;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.session.Session;
import app.matsuri.exchange.Files;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.TableFile;
import app.matsuri.exchange.plan.PlanFile;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.UnaryOperator;
import org.apache.commons.csv.CSVFormat;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The table of classes out and back. */
class ClassesSheetTest {

    private static Decisions demo;

    @BeforeAll
    static void readTheDemo() throws Exception {
        demo = PlanFile.read(java.nio.file.Files.readString(Files.demo("autumn-2026.json")))
                .decisions();
    }

    private static List<List<String>> rows(String name, byte[] content) {
        return new ArrayList<>(TableFile.rows(new Given(name, content)));
    }

    private static List<List<String>> table() {
        return rows("classes.csv", ClassesSheet.csv(Schedule.of(demo)).getBytes(StandardCharsets.UTF_8));
    }

    private static TableReading read(List<List<String>> rows, Decisions decisions) {
        return TableReader.read(rows, decisions, null, LocalDate.of(2026, 10, 7), false);
    }

    /** The row of a class of HYD 210, section A, with cells written otherwise. */
    private static List<List<String>> with(String firstStart, UnaryOperator<List<String>> otherwise) {
        List<List<String>> rows = table();
        rows.replaceAll(row -> row.get(0).equals("HYD 210")
                        && row.get(1).equals("A")
                        && row.get(11).equals(firstStart)
                ? otherwise.apply(new ArrayList<>(row))
                : row);
        return rows;
    }

    private static UnaryOperator<List<String>> cell(int column, String text) {
        return row -> {
            row.set(column, text);
            return row;
        };
    }

    private static Session session(Decisions decisions, String name) {
        return Schedule.of(decisions).section("HYD 210", "A").orElseThrow().sessions().all().stream()
                .filter(s -> s.name().equals(LocalDateTime.parse(name.replace(' ', 'T'))))
                .findFirst()
                .orElse(null);
    }

    private static Decisions after(TableReading reading) {
        return Change.make(Together.of(reading.changes()), demo).decisions();
    }

    @Test
    void readAgainNothingDiffers() {
        int classes = Schedule.of(demo).sections().stream()
                .mapToInt(s -> s.sessions().size())
                .sum();
        for (List<List<String>> rows :
                List.of(table(), rows("classes.xlsx", ClassesSheet.workbook(Schedule.of(demo))))) {
            TableReading reading = read(rows, demo);
            assertThat(reading.lines()).isEmpty();
            assertThat(reading.changes()).isEmpty();
            assertThat(reading.same()).isEqualTo(classes);
        }
    }

    @Test
    void anotherDayOrTimeMovesTheClassAndAnEmptyDateCancelsIt() {
        String name = "2026-11-04 10:00";
        TableReading moved = read(with(name, cell(3, "5 nov").andThen(cell(6, "11:30"))::apply), demo);
        assertThat(moved.lines()).extracting(TableReading.Line::state).containsExactly("changed");
        Session session = session(after(moved), name);
        assertThat(session.start()).isEqualTo("2026-11-05T10:00");
        assertThat(session.end()).isEqualTo("2026-11-05T11:30");
        assertThat(session(after(read(with(name, cell(3, "")), demo)), name)).isNull();
    }

    @Test
    void aRowMoreIsAClassMoreAndLinksComeAlong() {
        List<List<String>> rows =
                with("2026-11-04 10:00", cell(10, "Recording: https://rec.example/1 https://x.example"));
        rows.add(Arrays.asList("HYD 210", "A", "", "2026-11-07", "", "9:00", "10:00", "", "Weir House 1", "", "", ""));
        Decisions after = after(read(rows, demo));
        assertThat(Schedule.of(after)
                        .section("HYD 210", "A")
                        .orElseThrow()
                        .sessions()
                        .all())
                .anyMatch(s -> s.start().equals(LocalDateTime.of(2026, 11, 7, 9, 0))
                        && s.place().equals("Weir House 1"));
        assertThat(after.course("HYD 210")
                        .orElseThrow()
                        .section("A")
                        .orElseThrow()
                        .sessionLinks()
                        .get(LocalDateTime.of(2026, 11, 4, 10, 0)))
                .extracting(l -> l.title() + "|" + l.url())
                .containsExactly("Recording|https://rec.example/1", "|https://x.example");
        // and all of it is there when the table is read again
        assertThat(read(rows, after).changes()).isEmpty();
    }

    @Test
    void whatCannotBeReadIsSaidAndChangesNothing() {
        List<List<String>> rows = with("2026-11-04 10:00", cell(3, "some day").andThen(cell(10, "no address"))::apply);
        rows.add(Arrays.asList("HYD 210", "Z", "", "2026-11-07"));
        rows.add(Arrays.asList("HYD 210", "A", "", "2026-11-07", "", "", ""));
        rows.add(Arrays.asList("HYD 210", "A", "", "", "", "", "", "", "", "", "", "2026-11-07 10:00"));
        TableReading reading = read(rows, demo);
        assertThat(reading.changes()).isEmpty();
        assertThat(reading.lines())
                .extracting(TableReading.Line::said)
                .containsExactly(
                        "“some day” is no day yet. Write 2026-10-08 or 09:30.",
                        "“no address” is no address.",
                        "There is no such section here.",
                        "A class has a date, a start and an end.",
                        "There is no class that first began then.");
    }

    @Test
    void theTableIsReadByOthersAndOnTheClockThatIsRead() throws Exception {
        String text = ClassesSheet.csv(Schedule.of(demo));
        assertThat(text)
                .startsWith("course,section,class,date,weekday,starts,ends,minutes,place,lessons,links,first start\r\n")
                .contains("HYD 210,A,1,2026-08-31,Monday,10:00,10:50,50,Weir House 2,");
        assertThat(CSVFormat.RFC4180.parse(new StringReader(text)).getRecords())
                .hasSize(table().size())
                .allMatch(row -> row.size() == 12);
        Say.twelveHours(true);
        try {
            assertThat(ClassesSheet.csv(Schedule.of(demo))).contains("2026-08-31,Monday,10:00 am,10:50 am,50");
            assertThat(read(table(), demo).changes()).isEmpty();
        } finally {
            Say.twelveHours(false);
        }
    }
}
