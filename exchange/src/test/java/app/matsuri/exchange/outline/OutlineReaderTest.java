package app.matsuri.exchange.outline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.exchange.school.DaysOffReader;
import app.matsuri.exchange.words.DayWords;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Outlines, lists of days off, and the start of a term from what is typed. */
class OutlineReaderTest {

    private static final DayWords DAYS =
            new DayWords(LocalDate.of(2026, 10, 7), LocalDate.of(2026, 8, 31), LocalDate.of(2026, 12, 18));

    private static final String TABLE = """
            Unit\tTopic\tDays\tAssignment\tDue
            Basins\tWhat a river answers to\t1\tPost 1\ttwo days after
            \tDivides and outlets\t\tRead 1; Set 1\tsame day; +3
            Gauging\tCurrent meter\t2\tQuiz 1\tin class
            \t"Speed, with ""floats"\""\t1\t\t
            """;

    private static final String INDENTED = """
            Basins
              What a river answers to
                Post 1, 40 min, 5 points, due 2 days after, 23:59
              Current meter (2)
                - Lab report 1, due next class
            Gauging
            \tSpare day
            \tReach project: report, due 3 nov
            """;

    @Test
    void readsATablePastedFromASpreadsheet() {
        OutlineReader.Reading reading = OutlineReader.read(TABLE, DAYS);
        assertThat(reading.lines())
                .extracting(OutlineReader.Line::state)
                .containsExactly("heading", "lesson", "lesson", "lesson", "lesson");
        assertThat(reading.units()).extracting(Unit::title).containsExactly("Basins", "Gauging");
        assertThat(reading.units().get(0).lessons()).extracting(Lesson::id).containsExactly("BA1", "BA2");
        assertThat(reading.units().get(0).items()).extracting(Item::title).containsExactly("Post 1", "Read 1", "Set 1");
        assertThat(reading.units().get(1).lessons().get(0).length()).isEqualTo(2);
        assertThat(reading.units().get(1).lessons().get(1).title()).isEqualTo("Speed, with \"floats\"");
        assertThat(reading.units().get(1).items().get(0).kind()).isEqualTo("quiz");
    }

    @Test
    void readsIndentedText() {
        OutlineReader.Reading reading = OutlineReader.read(INDENTED, DAYS);
        assertThat(reading.lines())
                .extracting(OutlineReader.Line::state)
                .containsExactly("unit", "lesson", "work", "lesson", "work", "unit", "lesson", "work");
        Item post = reading.units().get(0).items().get(0);
        assertThat(post.title()).isEqualTo("Post 1");
        assertThat(post.minutes()).isEqualTo(40);
        assertThat(post.points()).isEqualByComparingTo("5");
        assertThat(post.lesson()).isEqualTo("BA1");
        assertThat(reading.units().get(0).lessons().get(1).length()).isEqualTo(2);
        assertThat(reading.units().get(1).lessons().get(0).reserve()).isTrue();
        assertThat(reading.units().get(1).items().get(0).due().fixed()).isTrue();
    }

    @Test
    void noFlagIsSetThatItsWordsDoNotName() {
        OutlineReader.Reading reading = OutlineReader.read(
                "Basins\n  Rain (3)\n  Review\n  Divides, if time\n  Wells (optional)\n  Spare day", DAYS);
        List<Lesson> lessons = reading.units().get(0).lessons();
        assertThat(lessons).extracting(Lesson::minLength).containsExactly(3, 1, 1, 1, 1);
        assertThat(lessons).extracting(Lesson::optional).containsExactly(false, false, true, true, false);
        assertThat(lessons).extracting(Lesson::reserve).containsExactly(false, false, false, false, true);
        assertThat(lessons).noneMatch(Lesson::joinable);
        assertThat(reading.units().get(0).yields()).isNull();
        assertThat(reading.lines().get(3).said()).contains("may be left out");
        assertThat(reading.lines().get(5).said()).contains("a spare day");
    }

    @Test
    void whatIsNotUnderstoodIsKeptAndMarked() {
        OutlineReader.Reading reading =
                OutlineReader.read("Basins\n  One\n    Essay, due sometime soon\n    due 3 nov", DAYS);
        assertThat(reading.lines())
                .extracting(OutlineReader.Line::state)
                .containsExactly("unit", "lesson", "doubtful", "not-understood");
        assertThat(reading.lines().get(2).text()).isEqualTo("    Essay, due sometime soon");
        assertThat(reading.units().get(0).items())
                .as("the work stands, without a date")
                .hasSize(1);
    }

