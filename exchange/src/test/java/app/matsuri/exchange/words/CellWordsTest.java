package app.matsuri.exchange.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.exchange.plan.PlanFile;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * What is typed into a date's cell. Mon Wed Fri 10:00 from 31 August 2026: L1 on Mon 31, L2 on Wed 2 and Fri 4, L3 on Mon
 * 7, L4 on Wed 9 September. Today is Tue 1 September. "Set" belongs to L2 and is due at its start; "Loose" is due on Fri
 * 11 September, 17:00, fixed.
 */
class CellWordsTest {

    private static final Decisions PLAN = PlanFile.read("""
            { "matsuri": 1, "term": { "first": "2026-08-31", "last": "2026-12-18" }, "courses": [ { "code": "C", "title": "C",
              "sections": [ { "code": "A", "meets": [ { "rule": "FREQ=WEEKLY;BYDAY=MO,WE,FR", "start": "10:00", "minutes": 50 } ] } ],
              "units": [ { "id": "U", "code": "W", "title": "Water",
                "lessons": [ { "id": "L1", "title": "1" }, { "id": "L2", "title": "2", "length": 2 }, { "id": "L3", "title": "3" }, { "id": "L4", "title": "4" } ],
                "items": [ { "id": "S", "lesson": "L2", "title": "Set", "due": { "lesson": "L2" } },
                           { "id": "O", "title": "Loose", "due": { "at": "2026-09-11T17:00" } },
                           { "id": "N", "title": "New" } ] } ] } ] }
            """).decisions();

    private static CellWords words(boolean dayFirst) {
        return new CellWords(PLAN, Schedule.of(PLAN), LocalDate.of(2026, 9, 1), dayFirst);
    }

    private static CellWords.Cell read(String item, String which, String text) throws CellWords.NotUnderstood {
        return words(false).read("C", item, "A", Which.valueOf(which.toUpperCase(Locale.ROOT)), text);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "S | due | 3 nov | 2026-11-03T23:59 | fixed",
                "S | due | 5pm | 2026-09-02T17:00 | start of L2",
                "S | due | next class | 2026-09-04T10:00 | L2 +1 class",
                "S | due | +2 | 2026-09-08T23:59 | L2 +2 teaching days",
                "S | due | fri | 2026-09-04T23:59 | end of L2, then friday",
                "S | due | L4 end +1d | 2026-09-10T23:59 | L4 +1 day",
                "S | due | L4 start -1 week, 8:00 | 2026-09-02T08:00 | L4 start −1 week",
                "S | due | end of L4 | 2026-09-09T10:50 | end of L4",
                "S | due | l4 | 2026-09-09T10:00 | start of L4",
                "S | due | L4 +1 class | 2026-09-11T10:00 | L4 +1 class",
                "S | due | unit w start +1 week | 2026-09-07T23:59 | unit U start +1 week",
                "S | closes | due +2 days | 2026-09-04T10:00 | due +2 days",
                "S | closes | with due | 2026-09-02T10:00 | with due",
                "S | opens | due -1 week, 08:00 | 2026-08-26T08:00 | due −1 week",
                "S | due | L1 +3 days, then monday, 12:00 | 2026-09-07T12:00 | L1 +3 days, then monday",
                "S | due | week 3 sunday | 2026-09-20T23:59 | week 3 sunday",
                "O | due | 8:00 | 2026-09-11T08:00 | fixed",
                "O | due | +7 days | 2026-09-18T17:00 | fixed",
                "O | due | +2 weeks, 9am | 2026-09-25T09:00 | fixed",
                "O | due | next class | 2026-09-14T10:00 | fixed",
                "O | due | mon | 2026-09-14T17:00 | fixed",
                "N | due | next class | 2026-09-02T10:00 | start of L2",
                "N | due | fri | 2026-09-04T23:59 | fixed",
                "N | due | 3. Nov., 17 Uhr | 2026-11-03T17:00 | fixed",
                "N | due | 3 novembre, 17h30 | 2026-11-03T17:30 | fixed",
                "N | due | 3 de noviembre | 2026-11-03T23:59 | fixed",
                "N | due | 2026-11-03 17:00 | 2026-11-03T17:00 | fixed"
            })
    void isUnderstoodByWhatStandsThere(String item, String which, String text, LocalDateTime at, String said)
            throws Exception {
        CellWords.Cell cell = read(item, which, text);
        assertThat(cell.date().at()).isEqualTo(at);
        assertThat(cell.said()).isEqualTo(said);
        String typed = RuleSaid.typed(cell.own().said().orElseThrow());
        assertThat(read(item, which, typed).own().said())
                .as("typed again as “%s”", typed)
                .isEqualTo(cell.own().said());
    }

    @ParameterizedTest
    @ValueSource(strings = {"", " ", "-", "never", "none", "No date"})
    void saysThatThereIsNoDate(String text) throws Exception {
        assertThat(read("S", "due", text).own().said()).isEqualTo(Optional.empty());
    }

    @Test
    void goesBackToThePlan() throws Exception {
        assertThat(read("S", "due", "same").own().said())
                .isEqualTo(Optional.of(
                        PLAN.courses().get(0).item("S").orElseThrow().due()));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"N | due | 5pm", "S | due | soonish", "S | due | L9 +1 day", "O | due | 32 oct"})
    void saysWhatToWriteWhereItIsNoDate(String item, String which, String text) {
        assertThatThrownBy(() -> read(item, which, text))
                .isInstanceOf(CellWords.NotUnderstood.class)
                .hasMessageMatching("(?s).*(Write|has no).*");
    }

    /** Common practice: 3/11 is 3 November in Britain, 11 March in the US; a locale without a country goes by its language. */
    @ParameterizedTest
    @CsvSource({"en-GB, 2026-11-09", "en-US, 2026-09-11", "en, 2026-09-11", "de, 2026-11-09", "fr-FR, 2026-11-09"})
    void slashesAreReadAsTheLocaleWritesThem(String tag, LocalDate day) throws Exception {
        CellWords words = words(CellWords.dayFirst(Locale.forLanguageTag(tag)));
        assertThat(words.read("C", "N", null, Which.DUE, "9/11").date().at().toLocalDate())
                .isEqualTo(day);
    }
}
