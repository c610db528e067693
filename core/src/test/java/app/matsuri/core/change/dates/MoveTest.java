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
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.pace.Pin;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Moves to a day, counted on the calendar by hand: L1 to L6 stand on 31 Aug, 2, 4, 9, 11 and 14 Sep 2026. */
class MoveTest {

    private static final String HYD = "HYD 210";

    private static Move move(List<String> lessons, List<String> items, String to, boolean fixed, boolean spacing) {
        return Move.seenIn(HYD, "A", lessons, items, day(to), "last", fixed, spacing);
    }

    private static Move items(String to, String... ids) {
        return move(List.of(), List.of(ids), to, false, false);
    }

    private static Move lesson(String id, String to) {
        return move(List.of(id), List.of(), to, false, false);
    }

    private static Item dated(String id, String due) {
        return Item.of(id, null, "homework", "Set " + id, DateRule.at(at(due)));
    }

    @Test
    void aLessonGoesBeforeWhatStandsOnTheDay() {
        SectionSchedule after = after(lesson("L5", "2026-09-02"), plan(sectionA(), unit(6)));
        assertThat(after.course().lessons()).extracting(Lesson::id).containsExactly("L1", "L5", "L2", "L3", "L4", "L6");
        assertThat(start(after, "L5")).isEqualTo(day("2026-09-02"));
        assertThat(start(after, "L4")).isEqualTo(day("2026-09-11"));
    }

    @Test
    void aLessonOnAFreeClassLeavesThoseBetweenEmpty() {
        SectionSchedule after = after(lesson("L6", "2026-09-21"), plan(sectionA(), unit(6)));
        assertThat(start(after, "L5")).isEqualTo(day("2026-09-11"));
        assertThat(start(after, "L6")).isEqualTo(day("2026-09-21"));
        assertThat(after.section().gap("L6")).isEqualTo(3);
    }

    @Test
    void aLessonThatIsThereAlreadyOrCannotStandThereIsRefusedWithWhy() {
        Decisions before = plan(sectionA(), unit(6));
        assertThatThrownBy(() -> after(lesson("L2", "2026-09-02"), before))
                .isInstanceOf(Refused.class)
                .hasMessage("“Lesson 2” is on Wed 2 Sep already.");
        assertThatThrownBy(() -> after(lesson("L6", "2026-09-15"), before))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("there is no class on Tue 15 Sep");
    }

    @Test
    void aPinnedLessonTakesItsPinAlong() {
        Decisions pinned = Change.make(new Pin(HYD, null, "L3", day("2026-09-09")), plan(sectionA(), unit(6)))
                .decisions();
        SectionSchedule after = after(lesson("L3", "2026-09-16"), pinned);
        assertThat(start(after, "L3")).isEqualTo(day("2026-09-16"));
        assertThat(after.course().lesson("L3").orElseThrow().pin()).isEqualTo(day("2026-09-16"));
    }

    @Test
    void whatWasTaughtStays() {
        Decisions taught = Change.make(
                        new RecordTaught(HYD, "A", at("2026-08-31T10:00"), List.of("L1"), false, ""),
                        plan(sectionA(), unit(6)))
                .decisions();
        assertThatThrownBy(() -> after(lesson("L1", "2026-09-09"), taught))
                .isInstanceOf(Refused.class)
                .hasMessage("“Lesson 1” has been taught and stays where it is.");
        Change.Outcome both = Change.make(move(List.of("L1", "L2"), List.of(), "2026-09-09", false, false), taught);
        assertThat(both.notes()).contains("“Lesson 1” has been taught and stays where it is.");
        assertThat(start(Schedule.of(both.decisions()).sections().get(0), "L2")).isEqualTo(day("2026-09-09"));
    }

