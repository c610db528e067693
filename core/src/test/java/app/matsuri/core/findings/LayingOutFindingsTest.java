package app.matsuri.core.findings;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.meets;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.sectionB;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Step;
import app.matsuri.core.plan.Student;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Findings about things and their dates. L1 is on Mon 31 Aug, L2 on Wed 2 Sep; the autumn break is 10 to 13 October. */
class LayingOutFindingsTest {

    private static Decisions plan(Unit... units) {
        return Decisions.of(
                demoTerm(), List.of(Course.of("HYD 210", "Rivers", 50, List.of(sectionA()), List.of(units))));
    }

    private static List<Finding> of(Decisions plan, String code) {
        return Findings.of(Schedule.of(plan)).stream()
                .filter(f -> f.code().equals(code))
                .toList();
    }

    private static Item test(String id, String when) {
        return Item.of(id, null, "quiz", id, DateRule.at(at(when)));
    }

    @Test
    void stepsThatTakeLongerThanTheSession() {
        Unit unit = unit(2);
        Course course = plan(unit).courses().get(0);
        LessonDetails steps =
                new LessonDetails("", List.of(new Step(15, "Look"), new Step(45, "Walk")), List.of(), List.of());
        // common practice: an hour of class holds steps of 15 and 45 minutes; this class has 50
        var lesson = course.lesson("L1").orElseThrow();
        Decisions plan = plan(unit)
                .withCourse(course.withLesson(
                        "L1",
                        l -> new app.matsuri.core.plan.Lesson(
                                l.id(), l.title(), 1, 1, false, false, false, null, 0, "", steps, lesson.extra())));
        assertThat(of(plan, "steps-longer-than-session"))
                .singleElement()
                .satisfies(f -> assertThat(f.sentence()).contains("take 60 minutes, 10 more than the 50"));
        Decisions twice = plan.withCourse(plan.courses().get(0).withLesson("L1", l -> l.withLength(2)));
        assertThat(of(twice, "steps-longer-than-session")).isEmpty();
    }

    @Test
    void testsThatFallTogetherForTheSameStudentsAcrossCourses() {
        List<Student> people = List.of(new Student("1", "Wren Oakes", ""));
        Course hyd = Course.of(
                "HYD 210",
                "Rivers",
                50,
                List.of(sectionA().withStudents(people)),
                List.of(unit(2, test("Q1", "2026-09-15T10:00"), test("Q2", "2026-09-17T10:00"))));
        Course map = Course.of(
                "MAP 115",
                "Maps",
                50,
                List.of(sectionB().withStudents(people)),
                List.of(unit(2, test("T1", "2026-09-15T13:00"))));
        Decisions shared = Decisions.of(demoTerm(), List.of(hyd, map));
        assertThat(of(shared, "tests-on-one-day")).hasSize(2);
        assertThat(of(shared, "tests-on-one-day").get(0).sentence())
                .isEqualTo("“Q1” and “T1” of MAP 115 are on one day, Tue 15 Sep.");
        assertThat(of(shared, "tests-in-one-week")).hasSize(2);
        List<Course> apart = new ArrayList<>(List.of(
                hyd, map.withSection(sectionB().withStudents(List.of(new Student("2", "Tove Lindqvist", ""))))));
        assertThat(of(Decisions.of(demoTerm(), apart), "tests-on-one-day")).isEmpty();
    }