    /** Lessons first, and later the work for them, from a table that names the lesson in each row. */
    @Test
    void whatTheCourseHasGetsWhatStandsBelowIt() {
        Unit basins = OutlineReader.read("Basins\n  Rain (2)\n    Read 1\n  Runoff", DAYS)
                .units()
                .get(0);
        Course into = Course.of("HYD 210", "Rivers", 50, List.of(), List.of(basins));
        OutlineReader.Reading reading = OutlineReader.read(
                String.join(
                        "\n",
                        "unit\tlesson\twork\tdue",
                        "Basins\tRain\tRead 1\tsame day",
                        "Basins\tRain\tSet 1\tBA2 +2 days",
                        "ba\tba2\tSet 2\tsame day",
                        "BA\tFloods\tSet 3\tsame day",
                        "BA\tFloods\tRead 4\tsame day",
                        "Ice\tFrazil\tSet 5\tsame day"),
                DAYS,
                into);
        assertThat(reading.lines())
                .extracting(OutlineReader.Line::said)
                .containsExactly(
                        "heads, they name the columns",
                        "unit BA Basins, which is there, BA1, which is there, Read 1 is there already",
                        "BA1 again, Set 1, due with BA2, 2 days after, 23:59",
                        "BA2, which is there, Set 2, due same day",
                        "BA3 1 session, Set 3, due same day",
                        "BA3 again, Read 4, due same day",
                        "unit IC Ice, IC1 1 session, Set 5, due same day");
        assertThat(List.of(reading.newUnits(), reading.newLessons(), reading.newItems()))
                .containsExactly(1, 2, 5);
        Unit now = reading.units().get(0);
        assertThat(now.lessons())
                .extracting(Lesson::id, Lesson::length)
                .containsExactly(tuple("BA1", 2), tuple("BA2", 1), tuple("BA3", 1));
        assertThat(now.items())
                .extracting(Item::title, Item::lesson)
                .containsExactly(
                        tuple("Read 1", "BA1"),
                        tuple("Set 1", "BA1"),
                        tuple("Set 2", "BA2"),
                        tuple("Set 3", "BA3"),
                        tuple("Read 4", "BA3"));
        assertThat(OutlineReader.read("Basins\n  Rain (2)\n    Read 1", DAYS, into)
                        .units())
                .as("nothing new")
                .isEmpty();
    }

    @Test
    void tenThousandLinesAreTakenAsFarAsTheyGoAndTheRestIsSaid() {
        String text = "Unit\n" + "  Lesson\n".repeat(10_000);
        OutlineReader.Reading reading = OutlineReader.read(text, DAYS);
        assertThat(reading.lines()).hasSize(OutlineReader.MOST_LINES + 1);
        assertThat(reading.lines().get(OutlineReader.MOST_LINES).doubt()).contains("at most 5000 lines");
    }

    @Test
    void codesOfUnitsAreShortAndDiffer() {
        OutlineReader.Reading reading = OutlineReader.read("Basins\nBasics\nBalance\n1\n2", DAYS);
        List<String> codes = reading.units().stream().map(Unit::code).toList();
        assertThat(codes).doesNotHaveDuplicates().allMatch(c -> c.length() <= 4);
    }

