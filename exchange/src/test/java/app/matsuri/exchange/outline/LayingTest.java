package app.matsuri.exchange.outline;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Unit;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.exchange.sheet.Meaning;
import app.matsuri.exchange.sheet.Sheet;
import app.matsuri.exchange.words.DayWords;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A sheet laid on the classes of a section: empty classes, rules for dates, and what differs. */
class LayingTest {

    private static final Decisions PLAN = PlanFile.read(
                    "{\"matsuri\":1,\"term\":{\"name\":\"T\",\"first\":\"2026-08-31\",\"last\":\"2026-12-18\",\"zone\":\"UTC\",\"closures\":["
                            + "{\"first\":\"2026-09-07\",\"last\":\"2026-09-07\",\"reason\":\"off\",\"nothingDue\":true}]},\"courses\":[{\"code\":\"C 1\",\"title\":\"Ice\",\"sections\":["
                            + "{\"code\":\"A\",\"meets\":[{\"rule\":\"FREQ=WEEKLY;BYDAY=MO,WE,FR\",\"start\":\"09:00\",\"minutes\":50}]},"
                            + "{\"code\":\"B\",\"meets\":[{\"rule\":\"FREQ=WEEKLY;BYDAY=TU,TH\",\"start\":\"13:00\",\"minutes\":75}]}],\"units\":[]}]}")
            .decisions();

    private static final Course COURSE = PLAN.courses().get(0);

    private static final DayWords DAYS =
            new DayWords(PLAN.term().first(), PLAN.term().first(), PLAN.term().last());

    private static OutlineReader.Reading read(String text, String section) {
        return OutlineReader.read(Sheet.of(text), Into.plan(DAYS, PLAN, COURSE, section));
    }

    private static String rule(OutlineReader.Reading reading, String title) {
        Item item = reading.units().stream()
                .flatMap(u -> u.items().stream())
                .filter(i -> i.title().equals(title))
                .findFirst()
                .orElseThrow();
        DateRule due = item.due();
        return due == null ? "" : RuleSaid.beside(due, item.lesson());
    }

    private static String date(OutlineReader.Reading reading, String title) {
        return reading.rows().stream()
                .filter(r -> r.title().equals(title))
                .findFirst()
                .map(r -> r.what().equals("lesson") ? String.valueOf(r.date()) : String.valueOf(r.due()))
                .orElseThrow();
    }

    @Test
    void aClassThatTheSheetLeavesEmptyStaysEmpty() {
        OutlineReader.Reading reading = read("Date\tTopic\n8/31\tFirn\n9/9\tDepth\n9/11\tCreep\n", null);
        assertThat(reading.units().get(0).lessons())
                .extracting(Lesson::gapBefore)
                .as("Wed and Fri of the first week, Monday is off")
                .containsExactly(0, 2, 0);
        assertThat(date(reading, "Depth")).isEqualTo("2026-09-09");
        assertThat(reading.doubtful()).isFalse();
    }

    @Test
    void aDateBecomesARuleWhereOneGivesIt() {
        OutlineReader.Reading reading = read(
                String.join(
                        "\n",
                        "Date\tTopic\tHomework\tDue",
                        "8/31\tFirn\tOne\t9/2 9am",
                        "9/2\tDepth\tTwo\t9/2 5pm",
                        "9/4\tWells\tThree\tSun 9/6 11:59pm",
                        "9/9\tCreep\tFour\t9/11 9:00am",
                        "9/11\tMoraines\tFive\t9/10 5pm",
                        "9/14\tEskers\tSix\t11/20 5pm",
                        "9/16\tKames\tSeven\tstart of class"),
                null);
        assertThat(List.of(
                        rule(reading, "One"),
                        rule(reading, "Two"),
                        rule(reading, "Three"),
                        rule(reading, "Five"),
                        rule(reading, "Six"),
                        rule(reading, "Seven")))
                .containsExactly(
                        "next class",
                        "same day, 17:00",
                        "sunday, 23:59",
                        "1 day before, 17:00",
                        "Fri 20 Nov 2026, 17:00",
                        "same day");
        assertThat(date(reading, "Four")).isEqualTo("2026-09-11T09:00");
    }

    /** A date on a day off on which nothing may be due stays, as the sheet says it. */
    @Test
    void aDateOnADayOffStaysWhereTheSheetHasIt() {
        OutlineReader.Reading reading = read("Date\tTopic\tHomework\tDue\n9/4\tWells\tSheet\t9/7 5pm\n", null);
        assertThat(date(reading, "Sheet")).isEqualTo("2026-09-07T17:00");
    }

    @Test
    void theSameSheetForTheOtherSectionSaysWhatDiffers() {
        OutlineReader.Reading reading = read("Date\tTopic\n8/31\tFirn\n9/2\tDepth\n", "B");
        assertThat(reading.rows())
                .filteredOn(r -> r.what().equals("lesson"))
                .extracting(OutlineRow::doubt)
                .allMatch(d -> d.contains("when the section has no class"));
    }

    @Test
    void aLessonThatCannotBeOnItsDayHasBothDatesSideBySide() {
        OutlineReader.Reading reading =
                read("Date\tTopic\tSessions\n8/31\tFirn\t3\n9/2\tDepth\t1\n9/9\tCreep\t1\n", null);
        assertThat(reading.rows())
                .filteredOn(r -> r.title().equals("Depth"))
                .singleElement()
                .extracting(OutlineRow::doubt)
                .isEqualTo("Sheet: Wed 2 Sep; plan: Wed 9 Sep.");
    }