    @Test
    void workOnADayWithALessonIsDueWhenItBeginsAndFollowsIt() {
        Decisions before = plan(sectionA(), unit(6, dated("I", "2026-09-11T17:00")));
        Decisions moved = Change.make(items("2026-09-09", "I"), before).decisions();
        assertThat(due(Schedule.of(moved).sections().get(0), "I")).isEqualTo(at("2026-09-09T10:00"));
        SectionSchedule later = after(
                new Shift(HYD, "A", List.of("L4"), null, List.of(), null, null, 1, Shift.In.SESSIONS, false), moved);
        assertThat(due(later, "I")).as("it hangs on the lesson").isEqualTo(at("2026-09-11T10:00"));
    }

    @Test
    void workOnADayWithoutALessonKeepsItsTimeOfDayFixed() {
        Decisions before = plan(sectionA(), unit(6, dated("I", "2026-09-11T17:00")));
        assertThat(due(after(items("2026-09-15", "I"), before), "I")).isEqualTo(at("2026-09-15T17:00"));
        Move fixed = move(List.of(), List.of("I"), "2026-09-09", true, false);
        assertThat(due(after(fixed, before), "I"))
                .as("fixed, also on a day with a lesson")
                .isEqualTo(at("2026-09-09T17:00"));
    }

    @Test
    void keptSpacingIsThatOfTheCalendar() {
        Decisions before = plan(sectionA(), unit(6, dated("I", "2026-09-08T17:00"), dated("J", "2026-09-10T09:00")));
        SectionSchedule after = after(move(List.of(), List.of("I", "J"), "2026-09-15", true, true), before);
        assertThat(due(after, "I")).isEqualTo(at("2026-09-15T17:00"));
        assertThat(due(after, "J")).isEqualTo(at("2026-09-17T09:00"));
        SectionSchedule together = after(move(List.of(), List.of("I", "J"), "2026-09-15", true, false), before);
        assertThat(due(together, "J")).isEqualTo(at("2026-09-15T09:00"));
    }

    @Test
    void anOfficialDateStaysAndIsNamed() {
        Decisions before =
                plan(sectionA(), unit(6, official(dated("I", "2026-09-11T17:00")), dated("J", "2026-09-11T17:00")));
        assertThatThrownBy(() -> after(items("2026-09-15", "I"), before))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("has an official date and stays");
        Change.Outcome both = Change.make(items("2026-09-15", "I", "J"), before);
        assertThat(both.notes()).hasSize(1);
        SectionSchedule after = Schedule.of(both.decisions()).sections().get(0);
        assertThat(due(after, "I")).isEqualTo(at("2026-09-11T17:00"));
        assertThat(due(after, "J")).isEqualTo(at("2026-09-15T17:00"));
    }

    @Test
    void onlyOneSectionGetsADateOfItsOwn() {
        Decisions before = plan(sectionA(), unit(6, dated("I", "2026-09-11T17:00")));
        Decisions two = before.withCourse(
                HYD,
                c -> c.withSections(List.of(
                        sectionA(),
                        app.matsuri.core.plan.Section.of(
                                "B",
                                app.matsuri.core.plan.Section.Pace.SESSIONS,
                                sectionA().meets()))));
        Move own = new Move(HYD, "B", null, List.of(), List.of("I"), day("2026-09-15"), "last", false, false, false);
        Schedule after = Schedule.of(Change.make(own, two).decisions());
        assertThat(due(after.sections().get(0), "I")).isEqualTo(at("2026-09-11T17:00"));
        assertThat(due(after.sections().get(1), "I")).isEqualTo(at("2026-09-15T17:00"));
    }

    @Test
    void nothingChosenAndWhatIsUnknownIsSaid() {
        Decisions before = plan(sectionA(), unit(3));
        assertThatThrownBy(() -> after(items("2026-09-09"), before)).hasMessage("Nothing is chosen to move.");
        assertThatThrownBy(() -> after(items("2026-09-09", "X"), before)).hasMessageContaining("“X”");
        assertThatThrownBy(() -> after(lesson("L9", "2026-09-09"), before)).hasMessageContaining("L9");
    }
}
