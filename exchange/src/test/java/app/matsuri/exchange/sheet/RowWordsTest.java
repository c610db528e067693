package app.matsuri.exchange.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Rows that are no lessons, and what stands around the title of one. */
class RowWordsTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "NO CLASS – Labor Day",
                "FALL BREAK",
                "FALL BREAK. No class.",
                "THANKSGIVING – no class",
                "(NO SCHOOL Fri 10/9 – Tue 10/13)",
                "ELECTION DAY 11/3 - no students",
                "Thanksgiving",
                "WINTER BREAK",
                "Labor Day, no class",
                "Herbstferien",
                "Unterricht entfällt, schulfrei",
                "Vacances de la Toussaint",
                "Pas de cours (férié)",
                "Semana Santa",
                "sin clase",
                "no lecture (public holiday)",
                "Spring recess 3/15–3/19"
            })
    void thereIsNoClass(String text) {
        assertThat(RowWords.noClass(text)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Break-up of ice",
                "Breaking waves",
                "Holiday travel: a case study",
                "The class struggle",
                "Schools of thought",
                "Pont du Gard bridges",
                "From crock to factory",
                "No reading – writing day",
                "Reading a map",
                "Labor markets"
            })
    void aLessonThatOnlySoundsSo(String text) {
        assertThat(RowWords.noClass(text)).isFalse();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "MIDTERM 1",
                "EXAM 1 (Parts I and II)",
                "TEST ch. 1-2",
                "Quiz – unit 1",
                "TEST 1 (Units 1 & 2)",
                "Klassenarbeit 1",
                "Contrôle 1",
                "5.4 SEMESTER EXAM",
                "Unit test",
                "Class test 1",
                "Examen final",
                "Final exam Dec 10, 2–4 pm"
            })
    void aTestAsAWhole(String title) {
        assertThat(RowWords.test(title)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Review + exam practice",
                "Test review",
                "Exam prep",
                "Quiz day + catch up",
                "The testing effect",
                "Quiz 1, then nested ifs",
                "Post-mortem; testing your code",
                "Examples of erosion",
                "Contests"
            })
    void noTestAsAWhole(String title) {
        assertThat(RowWords.test(title)).isFalse();
    }

    @Test
    void aTestAmongOtherThings() {
        assertThat(RowWords.testInside("Quiz 1, then nested ifs")).isEqualTo("Quiz 1");
        assertThat(RowWords.testInside("Nested ifs")).isNull();
        assertThat(RowWords.testInside("Quiz 1 review")).isNull();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1.1 Course start (2 days) | 1.1 Course start | 2",
                "1.5 Free fall (2) | 1.5 Free fall | 2",
                "SEMESTER EXAM (90 min, two periods) | SEMESTER EXAM | 2",
                "Project demos (all three days) | Project demos | 3",
                "cryptocurrency (1 period) | cryptocurrency | 1",
                "Runoff, 3 classes | Runoff | 3",
                "El cauce (3 clases) | El cauce | 3",
                "Flüsse (2 Stunden) | Flüsse | 2",
                "Team talks 1–4 | Team talks 1–4 | 0",
                "Chapter 12 | Chapter 12 | 0",
                "Punishment II | Punishment II | 0",
            })
    void howManyClassesATitleSays(String given, String title, int sessions) {
        assertThat(RowWords.sized(given)).isEqualTo(new RowWords.Sized(title, sessions));
    }

    @Test
    void theClassesOfAWeekByTheirDays() {
        assertThat(RowWords.labelled("M: Asking for input"))
                .isEqualTo(new RowWords.Labelled(Set.of(DayOfWeek.MONDAY), "Asking for input"));
        assertThat(RowWords.labelled("W, F: Thanksgiving").days())
                .containsExactlyInAnyOrder(DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY);
        assertThat(RowWords.labelled("Thu – Contours"))
                .isEqualTo(new RowWords.Labelled(Set.of(DayOfWeek.THURSDAY), "Contours"));
        assertThat(RowWords.labelled("Montag: Flüsse").days()).containsExactly(DayOfWeek.MONDAY);
        assertThat(RowWords.labelled("Ratio: a story").days()).isEmpty();
        assertThat(RowWords.labelled("Class 2: Scope")).isEqualTo(new RowWords.Labelled(Set.of(), "Scope"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"Totals", "=SUM(I5:I52)", "Total", "Sum", "gesamt 45"})
    void sums(String text) {
        assertThat(RowWords.total(text)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "* lowest quiz dropped",
                "Note: \"Last chance\" = last moment",
                "Late work: half credit until the unit test.",
                "Extra: if snow days, drop 3.3",
                "(first quarter ends about here - Nov 6)",
                "Instr.: T. Nakagawa",
                "Stand: 12.8."
            })
    void remarks(String text) {
        assertThat(RowWords.comment(text)).isTrue();
    }

    @Test
    void theSecondDayOfALessonInBrackets() {
        assertThat(RowWords.secondDay("(1.3 day 2)")).isTrue();
        assertThat(RowWords.secondDay("(cont.)")).isTrue();
        assertThat(RowWords.secondDay("Sourdough (cont.)")).isFalse();
    }
}