    @Test
    void oneTestThatSectionsSitOnDifferentDaysIsARemark() {
        Item quiz = Item.of("Q", "L1", "quiz", "Q", DateRule.of(new Anchor.WithLesson("L1", Edge.START)));
        Course two = Course.of("HYD 210", "Rivers", 50, List.of(sectionA(), sectionB()), List.of(unit(2, quiz)));
        assertThat(of(Decisions.of(demoTerm(), List.of(two)), "test-on-different-days"))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.severity()).isEqualTo(Finding.Severity.REMARK);
                    assertThat(f.sentence()).contains("A on Mon 31 Aug; B on Tue 1 Sep");
                });
    }

    /** MWF loses Monday of week 2: 3, 5, 8 lessons at the ends of the weeks, beside 1, 2, 3 where only Wednesday meets. */
    @Test
    void sectionsThatDriftApart() {
        Section slow = Section.of("S", Section.Pace.SESSIONS, List.of(meets("WE", "15:00", 50)));
        Decisions plan = Decisions.of(
                demoTerm(), List.of(Course.of("HYD 210", "Rivers", 50, List.of(sectionA(), slow), List.of(unit(10)))));
        assertThat(of(plan, "sections-apart"))
                .singleElement()
                .satisfies(f -> assertThat(f.sentence())
                        .isEqualTo("Section S is up to 6 lessons behind section A, from week 3 on: at the end of week 4"
                                + " it is at L4, A at L10."));
        Section beside = Section.of("S", Section.Pace.SESSIONS, List.of(meets("TU,TH,FR", "15:00", 50)));
        Decisions together = Decisions.of(
                demoTerm(),
                List.of(Course.of("HYD 210", "Rivers", 50, List.of(sectionA(), beside), List.of(unit(10)))));
        assertThat(of(together, "sections-apart")).isEmpty();
    }

    @Test
    void aTestBeforeABreakAndALessonAcrossOne() {
        assertThat(of(plan(unit(2, test("Q", "2026-10-09T10:00"))), "test-before-break"))
                .singleElement()
                .satisfies(f -> assertThat(f.sentence()).contains("Fri 9 Oct, the last class before the break"));
        Unit longOne = Unit.of(
                "U",
                "U",
                List.of(
                        app.matsuri.core.plan.Lesson.of("P", "Pause", 16),
                        app.matsuri.core.plan.Lesson.of("X", "Across", 2)),
                List.of());
        assertThat(of(plan(longOne), "lesson-across-break"))
                .singleElement()
                .satisfies(f -> assertThat(f.sentence()).startsWith("“Across” begins on Fri 9 Oct"));
    }

    @Test
    void workDueAtClassTimeOnADayWithoutClassIsMended() {
        DateRule rule = DateRule.of(new Anchor.WithLesson("L1", Edge.START)).plus(1, Offset.Unit.DAYS);
        Decisions plan = plan(unit(2, Item.of("W", "L1", "homework", "W", rule)));
        Finding found = of(plan, "due-when-not-meeting").get(0);
        assertThat(found.sentence()).contains("Tue 1 Sep, 10:00, when section A does not meet");
        Decisions mended = Change.make(found.mend(), plan).decisions();
        assertThat(of(mended, "due-when-not-meeting")).isEmpty();
        DateRule classDay = DateRule.of(new Anchor.WithLesson("L1", Edge.START)).plus(2, Offset.Unit.DAYS);
        assertThat(of(plan(unit(2, Item.of("W", "L1", "homework", "W", classDay))), "due-when-not-meeting"))
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "http://localhost:8080/x",
                "https://intranet/x",
                "http://10.1.2.3/",
                "http://192.168.0.7/a",
                "http://172.20.1.1/",
                "https://files.local/a",
                "http://[::1]/"
            })
    void linksThatOnlyOneNetworkKnows(String url) {
        assertThat(LinksNobodyOpens.closed(url)).isTrue();
        Item item = Item.of("W", null, "reading", "W", null);
        ItemDetails details = new ItemDetails(
                null,
                "",
                "",
                "",
                List.of(new Link("Map", url)),
                List.of(),
                List.of(),
                ItemDetails.ALL,
                List.of(),
                false,
                false);
        assertThat(of(plan(unit(2, item.withDetails(details))), "link-students-cannot-open"))
                .hasSize(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"https://maps.example/a", "http://172.32.1.1/", "mailto:i@quillmarsh.example"})
    void linksThatMayWellOpenAreNoFinding(String url) {
        assertThat(LinksNobodyOpens.closed(url)).isFalse();
    }
}
