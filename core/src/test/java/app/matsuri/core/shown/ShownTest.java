package app.matsuri.core.shown;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.dates.PutAdjustment;
import app.matsuri.core.change.notice.PutDayNote;
import app.matsuri.core.change.notice.PutNotice;
import app.matsuri.core.change.notice.PutWeekNote;
import app.matsuri.core.change.pace.Pin;
import app.matsuri.core.change.plan.PutItem;
import app.matsuri.core.change.plan.PutUnit;
import app.matsuri.core.change.plan.RemoveItem;
import app.matsuri.core.change.section.PutRoster;
import app.matsuri.core.change.section.Tell;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.DayNote;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.FileUse;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Student;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.WeekNote;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What students see is what they were told: public.md, "Public means told". */
class ShownTest {

    private static final String HYD = "HYD 210";
    private static final LocalDateTime TOLD = at("2026-09-01T08:00");
    private static final Item LOG =
            Item.of("W", "L4", "homework", "Log", DateRule.of(new Anchor.WithLesson("L4", Edge.START)));

    private final Decisions plan = plan(sectionA(), unit(6, LOG));
    private final Decisions told = make(plan, tell("2026-09-11", ""));

    private static Decisions make(Decisions before, Change change) {
        return Change.make(change, before).decisions();
    }

    private static Tell tell(String upTo, String why) {
        return new Tell(HYD, "A", upTo == null ? null : day(upTo), why, TOLD);
    }

    private static Shown shown(Decisions in, String now, Reader reader) {
        Schedule schedule = Schedule.of(in);
        return Shown.of(schedule, schedule.section(HYD, "A").orElseThrow(), reader, at(now));
    }

    private static Shown shown(Decisions in, String now) {
        return shown(in, now, Reader.CLASS);
    }

    private static List<String> lessons(Shown in) {
        return in.sessions().stream()
                .map(s -> s.start() + " "
                        + s.lessons().stream().map(ShownSession.Part::title).toList())
                .toList();
    }

    private static Item with(Item item, ItemDetails details, Map<Which, DateRule> rules) {
        return item.withDetails(details).withRules(rules);
    }

    private static ItemDetails details(boolean hidden, FileUse... files) {
        return new ItemDetails(
                null,
                "Bring boots.",
                "",
                "",
                List.of(new Link("Map", "https://maps.example/alder")),
                List.of(files),
                List.of(),
                ItemDetails.ALL,
                List.of(),
                hidden,
                false);
    }

    @Test
    void aSectionThatWasNeverToldShowsNothing() {
        Shown nothing = shown(plan, "2026-09-02T09:00");
        assertThat(nothing.begun()).isFalse();
        assertThat(nothing.sessions()).isEmpty();
        assertThat(nothing.things()).isEmpty();
        assertThat(nothing.weeks()).isEmpty();
        assertThat(nothing.title()).isEqualTo("Reading Rivers");
    }

    @Test
    void whatWasToldStaysWhateverThePlanBecomes() {
        Decisions flooded = make(
                make(told, new AddClosure(Closure.of(day("2026-09-09"), day("2026-09-09"), "Flood", "weather"))),
                new Pin(HYD, "A", "L5", day("2026-09-18")));
        assertThat(shown(flooded, "2026-09-02T09:00")).isEqualTo(shown(told, "2026-09-02T09:00"));
        assertThat(lessons(shown(told, "2026-09-02T09:00")))
                .startsWith("2026-08-31T10:00 [Lesson 1]", "2026-09-02T10:00 [Lesson 2]")
                .hasSize(5);
        assertThat(shown(told, "2026-09-02T09:00").things())
                .singleElement()
                .satisfies(t -> assertThat(t.main()).isEqualTo(at("2026-09-09T10:00")));
    }

