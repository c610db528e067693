package app.matsuri.core.rollover;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.meets;
import static app.matsuri.core.rollover.RolloverTest.row;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.Plans;
import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.findings.Finding;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.FileUse;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Which;
import app.matsuri.core.rollover.Rolled.State;
import app.matsuri.core.schedule.Schedule;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What keeps hanging, what is carried, and what is lost when a course is rolled into a shorter term with other days. */
class LostAndKeptTest {

    private static final List<RollBy> WAYS = List.of(
            new RollBy.ByClass(),
            new RollBy.ByWeek(false),
            new RollBy.ByWeek(true),
            new RollBy.ByDays(134),
            new RollBy.ByDays(133),
            new RollBy.ByDays(140),
            new RollBy.ByRule());

    /** Tuesdays and Thursdays, two weeks shorter. */
    private static Decisions shorter() {
        Section a = Section.of("A", Section.Pace.SESSIONS, List.of(meets("TU,TH", "13:00", 75)));
        return Decisions.of(
                Term.of("Spring", day("2027-01-12"), day("2027-04-16"), Plans.CHICAGO)
                        .withClosures(List.of(Closure.of(day("2027-03-15"), day("2027-03-19"), "Break", "break"))),
                List.of(Course.of("HYD 210", "Reading Rivers", 50, List.of(a), List.of())));
    }

    private static Decisions old() {
        DateRule week16 = DateRule.of(new Anchor.InWeek(16, false, DayOfWeek.SUNDAY));
        DateRule week3 = DateRule.of(new Anchor.InWeek(3, false, DayOfWeek.SUNDAY));
        DateRule log = DateRule.of(new Anchor.WithLesson("L5", Edge.END))
                .plus(2, Offset.Unit.DAYS)
                .at(LocalTime.of(17, 0));
        return Plans.plan(
                Plans.sectionA(),
                Plans.unit(
                        44,
                        Item.of("log", "L5", "homework", "Log", log)
                                .withRules(Map.of(
                                        Which.CLOSES,
                                        DateRule.of(new Anchor.OwnDate(Which.DUE))
                                                .plus(1, Offset.Unit.DAYS))),
                        Item.of(
                                "last",
                                "L44",
                                "homework",
                                "Last",
                                DateRule.of(new Anchor.WithLesson("L44", Edge.START))),
                        Item.of("form", null, "other", "Form", DateRule.at(at("2026-09-10T12:00"))),
                        Item.of("late", null, "other", "Late", DateRule.at(at("2026-12-17T12:00"))),
                        Item.of("w3", null, "other", "Week 3", week3),
                        Item.of("w16", null, "other", "Week 16", week16),
                        Item.of("poll", null, "other", "Poll", null)
                                .withRules(Map.of(Which.OPENS, DateRule.at(at("2026-10-12T09:00"))))));
    }

    @Test
    void whatHangsKeepsHangingInEveryWayAndSaysWhatTheWayAloneWouldGive() {
        for (RollBy by : WAYS) {
            RolledOver over = Rollover.of(old(), "HYD 210", by).into(shorter());
            String way = by.word();
            assertThat(row(over, "due", "log").state()).as(way).isEqualTo(State.KEPT);
            assertThat(row(over, "due", "log").now().toLocalTime()).as(way).isEqualTo(LocalTime.of(17, 0));
            assertThat(row(over, "closes", "log").state()).as(way).isEqualTo(State.KEPT);
            assertThat(row(over, "due", "w3").state()).as(way).isEqualTo(State.KEPT);
            assertThat(row(over, "due", "w3").now()).as(way).isEqualTo(at("2027-01-31T23:59"));
            assertThat(over.after().courses().get(0).item("log").orElseThrow().due())
                    .as(way)
                    .isEqualTo(old().courses().get(0).item("log").orElseThrow().due());
        }
        RolledOver byClass = Rollover.of(old(), "HYD 210", new RollBy.ByClass()).into(shorter());
        assertThat(row(byClass, "due", "log").why())
                .isEqualTo("L5 +2 days, 17:00; on the day of session 5 alone would be Tue 26 Jan, 17:00");
    }

    /** An answer key is not given out at once because its day lay in the old term. */
    @Test
    void aFileFromADayOnComesWhereAnOpeningOfThatDayComesElseWithItsUnit() {
        FileUse key = new FileUse("k", "Key.pdf", true, at("2026-10-12T09:00"), null);
        FileUse end = new FileUse("e", "End.pdf", true, at("2026-12-18T12:00"), null);
        Decisions old = old();
        Course course = old.courses().get(0);
        Item poll = course.item("poll").orElseThrow();
        Decisions with =
                old.withCourse(course.withItem(poll.withDetails(poll.details().withFiles(List.of(key, end)))));
        for (RollBy by : WAYS) {
            RolledOver over = Rollover.of(with, "HYD 210", by).into(shorter());
            Item now = over.after().courses().get(0).item("poll").orElseThrow();
            FileUse moved = now.details().files().get(0);
            if (now.opens() != null) {
                assertThat(moved.from()).as(by.word()).isEqualTo(now.opens().typed());
            }
            assertThat(now.details().files())
                    .as(by.word())
                    .allSatisfy(file -> assertThat(
                                    file.from() == null
                                            ? FileUse.UNIT.equals(file.with())
                                            : file.from().isAfter(at("2027-01-12T00:00")))
                            .isTrue());
        }
        RolledOver late = Rollover.of(with, "HYD 210", new RollBy.ByDays(134)).into(shorter());
        assertThat(late.after()
                        .courses()
                        .get(0)
                        .item("poll")
                        .orElseThrow()
                        .details()
                        .files()
                        .get(1)
                        .with())
                .isEqualTo(FileUse.UNIT);
    }

