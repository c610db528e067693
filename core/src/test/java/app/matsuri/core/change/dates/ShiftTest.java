package app.matsuri.core.change.dates;

import static app.matsuri.core.Plans.after;
import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.due;
import static app.matsuri.core.Plans.official;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.start;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Later and earlier. Classes are Mon, Wed and Fri from 31 August 2026 on, with 7 September off, so that L1 to L6 stand on
 * 31 Aug, 2, 4, 9, 11 and 14 Sep; dates are counted on the calendar by hand.
 */
class ShiftTest {

    private static final String HYD = "HYD 210";

    private static Shift lessons(List<String> ids, int by, Shift.In in) {
        return new Shift(HYD, "A", ids, null, List.of(), null, null, by, in, false);
    }

    private static Shift items(int by, Shift.In in, String... ids) {
        return new Shift(HYD, null, List.of(), null, List.of(ids), null, null, by, in, false);
    }

    private static Item fixed(String id, String due) {
        return Item.of(id, null, "project", "Project " + id, DateRule.at(at(due)));
    }

    @ParameterizedTest
    @CsvSource({
        "1, SESSIONS, 2026-09-09",
        "3, SESSIONS, 2026-09-14",
        "1, WEEKDAYS, 2026-09-09",
        "1, TEACHING_DAYS, 2026-09-09",
        "4, DAYS, 2026-09-09",
        "1, WEEKS, 2026-09-11",
        "2, WEEKS, 2026-09-18"
    })
    void aLessonComesToTheFirstClassOnOrAfterTheDayThatIsMeant(int by, Shift.In in, String to) {
        SectionSchedule after = after(lessons(List.of("L3"), by, in), plan(sectionA(), unit(6)));
        assertThat(start(after, "L3")).isEqualTo(day(to));
        assertThat(start(after, "L2")).isEqualTo(day("2026-09-02"));
        assertThat(start(after, "L4")).as("what follows comes along").isAfter(day(to));
    }

    @ParameterizedTest
    @CsvSource({
        "1, SESSIONS, 2026-09-14T17:00",
        "-1, SESSIONS, 2026-09-09T17:00",
        "2, DAYS, 2026-09-14T17:00",
        "3, DAYS, 2026-09-14T17:00",
        "1, WEEKS, 2026-09-18T17:00",
        "1, TEACHING_DAYS, 2026-09-14T17:00",
        "-4, TEACHING_DAYS, 2026-09-04T17:00"
    })
    void aFixedDateMovesAlone(int by, Shift.In in, String to) {
        Decisions before = plan(sectionA(), unit(6, fixed("F", "2026-09-11T17:00")));
        SectionSchedule after = after(items(by, in, "F"), before);
        assertThat(due(after, "F")).isEqualTo(at(to));
        assertThat(start(after, "L5")).as("no lesson moves with it").isEqualTo(day("2026-09-11"));
    }

    @Test
    void aWeekTakesItsLessonsAndFixedDatesAlong() {
        Decisions before = plan(sectionA(), unit(6, fixed("F", "2026-09-11T17:00"), fixed("G", "2026-09-16T17:00")));
        Shift week = new Shift(HYD, "A", List.of(), null, List.of(), 2, null, 1, Shift.In.WEEKS, false);
        SectionSchedule after = after(week, before);
        assertThat(start(after, "L3")).isEqualTo(day("2026-09-04"));
        assertThat(start(after, "L4")).isEqualTo(day("2026-09-16"));
        assertThat(due(after, "F")).isEqualTo(at("2026-09-18T17:00"));
        assertThat(due(after, "G")).as("of another week").isEqualTo(at("2026-09-16T17:00"));
        assertThat(week.sentence(before)).isEqualTo("Week 2 later by 1 week in HYD 210 A");
    }

    @Test
    void aWeekThatTheTermHasNotIsRefused() {
        Shift week = new Shift(HYD, "A", List.of(), null, List.of(), 40, null, 1, Shift.In.WEEKS, false);
        assertThatThrownBy(() -> after(week, plan(sectionA(), unit(3))))
                .isInstanceOf(Refused.class)
                .hasMessage("The term has no week 40.");
    }

    @Test
    void whatWasTaughtStaysAndIsNotChosen() {
        Decisions taught = Change.make(
                        new RecordTaught(HYD, "A", at("2026-08-31T10:00"), List.of("L1"), false, ""),
                        plan(sectionA(), unit(6)))
                .decisions();
        assertThatThrownBy(() -> after(lessons(List.of("L1"), 1, Shift.In.SESSIONS), taught))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("it has been taught");
        SectionSchedule after = after(lessons(List.of("L1", "L2"), 1, Shift.In.SESSIONS), taught);
        assertThat(start(after, "L1")).isEqualTo(day("2026-08-31"));
        assertThat(start(after, "L2")).isEqualTo(day("2026-09-04"));
    }