    @Test
    void nothingShowsBehindTheDayUpToWhichWasTold() {
        Decisions noted = make(
                make(told, new PutWeekNote(HYD, new WeekNote(day("2026-09-14"), null, "Behind", List.of()))),
                new PutDayNote(HYD, new DayNote(day("2026-09-10"), null, "Boots", false)));
        noted = make(noted, new PutDayNote(HYD, new DayNote(day("2026-09-09"), null, "For me", true)));
        Shown shown = shown(noted, "2026-09-02T09:00");
        assertThat(shown.week(3).orElseThrow().blank()).isTrue();
        assertThat(shown.week(2).orElseThrow().days().get(3).words()).containsExactly("Boots");
        assertThat(shown.week(2).orElseThrow().days().get(2).words()).isEmpty();
        assertThat(shown.week(2).orElseThrow().days().get(0).off()).isEqualTo("Public holiday");
        assertThat(shown.upTo()).isEqualTo(day("2026-09-11"));
        assertThat(shown.currentWeek()).isEqualTo(1);
    }

    @Test
    void whatWasToldOtherwiseStandsUnderMovedAndWhatIsGoneAsNoLonger() {
        Decisions pinned = make(make(told, new Pin(HYD, "A", "L4", day("2026-09-11"))), tell("2026-09-11", "A flood."));
        assertThat(shown(pinned, "2026-09-02T09:00").moves()).anySatisfy(m -> {
            assertThat(m.title()).isEqualTo("Log");
            assertThat(m.from()).isEqualTo(at("2026-09-09T10:00"));
            assertThat(m.to()).isEqualTo(at("2026-09-11T10:00"));
            assertThat(m.why()).isEqualTo("A flood.");
            assertThat(m.at()).isEqualTo(TOLD);
        });
        Decisions without = make(told, new RemoveItem(HYD, "W"));
        assertThat(shown(without, "2026-09-02T09:00").things())
                .singleElement()
                .satisfies(t -> assertThat(t.title()).isEqualTo("Log"));
        Shown gone = shown(make(without, tell("2026-09-11", "")), "2026-09-02T09:00");
        assertThat(gone.things()).isEmpty();
        assertThat(gone.moves()).singleElement().satisfies(m -> {
            assertThat(m.title()).isEqualTo("Log");
            assertThat(m.to()).isNull();
        });
    }

    @Test
    void whatIsNotListedBeforeItOpensAppearsWithItsToldOpening() {
        Item key = with(LOG, details(true), Map.of(Which.OPENS, DateRule.at(at("2026-09-08T12:00"))));
        Decisions all = make(make(plan, new PutItem(HYD, "U", key)), tell(null, ""));
        assertThat(shown(all, "2026-09-08T11:59").things()).isEmpty();
        assertThat(shown(all, "2026-09-08T11:59").toString()).doesNotContain("Log");
        assertThat(shown(all, "2026-09-08T12:00").things()).hasSize(1);
    }

    @Test
    void instructionsLinksAndFilesAppearWithTheOpeningAndBoughtFilesNever() {
        FileUse sheet = new FileUse("a1", "Sheet.pdf", true, null, null);
        FileUse bought = new FileUse("b2", "Bought.pdf", false, null, null);
        FileUse later = new FileUse("c3", "Key.pdf", true, at("2026-09-12T08:00"), null);
        Item item = with(
                LOG, details(false, sheet, bought, later), Map.of(Which.OPENS, DateRule.at(at("2026-09-08T12:00"))));
        Decisions all = make(make(plan, new PutItem(HYD, "U", item)), tell(null, ""));
        ShownThing before = shown(all, "2026-09-08T11:59").things().get(0);
        assertThat(before.open()).isFalse();
        assertThat(before.instructions()).isEmpty();
        assertThat(before.links()).isEmpty();
        assertThat(before.files()).isEmpty();
        Shown open = shown(all, "2026-09-08T12:00");
        assertThat(open.things().get(0).instructions()).isEqualTo("Bring boots.");
        assertThat(open.files().distinct()).containsExactly(new ShownFile("a1", "Sheet.pdf"));
        assertThat(open.units().get(0).materials().get(0).links()).hasSize(1);
        assertThat(shown(all, "2026-09-12T08:00").things().get(0).files()).hasSize(2);
    }

