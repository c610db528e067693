package app.matsuri.core.reminding;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.dates.PutAdjustment;
import app.matsuri.core.change.plan.PutCourse;
import app.matsuri.core.change.plan.PutItem;
import app.matsuri.core.change.plan.PutReminders;
import app.matsuri.core.change.plan.RemoveItem;
import app.matsuri.core.change.section.PutRoster;
import app.matsuri.core.change.section.Tell;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Reminder;
import app.matsuri.core.plan.Reminder.Before;
import app.matsuri.core.plan.Reminder.Lead;
import app.matsuri.core.plan.Reminder.Whom;
import app.matsuri.core.plan.Student;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.shown.Reader;
import app.matsuri.core.shown.Shown;
import app.matsuri.core.shown.ShownThing;
import java.math.BigDecimal;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Of what whom is reminded, and when: public.md, "Reminders and mail"; the usual leads, outside-checks.md. */
class RemindingsTest {

    private static final String HYD = "HYD 210";
    private static final LocalDateTime NOW = at("2026-09-01T08:00");
    private static final Item LOG = new Item(
            "W",
            "L4",
            "homework",
            "Log",
            "",
            BigDecimal.TEN,
            null,
            "",
            false,
            0,
            null,
            DateRule.at(at("2026-09-10T17:00")),
            null,
            ItemDetails.NONE,
            Extra.NONE);
    private static final Item WALK = Item.of("V", "L5", "reading", "Walk", DateRule.at(at("2026-09-14T08:30")));

    private final Decisions plan = make(
            make(
                    plan(sectionA(), unit(6, LOG, WALK)),
                    new PutRoster(
                            HYD,
                            "A",
                            List.of(new Student("1", "Wren Oakes", ""), new Student("2", "Hedy Larkspur", "")))),
            new Tell(HYD, "A", null, "", NOW));

    private static Decisions make(Decisions before, Change change) {
        return Change.make(change, before).decisions();
    }

    private static Reminder reminder(String id, boolean marked, Before before, Lead lead, String item) {
        return new Reminder(id, List.of(), item, marked, before, lead, Whom.STUDENTS, true, true);
    }

    private static Decisions with(Decisions in, Reminder... reminders) {
        return make(in, new PutReminders(HYD, List.of(reminders)));
    }

    private static List<String> said(Decisions in, Map<String, Set<ThingRef>> handedIn) {
        Schedule schedule = Schedule.of(in);
        return Remindings.of(schedule, schedule.section(HYD, "A").orElseThrow(), handedIn, NOW).stream()
                .map(r -> r.at() + " " + r.title() + " " + r.students())
                .toList();
    }

    private static List<String> said(Decisions in) {
        return said(in, Map.of());
    }

    @Test
    void whatIsMarkedAndDueIsRemindedOfTheDayBeforeAtNine() {
        assertThat(said(with(plan, Reminder.USUAL))).containsExactly("2026-09-09T09:00 Log [1, 2]");
        assertThat(said(plan)).as("a course that was there has none").isEmpty();
    }

