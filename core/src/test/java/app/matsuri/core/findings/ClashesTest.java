package app.matsuri.core.findings;

import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.meets;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Told;
import app.matsuri.core.schedule.Schedule;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ClashesTest {

    private static Section section(String code, String days, String start, String place, String who, String partOf) {
        return new Section(
                code,
                who,
                partOf,
                List.of(),
                Section.Pace.SESSIONS,
                List.of(meets(days, start, 50).at(place)),
                null,
                List.of(),
                Map.of(),
                Set.of(),
                Map.of(),
                Map.of(),
                Told.NOTHING,
                List.of(),
                Extra.NONE);
    }

    private static List<String> clashes(Section... sections) {
        Course course = Course.of("HYD 210", "Reading Rivers", 50, List.of(sections), List.of());
        return Findings.of(Schedule.of(Decisions.of(demoTerm(), List.of(course)))).stream()
                .filter(f -> f.code().startsWith("clash"))
                .map(f -> f.code() + ": " + f.sentence())
                .toList();
    }

    @Test
    void onePlaceTwiceAtOnceIsSaidOnceWithHowOften() {
        assertThat(clashes(
                        section("A", "MO,WE", "10:00", "Weir House 2", "", ""),
                        section("B", "WE", "10:30", "weir house 2", "K. Aldous", "")))
                .containsExactly(
                        "clash-place: HYD 210 A and HYD 210 B are in one place at once 15 times, first on Wed 2 Sep, 10:30.");
    }

    @Test
    void oneInstructorTwiceAtOnceIsAProblem() {
        assertThat(clashes(
                        section("A", "MO", "10:00", "Weir House 2", "", ""),
                        section("B", "MO", "10:49", "Alder Hall", "", "")))
                .hasSize(1)
                .allMatch(s -> s.startsWith("clash-instructor"));
    }

    @Test
    void aHalfGroupAndItsSectionHaveTheSameStudents() {
        assertThat(clashes(
                        section("A", "MO", "10:00", "", "", ""),
                        section("L1", "MO", "10:00", "", "I. Aho", "HYD 210/A")))
                .hasSize(1)
                .allMatch(s -> s.startsWith("clash-students"));
    }

    @Test
    void oneAfterTheOtherIsNoClash() {
        assertThat(clashes(
                        section("A", "MO", "10:00", "Weir House 2", "", ""),
                        section("B", "MO", "10:50", "Weir House 2", "", "")))
                .isEmpty();
    }
}