    /** Issue: "release moments of files (with the unit, at a lesson, at a date)"; lesson 4 is first told for Wed 9 Sep, 10:00. */
    @Test
    void aFileComesWithItsUnitOrInTheClassOfALesson() {
        FileUse withUnit = new FileUse("u1", "Unit.pdf", true, null, FileUse.UNIT);
        FileUse withLesson = new FileUse("l1", "Answers.pdf", true, null, "L4");
        FileUse withGone = new FileUse("g1", "Gone.pdf", true, null, "no-such-lesson");
        Item item = with(
                LOG,
                details(false, withUnit, withLesson, withGone),
                Map.of(Which.OPENS, DateRule.at(at("2026-09-08T12:00"))));
        Decisions all = make(make(plan, new PutItem(HYD, "U", item)), tell(null, ""));
        assertThat(files(all, "2026-08-31T09:59")).isEmpty();
        assertThat(files(all, "2026-08-31T10:00")).containsExactly("Unit.pdf");
        assertThat(files(all, "2026-09-08T12:00")).containsExactly("Unit.pdf", "Gone.pdf");
        assertThat(files(all, "2026-09-09T09:59")).containsExactly("Unit.pdf", "Gone.pdf");
        assertThat(files(all, "2026-09-09T10:00")).containsExactly("Unit.pdf", "Answers.pdf", "Gone.pdf");
        assertThat(shown(all, "2026-09-09T09:00").until())
                .as("something else is seen from the class on")
                .isEqualTo(at("2026-09-09T10:00"));
    }

    /** What is attached to a unit comes when it begins, what is attached to a notice with it, unless held to something else. */
    @Test
    void filesOfUnitsAndNoticesComeWithThem() {
        FileUse now = new FileUse("n1", "Map.pdf", true, null, null);
        FileUse withLesson = new FileUse("l1", "Answers.pdf", true, null, "L4");
        FileUse later = new FileUse("d1", "Key.pdf", true, at("2026-09-12T08:00"), null);
        FileUse bought = new FileUse("b1", "Bought.pdf", false, null, null);
        Unit unit = plan.course(HYD).orElseThrow().units().get(0);
        Unit with = new Unit(
                unit.id(),
                unit.code(),
                unit.title(),
                false,
                false,
                null,
                "",
                Map.of(),
                List.of(new Link("Atlas", "https://atlas.example/")),
                List.of(now, withLesson, later, bought),
                List.of(),
                List.of(),
                Extra.NONE);
        Notice notice = new Notice(
                "trip",
                unit.id(),
                "Trip",
                "",
                "",
                List.of(),
                List.of(now, withLesson, bought, new FileUse("u1", "Unit.pdf", true, null, FileUse.UNIT)),
                NoticeTime.on(at("2026-09-20T00:00").toLocalDate()),
                Map.of(),
                Notice.Reach.COURSE,
                List.of(),
                List.of(),
                null,
                Extra.NONE);
        Decisions all =
                make(make(make(plan, new PutUnit(HYD, with, null)), new PutNotice(HYD, notice)), tell(null, ""));
        assertThat(shown(all, "2026-08-31T09:59").files().map(ShownFile::name).distinct())
                .containsExactly("Map.pdf");
        assertThat(ofUnit(all, "2026-09-08T10:00")).containsExactly("Map.pdf");
        assertThat(ofUnit(all, "2026-09-09T10:00")).containsExactly("Map.pdf", "Answers.pdf");
        assertThat(ofUnit(all, "2026-09-12T08:00")).containsExactly("Map.pdf", "Answers.pdf", "Key.pdf");
        assertThat(shown(all, "2026-09-12T08:00").notices().get(0).files())
                .extracting(ShownFile::name)
                .containsExactly("Map.pdf", "Answers.pdf", "Unit.pdf");
        assertThat(shown(all, "2026-09-12T07:00").until()).isEqualTo(at("2026-09-12T08:00"));
    }

