package app.matsuri.core.change;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.meets;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.sectionB;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.change.dates.Move;
import app.matsuri.core.change.dates.PutAdjustment;
import app.matsuri.core.change.dates.PutDates;
import app.matsuri.core.change.dates.Redate;
import app.matsuri.core.change.dates.Redate.How;
import app.matsuri.core.change.plan.ArrangeItems;
import app.matsuri.core.change.plan.RemoveItem;
import app.matsuri.core.change.section.PutSection;
import app.matsuri.core.change.section.RemoveSection;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import java.time.DayOfWeek;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** One change over many dates. In A, L1 is on Mon 31 Aug, L2 on Wed 2, L3 on Fri 4, L4 on Wed 9 Sep; in B, L1 on Tue 1. */
class RedateTest {

    private static final String HYD = "HYD 210";
    private static final DateRule WITH_L3 = DateRule.of(new Anchor.WithLesson("L3", Edge.START));
    private static final DateRule AFTER_DUE =
            DateRule.of(new Anchor.OwnDate(Which.DUE)).plus(2, Offset.Unit.DAYS);

    private static Item item(String id, DateRule due) {
        return Item.of(id, null, "homework", id, due);
    }

    private static Decisions two(Item... items) {
        Course course = Course.of(HYD, "Reading Rivers", 50, List.of(sectionA(), sectionB()), List.of(unit(6, items)));
        return Decisions.of(demoTerm(), List.of(course));
    }

    private static LocalDateTime date(Decisions plan, String section, String item, Which which) {
        Resolved date = dates(plan, section, item).get(which);
        return date == null ? null : date.at();
    }

    private static ItemDates dates(Decisions plan, String section, String item) {
        return Schedule.of(plan).section(HYD, section).orElseThrow().byItem().get(item);
    }

    private static Change.Outcome outcome(Decisions plan, List<String> sections, Set<Which> dates, How how) {
        List<String> all = plan.courses().get(0).items().stream().map(Item::id).toList();
        Redate redate = new Redate(HYD, all, sections, dates, how);
        assertThat(redate.sentence(plan)).isNotBlank().doesNotEndWith(".");
        return Change.make(redate, plan);
    }

    private static Decisions due(Decisions plan, How how) {
        return outcome(plan, List.of(), Set.of(Which.DUE), how).decisions();
    }

    @Test
    void aRuleCountsFurtherAndAFixedDateMoves() {
        Decisions plan = two(item("R", WITH_L3), item("F", DateRule.at(at("2026-09-08T17:00"))));
        Decisions after = due(plan, new How.By(2, Offset.Unit.TEACHING_DAYS));
        assertThat(date(after, "A", "R", Which.DUE)).isEqualTo(at("2026-09-09T10:00"));
        assertThat(date(after, "A", "F", Which.DUE)).isEqualTo(at("2026-09-10T17:00"));
        assertThat(dates(after, "A", "R").rule(Which.DUE)).isEqualTo(WITH_L3.plus(2, Offset.Unit.TEACHING_DAYS));
        Decisions back = due(after, new How.By(-2, Offset.Unit.TEACHING_DAYS));
        assertThat(dates(back, "A", "R").rule(Which.DUE)).isEqualTo(WITH_L3);
        assertThat(date(back, "A", "F", Which.DUE)).isEqualTo(at("2026-09-08T17:00"));
    }

