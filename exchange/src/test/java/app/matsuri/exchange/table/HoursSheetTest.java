package app.matsuri.exchange.table;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.TableFile;
import app.matsuri.exchange.plan.PlanFile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Office hours as a table, out and in. */
class HoursSheetTest {

    private static Decisions demo;

    @BeforeAll
    static void read() throws IOException {
        demo = PlanFile.read(Files.readString(Path.of("..", "demo", "autumn-2026.json")))
                .decisions();
    }

    private static TableReading read(byte[] file, String name) {
        return TableReader.read(TableFile.rows(new Given(name, file)), demo, null, LocalDate.of(2026, 10, 7), true);
    }

    private static TableReading read(String csv) {
        return read(csv.getBytes(StandardCharsets.UTF_8), "hours.csv");
    }

    @Test
    void readAgainNothingDiffers() {
        assertThat(demo.officeHours()).isNotEmpty();
        for (TableReading reading :
                new TableReading[] {read(HoursSheet.csv(demo)), read(HoursSheet.workbook(demo), "hours.xlsx")}) {
            assertThat(reading.changes()).isEmpty();
            assertThat(reading.lines()).isEmpty();
            assertThat(reading.same()).isEqualTo(demo.officeHours().size());
        }
    }

    @Test
    void whatDiffersIsProposedAndARowMoreIsNew() {
        String more = HoursSheet.csv(demo).replaceFirst("in 15 min", "in 20 min")
                + "Lab help,\"Wed 9-10, Store 2\",Knock,https://meet.example/lab\r\nOdd,sometimes,,\r\n,Mon 9-10,,\r\n";
        TableReading reading = read(more);
        Decisions after = demo;
        for (Change change : reading.changes()) {
            after = Change.make(change, after).decisions();
        }
        assertThat(reading.changes()).hasSize(2);
        assertThat(after.officeHours()).hasSize(demo.officeHours().size() + 1);
        assertThat(after.officeHours().get(0).booking().minutes()).isEqualTo(20);
        assertThat(after.officeHours().get(0).booking().fromDays())
                .as("what the table does not say stays")
                .isEqualTo(demo.officeHours().get(0).booking().fromDays());
        var lab = after.officeHours().get(after.officeHours().size() - 1);
        assertThat(lab.title()).isEqualTo("Lab help");
        assertThat(lab.howToCome()).isEqualTo("Knock");
        assertThat(lab.windows().get(0).link()).isEqualTo("https://meet.example/lab");
        assertThat(reading.lines())
                .filteredOn(l -> l.state().equals("not-understood"))
                .extracting(TableReading.Line::row)
                .hasSize(2);
    }
}
