package app.matsuri.exchange.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the columns of a sheet were taken for. */
class ColumnsTest {

    private static Sheet sheet(String... rows) {
        return Sheet.of(
                String.join("\n", rows).replace(" | ", "\t").replace(" |", "\t").replace("| ", "\t"));
    }

    private static String meanings(Sheet sheet, Map<Integer, Meaning> said) {
        return sheet.read(WorkWordsTest.TERM, said, Map.of()).columns().stream()
                .map(c -> c.meaning().said())
                .collect(Collectors.joining(", "));
    }

    private static List<String> doubts(Sheet sheet) {
        return sheet.read(WorkWordsTest.TERM, Map.of(), Map.of()).entries().stream()
                .filter(e -> e.row() == 0)
                .flatMap(e -> e.doubts().stream())
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "Week;week",
                "Wk;week",
                "Woche;week",
                "Semaine;week",
                "Date;date",
                "Datum;date",
                "Week beginning;date",
                "Fecha;date",
                "Unit;unit",
                "Module;unit",
                "Chapitre;unit",
                "Unidad;unit",
                "Topic;lesson title",
                "Topics (M/W/F);lesson title",
                "Topic / activity;lesson title",
                "Thema;lesson title",
                "Contenu;lesson title",
                "Tema;lesson title",
                "Lectures;lesson title",
                "Reading (before class);reading",
                "Read first;reading",
                "Prep (finish before class);reading",
                "Seminar reading;reading",
                "À lire;reading",
                "Lektüre;reading",
                "Lab (alt. Thu);lab",
                "Praktikum;lab",
                "Homework;work",
                "Assessment;work",
                "Hausaufgabe;work",
                "Devoirs;work",
                "Coursework;work",
                "Quiz/Exam;quiz/exam",
                "Quizzes and tests;quiz/exam",
                "Work due (Sundays 11:59pm unless stated);work due",
                "Assignment due;work due",
                "Hand in by;due date",
                "Deadline;due date",
                "Bis wann;due date",
                "Pour le;due date",
                "Given out;opens",
                "Available from;opens",
                "Last chance;closes",
                "Accepted until;closes",
                "Pts;points",
                "Max points;points",
                "Weight;percent",
                "% of grade;percent",
                "Time needed;minutes",
                "Periods;sessions",
                "# of days;sessions",
                "Objectives;objectives",
                "Learning goals;objectives",
                "Graded by;marker",
                "Comments;notes",
                "Bemerkungen;notes",
            })
    void heads(String head, String meaning) {
        assertThat(Meaning.ofHead(head)).map(Meaning::said).contains(meaning);
    }

    @Test
    void everyMeaningIsFoundByItsName() {
        assertThat(Arrays.stream(Meaning.values()).map(Meaning::said)).doesNotHaveDuplicates();
        assertThat(Arrays.stream(Meaning.values()).map(m -> Meaning.of(m.said())))
                .containsExactly(Meaning.values());
    }

    @Test
    void titlesAboveTheHeadsAreNoHeads() {
        Sheet sheet = sheet(
                "Unit plan for Rivers | | ",
                "Ms. Abara, room 4 | | ",
                "Date | Topic | Homework",
                "8/31 | Firn | Sheet 1",
                "9/2 | Depth | ");
        assertThat(meanings(sheet, Map.of())).isEqualTo("date, lesson title, work");
        assertThat(sheet.read(WorkWordsTest.TERM, Map.of(), Map.of()).entries())
                .filteredOn(e -> e instanceof Entry.Nothing)
                .extracting(Entry::row)
                .containsExactly(1, 2, 3);
    }

    @Test
    void aHeadThatMayMeanTwoThingsIsToldByItsContents() {
        assertThat(meanings(sheet("Session | Topic", "1 | Firn", "2 | Depth", "3 | Wells", "4 | Creep"), Map.of()))
                .isEqualTo("class number, lesson title");
        assertThat(meanings(sheet("Sessions | Topic", "1 | Firn", "2 | Depth", "1 | Wells", "3 | Creep"), Map.of()))
                .isEqualTo("sessions, lesson title");
        assertThat(meanings(
                        sheet("Topic | Homework | Due", "Firn | Sheet 1 | 9/4 5pm", "Depth | Sheet 2 | next class"),
                        Map.of()))
                .isEqualTo("lesson title, work, due date");
        assertThat(meanings(sheet("Topic | Due", "Firn | Sheet 1 due 9/4", "Depth | Quiz 1"), Map.of()))
                .isEqualTo("lesson title, work due");
    }

    @Test
    void whatNoColumnTakesIsSaid() {
        Sheet sheet = sheet("Date | Topic | Zettel", "8/31 | Firn | Blue", "9/2 | Depth | Red");
        assertThat(meanings(sheet, Map.of())).isEqualTo("date, lesson title, not taken");
        assertThat(doubts(sheet))
                .containsExactly("Column 3 “Zettel” is not taken: say what it has. It begins with “Blue”.");
    }

    @Test
    void whatAPersonSaysOfAColumnCounts() {
        Sheet sheet = sheet("Date | Topic | Zettel", "8/31 | Firn | Blue", "9/2 | Depth | Red");
        assertThat(meanings(sheet, Map.of(2, Meaning.WORK))).isEqualTo("date, lesson title, work");
        assertThat(meanings(sheet, Map.of(2, Meaning.LESSON)))
                .as("only one column has the lessons")
                .isEqualTo("date, not taken, lesson title");
    }

    @Test
    void withoutHeadsItsContentsTell() {
        assertThat(meanings(
                        sheet(
                                "8/31 | Why rivers bend | Ch. 1",
                                "9/2 | Stage and staff gauges | Ch. 2",
                                "9/9 | Current meters | pp. 4-9"),
                        Map.of()))
                .isEqualTo("date, lesson title, reading");
        assertThat(meanings(sheet("Basins | Rain | 2 | Set 1 | same day"), Map.of()))
                .as("in the usual order")
                .isEqualTo("unit, lesson title, sessions, work, due date");
    }

    @Test
    void emptyRowsAndHeadsOnceMoreAreNothing() {
        Sheet sheet = sheet("Date | Topic", "8/31 | Firn", " | ", "Date | Topic", "9/2 | Depth");
        List<Entry> entries = sheet.read(WorkWordsTest.TERM, Map.of(), Map.of()).entries();
        assertThat(entries).extracting(Entry::row).containsExactly(1, 2, 4, 5);
        assertThat(entries.get(2)).isInstanceOf(Entry.Nothing.class);
    }

    @Test
    void aFileMayUseAnySeparator() {
        Sheet sheet = Sheet.table(new app.matsuri.exchange.file.Given(
                "x.csv", "Date;Topic;Homework\n8/31;Firn;\"Sheet 1; Sheet 2\"\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(meanings(sheet, Map.of())).isEqualTo("date, lesson title, work");
        assertThat(sheet.read(WorkWordsTest.TERM, Map.of(), Map.of()).entries())
                .filteredOn(e -> e instanceof Entry.Given)
                .hasSize(2);
    }
}