    @Test
    void aLeadIsElapsedTimeOrATimeOfDayAndNeverAfterTheDate() {
        assertThat(said(with(plan, reminder("r", false, Before.DUE, Lead.minutes(60), null))))
                .containsExactly("2026-09-10T16:00 Log [1, 2]", "2026-09-14T07:30 Walk [1, 2]");
        Lead sameDay = Lead.days(0, LocalTime.of(9, 0));
        assertThat(sameDay.of(at("2026-09-14T08:30"))).isEqualTo(at("2026-09-14T08:30"));
        assertThat(sameDay.before(at("2026-09-14T17:00")).toHours()).isEqualTo(8);
        assertThatThrownBy(() -> Lead.days(29, LocalTime.NOON)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void oneThingMayHaveItsOwnOrNone() {
        Reminder own = reminder("own", false, Before.DUE, Lead.minutes(30), "W");
        assertThat(said(with(plan, Reminder.USUAL, own))).containsExactly("2026-09-10T16:30 Log [1, 2]");
        Reminder none =
                new Reminder("none", List.of(), "W", false, Before.DUE, Lead.minutes(0), Whom.STUDENTS, false, false);
        Schedule schedule = Schedule.of(with(plan, Reminder.USUAL, none));
        assertThat(Remindings.of(schedule, schedule.section(HYD, "A").orElseThrow(), Map.of(), NOW))
                .singleElement()
                .matches(r -> !r.reminder().mail() && !r.reminder().feed());
    }

    @Test
    void whoHandedItInIsNotRemindedAndAnExtensionHasItsOwn() {
        Decisions usual = with(plan, Reminder.USUAL);
        assertThat(said(usual, Map.of("1", Set.of(new ThingRef(HYD, "W")))))
                .containsExactly("2026-09-09T09:00 Log [2]");
        Decisions extended = make(
                usual,
                new PutAdjustment(
                        HYD,
                        "A",
                        new Adjustment(
                                "W", "1", Map.of(Which.DUE, Own.of(DateRule.at(at("2026-09-12T17:00")))), "ill")));
        assertThat(said(extended)).containsExactly("2026-09-09T09:00 Log [2]", "2026-09-11T09:00 Log [1]");
    }

    @Test
    void remindersGoByWhatWasTold() {
        Decisions moved = make(
                with(plan, Reminder.USUAL),
                new PutItem(HYD, null, LOG.withRule(Which.DUE, DateRule.at(at("2026-09-17T17:00")))));
        assertThat(said(moved)).containsExactly("2026-09-09T09:00 Log [1, 2]");
        assertThat(said(make(moved, new Tell(HYD, "A", null, "", NOW)))).containsExactly("2026-09-16T09:00 Log [1, 2]");
        Decisions gone = make(with(plan, Reminder.USUAL), new RemoveItem(HYD, "W"));
        assertThat(said(gone)).as("gone, and not told so yet").isEmpty();
    }

    @Test
    void aClassIsRemindedOfAndTheInstructorToo() {
        Reminder walk = new Reminder(
                "c", List.of(), null, false, Before.SESSION, Lead.minutes(10), Whom.INSTRUCTOR, true, false);
        assertThat(said(with(plan, walk)))
                .startsWith("2026-08-31T09:50 Lesson 1 []")
                .hasSize(44);
    }

    @Test
    void aNewCourseStartsWithOneAndWhatIsAtFaultIsRefused() {
        Decisions added = make(plan, new PutCourse(null, Course.of("MAP 115", "Maps", 50, List.of(), List.of())));
        assertThat(added.course("MAP 115").orElseThrow().besides().reminders()).containsExactly(Reminder.USUAL);
        assertThatThrownBy(() -> with(plan, Reminder.USUAL, Reminder.USUAL))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("due-the-day-before");
        assertThatThrownBy(() -> with(plan, reminder("x", false, Before.SESSION, Lead.minutes(5), "W")))
                .isInstanceOf(Refused.class);
        Decisions own = with(plan, reminder("own", false, Before.DUE, Lead.minutes(30), "W"));
        assertThat(make(own, new RemoveItem(HYD, "W"))
                        .course(HYD)
                        .orElseThrow()
                        .besides()
                        .reminders())
                .isEmpty();
    }

    @Test
    void whatAnotherCourseSharesHasNoReminderOfItsOwnHere() {
        Schedule schedule = Schedule.of(plan);
        ShownThing thing = Shown.of(schedule, schedule.section(HYD, "A").orElseThrow(), Reader.CLASS, NOW)
                .things()
                .get(0);
        Reminder own =
                reminder("own", false, Before.DUE, Lead.minutes(30), thing.ref().id());
        assertThat(Remindings.holding(List.of(Reminder.USUAL, own), HYD, thing, Before.DUE))
                .containsExactly(own);
        assertThat(Remindings.holding(List.of(Reminder.USUAL, own), "MAP 115", thing, Before.DUE))
                .as("an id of another course's work")
                .containsExactly(Reminder.USUAL);
    }
}
