package app.matsuri.core.findings;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Besides;
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
import java.util.List;
import org.junit.jupiter.api.Test;

/** Each kind of finding, and that what mends it does. */
class FindingsTest {

    private static List<Finding> of(Decisions plan, String code) {
        return Findings.of(Schedule.of(plan)).stream()
                .filter(f -> f.code().equals(code))
                .toList();
    }

    private static Decisions with(Item item) {
        return plan(sectionA(), unit(44, item));
    }

    private static Item due(String at) {
        return Item.of("I", null, "homework", "Work", DateRule.at(at(at)));
    }

    private static void mended(Decisions plan, Finding finding) {
        Decisions after = Change.make(finding.mend(), plan).decisions();
        assertThat(Findings.of(Schedule.of(after))).extracting(Finding::same).doesNotContain(finding.same());
    }

    @Test
    void datesOutOfOrder() {
        Decisions plan = with(due("2026-09-15T17:00").withRule(Which.CLOSES, DateRule.at(at("2026-09-14T17:00"))));
        Finding finding = of(plan, "dates-out-of-order").get(0);
        assertThat(finding.sentence()).contains("due Tue 15 Sep, 17:00, closes Mon 14 Sep, 17:00.");
        mended(plan, finding);
    }

    /** Common practice: opening 21, due 29, closing 30 September is in order. */
    @Test
    void datesInOrderAreNoFinding() {
        Item item = due("2026-09-29T17:00")
                .withRule(Which.OPENS, DateRule.at(at("2026-09-21T17:00")))
                .withRule(Which.CLOSES, DateRule.at(at("2026-09-30T17:00")));
        assertThat(of(with(item), "dates-out-of-order")).isEmpty();
    }

    @Test
    void dueOnADayOff() {
        Decisions plan = with(due("2026-10-12T17:00"));
        Finding finding = of(plan, "due-on-day-off").get(0);
        mended(plan, finding);
        assertThat(of(with(due("2026-10-11T17:00")), "due-on-day-off"))
                .as("a plain Sunday")
                .isEmpty();
    }

    @Test
    void dueOutsideTheTerm() {
        assertThat(of(with(due("2026-12-19T17:00")), "due-outside-term")).hasSize(1);
        assertThat(of(with(due("2026-12-18T23:59")), "due-outside-term")).isEmpty();
    }

    @Test
    void dueBeforeTheLessonThatTeachesIt() {
        Item early = Item.of("I", "L4", "homework", "Work", DateRule.at(at("2026-09-03T17:00")));
        assertThat(of(with(early), "due-before-lesson")).hasSize(1);
        Item reading = Item.of("I", "L4", "reading", "Read", DateRule.at(at("2026-09-03T17:00")));
        assertThat(of(with(reading), "due-before-lesson")).isEmpty();
    }

    @Test
    void unresolvedRule() {
        Finding finding = of(
                        with(Item.of(
                                "I", null, "homework", "Work", DateRule.of(new Anchor.WithLesson("X", Edge.START)))),
                        "unresolved-rule")
                .get(0);
        assertThat(finding.severity()).isEqualTo(Finding.Severity.PROBLEM);
        assertThat(finding.sentence()).contains("there is no lesson “X”");
    }

    @Test
    void lessonsWithoutASessionSayHowManyAreMissingAndASpareDayMendsIt() {
        Lesson spare =
                new Lesson("S", "Spare day", 1, 1, false, false, true, null, 0, "", LessonDetails.NONE, Extra.NONE);
        Unit first = Unit.of("V", "V", List.of(spare), List.of());
        Decisions plan = plan(sectionA(), first, unit(44));
        Finding finding = of(plan, "lesson-without-session").get(0);
        assertThat(finding.sentence()).contains("1 class missing");
        mended(plan, finding);
    }

    @Test
    void noRoomBeforeAPin() {
        Unit unit = Unit.of(
                "U",
                "U",
                List.of(Lesson.of("L1", "Long", 4), Lesson.of("L2", "Trip", 1).withPin(day("2026-09-04"))),
                List.of());
        Finding finding = of(plan(sectionA(), unit), "no-room-before-pin").get(0);
        assertThat(finding.sentence()).contains("“Trip”").contains("2 classes missing");
    }

    @Test
    void aPinOnADayWithoutAClass() {
        Unit unit = Unit.of("U", "U", List.of(Lesson.of("L1", "Trip", 1).withPin(day("2026-09-08"))), List.of());
        Decisions plan = plan(sectionA(), unit);
        Finding finding = of(plan, "pin-without-session").get(0);
        assertThat(finding.sentence()).contains("Wed 9 Sep");
        mended(plan, finding);
    }

    @Test
    void sessionsWithNothingPlanned() {
        assertThat(of(plan(sectionA(), unit(44)), "nothing-planned")).isEmpty();
        assertThat(of(plan(sectionA(), unit(40)), "nothing-planned"))
                .singleElement()
                .satisfies(f -> assertThat(f.sentence()).contains("last 4 classes"));
        assertThat(of(plan(sectionA().withGap("L3", 1), unit(43)), "nothing-planned"))
                .singleElement()
                .satisfies(f -> assertThat(f.about().id()).isEqualTo("2026-09-04T10:00"));
    }

    /** Published: 34 CFR 600.2, one credit hour; three credits ask for 2,250 minutes, section A has 2,200. */
    @Test
    void minutesBelowWhatIsAskedFor() {
        Course course = new Course(
                "HYD 210",
                "",
                2250,
                null,
                50,
                480,
                240,
                List.of(sectionA()),
                List.of(unit(44)),
                Besides.NONE,
                Extra.NONE);
        Decisions plan = plan(sectionA()).withCourses(List.of(course));
        assertThat(of(plan, "minutes-missing"))
                .singleElement()
                .satisfies(f -> assertThat(f.sentence()).contains("50 short, one class"));
        Course exact = course.withSections(List.of(app.matsuri.core.Plans.sectionB()));
        assertThat(of(plan.withCourses(List.of(exact)), "minutes-missing")).isEmpty();
    }

    @Test
    void aTestInTheFirstClassAfterABreak() {
        Item test = Item.of("I", null, "test", "Midterm", DateRule.at(at("2026-10-14T10:00")));
        assertThat(of(with(test), "test-after-break")).hasSize(1);
    }

    @Test
    void aWeekWithMoreWorkThanTheLimit() {
        Item heavy = new Item(
                "I",
                null,
                "project",
                "Report",
                "",
                null,
                500,
                "",
                false,
                0,
                null,
                DateRule.at(at("2026-09-15T17:00")),
                null,
                ItemDetails.NONE,
                Extra.NONE);
        assertThat(of(with(heavy), "week-over-limit"))
                .singleElement()
                .satisfies(f -> assertThat(f.sentence())
                        .isEqualTo("Week 3 has 8.3 hours of work due, 0.3 more than the limit."));
    }

    @Test
    void aRuleThatGivesNoSession() {
        Section none = Section.of(
                "A",
                Section.Pace.SESSIONS,
                List.of(app.matsuri.core.session.MeetingPattern.of(
                        "FREQ=MONTHLY;BYDAY=5SU;COUNT=0", java.time.LocalTime.NOON, 50)));
        assertThat(Findings.of(Schedule.of(plan(none, unit(1)))))
                .extracting(Finding::code)
                .containsAnyOf("session-rule-not-read", "session-no-session-from-rule");
    }
}
