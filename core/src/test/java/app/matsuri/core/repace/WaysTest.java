package app.matsuri.core.repace;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.meets;
import static app.matsuri.core.Plans.sectionB;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Weights.Cost;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Ways out of whole plans. */
class WaysTest {

    private static Lesson lesson(String id, boolean optional, boolean joinable, boolean reserve) {
        return new Lesson(id, id, 1, 1, optional, joinable, reserve, null, 0, "", LessonDetails.NONE, Extra.NONE);
    }

    private static Decisions plan(Section section, List<Unit> units) {
        return Decisions.of(demoTerm(), List.of(Course.of("MAP 115", "Maps", 50, List.of(section), units)));
    }

    private static SectionSchedule follows(Decisions plan) {
        return Schedule.of(plan).sections().get(0);
    }

    private static Section daily() {
        return Section.of("A", Section.Pace.SESSIONS, List.of(meets("MO,TU,WE,TH,FR", "09:00", 50)));
    }

    /** domain.md, "Re-pacing", the worked example: 72. */
    @Test
    void theWorkedExampleOfTidyingCosts72() {
        List<Unit> units = new ArrayList<>();
        for (int u = 1; u <= 15; u++) {
            List<Lesson> lessons = new ArrayList<>();
            for (int l = 1; l <= 5; l++) {
                lessons.add(lesson("U" + u + "L" + l, l == 5, false, false));
            }
            units.add(new Unit(
                    "U" + u, "U" + u, "Unit " + u, true, false, null, "", Map.of(), lessons, List.of(), Extra.NONE));
        }
        Way tidy = Ways.tidy(follows(plan(daily(), units)));
        assertThat(tidy.total()).isEqualTo(72);
        assertThat(tidy.costs())
                .containsOnly(Map.entry(Cost.LEAVE_OUT, 30), Map.entry(Cost.MID_WEEK, 30), Map.entry(Cost.EMPTY, 12));
        assertThat(tidy.edits())
                .filteredOn(e -> e.kind().equals("leave-out"))
                .extracting(Way.Edit::lesson)
                .containsExactly("U2L5", "U7L5", "U8L5");
        assertThat(tidy.edits())
                .filteredOn(e -> e.kind().equals("begin-mid-week"))
                .extracting(Way.Edit::session)
                .containsExactly(at("2026-10-20T09:00"));
        assertThat(tidy.edits())
                .filteredOn(e -> e.kind().equals("leave-empty"))
                .extracting(Way.Edit::session)
                .containsExactly(at("2026-11-23T09:00"), at("2026-11-24T09:00"));
    }

    /** Two units of a class that meets Mon Wed Fri; CH3 can be joined, a spare day stands in the second unit. */
    private static Decisions small(Map<String, java.time.LocalDate> told) {
        Unit first = Unit.of(
                "CH",
                "Channels",
                List.of(
                        lesson("CH1", false, false, false),
                        lesson("CH2", false, false, false),
                        lesson("CH3", false, true, false)),
                List.of(Item.of("q", "CH2", "quiz", "Quiz", DateRule.of(new Anchor.WithLesson("CH2", Edge.START)))));
        Unit second = Unit.of(
                "SE",
                "Sediment",
                List.of(
                        lesson("SE1", false, false, false),
                        lesson("SE2", false, false, true),
                        lesson("SE3", false, false, false)),
                List.of());
        Section a = app.matsuri.core.Plans.sectionA();
        Section toldA = a.withTold(Told.of(told));
        return plan(toldA, List.of(first, second));
    }

    private static List<Way> lose(Decisions plan, String date) {
        Closure closure = Closure.of(day(date), day(date), "Flood", "weather");
        Decisions after = Change.make(new AddClosure(closure), plan).decisions();
        return Ways.out(follows(plan), follows(after), null, null);
    }

    @Test
    void aLostDayHasItsWaysOutEachTheCheapestUnderItsLimit() {
        // CH1 Mon 31 Aug, CH2 Wed 2 Sep (lost), CH3 Fri 4 Sep, SE1 Wed 9 Sep, SE2 spare Fri 11, SE3 Mon 14
        List<Way> ways = lose(small(Map.of()), "2026-09-02");
        assertThat(ways.get(1).edits())
                .extracting(Way.Edit::sentence)
                .containsExactly("Join “CH3” to the lesson before it");
        assertThat(ways)
                .extracting(w -> w.name() + " " + w.total())
                .as("CH2 holds a quiz, so that it is not left out")
                .containsExactly("let-it-slide 0", "catch-up-in-unit 15");
        assertThat(lose(small(Map.of()), "2026-09-04"))
                .extracting(w -> w.name() + " " + w.total() + " " + w.drops())
                .contains("leave-it-out 1000 [“CH3”]");
    }

    @Test
    void whatStudentsWereToldIsKeptWhereItCosts() {
        Map<String, java.time.LocalDate> told = Map.of("CH3", day("2026-09-04"), "CH2", day("2026-09-02"));
        List<Way> ways = lose(small(told), "2026-09-02");
        Way slide = ways.get(0);
        assertThat(slide.costs()).containsEntry(Cost.TOLD_TEST, 12).containsEntry(Cost.TOLD, 3);
        Way unit = ways.get(1);
        assertThat(unit.dates().get("CH3")).containsExactly(at("2026-09-04T10:00"));
    }

    @Test
    void whatWasTaughtStaysOutOfIt() {
        Decisions taught = Change.make(
                        new RecordTaught("MAP 115", "A", at("2026-08-31T10:00"), List.of("CH1"), false, ""),
                        small(Map.of()))
                .decisions();
        Way slide = Ways.slide(follows(taught));
        assertThat(slide.dates().get("CH1")).containsExactly(at("2026-08-31T10:00"));
        assertThat(Paced.of(follows(taught)).stretch().lessons())
                .extracting(Stretch.Asked::id)
                .doesNotContain("CH1");
    }

    /** The worked example of domain.md: usual 50 minutes, sessions of 75 on Tue 1, Thu 3 and Tue 8 September. */
    @Test
    void aSectionPacedByMinutesHasItsWaysToo() {
        Decisions minutes = plan(
                sectionB(),
                List.of(Unit.of(
                        "U",
                        "U",
                        List.of(
                                lesson("A", false, false, false),
                                lesson("B", false, false, false),
                                lesson("C", false, false, false),
                                lesson("D", false, false, false)),
                        List.of())));
        Way slide = Ways.slide(follows(minutes));
        assertThat(slide.total()).isZero();
        assertThat(slide.dates())
                .containsEntry("B", List.of(at("2026-09-01T13:00"), at("2026-09-03T13:00")))
                .containsEntry("C", List.of(at("2026-09-03T13:00")))
                .containsEntry("D", List.of(at("2026-09-08T13:00")));
        Decisions told = Decisions.of(
                demoTerm(),
                List.of(Course.of(
                        "HYD 210",
                        "Reading Rivers",
                        50,
                        List.of(sectionB().withTold(Told.of(Map.of("C", day("2026-09-08"))))),
                        minutes.courses().get(0).units())));
        assertThat(Ways.slide(follows(told)).costs()).isEqualTo(Map.of(Cost.TOLD, 3));
        assertThat(Ways.tidy(follows(told)).total())
                .as("an empty class would cost more")
                .isEqualTo(3);
    }
}