    @Test
    void weeksAndDaysAreAddedUpAndOtherUnitsAreSaid() {
        Decisions plan = two(item("R", WITH_L3.plus(3, Offset.Unit.DAYS)));
        assertThat(dates(due(plan, new How.By(1, Offset.Unit.WEEKS)), "A", "R")
                        .rule(Which.DUE)
                        .plus())
                .isEqualTo(new Offset(10, Offset.Unit.DAYS));
        assertThatThrownBy(() -> due(plan, new How.By(1, Offset.Unit.SESSIONS)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("counts in days");
    }

    @Test
    void aMoveByDaysDoesNotLandOnAWeekendOrADayOff() {
        Decisions plan = two(item("F", DateRule.at(at("2026-09-03T17:00"))));
        Change.Outcome weekend = outcome(plan, List.of(), Set.of(Which.DUE), new How.By(2, Offset.Unit.DAYS));
        // Saturday 5 September goes past the weekend and the public holiday on Monday 7
        assertThat(date(weekend.decisions(), "A", "F", Which.DUE)).isEqualTo(at("2026-09-08T17:00"));
        assertThat(weekend.notes())
                .hasSize(2)
                .anyMatch(n -> n.contains("Sat 5 Sep") && n.contains("Tue 8 Sep"))
                .contains("By 2 days weekdays change: what is on a Monday comes to a Wednesday. 7 days keep them.");
        assertThat(outcome(plan, List.of(), Set.of(Which.DUE), new How.By(10, Offset.Unit.DAYS))
                        .notes())
                .contains(
                        "By 10 days weekdays change: what is on a Monday comes to a Thursday. 7 or 14 days keep them.");
        assertThat(outcome(plan, List.of(), Set.of(Which.DUE), new How.By(14, Offset.Unit.DAYS))
                        .notes())
                .isEmpty();
        Decisions sundays = two(item("F", DateRule.at(at("2026-09-13T23:59"))));
        assertThat(date(due(sundays, new How.By(1, Offset.Unit.WEEKS)), "A", "F", Which.DUE))
                .as("what was due on a Sunday stays on Sundays")
                .isEqualTo(at("2026-09-20T23:59"));
    }

    @Test
    void aDateThatHangsOnAnotherMovesOnlyOnce() {
        Item both = item("R", WITH_L3).withRule(Which.CLOSES, AFTER_DUE);
        Decisions after = outcome(
                        two(both), List.of(), EnumSet.of(Which.DUE, Which.CLOSES), new How.By(1, Offset.Unit.WEEKS))
                .decisions();
        assertThat(date(after, "A", "R", Which.DUE)).isEqualTo(at("2026-09-11T10:00"));
        assertThat(date(after, "A", "R", Which.CLOSES)).isEqualTo(at("2026-09-13T10:00"));
    }

    @Test
    void aTimeAWeekdayAndAClass() {
        Decisions plan = two(item("R", WITH_L3), item("F", DateRule.at(at("2026-09-08T17:00"))));
        assertThat(date(due(plan, new How.At(LocalTime.of(23, 59))), "A", "R", Which.DUE))
                .isEqualTo(at("2026-09-04T23:59"));
        Decisions fridays = due(plan, new How.SnapTo(DayOfWeek.FRIDAY, false));
        assertThat(date(fridays, "A", "F", Which.DUE)).isEqualTo(at("2026-09-11T17:00"));
        assertThat(date(fridays, "B", "R", Which.DUE).getDayOfWeek()).isEqualTo(DayOfWeek.FRIDAY);
        Decisions next = due(plan, new How.ToClass(false));
        assertThat(date(next, "A", "F", Which.DUE)).isEqualTo(at("2026-09-09T10:00"));
        assertThat(dates(next, "A", "F").rule(Which.DUE))
                .isEqualTo(DateRule.of(new Anchor.WithLesson("L4", Edge.START)));
        assertThat(date(due(plan, new How.ToClass(true)), "A", "F", Which.DUE)).isEqualTo(at("2026-09-04T10:00"));
    }

    @Test
    void fixingKeepsEverySectionsDateAndFollowingGivesItBack() {
        Decisions plan = two(item("R", WITH_L3.plus(1, Offset.Unit.TEACHING_DAYS)));
        LocalDateTime inA = date(plan, "A", "R", Which.DUE);
        LocalDateTime inB = date(plan, "B", "R", Which.DUE);
        Decisions fixed = due(plan, new How.Fix());
        assertThat(dates(fixed, "A", "R").due().fixed()).isTrue();
        assertThat(date(fixed, "A", "R", Which.DUE)).isEqualTo(inA);
        assertThat(date(fixed, "B", "R", Which.DUE)).isEqualTo(inB);
        Decisions follows = due(fixed, new How.Follow());
        assertThat(dates(follows, "A", "R").due().fixed()).isFalse();
        assertThat(date(follows, "A", "R", Which.DUE)).isEqualTo(inA);
        assertThat(date(follows, "B", "R", Which.DUE)).isEqualTo(inB);
    }

    @Test
    void oneSectionGetsDatesOfItsOwnAndTheOtherKeepsThePlans() {
        Decisions plan = two(item("R", WITH_L3));
        Decisions after = outcome(plan, List.of("B"), Set.of(Which.DUE), new How.By(1, Offset.Unit.WEEKS))
                .decisions();
        assertThat(date(after, "A", "R", Which.DUE)).isEqualTo(date(plan, "A", "R", Which.DUE));
        assertThat(date(after, "B", "R", Which.DUE))
                .isEqualTo(date(plan, "B", "R", Which.DUE).plusWeeks(1));
        assertThat(after.courses().get(0).item("R").orElseThrow().due()).isEqualTo(WITH_L3);
        // all sections later: B keeps its distance
        Decisions all = due(after, new How.By(1, Offset.Unit.WEEKS));
        assertThat(date(all, "B", "R", Which.DUE))
                .isEqualTo(date(plan, "B", "R", Which.DUE).plusWeeks(2));
        // back on the plan's rule, nothing of its own is left
        Decisions back = outcome(after, List.of("B"), Set.of(Which.DUE), new How.By(-1, Offset.Unit.WEEKS))
                .decisions();
        assertThat(date(back, "B", "R", Which.DUE)).isEqualTo(date(plan, "B", "R", Which.DUE));
    }

    @Test
    void datesThatWereTypedGoToThePlanOrToTheSectionsMeant() {
        Decisions plan = two(item("R", WITH_L3));
        Own<DateRule> fixed = Own.other(DateRule.at(at("2026-09-15T17:00")));
        Decisions inB =
                make(plan, new PutDates(List.of(new PutDates.Entry(HYD, "R", List.of("B"), Map.of(Which.DUE, fixed)))));
        assertThat(date(inB, "B", "R", Which.DUE)).isEqualTo(at("2026-09-15T17:00"));
        assertThat(date(inB, "A", "R", Which.DUE)).isEqualTo(at("2026-09-04T10:00"));
        Decisions all =
                make(inB, new PutDates(List.of(new PutDates.Entry(HYD, "R", List.of(), Map.of(Which.DUE, fixed)))));
        assertThat(all.courses().get(0).section("B").orElseThrow().adjustments())
                .as("what holds for all takes the place of a section's own")
                .isEmpty();
        assertThat(date(all, "A", "R", Which.DUE)).isEqualTo(at("2026-09-15T17:00"));
        Decisions none = make(
                plan,
                new PutDates(List.of(new PutDates.Entry(HYD, "R", List.of("A", "B"), Map.of(Which.DUE, Own.none())))));
        assertThat(date(none, "A", "R", Which.DUE)).isNull();
        assertThat(none.courses().get(0).section("A").orElseThrow().adjustments())
                .isEmpty();
    }

    @Test
    void anOfficialDateStaysAndIsNamed() {
        Item exam = new Item(
                "X",
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
                WITH_L3,
                null,
                app.matsuri.core.plan.ItemDetails.NONE,
                app.matsuri.core.calendar.Extra.NONE);
        Change.Outcome outcome =
                outcome(two(exam, item("R", WITH_L3)), List.of(), Set.of(Which.DUE), new How.By(1, Offset.Unit.WEEKS));
        assertThat(outcome.notes()).singleElement().asString().contains("“Exam” has an official date");
        assertThat(date(outcome.decisions(), "A", "X", Which.DUE)).isEqualTo(at("2026-09-04T10:00"));
        assertThatThrownBy(() -> make(
                        two(exam),
                        new PutDates(List.of(new PutDates.Entry(HYD, "X", List.of(), Map.of(Which.DUE, Own.none()))))))
                .isInstanceOf(Refused.class);
    }

    @Test
    void aUnitDatesEverythingInItHoweverDeepAndAThingsOwnDateWins() {
        Item folder = item("Folder", null);
        Item deep = item("Deep", null);
        deep = deep.withDetails(deep.details().within("Middle"));
        Item middle = item("Middle", null);
        middle = middle.withDetails(middle.details().within("Folder"));
        Item own = item("Own", DateRule.at(at("2026-09-10T17:00")));
        own = own.withDetails(own.details().within("Folder"));
        Unit dated = unit(6, folder, middle, deep, own).withDates(Map.of(Which.DUE, WITH_L3));
        Course course = Course.of(HYD, "Rivers", 50, List.of(sectionA()), List.of(dated));
        Decisions plan = Decisions.of(demoTerm(), List.of(course));
        assertThat(date(plan, "A", "Deep", Which.DUE)).isEqualTo(at("2026-09-04T10:00"));
        assertThat(date(plan, "A", "Own", Which.DUE)).isEqualTo(at("2026-09-10T17:00"));
        Decisions nearer =
                plan.withCourse(course.withItem(folder.withRule(Which.DUE, DateRule.at(at("2026-09-14T17:00")))));
        assertThat(date(nearer, "A", "Deep", Which.DUE)).isEqualTo(at("2026-09-14T17:00"));
        assertThat(make(plan, new RemoveItem(HYD, "Folder")).courses().get(0).items())
                .isEmpty();
    }

    @Test
    void aStudentsDatesGoBeforeTheSections() {
        DateRule later = WITH_L3.plus(1, Offset.Unit.WEEKS);
        Section a = sectionA()
                .withAdjustments(List.of(
                        new Adjustment("R", null, Map.of(Which.CLOSES, Own.other(AFTER_DUE)), ""),
                        new Adjustment("R", "7", Map.of(Which.DUE, Own.other(later)), "ill")));
        Decisions plan = Decisions.of(
                demoTerm(), List.of(Course.of(HYD, "Rivers", 50, List.of(a), List.of(unit(6, item("R", WITH_L3))))));
        var section = Schedule.of(plan).section(HYD, "A").orElseThrow();
        assertThat(section.byItem().get("R").due().at()).isEqualTo(at("2026-09-04T10:00"));
        assertThat(section.studentDates()).singleElement().satisfies(s -> {
            assertThat(s.student()).isEqualTo("7");
            assertThat(s.dates().due().at()).isEqualTo(at("2026-09-11T10:00"));
            assertThat(s.dates().closes().at()).isEqualTo(at("2026-09-13T10:00"));
        });
    }

    @Test
    void oneStudentIsGivenLongerWithoutBeingNamedInTheHistory() {
        Section a = sectionA().withStudents(List.of(new app.matsuri.core.plan.Student("7", "Wren Oakes", "")));
        Decisions plan = Decisions.of(
                demoTerm(), List.of(Course.of(HYD, "Rivers", 50, List.of(a), List.of(unit(6, item("R", WITH_L3))))));
        Map<Which, Own<DateRule>> longer = Map.of(Which.DUE, Own.other(WITH_L3.plus(1, Offset.Unit.WEEKS)));
        PutAdjustment give = new PutAdjustment(HYD, "A", new Adjustment("R", "7", longer, "ill"));
        assertThat(give.sentence(plan)).isEqualTo("Give one student of A other dates of “R”");
        Decisions given = make(plan, give);
        assertThat(Schedule.of(given).section(HYD, "A").orElseThrow().studentDates())
                .singleElement()
                .satisfies(s -> assertThat(s.dates().due().at()).isEqualTo(at("2026-09-11T10:00")));
        Decisions back = make(given, new PutAdjustment(HYD, "A", new Adjustment("R", "7", Map.of(), "")));
        assertThat(back).isEqualTo(plan);
        assertThatThrownBy(() -> make(plan, new PutAdjustment(HYD, "A", new Adjustment("R", "8", longer, ""))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("no student");
    }

    @Test
    void somethingForOneSectionIsNothingInTheOther() {
        Item onlyB = item("R", WITH_L3);
        onlyB = onlyB.withDetails(new app.matsuri.core.plan.ItemDetails(
                null, "", "", "", List.of(), List.of(), List.of("B"), "all", List.of(), false, false));
        Decisions plan = two(onlyB);
        assertThat(dates(plan, "A", "R")).isNull();
        assertThat(date(plan, "B", "R", Which.DUE)).isNotNull();
        Section renamed = plan.courses().get(0).section("B").orElseThrow();
        Decisions asC = make(plan, new PutSection(HYD, "B", Section.of("C", renamed.pace(), renamed.meets())));
        assertThat(dates(asC, "A", "R")).isNull();
        assertThat(date(asC, "C", "R", Which.DUE)).isNotNull();
        Decisions gone = make(plan, new RemoveSection(HYD, "B"));
        assertThat(dates(gone, "A", "R"))
                .as("what was for nobody else is for all")
                .isNotNull();
    }

    @Test
    void aHandInASectionWithItsOwnDateMovesThatOne() {
        Decisions plan = two(item("R", WITH_L3));
        Decisions own =
                outcome(plan, List.of("A"), Set.of(Which.DUE), new How.Fix()).decisions();
        Decisions moved = make(
                own,
                Move.seenIn(
                        HYD,
                        "A",
                        List.of(),
                        List.of("R"),
                        app.matsuri.core.Plans.day("2026-09-10"),
                        "last",
                        true,
                        false));
        assertThat(date(moved, "A", "R", Which.DUE)).isEqualTo(at("2026-09-10T10:00"));
        assertThat(date(moved, "B", "R", Which.DUE)).isEqualTo(date(plan, "B", "R", Which.DUE));
    }

    @Test
    void thingsAreArrangedWithWhatLiesInThem() {
        Item in = item("In", null);
        in = in.withDetails(in.details().within("Folder"));
        Decisions plan = Decisions.of(
                demoTerm(),
                List.of(Course.of(
                        HYD,
                        "Rivers",
                        50,
                        List.of(Section.of("A", Section.Pace.SESSIONS, List.of(meets("MO", "10:00", 50)))),
                        List.of(
                                unit(2, item("Folder", null), in, item("Other", null)),
                                Unit.of("V", "Second", List.of(), List.of(item("There", null)))))));
        Decisions after = make(plan, new ArrangeItems(HYD, List.of("Folder"), "V", null, null, "There"));
        assertThat(after.courses().get(0).unit("V").orElseThrow().items())
                .extracting(Item::id)
                .containsExactly("Folder", "In", "There");
        Decisions indented = make(after, new ArrangeItems(HYD, List.of("There"), "V", null, "Folder", "In"));
        assertThat(indented.courses().get(0).unit("V").orElseThrow().inside("Folder"))
                .extracting(Item::id)
                .containsExactly("Folder", "There", "In");
        assertThatThrownBy(() -> make(after, new ArrangeItems(HYD, List.of("Folder"), "V", null, "In", null)))
                .isInstanceOf(Refused.class);
    }

    private static Decisions make(Decisions before, Change change) {
        assertThat(change.sentence(before)).isNotBlank().doesNotEndWith(".");
        return Change.make(change, before).decisions();
    }
}