    @Test
    void noClassInTheSheetAndAClassInThePlanIsAsked() {
        OutlineReader.Reading reading = read("Date\tTopic\n9/7\tLabor Day\n9/9\tFirn\n9/11\tFALL BREAK\n", null);
        assertThat(reading.lines().get(1).doubt()).as("the plan has it off too").isEmpty();
        assertThat(reading.lines().get(3).doubt()).contains("the plan has one on Fri 11 Sep");
        assertThat(reading.newLessons()).isEqualTo(1);
    }

    @Test
    void moreLessonsThanClassesAreSaid() {
        StringBuilder text = new StringBuilder("Topic\tSessions\n");
        for (int i = 0; i < 20; i++) {
            text.append("Topic ").append((char) ('A' + i)).append("\t3\n");
        }
        OutlineReader.Reading reading = read(text.toString(), null);
        assertThat(reading.lines().get(0).doubt()).contains("more than the term has: drop or join some");
        assertThat(reading.lines()).anyMatch(l -> l.doubt().equals("The term has no class left for it."));
    }

    @Test
    void sharesOfTheGradeThatAreNotAHundredAreSaid() {
        OutlineReader.Reading reading =
                read("Topic\tHomework\tWeight\nFirn\tOne\t20%\nDepth\tTwo\t30%\nCreep\tThree\t40%\n", null);
        assertThat(reading.rows()).anyMatch(r -> r.doubt().contains("come to 90 %, not 100 %"));
        assertThat(reading.units().get(0).items().get(0).details().instructions())
                .isEqualTo("Counts 20 % of the grade.");
    }

    /** Only what differs is taken; what does not stays by the rule that it has. */
    @Test
    void readAgainOnlyWhatDiffersIsProposed() {
        String text = "Date\tTopic\tHomework\tDue\n8/31\tFirn\tOne\t9/4 5pm\n9/2\tDepth\tTwo\tnext class\n";
        Course once = COURSE.withUnits(read(text, null).units());
        OutlineReader.Reading again = OutlineReader.read(
                Sheet.of(text.replace("9/4", "9/11")), Into.plan(DAYS, PLAN.withCourse(once), once, null));
        assertThat(List.of(again.newUnits(), again.newLessons(), again.newItems(), again.redated()))
                .containsExactly(0, 0, 0, 1);
        assertThat(again.lines().get(1).said()).contains("One is there already, due Fri 11 Sep instead of Fri 4 Sep");
        assertThat(rule(again, "Two")).isEqualTo("next class");
        assertThat(date(again, "One")).isEqualTo("2026-09-11T17:00");
        assertThat(again.doubtful()).isFalse();
    }

    @Test
    void anOfficialDateIsNotTakenOver() {
        String text = "Date\tTopic\tHomework\tDue\n8/31\tFirn\tOne\t9/4 5pm\n";
        Unit unit = read(text, null).units().get(0);
        Item item = unit.items().get(0);
        Item official = new Item(
                item.id(),
                item.lesson(),
                item.kind(),
                item.title(),
                "",
                null,
                null,
                "",
                true,
                0,
                null,
                item.due(),
                null,
                item.details(),
                item.extra());
        Course once = COURSE.withUnits(List.of(unit.withItems(List.of(official))));
        OutlineReader.Reading again = OutlineReader.read(
                Sheet.of(text.replace("9/4", "9/11")), Into.plan(DAYS, PLAN.withCourse(once), once, null));
        assertThat(again.units()).isEmpty();
    }

    @Test
    void whatAPersonSaysOfARowCounts() {
        String text = "Date\tTopic\n8/31\tFirn\n9/2\tDepth\n9/4\tCreep\n";
        Into into = Into.plan(DAYS, PLAN, COURSE, null).said(Map.of(), Map.of(3, "nothing", 2, "unit"));
        OutlineReader.Reading reading = OutlineReader.read(Sheet.of(text), into);
        assertThat(reading.units()).extracting(Unit::title).containsExactly("8/31");
        assertThat(reading.units().get(0).lessons()).extracting(Lesson::title).containsExactly("Creep");
    }

    @Test
    void whatAPersonSaysOfAColumnCounts() {
        Into into = Into.plan(DAYS, PLAN, COURSE, null).said(Map.of(2, Meaning.WORK), Map.of());
        OutlineReader.Reading reading =
                OutlineReader.read(Sheet.of("Date\tTopic\tZettel\n8/31\tFirn\tBlue one\n"), into);
        assertThat(reading.columns())
                .extracting(OutlineReader.Column::meaning)
                .containsExactly("date", "lesson title", "work");
        assertThat(reading.newItems()).isEqualTo(1);
    }

    @Test
    void weeksHoldLessonsToTheirWeeks() {
        OutlineReader.Reading reading = read("Week\tTopic\n1\tFirn; Depth\n3\tCreep\n", null);
        assertThat(date(reading, "Depth")).isEqualTo("2026-09-02");
        assertThat(date(reading, "Creep")).isEqualTo("2026-09-14");
    }
}