    @Test
    void whatHasNoPlaceIsLostCountedSuggestedAndFoundAfterwards() {
        for (RollBy by : WAYS) {
            RolledOver over = Rollover.of(old(), "HYD 210", by).into(shorter());
            String way = by.word();
            assertThat(over.count(State.KEPT)
                            + over.count(State.CARRIED)
                            + over.count(State.HAND)
                            + over.count(State.LOST))
                    .as(way)
                    .isEqualTo(over.rows().size());
            assertThat(over.rows()).as(way).allMatch(r -> r.placed() == (r.now() != null));
            assertThat(row(over, "lesson", "L44").state()).as(way).isEqualTo(State.LOST);
            assertThat(row(over, "due", "last").state()).as(way).isEqualTo(State.LOST);
            Rolled week16 = row(over, "due", "w16");
            assertThat(week16.state()).as(way).isEqualTo(State.LOST);
            assertThat(week16.suggested()).as(way).isNotNull();
            assertThat(week16.why()).as(way).contains("would be");
            assertThat(over.hands()).as(way).extracting(Rolled::id).contains("w16", "last", "late");
            List<Finding> found = Findings.of(Schedule.of(over.after()));
            assertThat(found)
                    .as(way)
                    .anyMatch(f ->
                            f.code().equals("waits-for-hand") && f.about().id().equals("w16"));
            assertThat(found)
                    .as(way)
                    .anyMatch(f ->
                            f.code().equals("unresolved-rule") && f.about().id().equals("last"));
            Finding late = found.stream()
                    .filter(f ->
                            f.code().equals("waits-for-hand") && f.about().id().equals("late"))
                    .findFirst()
                    .orElseThrow();
            Decisions mended = Change.make(late.mend(), over.after()).decisions();
            assertThat(Findings.of(Schedule.of(mended)))
                    .as(way)
                    .noneMatch(f ->
                            f.code().equals("waits-for-hand") && f.about().id().equals("late"));
        }
    }

    /** It stood on the autumn break, and 140 days later is Monday of the new term's own Monday. */
    @Test
    void anOpeningThatStoodOnADayOffStaysAsItWasSaid() {
        RolledOver over = Rollover.of(old(), "HYD 210", new RollBy.ByDays(154)).into(shorter());
        assertThat(row(over, "opens", "poll").now())
                .as("within the new term's break")
                .isEqualTo(at("2027-03-15T09:00"));
    }

    @Test
    void weeksBeforeTheFirstThatTeachesCountBackFromIt() {
        Decisions late = old().withTerm(old().term()
                .withClosures(List.of(Closure.of(day("2026-08-31"), day("2026-09-11"), "Late start", "other"))));
        Decisions to = shorter()
                .withTerm(shorter()
                        .term()
                        .withClosures(
                                List.of(Closure.of(day("2027-01-12"), day("2027-01-29"), "Late start", "other"))));
        Carrying way = new Carrying(
                new RollBy.ByWeek(true),
                Schedule.of(late).sections().get(0),
                Schedule.of(to).sections().get(0));
        assertThat(way.raw(at("2026-09-09T12:00")).at())
                .as("the week before the first that teaches")
                .isEqualTo(at("2027-01-27T12:00"));
    }

    @Test
    void theSecondClassOfADayStaysTheSecond() {
        Section twice =
                Section.of("A", Section.Pace.SESSIONS, List.of(meets("MO", "09:00", 50), meets("MO", "11:00", 50)));
        Decisions from = Plans.plan(twice.withHoldsEmpty(java.util.Set.of(at("2026-08-31T09:00"))), Plans.unit(5));
        Decisions to = Decisions.of(
                Term.of("Next", day("2027-01-18"), day("2027-05-07"), Plans.CHICAGO),
                List.of(Course.of("HYD 210", "Reading Rivers", 50, List.of(twice), List.of())));
        RolledOver over = Rollover.of(from, "HYD 210", new RollBy.ByWeek(false)).into(to);
        assertThat(row(over, "lesson", "L1").now()).isEqualTo(at("2027-01-18T11:00"));
    }

    /** Classes of 75 minutes: by minutes L2 begins within the first class, and by class it does so in the new term. */
    @Test
    void byClassCountsSessionsInSectionsPacedByMinutesToo() {
        Decisions from = Plans.plan(Plans.sectionB(), Plans.unit(12));
        Section long110 = Section.of("B", Section.Pace.MINUTES, List.of(meets("TU,TH", "13:00", 110)));
        Decisions to = Decisions.of(
                Term.of("Next", day("2027-01-19"), day("2027-05-07"), Plans.CHICAGO),
                List.of(Course.of("HYD 210", "Reading Rivers", 50, List.of(long110), List.of())));
        RolledOver over = Rollover.of(from, "HYD 210", new RollBy.ByClass()).into(to);
        var old = Schedule.of(from).sections().get(0);
        var now = over.schedule().sections().get(0);
        old.placements()
                .forEach(p -> assertThat(now.byLesson().get(p.lesson().id()).first())
                        .as(p.lesson().id())
                        .isEqualTo(p.first()));
    }
}
