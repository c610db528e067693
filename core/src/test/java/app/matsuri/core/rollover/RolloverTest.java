package app.matsuri.core.rollover;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.Plans;
import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.calendar.WholeWeeks;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.Took;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.MeetingPattern;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.WeekFields;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A course rolled over: the ways agree where they must, order is kept, nothing private comes along. */
class RolloverTest {

    private static final List<RollBy> WAYS = List.of(
            new RollBy.ByClass(),
            new RollBy.ByWeek(false),
            new RollBy.ByWeek(true),
            new RollBy.ByDays(142),
            new RollBy.ByRule());

    /** The demo's coming term: Tuesday 19 January to Friday 7 May 2027, off 15 February and 15 to 19 March. */
    private static Decisions spring() {
        return Decisions.of(
                Term.of("Spring 2027", day("2027-01-19"), day("2027-05-07"), Plans.CHICAGO)
                        .withClosures(List.of(
                                Closure.of(day("2027-02-15"), day("2027-02-15"), "Staff day", "staff-day"),
                                Closure.of(day("2027-03-15"), day("2027-03-19"), "Spring break", "break"))),
                List.of());
    }

    private static RolledOver roll(Decisions from, RollBy by, Decisions to) {
        return Rollover.of(from, "HYD 210", by).into(to);
    }

