package app.matsuri.core.schedule;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.DateRule.OnDayOff;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Which;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.threeten.extra.LocalDateRange;

/** Date rules. L1 is on Mon 31 Aug 10:00, L2 on Wed 2 Sep, L3 on Fri 4 Sep, L4 on Wed 9 Sep. */
class DatesTest {

    private static DateRule with(String lesson, Edge edge) {
        return DateRule.of(new Anchor.WithLesson(lesson, edge));
    }

    private static Resolved due(DateRule rule) {
        return dates(Item.of("I", null, "homework", "Work", rule)).due();
    }

    private static ItemDates dates(Item item) {
        return Schedule.of(plan(sectionA(), unit(6, item)))
                .sections()
                .get(0)
                .byItem()
                .get("I");
    }

    @Test
    void hangsOnTheStartOrTheEndOfALesson() {
        assertThat(due(with("L1", Edge.START)).at()).isEqualTo(at("2026-08-31T10:00"));
        assertThat(due(with("L1", Edge.END)).at()).isEqualTo(at("2026-08-31T10:50"));
        assertThat(due(DateRule.of(new Anchor.WithUnit("U", Edge.END))).at()).isEqualTo(at("2026-09-14T10:50"));
    }

    @Test
    void addsSessionsFromTheLessonsOwn() {
        assertThat(due(with("L3", Edge.START).plus(1, Offset.Unit.SESSIONS)).at())
                .isEqualTo(at("2026-09-09T10:00"));
        assertThat(due(with("L3", Edge.END).plus(-2, Offset.Unit.SESSIONS)).at())
                .isEqualTo(at("2026-08-31T10:50"));
    }

    @Test
    void addsSessionsStrictlyAfterOrBeforeWithoutOne() {
        DateRule fixed = DateRule.at(at("2026-09-02T10:00"));
        assertThat(due(fixed.plus(1, Offset.Unit.SESSIONS)).at()).isEqualTo(at("2026-09-04T10:00"));
        assertThat(due(fixed.plus(-1, Offset.Unit.SESSIONS)).at()).isEqualTo(at("2026-08-31T10:00"));
    }

    @Test
    void addsTeachingDaysAndKeepsTheTime() {
        Resolved due = due(with("L3", Edge.END).plus(1, Offset.Unit.TEACHING_DAYS));
        assertThat(due.at()).isEqualTo(at("2026-09-08T10:50"));
        assertThat(due.rolled()).isFalse();
    }

    @Test
    void calendarDaysRollOffADayOnWhichNothingMayBeDue() {
        Resolved due = due(with("L3", Edge.START).plus(3, Offset.Unit.DAYS).at(LocalTime.of(17, 0)));
        assertThat(due.at()).isEqualTo(at("2026-09-08T17:00"));
        assertThat(due.state()).isEqualTo("rolled");
    }

    @Test
    void aPlainWeekendIsNoDayOff() {
        Resolved due = due(with("L3", Edge.START).plus(1, Offset.Unit.DAYS));
        assertThat(due.at()).isEqualTo(at("2026-09-05T10:00"));
    }

    @Test
    void fixedDatesAndOpeningsStayUnlessTheRuleSaysOtherwise() {
        assertThat(due(DateRule.at(at("2026-09-07T12:00"))).at()).isEqualTo(at("2026-09-07T12:00"));
        DateRule next = new DateRule(
                new Anchor.Fixed(at("2026-09-07T12:00")),
                Offset.NONE,
                null,
                false,
                null,
                OnDayOff.PREVIOUS,
                Extra.NONE);
        assertThat(due(next).at()).isEqualTo(at("2026-09-04T12:00"));
        assertThat(due(next).state()).as("rolled goes before fixed").isEqualTo("rolled");
        Item opening = Item.of("I", null, "reading", "Work", null)
                .withRule(Which.OPENS, with("L3", Edge.START).plus(3, Offset.Unit.DAYS));
        assertThat(dates(opening).opens().at()).isEqualTo(at("2026-09-07T10:00"));
    }

    @Test
    void snapsToAWeekdayOnOrAfterOrBefore() {
        DateRule after = new DateRule(
                new Anchor.WithLesson("L2", Edge.START),
                Offset.NONE,
                DayOfWeek.WEDNESDAY,
                false,
                null,
                null,
                Extra.NONE);
        assertThat(due(after).at()).as("on counts").isEqualTo(at("2026-09-02T10:00"));
        DateRule before = new DateRule(after.anchor(), Offset.NONE, DayOfWeek.SUNDAY, true, null, null, Extra.NONE);
        assertThat(due(before).at()).isEqualTo(at("2026-08-30T10:00"));
    }

