package app.matsuri.core.change;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.sectionB;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.calendar.RemoveClosure;
import app.matsuri.core.change.dates.Move;
import app.matsuri.core.change.dates.Shift;
import app.matsuri.core.change.pace.HoldEmpty;
import app.matsuri.core.change.pace.LeaveOut;
import app.matsuri.core.change.pace.Pin;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.change.pace.RemoveRecord;
import app.matsuri.core.change.plan.PutCourse;
import app.matsuri.core.change.plan.PutItem;
import app.matsuri.core.change.plan.PutLesson;
import app.matsuri.core.change.plan.PutUnit;
import app.matsuri.core.change.plan.RemoveCourse;
import app.matsuri.core.change.plan.RemoveItem;
import app.matsuri.core.change.plan.RemoveLesson;
import app.matsuri.core.change.plan.RemoveUnit;
import app.matsuri.core.change.section.PutSection;
import app.matsuri.core.change.section.RemoveSection;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.MeetingPattern;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What each change does. L1 is on Mon 31 Aug, L2 on Wed 2, L3 on Fri 4, L4 on Wed 9, L5 on Fri 11, L6 on Mon 14 Sep. */
class ChangesTest {

    private static final String HYD = "HYD 210";

    private static Decisions make(Decisions before, Change change) {
        assertThat(change.sentence(before)).isNotBlank().doesNotEndWith(".");
        return Change.make(change, before).decisions();
    }

    private static SectionSchedule follows(Decisions plan) {
        return Schedule.of(plan).sections().get(0);
    }

    private static LocalDate start(Decisions plan, String lesson) {
        return follows(plan).start(lesson).orElseThrow().toLocalDate();
    }

    private static Shift shift(String section, String lesson, int by, Shift.In in) {
        return new Shift(HYD, section, List.of(lesson), null, List.of(), null, null, by, in, false);
    }

    // --- days off

    @Test
    void aDayOffPushesWhatFollows() {
        Decisions after = make(
                plan(sectionA(), unit(6)),
                new AddClosure(Closure.of(day("2026-09-09"), day("2026-09-09"), "Flood", "weather")));
        assertThat(start(after, "L3")).isEqualTo(day("2026-09-04"));
        assertThat(start(after, "L4")).isEqualTo(day("2026-09-11"));
    }

