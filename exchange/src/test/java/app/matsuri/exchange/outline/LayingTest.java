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
import java.util.Random;
import java.util.function.Function;
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

    /** Heads and dates in four languages mixed mean what they mean in one. */
    @Test
    void languagesMixedMeanTheSame() {
        List<List<String>> heads = List.of(
                List.of("Date", "Datum", "Date", "Fecha"),
                List.of("Topic", "Thema", "Sujet", "Tema"),
                List.of("Homework", "Hausaufgabe", "Devoir", "Tarea"),
                List.of("Due", "Abgabe", "À rendre", "Entrega"));
        List<List<String>> rows = List.of(
                List.of("Mon 8/31", "Mo 31.8.", "lundi 31 août", "lunes 31 de agosto"),
                List.of("Wed 9/2", "Mi 2.9.", "mercredi 2 septembre", "miércoles 2 de septiembre"),
                List.of("Fri 9/4", "Fr 4.9.", "vendredi 4 septembre", "viernes 4 de septiembre"));
        List<List<String>> dues = List.of(
                List.of("Friday", "Freitag", "vendredi", "viernes"),
                List.of("next class", "nächste Stunde", "prochain cours", "próxima clase"),
                List.of("Sep 16", "16. September", "16 septembre", "16 de septiembre"));
        Random random = new Random(1812);
        for (int round = 0; round < 60; round++) {
            int all = round;
            Function<List<String>, String> pick = words -> words.get(all < 4 ? all : random.nextInt(4));
            StringBuilder text = new StringBuilder();
            heads.forEach(h -> text.append(text.isEmpty() ? "" : "\t").append(pick.apply(h)));
            for (int i = 0; i < rows.size(); i++) {
                text.append('\n')
                        .append(pick.apply(rows.get(i)))
                        .append("\tTitle ")
                        .append(i)
                        .append("\tSheet ")
                        .append(i)
                        .append('\t')
                        .append(pick.apply(dues.get(i)));
            }
            OutlineReader.Reading reading = read(text.toString(), null);
            assertThat(List.of(
                            date(reading, "Title 0"),
                            date(reading, "Title 1"),
                            date(reading, "Title 2"),
                            date(reading, "Sheet 0").substring(0, 10),
                            rule(reading, "Sheet 1"),
                            date(reading, "Sheet 2").substring(0, 10)))
                    .as(text.toString())
                    .containsExactly(
                            "2026-08-31", "2026-09-02", "2026-09-04", "2026-09-04", "next class", "2026-09-16");
        }
    }

    @Test
    void theSheetsDateIsTakenByOnePress() {
        String text = "Date\tTopic\tSessions\n8/31\tFirn\t3\n9/2\tDepth\t1\n9/9\tCreep\t1\n";
        assertThat(read(text, null).lines().get(2).differs()).isTrue();
        Into into = Into.plan(DAYS, PLAN, COURSE, null).said(Map.of(), Map.of(3, "sheet"));
        OutlineReader.Reading reading = OutlineReader.read(Sheet.of(text), into);
        assertThat(date(reading, "Depth")).isEqualTo("2026-09-02");
        assertThat(reading.lines().get(2).doubt()).isEmpty();
        assertThat(date(reading, "Creep")).isEqualTo("2026-09-09");
        assertThat(reading.lines().get(1).doubt())
                .isEqualTo("No class is left for it before the next lesson with a date of its own.");
    }

    private static final String LABS =
            "Week\tTopic\tLab\n1\tFirn\tMelting cores\n2\tDepth\t\n3\tCreep\tSieves\n" + "4\tWells\t\n7\tKames\tWeir\n";

    /** Labs of every second week belong to the half-groups, where those have a course. */
    @Test
    void labsBecomeLessonsOfTheHalfGroupsCourse() {
        Decisions with = PlanFile.read(
                        PlanFile.write(PLAN)
                                .replace(
                                        "\"courses\" : [ ",
                                        "\"courses\" : [ {\"code\":\"C 1L\",\"title\":\"Ice lab\",\"sections\":[{\"code\":\"L1\",\"partOf\":\"C 1/A\","
                                                + "\"meets\":[{\"rule\":\"FREQ=WEEKLY;INTERVAL=2;BYDAY=TH\",\"start\":\"15:00\",\"minutes\":110,\"from\":\"2026-09-03\"}]}],\"units\":[]},"))
                .decisions();
        Course course = with.course("C 1").orElseThrow();
        OutlineReader.Reading reading = OutlineReader.read(Sheet.of(LABS), Into.plan(DAYS, with, course, "A"));
        assertThat(reading.labs()).isNotNull().satisfies(labs -> {
            assertThat(labs.course()).isEqualTo("C 1L");
            assertThat(labs.units()).extracting(Unit::title).containsExactly("Ice lab");
            assertThat(labs.units().get(0).lessons())
                    .extracting(l -> l.gapBefore() + " " + l.title())
                    .containsExactly("0 Melting cores", "0 Sieves", "1 Weir");
        });
        assertThat(reading.newItems()).as("no work of their lessons").isZero();
        assertThat(List.of(date(reading, "Melting cores"), date(reading, "Sieves"), date(reading, "Weir")))
                .containsExactly("2026-09-03", "2026-09-17", "2026-10-15");
        assertThat(reading.doubtful()).isFalse();
        Decisions once = with.withCourse(course.withUnits(reading.units()))
                .withCourse(with.course("C 1L")
                        .orElseThrow()
                        .withUnits(reading.labs().units()));
        OutlineReader.Reading again = OutlineReader.read(
                Sheet.of(LABS), Into.plan(DAYS, once, once.course("C 1").orElseThrow(), "A"));
        assertThat(again.units()).isEmpty();
        assertThat(again.labs().units()).isEmpty();
    }

    /** A row's date is that of its homework, not of the lab beside it. */
    @Test
    void theDateOfARowIsNotTheLabs() {
        OutlineReader.Reading reading = read(
                "Date\tTopic\tLab\tHomework\tDue\n8/31\tFirn\tCores\tOne\t9/4 5pm\n9/2\tDepth\tSieves\t\t9/9\n", null);
        assertThat(date(reading, "One")).isEqualTo("2026-09-04T17:00");
        assertThat(date(reading, "Cores")).isEqualTo("null");
        assertThat(date(reading, "Sieves")).startsWith("2026-09-09");
    }

    @Test
    void withoutHalfGroupsLabsAreAskedAbout() {
        OutlineReader.Reading reading = read(LABS, null);
        assertThat(reading.labs()).isNull();
        assertThat(reading.lines().get(0).doubt()).startsWith("3 labs without a date of their own");
    }
}