    @Test
    void aWeekRuleIsAt2359UnlessSaidOtherwise() {
        assertThat(due(DateRule.of(new Anchor.InWeek(2, false, DayOfWeek.SUNDAY)))
                        .at())
                .isEqualTo(at("2026-09-13T23:59"));
        assertThat(due(DateRule.of(new Anchor.InWeek(17, false, DayOfWeek.MONDAY)))
                        .resolved())
                .isFalse();
        assertThat(due(DateRule.of(new Anchor.InWeek(1, true, DayOfWeek.FRIDAY)).at(LocalTime.NOON))
                        .at())
                .isEqualTo(at("2026-09-04T12:00"));
    }

    /** Published: IANA time zones; on 2026-11-01 the US clock goes back at 02:00, so a day has 25 hours. */
    @Test
    void hoursAreElapsedTimeAndDaysAreLocalTime() {
        DateRule saturday = DateRule.at(at("2026-10-31T12:00"));
        assertThat(due(saturday.plus(24, Offset.Unit.HOURS)).at()).isEqualTo(at("2026-11-01T11:00"));
        assertThat(due(saturday.plus(1, Offset.Unit.DAYS)).at()).isEqualTo(at("2026-11-01T12:00"));
        assertThat(due(DateRule.at(at("2026-11-01T01:30")).plus(60, Offset.Unit.MINUTES))
                        .at())
                .as("of a repeated time the first")
                .isEqualTo(at("2026-11-01T01:30"));
    }

    @Test
    void ownDatesUseTheDateAsItCameOut() {
        Item item = Item.of(
                        "I", null, "homework", "Work", with("L3", Edge.START).plus(3, Offset.Unit.DAYS))
                .withRule(
                        Which.CLOSES,
                        DateRule.of(new Anchor.OwnDate(Which.DUE))
                                .plus(1, Offset.Unit.DAYS)
                                .at(LocalTime.of(23, 59)));
        assertThat(dates(item).closes().at()).as("from the rolled due date").isEqualTo(at("2026-09-09T23:59"));
    }

    @Test
    void circlesMissingLessonsAndCountsOutOfTheTermAreUnresolvedWithTheReason() {
        Item circle = Item.of("I", null, "homework", "Work", DateRule.of(new Anchor.OwnDate(Which.CLOSES)))
                .withRule(Which.CLOSES, DateRule.of(new Anchor.OwnDate(Which.DUE)));
        assertThat(dates(circle).due().why()).contains("circle");
        assertThat(dates(circle).closes().resolved()).isFalse();
        assertThat(due(with("L99", Edge.START)).why()).contains("no lesson");
        assertThat(due(with("L1", Edge.START).plus(-1, Offset.Unit.SESSIONS)).resolved())
                .isFalse();
        assertThat(due(DateRule.of(new Anchor.OwnDate(Which.OPENS))).resolved()).isFalse();
    }

    @Test
    void aLessonThatTheSectionLeavesOutGivesNoDate() {
        Item item = Item.of("I", null, "homework", "Work", with("L2", Edge.START));
        Decisions left = plan(sectionA().withLeftOut("L2", true), unit(6, item));
        assertThat(Schedule.of(left).sections().get(0).byItem().get("I").due().why())
                .contains("leaves out");
    }

    @Test
    void aPartOfADayHoldsForItsOwnHoursOnlyTheFirstMinuteIncluded() {
        Closure part = assembly("10:00", "12:00");
        assertThat(rolled(part, "10:00")).isTrue();
        assertThat(rolled(part, "12:00")).isFalse();
        assertThat(rolled(part, "09:59")).isFalse();
    }

    @Test
    void aPartOfADayReachesToItsEnd() {
        Closure evening = assembly("18:00", "00:00");
        assertThat(rolled(evening, "23:59")).isTrue();
        assertThat(rolled(evening, "17:59")).isFalse();
        assertThat(Closure.said(evening.to())).isEqualTo("24:00");
    }

    private static Closure assembly(String from, String to) {
        return new Closure(
                LocalDateRange.ofClosed(day("2026-09-09"), day("2026-09-09")),
                LocalTime.parse(from),
                LocalTime.parse(to),
                "Assembly",
                "event",
                false,
                false,
                true,
                null,
                false,
                Extra.NONE);
    }

    private static boolean rolled(Closure closure, String time) {
        Item item =
                Item.of("I", null, "homework", "Work", with("L4", Edge.START).at(LocalTime.parse(time)));
        Decisions plan = plan(sectionA(), unit(6, item));
        return Schedule.of(plan.withTerm(plan.term()
                        .withClosures(List.of(closure, plan.term().closures().get(0)))))
                .sections()
                .get(0)
                .byItem()
                .get("I")
                .due()
                .rolled();
    }
}
