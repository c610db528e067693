package app.matsuri.server.courses;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.Student;
import app.matsuri.server.courses.CoursesView.StudentGroup;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Students who have several courses. */
class GroupsTest {

    @Test
    void theSamePersonByNumberElseByAddressNeverByName() {
        Groups groups = new Groups();
        groups.add(
                "1/HYD 210/A",
                List.of(
                        new Student("4711", "Ida Moor", "ida@example.org"),
                        new Student("4712", "Per Holm", ""),
                        new Student("anna", "Anna", "anna@example.org"),
                        new Student("kim-lund", "Kim Lund", "")));
        groups.add(
                "1/MAP 115/A",
                List.of(
                        new Student("4711", "Ida M.", ""),
                        new Student("p1", "Per Holm", "per@example.org"),
                        new Student("x", "A. A.", "ANNA@example.org"),
                        new Student("kim-lund", "Kim Lund", "")));
        groups.add("2/SOL 101/A", List.of(new Student("4711", "Ida", "")));
        assertThat(groups.groups())
                .containsExactly(
                        new StudentGroup(List.of("1/HYD 210/A", "1/MAP 115/A", "2/SOL 101/A"), 1),
                        new StudentGroup(List.of("1/HYD 210/A", "1/MAP 115/A"), 1));
    }

    @Test
    void twoNumbersAreTwoPeopleAlsoAtOneAddress() {
        Groups groups = new Groups();
        groups.add("a", List.of(new Student("1", "Ida", "family@example.org")));
        groups.add("b", List.of(new Student("2", "Per", "family@example.org")));
        assertThat(groups.groups()).isEmpty();
    }
}
