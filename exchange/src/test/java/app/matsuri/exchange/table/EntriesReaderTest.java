package app.matsuri.exchange.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Together;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.exchange.Files;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.TableFile;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.plan.PlanFile;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Tables of entries under other heads, as calendars write them. */
class EntriesReaderTest {

    private static Decisions demo;

    @BeforeAll
    static void readTheDemo() throws Exception {
        demo = PlanFile.read(java.nio.file.Files.readString(Files.demo("autumn-2026.json")))
                .decisions();
    }

    private static TableReading read(String table) {
        List<List<String>> rows = TableFile.rows(new Given("entries.csv", table.getBytes(StandardCharsets.UTF_8)));
        return TableReader.read(rows, demo, "HYD 210", LocalDate.of(2026, 10, 7), false);
    }

    private static Decisions after(TableReading reading) {
        return Change.make(Together.of(reading.changes()), demo).decisions();
    }

    /** The same two entries, as they are written in each language and with the columns in other orders. */
    @ParameterizedTest
    @ValueSource(strings = {"""
                Subject,Start Date,Start Time,End Date,End Time,All day event,Description,Location
                Boat trip,10/23/2026,9:00 AM,10/23/2026,4:30 PM,False,Bring boots,Weir House
                Open days,11/13/2026,,11/14/2026,,True,,
                """, """
                Ort;Betreff;Beginnt am;Beginnt um;Endet am;Endet um;Ganztägiges Ereignis;Beschreibung
                Weir House;Boat trip;23.10.2026;09:00;23.10.2026;16:30;Falsch;Bring boots
                ;Open days;13.11.2026;;14.11.2026;;Wahr;
                """, """
                Objet;Début;Fin;Journée entière;Lieu;Remarques
                Boat trip;23/10/2026 09:00;23/10/2026 16:30;non;Weir House;Bring boots
                Open days;13/11/2026;14/11/2026;oui;;
                """, """
                Fecha;Desde;Hasta;Fecha fin;Asunto;Lugar;Notas
                23/10/2026;9:00;16:30;;Boat trip;Weir House;Bring boots
                13/11/2026;;;14/11/2026;Open days;;
                """})
    void entriesUnderAnyHeadsBecomeNotices(String table) {
        TableReading reading = read(table);
        assertThat(reading.lines())
                .extracting(TableReading.Line::said)
                .containsExactly(
                        "in HYD 210: “Boat trip”, a notice: Fri 23 Oct, 09:00 to 16:30, Weir House",
                        "in HYD 210: “Open days”, a notice: Fri 13 Nov to Sat 14 Nov");
        Decisions after = after(reading);
        assertThat(after.course("HYD 210")
                        .orElseThrow()
                        .notice("boat-trip")
                        .orElseThrow()
                        .text())
                .isEqualTo("Bring boots");
        List<List<String>> rows = TableFile.rows(new Given("entries.csv", table.getBytes(StandardCharsets.UTF_8)));
        TableReading again = TableReader.read(rows, after, "HYD 210", LocalDate.of(2026, 10, 7), false);
        assertThat(again.changes()).isEmpty();
        assertThat(again.same()).isEqualTo(2);
    }

    @Test
    void withoutHeadsTheContentsSayWhatAColumnIs() {
        TableReading reading = read("""
                2026-10-23,09:00,16:30,Boat trip,Meet at the pier and bring boots for the wet part
                2026-11-13,10:00,12:00,Open morning,Nobody needs to bring anything at all this time
                """);
        assertThat(reading.lines())
                .extracting(TableReading.Line::said)
                .containsExactly(
                        "in HYD 210: “Boat trip”, a notice: Fri 23 Oct, 09:00 to 16:30",
                        "in HYD 210: “Open morning”, a notice: Fri 13 Nov, 10:00 to 12:00");
    }

    @Test
    void whatIsCalledAsWorkIsWhenThatIsDueAndAClassIsAClass() {
        LocalDateTime session = Schedule.of(demo)
                .section("HYD 210", "A")
                .orElseThrow()
                .sessions()
                .get(3)
                .start();
        TableReading reading = read("Title,Start,End\n"
                + "HYD 210: Lab report 3,2026-11-20 16:45,2026-11-20 17:00\n"
                + "Class," + session.toString().replace('T', ' ') + ",\n");
        assertThat(reading.same()).isEqualTo(1);
        assertThat(reading.lines()).hasSize(1);
        Decisions after = after(reading);
        var item = after.course("HYD 210").orElseThrow().items().stream()
                .filter(i -> i.title().equals("Lab report 3"))
                .findFirst()
                .orElseThrow();
        assertThat(Schedule.of(after)
                        .section("HYD 210", "B")
                        .orElseThrow()
                        .dated(item)
                        .orElseThrow()
                        .at(Which.DUE))
                .isEqualTo("2026-11-20T17:00");
    }

    @Test
    void whatCannotBeReadIsSaidAndNothingOfItIsDone() {
        TableReading reading = read("""
                Title,Start date,Start time,End date,Organiser
                Boat trip,some day,,,Ines Okafor
                ,2026-10-23,,,Ines Okafor
                Backwards,2026-10-23,09:00,2026-10-22,Ines Okafor
                Late,2026-10-23,09:00,never,Ines Okafor
                A,2026-10-24,,,
                B,2026-10-25,,,
                C,2026-10-26,,,
                D,2026-10-27,,2026-10-27,
                E,2026-10-28,,2026-10-28,
                F,2026-10-29,,2026-10-29,
                G,2026-10-30,,2026-10-30,
                """);
        assertThat(reading.lines().stream().filter(l -> !l.state().equals("changed")))
                .extracting(l -> l.row() + " " + l.said())
                .containsExactly(
                        "1 Nothing is read from “Organiser”.",
                        "2 “some day” is no day yet. Write 2026-10-08.",
                        "3 It has no title.",
                        "4 It ends before it begins.",
                        "5 “never” is no day yet.");
        assertThat(reading.changes()).hasSize(7);
    }

    @Test
    void aTableWithoutTitlesOrDaysIsRefusedWithWhatToWrite() {
        assertThatThrownBy(() -> read("Points,Weight\n3,4\n"))
                .isInstanceOf(Unreadable.class)
                .hasMessageContaining("The first row names the columns: title, start date");
    }
}
