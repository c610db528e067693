package app.matsuri.core.change;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.sectionB;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.change.dates.Redate;
import app.matsuri.core.change.dates.Shift;
import app.matsuri.core.change.notice.ArrangeNotice;
import app.matsuri.core.change.notice.ChangeNoticeSeries;
import app.matsuri.core.change.notice.MoveNotice;
import app.matsuri.core.change.notice.PutDayNote;
import app.matsuri.core.change.notice.PutNotice;
import app.matsuri.core.change.notice.PutWeekNote;
import app.matsuri.core.change.plan.PutCourse;
import app.matsuri.core.change.plan.PutItem;
import app.matsuri.core.change.plan.RemoveItem;
import app.matsuri.core.change.plan.RemoveUnit;
import app.matsuri.core.change.section.PutSection;
import app.matsuri.core.change.section.RemoveSection;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.DayNote;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.NoticeTime.Repeat;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.WeekNote;
import app.matsuri.core.plan.Which;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.NoticeDates.Entry;
import app.matsuri.core.schedule.Schedule;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Notices: once, as spans tied to work, as series that stay one, shared by courses; words on days and weeks. */
class NoticesTest {

    private static final String HYD = "HYD 210";

    /** Set 1 is due with L4: Wed 9 Sep in A. */
    private static Decisions plan() {
        Item set = Item.of("set-1", "L4", "homework", "Set 1", DateRule.of(new Anchor.WithLesson("L4", Edge.START)));
        return Decisions.of(
                demoTerm(),
                List.of(
                        Course.of(HYD, "Rivers", 50, List.of(sectionA(), sectionB()), List.of(unit(9, set))),
                        Course.of("MAP 115", "Maps", 50, List.of(sectionA()), List.of())));
    }

    private static Decisions make(Decisions before, Change change) {
        assertThat(change.sentence(before)).isNotBlank().doesNotEndWith(".");
        return Change.make(change, before).decisions();
    }

    private static List<Entry> entries(Decisions plan, String course, String section, String notice) {
        return Schedule.of(plan).section(course, section).orElseThrow().notices().stream()
                .filter(n -> n.notice().id().equals(notice))
                .findFirst()
                .map(NoticeDates::entries)
                .orElse(List.of());
    }

    private static List<LocalDateTime> begins(Decisions plan, String notice) {
        return entries(plan, HYD, "A", notice).stream().map(Entry::begins).toList();
    }

    private static final Notice SPAN = Notice.of(
            "span",
            "Work on set 1",
            NoticeTime.once(
                    true,
                    DateRule.of(new Anchor.OfItem("set-1", Which.DUE)).plus(-2, Offset.Unit.DAYS),
                    DateRule.of(new Anchor.OfItem("set-1", Which.DUE))));

    @Test
    void aSpanTiedToWorkMovesWithIt() {
        Decisions before = make(plan(), new PutNotice(HYD, SPAN));
        assertThat(entries(before, HYD, "A", "span"))
                .containsExactly(
                        new Entry(null, at("2026-09-09T10:00").minusDays(2), at("2026-09-09T10:00"), true, null));
        Proposal late = Proposal.of(
                before, new Shift(HYD, "A", List.of("L1"), null, List.of(), null, null, 1, Shift.In.SESSIONS, false));
        assertThat(late.moves())
                .filteredOn(m -> m.what().equals("notice"))
                .singleElement()
                .satisfies(m -> {
                    assertThat(m.from()).isEqualTo(at("2026-09-07T10:00"));
                    assertThat(m.to()).isEqualTo(at("2026-09-09T10:00"));
                    assertThat(m.hand()).isFalse();
                });
        assertThat(late.sentence()).contains("1 notice moves");
    }