    @Test
    void aDayOffOutsideTheTermOrOnceMoreIsRefused() {
        Decisions plan = plan(sectionA(), unit(6));
        assertThatThrownBy(
                        () -> make(plan, new AddClosure(Closure.of(day("2027-09-09"), day("2027-09-09"), "", "other"))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("outside the term");
        assertThatThrownBy(
                        () -> make(plan, new AddClosure(plan.term().closures().get(0))))
                .isInstanceOf(Refused.class);
    }

    @Test
    void reopeningTakesTheDayOffAway() {
        Decisions after =
                make(plan(sectionA(), unit(6)), new RemoveClosure(day("2026-09-07"), day("2026-09-07"), null));
        assertThat(start(after, "L4")).isEqualTo(day("2026-09-07"));
    }

    @Test
    void reopeningADayWithinARunCutsTheRun() {
        Decisions after =
                make(plan(sectionA(), unit(6)), new RemoveClosure(day("2026-11-26"), day("2026-11-26"), null));
        assertThat(after.term().closures())
                .extracting(c -> c.first() + " " + c.last())
                .contains("2026-11-25 2026-11-25", "2026-11-27 2026-11-27")
                .doesNotContain("2026-11-25 2026-11-27");
        assertThatThrownBy(() -> make(after, new RemoveClosure(day("2026-11-26"), day("2026-11-26"), null)))
                .isInstanceOf(Refused.class);
    }

    // --- later and earlier

    @Test
    void laterByClassesAddsToTheGapAndTheRestComesAlong() {
        Decisions after = make(plan(sectionA(), unit(6)), shift("A", "L3", 2, Shift.In.SESSIONS));
        assertThat(start(after, "L2")).isEqualTo(day("2026-09-02"));
        assertThat(start(after, "L3")).isEqualTo(day("2026-09-11"));
        assertThat(start(after, "L4")).isEqualTo(day("2026-09-14"));
        assertThat(after.courses().get(0).sections().get(0).gap("L3")).isEqualTo(2);
        assertThat(after.courses().get(0).lessons().get(2).gapBefore())
                .as("the plan's own gap stays")
                .isZero();
    }

    @Test
    void withoutASectionALaterIsThePlans() {
        Decisions after = make(plan(sectionA(), unit(6)), shift(null, "L3", 1, Shift.In.SESSIONS));
        assertThat(after.courses().get(0).lessons().get(2).gapBefore()).isEqualTo(1);
        assertThat(start(after, "L3")).isEqualTo(day("2026-09-09"));
    }

    /** Common practice: a unit pushed by five weekdays lands one week later when no day off is in between. */
    @Test
    void fiveWeekdaysAreAWeek() {
        Unit first = unit(6);
        Unit second = Unit.of("V", "V", List.of(Lesson.of("M1", "", 1), Lesson.of("M2", "", 1)), List.of());
        Decisions before = plan(sectionA(), first, second);
        assertThat(start(before, "M1")).isEqualTo(day("2026-09-16"));
        Decisions after =
                make(before, new Shift(HYD, "A", List.of(), "V", List.of(), null, null, 5, Shift.In.WEEKDAYS, false));
        assertThat(start(after, "M1")).isEqualTo(day("2026-09-23"));
        assertThat(start(after, "L6")).isEqualTo(day("2026-09-14"));
    }

    @Test
    void weekdaysGoToTheFirstClassOnOrAfter() {
        Decisions after = make(plan(sectionA(), unit(6)), shift("A", "L2", 1, Shift.In.WEEKDAYS));
        assertThat(start(after, "L2")).isEqualTo(day("2026-09-04"));
    }

    @Test
    void earlierUsesUpEmptyAndSpareSessionsThenStopsAndSaysSo() {
        Lesson spare =
                new Lesson("S", "Spare day", 1, 1, false, false, true, null, 0, "", LessonDetails.NONE, Extra.NONE);
        Unit unit = Unit.of(
                "U",
                "Unit",
                List.of(
                        Lesson.of("L1", "One", 1),
                        spare,
                        Lesson.of("L2", "Two", 1).withGap(1)),
                List.of());
        Decisions before = plan(sectionA(), unit);
        assertThat(start(before, "L2")).isEqualTo(day("2026-09-09"));
        Change.Outcome outcome = Change.make(shift("A", "L2", -5, Shift.In.SESSIONS), before);
        assertThat(start(outcome.decisions(), "L2")).isEqualTo(day("2026-09-02"));
        assertThat(outcome.notes()).singleElement().asString().contains("2 of 5");
        assertThatThrownBy(() -> Change.make(shift("A", "L2", -1, Shift.In.SESSIONS), outcome.decisions()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("cannot come earlier");
    }

    @Test
    void aPinnedLessonMovesItsPin() {
        Decisions before = make(plan(sectionA(), unit(6)), new Pin(HYD, "A", "L3", day("2026-09-11")));
        Decisions after = make(before, shift("A", "L3", 1, Shift.In.SESSIONS));
        assertThat(start(after, "L3")).isEqualTo(day("2026-09-14"));
    }

    @Test
    void allFromADayMovesFixedDatesToo() {
        Item fixed = Item.of("F", null, "project", "Fixed", DateRule.at(at("2026-09-11T17:00")));
        Decisions before = plan(sectionA(), unit(6, fixed));
        Decisions after = make(
                before,
                new Shift(HYD, "A", List.of(), null, List.of(), null, day("2026-09-09"), 1, Shift.In.SESSIONS, false));
        assertThat(start(after, "L4")).isEqualTo(day("2026-09-11"));
        assertThat(follows(after).byItem().get("F").due().at())
                .as("two teaching days, as the first lesson did")
                .isEqualTo(at("2026-09-15T17:00"));
    }

    @Test
    void onlyTheseChangePlacesWithTheNext() {
        Decisions after = make(
                plan(sectionA(), unit(6)),
                new Shift(HYD, "A", List.of("L2"), null, List.of(), null, null, 2, Shift.In.SESSIONS, true));
        assertThat(after.courses().get(0).lessons())
                .extracting(Lesson::id)
                .containsExactly("L1", "L3", "L4", "L2", "L5", "L6");
    }

    @Test
    void whatIsTaughtDoesNotMove() {
        Section taught = sectionA().withTaught(Map.of(at("2026-08-31T10:00"), List.of("L1")), Set.of());
        assertThatThrownBy(() -> make(plan(taught, unit(6)), shift("A", "L1", 1, Shift.In.SESSIONS)))
                .isInstanceOf(Refused.class);
        assertThatThrownBy(() -> make(
                        plan(taught, unit(6)),
                        Move.seenIn(HYD, "A", List.of("L1"), List.of(), day("2026-09-09"), "last", false, false)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("taught");
    }

    @Test
    void theRestOfAPartlyTaughtLessonIsPushedByHoldingAClassEmpty() {
        Section partly = sectionA().withTaught(Map.of(at("2026-08-31T10:00"), List.of("L1")), Set.of("L1"));
        Decisions after = make(plan(partly, unit(6)), shift("A", "L1", 1, Shift.In.SESSIONS));
        assertThat(follows(after).sessions().get(1).held()).isTrue();
        assertThat(start(after, "L2")).isEqualTo(day("2026-09-09"));
    }

    // --- moving by hand

    @Test
    void aLessonDroppedOnADayLandsThereInOrder() {
        Decisions later = make(
                plan(sectionA(), unit(6)),
                Move.seenIn(HYD, "A", List.of("L2"), List.of(), day("2026-09-11"), "last", false, false));
        assertThat(start(later, "L2")).isEqualTo(day("2026-09-11"));
        assertThat(start(later, "L3")).isEqualTo(day("2026-09-02"));
        Decisions earlier = make(
                plan(sectionA(), unit(6)),
                Move.seenIn(HYD, "A", List.of("L5"), List.of(), day("2026-09-02"), "last", false, false));
        assertThat(start(earlier, "L5")).isEqualTo(day("2026-09-02"));
        assertThat(start(earlier, "L2")).isEqualTo(day("2026-09-04"));
    }

    @Test
    void aLessonThatJoinsAnotherUnitTakesItsWorkAlong() {
        Item work = Item.of("W", "L1", "homework", "Work", DateRule.of(new Anchor.WithLesson("L1", Edge.START)));
        Unit second = Unit.of("V", "V", List.of(Lesson.of("M1", "", 1), Lesson.of("M2", "", 1)), List.of());
        Decisions after = make(
                plan(sectionA(), unit(2, work), second),
                Move.seenIn(HYD, "A", List.of("L1"), List.of(), day("2026-09-09"), "last", false, false));
        assertThat(after.courses().get(0).units().get(1).lessons())
                .extracting(Lesson::id)
                .containsExactly("M1", "M2", "L1");
        assertThat(after.courses().get(0).units().get(1).items()).hasSize(1);
        assertThat(start(after, "L1")).isEqualTo(day("2026-09-09"));
    }

    @Test
    void workDroppedOnADayWithALessonMovesWithIt() {
        Item work = Item.of("W", "L1", "homework", "Work", DateRule.at(at("2026-09-03T17:00")));
        Decisions after = make(
                plan(sectionA(), unit(6, work)),
                Move.seenIn(HYD, "A", List.of(), List.of("W"), day("2026-09-09"), "last", false, false));
        assertThat(after.courses().get(0).items().get(0).due())
                .isEqualTo(DateRule.of(new Anchor.WithLesson("L4", Edge.START)));
    }

    @Test
    void workDroppedOnADayWithoutALessonIsFixedAndKeepsItsTimeAndItsOtherFixedDatesTheirDistance() {
        Item work = Item.of("W", "L1", "homework", "Work", DateRule.at(at("2026-09-03T17:00")))
                .withRule(Which.OPENS, DateRule.at(at("2026-09-01T08:00")))
                .withRule(Which.CLOSES, DateRule.of(new Anchor.OwnDate(Which.DUE)));
        Decisions after = make(
                plan(sectionA(), unit(6, work)),
                Move.seenIn(HYD, "A", List.of(), List.of("W"), day("2026-09-10"), "last", false, false));
        var dates = follows(after).byItem().get("W");
        assertThat(dates.due().at()).isEqualTo(at("2026-09-10T17:00"));
        assertThat(dates.opens().at()).isEqualTo(at("2026-09-08T08:00"));
        assertThat(dates.closes().at()).isEqualTo(at("2026-09-10T17:00"));
    }

    @Test
    void workOnADayWithALessonCanBeFixedThere() {
        Item work = Item.of("W", "L1", "homework", "Work", DateRule.of(new Anchor.WithLesson("L4", Edge.START)));
        Decisions after = make(
                plan(sectionA(), unit(6, work)),
                Move.seenIn(HYD, "A", List.of(), List.of("W"), day("2026-09-09"), "last", true, false));
        assertThat(after.courses().get(0).items().get(0).due()).isEqualTo(DateRule.at(at("2026-09-09T10:00")));
    }

    @Test
    void severalKeepTheirSpacingAndRollOffDaysThatDoNotTeach() {
        Item one = Item.of("W1", null, "homework", "One", DateRule.at(at("2026-09-15T17:00")));
        Item two = Item.of("W2", null, "homework", "Two", DateRule.at(at("2026-09-17T17:00")));
        Change.Outcome outcome = Change.make(
                Move.seenIn(HYD, "A", List.of(), List.of("W1", "W2"), day("2026-09-24"), "last", false, true),
                plan(sectionA(), unit(1, one, two)));
        var after = follows(outcome.decisions());
        assertThat(after.byItem().get("W1").due().at()).isEqualTo(at("2026-09-24T17:00"));
        assertThat(after.byItem().get("W2").due().at()).as("from Sat 26").isEqualTo(at("2026-09-28T17:00"));
        assertThat(outcome.notes()).hasSize(1);
    }

    @Test
    void anOfficialDateIsNotMoved() {
        Item locked = new Item(
                "W",
                null,
                "test",
                "Exam",
                "",
                null,
                null,
                "",
                true,
                0,
                null,
                DateRule.at(at("2026-09-15T17:00")),
                null,
                ItemDetails.NONE,
                Extra.NONE);
        assertThatThrownBy(() -> make(
                        plan(sectionA(), unit(1, locked)),
                        Move.seenIn(HYD, "A", List.of(), List.of("W"), day("2026-09-24"), "last", false, false)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("official");
    }

    // --- records

    @Test
    void aRecordKeepsItsSessionWhateverThePatternBecomes() {
        Decisions before = make(
                plan(sectionA(), unit(6)),
                new RecordTaught(HYD, "A", at("2026-08-31T10:00"), List.of("L1"), false, "went well"));
        Section now = before.courses().get(0).sections().get(0);
        Section other = new Section(
                "A",
                "",
                "",
                List.of(),
                Section.Pace.SESSIONS,
                List.of(MeetingPattern.of("FREQ=WEEKLY;BYDAY=TU", LocalTime.of(9, 0), 50)),
                null,
                now.sessionChanges(),
                now.lessons(),
                now.holdsEmpty(),
                now.taught(),
                now.sessionLinks(),
                now.told(),
                now.adjustments(),
                now.extra());
        Decisions after = make(before, new PutSection(HYD, null, other));
        assertThat(follows(after).sessions().get(0).name()).isEqualTo(at("2026-08-31T10:00"));
        assertThat(start(after, "L1")).isEqualTo(day("2026-08-31"));
        assertThat(start(after, "L2")).isEqualTo(day("2026-09-01"));
        assertThatThrownBy(() -> make(after, new RemoveLesson(HYD, "L1"))).isInstanceOf(Refused.class);
    }

    @Test
    void aRecordCanBeTakenBack() {
        Decisions before = plan(sectionA(), unit(6));
        Decisions recorded = make(before, new RecordTaught(HYD, "A", at("2026-09-02T10:00"), List.of("L1"), true, ""));
        assertThat(follows(recorded).byLesson().get("L1").slots()).hasSize(2);
        assertThat(make(recorded, new RemoveRecord(HYD, "A", at("2026-09-02T10:00"))))
                .isEqualTo(before);
        assertThatThrownBy(() ->
                        make(before, new RecordTaught(HYD, "A", at("2026-09-01T10:00"), List.of("L1"), false, "")))
                .isInstanceOf(Refused.class);
    }

    // --- objects

    @Test
    void renamingACourseOrSectionRenamesTheScopesOfDaysOff() {
        Closure only = new Closure(
                plan(sectionA()).term().closures().get(0).days(),
                null,
                null,
                "",
                "other",
                true,
                false,
                true,
                List.of(HYD, HYD + "/A"),
                false,
                Extra.NONE);
        Term term = plan(sectionA()).term().withClosures(List.of(only));
        Decisions before = plan(sectionA(), unit(1)).withTerm(term);
        Decisions after = make(before, new PutCourse(HYD, Course.of("HYD 220", "Rivers", 50, List.of(), List.of())));
        assertThat(after.term().closures().get(0).only()).containsExactly("HYD 220", "HYD 220/A");
        assertThat(after.courses().get(0).lessons()).hasSize(1);
        Decisions again =
                make(after, new PutSection("HYD 220", "A", Section.of("Z", Section.Pace.SESSIONS, List.of())));
        assertThat(again.term().closures().get(0).only()).containsExactly("HYD 220", "HYD 220/Z");
    }

    @Test
    void takingOutALessonForgetsWhatSectionsDecidedAboutIt() {
        Section own = sectionA().withGap("L2", 1).withLeftOut("L2", true).withLength("L2", 3);
        Decisions after = make(plan(own, unit(3)), new RemoveLesson(HYD, "L2"));
        assertThat(after.courses().get(0).sections().get(0)).isEqualTo(sectionA());
        assertThat(after.courses().get(0).lessons()).extracting(Lesson::id).containsExactly("L1", "L3");
    }

    @Test
    void lessonsItemsUnitsAndSectionsAreAddedChangedAndTakenOut() {
        Decisions plan = plan(sectionA(), unit(2));
        plan = make(plan, new PutLesson(HYD, "U", Lesson.of("L0", "Zero", 1), "L1"));
        assertThat(plan.courses().get(0).lessons().get(0).id()).isEqualTo("L0");
        plan = make(plan, new PutLesson(HYD, null, Lesson.of("L0", "Nought", 2), null));
        assertThat(plan.courses().get(0).lesson("L0").orElseThrow().length()).isEqualTo(2);
        plan = make(plan, new PutItem(HYD, "U", Item.of("I", "L0", "quiz", "Quiz", null)));
        plan = make(plan, new PutUnit(HYD, Unit.of("V", "Second", List.of(), List.of()), "U"));
        assertThat(plan.courses().get(0).units().get(0).id()).isEqualTo("V");
        plan = make(plan, new PutItem(HYD, "V", Item.of("I", null, "quiz", "Quiz", null)));
        assertThat(plan.courses().get(0).units().get(0).items()).hasSize(1);
        assertThat(plan.courses().get(0).units().get(1).items()).isEmpty();
        plan = make(plan, new RemoveItem(HYD, "I"));
        plan = make(plan, new RemoveUnit(HYD, "U"));
        assertThat(plan.courses().get(0).lessons()).isEmpty();
        plan = make(plan, new PutSection(HYD, null, sectionB()));
        plan = make(plan, new RemoveSection(HYD, "A"));
        assertThat(plan.courses().get(0).sections()).extracting(Section::code).containsExactly("B");
        assertThat(make(plan, new RemoveCourse(HYD)).courses()).isEmpty();
    }

    @Test
    void daysOffGoWithTheSectionOrCourseThatTheyWereFor() {
        Decisions plan = make(plan(sectionA(), unit(3)), new PutSection(HYD, null, sectionB()));
        int before = plan.term().closures().size();
        plan = make(plan, new AddClosure(off("B alone", HYD + "/B")));
        plan = make(plan, new AddClosure(off("both", HYD + "/A", HYD + "/B")));
        plan = make(plan, new AddClosure(off("the course", HYD)));
        Decisions left = make(plan, new RemoveSection(HYD, "B"));
        assertThat(left.term().closures()).hasSize(before + 2);
        assertThat(left.term().closures())
                .filteredOn(c -> c.reason().equals("both"))
                .singleElement()
                .satisfies(c -> assertThat(c.only()).containsExactly(HYD + "/A"));
        assertThat(make(plan, new RemoveCourse(HYD)).term().closures()).hasSize(before);
    }

    private static Closure off(String reason, String... only) {
        Closure one = Closure.of(day("2026-09-09"), day("2026-09-09"), reason, "other");
        return new Closure(
                one.days(),
                null,
                null,
                one.reason(),
                one.kind(),
                one.noClass(),
                one.planPauses(),
                one.nothingDue(),
                List.of(only),
                false,
                one.extra());
    }

    @Test
    void aHeldClassIsLeftEmptyAndALeftOutLessonTakesNone() {
        Decisions held = make(plan(sectionA(), unit(3)), new HoldEmpty(HYD, "A", at("2026-09-02T10:00"), true));
        assertThat(start(held, "L2")).isEqualTo(day("2026-09-04"));
        Decisions left = make(plan(sectionA(), unit(3)), new LeaveOut(HYD, "A", "L2", true));
        assertThat(start(left, "L3")).isEqualTo(day("2026-09-02"));
    }
}