    @Test
    void anOfficialDateStaysAndIsNamed() {
        Item official = official(fixed("F", "2026-09-11T17:00"));
        Decisions before = plan(sectionA(), unit(6, official));
        assertThatThrownBy(() -> after(items(1, Shift.In.WEEKS, "F"), before))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("“Project F” has an official date and stays.");
        Shift all = new Shift(HYD, "A", List.of(), null, List.of(), null, day("2026-09-09"), 1, Shift.In.WEEKS, false);
        Change.Outcome outcome = Change.make(all, before);
        assertThat(outcome.notes()).contains("“Project F” has an official date and stays.");
        assertThat(start(Schedule.of(outcome.decisions()).sections().get(0), "L4"))
                .isEqualTo(day("2026-09-16"));
    }

    @Test
    void aDateThatTheTermDoesNotReachStaysAndIsSaid() {
        Decisions before = plan(sectionA(), unit(2, fixed("F", "2026-12-18T17:00")));
        assertThatThrownBy(() -> after(items(2, Shift.In.SESSIONS, "F"), before))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("“Project F”")
                .hasMessageContaining("lies outside the term");
    }

    @Test
    void aPinnedLessonBehindThoseMovedStaysAndIsSaid() {
        Unit unit = Unit.of(
                "U",
                "Unit",
                List.of(
                        Lesson.of("L1", "One", 1),
                        Lesson.of("L2", "Two", 1),
                        Lesson.of("L3", "Trip", 1).withPin(day("2026-09-11"))),
                List.of());
        Decisions before = plan(sectionA(), unit);
        Change.Outcome outcome = Change.make(lessons(List.of("L1", "L2", "L3"), 1, Shift.In.SESSIONS), before);
        assertThat(outcome.notes()).contains("“Trip” is fixed on Fri 11 Sep and stays there.");
        assertThat(start(Schedule.of(outcome.decisions()).sections().get(0), "L3"))
                .isEqualTo(day("2026-09-11"));
    }

    @Test
    void onlyTheseStayInTheirUnitWhereThatIsAsked() {
        Unit second = Unit.of("V", "Second", List.of(Lesson.of("M1", "M1", 1), Lesson.of("M2", "M2", 1)), List.of());
        Decisions before = plan(sectionA(), unit(3), second);
        Shift into = new Shift(HYD, "A", List.of("L2"), null, List.of(), null, null, 2, Shift.In.SESSIONS, true, false);
        Shift within =
                new Shift(HYD, "A", List.of("L2"), null, List.of(), null, null, 2, Shift.In.SESSIONS, true, true);
        assertThat(units(Change.make(into, before).decisions())).containsExactly("L1 L3", "M1 L2 M2");
        assertThat(units(Change.make(within, before).decisions())).containsExactly("L1 L3 L2", "M1 M2");
        assertThat(within.sentence(before)).endsWith(", only these");
    }

    private static List<String> units(Decisions plan) {
        return plan.courses().get(0).units().stream()
                .map(u -> String.join(" ", u.lessons().stream().map(Lesson::id).toList()))
                .toList();
    }

    @Test
    void byNothingIsRefusedAndWhatIsUnknownIsSaid() {
        Decisions before = plan(sectionA(), unit(3));
        assertThatThrownBy(() -> after(lessons(List.of("L1"), 0, Shift.In.DAYS), before))
                .hasMessage("By nothing is no move: say by how many.");
        assertThatThrownBy(() -> after(lessons(List.of("L9"), 1, Shift.In.DAYS), before))
                .hasMessageContaining("L9");
        assertThatThrownBy(() -> after(items(1, Shift.In.DAYS, "X"), before)).hasMessageContaining("X");
    }

    @Test
    void itSaysWhatItMovesAndWhoseHandsThatIs() {
        Decisions before = plan(sectionA(), unit(6, fixed("F", "2026-09-11T17:00")));
        assertThat(lessons(List.of("L1"), 2, Shift.In.SESSIONS).sentence(before))
                .isEqualTo("“Lesson 1” later by 2 classes in HYD 210 A");
        assertThat(lessons(List.of("L1", "L2"), -1, Shift.In.WEEKDAYS).sentence(before))
                .isEqualTo("“Lesson 1” and “Lesson 2” earlier by 1 weekday in HYD 210 A");
        assertThat(lessons(List.of("L1", "L2", "L3"), 1, Shift.In.DAYS).sentence(before))
                .startsWith("3 things later by 1 day");
        assertThat(items(1, Shift.In.TEACHING_DAYS, "F").sentence(before))
                .isEqualTo("“Project F” later by 1 teaching day in every section of HYD 210");
        Shift unit = new Shift(HYD, "A", List.of(), "U", List.of(), null, null, 1, Shift.In.DAYS, false);
        assertThat(unit.sentence(before)).startsWith("Unit “Unit” later");
        assertThat(unit.hands(before)).hasSize(7).contains(new Hand(HYD, "L6"), new Hand(HYD, "F"));
        Shift from = new Shift(HYD, "A", List.of(), null, List.of(), null, day("2026-09-09"), 1, Shift.In.DAYS, false);
        assertThat(from.sentence(before)).startsWith("All from Wed 9 Sep later");
    }
}