    private static List<String> ofUnit(Decisions in, String now) {
        return shown(in, now).units().get(0).materials().get(0).files().stream()
                .map(ShownFile::name)
                .toList();
    }

    private static List<String> files(Decisions in, String now) {
        return shown(in, now).things().get(0).files().stream()
                .map(ShownFile::name)
                .toList();
    }

    @Test
    void aStudentWithoutDatesOfTheirOwnSeesWhatTheClassSees() {
        assertThat(shown(told, "2026-09-10T09:00", new Reader("1", Set.of())))
                .isEqualTo(shown(told, "2026-09-10T09:00"));
    }

    @Test
    void anExtensionIsSeenByItsStudentAlone() {
        Decisions rostered = make(
                told,
                new PutRoster(
                        HYD, "A", List.of(new Student("1", "Wren Oakes", ""), new Student("2", "Hedy Larkspur", ""))));
        Decisions extended = make(
                rostered,
                new PutAdjustment(
                        HYD,
                        "A",
                        new Adjustment(
                                "W", "1", Map.of(Which.DUE, Own.of(DateRule.at(at("2026-09-12T17:00")))), "ill")));
        ShownThing own = shown(extended, "2026-09-10T09:00", new Reader("1", Set.of()))
                .things()
                .get(0);
        assertThat(own.main()).isEqualTo(at("2026-09-12T17:00"));
        assertThat(own.own()).isTrue();
        assertThat(own.missed(at("2026-09-10T09:00"))).isFalse();
        Shown others = shown(extended, "2026-09-10T09:00", new Reader("2", Set.of()));
        assertThat(others).isEqualTo(shown(extended, "2026-09-10T09:00"));
        assertThat(others.missed()).hasSize(1);
        Reader handedIn = new Reader("2", Set.of(new ThingRef(HYD, "W")));
        assertThat(shown(extended, "2026-09-10T09:00", handedIn).missed()).isEmpty();
        assertThat(shown(extended, "2026-09-08T09:00").toDo()).hasSize(1);
    }

    @Test
    void noticesShowAsToldUnlessTheyAreOnesOwnOrHidden() {
        Notice trip = Notice.of("trip", "Trip", NoticeTime.on(day("2026-09-10")));
        Decisions with = make(make(plan, new PutNotice(HYD, trip)), tell(null, ""));
        assertThat(shown(with, "2026-09-02T09:00").notices())
                .singleElement()
                .satisfies(n -> assertThat(n.covers(day("2026-09-10"))).isTrue());
        Decisions moved = make(with, new PutNotice(HYD, Notice.of("trip", "Trip", NoticeTime.on(day("2026-09-17")))));
        assertThat(shown(moved, "2026-09-02T09:00").notices().get(0).begins()).isEqualTo(at("2026-09-10T00:00"));
        Decisions hidden = make(with, new PutNotice(HYD, trip.hiddenUntil(DateRule.at(at("2026-09-05T08:00")))));
        assertThat(shown(hidden, "2026-09-05T07:59").notices()).isEmpty();
        assertThat(shown(hidden, "2026-09-05T08:00").notices()).hasSize(1);
    }

    @Test
    void aUnitThatHasNotBegunShowsNoFilesYet() {
        Shown before = shown(told, "2026-08-30T09:00");
        assertThat(before.units()).isEmpty();
        assertThat(shown(told, "2026-08-31T09:00").units()).hasSize(1);
        assertThat(shown(told, "2026-08-31T10:20").next().orElseThrow().name()).isEqualTo(at("2026-08-31T10:00"));
        assertThat(shown(told, "2026-08-31T10:50").next().orElseThrow().name()).isEqualTo(at("2026-09-02T10:00"));
    }
}