    @Test
    void readsASchoolsListOfDates() {
        List<DaysOffReader.Line> lines =
                DaysOffReader.read("""
                Academic Calendar, Autumn 2026
                Sept. 7 (Mon)   Public holiday, college closed
                Oct. 12-13   Autumn break, no classes

                Nov. 11   Bridge Day, classes meet
                Reading day as announced by the Dean
                """, DAYS, EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY));
        assertThat(lines)
                .extracting(DaysOffReader.Line::state)
                .containsExactly("heading", "off", "off", "meets", "not-understood");
        assertThat(lines.get(1).closure().reason()).isEqualTo("Public holiday");
        assertThat(lines.get(1).closure().nothingDue()).isTrue();
        assertThat(lines.get(2).closure().nothingDue()).isFalse();
        assertThat(lines.get(2).closure().kind()).isEqualTo("break");
        assertThat(lines.get(4).number()).isEqualTo(6);
    }

    @Test
    void aWholeTermFromWhatIsTyped() {
        Start start = new Start(
                "Autumn 2026",
                "31 aug",
                "18 dec",
                List.of("MO", "TU", "WE", "TH", "FR"),
                "America/Chicago",
                "Sept. 7 Public holiday\nOct. 12-13 Autumn break\nNov. 25-27 Holiday break",
                "HYD 210 Reading Rivers",
                "A",
                "MWF 10-10:50 Weir House 2",
                "3",
                TABLE,
                DayOfWeek.MONDAY);
        Start.Reading reading = start.read(LocalDate.of(2026, 10, 7));
        assertThat(reading.said()).allMatch(Start.Said::ok);
        assertThat(reading.decisions().courses().get(0).code()).isEqualTo("HYD 210");
        assertThat(reading.decisions().courses().get(0).requiredMinutes()).isEqualTo(2250);
        assertThat(Schedule.of(reading.decisions()).sections().get(0).sessions().size())
                .isEqualTo(44);
    }

    @Test
    void aClassThatMeetsInTwoWaysEachDayOfTheWeek() {
        Start start = new Start(
                "",
                "31 aug 2026",
                "18 dec",
                List.of("MO", "TU", "WE", "TH", "FR"),
                "UTC",
                "",
                "ERT 9 Earth",
                "A",
                "Mon-Fri 9-9:50 Yard 3 https://meet.example/earth; even weeks Thu 15-16:50 Boat shed",
                "",
                "",
                DayOfWeek.SUNDAY);
        Decisions made = start.read(LocalDate.of(2026, 8, 1)).decisions();
        var meets = made.courses().get(0).sections().get(0).meets();
        assertThat(meets)
                .extracting(m -> m.rule())
                .containsExactly("FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR", "FREQ=WEEKLY;INTERVAL=2;BYDAY=TH");
        assertThat(meets.get(0).link()).isEqualTo("https://meet.example/earth");
        assertThat(meets.get(0).place()).isEqualTo("Yard 3");
        assertThat(meets.get(1).from()).isEqualTo(LocalDate.of(2026, 9, 7));
        assertThat(made.term().weekStart()).isEqualTo(DayOfWeek.SUNDAY);
    }

    @Test
    void whatIsMissingOrWrongIsSaidAndNothingIsMade() {
        Start start = new Start(
                "", "18 dec", "31 aug 2026", List.of(), "Nowhere/Land", "", "", "", "MWF", "x", "", DayOfWeek.MONDAY);
        Start.Reading reading = start.read(LocalDate.of(2026, 10, 7));
        assertThat(reading.decisions()).isNull();
        assertThat(reading.said())
                .filteredOn(s -> !s.ok())
                .extracting(Start.Said::part)
                .contains("last", "course", "weekdays");
    }

    /** Codes that one can tell apart, and lines of work read word by word. */
    @Test
    void unitsByNumberAndWorkByWords() {
        OutlineReader.Reading reading = OutlineReader.read(
                "Unit 1: Water\n  Rain\n    homework: Test assignment, due next class\n"
                        + "    Set 1, opens 1 sep, due 8 sep, closes 10 sep\nUnit 2\n  Snow\nUnit 10\n  Ice",
                new DayWords(LocalDate.of(2026, 8, 31), LocalDate.of(2026, 8, 31), LocalDate.of(2026, 12, 18)));
        assertThat(reading.units()).extracting(u -> u.code()).containsExactly("U1", "U2", "U10");
        assertThat(reading.units().get(0).items())
                .extracting(i -> i.kind() + " " + i.title())
                .containsExactly("homework Test assignment", "homework Set 1");
        assertThat(reading.units().get(0).items().get(1).opens()).isNotNull();
        assertThat(reading.units().get(0).items().get(1).closes()).isNotNull();
    }

    @Test
    void workThatSaysItsKindIsNotAddedTwice() {
        DayWords days = new DayWords(LocalDate.of(2026, 8, 31), LocalDate.of(2026, 8, 31), LocalDate.of(2026, 12, 18));
        String text = "Water\n  Rain\n    homework: Gauges, due next class";
        var units = OutlineReader.read(text, days).units();
        var course = app.matsuri.core.plan.Course.of("C", "C", 50, List.of(), units);
        assertThat(OutlineReader.read(text, days, course).newItems()).isZero();
    }
}
