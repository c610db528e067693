package app.matsuri.core.findings;

import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.meets;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class HoursAmissTest {

    private static Course course(String code, String days, String place, String who, List<Unit> units) {
        Section section = new Section(
                "A",
                who,
                "",
                List.of(),
                Section.Pace.SESSIONS,
                List.of(meets(days, "10:00", 50).at(place)),
                null,
                List.of(),
                Map.of(),
                Set.of(),
                Map.of(),
                Map.of(),
                Told.NOTHING,
                List.of(),
                Extra.NONE);
        return Course.of(code, code, 50, List.of(section), units);
    }

    private static OfficeHours hours(String id, String days, String start, String place, String... courses) {
        return OfficeHours.of(id, "Hours " + id, List.of(meets(days, start, 60).at(place)), null)
                .withCourses(List.of(courses));
    }

    private static List<String> found(List<Course> courses, OfficeHours... hours) {
        return Findings.of(Schedule.of(Decisions.of(demoTerm(), courses).withOfficeHours(List.of(hours)))).stream()
                .filter(f -> f.code().startsWith("hours"))
                .map(f -> f.code() + ": " + f.sentence())
                .toList();
    }

    @Test
    void hoursDuringOnesOwnClassesAreSaidOnceWithHowOften() {
        assertThat(found(
                        List.of(course("C 1", "MO", "Mill 2", "", List.of())),
                        hours("a", "MO", "10:30", "Weir House 1")))
                .containsExactly(
                        "hours-class: “Hours a” are during the classes of C 1 A on 14 days, first on Mon 31 Aug, 10:30.");
    }

    @Test
    void somebodyElsesClassCountsOnlyInTheSamePlace() {
        List<Course> courses = List.of(course("C 1", "MO", "Mill 2", "K. Aldous", List.of()));
        assertThat(found(courses, hours("a", "MO", "10:30", "Weir House 1"))).isEmpty();
        assertThat(found(courses, hours("a", "MO", "10:30", "mill 2")))
                .hasSize(1)
                .allMatch(f -> f.startsWith("hours-place"));
    }

    @Test
    void twoAtOnceAndACourseWithoutAny() {
        assertThat(found(
                        List.of(
                                course("C 1", "WE", "Mill 2", "", List.of()),
                                course("C 2", "TH", "Mill 2", "", List.of())),
                        hours("a", "FR", "10:30", "", "C 1"),
                        hours("b", "FR", "11:00", "", "C 1")))
                .hasSize(2)
                .anyMatch(f -> f.startsWith("hours-twice: “Hours a” and “Hours b” are at once on"))
                .anyMatch(f -> f.equals("hours-none: C 2 has no office hours, although others have."));
    }

    @Test
    void noneInTheWeekBeforeATest() {
        Item test = new Item(
                "t",
                null,
                "test",
                "Midterm",
                "",
                null,
                null,
                "",
                false,
                0,
                null,
                DateRule.at(LocalDateTime.of(2026, 10, 16, 10, 0)),
                null,
                ItemDetails.NONE,
                Extra.NONE);
        List<Course> courses =
                List.of(course("C 1", "WE", "", "", List.of(Unit.of("U", "U", List.of(), List.of(test)))));
        assertThat(found(courses, hours("a", "TU", "13:00", "")))
                .as("Tue 13 October is in the break")
                .containsExactly(
                        "hours-before-test: There are no office hours in the week before “Midterm” on Fri 16 Oct, 10:00.");
        assertThat(found(courses, hours("a", "TH", "13:00", ""))).isEmpty();
        assertThat(found(courses)).as("nobody offers any").isEmpty();
    }
}