    static LongStream seeds() {
        return LongStream.rangeClosed(1, 100);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void byClassByWeekAndByWholeWeeksAgreeInTermsOfTheSameShape(long seed) {
        RandomCourse made = new RandomCourse(seed);
        Term term = made.term(day("2026-08-31"), 15);
        Decisions from = made.decisions(term);
        int days = 7 * (int) (20 + seed);
        Decisions to = Decisions.of(RandomCourse.later(term, days), List.of());
        for (RollBy by : List.of(
                new RollBy.ByClass(),
                new RollBy.ByWeek(false),
                new RollBy.ByWeek(true),
                new RollBy.ByDays(days),
                new RollBy.ByRule())) {
            RolledOver over = roll(from, by, to);
            for (Rolled row : over.rows()) {
                if (!row.placed()) {
                    continue;
                }
                assertThat(row.now())
                        .as("%s %s %s of %s: %s", by.word(), row.what(), row.id(), row.section(), row.why())
                        .isEqualTo(row.old().plusDays(days));
            }
            boolean byRule = by instanceof RollBy.ByRule;
            assertThat(over.rows().stream().filter(r -> !r.placed() && r.old() != null))
                    .as(by.word())
                    .allMatch(r -> byRule && r.state() == Rolled.State.HAND);
            assertThat(over.count(Rolled.State.KEPT)
                            + over.count(Rolled.State.CARRIED)
                            + over.count(Rolled.State.HAND)
                            + over.count(Rolled.State.LOST))
                    .isEqualTo(over.rows().size());
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void nothingPrivateComesAlongAndOrderIsKept(long seed) {
        RandomCourse made = new RandomCourse(seed);
        Decisions from = made.decisions(made.term(day("2026-08-31"), 15));
        for (RollBy by : WAYS) {
            RolledOver over = roll(from, by, spring());
            Course course = over.after().course("HYD 210").orElseThrow();
            for (Section section : course.sections()) {
                assertThat(section.students()).isEmpty();
                assertThat(section.taught()).isEmpty();
                assertThat(section.lessonsWhere(OwnLesson::partly)).isEmpty();
                assertThat(section.ofLessons(OwnLesson::note)).isEmpty();
                assertThat(section.told()).isEqualTo(Told.NOTHING);
                assertThat(section.adjustments()).allMatch(a -> a.student() == null);
            }
            assertThat(course.lessons())
                    .extracting(Lesson::id)
                    .isEqualTo(from.course("HYD 210").orElseThrow().lessons().stream()
                            .map(Lesson::id)
                            .toList());
            for (SectionSchedule follows : over.schedule().sections()) {
                int last = -1;
                for (Placement placement : follows.placements()) {
                    if (placement.placed()) {
                        assertThat(placement.first())
                                .as("%s %s", by.word(), placement.lesson().id())
                                .isGreaterThanOrEqualTo(last);
                        last = placement.last();
                    }
                }
            }
            assertThat(over.change().apply(spring()).decisions()).isEqualTo(over.after());
        }
    }

    /** Published: ISO 8601 weeks, by the JDK's {@link WeekFields#ISO}. */
    @Test
    void byWeekIsTheSameWeekdayOfTheSameWeek() {
        RandomCourse made = new RandomCourse(7);
        Term term = made.term(day("2026-08-31"), 15);
        Decisions from = made.decisions(term);
        Decisions to = spring();
        WeekFields iso = WeekFields.ISO;
        int apart = 0;
        for (Rolled row : roll(from, new RollBy.ByWeek(false), to).rows()) {
            if (row.landed() || row.now() == null || row.what().equals(Rolled.LESSON)) {
                continue;
            }
            LocalDate old = row.old().toLocalDate();
            int week = old.get(iso.weekOfWeekBasedYear()) - term.first().get(iso.weekOfWeekBasedYear());
            LocalDate there = LocalDate.of(2027, 1, 4)
                    .with(iso.weekOfWeekBasedYear(), to.term().first().get(iso.weekOfWeekBasedYear()) + week)
                    .with(iso.dayOfWeek(), old.get(iso.dayOfWeek()));
            assertThat(row.now()).as(row.id()).isEqualTo(there.atTime(row.old().toLocalTime()));
            apart++;
        }
        assertThat(apart).isGreaterThan(5);
    }

    private static Decisions plan(Item... items) {
        return Plans.plan(Plans.sectionA(), Plans.unit(43, items));
    }

    /** The row of a date. */
    static Rolled row(RolledOver over, String what, String id) {
        return over.rows().stream()
                .filter(r -> r.what().equals(what) && r.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void byClassSessionKGoesToSessionK() {
        RolledOver over = roll(plan(), new RollBy.ByClass(), spring());
        assertThat(row(over, "lesson", "L1").now()).isEqualTo(at("2027-01-20T10:00"));
        assertThat(row(over, "lesson", "L11").now())
                .as("the Monday of the staff day is skipped")
                .isEqualTo(at("2027-02-12T10:00"));
        assertThat(row(over, "lesson", "L12").now()).isEqualTo(at("2027-02-17T10:00"));
        assertThat(row(over, "lesson", "L43").now()).isEqualTo(at("2027-05-07T10:00"));
        assertThat(over.after().courses().get(0).sections().get(0).ofLessons(OwnLesson::gap))
                .isEmpty();
        assertThat(row(over, "lesson", "L1").changesWeekday()).isTrue();
        assertThat(row(over, "lesson", "L4").changesWeekday())
                .as("behind the holiday of the old term both are Wednesdays")
                .isFalse();
    }

    @Test
    void byClassADateBetweenClassesKeepsItsDistanceInTeachingDaysAndItsTime() {
        Item form = Item.of("form", null, "other", "Form", DateRule.at(at("2026-09-03T12:00")));
        Item late = Item.of("late", null, "other", "Late", DateRule.at(at("2026-12-17T17:00")));
        RolledOver over = roll(plan(form, late), new RollBy.ByClass(), spring());
        assertThat(row(over, "due", "form").now())
                .as("a teaching day behind session 2, Friday 22 January")
                .isEqualTo(at("2027-01-25T12:00"));
        assertThat(row(over, "due", "late").now())
                .as("a teaching day behind session 43, the last day")
                .isNull();
        assertThat(over.hands()).extracting(Rolled::id).containsExactly("late");
        assertThat(over.hands().get(0).suggested()).isEqualTo(at("2027-05-07T17:00"));
    }

    @Test
    void byRuleOnlyFixedDatesAndPinsWaitAndAreTakenOneByOne() {
        Item form = Item.of("form", null, "other", "Form", DateRule.at(at("2026-09-03T12:00")));
        Decisions from = plan(form).withCourse("HYD 210", c -> c.withLesson("L9", l -> l.withPin(day("2026-09-21"))));
        Rollover by = Rollover.of(from, "HYD 210", new RollBy.ByRule());
        RolledOver over = by.into(spring());
        assertThat(over.hands()).extracting(Rolled::id).containsExactly("L9", "form");
        assertThat(row(over, "due", "form").now()).isNull();
        Rolled pin = row(over, "pin", "L9");
        assertThat(pin.suggested()).isEqualTo(at("2027-02-08T10:00"));
        RolledOver taken = new Rollover(
                        from,
                        List.of("HYD 210"),
                        Set.of(),
                        new RollBy.ByRule(),
                        Map.of(
                                new Rollover.Taken("HYD 210", "pin", "L9"), pin.suggested(),
                                new Rollover.Taken("HYD 210", "due", "form"), at("2027-01-22T12:00")),
                        false,
                        false)
                .into(spring());
        assertThat(taken.hands()).isEmpty();
        assertThat(row(taken, "due", "form").now()).isEqualTo(at("2027-01-22T12:00"));
        assertThat(taken.after().courses().get(0).lesson("L9").orElseThrow().pin())
                .isEqualTo(day("2027-02-08"));
    }

    @Test
    void byDaysWhatLandsOnADayOffOrAWeekendGoesOnAndIsListed() {
        Item form = Item.of("form", null, "other", "Form", DateRule.at(at("2026-09-04T12:00")));
        Item breaks = Item.of("break", null, "other", "Break", DateRule.at(at("2026-10-26T12:00")));
        RolledOver over = roll(plan(form, breaks), new RollBy.ByDays(141), spring());
        Rolled saturday = row(over, "due", "form");
        assertThat(saturday.now()).isEqualTo(at("2027-01-25T12:00"));
        assertThat(saturday.landed()).isTrue();
        assertThat(saturday.why()).isEqualTo("141 days later would be Sat 23 Jan, which does not teach");
        assertThat(row(over, "due", "break").now()).isEqualTo(at("2027-03-22T12:00"));
        assertThat(row(over, "due", "break").why()).contains("Spring break");
    }

    /** The example of the rules: 236 days turn Mondays into Saturdays; 231 and 238 do not. */
    @Test
    void wholeWeeksKeepWeekdays() {
        assertThat(WholeWeeks.around(236)).containsExactly(231, 238);
        assertThat(WholeWeeks.around(238)).containsExactly(238);
        assertThat(WholeWeeks.around(-3)).containsExactly(-7, 0);
        assertThat(WholeWeeks.trap(236)).contains("Saturday").contains("231 or 238");
    }

    @Test
    void rollingTwiceSaysSoAndMayTakeThePlaceOfTheFirst() {
        Decisions once = roll(plan(), new RollBy.ByClass(), spring()).after();
        assertThatThrownBy(() -> roll(plan(), new RollBy.ByRule(), once))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("was rolled over to Spring 2027 before");
        RolledOver again = new Rollover(
                        plan(), List.of("HYD 210"), Set.of(), new RollBy.ByRule(), Map.of(), false, true)
                .into(once);
        assertThat(again.after().courses().get(0).units()).hasSize(1);
    }

    @Test
    void chosenUnitsComeAloneAndOthersFollowLater() {
        List<Unit> units = new ArrayList<>();
        for (int u = 1; u <= 3; u++) {
            int n = u;
            units.add(Unit.of("U" + u, "Unit " + u, List.of(Lesson.of("L" + n, "Lesson " + n, 2)), List.of()));
        }
        Decisions from = Plans.plan(Plans.sectionA(), units.toArray(Unit[]::new));
        RolledOver second = new Rollover(
                        from, List.of("HYD 210"), Set.of("U2"), new RollBy.ByClass(), Map.of(), false, false)
                .into(spring());
        assertThat(second.rows()).extracting(Rolled::id).containsExactly("L2");
        assertThat(row(second, "lesson", "L2").now())
                .as("session 3 stays session 3")
                .isEqualTo(at("2027-01-25T10:00"));
        RolledOver third = new Rollover(
                        from, List.of("HYD 210"), Set.of("U3"), new RollBy.ByRule(), Map.of(), false, false)
                .into(second.after());
        assertThat(third.after().courses().get(0).units()).extracting(Unit::id).containsExactly("U2", "U3");
        assertThat(row(third, "lesson", "L3").now()).isEqualTo(at("2027-01-29T10:00"));
    }

    @Test
    void whatNoLongerFitsIsPacedAnew() {
        List<Lesson> lessons = new ArrayList<>();
        for (int i = 1; i <= 44; i++) {
            lessons.add(new Lesson(
                    "L" + i,
                    "Lesson " + i,
                    1,
                    1,
                    i % 5 == 0,
                    false,
                    false,
                    null,
                    0,
                    "",
                    app.matsuri.core.plan.LessonDetails.NONE,
                    app.matsuri.core.calendar.Extra.NONE));
        }
        Decisions from = Plans.plan(Plans.sectionA(), Unit.of("U", "Unit", lessons, List.of()));
        Decisions shorter = Decisions.of(
                Term.of("Short", day("2027-01-19"), day("2027-04-23"), Plans.CHICAGO)
                        .withClosures(spring().term().closures()),
                List.of());
        assertThat(roll(from, new RollBy.ByClass(), shorter).noSession()).isEqualTo(7);
        RolledOver fitted = new Rollover(
                        from, List.of("HYD 210"), Set.of(), new RollBy.ByClass(), Map.of(), true, false)
                .into(shorter);
        assertThat(fitted.rows().stream().filter(r -> r.now() == null))
                .hasSize(7)
                .allSatisfy(row -> {
                    assertThat(from.courses()
                                    .get(0)
                                    .lesson(row.id())
                                    .orElseThrow()
                                    .optional())
                            .isTrue();
                    assertThat(row.state()).isEqualTo(Rolled.State.LOST);
                    assertThat(row.why()).isEqualTo("left out, so that the rest fits");
                });
        assertThat(fitted.rows()).hasSize(44);
        assertThat(fitted.notes()).anyMatch(n -> n.contains("made to fit"));
    }

    @Test
    void madeToFitNothingIsLeftOutThatNobodySaidMayBe() {
        Decisions from = plan();
        Decisions shorter =
                Decisions.of(Term.of("Short", day("2027-01-19"), day("2027-03-12"), Plans.CHICAGO), List.of());
        RolledOver fitted = new Rollover(
                        from, List.of("HYD 210"), Set.of(), new RollBy.ByClass(), Map.of(), true, false)
                .into(shorter);
        Section section = fitted.after().courses().get(0).sections().get(0);
        assertThat(section.lessonsWhere(OwnLesson::leftOut))
                .allSatisfy(id -> assertThat(
                                from.courses().get(0).lesson(id).orElseThrow().optional())
                        .isTrue());
        List<String> lost =
                fitted.rows().stream().filter(Rolled::noSession).map(Rolled::id).toList();
        List<String> all =
                from.courses().get(0).lessons().stream().map(Lesson::id).toList();
        assertThat(lost).isEqualTo(all.subList(all.size() - lost.size(), all.size()));
    }

    @Test
    void howLongUnitsTookComesAlong() {
        Decisions from = plan();
        Section a = from.courses().get(0).sections().get(0);
        Map<LocalDateTime, List<String>> taught = new java.util.LinkedHashMap<>();
        app.matsuri.core.schedule.Schedule.of(from)
                .sections()
                .get(0)
                .lessonsBySession()
                .forEach(taught::put);
        Decisions done = from.withCourse("HYD 210", c -> c.withSection(a.withTaught(taught, Set.of())));
        RolledOver over = roll(done, new RollBy.ByRule(), spring());
        assertThat(over.after().courses().get(0).besides().took())
                .containsExactly(new Took("U", "Autumn 2026", "A", 43));
    }

    /** Weekly office hours come along, what was done with single slots and what is of single dates does not. */
    @Test
    void officeHoursComeAlongWithTheirCourse() {
        MeetingPattern weekly = Plans.meets("TU", "13:00", 60);
        MeetingPattern once = Plans.meets("FR", "13:00", 60).within(day("2026-10-09"), day("2026-10-09"));
        OfficeHours hours = OfficeHours.of("oh", "Office hours", List.of(weekly, once), BookingRules.of(15))
                .withCourses(List.of("HYD 210", "MAP 115"))
                .withBlocked(Set.of(at("2026-10-06T13:00")));
        OfficeHours others =
                OfficeHours.of("map", "Maps", List.of(weekly), null).withCourses(List.of("MAP 115"));
        RandomCourse random = new RandomCourse(3);
        Decisions from = random.decisions(random.term(day("2026-08-31"), 15)).withOfficeHours(List.of(hours, others));
        RolledOver over = roll(from, new RollBy.ByWeek(false), spring());
        assertThat(over.notes()).contains("“Office hours”: times on single dates stay behind.");
        Decisions made = Change.make(over.change(), spring()).decisions();
        assertThat(made.officeHours()).singleElement().satisfies(now -> {
            assertThat(now.windows()).containsExactly(weekly);
            assertThat(now.courses()).containsExactly("HYD 210");
            assertThat(now.blocked()).isEmpty();
            assertThat(now.booking()).isEqualTo(BookingRules.of(15));
        });
        assertThat(made).isEqualTo(over.after());
    }
}