    @Test
    void withoutTheWorkThatItHangsOnItStaysWhereItStoodAndThatIsSaid() {
        Decisions before = make(plan(), new PutNotice(HYD, SPAN));
        Proposal without = Proposal.of(before, new RemoveItem(HYD, "set-1"));
        assertThat(without.quiet()).isFalse();
        assertThat(without.notes())
                .containsExactly("One thing that hung on it is fixed where it stood: “" + SPAN.title() + "”.");
        assertThat(entries(without.after(), HYD, "A", "span")).isEqualTo(entries(before, HYD, "A", "span"));
    }

    private static Notice series() {
        return Notice.of(
                "hut",
                "Hut open",
                NoticeTime.series(new Repeat(
                        "FREQ=WEEKLY;BYDAY=TH", day("2026-09-03"), day("2026-10-01"), LocalTime.of(15, 0), 90)));
    }

    @Test
    void aSeriesStaysOneWhateverHappensToItsEntries() {
        Decisions weekly = make(plan(), new PutNotice(HYD, series()));
        assertThat(begins(weekly, "hut"))
                .containsExactly(
                        at("2026-09-03T15:00"),
                        at("2026-09-10T15:00"),
                        at("2026-09-17T15:00"),
                        at("2026-09-24T15:00"),
                        at("2026-10-01T15:00"));
        Decisions moved = make(weekly, new MoveNotice(HYD, "A", "hut", day("2026-09-17"), day("2026-09-18")));
        Decisions without = make(moved, new MoveNotice(HYD, "A", "hut", day("2026-09-10"), null));
        Decisions onward = make(
                without,
                new ChangeNoticeSeries(
                        HYD,
                        "hut",
                        day("2026-09-24"),
                        new Repeat("FREQ=WEEKLY;BYDAY=MO", null, day("2026-10-08"), LocalTime.of(9, 0), 30)));
        assertThat(begins(onward, "hut"))
                .containsExactly(
                        at("2026-09-03T15:00"), at("2026-09-18T15:00"), at("2026-09-28T09:00"), at("2026-10-05T09:00"));
        assertThat(onward.courses().get(0).besides().notices()).hasSize(1);
        Decisions ended = make(onward, new ChangeNoticeSeries(HYD, "hut", day("2026-09-24"), null));
        assertThat(begins(ended, "hut")).hasSize(2);
        assertThatThrownBy(() -> make(ended, new ChangeNoticeSeries(HYD, "hut", day("2026-09-01"), null)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Nothing");
    }

    @Test
    void oneEntryOfASeriesIsGivenAnotherTimeOfDay() {
        Decisions weekly = make(plan(), new PutNotice(HYD, series()));
        MoveNotice later = new MoveNotice(HYD, "A", "hut", day("2026-09-17"), day("2026-09-17"), LocalTime.of(16, 30));
        assertThat(later.sentence(weekly)).isEqualTo("Move “Hut open” of Thu 17 Sep to 16:30");
        assertThat(entries(make(weekly, later), HYD, "A", "hut"))
                .contains(new Entry(day("2026-09-17"), at("2026-09-17T16:30"), at("2026-09-17T18:00"), false, null))
                .hasSize(5);
        Notice days =
                Notice.of("days", "Days", NoticeTime.series(new Repeat("FREQ=WEEKLY;BYDAY=TH", null, null, null, 0)));
        Decisions whole = make(plan(), new PutNotice(HYD, days));
        assertThatThrownBy(() -> make(
                        whole, new MoveNotice(HYD, "A", "days", day("2026-09-17"), day("2026-09-17"), LocalTime.NOON)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("has no time of day");
    }

    /** Set 1 and two notices: the span up to it, and a walk that B has later. */
    private static Decisions manyDated() {
        Notice walk = Notice.of("walk", "Walk", NoticeTime.on(day("2026-09-10")))
                .withWhen("B", NoticeTime.on(day("2026-09-15")));
        return make(
                make(make(plan(), new PutNotice(HYD, SPAN)), new PutNotice(HYD, walk)), new PutNotice(HYD, series()));
    }

    private static Redate redate(Redate.How how, List<String> sections, Which... dates) {
        return new Redate(
                HYD, List.of("set-1", "notice:walk", "notice:span", "notice:hut"), sections, Set.of(dates), how);
    }

    @Test
    void oneChangeOverManyTakesNoticesAlong() {
        Decisions before = manyDated();
        Redate later = redate(new Redate.How.By(1, Offset.Unit.WEEKS), List.of(), Which.values());
        assertThat(later.sentence(before)).isEqualTo("Move later by 1 week: the dates of 4 things");
        Change.Outcome outcome = Change.make(later, before);
        Decisions after = outcome.decisions();
        assertThat(begins(after, "walk")).containsExactly(at("2026-09-17T00:00"));
        assertThat(entries(after, HYD, "B", "walk")).extracting(Entry::begins).containsExactly(at("2026-09-22T00:00"));
        assertThat(begins(after, "span"))
                .as("comes along with set 1, once")
                .containsExactly(begins(before, "span").get(0).plusWeeks(1));
        assertThat(begins(after, "hut")).isEqualTo(begins(before, "hut"));
        assertThat(outcome.notes())
                .contains("“Hut open” is a series and stays: change it on the Wall, on one of its days.");
        assertThat(after.courses().get(0).sections())
                .extracting(s -> s.adjustments().size())
                .containsOnly(0);

        Decisions onlyB = make(before, redate(new Redate.How.By(1, Offset.Unit.DAYS), List.of("B"), Which.OPENS));
        assertThat(begins(onlyB, "walk")).containsExactly(at("2026-09-10T00:00"));
        assertThat(entries(onlyB, HYD, "B", "walk")).extracting(Entry::begins).containsExactly(at("2026-09-16T00:00"));

        Decisions timed = make(before, redate(new Redate.How.At(LocalTime.of(17, 0)), List.of(), Which.OPENS));
        assertThat(entries(timed, HYD, "A", "walk"))
                .containsExactly(new Entry(null, at("2026-09-10T17:00"), at("2026-09-10T17:00"), false, null));

        Decisions fixed = make(before, redate(new Redate.How.Fix(), List.of("A"), Which.OPENS, Which.CLOSES));
        assertThat(Schedule.of(fixed)
                        .section(HYD, "A")
                        .orElseThrow()
                        .dated("notice:span")
                        .orElseThrow()
                        .rule(Which.OPENS))
                .isEqualTo(DateRule.at(at("2026-09-07T00:00")));

        Change.Outcome cleared = Change.make(
                new Redate(
                        HYD,
                        List.of("notice:walk", "notice:span"),
                        List.of(),
                        Set.of(Which.OPENS, Which.CLOSES),
                        new Redate.How.Clear()),
                before);
        Entry span = entries(cleared.decisions(), HYD, "A", "span").get(0);
        assertThat(span.ends()).as("its end is gone").isEqualTo(span.begins());
        assertThat(cleared.notes()).contains("“Walk” keeps its beginning: a notice has one.");
        assertThatThrownBy(() -> Change.make(
                        new Redate(
                                HYD,
                                List.of("notice:hut"),
                                List.of(),
                                Set.of(Which.OPENS),
                                new Redate.How.By(1, Offset.Unit.DAYS)),
                        before))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("is a series and stays");
    }

    @Test
    void movedByHandItKeepsItsTimesAndItsLength() {
        Notice trip = Notice.of(
                "trip",
                "Trip",
                NoticeTime.once(false, DateRule.at(at("2026-09-10T08:15")), DateRule.at(at("2026-09-11T15:30"))));
        Decisions moved =
                make(make(plan(), new PutNotice(HYD, trip)), new MoveNotice(HYD, "A", "trip", null, day("2026-09-17")));
        assertThat(entries(moved, HYD, "B", "trip"))
                .containsExactly(new Entry(null, at("2026-09-17T08:15"), at("2026-09-18T15:30"), false, null));
        Proposal quiet = Proposal.of(moved, new MoveNotice(HYD, "A", "trip", null, day("2026-09-18")));
        assertThat(quiet.quiet()).isTrue();
    }

    @Test
    void oneSectionMayHaveItAtAnotherTime() {
        Notice walk = Notice.of("walk", "Walk", NoticeTime.on(day("2026-09-10")))
                .withWhen("B", NoticeTime.on(day("2026-09-15")));
        Decisions plan = make(plan(), new PutNotice(HYD, walk));
        assertThat(begins(plan, "walk")).containsExactly(day("2026-09-10").atStartOfDay());
        assertThat(entries(plan, HYD, "B", "walk"))
                .extracting(Entry::begins)
                .containsExactly(day("2026-09-15").atStartOfDay());
        Decisions usual = make(plan, new MoveNotice(HYD, null, "walk", null, day("2026-09-11")));
        assertThat(begins(usual, "walk")).containsExactly(day("2026-09-11").atStartOfDay());
        assertThat(entries(usual, HYD, "B", "walk"))
                .extracting(Entry::begins)
                .containsExactly(day("2026-09-15").atStartOfDay());
        Decisions moved = make(plan, new MoveNotice(HYD, "B", "walk", null, day("2026-09-16")));
        assertThat(begins(moved, "walk"))
                .as("A keeps its own")
                .containsExactly(day("2026-09-10").atStartOfDay());
        Course renamed = make(
                        moved,
                        new PutSection(
                                HYD,
                                "B",
                                app.matsuri.core.plan.Section.of(
                                        "C", sectionB().pace(), sectionB().meets())))
                .courses()
                .get(0);
        assertThat(renamed.notice("walk").orElseThrow().sections()).containsOnlyKeys("C");
    }

    @Test
    void sharedByCoursesItStaysOne() {
        Notice shared =
                Notice.of("fair", "Fair", NoticeTime.on(day("2026-09-10"))).withShared(List.of("MAP 115/A"));
        Decisions plan = make(plan(), new PutNotice(HYD, shared));
        assertThat(entries(plan, "MAP 115", "A", "fair")).hasSize(1);
        Decisions moved = make(plan, new MoveNotice(HYD, "A", "fair", null, day("2026-09-11")));
        assertThat(entries(moved, "MAP 115", "A", "fair"))
                .extracting(Entry::begins)
                .containsExactly(day("2026-09-11").atStartOfDay());
        Course map = moved.course("MAP 115").orElseThrow();
        Decisions renamed =
                make(moved, new PutCourse("MAP 115", Course.of("MAP 116", "Maps", 50, map.sections(), List.of())));
        assertThat(entries(renamed, "MAP 116", "A", "fair"))
                .as("after its course got another code")
                .hasSize(1);
    }

    @Test
    void whatHangsOnLessonsIsSharedAtTheTimeOfTheFirstSectionItIsFor() {
        Notice with = new Notice(
                "with",
                null,
                "With L4",
                "",
                "",
                List.of(),
                NoticeTime.once(false, DateRule.of(new Anchor.WithLesson("L4", Edge.START)), null),
                java.util.Map.of(),
                Notice.Reach.EVERYONE,
                List.of(),
                List.of(),
                null,
                app.matsuri.core.calendar.Extra.NONE);
        Decisions plan = make(plan(), new PutNotice(HYD, with));
        assertThat(entries(plan, "MAP 115", "A", "with"))
                .extracting(Entry::begins)
                .containsExactly(at("2026-09-09T10:00"));
    }

    @Test
    void whatIsAmissIsFoundAndWhatCannotBeIsRefused() {
        Notice backwards = Notice.of(
                "x",
                "X",
                NoticeTime.once(false, DateRule.at(at("2026-09-10T08:00")), DateRule.at(at("2026-09-09T08:00"))));
        assertThatThrownBy(() -> make(plan(), new PutNotice(HYD, backwards))).isInstanceOf(Refused.class);
        Notice never = Notice.of("x", "X", NoticeTime.series(new Repeat("FREQ=YEARLY", null, null, null, 0)));
        assertThatThrownBy(() -> make(plan(), new PutNotice(HYD, never))).isInstanceOf(Refused.class);
        Decisions outside = make(plan(), new PutNotice(HYD, Notice.of("x", "X", NoticeTime.on(day("2027-01-10")))));
        assertThat(Findings.of(Schedule.of(outside))).extracting(f -> f.code()).contains("notice-outside-term");
    }

    @Test
    void wordsStandOnDaysAndWeeksUntilTheyAreEmpty() {
        Decisions noted = make(plan(), new PutDayNote(HYD, new DayNote(day("2026-09-09"), null, "Guest", false)));
        Decisions again =
                make(noted, new PutDayNote(HYD, new DayNote(day("2026-09-09"), null, "Guest: the keeper", true)));
        assertThat(again.courses().get(0).besides().dayNotes())
                .extracting(DayNote::text)
                .containsExactly("Guest: the keeper");
        Decisions gone = make(again, new PutDayNote(HYD, new DayNote(day("2026-09-09"), null, " ", false)));
        assertThat(gone.courses().get(0).besides().dayNotes()).isEmpty();
        Decisions week =
                make(plan(), new PutWeekNote(HYD, new WeekNote(day("2026-09-09"), "A", "Gauges", List.of("Read one"))));
        assertThat(week.courses().get(0).besides().weekNotes())
                .containsExactly(new WeekNote(day("2026-09-07"), "A", "Gauges", List.of("Read one")));
        assertThat(make(week, new RemoveSection(HYD, "A"))
                        .courses()
                        .get(0)
                        .besides()
                        .weekNotes())
                .isEmpty();
        assertThat(Optional.of(make(week, new PutWeekNote(HYD, new WeekNote(day("2026-09-08"), "A", "", List.of())))))
                .get()
                .satisfies(d ->
                        assertThat(d.courses().get(0).besides().weekNotes()).isEmpty());
    }

    @Test
    void sharedWorkIsInTheOtherCourseWithItsDateAndItsMinutes() {
        Item set = plan().courses().get(0).item("set-1").orElseThrow();
        Item shared = new Item(
                set.id(),
                set.lesson(),
                set.kind(),
                set.title(),
                "",
                null,
                600,
                "",
                false,
                0,
                null,
                set.due(),
                null,
                set.details().shared(List.of("MAP 115")),
                set.extra());
        Decisions plan = make(plan(), new PutItem(HYD, null, shared));
        var map = Schedule.of(plan).section("MAP 115", "A").orElseThrow();
        assertThat(map.shared()).singleElement().satisfies(s -> {
            assertThat(s.course()).isEqualTo(HYD);
            assertThat(s.dates().due().at()).isEqualTo(at("2026-09-09T10:00"));
        });
        assertThat(map.loads().get(1).minutes()).isEqualTo(600);
        Course other = plan.course("MAP 115").orElseThrow();
        Decisions renamed =
                make(plan, new PutCourse("MAP 115", Course.of("MAP 116", "Maps", 50, other.sections(), List.of())));
        assertThat(Schedule.of(renamed).section("MAP 116", "A").orElseThrow().shared())
                .hasSize(1);
    }

    @Test
    void theyArePutInOrderAndIntoUnits() {
        Decisions two = make(make(plan(), new PutNotice(HYD, SPAN)), new PutNotice(HYD, series()));
        Decisions first = make(two, new ArrangeNotice(HYD, "hut", "U", "span"));
        assertThat(first.courses().get(0).besides().notices())
                .extracting(n -> n.id() + " " + n.unit())
                .containsExactly("hut U", "span null");
        Decisions back = make(first, new ArrangeNotice(HYD, "hut", null, null));
        assertThat(back.courses().get(0).besides().notices())
                .extracting(Notice::id)
                .containsExactly("span", "hut");
        assertThat(make(first, new RemoveUnit(HYD, "U"))
                        .courses()
                        .get(0)
                        .besides()
                        .notices())
                .as("a unit takes its notices along")
                .extracting(Notice::id)
                .containsExactly("span");
    }
}
